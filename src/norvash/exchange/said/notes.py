"""What is said of the past of a motor: since when its set has run, and notes of rounds, use and sets that are gone."""

from abc import ABC, abstractmethod
from collections.abc import Mapping, Sequence

from pydantic import BaseModel, ConfigDict

from norvash.core.motor.notes import Note, NotedRound, NotedSet, NotedUse
from norvash.exchange.said.told import At, Statement
from norvash.work.act.acting import Act
from norvash.work.motors.stating import SinceTyped, state_since
from norvash.work.notes.noting import enter_notes


class Since(Statement):
    """Since when the set in a motor has run, as it would be typed; any part may be empty."""

    day: str = ""
    counter: str = ""
    ran: str = ""
    lengths: str = ""

    @property
    def typed(self) -> SinceTyped:
        """Return it as a job takes it."""
        return SinceTyped(**{name: getattr(self, name) for name in Since.model_fields})

    def done(self, act: Act, at: At) -> str:
        return state_since(at.conn, act, at.motor_id, self.typed)


class _One(BaseModel, ABC):
    model_config = ConfigDict(extra="forbid")

    @abstractmethod
    def note(self, line: int) -> Note:
        """Return it as it stands at a line."""


class RoundTold(_One):
    """A round: readings by the number of the position, as they would be typed."""

    day: str
    counter: str = ""
    ran: str = ""
    readings: dict[str, str] = {}
    method: str = ""
    instrument: str = ""
    by: str = ""
    shortest: bool = False

    def note(self, line: int) -> NotedRound:
        return NotedRound(line=line, **{**self.model_dump(), "readings": _by_position(self.readings)})


class UseTold(_One):
    """What a counter showed on a day."""

    day: str
    counter: str

    def note(self, line: int) -> NotedUse:
        return NotedUse(line=line, **self.model_dump())


class SetTold(_One):
    """A set that is gone; lengths at its end by the number of the position."""

    ended: str
    fitted: str = ""
    ended_counter: str = ""
    fitted_counter: str = ""
    lasted: str = ""
    gone: str = ""
    lengths: dict[str, str] = {}
    why: str = ""

    def note(self, line: int) -> NotedSet:
        return NotedSet(line=line, **{**self.model_dump(), "lengths": _by_position(self.lengths)})


class Notes(Statement):
    """Notes of one motor that are entered together; `answer` settles what was asked. Lines count through all."""

    rounds: Sequence[RoundTold] = ()
    uses: Sequence[UseTold] = ()
    sets: Sequence[SetTold] = ()
    answer: str = ""

    def done(self, act: Act, at: At) -> str:
        every: tuple[_One, ...] = (*self.rounds, *self.uses, *self.sets)
        made = [one.note(line) for line, one in enumerate(every, 1)]
        return enter_notes(at.conn, act, at.motor_id, made, source="form", answer=self.answer)


def _by_position(given: Mapping[str, str]) -> dict[int, str]:
    """Return readings by position; a key that is no number is none that a motor has."""
    return {int(n) if n.isascii() and n.isdigit() and len(n) < 4 else 0: text for n, text in given.items()}
