"""Renew single brushes of a set while the others stay."""

from dataclasses import dataclass, replace

from norvash.core.motor.positions import PositionPlan
from norvash.core.motor.record import Renewal
from norvash.errors import InputError
from norvash.store import lives, sets
from norvash.store.database import Connection
from norvash.work.acting import Act, Change, in_order, prepared
from norvash.work.brushes_used import Used, after_new, check_reason, length_of, log_change
from norvash.work.context import Context
from norvash.work.gate_holding import hold_at_gate
from norvash.work.loading import load
from norvash.work.logging_use import settled
from norvash.work.standing import foresee, keep


@dataclass(frozen=True, kw_only=True)
class _Renewed(Used):
    """Single brushes that were renewed, each with its place."""

    renewals: tuple[tuple[PositionPlan, Renewal], ...]


def renew_brushes(
    conn: Connection, act: Act, motor_id: str, *, counter: str, reason: str, lengths: dict[int, str], answer: str = ""
) -> str:
    """Renew some brushes of the set while the others stay; `lengths` holds their positions, an empty one not measured.

    Raises: InputError at the field that is wrong, also when all brushes are named; NeedsAnswer about the counter,
    Conflict while the gate of an open sheet is not passed.
    """
    check_reason(reason, "the brushes")

    def prepare() -> _Renewed:
        now, context = in_order(conn, act), load(conn, motor_id)
        sheet, known = context.open_sheet, {p.number: p for p in context.positions}
        if sheet is not None:
            hold_at_gate(sheet, "safe", context, now.at)
        if not lengths or not set(lengths) <= set(known):
            raise InputError("No brush is chosen.", "Choose those that were renewed.", "only")
        if len(lengths) == len(known):
            raise InputError("All brushes are chosen.", "That is a new set: leave the choice empty.", "only")
        counted, news = settled(context, counter, now.at, answer)
        made = tuple((known[n], _renewal(context, n, counted.total_units, text)) for n, text in sorted(lengths.items()))
        used = context.with_counted(now.at, counted) if news else context
        after = used.with_renewed(tuple(r for _, r in made))
        new = {r.position: r.length_mm is not None for _, r in made}
        after = replace(after, lives=after_new(context, new))
        judged = foresee(conn, [after], now.at.date())[0]
        return _Renewed(context=context, counted=counted, news=news, judged=judged, renewals=made)

    def body(act: Act, made: _Renewed) -> Change:
        log_change(conn, act, motor_id, counter, made)
        current = made.context.sets[-1]
        for _, renewal in made.renewals:
            sets.add_renewal(conn, current.id, act.at, renewal, act.id)
        lives.keep_lives(conn, made.context.lives, made.judged.context.lives, act.id)
        keep(conn, made.judged)
        renewed = {plan.label: renewal.length_mm for plan, renewal in made.renewals}
        return Change(act.id, {"set": current.number}, {"renewed": renewed, "reason": reason}, motor_id)

    typed = {"motor": motor_id, "counter": counter, "reason": reason, "only": lengths, "answer": answer}
    return prepared(conn, act, "renew brushes", typed=typed, prepare=prepare, body=body)


def _renewal(context: Context, position: int, total: float, text: str) -> Renewal:
    found = length_of(context, position, text) if text.strip() else None
    sheet = context.open_sheet
    return Renewal(
        position=position,
        total_units=total,
        length_mm=found.length_mm if found else None,
        sd_mm=found.sd_mm if found else None,
        sheet_id=sheet.id if sheet is not None else "",
    )
