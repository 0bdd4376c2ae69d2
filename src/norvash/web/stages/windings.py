"""What the windings show: how insulation is tested, its trend, coils round their median."""

from dataclasses import dataclass

from norvash.core.judging.windings.measured import InsulationTest, held_to, slots_on_growler
from norvash.core.judging.windings.values import told_first
from norvash.core.motor.figure_fields import ARMATURE_SLOTS, BARS
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.sheet import Sheet
from norvash.core.windings.insulation import least_megohm
from norvash.drawing.running.insulation_trend import insulation_trend
from norvash.drawing.svg import Drawing
from norvash.web.stages.shown.at import At
from norvash.web.stages.shown.axis import AxisShown, axis_shown
from norvash.work.pages.insulation_record import insulation_record

_TREND = 380


@dataclass(frozen=True, slots=True)
class Windings:
    """How insulation is tested, the drawings, and the figures that are asked for first."""

    notes: tuple[str, ...]
    drawn: list[Drawing]
    asks: tuple[str, ...]
    axis: AxisShown


def view(at: At) -> Windings:
    """Return insulation with its trend, index, coils and heat of a sheet."""
    sheet, rules = at.shown.sheet, at.shown.context.rules
    tests = insulation_record(at.conn, at.shown)
    unknown = None in slots_on_growler(sheet).values()
    return Windings(
        told_first(sheet, rules),
        _insulation(sheet, tests, rules),
        (BARS.name, ARMATURE_SLOTS.name) if unknown else (),
        axis_shown(at),
    )


def _insulation(sheet: Sheet, tests: tuple[InsulationTest, ...], rules: MotorRules) -> list[Drawing]:
    """Return the tests of all years; what is there once lies at its field."""
    if len(tests) < 2 or not all(t.megohm > 0 for t in tests):
        return []
    tested = held_to(sheet, rules)
    least, at_40 = least_megohm(tested, rules), tested.way(rules) == "at 40 °C"
    return [insulation_trend(tests, least, rules["insulation.fall"], _TREND, at_40=at_40)]
