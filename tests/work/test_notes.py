"""Notes of the past: rounds with their own day, sets that are gone, readings of use; taken back as a whole."""

from datetime import date, datetime
from typing import Any

import pytest

from bench_sheet import Bench
from conftest import Shop
from norvash.core.motor.notes import Note, NotedRound, NotedSet, NotedUse
from norvash.errors import NeedsAnswer, NorvashError, SeveralErrors
from norvash.store.record import notes as store
from norvash.work.motors.stating import SinceTyped
from norvash.work.notes.noting import enter_notes
from norvash.work.notes.noting_tables import Table, import_notes, take_back_notes
from norvash.work.reading.loading import load

SINCE = SinceTyped(day="2024-03-04", counter="20")


def a_round(day: str, a: str, b: str, line: int = 1, **more: Any) -> NotedRound:
    return NotedRound(line=line, day=day, readings={1: a, 2: b}, **more)


THREE = (
    a_round("2024-06-03", "21.0", "21.2", counter="40"),
    a_round("2024-11-04", "19.6", "19.9", line=2, counter="60"),
    a_round("2025-04-07", "18.1", "18.6", line=3, counter="80"),
)


def old(shop: Shop, **more: Any) -> str:
    """A motor that was added on 30 September 2025 at 100 h, with a set that was new in March 2024."""
    return shop.motor(**({"set_is_new": False, "since": SINCE} | more))


def test_three_rounds_from_notes_make_a_dated_verdict(shop: Shop) -> None:
    motor = old(shop)
    assert shop.page(motor).said.act == "Measure this set."
    batch = enter_notes(shop.conn, shop.act(), motor, THREE, source="grid")
    page = shop.page(motor)
    context = page.context
    assert [(r.at.date(), r.total_units, r.noted) for r in context.sets[0].rounds] == [
        (date(2024, 6, 3), 40, True),
        (date(2024, 11, 4), 60, True),
        (date(2025, 4, 7), 80, True),
    ]
    assert [(e.total_units, e.noted) for e in context.entries] == [
        (20, True),
        (40, True),
        (60, True),
        (80, True),
        (100, False),
    ]
    assert page.found.days.early_on is not None
    assert page.found.line is not None
    assert page.found.line.brushes[0] is not None
    assert page.found.line.brushes[0].life_rate_mm_per_kh == pytest.approx(1000 * 3.9 / 60)
    assert "entered from notes 3 rounds, of 2024-06-03 to 2025-04-07" in page.history[0].words or (
        "entered from notes 3 rounds and 3 readings of use" in page.history[0].words
    )
    assert shop.conn.execute("select count(*) from forecast_made").fetchone()[0] == 0
    assert [b.person for b in store.list_batches(shop.conn, motor)] == ["Ines Torvald"]
    before = shop.page(old(shop, tag="X-02")).said.sentence
    take_back_notes(shop.conn, shop.act(), batch)
    gone = shop.page(motor)
    assert gone.said.sentence == before
    assert [b.struck for b in store.list_batches(shop.conn, motor)] == [True]
    with pytest.raises(NorvashError, match="taken back already"):
        take_back_notes(shop.conn, shop.act(), batch)


def test_what_was_signed_meanwhile_stays_as_it_was_said(shop: Shop) -> None:
    motor = old(shop)
    batch = enter_notes(shop.conn, shop.act(), motor, THREE)
    sheet = shop.later(days=20).measure(motor, "104", "16.2", "16.9")
    told = "select signed_json from sheet where id = ?"
    signed = shop.conn.execute(told, (sheet,)).fetchone()[0]
    made = shop.conn.execute("select * from forecast_made").fetchall()
    assert len(made) == 1
    date_with = shop.page(motor).found.days.early_on
    take_back_notes(shop.conn, shop.act(), batch)
    assert shop.conn.execute(told, (sheet,)).fetchone()[0] == signed
    assert [tuple(r) for r in shop.conn.execute("select * from forecast_made").fetchall()] == [tuple(r) for r in made]
    assert shop.page(motor).found.days.early_on != date_with


