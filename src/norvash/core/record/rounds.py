"""What is read and seen in a round, each in its sight: folded by whoever enters it and by whoever reads it again."""

from collections.abc import Callable, Iterable, Mapping
from dataclasses import replace

from norvash.core.record.record import Record
from norvash.core.sheet.finding import Finding
from norvash.core.sheet.given import Sight
from norvash.core.state.motor_state import BrushSet
from norvash.core.state.round import Measured, Round

# A reading: its position, its sight, what it measured.
ReadAs = tuple[int, Sight, Measured]
_SIGHTS: tuple[Sight, Sight] = ("left", "found")


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


def of_those_in(a_round: Round, brush_set: BrushSet) -> Round:
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


def seen_in(a_round: Round, position: int, finding: Finding, sight: Sight, *, gone: bool = False) -> Round:
    """Return a round after something was seen on a brush in one sight, or that was taken back."""
    this, noted = (position, finding.id), (position, finding)
    left, found = (a_round.shows(*this, sight) for sight in _SIGHTS)
    found, left = (found, not gone) if sight == "left" else (not gone, left)
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


def with_round(record: Record, round_id: str, changed: Callable[[Round, BrushSet], Round]) -> Record:
    """Return a record with one round changed."""
    sets = (replace(s, rounds=tuple(changed(r, s) if r.id == round_id else r for r in s.rounds)) for s in record.sets)
    return replace(record, sets=tuple(sets))


def rounds_of(record: Record, sheet_id: str, changed: Callable[[Round], Round]) -> tuple[BrushSet, ...]:
    """Return the sets with the rounds of one sheet changed."""
    return tuple(
        replace(s, rounds=tuple(changed(r) if r.sheet_id == sheet_id else r for r in s.rounds)) for s in record.sets
    )
