"""Money: typed there and back, packs against all combinations, and the laws of repair or buy."""

from dataclasses import replace
from fractions import Fraction
from itertools import permutations, product

import pytest
from hypothesis import assume, given
from hypothesis import strategies as st

from norvash.core.money.flips import life_flips, price_flips, rate_flips
from norvash.core.money.money import MOST_MINOR, Currency, read_money, rounded, shown
from norvash.core.money.packs import Pack, cheapest
from norvash.core.money.ways import PartPrice, Way, compared
from norvash.errors import InputError

HERE = Currency("kr")
SHARE = Fraction(3, 5)

TYPED = {
    "plain": ("12", HERE, 1200),
    "decimals": ("12.5", HERE, 1250),
    "a comma": ("12,50", HERE, 1250),
    "spaces": ("1 250", HERE, 125000),
    "thin spaces": ("1\u202f250.75", HERE, 125075),
    "an apostrophe": ("1'250", HERE, 125000),
    "its sign": ("kr 8.40", HERE, 840),
    "its sign behind": ("8.40kr", HERE, 840),
    "both marks": ("1.250,00", HERE, 125000),
    "both the other way": ("1,250.00", HERE, 125000),
    "two groups": ("1.250.000", HERE, 125000000),
    "a comma that parts thousands here": ("1,250", replace(HERE, thousands=","), 125000),
    "a dot where a comma parts thousands": ("1.25", replace(HERE, thousands=","), 125),
    "zeros behind": ("3.500", replace(HERE, thousands=","), 350),
    "no decimals": ("1250", Currency("kr", 0), 1250),
    "three decimals": ("1.250", Currency("kr", 3), 1250),
    "nothing": ("0", HERE, 0),
}
REFUSED = {
    "below 0": ("-3", InputError, "price"),
    "too much": ("1e12", InputError, "price"),
    "far too much": ("1000000000000", InputError, "price"),
    "three decimals": ("3.125", InputError, "price"),
    "four decimals": ("3.1255", InputError, "price"),
    "another sign": ("3 zl", InputError, "price"),
    "letters": ("three", InputError, "price"),
    "empty": (" ", InputError, "price"),
    "a mark alone": (".", InputError, "price"),
    "one that may be either": ("1,250", InputError, "price"),
}


@pytest.mark.parametrize(("text", "currency", "minor"), TYPED.values(), ids=TYPED)
def test_money_is_read_as_people_write_it(text: str, currency: Currency, minor: int) -> None:
    assert read_money(text, currency) == minor


@pytest.mark.parametrize(("text", "error", "field"), REFUSED.values(), ids=REFUSED)
def test_what_is_no_price_here_is_refused_at_its_field(text: str, error: type[InputError], field: str) -> None:
    with pytest.raises(error) as refused:
        read_money(text, HERE)
    assert refused.value.field == field


@given(st.integers(0, MOST_MINOR), st.sampled_from((0, 2, 3)))
def test_what_is_shown_is_read_again(minor: int, decimals: int) -> None:
    here = Currency("kr", decimals)
    assert read_money(shown(minor, here), here) == minor


@given(st.fractions(min_value=0, max_value=1000))
def test_rounding_is_once_and_half_up(exact: Fraction) -> None:
    assert abs(rounded(exact) - exact) <= Fraction(1, 2)
    assert rounded(Fraction(5, 2)) == 3


SOLD = [((2, 640), (4, 1090)), ((3, 500),), ((1, 345), (5, 1000), (12, 2399)), ((7, 70), (2, 20))]


def in_all(counts: tuple[int, ...], sold: list[Pack]) -> tuple[int, int]:
    """Return what packs cost together, and how many pieces they hold."""
    pairs = list(zip(counts, sold, strict=True))
    return sum(n * p.price for n, p in pairs), sum(n * p.pieces for n, p in pairs)


