"""Rework: the work list, temporary repairs, holders set after a cut."""

from functools import cache

from norvash.core.motor.figure_fields import COMMUTATOR_NOW_MM
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.field import Done, Field, Repair, Tick
from norvash.core.sheet.fields_made import pick, text, tick
from norvash.core.sheet.finding import finding
from norvash.core.sheet.part import REPAIRS
from norvash.core.sheet.stage import Stage
from norvash.core.sheet.task import Task
from norvash.core.stages import own_tasks, running_in
from norvash.core.stages.brushes.carbon import BRUSH_GREASED, BRUSH_REUSED
from norvash.core.stages.seating import FIELDS as SEATING
from norvash.core.stages.shared import FIT_SET, SET_HOLDERS


def _was_cut(facts: Facts, _rules: MotorRules) -> bool:
    return COMMUTATOR_NOW_MM.stated(facts.figures) is not None


TEMPORARY = Repair(
    id="temporary",
    group="Temporary repairs",
    label="What was done to get it going",
    needs="safe",
    per="number",
    placed=True,
    judged=True,
)
HOLDER_SET = tick(
    "holder-set",
    "After a cut",
    "Holders set to the new diameter",
    needs="safe",
    offered=_was_cut,
    marks="set",
    does=(SET_HOLDERS,),
)


def _by_school(_facts: Facts, rules: MotorRules) -> dict[str, str]:
    """Return why no grease frees a brush here: the site's school says so."""
    free = "free it by cleaning and sizing; grease binds dust and the brush sticks worse than before"
    return {} if rules.choice("school.grease").key == "film" else {"grease": free}


FREED_WITH = pick(
    "freed-with",
    "Holders freed",
    "A stuck brush was freed with",
    ("dry", "lint-free cloth and plastic scraper, dry"),
    ("cleaner", "cleaner that leaves nothing, dried"),
    ("grease", "a film of grease"),
    ("oil", "oil"),
    ("silicone", "silicone spray"),
    needs="safe",
    work=True,
    finds={"grease": BRUSH_GREASED},
    plainly=True,
    refused={
        "oil": "oil binds carbon dust: free it by cleaning and sizing",
        "silicone": "silicone vapour destroys the film under the brushes: free it by cleaning and sizing",
    },
    forbids=_by_school,
)
REUSED = pick(
    "reused",
    "Fitting",
    "What went in is",
    ("new", "new"),
    ("old", "an old brush, put back until there is a set"),
    needs="safe",
    per="position",
    touched_by=(FIT_SET,),
    finds={"old": BRUSH_REUSED},
    plainly=True,
)
SOLVENT = text(
    "solvent",
    "Solvent",
    "Which, and where it was used",
    needs="safe",
    hint="like plate, at 10:00; keep it off magnets, brushes and insulation that it swells",
    work=True,
)
SOLVENT_DRIES = pick(
    "solvent-dries",
    "Solvent",
    "It dries",
    ("air", "with air blown at it"),
    ("still", "by itself"),
    needs="safe",
    work=True,
)
SOLVENT_GONE = tick("solvent-gone", "Solvent", "Gone: dry, no smell of it", needs="safe", work=True)
MAKE_GOOD = Task(
    id="make-good",
    what="Make the temporary repair good",
    done="temporary repair made good",
    minutes=30,
    tools="as the repair asks",
    steps=("take the temporary part out", "mend it for good", "look at it again"),
)
FINDINGS = (REPAIR := finding("repair.temporary", "temporary repair", "plan", "make it good", REPAIRS, MAKE_GOOD),)
_TASK, _GONE = "task.", "gone."


def task_done(task_id: str) -> Done:
    """Return the field that says that a task is done."""
    return Done(id=f"{_TASK}{task_id}", group="Work", label=task_id, needs="safe", judged=True)


def done_task(field: Field) -> str:
    """Return the id of the task that a field says is done, empty for another field."""
    return field.id.removeprefix(_TASK) if isinstance(field, Done) else ""


@cache
def gone(finding_id: str) -> Tick:
    """Return the tick that says that somebody looked again and found it no more, at the place where it was."""
    return tick(
        f"{_GONE}{finding_id}", "Looked at again", "gone", needs="safe", per="position", whole=True, judged=True
    )


def gone_finding(field: Field) -> str:
    """Return the id of the finding that a fresh look found no more, empty for another field."""
    found = field.id.removeprefix(_GONE)
    return found if isinstance(field, Tick) and found != field.id else ""


def _named(field_id: str) -> Field | None:
    for start, made in ((_TASK, task_done), (_GONE, gone)):
        rest = field_id.removeprefix(start)
        if rest not in ("", field_id):
            return made(rest)
    return own_tasks.dropped(task) if (task := own_tasks.dropped_task(field_id)) else None


STAGE = Stage(
    id="rework",
    name="rework",
    words="Rework",
    fields=(
        TEMPORARY,
        HOLDER_SET,
        FREED_WITH,
        REUSED,
        SOLVENT,
        SOLVENT_DRIES,
        SOLVENT_GONE,
        *own_tasks.FIELDS,
        *SEATING,
        *running_in.FIELDS,
    ),
    findings=(*FINDINGS, *running_in.FINDINGS),
    inside=True,
    named=_named,
)
