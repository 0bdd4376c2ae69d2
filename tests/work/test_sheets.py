"""Jobs on a bench sheet against a real database: gates hold, nothing is overwritten, what is signed stays."""

from collections.abc import Callable
from datetime import timedelta

import pytest

from bench_sheet import Bench
from conftest import Shop, readings_on
from norvash.core.stages.call_in import COMPLAINT
from norvash.core.stages.sign import ADDITION
from norvash.errors import Conflict, InputError, NotFound
from norvash.store.record import sheets
from norvash.work.on_sheet.measuring import note, record
from norvash.work.on_sheet.opening import open_sheet
from norvash.work.on_sheet.sheets import enter
from norvash.work.on_sheet.signing import add_to_signed
from norvash.work.on_sheet.undoing import undo
from norvash.work.reading.brush_lines import BrushLine, brush_lines
from norvash.work.reading.sheet_now import SheetNow


@pytest.fixture
def bench(shop: Shop) -> Bench:
    return Bench(shop, shop.motor())


def test_nothing_inside_is_kept_before_the_gate_is_passed_or_waived(bench: Bench, shop: Shop) -> None:
    jobs: list[Callable[[], object]] = [
        lambda: record(shop.conn, shop.act(), bench.id, position=1, text="20.6"),
        lambda: note(shop.conn, shop.act(), bench.id, 1, "face.glazed"),
        lambda: bench.put("gap", "2", 1),
        lambda: bench.put("seen.bearing.rough", "yes"),
    ]
    for job in jobs:
        with pytest.raises(Conflict, match="Make safe"):
            job()
    with pytest.raises(Conflict, match="with power on"):
        bench.put("supply-v", "220")
    with pytest.raises(Conflict, match="Before power"):
        bench.put("run-a", "3")
    bench.put("permit.open", "volts under load", 1, who="Ines", barriers="rope", minutes="10", turns="load")
    bench.put("supply-v", "220")
    with pytest.raises(Conflict, match=r"no\. 1 is open"):
        bench.put("terminal-ohm", "0.02")
    shop.later(minutes=11)
    with pytest.raises(Conflict, match="run over its time"):
        bench.put("supply-v", "221")
    assert "no. 1 is not closed" in " ".join(h.words for h in bench.page.holds)
    bench.put("permit.close", "yes", 1)
    with pytest.raises(Conflict, match="with power on"):
        bench.put("supply-v", "221")
    bench.put("waive.safe", "on the bench, in parts")
    bench.measure("20.6", "20.4")
    assert bench.page.found.missing == ()


def test_a_second_sheet_goes_on_with_the_open_one(bench: Bench, shop: Shop) -> None:
    for kind in ("quick", "full"):
        assert open_sheet(shop.conn, shop.act(), bench.motor, kind=kind, counter="") == bench.id
    assert [x.motor_id for x in sheets.list_open(shop.conn, 9)] == [bench.motor]
    with pytest.raises(InputError, match="kind of sheet"):
        open_sheet(shop.conn, shop.act(), bench.motor, kind="long", counter="")


def test_what_somebody_else_entered_is_not_overwritten_and_the_last_entry_can_be_taken_back(
    bench: Bench, shop: Shop
) -> None:
    first = enter(shop.conn, shop.act(), bench.id, field_id="complaint", place=0, text="loud")
    with pytest.raises(Conflict, match="has entered “loud” here meanwhile"):
        enter(shop.conn, shop.act(), bench.id, field_id="complaint", place=0, text="dead")
    enter(shop.conn, shop.act(), bench.id, field_id="complaint", place=0, text="dead", replaces=first)
    bench.put("waive.safe", "in parts")
    bench.measure("20.6")
    note(shop.conn, shop.act(), bench.id, 2, "face.glazed")
    taken = [undo(shop.conn, shop.later(minutes=1).act(), bench.id) for _ in range(4)]
    assert len(set(taken)) == 4
    assert readings_on(shop.conn, bench.id) == {}
    assert COMPLAINT.of(bench.page.sheet) == "loud"
    undo(shop.conn, shop.act(), bench.id)
    with pytest.raises(Conflict, match="nothing of yours"):
        undo(shop.conn, shop.act(), bench.id)
    assert sheets.version_of(shop.conn, bench.id) > 0


