"""What each side, and the worst joint, loses at working current."""

from collections.abc import Iterator
from dataclasses import replace

from norvash.core.edges import over
from norvash.core.motor.figure_fields import RATED_A
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.finding import Finding
from norvash.core.sheet.measured import Derived, Measured, by_rule, standing_of, value_of
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.before import outside
from norvash.core.stages.before.fields import CRANKING_V, DROP_RETURN_V, DROP_SUPPLY_V, JOINT_V, STARTER_V
from norvash.core.supply.cables import drop_allowed_v

_USUAL_BATTERY_V = 12.0
_SIDES = (
    (DROP_SUPPLY_V, "Supply side", outside.CABLE_SUPPLY),
    (DROP_RETURN_V, "Return side", outside.CABLE_RETURN),
    (JOINT_V, "Worst joint", outside.CABLE_JOINT),
)
_OF_DROP = ("drop.side", "drop.share", "drop.low-voltage", "rated_v")
_WATTS = ("joint.watts", "joint.watts-stop")


def rated_of(facts: Facts) -> float:
    """Return the voltage of the circuit [V]: of the plate, else of a usual battery."""
    return facts.rated_v or _USUAL_BATTERY_V


def drops_measured(sheet: Sheet, rules: MotorRules) -> Iterator[Measured]:
    """Yield what each side and the worst joint drop at working current, and what is lost between battery and starter.

    Source: rules drop.side, drop.joint, joint.watts, joint.watts-stop
    """
    allowed = drop_allowed_v(rated_of(sheet.facts), rules)
    for field, words, found in _SIDES:
        volts = field.of(sheet)
        if volts is None:
            continue
        most, ids = (rules["drop.joint"], ("drop.joint", *_WATTS)) if field is JOINT_V else (allowed, _OF_DROP)
        fine = not over(volts, most)
        said = f"{words} drops {volts:g} V, allowed {most:g} V"
        watts = _watts(sheet, volts) if field is JOINT_V else None
        hot = _heated(sheet, volts, watts, rules)
        bad = hot or (None if fine else found.worded(f"{said[0].lower()}{said[1:]}"))
        does = f"; {hot.words}: {hot.decision}" if hot is not None else f": {'right' if fine else found.decision}"
        yield value_of(
            field,
            f"{said}{does}.",
            standing_of(bad is None),
            value=volts,
            unit="V",
            low=0.0,
            high=most,
            basis=by_rule(rules, "drop.joint" if field is JOINT_V else "drop.side"),
            derived=() if watts is None else (Derived("heat in it", watts, "W"),),
            findings=() if bad is None else (bad,),
            answer=("joint", "no" if bad is None else "yes"),
            rests_on=ids,
        )
    yield from _to_the_starter(sheet, allowed, rules)


def _watts(sheet: Sheet, volts: float) -> float | None:
    """Return what a joint turns into heat at the steady current of the plate [W], None where only bursts flow."""
    amps = RATED_A.of(sheet.facts.figures)
    return None if amps is None or sheet.facts.motor_class == "starter" else volts * amps


def _heated(sheet: Sheet, volts: float, watts: float | None, rules: MotorRules) -> Finding | None:
    """Return a joint that turns too much into heat, None where it does not. Source: rules joint.watts,
    joint.watts-stop
    """
    if watts is None or not over(watts, rules["joint.watts"]):
        return None
    amps = RATED_A.of(sheet.facts.figures)
    said = outside.CABLE_JOINT.worded(f"a joint drops {volts:g} V at {amps:g} A: {watts:.0f} W in it")
    return replace(said, grade="stop" if over(watts, rules["joint.watts-stop"]) else "change")


def _to_the_starter(sheet: Sheet, allowed: float, rules: MotorRules) -> Iterator[Measured]:
    """Yield what is lost between battery and starter while it cranks, on both sides together. Source: rule drop.side"""
    battery, starter = CRANKING_V.of(sheet), STARTER_V.of(sheet)
    if battery is None or starter is None:
        return
    of, lost, most = ((CRANKING_V.id, 0), (STARTER_V.id, 0)), battery - starter, 2 * allowed
    if not sheet.of_one_sight(*of):
        words = "Battery and starter were not read in one cranking: read both again, as left, while it cranks."
        yield Measured(id="cable-lost", of=of, words=words, standing="not judged")
        return
    if over(starter, battery):
        words = f"{starter:g} V at the starter, {battery:g} V at the battery while cranking: check which is which."
        yield Measured(id="cable-lost", of=of, words=words, standing="not judged")
        return
    fine = not over(lost, most)
    words = f"{lost:.2g} V lost between battery and starter, both sides allowed {most:g} V"
    yield Measured(
        id="cable-lost",
        of=of,
        words=f"{words}: {'right' if fine else outside.CABLE_BOTH.decision}.",
        standing=standing_of(fine),
        value=lost,
        unit="V",
        low=0.0,
        high=most,
        basis=by_rule(rules, "drop.side"),
        findings=() if fine else (outside.CABLE_BOTH.worded(words),),
        answer=("joint", "no" if fine else "yes"),
        rests_on=_OF_DROP,
    )
