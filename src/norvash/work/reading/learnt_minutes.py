"""How long tasks take here: the median of what was stated on signed sheets, once there are enough of them."""

from collections.abc import Sequence
from statistics import median

from norvash.store.file.database import Connection
from norvash.store.record.took import list_minutes

_LEAST, _LAST = 5, 40


def minutes_learnt(conn: Connection, tasks: Sequence[str]) -> dict[str, tuple[float, int]]:
    """Return the median minutes of tasks that were done often enough here, with how often, by task.

    Units: -> [min]
    """
    took = list_minutes(conn, tasks, _LAST)
    return {task: (float(median(values)), len(values)) for task, values in took.items() if len(values) >= _LEAST}
