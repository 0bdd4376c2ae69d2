"""A cut: the copper as it is, the way it is cut, and the plan with its passes."""

from dataclasses import dataclass


@dataclass(frozen=True, slots=True, kw_only=True)
class Copper:
    """A commutator before the cut, all in mm: smallest diameter of the reference surface, depths below it radial."""

    diameter_mm: float
    least_diameter_mm: float | None = None
    new_diameter_mm: float | None = None
    groove_radial_mm: float = 0.0
    pit_radial_mm: float = 0.0
    tir_mm: float = 0.0
    slot_depth_radial_mm: float | None = None
    slot_width_mm: float | None = None
    slot_target_radial_mm: float | None = None
    slot_least_radial_mm: float | None = None
    flush: bool = False
    track_axial_mm: float | None = None
    holder_gap_radial_mm: float | None = None
    bearing_span_mm: float | None = None
    shaft_diameter_mm: float | None = None
    loose: bool = False


@dataclass(frozen=True, slots=True, kw_only=True)
class Way:
    """How it is cut: radial depths [mm], cutting speed [m/min], feeds [mm/rev], the speeds of the machine and the most
    allowed [r/min].
    """

    rough_radial_mm: float
    finish_radial_mm: float
    cutting_speed_m_per_min: float
    rough_feed_mm_per_rev: float
    finish_feed_mm_per_rev: float
    overrun_axial_mm: float
    speeds_rpm: tuple[float, ...] = ()
    rated_rpm: float | None = None
    pit_left_radial_mm: float = 0.0


@dataclass(frozen=True, slots=True, kw_only=True)
class Depth:
    """A depth of cut with what it leaves; all [mm], radial unless named a diameter."""

    radial_mm: float
    diameter_after_mm: float
    allowed: bool
    under_by_diameter_mm: float
    left_radial_mm: float
    skims_left: int


@dataclass(frozen=True, slots=True, kw_only=True)
class Pass:
    """One pass: infeed, depth from first touch [mm radial], the diameter it leaves [mm], speed [r/min], feed,
    minutes.
    """

    number: int
    kind: str
    infeed_radial_mm: float
    total_radial_mm: float
    diameter_mm: float
    speed_rpm: float | None
    feed_mm_per_rev: float
    takes_min: float | None


@dataclass(frozen=True, slots=True, kw_only=True)
class Plan:
    """A cut as planned; `chosen` is the depth that is cut, with pits left where that was asked for."""

    copper: Copper
    way: Way
    least_diameter_mm: float
    provisional: bool
    full: Depth
    leaving: Depth | None
    chosen: Depth
    deepest_radial_mm: float
    touch_radial_mm: float
    rough_passes: int
    rough_pass_radial_mm: float
    passes: tuple[Pass, ...]
    speed_most_rpm: float
    speed_rpm: float | None
    cutting_min: float | None
    total_min: float | None
    sunk_radial_mm: float
    slot_after_radial_mm: float | None
    undercut_by_radial_mm: float | None
    undercut_to_radial_mm: float | None
    warnings: tuple[str, ...]
