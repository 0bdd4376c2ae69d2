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
    tool: str, rules: MotorRules, speeds: Sequence[float] = (), rated_rpm: float | None = None, pit_left: float = 0.0
) -> Way:
    """Return the way of cutting that the rulebook gives for a tool.

    Source: rules cut.*
    """
    return Way(
        rough=rules["cut.rough"],
        finish=rules["cut.finish"],
        cutting_speed=rules[SPEEDS[tool]],
        feed_rough=rules["cut.feed-rough"],
        feed_finish=rules["cut.feed-finish"],
        overrun=rules["cut.overrun"],
        speeds=tuple(speeds),
        rated_rpm=rated_rpm,
        pit_left=pit_left,
    )


def plan_cut(copper: Copper, way: Way, rules: MotorRules) -> Plan:
    """Return the plan of a cut; one that would end under the least diameter is refused in its depth, with the deepest
    allowed.

    Raises: InputError for figures that contradict each other, or where no least diameter can be had.
    Source: rules cut.*, slot.*
    """
    least, provisional = _least(copper, rules)
    _check(copper, way, least)
    full = _depth(copper, least, max(copper.groove, copper.pit), rules)
    leaving = None
    if way.pit_left > 0 and copper.pit > copper.groove:
        leaving = _depth(copper, least, max(copper.groove, copper.pit - way.pit_left), rules)
    chosen = leaving if leaving is not None else full
    touch = chosen.radial + copper.tir / 2
    number = whole_up((touch - way.finish) / way.rough) if over(touch, way.finish) else 0
    rough = (touch - way.finish) / number if number else 0.0
    most = 1000 * way.cutting_speed / (pi * copper.diameter)
    speed, warnings = _speed(way, most, copper, rules)
    passes = _passes(copper, way, touch, number=number, rough=rough, speed=speed) if chosen.allowed else ()
    minutes = [p.minutes for p in passes]
    cutting = None if None in minutes or not passes else sum(m for m in minutes if m is not None)
    sunk = chosen.radial - copper.groove
    slot_left, by, to = slot_after(copper, chosen.radial, rules)
    if slot_left == 0.0:
        warnings.append("the cut takes the slots away: undercut every one of them before it runs")
    return Plan(
        copper=copper,
        way=way,
        least=least,
        provisional=provisional,
        full=full,
        leaving=leaving,
        chosen=chosen,
        deepest=max((copper.diameter - least) / 2, 0.0),
        touch=touch,
        rough_passes=number,
        rough_pass=rough,
        passes=passes,
        speed_most=most,
        speed=speed,
        cutting_min=cutting,
        total_min=None if cutting is None else cutting + rules["cut.setting"],
        sunk=sunk,
        slot_after=slot_left,
        undercut_by=by,
        undercut_to=to,
        warnings=tuple(warnings),
    )


def _least(copper: Copper, rules: MotorRules) -> tuple[float, bool]:
    if copper.least is not None:
        return copper.least, False
    if copper.new is None:
        raise InputError(
            "Neither the least diameter nor the new one is known.",
            "Give the maker's least diameter, or the new one for an estimate.",
            "diameter_min_mm",
        )
    return rules["cut.least-share"] * copper.new, True


def _check(copper: Copper, way: Way, least: float) -> None:
    if not copper.diameter > 0:
        raise InputError("There is no diameter.", "Measure it and give it in mm.", "diameter_mm")
    if least > copper.diameter * 1.5:
        raise InputError(
            f"A least diameter of {least:g} mm does not go with {copper.diameter:g} mm.",
            "Check which of the two is wrong.",
            "diameter_min_mm",
        )
    if copper.new is not None and over(copper.diameter, copper.new):
        raise InputError(
            f"{copper.diameter:g} mm now is over the new diameter of {copper.new:g} mm.",
            "Copper does not grow: check the two.",
            "diameter_new_mm",
        )
    if copper.new is not None and over(least, copper.new):
        raise InputError(
            f"The least diameter of {least:g} mm is over the new one of {copper.new:g} mm.",
            "Check which of the two is wrong.",
            "diameter_min_mm",
        )
    for name, depth in (("groove_mm", copper.groove), ("pit_mm", copper.pit), ("tir_mm", copper.tir)):
        if depth > copper.diameter / 4:
            raise InputError(
                f"{depth:g} mm deep in {copper.diameter:g} mm cannot be.", "Depths are radial, in mm.", name
            )
    if way.finish > way.rough:
        raise InputError("The finish cut is deeper than a rough one.", "Give the finish cut less.", "finish_cut_mm")


def _depth(copper: Copper, least: float, deepest: float, rules: MotorRules) -> Depth:
    radial = deepest + copper.tir / 2 + rules["cut.clean"]
    after = copper.diameter - 2 * radial
    left = (after - least) / 2
    return Depth(
        radial=radial,
        diameter_after=after,
        allowed=not under(after, least),
        under_by=max(least - after, 0.0),
        left=left,
        skims_left=max(whole_down(left / radial), 0),
    )


def _speed(way: Way, most: float, copper: Copper, rules: MotorRules) -> tuple[float | None, list[str]]:
    warnings = []
    cap = min(most, way.rated_rpm) if way.rated_rpm else most
    if way.rated_rpm and over(most, way.rated_rpm):
        warnings.append(f"held at the armature's rated {way.rated_rpm:.0f} r/min, never over it")
    if copper.span is not None and copper.shaft is not None and over(copper.span, rules["cut.slender"] * copper.shaft):
        warnings.append("long and thin: support it, cut slower, watch for chatter; an unbalanced armature slower still")
    fitting = [s for s in way.speeds if not over(s, cap)]
    if way.speeds and not fitting:
        return None, [
            *warnings,
            f"every speed of the machine is over {cap:.0f} r/min: not on this machine with this tool",
        ]
    return (max(fitting) if fitting else cap), warnings


def _passes(
    copper: Copper, way: Way, touch: float, *, number: int, rough: float, speed: float | None
) -> tuple[Pass, ...]:
    length = None if copper.track is None else copper.track + way.overrun
    first = copper.diameter + copper.tir
    made, total = [], 0.0
    finish = min(way.finish, touch)
    for i, (kind, infeed, feed) in enumerate(
        [("rough", rough, way.feed_rough)] * number + [("finish", finish, way.feed_finish)], start=1
    ):
        total += infeed
        minutes = None if length is None or speed is None else length / (feed * speed)
        made.append(
            Pass(
                number=i,
                kind=kind,
                infeed=infeed,
                total=total,
                diameter=first - 2 * total,
                speed=speed,
                feed=feed,
                minutes=minutes,
            )
        )
    return tuple(made)
