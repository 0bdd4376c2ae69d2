"""Whole jobs against a real database: what is kept, what is refused, what a repeat does."""

from collections.abc import Callable
from dataclasses import replace

import pytest

from conftest import Shop, new_motor, readings_on
from norvash.core.motor.figure_fields import NEW_MM
from norvash.core.planning.policies import last_check
from norvash.core.use.happened import Happened
from norvash.errors import Conflict, InputError, NeedsAnswer, NorvashError, NotFound, SeveralErrors
from norvash.store.record import forecasts, standings, use
from norvash.work.act.acting import Act
from norvash.work.motors.logging_use import log_use, take_back
from norvash.work.motors.registering import add_motor
from norvash.work.on_sheet.measuring import note, record
from norvash.work.on_sheet.new_set import fit_new_set
from norvash.work.on_sheet.opening import open_sheet
from norvash.work.on_sheet.renewing import renew_brushes
from norvash.work.on_sheet.settling import settle_doubt, take_back_answer
from norvash.work.reading.brush_lines import brush_lines
from norvash.work.reading.sheet_now import sheet_now


def test_a_motors_life_from_first_entry_to_second_set(shop: Shop) -> None:
    motor = shop.motor()
    assert shop.page(motor).said.act == "Measure this set."
    shop.later(weeks=4).log(motor, "180")
    shop.measure(motor, "", "20.6", "20.9")
    shop.later(weeks=4).log(motor, "260")
    shop.measure(motor, "", "19.2", "19.8")
    shown = shop.page(motor)
    assert shown.found.line is not None
    # Brush A wears 2.8 mm in 160 h: 17.5 mm per 1000 h; 11.2 mm are left, that is 640 h from 260 h on.
    assert shown.found.line.do_not_exceed_h == 900
    assert shown.found.line.plan_by_h == 772
    assert shown.found.line_days.limit_on is not None
    assert (shown.found.line_days.limit_on - shop.now.date()).days == 224
    ahead = shown.found.ahead
    assert ahead is not None
    assert (ahead.visits, ahead.past_sets) == (2, 0)
    assert ahead.p05_units < 800 < ahead.p95_units
    shop.later(weeks=20).new_set(motor, "760", "22.1", "21.95", reason="planned")
    after = shop.page(motor)
    assert [s.number for s in after.context.state.sets] == [1, 2]
    assert after.context.state.sets[0].end_reason == "planned"
    assert after.found.brushes[0].start.length_mm == pytest.approx(22.1)
    assert after.said.flags == ()
    assert "set 1 ran 660 h: planned" in after.history[0].words


def test_a_repeated_act_changes_nothing_and_other_content_is_a_conflict(shop: Shop) -> None:
    motor = shop.motor()
    act = shop.later(weeks=1).act()
    first = log_use(shop.conn, act, motor, text="150")
    assert log_use(shop.conn, act, motor, text="150") == first
    with pytest.raises(Conflict, match="already sent"):
        log_use(shop.conn, act, motor, text="151")
    assert [e.counter_units for e in use.list_entries(shop.conn, motor)] == [100, 150]
    jobs: tuple[Callable[[], str], ...] = (
        lambda: add_motor(shop.conn, Act("same-motor-act", act.person_id, shop.now), new_motor(tag="X-02")),
        lambda: open_sheet(
            shop.conn, Act("same-round-act", act.person_id, shop.now), motor, kind="quick", counter="", safe=True
        ),
        lambda: record(
            shop.conn, Act("same-reading", act.person_id, shop.now), "same-round-act", position=1, text="20.5"
        ),
        lambda: fit_new_set(
            shop.conn,
            Act("same-set-act", act.person_id, shop.now),
            motor,
            counter="",
            reason="planned",
            lengths={1: "22"},
        ),
    )
    for job in jobs:
        assert job() == job()
    assert len(shop.page(motor).context.state.sets) == 2


def test_writes_that_come_in_the_other_order_are_kept_in_the_order_of_writing(shop: Shop) -> None:
    motor = shop.motor()
    early, late = shop.later(days=1).act(), shop.later(minutes=2).act()
    assert log_use(shop.conn, late, motor, text="12", mode="increment") == late.id
    assert log_use(shop.conn, early, motor, text="3", mode="increment") == early.id
    open_sheet(shop.conn, replace(early, id="an-early-round"), motor, kind="quick", counter="116", safe=True)
    state = shop.page(motor).context.state
    assert [e.total_units for e in state.entries] == [100, 112, 115, 116]
    assert sorted(e.at for e in state.entries) == [e.at for e in state.entries]
    assert state.current.rounds[-1].at >= late.at


