"""Brushes that changed places: each keeps what was read and seen of it, and nothing of another's."""

from dataclasses import replace
from datetime import datetime, timedelta

import pytest

from norvash.core.rules.catalogue import RULES, shipped
from norvash.core.stages.brushes.stage import BY_SIGHT
from norvash.core.state.motor_state import BrushSet, Renewal
from norvash.core.state.round import Measured, Round
from norvash.core.state.swapped import could_be_of, in_places

START = datetime(2026, 1, 5, 8)
SEEN = next(iter(BY_SIGHT.values()))


def _read(length: float, swapped: int = 0, id_: str = "") -> Measured:
    return Measured(length_mm=length, sd_mm=0.05, low_mm=length - 0.1, high_mm=length + 0.1, swapped=swapped, id=id_)


def _set(*rounds: dict[int, Measured], renewed: tuple[Renewal, ...] = ()) -> BrushSet:
    """Return a set whose first three brushes are read in turn, each seen and told apart by its millimetres."""
    made = [
        Round(
            id=f"r{n}",
            at=START + timedelta(days=n),
            total_units=100.0 * n,
            kind="check",
            finished=True,
            readings=read,
            found={1: read[1]},
            left=frozenset({1}),
            seen=((1, SEEN),),
            seen_left=frozenset({(1, SEEN.id)}),
        )
        for n, read in enumerate(rounds)
    ]
    return BrushSet(
        number=1,
        fitted_at=START,
        fitted_units=0.0,
        fitted_known=True,
        ended_at=None,
        ended_units=None,
        end_reason="",
        rounds=tuple(made),
        renewed=renewed,
        nominal=frozenset({1}),
    )


def _rows(brush_set: BrushSet) -> list[list[float]]:
    return [[r.readings[n].length_mm for n in (1, 2, 3)] for r in brush_set.rounds]


BEFORE = {1: _read(21), 2: _read(22), 3: _read(23)}


def test_a_set_in_which_nothing_changed_places_is_itself() -> None:
    kept = _set(BEFORE, BEFORE)
    assert in_places(kept) is kept


@pytest.mark.parametrize("said", [(1,), (2,), (1, 2)], ids=["by one", "by the other", "by both"])
def test_everything_before_follows_and_nothing_since(said: tuple[int, ...]) -> None:
    now = {1: _read(12, 2 if 1 in said else 0), 2: _read(11, 1 if 2 in said else 0), 3: _read(13)}
    after = {1: _read(2), 2: _read(1), 3: _read(3)}
    renewed = (Renewal(1, 50.0, 21.5, 0.05), Renewal(1, 150.0, 11.5, 0.05))
    moved = in_places(_set(BEFORE, now, after, renewed=renewed))
    assert _rows(moved) == [[22, 21, 23], [12, 11, 13], [2, 1, 3]]
    first, then = moved.rounds[0], moved.rounds[1]
    assert (dict(first.found), set(first.left), set(first.seen_left)) == ({2: BEFORE[1]}, {2}, {(2, SEEN.id)})
    assert [*first.seen, *then.seen, *then.left] == [(2, SEEN), (1, SEEN), 1]
    assert [(r.position, r.total_units) for r in moved.renewed] == [(2, 50.0), (1, 150.0)]
    assert set(moved.nominal) == {2}


def test_brushes_that_moved_twice_keep_their_own_wear_and_back_again_is_as_before() -> None:
    first = {1: _read(12, 2), 2: _read(11, 1), 3: _read(13)}  # 1 and 2
    chain = {1: _read(2), 2: _read(3, 3), 3: _read(1, 2)}  # then 2 and 3: the brush of 21 mm is at 3 now
    assert _rows(in_places(_set(BEFORE, first, chain))) == [[22, 23, 21], [12, 13, 11], [2, 3, 1]]
    back = {1: _read(1, 2), 2: _read(2, 1), 3: _read(3)}
    assert _rows(in_places(_set(BEFORE, first, back)))[0] == [21, 22, 23]


def test_a_reading_could_be_of_a_brush_that_was_not_shorter_the_nearest_first() -> None:
    rules, doubted = shipped(), _read(21.2, id_="doubted")
    now = {1: doubted, 2: _read(20), 3: _read(20)}
    assert could_be_of(_set(BEFORE, now), 1, doubted, rules) == (2, 3)
    room = RULES["doubt.noise"].default * 2**0.5 * 0.05
    for more, fits in ((0.999 * room, (3,)), (1.001 * room, ())):
        read = _read(23 + more, id_="doubted")
        assert could_be_of(_set(BEFORE, now | {1: read}), 1, read, rules) == fits
    assert could_be_of(_set(now), 1, doubted, rules) == (), "of the same round nothing is known from before"
    many = {n: _read(30 + n) for n in range(1, 9)}
    far = replace(doubted, length_mm=29)
    assert could_be_of(_set(many, {1: far}), 1, far, rules) == (2, 3, 4)
