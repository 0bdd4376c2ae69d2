"""A line of values, typed in the first of several fields of a kind: each goes to its place, this one and the next."""

from dataclasses import replace

from norvash.core.sheet.field import Field, Pick, Quantity
from norvash.core.stages.catalogue import field_of
from norvash.core.visit.named import place_words
from norvash.core.visit.typed import place_of
from norvash.errors import InputError
from norvash.exchange.said.sheet import Enter
from norvash.exchange.said.told import At, Seen
from norvash.store.file.database import Connection
from norvash.store.record import sheets
from norvash.web.served.forms import as_per_cent
from norvash.work.act.acting import Act
from norvash.work.reading.loading import load

# A minus as it is set is the one that is typed.
_MINUS = {"−": "-", "–": "-"}


def line_of(field: Field | None, text: str) -> list[str]:
    """Return the values of a line, one for each place; what is no line is one value."""
    if isinstance(field, Pick) and field.per:
        said = [_MINUS.get(x, x) for x in text.replace(";", " ").split()]
        return said if len(said) > 1 and set(said) <= set(field.answers) else [text]
    if not isinstance(field, Quantity) or not field.per or ";" not in text:
        return [text]
    return [value.strip() for value in text.rstrip("; ").split(";")]


def enter_line(conn: Connection, act: Act, entry: Enter, *, sheet_id: str, seen: Seen, typed: dict[str, str]) -> None:
    """Enter a value, or a line of them: one after another, an empty one leaves its place as it is.

    `typed` follows what is still to be entered, and where. Raises: what entering one raises, at its place.
    """
    field = field_of(entry.field)
    values = line_of(field, entry.value)
    motor_id = sheets.fetch_sheet(conn, sheet_id).motor_id
    if len(values) > 1 and field is not None:
        _check_places(conn, motor_id, field, entry.place, values)
    shown = typed.get("position", "")
    for n, value in enumerate(values):
        typed |= {"place": str(entry.place + n), "value": "; ".join(values[n:])}
        if n and field is not None and field.per == "position":
            typed["position"] = typed["place"]  # trouble is shown at its brush
        one = entry.model_copy(update={"place": entry.place + n, "value": as_per_cent(field, value)})
        if n == 0:
            one.done(act, At(conn, "", sheet_id, seen))
        elif value:
            alone = one.model_copy(update={"sight": "", "answer": "", "why": ""})
            alone.done(replace(act, id=f"{act.id}-{n}"), At(conn, motor_id, sheet_id))
    typed["position"] = shown


def _check_places(conn: Connection, motor_id: str, field: Field, first: int, values: list[str]) -> None:
    """Refuse a line that is longer than the places from here on, or that would write over one of them."""
    context = load(conn, motor_id)
    labels = {p.number: p.label for p in context.positions}
    for place in range(first, first + len(values)):
        try:
            place_of(field, place, context.facts)
        except InputError:
            raise InputError(
                f"{len(values)} values, and {place - first} places from here on.", "Give one for each place.", "value"
            ) from None
        there = any(g.stands for (f, p, _), g in context.written.items() if (f, p) == (field.id, place))
        if there and place > first and values[place - first]:
            words = place_words(field, place, labels).strip(" ,")
            raise InputError(f"Something stands at {words} already.", "Leave it out, or change it there.", "value")
