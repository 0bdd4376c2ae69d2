"""Repair or buy, at “Decide”: the ways with what they cost, and which one is taken."""

from collections.abc import Mapping
from types import MappingProxyType

from norvash.core.sheet.field import Costed, Taken
from norvash.core.sheet.stages.commutator.cut import COPPER_REFUSED, COPPER_UNDER
from norvash.core.sheet.stages.shared import RENEW_ARMATURE
from norvash.core.sheet.stages.windings.seen import MAGNETS_CRACKED

NEW_UNIT, SUBSTITUTE, SENT_OUT, FIRST_OTHER, MOST_WAYS = 6, 7, 8, 9, 12
ARMATURE_WAY = 5
WAYS: Mapping[int, str] = MappingProxyType(
    {
        1: "brushes only",
        2: "brushes and springs",
        3: "brushes and commutator",
        4: "rebuild kit",
        ARMATURE_WAY: "exchange armature",
        NEW_UNIT: "new unit",
        SUBSTITUTE: "cheap substitute",
        SENT_OUT: "sent out",
    }
)
WAY = Costed(id="way", group="Repair or buy", label="What a way costs", per="number", placed=True)
TAKEN = Taken(id="way-taken", group="Repair or buy", label="Which way is taken", placed=True)
# Which ways get past what no money clears, by the finding; a way that buys a part of that name does too.
_WHOLE = frozenset({NEW_UNIT, SUBSTITUTE, SENT_OUT})
GETS_PAST = MappingProxyType(
    {
        MAGNETS_CRACKED.id: (_WHOLE, "magnet"),
        COPPER_REFUSED.id: (_WHOLE | {ARMATURE_WAY}, "armature"),
        COPPER_UNDER.id: (_WHOLE | {ARMATURE_WAY}, "armature"),
    }
)
OF_ARMATURE = (_WHOLE | {ARMATURE_WAY}, "armature")
REPLACES_ARMATURE = RENEW_ARMATURE


def way_words(place: int, typed: str) -> str:
    """Return what a way is called."""
    return typed or WAYS.get(place, f"way {place}")
