"""Stacks and counts, at “Open and record” and at “Close up”: one drawing for both, the rows below, the part in hand."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace

from norvash.core.sheet.sheet import Sheet
from norvash.core.stacks.kinds import KINDS, Where
from norvash.core.stacks.part import StackPart
from norvash.core.stages.stacks import BACK, OFF, STACKS
from norvash.core.text.words import listed
from norvash.core.visit.stacks import PartNow, StackNow, stacks_now
from norvash.drawing.shaft.counted_parts import counted_parts, scale_of
from norvash.drawing.shaft.exploded_stack import Laid, exploded_stack, part_alone, scale_beside
from norvash.drawing.svg import Drawing
from norvash.web.stages.shown.at import At
from norvash.work.reading.lending import lent_to
from norvash.work.reading.sheet_now import SheetNow

_WIDE, _TRAY, _ALONE, _ALONE_HIGH = 690.0, 170.0, 96.0, 46.0


@dataclass(frozen=True, slots=True, kw_only=True)
class StackRow:
    """One part of a stack: its number as it is called, itself, its drawing, and what it says of its closing."""

    number: int
    now: PartNow
    drawn: Drawing
    in_hand: bool
    field: str


@dataclass(frozen=True, slots=True, kw_only=True)
class Switch:
    """One of the stacks to choose from: its key, its words, how much of it is done."""

    key: str
    words: str
    said: str
    chosen: bool


@dataclass(frozen=True, slots=True, kw_only=True)
class StackShown:
    """The stack that is chosen: its drawing, its rows, what comes next, and the kinds of parts there are."""

    key: str
    words: str
    where: Where
    now: StackNow | None
    drawn: Drawing | None
    rows: tuple[StackRow, ...]
    hand: StackRow | None
    next_place: int
    field: str
    last: StackPart | None
    kinds: tuple[str, ...]
    cautions: tuple[str, ...]
    head: str


@dataclass(frozen=True, slots=True, kw_only=True)
class StacksShown:
    """All stacks to choose from, and the one that is chosen; of a signed sheet those that were recorded. Nothing `held`
    was recorded on a signed sheet where that is empty.
    """

    switches: tuple[Switch, ...]
    one: StackShown
    recorded: bool


def stacks_off(at: At) -> StacksShown:
    """Return the stacks as they come off."""
    return _shown(at, closing=False)


def stacks_back(at: At) -> StacksShown:
    """Return the stacks as they go back, last off first in."""
    return _shown(at, closing=True)


def _shown(at: At, *, closing: bool) -> StacksShown:
    page = at.shown
    every = {s.key: s for s in stacks_now(_with_lent(at), page.context.rules)}
    if closing:
        every = {k: s for k, s in every.items() if s.off}
    chosen = _chosen(at.typed, every, closing=closing)
    keys = tuple(every) if closing or page.row.signed_at is not None else tuple(STACKS)
    return StacksShown(
        switches=tuple(
            Switch(key=k, words=STACKS[k][0], said=_said(every.get(k), closing=closing), chosen=k == chosen)
            for k in keys
        ),
        one=_one(chosen, every.get(chosen), at.typed, closing=closing, signed=page.row.signed_at is not None),
        recorded=bool(every),
    )


def _with_lent(at: At) -> Sheet:
    """Return the sheet with what its type lends, before anything of a stack is entered too."""
    page: SheetNow = at.shown
    if page.sheet.lent or page.row.signed_at is not None:
        return page.sheet
    lent = lent_to(at.conn, page.row, (), begun=True)
    return replace(page.sheet, lent=lent) if lent else page.sheet


def _chosen(typed: Mapping[str, str], every: Mapping[str, StackNow], *, closing: bool) -> str:
    """Return which stack is shown: that which was asked for or where something was refused, else the first that still
    asks for something, else the first.
    """
    asked = typed.get("stack", "") or typed.get("field", "").partition("-")[2]
    if asked in (every if closing else STACKS):
        return asked
    waiting = [s.key for s in every.values() if (s.open or s.swapped if closing else s.lent)]
    return next(iter([*waiting, *every, "drive"]))


def _said(stack: StackNow | None, *, closing: bool) -> str:
    if stack is None:
        return ""
    if closing:
        done = sum(not p.open for p in stack.off)
        return f"{done} of {len(stack.off)}"
    seen = len(stack.parts) - len(stack.lent)
    return f"{seen} of {len(stack.parts)}" if stack.lent else str(seen)


def _one(key: str, stack: StackNow | None, typed: Mapping[str, str], *, closing: bool, signed: bool) -> StackShown:
    words, where = STACKS[key]
    parts: Sequence[PartNow] = () if stack is None else stack.off if closing else stack.parts
    hand = None if signed else _in_hand(parts, typed, closing=closing)
    laid = [_laid(p, in_hand=p is hand, closing=closing) for p in parts]
    field = (BACK if closing else OFF)[key].id
    of_parts = [p.part for p in parts]
    tray, beside = scale_of(of_parts, _TRAY), scale_beside(of_parts, _ALONE)
    rows = [
        StackRow(
            number=one.number,
            now=now,
            drawn=part_alone(one, beside, _ALONE, _ALONE_HIGH)
            if where == "inside"
            else counted_parts(one, tray, _TRAY),
            in_hand=one.in_hand,
            field=field,
        )
        for one, now in zip(laid, parts, strict=True)
    ]
    seen = [p for p in parts if p.off is not None]
    return StackShown(
        key=key,
        words=words,
        where=where,
        now=stack,
        drawn=exploded_stack(tuple(laid), words, _WIDE) if parts and where == "inside" else None,
        rows=tuple(reversed(rows)) if closing and where == "inside" else tuple(rows),
        hand=next((r for r in rows if r.in_hand), None),
        next_place=max((p.place for p in parts), default=0) + 1,
        field=field,
        last=max(seen, key=lambda p: p.place).part if seen else None,
        kinds=tuple(KINDS[where]),
        cautions=tuple(dict.fromkeys(p.part.of.caution for p in parts if p.part.of.caution)),
        head=_head(stack, closing=closing),
    )


def _in_hand(parts: Sequence[PartNow], typed: Mapping[str, str], *, closing: bool) -> PartNow | None:
    """Return the part in hand: that which was asked for, else the first that is lent, of the closing the deepest that
    is not back or differs.
    """
    asked = typed.get("part", "") or (typed.get("place", "") if typed.get("field", "") else "")
    named = [p for p in parts if str(p.place) == asked]
    if named:
        return named[0]
    if closing:
        inside = any(p.part.where == "inside" for p in parts)
        return next((p for p in (reversed(parts) if inside else parts) if p.open), None)
    return next((p for p in parts if p.state == "lent"), None)


def _laid(now: PartNow, *, in_hand: bool, closing: bool) -> Laid:
    state = now.state if closing or now.state in ("lent", "not there") else "off"
    return Laid(number=now.number, part=now.part, state=state, in_hand=in_hand, back=now.is_back)


def _head(stack: StackNow | None, *, closing: bool) -> str:
    """Return in one sentence how far it has come."""
    if stack is None:
        return ""
    if not closing:
        seen = len(stack.parts) - len(stack.lent)
        by = next((p.by for p in stack.lent if p.by), "")
        lent = f", {len(stack.lent)} lent by {by} and not seen" if stack.lent else ""
        return f"{seen} off and seen{lent}"
    back = sum(p.state in ("back", "renewed") for p in stack.off)
    other = [p for p in stack.off if p.state == "differs"]
    differs = f"; {listed([p.part.called for p in other])} not as before" if other else ""
    return f"{back} of {len(stack.off)} back{differs}"
