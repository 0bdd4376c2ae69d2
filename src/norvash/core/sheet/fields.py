"""Everything that a bench sheet can hold: one field for each thing that is entered, by stage."""

from collections.abc import Callable
from functools import partial

from norvash.core.diagnosis.causes import BY_ID as CAUSES
from norvash.core.diagnosis.checks import CHECKS
from norvash.core.diagnosis.signs import NOT_SO, SIGNS, Sign, offered
from norvash.core.edges import over
from norvash.core.grades import WORDS
from norvash.core.part_findings import COMPONENTS, PARTS
from norvash.core.rules.book import MotorRules
from norvash.core.sheet import part_fields
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.field import SheetField, quantity, ticks
from norvash.core.sheet.gates import GATES, METHODS

STAGES = {
    "call-in": "Call in", "safe": "Make safe", "before": "Before opening", "open": "Open and record", "brushes": "Brushes",
    "commutator": "Commutator", "windings": "Windings", "drive": "Bearings and drive", "decide": "Decide", "rework": "Rework",
    "close": "Close up", "prove": "Prove", "sign": "Sign",
}  # fmt: skip
INSIDE = ("open", "brushes", "commutator", "windings", "drive", "rework", "close")
MOST_TEXT = 400


_CALL = (
    SheetField("complaint", "call-in", "The call", "What is said, in their words", "text"),
    SheetField("last-work", "call-in", "The call", "Last work on it", "text"),
    SheetField("urgency", "call-in", "The call", "How urgent", "pick", "", (("now", "stands, work waits"), ("today", "today"), ("week", "this week"), ("routine", "routine look"))),
)  # fmt: skip
_BEFORE = (
    quantity("supply-v", "before", "Supply", "Supply at its terminals", "voltage", needs="permit", high=50000, hint="under load where that is safe"),
    quantity("tap-v", "before", "Speed settings", "Setting", "voltage", needs="permit", per="tap", high=50000),
    quantity("drop-supply-v", "before", "Drops at working current", "Supply side", "voltage", needs="permit", classes=("starter", "traction", "generator"), high=50),
    quantity("drop-return-v", "before", "Drops at working current", "Return side", "voltage", needs="permit", classes=("starter", "traction", "generator"), high=50),
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
    SheetField("upstream", "before", "Outcome", "Outcome", "pick", "", (("upstream", "the fault lies before the motor: do not open it"), ("open", "go on, open the motor"))),
)  # fmt: skip
_OPEN = (
    SheetField("state", "open", "How far it is open", "It is now", "pick", "", (("opened", "brushes and commutator in sight"), ("stripped", "armature out")), "safe"),
    *ticks("open", "Recorded", "safe", ("marks", "Witness marks made"), ("photos", "Photos taken"), ("wires", "Wires noted, which went where")),
    SheetField("stack", "open", "Recorded", "Washers, shims, insulators, seals: order and direction", "text", "", (), "safe", hint="from the rotor outwards"),
    SheetField("mind", "open", "Recorded", "Must not be twisted, pulled or lost", "text", "", (), "safe"),
)  # fmt: skip
_BRUSHES = (
    quantity("force", "brushes", "Springs", "Spring force", "force", needs="safe", per="position", low=0.01, high=1000),
    quantity("gap", "brushes", "Holders", "Holder gap", "length", needs="safe", per="position", high=50),
    quantity("box-t", "brushes", "Holders", "Box, along the rotation", "length", needs="safe", per="position", low=0.1, high=500),
    quantity("brush-t", "brushes", "Holders", "Brush, along the rotation", "length", needs="safe", per="position", low=0.1, high=500),
    quantity("box-a", "brushes", "Holders", "Box, along the shaft", "length", needs="safe", per="position", low=0.1, high=500),
    quantity("brush-a", "brushes", "Holders", "Brush, along the shaft", "length", needs="safe", per="position", low=0.1, high=500),
    quantity("dust-g", "brushes", "Dust", "Dust taken out", "dust", needs="safe", high=10000),
)  # fmt: skip
_PARTS = tuple(
    SheetField(f"seen.{f.id}", stage, "Seen", f.words, "tick", "", (), "safe") for stage, group in PARTS.items() for f in group
)  # fmt: skip
_SOUND = tuple(
    SheetField(f"sound.{stage}", stage, "Seen", "looked at, nothing found", "tick", "", (), "safe") for stage in PARTS
)
_REMARKS = tuple(
    SheetField(f"remark.{stage}", stage, "Remarks", "Remark", "text", "", (), "safe" if stage in INSIDE else "")
    for stage in STAGES
)
OUTCOMES = (
    ("service", "back to service"), ("deferred", "back to service with what is put off"), ("upstream", "not opened: the fault lies before it"),
    ("out", "out of service until it is mended"), ("away", "sent out or replaced"),
)  # fmt: skip
_DECIDE = (
    SheetField("outcome", "decide", "Outcome", "What becomes of it", "pick", "", OUTCOMES),
    *(SheetField(f"overrule.{c}", "decide", "Overruled", w, "pick", "", tuple(WORDS.items()), "") for c, w in (*COMPONENTS.items(), ("motor", "The motor"))),
    *(SheetField(f"ruled-out.{c.id}", "decide", "Causes found and mended", c.words, "tick") for c in CAUSES.values()),
)  # fmt: skip
_REWORK = (
    SheetField(
        "temporary",
        "rework",
        "Temporary repairs",
        "What was done to get it going",
        "decision",
        per="number",
        needs="safe",
    ),
)
_CLOSE = (
    *ticks("close", "Closed up", "safe", ("latched", "New brushes released from their latches"), ("marks-met", "Witness marks meet"),
            ("free", "Turns freely by hand, no scrape"), ("nothing-left", "No part left over")),
    quantity("torque-nm", "close", "Closed up", "Torque of the through-bolts, N·m", "count", needs="safe", high=1000, hint="maker's figure first"),
)  # fmt: skip
_PROVE = (
    SheetField("bump", "prove", "Run", "A short touch of power", "pick", "", (("right", "right way round, nothing rubs"), ("wrong", "wrong way round"), ("rubs", "rubs or sparks")), "power"),
    quantity("run-v", "prove", "Run", "Volts", "voltage", needs="power", high=50000),
    quantity("run-a", "prove", "Run", "Current", "current", needs="power", high=50000),
    quantity("run-rpm", "prove", "Run", "Speed", "speed", needs="power", high=1e5),
    SheetField("sparks", "prove", "Run", "Sparks at the brushes", "pick", "", (("0", "0, dark"), ("1", "1, pin points at few edges"), ("2", "2, light, at half the edges"), ("3", "3, strong, all edges"), ("4", "4, flashing round")), "power"),
    quantity("earth-ohm", "prove", "Earth", "Protective earth, lead taken off", "resistance", high=1e6, classes=("appliance", "tool", "industrial")),
)  # fmt: skip
_PERMIT = (
    SheetField("permit.open", "before", "Test with power on", "Opened", "decision", per="number"),
    SheetField("permit.close", "before", "Test with power on", "Closed", "tick", per="number"),
)
_GATES = (
    SheetField("safe.method", "safe", "Isolation", "Isolated by", "pick", "", tuple(METHODS.items())),
    *(SheetField(f"waive.{g}", "sign" if g == "service" else "prove" if g == "power" else "safe", "Waived", f"{w}: waived because", "text") for g, w in GATES.items()),
    *(SheetField(f"confirm.{g}", "sign" if g == "service" else "prove" if g == "power" else "safe", "Confirmed", w, "tick") for g, w in GATES.items()),
)  # fmt: skip
_SIGN = (
    SheetField("parts", "sign", "Parts", "Parts used", "text", hint="part number and how many"),
    SheetField(
        "next-look", "sign", "Next look", "Sooner than Norvash says, by day", "text", hint="a day; empty: as forecast"
    ),
)
# What to mind where a sign is looked for.
_MIND = {sign_id: check.danger for check in CHECKS for sign_id in check.signs}
# Signs inside the motor follow from what is found on its parts and are not asked for a second time.
_SIGNS = tuple(
    SheetField(f"sign.{s.id}", s.stage, "Noticed", s.words, "pick", "", (*((a.id, a.words) for a in s.answers), *(((NOT_SO, s.not_so),) if s.not_so else ())),
               hint=_MIND.get(s.id, ""), classes=s.classes)
    for s in SIGNS if s.stage not in INSIDE
)  # fmt: skip
_SKIP = tuple(
    SheetField(f"skip.{stage}", stage, "Skipped", f"{words}: skipped because", "text")
    for stage, words in STAGES.items()
    if stage not in ("safe", "sign")
)
FIELDS: tuple[SheetField, ...] = (
    *_CALL, *_SIGNS, *_GATES, *_BEFORE, *_PERMIT, *_OPEN, *_BRUSHES, *_PARTS, *_SOUND, *part_fields.FIELDS, *_DECIDE, *_REWORK, *_CLOSE, *_PROVE,
    *_SIGN, *_REMARKS, *_SKIP,
)  # fmt: skip
BY_ID = {f.id: f for f in FIELDS}


