"""What a sum's page draws beside its figures."""

from collections.abc import Callable, Sequence
from datetime import datetime
from math import inf
from typing import Any

from norvash.core.brush.holders import clearances_mm
from norvash.core.motor.classes import TEMPLATES
from norvash.core.motor.figures import Figures
from norvash.core.motor.positions import even_positions
from norvash.core.rules.book import MotorRules
from norvash.core.state.motor_state import BrushSet, MotorState
from norvash.core.state.round import Measured, Round
from norvash.core.state.ruler import Ruler, RulerBrush
from norvash.core.sums.before.before_opening import BatteryIn, BatteryOut, CableIn, CableOut, LadderIn, LadderOut
from norvash.core.sums.before.cause import CauseIn, CauseOut
from norvash.core.sums.brush.carbon import CarbonIn, CarbonOut
from norvash.core.sums.brush.fitting import FitIn, FitOut, SeatingIn, SeatingOut
from norvash.core.sums.brush.limit import LimitIn, LimitOut
from norvash.core.sums.brush.line import LineIn, LineOut, SpreadIn, SpreadOut, lists_of, wear_of
from norvash.core.sums.brush.loading import DensityIn, DensityOut, PressureIn, PressureOut
from norvash.core.sums.money.intervals import RunsIn, RunsOut, TableIn, TableOut, looked_up
from norvash.core.verdict.judging import findings
from norvash.drawing.brush.brush_sheet import BrushPlan, brush_sheet
from norvash.drawing.brush.carbon_ruler import carbon_ruler
from norvash.drawing.brush.face_contact import Contact, face_contact
from norvash.drawing.brush.wear_bars import wear_bars
from norvash.drawing.days.interval_grid import interval_grid
from norvash.drawing.days.life_line import life_line
from norvash.drawing.running.speed_ladder import speed_ladder_drawn
from norvash.drawing.scales.band_scale import Banded, band_scale
from norvash.drawing.scales.cause_bars import cause_bars
from norvash.drawing.svg import Drawing
from norvash.web.drawn import copper as copper_drawings
from norvash.web.drawn import money as money_drawings
from norvash.web.drawn import parts as part_drawings
from norvash.web.drawn import proof as proof_drawings

WIDE, PHONE = 580.0, 346.0
_MOST_CAUSES = 7
_ANY_DAY = datetime(2000, 1, 1)


def is_drawn(name: str) -> bool:
    """Tell whether a sum has a drawing."""
    return name in _MAKERS


def sum_drawing(name: str, given: Any, result: Any, rules: MotorRules, width: float) -> Drawing | None:
    """Return the drawing of a worked sum at a width [px], None where its figures leave nothing to draw."""
    maker = _MAKERS.get(name)
    return maker(given, result, rules, width) if maker else None


def _carbon(given: CarbonIn, result: CarbonOut, rules: MotorRules, width: float) -> Drawing | None:
    """Return the ruler of one brush; a depth is drawn once its constant makes it a length."""
    new_mm, limit_mm, constant = given.new_mm, given.limit_mm, given.depth_constant_mm
    if constant is not None and given.depth_new_mm is not None and given.depth_limit_mm is not None:
        new_mm, limit_mm = constant - given.depth_new_mm, constant - given.depth_limit_mm
    if result.length_mm is None or new_mm is None or limit_mm is None:
        return None
    brush = RulerBrush("now", result.length_mm, None)
    return carbon_ruler(
        Ruler(new_mm=new_mm, limit_mm=limit_mm + given.sunk_mm, estimated=False, unit="mm", brushes=(brush,)),
        width,
        40,
        dimensions=True,
    )


def _limit(given: LimitIn, result: LimitOut, rules: MotorRules, width: float) -> Drawing:
    if given.thickness_mm is None or given.width_mm is None:
        ruler = Ruler(
            new_mm=given.new_mm,
            limit_mm=result.limit_mm,
            estimated=result.estimated,
            unit="mm",
            brushes=(RulerBrush("new", given.new_mm, None),),
        )
        return carbon_ruler(ruler, width, 40, dimensions=True)
    plan = BrushPlan(
        new_mm=given.new_mm,
        thickness_mm=given.thickness_mm,
        width_mm=given.width_mm,
        limit_mm=result.limit_mm,
        limit_basis=result.source,
        estimated=result.estimated,
        commutator_d_mm=0.0,
        wear_lines_mm=(),
        lead_root_mm=given.lead_root_depth_mm,
    )
    return brush_sheet(plan, width, 320)


