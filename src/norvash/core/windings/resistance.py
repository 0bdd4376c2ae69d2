"""Windings by their resistance: coils against each other, temperature rise, the bars of a slot."""

from collections.abc import Sequence
from dataclasses import dataclass
from statistics import median

from norvash.core.edges import over
from norvash.core.rules.book import MotorRules
from norvash.core.text.words import listed
from norvash.errors import InputError


@dataclass(frozen=True, slots=True)
class Coils:
    """Field coils at 20 °C [Ω], their deviation from the median [1], and every one that is off, from 1."""

    at_20_ohm: tuple[float, ...]
    deviations: tuple[float, ...]
    off: tuple[int, ...]
    spread: float

    @property
    def words(self) -> str:
        """Return what they say in one sentence; of two unlike coils nobody can tell which one is off."""
        if not self.off:
            return "the coils agree"
        if len(self.at_20_ohm) == 2:
            return (
                f"the two coils differ by {self.spread:.1%}: one has shorted turns or the other a poor joint, it is not"
                " known which"
            )
        each = listed([f"{n} ({self.deviations[n - 1]:+.1%})" for n in self.off])
        return f"coil{'s' * (len(self.off) > 1)} {each} off the median: shorted turns if low, a poor joint if high"


def judge_coils(each_ohm: Sequence[float], temperature_c: float, rules: MotorRules) -> Coils:
    """Return field coils, each held against the median of all.

    Units: [Ω], [°C]. Raises: InputError for fewer than two. Source: rules field.spread, field.coefficient
    """
    if len(each_ohm) < 2 or min(each_ohm) <= 0:
        raise InputError(
            "Two coils at least are needed, each with a resistance.", "Give the resistance of every coil.", "coils_ohm"
        )
    at_20 = tuple(x / (1 + rules["field.coefficient"] * (temperature_c - 20)) for x in each_ohm)
    middle = median(at_20)
    off = tuple(x / middle - 1 for x in at_20)
    spread = max(at_20) / min(at_20) - 1
    if len(each_ohm) == 2:
        odd: tuple[int, ...] = (1, 2) if over(spread, rules["field.spread"]) else ()
    else:
        odd = tuple(i for i, d in enumerate(off, start=1) if over(abs(d), rules["field.spread"]))
    return Coils(at_20, off, odd, spread)


def winding_c(cold_ohm: float, cold_c: float, hot_ohm: float, rules: MotorRules) -> float:
    """Return the temperature of a copper winding from its resistance cold and hot.

    Units: [Ω], [°C] -> [°C]. Raises: InputError without a cold resistance, or for what no winding can reach.
    Source: rule copper.zero

    >>> from norvash.core.rules.catalogue import shipped
    >>> round(winding_c(1.0, 20.0, 1.2, shipped()), 1)
    70.9
    """
    if not cold_ohm > 0:
        raise InputError("The cold resistance is nothing.", "Measure it cold, in Ω.", "cold_ohm")
    zero = rules["copper.zero"]
    hot_c = hot_ohm / cold_ohm * (zero + cold_c) - zero
    if not -60 <= hot_c <= 300:
        raise InputError(
            f"By its resistance the winding would be at {hot_c:.0f} °C, which is not possible.",
            "Check the two resistances.",
            "hot_ohm",
        )
    return hot_c


def bars_of_slot(slot: int, bars: int, slots: int) -> tuple[int, int] | None:
    """Return the first and last bar over a slot of the armature, slot 1 starting at bar 1.

    None where they do not go in.

    >>> bars_of_slot(7, 87, 29), bars_of_slot(30, 87, 29), bars_of_slot(1, 87, 30)
    ((19, 21), None, None)
    """
    if bars % slots or not 1 <= slot <= slots:
        return None
    per = bars // slots
    return (slot - 1) * per + 1, slot * per