def field_of(field_id: str) -> SheetField | None:
    """Return a field by its id; steps of gates, decisions on findings and what was put off are named as they come."""
    if field_id in BY_ID:
        return BY_ID[field_id]
    kind, _, rest = field_id.partition(".")
    gate, _, step = rest.partition(".")
    if kind == "step" and gate in GATES and step:
        stage = {"safe": "safe", "power": "prove", "service": "sign"}[gate]
        return SheetField(field_id, stage, GATES[gate], step, "tick")
    if kind == "settle" and rest:
        return SheetField(field_id, "call-in", "Put off before", "mended now", "tick")
    if kind == "decide" and rest:
        return SheetField(field_id, "decide", "Decided", rest, "decision", per="position")
    return None


def _by_ohm(facts: Facts, rules: MotorRules) -> bool:
    """Tell whether a terminal may be judged by its resistance: of no starter, and of no machine of low voltage."""
    low = facts.rated_v is not None and not over(facts.rated_v, rules["terminal.low-voltage"])
    return facts.motor_class != "starter" and not low


def _is_parted(tick: str, facts: Facts, _: MotorRules) -> bool:
    return tick in facts.to_part


def _shows(sign: Sign, facts: Facts, _: MotorRules) -> bool:
    return offered(sign, facts.motor_class)


