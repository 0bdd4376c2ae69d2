"""A cut: the copper as it is, the way it is cut, and the plan with its passes."""

from dataclasses import dataclass


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
    """How it is cut: radial depths [mm], cutting speed [m/min], feeds [mm/rev], the speeds of the machine and the most
    allowed [r/min].
    """

    rough: float
    finish: float
    cutting_speed: float
    feed_rough: float
    feed_finish: float
    overrun: float
    speeds: tuple[float, ...] = ()
    rated_rpm: float | None = None
    pit_left: float = 0.0


@dataclass(frozen=True, slots=True, kw_only=True)
class Depth:
    """A depth of cut with what it leaves; all [mm], radial unless named a diameter."""

    radial: float
    diameter_after: float
    allowed: bool
    under_by: float
    left: float
    skims_left: int


@dataclass(frozen=True, slots=True, kw_only=True)
class Pass:
    """One pass: infeed, depth from first touch [mm radial], the diameter it leaves [mm], speed [r/min], feed,
    minutes.
    """

    number: int
    kind: str
    infeed: float
    total: float
    diameter: float
    speed: float | None
    feed: float
    minutes: float | None


@dataclass(frozen=True, slots=True, kw_only=True)
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