WRONG: dict[str, tuple[tuple[Note, ...], str, str]] = {
    "before the fitting": ((a_round("2024-01-08", "21", "21", counter="10"),), "day.1", "no set that is known of"),
    "before the fitting, no counter": ((a_round("2024-01-08", "21", "21"),), "day.1", "no set that is known of"),
    "a day to come": ((a_round("2027-01-08", "21", "21"),), "day.1", "is in the future"),
    "no day": ((a_round("", "21", "21"),), "day.1", "The day is missing"),
    "a month is no day": ((a_round("2024-06", "21", "21"),), "day.1", "is not a single day"),
    "nothing in a line": ((NotedRound(line=4, day="2024-06-03"),), "readings.4", "Nothing is measured"),
    "two rounds on one day": (
        (THREE[0], a_round("2024-06-03", "20.5", "20.9", line=2, counter="40")),
        "day.2",
        "with other lengths",
    ),
    "mixed units": ((a_round("2024-06-03", "21.0 kg", "826 thou", counter="40"),), "reading_1.1", "kg"),
    "more hours than the days have": ((a_round("2024-03-05", "21", "21", counter="90"),), "counter.1", "more than"),
    "more than later": ((a_round("2024-06-03", "21", "21", counter="400"),), "counter.1", "logged later"),
    "no use to be known": ((NotedUse(line=2, day="2024-06-03", counter="many"),), "counter.2", "many"),
    "a set that overlaps this one": (
        (NotedSet(line=1, ended="2024-05-01", lasted="about 60 h", ended_counter="30"),),
        "ended.1",
        "overlaps set 1",
    ),
    "a set that came out before it went in": (
        (NotedSet(line=1, ended="2023-05-01", fitted="2023-08-01"),),
        "fitted.1",
        "before it went in",
    ),
    "a set of which nothing is said": ((NotedSet(line=1, ended="2023-05-01"),), "lasted.1", "How long it ran"),
    "two sets at once": (
        (
            NotedSet(line=1, ended="2024-03-01", fitted="2023-03-01", lasted="about 20 h"),
            NotedSet(line=2, ended="2023-10-01", fitted="2022-12-01", lasted="about 20 h"),
        ),
        "ended.1",
        "overlaps the set from notes",
    ),
    "more than all its carbon": (
        (NotedSet(line=1, ended="2024-03-01", lasted="20 h", gone="120 %"),),
        "gone.1",
        "of its carbon gone",
    ),
}


@pytest.mark.parametrize(("given", "field", "words"), WRONG.values(), ids=WRONG)
def test_a_note_that_cannot_be_is_refused_at_its_line_and_nothing_is_kept(
    shop: Shop, given: tuple[Note, ...], field: str, words: str
) -> None:
    motor = old(shop)
    with pytest.raises(NorvashError) as refused:
        enter_notes(shop.conn, shop.act(), motor, given)
    error = refused.value
    errors = error.errors if isinstance(error, SeveralErrors) else [error]
    assert {e.field: words in e.problem for e in errors} == {field: True}
    assert store.list_batches(shop.conn, motor) == []


def test_lengths_that_grow_are_asked_about_and_kept_where_they_are_right(shop: Shop) -> None:
    motor = old(shop)
    grows = (THREE[1], a_round("2025-04-07", "20.6", "19.0", line=2, counter="80"))
    with pytest.raises(NeedsAnswer) as asked:
        enter_notes(shop.conn, shop.act(), motor, grows)
    assert asked.value.field == "reading_1.2"
    assert "longer than last time" in asked.value.problem or "looks like new carbon" in asked.value.problem
    enter_notes(shop.conn, shop.act(), motor, grows, answer="right")
    assert len(load(shop.conn, motor).sets[0].rounds) == 2
    earlier = (a_round("2024-06-03", "19.0", "21.0", counter="40"),)
    with pytest.raises(NeedsAnswer, match="shorter than"):
        enter_notes(shop.conn, shop.act(), motor, earlier)


def test_decimal_commas_inches_and_who_measured_are_read(shop: Shop) -> None:
    motor = old(shop)
    enter_notes(
        shop.conn, shop.act(), motor, [a_round("2024-06-03", "21,0", "0.83 in", counter="40", by="Bram Aldous")]
    )
    kept = load(shop.conn, motor).sets[0].rounds[0]
    assert [round(m.length_mm, 2) for m in kept.readings.values()] == [21.0, 21.08]
    assert kept.by == "Bram Aldous"


def test_use_without_a_counter_comes_from_what_ran_or_from_the_log(shop: Shop) -> None:
    motor = old(shop)
    given = (
        NotedRound(line=1, day="2024-06-03", ran="25", readings={1: "21", 2: "21"}),
        NotedRound(line=2, day="2024-12-15", readings={1: "19.5", 2: "19.6"}),
    )
    enter_notes(shop.conn, shop.act(), motor, given)
    first, second = load(shop.conn, motor).sets[0].rounds
    assert first.total_units == 45
    assert 55 < second.total_units < 65  # half way between March 2024 and September 2025


