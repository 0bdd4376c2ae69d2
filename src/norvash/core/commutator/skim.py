"""The cut: how deep, what is left, in which passes, at what speed, and what it changes for brushes and slots."""

from collections.abc import Sequence
from dataclasses import dataclass
from math import pi

from norvash.core.commutator.tools import SPEEDS
from norvash.core.edges import over, under, whole_down, whole_up
from norvash.core.rules.book import MotorRules
from norvash.errors import InputError


@dataclass(frozen=True, slots=True, kw_only=True)
class Copper:
    """A commutator before the cut, all in mm: smallest diameter of the reference surface, depths below it radial."""

    diameter: float
    least: float | None = None
    new: float | None = None
    groove: float = 0.0
    pit: float = 0.0
    tir: float = 0.0
    slot_depth: float | None = None
    slot_width: float | None = None
    slot_target: float | None = None
    flush: bool = False
    track: float | None = None
    gap: float | None = None
    span: float | None = None
    shaft: float | None = None
    loose: bool = False


@dataclass(frozen=True, slots=True, kw_only=True)
class Way:
    """How it is cut: radial depths [mm], cutting speed [m/min], feeds [mm/rev], the speeds of the machine and the most allowed [r/min]."""

    rough: float
    finish: float
    cutting_speed: float
    feed_rough: float
    feed_finish: float
    overrun: float
    speeds: tuple[float, ...] = ()
    rated_rpm: float | None = None
    pit_left: float = 0.0


@dataclass(frozen=True, slots=True)
class Depth:
    """A depth of cut with what it leaves; all [mm], radial unless named a diameter."""

    radial: float
    diameter_after: float
    allowed: bool
    under_by: float
    left: float
    skims_left: int


@dataclass(frozen=True, slots=True)
class Pass:
    """One pass: infeed, depth from first touch [mm radial], the diameter it leaves [mm], speed [r/min], feed, minutes."""

    number: int
    kind: str
    infeed: float
    total: float
    diameter: float
    speed: float | None
    feed: float
    minutes: float | None


@dataclass(frozen=True, slots=True)
class Plan:
    """A cut as planned; `chosen` is the depth that is cut, with pits left where that was asked for."""

    copper: Copper
    way: Way
    least: float
    provisional: bool
    full: Depth
    leaving: Depth | None
    chosen: Depth
    deepest: float
    touch: float
    rough_passes: int
    rough_pass: float
    passes: tuple[Pass, ...]
    speed_most: float
    speed: float | None
    cutting_min: float | None
    total_min: float | None
    sunk: float
    slot_after: float | None
    undercut_by: float | None
    undercut_to: float | None
    warnings: tuple[str, ...]


def way_of(
    tool: str, rules: MotorRules, speeds: Sequence[float] = (), rated_rpm: float | None = None, pit_left: float = 0.0
) -> Way:
    """Return the way of cutting that the rulebook gives for a tool.

    Source: rules cut.*
    """
    return Way(rough=rules["cut.rough"], finish=rules["cut.finish"], cutting_speed=rules[SPEEDS[tool]], feed_rough=rules["cut.feed-rough"],
               feed_finish=rules["cut.feed-finish"], overrun=rules["cut.overrun"], speeds=tuple(speeds), rated_rpm=rated_rpm, pit_left=pit_left)  # fmt: skip


