"""What a test at standstill tells: the resistance of the circuit, and what a start draws at full volts."""

from collections.abc import Iterator

from norvash.core.edges import over
from norvash.core.motor.figure_fields import GRADE_FAMILY
from norvash.core.rules.book import MotorRules
from norvash.core.rules.fitting import CONTACT_DROP
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.measured import Measured, follows
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.prove.standstill import STILL_A, STILL_S, STILL_V
from norvash.core.supply.cables import burst_mm2, steady_a
from norvash.core.supply.inrush import Standstill, inrush_a, section_mm2, standstill_ohm
from norvash.core.text.words import grouped
from norvash.errors import InputError


def pair_drop_v(facts: Facts, rules: MotorRules) -> float | None:
    """Return the drop of a pair of its brushes by their grade [V], None where nobody states the grade."""
    family = GRADE_FAMILY.stated(facts.figures)
    return rules[CONTACT_DROP.of(family)] if family else None


def still_ohm(sheet: Sheet, rules: MotorRules) -> float | None:
    """Return the resistance of the whole circuit [Ω] as it was at standstill; without the drop of its brushes it is the
    greatest that it can be. None where it was not tested, or at too few volts.
    """
    volts, amps = STILL_V.of(sheet), STILL_A.of(sheet)
    if volts is None or amps is None:
        return None
    try:
        return standstill_ohm(Standstill(v=volts, a=amps, drop_v=pair_drop_v(sheet.facts, rules) or 0.0))
    except InputError:
        return None


def standstill_told(sheet: Sheet, rules: MotorRules) -> Iterator[Measured]:
    """Yield what a test at standstill tells. Source: rules run.burst, cable.burst, cable.rest"""
    volts, amps, seconds = STILL_V.of(sheet), STILL_A.of(sheet), STILL_S.of(sheet)
    if volts is None or amps is None:
        return
    ohm, drop = still_ohm(sheet, rules), pair_drop_v(sheet.facts, rules)
    if ohm is None:
        yield follows(f"At {volts:g} V the brushes take half or more: nothing sure follows. Test at more volts.", False)
        return
    plate = sheet.facts.rated_v
    yield follows(f"R = {ohm:.4f} Ω, {volts:g} V and {amps:g} A at standstill" + _by(drop) + ".")
    if seconds is not None and over(seconds, rules["run.burst"]):
        yield follows(
            f"A burst of {seconds:g} s is too long: {rules['run.burst']:g} s at most.", False, rests_on=("run.burst",)
        )
    if plate is None:
        yield follows("What a start draws is not judged: state the volts of its plate.")
        return
    start = inrush_a(plate, ohm, drop or 0.0)
    least = burst_mm2(start, rules["run.burst"], rules)
    long_a = steady_a(start, rules["run.burst"], rules["cable.rest"])
    fitting = section_mm2(least, long_a, rules)
    lead = f"a lead of {fitting:g} mm² bears its bursts" if fitting else "no lead of the table bears its bursts"
    sure = "" if drop is not None else "at least "
    yield follows(
        f"A start at {plate:g} V draws {sure}{grouped(start)} A; {lead} of {rules['run.burst']:g} s with"
        f" {rules['cable.rest']:g} s of rest. Switch and fuse: against what stands on them.",
        rests_on=("run.burst", "cable.burst", "cable.rest"),
    )


def _by(drop: float | None) -> str:
    return (
        ", the drop of its brushes not known: state their grade"
        if drop is None
        else f", {drop:g} V of it in the brushes"
    )
