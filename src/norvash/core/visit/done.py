"""What was done on a sheet, and which places that has touched: what is read there next is as left."""

from collections.abc import Iterable, Mapping
from datetime import datetime

from norvash.core.sheet.field import YES, Field
from norvash.core.sheet.finding import Finding
from norvash.core.sheet.given import Given, Sight
from norvash.core.sheet.part import BELT, OUTSIDE
from norvash.core.sheet.records import PutOff
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.task import Task
from norvash.core.stages.call_in import FIND_FAULT
from norvash.core.stages.catalogue import FIELD_BY_ID, FINDINGS, TASKS, field_of
from norvash.core.stages.decide import decided_finding
from norvash.core.stages.own_tasks import own_tasks
from norvash.core.stages.prove.earth import EARTH_OHM, JOIN_EARTH
from norvash.core.stages.prove.run_findings import FLASH_FIELD
from norvash.core.stages.record import HOW_FAR_OPEN
from norvash.core.stages.rework import TEMPORARY, done_task
from norvash.core.stages.running_in import OVER, RUNIN_CLOCK
from norvash.core.stages.shared import CLEAN_TRACK, CONTOUR_FACES, FIT_SET, RUN_IN

# Decided and done at once, as it was entered before each task had its own tick.
DONE = "done"


def done_tasks(sheet: Sheet) -> Mapping[Task, tuple[Given, ...]]:
    """Return the tasks that are done on a sheet, each with what says so."""
    known: Mapping[Task, tuple[Given, ...]] | None = sheet.worked_out.get("done_tasks")
    if known is not None:
        return known
    made: dict[Task, list[Given]] = {}
    own = own_tasks(sheet)
    for (field_id, _), given in sheet.entries.items():
        for task in _said_by(field_id, given, own) if given.stands else ():
            made.setdefault(task, []).append(given)
    made |= {task: [given] for task, given in _for_a_while(sheet)}
    done = {task: tuple(said) for task, said in made.items()}
    sheet.worked_out["done_tasks"] = done
    return done


def _for_a_while(sheet: Sheet) -> Iterable[tuple[Task, Given]]:
    """Yield the temporary repairs that mend a finding, each as work in the place of that which mends it for good."""
    for n in TEMPORARY.places(sheet):
        given = TEMPORARY.given(sheet, n)
        mends = given.record.mends if given is not None and isinstance(given.record, PutOff) else ""
        finding = FINDINGS.get(mends.partition("@")[0])
        if given is not None and finding is not None:
            words = f"for a while: {given.word}"
            yield (
                Task(
                    id=f"{TEMPORARY.id}.{n}",
                    what=words,
                    done=words,
                    minutes=0,
                    tools="",
                    steps=(),
                    touches=(finding.part.id,),
                    in_place_of=tuple(t for t in finding.tasks if not t.looks),
                ),
                given,
            )


def _said_by(field_id: str, given: Given, own: Mapping[str, Task]) -> Iterable[Task]:
    if field_id in FIELD_BY_ID:
        run_in = (RUN_IN,) if (field_id, given.word) == (RUNIN_CLOCK.id, OVER) else ()
        return (*FIELD_BY_ID[field_id].does, *FIELD_BY_ID[field_id].ends, *run_in)
    if given.word not in (YES, DONE):
        return ()
    field = field_of(field_id)
    if field is None:
        return ()
    if given.word == YES and done_task(field) in TASKS:
        return (TASKS[done_task(field)],)
    if given.word == YES and done_task(field) in own:
        return (own[done_task(field)],)
    finding = FINDINGS.get(decided_finding(field)) if given.word == DONE else None
    return finding.tasks if finding is not None else ()


def done_by(finding: Finding, tasks: Mapping[Task, tuple[Given, ...]]) -> tuple[Given, ...]:
    """Return what says that a finding was worked on: a task that mends it, else one that does more than look, or, where
    all of its tasks only look, one of those.
    """
    asked = finding.mended_by or [t for t in finding.tasks if not t.looks] or finding.tasks
    return tuple(dict.fromkeys(given for task in asked for given in tasks.get(task, ())))


def work_done(tasks: Mapping[Task, tuple[Given, ...]], finding: Finding | None = None) -> tuple[str, ...]:
    """Return the work that was done, in words and in its order; of one finding, that which it asks for.

    An entry of the time before each task had its own tick says that something was done, and not what.
    """
    said = [
        (min(g.at for g in given), task.done)
        for task, given in tasks.items()
        if not task.looks
        and any(g.word != DONE for g in given)
        and (finding is None or task in finding.tasks or ("of-brush" in finding.kinds and task is FIT_SET))
    ]
    return tuple(dict.fromkeys(words for _, words in sorted(said, key=lambda s: s[0])))


def last_work(sheet: Sheet) -> datetime:
    """Return when the last work on the motor was entered; without any, when the sheet was opened."""
    work = [g.at for task, said in done_tasks(sheet).items() if not task.looks and _opens(task) for g in said]
    return max(work, default=sheet.at)


def last_inside(sheet: Sheet) -> datetime | None:
    """Return when the last work inside the motor was entered, or that it was opened; None where it was only looked at.

    A cord, a switch or an earth lead lie outside it; stone and paper through a window open nothing.
    """
    opened, worked = HOW_FAR_OPEN.given(sheet), last_closing_of_case(sheet)
    return max((at for at in (worked, opened.at if opened is not None else None) if at is not None), default=None)


