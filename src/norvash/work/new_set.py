"""Fit a new set of brushes: the old one ends with its reason, the next starts with its measured lengths."""

from collections.abc import Mapping
from dataclasses import dataclass, replace

from norvash.core.brush.doubts import Doubt, doubt_of
from norvash.core.brush.readings import Reading, read
from norvash.core.brush.straight_line import Point
from norvash.core.motor.figure_fields import MEASURED_BY, MEASURED_WITH, NEW_MM
from norvash.core.motor.positions import PositionPlan
from norvash.core.motor.record import BrushSet, Measured, Renewal, Round
from norvash.core.use.counting import Counted
from norvash.errors import InputError
from norvash.store import rounds, sets, use
from norvash.store.database import Connection
from norvash.work.acting import Act, Change, in_order, prepared
from norvash.work.context import Context, Prepared, load
from norvash.work.logging_use import settled
from norvash.work.standing import Judged, foresee, keep

END_REASONS = {
    "at its limit": "It was at its limit",
    "planned": "Planned change before the limit",
    "damaged": "Chipped, cracked or burnt",
    "stuck": "Seized in a holder",
    "lead or terminal": "Lead or terminal failed",
    "wrong brush": "Wrong brush",
    "with other work": "Renewed while it was open",
    "not known": "Not known",
}
# Methods that say nothing of a brush in the hand: it is measured as a length.
_IN_PLACE = ("wear line", "compare", "spring position")


@dataclass(frozen=True)
class _Used(Prepared):
    """The use at which brushes were changed, whether it is news for the log, and the motor judged with the new
    brushes.
    """

    counted: Counted
    news: bool
    judged: Judged


@dataclass(frozen=True)
class _Fitted(_Used):
    """A new set with its first lengths as they were read, each with its doubt."""

    lengths: tuple[tuple[PositionPlan, Reading, Doubt | None], ...]


@dataclass(frozen=True)
class _Renewed(_Used):
    """Single brushes that were renewed, each with its place."""

    renewals: tuple[tuple[PositionPlan, Renewal], ...]


def fit_new_set(
    conn: Connection, act: Act, motor_id: str, *, counter: str, reason: str, lengths: dict[int, str], answer: str = ""
) -> str:
    """End the set in the motor with its reason and start the next one with its measured lengths.

    Raises: InputError at the field that is wrong, NeedsAnswer about the counter; then nothing is kept.
    """
    _check_reason(reason, "the old set")

    def prepare() -> _Fitted:
        now, context = in_order(conn, act), load(conn, motor_id)
        counted, news = settled(context, counter, now.at, answer)
        total, read_now = counted.total_units, _starting_lengths(context, counted.total_units, lengths)
        old = context.sets[-1]
        ended = replace(
            old,
            ended_at=now.at,
            ended_units=total,
            end_reason=reason,
            rounds=tuple(replace(r, finished=True) for r in old.rounds),
        )
        first = (_first_round(act, now, total, read_now),) if read_now else ()
        fitted = BrushSet(
            number=old.number + 1,
            fitted_at=now.at,
            fitted_units=total,
            fitted_known=True,
            ended_at=None,
            ended_units=None,
            end_reason="",
            rounds=first,
            id=act.id,
        )
        used = context.with_counted(now.at, counted) if news else context
        after = used.with_new_set(ended, fitted)
        return _Fitted(context, counted, news, foresee(conn, [after], now.at.date())[0], read_now)

    def body(act: Act, made: _Fitted) -> Change:
        total, old = _log(conn, act, motor_id, counter, made), made.context.sets[-1]
        half_done = rounds.open_round(conn, motor_id)
        if half_done is not None:
            rounds.finish_round(conn, half_done.id, act.at)
        sets.end_set(conn, old.id, act.at, total, reason)
        sets.add_set(conn, act.id, motor_id, number=old.number + 1, at=act.at, units=total, known=True, act_id=act.id)
        measured = _keep_lengths(conn, act, made)
        keep(conn, made.judged)
        before = {"set": old.number, "ran": total - old.fitted_units}
        return Change(act.id, before, {"set": old.number + 1, "reason": reason, "lengths_mm": measured}, motor_id)

    typed = {"motor": motor_id, "counter": counter, "reason": reason, "lengths": lengths, "answer": answer}
    return prepared(conn, act, "fit a new set", typed=typed, prepare=prepare, body=body)


