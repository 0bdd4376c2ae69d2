"""A tick must be asked for: a task by something that was found, a fresh look by something that a look proves."""

from datetime import date, timedelta

from norvash.core.edges import over
from norvash.core.judging.signs_shown import causes_mended, may_have_been, mended_causes
from norvash.core.sheet.field import Decision, Field
from norvash.core.sheet.life import At, Life
from norvash.core.sheet.part import COMPLAINT
from norvash.core.sheet.records import PutOff
from norvash.core.stages.call_in import COMPLAINT_BACK, COMPLAINT_UNKNOWN
from norvash.core.stages.catalogue import FINDINGS, SEEN, TASKS, TOLD_BY
from norvash.core.stages.decide import OUTCOME, RUNS, decided_finding
from norvash.core.stages.own_tasks import OWN_TASK, own_place
from norvash.core.stages.prove.complaint import CAUSE_WAS, COMPLAINT_NOW, GONE_ANSWERS, cause_said
from norvash.core.stages.rework import done_task, gone_finding
from norvash.core.text.words import day_words
from norvash.core.visit.entry_read import Read
from norvash.core.visit.proving import proof_asked
from norvash.core.visit.ways import taken_work
from norvash.errors import InputError
from norvash.store.file.database import Connection
from norvash.store.record import sheets
from norvash.work.reading.context import Context
from norvash.work.reading.standing import judge

_MOST_SHOWN = 60
_NO_LOOK = "came from a figure, which a look does not prove"
_NOT_KNOWN = "is not proven by a look at it alone"


def check_asked(context: Context, field: Field, place: int, read: Read, today: date) -> None:
    """Refuse a task that neither a finding on its motor nor the way that was taken asks for, a decision on what is not
    found there, a fresh look at what no look can prove, a cause that was not mended at this visit, that a complaint is
    gone while something outside the motor stands, and service for what a stop takes out of it.

    Raises: InputError.
    """
    _check_said(context, field, place, read.word, today)
    if read.word == "left" and isinstance(read.record, PutOff):
        _left_until(context, (place, decided_finding(field)), read.record.day, today)
    task = TASKS.get(done_task(field))
    own, sheet = own_place(done_task(field)), context.open_sheet
    if own and sheet is not None and OWN_TASK.given(sheet, own) is None:
        raise InputError("Nobody has added this task.", "Add it to the work list first.", "value")
    if task is None or task.renews:
        return
    found = judge(context, today).found
    asked = (*(x.finding for x in found.lives), *(c.finding for c in found.conditions))
    taken = [t for t, _ in taken_work(sheet)] if sheet is not None else []
    if task not in taken and not any(task in f.tasks for f in asked):
        raise InputError(
            f"Nothing found here asks for “{task.what}”.",
            "Enter what was found first: then it is on the work list.",
            "value",
        )


def _check_said(context: Context, field: Field, place: int, word: str, today: date) -> None:
    """Refuse what is said of a finding, a cause, the complaint or the outcome and cannot be."""
    if isinstance(field, Decision) and word:
        _is_found(context, (place, decided_finding(field)), today)
    if cause := cause_said(field, word):
        _was_mended(context, cause, today)
    if field is COMPLAINT_NOW and word in GONE_ANSWERS:
        _nothing_outside(judge(context, today).found.lives)
    if field is OUTCOME and word in RUNS:
        _may_run(judge(context, today).found.lives)
    if looked := gone_finding(field):
        _look_proves(context, judge(context, today).found.lives, (place, looked))


def check_come_back(conn: Connection, context: Context, field: Field, word: str, today: date) -> None:
    """Refuse to say that a complaint has not come back on the day on which it was gone, with no use since.

    Raises: InputError.
    """
    if field is not COMPLAINT_BACK or word != "not":
        return
    kept = next((k for k in context.lives if k.finding.id == COMPLAINT_UNKNOWN.id), None)
    row = sheets.fetch_sheet(conn, kept.sheet_id) if kept is not None else None
    gone = row.signed_at if row is not None else None
    if gone is None or gone.date() < today:
        return
    before = max((e.total_units for e in context.entries if e.at <= gone), default=0.0)
    if not any(over(e.total_units, before) for e in context.entries if e.at > gone):
        raise InputError(
            "It was gone only today, and nobody has logged use since.",
            "Log the use since then, or ask again another day: until then it stands as it is.",
            "value",
        )


