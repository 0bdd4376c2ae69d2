"""What was measured is kept as it was said at the signature: no later act, rule or figure changes a word of it."""

import json
from collections.abc import Callable, Mapping
from contextlib import closing
from dataclasses import replace
from datetime import date
from pathlib import Path

from at_work import Work, at_work
from bench_sheet import Bench
from conftest import Shop
from norvash.core.sheet.kept_value import InTable, in_table
from norvash.core.sheet.moved import Explained
from norvash.exchange.measured_csv import COLUMNS, measured_csv
from norvash.exchange.visit_export import export_text
from norvash.exchange.visit_play import play_file, words_of
from norvash.store.file.database import connect
from norvash.store.record import motors
from norvash.store.record.measured import list_measured
from norvash.work.motors.changing_figures import change_figures
from norvash.work.motors.logging_use import log_use
from norvash.work.motors.ruling import set_rule, set_school
from norvash.work.on_sheet.signing import add_to_signed
from norvash.work.reading.loading import load
from norvash.work.told.copper import copper_drawn
from norvash.work.told.sheet import sheet_told

DIFFERS = "Protective earth, lead taken off, as left: off in the file, right here"
EARTHED = "rated_v=230 rated_a=4 protection=protective_earth new_mm=22 limit_mm=8"


def signed_visit(shop: Shop) -> Bench:
    """Return a sheet on which an open earth was found, mended and read again, signed."""
    work = at_work(shop, "tool", EARTHED)
    work.put("earth-ohm=0.4 insulation-mohm=200 task.earth=yes")
    work.bench.put("earth-ohm", "0.05")
    work.put("outcome=out")
    work.bench.sign("waits for its case")
    return work.bench


def at_work_again(shop: Shop, motor: str) -> None:
    """Measure the same on a later visit, to another end."""
    work = Work(shop, Bench(shop.later(days=9), motor)).safe()
    work.bench.measure("21", "20.9")
    work.put("earth-ohm=0.9 insulation-mohm=0.1 outcome=out")
    work.bench.sign("waits")


def lines_of(shop: Shop, bench: Bench) -> Mapping[str, InTable]:
    return {x.now.what: x for x in in_table(list_measured(shop.conn, bench.id))}


def test_found_and_left_stand_side_by_side_and_nothing_moves_them_later(shop: Shop) -> None:
    bench = signed_visit(shop)
    kept, today = list_measured(shop.conn, bench.id), shop.now.date()
    earth, length = (lines_of(shop, bench)[what] for what in ("Protective earth, lead taken off", "Length, brush A"))
    assert earth.found is not None
    assert earth.left is not None
    assert [(x.said, x.standing, x.by) for x in (earth.found, earth.left)] == [
        ("0.4 Ω", "off", "Ines Torvald"),
        ("0.05 Ω", "right", "Ines Torvald"),
    ]
    assert (length.now.said, length.now.low, length.left) == ("20.6 mm", 8.0, None)
    assert length.now.follows == "usable 90%, left 12.6 mm"

    def told() -> tuple[str, bytes]:
        return json.dumps(sheet_told(shop.conn, bench.id, today)["measured"]), measured_csv(shop.conn, bench.id, today)

    was = told()
    why = {"scope": "site", "scope_id": "", "why": "ours"}

    def refigured() -> None:
        version = load(shop.conn, bench.motor).motor.version
        change_figures(shop.conn, shop.later(days=1).act(), bench.motor, {"limit_mm": "12"}, version)

    later: list[Callable[[], object]] = [
        lambda: set_rule(shop.conn, shop.later(days=1).act(), "earth.ohm", text="0.02", **why),
        lambda: set_rule(shop.conn, shop.later(days=1).act(), "stage.change", text="0.5", **why),
        lambda: set_school(shop.conn, shop.later(days=1).act(), "school.skim", key="own", **why),
        lambda: log_use(shop.conn, shop.later(days=1).act(), bench.motor, text="30", mode="increment"),
        lambda: add_to_signed(shop.conn, shop.later(days=1).act(), bench.id, "came back"),
        lambda: shop.new_set(bench.motor, "", "22", "22", reason="at its limit"),
        refigured,
        lambda: at_work_again(shop, bench.motor),
    ]
    signed = json.dumps(dict(bench.page.row.signed), default=str)
    for act in later:
        act()
        assert list_measured(shop.conn, bench.id) == kept
        assert (told(), json.dumps(dict(bench.page.row.signed), default=str)) == (was, signed)
    rows = was[1].decode("utf-8-sig").splitlines()
    assert (rows[0], len(rows)) == (",".join(COLUMNS), len(kept) + 1)


