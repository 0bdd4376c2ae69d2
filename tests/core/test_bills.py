"""What a way costs, as it is typed: parts, packs, tax, freight, lives; what it asks for, and what bars it."""

from datetime import date, timedelta
from fractions import Fraction

import pytest
from hypothesis import given
from hypothesis import strategies as st

from norvash.core.money.here import currency_of
from norvash.core.money.money import Currency
from norvash.core.money.packs import Pack
from norvash.core.money.ways import PartPrice, Way, compared
from norvash.core.rules.book import MotorRules, Override
from norvash.core.rules.catalogue import rulebook_with, shipped
from norvash.core.sheet.records_of_parts import Beside, Bill
from norvash.core.stages.catalogue import FINDINGS
from norvash.core.stages.ways import barred_by, tasks_of_way
from norvash.core.visit.bill import read_bill, read_parts
from norvash.core.visit.offered import offered
from norvash.errors import InputError
from norvash.store.record.records import kept, record_of

TODAY = date(2026, 11, 28)
HERE = Currency()
ROWS = {
    "brushes LP-B 031 4.80 x 2": PartPrice("brushes LP-B 031", 480, 2),
    "bearing 608: 120.00": PartPrice("bearing 608", 12000),
    "armature 1 250.50": PartPrice("armature", 125050),
    "armature 1\u202f250": PartPrice("armature", 125000),
    "rewound, new commutator 168.00": PartPrice("rewound, new commutator", 16800),
    "set 14 × 3": PartPrice("set", 1400, 3),
    "carbons 2 for 6.90 or 4 for 10.20 x 2": PartPrice("carbons", 690, 2, (Pack(2, 690), Pack(4, 1020))),
}


@pytest.mark.parametrize(("row", "part"), ROWS.items(), ids=ROWS)
def test_a_part_is_read_as_it_is_typed(row: str, part: PartPrice) -> None:
    assert read_parts(row, HERE) == (part,)


def test_tax_on_top_is_one_with_its_share_alone() -> None:
    alone, on_top = (read_bill({"bill": "set 3", "tax": text}, HERE, TODAY) for text in ("20 %", "20 % on top"))
    assert (alone.tax, alone.tax_word) == (Fraction(1, 5), "")
    assert alone == on_top == read_bill({"bill": "set 3", "tax": "20 Extra"}, HERE, TODAY)


WRONG = {
    "below 0": ({"bill": "set -8.40"}, "bill", "below 0"),
    "no price": ({"bill": "a set"}, "bill", "no price"),
    "no name": ({"bill": "2 for 8.40"}, "bill", "no"),
    "nothing": ({"bill": "set 0"}, "bill", "costs nothing"),
    "no piece": ({"bill": "set 3.20 x 0"}, "bill", "bought no times"),
    "an empty pack": ({"bill": "set 0 for 3.20 x 2"}, "bill", "at least one piece"),
    "another sign": ({"bill": "set € 3.20"}, "bill", "not needed"),
    "three decimals": ({"bill": "set 3.2051"}, "bill", "decimals"),
    "either": ({"bill": "set 1,250"}, "bill", "may be"),
    "too much tax": ({"bill": "set 3", "tax": "2000 %"}, "tax", "not possible"),
    "tax in words": ({"bill": "set 3", "tax": "some"}, "tax", "in it"),
    "always again": ({"bill": "set 3", "redo": "100"}, "redo", "not possible"),
    "no life": ({"bill": "set 3", "life": "0"}, "life", "not possible"),
    "a life in volts": ({"bill": "set 3", "life": "7 V"}, "life", "cannot be read as a life"),
    "no condition": ({"bill": "set 3", "condition": "0"}, "condition", "not possible"),
    "a day to come": ({"bill": "set 3", "said": "asked 2031-01-02"}, "said", "still to come"),
    "hours of nothing": ({"bill": "set 3", "hours": "-1"}, "hours", "not possible"),
}


@pytest.mark.parametrize(("typed", "field", "words"), WRONG.values(), ids=WRONG)
def test_a_bill_that_cannot_be_is_refused_at_its_field(typed: dict[str, str], field: str, words: str) -> None:
    with pytest.raises(InputError) as refused:
        read_bill(typed, HERE, TODAY)
    assert refused.value.field == field
    assert words in f"{refused.value.problem} {refused.value.remedy}"


names = st.sampled_from(("set", "brushes LP-B 4", "armature", "bearing 608-2Z"))
prices = st.integers(1, 9_999_999)
packs = st.lists(st.tuples(st.integers(1, 40), prices), max_size=4).map(lambda ps: tuple(Pack(*p) for p in ps))
shares = st.integers(1, 99).map(lambda n: Fraction(n, 100))
words: st.SearchStrategy[Beside] = st.sampled_from(("", "in", "on top"))


