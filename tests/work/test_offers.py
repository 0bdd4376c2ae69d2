"""Parts that are offered on a sheet: what was refused and is fitted, what is left unsaid, what waits for its proof."""

import pytest

from at_work import Work, at_work
from bench_sheet import Bench
from conftest import Shop
from norvash.errors import InputError

FIGURES = (
    "construction=universal rated_v=230 rated_a=6 noload_rpm=12000 noload_a=2 face_angle_deg=15 thickness_mm=8"
    " width_mm=16 box_thickness_mm=8.15 box_width_mm=16.2"
)
SET = {"new-thickness_mm": "8", "new-width_mm": "16", "new-volts": "230"}


@pytest.fixture
def work(shop: Shop) -> Work:
    """Return a tool whose set is at its end, at work."""
    made = at_work(shop, "tool", FIGURES, "8.2 8.1")
    return made.put("looked.springs=yes looked.holders=yes sound.commutator=yes sound.windings=yes sound.drive=yes")


def offered(work: Work, place: int, became: str = "", **more: str) -> None:
    typed = SET | {n.replace("__", "-"): x for n, x in more.items()}
    work.bench.put("offer", "brush set", place, **typed)
    if became:
        work.bench.put("offer-became", became, place)


def holds(work: Work) -> str:
    return "; ".join(h.words for h in work.bench.page.holds)


def test_a_part_that_is_offered_never_judges_the_one_that_is_in(work: Work) -> None:
    before = [(x.finding.id, x.state) for x in work.bench.page.visit.lives]
    offered(work, 1, "back", new__thickness_mm="5.5", new__face_angle_deg="0")
    assert [(x.finding.id, x.state) for x in work.bench.page.visit.lives] == before


def test_a_refused_set_that_is_fitted_stops_the_motor_until_it_is_out(work: Work) -> None:
    """It is a change of another angle, a stop of another voltage; out again, it is mended by what took its place."""
    offered(work, 1, "fitted", new__face_angle_deg="0")
    assert work.bench.states[0, "part.refused.brushes"] == "open"
    offered(work, 1, new__face_angle_deg="15", new__volts="110")
    assert work.bench.states[0, "part.wrong.brushes"] == "open"
    assert "the machine has 230 V" in work.missing("power")
    with pytest.raises(InputError, match="takes nothing out"):
        offered(work, 1, new__face_angle_deg="15")
    assert work.bench.states[0, "part.wrong.brushes"] == "open"
    work.bench.put("offer-became", "", 1, answer="mistyped")
    with pytest.raises(InputError, match="takes nothing out"):
        offered(work, 1, new__face_angle_deg="15")
    work.bench.put("offer-became", "fitted", 1)
    work.put("task.take-out=yes").bench.put("offer-became", "out", 1)
    assert work.bench.states[0, "part.wrong.brushes"] == "proven"
    assert "110 V" not in work.missing("power")


def test_what_another_set_was_refused_for_is_said_of_the_one_that_is_fitted(work: Work) -> None:
    work.put("outcome=service")
    offered(work, 1, "back", new__face_angle_deg="0")
    work.bench.fit("22", "22")
    assert "Not said: which of the sets that were offered was fitted" in holds(work)
    offered(work, 2, "fitted")
    assert "its face is missing, for which another set was refused" in holds(work)
    offered(work, 2, new__face_angle_deg="15")
    assert "for which another set was refused" not in holds(work)


def test_after_a_refused_set_the_next_one_is_compared_whole_at_whatever_visit(shop: Shop, work: Work) -> None:
    offered(work, 1, "fitted", new__face_angle_deg="0")
    work.put("outcome=out").bench.sign("it waits for the right set")
    again = Work(shop, Bench(shop, work.bench.motor)).safe()
    again.put("outcome=service task.take-out=yes").bench.fit("22", "22")
    assert "the one that took its place is not compared" in holds(again)
    offered(again, 1, "fitted")
    assert "its face is missing, for which another set was refused" in holds(again)
    offered(again, 1, new__face_angle_deg="15")
    assert "another set was refused" not in holds(again)
    assert again.bench.states[0, "part.refused.brushes"] == "proven"


def test_a_print_says_how_wide_a_face_touches_and_proves_its_new_curve(work: Work) -> None:
    """Under the release it is a plan of its own, which neither the work nor a slip of the pen ends, but a wider one."""
    work.bench.put("print", "60 %", 1)
    work.bench.put("print", "0.8", 2)
    assert work.bench.states[1, "face.unbedded"] == "open"
    assert (2, "face.unbedded") not in work.bench.states
    work.put("task.run-in=yes")
    assert work.bench.states[1, "face.unbedded"] == "done not proven"
    work.bench.put("print", "70 %", 1)
    assert work.bench.states[1, "face.unbedded"] == "open"
    work.put("task.run-in=yes").bench.put("print", "76 %", 1, answer="again")
    assert work.bench.states[1, "face.unbedded"] == "proven"


def test_a_set_that_nobody_compared_says_so_on_the_signed_paper(work: Work) -> None:
    work.bench.fit("22", "22")
    work.put("outcome=out").bench.sign("it waits")
    told = work.told["offers"]
    assert told == {"offers": [], "uncompared": "a set was fitted that nobody compared before"}


def test_dressed_and_transferred_parts_hold_power_until_they_are_proven(work: Work) -> None:
    more = {"new__face_angle_deg": "15", "new__terminal": "ring", "old__terminal": "flag"}
    offered(work, 1, "fitted", **(more | {"new__thickness_mm": "8.15"}))
    assert "after dressing is not measured" in work.missing("power")
    assert "joint of what was transferred" in work.missing("power")
    work.bench.put("offer-dressed-t", "8.12", 1)
    assert "after dressing still" in work.missing("power")
    work.bench.put("offer-dressed-t", "8.07", 1)
    work.bench.put("offer-joint", "yes", 1)
    assert "offer" not in work.missing("power")
    assert "dressing" not in work.missing("power")


def test_an_offer_stays_on_the_sheet(work: Work) -> None:
    offered(work, 1)
    with pytest.raises(InputError, match="stays on the sheet"):
        work.bench.put("offer", "", 1)
    with pytest.raises(InputError, match="Nothing is known"):
        work.bench.put("offer", "bush", 2)
    with pytest.raises(InputError, match="not a part here"):
        work.bench.put("offer", "sleeve", 2, **{"new-part": "x"})
    with pytest.raises(InputError, match="yes or no"):
        work.bench.put("offer", "bearing", 2, **{"new-number": "6002", "at-located": "perhaps"})
    with pytest.raises(InputError, match="grade family"):
        work.bench.put("offer", "brush set", 2, **{"new-grade": "soft"})


def test_a_face_is_shaped_on_the_commutators_own_curve(shop: Shop) -> None:
    work = at_work(
        shop, "appliance", "construction=universal rated_v=230 commutator_d_mm=22 thickness_mm=4.5 width_mm=4.5"
    )
    with pytest.raises(InputError, match=r"0\.182 mm deep, the commutator's 0\.233, 0\.051 mm apart") as refused:
        work.bench.put("rod", "28.0")
    assert "22.0 to 22.6 mm" in refused.value.remedy
    work.bench.put("rod", "22.4")
    with pytest.raises(InputError, match=r"with 0\.2 mm of paper"):
        work.bench.put("rod-paper", "0.2")
    work.bench.put("rod", "22.0")
    work.bench.put("rod-paper", "0.2")
