"""What belongs to an entry beyond its word or number: values that are written down once, in the store."""

from collections.abc import Mapping
from dataclasses import dataclass, field
from datetime import date
from fractions import Fraction
from typing import Literal

from norvash.core.commutator.bars import write_map
from norvash.core.money.ways import Part
from norvash.core.stacks.part import StackPart

# What was said of tax or freight of a price: nothing, that it is in it, or that it comes on top.
Beside = Literal["", "in", "on top"]


@dataclass(frozen=True, slots=True, kw_only=True)
class CutRecord:
    """A cut that was made: depths radial [mm], the track's diameter before and after it, the least one [mm].

    Of gap and slots what they were before it, None where nobody measured them.
    """

    radial_mm: float
    sunk_radial_mm: float
    before_diameter_mm: float
    after_diameter_mm: float
    least_diameter_mm: float | None = None
    holder_gap_radial_mm: float | None = None
    slot_depth_radial_mm: float | None = None

    @property
    def words(self) -> str:
        """Return it in words."""
        return (
            f"{self.radial_mm:.3f} mm radial, {self.before_diameter_mm:.2f} to {self.after_diameter_mm:.2f} mm in"
            f" diameter; the brush sinks by {self.sunk_radial_mm:.3f} mm"
        )


# Whether a motor turns in a test with power on.
TURNS = {"still": "it does not turn", "load": "it turns with its load", "free": "it turns without load"}


@dataclass(frozen=True, slots=True)
class PermitRecord:
    """Who makes a test with power on, what keeps people away, and for how long [min].

    `turns` says whether the motor turns in it, empty where nobody says, and `volts` the most that it then gets [V].
    """

    who: str
    barriers: str
    minutes: float
    turns: str = ""
    volts: float | None = None

    @property
    def words(self) -> str:
        """Return it in words."""
        run = ", ".join(filter(None, (TURNS.get(self.turns, ""), f"at most {self.volts:g} V" if self.volts else "")))
        return f"{self.who}, {self.barriers}, {f'{run}, ' if run else ''}{self.minutes:g}"


@dataclass(frozen=True, slots=True)
class PutBy:
    """Who has put something off, empty where an earlier version kept no name, on which day, and how often its day was
    moved.
    """

    person: str = ""
    since: date = date.min
    moved: int = 0


@dataclass(frozen=True, slots=True)
class PutOff:
    """Who sees to something that is put off, by when, and who has decided so. With a `part` it waits for that, out of
    service.
    """

    who: str
    day: date
    part: str = ""
    by: PutBy = PutBy()

    @property
    def words(self) -> str:
        """Return it in words."""
        return ", ".join(filter(None, (self.part, self.who, self.day.isoformat())))


@dataclass(frozen=True, slots=True)
class Why:
    """The reason of a pick or a decision."""

    why: str

    @property
    def words(self) -> str:
        """Return it in words."""
        return self.why


@dataclass(frozen=True, slots=True)
class Way:
    """By which of the tasks that would mend it something is mended: its id."""

    task: str

    @property
    def words(self) -> str:
        """Return it in words."""
        return self.task


@dataclass(frozen=True, slots=True)
class TaskDone:
    """The time that a task took [min], None where nobody says, and the parts that went into it."""

    minutes: float | None
    parts: str

    @property
    def words(self) -> str:
        """Return it in words."""
        return ", ".join(filter(None, ("" if self.minutes is None else f"{self.minutes:g} min", self.parts)))


@dataclass(frozen=True, slots=True)
class SlotTime:
    """The time that the slots were expected to take [min], beside the time that they took."""

    estimated_min: float

    @property
    def words(self) -> str:
        """Return it in words."""
        return f"{self.estimated_min:g}"


@dataclass(frozen=True, slots=True)
class Readings:
    """A column of readings in the SI unit of its dimension, None where a dash stands."""

    values: tuple[float | None, ...]

    @property
    def words(self) -> str:
        """Return it in words."""
        return f"{len(self.values)} readings"


@dataclass(frozen=True, slots=True)
class PaintedMap:
    """The conditions of the commutator's bars, by the number of the bar."""

    conditions: Mapping[int, frozenset[str]]

    @property
    def words(self) -> str:
        """Return it in words."""
        return write_map(self.conditions)


@dataclass(frozen=True, slots=True, kw_only=True)
class Bill:
    """What a way to go on costs, as it was typed; `said` is the source of its prices, `on` their day.

    Tax and freight are `in` the prices, come `on top` as the site has them, are named, or nothing was said of them.
    Units: rate, freight, consumables in minor units of a currency with `decimals`, the rate an hour; labour_h,
    downtime_h in hours; life in its unit, empty for the one that all ways have.
    """

    parts: tuple[Part, ...] = ()
    labour_h: Fraction | None = None
    labour_rate: int | None = None
    freight: int | None = None
    freight_word: Beside = ""
    tax: Fraction | None = None
    tax_word: Beside = ""
    consumables: int = 0
    downtime_h: Fraction = field(default_factory=Fraction)
    redo: Fraction = field(default_factory=Fraction)
    life: Fraction | None = None
    life_unit: str = ""
    condition: Fraction | None = None
    said: str = ""
    on: date | None = None
    decimals: int = 2

    @property
    def words(self) -> str:
        """Return it in words."""
        return ", ".join(p.name for p in self.parts)


@dataclass(frozen=True, slots=True, kw_only=True)
class TakenFor:
    """The name of a way that was taken, why beside its cost, on which day it happens where that is not the signature,
    and what every way came to then.
    """

    name: str = ""
    why: str = ""
    day: date | None = None
    prices: str = ""

    @property
    def words(self) -> str:
        """Return it in words."""
        return ", ".join(filter(None, (self.why, f"on {self.day}" if self.day is not None else "")))


@dataclass(frozen=True, slots=True, kw_only=True)
class OfferRecord:
    """A part that is offered: what is known of the new one, of the old one, and of the place that it goes to, by their
    names, as they are kept.
    """

    new: Mapping[str, str] = field(default_factory=dict)
    old: Mapping[str, str] = field(default_factory=dict)
    place: Mapping[str, str] = field(default_factory=dict)

    @property
    def words(self) -> str:
        """Return it in words."""
        return " ".join(filter(None, (self.new.get("part", ""), self.new.get("batch", ""))))


@dataclass(frozen=True, slots=True, kw_only=True)
class OffRecord:
    """A part that came off, the place before which it lies where that is not the order of entry (0 else), and why it
    was counted anew once it was back.
    """

    part: StackPart
    before: int = 0
    why: str = ""

    @property
    def words(self) -> str:
        """Return what is not in its text: why it was counted anew."""
        return self.why


Ends = Literal["", "renewed", "left"]


@dataclass(frozen=True, slots=True, kw_only=True)
class BackRecord:
    """How a part that went back differs from what came off, nothing where it does not; or that it was renewed, or left
    out, and why.
    """

    count: int | None = None
    long_mm: float | None = None
    across_mm: float | None = None
    size: str = ""
    round: str = ""
    ends: Ends = ""
    why: str = ""

    @property
    def words(self) -> str:
        """Return what is not in its text: why."""
        return self.why


Record = (
    CutRecord
    | PermitRecord
    | PutOff
    | Why
    | Way
    | TaskDone
    | SlotTime
    | Readings
    | PaintedMap
    | Bill
    | TakenFor
    | OfferRecord
    | OffRecord
    | BackRecord
)
