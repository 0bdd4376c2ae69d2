"""Other work that mends the same: a larger task that does it too, or a stone where a cut is usual."""

from functools import cache

from norvash.core.sheet.finding import Finding
from norvash.core.sheet.given import Given
from norvash.core.sheet.records import Way
from norvash.core.sheet.task import Task
from norvash.core.stages.catalogue import FINDINGS, TASKS
from norvash.core.stages.shared import CLEAN_TRACK, CONTOUR_FACES, PLAN_CUT, SET_HOLDERS, UNDERCUT_MICA

# A surface that is stoned is not cut, and nothing of what a cut brings with it is to be done.
_OF_A_CUT = frozenset({PLAN_CUT, UNDERCUT_MICA, SET_HOLDERS, CONTOUR_FACES})


def instead(finding: Finding) -> tuple[Task, ...]:
    """Return the tasks that may be chosen in place of the usual ones; of a finding with several ways none, as those
    are chosen from already.
    """
    return _instead(finding.id)


@cache
def _instead(finding_id: str) -> tuple[Task, ...]:
    known = FINDINGS.get(finding_id)
    main = (
        next((t for t in known.tasks if not t.looks), None)
        if known is not None and "one-of" not in known.kinds
        else None
    )
    if known is None or main is None or main is CLEAN_TRACK:  # the least that can be done: nothing larger stands for it
        return ()
    made = [TASKS[i] for i in main.within]
    if main is PLAN_CUT:
        made.append(CLEAN_TRACK)
    return tuple(t for t in dict.fromkeys(made) if t not in known.tasks)


def ways_of(finding: Finding) -> tuple[Task, ...]:
    """Return the tasks of which one may be named where something is decided: its ways, or what may stand instead."""
    return finding.tasks if "one-of" in finding.kinds else instead(finding)


def done_instead(finding: Finding, decided: Given | None) -> tuple[Task, ...]:
    """Return the tasks that count as its work where they are done: what does its usual work too, and a stone only where
    that was chosen. A track that is cleaned in passing mends nothing.
    """
    chosen = decided.record.task if decided is not None and isinstance(decided.record, Way) else ""
    return tuple(t for t in instead(finding) if t is not CLEAN_TRACK or t.id == chosen)


def spared_by(chosen: Task, task: Task) -> bool:
    """Tell whether a task need not be done where another was chosen in its place."""
    return chosen.id in task.within or (chosen is CLEAN_TRACK and task in _OF_A_CUT)
