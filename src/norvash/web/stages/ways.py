"""Repair or buy on “Decide”: the ways as they stand, their drawing, what is proposed and where that turns."""

from collections.abc import Mapping
from dataclasses import dataclass
from datetime import date
from functools import lru_cache

from norvash.core.money.here import currency_of
from norvash.core.money.money import Currency, shown
from norvash.core.money.said import a_unit, flip_words, proposed_words
from norvash.core.money.ways import Compared, Way
from norvash.core.sheet.given import Given
from norvash.core.sheet.records_of_parts import Bill
from norvash.core.stages.ways import FIRST_OTHER, MOST_WAYS, NEW_UNIT, SUBSTITUTE, TAKEN, WAY, WAYS
from norvash.core.text.words import day_words, use_words
from norvash.core.visit.offered import Known, Offered, offered
from norvash.core.visit.ways import WaysNow, condition_of, retires_on
from norvash.drawing.scales.flip_axis import flip_axis
from norvash.drawing.scales.way_bars import way_bars
from norvash.drawing.svg import Drawing
from norvash.store.record.entries import list_bills
from norvash.store.record.records import kept
from norvash.web.served.forms import whole
from norvash.web.stages.shown.at import At
from norvash.web.stages.shown.fields import Entry, entry
from norvash.work.reading.sheet_now import SheetNow

_WEEKS = 365.25 / 7
_WIDE, _PHONE, _MOST_BILLS = 694.0, 346.0, 40
BILL = ("bill", "hours", "rate", "freight", "tax", "consumables", "downtime", "life", "condition", "redo", "said")
REASONS = ("original part", "no spare to be had", "needed tomorrow", "waste avoided", "skill at hand")


@dataclass(frozen=True, slots=True, kw_only=True)
class WayShown:
    """One way: its place, its name, what was typed with it, what it comes to, and what its figures rest on."""

    place: int
    name: str
    given: Given
    typed: Mapping[str, str]
    total: str
    share: str
    at_risk: str
    per_unit: str
    notes: tuple[str, ...]
    barred: str
    proposed: bool
    taken: bool


@dataclass(frozen=True, slots=True, kw_only=True)
class Asked:
    """The way whose prices are typed now: its place, its name, whether that is typed too, and what stands there; of
    earlier visits the day of the prices that are laid ready, and what its parts cost when they were last asked for. Of
    how long it lasts what the forecast says, in which condition, and why; the day of a price is offered as it is typed.
    """

    place: int
    name: str
    named: bool
    given: Given | None
    typed: Mapping[str, str]
    ready: date | None
    known: tuple[str, ...]
    lasts: str
    lasts_typed: str
    condition: str
    condition_typed: str
    fitted_left: str


@dataclass(frozen=True, slots=True, kw_only=True)
class WaysShown:
    """The ways of a sheet, those that may still be named, and what follows: a sentence, the flips, the one taken."""

    field: str
    taking: Entry
    ways: tuple[WayShown, ...]
    open: tuple[tuple[int, str], ...]
    asked: Asked | None
    drawn: tuple[Drawing, ...]
    axis: Drawing | None
    sentence: str
    flips: tuple[str, ...]
    against: bool
    moved: bool
    new_place: int
    day: str
    reasons: tuple[str, ...] = REASONS


def ways_shown(at: At) -> WaysShown:
    """Return repair or buy as the stage shows it; `typed` says whose prices are asked for, or were refused."""
    page = at.shown
    here, now = currency_of(page.context.rules), page.visit.ways
    there = now.places if now is not None else ()
    others = next((p for p in range(FIRST_OTHER, MOST_WAYS + 1) if p not in there), None)
    offers = [(p, words) for p, words in WAYS.items() if p not in there]
    offers += [(others, "another way")] if others is not None else []
    seen = _seen(now.found, _taken(now), here) if now is not None else _Seen()
    on = retires_on(page.sheet)
    return WaysShown(
        field=WAY.id,
        taking=entry(page, TAKEN),
        ways=_shown(now, here),
        open=tuple(offers),
        asked=_asked(at, dict(offers)),
        drawn=seen.drawn,
        axis=seen.axis,
        sentence=seen.sentence,
        flips=seen.flips,
        against=now.against if now is not None else False,
        moved=now.moved if now is not None else False,
        new_place=NEW_UNIT if NEW_UNIT in there else 0,
        day=on.isoformat() if on is not None else "",
    )


@dataclass(frozen=True, slots=True)
class _Seen:
    """What is seen of ways side by side: their bars, wide and narrow, the axis of the labour rate, and the words."""

    drawn: tuple[Drawing, ...] = ()
    axis: Drawing | None = None
    sentence: str = ""
    flips: tuple[str, ...] = ()


