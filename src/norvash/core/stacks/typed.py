"""A part as somebody types it at the bench: “5s.2x26”, “seal 5 x 28, lip in” or “6 hood screws M4 x 12”."""

import re
from collections.abc import Mapping
from dataclasses import dataclass

from norvash.core.stacks.kinds import KINDS, PartKind, Where, kind_begun
from norvash.core.stacks.part import StackPart
from norvash.core.text.quantities import parse
from norvash.errors import InputError

MOST_COUNT, _MOST_MM, _LONGEST = 200, 5000.0, 60
MATERIALS = ("steel", "brass", "copper", "aluminium", "fibre", "felt", "rubber", "plastic", "mica")
_COUNT = re.compile(r"^(?P<count>[0-9]+)(?:\s*[x×]\s+(?=[^\W\d])|\s+(?=[^\W\d])|(?=[^\W\d]))")
_SIZE = re.compile(
    r"\bM\s?(?P<thread>[0-9]+(?:[.,][0-9]+)?)(?:\s*[x×]\s*(?P<long>[0-9]+(?:[.,][0-9]+)?))?", re.IGNORECASE
)
_SIZES = re.compile(
    r"\s*(?P<long>[-+]?[0-9.,]+\s*(?:mm|in|\")?|–|-)?\s*(?:[x×]\s*(?P<across>[-+]?[0-9.,]+\s*(?:mm|in|\")?))?\s*$",
    re.IGNORECASE,
)
_OF = re.compile(r" (?:of|for|at|in|on|under) ")
# What begins with a size, and not with how it lies.
_SIZED = re.compile(r"[,.×–0-9]|[xM]\s*[0-9]", re.IGNORECASE)
_COUNT_ALONE = re.compile(r"^(?P<count>[0-9]+)(?=\s+(?:M\s?[0-9]|[0-9.×x–])|\s*,|\s*$|\s+[^\W\dM])", re.IGNORECASE)
_NAME = re.compile(r"^[^\W\d](?:[^\d,–]*[^\W\d])?")
# A comma between two figures is a decimal mark.
_PARTED = re.compile(r",(?![0-9])|(?<![0-9]),")


def read_part(where: Where, text: str, more: Mapping[str, str] | None = None) -> StackPart:
    """Return a part as it was typed; what `more` says in fields of their own (count, long, across, size, round,
    material, stays) stands over what the text says.

    Raises: InputError at “value” or at the field, with what can be written.
    """
    line = " ".join(text.split())
    head, *behind = _PARTED.split(line)
    said = dict(more or {})
    head, count = _counted(head.strip(), said)
    head, size = _thread(head, said)
    kind, name, rest = _named(where, head)
    long_mm, across_mm = _sizes(rest, said)
    return StackPart(
        where=where,
        kind=kind.name,
        count=count,
        long_mm=long_mm,
        across_mm=across_mm,
        size=size,
        name=name,
        **_lying(kind, behind, said),  # type: ignore[arg-type]
    )


def _counted(head: str, said: dict[str, str]) -> tuple[str, int]:
    found = _COUNT.match(head)
    text = said.get("count", "").strip() or (found["count"] if found else "1")
    rest = head[found.end() :] if found else head
    if not text.isdigit() or not 0 <= int(text) <= MOST_COUNT:
        raise InputError(f"“{text}” is not a number of parts here.", f"Give 1 to {MOST_COUNT}.", "count")
    if int(text) == 0:
        raise InputError("None of them came off.", "Say “not there” where the type lends it.", "count")
    return rest, int(text)


def _thread(head: str, said: dict[str, str]) -> tuple[str, str]:
    found = _SIZE.search(head)
    own = _SIZE.fullmatch(said.get("size", "").strip()) if said.get("size", "").strip() else None
    if said.get("size", "").strip() and own is None:
        raise InputError(f"“{said['size'][:_LONGEST]}” is not a size of thread.", "Write it like M8 x 25.", "size")
    used = own or found
    rest = f"{head[: found.start()]}{head[found.end() :]}".strip() if found else head
    if used is None:
        return rest, ""
    thread, long = (x.replace(",", ".") if x else "" for x in (used["thread"], used["long"]))
    if float(thread) == 0 or (long and float(long) == 0):
        raise InputError("A thread of 0 is not possible.", "Write it like M8 x 25.", "value")
    return rest, f"M{thread} × {long}" if long else f"M{thread}"