@pytest.mark.parametrize("bad", ["", "short", "no spaces allowed", "x" * 81, "ünïcödé-id", "semi;colon-id"])
def test_an_act_needs_an_id_of_its_own(bad: str) -> None:
    with pytest.raises(InputError):
        Act(bad, "person-of-test", Shop.now)


def test_an_unknown_person_writes_nothing(shop: Shop) -> None:
    with pytest.raises(NotFound, match="person"):
        add_motor(shop.conn, replace(shop.act(), person_id="nobody-here"), new_motor())
    assert standings.count_motors(shop.conn) == 0


BAD_MOTORS: dict[str, tuple[dict[str, object], list[str]]] = {
    "all empty": ({"tag": "", "name": " ", "place": "", "use_now": "x"}, ["tag", "name", "place", "use_now"]),
    "no class": ({"motor_class": "boat"}, ["motor_class"]),
    "brushes": ({"brushes": "41"}, ["brushes"]),
    "half a brush": ({"brushes": "2.5"}, ["brushes"]),
    "length": ({"new_length": "-3"}, ["new_mm"]),
    "limit over new": ({"limit": "22"}, ["limit_mm"]),
    "limit over the class's new": ({"new_length": "", "limit": "40"}, ["limit_mm"]),
    "unit": ({"unit_of_use": "miles"}, ["unit_of_use"]),
    "negative use": ({"use_now": "-3"}, ["use_now"]),
    "use in starts": ({"use_now": "12 starts"}, ["use_now"]),
    "long name": ({"name": "x" * 81}, ["name"]),
    "no such type": ({"type_id": "none-of-these"}, ["type_id"]),
}


@pytest.mark.parametrize(("changes", "fields"), BAD_MOTORS.values(), ids=BAD_MOTORS.keys())
def test_a_motor_that_cannot_be_is_refused_whole(shop: Shop, changes: dict[str, object], fields: list[str]) -> None:
    with pytest.raises(NorvashError) as caught:
        shop.motor(**changes)
    errors = caught.value.errors if isinstance(caught.value, SeveralErrors) else [caught.value]
    assert [e.field for e in errors] == fields
    assert all(e.remedy for e in errors)
    assert standings.count_motors(shop.conn) == 0


def test_a_tag_is_given_once(shop: Shop) -> None:
    shop.motor()
    with pytest.raises(Conflict, match="in use"):
        shop.motor(tag="x-01")


@pytest.mark.parametrize(("name", "life", "unit"), [("starter", "12", "starts"), ("tool", "12.5", "hours")])
def test_classes_lend_what_is_not_stated(shop: Shop, name: str, life: str, unit: str) -> None:
    motor = shop.motor(motor_class=name, brushes="", new_length="", limit="", use_now=life)
    shown = shop.page(motor)
    assert shown.context.unit == unit
    assert shown.found.limit.estimated
    assert NEW_MM.basis(shown.context.figures) == "class default"


@pytest.mark.parametrize("text", ["", "abc", "-3", "1e9", "NaN", "1" * 40, "12 mm", "1,234,567"])
def test_bad_use_is_refused_and_nothing_is_kept(shop: Shop, text: str) -> None:
    motor = shop.motor()
    with pytest.raises(InputError) as caught:
        shop.later(weeks=1).log(motor, text)
    assert caught.value.field == "value"
    assert len(use.list_entries(shop.conn, motor)) == 1
    assert len(shop.page(motor).history) == 1


def test_days_of_use(shop: Shop) -> None:
    motor = shop.motor()
    shop.later(weeks=3).log(motor, "130", day=f"{shop.now:%Y-%m-%d}")
    shop.log(motor, "115", day=f"{shop.now.replace(day=shop.now.day - 7 if shop.now.day > 7 else 1):%Y-%m-%d}")
    for day, words in (("2099-01-01", "future"), ("some day", "not a day"), ("2026-13-01", "not a day")):
        with pytest.raises(InputError, match=words) as caught:
            shop.log(motor, "140", day=day)
        assert caught.value.field == "day"
    with pytest.raises(InputError, match="not clear"):
        shop.log(motor, "140", mode="guess")


def test_a_fallen_counter_is_asked_about_then_explained_or_taken_back(shop: Shop) -> None:
    motor = shop.motor()
    shop.later(weeks=4).log(motor, "180")
    shop.later(weeks=4)
    with pytest.raises(NeedsAnswer):
        shop.log(motor, "70")
    shop.log(motor, "70", happened=Happened(answer="replaced"))
    entries = use.list_entries(shop.conn, motor)
    assert [(e.counter_units, e.total_units) for e in entries] == [(100, 100), (180, 180), (70, 250)]
    # A slip of the pen: the same value is asked about again, a better one is simply taken.
    with pytest.raises(NeedsAnswer):
        shop.later(minutes=5).log(motor, "60", happened=Happened(answer="slip"))
    shop.later(days=1).log(motor, "76", happened=Happened(answer="slip"))
    take_back(shop.conn, shop.act(), motor)
    assert [e.counter_units for e in use.list_entries(shop.conn, motor)] == [100, 180, 70]
    assert [r.struck for r in use.list_log(shop.conn, motor, 9)] == [True, False, False, False]
    shop.measure(motor, "", "20.6", "20.9")
    with pytest.raises(InputError, match="cannot be taken back"):
        take_back(shop.conn, shop.act(), motor)


