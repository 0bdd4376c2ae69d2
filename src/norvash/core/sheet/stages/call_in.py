"""Call in: what is said of the motor, and what was put off on it before."""

from norvash.core.diagnosis.signs import AT_THE_CALL
from norvash.core.sheet.field import Field, Tick, pick, text, tick
from norvash.core.sheet.stage import Stage

FIELDS: tuple[Field, ...] = (
    COMPLAINT := text("complaint", "The call", "What is said, in their words"),
    LAST_WORK := text("last-work", "The call", "Last work on it"),
    URGENCY := pick(
        "urgency",
        "The call",
        "How urgent",
        ("now", "stands, work waits"),
        ("today", "today"),
        ("week", "this week"),
        ("routine", "routine look"),
    ),
)
_SETTLED = "settle."


def settled(deferred_id: str) -> Tick:
    """Return the tick that says that something put off before is mended now."""
    return tick(f"{_SETTLED}{deferred_id}", "Put off before", "mended now")


def _named(field_id: str) -> Tick | None:
    deferred_id = field_id.removeprefix(_SETTLED)
    return settled(deferred_id) if deferred_id not in ("", field_id) else None


STAGE = Stage(id="call-in", name="call_in", words="Call in", fields=FIELDS, signs=AT_THE_CALL, named=_named)
