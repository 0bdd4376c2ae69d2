"""What is said of sets: since when the one in the motor runs, which ones went before, what was renewed."""

from collections.abc import Mapping
from dataclasses import dataclass, replace
from datetime import datetime

from norvash.core.record.brushes import BrushRead
from norvash.core.record.record import Record
from norvash.core.record.rounds import of_those_in
from norvash.core.record.said import Said
from norvash.core.record.used import UseLogged
from norvash.core.sheet.life import KeptLife
from norvash.core.state.motor_state import BrushSet, Renewal
from norvash.core.state.round import Round
from norvash.core.use.log_entry import Entry as Use


@dataclass(frozen=True, slots=True, kw_only=True)
class SinceSaid(Said):
    """It is said since when the set in the motor runs: the set as it is then, with the lengths that it began with, the
    log of use with its fitting, and what of that is new.
    """

    brush_set: BrushSet
    uses: tuple[Use, ...]
    first: tuple[BrushRead, ...] = ()
    logged: UseLogged | None = None

    def applied(self, record: Record) -> Record:
        uses = tuple(sorted(self.uses, key=lambda e: e.at))
        return replace(record, sets=(*record.sets[:-1], self.brush_set), uses=uses)


@dataclass(frozen=True, slots=True, kw_only=True)
class SetFitted(Said):
    """The set in the motor has come out, and another went in, with its first lengths; `new` tells by position whether
    its first length is known.
    """

    ended: BrushSet
    fitted: BrushSet
    new: Mapping[int, bool]
    read: tuple[BrushRead, ...] = ()

    def applied(self, record: Record) -> Record:
        sets = (*record.sets[:-1], self.ended, self.fitted)
        return replace(record, sets=sets, lives=_gone_with(record, self.new))


@dataclass(frozen=True, slots=True, kw_only=True)
class BrushesRenewed(Said):
    """Some brushes of the set came new while the others stayed."""

    renewals: tuple[Renewal, ...]
    at: datetime

    def applied(self, record: Record) -> Record:
        current = record.sets[-1]
        every = tuple(sorted((*current.renewed, *self.renewals), key=lambda r: r.total_units))
        made = replace(current, renewed=every)
        made = replace(made, rounds=tuple(of_those_in(r, made) for r in made.rounds)).after_renewals()
        new = {r.position: r.length_mm is not None for r in self.renewals}
        return replace(record, sets=(*record.sets[:-1], made), lives=_gone_with(record, new))


@dataclass(frozen=True, slots=True)
class NotesBegun(Said):
    """Notes are entered together: how they came, and what tells the same ones again."""

    source: str
    digest: str

    def applied(self, record: Record) -> Record:
        """Return the record as it is: they say something of what stands beside it."""
        return record


@dataclass(frozen=True, slots=True)
class SetNoted(Said):
    """A set that is gone, from notes of the past."""

    brush_set: BrushSet

    def applied(self, record: Record) -> Record:
        past = sorted((*record.sets[:-1], self.brush_set), key=lambda s: (max(s.number, 0), s.fitted_units))
        return replace(record, sets=(*past, record.sets[-1]))


@dataclass(frozen=True, slots=True, kw_only=True)
class RoundNoted(Said):
    """A round from notes of the past, of one set; `of_set` is that set where it must have gone in earlier by it."""

    of_set: BrushSet
    noted: Round
    read: tuple[BrushRead, ...]

    def applied(self, record: Record) -> Record:
        def added(each: BrushSet) -> BrushSet:
            if each.id != self.of_set.id:
                return each
            return replace(self.of_set, rounds=tuple(sorted((*each.rounds, self.noted), key=lambda r: r.at)))

        return replace(record, sets=tuple(map(added, record.sets)))


def _gone_with(record: Record, new: Mapping[int, bool]) -> tuple[KeptLife, ...]:
    """Return the lives of a motor after brushes came new beside a sheet: what was on the old ones has gone with them.

    `new` are their positions, each with whether the first length is known: until it is, nothing is proven. On a sheet
    they go on, and the sheet says what becomes of them.
    """
    if record.open_row is not None:
        return record.lives
    every = all(p.number in new for p in record.positions)
    made = []
    for life in record.lives:
        touched = every if life.position == 0 else life.position in new
        known = all(new.values()) if life.position == 0 else new.get(life.position, False)
        if "of-brush" not in life.finding.kinds or not touched:
            made.append(life)
        elif not known:
            made.append(replace(life, state="done not proven"))
    return tuple(made)
