"""The carbon of the set that an open sheet found, where another is in the motor now."""

from dataclasses import replace

from norvash.core.brush.motor_limit import motor_limit
from norvash.core.grades import GRADES, Grade, Graded, worst
from norvash.core.motor.figure_fields import NEW_MM
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.finding import Finding
from norvash.core.sheet.ground import ThenMade, graver
from norvash.core.sheet.life import At, Then, Told
from norvash.core.stages.brushes.carbon import SET_WORN, worn_set
from norvash.core.state.laid import sets_laid
from norvash.core.state.motor_state import BrushSet, MotorState
from norvash.core.verdict.brush_now import brush_now
from norvash.core.verdict.set_grade import raised
from norvash.errors import InputError


def worn_as_found(state: MotorState, rules: MotorRules, now: Graded | None) -> Grade | None:
    """Return how grave the carbon of the set is that this visit found, None where it may run on.

    Where a brush has come new at this visit that is not what is in the motor now.
    """
    if not state.told.new:
        return worn(now)
    found = replace(state, sets=sets_as_found(state.sets, state.told), told=Told(), ahead=None)
    return _graver_grade(worn(_by_length(found, rules)), _said_before(state.told))


def _said_before(told: Told) -> Grade | None:
    """Return what this sheet said of the worn set before another came in: by its days too, which a new set ends."""
    here = told.sheet.id if told.sheet is not None else ""
    kept = (k for k in told.kept if k.finding.id == SET_WORN.id and k.sheet_id == here and k.withdrawn is None)
    return next((k.finding.grade for k in kept), None)


def _graver_grade(one: Grade | None, other: Grade | None) -> Grade | None:
    return max((g for g in (one, other) if g is not None), key=GRADES.index, default=None)


def _by_length(state: MotorState, rules: MotorRules) -> Graded | None:
    """Return the grade of a set by its lengths alone."""
    limit = motor_limit(state.figures, rules)
    brushes = [brush_now(state, state.current, i, limit, rules) for i in range(len(state.positions))]
    last = [b.last for b in brushes if b.last]
    length = worst([b.graded for b in brushes if b.graded])
    return raised(length, last, NEW_MM.need(state.figures), rules, late=False, out=False)


def worn_then(state: MotorState, found: Grade | None, now: Grade | None) -> dict[At, Then]:
    """Return what the grounds before unconfirmed changes find graver in the carbon of the set by its lengths, at the
    place of the set; nothing where none does.

    Units: `found` and `now` are its grades today, as it was found and as it is.
    """
    gathered = ThenMade()
    for ground in state.grounds:
        old = replace(state, figures=ground.figures, ahead=None, sets=sets_laid(state.sets, ground.figures))
        try:
            by_length = _by_length(old, ground.rules)
            was = worn_as_found(old, ground.rules, by_length)
        except InputError:  # on figures that contradict each other nothing was judged
            continue
        gathered.add(ground, (0, SET_WORN.id), found=_graver(was, found), now=_graver(worn(by_length), now))
    return gathered.made


def _graver(then: Grade | None, now: Grade | None) -> Finding | None:
    return graver(worn_set(then), worn_set(now) if now is not None else None) if then is not None else None


def by_carbon_found(grade: Grade | None) -> dict[At, Finding]:
    """Return by its place what the carbon of a set is found to be, nothing where it may run on."""
    return {} if grade is None else {(0, SET_WORN.id): worn_set(grade)}


def worn(graded: Graded | None) -> Grade | None:
    """Return a grade that asks for a new set, None for a lesser one."""
    return graded.grade if graded is not None and GRADES.index(graded.grade) >= GRADES.index("plan") else None


def sets_as_found(sets: tuple[BrushSet, ...], told: Told) -> tuple[BrushSet, ...]:
    """Return the sets of a motor as the open sheet found them: what was fitted or measured after work is left out, and
    what was read of a brush that does not follow its wear.
    """
    if told.sheet is None:
        return sets
    here = told.sheet.id
    kept = [s for s in sets if s.sheet_id != here] or list(sets[:1])
    last = kept[-1]
    rounds = tuple((r.as_found if r.sheet_id == here else r).proving for r in last.rounds)
    renewed = tuple(r for r in last.renewed if r.sheet_id != here)
    return (*kept[:-1], replace(last, rounds=rounds, renewed=renewed, ended_at=None, ended_units=None, end_reason=""))
