"""Pages of commutator, windings and drive: bad input answered at its place with what was typed, nothing overwritten,
the page for the lathe.
"""

import re
from html import unescape
from itertools import count

import pytest
from starlette.testclient import TestClient

from at_work import at_work
from conftest import Shop
from norvash.store.record import entries
from norvash.work.on_sheet.opening import open_sheet
from norvash.work.on_sheet.sheets import enter
from norvash.work.on_sheet.sighting import Seeing

FIGURES = {
    "commutator_d_mm": "98",
    "commutator_d_min_mm": "93.9",
    "bars": "24",
    "poles": "4",
    "armature_slots": "12",
    "rated_v": "230",
    "track_mm": "40",
    "width_mm": "12",
}
IDS = count(1)


@pytest.fixture
def sheet(shop: Shop) -> str:
    shop.today(minutes=180)
    made = open_sheet(
        shop.conn, shop.act(), shop.motor(motor_class="industrial", figures=FIGURES), kind="full", counter=""
    )
    enter(shop.conn, shop.later(minutes=1).act(), made, field_id="waive.safe", place=0, text="on the bench")
    return made


def post(
    client: TestClient,
    sheet: str,
    field: str,
    *,
    value: str,
    stage: str = "commutator",
    replaces: str = "",
    says: str = "",
) -> tuple[int, str]:
    typed = {
        "act_id": f"typed-here-{next(IDS):04d}",
        "field": field,
        "place": "0",
        "value": value,
        "stage": stage,
        "replaces": replaces,
        "slip_why": "the wrong line",
        "answer": says,
    }
    answer = client.post(f"/sheets/{sheet}/entries", data=typed)
    return answer.status_code, unescape(answer.text)


@pytest.mark.parametrize(
    ("field", "value", "says"),
    [
        ("run-out", "0.01 mm\n20 µm\n0.02 mm", "mixes units: reading 2 has µm"),
        ("run-out", "1\t0.01\n2\t0.02\n2\t0.03", "Reading 2 stands twice"),
        ("bar-test", "1\n2\nthree", "Reading 3"),
        ("bar-map", "burnt 25", "no bar 25"),
        ("bar-map", "crisp 3", "cannot be read"),
        ("surface-with", "steel", "leave wires that bridge slots"),
        ("cut-done", "97", "is not measured"),
        ("groove", "two", "cannot be read"),
    ],
)
def test_what_cannot_be_is_answered_at_its_field_and_kept(
    field: str, value: str, says: str, client: TestClient, sheet: str
) -> None:
    status, text = post(client, sheet, field, value=value)
    assert status == 422
    assert says in text
    assert field == "surface-with" or value.split("\n")[-1] in text.split(f'id="in-{field}.0"', 1)[1][:400]
    assert client.get(f"/sheets/{sheet}/commutator").status_code == 200


def test_a_map_that_somebody_else_painted_meanwhile_is_not_overwritten(
    client: TestClient, shop: Shop, sheet: str
) -> None:
    assert post(client, sheet, "bar-map", value="burnt 3")[0] == 200
    status, text = post(client, sheet, "bar-map", value="dark 9")
    assert status == 409
    assert "has entered “burnt 3” here meanwhile" in text
    assert 'value="dark 9" data-now data-map data-kept="burnt 3"' in text
    there = entries.list_entries(shop.conn, sheet)["bar-map", 0, "found"]
    assert there.word == "burnt 3"
    assert post(client, sheet, "bar-map", value="dark 9", replaces=there.id, says="mistyped")[0] == 200
    assert entries.list_entries(shop.conn, sheet)["bar-map", 0, "found"].word == "dark 9"


def test_a_map_says_that_it_is_of_before_the_cut_only_while_it_is(client: TestClient, shop: Shop, sheet: str) -> None:
    before = "As it was found, before the cut."
    for field, value in (("track-d", "97"), ("bar-map", "dark 3"), ("all-seen", "yes"), ("cut-done", "96.8")):
        assert before not in client.get(f"/sheets/{sheet}/commutator").text
        enter(shop.conn, shop.later(minutes=1).act(), sheet, field_id=field, place=0, text=value)
    assert client.get(f"/sheets/{sheet}/commutator").text.count(before) == 1
    act, seeing = shop.later(minutes=1).act(), Seeing(sight="left", program=True)
    enter(shop.conn, act, sheet, field_id="bar-map", place=0, text="even 1-24", seeing=seeing)
    assert before not in client.get(f"/sheets/{sheet}/commutator").text


