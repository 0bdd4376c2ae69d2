"""A round, and a set, after a brush was read or renewed: worked out in memory as the record will have it."""

from collections.abc import Mapping, Sequence
from dataclasses import replace

from norvash.core.motor.record import BrushSet, Measured, Renewal, Round
from norvash.core.sheet.given import Sight


def read_anew(a_round: Round, brush_set: BrushSet, position: int, measured: Measured | None, sight: Sight) -> Round:
    """Return a round after a brush of it was read in one sight, or that reading withdrawn."""
    if sight == "left":
        return _left(a_round, position, measured)
    if position in a_round.left:
        return replace(a_round, found=_put(a_round.found, position, measured))
    renewal = brush_set.renewal_of(position)
    if renewal is not None and renewal.sheet_id and renewal.sheet_id == a_round.sheet_id:
        return replace(a_round, found=_put(a_round.found, position, measured))
    counts = renewal is None or a_round.total_units >= renewal.total_units
    return replace(a_round, readings=_put(a_round.readings, position, measured if counts else None))


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


def renewed(current: BrushSet, renewals: Sequence[Renewal]) -> BrushSet:
    """Return a set after some of its brushes were renewed: what was read of them before counts no longer."""
    made = replace(current, renewed=tuple(sorted((*current.renewed, *renewals), key=lambda r: r.total_units)))

    def since(a_round: Round, number: int) -> bool:
        renewal = made.renewal_of(number)
        return renewal is None or a_round.total_units >= renewal.total_units

    rounds = (replace(r, readings={n: m for n, m in r.readings.items() if since(r, n)}) for r in made.rounds)
    return replace(made, rounds=tuple(rounds)).after_renewals()
