"""Counters that are replaced, reset or stand still: use is at least what is counted, and no day moves later by it."""

from datetime import date, timedelta

import pytest
from fastapi.testclient import TestClient

from conftest import Shop
from norvash.core.planning.unread_use import UNREAD
from norvash.core.use.happened import Happened
from norvash.errors import Conflict, InputError
from norvash.exchange.visit_export import export_visit
from norvash.store.record import use
from norvash.web.api.motor_told import motor_told
from norvash.work.motors.logging_use import log_use
from norvash.work.on_sheet.new_set import fit_new_set
from norvash.work.on_sheet.opening import open_sheet
from norvash.work.reading.loading import load
from norvash.work.reading.standing import Judged, judge
from whens import broken_whens


def lived(shop: Shop) -> str:
    """Return a motor of 475 h that is read every week and was measured twice."""
    motor = shop.motor(new_length="22", limit="8", use_now="0")
    for counter, length in ((150, "20.4"), (300, "18.8")):
        shop.later(weeks=10)
        shop.measure(motor, f"{counter}", length, length)
    shop.later(weeks=10).log(motor, "450")
    shop.later(weeks=2).log(motor, "475")
    return motor


def judged(shop: Shop, motor: str) -> Judged:
    return judge(load(shop.conn, motor), shop.now.date())


def days(shop: Shop, motor: str) -> dict[str, date | None]:
    when = judged(shop, motor).found.when
    return {m.kind: m.on for m in (when.plan, when.limit) if m is not None}


def ran(shop: Shop, motor: str) -> float:
    state = load(shop.conn, motor).state
    return state.now_units - state.current.fitted_units


ENDS = {
    "both known": (Happened(answer="replaced", old_last="640", new_first="15"), 640 + 26, ""),
    "the new one began at 0": (Happened(answer="replaced", old_last="625"), 625 + 41, ""),
    "nobody knows the old one's end": (Happened(answer="replaced"), 475 + 41, "least"),
    "nobody knows the new one's start": (Happened(answer="replaced", old_last="500", new_first="?"), 500, "least"),
    "reset at a known figure": (Happened(answer="reset", old_last="480"), 480 + 41, ""),
}


@pytest.mark.parametrize(("happened", "total", "basis"), ENDS.values(), ids=ENDS.keys())
def test_use_is_summed_inside_one_counter(shop: Shop, happened: Happened, total: float, basis: str) -> None:
    motor = lived(shop)
    log_use(shop.conn, shop.later(weeks=8).act(), motor, text="41", happened=happened)
    assert ran(shop, motor) == total
    assert load(shop.conn, motor).entries[-1].basis == basis
    assert judged(shop, motor).found.when.plan is not None


WRONG = {
    "a counter that ends before it starts": ("41", Happened(answer="replaced", old_last="300"), "old_last"),
    "one that began above what it shows": ("41", Happened(answer="replaced", new_first="60"), "new_first"),
    "an end that cannot be read": ("41", Happened(answer="replaced", old_last="some"), "old_last"),
    "one that did not fall, and no end of the old": ("500", Happened(answer="replaced"), "old_last"),
    "an end, and nobody says that it was changed": ("480", Happened(old_last="640"), "old_last"),
    "a day, and nobody says that it stood still": ("480", Happened(since="2026-05-01"), "since"),
    "one that stood still since nobody says when": ("475", Happened(answer="stood still"), "since"),
    "one that stood still on a day to come": ("475", Happened(answer="stood still", since="2031"), "since"),
}


@pytest.mark.parametrize(("text", "happened", "field"), WRONG.values(), ids=WRONG.keys())
def test_what_cannot_be_is_refused_at_its_field(shop: Shop, text: str, happened: Happened, field: str) -> None:
    motor = lived(shop)
    with pytest.raises(InputError) as refused:
        log_use(shop.conn, shop.later(weeks=1).act(), motor, text=text, happened=happened)
    assert refused.value.field == field
    assert ran(shop, motor) == 475


