"""How fast a motor may turn in a run, and what its speed and current say where nothing usual is stated."""

from collections.abc import Iterator, Sequence
from typing import Any

from norvash.core.edges import over
from norvash.core.judging.prove.points import Point
from norvash.core.known import all_known
from norvash.core.motor.figure_fields import (
    ARMATURE_OHM,
    GRADE_FAMILY,
    NOLOAD_A_MOST,
    PERMITTED_RPM,
    RATED_A,
    RATED_RPM,
    RATED_V,
    RATED_W,
    USUAL_NOLOAD_A,
    USUAL_NOLOAD_RPM,
)
from norvash.core.rules.book import MotorRules
from norvash.core.rules.fitting import CONTACT_DROP
from norvash.core.running.speed import (
    HELD_BY_FIELD,
    Permitted,
    SpeedPlate,
    judge_unloaded,
    noload_rpm,
    permitted,
    unloaded_share,
)
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.measured import Measured, by_rule, told, unsure
from norvash.core.stages.prove.run_findings import RUN_AMPS, RUN_OVERLOAD, RUN_OVERSPEED, RUN_SPEED
from norvash.core.stages.prove.volts import fed_by_battery
from norvash.core.text.words import grouped
from norvash.errors import InputError

_HEAVY = ("industrial", "traction")
_PERMITTED = ("speed.plate", "speed.noload", "speed.most")
_UNLOADED = ("speed.weak-field", "speed.unknown", "speed.most")


def held_by_field(facts: Facts) -> bool:
    """Tell whether a field of its own, or magnets, hold its speed: then it follows from the plate."""
    powered = facts.motor_class not in ("starter", "generator")
    return powered and facts.construction in HELD_BY_FIELD and not facts.series


def speed_plate(facts: Facts, rules: MotorRules, amps: float | None = None) -> SpeedPlate:
    """Return what says how fast it may turn; its speed without load is stated, or follows from its plate.

    Units: amps without load [A], where nobody states what is usual.
    """
    stated = USUAL_NOLOAD_RPM.stated(facts.figures)
    return SpeedPlate(
        permitted_rpm=PERMITTED_RPM.of(facts.figures),
        rated_rpm=RATED_RPM.stated(facts.figures),
        noload_rpm=_from_plate(facts, rules, amps) if stated is None else stated,
    )


def _from_plate(facts: Facts, rules: MotorRules, amps: float | None) -> float | None:
    """Return the speed without load that follows from the plate [r/min], None where it does not.

    The contact drop of a grade that nobody states is left out: that gives the lower speed, which is the safe side.
    """
    figures, family, ohm = facts.figures, GRADE_FAMILY.of(facts.figures), ARMATURE_OHM.of(facts.figures)
    plate = all_known(RATED_RPM.stated(figures), RATED_V.of(figures), RATED_A.stated(figures))
    if plate is None or ohm is None or facts.construction not in ("shunt", "permanent-magnet"):
        return None
    idle_a = min(USUAL_NOLOAD_A.of(figures) or amps or 0.0, plate[2])
    drop_v = rules[CONTACT_DROP.of(family)] if family else 0.0
    try:
        return noload_rpm(*plate, armature_ohm=ohm, drop_v=drop_v, noload_a=idle_a)
    except InputError:
        return None


def unloaded_limit(facts: Facts) -> Permitted | None:
    """Return the speed at which one that runs away is switched off without load, None where nothing says it."""
    stated, rated = PERMITTED_RPM.of(facts.figures), RATED_RPM.of(facts.figures)
    if stated is not None:
        return Permitted(stated, "as permitted")
    return None if rated is None or not facts.runs_away else Permitted(rated, "off at rated speed")


def most_rpm(facts: Facts, plate: SpeedPlate, rules: MotorRules) -> Permitted | None:
    """Return the speed that it must not pass, in whatever way it runs; None where nothing says it.

    Source: rules speed.*, run.starter-most
    """
    if plate.permitted_rpm is None and facts.motor_class == "starter":
        return Permitted(rules["run.starter-most"], "for a starter")
    nothing = facts.motor_class == "generator" or (facts.series and not facts.idles)
    if plate.permitted_rpm is None and nothing:
        return None
    return permitted(plate, facts.construction, rules)


def speed_told(facts: Facts, points: Sequence[Point], rules: MotorRules, *, free: bool) -> Iterator[Measured]:
    """Yield what the fastest speed of a run says against what it must not pass, with load or without. Source: rules
    speed.*, run.starter-most
    """
    fast = max((p.rpm for p in points if p.rpm is not None), default=None)
    if fast is None:
        return
    if facts.motor_class == "generator":
        yield from _driven_fast(fast, facts, rules)
    plate = speed_plate(facts, rules, max((p.amps for p in points if p.amps is not None), default=None))
    if free and held_by_field(facts) and USUAL_NOLOAD_RPM.stated(facts.figures) is None:
        yield from _unloaded(fast, plate, rules)
        if plate.noload_rpm is None and plate.permitted_rpm is None:
            return
    most = unloaded_limit(facts) if free and facts.runs_away else most_rpm(facts, plate, rules)
    if most is None:
        if facts.motor_class != "generator":
            words = f"{grouped(fast)} r/min, not judged: say {_lacking(facts, free=free)}."
            yield unsure(words, value=fast, unit="r/min")
        return
    words = f"{grouped(fast)} r/min, at most {grouped(most.rpm)}, {most.why}"
    off = RUN_OVERSPEED.worded(f"faster than it may turn: {words}") if over(fast, most.rpm) else None
    of: dict[str, Any] = {"value": fast, "unit": "r/min", "low": 0.0, "high": most.rpm}
    yield told(f"{words}.", right=True, off=off, rests_on=_PERMITTED, **of)


