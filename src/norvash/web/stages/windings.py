"""What the windings show: what they say, the trend of insulation, coils round their median."""

from dataclasses import dataclass
from statistics import median

from norvash.core.motor.figure_fields import ARMATURE_SLOTS, BARS
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.judging.windings.measured import (
    InsulationTest,
    coils_now,
    held_to,
    insulation_now,
    slots_on_growler,
)
from norvash.core.sheet.judging.windings.says import windings_say
from norvash.core.sheet.said import Said
from norvash.core.sheet.sheet import Sheet
from norvash.core.windings.insulation import Insulation, least_megohm
from norvash.drawing.band_scale import Banded, band_scale
from norvash.drawing.insulation_trend import insulation_trend
from norvash.drawing.svg import Drawing
from norvash.web.stages.at import DRAWN, At
from norvash.web.stages.axis import AxisShown, axis_shown
from norvash.work.insulation_record import insulation_record

_TREND = 380


@dataclass(frozen=True, slots=True)
class Windings:
    """What the windings say, their drawings, and the figures that are asked for first."""

    says: list[Said]
    drawn: list[Drawing]
    asks: tuple[str, ...]
    axis: AxisShown


def view(at: At) -> Windings:
    """Return insulation with its trend, index, coils and heat of a sheet."""
    sheet, rules = at.shown.sheet, at.shown.context.rules
    tests = insulation_record(at.conn, at.shown)
    unknown = None in slots_on_growler(sheet).values()
    return Windings(
        windings_say(sheet, rules),
        [*_insulation(sheet, tests, rules), *_coils(sheet, rules)],
        (BARS.name, ARMATURE_SLOTS.name) if unknown else (),
        axis_shown(at),
    )


def _insulation(sheet: Sheet, tests: tuple[InsulationTest, ...], rules: MotorRules) -> list[Drawing]:
    """Return the tests of all years, or the one there is against its least, as it was judged."""
    now, tested = insulation_now(sheet, rules), held_to(sheet, rules)
    if now is None and not tests:
        return []
    least, at_40 = least_megohm(tested, rules), tested.way(rules) == "at 40 °C"
    if len(tests) > 1 and all(t.megohm > 0 for t in tests):
        return [insulation_trend(tests, least, rules["insulation.fall"], _TREND, at_40=at_40)]
    return [_against_its_least(now, tests, least, at_40=at_40)]


def _against_its_least(
    now: Insulation | None, tests: tuple[InsulationTest, ...], least: float, *, at_40: bool
) -> Drawing:
    value = now.judged_megohm if now is not None else tests[-1].megohm
    words = "As measured" if not at_40 or now is None else "At 40 °C, as it counts"
    banded = Banded(words=words, unit="MΩ", value=value, low=least, high=1.2 * max(value, least))
    return band_scale("Insulation, from its least upwards", [banded], DRAWN)


def _coils(sheet: Sheet, rules: MotorRules) -> list[Drawing]:
    coils, off = coils_now(sheet, rules), rules["field.spread"]
    if coils is None:
        return []
    closed = [coils.at_20_ohm[n - 1] for n in coils.closed]
    if len(closed) < 2:
        return []
    middle = median(closed) if len(closed) > 2 else max(closed)
    low, high = middle * (1 - off), middle * (1 + off)
    rows = [Banded(words=f"Coil {n}", unit="Ω", value=coils.at_20_ohm[n - 1], low=low, high=high) for n in coils.closed]
    return [band_scale("Field coils in their band", rows, DRAWN)]
