"""The work that findings lead to: what, how long, with what, step by step, and the school that decides how."""

from collections.abc import Iterable
from dataclasses import dataclass

from norvash.core.rules.book import Choice, MotorRules
from norvash.core.sheet.finding import Finding
from norvash.core.sheet.stages.shared import FIT_SET
from norvash.core.sheet.task import Task
from norvash.core.verdict.grades import GRADES


@dataclass(frozen=True, slots=True)
class Proposed:
    """A task on the work list with the findings that ask for it, and how it is done here."""

    task: Task
    because: tuple[str, ...]
    ways: tuple[Choice, ...]


def work_list(
    matters: Iterable[tuple[str, Finding]], renew: str, rules: MotorRules, *, idle: bool = False
) -> tuple[Proposed, ...]:
    """Return the work that findings ask for, each task once, the gravest first.

    `renew` says why the set goes, if it does.

    Units: matters are (place in words, finding); idle tells whether the machine stands for long.
    """
    because: dict[Task, list[str]] = {FIT_SET: [renew]} if renew else {}
    for place, finding in sorted(matters, key=lambda m: -GRADES.index(m[1].grade)):
        for task in finding.tasks:
            because.setdefault(task, []).append(f"{place}: {finding.words}")
    made = []
    for task, why in because.items():
        ways = tuple(rules.choice(s) for s in task.schools if s != "school.holder" or idle)
        made.append(Proposed(task, tuple(dict.fromkeys(why)), ways))
    return tuple(made)