def test_what_the_old_set_was_found_with_is_not_taken_back_behind_a_fitting(bench: Bench, shop: Shop) -> None:
    bench.put("waive.safe", "in parts")
    bench.measure("20.6", "20.4")
    shop.later(minutes=1).new_set(bench.motor, "", "22.1", "22.0", reason="at its limit")
    with pytest.raises(Conflict, match="nothing of yours"):
        undo(shop.conn, shop.act(), bench.id)
    assert [x.found and x.found.typed for x in lines_of(shop, bench.page)] == ["20.6", "20.4"]
    bench.see(1, "face.glazed")
    undo(shop.conn, shop.act(), bench.id)
    with pytest.raises(Conflict, match="nothing of yours"):
        undo(shop.conn, shop.act(), bench.id)


def test_a_signed_sheet_is_never_edited_only_added_to(bench: Bench, shop: Shop) -> None:
    with pytest.raises(Conflict, match="not signed yet"):
        add_to_signed(shop.conn, shop.act(), bench.id, "more")
    with pytest.raises(InputError, match="cannot be signed clean") as refused:
        bench.sign()
    assert refused.value.field == "why"
    assert "The brushes are not measured" in refused.value.problem
    assert bench.sign("called away") == bench.motor
    page = bench.page
    assert page.row.signed["why"] == "called away"
    assert "Not said: what becomes of the motor" in str(page.row.signed["open"])
    late: list[Callable[[], object]] = [
        lambda: bench.put("complaint", "late"),
        lambda: record(shop.conn, shop.act(), bench.id, position=1, text="20"),
        lambda: bench.sign("again"),
        lambda: undo(shop.conn, shop.act(), bench.id),
        lambda: note(shop.conn, shop.act(), bench.id, 1, "face.glazed"),
    ]
    for job in late:
        with pytest.raises(Conflict):
            job()
    add_to_signed(shop.conn, shop.act(), bench.id, "came back in the evening")
    with pytest.raises(InputError):
        add_to_signed(shop.conn, shop.act(), bench.id, "  ")
    assert ADDITION.of(bench.page.sheet, 1) == "came back in the evening"
    assert "called away" in shop.page(bench.motor).history[1].words