def test_a_file_holds_it_to_be_read_and_playing_says_where_it_differs(shop: Shop, tmp_path: Path) -> None:
    told = json.loads(export_text(shop.conn, signed_visit(shop).id))
    for m in told["measured"]:
        if m["id"] == "earth-ohm" and m["sight"] == "left":
            m["standing"] = "off"
    (tmp_path / "visit.json").write_text(json.dumps(told))
    played = play_file(tmp_path / "visit.json", tmp_path / "own.db", "Ines Torvald")
    assert played.differs == [DIFFERS]
    assert f"differs: {DIFFERS}" in words_of(played)
    with closing(connect(tmp_path / "own.db")) as own:
        here = json.loads(json.dumps(sheet_told(own, played.sheets[-1], date.today())["measured"]))
    assert {m["standing"] for m in here if m["id"] == "earth-ohm" and m["sight"] == "left"} == {"right"}


def test_a_rule_of_the_shop_is_named_on_the_paper_with_what_is_usual(shop: Shop) -> None:
    own = {"scope": "site", "scope_id": "", "why": "ours"}
    for rule_id, text in (("earth.ohm", "0.2"), ("stage.change", "0.05"), ("gap.low", "1")):
        set_rule(shop.conn, shop.later(days=1).act(), rule_id, text=text, **own)
    told = signed_visit(shop).page.told or {}
    assert [str(w).rpartition(",")[2].strip() for w in told["own_rules"]] == ["usual 0.1 Ω", "usual 10%"]  # type: ignore[attr-defined]


def test_a_sheet_of_the_time_before_has_nothing_and_says_nothing(shop: Shop) -> None:
    bench = signed_visit(shop)
    shop.conn.execute("delete from measured")
    assert sheet_told(shop.conn, bench.id, shop.now.date())["measured"] == []


def test_a_figure_of_safety_that_was_changed_is_named_on_the_paper_with_who_and_from_where(shop: Shop) -> None:
    work = at_work(shop, "industrial", "rated_v=220 permitted_rpm=9000 mass_kg=40 new_mm=22 limit_mm=8", "20 20").put(
        "outcome=out"
    )
    work.bench.sign("no time")
    motor = work.bench.motor
    for rpm, mass in (("12000", "41"), ("30000", "42")):
        typed = {"new_mm": "22", "limit_mm": "8", "rated_v": "220", "permitted_rpm": rpm, "mass_kg": mass}
        act = replace(shop.later(days=1).act(), explained=Explained(source=f"plate, {rpm}"))
        change_figures(shop.conn, act, motor, typed, motors.fetch_motor(shop.conn, motor).version)
    later = Work(shop.later(days=1), Bench(shop, motor)).put("outcome=out")
    later.bench.sign("no time")
    assert later.told["figures_changed"] == [
        "permitted speed 9000 → 30000 r/min, plate, 30000, Ines Torvald, 2 October 2025"
    ]
    third = Work(shop.later(days=1), Bench(shop, motor)).put("outcome=out")
    third.bench.sign("no time")
    assert third.told["figures_changed"] == []


def test_run_out_and_bar_test_are_drawn_on_the_paper_as_they_were_signed(shop: Shop) -> None:
    work = at_work(shop, "industrial", "rated_v=220 bars=12 commutator_d_mm=80 rated_rpm=1500", "20 20")
    work.bench.put("run-out", "0.00; 0.02; 0.05; 0.08; 0.09; 0.08; 0.05; 0.02")
    work.put("bar-test-how=resistance bar-test-fed=bars bar-test-lifted=yes bar-test-noise=1%")
    work.bench.put("bar-test", "; ".join(["1"] * 11 + ["4"]))
    work.put("outcome=out").bench.sign("no time")
    drawn = copper_drawn(work.told["commutator"])
    assert [(wide.name, phone and phone.name) for wide, phone in drawn] == [
        ("run-out-rose", None),
        ("bar-map", "bar-map"),
    ]
    assert "allowed" in drawn[0][0].description
    motor, own = work.bench.motor, {"scope": "site", "scope_id": "", "why": "tried"}
    ours = replace(shop.later(days=1).act(), explained=Explained("ours", "tried"))
    set_rule(shop.conn, ours, "runout.tir-slow", text="0.2", **own)
    ours = replace(shop.act(), explained=Explained("read", "counted"))
    change_figures(shop.conn, ours, motor, {"bars": "14"}, motors.fetch_motor(shop.conn, motor).version)
    assert copper_drawn(work.told["commutator"]) == drawn
    assert copper_drawn({"run_out": {"of": "a later version"}}) == ()
