"""The ways that stand on a sheet, side by side: which are barred, which one is proposed, which one was taken."""

from collections.abc import Iterable
from dataclasses import dataclass
from fractions import Fraction

from norvash.core.money.money import Currency, exactly
from norvash.core.money.ways import Compared, Way, compared
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.given import Given
from norvash.core.sheet.life import Life
from norvash.core.sheet.records import Bill
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.stages.ways import (
    GETS_PAST,
    NEW_UNIT,
    OF_ARMATURE,
    REPLACES_ARMATURE,
    SUBSTITUTE,
    TAKEN,
    WAY,
    way_words,
)


@dataclass(frozen=True, slots=True, kw_only=True)
class WaysNow:
    """The ways of a sheet by their places, with what each is worth; the place that was taken, and by whom."""

    places: tuple[int, ...]
    given: tuple[Given, ...]
    found: Compared
    taken: Given | None

    @property
    def taken_place(self) -> int | None:
        """Return the place of the way that was taken, None where none was, or where it is not there any more."""
        place = int(self.taken.word) if self.taken is not None and self.taken.word.isdigit() else None
        return place if place in self.places else None

    @property
    def against(self) -> bool:
        """Tell whether another way was taken than the one that is proposed."""
        if self.taken_place is None or self.found.proposed is None:
            return False
        return self.found.ways[self.places.index(self.taken_place)] is not self.found.proposed


def ways_now(sheet: Sheet, lives: Iterable[Life], rules: MotorRules) -> WaysNow | None:
    """Return the ways of a sheet side by side, None where nobody has named any.

    Source: rules money.share, money.labour
    """
    places = WAY.places(sheet)
    if not places:
        return None
    standing = [x for x in lives if x.stands]
    given = [g for p in places if (g := WAY.given(sheet, p)) is not None]
    ways = [_way(p, g, standing, rules) for p, g in zip(places, given, strict=True)]
    found = compared(ways, exactly(rules["money.share"]))
    return WaysNow(places=places, given=tuple(given), found=found, taken=TAKEN.given(sheet))


def _way(place: int, given: Given, standing: list[Life], rules: MotorRules) -> Way:
    bill = given.record if isinstance(given.record, Bill) else Bill()
    usual = exactly(rules["money.labour"]) * Currency().unit
    rate = Fraction(bill.labour_rate) if bill.labour_rate is not None else usual or None
    return Way(
        name=way_words(place, given.typed),
        parts=bill.parts,
        freight=bill.freight,
        tax=bill.tax,
        labour_h=bill.labour_h,
        labour_rate=rate,
        redo=bill.redo,
        life=bill.life,
        stated=bill.life is not None,
        new=place in (NEW_UNIT, SUBSTITUTE),
        barred=_barred(place, bill, standing),
    )


def _barred(place: int, bill: Bill, standing: list[Life]) -> str:
    """Return what bars a way, whatever it costs: what it leaves in the motor is not mended by any other part."""
    for life in standing:
        known = GETS_PAST.get(life.finding.id)
        if known is None and life.finding.grade == "stop" and life.finding.tasks == (REPLACES_ARMATURE,):
            known = OF_ARMATURE
        if known is None:
            continue
        past, part = known
        if place not in past and not any(part in p.name.lower() for p in bill.parts):
            return f"{life.finding.words}: no {part} is bought"
    return ""
