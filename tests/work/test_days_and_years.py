"""What is right is said once, with its day: years, counters that began on no day, past sets, tables and torque."""

import pytest
from starlette.testclient import TestClient

from at_work import Work
from bench_sheet import Bench
from conftest import Shop
from norvash.core.judging.measuring import measured_on
from norvash.core.motor.notes import NotedRound
from norvash.core.state.since import NO_DAY, fitted_words
from norvash.core.text.words import day_words
from norvash.core.use.happened import Happened
from norvash.errors import InputError, NeedsAnswer
from norvash.exchange.interval_tables import table_from_csv
from norvash.work.motors.stating import SinceTyped
from norvash.work.notes.noting import enter_notes
from norvash.work.on_sheet.renewing import renew_brushes
from norvash.work.reading.loading import load
from pages import client  # noqa: F401

HEADS = "hours;{};{}\n400;700;420\n800;1100;640\n"
# What is said of when a set was new, and when it is said to have been fitted.
SAID = {
    "a counter without a day": ({"counter": "0"}, "hours", NO_DAY),
    "a month": ({"day": "March 2025"}, "hours", "March 2025"),
    "a day and a counter": ({"day": "2025-03-14", "counter": "0"}, "hours", "14 March 2025"),
    "years": ({"ran": "4.5"}, "years", "about March 2021"),
    "nothing": ({}, "hours", "before the record"),
}


DATED = ("14 March 2025",)


@pytest.mark.parametrize(("since", "unit", "said"), SAID.values(), ids=SAID)
def test_a_set_was_fitted_on_the_day_that_somebody_said(
    shop: Shop,
    client: TestClient,  # noqa: F811
    since: dict[str, str],
    unit: str,
    said: str,
) -> None:
    now = {"use_now": ""} if unit == "years" else {"use_now": "1340"}
    typed = SinceTyped(**since)
    motor = shop.motor(new_length="22", limit="8", unit_of_use=unit, set_is_new=False, since=typed, **now)
    state = load(shop.conn, motor).state
    assert fitted_words(state.current, state) == said
    told = " ".join(line.words for line in shop.page(motor).history)
    assert (f"since {said}" in told) == bool(since)
    assert f"<td>{said}</td>" in client.get(f"/motors/{motor}").text
    api = client.get(f"/api/v1/motors/{motor}").json()["set"]
    assert (api["fitted"], api["fitted_on"] is None) == (said, said not in DATED)
    bench = Bench(shop, motor)
    paper = client.get(f"/sheets/{bench.id}/call-in").text
    assert f"since {said}" in paper or not since


def test_years_are_said_with_their_parts(shop: Shop) -> None:
    since = SinceTyped(ran="3.5")
    motor = shop.motor(new_length="13", limit="4.5", unit_of_use="years", set_is_new=False, use_now="", since=since)
    shop.measure(motor, "", "8", "9")
    line = shop.page(motor).found.line
    assert line is not None
    assert line.do_not_exceed_h == pytest.approx(5.95)
    said = shop.page(motor).said
    assert "Straight line, on the counter: do not exceed 5.95 years (" in " ".join(r.text for r in said.reasons)
    words = {f.words: f for f in said.figures}
    assert words["limit about, on the counter"].value.endswith(" years")
    assert words["how sure"].beside.endswith(", on the counter")


@pytest.mark.parametrize(("reason", "agrees"), [("at its limit", True), ("planned", False)])
def test_a_set_that_was_pulled_early_bounds_no_life(shop: Shop, reason: str, agrees: bool) -> None:
    motor = shop.motor(new_length="22", limit="8")
    shop.later(weeks=10).log(motor, "400")
    shop.later(weeks=3).new_set(motor, "600", "22", "22", reason=reason)
    shop.later(weeks=10).log(motor, "900")
    shop.measure(motor, "", "15", "15.2")
    said = " ".join(r.text for r in shop.page(motor).said.reasons)
    assert ("came out before it was worn" in said) is not agrees


def test_headings_of_a_table_say_how_they_are_read() -> None:
    read = table_from_csv(HEADS.format("<= 9.20", "≤9.60").encode(), "depth", None)
    assert read.columns_mm == (9.2, 9.6)
    assert table_from_csv(HEADS.format(">= 18", ">=14").encode(), "length", None).columns_mm == (18.0, 14.0)
    in_units = table_from_csv(HEADS.format("<= 0.362 in", "9.60 mm").replace("400;", "400 h;").encode(), "depth", None)
    assert in_units.columns_mm == pytest.approx((9.1948, 9.6))
    assert in_units.rows == (400.0, 800.0)
    assert table_from_csv(HEADS.format("9", "10").replace("400;", "400 starts;").encode(), "depth", None).rows[0] == 400
    with pytest.raises(InputError, match="column 2"):
        table_from_csv(HEADS.format("9.2 kg", "9.60").encode(), "depth", None)
    with pytest.raises(InputError, match="not how a depth is read"):
        table_from_csv(HEADS.format(">= 9.20", "9.60").encode(), "depth", None)


