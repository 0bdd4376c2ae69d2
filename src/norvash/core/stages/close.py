"""Close up: nothing latched, nothing left over, it turns."""

from norvash.core.sheet.field import Field
from norvash.core.sheet.fields_made import column, pick, quantity, tick
from norvash.core.sheet.finding import finding
from norvash.core.sheet.part import DRIVE
from norvash.core.sheet.stage import Stage
from norvash.core.sheet.task import Task
from norvash.core.stages import stacks
from norvash.core.stages.brushes.holders import HOLDER_GAP
from norvash.core.stages.drive.shaft import END_FLOAT
from norvash.core.stages.signed_over import OVER_CLOSE

SHIFT_SHROUD = Task(
    id="shroud",
    what="Shift the shroud, or straighten the fan",
    done="shroud shifted",
    minutes=15,
    tools="feeler gauges",
    steps=("loosen it", "shift it as the gaps say", "turn it by hand: nothing rubs", "read the gaps again"),
)
FAN_NEAR = finding(
    "fan.near", "fan too near its shroud", "plan", "shift the shroud before it rubs", DRIVE, SHIFT_SHROUD
)
TIGHTEN = Task(
    id="tighten",
    what="Tighten across again, in three rounds",
    done="tightened again",
    minutes=10,
    tools="torque wrench",
    steps=("loosen all by half a turn", "finger tight, half, whole, across", "turn it by hand: it still turns freely"),
)
TORQUE_OFF = finding(
    "torque.off", "tightened to another torque", "change", "loosen and tighten across again", DRIVE, TIGHTEN
)
FIELDS: tuple[Field, ...] = (
    LATCHED := tick(
        "latched", "Closed up", "Nothing holds a brush back: latches and hooks off", needs="safe", after_work=True
    ),
    MARKS_MET := tick("marks-met", "Closed up", "Witness marks meet", needs="safe", after_work=True, record=True),
    TURNS_FREE := tick(
        "free", "Closed up", "Turns freely by hand, no scrape", needs="safe", after_work=True, proves=(OVER_CLOSE,)
    ),
    NOTHING_LEFT := tick("nothing-left", "Closed up", "No part left over", needs="safe", after_work=True, record=True),
    TORQUE_NM := quantity(
        "torque-nm",
        "Closed up",
        "Torque wanted of the through-bolts",
        "torque",
        needs="safe",
        high=1000,
        hint="maker's figure first; a band too, like 26–31 in·lb",
        judged=True,
        tells=(TORQUE_OFF,),
        placed=True,
    ),
    TORQUE_REACHED := quantity(
        "torque-reached",
        "Closed up",
        "Torque reached",
        "torque",
        needs="safe",
        high=1000,
        hint="what the wrench was set to, or read, in the last round",
        judged=True,
        tells=(TORQUE_OFF,),
        touched_by=(TIGHTEN,),
        placed=True,
    ),
    SCREWED_INTO := pick(
        "torque-into",
        "Closed up",
        "Screwed into",
        ("steel", "steel or brass"),
        ("aluminium", "aluminium"),
        ("plastic", "plastic"),
        needs="safe",
        judged=True,
        tells=(TORQUE_OFF,),
        placed=True,
    ),
    SHIMS := column(
        "shims-at-hand",
        "Closed up",
        "Shims at hand",
        "length",
        needs="safe",
        low=0.01,
        high=20,
        hint="their thicknesses, for the end float",
        record=True,
        placed=True,
    ),
    SHROUD := column(
        "shroud-gaps",
        "Closed up",
        "Gaps round the fan's shroud",
        "length",
        needs="safe",
        high=200,
        hint="four, a quarter turn apart, from the top with the clock; 0 where it rubs",
        judged=True,
        tells=(FAN_NEAR,),
        touched_by=(SHIFT_SHROUD,),
        placed=True,
    ),
    SCREWS := quantity(
        "torque-screws",
        "Closed up",
        "Screws round the cover",
        "count",
        needs="safe",
        low=2,
        high=24,
        record=True,
        placed=True,
    ),
    ROUND := tick(
        "torque-round",
        "Closed up",
        "Tightened across, and it still turns freely",
        needs="safe",
        per="number",
        after_work=True,
        record=True,
        placed=True,
    ),
)
ROUNDS = ("finger tight", "half", "the whole torque")


STAGE = Stage(
    id="close",
    name="close",
    words="Close up",
    fields=(*FIELDS, *stacks.BACK_FIELDS),
    again=(END_FLOAT, HOLDER_GAP),
    findings=(*stacks.FINDINGS, FAN_NEAR, TORQUE_OFF),
    inside=True,
    schools=("school.torque", "school.order"),
)
