"""Run-in of new faces, on “Rework”: when it ran, the points of its log, how long noise or sparks stayed."""

from norvash.core.sheet.field import Field
from norvash.core.sheet.fields_made import pick, quantity, tick
from norvash.core.sheet.fields_of_parts import Log
from norvash.core.sheet.finding import finding
from norvash.core.sheet.part import BRUSHES
from norvash.core.sheet.task import Task

ON, ASIDE, OVER = "on", "aside", "over"
LOOK_AT_FACES = Task(
    id="look-at-faces",
    what="Look at faces and bars after the run-in",
    done="faces and bars looked at after the run-in",
    minutes=15,
    tools="torch, mirror",
    steps=(
        "lift each brush, look at face and print",
        "look at the bars all round",
        "check seating, spring and bearing",
    ),
    looks=True,
)
FINDINGS = (
    RUNIN_OVER := finding(
        "runin.over",
        "run in over its plan",
        "watch",
        "look at faces and bars before more of it",
        BRUSHES,
        LOOK_AT_FACES,
    ),
    RUNIN_NOISE := finding(
        "runin.noise",
        "noise or sparks stayed after twice its run-in",
        "watch",
        "look again: face, print, seating, bearing",
        BRUSHES,
        LOOK_AT_FACES,
    ),
)
FIELDS: tuple[Field, ...] = (
    RUNIN_CLOCK := pick(
        "run-in",
        "Run-in",
        "The run-in",
        (ON, "it runs"),
        (ASIDE, "put aside"),
        (OVER, "ended"),
        needs="power",
        per="number",
        judged=True,
        placed=True,
    ),
    RUNIN_POINTS := Log(
        id="run-in-points",
        group="Run-in",
        label="Points of the run-in",
        needs="power",
        per="number",
        judged=True,
        placed=True,
        tells=(RUNIN_OVER,),
    ),
    RUNIN_LOOKED := tick(
        "run-in-looked",
        "Run-in",
        "Faces and bars looked at since: nothing found",
        needs="safe",
        judged=True,
        placed=True,
    ),
    RUNIN_LOUD := quantity(
        "run-in-loud",
        "Run-in",
        "Noise or sparks were still there after",
        "minutes",
        needs="power",
        low=0,
        high=100_000,
        hint="of running, as in 150 min or 2.5 h",
        judged=True,
        placed=True,
        tells=(RUNIN_NOISE,),
    ),
)
