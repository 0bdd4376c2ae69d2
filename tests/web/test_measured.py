"""What was measured is said where the person stands, and the same in JSON: at each stage of a full sheet."""

from datetime import datetime
from html import unescape

import pytest
from starlette.testclient import TestClient

from conftest import NOW, Shop
from full_sheet import filled
from norvash.core.sheet.field import Pick, Quantity
from norvash.core.stages.catalogue import FIELD_BY_ID, STAGE_BY_ID
from norvash.store.file.database import transaction
from norvash.store.record import people
from norvash.work.reading.measured_table import values_of
from norvash.work.reading.sheet_now import sheet_now
from norvash.work.told.sheet import sheet_told

# What is judged with something else, or not moved yet, and where it is said.
_BESIDE = {
    "terminal-step": "the meter's, beside each terminal",
    "coast-s": "against the motor's own baseline, where there is one",
    **dict.fromkeys(("groove", "pit", "step", "shoulder-d", "slot-depth"), "by the plan of a cut, and what it left"),
    "lead-length": "by the set that was fitted",
    **dict.fromkeys(("print", "run-in-loud"), "at the rework, as findings"),
}


@pytest.mark.parametrize("motor_class", ["industrial", "starter", "tool"])
def test_every_value_that_was_measured_stands_on_its_page_and_in_json(
    client: TestClient, shop: Shop, motor_class: str
) -> None:
    shop.now = NOW
    with transaction(shop.conn):
        people.change_site(shop.conn, "Test shop", NOW.date().isoformat(), datetime.now())
    sheet = filled(shop, motor_class)
    page = sheet_now(shop.conn, sheet, NOW.date())
    assert len(page.measured) > 20
    for stage in STAGE_BY_ID.values():
        text = unescape(client.get(f"/sheets/{sheet}/{stage.id}").text)
        said = [m for m in page.at(stage) if m.id != "length" and not _picked(m.of[-1][0])]
        assert [m.words for m in said if f"{m.words[0].upper()}{m.words[1:]}" not in text] == [], stage.id
    assert [m.words for m in page.lengths if f"{m.value:.2f}" not in brushes_of(client, sheet)] == []
    told = sheet_told(shop.conn, sheet, NOW.date())["measured"]
    assert told == [v.as_plain() for v in values_of(shop.conn, page)]
    assert {m.words for m in page.measured} <= {str(v["words"]) for v in told}


@pytest.mark.parametrize("motor_class", ["industrial", "starter", "tool"])
def test_every_judged_quantity_that_was_entered_is_in_something_measured(shop: Shop, motor_class: str) -> None:
    page = sheet_now(shop.conn, filled(shop, motor_class), NOW.date())
    of = {entry for m in page.measured for entry in m.of}
    entered = {(f, n) for f, n, _ in page.sheet.written if isinstance(FIELD_BY_ID.get(f), Quantity)}
    telling = {(f, n) for f, n in entered if FIELD_BY_ID[f].tells}
    left = {f for f, _ in telling - of} - _BESIDE.keys()
    assert not left, " ".join(sorted(left))


def brushes_of(client: TestClient, sheet: str) -> str:
    """Return the page of the brushes, on which each length has a row of its own."""
    return client.get(f"/sheets/{sheet}/brushes").text


def _picked(field_id: str) -> bool:
    """Tell whether the answer itself stands pressed at its field."""
    return isinstance(FIELD_BY_ID.get(field_id), Pick)
