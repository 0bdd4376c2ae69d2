"""What is said on a sheet: that it is open, what stands where, what was taken back, that it is signed."""

from dataclasses import dataclass, replace
from datetime import datetime

from norvash.core.commutator.figures_after_cut import Mark
from norvash.core.record.brushes import BrushSeen, ReadingStands
from norvash.core.record.record import Record, Retired, SheetRow
from norvash.core.record.rounds import rounds_of
from norvash.core.record.said import Said, apply
from norvash.core.sheet.given import Given, Kind, Sight
from norvash.core.sheet.kept_value import KeptValue
from norvash.core.sheet.life import Life
from norvash.core.sheet.sheet import Spot
from norvash.core.state.round import Round


@dataclass(frozen=True, slots=True, kw_only=True)
class Opened(Said):
    """A sheet is opened, with the round that is measured on it.

    Units: total_units in the motor's unit of use.
    """

    row: SheetRow
    round_id: str
    round_kind: str
    total_units: float

    def applied(self, record: Record) -> Record:
        opened = Round(
            id=self.round_id,
            at=self.row.at,
            total_units=self.total_units,
            kind=self.round_kind,
            finished=False,
            readings={},
            sheet_id=self.row.id,
        )
        current = replace(record.sets[-1], rounds=(*record.sets[-1].rounds, opened))
        return replace(record, sets=(*record.sets[:-1], current), row=self.row, written={})


@dataclass(frozen=True, slots=True)
class KindChanged(Said):
    """The open sheet goes on as one of another kind."""

    kind: Kind

    def applied(self, record: Record) -> Record:
        return replace(record, row=replace(_row_of(record), kind=self.kind))


@dataclass(frozen=True, slots=True, kw_only=True)
class Entered(Said):
    """Something is entered at one place of a sheet, or, with None, nothing stands there any more.

    Of a field that `marks` the motor for good `mark` is what it leaves. `shortest` tells of the field that declares a
    round as of the shortest brush only whether it does; None of any other.
    """

    sheet_id: str
    spot: Spot
    given: Given | None
    marks: str = ""
    mark: Mark | None = None
    shortest: bool | None = None

    def applied(self, record: Record) -> Record:
        row, written = _row_of(record), {at: g for at, g in record.written.items() if at != self.spot}
        if row.id != self.sheet_id:
            return record
        if self.given is not None:
            written[self.spot] = self.given
        marks, sets = record.marks, record.sets
        if self.marks:
            others = tuple(m for m in marks if (m.sheet, m.kind) != (row.number, self.marks))
            marks = others if self.mark is None else (*others, self.mark)
        if self.shortest is not None:
            sets = rounds_of(record, row.id, lambda r: replace(r, shortest=bool(self.shortest)))
        return replace(record, written=written, marks=marks, sets=sets)


@dataclass(frozen=True, slots=True, kw_only=True)
class TakenBack(Said):
    """What was entered last is taken back, an entry, a reading or what was seen, by its id: `then` stands there."""

    id: str
    then: Entered | ReadingStands | BrushSeen

    def applied(self, record: Record) -> Record:
        return self.then.applied(record)


@dataclass(frozen=True, slots=True, kw_only=True)
class SightSaid(Said):
    """A value that was asked about is said to be of one sight, or, still asked, of none: it is let go.

    `then` is what stands where afterwards; a reading goes to the round of that sight.
    """

    id: str
    sight: Sight
    round_id: str
    then: tuple[Entered | ReadingStands, ...]

    def applied(self, record: Record) -> Record:
        return apply(record, *self.then)


@dataclass(frozen=True, slots=True, kw_only=True)
class Signed(Said):
    """The newest sheet is signed, with the lives of its findings and what each was found by, and with what was measured
    as it was judged; the motor may be retired by that.
    """

    row: SheetRow
    at: datetime
    found: tuple[Life, ...]
    retired: Retired | None = None
    measured: tuple[KeptValue, ...] = ()

    def applied(self, record: Record) -> Record:
        sets = rounds_of(record, self.row.id, lambda r: replace(r, finished=True))
        kept = (x.kept_on(self.row.id, self.at) for x in self.found)
        lives = tuple(k for k in kept if k is not None)
        return replace(record, motor=replace(record.motor, retired=self.retired), row=self.row, lives=lives, sets=sets)


def _row_of(record: Record) -> SheetRow:
    if record.row is None:
        raise LookupError("nothing can be said on a sheet that is not there")
    return record.row
