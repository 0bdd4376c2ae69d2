"""The stacks and counts of a visit: what came off, what is lent, what went back, and what differs."""

from dataclasses import dataclass, replace
from datetime import datetime
from functools import cached_property
from itertools import pairwise
from typing import Literal

from norvash.core.rules.book import MotorRules
from norvash.core.sheet.given import Given
from norvash.core.sheet.records_of_parts import BackRecord, OffRecord
from norvash.core.sheet.sheet import Sheet
from norvash.core.stacks.check import differs
from norvash.core.stacks.kinds import UNKNOWN, Where
from norvash.core.stacks.part import StackPart
from norvash.core.stages.stacks import BACK, OFF, STACKS

_NO_RECORD = "it went back, and nothing says any more that it came off: record it again"
State = Literal["lent", "not there", "off", "back", "differs", "renewed", "left out"]


@dataclass(frozen=True, kw_only=True)
class PartNow:
    """One part of a stack by the place of its entry: as it came off (or as it is lent), and what became of it.

    `number` is where it lies, from 1; `differences` are in words. One that `was_out` was left out of the motor at an
    earlier visit.
    """

    stack: str
    place: int
    part: StackPart
    state: State
    off: Given | None = None
    back: Given | None = None
    is_back: StackPart | None = None
    differences: tuple[str, ...] = ()
    before: int = 0
    why: str = ""
    was_out: bool = False
    by: str = ""
    number: int = 0

    @property
    def open(self) -> bool:
        """Tell whether it came off and is neither back as it was nor explained."""
        return self.state in ("off", "differs")


@dataclass(frozen=True, kw_only=True)
class StackNow:
    """One stack in its order from the outside inwards; of counts there is none."""

    key: str
    words: str
    where: Where
    parts: tuple[PartNow, ...]
    swapped: tuple[str, ...] = ()

    @cached_property
    def lent(self) -> tuple[PartNow, ...]:
        """Return what is lent and not seen yet."""
        return tuple(p for p in self.parts if p.state == "lent")

    @property
    def begun(self) -> bool:
        """Tell whether anything of it was seen at this visit."""
        return any(p.state != "lent" for p in self.parts)

    @cached_property
    def off(self) -> tuple[PartNow, ...]:
        """Return what came off at this visit: what must be back."""
        return tuple(p for p in self.parts if p.state not in ("lent", "not there"))

    @cached_property
    def open(self) -> tuple[PartNow, ...]:
        """Return what came off and is neither back as it was nor explained."""
        return tuple(p for p in self.parts if p.open)

    @property
    def closed(self) -> bool:
        """Tell whether everything of it is back or explained."""
        return bool(self.off) and not self.open and not self.swapped

    @property
    def closing(self) -> bool:
        """Tell whether something of it went back already."""
        return any(p.back is not None for p in self.off)


def stacks_now(sheet: Sheet, rules: MotorRules) -> tuple[StackNow, ...]:
    """Return every stack of a sheet in which something stands or is lent. Source: rules stack.*"""
    known: tuple[StackNow, ...] | None = sheet.worked_out.get("stacks")
    if known is None:
        known = tuple(s for key in STACKS if (s := _stack(key, sheet, rules)).parts)
        sheet.worked_out["stacks"] = known
    return known


def _stack(key: str, sheet: Sheet, rules: MotorRules) -> StackNow:
    words, where = STACKS[key]
    off_id, back_id = OFF[key].id, BACK[key].id
    lent = {place: x for (field, place), x in sheet.lent.items() if field == off_id}
    places = sorted({p for f, p in sheet.entries if f in (off_id, back_id) and sheet.entries[f, p].stands} | set(lent))
    parts = [made for p in places if (made := _part(key, p, sheet, rules)) is not None]
    ordered = [replace(p, number=n) for n, p in enumerate(_in_order(parts), 1)]
    return StackNow(
        key=key, words=words, where=where, parts=tuple(ordered), swapped=_swapped(ordered) if where == "inside" else ()
    )


def _part(key: str, place: int, sheet: Sheet, rules: MotorRules) -> PartNow | None:
    off, back = OFF[key].given(sheet, place), BACK[key].given(sheet, place)
    lent = sheet.lent.get((OFF[key].id, place))
    record = off.record if off is not None and isinstance(off.record, OffRecord) else None
    if record is None:
        if back is not None:
            return _without_record(key, place, back)
        if lent is None:
            return None
        return PartNow(
            stack=key, place=place, part=lent.part, state="lent", before=lent.before, was_out=lent.out, by=lent.by
        )
    made = PartNow(
        stack=key,
        place=place,
        part=record.part,
        state="off" if record.part.count else "not there",
        off=off,
        before=record.before,
        why=record.why,
        was_out=lent is not None and lent.out,
    )
    # What was counted anew after it was back is counted back anew too.
    went = back.record if back is not None and off is not None and back.at >= off.at else None
    return _with_back(made, back, went, rules) if back is not None and isinstance(went, BackRecord) else made


def _without_record(key: str, place: int, back: Given) -> PartNow:
    """Return what went back though its record was taken away since: it stays open until that is there again."""
    where = STACKS[key][1]
    part = StackPart(where=where, kind=UNKNOWN[where], name="part without a record")
    return PartNow(stack=key, place=place, part=part, state="differs", back=back, differences=(_NO_RECORD,))


def _with_back(now: PartNow, back: Given, record: BackRecord, rules: MotorRules) -> PartNow:
    if record.ends == "left":
        return replace(now, state="left out", back=back, why=record.why)
    if record.ends == "renewed":
        return replace(now, state="renewed", back=back, is_back=now.part, why=record.why)
    is_back = put_back_part(now.part, record)
    found = tuple(words for _, words in differs(now.part, is_back, rules))
    return replace(now, state="differs" if found else "back", back=back, is_back=is_back, differences=found)


def put_back_part(part: StackPart, record: BackRecord) -> StackPart:
    """Return a part as it went back."""
    said = record.round.casefold()
    lies = next((way for way in part.of.round if said and way.startswith(said)), record.round)
    return replace(
        part,
        count=part.count if record.count is None else record.count,
        long_mm=record.long_mm if record.long_mm is not None else part.long_mm,
        across_mm=record.across_mm if record.across_mm is not None else part.across_mm,
        size=record.size or part.size,
        round=lies or part.round,
    )


def _in_order(parts: list[PartNow]) -> list[PartNow]:
    """Return parts as they lie: in the order of entry, one that lies before another right before that."""
    made: list[PartNow] = []
    for part in parts:
        at = next((n for n, p in enumerate(made) if part.before and p.place == part.before), len(made))
        made.insert(at, part)
    return made


def _swapped(parts: list[PartNow]) -> tuple[str, ...]:
    """Return what went in before something that lies deeper, in words."""
    back = [(n, p.back.at, p) for n, p in enumerate(parts) if p.back is not None and p.state != "left out"]
    made = []
    for n, at, part in back:
        deeper = [q for m, then, q in back if m > n and then > at]
        if deeper:
            made.append(f"{part.part.called} went in before {deeper[0].part.called}, which lies deeper")
    return tuple(made)


def last_pause(sheet: Sheet, hours: float) -> datetime | None:
    """Return when somebody went on after the last pause longer than so many hours, None without one."""
    times = sorted({g.at for g in sheet.written.values()})
    resumed = [b for a, b in pairwise(times) if (b - a).total_seconds() > hours * 3600]
    return resumed[-1] if resumed else None
