"""What lies before the motor is said with it, the graver first, wherever somebody meets the motor."""

from typing import Any

import pytest

from at_work import at_work
from conftest import Shop
from norvash.core.stages.gates import SERVICE
from norvash.store.record import standings
from norvash.work.reading.standing import refresh

CORD, SWITCH = "seen.supply.cord=yes", "seen.switch.hurt=yes"
# What is found before the motor and in it, and how the line and every list begin.
LINES = {
    "a cord hurt": (CORD, "stop", "The machine must not run: cord, cable or plug hurt", "The motor: run on"),
    "a switch burnt": (SWITCH, "change", "Mend the machine at this visit: switch or trigger", "The motor: run on"),
    "a cord hurt, a bearing locked": (
        f"{CORD} seen.bearing.locked=yes",
        "stop",
        "The machine must not run",
        "The motor: out of service",
    ),
    "a switch burnt, a bearing locked": (
        f"{SWITCH} seen.bearing.locked=yes",
        "stop",
        "Out of service",
        "Mend the machine at this visit: switch or trigger",
    ),
    "a cord renewed and not looked at": (
        f"{CORD} task.cord=yes",
        "stop",
        "The machine must not run: cord renewed with its plug, not yet proven; look again",
        "The motor: run on",
    ),
    "a cord mended": (f"{CORD} task.cord=yes gone.supply.cord=yes", "fit", "Run on.", ""),
}


@pytest.mark.parametrize(("rows", "grade", "first", "then"), LINES.values(), ids=LINES)
def test_the_line_says_the_machine_and_the_motor_the_graver_first(
    shop: Shop, rows: str, grade: str, first: str, then: str
) -> None:
    work = at_work(shop, "tool", "tool").put(rows)
    page, judged = work.bench.page, refresh(shop.conn, work.bench.motor, shop.now.date())
    assert (page.grade, judged.found.machine, judged.said.sentence[: len(first)]) == (grade, grade, first)
    assert then in judged.said.sentence
    assert grade != "stop" or page.said.sentence == judged.said.sentence
    kept = standings.find_motors(shop.conn, "", "", 1, 0, urgent=True)[0].standing
    assert (kept.grade, kept.sentence) == (grade, judged.said.sentence)


def test_a_stop_before_the_motor_that_its_owner_was_told_of_is_a_statement_and_stays_until_it_is_seen(
    shop: Shop,
) -> None:
    work = at_work(shop, "tool", "tool").put(CORD)
    work.bench.put("decide.supply.cord", "owner", why="told Ms Aldous, who renews it")
    work.bench.ready()
    work.bench.run(run_v="230", run_a="2", run_rpm="12000")
    for step in SERVICE.steps(work.bench.page.context.facts, work.bench.page.context.rules):
        work.bench.put(SERVICE.step(step.id).id, "yes")
    work.put("outcome=service").bench.sign()
    signed: Any = work.bench.page.row.signed
    assert (signed["signed_as"], signed["open"]) == ("statement", [])
    assert signed["told"]["signed_as_words"].startswith("The machine must not run. Statement for the motor")
    assert signed["sentence"].startswith("The machine must not run: cord")
    later = shop.later(weeks=3).page(work.bench.motor)
    assert later.said.sentence.startswith("The machine must not run: cord")
