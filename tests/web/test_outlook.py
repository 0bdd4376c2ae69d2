"""The outlook over HTTP: river and table, filters, dark windows, the calendar, policies, and how forecasts did."""

from collections.abc import Callable
from dataclasses import replace
from datetime import date, datetime, timedelta
from pathlib import Path
from typing import Any

import icalendar
import pytest
from starlette.testclient import TestClient

from conftest import Shop
from norvash.core.brush.limits import Limit
from norvash.core.planning.hindsight import Outcome, reached, scores
from norvash.core.planning.outlook import propose
from norvash.core.state.motor_state import BrushSet
from norvash.core.use.season import Window
from norvash.store.file.database import connect
from norvash.store.record import standings
from norvash.web.served.jobs import Jobs
from norvash.work.motors.hindsight import how_it_did
from norvash.work.pages.outlook import ahead_of
from norvash.work.reading.standing import catch_up
from pages import act_id, add, send
from states import T0, a_round

TODAY = date(2026, 11, 24)
SUMMER = Window(id="s", name="summer", first_on=date(2026, 7, 1), last_on=date(2026, 8, 31), yearly=True, place="")
REFIT = Window(id="r", name="refit", first_on=date(2027, 2, 8), last_on=date(2027, 2, 21), yearly=False, place="stage")

PROPOSED = {
    "no window": ((), date(2027, 3, 10), date(2027, 3, 3), "no dark window"),
    "days away": ((), date(2026, 11, 29), TODAY, "now"),
    "already passed": ((SUMMER,), date(2026, 11, 1), TODAY, "now"),
    "inside a window": ((SUMMER,), date(2027, 7, 9), date(2027, 7, 8), "summer"),
    "after a window": ((SUMMER, REFIT), date(2027, 5, 1), date(2027, 2, 21), "refit"),
    "the last of several": ((SUMMER, REFIT), date(2027, 12, 1), date(2027, 8, 31), "summer"),
}


@pytest.mark.parametrize(("windows", "early", "on", "words"), PROPOSED.values(), ids=PROPOSED)
def test_a_change_is_proposed_for_the_last_window_before_the_early_bound(
    windows: tuple[Window, ...], early: date, on: date, words: str
) -> None:
    found = propose(early, windows, "stage left", TODAY)
    assert (found.on, words in found.words) == (on, True)
    assert found.on >= TODAY
    assert found.on < early or early <= TODAY or "now" in found.words


def fill(client: TestClient, shop: Shop) -> list[str]:
    """Keep three motors with rounds: one near its limit, one far, one without a day."""
    made = []
    for i, length in enumerate(("12", "20", "")):
        motor = shop.motor(tag=f"X-{i}", place="stage left" if i else "yard")
        if length:
            shop.later(weeks=8).log(motor, "500")
            shop.measure(motor, "", length, length)
        made.append(motor)
    return made


def test_the_outlook_shows_bands_and_a_calendar_that_replaces_itself(client: TestClient, shop: Shop) -> None:
    near, far, _ = fill(client, shop)
    shown = client.get("/outlook").text
    assert shown.index("X-0") < shown.index("X-1") < shown.index("X-2")
    assert "no day yet" in shown
    assert "X-1" not in client.get("/outlook?place=yard").text
    assert "No motor fits" in client.get("/outlook?c=starter&s=stop").text
    for span in ("seasons", "nonsense"):
        assert client.get(f"/outlook?span={span}&p=99999").status_code == 200
    assert client.get("/outlook/river.svg").headers["content-type"] == "image/svg+xml"
    first = events(client)
    assert {f"{near}.look@norvash.invalid", f"{near}.change@norvash.invalid", f"{far}.look@norvash.invalid"} <= set(
        first
    )
    shop.later(days=30).log(near, "560")
    shop.measure(near, "", "11.4", "11.4")
    second = events(client)
    assert set(first) == set(second)
    changed = second[f"{near}.look@norvash.invalid"]
    assert changed["SEQUENCE"] > first[f"{near}.look@norvash.invalid"]["SEQUENCE"]
    assert all(e["DTEND"].dt > e["DTSTART"].dt for e in second.values())


