"""What is said of a brush: what it reads, what is seen on it, what a doubt about it came to."""

from dataclasses import dataclass

from norvash.core.brush.doubts import Doubt
from norvash.core.brush.readings import Reading
from norvash.core.record.record import Record
from norvash.core.record.rounds import read_in, seen_in, with_round
from norvash.core.record.said import Said
from norvash.core.sheet.finding import Finding
from norvash.core.sheet.given import Sight
from norvash.core.state.round import Measured


@dataclass(frozen=True, slots=True, kw_only=True)
class BrushRead(Said):
    """A brush is read in one sight; one that is asked about counts in none yet.

    A doubt about one from notes, or answered when it was entered, was `answered` then.
    """

    id: str
    round_id: str
    position: int
    reading: Reading
    instrument: str
    doubt: Doubt | None = None
    sight: Sight = "found"
    answered: bool = False

    @property
    def measured(self) -> Measured:
        """Return it as the record has it."""
        reading, doubt = self.reading, None if self.answered else self.doubt
        return Measured(
            length_mm=reading.length_mm,
            sd_mm=reading.sd_mm,
            low_mm=reading.low_mm,
            high_mm=reading.high_mm,
            lines=reading.lines,
            doubt=doubt.words if doubt is not None else "",
            doubt_rule=self.doubt.rule_id if self.doubt is not None else "",
            id=self.id,
            bare_mm=reading.bare_mm,
            method=reading.method,
            reference_mm=reading.reference_mm,
        )

    def applied(self, record: Record) -> Record:
        if self.sight == "asked":
            return record
        stands = ReadingStands(round_id=self.round_id, position=self.position, measured=self.measured, sight=self.sight)
        return stands.applied(record)


@dataclass(frozen=True, slots=True, kw_only=True)
class ReadingStands(Said):
    """Which reading of a brush stands in one sight now; None where none does."""

    round_id: str
    position: int
    measured: Measured | None
    sight: Sight

    def applied(self, record: Record) -> Record:
        return with_round(
            record, self.round_id, lambda r, s: read_in(r, s, self.position, measured=self.measured, sight=self.sight)
        )


@dataclass(frozen=True, slots=True, kw_only=True)
class DoubtAnswered(Said):
    """A doubt about a reading is answered, or opened again by an empty answer; one that was mistyped counts no more."""

    id: str
    answer: str
    then: ReadingStands

    def applied(self, record: Record) -> Record:
        return self.then.applied(record)


@dataclass(frozen=True, slots=True, kw_only=True)
class BrushSeen(Said):
    """Something is seen on a brush in one sight, or that is taken back; one that is seen anew has an id of its own."""

    id: str = ""
    round_id: str
    position: int
    finding: Finding
    sight: Sight
    gone: bool = False

    def applied(self, record: Record) -> Record:
        at, seen, gone = self.position, self.finding, self.gone
        return with_round(record, self.round_id, lambda r, _: seen_in(r, at, seen, self.sight, gone=gone))