def test_no_day_moves_later_and_no_grade_falls_until_every_brush_is_measured(shop: Shop) -> None:
    motor = lived(shop)
    stood, rate = days(shop, motor), load(shop.conn, motor).state.rate
    act = shop.later(weeks=8).act()
    log_use(shop.conn, act, motor, text="41", happened=Happened(answer="replaced", said_by="the paint frame"))
    found = judged(shop, motor)
    assert days(shop, motor) == stood
    assert load(shop.conn, motor).state.rate == rate
    assert "use at least" in found.own.flags
    assert any("at least 516 h" in r.text for r in found.own.reasons)
    assert all("at the latest" in m.why for m in found.found.when.all() if m.kind != "look" and m.speaks)
    look = found.found.when.look
    assert look is not None
    assert look.on is not None
    assert "half of what that leaves" in look.why
    assert not broken_whens(shop.conn, motor, shop.now.date())
    assert motor_told(found)["set"]["ran_at_least"] is True  # type: ignore[index]
    shop.later(weeks=2).log(motor, "66")  # the new one runs on; what is past is not known by it
    assert all(
        now is not None and then is not None and now <= then
        for now, then in zip(days(shop, motor).values(), stood.values(), strict=True)
    )
    shop.later(days=1)
    shop.measure(motor, "", "16.9", "")  # of one brush alone: the other may have worn by anything
    assert "use at least" in judged(shop, motor).own.flags


def test_a_round_of_every_brush_ends_it_and_teaches_no_faster_wear(shop: Shop) -> None:
    motor = lived(shop)
    log_use(shop.conn, shop.later(weeks=8).act(), motor, text="5", happened=Happened(answer="replaced"))
    shop.later(minutes=5)
    shop.measure(motor, "", "16.0", "16.0")
    found = judged(shop, motor)
    assert not {"use at least", "abnormal wear"} & set(found.own.flags)
    ahead = found.found.ahead
    assert ahead is not None
    assert ahead.rate_mm_per_unit == pytest.approx(1.6 / 150, rel=0.1)
    plan = found.found.when.plan
    assert plan is not None
    assert plan.on is not None
    assert "at the latest" not in plan.why


def test_what_ran_while_a_counter_stood_still_is_estimated_and_teaches_no_rate(shop: Shop) -> None:
    motor = lived(shop)
    rate = load(shop.conn, motor).state.rate
    assert rate is not None
    at = shop.later(weeks=8).now.date()
    happened = Happened(answer="stood still", since=f"{at.replace(day=1):%Y-%m-%d}", said_by="the fly floor")
    log_use(shop.conn, shop.act(), motor, text="475", happened=happened)
    state = load(shop.conn, motor).state
    assert state.entries[-1].basis == "estimated"
    since = (shop.now - shop.now.replace(day=1, hour=12, minute=0, second=0, microsecond=0)).total_seconds() / 604800
    assert ran(shop, motor) == pytest.approx(475 + rate.per_week * since)
    assert state.rate == rate
    row = use.list_log(shop.conn, motor, 1)[0]
    assert (row.event, row.happened.said_by) == ("stood still", "the fly floor")


def test_a_file_tells_the_ends_of_a_counter_and_since_when_it_stood_still(shop: Shop) -> None:
    motor = lived(shop)
    log_use(shop.conn, shop.later(weeks=8).act(), motor, text="41", happened=ENDS["both known"][0])
    stood = Happened(answer="stood still", since=f"{shop.now:%Y-%m-%d}", said_by="the fly floor")
    log_use(shop.conn, shop.later(weeks=3).act(), motor, text="41", happened=stood)
    shop.later(minutes=5)
    sheet = shop.measure(motor, "", "16.1", "16.3")
    used = [x for x in export_visit(shop.conn, sheet)["entries"] if x["do"] == "use"]
    assert {"answer": "replaced", "old_last": "640", "new_first": "15"}.items() <= used[-2].items()
    assert {"answer": "stood still", "since": stood.since, "said_by": "the fly floor"}.items() <= used[-1].items()
    with pytest.raises(InputError, match="tells nothing of a counter"):
        log_use(shop.conn, shop.later(days=1).act(), motor, text="4", mode="increment", happened=stood)


def test_what_is_past_is_said_by_the_counter_that_was_in_then(shop: Shop) -> None:
    motor = lived(shop)
    log_use(shop.conn, shop.later(weeks=40).act(), motor, text="9", happened=Happened(answer="replaced"))
    found = judged(shop, motor)
    said = " ".join([found.own.sentence, *(f"{f.value} {f.beside}" for f in found.own.figures)])
    said += " ".join(r.text for r in found.own.reasons)
    assert "\u2212" not in said
    look = next(m for m in found.found.when.looks if m.name == UNREAD)
    assert look.on == shop.now.date(), "nothing is left at the most that can have run: it is due now"
    assert [load(shop.conn, motor).state.counter_at(x) for x in (150.0, 475.0, 484.0, 500.0)] == [
        150.0,
        475.0,
        9.0,
        25.0,
    ]