def events(client: TestClient) -> dict[str, Any]:
    answer = client.get("/outlook/norvash.ics")
    assert answer.headers["content-type"].startswith("text/calendar")
    assert all(len(line) <= 75 for line in answer.content.split(b"\r\n"))
    calendar = icalendar.Calendar.from_ical(answer.content)
    found = list(calendar.walk("VEVENT"))
    assert not any(e.errors for e in found)
    assert len({str(e["UID"]) for e in found}) == len(found)
    return {str(e["UID"]): e for e in found}


def test_a_window_long_before_the_limit_is_an_opportunity_and_raises_nothing(client: TestClient, shop: Shop) -> None:
    _, far, _ = fill(client, shop)
    listed = next(x for x in standings.find_motors(shop.conn, "X-1", "", 9, 0) if x.motor_id == far)
    today = shop.now.date()
    bare = ahead_of(listed, (), today)
    assert bare.row.early_on is not None
    assert (bare.opportunity, bare.row.grade) == (False, shop.page(far).found.grade)
    plan_on = min(r.on for r in standings.rises_of(listed.standing) if r.part == "brushes")
    for last, opportunity in ((plan_on - timedelta(days=1), True), (plan_on, False), (today + timedelta(days=9), True)):
        window = replace(REFIT, first_on=last - timedelta(days=4), last_on=last, place="")
        ahead = ahead_of(listed, (window,), today)
        assert ahead.change is not None
        assert (ahead.change.on, ahead.opportunity, ahead.row.grade) == (last, opportunity, bare.row.grade)


BAD_WINDOWS = {
    "no name": ({"first_on": "2027-02-01", "last_on": "2027-02-05"}, "The name is missing"),
    "no day": ({"name": "x", "last_on": "2027-02-05"}, "The day is missing"),
    "backwards": ({"name": "x", "first_on": "2027-02-09", "last_on": "2027-02-05"}, "lies before the first"),
    "no such day": ({"name": "x", "first_on": "2027-02-30", "last_on": "2027-03-05"}, "is not a day"),
    "years": ({"name": "x", "first_on": "2027-02-01", "last_on": "2029-02-05"}, "more than a year"),
}


@pytest.mark.parametrize(("typed", "words"), BAD_WINDOWS.values(), ids=BAD_WINDOWS)
def test_a_window_that_cannot_be_is_refused_in_place(client: TestClient, typed: dict[str, str], words: str) -> None:
    status, shown, _ = send(client, "/outlook/dark", "/outlook/dark", **typed)
    assert (status, words in shown) == (422, True)
    assert all(f'value="{v}"' in shown for v in typed.values())


def test_a_dark_window_moves_days_and_can_be_taken_back(client: TestClient, shop: Shop, db: Path) -> None:
    near, *_ = fill(client, shop)
    before = kept(db, near)
    status, shown, at = send(
        client,
        "/outlook/dark",
        "/outlook/dark",
        name="long refit",
        first_on="2025-12-05",
        last_on="2026-03-01",
        yearly="no",
    )
    assert (status, at, "long refit" in shown) == (200, "/outlook/dark", True)
    catch_up(shop.conn, shop.now.date())
    after = kept(db, near)
    assert before.limit_on is not None
    assert after.limit_on is not None
    assert after.limit_on > before.limit_on
    window = shop.conn.execute("select id from shutdown").fetchone()[0]
    client.post(f"/outlook/dark/{window}", data={"act_id": "take-it-back-1"})
    catch_up(shop.conn, shop.now.date())
    assert kept(db, near).limit_on == before.limit_on
    assert client.post(f"/outlook/dark/{window}", data={"act_id": "take-it-back-2"}).status_code == 404


def kept(db: Path, motor: str) -> standings.Standing:
    return next(x.standing for x in standings.find_motors(connect(db), "", "", 9, 0) if x.motor_id == motor)


