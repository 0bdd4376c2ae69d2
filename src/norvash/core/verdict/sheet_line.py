"""The verdict line of a sheet: the motor's own, or the cause to look for, or that it stays closed."""

from collections.abc import Sequence
from dataclasses import replace
from datetime import date

from norvash.core.diagnosis.causes import BY_ID as CAUSES
from norvash.core.diagnosis.ranking import Diagnosis
from norvash.core.edges import under
from norvash.core.grades import GRADES
from norvash.core.judging.prove.run_words import ran_words
from norvash.core.judging.prove.stage import proof_lacks
from norvash.core.judging.signs_shown import causes_mended, causes_of, may_have_been, mended_causes
from norvash.core.motor.figure_fields import LENGTH_UNIT
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.life import Life
from norvash.core.sheet.part import COMPLAINT, LOOK, RUN
from norvash.core.stages.call_in import FIND_FAULT
from norvash.core.stages.decide import OUTCOME, RETIRED
from norvash.core.stages.prove.complaint import COMPLAINT_NOW, cause_words, complaint_gone
from norvash.core.state.findings import Reason
from norvash.core.text.words import listed
from norvash.core.verdict.closing_line import closing_says
from norvash.core.verdict.components import counted
from norvash.core.verdict.line_figure import LineFigure
from norvash.core.verdict.machine_line import machine_says
from norvash.core.verdict.sentence import Verdict
from norvash.core.visit.done import done_tasks, work_done
from norvash.core.visit.proving import done_words, proof_asked
from norvash.core.visit.stacks import stacks_now
from norvash.core.visit.visit import Visit
from norvash.core.visit.walk import upstream

_GRAVE, _CHANGE, _STOP = (GRADES.index(g) for g in ("plan", "change", "stop"))
_MOST_SAID = 2
_RESTS = ("out", "away", RETIRED)
_CLOSED_YET = "Do not open the motor yet: the fault lies most likely before it."
SOUGHT, NOT_OPENED, MENDED, OUTSIDE = "Cause sought", "Not opened", "Mended, not proven", "Before the motor"


def sheet_says(visit: Visit, said: Verdict, cause: Diagnosis | None, today: date) -> Verdict:
    """Return what to do now on this sheet, of the motor and of what lies before it; `said` is what is said of the motor
    alone, `cause` is None while nobody complains of anything.

    Source: rules diagnosis.upstream, diagnosis.sure
    """
    line = _of_motor(visit, said, cause)
    first = visit.found.before
    if first is None or line.word == OUTSIDE or OUTCOME.of(visit.sheet) == RETIRED:
        return line
    if line.word == NOT_OPENED and first.finding.grade != "stop":
        return line
    return machine_says(line, visit.found, today, LENGTH_UNIT.of(visit.sheet.facts.figures))


def _of_motor(visit: Visit, said: Verdict, cause: Diagnosis | None) -> Verdict:
    """Return what to do now with the motor of this sheet, without what stops the machine."""
    rules = visit.rules
    if upstream(visit.sheet):
        closed = _closed(said, cause, rules, "Leave the motor closed: the fault lies before it.")
        return replace(closed, figures=closed.figures[:1])
    if OUTCOME.of(visit.sheet) in _RESTS:
        return _rests(visit, said)
    if visit.sheet.signed_at is None:
        closing = closing_says(visit, said)
        if closing is not None:
            return closing
        if complaint_gone(visit.sheet):
            return _proven(visit, said)
    worst = max((c.rank for c in counted(visit.found.components) if c.part not in (COMPLAINT, LOOK)), default=0)
    grave = worst >= _GRAVE
    # What stops the machine leads the line in any case.
    outside = next((x for x in visit.lives if _comes_first(x)), None)
    if outside is not None and worst < _CHANGE and visit.sheet.signed_at is None:
        return _outside(said, outside, cause, rules)
    searching = COMPLAINT_NOW.of(visit.sheet) == "still"
    calls = max((c.rank for c in visit.found.components if c.part is COMPLAINT), default=0)
    told = worst >= _STOP or (visit.measured and worst >= max(_GRAVE, calls) and not searching)
    return said if cause is None or told else _sought(visit, said, cause, grave=grave)


