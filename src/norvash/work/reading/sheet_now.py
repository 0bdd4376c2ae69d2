"""All that a sheet's pages show."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from datetime import date
from math import inf

from norvash.core.diagnosis.ranking import Diagnosis
from norvash.core.edges import over
from norvash.core.grades import Grade
from norvash.core.judging.before.measured import signs_before
from norvash.core.judging.brushes.lengths import lengths
from norvash.core.judging.commutator.slots_here import PLANNED, planned_minutes
from norvash.core.judging.measuring import measured_at, measured_on
from norvash.core.judging.signing import Hold, holds
from norvash.core.judging.signs_shown import complained, diagnosis_of, may_complain, signs_shown
from norvash.core.record.record import SheetRow
from norvash.core.sheet.given import Given
from norvash.core.sheet.measured import Measured, by_entry
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.stage import Stage
from norvash.core.sheet.task import Task
from norvash.core.stages.before.stage import STAGE as BEFORE
from norvash.core.stages.brushes.stage import STAGE as BRUSHES
from norvash.core.stages.decide import OUTCOME, RETIRED, STOPS
from norvash.core.stages.sign import NEXT_LOOK, NEXT_LOOK_AT
from norvash.core.state.findings import Findings
from norvash.core.state.motor_state import MotorState
from norvash.core.text.words import use_words
from norvash.core.verdict.as_found import found_before_work
from norvash.core.verdict.closing_line import IN_PIECES
from norvash.core.verdict.sentence import Verdict
from norvash.core.verdict.sheet_line import NOT_OPENED, sheet_says
from norvash.core.verdict.when_words import mark_at
from norvash.core.visit.done import done_tasks
from norvash.core.visit.progress import StageNow, as_signed, progress
from norvash.core.visit.visit import Visit
from norvash.core.visit.ways import buys_new, taken_work
from norvash.core.visit.work_list import Proposed, with_learnt, with_plans, work_list
from norvash.store.file.database import Connection
from norvash.store.record import entries, people, rounds, sheets
from norvash.store.record.rounds import RoundRow
from norvash.work.reading.context import Context
from norvash.work.reading.history import HistoryLine, history
from norvash.work.reading.learnt_minutes import minutes_learnt
from norvash.work.reading.loading import load
from norvash.work.reading.sheet_state import put_together
from norvash.work.reading.slots_here import slots_here
from norvash.work.reading.standing import Judged, judge

_ACTS = 30


@dataclass(frozen=True, slots=True)
class Look:
    """When to look next: the day, the total use, what asks for it, and what the counter will show then, in words."""

    on: date | None
    at: float | None
    by: str
    counter: str = ""


@dataclass(frozen=True, slots=True, kw_only=True)
class SheetNow:
    """A sheet with its motor, judged now; `said_at` is what was measured by the entry at which it is said, while the
    sheet is open.
    """

    row: SheetRow
    sheet: Sheet
    context: Context
    visit: Visit
    found: Findings
    as_found: Findings
    said: Verdict
    measured: tuple[Measured, ...]
    said_at: Mapping[tuple[str, int], tuple[Measured, ...]]
    signs: dict[str, str]
    cause: Diagnosis | None
    cases: int
    rail: tuple[StageNow, ...]
    holds: tuple[Hold, ...]
    done: Mapping[Task, tuple[Given, ...]]
    work: tuple[Proposed, ...]
    look: Look
    version: int
    opened_at: float
    motor_word: str

    def at(self, stage: Stage) -> tuple[Measured, ...]:
        """Return what was measured at a stage."""
        made = measured_at(stage, self.sheet, self.context.rules, self.worn_mm)
        return (*made, *self.lengths) if stage is BRUSHES else made

    @property
    def unjudged(self) -> list[str]:
        """Return what was read and proves nothing, in words; of coils it is said of all of them together."""
        return [m.words for m in self.measured if m.standing in ("not judged", "not whole") and m.id != "coil"]

    @property
    def lengths(self) -> tuple[Measured, ...]:
        """Return the lengths that were read on it, nothing on a sheet that is not the motor's newest."""
        here = self.context.sheet is self.sheet and self.visit.read_here
        return tuple(lengths(self.found, self.context.figures, self.context.rules)) if here else ()

    @property
    def worn_mm(self) -> tuple[float, ...]:
        """Return what each brush has lost [mm], nothing on a sheet that is not the motor's newest."""
        return self.context.worn_mm if self.context.sheet is self.sheet else ()

    @property
    def grade(self) -> Grade | None:
        """Return the grade of the motor with what lies before it: there is one, whatever the line is about; none where
        it stays closed. One in pieces is watched at least.
        """
        if self.said.word == IN_PIECES and self.found.machine == "fit":
            return "watch"
        return None if self.said.word == NOT_OPENED else self.found.machine

    @property
    def told(self) -> Mapping[str, object] | None:
        """Return the story of the visit as it was signed; None on an open sheet, and on one of the time before."""
        told = self.row.signed.get("told") if self.row.signed_at is not None else None
        return told if isinstance(told, dict) else None

    @property
    def signed_grade(self) -> str | None:
        """Return the grade that the sheet was signed with, None where the motor stayed closed."""
        signed = self.row.signed
        return None if signed.get("word") == NOT_OPENED else str(signed["stage"]) if signed.get("stage") else None


