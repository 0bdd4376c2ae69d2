"""What was grave on the last sheet and is right at a later one, with no work between, is not mended by being read."""

import pytest

from at_work import Work, at_work
from bench_sheet import Bench
from conftest import Shop
from norvash.core.visit.barring import barring
from norvash.core.visit.proving import open_words
from norvash.errors import InputError, NeedsAnswer
from norvash.work.on_sheet.sheets import enter

# What was found on the first sheet, what shows it right at the next, its finding, and what is grave and not so ended.
CASES = {
    "a value": ("tool", "tool protection=protective_earth", "earth-ohm=0.4", "earth-ohm=0.05", "earth.open"),
    "a look": ("tool", "tool", "seen.bearing.spun=yes", "gone.bearing.spun=yes", "bearing.spun"),
}


def left(shop: Shop, case: str) -> Work:
    """Return the sheet of a later visit to a motor that was signed out of service with what was found."""
    motor_class, figures, found, _, _ = CASES[case]
    work = at_work(shop, motor_class, figures, "20 20").put(f"{found} outcome=out")
    work.bench.sign("no part")
    return Work(shop.later(days=3), Bench(shop, work.bench.motor)).safe()


@pytest.mark.parametrize("case", CASES)
def test_what_reads_right_again_stays_open_until_somebody_says_why(shop: Shop, case: str) -> None:
    *_, now, finding = CASES[case]
    work = left(shop, case)
    assert not work.bench.life(finding).right_again
    work.put(now)
    life = work.bench.life(finding)
    assert (life.state, life.right_again, life.finding.grade) == ("open", True, life.kept and life.kept.finding.grade)
    assert "nobody has said" in open_words(life, quick=False)
    assert "right again" in f"{work.bench.page.said.act} {work.bench.page.said.why}"
    with pytest.raises(InputError, match="by whom"):
        work.bench.put(f"decide.{finding}", "elsewhere")
    work.bench.put(f"decide.{finding}", "elsewhere", why="the owner's electrician: lead renewed")
    life = work.bench.life(finding)
    assert (life.state, life.right_again, life.why) == ("proven", False, "the owner's electrician: lead renewed")
    work.put("outcome=out").bench.sign("no time")
    told = next(f for f in work.told["findings"] if f["words"] == life.finding.words)
    assert told["decided"] == f"mended since the last visit, not here: {life.why}"


def test_a_reading_of_before_that_was_a_slip_is_withdrawn_and_bars_nothing(shop: Shop) -> None:
    work = left(shop, "a value").put("earth-ohm=0.05")
    work.bench.put("decide.earth.open", "slip", why="the probe stood on paint")
    life = work.bench.life("earth.open")
    assert (life.state, life.right_again) == ("withdrawn", False)
    assert barring(work.bench.page.visit) == ()
    work.put("outcome=out").bench.sign("no time")
    assert "earth.open" not in {x.finding.id for x in shop.page(work.bench.motor).found.lives}


@pytest.mark.parametrize("word", ["elsewhere", "slip"])
def test_neither_is_said_of_what_stands_or_began_at_this_visit(shop: Shop, word: str) -> None:
    work = left(shop, "a value").put("earth-ohm=0.4")
    with pytest.raises(InputError, match="at this visit too"):
        work.bench.put("decide.earth.open", word, why="so it is")
    work.put("seen.bearing.spun=yes")
    with pytest.raises(InputError, match="first found at this visit"):
        work.bench.put("decide.bearing.spun", word, why="so it is")


def test_work_of_this_visit_or_of_the_one_before_needs_no_word(shop: Shop) -> None:
    work = left(shop, "a value").put("task.earth=yes")
    work.bench.put("earth-ohm", "0.05")
    assert work.bench.states[0, "earth.open"] == "proven"


def test_what_is_found_at_this_visit_too_is_not_right_again_by_another_number(shop: Shop) -> None:
    work = left(shop, "a value").put("earth-ohm=0.4")
    there = work.bench.page.sheet.written["earth-ohm", 0, "found"].id
    with pytest.raises(NeedsAnswer, match="slip of the pen"):
        enter(
            shop.conn,
            shop.later(minutes=3).act(),
            work.bench.id,
            field_id="earth-ohm",
            place=0,
            text="0.05",
            replaces=there,
        )
    assert not work.bench.life("earth.open").right_again
