"""Before the motor is blamed: speed taps, voltage drops, battery, terminals."""

from collections.abc import Sequence
from dataclasses import dataclass
from itertools import pairwise

from norvash.core.rules.book import MotorRules
from norvash.errors import InputError

_EDGE = 1e-9


@dataclass(frozen=True, slots=True)
class Ladder:
    """Measured speed settings against what each should be.

    Shares are of the supply; deviation is share over expected − 1 where known; bad and dead steps count from 1.
    """

    share: tuple[float, ...]
    expected_share: tuple[float | None, ...]
    deviation: tuple[float | None, ...]
    rising: bool
    top_drop_share: float
    top_ok: bool
    bad_steps: tuple[int, ...]
    dead_steps: tuple[int, ...]
    fault: str
    advice: str


def speed_ladder(
    supply_v: float, steps_v: Sequence[float], expected: Sequence[float | None], rules: MotorRules
) -> Ladder:
    """Judge the voltage of every speed setting, lowest first.

    Units: supply_v [V], steps_v [V], expected [1] share of the supply, None where nobody knows.
    Raises: InputError without steps, or when the two lists differ. Source: rules taps.*
    """
    if not supply_v > 0:
        raise InputError("There is no supply to measure against.", "Measure the supply first.", "supply_v")
    if not steps_v or len(expected) != len(steps_v):
        raise InputError(f"{len(steps_v)} steps are measured and {len(expected)} are expected.",
                         "Give one of each for every setting, lowest first.", "steps_v")  # fmt: skip
    share = tuple(v / supply_v for v in steps_v)
    off = tuple(s / e - 1 if e else None for s, e in zip(share, expected, strict=True))
    dead = tuple(i for i, s in enumerate(share, start=1) if s < rules["taps.dead"])
    top_drop = 1 - share[-1]
    top_ok = abs(top_drop) <= rules["taps.top"] + _EDGE
    bad = tuple(
        i for i, (s, o) in enumerate(zip(share, off, strict=True), start=1)
        if i in dead or (o is not None and abs(o) > rules["taps.step"] + _EDGE)
    )  # fmt: skip
    if not top_ok and len(share) not in bad:
        bad = (*bad, len(share))
    rising = all(b > a for a, b in pairwise(share))
    fault, advice = _ladder_words(len(share), off, bad, dead, rising)
    return Ladder(share, tuple(expected), off, rising, top_drop, top_ok, bad, dead, fault, advice)


def _ladder_words(
    count: int, off: tuple[float | None, ...], bad: tuple[int, ...], dead: tuple[int, ...], rising: bool
) -> tuple[str, str]:
    if len(dead) == count:
        return "missing", "nothing on any setting: look at supply, fuse and switch, not at the motor"
    if len(bad) > 1 and len(bad) == count and all(o is None or o < 0 for o in off):
        return "low", "every setting is low: look at the supply and its cable under load"
    if len(bad) == 1:
        state = "dead" if dead else "off"
        return (
            "one",
            f"step {bad[0]} is {state} and its neighbours are good: look at the switch or its resistor, not at the motor",
        )
    if not rising:
        return "miswired", "the settings do not rise from step to step: the switch is wired wrongly"
    if bad:
        return "one", f"steps {', '.join(map(str, bad))} are off: look at the switch and its resistors"
    return "", "the settings rise as they should"


def cable_drop_v(
    current_a: float, length_m: float, section_mm2: float, ways: int, temp_c: float, rules: MotorRules
) -> float:
    """Return the drop in a copper cable; ways 2 for there and back, 1 for a single lead.

    Units: current_a [A], length_m [m], section_mm2 [mm²], temp_c [°C] -> [V]
    Source: rules copper.resistivity, copper.coefficient
    """
    warm = 1 + rules["copper.coefficient"] * (temp_c - 20)
    return ways * current_a * rules["copper.resistivity"] * warm * length_m / section_mm2


def drop_allowed_v(rated_v: float, rules: MotorRules) -> float:
    """Return the drop allowed on each side of a circuit while cranking [V]; in proportion to 12 V. Source: rule drop.side"""
    return rules["drop.side"] * rated_v / 12


def least_cranking_v(rated_v: float, temp_c: float, rules: MotorRules) -> float:
    """Return the least battery voltage while cranking; only cold lowers it.

    Units: rated_v [V], temp_c [°C] -> [V]. Source: rules battery.cranking, battery.cold
    """
    colder = max(20.0 - temp_c, 0.0)
    return (rules["battery.cranking"] - rules["battery.cold"] * colder / 5) * rated_v / 12


@dataclass(frozen=True, slots=True)
class Battery:
    """A battery before a starter is condemned; None where it was not measured."""

    rest_ok: bool | None
    cranking_ok: bool | None
    least_v: float
    inner_mohm: float | None
    advice: str


def judge_battery(
    rated_v: float, rest_v: float | None, cranking_v: float | None, current_a: float | None, temp_c: float,
    rules: MotorRules,
) -> Battery:  # fmt: skip
    """Judge a battery by its volts at rest and while cranking.

    Raises: InputError when the volts rise under load. Source: rules battery.*
    """
    least = least_cranking_v(rated_v, temp_c, rules)
    if rest_v is not None and cranking_v is not None and cranking_v > rest_v:
        raise InputError("The volts rise while cranking.", "Check which value is which.", "cranking_v")
    rest_ok = None if rest_v is None else rest_v >= rules["battery.rest"] * rated_v / 12 - _EDGE
    cranking_ok = None if cranking_v is None else cranking_v >= least - _EDGE
    inner = None
    if rest_v is not None and cranking_v is not None and current_a:
        inner = 1000 * (rest_v - cranking_v) / current_a
    if rest_ok is False:
        advice = "charge the battery and try again before anything is condemned"
    elif cranking_ok is False:
        advice = f"under {least:.1f} V while cranking: battery, cables and joints first, not the starter"
    elif cranking_ok:
        advice = "the battery holds up while cranking: look further on"
    else:
        advice = "measure it while cranking: volts at rest prove little"
    return Battery(rest_ok, cranking_ok, least, inner, advice)