def plan_cut(copper: Copper, way: Way, rules: MotorRules) -> Plan:
    """Return the plan of a cut; one that would end under the least diameter is refused in its depth, with the deepest allowed.

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
    passes = _passes(copper, way, touch, number, rough, speed) if chosen.allowed else ()
    minutes = [p.minutes for p in passes]
    cutting = None if None in minutes or not passes else sum(m for m in minutes if m is not None)
    sunk = chosen.radial - copper.groove
    slot_after, by, to = _slot(copper, chosen.radial, rules)
    if slot_after == 0.0:
        warnings.append("the cut takes the slots away: undercut every one of them before it runs")
    return Plan(copper, way, least, provisional, full, leaving, chosen, max((copper.diameter - least) / 2, 0.0), touch, number, rough, passes,
                most, speed, cutting, None if cutting is None else cutting + rules["cut.setting"], sunk, slot_after, by, to, tuple(warnings))  # fmt: skip


def _least(copper: Copper, rules: MotorRules) -> tuple[float, bool]:
    if copper.least is not None:
        return copper.least, False
    if copper.new is None:
        raise InputError("Neither the least diameter nor the new one is known.", "Give the maker's least diameter, or the new one for an estimate.", "diameter_min_mm")  # fmt: skip
    return rules["cut.least-share"] * copper.new, True


def _check(copper: Copper, way: Way, least: float) -> None:
    if not copper.diameter > 0:
        raise InputError("There is no diameter.", "Measure it and give it in mm.", "diameter_mm")
    if least > copper.diameter * 1.5:
        raise InputError(f"A least diameter of {least:g} mm does not go with {copper.diameter:g} mm.", "Check which of the two is wrong.", "diameter_min_mm")  # fmt: skip
    if copper.new is not None and over(copper.diameter, copper.new):
        raise InputError(
            f"{copper.diameter:g} mm now is over the new diameter of {copper.new:g} mm.",
            "Copper does not grow: check the two.",
            "diameter_new_mm",
        )
    if copper.new is not None and over(least, copper.new):
        raise InputError(f"The least diameter of {least:g} mm is over the new one of {copper.new:g} mm.", "Check which of the two is wrong.", "diameter_min_mm")  # fmt: skip
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
        radial, after, not under(after, least), max(least - after, 0.0), left, max(whole_down(left / radial), 0)
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


def _passes(copper: Copper, way: Way, touch: float, number: int, rough: float, speed: float | None) -> tuple[Pass, ...]:
    length = None if copper.track is None else copper.track + way.overrun
    first = copper.diameter + copper.tir
    made, total = [], 0.0
    finish = min(way.finish, touch)
    for i, (kind, infeed, feed) in enumerate([("rough", rough, way.feed_rough)] * number + [("finish", finish, way.feed_finish)], start=1):  # fmt: skip
        total += infeed
        minutes = None if length is None or speed is None else length / (feed * speed)
        made.append(Pass(i, kind, infeed, total, first - 2 * total, speed, feed, minutes))
    return tuple(made)


def slot_again_mm(diameter_mm: float | None, width_mm: float | None, rules: MotorRules) -> float:
    """Return the slot depth under which slots are undercut again, by the size of the commutator and the width of a slot.

    Units: [mm] -> [mm]. Source: rules slot.again, slot.again-small, slot.again-large, slot.small
    """
    small = diameter_mm is not None and under(diameter_mm, rules["slot.small"])
    least = rules["slot.again-small" if small else "slot.again-large"]
    return max(least, rules["slot.again"] * (width_mm or 0.0))


def slot_target_mm(copper: Copper, rules: MotorRules) -> float | None:
    """Return the depth to which slots are undercut: the stated one, else by their width; None where neither is known.

    Units: -> [mm]. Source: rules slot.depth, slot.depth-least, slot.depth-most
    """
    if copper.slot_target is not None:
        return copper.slot_target
    if copper.slot_width is None:
        return None
    return min(max(rules["slot.depth"] * copper.slot_width, rules["slot.depth-least"]), rules["slot.depth-most"])


def _slot(copper: Copper, radial: float, rules: MotorRules) -> tuple[float | None, float | None, float | None]:
    """Return the slot depth after the cut, by how much to undercut, and to what; flush types never."""
    if copper.flush or copper.slot_depth is None:
        return None, None, None
    after = max(copper.slot_depth - radial, 0.0)
    wanted = slot_target_mm(copper, rules)
    if wanted is None:
        return after, None, None
    enough = min(wanted, slot_again_mm(copper.diameter, copper.slot_width, rules))
    return after, (wanted - after if under(after, enough) else 0.0), wanted