def unjudged_lacks(facts: Facts, points: Sequence[Point], rules: MotorRules, *, field_read: bool) -> Iterator[str]:
    """Yield what a run without load lacks whose speed cannot be judged: amps that are usual for it, and its field.

    Source: rules speed.weak-field, speed.unknown, noload.*
    """
    fast = max((p.rpm for p in points if p.rpm is not None), default=None)
    amps = max((p.amps for p in points if p.amps is not None), default=None)
    plate = speed_plate(facts, rules, amps)
    if fast is None or plate.rated_rpm is None or USUAL_NOLOAD_RPM.stated(facts.figures) is not None:
        return
    if not held_by_field(facts) or judge_unloaded(fast, plate, rules).grade != "not judged":
        return
    says = f"its speed, {fast / plate.rated_rpm:.0%} of its plate's, cannot be judged alone"
    if amps is None or not RATED_A.stated(facts.figures):
        yield f"its current without load, and that of its plate: {says}"
    if facts.construction != "permanent-magnet" and not field_read:
        yield f"its field by ohms or amps: {says}"


def _driven_fast(fast: float, facts: Facts, rules: MotorRules) -> Iterator[Measured]:
    """Yield what the speed of a generator says against its plate's: that is its working speed, but for one that a belt
    drives on a vehicle. Source: rules speed.driven-plan, speed.driven-stop
    """
    rated, stated = RATED_RPM.stated(facts.figures), PERMITTED_RPM.of(facts.figures)
    plan, stop = rules["speed.driven-plan"], rules["speed.driven-stop"]
    if rated is None:
        return
    words = f"{grouped(fast)} r/min, {fast / rated:.1%} of its plate's {grouped(rated)}"
    if fed_by_battery(facts):
        if stated is None and over(fast, stop * rated):
            yield unsure(
                f"{words}: not judged over {stop:g} times that, say its permitted speed.", value=fast, unit="r/min"
            )
        return
    rule, off = ("speed.driven-plan", "speed.driven-stop"), None
    of: dict[str, Any] = {"value": fast, "unit": "r/min", "low": 0.0, "high": plan * rated}
    if stated is not None and over(fast, stated):
        yield told(f"{words}.", value=fast, unit="r/min")  # its permitted speed says so itself
        return
    if stated is None and over(fast, stop * rated):
        off = RUN_OVERSPEED.worded(f"driven faster than it may turn: {words}, over {stop:g} times")
    elif over(fast, plan * rated):
        off = RUN_SPEED.worded(f"driven too fast: {words}; set the drive")
    yield told(f"{words}.", right=True, off=off, basis=by_rule(rules, *rule), rests_on=rule, **of)


def _lacking(facts: Facts, *, free: bool) -> str:
    """Return the figure without which its speed is not judged."""
    if facts.idles and facts.series and not facts.runs_away:
        return "its speed without load"
    if held_by_field(facts):
        return "the speed of its plate"
    return "the speed of its plate, or its permitted speed" if free else "its permitted speed"


def _unloaded(fast: float, plate: SpeedPlate, rules: MotorRules) -> Iterator[Measured]:
    judged = judge_unloaded(fast, plate, rules)
    of: dict[str, Any] = {"value": fast, "unit": "r/min", "rests_on": _UNLOADED}
    if judged.grade == "not judged":
        yield unsure(f"{judged.words}.", **of)
        return
    off = None
    if judged.grade == "stop" and plate.permitted_rpm is None:
        off = RUN_OVERSPEED.worded(f"faster than it may turn: {judged.words}")
    elif judged.grade in ("plan", "stop"):
        off = RUN_SPEED.worded(f"too fast without load: {judged.words}; weak field, or a wrong part")
    yield told(f"{judged.words}.", right=True, off=off, **of)


def current_told(facts: Facts, points: Sequence[Point], rules: MotorRules) -> Iterator[Measured]:
    """Yield what the current without load says against the plate's, of one whose speed its field holds. Source: rules
    noload.*
    """
    figures, amps = facts.figures, max((p.amps for p in points if p.amps is not None), default=None)
    plate = RATED_A.stated(figures)
    if amps is None or not plate or not held_by_field(facts):
        return
    words = f"{amps:g} A without load, {amps / plate:.0%} of its plate's {plate:g} A"
    of: dict[str, Any] = {"value": amps, "unit": "A", "low": 0.0}
    if over(amps, plate):
        off = RUN_OVERLOAD.worded(f"more current without load than its plate allows with it: {words}")
        yield told(f"{words}.", off=off, high=plate, basis="plate", **of)
    elif USUAL_NOLOAD_A.of(figures) is None and NOLOAD_A_MOST.of(figures) is None:
        power = RATED_W.stated(figures)
        most = unloaded_share(power, rules, heavy=facts.motor_class in _HEAVY)
        rule = ("noload.large", "noload.small")
        said = RUN_AMPS.worded(f"much current without load: {words}") if over(amps, most * plate) else None
        of |= {"high": most * plate, "basis": f"share of its plate; {by_rule(rules, *rule)}", "rests_on": rule}
        yield told(f"{words}, up to {most:.0%} is usual.", right=True, off=said, **of)