def test_what_ran_for_hours_without_a_day_opens_notes(shop: Shop) -> None:
    """“Ran 455 h”, and no day: a round from before the day that only follows from it was refused."""
    since = SinceTyped(ran="455")
    motor = shop.motor(new_length="22", limit="8", set_is_new=False, since=since, use_now="1340")
    shop.later(weeks=4).log(motor, "1400")
    noted = NotedRound(line=1, day="2024-01-03", counter="1000", readings={1: "18", 2: "18.2"})
    enter_notes(shop.conn, shop.later(minutes=2).act(), motor, [noted], source="grid")
    state = load(shop.conn, motor).state
    assert state.current.fitted_at < state.current.rounds[-1].at
    assert fitted_words(state.current, state) == NO_DAY
    early = NotedRound(line=1, day="2023-01-03", counter="800", readings={1: "18", 2: "18.2"})
    with pytest.raises(InputError, match="less than by a round or a fitting"):
        enter_notes(shop.conn, shop.later(minutes=2).act(), motor, [early], source="grid")


def test_a_length_is_dated(shop: Shop) -> None:
    motor = shop.motor(new_length="22", limit="8")
    shop.later(weeks=20).log(motor, "500")
    shop.measure(motor, "", "17", "17.2")
    assert "to its limit" in shop.page(motor).said.why, "read today, at what the counter shows"
    shop.later(weeks=16).log(motor, "900")
    why = shop.page(motor).said.why
    read = next(r for r in shop.page(motor).context.state.current.rounds if r.kind == "check")
    assert why == f"Brush A had 17.0 mm on {day_words(read.at.date())} at 500 h, about 12.0 mm now, limit 8.0 mm."
    graded = next(r.text for r in shop.page(motor).said.reasons if "usable carbon" in r.text)
    assert graded == "Run on: usable carbon of brush A was 64% when it was read, over 40%; about 29% now."
    later = shop.later(days=16).page(motor).said.why
    assert later.endswith("at 500 h, about 12.0 mm at 900 h, limit 8.0 mm."), "nobody has logged it for two weeks"
    shop.measure(motor, "", "11.8", "12.1")
    assert "had" not in shop.page(motor).said.why
    shop.later(weeks=1).log(motor, "5", happened=Happened(answer="replaced", old_last="905"))
    shop.later(weeks=8).log(motor, "150")
    assert "at 900 h, about" in shop.page(motor).said.why, "what the counter showed then, and not what it would now"


def test_a_new_set_has_the_straight_line_of_the_old_rate(
    shop: Shop,
    client: TestClient,  # noqa: F811
) -> None:
    """It stood without a line until it had worn; the rate of the set before is known."""
    motor = shop.motor(new_length="22", limit="8")
    assert shop.page(motor).found.old_rate is None
    shop.later(weeks=20).log(motor, "1000")
    shop.measure(motor, "", "12", "12.5")
    shop.later(weeks=1).new_set(motor, "1000", "22", "21.5", reason="at its limit")
    found, said = shop.page(motor).found, shop.page(motor).said
    assert found.old_rate is not None
    assert (found.old_rate.do_not_exceed_h, found.old_rate.plan_by_h, found.old_rate.look_again_h) == (2215, 1972, 1607)
    line = next(r.text for r in said.reasons if "rate of set 1" in r.text)
    assert line.startswith(
        "Straight line at the rate of set 1, 11.1 mm per 1000 hours, for this one has none yet: do not"
    )
    assert found.old_days.limit_on is not None
    assert day_words(found.old_days.limit_on) in line
    page = client.get(f"/motors/{motor}").text
    assert "Straight line at the old rate" in page
    assert all(f"<b>{shown}" in page for shown in ("2\u202f215 h", "1\u202f972 h", "1\u202f607 h"))
    told = client.get(f"/api/v1/motors/{motor}").json()["straight_line_at_old_rate"]
    assert (told["set"], told["do_not_exceed_h"]) == (1, 2215)
    shop.later(weeks=20).log(motor, "1600")
    shop.measure(motor, "", "15", "15.5")
    assert shop.page(motor).found.old_rate is None, "it has worn, and has a line of its own"


def test_one_brush_is_not_renewed_beside_one_that_may_not_stay(shop: Shop) -> None:
    motor = shop.motor(new_length="22", limit="8")
    shop.later(weeks=20).log(motor, "1000")
    shop.measure(motor, "", "11", "12")

    def renew(counter: str, answer: str) -> str:
        act, said = shop.later(minutes=3).act(), Happened(answer=answer)
        return renew_brushes(shop.conn, act, motor, counter=counter, reason="damaged", lengths={1: ""}, happened=said)

    with pytest.raises(NeedsAnswer, match="B may not stay: 29% usable, over 40% is asked for"):
        renew("1000", "")
    with pytest.raises(NeedsAnswer, match="may not stay"):
        renew("1000", "choose")
    with pytest.raises(NeedsAnswer, match="counter"):
        renew("20", "stays")
    with pytest.raises(NeedsAnswer) as asked:
        renew("20", "replaced")
    key = dict(asked.value.choices)
    assert "replaced+stays" in key
    renew("20", "replaced+stays")
    assert "B may not stay: 29% usable" in shop.page(motor).history[0].words


