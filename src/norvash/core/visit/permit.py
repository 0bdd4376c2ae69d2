"""A test with power on as it is opened: who, why, barriers, how long, and whether the motor turns in it."""

from collections.abc import Mapping
from math import pi

from norvash.core.edges import over
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.records import DRIVEN, TURNS, PermitRecord
from norvash.core.stages.prove.volts import over_plate, too_much
from norvash.core.text.quantities import parse
from norvash.core.text.texts import clean
from norvash.errors import InputError, JudgedAgainst

MOST_TEXT = 400


def read_permit(more: Mapping[str, str], *, facts: Facts, rules: MotorRules) -> PermitRecord:
    """Return a permit for a test with power on: why, who, barriers, how long, and how it turns where that can hurt.

    Raises: InputError at the part that is missing, or that its construction forbids. Source: rules permit.minutes,
    run.start
    """
    who = part_of(more, "who", "Say who makes the test")
    barriers = part_of(more, "barriers", "Say what keeps people away")
    try:
        minutes = parse(part_of(more, "minutes", "Say for how long"), "minutes").value
    except InputError as error:
        raise error.at("minutes") from None
    if not minutes > 0 or over(minutes, rules["permit.minutes"]):
        raise InputError(
            f"{minutes:g} min cannot be permitted.",
            f"Open it for at most {rules['permit.minutes']:g} min, then open another.",
            "minutes",
        )
    said = float(f"{minutes:g}")
    if more.get("turns", "") == DRIVEN:
        rpm, at_stop = _driven(more)
        return PermitRecord(who=who, barriers=barriers, minutes=said, turns=DRIVEN, rpm=rpm, at_stop=at_stop)
    turns, volts = _turning(more, facts, rules)
    return PermitRecord(who=who, barriers=barriers, minutes=said, turns=turns, volts=volts)


def _driven(more: Mapping[str, str]) -> tuple[float, str]:
    """Return how fast a motor is driven from outside for work on its track [r/min], and who stands at the stop.

    Raises: InputError without either.
    """
    at_stop = part_of(more, "at_stop", "Say who stands at the stop")
    try:
        rpm = parse(part_of(more, "rpm", "Say how fast it is driven"), "speed").value
    except InputError as error:
        raise error.at("rpm") from None
    if not rpm > 0:
        raise InputError(f"{rpm:g} r/min is not possible.", "Say how fast it is driven.", "rpm")
    return rpm, at_stop


def refuse_surface(rpm: float, diameter_mm: float | None, rules: MotorRules) -> None:
    """Refuse a permit for work on a turning track without its diameter, or where its surface is then faster than a
    hand-held stone bears, with the speed that is allowed.

    Units: [r/min], [mm]. Raises: InputError. Source: rules dress.low, dress.high
    """
    if diameter_mm is None:
        raise InputError(
            "Its commutator's diameter is not known.",
            "Measure or state it first: the surface speed follows from it.",
            "rpm",
        )
    speed, most = pi * diameter_mm * rpm / 60_000, rules["dress.high"]
    if over(speed, most):
        raise JudgedAgainst(
            f"{speed:.2f} m/s of surface speed is too fast for a stone in the hand: {most:g} m/s at most.",
            f"Drive it at {60_000 * rules['dress.low'] / pi / diameter_mm:.0f} to"
            f" {60_000 * most / pi / diameter_mm:.0f} r/min.",
            "rpm",
        )


def _turning(more: Mapping[str, str], facts: Facts, rules: MotorRules) -> tuple[str, float | None]:
    """Return whether it turns in a test with power on, and the most volts that it gets then [V].

    Raises: InputError where its construction forbids it, with the voltage that is allowed.
    """
    turns = more.get("turns", "")
    if turns not in ("", *TURNS):
        raise InputError("That is not a way of turning.", "Choose one of " + ", ".join(TURNS.values()) + ".", "turns")
    if facts.motor_class == "generator" and turns in ("load", "free"):
        raise InputError("A generator is driven, not touched with power.", "Drive it from outside, guarded.", "turns")
    if facts.runs_away and not turns:
        raise InputError(
            "Without load this motor runs away.", "Say whether it turns, and whether with its load.", "turns"
        )
    unsaid = facts.idles and facts.asked_where and not facts.stands
    if turns == "free" and unsaid:
        raise InputError(
            "Nobody has said where it runs.",
            "Say first: in its machine, or bare. Bare it runs away without load.",
            "turns",
        )
    typed = more.get("volts", "").strip()
    if not typed and not (facts.runs_away and turns == "free"):
        return turns, None
    try:
        volts = parse(part_of(more, "volts", "Say how many volts it gets at most"), "voltage").value
    except InputError as error:
        raise error.at("volts") from None
    _refuse_volts(volts, turns, facts, rules)
    return turns, volts


def _refuse_volts(volts: float, turns: str, facts: Facts, rules: MotorRules) -> None:
    """Refuse more volts than its plate bears, or than it may get without load.

    Units: [V]. Raises: InputError. Source: rules supply.high, run.volts-battery, run.start
    """
    high = over_plate(volts, facts, rules) if turns else ""
    if high:
        raise JudgedAgainst(f"{high}.", "Set the supply first.", "volts")
    forbidden = too_much(volts, facts, rules, speed_read=False) if turns == "free" else ""
    if forbidden:
        raise JudgedAgainst(f"Without load {forbidden}.", "Give less, or couple its load.", "volts")


def part_of(more: Mapping[str, str], name: str, remedy: str) -> str:
    """Return a part of an entry that has to be there.

    Raises: InputError where it is missing or too long.
    """
    text = " ".join(clean(more.get(name, ""), name, note=True).split())
    if not text or len(text) > MOST_TEXT:
        raise InputError("Something is missing." if not text else "That is too long.", f"{remedy}.", name)
    return text
