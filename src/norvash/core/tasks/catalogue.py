"""All tasks by their ids, and those that a finding leads to."""

from norvash.core.tasks.brushes import ON_BRUSHES
from norvash.core.tasks.commutator import ON_COMMUTATOR
from norvash.core.tasks.drive import ON_THE_REST
from norvash.core.tasks.leads import LEADS_TO
from norvash.core.tasks.task import Task

TASKS: dict[str, Task] = {t.id: t for t in (*ON_BRUSHES, *ON_COMMUTATOR, *ON_THE_REST)}


def tasks_for(finding_id: str) -> tuple[Task, ...]:
    """Return the tasks that a finding leads to."""
    return tuple(TASKS[t] for t in LEADS_TO.get(finding_id, "").split())
