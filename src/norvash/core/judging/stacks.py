"""What the stacks of a visit say: what is lent and not seen, still off, different, left out, or put aside too long."""

from collections.abc import Iterator
from dataclasses import replace

from norvash.core.rules.book import MotorRules
from norvash.core.sheet.measured import Measured
from norvash.core.sheet.sheet import Sheet
from norvash.core.stacks.kinds import Where
from norvash.core.stages.close import TURNS_FREE
from norvash.core.stages.prove.earth import EARTH_OHM
from norvash.core.stages.record import HOW_FAR_OPEN
from norvash.core.stages.stacks import BACK, GONE_THROUGH, LEFT_OUT, LEFT_OVER, LEFT_OVER_SAID
from norvash.core.stages.windings.insulation import INSULATION_MOHM, circuits_of
from norvash.core.text.words import listed
from norvash.core.visit.stacks import PartNow, StackNow, last_pause, stacks_now
from norvash.core.visit.visit import Visit
from norvash.core.windings.circuits import PLACES

_MOST_NAMED = 3


def measured(sheet: Sheet, rules: MotorRules) -> Iterator[Measured]:
    """Yield what was left out: a stop where nothing runs without it, else to be planned."""
    left = [p for s in stacks_now(sheet, rules) for p in s.off if p.state == "left out"]
    if left:
        said = LEFT_OUT.worded(f"left out: {listed([f'{p.part.called} ({p.why})' for p in left])}")
        off = replace(said, grade="stop") if any(p.part.of.stops for p in left) else said
        of = tuple((BACK[p.stack].id, p.place) for p in left)
        yield Measured(id="left-out", of=of, words=off.words, standing="off", findings=(off,))


def unseen(visit: Visit, where: Where) -> Iterator[str]:
    """Yield what is lent to a stack that was begun, or lies open, and that nobody has seen; what an earlier visit left
    off the motor always.
    """
    stripped = HOW_FAR_OPEN.of(visit.sheet) == "stripped"
    for stack in _of(visit, where):
        asked = [p for p in stack.lent if p.was_out or stack.begun or (stripped and where == "inside")]
        if asked:
            out = " left off at an earlier visit," if any(p.was_out for p in asked) else ""
            yield f"{stack.words}: {_named(asked)} lent,{out} and not seen yet"


def not_closed(visit: Visit, where: Where) -> Iterator[str]:
    """Yield what came off and is not back as it was."""
    for stack in _of(visit, where):
        still = [p for p in stack.open if p.state == "off"]
        if still:
            yield f"{stack.words}: {_named(still)} not back"
        for part in stack.open:
            if part.state == "differs":
                yield f"{stack.words}, no. {part.number}, {part.part.called}: {'; '.join(part.differences)}"
        yield from (f"{stack.words}: {words}; see that it lies right, and tick it again" for words in stack.swapped)


def left_over(visit: Visit) -> Iterator[str]:
    """Yield what lies on the bench and has no place in the record."""
    over, said = LEFT_OVER.given(visit.sheet), LEFT_OVER_SAID.given(visit.sheet)
    if over is not None and (said is None or said.at < over.at):
        yield f"left over: {over.word}; where does it belong?"


def again_after_pause(visit: Visit) -> Iterator[str]:
    """Yield that stacks which are not closed are gone through once more after a long pause. Source: rule stack.aside"""
    hours = visit.rules["stack.aside"]
    went_on = last_pause(visit.sheet, hours)
    if went_on is None:
        return
    seen = GONE_THROUGH.given(visit.sheet)
    if seen is not None and seen.at >= went_on:
        return
    open_then = [s for s in stacks_now(visit.sheet, visit.rules) if _open_at(s, went_on.timestamp())]
    if open_then:
        names = listed([s.words for s in open_then])
        yield f"put aside for over {hours:g} h with {names} open: go through it once more"


def _open_at(stack: StackNow, moment: float) -> bool:
    """Tell whether something of a stack was off before a moment and was not back by then."""
    return any(
        p.off is not None and p.off.at.timestamp() < moment and (p.back is None or p.back.at.timestamp() >= moment)
        for p in stack.off
    )


def turned_since(visit: Visit) -> Iterator[str]:
    """Yield that nobody has turned it by hand since a stack inside was closed."""
    back = [p.back.at for s in _of(visit, "inside") for p in s.off if p.back is not None]
    free = TURNS_FREE.given(visit.sheet)
    if back and (free is None or free.at < max(back)):
        yield "nobody has turned it by hand since the stack was closed"


def insulation_since(visit: Visit) -> Iterator[str]:
    """Yield that insulation was not measured since a stack inside was closed, of a post that of the post itself."""
    circuits = circuits_of(visit.sheet.facts)
    for stack in _of(visit, "inside"):
        place = PLACES.index("post") if stack.key.startswith("post") else 0
        back = [p.back.at for p in stack.off if p.back is not None]
        read = INSULATION_MOHM.given(visit.sheet, place)
        if read is None and not place:
            continue  # that nothing was measured at all is said of the whole circuit elsewhere
        late = bool(back) and (read is None or read.at < max(back))
        if late and place in circuits:
            what = "the post's insulation to the case" if place else "insulation"
            yield f"{stack.words} closed: {what} is not measured since"


def earth_since(visit: Visit) -> Iterator[str]:
    """Yield that the earth was not measured since an earth lead, plug or cord was put back."""
    back = [p for s in _of(visit, "machine") for p in s.off if p.part.of.earth and p.back is not None]
    earth = EARTH_OHM.given(visit.sheet)
    if not EARTH_OHM.is_offered(visit.sheet.facts, visit.rules):
        return
    since = [p for p in back if p.back is not None and (earth is None or earth.at < p.back.at)]
    if since:
        yield f"{_named(since)} put back: the earth is not measured since"


def _of(visit: Visit, where: Where) -> list[StackNow]:
    return [s for s in stacks_now(visit.sheet, visit.rules) if s.where == where]


def _named(parts: list[PartNow]) -> str:
    """Return parts by name, the first few of many."""
    names = [p.part.called for p in parts[:_MOST_NAMED]]
    more = len(parts) - len(names)
    return listed([*names, f"{more} more"] if more else names)
