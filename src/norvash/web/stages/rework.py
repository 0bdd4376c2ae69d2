"""What the rework shows: the work list with what is done, what is still to be proven, temporary repairs."""

from dataclasses import dataclass

from norvash.core.sheet.given import Given
from norvash.core.stages.catalogue import RECORDED_BY, stage_of
from norvash.core.stages.own_tasks import OWN_TASK, TOUCHES, WORK_ORDER, dropped
from norvash.core.stages.rework import REPAIR, TEMPORARY, task_done
from norvash.core.visit.improvised import key_of, may_be_improvised
from norvash.core.visit.work_list import Proposed, minutes_left
from norvash.web.stages.run_in import RunInShown, run_in_shown
from norvash.web.stages.shown.at import At
from norvash.web.stages.shown.fields import Entry, entry
from norvash.web.stages.shown.fitting import Fitting, fitting_shown
from norvash.web.stages.shown.lives import LifeShown, lives_shown
from norvash.web.stages.shown.offers import OffersShown, offers_shown
from norvash.work.reading.sheet_now import SheetNow


@dataclass(frozen=True, slots=True, kw_only=True)
class TemporaryRow:
    """One task of the list: its tick or the field that records it, at which stage, the field that drops it, and the
    orders of the whole list in which it stands one earlier or one later, empty where that is not possible.
    """

    work: Proposed
    tick: Entry
    at: str
    drop: Entry
    order: Entry
    earlier: str
    later: str


@dataclass(frozen=True, slots=True, kw_only=True)
class Rework:
    """The work list with the tick of each task and the stage at which it is recorded, the tasks that are done and did
    not help `yet`, what is done and not proven, the temporary repairs, the place of the next one, the stops that it
    may mend for a while, the parts that are offered, how brushes go in, and how they are run in.
    """

    work: list[TemporaryRow]
    added: Entry
    touches: tuple[tuple[str, str], ...]
    minutes: float
    yet: frozenset[str]
    proving: list[LifeShown]
    temporary: list[Given]
    next: Entry
    for_a_while: tuple[tuple[str, str], ...]
    offers: OffersShown
    fitting: Fitting | None
    run_in: RunInShown


def _entry(shown: SheetNow, work: Proposed) -> Entry:
    """Return the tick of a task, or the field that records it where it has one."""
    recorded = RECORDED_BY.get(work.task.id)
    return entry(shown, recorded) if recorded is not None else entry(shown, task_done(work.task.id), 0, work.task.what)


def _rows(shown: SheetNow) -> list[TemporaryRow]:
    ids = [w.task.id for w in shown.work]
    order, made = entry(shown, WORK_ORDER), []
    for n, w in enumerate(shown.work):
        tick = _entry(shown, w)
        drop = entry(shown, dropped(w.task.id), 0, f"Why “{w.task.what}” is dropped")
        made.append(
            TemporaryRow(
                work=w,
                tick=tick,
                at=_stage(tick),
                drop=drop,
                order=order,
                earlier=_moved(ids, n, n - 1),
                later=_moved(ids, n, n + 1),
            )
        )
    return made


def _moved(ids: list[str], at: int, to: int) -> str:
    """Return the order in which one task of a list stands elsewhere."""
    if not 0 <= to < len(ids):
        return ""
    made = [*ids]
    made.insert(to, made.pop(at))
    return " ".join(made)


def _stage(e: Entry) -> str:
    """Return the id of the stage at which a task is recorded, empty for one that is ticked on the work list."""
    stage = stage_of(e.field.id)
    return "" if stage is None or stage.id == "rework" else stage.id


def view(at: At) -> Rework:
    """Return what the rework shows."""
    shown = at.shown
    places = TEMPORARY.places(shown.sheet)
    carried = [x.position for x in shown.visit.lives if x.finding.id == REPAIR.id]
    return Rework(
        work=_rows(shown),
        added=entry(shown, OWN_TASK, max(OWN_TASK.places(shown.sheet), default=0) + 1),
        touches=tuple((key, part.words) for key, part in TOUCHES.items()),
        minutes=minutes_left(shown.work),
        yet=frozenset(t.id for x in shown.visit.lives if x.stands for t in x.finding.tasks),
        proving=[x for x in lives_shown(shown) if x.life.state == "done not proven" or x.life.measured_again],
        temporary=[g for n in places if (g := TEMPORARY.given(shown.sheet, n)) is not None],
        offers=offers_shown(at),
        fitting=fitting_shown(shown),
        run_in=run_in_shown(at),
        for_a_while=tuple(
            (key_of(x.finding, x.position), f"{x.place}: {x.finding.words}")
            for x in shown.visit.lives
            if x.stands and may_be_improvised(x.finding)
        ),
        next=entry(shown, TEMPORARY, max((*places, *carried), default=0) + 1),
    )
