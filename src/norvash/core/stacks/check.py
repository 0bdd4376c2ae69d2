"""What came off against what went back: missing, left over, turned, of another size, in another order."""

from collections.abc import Sequence
from dataclasses import dataclass, replace
from difflib import SequenceMatcher
from typing import Literal

from norvash.core.edges import over
from norvash.core.rules.book import MotorRules
from norvash.core.stacks.part import StackPart

What = Literal["missing", "left over", "other size", "turned", "swapped"]


@dataclass(frozen=True, slots=True, kw_only=True)
class Difference:
    """One difference: what it is, at which part of the record (from 0, None for a part that is not in it), in words."""

    what: What
    at: int | None
    words: str


def differs(out: StackPart, back: StackPart, rules: MotorRules) -> tuple[tuple[What, str], ...]:
    """Return how a part that went back differs from the one that came off, in words; nothing where it does not.

    Source: rules stack.alike, stack.alike-mm
    """
    made: list[tuple[What, str]] = []
    if back.count < out.count:
        made.append(("missing", f"{_counted(out)} came off, {back.count} back"))
    elif back.count > out.count:
        made.append(("left over", f"{_counted(out)} came off, {back.count} back: one too many is in"))
    if not back.count:
        return tuple(made)
    if not _alike(out, back, rules):
        made.append(("other size", f"{out.sizes or 'no size'} came off, {back.sizes} is back: another size"))
    if out.round and back.round and out.round != back.round:
        made.append(("turned", f"it lay {out.round}, and lies {back.round} now"))
    return tuple(made)


def _counted(part: StackPart) -> str:
    return f"{part.count} {part.called}" if part.count > 1 else part.called


def _alike(out: StackPart, back: StackPart, rules: MotorRules) -> bool:
    """Tell whether two parts are of one size, as far as both were measured."""
    if out.size and back.size and out.size != back.size:
        return False
    pairs = ((out.long_mm, back.long_mm), (out.across_mm, back.across_mm))
    least, share = rules["stack.alike-mm"], rules["stack.alike"]
    return not any(a is not None and b is not None and over(abs(a - b), max(least, share * a)) for a, b in pairs)


def check(out: Sequence[StackPart], back: Sequence[StackPart], rules: MotorRules) -> tuple[Difference, ...]:
    """Return every difference between a stack as it came off and what went back, in the order in which it went back:
    last off, first in.

    Source: rules stack.*
    """
    asked = [(n, p) for n, p in enumerate(out) if p.count][::-1]
    pairs, lone_out, lone_back = _paired([p for _, p in asked], list(back))
    made: list[Difference] = []
    for i, j in pairs:
        n, part = asked[i]
        made += [Difference(what=w, at=n, words=f"{part.called}: {s}") for w, s in differs(part, back[j], rules)]
    for i in lone_out:
        n, part = asked[i]
        swapped = next((j for j in lone_back if _same_kind(back[j], part) and _alike(part, back[j], rules)), None)
        if swapped is None:
            words = f"{_counted(part)} came off, and nothing is back"
            made.append(Difference(what="missing", at=n, words=words))
        else:
            lone_back.remove(swapped)
            made.append(Difference(what="swapped", at=n, words=f"{part.called}: back in another order"))
            also = differs(part, back[swapped], rules)
            made += [Difference(what=w, at=n, words=f"{part.called}: {s}") for w, s in also]
    for j in lone_back:
        words = f"{back[j].words}: never came off by this record"
        made.append(Difference(what="left over", at=None, words=words))
    return tuple(made)


def _same_kind(one: StackPart, other: StackPart) -> bool:
    return (one.kind, one.name) == (other.kind, other.name)


def _paired(out: list[StackPart], back: list[StackPart]) -> tuple[list[tuple[int, int]], list[int], list[int]]:
    """Return which part is which by kind and order, and which stand alone on either side; of several of one kind those
    of the same size belong together.
    """

    def key(part: StackPart, *, sized: bool) -> tuple[object, ...]:
        plain = replace(part, count=1, round="", material="", stays=False)
        return (plain.kind, plain.name, plain.size, plain.long_mm, plain.across_mm) if sized else (part.kind, part.name)

    pairs: list[tuple[int, int]] = []
    left_out, left_back = list(range(len(out))), list(range(len(back)))
    for sized in (True, False):
        matcher = SequenceMatcher(
            None,
            [key(out[i], sized=sized) for i in left_out],
            [key(back[j], sized=sized) for j in left_back],
            autojunk=False,
        )
        found = [(left_out[b.a + k], left_back[b.b + k]) for b in matcher.get_matching_blocks() for k in range(b.size)]
        found = [f for f in found if _between(f, pairs)]
        pairs += found
        left_out = [i for i in left_out if i not in {a for a, _ in found}]
        left_back = [j for j in left_back if j not in {b for _, b in found}]
    return sorted(pairs), left_out, left_back


def _between(pair: tuple[int, int], pairs: list[tuple[int, int]]) -> bool:
    """Tell whether a pair keeps the order of those that are found already."""
    return all((pair[0] < a) == (pair[1] < b) for a, b in pairs)
