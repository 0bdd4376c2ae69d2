"""Jobs that could not be ended, and decisions and work for what nobody found."""

import pytest

from at_work import at_work
from conftest import Shop
from norvash.errors import NorvashError, NotFound


def test_the_work_of_the_way_that_was_taken_is_ticked_done(shop: Shop) -> None:
    work = at_work(shop, "industrial", "rated_v=230 bars=24")
    work.bench.put("way", "exchange armature", 5, bill="armature 1 400")
    with pytest.raises(NorvashError, match="Nothing found here asks for"):
        work.bench.put("task.armature", "yes")
    work.bench.put("way-taken", "5")
    work.bench.put("task.armature", "yes")
    assert work.bench.page.sheet.entries["task.armature", 0].word == "yes"


@pytest.mark.parametrize("field", ["decide.nonsense", "task.nonsense", "gone.nonsense", "dropped.nonsense"])
@pytest.mark.parametrize("word", ["now", "yes", "done", "dropped", ""])
def test_what_no_version_knows_is_neither_decided_nor_done(shop: Shop, field: str, word: str) -> None:
    work = at_work(shop, "tool", "rated_v=230 bars=24")
    before = dict(work.bench.page.sheet.entries)
    with pytest.raises(NorvashError):
        work.bench.put(field, word, why="no such thing")
    assert work.bench.page.sheet.entries == before


def test_what_is_found_nowhere_is_not_decided_and_what_is_elsewhere_says_where(shop: Shop) -> None:
    work = at_work(shop, "tool", "rated_v=230 bars=24")
    with pytest.raises(NorvashError, match="“face glazed” is not found on this motor"):
        work.bench.put("decide.face.glazed", "now", 1)
    work.bench.see(2, "face.glazed")
    with pytest.raises(NorvashError, match=r"not found there. It is at Brush B \(place 2\)"):
        work.bench.put("decide.face.glazed", "now", 1)
    work.bench.put("decide.face.glazed", "now", 2)
    with pytest.raises(NotFound, match="has no"):
        work.bench.put("task.nonsense", "")
