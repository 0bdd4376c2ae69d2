"""Looks that found nothing, said together with one press: each by name, and never what could stop the motor."""

import pytest
from starlette.testclient import TestClient

from at_work import Work, at_work
from conftest import Shop
from norvash.core.visit.on_axis import parts_now
from norvash.core.visit.together import may_be_said
from norvash.errors import InputError
from norvash.web.stages.shown.written import written


def may(work: Work) -> set[str]:
    page = work.bench.page
    return {x.key for x in may_be_said(page.sheet, page.visit.lives, page.context.rules)}


def bearing(work: Work, number: int) -> tuple[str, int, int]:
    part = next(p for p in parts_now(work.bench.page.visit) if p.part.bearing == number)
    return part.state, part.answered, part.of


def test_looks_are_said_together_each_by_name(shop: Shop) -> None:
    work = at_work(shop, "tool", "rated_v=230").put("b-seal@2=torn")
    keys = may(work)
    assert {"b-noise@1", "b-play@1", "b-seal@1", "b-grease@1", "b-seat@1", "belt@0", "looked.frame@0"} <= keys
    never = {"b-feel@1", "clutch@0", "looked.shaft@0", "looked.fan@0", "looked.bearing@1", "b-seal@2", "bush-state@1"}
    assert not keys & never
    said = " ".join(sorted(k for k in keys if k.endswith("@1")))
    work.bench.put("together.drive", said, 1)
    assert bearing(work, 1) == ("some", 5, 6)
    work.put("b-feel@1=smooth")
    assert bearing(work, 1) == ("sound", 6, 6)
    assert not keys & may(work) & set(said.split())
    line = next(x for _, lines in written(work.bench.page) for x in lines if "together" in x.what)
    assert "seals sound" in line.found
    assert "@" not in line.found
    with pytest.raises(InputError, match="Not all of that may be said together"):
        work.bench.put("together.drive", "b-noise@1", 2)
    work.bench.undo()
    work.bench.undo()
    assert bearing(work, 1) == ("unseen", 0, 6)


@pytest.mark.parametrize("keys", ["b-feel@1", "clutch@0", "b-noise@1 b-feel@1", "nothing@1", "b-seal@2"])
def test_what_can_stop_it_is_open_or_unknown_is_not_said_together(shop: Shop, keys: str) -> None:
    work = at_work(shop, "tool", "rated_v=230").put("b-seal@2=torn")
    with pytest.raises(InputError, match="Not all of that may be said together"):
        work.bench.put("together.drive", keys, 1)


def test_what_stops_a_hoist_and_what_was_off_the_last_time_is_answered_by_itself(shop: Shop) -> None:
    hoist = at_work(shop, "industrial", "rated_v=220 hangs_load=yes")
    assert {"b-play@1", "b-seat@1", "teeth@0", "cushions@0"} & may(hoist) == set()
    assert "b-noise@1" in may(hoist)
    hoist.put("b-noise@1=rumble belt=cracked outcome=out").bench.sign("left for the test")
    again = Work(shop, type(hoist.bench)(shop.later(days=9), hoist.bench.motor)).safe()
    assert {"b-noise@1", "belt@0"} & may(again) == set()
    assert "b-noise@2" in may(again)


def test_what_work_has_touched_is_looked_at_by_itself(shop: Shop) -> None:
    work = at_work(shop, "tool", "rated_v=230").put("b-feel@1=rough")
    assert "b-grease@2" in may(work)
    work.put("decide.bearing.rough@1=now task.bearing=yes")
    assert not {k for k in may(work) if k.startswith("b-")}


def test_one_press_on_the_page_says_what_it_lists(client: TestClient, shop: Shop) -> None:
    work = at_work(shop, "tool", "rated_v=230")
    address = f"/sheets/{work.bench.id}/drive"
    page = client.get(address).text
    keys = " ".join(x.key for x in may_be_said(work.bench.page.sheet, (), work.bench.page.context.rules))
    assert f'value="{keys}"' in page
    sent = {"act_id": "said-together", "field": "together.drive", "place": "1", "stage": "drive"}
    after = client.post(f"/sheets/{work.bench.id}/entries", data={**sent, "value": keys}).text
    assert "Said together, nothing found: " in after
    assert "keep-together" not in after
