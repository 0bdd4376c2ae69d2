"""No word of a signed sheet, and none of a life once it was said, changes by whatever is done later, in any order."""

import json
from collections.abc import Callable
from dataclasses import replace
from random import Random

import pytest

from at_work import Work, at_work
from bench_sheet import Bench
from conftest import Shop
from norvash.core.sheet.moved import Explained
from norvash.store.record import motors
from norvash.work.act.acting import Act
from norvash.work.motors.changing_figures import change_figures
from norvash.work.motors.logging_use import log_use
from norvash.work.motors.ruling import clear_rule, set_rule, set_school
from norvash.work.on_sheet.signing import add_to_signed

EARTHED = "rated_v=230 rated_a=4 protection=protective_earth new_mm=22 limit_mm=8"
MORE = {"rated_v": "230", "rated_a": "4", "protection": "protective earth", "new_mm": "22"}
SITE = {"scope": "site", "scope_id": ""}
READ = Explained("read", "the plate")


def signed(shop: Shop) -> Bench:
    """Return a sheet that was signed over a stop, a change and a worn set."""
    work = at_work(shop, "tool", EARTHED, "8.4 9")
    work.put("earth-ohm=0.4 insulation-mohm=0.4 insulation-c=20 seen.bearing.spun=yes outcome=out")
    work.bench.sign("waits for its parts")
    return work.bench


def later(shop: Shop, bench: Bench) -> list[Callable[[], object]]:
    """Return what may be done after that: to a rule, a school, figures, use, the set, the paper, on another sheet."""

    def act() -> Act:
        return replace(shop.later(days=1).act(), explained=READ)

    def refigured() -> None:
        version = motors.fetch_motor(shop.conn, bench.motor).version
        change_figures(shop.conn, act(), bench.motor, {**MORE, "limit_mm": "6"}, version)

    def ruled() -> None:
        set_rule(shop.conn, act(), "earth.ohm", text="0.45", why="long leads", **SITE)
        clear_rule(shop.conn, act(), "earth.ohm", "site", "")

    def visited(rows: str) -> Callable[[], None]:
        def made() -> None:
            work = Work(shop, Bench(shop.later(days=9), bench.motor)).safe()
            work.bench.measure("21", "20.9")
            work.put(f"{rows} outcome=out").bench.sign("waits")

        return made

    return [
        ruled,
        refigured,
        lambda: set_school(shop.conn, act(), "school.skim", key="own", why="ours", **SITE),
        lambda: log_use(shop.conn, shop.later(days=1).act(), bench.motor, text="30", mode="increment"),
        lambda: add_to_signed(shop.conn, shop.later(days=1).act(), bench.id, "came back"),
        lambda: shop.later(days=1).new_set(bench.motor, "", "22", "22", reason="at its limit"),
        visited("earth-ohm=0.3"),
        visited("earth-ohm=0.05"),
        visited("insulation-mohm=60 insulation-c=20"),
        visited("task.earth=yes"),
    ]


@pytest.mark.parametrize("seed", range(6))
def test_nothing_that_was_said_changes_by_what_is_done_later(shop: Shop, seed: int) -> None:
    bench = signed(shop)
    acts = later(shop, bench)
    Random(seed).shuffle(acts)
    paper = json.dumps(dict(bench.page.row.signed), default=str)
    said: dict[str, tuple[str, str]] = {}
    for act in acts:
        for row in shop.conn.execute("select id, grade, words from life"):
            assert said.setdefault(row["id"], (row["grade"], row["words"])) == (row["grade"], row["words"])
        act()
        assert json.dumps(dict(bench.page.row.signed), default=str) == paper
    assert len(said) > 3