TABLE = "h;8,5;9;9,5\n100;400;300;200\n500;600;500;300\n"
POLICIES: dict[str, tuple[dict[str, str], str]] = {
    "interval": ({"kind": "interval", "name": "every ten", "every": "10"}, "Every 10 h"),
    "range": ({"kind": "range", "name": "house round", "low": "20", "high": "40"}, "overdue at the high one"),
    "calendar": ({"kind": "calendar", "name": "yearly", "months": "12"}, "every 12 months"),
    "table": (
        {"kind": "table", "name": "maker 7", "quantity": "depth", "sheet": TABLE, "longest": "250"},
        "never more than 250 h",
    ),
}
BAD_POLICIES: dict[str, tuple[dict[str, str], str]] = {
    "no kind": ({"name": "x"}, "not known"),
    "no interval": ({"kind": "interval", "name": "x"}, "Nothing was typed"),
    "a range backwards": ({"kind": "range", "name": "x", "low": "50", "high": "40"}, "not under the high end"),
    "half months": ({"kind": "calendar", "name": "x", "months": "1.5"}, "whole number of months"),
    "no table": ({"kind": "table", "name": "x", "quantity": "depth"}, "is empty"),
    "the unsafe direction": ({"kind": "table", "name": "x", "quantity": "length", "sheet": TABLE}, "does not fall"),
    "a formula": (
        {"kind": "table", "name": "x", "quantity": "depth", "sheet": "h,8\n100,=1+1\n"},
        "Line 2, column 2: “=1+1” is a formula",
    ),
    "a row too short": (
        {"kind": "table", "name": "x", "quantity": "depth", "sheet": "h;8;9\n100;5\n"},
        "Line 2 has 2 cells",
    ),
    "a zip": ({"kind": "table", "name": "x", "quantity": "depth", "sheet": "PK\x03\x04"}, "a zip or spreadsheet"),
}


@pytest.mark.parametrize(("typed", "words"), BAD_POLICIES.values(), ids=BAD_POLICIES)
def test_a_policy_that_cannot_be_is_refused_and_nothing_is_kept(
    client: TestClient, shop: Shop, typed: dict[str, str], words: str
) -> None:
    motor = shop.motor()
    status, shown, _ = send(client, f"/policies/motor/{motor}", f"/policies/motor/{motor}", **typed)
    assert (status, words in shown) == (422, True)
    assert shop.conn.execute("select count(*) from policy").fetchone()[0] == 0


def test_policies_of_motor_and_type_hold_together_and_can_be_ended(client: TestClient, shop: Shop) -> None:
    add(client)
    motor = shop.motor()
    at = f"/policies/motor/{motor}"
    for typed, words in POLICIES.values():
        status, shown, _ = send(client, at, at, **typed)
        assert (status, words in shown) == (200, True)
    shop.later(weeks=6).log(motor, "400")
    shop.measure(motor, "", "20", "20")
    page = client.get(f"/motors/{motor}").text
    assert "every ten" in page
    assert "added the policy maker 7" in page
    policy = shop.conn.execute("select id from policy where name = 'every ten'").fetchone()[0]
    answer = client.post(f"/policies/{policy}", data={"act_id": act_id(client.get(at).text) + "-x"})
    assert "every ten" not in answer.text
    assert client.get("/policies/nothing/here").status_code == 404


def test_the_table_made_for_a_type_can_be_read_back(client: TestClient) -> None:
    status, _, at = send(
        client, "/types/new", "/types", name="Bench saw", motor_class="tool", brushes="2", new_mm="15", limit_mm="5.5"
    )
    assert status == 200
    kind = at if at.count("/") == 2 else client.get("/types").text.split('href="/types/')[2].split('"')[0]
    type_id = kind.rsplit("/", 1)[-1]
    assert "Bench saw: hours to the next look" in client.get(f"/types/{type_id}/table").text
    made = client.get(f"/types/{type_id}/table.csv").content
    at = f"/policies/type/{type_id}"
    status, shown, _ = send(
        client, at, at, kind="table", name="ours", quantity="length", sheet=made.decode("utf-8-sig")
    )
    assert (status, "ours" in shown) == (200, True)


