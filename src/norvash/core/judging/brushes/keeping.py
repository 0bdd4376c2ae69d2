"""Which brushes may stay when others of their set are renewed: the exception to changing all together."""

from dataclasses import dataclass

from norvash.core.edges import over, under
from norvash.core.grades import GRADES
from norvash.core.motor.figure_fields import LENGTH_UNIT
from norvash.core.rules.book import MotorRules
from norvash.core.state.findings import BrushNow, Findings
from norvash.core.state.motor_state import MotorState
from norvash.core.text.words import length_words

_WATCH = GRADES.index("watch")


@dataclass(frozen=True, slots=True)
class Stay:
    """One brush: whether it may stay, and why or why not; `worn` tells that its length or a finding on it says so."""

    label: str
    may: bool
    why: str
    worn: bool = False


def stays(found: Findings, state: MotorState, rules: MotorRules) -> tuple[Stay, ...]:
    """Return for each brush whether it may stay: enough carbon, nothing above watch found on it, of the age of its
    partners.

    Source: rule stage.watch
    """
    made = []
    for brush in found.brushes:
        against, measured = [], brush.usable is not None and brush.in_round
        if measured and not over(brush.usable or 0.0, rules["stage.watch"]):
            against.append(f"{_left(brush, state)}, over {rules['stage.watch']:.0%} is asked for")
        against += [
            c.finding.words
            for c in found.conditions
            if c.position == brush.number and GRADES.index(c.finding.grade) > _WATCH
        ]
        worn = bool(against)
        if not measured:
            against.insert(0, "not measured now")
        if state.current.renewal_of(brush.number) is not None:
            against.append("renewed since: make sure that it is of the same grade")
        share = f"{brush.usable:.0%} usable, nothing above “Watch” on it" if brush.usable is not None else ""
        made.append(Stay(brush.label, not against, "; ".join(against) or share, worn))
    return tuple(made)


def _left(brush: BrushNow, state: MotorState) -> str:
    """Return in words how much of a brush may still be used."""
    if brush.left_mm is not None and under(brush.left_mm, 0):
        return f"{length_words(-brush.left_mm, LENGTH_UNIT.of(state.figures))} under its limit"
    return f"{brush.usable:.0%} usable"
