"""What each entry does to the record: said once, and called by whoever writes one and by whoever reads it again."""

from collections.abc import Callable, Iterable, Mapping
from dataclasses import replace
from functools import singledispatch

from norvash.core.brush.gauged import sets_laid
from norvash.core.motor.record import BrushSet
from norvash.core.motor.round import Measured, Round
from norvash.core.record.entries import (
    BrushesRenewed,
    BrushRead,
    BrushSeen,
    Entered,
    FiguresStated,
    Opened,
    RoundNoted,
    Said,
    SetFitted,
    SetNoted,
    Signed,
    SinceSaid,
    UseCorrected,
    UseLogged,
)
from norvash.core.record.record import Record
from norvash.core.sheet.given import Sight
from norvash.core.sheet.life import KeptLife

# A reading: its position, its sight, what it measured.
ReadAs = tuple[int, Sight, Measured]
_SIGHTS: tuple[Sight, Sight] = ("left", "found")


def apply(record: Record, *said: Said) -> Record:
    """Return the record after entries, one after the other; nothing else is read."""
    for each in said:
        record = _after(each, record)
    return record


@singledispatch
def _after(said: Said, _record: Record) -> Record:
    raise TypeError(f"nothing is known of what {type(said).__name__} does to a record")


@_after.register
def _used(said: UseLogged, record: Record) -> Record:
    return replace(record, uses=tuple(sorted((*record.uses, said.use), key=lambda e: e.at)))


@_after.register
def _corrected(said: UseCorrected, record: Record) -> Record:
    return replace(record, uses=tuple(sorted(said.uses, key=lambda e: e.at)))


@_after.register
def _stated(said: FiguresStated, record: Record) -> Record:
    return replace(record, stated=said.stated, positions=said.positions, sets=sets_laid(record.sets, said.stated))


@_after.register
def _since(said: SinceSaid, record: Record) -> Record:
    uses = tuple(sorted(said.uses, key=lambda e: e.at))
    return replace(record, sets=(*record.sets[:-1], said.brush_set), uses=uses)


@_after.register
def _set_noted(said: SetNoted, record: Record) -> Record:
    past = sorted((*record.sets[:-1], said.brush_set), key=lambda s: (max(s.number, 0), s.fitted_units))
    return replace(record, sets=(*past, record.sets[-1]))


@_after.register
def _round_noted(said: RoundNoted, record: Record) -> Record:
    def added(each: BrushSet) -> BrushSet:
        if each.id != said.of_set.id:
            return each
        return replace(said.of_set, rounds=tuple(sorted((*each.rounds, said.noted), key=lambda r: r.at)))

    return replace(record, sets=tuple(map(added, record.sets)))


@_after.register
def _opened(said: Opened, record: Record) -> Record:
    opened = Round(
        id=said.round_id,
        at=said.row.at,
        total_units=said.total_units,
        kind=said.round_kind,
        finished=False,
        readings={},
        sheet_id=said.row.id,
    )
    current = replace(record.sets[-1], rounds=(*record.sets[-1].rounds, opened))
    return replace(record, sets=(*record.sets[:-1], current), row=said.row, written=said.written)


@_after.register
def _brush_read(said: BrushRead, record: Record) -> Record:
    return _with_round(
        record, said.round_id, lambda r, s: read_in(r, s, said.position, measured=said.measured, sight=said.sight)
    )


@_after.register
def _brush_seen(said: BrushSeen, record: Record) -> Record:
    return _with_round(record, said.round_id, lambda a_round, _: seen_in(a_round, said))


@_after.register
def _entered(said: Entered, record: Record) -> Record:
    row, written = record.row, {at: g for at, g in record.written.items() if at != said.spot}
    if row is None:
        raise LookupError("nothing can be entered without a sheet")
    if said.given is not None:
        written[said.spot] = said.given
    marks, sets = record.marks, record.sets
    if said.marks:
        others = tuple(m for m in marks if (m.sheet, m.kind) != (row.number, said.marks))
        marks = others if said.mark is None else (*others, said.mark)
    if said.shortest is not None:
        sets = _rounds_of(record, row.id, lambda r: replace(r, shortest=bool(said.shortest)))
    return replace(record, written=written, marks=marks, sets=sets)


@_after.register
def _set_fitted(said: SetFitted, record: Record) -> Record:
    sets = (*record.sets[:-1], said.ended, said.fitted)
    return replace(record, sets=sets, lives=_gone_with(record, said.new))


@_after.register
def _renewed(said: BrushesRenewed, record: Record) -> Record:
    current = record.sets[-1]
    every = tuple(sorted((*current.renewed, *said.renewals), key=lambda r: r.total_units))
    made = replace(current, renewed=every)
    made = replace(made, rounds=tuple(_of_those_in(r, made) for r in made.rounds)).after_renewals()
    new = {r.position: r.length_mm is not None for r in said.renewals}
    return replace(record, sets=(*record.sets[:-1], made), lives=_gone_with(record, new))


