"""The copper as a sheet measured it, and the plan of its cut."""

from dataclasses import replace

from norvash.core.commutator.cut import Copper, Plan
from norvash.core.commutator.run_out import RunOut
from norvash.core.commutator.skim import plan_cut, way_of
from norvash.core.motor.figure_fields import (
    BEARING_SPAN_MM,
    COMMUTATOR_D_MIN_MM,
    COMMUTATOR_D_MM,
    HOLDER_GAP_MM,
    RATED_RPM,
    SHAFT_D_MM,
    SLOT_LEAST_MM,
    SLOT_WIDTH_MM,
    TRACK_MM,
    UNDERCUT_MM,
)
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.stages.commutator.cut import CUT_TOOL, LATHE_SPEEDS, PIT_LEFT, ROUGH_CUT
from norvash.core.sheet.stages.commutator.size import EARLIER_STEP, GROOVE, PIT, SHOULDER_D, SLOT_DEPTH, TRACK_D


def copper_of(sheet: Sheet, found: RunOut | None, *, loose: bool = False) -> Copper | None:
    """Return the copper as measured: from the shoulder where there is one, else from the track.

    None without a diameter.
    """
    figures = sheet.facts.figures
    track = [x for x in TRACK_D.of(sheet) if x is not None]
    groove = GROOVE.of(sheet) or 0.0
    shoulder = SHOULDER_D.of(sheet)
    if shoulder is None and not track:
        return None
    diameter = shoulder if shoulder is not None else min(track) + 2 * groove
    if shoulder is not None and track:
        groove = max(groove, (shoulder - min(track)) / 2)
    undercut = UNDERCUT_MM.stated(figures)
    return Copper(
        diameter_mm=diameter,
        least_diameter_mm=COMMUTATOR_D_MIN_MM.stated(figures),
        new_diameter_mm=COMMUTATOR_D_MM.stated(figures),
        groove_radial_mm=max(groove, EARLIER_STEP.of(sheet) or 0.0),
        pit_radial_mm=PIT.of(sheet) or 0.0,
        tir_mm=found.tir_mm if found is not None else 0.0,
        slot_depth_radial_mm=SLOT_DEPTH.of(sheet),
        slot_width_mm=SLOT_WIDTH_MM.stated(figures),
        slot_target_radial_mm=undercut or None,
        slot_least_radial_mm=SLOT_LEAST_MM.stated(figures),
        flush=undercut == 0,
        track_axial_mm=TRACK_MM.stated(figures),
        holder_gap_radial_mm=HOLDER_GAP_MM.stated(figures),
        bearing_span_mm=BEARING_SPAN_MM.stated(figures),
        shaft_diameter_mm=SHAFT_D_MM.stated(figures),
        loose=loose,
    )


def plan_of(sheet: Sheet, found: RunOut | None, rules: MotorRules, *, loose: bool = False) -> Plan | None:
    """Return the plan of a cut, None while no diameter is measured.

    Raises: InputError for figures that contradict each other.
    """
    copper = copper_of(sheet, found, loose=loose)
    if copper is None:
        return None
    speeds = tuple(x for x in LATHE_SPEEDS.of(sheet) if x is not None)
    way = way_of(
        CUT_TOOL.of(sheet) or "carbide", rules, speeds, RATED_RPM.stated(sheet.facts.figures), PIT_LEFT.of(sheet) or 0.0
    )
    rough = ROUGH_CUT.of(sheet)
    return plan_cut(copper, way if rough is None else replace(way, rough_radial_mm=rough), rules)
