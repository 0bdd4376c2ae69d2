"""Stacks and counts: what comes off at “Open and record” and goes back at “Close up”, one entry a part."""

from types import MappingProxyType

from norvash.core.sheet.fields_made import text
from norvash.core.sheet.fields_of_parts import Back, Off
from norvash.core.sheet.finding import finding
from norvash.core.sheet.part import DRIVE
from norvash.core.sheet.task import Task
from norvash.core.stacks.kinds import Where

MOST_PARTS = 60
PUT_BACK = Task(
    id="put-back",
    what="Put the parts back",
    done="parts put back",
    minutes=30,
    tools="the record of how it came off; torque wrench",
    steps=("last off, first in", "each the way it lay", "nothing left over"),
    caution="fingers clear of what snatches; brush plate first in; springs fly",
)
FINDINGS = (LEFT_OUT := finding("stack.left-out", "a part left out", "plan", "put it in", DRIVE, PUT_BACK),)
# What lies in an order inside the motor, and what is counted on the machine, by name.
STACKS: MappingProxyType[str, tuple[str, Where]] = MappingProxyType(
    {
        "drive": ("Shaft, drive end", "inside"),
        "other": ("Shaft, other end", "inside"),
        "post": ("Post", "inside"),
        "post2": ("Second post", "inside"),
        "bolt": ("Through-bolt", "inside"),
        "machine": ("Counts of the machine", "machine"),
    }
)
OFF = MappingProxyType(
    {
        key: Off(
            id=f"off-{key}",
            group="What comes off",
            label=words,
            needs="safe",
            per="number",
            placed=True,
            judged=True,
            stack=key,
            where=where,
        )
        for key, (words, where) in STACKS.items()
    }
)
BACK = MappingProxyType(
    {
        key: Back(
            id=f"back-{key}",
            group="What goes back",
            label=f"{words}, back",
            needs="safe",
            per="number",
            placed=True,
            judged=True,
            work=True,
            does=(PUT_BACK,) if where == "inside" else (),
            tells=FINDINGS,
            stack=key,
            where=where,
        )
        for key, (words, where) in STACKS.items()
    }
)
LEFT_OVER = text(
    "left-over",
    "What goes back",
    "Lies on the bench and is not in the record",
    needs="safe",
    placed=True,
    work=True,
    hint="empty where nothing does",
)
LEFT_OVER_SAID = text(
    "left-over-said", "What goes back", "What became of that", needs="safe", placed=True, work=True, record=True
)
GONE_THROUGH = text(
    "stacks-again",
    "What goes back",
    "Gone through once more, after a pause",
    needs="safe",
    placed=True,
    work=True,
    record=True,
)
OFF_FIELDS = tuple(OFF.values())
BACK_FIELDS = (*BACK.values(), LEFT_OVER, LEFT_OVER_SAID, GONE_THROUGH)
# What a motor is lent from its last sheet, and a type from those of its motors.
LENT_FIELDS = tuple(f.id for f in (*OFF.values(), *BACK.values()))