def test_how_it_did_counts_only_what_is_known(client: TestClient, shop: Shop) -> None:
    assert "No set has reached its limit yet" in client.get("/outlook/past").text
    motor = shop.motor()
    for week, length in ((4, "19"), (4, "16"), (4, "13"), (4, "9")):
        shop.later(weeks=week).log(motor, f"{100 + 25 * (22 - int(length)):.0f}")
        shop.measure(motor, "", length, length)
    shop.new_set(motor, "", "22", "22")
    found = how_it_did(shop.conn)
    assert [o.visits for o in found.outcomes] == [1, 2, 3, 4]
    # 22 to 8 mm at 1 mm in 25 h: the limit comes 350 h after fitting.
    assert [round(o.reached_units) for o in found.outcomes] == [350] * 4
    assert "bands held" in client.get("/outlook/past").text
    assert "100 are needed" in client.get("/outlook/past/learn").text
    assert client.post("/outlook/past/learn", data={"act_id": "learn-it-now"}).status_code == 422


LIMIT = Limit(limit_mm=8.0, source="maker", estimated=False, governed_by="maker")
ENDS = {
    "between two rounds": ((a_round(10, 12, 13), a_round(20, 6, 9)), 21.0, 333.33),
    "followed on near its limit": ((a_round(10, 15, 15), a_round(20, 9, 9)), 21.0, 430.77),
    "taken out early": ((a_round(10, 18, 18),), 21.0, None),
    "never measured": ((), 21.0, None),
    "still in the motor": ((a_round(10, 12, 13), a_round(20, 8.5, 9)), None, None),
}


@pytest.mark.parametrize(("rounds", "ended", "wanted"), ENDS.values(), ids=ENDS)
def test_when_a_set_reached_its_limit(rounds: tuple[Any, ...], ended: float | None, wanted: float | None) -> None:
    when = datetime(2026, 6, 1) if ended else None
    found = reached(
        BrushSet(
            number=1,
            fitted_at=T0,
            fitted_units=0.0,
            fitted_known=True,
            ended_at=when,
            ended_units=ended and ended * 20,
            end_reason="",
            rounds=rounds,
        ),
        LIMIT,
        22.0,
    )
    assert found == (None if wanted is None else pytest.approx(wanted, abs=0.5))


def test_scores_by_rounds_with_what_chance_would_do() -> None:
    held, missed = (
        Outcome(
            tag="X",
            set_number=1,
            visits=n,
            made_units=0,
            p05_units=80,
            p10_units=90,
            p50_units=100,
            p90_units=110,
            p95_units=120,
            look_units=85,
            reached_units=r,
        )
        for n, r in ((1, 100.0), (1, 84.0))
    )
    (score,) = scores([held, missed])
    assert (score.count, score.held, score.held_wide, score.late) == (2, 0.5, 1.0, 0.5)
    assert score.spread == pytest.approx(0.283, abs=0.001)


def test_the_drift_that_a_fleet_teaches_is_shown_taken_and_logged(
    client: TestClient, shop: Shop, monkeypatch: pytest.MonkeyPatch
) -> None:
    monkeypatch.setattr("norvash.core.forecast.learning.LEAST_SETS", 1)
    motor = shop.motor()
    for counter, length in (("300", "20"), ("500", "18.1"), ("700", "15.9")):
        shop.later(weeks=8).log(motor, counter)
        shop.measure(motor, "", length, length)
    page = client.get("/outlook/past/learn").text
    assert "1 sets were looked at twice or more" in page
    answer = client.post("/outlook/past/learn", data={"act_id": act_id(page)})
    assert answer.url.path == "/rulebook/forecast.drift"
    assert "refitted from the last readings of 1 sets" in answer.text
    assert 0.045 <= shop.conn.execute("select value_in_rule_unit from rule_override").fetchone()[0] <= 0.14


def test_work_that_breaks_says_so_and_ends() -> None:
    def broken(tell: Callable[[float], None]) -> None:
        tell(0.5)
        raise ValueError

    jobs = Jobs()
    for number, (work, words) in enumerate(((broken, "broke"), (lambda _: None, ""))):
        job = jobs.start(str(number), "Trying", work)
        assert job.thread is not None
        job.thread.join()
        assert job.over
        assert words in (job.error.problem if job.error else "")
        assert jobs.find(str(number)) is job
    assert jobs.find("none") is None
