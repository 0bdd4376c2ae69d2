"""What the measurements of supply, settings, battery and cables say: each with its judgement, rule and finding."""

from collections.abc import Iterator
from dataclasses import dataclass, replace

from norvash.core.edges import over, under, within
from norvash.core.motor.figure_fields import RATED_A
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.finding import Finding
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.stages.before import outside
from norvash.core.sheet.stages.before.fields import (
    BATTERY_C,
    CRANKING_A,
    CRANKING_V,
    DROP_RETURN_V,
    DROP_SUPPLY_V,
    JOINT_V,
    REST_V,
    SOURCE_V,
    STARTER_V,
    SUPPLY_V,
    TAP_V,
    TAPS_V,
)
from norvash.core.supply.battery import Battery, judge_battery
from norvash.core.supply.cables import drop_allowed_v
from norvash.core.supply.settings import Ladder, speed_ladder
from norvash.errors import InputError

_USUAL_BATTERY_V = 12.0
_SIDES = (
    (DROP_SUPPLY_V, "Supply side", outside.CABLE_SUPPLY),
    (DROP_RETURN_V, "Return side", outside.CABLE_RETURN),
    (JOINT_V, "Worst joint", outside.CABLE_JOINT),
)


@dataclass(frozen=True, slots=True)
class Judged:
    """One measurement with its judgement: words, whether it is right, the rules that say so, and the finding that it
    is, with its figures, None where it is none.
    """

    words: str
    right: bool
    rules: tuple[str, ...]
    finding: Finding | None = None


def rated_of(facts: Facts) -> float:
    """Return the voltage of the circuit [V]: of the plate, else of a usual battery."""
    return facts.rated_v or _USUAL_BATTERY_V


def say_settings(ladder: Ladder, judged: list[Judged], signs: dict[str, str]) -> None:
    """Say what the speed settings show; they say more of the switch than the supply before it."""
    fault = ladder.fault
    if fault:
        signs.pop("volts", None)
    signs["taps"] = fault if fault in ("one", "low", "miswired") else "low" if fault == "missing" else "no"
    found = outside.TAPS_MISWIRED if fault == "miswired" else outside.TAPS_OFF.saying(ladder.advice) if fault else None
    right = not fault and ladder.top_ok
    judged.append(Judged(f"Speed settings: {ladder.advice}.", right, ("taps.step", "taps.top"), found))


def say_supply(sheet: Sheet, rules: MotorRules, judged: list[Judged], signs: dict[str, str]) -> None:
    """Say what the volts at the motor's terminals are against its plate, and what is lost on the way there.

    Source: rules supply.low, supply.high, taps.dead
    """
    volts, rated = SUPPLY_V.of(sheet), sheet.facts.rated_v
    if volts is None:
        return
    if rated is None:
        dead = volts <= 1
        signs["volts"] = "missing" if dead else "right"
        words = f"{volts:g} V at the terminals; the plate's voltage is not known"
        judged.append(Judged(f"{words}.", not dead, (), outside.SUPPLY_OFF.saying(words) if dead else None))
        return
    share = volts / rated
    signs["volts"] = (
        "missing" if under(share, rules["taps.dead"]) else "low" if under(share, rules["supply.low"]) else "right"
    )
    lost = _lost_on_the_way(sheet, volts, rules)
    if lost is not None:
        judged.append(lost)
    what = {
        "missing": "missing: look upstream",
        "low": "low: measure the drops and the supply under load",
        "right": "high: look at the supply" if over(share, rules["supply.high"]) else "right",
    }[signs["volts"]]
    words = f"{volts:g} V at the terminals, {share:.0%} of the plate's {rated:g} V"
    right = within(rules["supply.low"], share, rules["supply.high"])
    # What is lost on the way says where; the volts at the end of it say no more of the supply.
    by_way = lost is not None and lost.finding is not None
    found = None if right or by_way else outside.SUPPLY_OFF.saying(f"{words}: {what.partition(':')[0]}")
    judged.append(Judged(f"{words}: {what}.", right, ("supply.low", "supply.high"), found))


def _lost_on_the_way(sheet: Sheet, volts: float, rules: MotorRules) -> Judged | None:
    """Return what is lost in switch and cord, None where it was not measured. Source: rule supply.low"""
    source = SOURCE_V.of(sheet)
    if source is None:
        return None
    much = over(volts, source) or under(volts, rules["supply.low"] * source)
    words = f"{source:g} V before switch and cord, {source - volts:.3g} V lost on the way"
    way = "too much: switch, cord and joints" if much else "as it may"
    return Judged(f"{words}: {way}.", not much, ("supply.low",), outside.CORD_LOSS.saying(words) if much else None)


def ladder_of(sheet: Sheet, rules: MotorRules) -> Ladder | None:
    """Return the judged speed settings once supply and all settings are measured, None before; those that were measured
    without their shares go on being judged by themselves.
    """
    taps, supply = sheet.facts.taps, SUPPLY_V.of(sheet)
    if not supply:
        return None
    volts = [TAP_V.of(sheet, n) for n in range(1, len(taps) + 1)]
    if taps and all(v is not None for v in volts):
        return speed_ladder(supply, [v for v in volts if v is not None], taps, rules)
    read = [v or 0.0 for v in TAPS_V.of(sheet)]
    if not read:
        return None
    bare = speed_ladder(supply, read, (None,) * len(read), rules)
    # Shares that are stated later never take away what stands without them.
    return speed_ladder(supply, read, taps, rules) if len(taps) == len(read) and not bare.fault else bare


