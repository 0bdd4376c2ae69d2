"""What the run-in shows, on “Rework”: its plan, its clock, its points on the plan, the prints, what is normal."""

from dataclasses import dataclass
from datetime import datetime
from itertools import pairwise

from norvash.core.judging.run_in import counted, logged, plan_of, ran_min, runs_now, steady, turns_of
from norvash.core.running.plan import RunIn, Step
from norvash.core.stages.running_in import ON, RUNIN_CLOCK, RUNIN_LOOKED, RUNIN_LOUD, RUNIN_POINTS
from norvash.core.stages.seating import PRINT
from norvash.core.stages.shared import FIT_SET, PLAN_CUT
from norvash.core.visit.done import done_tasks
from norvash.drawing.brush.face_prints import face_prints
from norvash.drawing.running.run_in_log import Pause, RunShown, run_in_log
from norvash.drawing.svg import Drawing
from norvash.web.stages.shown.at import At
from norvash.web.stages.shown.fields import Entry, entry
from norvash.work.reading.sheet_now import SheetNow

_WIDE, _FACES, _LEAST_S, _SHOWN = 470.0, 210.0, 60, 120


@dataclass(frozen=True, slots=True, kw_only=True)
class RunInShown:
    """A run-in: whether it is `due` after a new set or a cut, its plan, the step in hand with its minute; the points
    drawn on the plan, the prints with their fields; its clock with what can be said of it next, the next point, the
    newest points to be corrected; noise, the look after it; what is normal now, when to stop, when to look again.
    """

    due: bool
    plan: RunIn
    step: Step | None
    minute: float | None
    runs: bool
    drawn: Drawing
    faces: Drawing
    clock: Entry
    next: Entry
    last: tuple[Entry, ...]
    prints: tuple[Entry, ...]
    looked: Entry
    loud: Entry
    over: str
    normal: str
    stop: str
    again: str


def run_in_shown(at: At) -> RunInShown:
    """Return the run-in of a sheet as it stands at the newest entry, or now where its clock runs."""
    page = at.shown
    sheet, rules, facts = page.sheet, page.context.rules, page.context.facts
    plan, points, turns = plan_of(sheet, rules), logged(sheet, about=_SHOWN), turns_of(sheet)
    runs = runs_now(sheet)
    minute = _minute(page, at.now, max((x.minute for x in points), default=None))
    done = done_tasks(sheet)
    places = RUNIN_POINTS.places(sheet)
    # Drawn to the whole minute: what stands in between is no reason to send it once more.
    drawn_at = None if minute is None else float(int(minute))
    shown = RunShown(steps=plan.steps, points=points, pauses=_pauses(page), now=drawn_at, counted=counted(sheet))
    prints = [(p.label, PRINT.of(sheet, p.number)) for p in facts.positions]
    looked = RUNIN_LOOKED.given(sheet)
    beyond = logged(sheet, since=looked.at if looked is not None else None, beyond=True)
    step = None if minute is None else plan.at(minute)
    return RunInShown(
        due=bool(turns or points or FIT_SET in done or PLAN_CUT in done or any(page.context.state.told.new.values())),
        plan=plan,
        step=step,
        minute=minute,
        runs=runs,
        drawn=run_in_log(shown, _WIDE),
        faces=face_prints(prints, plan.release, _FACES),
        clock=entry(page, RUNIN_CLOCK, len(turns) + 1),
        next=entry(page, RUNIN_POINTS, max(places, default=0) + 1),
        last=tuple(entry(page, RUNIN_POINTS, p, f"Entry {p}") for p in places) if _corrects(at, places) else (),
        prints=tuple(entry(page, PRINT, p.number, f"Brush {p.label}") for p in facts.positions),
        looked=entry(page, RUNIN_LOOKED),
        loud=entry(page, RUNIN_LOUD),
        over=f"{beyond[-1].over}, at {beyond[-1].minute:.0f} min" if beyond else "",
        normal=_normal(plan, steady(points, rules), rules["runin.noisy"]),
        stop="sparks 3 or 4, or growing; the wrong way round; smell, smoke; faster than it may turn",
        again=_again(plan, rules["runin.noisy"]),
    )


def _corrects(at: At, places: tuple[int, ...]) -> bool:
    """Tell whether points that stand are to be corrected, or one was refused there."""
    refused = at.typed.get("field") == RUNIN_POINTS.id and at.typed.get("place") in {str(p) for p in places}
    return bool(at.typed.get("points")) or refused


def _minute(page: SheetNow, now: datetime, last: float | None) -> float | None:
    ran = ran_min(page.sheet, now) if page.row.signed_at is None else ran_min(page.sheet, page.row.signed_at)
    return last if ran is None else max(ran, last or 0.0)


def _pauses(page: SheetNow) -> tuple[Pause, ...]:
    """Return where a run-in was put aside and gone on with."""
    made, turns = [], turns_of(page.sheet)
    for before, after in pairwise(turns):
        if before.word != ON and after.word == ON and (after.at - before.at).total_seconds() > _LEAST_S:
            words = f"aside {before.at:%H:%M} to {after.at:%H:%M}"
            made.append(Pause(minute=ran_min(page.sheet, before.at) or 0.0, words=words))
    return tuple(made)


def _normal(plan: RunIn, is_steady: bool | None, times: float) -> str:
    """Return what is normal while it is run in."""
    said = "steady: the last three lie close together" if is_steady else "not steady yet" if is_steady is False else ""
    return "; ".join(filter(None, (f"faint sparks and some noise, up to {times * plan.minutes:.0f} min", said)))


def _again(plan: RunIn, times: float) -> str:
    last = next((s for s in reversed(plan.steps) if not s.waits), None)
    first = f"at {last.to_min:.0f} min: faces and bars, the print of each" if last is not None else "the print of each"
    return f"{first}; noise after {times * plan.minutes:.0f} min: look again"
