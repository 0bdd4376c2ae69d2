"""Holders of brushes: their gap, and how a brush sits in its box."""

from norvash.core.sheet.field import Field, Quantity
from norvash.core.sheet.fields_made import quantity, tick
from norvash.core.sheet.finding import Finding, finding
from norvash.core.sheet.part import HOLDERS
from norvash.core.sheet.task import Task
from norvash.core.stages.brushes.carbon import FREE_HOLDER
from norvash.core.stages.brushes.stated import SET_LEAD, SET_SECTION
from norvash.core.stages.shared import CHECK_NEUTRAL, FIT_SET, SET_HOLDERS, VACUUM

RENEW_HOLDER = Task(
    id="holder",
    what="Renew the holder",
    done="holder renewed",
    minutes=40,
    tools="new holder, feeler gauge",
    steps=("renew it", "set gap and square", "check the neutral mark"),
)
SET_GAP = Task(
    id="gap",
    what="Set the holder gap",
    done="holder gap set",
    minutes=10,
    tools="feeler gauge",
    steps=("loosen, set, tighten", "measure at every holder"),
    within=("set-holders",),
)
RENEW_INSULATOR = Task(
    id="insulator",
    what="Renew the insulator",
    done="insulator renewed",
    minutes=20,
    tools="new insulator, insulation tester",
    steps=("renew it", "test to earth"),
    caution="people clear, discharge after the test",
)
DRESS_BRUSH = Task(
    id="dress",
    what="Dress the brush to its box",
    done="brush dressed to its box",
    minutes=15,
    tools="flat plate, fine paper, caliper",
    steps=("dress both sides alike", "never file the box"),
    caution="carbon dust: mask",
)
SPACE_ARMS = Task(
    id="arms",
    what="Space the arms evenly",
    done="arms spaced evenly",
    minutes=30,
    tools="paper tape, scale",
    steps=("wrap a tape round, mark every arm", "set them equal within half a millimetre", "set neutral again"),
)
HOLDER = (
    HOLDER_DAMAGED := finding(
        "holder.damaged",
        "holder burnt, melted or oval",
        "change",
        "renew the holder; it is not dressed and never glued",
        HOLDERS,
        RENEW_HOLDER,
    ),
    HOLDER_CRACKED := finding(
        "holder.cracked", "plate or holder cracked", "change", "renew it: it is never glued", HOLDERS, RENEW_HOLDER
    ),
    HOLDER_LOOSE := finding(
        "holder.loose",
        "holder loose, the brush is not guided",
        "stop",
        "not to be run: the brush tips and takes the copper with it; renew the holder",
        HOLDERS,
        RENEW_HOLDER,
    ),
    HOLDER_ARMS := finding(
        "holder.arms",
        "arms spaced unequally round the commutator",
        "plan",
        "set them by a paper tape, equal within half a millimetre",
        HOLDERS,
        SPACE_ARMS,
        CHECK_NEUTRAL,
        shows=("arms-off", "yes"),
    ),
    INSULATOR_DIRTY := finding(
        "insulator.dirty", "insulator dirty with carbon", "watch", "wipe it: it is the path to earth", HOLDERS, VACUUM
    ),
    INSULATOR_CRACKED := finding(
        "insulator.cracked",
        "insulator cracked or missing",
        "stop",
        "renew it before power, or the post will earth",
        HOLDERS,
        RENEW_INSULATOR,
        kinds={"before-power"},
        proof="value",
    ),
)
FINDINGS = (
    GAP_WIDE := finding(
        "gap.wide", "holder gap too wide", "plan", "bring the holder in: the brush chatters and chips", HOLDERS, SET_GAP
    ),
    GAP_NARROW := finding(
        "gap.narrow",
        "holder gap too narrow",
        "change",
        "set the holder back before it touches the copper",
        HOLDERS,
        SET_GAP,
    ),
    CLEARANCE_TIGHT := finding(
        "clearance.tight",
        "brush tight in its box",
        "plan",
        "dress it on a flat plate, half a side; never file the box",
        HOLDERS,
        DRESS_BRUSH,
    ),
    CLEARANCE_WRONG := finding(
        "clearance.wrong",
        "brush too big for its box",
        "change",
        "the wrong part: send it back, never file the box",
        HOLDERS,
        FIT_SET,
        shows=("wrong-part", "yes"),
    ),
    CLEARANCE_LOOSE := finding(
        "clearance.loose",
        "brush loose in its box",
        "change",
        "do not use it: it tilts and wears two faces",
        HOLDERS,
        FIT_SET,
        shows=("wrong-part", "yes"),
    ),
    GAP_CUT := finding(
        "gap.cut",
        "holders not set since the cut",
        "plan",
        "set them: the brush sinks and the spring must reach further",
        HOLDERS,
        SET_HOLDERS,
    ),
)


def _width(field_id: str, label: str, *touched_by: Task, tells: tuple[Finding, ...] = ()) -> Quantity:
    """Return the field of a width of a box, or of the brush in it."""
    return _size(field_id, label, *touched_by, tells=(CLEARANCE_TIGHT, CLEARANCE_WRONG, CLEARANCE_LOOSE, *tells))


def _size(field_id: str, label: str, *touched_by: Task, tells: tuple[Finding, ...]) -> Quantity:
    """Return the field of a size at one position."""
    return quantity(
        field_id,
        "Holders",
        label,
        "length",
        needs="safe",
        per="position",
        low=0.1,
        high=500,
        judged=True,
        tells=tells,
        touched_by=touched_by,
    )


FIELDS: tuple[Field, ...] = (
    HOLDER_GAP := quantity(
        "gap",
        "Holders",
        "Holder gap",
        "length",
        needs="safe",
        per="position",
        high=50,
        judged=True,
        tells=(GAP_WIDE, GAP_NARROW, GAP_CUT),
        touched_by=(RENEW_HOLDER, SET_HOLDERS),
    ),
    BOX_T := _width("box-t", "Box, along the rotation", RENEW_HOLDER, FREE_HOLDER),
    BRUSH_T := _width("brush-t", "Brush, along the rotation", tells=(SET_SECTION,)),
    BOX_A := _width("box-a", "Box, along the shaft", RENEW_HOLDER, FREE_HOLDER),
    BRUSH_A := _width("brush-a", "Brush, along the shaft", tells=(SET_SECTION,)),
    BRUSH_LEAD := _size("lead-length", "Lead, free length", FIT_SET, tells=(SET_LEAD,)),
    HOLDERS_LOOKED := tick("looked.holders", "Looked at", "holders and insulators looked at", needs="safe"),
)
