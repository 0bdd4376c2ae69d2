"""Fit a new set of brushes: the old one ends with its reason, the next starts with its measured lengths."""

from dataclasses import replace

from norvash.core.doubts import doubt_of
from norvash.core.readings import read
from norvash.core.straight_line import Point
from norvash.errors import InputError
from norvash.store import rounds
from norvash.store.database import Connection
from norvash.work.acting import Act, Change, once
from norvash.work.context import Context, load
from norvash.work.logging_use import settle_use
from norvash.work.standing import refresh

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
        try:
            reading = read(text, context.figures, context.rules, method, instrument)
        except InputError as error:
            raise error.at(f"length_{plan.number}") from None
        reading = replace(reading, typed=text.strip())
        doubt = doubt_of(reading, start, None, total, (), context.rules)
        rounds.add_reading(conn, f"{act.id}.{plan.number}", round_id, plan.number, reading, method, instrument, doubt, act.id)  # fmt: skip
        made[plan.label] = reading.length_mm
    rounds.finish_round(conn, round_id, act.at)
    return made
