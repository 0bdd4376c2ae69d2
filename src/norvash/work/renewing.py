"""Renew single brushes of a set while the others stay."""

from dataclasses import dataclass
from datetime import date

from norvash.core.motor.positions import PositionPlan
from norvash.core.motor.record import Renewal
from norvash.core.record.entries import BrushesRenewed, UseLogged
from norvash.core.sheet.judging.brushes.keeping import stays
from norvash.errors import InputError, NeedsAnswer
from norvash.store import lives, sets
from norvash.store.database import Connection
from norvash.work.acting import Act, Change, in_order, prepared
from norvash.work.brushes_used import Used, check_reason, length_of, log_change
from norvash.work.context import Context
from norvash.work.gate_holding import hold_at_gate
from norvash.work.loading import load
from norvash.work.logging_use import settled
from norvash.work.standing import foresee, judge, keep

# The answer that a brush which may not stay is left in all the same.
STAY = "stays"


@dataclass(frozen=True, kw_only=True)
class _Renewed(Used):
    """Single brushes that were renewed, each with its place, and what speaks against leaving the others in."""

    renewals: tuple[tuple[PositionPlan, Renewal], ...]
    against: str = ""


def renew_brushes(
    conn: Connection, act: Act, motor_id: str, *, counter: str, reason: str, lengths: dict[int, str], answer: str = ""
) -> str:
    """Renew some brushes of the set while the others stay; `lengths` holds their positions, an empty one not measured.

    Where one of the others may not stay that is asked, and `answer` says that it does all the same, after a “+” where
    it answers for the counter too.
    Raises: InputError at the field that is wrong, also when all brushes are named; NeedsAnswer about the counter and
    about those that may not stay, Conflict while the gate of an open sheet is not passed.
    """
    check_reason(reason, "the brushes")
    of_counter, _, of_others = answer.rpartition("+") if answer.endswith(STAY) else (answer, "", "")

    def prepare() -> _Renewed:
        now, context = in_order(conn, act), load(conn, motor_id)
        sheet, known = context.open_sheet, {p.number: p for p in context.positions}
        if sheet is not None:
            hold_at_gate(sheet, "safe", context, now.at)
        if not lengths or not set(lengths) <= set(known):
            raise InputError("No brush is chosen.", "Choose those that were renewed.", "only")
        if len(lengths) == len(known):
            raise InputError("All brushes are chosen.", "That is a new set: leave the choice empty.", "only")
        counted, news = settled(context, counter, now.at, of_counter)
        against = _against(context, set(lengths), now.at.date())
        if against and not of_others:
            raise _asked(against, of_counter)
        made = tuple((known[n], _renewal(context, n, counted.total_units, text)) for n, text in sorted(lengths.items()))
        used = [UseLogged(use=counted.logged(now.at))] if news else []
        after = context.after(*used, BrushesRenewed(renewals=tuple(r for _, r in made)))
        judged = foresee(conn, [after], now.at.date())[0]
        return _Renewed(context=context, counted=counted, news=news, judged=judged, renewals=made, against=against)

    def body(act: Act, made: _Renewed) -> Change:
        log_change(conn, act, motor_id, counter, made)
        current = made.context.sets[-1]
        for _, renewal in made.renewals:
            sets.add_renewal(conn, current.id, act.at, renewal, act.id)
        lives.keep_lives(conn, made.context.lives, made.judged.context.lives, act.id)
        keep(conn, made.judged)
        renewed = {plan.label: renewal.length_mm for plan, renewal in made.renewals}
        told: dict[str, object] = {"renewed": renewed, "reason": reason}
        told |= {"beside": made.against, "answer": STAY} if made.against else {}
        return Change(act.id, {"set": current.number}, told, motor_id)

    typed = {"motor": motor_id, "counter": counter, "reason": reason, "only": lengths, "answer": answer}
    return prepared(conn, act, "renew brushes", typed=typed, prepare=prepare, body=body)


def _against(context: Context, renewed: set[int], today: date) -> str:
    """Return what speaks against leaving the others of a set in, empty where nothing does."""
    found = judge(context, today).found
    every = zip(found.brushes, stays(found, context.state, context.rules), strict=True)
    return "; ".join(f"{s.label} may not stay: {s.why}" for b, s in every if b.number not in renewed and s.worn)


def _asked(against: str, of_counter: str) -> NeedsAnswer:
    """Return the question whether the others are left in all the same."""
    key = f"{of_counter}+{STAY}" if of_counter else STAY
    choices = ((key, "They stay all the same"), ("choose", "I choose again: those too, or the whole set"))
    return NeedsAnswer(f"{against}.", "Renew those too, or the set; or say that they stay.", "only", choices, "choose")


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
