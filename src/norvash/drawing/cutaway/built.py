"""Where everything of a motor lies, along its axis and out from it: as stated [mm], else as its class is built."""

from dataclasses import dataclass

from norvash.drawing.cutaway.ratios import RATIOS, Ratios

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


@dataclass(frozen=True, slots=True, kw_only=True)
class _Across:
    """The radii [mm], and the seats and the brush that they leave room for."""

    d: float
    shaft: float
    other: Seat
    drive: Seat
    brush: tuple[float, float, float]
    core_r: float
    inside: float
    pole: tuple[float, float]


def _across(stated: Stated, ratios: Ratios) -> _Across:
    """Return how thick everything is."""
    d = _diameter(stated, ratios)
    t, a, new = (x if x is not None else k * d for x, k in zip(stated.brush, ratios.brush, strict=True))
    shaft = stated.shaft_d if stated.shaft_d is not None else ratios.shaft * d
    held = bush_of if stated.motor_class == "starter" else seat_of
    other, drive = stated.other or held(0.7 * shaft), stated.drive or held(0.8 * shaft)
    wall, half = _WALL * d, d / 2
    core_r = max(ratios.core_d * half, shaft / 2 + 0.1 * d, half)
    gap = stated.gap if stated.gap is not None else 2 * ratios.gap * core_r
    pole = (core_r + gap, core_r + gap + ratios.pole * d)
    inside = max(pole[1], half + 1.35 * new if not ratios.stack else pole[1], drive.outside / 2 + wall)
    inside = max(inside, other.outside / 2 + wall, ratios.outside * half - ratios.yoke * d)
    return _Across(
        d=d, shaft=shaft, other=other, drive=drive, brush=(t, a, new), core_r=core_r, inside=inside, pole=pole
    )


@dataclass(frozen=True, slots=True, kw_only=True)
class _Along:
    """Where along the axis the parts begin [mm], how long commutator, riser, fan and the drive inside a nose are, and
    by how much a stated span is longer than what lies in it.
    """

    commutator: float
    core: float
    fan: float
    bearing: float
    commutator_long: float
    riser_long: float
    fan_long: float
    inner: float
    extra: float | None


def _along(stated: Stated, ratios: Ratios, across: _Across) -> _Along:
    """Return where everything begins; what a stated span is too long for is shared before and behind the core."""
    d, apart, width = across.d, _APART * across.d, across.brush[1]
    long = stated.track + 0.25 * d if stated.track is not None else ratios.commutator * d
    riser = 0.14 * d
    long = max(long, 1.1 * width + riser)
    fan_long = 0.3 * d if stated.fan and ratios.fan else 0.0
    commutator = across.other.width + _WALL * d + 2 * apart
    core = commutator + long + ratios.turns_c * d + 2 * apart
    fan = core + ratios.core_length * d + ratios.turns_d * d + 2 * apart
    inner = _INNER.get(stated.motor_class, 0.0) * d  # of a starter the drive runs inside its nose
    bearing = fan + fan_long + inner + 2 * apart
    need = bearing + across.drive.width / 2 - across.other.width / 2
    extra = None if stated.span is None else stated.span - need
    stretch = max(extra or 0.0, 0.0) / 2
    return _Along(
        commutator=commutator + stretch,
        core=core + stretch,
        fan=fan + stretch,
        bearing=bearing + 2 * stretch,
        commutator_long=long,
        riser_long=riser,
        fan_long=fan_long,
        inner=inner,
        extra=extra,
    )


def built(stated: Stated) -> Built:
    """Return where everything lies on a motor: a stated figure as it is, what is not stated so that it fits.

    Units: [mm]. Source: ratios of its class; bearings by their number
    """
    ratios = RATIOS[stated.motor_class]
    y = _across(stated, ratios)
    x = _along(stated, ratios, y)
    d, half, apart = y.d, y.d / 2, _APART * y.d
    out = x.bearing + y.drive.width
    end = out + _STUB.get(stated.turns or stated.motor_class, 1.0) * d
    ends, riser_x = x.commutator + x.commutator_long, x.commutator + x.commutator_long - x.riser_long
    return Built(
        stated=stated,
        d=d,
        other=y.other,
        drive=y.drive,
        other_x=(0.0, y.other.width),
        drive_x=(x.bearing, out),
        commutator_x=(x.commutator, ends),
        riser_x=riser_x,
        core_x=(x.core, x.core + ratios.core_length * d),
        turns_x=(ends, x.core + (ratios.core_length + ratios.turns_d) * d),
        fan_x=(x.fan, x.fan + x.fan_long),
        frame_x=(y.other.width * 0.2, out - y.drive.width * 0.2),
        drive_part_x=(x.fan + x.fan_long + apart, x.bearing - apart) if x.inner else (out + 2 * apart, end),
        end_x=out + 0.06 * d if x.inner else end,
        shaft=y.shaft / 2,
        seat_drive=min(0.4 * y.shaft, y.drive.bore / 2),
        track_r=half,
        bar=min(ratios.bar * d, max(half - y.shaft / 2 - apart, 0.2 * half)),
        riser_r=min(max(ratios.riser * half, half + 0.02 * d), y.core_r),
        core_r=y.core_r,
        slot=min(ratios.slot * d, 0.8 * (y.core_r - y.shaft / 2)),
        pole_r=y.pole,
        yoke_r=(y.inside, y.inside + ratios.yoke * d),
        fan_r=min(ratios.fan * half, y.inside - apart) if x.fan_long else 0.0,
        drive_r=max(ratios.drive * half, 0.55 * y.shaft),
        brush=y.brush,
        brush_x=x.commutator + (x.commutator_long - x.riser_long) / 2,
        short_by=max(-(x.extra or 0.0), 0.0),
    )


def _diameter(stated: Stated, ratios: Ratios) -> float:
    """Return the commutator's diameter: as stated, else by the width of its brush, else that of a hand."""
    if stated.commutator_d is not None:
        return stated.commutator_d
    return stated.brush[1] / ratios.brush[1] if stated.brush[1] is not None else 40.0
