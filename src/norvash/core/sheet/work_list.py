"""The work that findings lead to: what, how long, with what, step by step, the school that decides how, and whether it
is done.
"""

from collections.abc import Iterable, Mapping
from dataclasses import dataclass

from norvash.core.rules.book import Choice, MotorRules
from norvash.core.sheet.given import Given
from norvash.core.sheet.life import Life
from norvash.core.sheet.part import COMPLAINT
from norvash.core.sheet.stages.call_in import FIND_FAULT
from norvash.core.sheet.task import Task


@dataclass(frozen=True, slots=True)
class Proposed:
    """A task on the work list with the findings that ask for it, how it is done here, and what says that it is done."""

    task: Task
    because: tuple[str, ...]
    ways: tuple[Choice, ...]
    done: Given | None


def work_list(
    lives: Iterable[Life], done: Mapping[Task, tuple[Given, ...]], rules: MotorRules, *, idle: bool = False
) -> tuple[Proposed, ...]:
    """Return the work that findings ask for, each task once, the gravest first.

    What is put off, dropped or handed to the owner asks for none. Units: done holds what says that a task is done; idle
    tells whether the machine stands for long.
    """
    because: dict[Task, list[str]] = {}
    for life in lives:
        asks = life.state in ("open", "done not proven") or (life.state == "proven" and bool(life.done))
        if asks and life.finding.part is not COMPLAINT and not life.handed_over:
            for task in life.finding.tasks:
                because.setdefault(task, []).append(f"{life.place}: {life.finding.words}")
    for task in done:
        if task is not FIND_FAULT:  # the answer to the complaint says what was found, if anything was
            because.setdefault(task, [])
    made = []
    for task, why in because.items():
        ways = tuple(rules.choice(s) for s in task.schools if s != "school.holder" or idle)
        said = done.get(task, ())
        made.append(Proposed(task, tuple(dict.fromkeys(why)), ways, said[-1] if said else None))
    return tuple(made)