def _line(given: LineIn, result: LineOut, rules: MotorRules, width: float) -> Drawing | None:
    """Return the life line of the given lengths, as of a motor with this one set."""
    starts, before, now = lists_of(given, rules)
    sd = given.standard_uncertainty_mm or rules["instrument.digital-caliper"]
    rounds = [_round("fitting", given.start_run_h, starts, sd)]
    if given.previous_run_h is not None:
        rounds.append(_round("check", given.previous_run_h, before, sd))
    rounds.append(_round("check", given.run_h, now, sd))
    figures = Figures(
        {"new_mm": max(starts), "limit_mm": given.limit_mm, "limit_source": "as given"},
        {},
        TEMPLATES["industrial"].lends,
    )
    fitted = BrushSet(
        number=1,
        fitted_at=_ANY_DAY,
        fitted_units=given.start_run_h,
        fitted_known=True,
        ended_at=None,
        ended_units=None,
        end_reason="",
        rounds=tuple(rounds),
    )
    state = MotorState(figures=figures, positions=even_positions(len(now)), sets=(fitted,), entries=(), rate=None)
    return life_line(findings(state, rules, _ANY_DAY.date()), state, width, 300)


def _round(kind: str, run_h: float, lengths: Sequence[float | None], sd: float) -> Round:
    readings = {
        i: Measured(length_mm=mm, sd_mm=sd, low_mm=mm, high_mm=mm)
        for i, mm in enumerate(lengths, start=1)
        if mm is not None
    }
    return Round(id=kind, at=_ANY_DAY, total_units=run_h, kind=kind, finished=True, readings=readings)


def _spread(given: SpreadIn, result: SpreadOut, rules: MotorRules, width: float) -> Drawing:
    return wear_bars(wear_of(given, rules), result.mean_wear_mm, result.spread_limit, result.outliers, width)


def _pressure(given: PressureIn, result: PressureOut, rules: MotorRules, width: float) -> Drawing:
    row = Banded(
        words="Spring pressure",
        unit="kPa",
        value=result.pressure_kpa,
        low=result.band_low_kpa,
        high=result.band_high_kpa,
    )
    return band_scale("Pressure in its band", (row,), width)


def _density(given: DensityIn, result: DensityOut, rules: MotorRules, width: float) -> Drawing:
    bedding = result.density_bedding_a_per_cm2 if given.contact_share < 1 else None
    rows = [
        Banded(
            words="Current density",
            unit="A/cm²",
            value=result.density_a_per_cm2,
            low=result.guide_low_a_per_cm2,
            high=result.guide_high_a_per_cm2,
            also=bedding,
            also_words="while bedding in",
        )
    ]
    if result.bars_covered is not None:
        rows.append(
            Banded(
                words="Bars covered", unit="", value=result.bars_covered, low=rules["bars.low"], high=rules["bars.high"]
            )
        )
    return band_scale("Figures in their bands", rows, width)


def _fit(given: FitIn, result: FitOut, rules: MotorRules, width: float) -> Drawing:
    rows = [
        _clearance("Clearance along the rotation", result.clearance_thickness_mm, given.thickness_mm, rules),
        _clearance("Clearance along the shaft", result.clearance_width_mm, given.width_mm, rules),
    ]
    if given.holder_gap_mm is not None:
        rows.append(
            Banded(
                words="Holder gap", unit="mm", value=given.holder_gap_mm, low=result.gap_low_mm, high=result.gap_high_mm
            )
        )
    return band_scale("Clearances in their bands", rows, width)


def _clearance(words: str, clearance_mm: float, brush_mm: float, rules: MotorRules) -> Banded:
    low, high = clearances_mm(brush_mm, rules)
    return Banded(words=words, unit="mm", value=clearance_mm, low=low, high=high)


def _seating(given: SeatingIn, result: SeatingOut, rules: MotorRules, width: float) -> Drawing:
    shaped = given.rod_d_mm / 2 + given.paper_mm if given.rod_d_mm is not None else given.face_radius_mm
    radius = inf if shaped is None else shaped
    contact = Contact(given.commutator_d_mm, given.thickness_mm, radius, given.worn_mm, result.contact_share)
    return face_contact(contact, min(width, 460))


