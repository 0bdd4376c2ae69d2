"""Every stage of a sheet that holds everything a sheet can hold, for every class, before and after it is signed."""

import re
from datetime import datetime, timedelta
from html import unescape
from pathlib import Path

import pytest
from starlette.testclient import TestClient

from bench_sheet import Bench
from conftest import Shop
from full_sheet import filled
from norvash.core.motor.classes import TEMPLATES
from norvash.core.stages.catalogue import STAGE_BY_ID
from norvash.exchange.visit_play import play
from norvash.exchange.visit_read import read_visit
from norvash.store.record import sheets
from norvash.work.on_sheet.opening import open_sheet
from norvash.work.on_sheet.signing import add_to_signed, sign
from norvash.work.reading.loading import load

JOBS = Path(__file__).parent.parent / "jobs"


@pytest.mark.long
@pytest.mark.parametrize("motor_class", TEMPLATES)
def test_every_stage_shows_all_that_it_can_hold(client: TestClient, shop: Shop, motor_class: str) -> None:
    shop.now = datetime.now() - timedelta(days=1)
    sheet = filled(shop, motor_class)
    before = {stage: client.get(f"/sheets/{sheet}/{stage}?position=1") for stage in STAGE_BY_ID}
    assert {s: a.status_code for s, a in before.items()} == dict.fromkeys(STAGE_BY_ID, 200)
    assert "What to bring" in before["call-in"].text
    assert "runs away" in before["prove"].text or motor_class != "traction"
    assert "as seen" in before["open"].text
    decide = unescape(before["decide"].text)
    assert re.search(r"Put off</b>: Bram, \d{4}-\d\d-\d\d", decide)
    assert re.search(r"terminal dirty, loose or oxidised; .*\s*<b>Left so</b>: Ines, [-0-9]+\s*: it was dust", decide)
    assert "overruled" in decide
    copper = unescape(before["commutator"].text)
    assert "Cut: " in copper
    assert "Radius of the brush face" in copper
    assert f'data-loads="/sheets/{sheet}/bar-map"' in copper
    assert "bar-map-figure" in client.get(f"/sheets/{sheet}/bar-map").text
    assert "No cut: first a raised or loose bar is secured" in copper
    assert "Insulation 300 MΩ" in unescape(before["windings"].text)
    assert "Polarization index 1.00" in unescape(before["windings"].text)
    assert "bore on the shaft" in unescape(before["drive"].text)
    assert "Cut of the commutator" in client.get(f"/sheets/{sheet}/cut").text
    sign(shop.conn, shop.later(minutes=1).act(), sheet, "shown with everything open")
    add_to_signed(shop.conn, shop.later(minutes=1).act(), sheet, "and something more")
    for stage in STAGE_BY_ID:
        page = client.get(f"/sheets/{sheet}/{stage}")
        assert page.status_code == 200
        assert "as signed on" in page.text
    assert "and something more" in client.get(f"/sheets/{sheet}/sign").text
    motor = sheets.fetch_sheet(shop.conn, sheet).motor_id
    shown = unescape(client.get(f"/motors/{motor}").text)
    assert "Still open from earlier visits" in shown
    assert re.search(r"tied up; make it good. Bram, by", shown)
    assert client.get("/").status_code == 200


def test_a_sheet_without_its_gate_takes_nothing_inside_and_says_so(client: TestClient, shop: Shop) -> None:
    shop.now = datetime.now() - timedelta(days=1)
    sheet = open_sheet(shop.conn, shop.act(), shop.motor(), kind="full", counter="")
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
    figure = {"act_id": "a-figure-for-one", "value": "50%", "target": "motor", "tag": "x-01", "why": "hard to reach"}
    assert "50%" in client.post("/rulebook/stage.watch", data=figure).text
    assert load(shop.conn, motor).rules["stage.watch"] == 0.5


def test_an_entry_is_answered_by_its_page_at_once_where_that_is_asked_for(client: TestClient, shop: Shop) -> None:
    sheet = shop.look(shop.motor())
    typed = {
        "act_id": "typed-at-the-bench",
        "field": "gap",
        "place": "1",
        "value": "2.25",
        "stage": "brushes",
        "position": "1",
    }
    at_once = client.post(f"/sheets/{sheet}/entries", data=typed, headers={"Prefer": "return=representation"})
    gone_to = client.post(f"/sheets/{sheet}/entries", data=typed, follow_redirects=False)
    assert (at_once.status_code, gone_to.status_code) == (200, 303)
    page = client.get(gone_to.headers["location"]).text
    ids = re.compile(r"[0-9a-f]{14}")
    assert ids.sub("", at_once.text) == ids.sub("", page)


