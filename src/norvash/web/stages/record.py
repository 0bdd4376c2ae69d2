"""What opening and recording shows: the polarity of every box, and how they must be wired where they are not so."""

from dataclasses import dataclass

from norvash.core.stages.polarity import BOX
from norvash.core.stages.record import STACK, WIRE
from norvash.core.visit.on_axis import parts_now
from norvash.web.drawn.axis import AxisDrawn, axis_drawn
from norvash.web.stages.shown.at import At
from norvash.web.stages.shown.fields import Entry, entry
from norvash.web.stages.shown.polarity import Polarity, polarity_wrong_shown
from norvash.web.stages.stacks import StacksShown, stacks_off


@dataclass(frozen=True, slots=True, kw_only=True)
class OpenedView:
    """The entries of the boxes, none of a motor that is not asked for them, what is wrong with their polarity, what
    came off, the wires with the place of the next one, and the section as its parts stand.
    """

    boxes: list[Entry]
    polarity: Polarity | None
    stacks: StacksShown
    wires: tuple[Entry, ...]
    next_wire: Entry
    in_words: Entry
    axis: AxisDrawn


def view(at: At) -> OpenedView:
    """Return what opening and recording shows."""
    shown, facts = at.shown, at.shown.context.facts
    asked = BOX.is_offered(facts, shown.context.rules)
    boxes = [entry(shown, BOX, p.number, f"Box {p.label}") for p in facts.positions] if asked else []
    places = WIRE.places(shown.sheet)
    return OpenedView(
        axis=axis_drawn(shown.visit, shown.found, parts_now(shown.visit)),
        boxes=boxes,
        polarity=polarity_wrong_shown(shown),
        stacks=stacks_off(at),
        wires=tuple(entry(shown, WIRE, n, f"Wire {n}") for n in places),
        in_words=entry(shown, STACK),
        next_wire=entry(shown, WIRE, max(places, default=0) + 1, "The next wire, from where to where"),
    )
