"""How a sheet is walked: its stages, how far the motor is open, and the tests with power on that are permitted."""

from datetime import datetime, timedelta

from norvash.core.sheet.part import Part
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.stage import Stage
from norvash.core.stages import record
from norvash.core.stages.before.fields import OUTCOME_BEFORE, PERMIT_CLOSE, PERMIT_OPEN
from norvash.core.stages.catalogue import STAGES, stage_of
from norvash.core.stages.decide import OUTCOME
from norvash.core.text.words import listed
from norvash.core.visit.visit import Visit

_MOST_NAMED = 4


def stages_of(sheet: Sheet) -> tuple[Stage, ...]:
    """Return the stages that a sheet walks, of a quick look those that belong to one."""
    return tuple(s for s in STAGES if s.quick or sheet.kind == "full")


def touched(sheet: Sheet, stage: Stage) -> bool:
    """Tell whether anything was entered at a stage; that it is skipped, or a remark, is no entry of its work."""
    known: frozenset[str] | None = sheet.worked_out.get("touched")
    if known is None:
        found = ((f, s) for f in sheet.said if (s := stage_of(f)) is not None)
        known = frozenset(s.id for f, s in found if f != s.remark.id and (s.skip is None or f != s.skip.id))
        sheet.worked_out["touched"] = known
    return stage.id in known


def looked_at(visit: Visit, part: Part) -> bool:
    """Tell whether somebody has looked at a part.

    Where a stage has one part, anything entered at it says so. A length says nothing of springs or holders: of those it
    is said by its tick, by something found there, or by a measurement of it at every brush.
    """
    sheet = visit.sheet
    stage = next((s for s in STAGES if part in s.parts), None)
    if stage is None:
        return False
    looks = dict(stage.looks)
    if part not in looks:
        return visit.measured if stage.measures else touched(sheet, stage)
    places = {p.number for p in sheet.facts.positions}
    telling = (f for f in stage.fields if any(t.part is part for t in f.tells))
    measured = any(places <= set(f.places(sheet)) if f.per == "position" else f.id in sheet.said for f in telling)
    here = any(x.finding.part is part for x in visit.lives)
    return looks[part].of(sheet) or measured or here


def look_words(visit: Visit, part: Part) -> str:
    """Return what may be said of a part of which nothing stands: that nothing was found only after a look at all of it,
    else what was looked at.
    """
    if not looked_at(visit, part):
        return "not looked at"
    sheet, stage = visit.sheet, next(s for s in STAGES if part in s.parts)
    tick = dict(stage.looks).get(part) or (None if stage.measures else stage.sound)
    if tick is None or tick.of(sheet):
        return "nothing found"
    told = [
        f for f in stage.all_fields if f.id in sheet.said and any(t.part is part or t.part.outside for t in f.tells)
    ]
    names = list(dict.fromkeys(f"{f.label[0].lower()}{f.label[1:]}" for f in told))
    more = " and more" if len(names) > _MOST_NAMED else ""
    return f"looked at: {listed(names[:_MOST_NAMED])}{more}" if names else "looked at in part"


def upstream(sheet: Sheet) -> bool:
    """Tell whether it was settled that the fault lies before the motor."""
    return "upstream" in (OUTCOME_BEFORE.of(sheet), OUTCOME.of(sheet))


def opened(visit: Visit) -> bool:
    """Tell whether the motor was opened, or something in it renewed, at this visit."""
    return visit.measured or how_far_open(visit.sheet) != "assembled"


def how_far_open(sheet: Sheet) -> str:
    """Return how far the motor is open: assembled, opened or stripped."""
    said = record.HOW_FAR_OPEN.of(sheet)
    return said or ("opened" if any(touched(sheet, s) for s in STAGES if s.opens) else "assembled")


def open_permits(sheet: Sheet) -> tuple[int, ...]:
    """Return the numbers of the tests with power on that are open."""
    return tuple(n for n in PERMIT_OPEN.places(sheet) if not PERMIT_CLOSE.of(sheet, n))


def runs_until(sheet: Sheet, permit: int) -> datetime | None:
    """Return until when a test with power on is permitted, None where there is none with this number."""
    given = PERMIT_OPEN.given(sheet, permit)
    return given.at + timedelta(minutes=given.permit.minutes) if given is not None and given.permit else None


def permitted(sheet: Sheet, now: datetime) -> bool:
    """Tell whether a test with power on is open and within its time."""
    return any((until := runs_until(sheet, n)) is not None and now <= until for n in open_permits(sheet))
