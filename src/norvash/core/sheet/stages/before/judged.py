"""What the measurements before opening say: each with its judgement and its rule."""

from dataclasses import dataclass

from norvash.core.edges import over, under, within
from norvash.core.motor.figure_fields import RATED_A, TERMINAL_KIND, TERMINAL_OHM_MOST, USUAL_NOLOAD_A
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.field import SIDES
from norvash.core.sheet.said import Said
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.stages.before.fields import (
    BATTERY_C,
    CRANKING_A,
    CRANKING_V,
    DROP_RETURN_V,
    DROP_SUPPLY_V,
    JOINT_V,
    NOLOAD_A,
    NOLOAD_RPM,
    REST_V,
    SOURCE_V,
    SUPPLY_V,
    TAP_V,
    TAPS_V,
    TERMINAL_OHM,
    TERMINAL_STEP,
    TERMINAL_V,
)
from norvash.core.sheet.stages.prove.run_figures import slower_told
from norvash.core.supply.battery import Battery, judge_battery
from norvash.core.supply.cables import Terminal, drop_allowed_v, terminal_by_drop, terminal_by_ohm
from norvash.core.supply.settings import Ladder, speed_ladder
from norvash.errors import InputError

_USUAL_BATTERY_V = 12.0
_SIDES = ((DROP_SUPPLY_V, "Supply side"), (DROP_RETURN_V, "Return side"), (JOINT_V, "Worst joint"))


@dataclass(frozen=True, slots=True)
class Judged:
    """One measurement with its judgement: words, whether it is right, and the rules that say so; `wrong_before` is of
    what lies before the motor and is surely not right.
    """

    words: str
    right: bool
    rules: tuple[str, ...]
    wrong_before: bool = False


@dataclass(frozen=True, slots=True)
class Before:
    """All that was measured before opening, judged; the signs that follow from it."""

    judged: tuple[Judged, ...]
    ladder: Ladder | None
    battery: Battery | None
    signs: dict[str, str]


def rated_of(facts: Facts) -> float:
    """Return the voltage of the circuit [V]: of the plate, else of a usual battery."""
    return facts.rated_v or _USUAL_BATTERY_V


def judge_before(sheet: Sheet, rules: MotorRules) -> Before:
    """Judge the measurements before opening."""
    judged: list[Judged] = []
    signs: dict[str, str] = {}
    _supply(sheet, rules, judged, signs)
    ladder = ladder_of(sheet, rules)
    if ladder is not None:
        if ladder.fault:
            signs.pop("volts", None)  # the settings say more of the switch than the supply before it
        signs["taps"] = (
            ladder.fault if ladder.fault in ("one", "low", "miswired") else "low" if ladder.fault == "missing" else "no"
        )
        judged.append(
            Judged(f"Speed settings: {ladder.advice}.", not ladder.fault and ladder.top_ok, ("taps.step", "taps.top"))
        )
    _drops(sheet, rules, judged, signs)
    battery = _battery(sheet, rules, judged, signs)
    _terminals(sheet, rules, judged, signs)
    _amps(sheet, rules, judged, signs)
    slower = (x for x in slower_told(sheet.facts, NOLOAD_RPM.of(sheet), rules) if isinstance(x, Said))
    judged += [Judged(x.words, x.right is True, x.rules) for x in slower]
    _volts_by_current(signs)
    return Before(tuple(judged), ladder, battery, signs)


def _supply(sheet: Sheet, rules: MotorRules, judged: list[Judged], signs: dict[str, str]) -> None:
    volts, rated = SUPPLY_V.of(sheet), sheet.facts.rated_v
    if volts is None:
        return
    if rated is None:
        signs["volts"] = "missing" if volts <= 1 else "right"
        judged.append(Judged(f"{volts:g} V at the terminals; the plate's voltage is not known.", volts > 1, ()))
        return
    share = volts / rated
    signs["volts"] = (
        "missing" if under(share, rules["taps.dead"]) else "low" if under(share, rules["supply.low"]) else "right"
    )
    source = SOURCE_V.of(sheet)
    if source is not None:
        lost, much = source - volts, over(volts, source) or under(volts, rules["supply.low"] * source)
        way = "too much: switch, cord and joints" if much else "as it may"
        words = f"{source:g} V before switch and cord, {lost:g} V lost on the way: {way}."
        judged.append(Judged(words, not much, (), wrong_before=much))
    words = {
        "missing": "missing: look upstream",
        "low": "low: measure the drops and the supply under load",
        "right": "high: look at the supply" if over(share, rules["supply.high"]) else "right",
    }[signs["volts"]]
    right = within(rules["supply.low"], share, rules["supply.high"])
    judged.append(
        Judged(
            f"{volts:g} V at the terminals, {share:.0%} of the plate's {rated:g} V: {words}.",
            right,
            ("supply.low", "supply.high"),
            wrong_before=not right,
        )
    )