def _left_until(context: Context, at: At, day: date, today: date) -> None:
    """Refuse to leave what is to be planned as it is beyond the next look. Source: rule act.lead-days"""
    found = judge(context, today).found
    life = next((x for x in found.lives if x.at == at), None)
    if life is None or life.finding.grade != "plan":
        return
    look = found.look.on if found.look is not None else None
    last = look or today + timedelta(days=context.rules["act.lead-days"])
    if day > last:
        by = "the next look" if look is not None else "while no look is due"
        raise InputError(
            f"“{life.finding.words}” is left so until {day_words(last)} at the latest: {by}.",
            "Give an earlier day, or plan its repair: put it off to somebody.",
            "day",
        )


def names_nothing(field: Field) -> bool:
    """Tell whether a field names a finding or a task that this version does not know."""
    finding, task = decided_finding(field) or gone_finding(field), done_task(field)
    return bool(finding and finding not in FINDINGS) or bool(task and task not in TASKS and not own_place(task))


def _is_found(context: Context, at: At, today: date) -> None:
    """Refuse to decide what is found nowhere on its motor, or not there.

    A file or a queue of earlier may name what its figures were called then: that is decided where the same figures find
    something else by now.
    """
    found, told_by = judge(context, today).found, set(TOLD_BY.get(at[1], ()))
    here = [(x.place, x.position, x.finding.id) for x in found.lives]
    here += [(c.place, c.position, c.finding.id) for c in found.conditions]
    if any(
        (n == at[0] or (not at[0] and i == at[1])) and (i == at[1] or told_by & {*TOLD_BY.get(i, ())})
        for _, n, i in here
    ):
        return
    there = ", ".join(dict.fromkeys(f"{place} (place {n})" for place, n, i in here if i == at[1]))
    words = FINDINGS[at[1]].words if at[1] in FINDINGS else at[1][:_MOST_SHOWN]
    raise InputError(
        f"“{words}” is not found {'there' if there else 'on this motor'}.",
        f"It is at {there}." if there else "Decide what is found, where it is.",
        "place" if there else "value",
    )


def _was_mended(context: Context, cause: str, today: date) -> None:
    sheet = context.open_sheet
    lives = judge(context, today).found.lives
    if sheet is None or cause in may_have_been(sheet, lives):
        return
    if cause in (*causes_mended(lives), *mended_causes(sheet)):
        raise InputError(
            f"“{dict(CAUSE_WAS.choices)[cause]}” was mended before it was said to be still there: it was not that.",
            "Name what was mended since; else say “gone, cause not known”.",
            "value",
        )
    raise InputError(
        f"“{dict(CAUSE_WAS.choices)[cause]}” was not mended at this visit.",
        "Tick the work on it, or name the cause on Decide as found and mended; else say “gone, cause not known”.",
        "value",
    )


def _nothing_outside(standing: tuple[Life, ...]) -> None:
    """Refuse to say that a complaint is gone while something outside the motor stands and nobody was told."""
    stands = [x for x in standing if x.finding.part.outside and x.stands and not x.handed_over]
    if stands:
        raise InputError(
            f"{stands[0].place}: {stands[0].finding.words}. So nobody can say that the complaint is gone.",
            "Mend it and prove it, or hand it to the owner on Decide, with the words that were said.",
            "value",
        )


def _may_run(standing: tuple[Life, ...]) -> None:
    """Refuse to send back to service what takes it out of it, and of which nobody has said that it is mended now."""
    stops = (x for x in standing if x.state == "open" and x.finding.grade == "stop" and not x.handed_over)
    stop = next((x for x in stops if x.decided is None or x.decided.word != "now"), None)
    if stop is not None:
        raise InputError(
            f"{stop.place}: {stop.finding.words}. That takes it out of service: it does not go back like this.",
            "Run it and say whether that is gone; else it stays out of service, or is sent away."
            if stop.finding.part is COMPLAINT
            else "Decide to do it now, mend it and prove it; else it stays out of service, or is sent away.",
            "value",
        )


def _look_proves(context: Context, standing: tuple[Life, ...], at: At) -> None:
    life = next((x for x in standing if x.at == at and x.state != "withdrawn"), None)
    if life is None:
        raise InputError("Nothing like that stands here.", "Look at the list of what was found.", "value")
    # What was seen may be looked at again, as older versions took it, though only a value proves it now.
    seen = life.finding.id in SEEN and life.finding.proof == "value"
    if not (life.by_sight or seen):
        raise InputError(
            f"“{life.finding.words}” {_NO_LOOK if life.finding.known else _NOT_KNOWN}.",
            f"{proof_asked(life).capitalize()}.",
            "value",
        )
    here = context.row.id if context.row is not None else ""
    carried = life.kept is not None and life.kept.sheet_id != here
    if not life.done and not carried:
        raise InputError(
            "It was found at this visit, and nothing was done to it yet.",
            "Tick the work on the rework stage; if it was marked by a slip, take the mark back.",
            "value",
        )
