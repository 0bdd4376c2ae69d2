"""Sums about the surface: the work that takes least off, and the cut with depth, passes, speed and what it changes."""

from dataclasses import dataclass, replace

from norvash.core.commutator.after_cut import slot_minutes, where_to_cut
from norvash.core.commutator.cut import Copper, Plan, Way
from norvash.core.commutator.result_words import plan_words
from norvash.core.commutator.skim import plan_cut, way_of
from norvash.core.commutator.surface import ABRASIVES, least_work
from norvash.core.commutator.tools import TOOLS
from norvash.core.edges import under
from norvash.core.rules.book import MotorRules
from norvash.core.sums.brush.loading import ask_class, for_class
from norvash.core.sums.registry import Sum, ask, gives, together
from norvash.core.text.words import listed
from norvash.errors import InputError

_LEAST_TRAVEL_MM = 1.0


@dataclass(frozen=True, slots=True, kw_only=True)
class SkimIn:
    """A commutator before a cut; every depth is radial, below the unworn shoulder."""

    commutator_d_mm: float = ask(
        "Smallest diameter of the shoulder",
        "length",
        above_low=True,
        high=5000,
        hint="no shoulder: the track, and groove 0",
        also=("diameter_mm",),
    )
    diameter_min_mm: float | None = ask("Least diameter", "length", default=None, above_low=True, high=5000)
    diameter_new_mm: float | None = ask("Diameter when new", "length", default=None, above_low=True, high=5000)
    groove_mm: float = ask("Groove, radial", "length", default=0.0, high=100)
    pit_mm: float = ask("Deepest pit, radial", "length", default=0.0, high=100, hint="a pit in a groove: both together")
    pit_left_mm: float = ask("Leave pits up to, radial", "length", default=0.0, high=100)
    tir_mm: float = ask("Total run-out", "length", default=0.0, high=10)
    rough_cut_mm: float | None = ask("Rough cut, radial", "length", default=None, low=0.001, high=0.25)
    finish_cut_mm: float | None = ask("Finish cut, radial", "length", default=None, low=0.001, high=0.25)
    tool: str = ask("Tool", "word", default="carbide", choices=tuple(TOOLS.items()))
    cutting_speed_m_per_min: float | None = ask("Cutting speed, m/min", "count", default=None, low=1, high=3000)
    lathe_speeds_rpm: list[float] | None = ask("Speeds of the machine", "speed", default=None, low=1, high=1e5)
    rated_rpm: float | None = ask("Rated speed of the armature", "speed", default=None, above_low=True, high=1e5)
    rough_feed_mm_per_rev: float | None = ask("Rough feed, mm a turn", "count", default=None, low=0.001, high=5)
    finish_feed_mm_per_rev: float | None = ask("Finish feed, mm a turn", "count", default=None, low=0.001, high=5)
    track_mm: float | None = ask("Length of the track", "length", default=None, above_low=True, high=2000)
    overrun_mm: float | None = ask(
        "Travel beyond the track, in all", "length", default=None, high=200, also=("run_out_mm",)
    )
    slot_width_mm: float | None = ask("Slot width", "length", default=None, above_low=True, high=20)
    slot_depth_mm: float | None = ask("Slot depth now, shallowest", "length", default=None, high=50)
    flush: bool = ask("Made with flush insulation", "yes", default=False)
    slot_least_mm: float | None = ask("Slot depth, never under", "length", default=None, above_low=True, high=20)
    slot_target_mm: float | None = ask("Slot depth aimed at", "length", default=None, above_low=True, high=20)
    bearing_span_mm: float | None = ask("From bearing to bearing", "length", default=None, above_low=True, high=10000)
    shaft_d_mm: float | None = ask("Shaft diameter", "length", default=None, above_low=True, high=1000)
    holder_gap_mm: float | None = ask("Holder gap", "length", default=None, high=50)
    motor_class: str | None = ask_class()
    bars: int | None = ask("Bars", "count", default=None, low=3, high=2000)


@dataclass(frozen=True, slots=True, kw_only=True)
class SkimOut:
    """The cut as planned; every depth is radial unless it is named a diameter."""

    radial_mm: float = gives("depth to clean up, radial")
    diameter_after_mm: float = gives("diameter after")
    allowed: bool = gives("allowed")
    under_minimum_by_mm: float | None = gives("under the least diameter by")
    deepest_cut_mm: float = gives("deepest cut allowed, radial")
    diameter_min_used_mm: float = gives("least diameter used")
    provisional: bool = gives("least diameter is an estimate")
    radial_leaving_pits_mm: float | None = gives("depth with pits left, radial")
    diameter_after_leaving_pits_mm: float | None = gives("diameter after that")
    allowed_leaving_pits: bool | None = gives("that is allowed")
    skims_left_leaving_pits: int | None = gives("cuts of that depth left")
    infeed_from_touch_mm: float = gives("infeed from first touch, radial")
    rough_passes: int = gives("rough passes")
    rough_pass_mm: float = gives("each, radial")
    finish_passes: int = gives("finish passes")
    speed_max_rpm: float = gives("fastest for the tool")
    speed_rpm: float | None = gives("speed of the machine")
    rough_pass_min: float | None = gives("a rough pass takes")
    finish_pass_min: float | None = gives("the finish pass takes")
    cutting_min: float | None = gives("cutting takes")
    total_min: float | None = gives("with setting up")
    slot_min: float | None = gives("slots take")
    copper_left_radial_mm: float = gives("copper left, radial")
    skims_left: int = gives("cuts of this depth left")
    slot_depth_after_mm: float | None = gives("slot depth after")
    undercut_by_mm: float | None = gives("undercut by")
    sunk_mm: float = gives("brush sinks by")
    holder_gap_after_mm: float | None = gives("holder gap after")
    face_radius_after_mm: float = gives("radius of the face after")
    warnings: tuple[str, ...] = gives("mind")
    advice: str
    rules: tuple[str, ...]