def test_what_is_possible_in_two_ways_is_asked_on_the_page_and_refused_with_a_proposal_in_json(
    client: TestClient, shop: Shop
) -> None:
    sheet = open_sheet(shop.conn, shop.act(), shop.motor(), kind="full", counter="")

    def form(job: str, act: str, **typed: str) -> str:
        data = {"act_id": f"asked-{act}", "stage": "brushes", "position": "1", **typed}
        answer = client.post(f"/sheets/{sheet}/{job}", data=data, headers={"Prefer": "return=representation"})
        return unescape(answer.text)

    def stands(sight: str) -> str:
        plain = client.get(f"/api/v1/sheets/{sheet}").json()
        return next((e["typed"] for e in plain["entries"] if (e["field"], e["sight"]) == ("gap", sight)), "")

    form("entries", "gate", field="waive.safe", value="tried")
    form("entries", "first", field="gap", place="1", value="0.2", sight="found", touched="0")
    first = {"field": "gap", "place": "1", "value": "2.1", "replaces": "asked-first", "sight": "found", "touched": "0"}
    question = form("entries", "second", **first)
    assert 'value="mistyped"' in question
    assert 'value="again"' not in question, "nothing was done since"
    assert 'value="2.1"' in question
    assert stands("found") == "0.2"
    form("entries", "done", field="task.gap", value="yes", minutes="10", stage="rework")
    # It waited in a browser that had not seen the work: it is kept as typed, and asked about.
    waited = form("entries", "waited", **{**first, "value": "2.2"})
    assert "2.2 by Ines Torvald is kept, but" in waited
    assert (stands("found"), stands("asked"), stands("left")) == ("0.2", "2.2", "")
    asked = re.search(r'name="id" value="([^"]+)"', waited)
    assert asked is not None
    form("sights", "said", id=asked.group(1), sight="left")
    assert (stands("found"), stands("asked"), stands("left")) == ("0.2", "", "2.2")
    # A program that names no sight where work was done is told which one it would be.
    body = {"act_id": "by-a-program", "person": "Ines Torvald", "field": "gap", "place": 1, "value": "2.3"}
    refused = client.post(f"/api/v1/sheets/{sheet}/entries", json={**body, "replaces": asked.group(1)})
    assert (refused.status_code, "left" in str(refused.json()["error"])) == (409, True)
    kept = client.post(f"/api/v1/sheets/{sheet}/entries", json={**body, "replaces": asked.group(1), "sight": "left"})
    assert (kept.status_code, stands("left")) == (200, "2.3")


def test_a_sheet_is_given_as_a_file_and_one_from_a_file_says_so(client: TestClient, shop: Shop) -> None:
    """What a page gives is what plays; on the pages every entry of it is marked, and so is the motor's record."""
    job = read_visit((JOBS / "dead-spring.json").read_bytes())
    sheet = play(shop.conn, job, "Ines Torvald", datetime.now()).sheets[0]
    given = client.get(f"/sheets/{sheet}/file")
    assert given.headers["content-disposition"] == 'attachment; filename="sheet-1.json"'
    again = read_visit(given.content)
    assert [e.do for e in again.entries] == [e.do for e in job.entries]
    assert client.get("/sheets/nowhere/file").status_code == 404
    signed = unescape(client.get(f"/sheets/{sheet}/sign").text)
    assert signed.count(", from a file") > 20
    assert f'href="/sheets/{sheet}/file"' in signed
    motor = sheets.fetch_sheet(shop.conn, sheet).motor_id
    assert "from a file, played in by Ines Torvald" in client.get(f"/motors/{motor}").text
    told = client.get(f"/api/v1/sheets/{sheet}").json()
    assert all(e["from_file"] for e in (*told["entries"], *told["readings"]))
    assert told["visit"]["ran"]["volts"] == 220


def test_a_run_is_entered_by_program_in_the_sight_that_it_names(client: TestClient, shop: Shop) -> None:
    """A run after work is as left: a program that does not say so is asked."""
    bench = Bench(shop, shop.motor(motor_class="tool", figures={"construction": "universal", "rated_v": "230"}))
    bench.put("waive.safe", "in parts")
    bench.measure("20.6", "20.4")
    bench.see(1, "terminal.poor")
    bench.put("task.terminal", "yes")
    bench.ready()
    typed = {"act_id": "by-program-1", "person": "Ines Torvald", "field": "run-a", "value": "2.1"}
    asked = client.post(f"/api/v1/sheets/{bench.id}/entries", json=typed)
    assert (asked.status_code, "sight" in asked.text) == (409, True)
    kept = client.post(f"/api/v1/sheets/{bench.id}/entries", json={**typed, "act_id": "by-program-2", "sight": "left"})
    assert kept.status_code == 200
    assert "2.1 A" in client.get(f"/sheets/{bench.id}/prove").text
