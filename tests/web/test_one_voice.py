"""One voice says when, whatever a motor is and however it is read: line, reasons, sheet, lists and API agree."""

from random import Random
from typing import Any

import pytest

from bench_sheet import Bench
from conftest import Shop
from norvash.core.planning.interval_table import IntervalTable
from norvash.core.text.words import day_words
from norvash.core.verdict.when_words import mark_at
from norvash.web.api.motors import verdict
from norvash.work.motors.policing import add_policy
from norvash.work.reading.standing import refresh
from whens import broken_whens

LINES = {"method": "wear line", "wear_line_1_mm": "18", "wear_line_2_mm": "14", "wear_line_3_mm": "10"}
GAUGE = {"method": "depth", "depth_limit_mm": "12.6"}
TABLE = IntervalTable((100.0, 400.0), (20.0, 14.0), ((500.0, 200.0), (600.0, 300.0)), "length")


def a_motor(shop: Shop, random: Random, tag: str) -> str:
    """Return a motor of any kind with any policies, read any number of times, now and then not whole."""
    how = random.choice(("length", "length", "lines", "depth"))
    figures = {"lines": LINES, "depth": GAUGE}.get(how, {})
    unit, aged = random.choice(("", "", "starts")), random.random() < 0.75
    motor = shop.motor(
        tag=tag,
        motor_class=random.choice(("industrial", "tool", "appliance", "generator")),
        figures=figures,
        new_length="" if how == "depth" else "22",
        limit="8" if how == "length" else "",
        unit_of_use=unit,
        set_is_new=aged,
    )
    for kind in random.sample(("interval", "change", "range", "calendar", "table"), random.choice((0, 1, 1, 2))):
        typed = {"name": f"{kind} of the shop", "every": str(random.choice((150, 300, 900))), "asks": "look"}
        typed |= {"low": "200", "high": "320", "months": str(random.choice((2, 12)))}
        asks, real = ("change", "interval") if kind == "change" else ("look", kind)
        table = TABLE if kind == "table" else None
        add_policy(
            shop.conn, shop.act(), "motor", scope_id=motor, kind=real, typed={**typed, "asks": asks}, table=table
        )
    used, gone = 100.0, random.uniform(0, 1)
    for _ in range(random.choice((0, 1, 1, 2, 3))):
        used += random.choice((20, 80, 150))
        gone += random.choice((0.05, 0.6, 2.0))
        shop.later(days=random.choice((10, 35, 70))).log(motor, f"{used:g}")
        shown = {"depth": [f"{9 + gone + i / 9:.2f}" for i in range(2)], "lines": [str(min(int(gone), 3))] * 2}
        read = shown.get(how, [f"{22 - gone - i / 9:.2f}" for i in range(2)])
        shop.measure(motor, f"{used:g}", *(read if random.random() < 0.75 else read[:1]))
    shop.later(days=random.choice((14, 40)))
    if random.random() < 0.5:
        shop.log(motor, f"{used + random.choice((5, 60, 300)):g}")
    return motor


@pytest.mark.parametrize("seed", range(60))
def test_one_look_and_one_change_come_first_and_are_the_same_everywhere(shop: Shop, seed: int) -> None:
    motor = a_motor(shop, Random(seed), f"X-{seed}")
    today, page = shop.now.date(), shop.page(motor)
    found, state, look, change = page.found, page.context.state, page.found.look, page.found.change
    # One winner of each kind, the others later or not counted.
    reasons = [r.text for r in page.said.reasons]
    first = [sum(f"; this {kind} comes first" in r for r in reasons) for kind in ("look", "change")]
    asked = look is not None and look.due is not None  # one that is brought to the plan is nobody's own
    assert first == [int(asked), int(change is not None)] or first == [0, 0]
    if first != [0, 0]:
        named = [r for d in found.dues if d.at_units is not None or d.on is not None for r in reasons if d.why in r]
        assert all(any(x in r for x in ("comes first", "; later", "; not counted:")) for r in named)
    # No look later than the change, none past that is not called due or overdue.
    end = None if change is None else change.late_on if change.overdue_units is not None else change.on
    assert look is None or look.on is None or end is None or look.on <= end
    if look is not None and look.on is not None and look.on < today:
        assert (
            page.said.word in ("Change or measure now", "Change now", "Out of service") or "look due" in page.said.flags
        )
    assert not found.missing or look is None or look.name != "forecast"
    # The same on the line, in the lists, in the API and on the sheet.
    said = {f.words.split(",")[0]: f for f in page.said.figures}
    if "look by" in said:
        assert look is not None
        shown = f"{said['look by'].value} {said['look by'].beside}"
        assert all(x in shown for x in (mark_at(look, state), day_words(look.on) if look.on else ""))
    refresh(shop.conn, motor, today)
    assert broken_whens(shop.conn, motor, today) == []
    kept = shop.conn.execute(
        "select look_on, look_by, rises_json from standing where motor_id = :m", {"m": motor}
    ).fetchone()
    day = look.on if look is not None else None
    assert (kept["look_on"], kept["look_by"]) == (day.isoformat() if day else None, look.name if look else "")
    told: dict[str, Any] = verdict(conn=shop.conn, now=shop.now, motor_id=motor)
    assert [x["for"] for x in told["looks"] if x["first"]] == ([look.name] if look is not None and asked else [])
    assert (told["look_on"], told["plan_on"]) == (day, found.days.plan_on)
    bench = Bench(shop, motor)
    assert (bench.page.look.on, bench.page.look.at) == ((look.on, look.at_units) if look else (None, None))