@pytest.mark.parametrize("needed", range(1, 61))
@pytest.mark.parametrize(
    "packs", [((2, 640), (4, 1090)), ((3, 500),), ((1, 345), (5, 1000), (12, 2399)), ((7, 70), (2, 20))]
)
def test_packs_are_the_cheapest_of_all_combinations(packs: tuple[tuple[int, int], ...], needed: int) -> None:
    sold = [Pack(*p) for p in packs]
    most = [needed // p.pieces + 1 for p in sold]
    every = [in_all(counts, sold) for counts in product(*(range(m + 1) for m in most))]
    cost, minus = min((cost, -pieces) for cost, pieces in every if pieces >= needed)
    bought = cheapest(sold, needed)
    assert (bought.cost, bought.pieces, bought.spare) == (cost, -minus, -minus - needed)
    assert in_all(bought.counts, sold) == (bought.cost, bought.pieces)


def way(name: str, price: int, hours: str | None = None, rate: int = 0, **more: object) -> Way:
    labour = None if hours is None else Fraction(hours)
    made = Way(
        name=name, parts=(PartPrice(name, price),), labour_h=labour, labour_rate=Fraction(rate) if rate else None
    )
    return replace(made, **more)  # type: ignore[arg-type]


# Whole jobs: the ways, what is proposed and by what, its share or its cost a unit.
JOBS = {
    "a pair of brushes with springs": ((way("set", 840), way("new", 8400, new=True)), "set", "share", "0.1"),
    "an armature too": ((way("armature", 5200), way("new", 8400, new=True)), "new", "share", "0.6190"),
    "a starter whose armature is condemned": (
        (way("rebuild", 44200, "3.25", 5800), way("new", 69000, "1.25", 5800, new=True)),
        "new",
        "share",
        "0.8269",
    ),
    "the same with a sound armature": (
        (way("rebuild", 17700, "2.75", 5800), way("new", 69000, "1.25", 5800, new=True)),
        "rebuild",
        "share",
        "0.4413",
    ),
    "tax and freight on the new one only": (
        (
            way("repair", 5200, "2.25", 4200),
            way("new", 94000, "1.5", 4200, new=True, freight=8000, tax=Fraction(19, 100)),
        ),
        "repair",
        "share",
        "0.1147",
    ),
    "lives that differ": (
        (way("kit", 6500, stated=True, life=Fraction(7)), way("new", 7550, new=True, stated=True, life=Fraction(3))),
        "kit",
        "unit",
        "0.8609",
    ),
    "crumbled magnets": (
        (way("repair", 5200, barred="the magnets crumble"), way("new", 94000, new=True)),
        "new",
        "bar",
        "0.0553",
    ),
    "exactly at the threshold": ((way("set", 6000), way("new", 10000, new=True)), "set", "share", "0.6"),
    "no new one priced": ((way("set", 2000), way("kit", 6000)), "set", "share", "0.3333"),
}


@pytest.mark.parametrize(("ways", "proposed", "by", "share"), JOBS.values(), ids=JOBS)
def test_whole_jobs_are_decided_as_they_should(ways: tuple[Way, ...], proposed: str, by: str, share: str) -> None:
    found = compared(ways, SHARE)
    assert found.proposed is not None
    assert (found.proposed.name, found.by) == (proposed, by)
    assert float(found.shares[0] or 0) == pytest.approx(float(share), abs=5e-5)


def test_a_second_new_unit_is_no_repair() -> None:
    one, other = way("new", 8400, new=True), way("spare", 8400, new=True)
    assert compared((one, other, way("set", 8500)), Fraction(1)).proposed == one


def test_what_is_at_risk_is_a_share_of_the_armature_and_not_where_that_is_lost_already() -> None:
    dear, new = way("armature", 5200, armature=True), way("new", 8400, new=True)
    assert compared((way("set", 1300), dear, new), SHARE).at_risk == (Fraction(1, 4), None, None)
    lost = way("set", 1300, barred="bars burnt")
    assert compared((lost, dear, new), SHARE).at_risk == (None, None, None)


amounts = st.integers(1, 200_000)
hours = st.integers(0, 400).map(lambda n: Fraction(n, 20))
lives = st.one_of(st.none(), st.integers(1, 300).map(lambda n: Fraction(n, 10)))


@st.composite
def some_ways(draw: st.DrawFn) -> tuple[Way, ...]:
    """Return two to four ways, of which the last buys a new unit."""
    count, rate, stated = draw(st.integers(2, 4)), Fraction(draw(st.integers(0, 10_000))), draw(st.booleans())
    return tuple(
        Way(
            name=f"way {n}",
            parts=(PartPrice("part", draw(amounts), draw(st.integers(1, 4))),),
            tax=Fraction(draw(st.sampled_from((0, 19))), 100),
            freight=draw(st.integers(0, 9000)),
            labour_h=draw(hours),
            labour_rate=rate,
            redo=Fraction(draw(st.integers(0, 60)), 100),
            life=draw(lives),
            stated=stated,
            new=n == count - 1,
        )
        for n in range(count)
    )


@given(some_ways())
def test_the_order_of_ways_changes_nothing(ways: tuple[Way, ...]) -> None:
    first = compared(ways, SHARE)
    for other in permutations(ways):
        found = compared(other, SHARE)
        assert (found.proposed, found.by, found.whole) == (first.proposed, first.by, first.whole)


@given(some_ways(), st.integers(1, 1000))
def test_a_hard_stop_bars_its_way_at_every_price(ways: tuple[Way, ...], price: int) -> None:
    barred = replace(ways[0], parts=(PartPrice("part", price),), barred="its armature is burnt")
    found = compared((barred, *ways[1:]), SHARE)
    assert found.proposed is not barred
    assert compared((barred,), SHARE).proposed is None


@given(some_ways(), st.integers(1, 5000))
def test_dearer_labour_never_favours_the_way_with_more_of_it(ways: tuple[Way, ...], more: int) -> None:
    two = ways[:2]
    by = [w.labour_h or 0 for w in two]
    assume(by[0] != by[1])
    slow = two[0] if by[0] > by[1] else two[1]
    dearer = tuple(replace(w, labour_rate=(w.labour_rate or Fraction()) + more) for w in two)
    gap, wider = ([w.with_redo * (1 - w.redo) for w in some] for some in (two, dearer))
    n = two.index(slow)
    assert wider[n] - wider[1 - n] >= gap[n] - gap[1 - n] - 2


@given(some_ways())
def test_where_another_way_wins_both_are_worth_the_same(ways: tuple[Way, ...]) -> None:
    found = compared(ways, SHARE)
    if found.by not in ("share", "unit"):
        return

    def worth(w: Way) -> Fraction:
        if found.by == "unit":
            assert w.per_unit is not None
            return w.per_unit
        return w.total * (found.threshold if w.new and found.whole is not None and found.whole.new else Fraction(1))

    for flip in rate_flips(found):
        one, other = (replace(w, labour_rate=flip.value) for w in (flip.way, flip.other))
        near = Fraction(2) / min(1, *(w.expected or 1 for w in (one, other))) / min(1 - w.redo for w in (one, other))
        assert abs(worth(one) - worth(other)) <= near
    for flip in life_flips(found):
        one = replace(flip.way, life=flip.value)
        assert one.per_unit == flip.other.per_unit
    for flip in price_flips(found):
        fees = flip.way.total - flip.way.landed
        assert flip.value + fees > 0


WRONG = {
    "redo of all": ({"redo": Fraction(1)}, "redo"),
    "tax of 2 000 %": ({"tax": Fraction(20)}, "tax"),
    "life of nothing": ({"life": Fraction(0)}, "life"),
    "a condition above all": ({"condition": Fraction(2)}, "condition"),
    "a part for nothing": ({"parts": (PartPrice("x", 0),)}, "price"),
    "no piece": ({"parts": (PartPrice("x", 5, 0),)}, "price"),
    "freight below 0": ({"freight": -1}, "freight"),
}


@pytest.mark.parametrize(("changed", "field"), WRONG.values(), ids=WRONG)
def test_a_way_that_cannot_be_is_refused_at_its_field(changed: dict[str, object], field: str) -> None:
    with pytest.raises(InputError) as refused:
        replace(way("it", 500), **changed)  # type: ignore[arg-type]
    assert refused.value.field == field


@pytest.mark.parametrize(
    ("packs", "needed"), [((), 1), (((0, 5),), 1), (((2, 0),), 1), (((2, 5),), 0), (((2, 5),), 10**6)]
)
def test_packs_of_nothing_are_refused(packs: tuple[tuple[int, int], ...], needed: int) -> None:
    with pytest.raises(InputError):
        cheapest([Pack(*p) for p in packs], needed)
