"""What notes of the past would add to a motor, and the desk on which they are laid one after the other."""

from dataclasses import dataclass, field
from datetime import datetime, time

from norvash.core.motor.notes import Note, NotedSet
from norvash.core.motor.use_typed import read_use
from norvash.core.record.sets import RoundNoted, SetNoted
from norvash.core.record.used import UseLogged
from norvash.core.state.motor_state import BrushSet
from norvash.core.state.round import Round
from norvash.core.text.words import day_words
from norvash.core.use.counting import read_counter
from norvash.core.use.happened import Happened
from norvash.core.use.rate import Rate
from norvash.core.use.spans import middle, read_span
from norvash.errors import Conflict, InputError, NorvashError
from norvash.work.reading.context import Context

NOON = time(12)
RIGHT = "right"
_COUNTER_ANSWERS = ("replaced", "reset", "rolled over")


@dataclass(frozen=True, slots=True)
class Fault:
    """A note that cannot be kept: its line, and what is wrong."""

    line: int
    error: NorvashError


@dataclass(slots=True, kw_only=True)
class Laid:
    """What notes would add to a motor, entry by entry; what is wrong or doubtful in them, what is there already.

    It was `begun` from a motor as it is; the next set from notes has the `number`.
    """

    begun: Context
    context: Context
    number: int
    said: list[UseLogged | SetNoted | RoundNoted] = field(default_factory=list)
    faults: list[Fault] = field(default_factory=list)
    doubts: list[Fault] = field(default_factory=list)
    there: int = 0

    @property
    def uses(self) -> list[UseLogged]:
        """Return the readings of use."""
        return [s for s in self.said if isinstance(s, UseLogged)]

    @property
    def sets(self) -> list[BrushSet]:
        """Return the sets."""
        return [s.brush_set for s in self.said if isinstance(s, SetNoted)]

    @property
    def rounds(self) -> list[Round]:
        """Return the rounds."""
        return [s.noted for s in self.said if isinstance(s, RoundNoted)]

    def add(self, said: UseLogged | SetNoted | RoundNoted) -> None:
        """Lay one more beside the others."""
        self.said.append(said)
        self.context = self.context.after(said)
        self.number -= isinstance(said, SetNoted)

    def kept(self) -> tuple[Context, int, int]:
        """Return how far it has come, to go back to."""
        return self.context, len(self.said), self.number

    def go_back(self, to: tuple[Context, int, int]) -> None:
        """Take back all that was laid since."""
        self.context, length, self.number = to
        del self.said[length:]


@dataclass(slots=True)
class Desk:
    """Notes of one motor as they are laid: what is laid already, the time, the act, and what was answered.

    `number` counts what is laid, so that each has an id of its own.
    """

    made: Laid
    now: datetime
    act_id: str
    answer: str
    number: int

    @property
    def unit(self) -> str:
        """Return the motor's unit of use."""
        return self.made.context.unit

    @property
    def rate(self) -> Rate | None:
        """Return the motor's usual use as the record has it."""
        return self.made.context.state.rate

    def next(self) -> int:
        """Return the number of the next thing that is laid."""
        self.number += 1
        return self.number - 1

    def moment(self, note: Note) -> datetime:
        """Return the moment that a note is of: noon of its day, of a set that is gone the middle of its span.

        Raises: InputError for what is no day, Conflict for one that an open sheet has passed.
        """
        name, text = ("ended", note.ended) if isinstance(note, NotedSet) else ("day", note.day)
        if not text.strip():
            raise InputError("The day is missing.", f"Write it like {self.now:%Y-%m-%d}.", name)
        span = read_span(text, self.now.date(), name)
        if name == "day" and span[0] != span[1]:
            raise InputError(f"“{text.strip()}” is not a single day.", f"Write it like {self.now:%Y-%m-%d}.", name)
        at, row = min(datetime.combine(middle(span), NOON), self.now), self.made.context.row
        if row is not None and row.signed_at is None and at >= row.at:
            raise Conflict(
                f"Sheet {row.number} of this motor has been open since {day_words(row.at.date())}.",
                "Sign it first; notes of days before it can be entered now.",
                name,
            )
        return at

    def use(self, at: datetime, text: str, name: str) -> float:
        """Lay a counter value and return the total use at it.

        Raises: InputError, Conflict or NeedsAnswer at the field.
        """
        context = self.made.context
        try:
            value = read_use(text, self.unit, context.figures, self.rate).value
            same = next((e for e in context.entries if e.at.date() == at.date() and e.counter_units == value), None)
            if same is not None:
                return same.total_units
            counted = read_counter(
                value,
                at,
                self.now,
                entries=context.entries,
                unit=self.unit,
                rules=context.rules,
                said=Happened(answer=self.answer if self.answer in _COUNTER_ANSWERS else ""),
            )
        except NorvashError as error:
            raise error.at(name) from None
        entry = counted.logged(at, noted=True)
        logged = UseLogged(id=f"{self.act_id}.{self.next()}", use=entry, typed=text.strip(), event=counted.event)
        self.made.add(logged)
        return counted.total_units