def _comes_first(life: Life) -> bool:
    """Tell whether something outside the motor is looked to before anything is said of the motor."""
    return life.finding.part.outside and life.stands and not life.handed_over and life.finding.grade != "stop"


def _rests(visit: Visit, said: Verdict) -> Verdict:
    """Return what is said of a motor that goes nowhere as it is: no day; of one that is to be retired that first, and
    what is found on it still.
    """
    if OUTCOME.of(visit.sheet) != RETIRED:
        return replace(said, figures=())
    return replace(said, act="Retired with the signature of this sheet.", why=said.sentence, figures=())


def _sought(visit: Visit, said: Verdict, cause: Diagnosis, *, grave: bool) -> Verdict:
    """Return what is mended and waits to be run, else where the fault lies most likely; `grave` tells that something
    else on the motor asks for work.
    """
    rules = visit.rules
    since = may_have_been(visit.sheet, visit.lives)  # what was mended and is not tried yet
    mended = [c for c in mended_causes(visit.sheet) if c in since]
    mended = mended or [c for c in causes_mended(visit.lives) if c == cause.first.cause.id and c in since]
    if mended and not grave and COMPLAINT_NOW.of(visit.sheet) in ("", "still"):
        which = listed([CAUSES[c].words for c in mended])
        off = any(s.off and not s.closed for s in stacks_now(visit.sheet, rules))
        close = "Close it up and run it" if off else "Run it"
        act = f"Found and mended: {which}. {close}, then say whether the complaint is gone."
        calls = any(c.part is COMPLAINT and c.rank >= _GRAVE for c in visit.found.components)
        mended_now = replace(said, word=MENDED, act=act)
        return replace(mended_now, why="", figures=()) if calls else mended_now
    if not under(cause.share("upstream"), rules["diagnosis.upstream"]):
        return _closed(said, cause, rules, _CLOSED_YET)
    first = cause.first
    sure = not under(first.chance, rules["diagnosis.sure"])
    act = f"Likely cause: {first.cause.words}." if sure else f"Find the cause; first to think of: {first.cause.words}."
    return replace(
        said,
        word=SOUGHT,
        act=act,
        why=f"If so, {first.cause.act}." if sure else _for(cause),
        figures=_how_sure(cause),
        reasons=(*_reasons(cause, rules), *said.reasons),
    )


def _proven(visit: Visit, said: Verdict) -> Verdict:
    """Return what was found, what was done about it, and what proves it; where the motor must not go back as it is,
    that comes first.
    """
    sheet = visit.sheet
    found = [
        f"{x.place}: {x.finding.words}"
        for x in visit.lives
        if x.done and not x.came and x.finding.part is not COMPLAINT
    ]
    cause = cause_words(sheet)
    tasks = {task: given for task, given in done_tasks(sheet).items() if task is not FIND_FAULT}
    off = any(x.stands and x.finding.part is RUN for x in visit.lives)
    ran = "" if off else ran_words(sheet)
    run = f"{'run, which proves nothing yet' if proof_lacks(visit) else 'runs as it should'}: {ran}" if ran else ""
    first = cause or ("; ".join(_few(found)) if found else "the cause is not known")
    line = "; ".join(filter(None, (first, *_few(work_done(tasks)), run)))
    story = f"{line[0].upper()}{line[1:]}."
    if off or visit.found.grade in ("change", "stop") or any(x.state == "done not proven" for x in visit.lives):
        return replace(said, reasons=(Reason(story), *said.reasons))
    return replace(said, act=story, why="", reasons=(Reason(said.sentence), *said.reasons))


