"""The ways that stand on a sheet, side by side: which are barred, which one is proposed, which one was taken."""

from collections.abc import Iterable
from dataclasses import dataclass, replace
from datetime import date
from fractions import Fraction

from norvash.core.money.here import currency_of
from norvash.core.money.money import Currency, exactly, rescaled, shown
from norvash.core.money.packs import Pack
from norvash.core.money.ways import Compared, PartPrice, Way, compared
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.given import Given
from norvash.core.sheet.life import Life
from norvash.core.sheet.records_of_parts import Bill, TakenFor
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.task import Task
from norvash.core.stages.commutator.cut import COPPER_LAST
from norvash.core.stages.commutator.seen import COMMUTATOR_BURNT
from norvash.core.stages.shared import PLAN_CUT, RENEW_ARMATURE
from norvash.core.stages.ways import ARMATURE_WAY, NEW_UNIT, SUBSTITUTE, TAKEN, WAY, barred_by, tasks_of_way, way_words
from norvash.core.stages.windings.insulation import INSULATION_MOHM


@dataclass(frozen=True, slots=True, kw_only=True)
class WaysNow:
    """The ways of a sheet by their places, with what each is worth and what its figures rest on; the place that was
    taken, and by whom.
    """

    places: tuple[int, ...]
    given: tuple[Given, ...]
    found: Compared
    notes: tuple[tuple[str, ...], ...]
    taken: Given | None

    @property
    def taken_place(self) -> int | None:
        """Return the place of the way that was taken, None where none was, or where it is not there any more."""
        return _place_of(self.taken) if _place_of(self.taken) in self.places else None

    @property
    def against(self) -> bool:
        """Tell whether another way was taken than the one that is proposed."""
        if self.taken_place is None or self.found.proposed is None:
            return False
        return self.found.ways[self.places.index(self.taken_place)] is not self.found.proposed

    @property
    def prices(self) -> str:
        """Return what every way comes to, by its place, in minor units: what a decision was taken by."""
        return " ".join(f"{p}:{w.total}" for p, w in zip(self.places, self.found.ways, strict=True))

    @property
    def moved(self) -> bool:
        """Tell whether what was taken is not what is proposed, by other prices than it was taken by or without any
        reason.
        """
        record = self.taken.record if self.taken is not None else None
        if not self.against or not isinstance(record, TakenFor):
            return False
        return record.prices != self.prices or not record.why


def _place_of(taken: Given | None) -> int | None:
    return int(taken.word) if taken is not None and taken.word.isdigit() else None


def taken_work(sheet: Sheet) -> tuple[tuple[Task, str], ...]:
    """Return the work that the way asks for that was taken, each with what it is for and who took it; none where none
    was.
    """
    taken = TAKEN.given(sheet)
    place = _place_of(taken) or 0
    given = WAY.given(sheet, place)
    if taken is None or given is None or not isinstance(given.record, Bill):
        return ()
    words = f"{way_words(place, given.typed)}, decided by {taken.person}"
    return tuple((t, words) for t in tasks_of_way(place, (p.name for p in given.record.parts)))


def retires_on(sheet: Sheet) -> date | None:
    """Return the day on which a new unit takes its place, None where that is not so or no day was named."""
    taken = TAKEN.given(sheet)
    if _place_of(taken) != NEW_UNIT or WAY.given(sheet, NEW_UNIT) is None or taken is None:
        return None
    return taken.record.day if isinstance(taken.record, TakenFor) else None


def buys_new(sheet: Sheet) -> bool:
    """Tell whether a new unit was taken."""
    return _place_of(TAKEN.given(sheet)) == NEW_UNIT and WAY.given(sheet, NEW_UNIT) is not None


def ways_now(sheet: Sheet, lives: Iterable[Life], rules: MotorRules) -> WaysNow | None:
    """Return the ways of a sheet side by side, None where nobody has named any.

    Source: rules money.share, money.labour, money.tax, money.freight, money.downtime
    """
    places = WAY.places(sheet)
    if not places:
        return None
    standing = [x for x in lives if x.stands]
    given = [g for p in places if (g := WAY.given(sheet, p)) is not None]
    made = [_way(p, g, standing, rules) for p, g in zip(places, given, strict=True)]
    found = compared([way for way, _ in made], exactly(rules["money.share"]))
    return WaysNow(
        places=places,
        given=tuple(given),
        found=found,
        notes=tuple(notes for _, notes in made),
        taken=TAKEN.given(sheet),
    )


