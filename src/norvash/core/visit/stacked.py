"""A part that comes off or goes back, and a task that is added, as they are typed on a sheet."""

from collections.abc import Mapping
from dataclasses import replace

from norvash.core.sheet.records_of_parts import AddedTask, BackRecord, Ends, OffRecord
from norvash.core.stacks.kinds import Where
from norvash.core.stacks.typed import read_back, read_part
from norvash.core.stages.own_tasks import TOUCHES
from norvash.core.stages.stacks import MOST_PARTS
from norvash.core.text.quantities import parse
from norvash.core.text.texts import clean
from norvash.errors import InputError

NOT_THERE, AS_OFF = "not there", "as it came off"
_MOST_WHY, _MOST_MINUTES = 200, 6000
_ENDS: dict[str, Ends] = {"renewed": "renewed", "left out": "left"}
ENDS_WORDS = {"renewed": "renewed", "left": "left out"}


def read_off(where: Where, text: str, more: Mapping[str, str]) -> tuple[str, OffRecord]:
    """Return a part that came off, its text as it is kept, and what belongs to it.

    Raises: InputError at “value” or the field that is not right.
    """
    before, why = more.get("before", "").strip(), _why(more)
    if before and not (before.isdigit() and 1 <= int(before) <= MOST_PARTS):
        raise InputError(f"“{before[:20]}” does not number a part.", "Give the number of the part behind it.", "before")
    named = text.removesuffix(NOT_THERE).rstrip(" :,")
    if named != text and text.endswith(NOT_THERE):
        part = replace(read_part(where, named), count=0)
    else:
        part = read_part(where, text, more)
    return part.words, OffRecord(part=part, before=int(before) if before else 0, why=why)


def read_put_back(where: Where, text: str, more: Mapping[str, str]) -> tuple[str, BackRecord]:
    """Return a part that went back, its text as it is kept, and what belongs to it.

    Raises: InputError at “value” or the field that is not right; for a part left out without its reason.
    """
    why = _why(more)
    ends = _ENDS.get(text.casefold(), "")
    if ends == "left" and not why:
        raise InputError("What is left out needs its reason.", "Say why: it stays open on the motor.", "why")
    if ends:
        return text.casefold(), BackRecord(ends=ends, why=why)
    if text.casefold() in ("yes", "back", AS_OFF):
        return AS_OFF, BackRecord(why=why)
    differing = read_back(where, text, more)
    part = differing.part
    return text, BackRecord(
        count=differing.count, long_mm=part.long_mm, across_mm=part.across_mm, size=part.size, round=part.round, why=why
    )


def read_added(more: Mapping[str, str]) -> AddedTask:
    """Return a task that somebody adds: its minutes and the parts that it touches, parted by commas.

    Raises: InputError at “minutes” or “touches”.
    """
    text = more.get("minutes", "").strip()
    minutes = None
    if text:
        try:
            minutes = parse(text, "minutes").value
        except InputError as error:
            raise error.at("minutes") from None
        if not 0 < minutes <= _MOST_MINUTES:
            raise InputError(f"{minutes:g} min cannot be right.", f"Give up to {_MOST_MINUTES} min.", "minutes")
    touches = tuple(x for x in (p.strip() for p in more.get("touches", "").split(",")) if x)
    for part in touches:
        if part not in TOUCHES:
            raise InputError(f"“{part[:20]}” is not a part.", f"Use {', '.join(TOUCHES)}.", "touches")
    return AddedTask(minutes=minutes, touches=touches)


def _why(more: Mapping[str, str]) -> str:
    return " ".join(clean(more.get("why", ""), "why", note=True).split())[:_MOST_WHY]
