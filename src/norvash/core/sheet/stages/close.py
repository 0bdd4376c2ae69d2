"""Close up: nothing latched, nothing left over, it turns."""

from norvash.core.sheet.field import Field
from norvash.core.sheet.fields_made import quantity, tick
from norvash.core.sheet.stage import Stage

FIELDS: tuple[Field, ...] = (
    LATCHED := tick("latched", "Closed up", "New brushes released from their latches", needs="safe"),
    MARKS_MET := tick("marks-met", "Closed up", "Witness marks meet", needs="safe"),
    TURNS_FREE := tick("free", "Closed up", "Turns freely by hand, no scrape", needs="safe"),
    NOTHING_LEFT := tick("nothing-left", "Closed up", "No part left over", needs="safe"),
    TORQUE_NM := quantity(
        "torque-nm",
        "Closed up",
        "Torque of the through-bolts, N·m",
        "count",
        needs="safe",
        high=1000,
        hint="maker's figure first",
    ),
)
STAGE = Stage(
    id="close", name="close", words="Close up", fields=FIELDS, inside=True, schools=("school.torque", "school.order")
)
