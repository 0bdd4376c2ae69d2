"""Where sets ran: their use laid against the moves of their motor."""

from collections.abc import Sequence
from dataclasses import dataclass

from norvash.core.edges import over
from norvash.core.state.motor_state import BrushSet, MotorState
from norvash.core.text.words import use_words
from norvash.core.use.timeline import use_on
from norvash.store.record.stood import MovedOn


@dataclass(frozen=True, slots=True)
class RanAt:
    """What a set ran at one place, `about` that where nobody read the counter on the day of a move.

    Units: units in the motor's unit of use.
    """

    place: str
    units: float
    about: bool


def ran_where(brush_set: BrushSet, state: MotorState, moves: Sequence[MovedOn]) -> tuple[RanAt, ...]:
    """Return the places where a set ran, in order, each with its use there; none where its motor never moved in it."""
    if not moves:
        return ()
    first, end = brush_set.fitted_units, state.now_units if brush_set.ended_units is None else brush_set.ended_units
    edges = [_use_at(m, state) for m in moves]
    places = (moves[0].before, *(m.after for m in moves))
    ran: dict[str, RanAt] = {}
    for place, (low, low_read), (high, high_read) in zip(
        places, ((first, True), *edges), (*edges, (end, True)), strict=True
    ):
        here = min(high, end) - max(low, first)
        if over(here, 0.0):
            read = (low_read or not over(low, first)) and (high_read or not over(end, high))
            was = ran.get(place, RanAt(place, 0.0, about=False))
            ran[place] = RanAt(place, was.units + here, was.about or not read)
    return tuple(ran.values()) if len(ran) > 1 else ()


def _use_at(move: MovedOn, state: MotorState) -> tuple[float, bool]:
    """Return the total use at a move, and whether the counter was read that day: else it is by proportion."""
    read = next((e.total_units for e in reversed(state.entries) if e.at.date() == move.on), None)
    if read is not None:
        return read, True
    found = use_on(move.on, state.entries, state.rate)
    return (move.total_units, True) if found is None else (min(found, state.now_units), False)


def where_words(ran: Sequence[RanAt], unit: str) -> str:
    """Return in words where a set ran, the largest share of its use first.

    >>> ran = (RanAt("scene dock", 326.0, about=True), RanAt("stage left", 340.0, about=False))
    >>> where_words(ran, "hours").replace("\u00a0", " ")
    '340 h at stage left, about 326 h at scene dock'
    """
    largest = sorted(ran, key=lambda x: -x.units)
    return ", ".join(f"{'about ' * x.about}{use_words(x.units, unit)} at {x.place}" for x in largest)
