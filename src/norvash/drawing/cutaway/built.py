"""How a motor is built along its axis: lengths and radii in mm, as they are stated, else as its class is built."""

from collections.abc import Mapping
from dataclasses import dataclass
from types import MappingProxyType


@dataclass(frozen=True, slots=True, kw_only=True)
class Ratios:
    """How a class is built, to the commutator's diameter, but for the air gap, which is to the core's. What lies in the
    stack has no pole or yoke of its own.
    """

    commutator: float
    bar: float
    riser: float
    core_d: float
    core_length: float
    slot: float
    turns_c: float
    turns_d: float
    shaft: float
    gap: float
    pole: float
    yoke: float
    brush: tuple[float, float, float]
    outside: float
    fan: float
    drive: float
    stack: bool = False


_BY_CLASS = ("industrial", "starter", "appliance", "tool", "traction", "generator")
_ROWS: Mapping[str, tuple[float, ...]] = MappingProxyType(
    {
        "commutator": (0.73, 0.81, 0.75, 0.75, 0.80, 0.65),
        "bar": (0.22, 0.21, 0.19, 0.20, 0.22, 0.22),
        "riser": (1.37, 1.30, 1.19, 1.20, 1.25, 1.35),
        "core_d": (1.40, 1.50, 1.69, 1.60, 1.30, 1.50),
        "core_length": (1.23, 1.17, 1.46, 1.55, 1.40, 1.20),
        "slot": (0.23, 0.22, 0.31, 0.28, 0.24, 0.23),
        "turns_c": (0.40, 0.36, 0.46, 0.45, 0.38, 0.40),
        "turns_d": (0.35, 0.33, 0.42, 0.40, 0.34, 0.35),
        "shaft": (0.52, 0.50, 0.38, 0.40, 0.55, 0.45),
        "gap": (0.012, 0.013, 0.016, 0.014, 0.014, 0.012),
        "pole": (0.35, 0.23, 0.50, 0.45, 0.32, 0.35),
        "yoke": (0.18, 0.17, 0.16, 0.14, 0.18, 0.18),
        "outside": (2.50, 2.33, 3.2, 2.9, 2.4, 2.5),
        "fan": (1.87, 0.0, 2.6, 2.4, 1.7, 1.8),
        "drive": (1.27, 0.75, 0.9, 0.4, 0.6, 1.2),
    }
)
_BRUSH = (
    (0.10, 0.21, 0.27),
    (0.25, 0.50, 0.44),
    (0.24, 0.42, 1.15),
    (0.25, 0.45, 0.75),
    (0.12, 0.25, 0.35),
    (0.10, 0.21, 0.27),
)
_IN_STACK = ("appliance", "tool")
RATIOS: Mapping[str, Ratios] = MappingProxyType(
    {
        name: Ratios(**{k: row[n] for k, row in _ROWS.items()}, brush=_BRUSH[n], stack=name in _IN_STACK)
        for n, name in enumerate(_BY_CLASS)
    }
)
# Of a bearing of which nothing is known outside and width over its bore: on a small shaft, on another.
_SMALL_BORE_MM, _SMALL, _OTHER = 15.0, (2.8, 0.85), (2.2, 0.55)
# Parts stand at least so far apart along the shaft, to the commutator's diameter.
_APART = 0.03
_WALL = 0.12
# How long the drive is: inside the nose of a starter, else beyond its bearing, to the commutator's diameter.
_INNER = {"starter": 2.1}
_STUB = {"coupling": 1.15, "industrial": 1.15, "tool": 0.9, "fan": 0.8}


@dataclass(frozen=True, slots=True)
class Seat:
    """A bearing: bore, outside, width [mm], and whether they are those of its number."""

    bore: float
    outside: float
    width: float
    known: bool


@dataclass(frozen=True, slots=True, kw_only=True)
class Stated:
    """What is stated of a motor [mm], None where nobody states it: diameters, lengths along the shaft, the brush by
    thickness, width along the shaft and new length, its limit, and the lengths of the two brushes that the section
    meets.
    """

    motor_class: str
    commutator_d: float | None = None
    bars: int = 24
    track: float | None = None
    shaft_d: float | None = None
    span: float | None = None
    gap: float | None = None
    other: Seat | None = None
    drive: Seat | None = None
    brush: tuple[float | None, float | None, float | None] = (None, None, None)
    limit: float | None = None
    lengths: tuple[float | None, float | None] = (None, None)
    arms: int = 2
    magnets: bool = False
    turns: str = ""
    solenoid: bool = False
    feet: bool = False
    fan: bool = True


@dataclass(frozen=True, slots=True, kw_only=True)
class Built:
    """Where everything lies [mm]: x along the axis from the outside of the commutator end, radii from the axis.

    Spans are (from, to) along the axis. `short_by` is how much a stated span between the bearings falls short of what
    lies between them.
    """

    stated: Stated
    d: float
    other: Seat
    drive: Seat
    other_x: tuple[float, float]
    drive_x: tuple[float, float]
    commutator_x: tuple[float, float]
    riser_x: float
    core_x: tuple[float, float]
    turns_x: tuple[float, float]
    fan_x: tuple[float, float]
    frame_x: tuple[float, float]
    drive_part_x: tuple[float, float]
    end_x: float
    shaft: float
    seat_drive: float
    track_r: float
    bar: float
    riser_r: float
    core_r: float
    slot: float
    pole_r: tuple[float, float]
    yoke_r: tuple[float, float]
    fan_r: float
    drive_r: float
    brush: tuple[float, float, float]
    brush_x: float
    short_by: float

    @property
    def ratios(self) -> Ratios:
        """Return how its class is built."""
        return RATIOS[self.stated.motor_class]

    @property
    def top(self) -> float:
        """Return how far it reaches above the axis [mm]."""
        box = self.yoke_r[1] + 0.34 * self.d
        above = self.yoke_r[1] + 1.9 * self.d if self.stated.solenoid else box
        return max(above, self.fan_r, self.drive_r, self.holder_r)

    @property
    def bottom(self) -> float:
        """Return how far it reaches below the axis [mm]."""
        foot = 0.3 * self.d if self.stated.feet else 0.0
        nose = 0.5 * self.d if self.stated.motor_class == "starter" else 0.0
        return max(self.yoke_r[1] + foot + nose, self.fan_r, self.drive_r, self.holder_r)

    @property
    def holder_r(self) -> float:
        """Return how far the brush gear reaches from the axis [mm]: a new brush with its spring."""
        return self.track_r + 1.3 * self.brush[2]