@_after.register
def _signed(said: Signed, record: Record) -> Record:
    sets = _rounds_of(record, said.row.id, lambda r: replace(r, finished=True))
    motor = replace(record.motor, retired=said.retired)
    return replace(record, motor=motor, row=said.row, lives=said.lives, sets=sets)


def counts(brush_set: BrushSet, a_round: Round, position: int) -> bool:
    """Tell whether what a round reads of a brush is of the one that is in: that came no later."""
    renewal = brush_set.renewal_of(position)
    return renewal is None or a_round.total_units >= renewal.total_units


def read_in(a_round: Round, brush_set: BrushSet, position: int, *, measured: Measured | None, sight: Sight) -> Round:
    """Return a round after a brush of it was read in one sight, or that reading withdrawn."""
    here = _came_here(a_round, brush_set, position)
    there = measured if here or counts(brush_set, a_round, position) else None
    if sight == "left":
        return _left(a_round, position, there)
    if here or position in a_round.left:
        return replace(a_round, found=_put(a_round.found, position, measured))
    return replace(a_round, readings=_put(a_round.readings, position, there))


def _of_those_in(a_round: Round, brush_set: BrushSet) -> Round:
    """Return a round without what it reads of brushes that came out since; on the sheet on which they did it is as
    found.
    """
    places = {*a_round.readings, *a_round.found, *a_round.left}
    gone = {n for n in places if not (_came_here(a_round, brush_set, n) or counts(brush_set, a_round, n))}
    if not gone:
        return a_round
    readings, found = ({n: m for n, m in there.items() if n not in gone} for there in (a_round.readings, a_round.found))
    return replace(a_round, readings=readings, found=found, left=a_round.left - gone)


def _came_here(a_round: Round, brush_set: BrushSet, position: int) -> bool:
    """Tell whether a brush came new on the sheet of a round."""
    renewal = brush_set.renewal_of(position)
    return renewal is not None and renewal.sheet_id != "" and renewal.sheet_id == a_round.sheet_id


def read_all(a_round: Round, brush_set: BrushSet, read: Iterable[ReadAs]) -> Round:
    """Return a round with everything that was read in it, as found before as left at each place."""
    every = list(read)
    if not brush_set.renewed and not any(sight == "left" for _, sight, _ in every):
        return replace(a_round, readings={position: measured for position, _, measured in every})
    for position, sight, measured in every:
        a_round = read_in(a_round, brush_set, position, measured=measured, sight=sight)
    return a_round


def seen_in(a_round: Round, said: BrushSeen) -> Round:
    """Return a round after something was seen on a brush in one sight, or that was taken back."""
    this, noted = (said.position, said.finding.id), (said.position, said.finding)
    left, found = (a_round.shows(*this, sight) for sight in _SIGHTS)
    found, left = (found, not said.gone) if said.sight == "left" else (not said.gone, left)
    others = [x for x in a_round.seen if (x[0], x[1].id) != this]
    seen = sorted([*others, *([noted] if found or left else [])], key=lambda x: (x[0], x[1].id))
    return replace(
        a_round,
        seen=tuple(seen),
        seen_left=a_round.seen_left - {this} | ({this} if left else set()),
        seen_both=a_round.seen_both - {this} | ({this} if left and found else set()),
    )


def _put(there: Mapping[int, Measured], position: int, measured: Measured | None) -> dict[int, Measured]:
    """Return readings with one of them changed, or left out."""
    others = {n: m for n, m in there.items() if n != position}
    return others if measured is None else dict(sorted({**others, position: measured}.items()))


def _left(a_round: Round, position: int, measured: Measured | None) -> Round:
    """Return a round after a brush of it was read again as it was left, or that reading withdrawn."""
    found = dict(a_round.found)
    if measured is None:
        before = found.pop(position, None)
        left = a_round.left - {position}
        return replace(a_round, readings=_put(a_round.readings, position, before), found=found, left=left)
    if position in a_round.readings and position not in a_round.left:
        found[position] = a_round.readings[position]
    left = a_round.left | {position}
    return replace(a_round, readings=_put(a_round.readings, position, measured), found=found, left=left)


def _with_round(record: Record, round_id: str, changed: Callable[[Round, BrushSet], Round]) -> Record:
    sets = (replace(s, rounds=tuple(changed(r, s) if r.id == round_id else r for r in s.rounds)) for s in record.sets)
    return replace(record, sets=tuple(sets))


def _rounds_of(record: Record, sheet_id: str, changed: Callable[[Round], Round]) -> tuple[BrushSet, ...]:
    """Return the sets with the rounds of one sheet changed."""
    return tuple(
        replace(s, rounds=tuple(changed(r) if r.sheet_id == sheet_id else r for r in s.rounds)) for s in record.sets
    )


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
        if not life.finding.of_brush or not touched:
            made.append(life)
        elif not known:
            made.append(replace(life, state="done not proven"))
    return tuple(made)