def last_closing_of_case(sheet: Sheet) -> datetime | None:
    """Return when the last work inside the motor was entered, None without any."""
    work = (g.at for task, said in done_tasks(sheet).items() if _is_inside(task) for g in said)
    return max(work, default=None)


def last_closing(sheet: Sheet) -> datetime | None:
    """Return when the last work was entered that opened the motor, or what is joined to it; None without any. Stone and
    paper through a window, and a field that is flashed, open nothing.
    """
    work = (g.at for task, said in done_tasks(sheet).items() if _closed_after(task) for g in said)
    return max(work, default=None)


def asked_since(field: Field, sheet: Sheet) -> datetime:
    """Return since when what stands in a field that is asked after work counts: earth since it was closed for the last
    time, all else since the last work.
    """
    return (last_closing(sheet) or sheet.at) if field is EARTH_OHM else last_work(sheet)


def _closed_after(task: Task) -> bool:
    return not task.looks and _opens(task) and task not in _AT_A_WINDOW


def _is_inside(task: Task) -> bool:
    only_outside = task.touches and all(part in OUTSIDE for part in task.touches)
    return not (task.looks or task.runs or task in _OUTSIDE or only_outside) and task is not FIND_FAULT


_AT_A_WINDOW = frozenset({FLASH_FIELD, CLEAN_TRACK, CONTOUR_FACES})
_OUTSIDE = frozenset(
    {
        *(t for f in FINDINGS.values() if f.part.outside and f.part is not BELT for t in f.tasks),
        JOIN_EARTH,
        *_AT_A_WINDOW,
    }
)


def _opens(task: Task) -> bool:
    """Tell whether a task opens or moves something, so that what was looked at before it is looked at again."""
    return task is not FIND_FAULT and not task.runs


def overtaken(field: Field, sheet: Sheet, place: int = 0) -> bool:
    """Tell whether work that touches what a field speaks of was entered after what stands in it."""
    given = field.given(sheet, place)
    return given is not None and any(
        work.at > given.at for task, said in done_tasks(sheet).items() if touched(field, [task], {}) for work in said
    )


def touched(field: Field, tasks: Iterable[Task], new: Mapping[int, bool], place: int = 0) -> bool:
    """Tell whether work of a visit has touched what a field speaks of: its next value is then as left.

    `tasks` are those that are done, `new` the positions with a new brush.
    """
    work = [t for task in tasks if not task.looks for t in (task, *task.in_place_of)]
    if not work and not new:
        return False
    if field.after_work and (new or any(_opens(task) for task in work)):
        return True
    asked = field.tells if not field.tested else (*field.tells, *FIELD_BY_ID[field.tested].tells)
    if any(f.part.id in task.touches for f in asked for task in work):
        return True
    if any(task in f.tasks for f in asked for task in work) or any(task in field.touched_by for task in work):
        return True
    if field.tested and touched(FIELD_BY_ID[field.tested], work, new, place):
        return True
    return place in new and any(FIT_SET in f.tasks for f in asked)


def work_beside(field: Field, tasks: Mapping[Task, tuple[Given, ...]]) -> tuple[Given, ...]:
    """Return what says that something was worked on at this visit on which the value of a field hangs."""
    hangs_on = {p.id for p in (field if not field.tested else FIELD_BY_ID[field.tested]).hangs_on}
    worked = ((said, hangs_on & _PARTS_OF.get(task, frozenset())) for task, said in tasks.items() if not task.looks)
    return tuple(g for said, on in worked if on for g in said)


_PARTS_OF = {
    t: frozenset({*t.touches, *(f.part.id for f in FINDINGS.values() if t in f.tasks)}) for t in TASKS.values()
}


def may_be_left(field: Field, tasks: Mapping[Task, tuple[Given, ...]], new: Mapping[int, bool], place: int = 0) -> bool:
    """Tell whether a value may be said to be as left: work of this visit has touched its place, or was done on
    something that it hangs on. Only the first proposes it.
    """
    return touched(field, tasks, new, place) or bool(work_beside(field, tasks))


def read_anew(field: Field, sheet: Sheet, place: int) -> bool:
    """Tell whether what stands as left in a field of several places is from before the last work on it, and another
    place was read after that: the whole is being read again.
    """
    given = sheet.given(field.id, place, "left")
    work = [g.at for task, said in done_tasks(sheet).items() if touched(field, [task], {}) for g in said]
    if given is None or field.per != "position" or given.at > max(work, default=given.at):
        return False
    others = (sheet.given(field.id, p.number, "left") for p in sheet.facts.positions)
    return bool(work) and any(g is not None and g.at > max(work) for g in others)


def worked_on(finding: Finding, position: int, sheet: Sheet, new: Mapping[int, bool]) -> bool:
    """Tell whether work on a sheet has touched the place at which a finding by sight is looked for, or that of what it
    ends.
    """
    both = (finding, *(f for f in FINDINGS.values() if f.ends == finding.id))
    asked = {t for f in both for t in f.mended_by or f.tasks}
    return ("of-brush" in finding.kinds and position in new) or any(
        t in asked for t in done_tasks(sheet) if not t.looks
    )


def sight_of(field: Field, tasks: Iterable[Task], new: Mapping[int, bool], place: int = 0) -> Sight:
    """Return the sight of which the next value in a field speaks."""
    if field.records_work:
        return "left"
    return "left" if field.sighted and touched(field, tasks, new, place) else "found"