def fields_of(stage: str, facts: Facts, rules: MotorRules) -> tuple[SheetField, ...]:
    """Return the fields of a stage that are offered for this motor."""
    return tuple(f for f in FIELDS if f.stage == stage and is_offered(f, facts, rules))


# What is offered of some motors only, by the field: what means nothing without a figure, an earth, a part that can be lifted or a run without load.
_OFFERED: dict[str, Callable[[Facts, MotorRules], bool]] = {
    "tap-v": lambda facts, _: bool(facts.taps),
    "terminal-ohm": _by_ohm,
    "terminal-step": _by_ohm,
    "noload-a": lambda facts, _: facts.may_run_free,
    "noload-rpm": lambda facts, _: facts.may_run_free,
    "earth-ohm": lambda facts, _: facts.earthed,
    "bar-map": lambda facts, _: facts.figures.stated("bars") is not None,
    "holder-set": lambda facts, _: facts.figures.stated("commutator_now_mm") is not None,
    **{tick: partial(_is_parted, tick) for tick, _ in part_fields.PARTED},
    **{f"sign.{s.id}": partial(_shows, s) for s in SIGNS},
}


def is_offered(field: SheetField, facts: Facts, rules: MotorRules) -> bool:
    """Tell whether a field is offered: by class, voltage, the taps there are, and what would make it run away."""
    if field.classes and facts.motor_class not in field.classes:
        return False
    return _OFFERED[field.id](facts, rules) if field.id in _OFFERED else True