def planned(given: SkimIn, rules: MotorRules) -> Plan:
    """Return the plan of the given cut. Raises: InputError that names the field which cannot be so."""
    together(given, "bearing_span_mm", "shaft_d_mm")
    if given.overrun_mm and under(given.overrun_mm, _LEAST_TRAVEL_MM):
        raise InputError(
            f"{given.overrun_mm:g} mm is not a travel of a tool beyond the track.",
            "If it is the run-out, give it as the total run-out.",
            "overrun_mm",
        )
    copper = Copper(
        diameter_mm=given.commutator_d_mm,
        least_diameter_mm=given.diameter_min_mm,
        new_diameter_mm=given.diameter_new_mm,
        groove_radial_mm=given.groove_mm,
        pit_radial_mm=given.pit_mm,
        tir_mm=given.tir_mm,
        slot_depth_radial_mm=given.slot_depth_mm,
        slot_width_mm=given.slot_width_mm,
        slot_least_radial_mm=given.slot_least_mm,
        slot_target_radial_mm=given.slot_target_mm,
        bearing_span_mm=given.bearing_span_mm,
        shaft_diameter_mm=given.shaft_d_mm,
        flush=given.flush,
        track_axial_mm=given.track_mm,
        holder_gap_radial_mm=given.holder_gap_mm,
    )
    return plan_cut(copper, _way(given, rules), for_class(rules, given.motor_class))


def _way(given: SkimIn, rules: MotorRules) -> Way:
    if given.tool not in TOOLS:
        raise InputError(f"“{given.tool}” is not a tool here.", "Use " + ", ".join(TOOLS) + ".", "tool")
    way = way_of(given.tool, rules, given.lathe_speeds_rpm or (), given.rated_rpm, given.pit_left_mm)
    return replace(
        way,
        rough_radial_mm=given.rough_cut_mm or way.rough_radial_mm,
        finish_radial_mm=given.finish_cut_mm or way.finish_radial_mm,
        cutting_speed_m_per_min=given.cutting_speed_m_per_min or way.cutting_speed_m_per_min,
        rough_feed_mm_per_rev=given.rough_feed_mm_per_rev or way.rough_feed_mm_per_rev,
        finish_feed_mm_per_rev=given.finish_feed_mm_per_rev or way.finish_feed_mm_per_rev,
        overrun_axial_mm=way.overrun_axial_mm if given.overrun_mm is None else given.overrun_mm,
    )


def skim_plan(given: SkimIn, rules: MotorRules) -> SkimOut:
    """Return the plan of a cut; with pits left, both depths stand side by side and the full one comes first.

    Raises: InputError that names the field which cannot be so.
    """
    plan = planned(given, rules)
    full, leaving = plan.full, plan.leaving
    rough = next((p for p in plan.passes if p.kind == "rough"), None)
    where, why = where_to_cut(plan, rules)
    advice = plan_words(plan) + (
        "" if where == "own" or not (full.allowed or plan.chosen.allowed) else f"; to a motor shop: {listed(list(why))}"
    )
    if leaving is not None and leaving.allowed and not full.allowed:
        advice = (
            f"a full cut would end {full.under_by_diameter_mm:.3g} mm under the least diameter; leaving pits up to"
            f" {plan.way.pit_left_radial_mm:g} mm, " + advice
        )
    return SkimOut(
        radial_mm=full.radial_mm,
        diameter_after_mm=full.diameter_after_mm,
        allowed=full.allowed,
        under_minimum_by_mm=None if full.allowed else full.under_by_diameter_mm,
        deepest_cut_mm=plan.deepest_radial_mm,
        diameter_min_used_mm=plan.least_diameter_mm,
        provisional=plan.provisional,
        radial_leaving_pits_mm=leaving.radial_mm if leaving else None,
        diameter_after_leaving_pits_mm=leaving.diameter_after_mm if leaving else None,
        allowed_leaving_pits=leaving.allowed if leaving else None,
        skims_left_leaving_pits=leaving.skims_left if leaving else None,
        infeed_from_touch_mm=plan.touch_radial_mm,
        rough_passes=plan.rough_passes if plan.passes else 0,
        rough_pass_mm=plan.rough_pass_radial_mm if plan.passes else 0.0,
        finish_passes=1 if plan.passes else 0,
        speed_max_rpm=plan.speed_most_rpm,
        speed_rpm=plan.speed_rpm,
        rough_pass_min=rough.takes_min if rough else None,
        finish_pass_min=plan.passes[-1].takes_min if plan.passes else None,
        cutting_min=plan.cutting_min,
        total_min=plan.total_min,
        slot_min=slot_minutes(given.bars, rules) if given.bars and not given.flush and plan.passes else None,
        copper_left_radial_mm=full.left_radial_mm,
        skims_left=full.skims_left,
        slot_depth_after_mm=plan.slot_after_radial_mm,
        undercut_by_mm=plan.undercut_by_radial_mm,
        sunk_mm=plan.sunk_radial_mm,
        holder_gap_after_mm=None if given.holder_gap_mm is None else given.holder_gap_mm + plan.sunk_radial_mm,
        face_radius_after_mm=plan.chosen.diameter_after_mm / 2,
        warnings=plan.warnings,
        advice=advice,
        rules=("cut.clean", "cut.rough", "cut.finish", "cut.setting", "slot.depth", "school.skim"),
    )


