"""The copper as a sheet measured it, and the plan of its cut."""

from collections.abc import Mapping
from dataclasses import replace

from norvash.core.commutator.after_cut import slot_minutes
from norvash.core.commutator.cut import Copper, Plan, Way
from norvash.core.commutator.run_out import RunOut
from norvash.core.commutator.skim import plan_cut, way_of
from norvash.core.commutator.tools import TOOLS
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
from norvash.core.stages.commutator.cut import CUT_TOOL, LATHE_SPEEDS, PIT_LEFT
from norvash.core.stages.commutator.cut_limits import (
    CUT_SPEED,
    CUT_TRAVEL,
    FEED_FINISH,
    FEED_ROUGH,
    FINISH_CUT,
    ROUGH_CUT,
    SLOT_SECONDS,
)
from norvash.core.stages.commutator.run_out import RUN_OUT_TOTAL
from norvash.core.stages.commutator.size import EARLIER_STEP, GROOVE, PIT, SHOULDER_D, SLOT_DEPTH, TRACK_D


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
        tir_mm=found.tir_mm if found is not None else RUN_OUT_TOTAL.of(sheet) or 0.0,
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
    way = way_of(_tool(sheet), rules, speeds, RATED_RPM.stated(sheet.facts.figures), PIT_LEFT.of(sheet) or 0.0)
    return plan_cut(copper, _with_own(way, sheet), rules)


def _with_own(way: Way, sheet: Sheet) -> Way:
    """Return a way of cutting with the limits that are stated for this cut; all others stay the rulebook's."""
    travel = CUT_TRAVEL.of(sheet)
    return replace(
        way,
        cutting_speed_m_per_min=CUT_SPEED.of(sheet) or way.cutting_speed_m_per_min,
        rough_radial_mm=ROUGH_CUT.of(sheet) or way.rough_radial_mm,
        finish_radial_mm=FINISH_CUT.of(sheet) or way.finish_radial_mm,
        rough_feed_mm_per_rev=FEED_ROUGH.of(sheet) or way.rough_feed_mm_per_rev,
        finish_feed_mm_per_rev=FEED_FINISH.of(sheet) or way.finish_feed_mm_per_rev,
        overrun_axial_mm=way.overrun_axial_mm if travel is None else travel,
    )


def lent_limits(sheet: Sheet, rules: MotorRules) -> Mapping[str, str]:
    """Return by field what the rulebook lends of the limits of a cut, in words.

    Source: rules cut.*, slot.seconds
    """
    way, tool = way_of(_tool(sheet), rules), TOOLS[_tool(sheet)]
    return {
        CUT_SPEED.id: f"{way.cutting_speed_m_per_min:g} m/min with {tool}",
        ROUGH_CUT.id: f"{way.rough_radial_mm:g} mm",
        FINISH_CUT.id: f"{way.finish_radial_mm:g} mm",
        FEED_ROUGH.id: f"{way.rough_feed_mm_per_rev:g} mm",
        FEED_FINISH.id: f"{way.finish_feed_mm_per_rev:g} mm",
        CUT_TRAVEL.id: f"{way.overrun_axial_mm:g} mm",
        SLOT_SECONDS.id: f"{rules['slot.seconds']:g} s",
    }


def slots_min(bars: int, sheet: Sheet, rules: MotorRules, factor: float = 1.0) -> float:
    """Return the time for all slots: by the seconds a slot that are stated for this cut, else as it takes here.

    Units: -> [min]. Source: rule slot.seconds
    """
    own = SLOT_SECONDS.of(sheet)
    return slot_minutes(bars, rules, factor) if own is None else bars * own / 60


def _tool(sheet: Sheet) -> str:
    return CUT_TOOL.of(sheet) or "carbide"