def test_a_counter_that_was_changed_since_is_asked_about(shop: Shop) -> None:
    motor = shop.motor(set_is_new=False, use_now="30")
    note = (NotedUse(line=1, day="2024-06-03", counter="4000"),)
    with pytest.raises(NeedsAnswer, match="The counter showed"):
        enter_notes(shop.conn, shop.act(), motor, note)
    enter_notes(shop.conn, shop.act(), motor, note, answer="replaced")
    entries = load(shop.conn, motor).entries
    assert [(e.total_units, e.counter_units) for e in entries] == [(0, 4000), (30, 30)]


PAST: dict[str, tuple[NotedSet, float, bool, bool]] = {
    "lasted about": (NotedSet(line=1, ended="2024-02-26", lasted="about 190 h"), 14 / 190, True, False),
    "lasted at least": (NotedSet(line=1, ended="2024-02-26", lasted="at least 190 h"), 14 / 190, False, True),
    "by its counters": (
        NotedSet(line=1, ended="2024-02-26", fitted="2023-08-07", fitted_counter="2", ended_counter="18"),
        14 / 16,
        False,
        True,
    ),
    "a share gone": (NotedSet(line=1, ended="2024-02-26", lasted="190", gone="50 %"), 7 / 190, True, False),
    "its lengths at the end": (
        NotedSet(line=1, ended="2024-02-26", lasted="190", lengths={1: "10.0", 2: "10.4"}),
        11.8 / 190,
        False,
        False,
    ),
}


@pytest.mark.parametrize(("given", "rate", "about", "at_most"), PAST.values(), ids=PAST)
def test_a_set_that_is_gone_teaches_this_motor(
    shop: Shop, given: NotedSet, rate: float, about: bool, at_most: bool
) -> None:
    motor = old(shop)
    expected = shop.page(motor).context.ahead
    batch = enter_notes(shop.conn, shop.act(), motor, [given])
    row = shop.conn.execute("select exp(log_rate), about, at_most from past_set").fetchone()
    assert (row[0], bool(row[1]), bool(row[2])) == (pytest.approx(rate, rel=0.01), about, at_most)
    context = shop.page(motor).context
    assert context.ahead is not None
    assert expected is not None
    assert context.ahead.past_sets == 1
    assert context.ahead.p50_units != expected.p50_units
    assert [s.number for s in context.sets] == [0, 1]
    take_back_notes(shop.conn, shop.act(), batch)
    back = shop.page(motor).context.ahead
    assert back is not None
    assert back.p50_units == pytest.approx(expected.p50_units)


def test_the_verdict_says_whether_this_set_goes_as_the_last_one(shop: Shop) -> None:
    motor = old(shop)
    enter_notes(shop.conn, shop.act(), motor, [NotedSet(line=1, ended="2024-02-26", lasted="about 190 h"), *THREE])
    texts = [r.text for r in shop.page(motor).said.reasons]
    assert "The last set ran about 190 h: this agrees." in texts
    slow = old(shop, tag="X-02")
    enter_notes(shop.conn, shop.act(), slow, [NotedSet(line=1, ended="2024-02-26", lasted="about 2000 h"), *THREE])
    assert any("this one wears faster" in r.text for r in shop.page(slow).said.reasons)


def test_notes_go_in_before_the_round_of_an_open_sheet_or_wait(shop: Shop) -> None:
    motor = old(shop)
    shop.later(days=10).look(motor, "103")
    enter_notes(shop.conn, shop.act(), motor, THREE[:1])
    shop.later(days=3)
    today = f"{shop.now:%Y-%m-%d}"
    with pytest.raises(NorvashError, match="has been open since"):
        enter_notes(shop.conn, shop.act(), motor, [a_round(today, "18", "18")])


def test_only_the_shortest_was_noted(shop: Shop) -> None:
    motor = old(shop)
    each = (("2024-06-03", "21.0", "40"), ("2024-11-04", "19.6", "60"), ("2025-04-07", "18.1", "80"))
    given = [
        NotedRound(line=i, day=day, counter=at, readings={1: mm}, shortest=True)
        for i, (day, mm, at) in enumerate(each, 1)
    ]
    enter_notes(shop.conn, shop.act(), motor, given)
    page = shop.page(motor)
    assert "incomplete" not in page.said.flags
    assert page.found.days.early_on is not None
    both = old(shop, tag="X-02")
    enter_notes(shop.conn, shop.act(), both, THREE)
    assert page.context.ahead is not None
    whole = shop.page(both).context.ahead
    assert whole is not None
    assert page.context.ahead.p50_units == pytest.approx(whole.p50_units, rel=0.15)


def table(*lines: tuple[str, Note], digest: str = "one") -> Table:
    by_motor: dict[str, list[Note]] = {}
    for tag, note in lines:
        by_motor.setdefault(tag, []).append(note)
    return Table(by_motor, [], digest)