@st.composite
def bills(draw: st.DrawFn) -> Bill:
    """Return a bill with any of what may be said in it."""
    parts = []
    for _ in range(draw(st.integers(1, 3))):
        sold = draw(packs)
        price = sold[0].price if sold else draw(prices)
        parts.append(PartPrice(draw(names), price, draw(st.integers(1, 40)), sold))
    tax_word, freight_word, life = draw(words), draw(words), draw(st.none() | st.integers(1, 9999).map(Fraction))
    return Bill(
        parts=tuple(parts),
        labour_h=draw(st.none() | st.integers(0, 400).map(lambda n: Fraction(n, 4))),
        labour_rate=draw(st.none() | prices),
        freight=None if freight_word else draw(st.none() | prices),
        freight_word=freight_word,
        tax=None if tax_word else draw(st.none() | shares),
        tax_word=tax_word,
        consumables=draw(st.integers(0, 999)),
        redo=draw(st.just(Fraction()) | shares),
        life=life,
        life_unit=draw(st.sampled_from(("", "h", "starts", "years"))) if life is not None else "",
        condition=draw(st.none() | shares),
        said=draw(st.sampled_from(("", "by letter"))),
        on=draw(st.just(TODAY) | st.just(TODAY - timedelta(days=400))),
        decimals=draw(st.sampled_from((0, 2, 3))),
    )


@given(bills())
def test_what_is_kept_of_a_bill_is_read_again(bill: Bill) -> None:
    assert record_of("way", "kit", kept(bill)) == bill


def test_decimals_and_thousands_are_those_of_the_site() -> None:
    def said(school: str, word: str) -> Override:
        more = {"scope": "site", "scope_id": "", "value": 0.0, "person": "Ines", "day": "2026-01-02", "why": "ours"}
        return Override(rule_id=school, word=word, **more)  # type: ignore[arg-type]

    assert currency_of(shipped()) == Currency()
    ours = MotorRules(rulebook_with([said("school.money-decimals", "none"), said("school.money-mark", "comma")]))
    assert currency_of(ours) == Currency(decimals=0, thousands=",")
    assert read_parts("armature 1,250", currency_of(ours)) == (PartPrice("armature", 1250),)


ASKED = {
    "a set": ((1, ["brushes"]), ["fit-set"]),
    "with springs": ((2, ["pair"]), ["fit-set", "springs"]),
    "by the words of its parts": ((9, ["Holder", "brushes", "drive"]), ["holder", "fit-set", "drive"]),
    "an armature does what is within it": ((5, ["armature", "brushes"]), ["armature", "fit-set"]),
    "a new unit asks for nothing": ((6, ["unit with brushes"]), []),
    "bushes are no brushes": ((9, ["bushes"]), []),
}


@pytest.mark.parametrize(("way", "tasks"), ASKED.values(), ids=ASKED)
def test_a_way_asks_for_the_work_of_its_parts(way: tuple[int, list[str]], tasks: list[str]) -> None:
    assert [t.id for t in tasks_of_way(*way)] == tasks


BARRED = {
    "burnt, and only a set": (("windings.burnt", 1, ["brushes"]), "armature or coil"),
    "burnt, and a coil": (("windings.burnt", 9, ["field coil"]), ""),
    "a lifted bar, and an armature": (("commutator.raised", 5, ["armature"]), ""),
    "a lifted bar, and a set": (("commutator.raised", 4, ["kit"]), "armature"),
    "crumbled magnets": (("magnets.cracked", 9, ["springs"]), "magnet"),
    "crumbled magnets, and magnets": (("magnets.cracked", 9, ["case with magnets"]), ""),
    "copper under its least, sent out": (("copper.under", 8, ["rewound"]), ""),
    "a dead spring bars nothing": (("spring.dead", 9, ["seal"]), ""),
}


@pytest.mark.parametrize(("asked", "part"), BARRED.values(), ids=BARRED)
def test_what_is_out_for_good_bars_the_ways_that_leave_it_in(asked: tuple[str, int, list[str]], part: str) -> None:
    finding, place, parts = asked
    assert barred_by(FINDINGS[finding], place, parts) == part


def test_the_armature_at_risk_stands_beside_the_new_unit() -> None:
    """Eighteen brushes are a fortieth of a new drive, and 5.5 % of the armature that they could cost."""
    ways = (
        Way(name="set", parts=(PartPrice("brushes", 4700, 18),)),
        Way(name="armature", parts=(PartPrice("armature", 1_540_000),), armature=True),
        Way(name="new", parts=(PartPrice("drive", 3_820_000),), new=True),
    )
    found = compared(ways, Fraction(3, 5))
    assert found.at_risk == (Fraction(84600, 1_540_000), None, None)
    assert found.at_risk[0] is not None
    assert round(float(found.at_risk[0]), 3) == 0.055
    assert compared(ways[:2], Fraction(3, 5)).at_risk == (None, None)


def test_lives_in_different_units_do_not_decide() -> None:
    kit = Way(name="kit", parts=(PartPrice("kit", 6500),), life=Fraction(7), unit="years", stated=True)
    new = Way(name="new", parts=(PartPrice("unit", 7550),), life=Fraction(900), unit="h", stated=True, new=True)
    assert compared((kit, new), Fraction(3, 5)).by == "share"


def test_prices_are_offered_again_for_a_year() -> None:
    new, old = TODAY - timedelta(days=40), TODAY - timedelta(days=400)
    bills = [
        (4, Bill(parts=(PartPrice("kit", 6500),), on=old)),
        (1, Bill(parts=(PartPrice("Brushes", 940, 2),), on=new)),
        (1, Bill(parts=(PartPrice("brushes", 880, 2), PartPrice("seal", 210)), on=old)),
    ]
    same = offered(bills, 1, TODAY, shipped())
    assert same.bill == bills[1][1]
    assert [(k.part.name, k.on, k.old) for k in same.known] == [
        ("kit", old, True),
        ("Brushes", new, False),
        ("seal", old, True),
    ]
    assert offered(bills, 4, TODAY, shipped()).bill is None
