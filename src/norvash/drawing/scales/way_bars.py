"""Way bars: what each way to go on costs, cut into its parts, on one scale of money, with the threshold as a notch."""

from collections.abc import Sequence
from dataclasses import dataclass
from fractions import Fraction
from textwrap import wrap

from norvash.core.money.flips import price_flips
from norvash.core.money.money import Currency, shown
from norvash.core.money.ways import Compared, Way
from norvash.drawing.svg import Drawing, Element, el, label, line, ticks

_NARROW = 560.0
_TOP, _BAR, _LINE, _LETTER, _BESIDE = 46.0, 24.0, 17.0, 7.0, 3.0
# Which stuff a part is of, by a word in its name, and the ink of that; what is of no known stuff is brass.
_STUFF = (("brush", "carbon"), ("armature", "copper"), ("commutator", "copper"), ("coil", "copper"))
_STEEL = ("drive", "spring", "bearing", "shaft", "pinion", "gear", "screw")


@dataclass(frozen=True, slots=True)
class _Piece:
    """One piece of a bar: what it is, its cost in minor units, its ink; labour is hatched."""

    words: str
    cost: int
    ink: str
    hatched: bool = False


def way_bars(found: Compared, taken: Way | None, width: float, currency: Currency) -> Drawing:
    """Draw ways as bars on one scale: parts in the ink of their stuff, labour hatched; an empty one behind a bolt is
    barred; the threshold is a notch across them with its sum.

    Units: width [px]; money in minor units of the currency.
    """
    narrow = width < _NARROW
    left, right = (10.0, 8.0) if narrow else (148.0, 146.0)
    most = max(*(w.total for w in found.ways), 1)
    px = (width - left - right) / most
    made, y, tops, even, marks = [], _TOP, [], _even_totals(found), list[Element]()
    for way, share in zip(found.ways, found.shares, strict=True):
        said = "100%" if way is found.whole else "" if share is None else f"{float(share):.1%}"
        y += 20.0 if narrow else 0.0
        tops.append(y)
        made += _beside(way, _state(way, found, taken), (shown(way.total, currency), said), y, width)
        drawn, height = _bar(way, (left, y), px, width - left - 4 if narrow else width - left, currency)
        made += drawn
        turns = even.get(way.name)
        if turns is not None and turns <= most and abs(turns - (found.notch or 0)) * px > _BESIDE:
            marks += _even_mark(left + float(turns) * px, y)
        y += height
    scale: list[Element] = []
    for step in ticks(0.0, most / currency.unit, 4):
        x = left + step * currency.unit * px
        scale += [
            line("rule", x, _TOP - 8, x, y - 8),
            label("text-soft", x, 14, f"{step:,.0f}".replace(",", "\u202f"), "middle"),
        ]
    if found.notch is not None:
        made += _notch(found, left + float(found.notch) * px, tops, width, currency)
    if marks:
        made += [
            *marks,
            el("path", "copper", d=f"M{left:.5g} {y + 9:.5g}h8l-4 -6z"),
            label("text-soft", left + 15, y + 10, "there it would be even"),
        ]
        y += 20
    rows = tuple(_table_row(w, s, found, taken, currency) for w, s in zip(found.ways, found.shares, strict=True))
    return Drawing(
        name="way-bars",
        width=width,
        height=y,
        title="What each way costs, landed and fitted, on one scale",
        description="; ".join(", ".join(filter(None, row)) for row in rows) + ".",
        elements=(*scale, *made),
        head=("way", "parts and labour", "landed, fitted", "of the new one", ""),
        rows=rows,
    )


def _even_totals(found: Compared) -> dict[str, Fraction]:
    """Return by way what it would cost in all were it even with the proposed one, or that one with the next.

    Units: minor units.
    """
    made: dict[str, Fraction] = {}
    for flip in price_flips(found):
        total = flip.value + flip.way.total - flip.way.landed
        made[flip.way.name] = min(total, made.get(flip.way.name, total))
    return made


def _even_mark(x: float, y: float) -> list[Element]:
    """Return the mark at the total at which the answer turns: a stroke through the bar with a wedge under it."""
    return [
        line("copper-line", x, y - 3, x, y + _BAR + 3),
        el("path", "copper", d=f"M{x - 4:.5g} {y + _BAR + 7:.5g}h8l-4 -6z"),
    ]


