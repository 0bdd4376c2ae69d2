"""The line of a motor that is being closed: what differs or is still out, how much of it is back, what that holds."""

from dataclasses import replace

from norvash.core.state.findings import Reason
from norvash.core.verdict.line_figure import LineFigure
from norvash.core.verdict.sentence import Verdict
from norvash.core.visit.stacks import StackNow, stacks_now
from norvash.core.visit.visit import Visit

IN_PIECES = "In pieces"


def closing_says(visit: Visit, said: Verdict) -> Verdict | None:
    """Return what to do on a sheet whose stacks are being closed, None where none is, or all of them are."""
    stacks = stacks_now(visit.sheet, visit.rules)
    open_now = [s for s in stacks if s.off and not s.closed]
    if not any(s.closing for s in stacks) or not open_now:
        return None
    differs = next(((s, p) for s in open_now for p in s.open if p.state == "differs"), None)
    swapped = next((words for s in open_now for words in s.swapped), "")
    out = [p for s in open_now for p in reversed(s.open)]
    if differs is not None:
        stack, part = differs
        short = part.is_back is not None and part.is_back.count < part.part.count
        act = "Find what is missing before you close." if short else "Put it right before you close."
        why = f"{stack.words}: {'; '.join(part.differences)}."
    elif swapped:
        act, why = "Put it right before you close.", f"{swapped[0].upper()}{swapped[1:]}."
    else:
        act, why = f"Go on closing: {out[0].part.called} next.", ""
    return replace(
        said, word=IN_PIECES, act=act, why=why, figures=_figures(stacks), reasons=(Reason(said.sentence), *said.reasons)
    )


def _figures(stacks: tuple[StackNow, ...]) -> tuple[LineFigure, ...]:
    made = []
    for where, words, holds in (("inside", "parts back", "power"), ("machine", "counts back", "service")):
        off = [p for s in stacks if s.where == where for p in s.off]
        still = [p for p in off if p.open]
        if off:
            beside = f"holds {holds}" if still else ""
            made.append(LineFigure(f"{len(off) - len(still)} of {len(off)}", words, beside))
    return tuple(made)
