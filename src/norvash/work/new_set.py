"""Fit a new set of brushes: on a sheet with what else was renewed, or beside one."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace

from norvash.core.brush.doubts import Doubt, doubt_of
from norvash.core.brush.readings import Reading
from norvash.core.brush.straight_line import Point
from norvash.core.motor.figure_fields import MEASURED_WITH, NEW_MM
from norvash.core.motor.positions import PositionPlan
from norvash.core.motor.record import BrushSet
from norvash.core.motor.round import Round
from norvash.core.record.entries import Entered, Said, SetFitted, UseLogged
from norvash.core.sheet.field import YES
from norvash.core.sheet.given import Given
from norvash.core.sheet.records import TaskDone
from norvash.core.sheet.stages.brushes.fitting import ALSO
from norvash.core.sheet.stages.rework import task_done
from norvash.core.sheet.stages.shared import FIT_SET
from norvash.core.sheet.task import Task
from norvash.core.sheet.visit.permit import MOST_TEXT
from norvash.core.text.texts import clean
from norvash.errors import InputError
from norvash.store import entries, lives, people, rounds, sets
from norvash.store.database import Connection
from norvash.work.acting import Act, Change, in_order, prepared
from norvash.work.as_measured import as_measured
from norvash.work.brushes_used import Used, check_reason, length_of, log_change, way_of_new
from norvash.work.context import Context
from norvash.work.gate_holding import hold_at_gate
from norvash.work.loading import load
from norvash.work.logging_use import settled
from norvash.work.standing import foresee, keep

NOMINAL = "nominal"


@dataclass(frozen=True)
class _Length:
    """One new brush as it was read, with its doubt."""

    plan: PositionPlan
    reading: Reading
    doubt: Doubt | None


@dataclass(frozen=True, kw_only=True)
class _Fitted(Used):
    """A new set with its first lengths, and what of the sheet says so."""

    fitted: BrushSet
    lengths: tuple[_Length, ...]
    ticks: tuple[Given, ...]


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
    answer: str = "",
    stated: Fitting = Fitting(),
) -> str:
    """End the set in the motor with its reason and start the next one.

    A length is measured, “nominal”, or not known yet. While a sheet of the motor is open the set is fitted on it: it
    keeps what the old brushes were found with, and says what else was renewed. Raises: InputError at the field that is
    wrong, NeedsAnswer about the counter, Conflict while the gate of the sheet is open; then nothing is kept.
    """
    check_reason(reason, "the old set")

    def prepare() -> _Fitted:
        now, context = in_order(conn, act), load(conn, motor_id)
        sheet = context.open_sheet
        if sheet is not None:
            hold_at_gate(sheet, "safe", context, now.at)
        counted, news = settled(context, counter, now.at, answer)
        total, read_now = counted.total_units, _starting_lengths(context, counted.total_units, lengths)
        fitted = _new(context, now, total, stated, frozenset(n for n, x in lengths.items() if _is_nominal(x)))
        first = _first_round(act, now, total, fitted.sheet_id, read_now)
        fitted = replace(fitted, rounds=(first,) if read_now or fitted.sheet_id else ())
        ticks = _ticks(conn, now, fitted, stated) if sheet is not None else ()
        known = {x.plan.number for x in read_now} | fitted.nominal
        said: list[Said] = [UseLogged(use=counted.logged(now.at))] if news else []
        said.append(
            SetFitted(
                ended=_ended(context.sets[-1], now, total, reason),
                fitted=fitted,
                new={p.number: p.number in known for p in context.positions},
            )
        )
        said += [Entered(spot=(g.id.removeprefix(f"{act.id}."), 0, "found"), given=g) for g in ticks]
        judged = foresee(conn, [context.after(*said)], now.at.date())[0]
        return _Fitted(
            context=context, counted=counted, news=news, judged=judged, fitted=fitted, lengths=read_now, ticks=ticks
        )

    def body(act: Act, made: _Fitted) -> Change:
        total, old = log_change(conn, act, motor_id, counter, made), made.context.sets[-1]
        half_done = rounds.open_round(conn, motor_id)
        if half_done is not None:
            rounds.finish_round(conn, half_done.id, act.at)
        sets.end_set(conn, old.id, act.at, total, reason)
        sets.add_set(conn, motor_id, replace(made.fitted, fitted_at=act.at), act.id)
        measured = _keep_lengths(conn, act, made)
        for given in made.ticks:
            entries.add_entry(
                conn,
                given.id,
                made.fitted.sheet_id,
                field=given.id.removeprefix(f"{act.id}."),
                place=0,
                given=given,
                act_id=act.id,
            )
        lives.keep_lives(conn, made.context.lives, made.judged.context.lives, act.id)
        keep(conn, made.judged)
        before = {"set": old.number, "ran": total - old.fitted_units}
        after = {"set": old.number + 1, "reason": reason, "lengths_mm": measured, **stated.typed}
        return Change(act.id, before, after, motor_id)

    typed = {
        "motor": motor_id,
        "counter": counter,
        "reason": reason,
        "lengths": lengths,
        "answer": answer,
        **stated.typed,
    }
    return prepared(conn, act, "fit a new set", typed=typed, prepare=prepare, body=body)


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


def _ticks(conn: Connection, now: Act, fitted: BrushSet, stated: Fitting) -> tuple[Given, ...]:
    """Return what a fitting ticks on its sheet: the set itself, and the tasks that were done with it."""
    person = people.fetch_person(conn, now.person_id).name
    known: Mapping[str, Task] = {t.id: t for t in ALSO}
    if not set(stated.also) <= set(known):
        raise InputError("This is not renewed with a set.", "Choose one of those shown.", "also")
    parts = ", ".join(filter(None, (fitted.part, fitted.variant)))
    made = []
    for task in (FIT_SET, *(known[i] for i in dict.fromkeys(stated.also))):
        record = TaskDone(None, parts if task is FIT_SET else "")
        made.append(
            Given(
                id=f"{now.id}.{task_done(task.id).id}",
                typed=YES,
                word=YES,
                number=None,
                person=person,
                at=now.at,
                record=record,
            )
        )
    return tuple(made)


def _starting_lengths(context: Context, total: float, lengths: Mapping[int, str]) -> tuple[_Length, ...]:
    """Return the lengths of new brushes as they were read, each with its doubt."""
    start = Point(NEW_MM.need(context.figures), total, context.rules["new.tolerance"] / 2)
    made = []
    for plan in context.positions:
        text = lengths.get(plan.number, "").strip()
        if text and not _is_nominal(text):
            reading = replace(length_of(context, plan.number, text), typed=text)
            doubt = doubt_of(reading, start, None, run_h=total, partners=(), rules=context.rules, fresh=True)
            made.append(_Length(plan, reading, doubt))
    return tuple(made)


def _first_round(act: Act, now: Act, total: float, sheet_id: str, lengths: Sequence[_Length]) -> Round:
    """Return the round of a fitting as it will stand in the record; on a sheet it takes further readings."""
    readings = {x.plan.number: as_measured(x.reading, f"{act.id}.{x.plan.number}", x.doubt) for x in lengths}
    return Round(
        id=f"{act.id}.fit",
        at=now.at,
        total_units=total,
        kind="fitting",
        finished=not sheet_id,
        readings=readings,
        sheet_id=sheet_id,
        left=frozenset(readings) if sheet_id else frozenset(),
    )


def _keep_lengths(conn: Connection, act: Act, made: _Fitted) -> dict[str, float]:
    """Keep the first lengths as a round of their own; return them by the brush's label [mm]."""
    if not made.fitted.rounds:
        return {}
    context, first = made.context, made.fitted.rounds[0]
    rounds.add_round(
        conn,
        first.id,
        context.motor.id,
        set_id=act.id,
        sheet_id=first.sheet_id or None,
        kind="fitting",
        at=act.at,
        units=made.counted.total_units,
        act_id=act.id,
    )
    method, instrument = way_of_new(context), MEASURED_WITH.of(context.figures)
    for x in made.lengths:
        rounds.add_reading(
            conn,
            f"{act.id}.{x.plan.number}",
            first.id,
            position=x.plan.number,
            reading=x.reading,
            method=method,
            instrument=instrument,
            doubt=x.doubt,
            sight="left" if first.sheet_id else "found",
            act_id=act.id,
        )
    if first.finished:
        rounds.finish_round(conn, first.id, act.at)
    return {x.plan.label: x.reading.length_mm for x in made.lengths}
