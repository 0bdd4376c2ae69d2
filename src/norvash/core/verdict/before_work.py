"""The carbon of the set that an open sheet found, where another is in the motor now."""

from dataclasses import replace

from norvash.core.brush.motor_limit import motor_limit
from norvash.core.motor.figure_fields import NEW_MM
from norvash.core.motor.record import BrushSet, MotorState
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.life import Told
from norvash.core.verdict.brush_now import brush_now
from norvash.core.verdict.grades import GRADES, Grade, Graded, worst
from norvash.core.verdict.set_grade import raised


def worn_as_found(state: MotorState, rules: MotorRules, now: Graded | None) -> Grade | None:
    """Return how grave the carbon of the set is that this visit found, None where it may run on.

    Where a brush has come new at this visit that is not what is in the motor now.
    """
    if not state.told.new:
        return worn(now)
    found = replace(state, sets=sets_as_found(state.sets, state.told), told=Told(), ahead=None)
    limit = motor_limit(state.figures, rules)
    brushes = [brush_now(found, found.current, i, limit, rules) for i in range(len(state.positions))]
    last = [b.last for b in brushes if b.last]
    length = worst([b.graded for b in brushes if b.graded])
    return worn(raised(length, last, NEW_MM.need(state.figures), rules, late=False, out=False))


def worn(graded: Graded | None) -> Grade | None:
    """Return a grade that asks for a new set, None for a lesser one."""
    return graded.grade if graded is not None and GRADES.index(graded.grade) >= GRADES.index("plan") else None


def sets_as_found(sets: tuple[BrushSet, ...], told: Told) -> tuple[BrushSet, ...]:
    """Return the sets of a motor as the open sheet found them: what was fitted or measured after work is left out."""
    if told.sheet is None:
        return sets
    here = told.sheet.id
    kept = [s for s in sets if s.sheet_id != here] or list(sets[:1])
    last = kept[-1]
    rounds = tuple(r.as_found if r.sheet_id == here else r for r in last.rounds)
    renewed = tuple(r for r in last.renewed if r.sheet_id != here)
    return (*kept[:-1], replace(last, rounds=rounds, renewed=renewed, ended_at=None, ended_units=None, end_reason=""))