def _way(place: int, given: Given, standing: list[Life], rules: MotorRules) -> tuple[Way, tuple[str, ...]]:
    """Return a way as it was typed, and what its figures rest on beside that."""
    here = currency_of(rules)
    bill = _in(given.record if isinstance(given.record, Bill) else Bill(), here)
    own = bill.labour_rate is not None
    rate = Fraction(bill.labour_rate or 0) if own else exactly(rules["money.labour"]) * here.unit
    tasks = tasks_of_way(place, (p.name for p in bill.parts))
    hours = bill.labour_h
    if hours is None and tasks and rate:
        hours = Fraction(sum(t.minutes for t in tasks), 60)
    way = Way(
        name=way_words(place, given.typed),
        parts=bill.parts,
        freight=_freight(bill, rules, here),
        tax=bill.tax if bill.tax is not None else _tax(bill, rules),
        labour_h=hours,
        labour_rate=rate or None,
        consumables=bill.consumables,
        downtime_h=bill.downtime_h,
        downtime_rate=exactly(rules["money.downtime"]) * here.unit,
        redo=bill.redo,
        life=bill.life,
        unit=bill.life_unit,
        condition=bill.condition or Fraction(1),
        stated=bill.life is not None,
        new=place in (NEW_UNIT, SUBSTITUTE),
        armature=place == ARMATURE_WAY or any(t is RENEW_ARMATURE for t in tasks),
        barred=_barred(place, bill, standing),
    )
    return way, tuple(_notes(way, bill, here))


def _in(bill: Bill, here: Currency) -> Bill:
    """Return a bill in the currency as the site has it now, where it was typed with other decimals."""
    if bill.decimals == here.decimals:
        return bill

    def minor(amount: int) -> int:
        return rescaled(amount, bill.decimals, here)

    parts = tuple(
        replace(p, price=max(minor(p.price), 1), packs=tuple(Pack(k.pieces, max(minor(k.price), 1)) for k in p.packs))
        for p in bill.parts
    )
    return replace(
        bill,
        parts=parts,
        labour_rate=None if bill.labour_rate is None else minor(bill.labour_rate),
        freight=None if bill.freight is None else minor(bill.freight),
        consumables=minor(bill.consumables),
        decimals=here.decimals,
    )


def _tax(bill: Bill, rules: MotorRules) -> Fraction:
    return exactly(rules["money.tax"]) if bill.tax_word == "on top" else Fraction()


def _freight(bill: Bill, rules: MotorRules, here: Currency) -> int:
    if bill.freight_word == "on top":
        return int(exactly(rules["money.freight"]) * here.unit)
    return bill.freight or 0


def _notes(way: Way, bill: Bill, here: Currency) -> Iterable[str]:
    """Yield what the figures of a way rest on, where that was not typed."""
    if bill.tax_word == "on top":
        yield f"tax {float(way.tax) * 100:.4g} % on top"
    elif bill.tax is None and bill.parts:
        yield "tax in the prices" if bill.tax_word == "in" else "prices as typed, nothing said of tax"
    if bill.freight_word:
        yield "freight in the prices" if bill.freight_word == "in" else f"freight {shown(way.freight, here)} on top"
    yield from _notes_of_time(way, bill)
    yield from (_packs_words(part, here) for part in way.parts if part.packs)


def _notes_of_time(way: Way, bill: Bill) -> Iterable[str]:
    """Yield what labour and downtime of a way rest on, where that was not typed."""
    if way.labour_h is None or way.labour_rate is None:
        yield "labour not counted"
    elif bill.labour_h is None:
        yield f"{float(way.labour_h) * 60:.0f} min of its tasks"
    if bill.downtime_h and not way.downtime_rate:
        yield "downtime not counted: no cost of an hour"


def _packs_words(part: PartPrice, here: Currency) -> str:
    """Return which packs are bought, and what a piece of each costs."""
    bought = part.bought
    if bought is None:
        return ""
    counted = ", ".join(
        f"{n} pack{'s' if n > 1 else ''} of {p.pieces}" for n, p in zip(bought.counts, part.packs, strict=True) if n
    )
    each = " and ".join(shown(e, here) for e in bought.each)
    saves = f", {float(bought.saving):.1%} apart" if bought.saving else ""
    over = f", {bought.spare} left over" if bought.spare else ""
    return f"{part.name}: {counted} for {shown(bought.cost, here)}{over}; {each} a piece{saves}"


def condition_of(place: int, sheet: Sheet, lives: Iterable[Life], rules: MotorRules) -> tuple[Fraction, str]:
    """Return what of a set's life is left to it in what a way leaves in the machine, and why; all of it for a new unit.

    Source: rules money.condition.burnt, money.condition.untested, money.condition.skimmed
    """
    if place in (NEW_UNIT, SUBSTITUTE):
        return Fraction(1), "a new unit"
    standing, tasks = {x.finding.id for x in lives if x.stands}, tasks_of_way(place, ())
    found = []
    if COMMUTATOR_BURNT.id in standing and not {PLAN_CUT, RENEW_ARMATURE} & set(tasks):
        found.append((exactly(rules["money.condition.burnt"]), "burnt bars stay"))
    if COPPER_LAST.id in standing and RENEW_ARMATURE not in tasks:
        found.append((exactly(rules["money.condition.skimmed"]), "the copper is near its least diameter"))
    if not INSULATION_MOHM.places(sheet):
        found.append((exactly(rules["money.condition.untested"]), "insulation is not measured"))
    return min(found, default=(Fraction(1), "in good condition"))


def _barred(place: int, bill: Bill, standing: list[Life]) -> str:
    """Return what bars a way, whatever it costs: what it leaves in the motor is not mended by any other part."""
    for life in standing:
        part = barred_by(life.finding, place, (p.name for p in bill.parts))
        if part:
            return f"{life.finding.words}: no {part} is bought"
    return ""