def _named(where: Where, head: str) -> tuple[PartKind, str, str]:
    """Return the kind that a text names, what the person calls it, and the rest of the text."""
    found = _NAME.match(head)
    if found is None:
        raise InputError(f"“{head[:_LONGEST]}” names no part.", _kinds(where), "value")
    called = found[0].strip()
    rest = head[found.end() :].strip()
    if called.casefold().endswith(" x"):  # “washer – x 20”
        called, rest = called[:-1].strip(), f"x {rest}"
    words = called.casefold().split()
    begun = kind_begun(where, called)
    if begun is not None:
        return begun, "", rest
    # “hood screws” are screws, and the “nut of the post” is a nut.
    for word in (*(" ".join(words[n:]) for n in range(len(words))), _OF.split(called.casefold())[0]):
        kind = KINDS[where].get(word) or KINDS[where].get(word.removesuffix("s"))
        if kind is not None:
            return kind, called.casefold().removesuffix("s"), rest
    raise InputError(f"“{called[:_LONGEST]}” is not a part here.", _kinds(where), "value")


def _kinds(where: Where) -> str:
    return f"Name one of: {', '.join(KINDS[where])}; its beginning is enough."


def _sizes(rest: str, said: dict[str, str]) -> tuple[float | None, float | None]:
    found = _SIZES.match(rest)
    if found is None:
        raise InputError(f"“{rest[:_LONGEST]}” is not understood.", "Write thickness x across, like 1.5 x 20.", "value")
    texts = {"long": found["long"] or "", "across": found["across"] or ""}
    made = []
    for name, typed in texts.items():
        own = said.get(name, "").strip()
        text = own or ("" if typed.strip() in ("–", "-") else typed.strip())
        made.append(_length(text, name if own else "value"))
    return made[0], made[1]


def _length(text: str, at: str) -> float | None:
    if not text:
        return None
    try:
        value = parse(text, "length").value
    except InputError as error:
        raise error.at(at) from None
    if not 0 < value <= _MOST_MM:
        raise InputError(f"{value:g} mm is not possible.", f"Give a size over 0, up to {_MOST_MM:g} mm.", at)
    return value


def _lying(kind: PartKind, behind: list[str], said: dict[str, str]) -> dict[str, str | bool]:
    """Return how it lies, its material, whether it stays, from what stands behind the first comma and from fields."""
    made: dict[str, str | bool] = {"round": "", "material": "", "stays": False}
    for part in (" ".join(x.split()) for x in behind):
        if not part:
            continue
        if part.casefold() in ("stays", "stay", "stays on the shaft", "stay on the shaft"):
            made["stays"] = True
        elif part.casefold() in MATERIALS:
            made["material"] = part.casefold()
        else:
            made["round"] = _way(kind, part)
    if said.get("round", "").strip():
        made["round"] = _way(kind, said["round"])
    if said.get("material", "").strip():
        made["material"] = _short(said["material"], "material").casefold()
    if said.get("stays", "").strip():
        made["stays"] = said["stays"].strip() in ("yes", "on")
    return made


def _way(kind: PartKind, text: str) -> str:
    """Return how it lies: one of the ways of its kind where the text begins one, else in the person's own words."""
    short = _short(text, "round")
    return next((way for way in kind.round if way.startswith(short.casefold())), short)


def _short(text: str, at: str) -> str:
    said = " ".join(text.split())
    if len(said) > _LONGEST:
        raise InputError(f"{len(said)} characters are too many.", f"Use at most {_LONGEST}.", at)
    return said


@dataclass(frozen=True, slots=True, kw_only=True)
class Differing:
    """What was typed of a part that went back: only what differs from what came off."""

    count: int | None
    part: StackPart


def read_back(where: Where, text: str, more: Mapping[str, str]) -> Differing:
    """Return how a part that went back differs, as it was typed: “4”, “M6 x 25”, “4 0.3 x 26, lip out”.

    Raises: InputError like read_part.
    """
    said = " ".join(text.split())
    found = _COUNT_ALONE.match(said)
    count, rest = (found["count"], said[found.end() :].strip()) if found else ("", said)
    if count and int(count) > MOST_COUNT:
        raise InputError(f"“{count}” is not a number of parts here.", f"Give 0 to {MOST_COUNT}.", "value")
    if rest and not _SIZED.match(rest):
        rest = f", {rest}"
    part = read_part(where, f"washer {rest}".replace(" ,", ","), {k: v for k, v in more.items() if k != "count"})
    return Differing(count=int(count) if count else None, part=part)
