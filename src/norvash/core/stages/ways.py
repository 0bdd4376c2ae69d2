"""Repair or buy, at “Decide”: the ways with what they cost, and which one is taken."""

import re
from collections.abc import Iterable, Mapping
from types import MappingProxyType

from norvash.core.sheet.fields_of_parts import Costed, Taken
from norvash.core.sheet.finding import Finding
from norvash.core.sheet.task import Task
from norvash.core.stages.brushes.holders import RENEW_HOLDER, RENEW_INSULATOR
from norvash.core.stages.brushes.springs import RENEW_SPRINGS
from norvash.core.stages.commutator.cut import COPPER_REFUSED, COPPER_UNDER
from norvash.core.stages.drive.seen import MEND_DRIVE, RENEW_FAN, RENEW_SEAL, RENEW_SHAFT
from norvash.core.stages.drive.shaft import MEND_SOLENOID
from norvash.core.stages.shared import FIT_SET, PLAN_CUT, RENEW_ARMATURE, RENEW_BEARING, RENEW_CORD
from norvash.core.stages.windings.coils import RENEW_COIL
from norvash.core.stages.windings.seen import MAGNETS_CRACKED

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
# What is out for good and is only renewed: no other work gets past it.
_RENEWED = frozenset({RENEW_ARMATURE, RENEW_COIL, RENEW_SHAFT})


def way_words(place: int, typed: str) -> str:
    """Return what a way is called."""
    return typed or WAYS.get(place, f"way {place}")


# What a way asks for by its place, and what a part of a way does by a word of its name.
_OF_PLACE: Mapping[int, tuple[Task, ...]] = MappingProxyType(
    {1: (FIT_SET,), 2: (FIT_SET, RENEW_SPRINGS), 3: (FIT_SET, PLAN_CUT), 4: (FIT_SET,), ARMATURE_WAY: (RENEW_ARMATURE,)}
)
_OF_PART: Mapping[str, Task] = MappingProxyType(
    {
        "brush": FIT_SET,
        "brushes": FIT_SET,
        "carbon": FIT_SET,
        "carbons": FIT_SET,
        "set": FIT_SET,
        "spring": RENEW_SPRINGS,
        "springs": RENEW_SPRINGS,
        "holder": RENEW_HOLDER,
        "holders": RENEW_HOLDER,
        "plate": RENEW_HOLDER,
        "armature": RENEW_ARMATURE,
        "bearing": RENEW_BEARING,
        "bearings": RENEW_BEARING,
        "drive": MEND_DRIVE,
        "pinion": MEND_DRIVE,
        "solenoid": MEND_SOLENOID,
        "coil": RENEW_COIL,
        "shaft": RENEW_SHAFT,
        "coils": RENEW_COIL,
        "insulator": RENEW_INSULATOR,
        "seal": RENEW_SEAL,
        "seals": RENEW_SEAL,
        "fan": RENEW_FAN,
        "cord": RENEW_CORD,
    }
)
_WORD = re.compile(r"[^\W\d_]+")
_PART_OF = {RENEW_ARMATURE: "armature", RENEW_COIL: "coil", RENEW_SHAFT: "shaft"}


def barred_by(finding: Finding, place: int, parts: Iterable[str]) -> str:
    """Return what a way leaves in the motor that no money clears, empty where it gets past a finding: it buys what is
    out, or the whole machine.
    """
    names = tuple(parts)
    past, part = GETS_PAST.get(finding.id, (_WHOLE, ""))
    if place in past:
        return ""
    if part:
        return "" if any(part in name.casefold() for name in names) else part
    renewed = set(finding.tasks)
    if finding.grade != "stop" or not renewed or not renewed <= _RENEWED:
        return ""
    return "" if renewed & set(tasks_of_way(place, names)) else " or ".join([_PART_OF[t] for t in finding.tasks])


def tasks_of_way(place: int, parts: Iterable[str]) -> tuple[Task, ...]:
    """Return the work that a way asks for here, by its place and by the words of its parts; a new unit, and what is
    sent out, ask for none of the catalogue.
    """
    if place in (NEW_UNIT, SUBSTITUTE, SENT_OUT):
        return ()
    words = (w for name in parts for w in _WORD.findall(name.casefold()))
    every = dict.fromkeys((*_OF_PLACE.get(place, ()), *(_OF_PART[w] for w in words if w in _OF_PART)))
    return tuple(t for t in every if not any(o.id in t.within for o in every))
