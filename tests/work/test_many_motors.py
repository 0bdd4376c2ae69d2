"""What holds for many motors: types, figures of the site, the order of the bench, people and the clock."""

from dataclasses import replace

import pytest

from conftest import Shop
from norvash.core.rules.catalogue import RULES
from norvash.errors import Conflict, InputError, NorvashError, NotFound
from norvash.store import people, rules
from norvash.work.bench import bench, register
from norvash.work.motor_types import save_type
from norvash.work.registering import change_figures
from norvash.work.ruling import clear_rule, set_rule
from norvash.work.site import clock, join
from norvash.work.standing import catch_up


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
    change_figures(shop.conn, shop.act(), motor, {"limit_mm": "12"}, version)
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
    change_figures(shop.conn, shop.act(), motor, {"limit_mm": "12"}, version + 2)
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
        motor = shop.motor(tag=tag)
        if mm:
            shop.measure(motor, "", mm, mm)
    found = bench(shop.conn, shop.now.date(), 1)
    assert [r.listed.tag for r in found.rows] == ["X-04", "X-02", "X-05", "X-03", "X-06"]
    assert [r.listed.tag for r in found.coming] == ["X-01"]
    for n in range(7, 40):
        shop.motor(tag=f"Y-{n:02d}")
    second = bench(shop.conn, shop.now.date(), 99)
    assert (second.page, second.pages, len(second.rows)) == (4, 4, 38 - 36)


def test_past_its_date_a_motor_is_raised_on_the_bench(shop: Shop) -> None:
    motor = shop.motor()
    shop.later(weeks=4).log(motor, "180")
    shop.measure(motor, "", "20", "20")
    assert bench(shop.conn, shop.now.date(), 1).rows == []
    shop.later(weeks=40)
    row = bench(shop.conn, shop.now.date(), 1).rows[0]
    assert (row.grade, row.note) == ("change", "past its limit by date: measure or change")


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