def say_drops(sheet: Sheet, rules: MotorRules, judged: list[Judged], signs: dict[str, str]) -> None:
    """Say what each side and the worst joint drop at working current. Source: rules drop.side, drop.joint"""
    if all(field.of(sheet) is None for field, _, _ in _SIDES):
        return
    allowed = drop_allowed_v(rated_of(sheet.facts), rules)
    bad = False
    for field, words, found in _SIDES:
        volts = field.of(sheet)
        if volts is None:
            continue
        most, rule = (rules["drop.joint"], "drop.joint") if field is JOINT_V else (allowed, "drop.side")
        fine = not over(volts, most)
        bad = bad or not fine
        advice = "right" if fine else "clean and tighten the joints there, then the cable"
        said = f"{words} drops {volts:g} V, allowed {most:g} V"
        hot = _heated(sheet, volts, rules) if field is JOINT_V else None
        if hot is not None:
            bad = True
            judged.append(Judged(f"{said}; {hot.words}: {hot.decision}.", False, (rule, *_WATTS), hot))
            continue
        judged.append(Judged(f"{said}: {advice}.", fine, (rule,), None if fine else found.saying(_small(said))))
    signs["joint"] = "yes" if bad else "no"


_WATTS = ("joint.watts", "joint.watts-stop")


def _heated(sheet: Sheet, volts: float, rules: MotorRules) -> Finding | None:
    """Return a joint that turns too much into heat at the steady current of the plate, None where it does not, or where
    only bursts flow. Source: rules joint.watts, joint.watts-stop
    """
    amps = RATED_A.of(sheet.facts.figures)
    if amps is None or sheet.facts.motor_class == "starter":
        return None
    watts = volts * amps
    if not over(watts, rules["joint.watts"]):
        return None
    said = outside.CABLE_JOINT.saying(f"a joint drops {volts:g} V at {amps:g} A: {watts:.0f} W in it")
    return replace(said, grade="stop" if over(watts, rules["joint.watts-stop"]) else "change")


def _small(words: str) -> str:
    return f"{words[0].lower()}{words[1:]}"


def say_to_the_starter(sheet: Sheet, rules: MotorRules, judged: list[Judged], signs: dict[str, str]) -> None:
    """Say what is lost between battery and starter while it cranks, on both sides together. Source: rule drop.side"""
    battery, starter = CRANKING_V.of(sheet), STARTER_V.of(sheet)
    if battery is None or starter is None:
        return
    lost = battery - starter
    if over(starter, battery):
        words = f"{starter:g} V at the starter, {battery:g} V at the battery while cranking: check which is which."
        judged.append(Judged(words, False, ()))
        return
    most = 2 * drop_allowed_v(rated_of(sheet.facts), rules)
    fine = not over(lost, most)
    words = f"{lost:.2g} V lost between battery and starter, both sides allowed {most:g} V"
    if not fine:
        signs["joint"] = "yes"
    else:
        signs.setdefault("joint", "no")
    advice = "right" if fine else "measure each side, clean and tighten the joints there"
    judged.append(
        Judged(f"{words}: {advice}.", fine, ("drop.side",), None if fine else outside.CABLE_BOTH.saying(words))
    )


def say_battery(sheet: Sheet, rules: MotorRules, judged: list[Judged], signs: dict[str, str]) -> Battery | None:
    """Say what a battery holds at rest and while cranking, and return it judged, None where it was not measured.

    Source: rules battery.*
    """
    rest, cranking = REST_V.of(sheet), CRANKING_V.of(sheet)
    if rest is None and cranking is None:
        return None
    rated, temp = rated_of(sheet.facts), BATTERY_C.of(sheet)
    try:
        found = judge_battery(
            rated,
            rest,
            cranking,
            current_a=CRANKING_A.of(sheet),
            temperature_c=20.0 if temp is None else temp,
            rules=rules,
        )
    except InputError as error:
        judged.append(Judged(f"{error.problem} {error.remedy}", False, ("battery.cranking",)))
        return None
    if found.cranking_ok is not None:
        signs["cranking"] = "no" if found.cranking_ok else "yes"
    ids = ("battery.rest", "battery.cranking", "battery.cranking-zero", "battery.fall")
    inner = f"; inner resistance {found.inner_mohm:.1f} mΩ" if found.inner_mohm is not None else ""
    made = list(_battery_found(found, rest, cranking, rated * rules["battery.rest"] / _USUAL_BATTERY_V))
    unknown = cranking is not None and found.cranking_ok is None
    if unknown or not made:
        judged.append(Judged(f"Battery: {found.advice}{inner}.", not unknown, ids))
        inner = ""
    for said in made:
        judged.append(Judged(f"{said.words[0].upper()}{said.words[1:]}: {said.decision}{inner}.", False, ids, said))
        inner = ""
    return found


def _battery_found(found: Battery, rest: float | None, cranking: float | None, least_rest: float) -> Iterator[Finding]:
    """Yield what a battery is found to be: low at rest, too low while cranking.

    Units: [V]
    """
    if found.rest_ok is False and rest is not None:
        yield outside.BATTERY_LOW.saying(f"battery {rest:g} V at rest, under {least_rest:.3g} V")
    if found.cranking_ok is False and cranking is not None and found.least_v is not None:
        yield outside.BATTERY_WEAK.saying(f"battery {cranking:g} V while cranking, at least {found.least_v:.3g} V")
