"""What came off and went back, as it is told once a sheet is signed."""

from collections.abc import Iterable, Mapping

from norvash.core.stages.own_tasks import dropped
from norvash.core.visit.stacks import PartNow, StackNow, stacks_now
from norvash.core.visit.visit import Visit
from norvash.core.visit.work_list import Proposed

_SAID = ("renewed", "left out", "differs", "off", "not there")


def stacks_told(visit: Visit) -> list[dict[str, object]]:
    """Return every stack of which something was seen: how many parts came off and are back, and what is to be said of
    single ones.
    """
    return [_stack(s) for s in stacks_now(visit.sheet, visit.rules) if s.begun]


def _stack(stack: StackNow) -> dict[str, object]:
    back = sum(p.state in ("back", "renewed") for p in stack.off)
    said = [_part(p) for p in stack.parts if p.state in _SAID or p.why]
    lent = [f"{len(stack.lent)} lent and not seen"] if stack.lent else []
    return {"words": stack.words, "off": len(stack.off), "back": back, "said": [*said, *stack.swapped, *lent]}


def _part(part: PartNow) -> str:
    words = {"off": "not back", "differs": "; ".join(part.differences)}.get(part.state, part.state)
    return f"{part.part.called}: {words}{f' ({part.why})' if part.why else ''}"


def stacks_lines(told: object) -> Iterable[str]:
    """Yield what came off and went back in lines, one a stack."""
    for stack in told if isinstance(told, list) else ():
        if isinstance(stack, Mapping):
            said = "; ".join(str(x) for x in stack["said"])
            yield f"{stack['words']}: {stack['off']} off, {stack['back']} back{f'; {said}' if said else ''}"


def dropped_told(visit: Visit, work: Iterable[Proposed]) -> list[dict[str, object]]:
    """Return the tasks that were dropped from the work list, each with who and why."""
    made: list[dict[str, object]] = []
    for w in work:
        given = dropped(w.task.id).given(visit.sheet)
        if given is not None and w.done is None:
            made.append({"what": w.task.what, "why": given.word, "person": given.person})
    return made
