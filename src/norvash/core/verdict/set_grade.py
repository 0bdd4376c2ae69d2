"""When a set is changed: its length, its date and its tables, and the school that the site follows."""

from collections.abc import Sequence
from typing import TYPE_CHECKING

from norvash.core.edges import over, under
from norvash.core.grades import Graded, worst
from norvash.core.rules.book import MotorRules

if TYPE_CHECKING:
    from datetime import date

    from norvash.core.state.motor_state import MotorState
    from norvash.core.state.policy import Due
    from norvash.core.state.round import Measured

RUN_TO_FAILURE = "run to failure"


def follows_symptoms(rules: MotorRules) -> bool:
    """Tell whether this motor runs until it shows symptoms. Source: school.when"""
    return rules.choice("school.when").key == "symptoms"


def by_interval(asked: "Sequence[Due]", state: "MotorState", rules: MotorRules, today: "date") -> Graded | None:
    """Return the grade that a change interval gives the set by what it has run: due at its low end, overdue at its high
    end, whatever was measured since.

    Source: school.when
    """
    if follows_symptoms(rules):
        return None
    ran, found = state.ran_by(today), list[Graded]()
    for due in (d for d in asked if d.change and d.at_units is not None):
        late = due.overdue_units if due.overdue_units is not None else due.at_units
        if late is not None and not under(ran, late):
            found.append(Graded("change", "interval"))
        elif due.at_units is not None and not under(ran, due.at_units):
            found.append(Graded("plan", "interval"))
    return worst(found)


def raised(
    by_length: Graded | None, last: "Sequence[Measured]", new_mm: float, rules: MotorRules, *, late: bool, out: bool
) -> Graded | None:
    """Return the grade of the brushes, raised by a table, by date, or by the school that is followed.

    Units: last holds each brush's newest reading, new_mm [mm]; late tells whether the limit has passed by date or use.
    Source: school.when, rule when.share
    """
    if by_length is None or by_length.grade == "stop":
        return by_length
    if out:
        return Graded("stop", "table")
    school, found = rules.choice("school.when").key, [by_length]
    if late and school != "symptoms":
        found.append(Graded("change", "forecast"))
    if school == "share" and not over(min((m.length_mm for m in last), default=new_mm), rules["when.share"] * new_mm):
        found.append(Graded("change", "when.share"))
    lines = max((m.lines or 0 for m in last), default=0)
    if school == "lines" and lines in (1, 2):
        found.append(Graded("change" if lines > 1 else "plan", "wear line"))
    return worst(found)