def test_a_table_of_many_motors_is_kept_line_by_line_and_goes_as_a_whole(shop: Shop) -> None:
    motors = {tag: old(shop, tag=tag) for tag in ("X-01", "X-02")}
    given = table(
        ("X-01", THREE[0]),
        ("x-02", THREE[0]),
        ("X-02", a_round("2024-11-04", "21.9", "19.9", line=3, counter="60")),
        ("X-09", a_round("2024-11-04", "19", "19", line=4)),
        ("X-01", a_round("2027-11-04", "19", "19", line=5)),
    )
    act = shop.act()
    kept = import_notes(shop.conn, act, given)
    assert (kept.count("rounds"), [f.line for f in kept.faults]) == (2, [3, 4, 5])
    with pytest.raises(NorvashError, match="imported already"):
        import_notes(shop.conn, shop.act(), given)
    sentences = {t: shop.page(m).said.sentence for t, m in motors.items()}
    assert len(set(sentences.values())) == 1
    take_back_notes(shop.conn, shop.act(), act.id)
    assert all(not load(shop.conn, m).sets[0].rounds for m in motors.values())
    again = import_notes(shop.conn, shop.act(), given, answer="right")
    assert again.count("rounds") == 3


def test_the_same_notes_twice_are_once(shop: Shop) -> None:
    motor = old(shop)
    enter_notes(shop.conn, shop.act(), motor, THREE)
    with pytest.raises(NorvashError, match="nothing new"):
        enter_notes(shop.conn, shop.act(), motor, THREE)
    more = a_round("2025-06-02", "17.7", "18.2", line=4, counter="86")
    enter_notes(shop.conn, shop.act(), motor, (*THREE, more))
    assert len(load(shop.conn, motor).sets[0].rounds) == 4


def test_a_motor_in_years_takes_rounds_by_their_day_alone(shop: Shop) -> None:
    motor = shop.motor(unit_of_use="years", use_now="", set_is_new=False, since=SinceTyped(day="2021"))
    enter_notes(
        shop.conn, shop.act(), motor, [a_round("2023-07-03", "19", "19.2"), a_round("2025-07-03", "16", "16.2", 2)]
    )
    context = load(shop.conn, motor)
    ages = [r.total_units - context.sets[0].fitted_units for r in context.sets[0].rounds]
    assert ages == pytest.approx([2.0, 4.0], abs=0.02)
    found = shop.page(motor).found
    assert [b.last.length_mm if b.last else None for b in found.brushes] == [16, 16.2]
    assert found.line is not None
    assert found.line.brushes[0] is not None
    assert found.line.brushes[0].life_rate_mm_per_kh == pytest.approx(1000 * 6 / 4, rel=0.01)
    assert context.state.ahead is not None
    assert context.entries[-1].at == datetime(2025, 9, 30, 9) or context.entries[-1].at <= shop.now


def test_the_shortest_alone_may_be_measured_on_a_sheet(shop: Shop) -> None:
    motor = old(shop)
    enter_notes(shop.conn, shop.act(), motor, THREE)
    bench = Bench(shop, motor, kind="quick")
    bench.put("waive.safe", "in parts")
    bench.measure("16.0")
    assert "incomplete" in shop.page(motor).said.flags
    bench.put("shortest-only", "yes")
    page = shop.page(motor)
    assert "incomplete" not in page.said.flags
    assert page.found.days.early_on is not None
    assert load(shop.conn, motor).sets[0].rounds[-1].stands_alone
    bench.put("shortest-only", "")
    assert "incomplete" in shop.page(motor).said.flags


def test_a_brush_that_was_not_the_shortest_does_not_stand_for_its_set(shop: Shop) -> None:
    motor = old(shop)
    enter_notes(shop.conn, shop.act(), motor, THREE)
    bench = Bench(shop, motor, kind="quick")
    bench.put("waive.safe", "in parts")
    bench.put("shortest-only", "yes")
    bench.measure("", "18.5")  # A was 18.1 mm before
    assert "incomplete" in shop.page(motor).said.flags


def test_a_sooner_look_may_be_asked_for_by_the_counter(shop: Shop) -> None:
    motor = old(shop)
    enter_notes(shop.conn, shop.act(), motor, THREE)
    shop.later(days=5)
    bench = Bench(shop, motor, kind="quick")
    bench.put("waive.safe", "in parts")
    bench.measure("17.9", "18.4")
    bench.put("next-look-at", "101")
    assert bench.page.look.at == 101
    bench.sign("left so by the test")
    look = shop.page(motor).found.look
    assert look is not None
    assert (look.at_units, look.name) == (101, "look that its sheet asks for")