BAD_DAYS = ("14/3/25", "March 25", "2025-13-01", "13/2025", "month 13", "30 February 2025", "0025")


@pytest.mark.parametrize("day", BAD_DAYS)
def test_a_day_that_is_none_is_refused_at_its_field(shop: Shop, day: str) -> None:
    with pytest.raises(InputError, match="names no day") as refused:
        shop.motor(set_is_new=False, use_now="1340", since=SinceTyped(day=day))
    assert refused.value.field == "since_day"


@pytest.mark.parametrize("ran", ["-5", "−5 h", "-5 h"])
def test_less_than_nothing_was_not_run(shop: Shop, ran: str) -> None:
    with pytest.raises(InputError, match="below 0") as refused:
        shop.motor(set_is_new=False, use_now="1340", since=SinceTyped(ran=ran))
    assert refused.value.field == "since_ran"


TORQUES = {
    "3": 3.0,
    "3.0 N·m": 3.0,
    "3 Nm": 3.0,
    "20 in·lb": 2.2597,
    "20 in-lb": 2.2597,
    "20 in lb": 2.2597,
    "2 ft·lb": 2.7116,
    "2 ft-lb": 2.7116,
    "30 kgf·cm": 2.942,
    "300 cN·m": 3.0,
}


@pytest.mark.parametrize(("typed", "torque_nm"), TORQUES.items())
def test_a_torque_is_taken_in_every_unit(shop: Shop, typed: str, torque_nm: float) -> None:
    """“20 in·lb” was to be typed without its unit: 20 N·m, 8.9 times as much."""
    work = Work(shop, Bench(shop, shop.motor())).safe()
    work.bench.put("torque-nm", typed)
    assert work.bench.page.sheet.entries["torque-nm", 0].number == pytest.approx(torque_nm, rel=1e-3)


REACHED = {
    "inside": ("24–30 in·lb", "3 N·m", "", ""),
    "at its edge": ("24–30 in·lb", "30 in·lb", "", ""),
    "a little under": ("24–30 in·lb", "2.6 N·m", "", "plan"),
    "far under": ("24–30 in·lb", "2.3 N·m", "", "change"),
    "a little over": ("24–30 in·lb", "3.5 N·m", "aluminium", "plan"),
    "over on plastic": ("24–30 in·lb", "3.5 N·m", "plastic", "change"),
    "under on plastic": ("24–30 in·lb", "2.6 N·m", "plastic", "plan"),
    "one figure": ("5 N·m", "5.6 N·m", "", "change"),
    "nothing wanted": ("", "5.6 N·m", "", ""),
}


@pytest.mark.parametrize(("wanted", "reached", "into", "grade"), REACHED.values(), ids=REACHED)
def test_a_torque_that_was_reached_is_held_against_what_is_wanted(
    shop: Shop, wanted: str, reached: str, into: str, grade: str
) -> None:
    work = Work(shop, Bench(shop, shop.motor())).safe()
    for field, value in (("torque-nm", wanted), ("torque-into", into), ("torque-reached", reached)):
        if value:
            work.bench.put(field, value)
    page = work.bench.page
    said = next(m for m in measured_on(page.sheet, page.context.rules) if m.id == "torque-reached")
    assert said.standing == ("off" if grade else "right" if wanted else "recorded")
    assert [f.grade for f in said.findings] == ([grade] if grade else [])
    assert ("loosen and tighten across again" in work.missing("service")) is (grade == "change")


def test_a_torque_in_another_unit_is_refused_and_by_the_thread_it_is_only_said(shop: Shop) -> None:
    work = Work(shop, Bench(shop, shop.motor())).safe()
    with pytest.raises(InputError):
        work.bench.put("torque-reached", "3 mm")
    work.bench.put("torque-nm", "5 N·m")
    work.bench.put("torque-reached", "7 N·m")
    for field, value in (("torque-nm", "7 N·m"), ("torque-reached", "5 N·m")):
        with pytest.raises(NeedsAnswer):  # neither the figure nor what it is held against moves by a keystroke
            work.bench.put(field, value)
    work.bench.put("decide.torque.off", "now")
    work.bench.put("task.tighten", "yes")
    work.bench.put("torque-nm", "7 N·m")
    assert work.bench.life("torque.off").state == "done not proven"  # nobody has read it again
    work.bench.put("torque-reached", "7 N·m")
    assert work.bench.life("torque.off").state == "proven"


def test_a_torque_on_plastic_is_no_milder_by_a_word(shop: Shop) -> None:
    work = Work(shop, Bench(shop, shop.motor())).safe()
    for field, value in (("torque-reached", "3.5 N·m"), ("torque-into", "plastic"), ("torque-nm", "24–30 in·lb")):
        work.bench.put(field, value)
    assert work.bench.life("torque.off").finding.grade == "change"
    with pytest.raises(NeedsAnswer):
        work.bench.put("torque-into", "steel")
