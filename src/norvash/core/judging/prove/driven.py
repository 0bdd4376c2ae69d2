"""What drive and lamp of a generator say, what is done where it gives nothing, and what follows its refit."""

from collections.abc import Iterator

from norvash.core.edges import over
from norvash.core.judging.prove.output import output_answer
from norvash.core.judging.prove.points import points_of
from norvash.core.known import all_known
from norvash.core.motor.figure_fields import RATED_V
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.measured import Measured, follows
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.prove.driven import (
    DRIVEN_D,
    DRIVER_D,
    DRIVER_RPM,
    FLASHED,
    JOINED,
    LAMP_V,
    LAMP_W,
    excites_itself,
)
from norvash.core.stages.prove.run_fields import REGULATOR
from norvash.core.text.words import grouped


def driven_rpm(sheet: Sheet) -> float | None:
    """Return the speed that its pulleys give in its place [r/min], None where they are not known."""
    known = all_known(DRIVER_RPM.of(sheet), DRIVER_D.of(sheet), DRIVEN_D.of(sheet))
    return None if known is None or not known[2] else known[0] * known[1] / known[2]


def driven_told(sheet: Sheet, rules: MotorRules) -> Iterator[Measured]:
    """Yield what drive, lamp and joined terminals say, and where to look where it gives nothing.

    Source: rules output.*
    """
    rpm = driven_rpm(sheet)
    if rpm is not None:
        yield follows(f"In its place it turns {grouped(rpm)} r/min, as its pulleys give, without slip.")
    yield from _lamp(sheet)
    if JOINED.given(sheet) or REGULATOR.of(sheet) == "apart":
        yield follows("Without its regulator its volts rise with speed and nothing holds them: limit r/min.")
    answer = output_answer(sheet, rules)
    if answer == "good":
        yield follows("Good here and dead in its place: its regulator, or the wiring.")
    elif answer == "dead" and excites_itself(sheet.facts):
        asked = "" if FLASHED.given(sheet) else "; then flash its residual field, right polarity, and test again"
        yield follows(
            f"Brushes, field circuit and direction of turning first{asked}, before anything is rewound.", False
        )


def _lamp(sheet: Sheet) -> Iterator[Measured]:
    """Yield the current of a lamp, and which points were too much for it."""
    lamp = all_known(LAMP_W.of(sheet), LAMP_V.of(sheet))
    if lamp is None or not lamp[1]:
        return
    watts, volts = lamp
    plate = RATED_V.of(sheet.facts.figures)
    yield follows(f"A lamp of {volts:g} V and {watts:g} W takes {watts / volts:.2f} A; its volts limit the speed.")
    much = [p for p in points_of(sheet) if p.volts is not None and p.rpm is not None and over(p.volts, volts)]
    for point in much[:1]:
        yield follows(f"{grouped(point.rpm or 0)} r/min ({point.volts:g} V) is too much for the lamp.", False)
    if plate is not None and over(plate, volts):
        yield follows(f"The lamp bears {volts:g} V, the plate says {plate:g} V: take one for these volts.", False)
