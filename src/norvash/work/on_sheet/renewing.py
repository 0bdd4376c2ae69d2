"""Renew single brushes of a set while the others stay."""

from dataclasses import replace
from datetime import date

from norvash.core.judging.brushes.keeping import stays
from norvash.core.record.said import Said
from norvash.core.record.sets import BrushesRenewed
from norvash.core.state.motor_state import Renewal
from norvash.core.use.happened import NOTHING, Happened
from norvash.errors import InputError, NeedsAnswer
from norvash.store.file.database import Connection
from norvash.work.act.acting import Act, Change
from norvash.work.motors.logging_use import settled
from norvash.work.on_sheet.brushes_used import check_reason, length_of
from norvash.work.on_sheet.gate_holding import hold_at_gate
from norvash.work.reading.context import Context
from norvash.work.reading.loading import load
from norvash.work.reading.saying import Saying, say
from norvash.work.reading.standing import foresee, judge

# The answer that a brush which may not stay is left in all the same.
STAY = "stays"


def renew_brushes(
    conn: Connection,
    act: Act,
    motor_id: str,
    *,
    counter: str,
    reason: str,
    lengths: dict[int, str],
    happened: Happened = NOTHING,
) -> str:
    """Renew some brushes of the set while the others stay; `lengths` holds their positions, an empty one not measured.

    Where one of the others may not stay that is asked, and the answer says that it does all the same, after a “+” where
    it answers for the counter too.
    Raises: InputError at the field that is wrong, also when all brushes are named; NeedsAnswer about the counter and
    about those that may not stay, Conflict while the gate of an open sheet is not passed.
    """
    check_reason(reason, "the brushes")
    answer = happened.answer
    of_counter, _, of_others = answer.rpartition("+") if answer.endswith(STAY) else (answer, "", "")

    def prepare(now: Act) -> Saying:
        context = load(conn, motor_id)
        sheet, known = context.open_sheet, {p.number: p for p in context.positions}
        if sheet is not None:
            hold_at_gate(sheet, "safe", context, now.at)
        if not lengths or not set(lengths) <= set(known):
            raise InputError("No brush is chosen.", "Choose those that were renewed.", "only")
        if len(lengths) == len(known):
            raise InputError("All brushes are chosen.", "That is a new set: leave the choice empty.", "only")
        counted, news = settled(context, counter, now, replace(happened, answer=of_counter))
        against = _against(context, set(lengths), now.at.date())
        if against and not of_others:
            raise _asked(against, of_counter)
        made = tuple(_renewal(context, n, counted.total_units, text) for n, text in sorted(lengths.items()))
        said: tuple[Said, ...] = (*news, BrushesRenewed(renewals=made, at=now.at))
        told: dict[str, object] = {"renewed": {known[r.position].label: r.length_mm for r in made}, "reason": reason}
        told |= {"beside": against, "answer": STAY} if against else {}
        change = Change(now.id, {"set": context.sets[-1].number}, told, motor_id)
        judged = foresee(conn, [context.after(*said)], now.at.date())[0]
        return Saying(context=context, said=said, change=change, judged=judged)

    typed = {"motor": motor_id, "counter": counter, "reason": reason, "only": lengths, "answer": answer}
    typed |= happened.typed
    return say(conn, act, "renew brushes", typed=typed, prepare=prepare)


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
