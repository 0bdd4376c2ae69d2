"""The polarity of the brush boxes, as it was found and as it is left: it alternates by arm round the commutator."""

from collections.abc import Iterator
from dataclasses import replace

from norvash.core.motor.positions import PositionPlan, alternating, polarity_wrong
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.field import Field
from norvash.core.sheet.fields_made import pick
from norvash.core.sheet.finding import finding
from norvash.core.sheet.measured import Measured, standing_of
from norvash.core.sheet.part import BRUSHES, HOLDERS
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.task import Task

_FEWEST_ARMS = 3
WIRE_BOXES = Task(
    id="wire-boxes",
    what="Wire the boxes so that + and − alternate",
    done="boxes wired to alternate",
    minutes=25,
    tools="meter, paper tape for the arms",
    steps=("draw the plate as it is", "move the leads as the drawing shows", "say the polarity of every box again"),
)
FINDINGS = (
    BOX_POLARITY := finding(
        "boxes.polarity",
        "the boxes do not alternate round the commutator",
        "stop",
        "no power: wire them as the drawing shows",
        HOLDERS,
        WIRE_BOXES,
        kinds={"before-power"},
        cause="wiring",
    ),
)


def _many_arms(facts: Facts, _rules: MotorRules) -> bool:
    return len({p.arm for p in facts.positions}) >= _FEWEST_ARMS


FIELDS: tuple[Field, ...] = (
    BOX := pick(
        "box-polarity",
        "Polarity by box",
        "Polarity",
        ("+", "+"),
        ("-", "−"),
        needs="safe",
        per="position",
        hint="round the commutator; brushes side by side on one arm share it",
        offered=_many_arms,
        judged=True,
        tells=(BOX_POLARITY,),
        hangs_on=(BRUSHES, HOLDERS),
    ),
)


def boxes(sheet: Sheet) -> tuple[PositionPlan, ...]:
    """Return the positions with the polarity that was read at every box, empty before it was read at all of them."""
    read = tuple(replace(p, polarity=BOX.of(sheet, p.number)) for p in sheet.facts.positions)
    return read if all(p.polarity for p in read) else ()


def wrong_at(sheet: Sheet) -> str:
    """Return in words where the polarity of the boxes that were read does not alternate; where none were, that of the
    motor's plan; empty where it does.
    """
    read = boxes(sheet)
    wrong = polarity_wrong(read or sheet.facts.positions)
    if not wrong:
        return ""
    if read:
        return f"{_signs(read)} round the commutator: {wrong}; right is {_signs(alternating(read))}"
    return f"polarity does not alternate by arm: {wrong}; look at the wiring, or correct the plan under Figures"


def unfinished(sheet: Sheet) -> str:
    """Return how many boxes of how many were read, empty where none or every one was."""
    read, every = len(BOX.places(sheet)), len(sheet.facts.positions)
    return f"polarity of the boxes: {read} of {every} read" if 0 < read < every else ""


def measured(sheet: Sheet) -> Iterator[Measured]:
    """Yield the polarity of the boxes: whether it alternates once every one is read, till then how many are."""
    places, part = BOX.places(sheet), unfinished(sheet)
    if not places:
        return
    of, wrong = tuple((BOX.id, n) for n in places), wrong_at(sheet) if boxes(sheet) else ""
    words, standing = f"boxes {_signs(boxes(sheet))} round the commutator: they alternate", standing_of(not wrong)
    if part:
        words, standing = part, "not whole"
    elif wrong:
        words = f"boxes {wrong}"
    off = (BOX_POLARITY.worded(words),) if wrong else ()
    yield Measured(id="polarity", of=of, words=words, standing=standing, findings=off)


def _signs(plans: tuple[PositionPlan, ...]) -> str:
    """Return the polarities round the commutator, arm by arm."""
    by_arm = {p.arm: p.polarity for p in sorted(plans, key=lambda p: p.angle_deg)}
    return " ".join(x.replace("-", "−") for x in by_arm.values())
