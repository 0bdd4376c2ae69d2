"""Call in: what is said of the motor, and what was put off on it before."""

from functools import lru_cache

from norvash.core.diagnosis.sign import NOT_SO
from norvash.core.diagnosis.signs import AT_THE_CALL
from norvash.core.grades import Grade
from norvash.core.sheet.field import Field, Tick
from norvash.core.sheet.fields_made import pick, text, tick
from norvash.core.sheet.finding import Finding, finding
from norvash.core.sheet.part import COMPLAINT as COMPLAINT_PART
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.stage import Stage
from norvash.core.sheet.task import Task

FIELDS: tuple[Field, ...] = (
    COMPLAINT := text("complaint", "The call", "What is said, in their words", judged=True),
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


def _of_call(finding_id: str, words: str, grade: Grade, decision: str = "find the cause and mend it") -> Finding:
    """Return what is complained of, as a finding until it is answered and proven."""
    return finding(finding_id, words, grade, decision, COMPLAINT_PART, FIND_FAULT)


_NOT_USED = "not in use before that is found and mended"
FINDINGS = (
    COMPLAINT_SHOCK := _of_call("complaint.shock", "it gives a shock, or tingles", "stop", _NOT_USED),
    COMPLAINT_SMOKE := _of_call("complaint.smoke", "smoke or flame comes from it", "stop", _NOT_USED),
    COMPLAINT_RUNS_ON := _of_call(
        "complaint.runs-on", "it keeps running after release, or cannot be stopped", "stop", _NOT_USED
    ),
    COMPLAINT_BRAKE := _of_call("complaint.brake", "its brake does not hold", "stop", _NOT_USED),
    COMPLAINT_TRIPS := _of_call("complaint.trips", "it trips the protection", "change"),
    COMPLAINT_SMELL := _of_call("complaint.smell", "it smells of burning", "change"),
    COMPLAINT_SPARKS := _of_call("complaint.sparks", "it sparks all round", "change"),
    COMPLAINT_DEAD := _of_call("complaint.dead", "it does not run", "change"),
    COMPLAINT_ASKED := _of_call(
        "complaint.asked", "complained of in words, and nobody has said which kind it is", "change", "say which it is"
    ),
    COMPLAINT_OTHER := _of_call("complaint.other", "complained of", "watch", "find the cause, say whether it is gone"),
    COMPLAINT_UNKNOWN := _of_call(
        "complaint.unknown",
        "a complaint gone, its cause not known",
        "change",
        "ask at the next visit whether it has come back",
    ),
)
# Which of them it is, as it is said in words; the last is none of those that have a grade of their own.
KINDS = {
    "shock": COMPLAINT_SHOCK,
    "smoke": COMPLAINT_SMOKE,
    "runs-on": COMPLAINT_RUNS_ON,
    "brake": COMPLAINT_BRAKE,
    "trips": COMPLAINT_TRIPS,
    "smell": COMPLAINT_SMELL,
    "sparks": COMPLAINT_SPARKS,
    "dead": COMPLAINT_DEAD,
    "none": COMPLAINT_OTHER,
}
# By sign the answers that say so.
BY_SIGN = {
    "start": (("dead", "clicks", "chatter"), COMPLAINT_DEAD),
    "shock": (("yes",), COMPLAINT_SHOCK),
    "smoke": (("yes",), COMPLAINT_SMOKE),
    "stays-on": (("yes",), COMPLAINT_RUNS_ON),
    "brake": (("yes",), COMPLAINT_BRAKE),
    "trips": (("yes",), COMPLAINT_TRIPS),
    "smell": (("yes",), COMPLAINT_SMELL),
    "sparks": (("ring",), COMPLAINT_SPARKS),
}
# With what is gone without a cause, and is not certified before a later visit says that it has not come back.
NOT_CERTIFIED = frozenset(f.id for f in (COMPLAINT_SHOCK, COMPLAINT_SMOKE, COMPLAINT_RUNS_ON))
FIELDS = (
    *FIELDS,
    COMPLAINT_KIND := pick(
        "complaint-kind",
        "The call",
        "Which of these is it",
        *((kind, f.words) for kind, f in KINDS.items() if kind != "none"),
        ("none", "none of these"),
        judged=True,
        placed=True,
    ),
    COMPLAINT_BACK := pick(
        "complaint-back",
        "The call",
        "Has the complaint that was gone come back",
        ("not", "not come back, it was used since"),
        ("back", "it has come back"),
        judged=True,
        placed=True,
        tells=(COMPLAINT_UNKNOWN,),
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
    id="call-in",
    name="call_in",
    words="Call in",
    fields=FIELDS,
    signs=AT_THE_CALL,
    findings=FINDINGS,
    hears=True,
    named=_named,
)