def _beside(way: Way, state: str, said: tuple[str, str], y: float, width: float) -> list[Element]:
    """Return a way's name and state, its total and its share: beside its bar, on a phone above it."""
    total, share = said
    if width < _NARROW:
        words = " ".join(filter(None, (total, share)))
        return [label("text-tag", 2, y - 7, way.name), label("text-tag", width - 4, y - 7, words, "end")]
    return [
        label("text-tag", 4, y + 16, way.name),
        label("text-soft", 4, y + 33, state),
        label("text-tag", width - 78, y + 17, total, "end"),
        label("text", width - 4, y + 17, share, "end"),
    ]


def _bar(way: Way, at: tuple[float, float], px: float, room: float, currency: Currency) -> tuple[list[Element], float]:
    """Return a way's bar with what its pieces are under it, and the height of both."""
    (left, y), pieces = at, _pieces(way)
    if way.barred:
        rows = wrap(way.barred, max(int(room / _LETTER), 20))
        said = [label("text-copper", left, y + _BAR + 15 + n * _LINE, row) for n, row in enumerate(rows)]
        bolt = el("rect", "carbon-chosen", x=left - 8, y=y - 2, width=5.0, height=_BAR + 4)
        empty = el("rect", "gone", x=left, y=y, width=max(way.total * px, 2.0), height=_BAR)
        return [bolt, empty, *said], _BAR + _LINE * len(rows) + 22
    made, x = [], left
    for piece in pieces:
        wide = max(piece.cost * px, 0.8)
        made += _block(piece, x, y, (wide, _BAR))
        x += wide
    x, under = left, y + _BAR + 6
    for piece in pieces:
        words = f"{piece.words} {shown(piece.cost, currency)}"
        long = 15 + len(words) * _LETTER * 0.9 + 14
        if x > left and x + long > left + room:
            x, under = left, under + _LINE
        made += [*_block(piece, x, under, (10.0, 10.0)), label("text-soft", x + 15, under + 9, words)]
        x += long
    return made, under - y + _LINE + 16


def _block(piece: _Piece, x: float, y: float, size: tuple[float, float]) -> list[Element]:
    """Return a block in the ink of a piece, hatched where it is labour."""
    wide, high = size
    made = [el("rect", piece.ink, x=x, y=y, width=wide, height=high)]
    return [*made, el("rect", fill="url(#hatching)", x=x, y=y, width=wide, height=high)] if piece.hatched else made


def _pieces(way: Way) -> list[_Piece]:
    """Return the pieces of a way's bar, the dearest part first."""
    parts = sorted(way.parts, key=lambda p: -p.cost)
    made = [_Piece(f"{p.name}{f' × {p.pieces}' if p.pieces > 1 else ''}", p.cost, _ink(p.name, way)) for p in parts]
    beside = way.landed - sum(p.cost for p in parts)
    if beside > 0:
        made.append(_Piece("freight and tax", beside, "carbon-old"))
    if way.labour:
        hours = f"{float(way.labour_h or 0):g} h,"
        made.append(_Piece(hours, way.labour, "hatch-ground", hatched=True))
    if way.consumables + way.downtime:
        made.append(_Piece("beside", way.consumables + way.downtime, "carbon-old"))
    return made


def _ink(name: str, way: Way) -> str:
    words = name.lower()
    if way.new:
        return "box"
    found = next((ink for word, ink in _STUFF if word in words), "")
    return found or ("steel" if any(w in words for w in _STEEL) else "brass")


def _state(way: Way, found: Compared, taken: Way | None) -> str:
    if way is taken:
        return "taken" if way is found.proposed else "taken, against the proposal"
    if way is found.proposed:
        return "proposed"
    return "barred" if way.barred else ""


def _notch(found: Compared, x: float, tops: Sequence[float], width: float, currency: Currency) -> list[Element]:
    words = f"{float(found.threshold):.0%} of it: {shown(found.notch or Fraction(), currency)}"
    room = len(words) * _LETTER
    anchor, at = ("end", x - 8) if x + room > width else ("start", x + 8)
    return [
        el("path", "carbon-chosen", d=f"M{x - 6:.5g} {_TOP - 16:.5g}h12l-6 9z"),
        *(line("copper-line", x, y - 5, x, y + _BAR + 2) for y in tops),
        label("text-copper", at, _TOP - 8, words, anchor),
    ]


def _table_row(
    way: Way, share: Fraction | None, found: Compared, taken: Way | None, currency: Currency
) -> tuple[str, str, str, str, str]:
    pieces: Sequence[_Piece] = _pieces(way)
    parts = ", ".join(f"{p.words} {shown(p.cost, currency)}" for p in pieces)
    said = "all of it" if way is found.whole else "" if share is None else f"{float(share):.1%}"
    state = f"barred: {way.barred}" if way.barred else _state(way, found, taken)
    return way.name, parts, shown(way.total, currency), said, state