def test_what_is_put_off_stays_with_the_motor_until_it_is_mended_and_proven(bench: Bench, shop: Shop) -> None:
    bench.put("waive.safe", "in parts")
    bench.measure("20.6", "20.4")
    bench.see(2, "terminal.poor")
    bench.see(1, "brush.sticky")
    bench.put("seen.bush.dry", "yes")
    bench.put("decide.brush.sticky", "done", 1)  # as an older page says it: done, and still to be proven
    assert bench.states[1, "brush.sticky"] == "done not proven"
    day = f"{shop.now + timedelta(days=30):%Y-%m-%d}"
    bench.put("decide.terminal.poor", "deferred", 2, who="Bram Aldous", day=day)
    bench.put("temporary", "terminal held by a cable tie", 1, who="Bram Aldous", day=day)
    bench.put("outcome", "deferred")
    with pytest.raises(InputError, match="Not decided: Bearings and drive") as refused:
        bench.sign()
    assert "Done, not proven: Brush A, sticky" in refused.value.problem
    soon = f"{shop.now + timedelta(days=13):%Y-%m-%d}"
    with pytest.raises(InputError, match="is not dropped: it stands"):
        bench.put("decide.bush.dry", "dropped", why="it was the belt")
    bench.put("decide.bush.dry", "left", why="it was the belt", who="Ines Torvald", day=soon)
    bench.put("gone.brush.sticky", "yes", 1)
    bench.put("confirm.service", "yes")
    bench.sign("run at the next show")
    after = shop.page(bench.motor)
    assert {(x.finding.id, x.put_off.who if x.put_off else "") for x in after.standing} == {
        ("terminal.poor", "Bram Aldous"),
        ("repair.temporary", "Bram Aldous"),
        ("bush.dry", "Ines Torvald"),
        ("signed.power", ""),
        ("signed.close", ""),
    }
    conditions = [c.finding.id for c in after.found.conditions]
    assert conditions == ["signed.power", "signed.close", "terminal.poor", "bush.dry", "repair.temporary"]
    signed = bench.page.row.signed
    assert (after.found.grade, signed["signed_as"]) == ("change", "not clean")
    assert any("left so until" in w and "it was the belt" in w for w in signed["standing"])  # type: ignore[attr-defined]
    told = {x["finding"]: x["state"] for x in bench.page.row.signed["told"]["findings"]}  # type: ignore[index]
    assert told["bush.dry"] == "put off"
    # A later look does not forget it; from its day on it is one graver; the next whole sheet closes it.
    shop.later(weeks=2).measure(bench.motor, "", "20.5", "20.3")

    def graded(place: str) -> str:
        parts = {c.id: c.grade or "" for c in shop.page(bench.motor).found.components}
        due = [r.grade for r in shop.page(bench.motor).found.rises if r.part == place and r.on <= shop.now.date()]
        return max([parts[place], *due], key=["fit", "watch", "plan", "change", "stop"].index)

    assert graded("springs") == "plan"
    shop.later(weeks=3)
    assert graded("springs") == "change"
    again = Bench(shop, bench.motor)
    again.put("waive.safe", "in parts")
    again.measure("20.4", "20.2")
    again.put("gone.repair.temporary", "yes", 1)
    again.put("gone.bush.dry", "yes")
    again.put("decide.terminal.poor", "now", 2)
    again.put("task.terminal", "yes", minutes="10", parts="tag LP-T 4")
    assert again.states == {
        (2, "terminal.poor"): "done not proven",
        (1, "repair.temporary"): "proven",
        (0, "bush.dry"): "proven",
        (0, "signed.power"): "open",
        (0, "signed.close"): "open",
    }
    again.put("gone.terminal.poor", "yes", 2)
    again.put("outcome", "service")
    again.put("confirm.service", "yes")
    again.sign("not run")
    assert {x.finding.id for x in shop.page(bench.motor).standing} == {"signed.power", "signed.close"}
    assert shop.page(bench.motor).found.grade == "change"


def test_an_overruled_verdict_keeps_the_original_beside_it_until_the_next_visit(bench: Bench, shop: Shop) -> None:
    bench.put("waive.safe", "in parts")
    bench.measure("9.2", "9.9")
    assert shop.page(bench.motor).found.grade == "change"
    with pytest.raises(InputError, match="Say why"):
        bench.put("overrule.brushes", "watch")
    bench.put("overrule.brushes", "watch", why="the scale is wrong, seen by two")
    shown = shop.page(bench.motor)
    assert (shown.found.grade, "overruled" in shown.said.flags) == ("watch", True)
    assert any("Change now was overruled by Ines Torvald to Watch" in r.text for r in shown.said.reasons)
    bench.sign("seen by two")
    assert shop.page(bench.motor).found.grade == "watch"
    shop.later(weeks=1).log(bench.motor, "130")
    shop.measure(bench.motor, "", "9.1", "9.8")
    assert shop.page(bench.motor).found.grade == "change"


