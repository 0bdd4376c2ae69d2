"""Every stage of a sheet that holds everything a sheet can hold, for every class, before and after it is signed."""

import re
from collections.abc import Iterator
from datetime import datetime, timedelta
from html import unescape

import pytest
from starlette.testclient import TestClient

from conftest import Shop
from norvash.core.classes import TEMPLATES
from norvash.core.sheet.fields import STAGES, fields_of
from norvash.store import sheets
from norvash.work.context import Context, load
from norvash.work.measuring import note, record
from norvash.work.opening import open_sheet
from norvash.work.sheets import enter
from norvash.work.signing import add_to_signed, sign

LEFT_OUT = ("waive.", "confirm.", "skip.", "ruled-out.", "overrule.", "outcome", "next-look", "upstream")
SAID = {
    "tick": "yes",
    "quantity": "1.5",
    "text": "as seen",
    "map": "even 1-44; burnt 7, 30; loose 45",
    "column": "1.5\n1.6\n-\n1.4",
}
ROUND = "\n".join(f"{0.02 + 0.001 * (i % 5):.3f}" for i in range(45))
OWN = {
    "bar-test-noise": "2 %",
    "rough-cut": "0.1",
    "run-out": ROUND,
    "bar-test": ROUND,
    "track-d": "57.1\n57",
    "shoulder-d": "60",
    "cut-done": "56.5",
}


def everything(context: Context) -> Iterator[tuple[str, str, int]]:
    """Yield every plain field that is offered to a motor, with something to enter."""
    places = {"": [0], "position": [1, 2], "tap": [1, 2], "bearing": [1, 2], "number": []}
    for field in (f for stage in STAGES for f in fields_of(stage, context.facts, context.rules)):
        if not field.id.startswith(LEFT_OUT):
            text = field.choices[0][0] if field.kind == "pick" else OWN.get(field.id, SAID.get(field.kind, ""))
            yield from ((field.id, text, place) for place in places[field.per])


def filled(shop: Shop, motor_class: str) -> str:
    """Return a sheet on which every field is entered that is offered to this class."""
    figures = {
        "speed_taps": "0.5; 1",
        "rated_v": "230",
        "rated_a": "9",
        "thickness_mm": "8",
        "width_mm": "16",
        "commutator_d_mm": "60",
        "bars": "45",
        "grade_family": "electrographite",
        "mass_kg": "60",
        "capacitors": "yes",
    }
    if motor_class == "starter":
        figures["construction"] = "permanent-magnet"  # fmt: skip
    motor = shop.motor(motor_class=motor_class, figures=figures)
    sheet = open_sheet(shop.conn, shop.later(minutes=1).act(), motor, "full", "")

    def put(field: str, text: str, place: int = 0, **more: str) -> None:
        enter(shop.conn, shop.later(seconds=5).act(), sheet, field, place, text, "", more)

    soon = f"{shop.now + timedelta(days=9):%Y-%m-%d}"
    for gate in ("safe", "power", "service"):
        put(f"waive.{gate}", "shown in a test")
    put("permit.open", "volts", 1, who="Ines", barriers="rope", minutes="30")
    for place, mm in ((1, "9.1"), (2, "15")):
        record(shop.conn, shop.later(seconds=5).act(), sheet, place, mm)
    for seen in ("lead.taut", "terminal.poor", "face.glazed", "brush.sticky"):
        note(shop.conn, shop.later(seconds=5).act(), sheet, 1, seen)
    for field, text, place in everything(load(shop.conn, motor)):
        put(field, text, place)
    put("permit.close", "yes", 1)
    put("overrule.brushes", "watch", why="the scale is wrong")
    put("ruled-out.stuck", "yes")
    put("temporary", "tied up", 1, who="Bram", day=soon)
    put("decide.lead.taut", "deferred", 1, who="Bram", day=soon)
    put("decide.terminal.poor", "dropped", 1, why="it was dust")
    put("decide.brush.sticky", "done", 1)
    put("decide.windings.burnt", "deferred", 0, who="Bram", day=soon)
    put("next-look", soon)
    put("skip.rework", "no time")
    return sheet