@lru_cache(64)  # the same ways are seen again with every entry beside them
def _seen(found: Compared, taken: Way | None, here: Currency) -> _Seen:
    widths = (_WIDE, _PHONE)
    return _Seen(
        drawn=tuple(way_bars(found, taken, width, here) for width in widths),
        axis=flip_axis(found, _PHONE, here),
        sentence=proposed_words(found, here),
        flips=flip_words(found, here),
    )


def _asked(at: At, offers: Mapping[int, str]) -> Asked | None:
    """Return the way that somebody has turned to, None where nobody has."""
    page, typed = at.shown, at.typed
    refused = typed.get("field", "") == WAY.id
    place = whole(typed.get("place" if refused else "turn", ""))
    if place is None or not 1 <= place <= MOST_WAYS:
        return None
    given, named = WAY.given(page.sheet, place), place >= FIRST_OTHER
    name = given.typed if given is not None else "" if named else offers.get(place, "")
    earlier = _earlier(at, place)
    ready = earlier.bill if given is None and not refused else None
    said = typed if refused else kept(given.record) if given is not None else _ready(ready)
    lasts, unit = _lasts(page, place)
    condition, why = condition_of(place, page.sheet, page.found.lives, page.context.rules)
    return Asked(
        place=place,
        name=name,
        named=named,
        given=given,
        typed={n: said.get(n, "") for n in ("value", *BILL)},
        ready=ready.on if ready is not None else None,
        known=tuple(_known_words(k) for k in earlier.known),
        lasts=use_words(lasts, page.context.unit) if lasts else "",
        lasts_typed=f"{lasts:.3g} {unit}" if lasts else "",
        condition=f"{float(condition):.0%}: {why}" if condition < 1 else why,
        condition_typed=f"{float(condition):.0%}" if condition < 1 else "",
        fitted_left=_fitted_left(page),
    )


def _earlier(at: At, place: int) -> Offered:
    """Return what is offered of earlier visits."""
    page = at.shown
    given = list_bills(at.conn, WAY.id, page.context.motor.id, page.row.id, _MOST_BILLS)
    bills = [(p, g.record) for p, g in given if isinstance(g.record, Bill)]
    return offered(bills, place, page.row.at.date(), page.context.rules)


def _ready(bill: Bill | None) -> Mapping[str, str]:
    """Return an earlier bill as it would be typed, its prices with their day."""
    if bill is None:
        return {}
    made, on = kept(bill), f"{bill.on}"
    return made | ({} if on in made.get("said", "") else {"said": f"{made.get('said', '')} {on}".strip()})


def _known_words(known: Known) -> str:
    price = shown(known.part.cost, Currency(decimals=known.decimals))
    pieces = f" for {known.part.pieces}" if known.part.pieces > 1 else ""
    return f"{known.part.name} {price}{pieces} on {day_words(known.on)}{': too old, ask again' if known.old else ''}"


def _lasts(page: SheetNow, place: int) -> tuple[float, str]:
    """Return how long a set lasts here by the forecast, and in which unit as it is typed; 0 where that is not known, or
    for a way that buys something else.
    """
    ahead, unit = page.context.ahead, page.context.unit
    if ahead is None or place in (NEW_UNIT, SUBSTITUTE):
        return 0.0, ""
    return ahead.life_units, "h" if unit == "hours" else unit


def _fitted_left(page: SheetNow) -> str:
    """Return what the fitted set has left, beside a price of carbon, and that no more than one is held where it
    outlives the machine.
    """
    line, state, rules = page.found.line, page.context.state, page.context.rules
    if line is None or not line.left_h or line.left_h <= 0:
        return ""
    words = f"the fitted set has about {use_words(line.left_h, page.context.unit)} left"
    a_week = state.rate.per_week if state.rate is not None else 0.0
    years = line.left_h if page.context.unit == "years" else line.left_h / a_week / _WEEKS if a_week else 0.0
    return f"{words}: hold one set, no more" if years >= rules["money.outlives"] else words


def _taken(now: WaysNow) -> Way | None:
    if now.taken_place is None:
        return None
    return now.found.ways[now.places.index(now.taken_place)]


def _shown(now: WaysNow | None, here: Currency) -> tuple[WayShown, ...]:
    if now is None:
        return ()
    found = now.found
    every = zip(now.places, now.given, found.ways, found.shares, found.at_risk, now.notes, strict=True)
    return tuple(
        WayShown(
            place=place,
            name=way.name,
            given=given,
            typed=kept(given.record),
            total=shown(way.total, here),
            share="" if share is None else f"{float(share):.1%}",
            at_risk="" if at_risk is None else f"{float(at_risk):.1%}",
            per_unit=f"{shown(way.per_unit, here)} {a_unit(way)}" if way.per_unit is not None else "",
            notes=notes,
            barred=way.barred,
            proposed=way is found.proposed,
            taken=place == now.taken_place,
        )
        for place, given, way, share, at_risk, notes in every
    )
