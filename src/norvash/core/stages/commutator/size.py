"""The size of the copper, as measured."""

from norvash.core.sheet.field import Field
from norvash.core.sheet.fields_made import column, quantity
from norvash.core.sheet.finding import finding
from norvash.core.sheet.part import COMMUTATOR
from norvash.core.stages.commutator.cut import COPPER_PLANNED
from norvash.core.stages.shared import PLAN_CUT, RENEW_ARMATURE, UNDERCUT_MICA

FINDINGS = (
    SLOT_SHALLOW := finding(
        "slot.shallow", "slots too shallow", "plan", "undercut them", COMMUTATOR, UNDERCUT_MICA, kinds={"ends-in-cut"}
    ),
)
FIELDS: tuple[Field, ...] = (
    TRACK_D := column(
        "track-d",
        "Size of the copper",
        "Diameter of the track",
        "length",
        needs="safe",
        low=0.1,
        high=5000,
        hint="up to six: ends and middle, at two angles",
        judged=True,
        tells=COPPER_PLANNED,
        touched_by=(PLAN_CUT, RENEW_ARMATURE),
        hangs_on=(COMMUTATOR,),
    ),
    SHOULDER_D := quantity(
        "shoulder-d",
        "Size of the copper",
        "Diameter of an unworn shoulder",
        "length",
        needs="safe",
        low=0.1,
        high=5000,
        hint="none: leave it empty",
        judged=True,
        tells=COPPER_PLANNED,
        touched_by=(PLAN_CUT, RENEW_ARMATURE),
        hangs_on=(COMMUTATOR,),
    ),
    GROOVE := quantity(
        "groove",
        "Size of the copper",
        "Groove in the track, radial",
        "length",
        needs="safe",
        high=50,
        hint="depth below the shoulder",
        judged=True,
        tells=COPPER_PLANNED,
        touched_by=(PLAN_CUT, RENEW_ARMATURE),
        hangs_on=(COMMUTATOR,),
    ),
    PIT := quantity(
        "pit",
        "Size of the copper",
        "Deepest pit, radial",
        "length",
        needs="safe",
        high=50,
        hint="a pit in a groove: both together",
        judged=True,
        tells=COPPER_PLANNED,
        touched_by=(PLAN_CUT, RENEW_ARMATURE),
        hangs_on=(COMMUTATOR,),
    ),
    EARLIER_STEP := quantity(
        "step",
        "Size of the copper",
        "Step left by an earlier cut, radial",
        "length",
        needs="safe",
        high=50,
        judged=True,
        tells=COPPER_PLANNED,
        touched_by=(PLAN_CUT, RENEW_ARMATURE),
        hangs_on=(COMMUTATOR,),
    ),
    SLOT_DEPTH := quantity(
        "slot-depth",
        "Size of the copper",
        "Slot depth, the shallowest",
        "length",
        needs="safe",
        high=20,
        hint="measured in the track: add the groove",
        judged=True,
        tells=(SLOT_SHALLOW,),
        touched_by=(PLAN_CUT, RENEW_ARMATURE),
        hangs_on=(COMMUTATOR,),
    ),
)
