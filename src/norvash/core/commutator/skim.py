"""The cut: how deep, what is left, in which passes, at what speed, and what it changes for brushes and slots."""

from collections.abc import Sequence
from math import pi

from norvash.core.commutator.cut import Copper, Depth, Pass, Plan, Way
from norvash.core.commutator.slots import slot_after
from norvash.core.commutator.tools import SPEEDS
from norvash.core.edges import over, under, whole_down, whole_up
from norvash.core.rules.book import MotorRules
from norvash.errors import InputError


def way_of(
    tool: str,
    rules: MotorRules,
    speeds_rpm: Sequence[float] = (),
    rated_rpm: float | None = None,
    pit_left_radial_mm: float = 0.0,
) -> Way:
    """Return the way of cutting that the rulebook gives for a tool.

    Units: speeds_rpm, rated_rpm [r/min], pit_left_radial_mm [mm]
    Source: rules cut.*
    """
    return Way(
        rough_radial_mm=rules["cut.rough"],
        finish_radial_mm=rules["cut.finish"],
        cutting_speed_m_per_min=rules[SPEEDS[tool]],
        rough_feed_mm_per_rev=rules["cut.feed-rough"],
        finish_feed_mm_per_rev=rules["cut.feed-finish"],
        overrun_axial_mm=rules["cut.overrun"],
        speeds_rpm=tuple(speeds_rpm),
        rated_rpm=rated_rpm,
        pit_left_radial_mm=pit_left_radial_mm,
    )


def plan_cut(copper: Copper, way: Way, rules: MotorRules) -> Plan:
    """Return the plan of a cut; one that would end under the least diameter is refused in its depth, with the deepest
    allowed.

    Raises: InputError for figures that contradict each other, or where no least diameter can be had.
    Source: rules cut.*, slot.*
    """
    least, provisional = _least(copper, rules)
    _check(copper, way, least, rules)
    full = _depth(copper, least, max(copper.groove_radial_mm, copper.pit_radial_mm), rules)
    leaving = None
    if way.pit_left_radial_mm > 0 and over(copper.pit_radial_mm, copper.groove_radial_mm):
        leaving = _depth(
            copper, least, max(copper.groove_radial_mm, copper.pit_radial_mm - way.pit_left_radial_mm), rules
        )
    chosen = leaving if leaving is not None else full
    touch = chosen.radial_mm + copper.tir_mm / 2
    number = whole_up((touch - way.finish_radial_mm) / way.rough_radial_mm) if over(touch, way.finish_radial_mm) else 0
    rough = (touch - way.finish_radial_mm) / number if number else 0.0
    most = 1000 * way.cutting_speed_m_per_min / (pi * copper.diameter_mm)
    speed, warnings = _speed(way, most, copper, rules)
    passes = (
        _passes(copper, way, touch, number=number, rough_radial_mm=rough, speed_rpm=speed) if chosen.allowed else ()
    )
    minutes = [p.takes_min for p in passes]
    cutting = None if None in minutes or not passes else sum(m for m in minutes if m is not None)
    sunk = chosen.radial_mm - copper.groove_radial_mm
    slot_left, by, to = slot_after(copper, chosen.radial_mm, rules)
    if slot_left == 0.0:
        warnings.append("the cut takes the slots away: undercut every one of them before it runs")
    return Plan(
        copper=copper,
        way=way,
        least_diameter_mm=least,
        provisional=provisional,
        full=full,
        leaving=leaving,
        chosen=chosen,
        deepest_radial_mm=max((copper.diameter_mm - least) / 2, 0.0),
        touch_radial_mm=touch,
        rough_passes=number,
        rough_pass_radial_mm=rough,
        passes=passes,
        speed_most_rpm=most,
        speed_rpm=speed,
        cutting_min=cutting,
        total_min=None if cutting is None else cutting + rules["cut.setting"],
        sunk_radial_mm=sunk,
        slot_after_radial_mm=slot_left,
        undercut_by_radial_mm=by,
        undercut_to_radial_mm=to,
        warnings=tuple(warnings),
    )


def _least(copper: Copper, rules: MotorRules) -> tuple[float, bool]:
    if copper.least_diameter_mm is not None:
        return copper.least_diameter_mm, False
    if copper.new_diameter_mm is None:
        raise InputError(
            "Neither the least diameter nor the new one is known.",
            "Give the maker's least diameter, or the new one for an estimate.",
            "diameter_min_mm",
        )
    return rules["cut.least-share"] * copper.new_diameter_mm, True


