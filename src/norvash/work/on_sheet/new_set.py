"""Fit a new set of brushes: on a sheet with what else was renewed, or beside one."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace

from norvash.core.brush.doubts import doubt_of
from norvash.core.brush.straight_line import Point
from norvash.core.motor.figure_fields import MEASURED_WITH, NEW_MM
from norvash.core.record.brushes import BrushRead
from norvash.core.record.said import Said
from norvash.core.record.sets import SetFitted
from norvash.core.record.sheet import Entered
from norvash.core.sheet.field import YES
from norvash.core.sheet.given import Given
from norvash.core.sheet.records import TaskDone
from norvash.core.sheet.task import Task
from norvash.core.stages.brushes.fitting import ALSO
from norvash.core.stages.rework import task_done
from norvash.core.stages.shared import FIT_SET
from norvash.core.state.motor_state import BrushSet
from norvash.core.state.round import Round
from norvash.core.text.texts import clean
from norvash.core.use.happened import NOTHING, Happened
from norvash.core.visit.permit import MOST_TEXT
from norvash.errors import InputError
from norvash.store.file.database import Connection
from norvash.store.record import people
from norvash.work.act.acting import Act, Change
from norvash.work.motors.logging_use import settled
from norvash.work.on_sheet.brushes_used import check_reason, length_of
from norvash.work.on_sheet.gate_holding import hold_at_gate
from norvash.work.reading.context import Context
from norvash.work.reading.loading import load
from norvash.work.reading.saying import Saying, say
from norvash.work.reading.standing import foresee

NOMINAL = "nominal"


@dataclass(frozen=True, slots=True)
class Fitting:
    """What is stated of a new set: part and variant, the tasks that were done with it."""

    part: str = ""
    variant: str = ""
    also: Sequence[str] = ()

    @property
    def typed(self) -> dict[str, object]:
        """Return what of it was said, as an act has it."""
        said = {"part": self.part, "variant": self.variant, "also": sorted(self.also)}
        return {k: v for k, v in said.items() if v}


def fit_new_set(
    conn: Connection,
    act: Act,
    motor_id: str,
    *,
    counter: str,
    reason: str,
    lengths: dict[int, str],
    happened: Happened = NOTHING,
    stated: Fitting = Fitting(),
) -> str:
    """End the set in the motor with its reason and start the next one.

    A length is measured, “nominal”, or not known yet. While a sheet of the motor is open the set is fitted on it: it
    keeps what the old brushes were found with, and says what else was renewed. Raises: InputError at the field that is
    wrong, NeedsAnswer about the counter, Conflict while the gate of the sheet is open; then nothing is kept.
    """
    check_reason(reason, "the old set")

    def prepare(now: Act) -> Saying:
        context = load(conn, motor_id)
        sheet, old = context.open_sheet, context.sets[-1]
        if sheet is not None:
            hold_at_gate(sheet, "safe", context, now.at)
        counted, news = settled(context, counter, now, happened)
        total = counted.total_units
        fitted = _new(context, now, total, stated, frozenset(n for n, x in lengths.items() if _is_nominal(x)))
        read_now = _starting_lengths(context, now, fitted, lengths)
        if read_now or fitted.sheet_id:
            fitted = replace(fitted, rounds=(_first_round(now, fitted, read_now),))
        known = {x.position for x in read_now} | fitted.nominal
        ended = _ended(old, now, total, reason)
        new = {p.number: p.number in known for p in context.positions}
        said: tuple[Said, ...] = (*news, SetFitted(ended=ended, fitted=fitted, new=new, read=read_now))
        said += _ticks(conn, now, fitted, stated) if sheet is not None else ()
        labels = {p.number: p.label for p in context.positions}
        after = {
            "set": old.number + 1,
            "reason": reason,
            "lengths_mm": {labels[x.position]: x.reading.length_mm for x in read_now} if fitted.rounds else {},
            **stated.typed,
        }
        before: dict[str, object] = {"set": old.number, "ran": total - old.fitted_units}
        before |= {"at_least": True} if context.after(*news).state.ran_at_least(ended) else {}
        change = Change(now.id, before, after, motor_id)
        judged = foresee(conn, [context.after(*said)], now.at.date())[0]
        return Saying(context=context, said=said, change=change, judged=judged)

    typed = {
        "motor": motor_id,
        "counter": counter,
        "reason": reason,
        "lengths": lengths,
        "answer": happened.answer,
        **happened.typed,
        **stated.typed,
    }
    return say(conn, act, "fit a new set", typed=typed, prepare=prepare)


def _is_nominal(text: str) -> bool:
    return text.strip().lower() == NOMINAL


def _new(context: Context, now: Act, total: float, stated: Fitting, nominal: frozenset[int]) -> BrushSet:
    """Return the set that is fitted, before anything of it is measured."""
    return BrushSet(
        number=context.sets[-1].number + 1,
        fitted_at=now.at,
        fitted_units=total,
        fitted_known=True,
        ended_at=None,
        ended_units=None,
        end_reason="",
        rounds=(),
        id=now.id,
        sheet_id=context.open_sheet.id if context.open_sheet is not None else "",
        part=_words(stated.part, "part"),
        variant=_words(stated.variant, "variant"),
        nominal=nominal & {p.number for p in context.positions},
    )


def _words(text: str, name: str) -> str:
    words = " ".join(clean(text, name, note=True).split())
    if len(words) > MOST_TEXT:
        raise InputError("That is too long.", f"Use at most {MOST_TEXT} characters.", name)
    return words


def _ended(old: BrushSet, now: Act, total: float, reason: str) -> BrushSet:
    """Return the old set as it came out; it keeps its last lengths."""
    return replace(
        old,
        ended_at=now.at,
        ended_units=total,
        end_reason=reason,
        rounds=tuple(replace(r, finished=True) for r in old.rounds),
    )


def _ticks(conn: Connection, now: Act, fitted: BrushSet, stated: Fitting) -> tuple[Entered, ...]:
    """Return what a fitting ticks on its sheet: the set itself, and the tasks that were done with it."""
    person = people.fetch_person(conn, now.person_id).name
    known: Mapping[str, Task] = {t.id: t for t in ALSO}
    if not set(stated.also) <= set(known):
        raise InputError("This is not renewed with a set.", "Choose one of those shown.", "also")
    parts = ", ".join(filter(None, (fitted.part, fitted.variant)))
    made = []
    for task in (FIT_SET, *(known[i] for i in dict.fromkeys(stated.also))):
        record, field = TaskDone(None, parts if task is FIT_SET else ""), task_done(task.id).id
        given = Given(id=f"{now.id}.{field}", typed=YES, word=YES, number=None, person=person, at=now.at, record=record)
        made.append(Entered(sheet_id=fitted.sheet_id, spot=(field, 0, "found"), given=given))
    return tuple(made)


def _starting_lengths(
    context: Context, now: Act, fitted: BrushSet, lengths: Mapping[int, str]
) -> tuple[BrushRead, ...]:
    """Return the lengths of new brushes as they were read, each with its doubt; on a sheet they are as left."""
    total, instrument = fitted.fitted_units, MEASURED_WITH.of(context.figures)
    start = Point(NEW_MM.need(context.figures), total, context.rules["new.tolerance"] / 2)
    made = []
    for plan in context.positions:
        text = lengths.get(plan.number, "").strip()
        if text and not _is_nominal(text):
            reading = replace(length_of(context, plan.number, text), typed=text)
            read = BrushRead(
                id=f"{now.id}.{plan.number}",
                round_id=f"{now.id}.fit",
                position=plan.number,
                reading=reading,
                instrument=instrument,
                doubt=doubt_of(reading, start, None, run_h=total, partners=(), rules=context.rules, fresh=True),
                sight="left" if fitted.sheet_id else "found",
            )
            made.append(read)
    return tuple(made)


def _first_round(now: Act, fitted: BrushSet, lengths: Sequence[BrushRead]) -> Round:
    """Return the round of a fitting as it will stand in the record; on a sheet it takes further readings."""
    readings = {x.position: x.measured for x in lengths}
    return Round(
        id=f"{now.id}.fit",
        at=now.at,
        total_units=fitted.fitted_units,
        kind="fitting",
        finished=not fitted.sheet_id,
        readings=readings,
        sheet_id=fitted.sheet_id,
        left=frozenset(readings) if fitted.sheet_id else frozenset(),
    )
