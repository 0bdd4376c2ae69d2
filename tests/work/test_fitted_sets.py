"""A set that is fitted is judged as one that is offered, whoever offered it or not."""

import pytest

from at_work import Work
from bench_sheet import Bench
from conftest import Shop
from norvash.core.judging.signs_shown import causes_mended

STATED = {"rated_v": "230", "variant": "R", "face_angle_deg": "12", "grade_family": "electrographite"}
# What the set says of itself, and what is found by that.
SETS = {
    "another voltage, variant and angle": ("K 14", "115 V, Q, 0°", "set.angle set.variant set.volts"),
    "another voltage": ("K 14", "115 V", "set.volts"),
    "the voltage in its number": ("K 14 115V", "", "set.volts"),
    "another variant": ("", "Q", "set.variant"),
    "a face of another angle": ("", "0 deg", "set.angle"),
    "the same": ("K 14", "230 V R 12°", ""),
    "a supply by another name": ("", "240 V", ""),
    "another grade family": ("K 14 metal-graphite", "R", "set.grade"),
    "the same family": ("K 14", "R electrographite", ""),
    "nothing said": ("", "", ""),
}


@pytest.mark.parametrize(("part", "variant", "found"), SETS.values(), ids=SETS)
def test_what_a_set_and_its_motor_both_state_is_compared(shop: Shop, part: str, variant: str, found: str) -> None:
    motor = shop.motor(new_length="22", limit="8", figures=STATED)
    work = Work(shop, Bench(shop, motor)).safe()
    work.bench.fit("22", "22", part=part, variant=variant)
    lives = {x.finding.id: x for x in work.bench.page.found.lives if "of-set" in x.finding.kinds}
    assert sorted(lives) == found.split()
    if not found:
        return
    # Another such set proves nothing; the right one does, and until then it is no certificate.
    work.bench.fit("22", "22", part=part, variant=variant, reason="damaged")
    assert {x.state for x in work.bench.page.found.lives if "of-set" in x.finding.kinds} == {"open"}
    work.bench.fit("22", "22", part="K 14", variant="230 V R 12°", reason="damaged")
    assert {x.state for x in work.bench.page.found.lives if "of-set" in x.finding.kinds} == {"proven"}


TYPE = STATED | {"thickness_mm": "6.3", "width_mm": "8", "box_thickness_mm": "6.4"}
# What is measured of the brushes of a set that nobody offered, and what is found: as an offer would be refused.
OF_ITS_BRUSHES = {
    "as its type": ({"brush-t": "6.3", "brush-a": "8", "lead-length": "25"}, ""),
    "too thick to be dressed": ({"brush-t": "6.55"}, "set.section"),
    "too thin: it tilts": ({"brush-t": "5.9"}, "set.section"),
    "too thick for the box that was measured": ({"brush-t": "6.55", "box-t": "6.4"}, "clearance.wrong"),
    "too wide whatever the box": ({"brush-a": "8.6"}, "set.section"),
    "a lead as short as its travel": ({"lead-length": "18"}, "set.lead"),
}
# The figures of a motor, the length that a brush of its new set has, and what is found.
LONGER = {
    "where lead and spring sit": ("no", "23", "set.length"),
    "where the top is dressed": ("yes", "23", ""),
    "where nobody says what sits there": ("", "23", ""),
    "by less than the gauge tells": ("no", "22.05", ""),
}


@pytest.mark.parametrize(("free", "length", "found"), LONGER.values(), ids=LONGER)
def test_a_set_that_is_longer_than_its_holder_takes(shop: Shop, free: str, length: str, found: str) -> None:
    figures = {**TYPE, **({"top_free": free} if free else {})}
    work = Work(shop, Bench(shop, shop.motor(new_length="22", limit="8", figures=figures))).safe()
    work.bench.fit(length, "22", part="K 14")
    lives = [x for x in work.bench.page.found.lives if x.finding.id.startswith("set.")]
    assert [(x.finding.id, x.finding.grade) for x in lives] == [(f, "change") for f in found.split()]
    if found:
        work.bench.fit("22", "22", part="K 14", reason="damaged")
        assert work.bench.life("set.length").state == "proven"


@pytest.mark.parametrize(("typed", "found"), OF_ITS_BRUSHES.values(), ids=OF_ITS_BRUSHES)
def test_a_set_that_nobody_offered_is_judged_as_an_offer_is(shop: Shop, typed: dict[str, str], found: str) -> None:
    work = Work(shop, Bench(shop, shop.motor(new_length="22", limit="8", figures=TYPE))).safe()
    work.bench.fit("22", "22", part="K 14")
    for name, text in typed.items():
        work.bench.put(name, text, 1)
    open_ones = {x.finding.id for x in work.bench.page.found.lives if x.state == "open"}
    assert sorted(x for x in open_ones if x.startswith(("set.", "clearance."))) == found.split()
    assert all(f.finding.grade == "change" for f in work.bench.page.found.lives if f.finding.id.startswith("set."))


def test_what_came_with_the_work_was_not_what_it_was_called_for(shop: Shop) -> None:
    """A wrong set that came and went at this visit is neither the cause of the complaint nor what was found."""
    motor = shop.motor(new_length="22", limit="8", figures=STATED)
    work = Work(shop, Bench(shop, motor)).safe().put("sign.weak=yes")
    work.bench.measure("13", "14")
    work.bench.see(1, "terminal.poor")
    work.put("decide.terminal.poor@1=now task.terminal=yes gone.terminal.poor@1=yes")
    work.bench.fit("22", "22", variant="115 V, Q")
    assert not any(x.measured_again for x in work.bench.page.found.lives)
    work.bench.fit("22", "22", variant="230 V R", reason="damaged")
    assert causes_mended(work.bench.page.visit.lives) == ["terminal"]
    work.bench.sign("the rest is left for the test")
    assert work.told["set"]["old_lengths_mm"] == {"A": 13.0, "B": 14.0}
