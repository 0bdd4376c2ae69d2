"""Parts that are offered, on “Decide” and “Rework”: the answer on each, and what became of it."""

from collections.abc import Mapping
from dataclasses import dataclass

from norvash.core.judging.offers import fitted_uncompared
from norvash.core.parts.answer import REFUSED
from norvash.core.parts.sizes import KINDS, LABELS, OF_KIND, Kind
from norvash.core.sheet.given import Given
from norvash.core.stages.offers import BECAME, DRESSED_A, DRESSED_T, JOINT, MOST_OFFERS, OFFER
from norvash.core.text.quantities import UNITS
from norvash.core.visit.offering import PLACE, PLACE_OF, OfferNow, of_figures, offers_now
from norvash.store.record.records import kept
from norvash.web.served.forms import whole
from norvash.web.stages.shown.at import At
from norvash.web.stages.shown.fields import Entry, entry
from norvash.work.reading.sheet_now import SheetNow

_OLD_BY_FIGURES = ("thickness_mm", "width_mm", "length_mm", "face_angle_deg", "grade", "variant", "volts", "force_n")


@dataclass(frozen=True, slots=True, kw_only=True)
class OfferShown:
    """One part that is offered: the answer on it, with its reasons, what became of it, and what it still waits for."""

    now: OfferNow
    refused: bool
    became: Entry
    proofs: tuple[Entry, ...]


@dataclass(frozen=True, slots=True, kw_only=True)
class Line:
    """One line of the form: its name, its label, the unit of a bare number, what stands for the new and the old one."""

    name: str
    label: str
    unit: str
    new: str
    old: str
    stated: str


@dataclass(frozen=True, slots=True, kw_only=True)
class OfferAsked:
    """The offer that is typed now: its number, its kind, its lines, and what is asked of its place: name, label, unit,
    what stands there, whether it is yes or no.
    """

    place: int
    kind: Kind
    given: Given | None
    lines: tuple[Line, ...]
    at: tuple[tuple[str, str, str, str, bool], ...]


@dataclass(frozen=True, slots=True, kw_only=True)
class OffersShown:
    """All parts that are offered, the kinds of which another one may be, and the one that is typed now."""

    field: str
    offers: tuple[OfferShown, ...]
    kinds: tuple[Kind, ...]
    asked: OfferAsked | None
    uncompared: bool


def offers_shown(at: At) -> OffersShown:
    """Return the parts that are offered as the stage shows them; `typed` says which is asked for, or was refused."""
    page = at.shown
    now = offers_now(page.sheet, page.context.rules)
    return OffersShown(
        field=OFFER.id,
        offers=tuple(_shown(page, o) for o in now),
        kinds=KINDS,
        asked=_asked(page, at.typed, {o.place: o for o in now}),
        uncompared=fitted_uncompared(page.visit),
    )


def _shown(page: SheetNow, now: OfferNow) -> OfferShown:
    dressed = {p.about for p in now.found.points if p.answer == "after dressing"}
    moved = any(p.answer == "after transfer" for p in now.found.points)
    fields = (
        *((DRESSED_T,) if "thickness" in dressed else ()),
        *((DRESSED_A,) if "width" in dressed else ()),
        *((JOINT,) if moved else ()),
    )
    proofs = tuple(entry(page, f, now.place) for f in fields) if now.fitted else ()
    return OfferShown(
        now=now, refused=now.found.answer == REFUSED, became=entry(page, BECAME, now.place), proofs=proofs
    )


def _asked(page: SheetNow, typed: Mapping[str, str], there: Mapping[int, OfferNow]) -> OfferAsked | None:
    """Return the offer that somebody has turned to, None where nobody has."""
    refused = typed.get("field", "") == OFFER.id
    again = whole(typed.get("place" if refused else "offer", ""))
    kind = next((k for k in KINDS if k == typed.get("value" if refused else "part", "")), None)
    if again is not None and again in there:
        kind = there[again].kind
    if kind is None:
        return None
    place = again or next((n for n in range(1, MOST_OFFERS + 1) if n not in there), 0)
    if not 1 <= place <= MOST_OFFERS:
        return None
    given = there[place].given if place in there else None
    said = typed if refused else kept(given.record) if given is not None else {}
    stated = _stated(page) if kind == "brush set" else {}
    return OfferAsked(
        place=place,
        kind=kind,
        given=given,
        lines=tuple(_line(name, said, stated) for name in OF_KIND[kind]),
        at=tuple(
            (f"at-{n}", PLACE[n][0], _unit(PLACE[n][1]), said.get(f"at-{n}", ""), not PLACE[n][1])
            for n in PLACE_OF.get(kind, ())
        ),
    )


def _line(name: str, said: Mapping[str, str], stated: Mapping[str, str]) -> Line:
    label, dimension = LABELS[name]
    return Line(
        name=name,
        label=label,
        unit=_unit(dimension),
        new=said.get(f"new-{name}", ""),
        old=said.get(f"old-{name}", ""),
        stated=stated.get(name, ""),
    )


def _unit(dimension: str) -> str:
    return next(iter(UNITS[dimension])) if dimension else ""


def _stated(page: SheetNow) -> Mapping[str, str]:
    """Return what the motor states of its own brushes: it stands for the old one where nothing is typed."""
    sizes = of_figures(page.context.figures)
    every = {n: getattr(sizes, n) for n in _OLD_BY_FIGURES}
    return {n: x if isinstance(x, str) else f"{x:g}" for n, x in every.items() if x not in (None, "")}
