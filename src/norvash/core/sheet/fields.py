"""Everything that a bench sheet can hold: one field for each thing that is entered, by stage."""

from norvash.core.diagnosis.checks import CHECKS
from norvash.core.diagnosis.sign import NOT_SO
from norvash.core.diagnosis.signs import SIGNS
from norvash.core.part_findings import PARTS
from norvash.core.sheet import part_fields
from norvash.core.sheet.closing_fields import CLOSE, DECIDE, PROVE, REWORK, SIGN
from norvash.core.sheet.field import SheetField, quantity, ticks
from norvash.core.sheet.gates import GATES, METHODS

STAGES = {
    "call-in": "Call in",
    "safe": "Make safe",
    "before": "Before opening",
    "open": "Open and record",
    "brushes": "Brushes",
    "commutator": "Commutator",
    "windings": "Windings",
    "drive": "Bearings and drive",
    "decide": "Decide",
    "rework": "Rework",
    "close": "Close up",
    "prove": "Prove",
    "sign": "Sign",
}
INSIDE = ("open", "brushes", "commutator", "windings", "drive", "rework", "close")
MOST_TEXT = 400
_CALL = (
    SheetField(id="complaint", stage="call-in", group="The call", label="What is said, in their words", kind="text"),
    SheetField(id="last-work", stage="call-in", group="The call", label="Last work on it", kind="text"),
    SheetField(
        id="urgency",
        stage="call-in",
        group="The call",
        label="How urgent",
        kind="pick",
        choices=(("now", "stands, work waits"), ("today", "today"), ("week", "this week"), ("routine", "routine look")),
    ),
)
# fmt: off
_BEFORE = (
    quantity("supply-v", "before", "Supply", "Supply at its terminals", "voltage", needs="permit", high=50000, hint="under load where that is safe"),
    quantity("tap-v", "before", "Speed settings", "Setting", "voltage", needs="permit", per="tap", high=50000),
    quantity(
        "drop-supply-v", "before", "Drops at working current", "Supply side", "voltage", needs="permit", classes=("starter", "traction", "generator"), high=50
    ),
    quantity(
        "drop-return-v", "before", "Drops at working current", "Return side", "voltage", needs="permit", classes=("starter", "traction", "generator"), high=50
    ),
    quantity("joint-v", "before", "Drops at working current", "Worst joint", "voltage", needs="permit", high=50),
    quantity("rest-v", "before", "Battery", "At rest", "voltage", classes=("starter", "traction", "generator"), high=1000),
    quantity("cranking-v", "before", "Battery", "While cranking", "voltage", needs="permit", classes=("starter",), high=1000),
    quantity("cranking-a", "before", "Battery", "Current while cranking", "current", needs="permit", classes=("starter",), high=50000),
    quantity("battery-c", "before", "Battery", "Its temperature", "temperature", classes=("starter",), low=-60, high=80),
    quantity("terminal-ohm", "before", "Terminals", "Worst terminal, dead", "resistance", high=1000, hint="meter leads taken off"),
    quantity("terminal-step", "before", "Terminals", "Finest step of the meter", "resistance", high=1000, hint="leads zeroed first"),
    quantity("terminal-v", "before", "Terminals", "Worst terminal, at working current", "voltage", needs="permit", high=50),
    quantity("noload-rpm", "before", "Current", "Speed without load", "speed", needs="permit", high=1e5),
    quantity("noload-a", "before", "Current", "Without load, at the voltage allowed", "current", needs="permit", high=50000),
    SheetField(
        id="upstream",
        stage="before",
        group="Outcome",
        label="Outcome",
        kind="pick",
        choices=(("upstream", "the fault lies before the motor: do not open it"), ("open", "go on, open the motor")),
    ),
)
_OPEN = (
    SheetField(
        id="state",
        stage="open",
        group="How far it is open",
        label="It is now",
        kind="pick",
        choices=(("opened", "brushes and commutator in sight"), ("stripped", "armature out")),
        needs="safe",
    ),
    *ticks("open", "Recorded", "safe", ("marks", "Witness marks made"), ("photos", "Photos taken"), ("wires", "Wires noted, which went where")),
    SheetField(
        id="stack",
        stage="open",
        group="Recorded",
        label="Washers, shims, insulators, seals: order and direction",
        kind="text",
        needs="safe",
        hint="from the rotor outwards",
    ),
    SheetField(id="mind", stage="open", group="Recorded", label="Must not be twisted, pulled or lost", kind="text", needs="safe"),
)
_BRUSHES = (
    quantity("force", "brushes", "Springs", "Spring force", "force", needs="safe", per="position", low=0.01, high=1000),
    quantity("gap", "brushes", "Holders", "Holder gap", "length", needs="safe", per="position", high=50),
    quantity("box-t", "brushes", "Holders", "Box, along the rotation", "length", needs="safe", per="position", low=0.1, high=500),
    quantity("brush-t", "brushes", "Holders", "Brush, along the rotation", "length", needs="safe", per="position", low=0.1, high=500),
    quantity("box-a", "brushes", "Holders", "Box, along the shaft", "length", needs="safe", per="position", low=0.1, high=500),
    quantity("brush-a", "brushes", "Holders", "Brush, along the shaft", "length", needs="safe", per="position", low=0.1, high=500),
    quantity("dust-g", "brushes", "Dust", "Dust taken out", "dust", needs="safe", high=10000),
)
# fmt: on
_PARTS = tuple(
    SheetField(id=f"seen.{f.id}", stage=stage, group="Seen", label=f.words, kind="tick", needs="safe")
    for stage, group in PARTS.items()
    for f in group
)
_SOUND = tuple(
    SheetField(
        id=f"sound.{stage}", stage=stage, group="Seen", label="looked at, nothing found", kind="tick", needs="safe"
    )
    for stage in PARTS
)
_REMARKS = tuple(
    SheetField(
        id=f"remark.{stage}",
        stage=stage,
        group="Remarks",
        label="Remark",
        kind="text",
        needs="safe" if stage in INSIDE else "",
    )
    for stage in STAGES
)
_PERMIT = (
    SheetField(
        id="permit.open", stage="before", group="Test with power on", label="Opened", kind="decision", per="number"
    ),
    SheetField(
        id="permit.close", stage="before", group="Test with power on", label="Closed", kind="tick", per="number"
    ),
)
_GATES = (
    SheetField(
        id="safe.method",
        stage="safe",
        group="Isolation",
        label="Isolated by",
        kind="pick",
        choices=tuple(METHODS.items()),
    ),
    *(
        SheetField(
            id=f"waive.{g}",
            stage="sign" if g == "service" else "prove" if g == "power" else "safe",
            group="Waived",
            label=f"{w}: waived because",
            kind="text",
        )
        for g, w in GATES.items()
    ),
    *(
        SheetField(
            id=f"confirm.{g}",
            stage="sign" if g == "service" else "prove" if g == "power" else "safe",
            group="Confirmed",
            label=w,
            kind="tick",
        )
        for g, w in GATES.items()
    ),
)
# What to mind where a sign is looked for.
_MIND = {sign_id: check.danger for check in CHECKS for sign_id in check.signs}
# Signs inside the motor follow from what is found on its parts and are not asked for a second time.
_SIGNS = tuple(
    SheetField(
        id=f"sign.{s.id}",
        stage=s.stage,
        group="Noticed",
        label=s.words,
        kind="pick",
        choices=(*((a.id, a.words) for a in s.answers), *(((NOT_SO, s.not_so),) if s.not_so else ())),
        hint=_MIND.get(s.id, ""),
        classes=s.classes,
    )
    for s in SIGNS
    if s.stage not in INSIDE
)
_SKIP = tuple(
    SheetField(id=f"skip.{stage}", stage=stage, group="Skipped", label=f"{words}: skipped because", kind="text")
    for stage, words in STAGES.items()
    if stage not in ("safe", "sign")
)
FIELDS: tuple[SheetField, ...] = (
    *_CALL,
    *_SIGNS,
    *_GATES,
    *_BEFORE,
    *_PERMIT,
    *_OPEN,
    *_BRUSHES,
    *_PARTS,
    *_SOUND,
    *part_fields.FIELDS,
    *DECIDE,
    *REWORK,
    *CLOSE,
    *PROVE,
    *SIGN,
    *_REMARKS,
    *_SKIP,
)
BY_ID = {f.id: f for f in FIELDS}


def field_of(field_id: str) -> SheetField | None:
    """Return a field by its id; steps of gates, decisions on findings and what was put off are named as they come."""
    if field_id in BY_ID:
        return BY_ID[field_id]
    kind, _, rest = field_id.partition(".")
    gate, _, step = rest.partition(".")
    if kind == "step" and gate in GATES and step:
        stage = {"safe": "safe", "power": "prove", "service": "sign"}[gate]
        return SheetField(id=field_id, stage=stage, group=GATES[gate], label=step, kind="tick")
    if kind == "settle" and rest:
        return SheetField(id=field_id, stage="call-in", group="Put off before", label="mended now", kind="tick")
    if kind == "decide" and rest:
        return SheetField(id=field_id, stage="decide", group="Decided", label=rest, kind="decision", per="position")
    return None
