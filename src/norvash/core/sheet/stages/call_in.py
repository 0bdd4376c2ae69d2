"""Call in: what is said of the motor, and what was put off on it before."""

from functools import lru_cache

from norvash.core.diagnosis.sign import NOT_SO
from norvash.core.diagnosis.signs import AT_THE_CALL
from norvash.core.sheet.field import Field, Tick
from norvash.core.sheet.fields_made import pick, text, tick
from norvash.core.sheet.finding import finding
from norvash.core.sheet.part import COMPLAINT as COMPLAINT_PART
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.stage import Stage
from norvash.core.sheet.task import Task

FIELDS: tuple[Field, ...] = (
    COMPLAINT := text("complaint", "The call", "What is said, in their words"),
    DUE := tick("due", "The call", "none: it was due"),
    LAST_WORK := text("last-work", "The call", "Last work on it"),
    URGENCY := pick(
        "urgency",
        "The call",
        "How urgent",
        ("now", "stands, work waits"),
        ("today", "today"),
        ("week", "this week"),
        ("routine", "routine look"),
        record=True,
    ),
)
FIND_FAULT = Task(
    id="find-fault",
    what="Find the cause and mend it",
    done="cause found and mended",
    minutes=30,
    tools="as the next check asks",
    steps=("take the check that tells most for its minutes", "mend what is found", "run it, say whether it is gone"),
)
FINDINGS = (
    COMPLAINT_DEAD := finding(
        "complaint.dead", "it does not run", "change", "find the cause and mend it", COMPLAINT_PART, FIND_FAULT
    ),
)
_SETTLED = "settle."


def complained(sheet: Sheet) -> bool:
    """Tell whether somebody complains of the motor: in their words, or by a sign at the call. That it was only due
    takes no word of that back.
    """
    signs = (f for f in STAGE.picked if not f.sign.silent)
    return bool(COMPLAINT.of(sheet)) or any(f.of(sheet) not in ("", NOT_SO) for f in signs)


@lru_cache(maxsize=1024)
def settled(deferred_id: str) -> Tick:
    """Return the tick that says that something put off before is mended now."""
    return tick(f"{_SETTLED}{deferred_id}", "Put off before", "mended now")


def _named(field_id: str) -> Tick | None:
    deferred_id = field_id.removeprefix(_SETTLED)
    return settled(deferred_id) if deferred_id not in ("", field_id) else None


STAGE = Stage(
    id="call-in", name="call_in", words="Call in", fields=FIELDS, signs=AT_THE_CALL, findings=FINDINGS, named=_named
)