def test_a_set_that_came_out_says_that_it_ran_at_least_so_long(client: TestClient, shop: Shop) -> None:
    motor = lived(shop)
    log_use(shop.conn, shop.later(weeks=8).act(), motor, text="41", happened=Happened(answer="replaced"))
    sheet = open_sheet(shop.conn, shop.later(minutes=5).act(), motor, kind="quick", counter="", safe=True)
    fitted = shop.later(minutes=5).act()
    fit_new_set(shop.conn, fitted, motor, counter="", reason="planned", lengths={1: "22", 2: "22"})
    shop.later(minutes=5).sign(sheet)
    paper = client.get(f"/sheets/{sheet}/sign").text.replace("\u00a0", " ")
    assert "the old one came out after at least 516 h: planned." in " ".join(paper.split())
    record = client.get(f"/motors/{motor}/record").text.replace("\u00a0", " ")
    assert "set 1 ran at least 516 h" in record
    state = load(shop.conn, motor).state
    assert [state.ran_at_least(s) for s in state.sets] == [True, False]
    assert state.gap is None


def test_what_is_estimated_never_passes_a_later_reading(shop: Shop) -> None:
    motor, stood = lived(shop), Happened(answer="stood still", since="2026-01-01")
    early = f"{shop.now - timedelta(weeks=3):%Y-%m-%d}"
    with pytest.raises(InputError, match="logged later"):
        log_use(shop.conn, shop.act(), motor, text="449", day=early, happened=stood)


def test_of_a_set_of_unknown_age_wear_after_a_gap_teaches_no_faster_rate(shop: Shop) -> None:
    motor = shop.motor(new_length="22", limit="8", use_now="0", set_is_new=False)
    shop.measure(motor, "", "18", "18")
    shop.later(weeks=10)
    shop.measure(motor, "150", "16.4", "16.4")
    log_use(shop.conn, shop.later(weeks=10).act(), motor, text="3", happened=Happened(answer="replaced"))
    shop.later(minutes=5)
    shop.measure(motor, "", "14.8", "14.8")
    ahead = judged(shop, motor).found.ahead
    assert ahead is not None
    assert ahead.rate_mm_per_unit == pytest.approx(1.6 / 150, rel=0.1)


def test_a_look_asked_for_by_a_counter_stays_when_that_is_replaced(shop: Shop) -> None:
    motor = lived(shop)
    asked = load(shop.conn, motor).state.asked_units
    log_use(
        shop.conn, shop.later(weeks=8).act(), motor, text="41", happened=Happened(answer="replaced", old_last="600")
    )
    assert load(shop.conn, motor).state.asked_units == asked


def test_the_page_asks_for_both_ends_and_says_what_is_not_known(client: TestClient, shop: Shop) -> None:
    motor = lived(shop)
    sent = {"act_id": "swap-on-the-page-1", "value": "41", "mode": "counter", "day": ""}
    asked = client.post(f"/motors/{motor}/hours", data=sent)
    assert asked.status_code == 409
    assert 'name="old_last"' in asked.text
    kept = client.post(
        f"/motors/{motor}/hours", data=sent | {"answer": "replaced", "old_last": "", "said_by": "the paint frame"}
    )
    assert kept.status_code == 200
    assert "replaced: at least; ask the paint frame" in " ".join(kept.text.split())
    assert "use at least" in kept.text


def test_a_second_reading_of_one_day_takes_a_time_or_the_order_of_writing(client: TestClient, shop: Shop) -> None:
    motor = lived(shop)
    today = shop.later(days=3).now.replace(hour=15)
    shop.now = today
    for day, text in (
        ("yesterday 7:30", "480"),
        ("yesterday", "484"),
        ("yesterday", "486"),
        ("9:15", "490"),
        ("", "495"),
    ):
        shop.later(minutes=2).log(motor, text, day=day)
    at = [e.at for e in load(shop.conn, motor).entries[-5:]]
    yesterday = today.date() - timedelta(days=1)
    assert [(a.date() == yesterday, f"{a:%H:%M}") for a in at] == [
        (True, "07:30"),
        (True, "12:00"),
        (True, "12:01"),
        (False, "09:15"),
        (False, "15:10"),
    ]
    with pytest.raises(InputError, match="18:00 is still to come"):
        shop.log(motor, "496", day="18:00")
    with pytest.raises(Conflict, match="already logged as 480"):
        shop.log(motor, "481", day="yesterday 07:30")
    page = client.get(f"/motors/{motor}/hours").text
    assert page.count("<small>07:30</small>") == 1
    assert page.count("<small>12:01</small>") == 1
    assert client.get("/day?typed=3/6/2025 14:30").text == "Tuesday 3 June 2025, 14:30"
