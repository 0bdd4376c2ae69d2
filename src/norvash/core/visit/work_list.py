"""The work that findings lead to: what, how long, with what, step by step, the school that decides how, and whether it
is done.
"""

from collections.abc import Collection, Iterable, Mapping
from dataclasses import dataclass, replace

from norvash.core.rules.book import Choice, MotorRules
from norvash.core.sheet.given import Given
from norvash.core.sheet.life import Life
from norvash.core.sheet.part import COMPLAINT
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.task import Task
from norvash.core.stages.call_in import FIND_FAULT
from norvash.core.stages.own_tasks import WORK_ORDER, dropped, own_tasks
from norvash.core.visit.instead import instead, spared_by


@dataclass(frozen=True, slots=True, kw_only=True)
class Proposed:
    """A task on the work list with the findings that ask for it, how it is done here, and what says that it is done.

    `minutes` are those of its plan where it is `planned`, else what it usually takes [min]; one that is done `within`
    another task of the list, which is named, has none of its own. `instead` are the tasks of which one is enough in its
    place, while none is chosen. One that was `dropped` says why; `learnt` tells from how many signed tasks of the site
    its minutes are; what it mends is proven before power where it is a `hold`.
    """

    task: Task
    because: tuple[str, ...]
    ways: tuple[Choice, ...]
    done: Given | None
    minutes: float
    planned: bool = False
    within: str = ""
    instead: tuple[str, ...] = ()
    dropped: Given | None = None
    learnt: int = 0
    hold: bool = False


def work_list(
    lives: Collection[Life],
    done: Mapping[Task, tuple[Given, ...]],
    rules: MotorRules,
    *,
    sheet: Sheet,
    idle: bool = False,
    taken: Iterable[tuple[Task, str]] = (),
) -> tuple[Proposed, ...]:
    """Return the work that findings ask for, each task once, the gravest first; of a finding with several ways the one
    that was chosen or done. Then what was added; all in the order of the `sheet`, where somebody has put it in one.

    What is put off or handed to the owner asks for none; a task that was dropped stays on it, with why. Units: done
    holds what says that a task is done; idle tells whether the machine stands for long; `taken` is what the way asks
    for that was taken, with who took it.
    """
    because, instead = _asked_for([x for x in lives if _asks(x)], done, taken)
    for task in own_tasks(sheet).values():
        because.setdefault(task, [])
    holds = {t for x in lives if _asks(x) and "before-power" in x.finding.kinds for t in _asked(x, done)}
    made, alone = [], {t.id: t.what for t in because if t not in instead}
    for task, why in because.items():
        ways = tuple(rules.choice(s) for s in task.schools if s != "school.holder" or idle)
        said = done.get(task, ())
        made.append(
            Proposed(
                task=task,
                because=tuple(dict.fromkeys(why)),
                ways=ways,
                done=said[-1] if said else None,
                minutes=0.0 if (within := next((alone[t] for t in task.within if t in alone), "")) else task.minutes,
                within=within,
                instead=instead.get(task, ()),
                dropped=None if said else dropped(task.id).given(sheet),
                hold=task in holds,
            )
        )
    return _ordered(made, WORK_ORDER.of(sheet))


def _asked_for(
    asking: Collection[Life], done: Mapping[Task, tuple[Given, ...]], taken: Iterable[tuple[Task, str]]
) -> tuple[dict[Task, list[str]], dict[Task, tuple[str, ...]]]:
    """Return the tasks that are asked for or done, each with what asks for it, and those of which one is enough."""
    because: dict[Task, list[str]] = {}
    instead: dict[Task, tuple[str, ...]] = {}
    plainly = {
        t for x in asking for t in _asked(x, done) if len(_asked(x, done)) == 1 or "one-of" not in x.finding.kinds
    }
    for life in asking:
        asked = _asked(life, done)
        open_choice = "one-of" in life.finding.kinds and not plainly.intersection(asked)
        for task in asked if open_choice or "one-of" not in life.finding.kinds else plainly.intersection(asked):
            because.setdefault(task, []).append(f"{life.place}: {life.finding.words}")
            if open_choice:
                others = (t.what for t in asked if t is not task)
                instead[task] = tuple(dict.fromkeys((*instead.get(task, ()), *others)))
    for task, words in taken:
        instead.pop(task, None)
        because.setdefault(task, []).append(words)
    for task in done:
        # The answer to the complaint says what was found, if anything was; a repair for a while stands by itself.
        if task is not FIND_FAULT and not task.in_place_of:
            because.setdefault(task, [])
    return because, instead


def _ordered(work: list[Proposed], said: str) -> tuple[Proposed, ...]:
    """Return a work list in the order that somebody has put it in; what is not named there stays behind it."""
    places = {task: n for n, task in enumerate(said.split())}
    return tuple(sorted(work, key=lambda w: places.get(w.task.id, len(places))))


def _asks(life: Life) -> bool:
    """Tell whether a finding asks for work here."""
    asks = life.state in ("open", "done not proven") or (life.state == "proven" and bool(life.done))
    return asks and life.finding.part is not COMPLAINT and not life.handed_over


def _asked(life: Life, done: Collection[Task]) -> tuple[Task, ...]:
    """Return the tasks that a finding asks for: all of them, or of several ways those that were done, else the one that
    was chosen, else each of them.
    """
    tasks = life.finding.tasks
    if "one-of" not in life.finding.kinds:
        other = next((t for t in instead(life.finding) if t.id == life.way), None)
        return tasks if other is None else (other, *(t for t in tasks if not (t.looks or spared_by(other, t))))
    chosen = tuple(t for t in tasks if t in done) or tuple(t for t in tasks if t.id == life.way)
    return chosen or tasks


def with_plans(work: Collection[Proposed], planned: Mapping[Task, float]) -> tuple[Proposed, ...]:
    """Return a work list with the minutes of its plans.

    Units: planned holds minutes by task [min]
    """
    known = (planned.get(w.task) if not w.within else None for w in work)
    return tuple(
        w if minutes is None else replace(w, minutes=minutes, planned=True)
        for w, minutes in zip(work, known, strict=True)
    )


def minutes_left(work: Iterable[Proposed]) -> float:
    """Return the minutes of all that is not done, without what is still to be chosen of several ways.

    Units: -> [min]
    """
    return sum(w.minutes for w in work if w.done is None and w.dropped is None and not w.instead)


def with_learnt(work: Collection[Proposed], learnt: Mapping[str, tuple[float, int]]) -> tuple[Proposed, ...]:
    """Return a work list with the minutes that its tasks took here.

    Units: learnt holds the median minutes [min] and of how many, by task
    """
    return tuple(
        replace(w, minutes=learnt[w.task.id][0], learnt=learnt[w.task.id][1])
        if w.task.id in learnt and not w.within
        else w
        for w in work
    )