def test_upstream_is_an_outcome_that_can_be_signed_clean(bench: Bench, shop: Shop) -> None:
    bench.put("sign.start", "dead")
    bench.put("permit.open", "volts", 1, who="Ines", barriers="rope", minutes="10", turns="still")
    bench.put("supply-v", "0")
    bench.put("permit.close", "yes", 1)
    assert "Do not open the motor yet" in bench.page.said.act
    bench.put("upstream", "upstream")
    bench.put("outcome", "upstream")
    bench.sign()
    signed = bench.page.row.signed
    assert (signed["open"], signed["word"]) == ([], "Not opened")
    shown = shop.page(bench.motor)
    assert shown.said.act.startswith("Plan a repair of the machine: 0 V at the terminals")
    assert shown.said.why.startswith("The motor: measure this set.")


def test_a_set_is_fitted_inside_the_sheet_and_asks_what_else_was_renewed(bench: Bench, shop: Shop) -> None:
    bench.put("waive.safe", "in parts")
    bench.measure("9.2", "8.9")
    bench.see(1, "face.burnt")
    bench.see(2, "brush.sticky")
    bench.see(2, "insulator.cracked")
    bench.put("force", "3.1", 1)
    assert bench.states[0, "set.worn"] == "open"
    bench.fit("22", "", also=("springs",), part="LP-B 9")
    assert bench.states == {
        (0, "set.worn"): "done not proven",
        (1, "face.burnt"): "proven",
        (2, "brush.sticky"): "open",
        (2, "insulator.cracked"): "open",
    }
    bench.measure("", "22.1", sight="left")
    assert bench.states[0, "set.worn"] == "proven"
    page = bench.page
    assert [(x.found.said if x.found else "", x.reading.said if x.reading else "") for x in lines_of(shop, page)] == [
        ("9.2 mm", "22 mm"),
        ("8.9 mm", "22.1 mm"),
    ]
    old, new = page.context.sets
    assert ([m.length_mm for m in old.rounds[-1].readings.values()], old.ended_at is not None) == ([9.2, 8.9], True)
    assert (new.part, new.sheet_id, page.row.id == new.rounds[0].sheet_id) == ("LP-B 9", page.row.id, True)
    assert {s.stage.id: s.state for s in page.rail}["brushes"] == "done"
    assert {w.task.id for w in page.work if w.done} == {"fit-set", "springs"}
    bench.sign("called away")
    told = bench.page.row.signed["told"]["set"]  # type: ignore[index]
    assert (told["old_lengths_mm"], told["lengths_mm"]) == ({"A": 9.2, "B": 8.9}, {"A": 22.0, "B": 22.1})
    assert {x.finding.id for x in shop.page(bench.motor).standing} == {"brush.sticky", "insulator.cracked"}
    assert shop.page(bench.motor).found.grade == "stop"


def lines_of(shop: Shop, page: SheetNow) -> tuple[BrushLine, ...]:
    return brush_lines(shop.conn, page).lines


def test_a_day_asked_for_on_the_sheet_comes_before_the_forecasts(bench: Bench, shop: Shop) -> None:
    shop.later(weeks=2).log(bench.motor, "150")
    bench.put("waive.safe", "in parts")
    bench.measure("20.6", "20.4")
    sooner = (shop.now + timedelta(days=9)).date()
    bench.put("next-look", f"{sooner:%d/%m/%Y}")
    bench.sign("called away")
    assert bench.page.row.signed["look_on"] == sooner.isoformat()
    look = shop.page(bench.motor).found.look
    assert look is not None
    assert (look.on, look.name) == (sooner, "date that its sheet asks for")


@pytest.mark.parametrize(
    ("field", "place", "error"),
    [
        ("no-such", 0, NotFound),
        ("addition", 1, NotFound),
        ("confirm.safe", 0, NotFound),
        ("gap", 9, InputError),
        ("gap", 0, InputError),
        ("complaint", 1, InputError),
        ("tap-v", 1, InputError),
        ("sign.cranking", 0, InputError),
        ("complaint", -1, InputError),
    ],
)
def test_what_a_sheet_does_not_hold_is_refused(bench: Bench, field: str, place: int, error: type[Exception]) -> None:
    bench.put("waive.safe", "in parts")
    with pytest.raises(error):
        bench.put(field, "1", place)