def ladder_of(sheet: Sheet, rules: MotorRules) -> Ladder | None:
    """Return the judged speed settings once supply and all settings are measured, None before."""
    taps, supply = sheet.facts.taps, SUPPLY_V.of(sheet)
    if not taps and supply and TAPS_V.of(sheet):
        read = [v or 0.0 for v in TAPS_V.of(sheet)]
        return speed_ladder(supply, read, (None,) * len(read), rules)
    volts = [TAP_V.of(sheet, n) for n in range(1, len(taps) + 1)]
    if not taps or not supply or any(v is None for v in volts):
        return None
    return speed_ladder(supply, [v for v in volts if v is not None], taps, rules)


def _drops(sheet: Sheet, rules: MotorRules, judged: list[Judged], signs: dict[str, str]) -> None:
    if all(field.of(sheet) is None for field, _ in _SIDES):
        return
    allowed = drop_allowed_v(rated_of(sheet.facts), rules)
    bad = False
    for field, words in _SIDES:
        volts = field.of(sheet)
        if volts is None:
            continue
        most, rule = (rules["drop.joint"], "drop.joint") if field is JOINT_V else (allowed, "drop.side")
        fine = not over(volts, most)
        bad = bad or not fine
        advice = "right" if fine else "clean and tighten the joints there, then the cable"
        said = f"{words} drops {volts:g} V, allowed {most:g} V: {advice}."
        judged.append(Judged(said, fine, (rule,), wrong_before=not fine))
    signs["joint"] = "yes" if bad else "no"


def _battery(sheet: Sheet, rules: MotorRules, judged: list[Judged], signs: dict[str, str]) -> Battery | None:
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
    words = found.advice + (f"; inner resistance {found.inner_mohm:.1f} mΩ" if found.inner_mohm is not None else "")
    judged.append(
        Judged(
            f"Battery: {words}.",
            found.rest_ok is not False
            and found.cranking_ok is not False
            and not (cranking is not None and found.cranking_ok is None),
            ("battery.rest", "battery.cranking", "battery.cranking-zero", "battery.fall"),
            wrong_before=found.rest_ok is False or found.cranking_ok is False,
        )
    )
    return found


def terminals_of(sheet: Sheet, rules: MotorRules) -> tuple[tuple[str, Terminal], ...]:
    """Return the terminals as they were measured, left and right apart, judged by drop and by resistance.

    Source: rules terminal.*
    """
    figures, made = sheet.facts.figures, []
    for place, side in enumerate(("", *SIDES)):
        ohm, volt = TERMINAL_OHM.of(sheet, place), TERMINAL_V.of(sheet, place)
        words = f"{side.capitalize()} terminal" if side else "Terminal"
        if volt is not None:  # volts decide where both were measured, but for one that is open
            made.append((words, terminal_by_drop(volt, rules)))
        if ohm is not None and (volt is None or is_open(ohm)):
            found = terminal_by_ohm(
                ohm,
                RATED_A.stated(figures),
                kind=TERMINAL_KIND.of(figures),
                step_ohm=TERMINAL_STEP.of(sheet),
                rules=rules,
                most_ohm=TERMINAL_OHM_MOST.stated(figures),
            )
            made.append((words, found))
    return tuple(made)


def is_open(ohm: float) -> bool:
    """Tell whether a terminal is open: over all that a meter shows."""
    return ohm >= TERMINAL_OHM.high


def _ohms(found: Terminal) -> str:
    """Return what was measured on a terminal."""
    return "open" if found.unit == "Ω" and is_open(found.value) else f"{found.value:g} {found.unit}"


def _terminals(sheet: Sheet, rules: MotorRules, judged: list[Judged], signs: dict[str, str]) -> None:
    for where, found in terminals_of(sheet, rules):
        if found.right is not None:
            signs["terminal-bad"] = "no" if found.right and signs.get("terminal-bad") != "yes" else "yes"
        allowed = "" if found.limit is None else f", allowed {found.limit:.3g} {found.unit}"
        judged.append(Judged(f"{where} {_ohms(found)}{allowed}: {found.words}.", found.right is True, found.rules))


def _amps(sheet: Sheet, rules: MotorRules, judged: list[Judged], signs: dict[str, str]) -> None:
    amps, usual = NOLOAD_A.of(sheet), USUAL_NOLOAD_A.of(sheet.facts.figures)
    if amps is None:
        return
    if usual is None:
        judged.append(
            Judged(
                f"{amps:g} A without load; what is usual is not known: keep this one as its own figure after a good"
                " repair.",
                True,
                (),
            )
        )
        return
    off = amps / usual - 1 if usual else 0.0
    band = rules["amps.band"]
    signs["amps"] = (
        "none"
        if under(amps, rules["amps.none"] * usual)
        else "low"
        if under(off, -band)
        else "high"
        if over(off, band)
        else "no"
    )
    words = {
        "none": "none: the circuit through the brushes is open",
        "low": "low: think of contact",
        "high": "high: think of drag or shorted turns",
        "no": "as usual",
    }[signs["amps"]]
    judged.append(
        Judged(f"{amps:g} A without load, usual {usual:g} A: {words}.", signs["amps"] == "no", ("amps.band",))
    )


def _volts_by_current(signs: dict[str, str]) -> None:
    """Say of low volts whether much or little current goes with them, where that was measured.

    It then counts once, not twice.
    """
    if signs.get("volts") == "low" and signs.get("amps") in ("none", "low", "high"):
        signs["volts"] = "low-high" if signs.pop("amps") == "high" else "low-low"
