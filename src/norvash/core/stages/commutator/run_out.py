"""Run-out by dial gauge."""

from norvash.core.commutator.tools import TURNED
from norvash.core.sheet.field import Field
from norvash.core.sheet.fields_made import column, pick, quantity
from norvash.core.sheet.finding import finding
from norvash.core.sheet.part import COMMUTATOR
from norvash.core.sheet.task import Task
from norvash.core.stages.shared import MAKE_BAR_TEST, PLAN_CUT, RENEW_ARMATURE, RENEW_BEARING

CHECK_SET_UP = Task(
    id="true-up",
    what="Check set-up and bearing seats",
    done="set-up and bearing seats checked",
    minutes=20,
    tools="dial gauge, vee blocks",
    steps=("run it on its bearing seats", "measure the run-out again"),
    looks=True,
)
FINDINGS = (
    RUNOUT_SEATS := finding(
        "runout.seats",
        "runs off centre on its own seats",
        "plan",
        "look at seats, shaft and bearings, then true it up and cut",
        COMMUTATOR,
        CHECK_SET_UP,
        RENEW_BEARING,
        PLAN_CUT,
        shows=("bearing-bad", "yes"),
    ),
    RUNOUT_SET_UP := finding(
        "runout.set-up",
        "runs off centre, but round",
        "watch",
        "check set-up and bearing seats before anything is cut",
        COMMUTATOR,
        CHECK_SET_UP,
    ),
    RUNOUT_BARS := finding(
        "runout.bars",
        "single bars stand out",
        "plan",
        "see whether they are tight; tight ones are cut, loose ones end the armature",
        COMMUTATOR,
        MAKE_BAR_TEST,
        PLAN_CUT,
        shows=("surface", "yes"),
        kinds={"ends-in-cut"},
    ),
    RUNOUT_OVER := finding(
        "runout.over",
        "run-out over its limit",
        "plan",
        "plan a cut",
        COMMUTATOR,
        CHECK_SET_UP,
        PLAN_CUT,
        shows=("surface", "yes"),
        kinds={"ends-in-cut"},
    ),
    RUNOUT_FAR := finding(
        "runout.far",
        "run-out far over its limit",
        "stop",
        "not to be run: it carries people or loads",
        COMMUTATOR,
        CHECK_SET_UP,
        PLAN_CUT,
        shows=("surface", "yes"),
        kinds={"never-runs"},
    ),
)
FIELDS: tuple[Field, ...] = (
    RUN_OUT := column(
        "run-out",
        "Run-out",
        "Dial readings, in the direction of turning",
        "length",
        needs="safe",
        low=-50,
        high=50,
        hint="one for each bar, or eight and more at equal angles; - where one is missing",
        judged=True,
        tells=(RUNOUT_SEATS, RUNOUT_SET_UP, RUNOUT_BARS, RUNOUT_OVER, RUNOUT_FAR),
        touched_by=(RENEW_ARMATURE,),
        hangs_on=(COMMUTATOR,),
    ),
    RUN_OUT_TOTAL := quantity(
        "run-out-total",
        "Run-out",
        "Total run-out, where it is known as one number",
        "length",
        needs="safe",
        high=50,
        judged=True,
        tells=(RUNOUT_OVER, RUNOUT_FAR),
        touched_by=(PLAN_CUT, RENEW_ARMATURE),
        hangs_on=(COMMUTATOR,),
    ),
    BAR_STEP := quantity(
        "bar-step",
        "Run-out",
        "Greatest step from bar to bar, as one number",
        "length",
        needs="safe",
        high=10,
        judged=True,
        tells=(RUNOUT_BARS,),
        touched_by=(PLAN_CUT, RENEW_ARMATURE),
        hangs_on=(COMMUTATOR,),
    ),
    RUN_OUT_ON := pick(
        "run-out-on", "Run-out", "It turned", *TURNED.items(), needs="safe", judged=True, tested="run-out"
    ),
    RUN_OUT_STEP := quantity(
        "run-out-step",
        "Run-out",
        "Finest step of the indicator",
        "length",
        needs="safe",
        low=0.0001,
        high=1,
        judged=True,
        tested="run-out",
    ),
)
