"""What is entered from the decision to the signature."""

from norvash.core.diagnosis.causes import BY_ID as CAUSES
from norvash.core.part_findings import COMPONENTS
from norvash.core.sheet.field import SheetField, quantity, ticks
from norvash.core.verdict.grades import WORDS

OUTCOMES = (
    ("service", "back to service"),
    ("deferred", "back to service with what is put off"),
    ("upstream", "not opened: the fault lies before it"),
    ("out", "out of service until it is mended"),
    ("away", "sent out or replaced"),
)


# fmt: off
DECIDE = (
    SheetField(id="outcome", stage="decide", group="Outcome", label="What becomes of it", kind="pick", choices=OUTCOMES),
    *(
        SheetField(id=f"overrule.{c}", stage="decide", group="Overruled", label=w, kind="pick", choices=tuple(WORDS.items()))
        for c, w in (*COMPONENTS.items(), ("motor", "The motor"))
    ),
    *(SheetField(id=f"ruled-out.{c.id}", stage="decide", group="Causes found and mended", label=c.words, kind="tick") for c in CAUSES.values()),
)
# fmt: on


REWORK = (
    SheetField(
        id="temporary",
        stage="rework",
        group="Temporary repairs",
        label="What was done to get it going",
        kind="decision",
        per="number",
        needs="safe",
    ),
)


# fmt: off
CLOSE = (
    *ticks(
        "close",
        "Closed up",
        "safe",
        ("latched", "New brushes released from their latches"),
        ("marks-met", "Witness marks meet"),
        ("free", "Turns freely by hand, no scrape"),
        ("nothing-left", "No part left over"),
    ),
    quantity("torque-nm", "close", "Closed up", "Torque of the through-bolts, N·m", "count", needs="safe", high=1000, hint="maker's figure first"),
)
# fmt: on


PROVE = (
    SheetField(
        id="bump",
        stage="prove",
        group="Run",
        label="A short touch of power",
        kind="pick",
        choices=(("right", "right way round, nothing rubs"), ("wrong", "wrong way round"), ("rubs", "rubs or sparks")),
        needs="power",
    ),
    quantity("run-v", "prove", "Run", "Volts", "voltage", needs="power", high=50000),
    quantity("run-a", "prove", "Run", "Current", "current", needs="power", high=50000),
    quantity("run-rpm", "prove", "Run", "Speed", "speed", needs="power", high=1e5),
    SheetField(
        id="sparks",
        stage="prove",
        group="Run",
        label="Sparks at the brushes",
        kind="pick",
        choices=(
            ("0", "0, dark"),
            ("1", "1, pin points at few edges"),
            ("2", "2, light, at half the edges"),
            ("3", "3, strong, all edges"),
            ("4", "4, flashing round"),
        ),
        needs="power",
    ),
    quantity(
        "earth-ohm",
        "prove",
        "Earth",
        "Protective earth, lead taken off",
        "resistance",
        high=1e6,
        classes=("appliance", "tool", "industrial"),
    ),
)


SIGN = (
    SheetField(
        id="parts", stage="sign", group="Parts", label="Parts used", kind="text", hint="part number and how many"
    ),
    SheetField(
        id="next-look",
        stage="sign",
        group="Next look",
        label="Sooner than Norvash says, by day",
        kind="text",
        hint="a day; empty: as forecast",
    ),
)