def _check(copper: Copper, way: Way, least_diameter_mm: float, rules: MotorRules) -> None:
    if not copper.diameter_mm > 0:
        raise InputError("There is no diameter.", "Measure it and give it in mm.", "diameter_mm")
    if over(least_diameter_mm, copper.diameter_mm * rules["cut.least-most"]):
        raise InputError(
            f"A least diameter of {least_diameter_mm:g} mm does not go with {copper.diameter_mm:g} mm.",
            "Check which of the two is wrong.",
            "diameter_min_mm",
        )
    if copper.new_diameter_mm is not None and over(copper.diameter_mm, copper.new_diameter_mm):
        raise InputError(
            f"{copper.diameter_mm:g} mm now is over the new diameter of {copper.new_diameter_mm:g} mm.",
            "Copper does not grow: check the two.",
            "diameter_new_mm",
        )
    if copper.new_diameter_mm is not None and over(least_diameter_mm, copper.new_diameter_mm):
        raise InputError(
            f"The least diameter of {least_diameter_mm:g} mm is over the new one of {copper.new_diameter_mm:g} mm.",
            "Check which of the two is wrong.",
            "diameter_min_mm",
        )
    for name, depth in (
        ("groove_mm", copper.groove_radial_mm),
        ("pit_mm", copper.pit_radial_mm),
        ("tir_mm", copper.tir_mm),
    ):
        if over(depth, copper.diameter_mm * rules["cut.depth-most"]):
            raise InputError(
                f"{depth:g} mm deep in {copper.diameter_mm:g} mm is not possible.", "Depths are radial, in mm.", name
            )
    if over(way.finish_radial_mm, way.rough_radial_mm):
        raise InputError("The finish cut is deeper than a rough one.", "Give the finish cut less.", "finish_cut_mm")


def _depth(copper: Copper, least_diameter_mm: float, deepest_radial_mm: float, rules: MotorRules) -> Depth:
    radial = deepest_radial_mm + copper.tir_mm / 2 + rules["cut.clean"]
    after = copper.diameter_mm - 2 * radial
    left = (after - least_diameter_mm) / 2
    return Depth(
        radial_mm=radial,
        diameter_after_mm=after,
        allowed=not under(after, least_diameter_mm),
        under_by_diameter_mm=max(least_diameter_mm - after, 0.0),
        left_radial_mm=left,
        skims_left=max(whole_down(left / radial), 0),
    )


def _speed(way: Way, most_rpm: float, copper: Copper, rules: MotorRules) -> tuple[float | None, list[str]]:
    warnings = []
    cap = min(most_rpm, way.rated_rpm) if way.rated_rpm else most_rpm
    if way.rated_rpm and over(most_rpm, way.rated_rpm):
        warnings.append(f"held at the armature's rated {way.rated_rpm:.0f} r/min, never over it")
    if (
        copper.bearing_span_mm is not None
        and copper.shaft_diameter_mm is not None
        and over(copper.bearing_span_mm, rules["cut.slender"] * copper.shaft_diameter_mm)
    ):
        warnings.append("long and thin: support it, cut slower, watch for chatter; an unbalanced armature slower still")
    fitting = [s for s in way.speeds_rpm if not over(s, cap)]
    if way.speeds_rpm and not fitting:
        return None, [
            *warnings,
            f"every speed of the machine is over {cap:.0f} r/min: not on this machine with this tool",
        ]
    return (max(fitting) if fitting else cap), warnings


def _passes(
    copper: Copper, way: Way, touch_radial_mm: float, *, number: int, rough_radial_mm: float, speed_rpm: float | None
) -> tuple[Pass, ...]:
    length = None if copper.track_axial_mm is None else copper.track_axial_mm + way.overrun_axial_mm
    first = copper.diameter_mm + copper.tir_mm
    made, total = [], 0.0
    finish = min(way.finish_radial_mm, touch_radial_mm)
    for i, (kind, infeed, feed) in enumerate(
        [("rough", rough_radial_mm, way.rough_feed_mm_per_rev)] * number
        + [("finish", finish, way.finish_feed_mm_per_rev)],
        start=1,
    ):
        total += infeed
        minutes = None if length is None or speed_rpm is None else length / (feed * speed_rpm)
        made.append(
            Pass(
                number=i,
                kind=kind,
                infeed_radial_mm=infeed,
                total_radial_mm=total,
                diameter_mm=first - 2 * total,
                speed_rpm=speed_rpm,
                feed_mm_per_rev=feed,
                takes_min=minutes,
            )
        )
    return tuple(made)