_SIGNS = {
    "bar_fault": "fault",
    "high_mica": "mica",
    "loose_bars": "loose",
    "under_least": "under-least",
    "high_again": "high-again",
    "grooved": "groove",
    "tir_over": "tir-over",
    "burnt_shallow": "burnt-all",
    "light_dirt": "dirt",
}


@dataclass(frozen=True, slots=True, kw_only=True)
class SurfaceIn:
    """What is seen on a surface, and what somebody would like to clean it with."""

    bar_fault: bool = ask("A local burn, or a bar test not passed", "yes", default=False)
    loose_bars: bool = ask("Bars loose or lifted, insulation melted", "yes", default=False)
    under_least: bool = ask("Copper under its least diameter", "yes", default=False)
    high_again: bool = ask("Bars high again after a cut", "yes", default=False)
    grooved: bool = ask("Groove, step, pits, flat or high bars", "yes", default=False)
    tir_over: bool = ask("Run-out over its limit", "yes", default=False)
    high_mica: bool = ask("Mica level with the copper, or high", "yes", default=False)
    burnt_shallow: bool = ask("Burnt or rough all over, but shallow", "yes", default=False)
    light_dirt: bool = ask("Light dirt, light black, slight roughness", "yes", default=False)
    abrasive: str = ask(
        "To be cleaned with", "word", default="", choices=tuple((what, what) for what, _, _ in ABRASIVES)
    )


@dataclass(frozen=True, slots=True, kw_only=True)
class SurfaceOut:
    """The work that takes least off, why, how, and whether the abrasive may touch copper."""

    work: str = gives("work")
    because: str = gives("for")
    how: str
    mind: str = gives("mind")
    cleaned_by: str = gives("cleaned here by")
    abrasive_may: str | None = gives("the abrasive is")
    abrasive_why: str | None = gives("because")
    advice: str
    rules: tuple[str, ...]


def surface_work(given: SurfaceIn, rules: MotorRules) -> SurfaceOut:
    """Return what to do with a surface, least removal first.

    Raises: InputError that names the field which cannot be so.
    """
    work, why, school = least_work({sign for name, sign in _SIGNS.items() if getattr(given, name)}, rules)
    found = next(((may, reason) for what, may, reason in ABRASIVES if what == given.abrasive), None)
    if given.abrasive and found is None:
        raise InputError(
            f"“{given.abrasive}” is not known here.",
            "Use " + ", ".join(what for what, _, _ in ABRASIVES) + ".",
            "abrasive",
        )
    never = f"; {given.abrasive}: {found[0]}, {found[1]}" if found else ""
    return SurfaceOut(
        work=work.what,
        because=why,
        how=work.how,
        mind=work.mind,
        cleaned_by=school,
        abrasive_may=found[0] if found else None,
        abrasive_why=found[1] if found else None,
        advice=f"{work.what[0].lower()}{work.what[1:]}: {work.how}{never}",
        rules=("school.cleaning",),
    )


SUMS = (
    Sum(
        name="surface-work",
        title="What to do with the surface",
        words="The work that takes least copper off for what is seen, and what may touch it.",
        inputs=SurfaceIn,
        compute=surface_work,
        example={"burnt_shallow": True, "abrasive": "emery"},
    ),
    Sum(
        name="skim-plan",
        title="Cut of a commutator",
        words="How deep to cut, in which passes, at what speed, what is left, and what it changes.",
        inputs=SkimIn,
        compute=skim_plan,
        example={
            "commutator_d_mm": 96.4,
            "diameter_min_mm": 93.9,
            "groove_mm": 0.18,
            "pit_mm": 0.11,
            "tir_mm": 0.07,
            "lathe_speeds_rpm": [185, 355, 450, 560],
            "track_mm": 44.5,
            "slot_width_mm": 0.95,
            "slot_depth_mm": 0.84,
            "holder_gap_mm": 2.25,
            "bars": 87,
        },
    ),
)
