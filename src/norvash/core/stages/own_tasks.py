"""Tasks that people add to the work list, those that they drop from it, and its order."""

from functools import cache
from types import MappingProxyType

from norvash.core.sheet.field import Field, Text
from norvash.core.sheet.fields_made import text
from norvash.core.sheet.fields_of_parts import Added
from norvash.core.sheet.part import PARTS
from norvash.core.sheet.records_of_parts import AddedTask
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.task import Task

MOST_OWN = 30
_DROP, _OWN = "drop.", "own-"
# The parts that a task of one's own can touch, by id.
TOUCHES = MappingProxyType({p.id: p for p in PARTS})
OWN_TASK = Added(id="own-task", group="Work", label="A task of one's own", needs="safe", per="number", placed=True)
WORK_ORDER = text("work-order", "Work", "Order of the work", placed=True)
FIELDS: tuple[Field, ...] = (OWN_TASK, WORK_ORDER)


@cache
def dropped(task_id: str) -> Text:
    """Return the field that says why a task is dropped from the list; what asks for it stays open."""
    return text(f"{_DROP}{task_id}", "Work", "Dropped from the list, because")


def dropped_task(field_id: str) -> str:
    """Return the id of the task that a field drops, empty for another field."""
    rest = field_id.removeprefix(_DROP)
    return rest if rest != field_id else ""


def own_id(place: int) -> str:
    """Return the id of a task of one's own by its place."""
    return f"{_OWN}{place}"


def own_place(task_id: str) -> int:
    """Return the place of a task of one's own by its id, 0 for another task."""
    rest = task_id.removeprefix(_OWN)
    return int(rest) if rest != task_id and rest.isdigit() else 0


def own_tasks(sheet: Sheet) -> MappingProxyType[str, Task]:
    """Return the tasks that were added to a sheet, by id; one that touches no part is no work on the motor."""
    known: MappingProxyType[str, Task] | None = sheet.worked_out.get("own_tasks")
    if known is not None:
        return known
    made = {}
    for place in OWN_TASK.places(sheet):
        given = OWN_TASK.given(sheet, place)
        if given is None or not isinstance(given.record, AddedTask):
            continue
        touches = given.record.touches
        made[own_id(place)] = Task(
            id=own_id(place),
            what=given.word,
            done=f"{given.word[0].lower()}{given.word[1:]}",
            minutes=int(given.record.minutes or 0),
            tools="",
            steps=(),
            looks=not touches,
            touches=touches,
        )
    sheet.worked_out["own_tasks"] = MappingProxyType(made)
    return MappingProxyType(made)
