"""Readings that can be read but are hard to believe: kept, and asked about."""

from collections.abc import Sequence
from dataclasses import dataclass
from math import hypot
from statistics import median

from norvash.core.brush.readings import Reading
from norvash.core.brush.renewal import Carbon, renewed
from norvash.core.brush.straight_line import Point
from norvash.core.edges import over, under
from norvash.core.rules.book import MotorRules

ANSWERS = (("right", "It is right"), ("mistyped", "Mistyped: measure again"), ("new set", "New brushes were fitted"))


@dataclass(frozen=True, slots=True)
class Doubt:
    """Why a reading is doubted, in words, with the rule."""

    kind: str
    words: str
    rule_id: str


def doubt_of(
    reading: Reading,
    start: Point,
    previous: Point | None,
    *,
    run_h: float,
    partners: Sequence[Point],
    rules: MotorRules,
    carbon: Carbon | None = None,
    fresh: bool = False,
) -> Doubt | None:
    """Return the first doubt about a reading, None when it agrees with all that is known.

    `fresh` is the first length of a brush that goes in: it may be what it is.

    Units: run_h in the motor's unit of use. Shape: partners are this round's other brushes as wear so far.
    Source: rules doubt.*
    """
    noise = rules["doubt.noise"]
    if over(reading.low_mm, start.length_mm + rules["new.tolerance"] + noise * hypot(reading.sd_mm, start.sd_mm)):
        return Doubt(
            "longer than new",
            f"{reading.length_mm:.2f} mm is longer than this brush was when new "
            f"({start.length_mm:.2f} mm). Mistyped, or another brush?",
            "doubt.noise",
        )
    if not fresh and previous is None and not over(run_h, start.run_h):
        unused = _worn_without_use(reading, start, rules)
        if unused is not None:
            return unused
    if previous is not None:
        new = _new_carbon(reading, previous, run_h, carbon, rules) if carbon else None
        against_last = new or _against_last(reading, start, previous, run_h, rules)
        if against_last is not None:
            return against_last
    return _against_partners(reading, start, partners, rules)


def _worn_without_use(reading: Reading, start: Point, rules: MotorRules) -> Doubt | None:
    """Return the question for how long a brush has run that is visibly worn at no use."""
    worn, noise = start.length_mm - reading.high_mm, rules["doubt.noise"] * hypot(reading.sd_mm, start.sd_mm)
    if not over(worn, max(rules["doubt.unused"] * start.length_mm, rules["new.tolerance"] + noise)):
        return None
    return Doubt(
        "worn without use",
        f"{worn:.2f} mm is worn, though by the record it has not run since it was new. For how long has it run? Say it"
        " under “Since when”, or measure again.",
        "doubt.unused",
    )


def _new_carbon(reading: Reading, previous: Point, run_h: float, carbon: Carbon, rules: MotorRules) -> Doubt | None:
    """Return the question whether the brush was changed without a record, where that is likely enough.

    A reading below what was to be expected is faster wear, never new carbon.
    """
    if not over(reading.length_mm, previous.length_mm - max(run_h - previous.run_h, 0.0) * carbon.rate_mm_per_unit):
        return None
    chance = renewed(reading.length_mm, reading.sd_mm, previous, run_units=run_h, carbon=carbon, rules=rules)
    if under(chance, rules["doubt.renewed-ask"]):
        return None
    sure = over(chance, rules["doubt.renewed-sure"])
    asked = "New brushes since, without a record?" if sure else "New brushes since, or one reading that is off?"
    return Doubt(
        "new brushes",
        f"{reading.length_mm:.2f} mm after {previous.length_mm:.2f} mm last time looks like new carbon "
        f"({chance:.0%}). {asked}",
        "doubt.renewed-sure" if sure else "doubt.renewed-ask",
    )


def _against_last(reading: Reading, start: Point, previous: Point, run_h: float, rules: MotorRules) -> Doubt | None:
    noise_mm = rules["doubt.noise"] * hypot(reading.sd_mm, previous.sd_mm)
    if over(reading.length_mm, previous.length_mm + noise_mm):
        return Doubt(
            "longer than last time",
            f"{reading.length_mm:.2f} mm is longer than last time "
            f"({previous.length_mm:.2f} mm). Mistyped, another brush, or a set changed without a record?",
            "doubt.noise",
        )
    ran_before = previous.run_h - start.run_h
    worn_before = start.length_mm - previous.length_mm
    if ran_before <= 0 or worn_before <= 0:
        return None
    expected = worn_before / ran_before * (run_h - previous.run_h)
    fell = previous.length_mm - reading.length_mm
    if over(fell, rules["doubt.fall"] * expected + noise_mm):
        was = f"{expected:.2f} mm was to be expected" if expected > 0 else "though it has not run since by its log"
        return Doubt(
            "fell sharply",
            f"{fell:.2f} mm gone since last time, {was}. Mistyped, or has something changed: load, commutator, spring?",
            "doubt.fall",
        )
    return None


def _against_partners(reading: Reading, start: Point, partners: Sequence[Point], rules: MotorRules) -> Doubt | None:
    if not partners:
        return None
    middle = median(p.length_mm for p in partners)
    wear = start.length_mm - reading.length_mm
    noise_mm = rules["doubt.noise"] * hypot(reading.sd_mm, max(p.sd_mm for p in partners))
    room = max(rules["doubt.partner"] * max(abs(middle), abs(wear)), noise_mm, rules["new.tolerance"])
    if not over(abs(wear - middle), room):
        return None
    return Doubt(
        "far from its partners",
        f"{wear:.2f} mm worn, its partners {middle:.2f} mm. Mistyped, or one holder that is not like the others?",
        "doubt.partner",
    )
