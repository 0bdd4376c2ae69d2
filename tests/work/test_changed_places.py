"""Two brushes that changed places: what was read before follows each to where it is now."""

import pytest

from conftest import Shop
from norvash.errors import InputError
from norvash.work.on_sheet.measuring import record
from norvash.work.on_sheet.settling import settle_doubt, take_back_answer
from norvash.work.reading.brush_lines import brush_lines
from norvash.work.reading.sheet_now import sheet_now


def _twice_measured(shop: Shop) -> str:
    motor = shop.motor()
    for counter, *lengths in (("170", "21.6", "21.0"), ("240", "21.2", "20.0")):
        shop.later(weeks=3).log(motor, counter)
        shop.measure(motor, "", *lengths)
    shop.later(weeks=3).log(motor, "310")
    return motor


def test_two_brushes_that_changed_places_are_settled_together_and_their_readings_follow_them(shop: Shop) -> None:
    motor = _twice_measured(shop)
    sheet_id = shop.look(motor)
    readings = [
        record(shop.conn, shop.act(), sheet_id, position=n, text=x) for n, x in enumerate(("19.0", "20.8"), start=1)
    ]
    swaps = {d.number: d.swaps for d in shop.page(motor).found.doubts}
    assert swaps == {1: ((2, "B"),), 2: ((1, "A"),)}
    settle_doubt(shop.conn, shop.act(), readings[1], "swapped 1")
    page = shop.page(motor)
    assert page.found.doubts == ()
    assert [b.rate_mm_per_kh for b in page.found.brushes] == [pytest.approx(x / 0.21) for x in (3.0, 1.2)]
    lines = brush_lines(shop.conn, sheet_now(shop.conn, sheet_id, shop.now.date())).lines
    assert [x.before.length_mm for x in lines if x.before] == [20.0, 21.2]
    take_back_answer(shop.conn, shop.act(), readings[1])
    assert {d.number for d in shop.page(motor).found.doubts} == {1, 2}


@pytest.mark.parametrize("answer", ["swapped 2", "swapped 3", "swapped 1"])
def test_a_brush_longer_than_each_was_did_not_change_places(shop: Shop, answer: str) -> None:
    motor = _twice_measured(shop)
    reading = record(shop.conn, shop.act(), shop.look(motor), position=2, text="21.5")
    (doubt,) = shop.page(motor).found.doubts
    assert doubt.swaps == ()
    with pytest.raises(InputError, match="cannot be the brush that was at"):
        settle_doubt(shop.conn, shop.act(), reading, answer)