def bush_of(shaft: float) -> Seat:
    """Return a plain bush of which nothing is known, by the diameter of its seat [mm]."""
    return Seat(shaft, 1.5 * shaft, 0.8 * shaft, known=False)


def seat_of(shaft: float) -> Seat:
    """Return a bearing of which nothing is known, by the diameter of its seat [mm]."""
    outside, width = _SMALL if shaft < _SMALL_BORE_MM else _OTHER
    return Seat(shaft, outside * shaft, width * shaft, known=False)


def built(stated: Stated) -> Built:
    """Return where everything lies on a motor: a stated figure as it is, what is not stated so that it fits.

    Units: [mm]. Source: ratios of its class; bearings by their number
    """
    ratios = RATIOS[stated.motor_class]
    d = _diameter(stated, ratios)
    brush = tuple(x if x is not None else k * d for x, k in zip(stated.brush, ratios.brush, strict=True))
    t, a, new = (float(x) for x in brush)
    shaft = stated.shaft_d if stated.shaft_d is not None else ratios.shaft * d
    held = bush_of if stated.motor_class == "starter" else seat_of
    other, drive = stated.other or held(0.7 * shaft), stated.drive or held(0.8 * shaft)
    apart, wall, half = _APART * d, _WALL * d, d / 2
    bar = min(ratios.bar * d, max(half - shaft / 2 - apart, 0.2 * half))
    core_r = max(ratios.core_d * half, shaft / 2 + 0.1 * d, half)
    slot = min(ratios.slot * d, 0.8 * (core_r - shaft / 2))
    riser_r = min(max(ratios.riser * half, half + 0.02 * d), core_r)
    length_c = stated.track + 0.25 * d if stated.track is not None else ratios.commutator * d
    riser = 0.14 * d
    length_c = max(length_c, 1.1 * a + riser)
    gap = stated.gap if stated.gap is not None else 2 * ratios.gap * core_r
    pole = (core_r + gap, core_r + gap + ratios.pole * d)
    inside = max(pole[1], half + 1.35 * new if not ratios.stack else pole[1], drive.outside / 2 + wall)
    inside = max(inside, other.outside / 2 + wall, ratios.outside * half - ratios.yoke * d)
    fan_w = 0.3 * d if stated.fan and ratios.fan else 0.0
    lead = other.width + wall
    x_c = lead + 2 * apart
    x_core = x_c + length_c + ratios.turns_c * d + 2 * apart
    x_fan = x_core + ratios.core_length * d + ratios.turns_d * d + 2 * apart
    inner = _INNER.get(stated.motor_class, 0.0) * d  # of a starter the drive runs inside its nose
    x_bearing = x_fan + fan_w + inner + 2 * apart
    need = x_bearing + drive.width / 2 - other.width / 2
    extra = 0.0 if stated.span is None else stated.span - need
    stretch = max(extra, 0.0) / 2
    x_c, x_core, x_fan = x_c + stretch, x_core + stretch, x_fan + stretch
    x_bearing += 2 * stretch
    fan_r = min(ratios.fan * half, inside - apart) if fan_w else 0.0
    out = x_bearing + drive.width
    end = out + _STUB.get(stated.turns or stated.motor_class, 1.0) * d
    driven = (x_fan + fan_w + apart, x_bearing - apart) if inner else (out + 2 * apart, end)
    return Built(
        stated=stated,
        d=d,
        other=other,
        drive=drive,
        other_x=(0.0, other.width),
        drive_x=(x_bearing, out),
        commutator_x=(x_c, x_c + length_c),
        riser_x=x_c + length_c - riser,
        core_x=(x_core, x_core + ratios.core_length * d),
        turns_x=(x_c + length_c, x_core + (ratios.core_length + ratios.turns_d) * d),
        fan_x=(x_fan, x_fan + fan_w),
        frame_x=(other.width * 0.2, out - drive.width * 0.2),
        drive_part_x=driven,
        end_x=out + 0.06 * d if inner else end,
        shaft=shaft / 2,
        seat_drive=min(0.4 * shaft, drive.bore / 2),
        track_r=half,
        bar=bar,
        riser_r=riser_r,
        core_r=core_r,
        slot=slot,
        pole_r=pole,
        yoke_r=(inside, inside + ratios.yoke * d),
        fan_r=fan_r,
        drive_r=max(ratios.drive * half, 0.55 * shaft),
        brush=(t, a, new),
        brush_x=x_c + (length_c - riser) / 2,
        short_by=max(-extra, 0.0) if stated.span is not None else 0.0,
    )


def _diameter(stated: Stated, ratios: Ratios) -> float:
    """Return the commutator's diameter: as stated, else by the width of its brush, else that of a hand."""
    if stated.commutator_d is not None:
        return stated.commutator_d
    return stated.brush[1] / ratios.brush[1] if stated.brush[1] is not None else 40.0
