"""What stands at “Call in” says, keeps shut and waits for."""

from collections.abc import Iterator
from dataclasses import replace

from norvash.core.diagnosis.sign import NOT_SO
from norvash.core.grades import GRADES
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.field import Field
from norvash.core.sheet.finding import Finding
from norvash.core.sheet.held import Held
from norvash.core.sheet.measured import Measured, judged
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.before.fields import SWITCH_APART
from norvash.core.stages.call_in import (
    BY_SIGN,
    COMPLAINT,
    COMPLAINT_ASKED,
    COMPLAINT_BACK,
    COMPLAINT_KIND,
    COMPLAINT_OTHER,
    COMPLAINT_RUNS_ON,
    COMPLAINT_SMOKE,
    COMPLAINT_UNKNOWN,
    KINDS,
    NOT_CERTIFIED,
    STAGE,
    complained,
)
from norvash.core.stages.commutator.bar_test import BAR_TEST, WAIVE_BAR_TEST
from norvash.core.stages.prove.complaint import COMPLAINT_NOW, complaint_gone
from norvash.core.visit.visit import Judging, Visit
from norvash.core.visit.walk import opened, touched

_MOST_SHOWN = 60


def complaints(sheet: Sheet) -> tuple[Finding, ...]:
    """Return what is complained of on a sheet, by its signs, or by what was said in words, whatever became of it."""
    return tuple(found for _, found in _complaints(sheet)) if touched(sheet, STAGE) else ()


def _complaints(sheet: Sheet) -> list[tuple[Field, Finding]]:
    """Return what is complained of, each with the field that says so."""
    fields = {f.sign.id: f for f in STAGE.picked}
    made: list[tuple[Field, Finding]] = [
        (fields[sign], found) for sign, (answers, found) in BY_SIGN.items() if fields[sign].of(sheet) in answers
    ]
    kind = COMPLAINT_KIND.of(sheet)
    if kind in KINDS and all(KINDS[kind] != found for _, found in made):
        made.append((COMPLAINT_KIND, _in_words(KINDS[kind], sheet) if kind == "none" else KINDS[kind]))
    if not made and complained(sheet):
        noticed = [f for f in STAGE.picked if f.of(sheet) not in ("", NOT_SO) and not f.sign.silent]
        asked = COMPLAINT.of(sheet) and not noticed
        at = COMPLAINT if COMPLAINT.of(sheet) else noticed[0]
        made.append((at, COMPLAINT_ASKED if asked else _in_words(COMPLAINT_OTHER, sheet)))
    return made


def _in_words(finding: Finding, sheet: Sheet) -> Finding:
    """Return a complaint as it was said, else by the first sign that was noticed."""
    said = COMPLAINT.of(sheet)
    signs = (f.sign.said(f.of(sheet)) for f in STAGE.picked if f.of(sheet) not in ("", NOT_SO) and not f.sign.silent)
    words = f"“{said[:_MOST_SHOWN]}”" if said else next(signs, "")
    return finding.worded(f"complained of: {words}") if words else finding


def _measure(sheet: Sheet, _rules: MotorRules, _worn_mm: tuple[float, ...]) -> Iterator[Measured]:
    """Yield what is complained of, until somebody says that it is gone; with no cause found one milder, until a later
    visit says that it has not come back.
    """
    if COMPLAINT_BACK.of(sheet) == "back":
        yield _said(COMPLAINT_BACK, COMPLAINT_UNKNOWN.worded("a complaint that was gone has come back"))
    every = _complaints(sheet)
    if not complaint_gone(sheet):
        yield from (_said(field, f) for field, f in every)
        return
    at, worst = max(every, key=lambda x: GRADES.index(x[1].grade), default=(COMPLAINT, None))
    if COMPLAINT_NOW.of(sheet) == "unknown" and worst is not None and worst.grave:
        milder = GRADES[GRADES.index(worst.grade) - 1]
        # What shocks, smokes or runs on stays graver than what may be certified.
        grade = "change" if worst.id in NOT_CERTIFIED else min(milder, "plan", key=GRADES.index)
        yield _said(at, replace(COMPLAINT_UNKNOWN.worded(f"{worst.words}: gone, cause not known"), grade=grade))


def _said(field: Field, found: Finding) -> Measured:
    return judged(field, found.words, off=found)


def _before_power(visit: Visit) -> Iterator[str | Held]:
    """Yield what is found out before a run that seeks what was complained of: of smoke the bar test, of a motor that
    keeps running its switch by itself. Shock and smoke let nobody waive the insulation.
    """
    said = asked_before_a_run(visit.sheet)
    tested = BAR_TEST.given(visit.sheet) is not None or not BAR_TEST.is_offered(visit.sheet.facts, visit.rules)
    if COMPLAINT_SMOKE.id in said and opened(visit) and not tested:
        words = "smoke came from it, and no bar test is made"
        yield Held(id="bar-test", words=words, waiver=WAIVE_BAR_TEST, read=(BAR_TEST,))
    if COMPLAINT_RUNS_ON.id in said and not SWITCH_APART.of(visit.sheet):
        yield "it kept running: its switch is not tried apart from the motor"


def asked_before_a_run(sheet: Sheet) -> frozenset[str]:
    """Return which complaints stand that ask for something before the motor is run to find them."""
    return frozenset(f.id for f in complaints(sheet)) if not complaint_gone(sheet) else frozenset()


def _answered(sheet: Sheet, _rules: MotorRules) -> Iterator[Finding]:
    """Yield that nobody had said which kind of complaint it is, where somebody has."""
    if COMPLAINT.of(sheet) and COMPLAINT_ASKED not in complaints(sheet):
        yield COMPLAINT_ASKED


JUDGING = Judging(stage=STAGE, measure=_measure, answered=_answered, holds={"power": _before_power})
