"""The polarity of the boxes where it is wrong: what is wrong, in words, and the end view as it should be."""

from dataclasses import dataclass, replace

from norvash.core.motor.positions import alternating
from norvash.core.stages.polarity import boxes, wrong_at
from norvash.drawing.svg import Drawing
from norvash.web.drawn.motor import end_view_new
from norvash.work.reading.sheet_now import SheetNow

_SIZE = 260.0


@dataclass(frozen=True, slots=True)
class Polarity:
    """Where the polarity does not alternate, and the drawing of what is right."""

    words: str
    right: Drawing


def polarity_wrong_shown(shown: SheetNow) -> Polarity | None:
    """Return what is wrong with the polarity of a sheet's boxes, or of its motor's plan, None where nothing is."""
    words, facts = wrong_at(shown.sheet), shown.context.facts
    if not words:
        return None
    plans = alternating(boxes(shown.sheet) or facts.positions)
    right = end_view_new(facts.figures, plans, shown.context.rules, _SIZE)
    return Polarity(words, replace(right, title="As it should be, seen from the commutator end"))
