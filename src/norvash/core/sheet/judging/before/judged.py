"""What the measurements before opening say: each with its judgement and its rule."""

from dataclasses import dataclass

from norvash.core.edges import over, under
from norvash.core.motor.figure_fields import RATED_A, TERMINAL_KIND, TERMINAL_OHM_MOST, USUAL_NOLOAD_A
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.field import SIDES
from norvash.core.sheet.judging.before.outside_judged import (
    Judged,
    ladder_of,
    say_battery,
    say_drops,
    say_settings,
    say_supply,
    say_to_the_starter,
)
from norvash.core.sheet.judging.prove.run_figures import slower_told
from norvash.core.sheet.said import Said
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.stages.before.fields import NOLOAD_A, NOLOAD_RPM, TERMINAL_OHM, TERMINAL_STEP, TERMINAL_V
from norvash.core.sheet.stages.brushes.springs import TERMINAL_MEASURED
from norvash.core.supply.battery import Battery
from norvash.core.supply.cables import Terminal, terminal_by_drop, terminal_by_ohm
from norvash.core.supply.settings import Ladder


@dataclass(frozen=True, slots=True)
class Before:
    """All that was measured before opening, judged; the signs that follow from it."""

    judged: tuple[Judged, ...]
    ladder: Ladder | None
    battery: Battery | None
    signs: dict[str, str]


def judge_before(sheet: Sheet, rules: MotorRules) -> Before:
    """Judge the measurements before opening."""
    judged: list[Judged] = []
    signs: dict[str, str] = {}
    say_supply(sheet, rules, judged, signs)
    ladder = ladder_of(sheet, rules)
    if ladder is not None:
        say_settings(ladder, judged, signs)
    say_drops(sheet, rules, judged, signs)
    battery = say_battery(sheet, rules, judged, signs)
    say_to_the_starter(sheet, rules, judged, signs)
    _terminals(sheet, rules, judged, signs)
    _amps(sheet, rules, judged, signs)
    slower = (x for x in slower_told(sheet.facts, NOLOAD_RPM.of(sheet), rules) if isinstance(x, Said))
    judged += [Judged(x.words, x.right is True, x.rules) for x in slower]
    _volts_by_current(signs)
    return Before(tuple(judged), ladder, battery, signs)


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
        words = f"{where} {_ohms(found)}{allowed}: {found.words}."
        bad = TERMINAL_MEASURED if found.right is False else None
        judged.append(Judged(words, found.right is True, found.rules, bad))


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
