"""Open and record: how far it is open, and what must be known to close it again."""

from norvash.core.sheet.field import Field
from norvash.core.sheet.fields_made import pick, text, tick
from norvash.core.sheet.stage import Stage
from norvash.core.stages import polarity, stacks

FIELDS: tuple[Field, ...] = (
    HOW_FAR_OPEN := pick(
        "state",
        "How far it is open",
        "It is now",
        ("opened", "brushes and commutator in sight"),
        ("stripped", "armature out"),
        needs="safe",
    ),
    WITNESS_MARKS := tick("marks", "Recorded", "Witness marks made", needs="safe", record=True),
    PHOTOS := tick("photos", "Recorded", "Photos taken", needs="safe", record=True),
    WIRES_NOTED := tick("wires", "Recorded", "Wires noted, which went where", needs="safe", record=True),
    WIRE := text(
        "wire",
        "Recorded",
        "A wire, from where to where",
        needs="safe",
        per="number",
        hint="red, switch 2 to box A",
        record=True,
        placed=True,
    ),
    STACK := text(
        "stack",
        "Recorded",
        "Washers, shims, insulators, seals: order and direction",
        needs="safe",
        hint="from the rotor outwards",
        record=True,
        placed=True,
    ),
    HANDLE_WITH_CARE := text("mind", "Recorded", "Must not be twisted, pulled or lost", needs="safe", record=True),
)


STAGE = Stage(
    id="open",
    name="record",
    words="Open and record",
    fields=(*FIELDS, *stacks.OFF_FIELDS, *polarity.FIELDS),
    findings=polarity.FINDINGS,
    inside=True,
)