def test_the_wrong_last_entry_can_be_replaced(shop: Shop) -> None:
    motor = shop.motor()
    shop.later(weeks=1).log(motor, "220")
    shop.later(weeks=1).log(motor, "140", happened=Happened(answer="last was wrong"))
    assert [e.counter_units for e in use.list_entries(shop.conn, motor)] == [100, 140]


def test_increments_and_starts(shop: Shop) -> None:
    motor = shop.motor(motor_class="starter", brushes="4", new_length="14", limit="7", use_now="10")
    shop.later(weeks=1).log(motor, "25", mode="increment")
    assert use.list_entries(shop.conn, motor)[-1].counter_units == 35
    with pytest.raises(InputError, match="whole"):
        shop.log(motor, "35.5")


def test_a_round_left_half_done_is_still_there(shop: Shop) -> None:
    motor = shop.motor()
    round_id = shop.look(motor)
    record(shop.conn, shop.act(), round_id, position=1, text="20.6")
    shown = shop.page(motor)
    assert shown.open_sheet is not None
    assert shown.open_sheet.id == round_id
    assert "incomplete" in shown.said.flags
    assert shop.look(motor) == round_id
    lines = brush_lines(shop.conn, sheet_now(shop.conn, round_id, shop.now.date()))
    assert (lines.at, lines.answered) == (2, 1)


def test_two_people_at_one_position_overwrite_nothing_silently(shop: Shop) -> None:
    motor = shop.motor()
    round_id = shop.look(motor)
    first = record(shop.conn, shop.act(), round_id, position=1, text="20.6")
    with pytest.raises(Conflict, match=r"already measured A: 20\.6"):
        record(shop.conn, shop.act(), round_id, position=1, text="20.4")
    second = record(shop.conn, shop.act(), round_id, position=1, text="20.4", replaces=first)
    with pytest.raises(Conflict):
        record(shop.conn, shop.act(), round_id, position=1, text="20.5", replaces=first)
    assert readings_on(shop.conn, round_id)[1].id == second
    assert "A\u00a020.40 (before: 20.60)" in shop.page(motor).history[0].words


def test_a_doubted_reading_is_kept_and_asked_about(shop: Shop) -> None:
    motor = shop.motor()
    shop.measure(motor, "", "21", "21")
    shop.later(weeks=4).log(motor, "180")
    round_id = shop.look(motor)
    reading = record(shop.conn, shop.act(), round_id, position=1, text="21.6")
    assert "looks like new carbon" in readings_on(shop.conn, round_id)[1].doubt
    assert "doubtful" in shop.page(motor).said.flags
    settle_doubt(shop.conn, shop.act(), reading, "mistyped", "the wrong line")
    assert readings_on(shop.conn, round_id) == {}
    again = record(shop.conn, shop.act(), round_id, position=1, text="21.5")
    settle_doubt(shop.conn, shop.act(), again, "right")
    assert "doubtful" not in shop.page(motor).said.flags
    assert [r.typed for r in shop.page(motor).answered] == ["21.5"]
    take_back_answer(shop.conn, shop.act(), again)
    assert ("doubtful" in shop.page(motor).said.flags, shop.page(motor).answered) == (True, [])
    with pytest.raises(Conflict, match="stands no more"):
        take_back_answer(shop.conn, shop.act(), again)
    settle_doubt(shop.conn, shop.act(), again, "right")
    with pytest.raises(InputError, match="not known"):
        settle_doubt(shop.conn, shop.act(), again, "perhaps")
    with pytest.raises(Conflict, match="counts no longer"):
        settle_doubt(shop.conn, shop.act(), reading, "right")


def test_a_doubt_outlives_its_round_and_is_settled_later(shop: Shop) -> None:
    motor = shop.motor()
    shop.measure(motor, "", "21", "21")
    shop.later(weeks=4).log(motor, "180")
    shop.measure(motor, "", "21.6", "20.2")
    found = shop.page(motor).found
    assert [(d.number, d.label) for d in found.doubts] == [(1, "A")]
    settle_doubt(shop.conn, shop.act(), found.doubts[0].reading_id, "mistyped", "the wrong line")
    after = shop.page(motor)
    assert (after.found.doubts, after.found.missing) == ((), ("A",))
    assert after.said.act == "Measure A to get a date."
    assert "of 21.6: mistyped" in after.history[0].words