def _table(given: TableIn, result: TableOut, rules: MotorRules, width: float) -> Drawing:
    table, _, cells = looked_up(given)
    return interval_grid(table, [(c.row, c.column) for c in cells], "h", width)


def _ladder(given: LadderIn, result: LadderOut, rules: MotorRules, width: float) -> Drawing:
    return speed_ladder_drawn(result.share, result.expected_share, result.bad_steps, rules["taps.step"], width)


def _cable(given: CableIn, result: CableOut, rules: MotorRules, width: float) -> Drawing:
    rows = (
        Banded(words="Drop in the cable", unit="V", value=result.drop_v, low=0.0, high=result.allowed_v),
        Banded(words="Current that it carries for long", unit="A", value=result.steady_a, low=0.0, high=result.load_a),
    )
    return band_scale("Drop and load against what is allowed", rows, width)


def _battery(given: BatteryIn, result: BatteryOut, rules: MotorRules, width: float) -> Drawing:
    rows = []
    if given.rest_v is not None:
        rows.append(
            Banded(
                words="At rest",
                unit="V",
                value=given.rest_v,
                low=rules["battery.rest"] * given.rated_v / 12,
                high=given.rated_v * 1.25,
            )
        )
    if given.cranking_v is not None:
        rows.append(
            Banded(
                words="While cranking", unit="V", value=given.cranking_v, low=result.least_v, high=given.rated_v * 1.25
            )
        )
    return band_scale("Battery, volts", rows, width)


def _causes(given: CauseIn, result: CauseOut, rules: MotorRules, width: float) -> Drawing:
    ranked = list(zip(result.cause_words, result.chances, strict=True))[:_MOST_CAUSES]
    return cause_bars(ranked, rules["diagnosis.sure"], width)


def _runs(given: RunsIn, result: RunsOut, rules: MotorRules, width: float) -> Drawing | None:
    """Return where the whole runs end, and where one more would, between the use now and what is due."""
    if given.use_now >= result.due_first:
        return None
    ends = (("Whole runs end at", result.ends_at), ("One more would end at", result.next_would_end_at))
    rows = [Banded(words=w, unit="", value=at, low=given.use_now, high=result.due_first) for w, at in ends]
    return band_scale("From the use now to what is due", rows, width)


_MAKERS: dict[str, Callable[[Any, Any, MotorRules, float], Drawing | None]] = {
    "usable-carbon": _carbon,
    "brush-limit": _limit,
    "straight-line": _line,
    "set-spread": _spread,
    "spring-pressure": _pressure,
    "current-density": _density,
    "holder-fit": _fit,
    "seating": _seating,
    "interval-table": _table,
    "whole-runs": _runs,
    "speed-ladder": _ladder,
    "cable-drop": _cable,
    "battery": _battery,
    "find-cause": _causes,
    "run-in": proof_drawings.run_in_drawn,
    "safe-speed": proof_drawings.safe_drawn,
    "inrush": proof_drawings.inrush_drawn,
    "no-load-speed": proof_drawings.no_load_drawn,
    "field-current": proof_drawings.field_drawn,
    "pulley": proof_drawings.pulley_drawn,
    "generator-output": proof_drawings.output_drawn,
    "balance": proof_drawings.balance_drawn,
    "regrease": proof_drawings.regrease_drawn,
    "stack-check": part_drawings.stack_drawn,
    "torque": part_drawings.torque_drawn,
    "fit": part_drawings.fit_drawn,
    "surface-speed": part_drawings.speed_drawn,
    "bar-volts": part_drawings.bar_volts_drawn,
    "offered-part": part_drawings.offered_drawn,
    "landed-price": money_drawings.landed_drawn,
    "pack-price": money_drawings.packs_drawn,
    "repair-or-replace": money_drawings.repair_drawn,
    "bar-map": copper_drawings.map_drawn,
    "run-out": copper_drawings.rose_drawn,
    "bar-test": copper_drawings.bar_test_drawn,
    "skim-plan": copper_drawings.cut_drawn,
    "insulation": copper_drawings.insulation_drawn,
    "field-coils": copper_drawings.coils_drawn,
    "bearing-designation": copper_drawings.number_drawn,
    "bearing-life": copper_drawings.life_drawn,
    "kit-fit": copper_drawings.kit_drawn,
    "end-float": copper_drawings.float_drawn,
    "vibration": copper_drawings.vibration_drawn,
}