def sheet_now(conn: Connection, sheet_id: str, today: date) -> SheetNow:
    """Return a sheet with all that follows from it.

    Raises: NotFound.
    """
    row = sheets.fetch_sheet(conn, sheet_id)
    return shown(conn, row, judge(load(conn, row.motor_id), today), today)


def shown(conn: Connection, row: SheetRow, motor: Judged, today: date) -> SheetNow:
    """Return a sheet with all that follows from it, its motor as it was judged."""
    context, found = motor.context, motor.found
    own = context.sheet if context.row is not None and context.row.id == row.id else None
    sheet, rules = own or put_together(conn, row, context.facts), context.rules
    before_work = signs_before(measured_at(BEFORE, sheet.as_found, rules))
    asks = own is not None and may_complain(sheet.as_found, before_work, found.lives)
    as_found = found_before_work(found, context.state, rules, today) if asks else found
    signs = signs_shown(sheet.as_found, before_work, as_found, rules)
    sought = asks and complained(signs, before_work) and row.signed_at is None
    cases = entries.count_causes(conn, context.motor.motor_class) if sought else {}
    cause = diagnosis_of(sheet, signs, rules, found.lives, cases) if sought else None
    of_sheet = rounds.rounds_of(conn, row.id)
    asked = _asked_readings(conn, context, row, of_sheet)
    measured = measured_on(sheet, rules, context.worn_mm if own is not None else ())
    visit, done = context.visit(sheet, found, asked), done_tasks(sheet)
    return SheetNow(
        row=row,
        sheet=sheet,
        context=context,
        visit=visit,
        found=found,
        as_found=as_found,
        said=sheet_says(visit, motor.own, cause, today),
        measured=measured,
        said_at=by_entry(measured) if row.signed_at is None else {},
        signs=signs,
        cause=cause,
        cases=sum(cases.values()),
        rail=_rail(row, visit),
        holds=holds(visit),
        done=done,
        work=_work(conn, visit, done),
        look=_look(sheet, found, context.state),
        version=context.stamp.motor_seq,
        opened_at=context.state.counter_at(of_sheet[0].total_units),
        motor_word=motor.said.word,
    )


def _work(conn: Connection, visit: Visit, done: Mapping[Task, tuple[Given, ...]]) -> tuple[Proposed, ...]:
    """Return the work list, with the minutes of what the sheet has a plan of."""
    sheet, rules = visit.sheet, visit.rules
    idle = "idle" in sheet.facts.surroundings
    replaced = buys_new(sheet) and OUTCOME.of(sheet) in STOPS  # what is not mended any more asks for no work
    lives = () if replaced else visit.lives
    made = work_list(lives, done, rules, idle=idle, taken=taken_work(sheet), sheet=sheet)
    made = with_learnt(made, minutes_learnt(conn, [w.task.id for w in made])) if made else made
    if not any(w.task in PLANNED for w in made):
        return made
    return with_plans(made, planned_minutes(sheet, slots_here(conn, rules), rules))


def _asked_readings(conn: Connection, context: Context, row: SheetRow, of_sheet: Sequence[RoundRow]) -> tuple[str, ...]:
    """Return the brushes of which it is not said whether the old one or the new one was read."""
    if row.signed_at is not None:
        return ()
    labels = {p.number: p.label for p in context.positions}
    return tuple(
        labels.get(g.position_number, "")
        for r in of_sheet
        for g in rounds.list_sighted(conn, r.id)
        if g.sight == "asked"
    )


def _rail(row: SheetRow, visit: Visit) -> tuple[StageNow, ...]:
    """Return how far a sheet is; a signed one as it was signed, where that was kept."""
    told = row.signed.get("told") if row.signed_at is not None else None
    kept = told.get("stages") if isinstance(told, dict) else None
    return as_signed(kept) if kept else progress(visit)


def _look(sheet: Sheet, found: Findings, state: MotorState) -> Look:
    """Return the next look: the one that comes first, or one asked for on the sheet if that is sooner; a motor that is
    sent away or stays out of service has none.
    """
    if OUTCOME.of(sheet) in ("away", "out", RETIRED):
        return Look(None, None, "")
    due, sooner, at = found.look, NEXT_LOOK.of(sheet), NEXT_LOOK_AT.of(sheet)
    asked = date.fromisoformat(sooner) if sooner else None
    least = due.at_units if due is not None and due.at_units is not None else inf
    if at is not None and asked is None and not over(at - state.offset_units, least):
        return Look(None, at - state.offset_units, "asked for on this sheet", use_words(at, state.unit))
    due_on = due.on if due else None
    if asked is not None and (due_on is None or asked <= due_on):
        return Look(asked, None, "asked for on this sheet")
    return Look(due.on, due.at_units, due.name, mark_at(due, state)) if due else Look(None, None, "")


def last_work(conn: Connection, page: SheetNow) -> HistoryLine | None:
    """Return the last line of the motor's record before this sheet that is more than a log of use."""
    earlier = history(people.list_acts(conn, page.row.motor_id, _ACTS, before=page.row.at), page.context.unit)
    return next((line for line in earlier if not line.words.startswith("logged")), None)
