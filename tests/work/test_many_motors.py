"""What holds for many motors: types, figures of the site, the order of the bench, people and the clock."""

from dataclasses import replace
from datetime import timedelta

import pytest

from bench_sheet import Bench
from conftest import Shop
from norvash.core.grades import GRADES
from norvash.core.rules.catalogue import RULES
from norvash.core.sheet.moved import Explained
from norvash.errors import Conflict, InputError, NorvashError, NotFound
from norvash.store.record import people, rules, weeks_ahead
from norvash.store.record.weeks_ahead import Sought
from norvash.work.act.site import clock, join
from norvash.work.motors.changing_figures import change_figures
from norvash.work.motors.motor_types import save_type
from norvash.work.motors.ruling import clear_rule, set_rule
from norvash.work.pages.bench import bench, register
from norvash.work.pages.outlook import outlook
from norvash.work.reading.standing import catch_up

READ = Explained("read", "its plate")


def test_types_lend_figures_and_their_motors_are_judged_anew(shop: Shop) -> None:
    kind = save_type(
        shop.conn,
        shop.act(),
        "",
        name="Winch motor",
        motor_class="industrial",
        brushes="4",
        typed={"new_mm": "32", "limit_mm": "14"},
    )
    motor = shop.motor(type_id=kind, brushes="", new_length="", limit="")
    assert len(shop.page(motor).context.state.positions) == 4
    shop.measure(motor, "", *["23"] * 4)
    assert shop.page(motor).found.grade == "fit"
    save_type(
        shop.conn,
        shop.act(),
        kind,
        name="Winch motor",
        motor_class="industrial",
        brushes="",
        typed={"new_mm": "32", "limit_mm": "20"},
    )
    assert shop.page(motor).found.grade == "plan"
    assert catch_up(shop.conn, shop.now.date()) == 1
    assert register(shop.conn, "x-01", "", 1, shop.now.date())[0].grade == "plan"
    version = shop.page(motor).context.motor.version
    change_figures(shop.conn, replace(shop.act(), explained=READ), motor, {"limit_mm": "12"}, version)
    assert shop.page(motor).found.grade == "fit"
    with pytest.raises(Conflict, match="Somebody else"):
        change_figures(shop.conn, shop.act(), motor, {"limit_mm": "11"}, version)
    with pytest.raises(InputError, match="unit of use"):
        change_figures(shop.conn, shop.act(), motor, {"unit_of_use": "starts"}, version + 1)
    turned = {"label_1": "N1", "angle_1": "370", "arm_1": "2", "polarity_1": "-"}
    change_figures(shop.conn, shop.act(), motor, turned, version + 1)
    first = shop.page(motor).context.state.positions[0]
    assert (first.number, first.label, first.angle_deg, first.arm, first.polarity) == (1, "N1", 10, 2, "-")
    for field, text in (
        ("label_1", "B"),
        ("label_2", "x" * 9),
        ("angle_1", "left"),
        ("arm_1", "0"),
        ("polarity_2", "north"),
    ):
        with pytest.raises(InputError) as caught:
            change_figures(shop.conn, shop.act(), motor, {field: text}, version + 2)
        assert caught.value.field in (field, "label_2")
    shrunk = {"new_mm": "11", "limit_mm": "5"}
    change_figures(shop.conn, replace(shop.act(), explained=READ), motor, {"limit_mm": "12"}, version + 2)
    with pytest.raises(InputError, match="Motor X-01: The limit of 12 mm is not below"):
        save_type(shop.conn, shop.act(), kind, name="Winch motor", motor_class="industrial", brushes="", typed=shrunk)
    with pytest.raises(Conflict, match="already a type"):
        save_type(shop.conn, shop.act(), "", name="winch MOTOR", motor_class="industrial", brushes="4", typed={})
    with pytest.raises(InputError, match="class industrial"):
        shop.motor(tag="X-09", motor_class="tool", type_id=kind)
    with pytest.raises(NorvashError):
        save_type(shop.conn, shop.act(), "", name="Other", motor_class="industrial", brushes="99", typed={})