@pytest.mark.long
@pytest.mark.parametrize("motor_class", TEMPLATES)
def test_every_stage_shows_all_that_it_can_hold(client: TestClient, shop: Shop, motor_class: str) -> None:
    shop.now = datetime.now() - timedelta(days=1)
    sheet = filled(shop, motor_class)
    before = {stage: client.get(f"/sheets/{sheet}/{stage}?position=1") for stage in STAGES}
    assert {s: a.status_code for s, a in before.items()} == dict.fromkeys(STAGES, 200)
    assert "What to bring" in before["call-in"].text
    assert "runs away" in before["prove"].text or motor_class != "traction"
    assert "as seen" in before["open"].text
    decide = unescape(before["decide"].text)
    assert re.search(r"Put off</b>: Bram, \d{4}-\d\d-\d\d", decide)
    assert "terminal dirty, loose or oxidised, brush A: <b>not needed after all</b>" in decide
    assert "overruled" in decide
    copper = unescape(before["commutator"].text)
    assert "Cut: " in copper
    assert "Radius of the brush face" in copper
    assert "bar-map-figure" in copper
    assert "2 more such cuts" in copper or "no further cut" in copper
    assert "Insulation 1.5 MΩ" in unescape(before["windings"].text)
    assert "Polarization index 1.00" in unescape(before["windings"].text)
    assert "bore on the shaft" in unescape(before["drive"].text)
    assert "Cut of the commutator" in client.get(f"/sheets/{sheet}/cut").text
    sign(shop.conn, shop.later(minutes=1).act(), sheet, "shown with everything open")
    add_to_signed(shop.conn, shop.later(minutes=1).act(), sheet, "and something more")
    for stage in STAGES:
        page = client.get(f"/sheets/{sheet}/{stage}")
        assert page.status_code == 200
        assert "as signed on" in page.text
    assert "and something more" in client.get(f"/sheets/{sheet}/sign").text
    motor = sheets.fetch_sheet(shop.conn, sheet).motor_id
    shown = unescape(client.get(f"/motors/{motor}").text)
    assert "Put off, still open" in shown
    assert "temporary repair: tied up: Bram, by" in shown
    assert client.get("/").status_code == 200


def test_a_sheet_without_its_gate_takes_nothing_inside_and_says_so(client: TestClient, shop: Shop) -> None:
    shop.now = datetime.now() - timedelta(days=1)
    sheet = open_sheet(shop.conn, shop.act(), shop.motor(), "full", "")
    assert "This stage waits for" in client.get(f"/sheets/{sheet}/brushes").text
    typed = {
        "act_id": "typed-too-early",
        "field": "gap",
        "place": "1",
        "value": "2.25",
        "stage": "brushes",
        "position": "1",
    }
    refused = client.post(f"/sheets/{sheet}/entries", data=typed)
    assert (refused.status_code, 'value="2.25"' in refused.text) == (409, True)
    assert "“Make safe” is not passed yet" in unescape(refused.text)
    assert client.get(f"/sheets/{sheet}").url.path == f"/sheets/{sheet}/call-in"
    assert client.get(f"/sheets/{sheet}/nonsense").status_code == 404
    now = client.get(f"/sheets/{sheet}/version").json()
    assert (now["version"] > 0, now["gauge"]) == (True, None)
    assert "No gauge is connected" in client.get(f"/sheets/{sheet}/gauge?by=somebody").json()["trouble"]


def test_a_school_is_chosen_for_one_motor_in_the_rulebook(client: TestClient, shop: Shop) -> None:
    motor = shop.motor()
    typed = {
        "act_id": "choose-a-school",
        "value": "symptoms",
        "target": "motor",
        "tag": "X-01",
        "why": "cheap to replace",
    }
    assert client.post("/rulebook/school.when", data=typed).status_code == 422
    kept = client.post("/rulebook/school.when", data={**typed, "act_id": "choose-another", "value": "share"})
    assert "at a share of the length left, by eye</b> for motor X-01" in kept.text
    assert load(shop.conn, motor).rules.choice("school.when").key == "share"
    for wrong in ({"tag": "X-99"}, {"target": "moon"}, {"target": "class:boat"}, {"value": "never"}, {"why": ""}):
        bad = client.post(
            "/rulebook/school.when", data={**typed, "value": "share", "act_id": f"wrong-{min(wrong)}-1", **wrong}
        )
        assert bad.status_code == 422, wrong
    back = client.post("/rulebook/school.when", data={**typed, "act_id": "back-again-1", "clear": "1"})
    assert "Nothing: the default holds everywhere." in back.text
    assert "cheap to replace" in back.text
    assert "How common each cause is" in client.get("/rulebook/causes").text
    figure = {"act_id": "a-figure-for-one", "value": "0.5", "target": "motor", "tag": "x-01", "why": "hard to reach"}
    assert "0.5" in client.post("/rulebook/stage.watch", data=figure).text
    assert load(shop.conn, motor).rules["stage.watch"] == 0.5


def test_an_entry_is_answered_by_its_page_at_once_where_that_is_asked_for(client: TestClient, shop: Shop) -> None:
    sheet = shop.look(shop.motor())
    typed = {"act_id": "typed-at-the-bench", "field": "gap", "place": "1", "value": "2.25", "stage": "brushes", "position": "1"}  # fmt: skip
    at_once = client.post(f"/sheets/{sheet}/entries", data=typed, headers={"Prefer": "return=representation"})
    gone_to = client.post(f"/sheets/{sheet}/entries", data=typed, follow_redirects=False)
    assert (at_once.status_code, gone_to.status_code) == (200, 303)
    page = client.get(gone_to.headers["location"]).text
    ids = re.compile(r'value="[0-9a-f]{24}(-\w+)?"|data-act="[^"]*"')
    assert ids.sub("", at_once.text) == ids.sub("", page)