def _few(items: Sequence[str]) -> list[str]:
    """Return the first of what is said, and how many more there are."""
    more = len(items) - _MOST_SAID
    return [*items[:_MOST_SAID], *([f"and {more} more"] if more > 0 else [])]


def _closed(said: Verdict, cause: Diagnosis | None, rules: MotorRules, act: str) -> Verdict:
    if cause is None:
        return replace(said, word=NOT_OPENED, act=act, why="Settled on this sheet.", figures=())
    first = next((r for r in cause.ranked if r.cause.side == "upstream"), cause.first)
    before = LineFigure(f"{cause.share('upstream'):.0%}", "supply, switch, cable or cut-out")
    return replace(
        said,
        word=NOT_OPENED,
        act=act,
        why=f"First {first.cause.words}: {first.cause.act}.",
        figures=(before, *_next(cause)),
        reasons=(*_reasons(cause, rules), *said.reasons),
    )


def _outside(said: Verdict, life: Life, cause: Diagnosis | None, rules: MotorRules) -> Verdict:
    """Return what lies outside the motor and comes first: before that is right nothing is said of the motor."""
    words = f"{life.place} first: {life.finding.words}."
    why = f"{life.finding.decision[0].upper()}{life.finding.decision[1:]}."
    if life.state == "done not proven":
        asked = proof_asked(life)
        words, why = f"{asked[0].upper()}{asked[1:]}.", f"{life.place}: {done_words(life)}, not yet proven."
        return replace(
            said, word=OUTSIDE, act=words, why=why, figures=(), reasons=(Reason(said.sentence), *said.reasons)
        )
    if cause is None:
        return replace(said, word=OUTSIDE, act=words, why=why, reasons=(Reason(said.sentence), *said.reasons))
    if not under(cause.share("upstream"), rules["diagnosis.upstream"]):
        closed = _closed(said, cause, rules, _CLOSED_YET)
        return replace(closed, why=f"{words} {why}")
    # How sure it is belongs to the cause that is named, and to no other.
    figures = _how_sure(cause)[:1] if cause.first.cause.id in causes_of(life.finding) else ()
    reasons = (*_reasons(cause, rules), *said.reasons)
    return replace(said, word=OUTSIDE, act=words, why=why, figures=figures, reasons=reasons)


def _for(cause: Diagnosis) -> str:
    words = [r.words for r in cause.first.speaks_for[:2]]
    return f"For it: {'; '.join(words)}." if words else ""


def _how_sure(cause: Diagnosis) -> tuple[LineFigure, ...]:
    """Return the chance of the likeliest cause, of the second, and what the next check is worth."""
    second = [LineFigure(f"{r.chance:.0%}", f"then {r.cause.words}") for r in cause.ranked[1:2]]
    return (LineFigure(f"{cause.first.chance:.0%}", "that it is this"), *second, *_next(cause))


def _next(cause: Diagnosis) -> tuple[LineFigure, ...]:
    if not cause.checks or cause.checks[0].drop_bits <= 0:
        return ()
    check = cause.checks[0].check
    return (LineFigure(f"{check.minutes:g} min", f"next: {check.words}"),)


def _reasons(cause: Diagnosis, rules: MotorRules) -> tuple[Reason, ...]:
    figures = (rules.figure("diagnosis.sure"), rules.figure("diagnosis.upstream"))
    made: list[Reason] = []
    for ranked in cause.ranked[:3]:
        words = f"{ranked.cause.words}, {ranked.chance:.0%}"
        if ranked.speaks_for:
            words += f"; for: {', '.join(r.words for r in ranked.speaks_for[:3])}"
        if ranked.speaks_against:
            words += f"; against: {', '.join(r.words for r in ranked.speaks_against[:3])}"
        made.append(Reason(f"{words[0].upper()}{words[1:]}.", figures if not made else ()))
    return tuple(made)