def test_rounds_refuse_what_does_not_belong(shop: Shop) -> None:
    motor = shop.motor()
    with pytest.raises(InputError, match="kind of round"):
        shop.look(motor, "", "party")
    with pytest.raises(InputError) as caught:
        shop.look(motor, "abc")
    assert caught.value.field == "counter"
    round_id = shop.measure(motor, "", "20.6", "20.9")
    with pytest.raises(Conflict, match="is signed"):
        record(shop.conn, shop.act(), round_id, position=1, text="20")
    open_id = shop.look(motor)
    with pytest.raises(NotFound, match="no position 9"):
        record(shop.conn, shop.act(), open_id, position=9, text="20")
    with pytest.raises(InputError) as wrong:
        record(shop.conn, shop.act(), open_id, position=1, text="488")
    assert wrong.value.suggestions == ("488 thou",)
    assert readings_on(shop.conn, open_id) == {}


def test_what_was_seen_raises_the_verdict_and_can_be_taken_back(shop: Shop) -> None:
    motor = shop.motor()
    round_id = shop.look(motor)
    for position in (1, 2):
        record(shop.conn, shop.act(), round_id, position=position, text="20.6")
    for _ in range(2):
        note(shop.conn, shop.act(), round_id, 2, "lead.taut")
    assert shop.page(motor).found.grade == "stop"
    assert len(shop.page(motor).found.conditions) == 1
    with pytest.raises(NeedsAnswer, match="slip of the pen"):
        note(shop.conn, shop.act(), round_id, 2, "lead.taut", gone=True)
    note(shop.conn, shop.act(), round_id, 2, "lead.taut", gone=True, answer="mistyped", why="the wrong line")
    assert shop.page(motor).found.grade == "fit"
    with pytest.raises(InputError, match="not known"):
        note(shop.conn, shop.act(), round_id, 2, "lead.purple")


@pytest.mark.parametrize(
    ("reason", "lengths", "field"),
    [("", {}, "reason"), ("planned", {2: "abc"}, "length_2"), ("planned", {1: "488"}, "length_1")],
)
def test_a_set_that_cannot_be_fitted_leaves_the_old_one(
    shop: Shop, reason: str, lengths: dict[int, str], field: str
) -> None:
    motor = shop.motor()
    shop.later(days=2)
    with pytest.raises(InputError) as caught:
        fit_new_set(shop.conn, shop.act(), motor, counter="120", reason=reason, lengths=lengths)
    assert caught.value.field == field
    assert len(shop.page(motor).context.state.sets) == 1
    assert len(use.list_entries(shop.conn, motor)) == 1


def test_one_brush_is_renewed_while_the_other_stays(shop: Shop) -> None:
    motor = shop.motor()
    shop.later(weeks=6).log(motor, "250")
    shop.measure(motor, "", "19", "17")
    shop.later(weeks=6).log(motor, "400")
    lengths = {2: "21.9"}
    renew_brushes(shop.conn, shop.act(), motor, counter="", reason="damaged", lengths=lengths)
    shown = shop.page(motor)
    assert (len(shown.context.state.sets), shown.said.act) == (1, "Measure B to get a date.")
    # The round before still counts as the last complete look: the calendar runs from it, not from fitting.
    assert last_check(shown.context.state).units == 250
    assert "renewed B\u00a021.90 mm of set 1, the others stayed: damaged" in shown.history[0].words
    shop.later(weeks=6).log(motor, "550")
    shop.measure(motor, "", "14.8", "20.1")
    found = shop.page(motor).found
    assert found.doubts == ()
    assert [round(b.wear_mm or 0, 2) for b in found.brushes] == [7.2, 1.8]
    assert found.line is not None
    assert found.line.governing_position == 1
    ahead = found.ahead
    assert ahead is not None
    # Brush A has 6.8 mm left at 7.2 mm in 450 h; B, at 1.8 mm in 150 h, would last longer.
    assert ahead.worst_position == 1
    assert ahead.p10_units < 550 + 425 < ahead.p90_units
    for positions, words in (
        ({}, "No brush is chosen"),
        ({9: ""}, "No brush is chosen"),
        ({1: "", 2: ""}, "All brushes are chosen"),
    ):
        with pytest.raises(InputError, match=words):
            renew_brushes(shop.conn, shop.act(), motor, counter="", reason="damaged", lengths=positions)
    with pytest.raises(InputError) as refused:
        renew_brushes(shop.conn, shop.act(), motor, counter="", reason="damaged", lengths={1: "x"})
    assert refused.value.field == "length_1"
    shop.later(weeks=3).new_set(motor, "600", "22", "22")
    assert forecasts.list_taught(shop.conn, motor)