def test_the_page_for_the_lathe_with_a_cut_one_that_is_refused_and_nothing(client: TestClient, sheet: str) -> None:
    assert "nothing to cut by yet" in client.get(f"/sheets/{sheet}/cut").text
    post(client, sheet, "track-d", value="97\n96.9")
    post(client, sheet, "groove", value="0.2")
    fine = unescape(client.get(f"/sheets/{sheet}/cut").text)
    assert fine.count("☐") >= 12
    assert "off the diameter" in fine
    post(client, sheet, "pit", value="3")
    refused = unescape(client.get(f"/sheets/{sheet}/cut").text)
    assert "The deepest cut allowed is" in refused
    assert "off the diameter" not in refused


@pytest.mark.parametrize("bars", ["0", "1", "3"])
def test_a_number_of_bars_that_cannot_be_mapped_is_said(bars: str, client: TestClient, shop: Shop) -> None:
    answer = client.get(f"/sums/bar-map?bars={bars}&marked_bars=1")
    assert answer.status_code == 422
    assert f'value="{bars}"' in answer.text
    if bars == "3":
        made = open_sheet(
            shop.conn,
            shop.act(),
            shop.motor(tag="X-33", figures={**FIGURES, "bars": "3", "armature_slots": ""}),
            kind="full",
            counter="",
        )
        assert "cannot be mapped yet" in client.get(f"/sheets/{made}/commutator").text


def test_windings_and_drive_say_what_follows(client: TestClient, sheet: str) -> None:
    for field, value in (
        ("parted-capacitors", "yes"),
        ("insulation-mohm", "0.4"),
        ("growler", "fail"),
        ("growler-slots", "4 and 7"),
        ("earth-ohm", "0.05"),
    ):
        assert post(client, sheet, field, value=value, stage="windings")[0] == 200
    text = unescape("".join(client.get(f"/sheets/{sheet}/windings?position={n}").text for n in range(1, 12)))
    for words in (
        "under its least of 1.23 MΩ",
        "slot 4: bars 7 to 8",
        "slot 7: bars 13 to 14",
        "250 or 500 V",
        "Protective earth",
    ):
        assert words in text
    assert "slots 4 and 7 answer on the growler</a>" in client.get(f"/sheets/{sheet}/prove").text
    drawn = client.get(f"/sheets/{sheet}/bar-map").text
    assert "slot 4 answers on the growler" in drawn
    assert "brackets: slots that answer" in client.get(f"/sheets/{sheet}/commutator").text.lower()
    assert post(client, sheet, "end-float", value="0.4", stage="drive")[0] == 200
    assert post(client, sheet, "vibration", value="1.2", stage="drive")[0] == 200
    text = client.get(f"/sheets/{sheet}/drive").text
    for words in ("Press only on the ring with the tight fit", "End float 0.40 mm", "Vibration 1.2 mm/s, acceptable"):
        assert words in text


def test_the_list_of_sums_shows_what_each_draws(client: TestClient) -> None:
    small = client.get("/sums/run-out/small.svg")
    assert small.headers["content-type"] == "image/svg+xml"
    assert small.text.startswith("<?xml")
    assert client.get("/sums/nothing/small.svg").status_code == 404
    drawn = re.findall(r'src="(/sums/[^"]+)"', client.get("/sums").text)
    assert len(drawn) > 40
    assert all(client.get(address).status_code == 200 for address in drawn)


def test_readings_stand_in_an_appendix_that_is_printed_where_it_is_open(client: TestClient, shop: Shop) -> None:
    work = at_work(shop, "industrial", "rated_v=220 bars=4")
    work.put("bar-test=1;1.02;0.98;1 outcome=out")
    work.bench.sign("no time")
    page = client.get(f"/sheets/{work.bench.id}/sign").text
    assert page.count("1;1.02;0.98;1") == 1
    assert '<details class="more" id="readings">' in " ".join(page.split())
    assert "1;1.02;0.98;1" in page[page.index('id="readings"') :]