def renew_brushes(
    conn: Connection, act: Act, motor_id: str, *, counter: str, reason: str, lengths: dict[int, str], answer: str = ""
) -> str:
    """Renew some brushes of the set while the others stay; `lengths` holds their positions, an empty one not measured.

    Raises: InputError at the field that is wrong, also when all brushes are named; NeedsAnswer about the counter.
    """
    _check_reason(reason, "the brushes")

    def prepare() -> _Renewed:
        now, context = in_order(conn, act), load(conn, motor_id)
        known = {p.number: p for p in context.positions}
        if not lengths or not set(lengths) <= set(known):
            raise InputError("No brush is chosen.", "Choose those that were renewed.", "only")
        if len(lengths) == len(known):
            raise InputError("All brushes are chosen.", "That is a new set: leave the choice empty.", "only")
        counted, news = settled(context, counter, now.at, answer)
        made = tuple((known[n], _renewal(context, n, counted.total_units, text)) for n, text in sorted(lengths.items()))
        used = context.with_counted(now.at, counted) if news else context
        after = used.with_renewed(tuple(r for _, r in made))
        return _Renewed(context, counted, news, foresee(conn, [after], now.at.date())[0], made)

    def body(act: Act, made: _Renewed) -> Change:
        _log(conn, act, motor_id, counter, made)
        current = made.context.sets[-1]
        for _, renewal in made.renewals:
            sets.add_renewal(conn, current.id, act.at, renewal, act.id)
        keep(conn, made.judged)
        renewed = {plan.label: renewal.length_mm for plan, renewal in made.renewals}
        return Change(act.id, {"set": current.number}, {"renewed": renewed, "reason": reason}, motor_id)

    typed = {"motor": motor_id, "counter": counter, "reason": reason, "only": lengths, "answer": answer}
    return prepared(conn, act, "renew brushes", typed=typed, prepare=prepare, body=body)


def _check_reason(reason: str, what: str) -> None:
    if reason not in END_REASONS:
        raise InputError(f"Say why {what} came out.", "Choose one of the reasons.", "reason")


def _log(conn: Connection, act: Act, motor_id: str, counter: str, made: _Used) -> float:
    """Log the counter as read at the change, unless it stands as logged; return the use now."""
    if made.news:
        use.add_entry(
            conn, f"{act.id}.use", motor_id, at=act.at, counted=made.counted, typed=counter.strip(), act_id=act.id
        )
    return made.counted.total_units


def _renewal(context: Context, position: int, total: float, text: str) -> Renewal:
    found = _length_of(context, position, text) if text.strip() else None
    return Renewal(position, total, found.length_mm if found else None, found.sd_mm if found else None)


def _method(context: Context) -> str:
    method = MEASURED_BY.of(context.figures)
    return "length" if method in _IN_PLACE else method


def _length_of(context: Context, position: int, text: str) -> Reading:
    try:
        return read(text, context.figures, context.rules, _method(context), MEASURED_WITH.of(context.figures))
    except InputError as error:
        raise error.at(f"length_{position}") from None


def _starting_lengths(
    context: Context, total: float, lengths: Mapping[int, str]
) -> tuple[tuple[PositionPlan, Reading, Doubt | None], ...]:
    """Return the lengths of new brushes as they were read, each with its doubt."""
    start = Point(NEW_MM.need(context.figures), total, context.rules["new.tolerance"] / 2)
    made = []
    for plan in context.positions:
        text = lengths.get(plan.number, "").strip()
        if text:
            reading = replace(_length_of(context, plan.number, text), typed=text)
            made.append((plan, reading, doubt_of(reading, start, None, run_h=total, partners=(), rules=context.rules)))
    return tuple(made)


def _first_round(
    act: Act, now: Act, total: float, lengths: tuple[tuple[PositionPlan, Reading, Doubt | None], ...]
) -> Round:
    """Return the round of a fitting as it will stand in the record."""
    readings = {
        plan.number: Measured(
            length_mm=read.length_mm,
            sd_mm=read.sd_mm,
            low_mm=read.low_mm,
            high_mm=read.high_mm,
            lines=read.lines,
            doubt=doubt.words if doubt else "",
            doubt_rule=doubt.rule_id if doubt else "",
            id=f"{act.id}.{plan.number}",
        )
        for plan, read, doubt in lengths
    }
    return Round(id=f"{act.id}.fit", at=now.at, total_units=total, kind="fitting", finished=True, readings=readings)


def _keep_lengths(conn: Connection, act: Act, made: _Fitted) -> dict[str, float]:
    """Keep the first lengths as a round of their own; return them by the brush's label [mm]."""
    if not made.lengths:
        return {}
    context, round_id = made.context, f"{act.id}.fit"
    rounds.add_round(
        conn,
        round_id,
        context.motor.id,
        set_id=act.id,
        kind="fitting",
        at=act.at,
        units=made.counted.total_units,
        act_id=act.id,
    )
    method, instrument = _method(context), MEASURED_WITH.of(context.figures)
    for plan, reading, doubt in made.lengths:
        rounds.add_reading(
            conn,
            f"{act.id}.{plan.number}",
            round_id,
            position=plan.number,
            reading=reading,
            method=method,
            instrument=instrument,
            doubt=doubt,
            act_id=act.id,
        )
    rounds.finish_round(conn, round_id, act.at)
    return {plan.label: reading.length_mm for plan, reading, _ in made.lengths}