def test_a_site_figure_is_recorded_and_every_motor_follows(shop: Shop) -> None:
    motor = shop.motor()
    shop.measure(motor, "", "18", "18")
    assert register(shop.conn, "", "", 1, shop.now.date())[0].grade == "fit"
    set_rule(
        shop.conn, shop.act(), "stage.watch", scope="site", scope_id="", text="80 %", why="the pit is hard to reach"
    )
    assert catch_up(shop.conn, shop.now.date()) == 1
    assert catch_up(shop.conn, shop.now.date()) == 0
    assert register(shop.conn, "", "", 1, shop.now.date())[0].grade == "watch"
    set_rule(
        shop.conn,
        shop.act(),
        "stage.watch",
        scope="class",
        scope_id="industrial",
        text="0.3",
        why="winches are looked at weekly",
    )
    assert shop.page(motor).found.grade == "fit"
    clear_rule(shop.conn, shop.act(), "stage.watch", "class", "industrial")
    assert shop.page(motor).found.grade == "watch"
    assert [h.ended for h in rules.list_history(shop.conn, "stage.watch")] == [True, False]
    for rule_id, cls, value, why, kind in (
        ("stage.none", "", "0.5", "x", NotFound),
        ("stage.watch", "", "abc", "x", InputError),
        ("stage.watch", "", "1.5", "x", InputError),
        ("stage.watch", "", "0.5", "", InputError),
        ("stage.watch", "boat", "0.5", "x", InputError),
    ):
        with pytest.raises(kind):
            set_rule(
                shop.conn, shop.act(), rule_id, scope="class" if cls else "site", scope_id=cls, text=value, why=why
            )
    with pytest.raises(InputError, match="Nothing is set"):
        clear_rule(shop.conn, shop.act(), "stage.plan", "site", "")
    assert all(len(r.words) > 8 and r.source and r.low <= r.default <= r.high for r in RULES.values())


def test_the_bench_is_in_order_of_urgency_and_pages(shop: Shop) -> None:
    lengths = {"X-01": "20", "X-02": "9", "X-03": "13", "X-04": "7.9", "X-05": "11", "X-06": ""}
    for tag, mm in lengths.items():
        motor = shop.motor(tag=tag, set_is_new=False)
        if mm:
            shop.measure(motor, "", mm, mm)
    found = bench(shop.conn, shop.now.date(), 1)
    assert [r.listed.tag for r in found.rows] == ["X-04", "X-02", "X-05", "X-03", "X-06"]
    assert [r.listed.tag for r in found.coming] == ["X-01"]
    for n in range(7, 40):
        shop.motor(tag=f"Y-{n:02d}")
    second = bench(shop.conn, shop.now.date(), 99)
    assert (second.page, second.pages, len(second.rows)) == (4, 4, 38 - 36)


def test_as_the_days_go_by_lists_and_pages_agree_without_any_write(shop: Shop) -> None:
    measured, put_off = shop.motor(), shop.motor(tag="X-02")
    shop.later(weeks=4).log(measured, "180")
    shop.measure(measured, "", "20", "20")
    sheet = Bench(shop, put_off)
    sheet.put("waive.safe", "in parts")
    sheet.measure("21.9", "21.9")
    sheet.see(1, "terminal.poor")
    day = shop.now.date() + timedelta(days=20)
    sheet.put("decide.terminal.poor", "deferred", 1, who="Bram Aldous", day=day.isoformat())
    sheet.put("outcome", "away")  # it is not signed over anything
    sheet.sign("sent to be looked at")
    written, grades = shop.conn.total_changes, dict[str, list[str]]()
    for _ in range(46):
        today = shop.later(days=7).now.date()
        bench_rows = {r.listed.motor_id: r for r in bench(shop.conn, today, 1).rows}
        rows = {r.listed.motor_id: r for r in register(shop.conn, "", "", 1, today)}
        ahead = {a.row.listed.motor_id: a for a in outlook(shop.conn, Sought(today=today), "weeks", 1, today).rows}
        for motor in (measured, put_off):
            page = shop.page(motor)
            grade, row = page.found.grade, rows[motor]
            assert (row.grade, row.word) == (grade, page.said.word)
            assert ahead[motor].row.grade == grade
            assert grade == "fit" or bench_rows[motor].grade == grade
            sought = weeks_ahead.list_outlook(shop.conn, Sought(grade=grade or "", today=today), 9, 0)
            assert motor in {x.motor_id for x in sought}
            grades.setdefault(motor, []).append(grade or "")
        order = [GRADES.index(r.grade or "fit") for r in bench(shop.conn, today, 1).rows]
        assert order == sorted(order, reverse=True)
    assert shop.conn.total_changes == written
    assert list(dict.fromkeys(grades[measured])) == ["fit", "plan", "change"]
    assert list(dict.fromkeys(grades[put_off])) == ["plan", "change"]


def test_people_and_the_clock(shop: Shop) -> None:
    ada = join(shop.conn, "person-2", "Maud Celliers", shop.now)
    assert join(shop.conn, "person-3", " Maud Celliers ", shop.now) == ada
    with pytest.raises(InputError):
        join(shop.conn, "person-4", "  ", shop.now)
    site = people.fetch_site(shop.conn)
    assert clock(site, shop.now) == shop.now
    demo = replace(site, demo_day="2026-11-24", made_at=shop.now)
    assert f"{clock(demo, shop.now):%Y-%m-%d %H}" == "2026-11-24 09"
    days = [clock(demo, shop.later(hours=9).now) for _ in range(40)]
    assert days == sorted(set(days))
    assert {d.date().isoformat() for d in days} == {"2026-11-24"}
