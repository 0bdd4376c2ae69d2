"""What fitting a set and renewing single brushes have in common: the counter, the reason, a length of a new brush."""

from norvash.core.brush.readings import Reading, read
from norvash.core.motor.figure_fields import MEASURED_BY, MEASURED_WITH
from norvash.errors import InputError
from norvash.work.reading.context import Context

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


def check_reason(reason: str, what: str) -> None:
    """Refuse a change without one of the reasons.

    Raises: InputError.
    """
    if reason not in END_REASONS:
        raise InputError(f"Say why {what} came out.", "Choose one of the reasons.", "reason")


def way_of_new(context: Context) -> str:
    """Return how a new brush in the hand is measured."""
    method = MEASURED_BY.of(context.figures)
    return "length" if method in _IN_PLACE else method


def length_of(context: Context, position: int, text: str) -> Reading:
    """Return the length of a new brush as read.

    Raises: InputError at its field.
    """
    try:
        return read(text, context.figures, context.rules, way_of_new(context), MEASURED_WITH.of(context.figures))
    except InputError as error:
        raise error.at(f"length_{position}") from None
