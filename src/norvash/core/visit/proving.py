"""What became of a finding, in words: what was done, what would prove it, what has proven it."""

from collections.abc import Iterable

from norvash.core.sheet.life import Life
from norvash.core.sheet.part import COMPLAINT
from norvash.core.sheet.records import TaskDone
from norvash.core.stages.catalogue import TOLD_BY

STATE_WORDS = {
    "open": "open",
    "put off": "put off",
    "done not proven": "done, not proven",
    "proven": "proven",
    "dropped": "not needed",
    "withdrawn": "withdrawn",
}


RIGHT_AGAIN = "right again, and nobody has said why"
SAY_WHY = "Say why it is right again: mended since, or a slip then."
HANDED_OVER, LEFT_SO = "handed to the owner", "left so"


def state_words(life: Life) -> str:
    """Return the state of a finding in words: of one that waits for a part what it waits for."""
    if life.handed_over and life.stands:
        return HANDED_OVER
    if life.left_so:
        return LEFT_SO
    if life.right_again:
        return RIGHT_AGAIN
    return f"waits for {life.waits_for.part}" if life.waits_for is not None else STATE_WORDS[life.state]


def done_words(life: Life) -> str:
    """Return that the work on a finding is done, and what it was."""
    return ", ".join(life.worked) or "done"


def proof_asked(life: Life) -> str:
    """Return what would prove that a finding is mended."""
    if not life.finding.known:
        renewed = "renew the whole part and look at it, or use a version that knows it"
        return renewed if life.finding.grade == "stop" else f"look at the whole part and say why not; or {renewed}"
    if "of-brush" in life.finding.kinds and not life.finding.proof:
        return "measure the new brushes" if life.done else "measure the brushes"
    fields = [f for f in TOLD_BY.get(life.finding.id, ()) if f.id != life.finding.look]
    if fields and not life.by_sight:
        again = "ask" if life.finding.part is COMPLAINT else "measure again"
        return f"{again}: {fields[0].label[0].lower()}{fields[0].label[1:]}"
    return "look again"


def open_words(life: Life, *, quick: bool) -> str:
    """Return what is open of a finding, in words."""
    name = f"{life.place}, {life.finding.words}"
    if life.state == "done not proven":
        return f"Done, not proven: {name}; {proof_asked(life)}"
    if life.right_again:
        return f"Right again, and nobody has said what was done since, or that it was a slip: {name}"
    if life.measured_again:
        return f"Measured again after the work, and still so: {name}"
    if quick:
        return f"Found, and open: {name}"
    return f"Not done: {name}" if life.decided else f"Not decided: {name}"


def handed_over(lives: Iterable[Life]) -> str:
    """Return in words what lies outside the motor and was handed to its owner: what is signed speaks of the motor
    alone; empty where nothing was.
    """
    said = [f"{x.place}: {x.finding.words}; {x.why}" for x in lives if x.stands and x.handed_over]
    return f"of the motor alone; handed to the owner: {'; '.join(said)}" if said else ""


def said_by(life: Life) -> str:
    """Return who has done the work on a finding, with the time and the parts that went into it."""
    made = []
    for given in life.done:
        took = given.record.words if isinstance(given.record, TaskDone) else ""
        made.append(", ".join(filter(None, (given.person, took))))
    return "; ".join(dict.fromkeys(made))
