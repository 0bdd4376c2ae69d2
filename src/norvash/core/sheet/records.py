"""What belongs to an entry beyond its word or number: values that are written down once, in the store."""

from collections.abc import Mapping
from dataclasses import dataclass
from datetime import date

from norvash.core.commutator.bars import write_map
from norvash.core.sheet.records_of_parts import AddedTask, BackRecord, Bill, OfferRecord, OffRecord, TakenFor
from norvash.core.sheet.records_of_running import RunLog


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
DRIVEN = "driven"
TURNS = {
    "still": "it does not turn",
    "load": "it turns with its load",
    "free": "it turns without load",
    DRIVEN: "it is driven from outside, for work on its track",
}


@dataclass(frozen=True, slots=True, kw_only=True)
class PermitRecord:
    """Who makes a test with power on, what keeps people away, and for how long [min].

    `turns` says whether the motor turns in it, empty where nobody says, and `volts` the most that it then gets [V]. Of
    one that is driven from outside `rpm` is how fast [r/min], and `at_stop` who stands at the stop.
    """

    who: str
    barriers: str
    minutes: float
    turns: str = ""
    volts: float | None = None
    rpm: float | None = None
    at_stop: str = ""

    @property
    def words(self) -> str:
        """Return it in words."""
        said = (
            TURNS.get(self.turns, ""),
            f"at most {self.volts:g} V" if self.volts else "",
            f"{self.rpm:g} r/min" if self.rpm else "",
            f"{self.at_stop} at the stop" if self.at_stop else "",
        )
        run = ", ".join(filter(None, said))
        return f"{self.who}, {self.barriers}, {f'{run}, ' if run else ''}{self.minutes:g}"


@dataclass(frozen=True, slots=True)
class PutBy:
    """Who has put something off, empty where an earlier version kept no name, on which day, and how often its day was
    moved.
    """

    person: str = ""
    since: date = date.min
    moved: int = 0


@dataclass(frozen=True, slots=True, kw_only=True)
class PutOff:
    """Who sees to something that is put off, by when, and who has decided so. With a `part` it waits for that, out of
    service; with a `why` it is left as it is until then. A temporary repair `mends` a finding, by its key.
    """

    who: str
    day: date
    part: str = ""
    by: PutBy = PutBy()
    why: str = ""
    mends: str = ""

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
    """The time that the slots, or a cut, were expected to take [min], beside the time that they took."""

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
    | AddedTask
    | RunLog
)
