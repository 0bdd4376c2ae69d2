"""Fit a new set of brushes: the old one ends with its reason, the next starts with its measured lengths."""

from dataclasses import replace

from norvash.core.doubts import doubt_of
from norvash.core.readings import Reading, read
from norvash.core.state import Renewal
from norvash.core.straight_line import Point
from norvash.errors import InputError
from norvash.store import renewals, rounds
from norvash.store.database import Connection
from norvash.work.acting import Act, Change, once
from norvash.work.context import Context, load
from norvash.work.logging_use import settle_use
from norvash.work.standing import forecast_ready, refresh

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


def fit_new_set(
    conn: Connection, act: Act, motor_id: str, counter: str, reason: str, lengths: dict[int, str], answer: str = ""
) -> str:
    """End the set in the motor with its reason and start the next one with its measured lengths.

    Raises: InputError at the field that is wrong, NeedsAnswer about the counter; then nothing is kept.
    """
    if reason not in END_REASONS:
        raise InputError("Say why the old set came out.", "Choose one of the reasons.", "reason")
    forecast_ready()

    def body(act: Act) -> Change:
        context = load(conn, motor_id)
        total = settle_use(conn, act, context, counter, answer).total_units
        set_id, number, fitted_units, _ = rounds.current_set(conn, motor_id)
        half_done = rounds.open_round(conn, motor_id)
        if half_done is not None:
            rounds.finish_round(conn, half_done.id, act.at)
        rounds.end_set(conn, set_id, act.at, total, reason)
        rounds.add_set(conn, act.id, motor_id, number + 1, act.at, total, True, act.id)
        measured = _starting_lengths(conn, act, context, total, lengths)
        refresh(conn, motor_id, act.at.date())
        before = {"set": number, "ran": total - fitted_units}
        return Change(act.id, before, {"set": number + 1, "reason": reason, "lengths_mm": measured}, motor_id)

    typed = {"motor": motor_id, "counter": counter, "reason": reason, "lengths": lengths, "answer": answer}
    return once(conn, act, "fit a new set", typed, body)


def renew_brushes(
    conn: Connection, act: Act, motor_id: str, counter: str, reason: str, lengths: dict[int, str], answer: str = ""
) -> str:
    """Renew some brushes of the set while the others stay; `lengths` holds their positions, an empty one not measured.

    Raises: InputError at the field that is wrong, also when all brushes are named; NeedsAnswer about the counter.
    """
    if reason not in END_REASONS:
        raise InputError("Say why the brushes came out.", "Choose one of the reasons.", "reason")
    forecast_ready()

    def body(act: Act) -> Change:
        context = load(conn, motor_id)
        known = {p.number: p for p in context.state.positions}
        if not lengths or not set(lengths) <= set(known):
            raise InputError("No brush is chosen.", "Choose those that were renewed.", "only")
        if len(lengths) == len(known):
            raise InputError("All brushes are chosen.", "That is a new set: leave the choice empty.", "only")
        total = settle_use(conn, act, context, counter, answer).total_units
        set_id, number, _, _ = rounds.current_set(conn, motor_id)
        made: dict[str, float | None] = {}
        for position, text in sorted(lengths.items()):
            found = _length_of(context, position, text) if text.strip() else None
            made[known[position].label] = found.length_mm if found else None
            renewal = Renewal(position, total, found.length_mm if found else None, found.sd_mm if found else None)
            renewals.add_renewal(conn, set_id, act.at, renewal, act.id)
        refresh(conn, motor_id, act.at.date())
        return Change(act.id, {"set": number}, {"renewed": made, "reason": reason}, motor_id)

    typed = {"motor": motor_id, "counter": counter, "reason": reason, "only": lengths, "answer": answer}
    return once(conn, act, "renew brushes", typed, body)


def _length_of(context: Context, position: int, text: str) -> Reading:
    method = context.figures.word("method")
    method = "length" if method in ("wear line", "compare", "spring position") else method
    try:
        return read(text, context.figures, context.rules, method, context.figures.word("instrument"))
    except InputError as error:
        raise error.at(f"length_{position}") from None


def _starting_lengths(
    conn: Connection, act: Act, context: Context, total: float, lengths: dict[int, str]
) -> dict[str, float]:
    typed = {p: lengths[p.number] for p in context.state.positions if lengths.get(p.number, "").strip()}
    if not typed:
        return {}
    round_id = f"{act.id}.fit"
    rounds.add_round(conn, round_id, context.motor.id, act.id, "fitting", act.at, total, act.id)
    instrument = context.figures.word("instrument")
    method = context.figures.word("method")
    method = "length" if method in ("wear line", "compare", "spring position") else method
    start = Point(context.figures.need("new_mm"), total, context.rules["new.tolerance"] / 2)
    made: dict[str, float] = {}
    for plan, text in typed.items():
        reading = replace(_length_of(context, plan.number, text), typed=text.strip())
        doubt = doubt_of(reading, start, None, total, (), context.rules)
        rounds.add_reading(conn, f"{act.id}.{plan.number}", round_id, plan.number, reading, method, instrument, doubt, act.id)  # fmt: skip
        made[plan.label] = reading.length_mm
    rounds.finish_round(conn, round_id, act.at)
    return made
