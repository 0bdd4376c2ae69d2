"""Windings by their resistance: how hot one is, the bars of a slot."""

from norvash.core.rules.book import MotorRules
from norvash.errors import InputError


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
