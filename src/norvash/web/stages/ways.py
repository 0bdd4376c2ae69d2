"""Repair or buy on “Decide”: the ways as they stand, their drawing, what is proposed and where that turns."""

from collections.abc import Mapping
from dataclasses import dataclass

from norvash.core.money.money import Currency, shown
from norvash.core.money.said import flip_words, proposed_words
from norvash.core.money.ways import Way
from norvash.core.sheet.given import Given
from norvash.core.sheet.stages.ways import FIRST_OTHER, MOST_WAYS, TAKEN, WAY, WAYS
from norvash.core.sheet.visit.ways import WaysNow, ways_now
from norvash.drawing.svg import Drawing
from norvash.drawing.way_bars import way_bars
from norvash.store.records import kept
from norvash.web.forms import whole
from norvash.web.stages.fields import Entry, entry
from norvash.work.sheet_page import SheetPage

_HERE, _WIDE, _PHONE = Currency(), 694.0, 346.0
BILL = ("bill", "hours", "rate", "freight", "tax", "redo", "life", "said")
REASONS = ("original part", "no spare to be had", "needed tomorrow", "waste avoided", "skill at hand")


@dataclass(frozen=True, slots=True, kw_only=True)
class WayShown:
    """One way: its place, its name, what was typed with it, and what it comes to."""

    place: int
    name: str
    given: Given
    typed: Mapping[str, str]
    total: str
    share: str
    barred: str
    proposed: bool
    taken: bool


@dataclass(frozen=True, slots=True, kw_only=True)
class Asked:
    """The way whose prices are typed now: its place, its name, whether that is typed too, and what stands there."""

    place: int
    name: str
    named: bool
    given: Given | None
    typed: Mapping[str, str]


@dataclass(frozen=True, slots=True, kw_only=True)
class WaysShown:
    """The ways of a sheet, those that may still be named, and what follows: a sentence, the flips, the one taken."""

    field: str
    taking: Entry
    ways: tuple[WayShown, ...]
    open: tuple[tuple[int, str], ...]
    asked: Asked | None
    drawn: tuple[Drawing, ...]
    sentence: str
    flips: tuple[str, ...]
    against: bool
    reasons: tuple[str, ...] = REASONS


def ways_shown(page: SheetPage, typed: Mapping[str, str]) -> WaysShown:
    """Return repair or buy as the stage shows it; `typed` says whose prices are asked for, or were refused."""
    now = ways_now(page.sheet, page.found.lives, page.context.rules)
    there = now.places if now is not None else ()
    others = next((p for p in range(FIRST_OTHER, MOST_WAYS + 1) if p not in there), None)
    offered = [(p, words) for p, words in WAYS.items() if p not in there]
    offered += [(others, "another way")] if others is not None else []
    taken = _taken(now)
    return WaysShown(
        field=WAY.id,
        taking=entry(page, TAKEN),
        ways=_shown(now),
        open=tuple(offered),
        asked=_asked(page, typed, dict(offered)),
        drawn=tuple(way_bars(now.found, taken, width, _HERE) for width in (_WIDE, _PHONE)) if now is not None else (),
        sentence=proposed_words(now.found, _HERE) if now is not None else "",
        flips=flip_words(now.found, _HERE) if now is not None else (),
        against=now.against if now is not None else False,
    )


def _asked(page: SheetPage, typed: Mapping[str, str], offered: Mapping[int, str]) -> Asked | None:
    """Return the way that somebody has turned to, None where nobody has."""
    refused = typed.get("field", "") == WAY.id
    place = whole(typed.get("place" if refused else "turn", ""))
    if place is None or not 1 <= place <= MOST_WAYS:
        return None
    given, named = WAY.given(page.sheet, place), place >= FIRST_OTHER
    name = given.typed if given is not None else "" if named else offered.get(place, "")
    stands = kept(given.record) if given is not None else {}
    said = typed if refused else stands
    return Asked(place=place, name=name, named=named, given=given, typed={n: said.get(n, "") for n in ("value", *BILL)})


def _taken(now: WaysNow | None) -> Way | None:
    if now is None or now.taken_place is None:
        return None
    return now.found.ways[now.places.index(now.taken_place)]


def _shown(now: WaysNow | None) -> tuple[WayShown, ...]:
    if now is None:
        return ()
    found = now.found
    return tuple(
        WayShown(
            place=place,
            name=way.name,
            given=given,
            typed=kept(given.record),
            total=shown(way.total, _HERE),
            share="" if share is None else f"{float(share):.1%}",
            barred=way.barred,
            proposed=way is found.proposed,
            taken=place == now.taken_place,
        )
        for place, given, way, share in zip(now.places, now.given, found.ways, found.shares, strict=True)
    )
