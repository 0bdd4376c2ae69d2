"""Which wire goes to which box, as it was recorded, and where that contradicts the polarity of the box."""

import re
from collections.abc import Mapping, Sequence

from norvash.core.motor.positions import PositionPlan
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.record import WIRE

_BOX = r"\b(?:box|brush|holder)\s+{}\b"
# What a box of a polarity is not joined to, with the words for it.
_NOT = {
    "+": (re.compile(r"\b(?:case|earth|frame)\b", re.IGNORECASE), "the case"),
    "-": (re.compile(r"\bpost\b", re.IGNORECASE), "the post"),
}


def wires_at(sheet: Sheet, plans: Sequence[PositionPlan]) -> Mapping[int, str]:
    """Return the recorded wires that name a box, in the words in which they were, by its position."""
    texts = [WIRE.of(sheet, n) for n in WIRE.places(sheet)]
    made = {
        p.number: "; ".join(t for t in texts if re.search(_BOX.format(re.escape(p.label)), t, re.IGNORECASE))
        for p in plans
    }
    return {n: words for n, words in made.items() if words}


def wires_against(plans: Sequence[PositionPlan], wires: Mapping[int, str]) -> Mapping[str, str]:
    """Return the boxes whose wire goes where their polarity does not, with where it goes, by their labels."""
    made = {}
    for plan in plans:
        goes = _NOT.get(plan.polarity)
        if goes is not None and goes[0].search(wires.get(plan.number, "")):
            made[plan.label] = goes[1]
    return made
