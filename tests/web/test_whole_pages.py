"""Every word of every stage of a full sheet is held, class by class, so that nothing moves unseen."""

from collections.abc import Iterator
from datetime import datetime

import pytest
from starlette.testclient import TestClient

from conftest import NOW, Shop
from full_sheet import filled
from norvash.core.stages.catalogue import STAGE_BY_ID
from norvash.store.file.database import transaction
from norvash.store.record import people
from told import told
from whole import assert_no_word_moved

_STAGE, _BESIDE = 'id="stage"', 'id="beside"'


def stages_told(client: TestClient, shop: Shop, motor_class: str) -> Iterator[str]:
    """Yield what a full sheet tells: its head, each stage for its first brush, and what stands beside them."""
    shop.now = NOW
    with transaction(shop.conn):
        people.change_site(shop.conn, "Test shop", NOW.date().isoformat(), datetime.now())
    sheet, page = filled(shop, motor_class), ""
    for stage in STAGE_BY_ID:
        page = client.get(f"/sheets/{sheet}/{stage}?position=1").text
        if stage == "call-in":
            yield "== head\n" + told(page, end=_STAGE)
        yield f"== {stage}\n" + told(page, _STAGE, _BESIDE)
        if stage == "commutator":
            yield "== bar-map\n" + told(client.get(f"/sheets/{sheet}/bar-map").text)
    yield "== beside\n" + told(page, _BESIDE)


@pytest.mark.parametrize("motor_class", ["industrial", "starter"])
def test_no_word_of_a_full_sheet_moves(client: TestClient, shop: Shop, motor_class: str) -> None:
    assert_no_word_moved(f"pages/{motor_class}.txt", "\n".join(stages_told(client, shop, motor_class)) + "\n")
