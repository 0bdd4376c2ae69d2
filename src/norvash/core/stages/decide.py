"""Decide: what is done about each finding, what is overruled, what becomes of the motor."""

from collections.abc import Callable
from functools import cache

from norvash.core.diagnosis.causes import CAUSES
from norvash.core.grades import WORDS
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.field import Decision, Field, Pick, Tick
from norvash.core.sheet.fields_made import pick, text, tick
from norvash.core.sheet.fields_of_parts import Taken
from norvash.core.sheet.part import PARTS
from norvash.core.sheet.stage import Stage
from norvash.core.stages.offers import FIELDS as OFFERS
from norvash.core.stages.offers import FINDINGS as OF_OFFERS
from norvash.core.stages.ways import TAKEN, WAY, way_words

_DECIDED = "decide."
DECISIONS = {
    "now": "do it now",
    "deferred": "put off",
    "left": "left so",
    "waits": "out of service, waiting for a part",
    "dropped": "not needed after all",
    "owner": "handed to the owner",
    "done": "done at this visit",
    "elsewhere": "mended since the last visit, not here",
    "slip": "the reading of before was a slip",
}
# Why something that was grave on the last sheet is right at this one, where nobody here has worked on it.
ELSEWHERE, SLIP = "elsewhere", "slip"
# What is asked for in words with what is decided so.
ASKED_WHY = {
    "owner": "Say to whom, and what to mend there",
    "dropped": "Say why it is not needed",
    ELSEWHERE: "Say by whom, and what was done",
    SLIP: "Say what was wrong with that reading",
}
# With which outcomes it goes back to service, and with which it does not.
KEPT = "kept"
RUNS = ("service", "deferred", KEPT)
RETIRED = "retired"
AWAY = ("out", "away")
STOPS = ("upstream", *AWAY, RETIRED)
OUTCOME = pick(
    "outcome",
    "Outcome",
    "What becomes of it",
    ("service", "back to service"),
    ("deferred", "back to service with what is put off"),
    (KEPT, "kept as it is, back to service"),
    ("upstream", "not opened: the fault lies before it"),
    ("out", "out of service until it is mended"),
    ("away", "sent out or replaced"),
    (RETIRED, "retired: it is used no more"),
    judged=True,
)
KEPT_WHY = text("kept-why", "Outcome", "Kept as it is because", placed=True)


@cache
def decision(finding_id: str) -> Decision:
    """Return the field in which a finding is decided, at the place where it is, 0 for the whole motor."""
    return Decision(
        id=f"{_DECIDED}{finding_id}", group="Decided", label=finding_id, per="position", whole=True, judged=True
    )


def decided_finding(field: Field) -> str:
    """Return the id of the finding that a field decides, empty for another field."""
    return field.id.removeprefix(_DECIDED) if isinstance(field, Decision) else ""


def _always(_facts: Facts, _rules: MotorRules) -> bool:
    return True


def _never(_facts: Facts, _rules: MotorRules) -> bool:
    return False


def overruled(part_id: str, words: str, offered: Callable[[Facts, MotorRules], bool] = _always) -> Pick:
    """Return the field in which the verdict on a part, or on the motor, is overruled with a reason."""
    return pick(
        f"overrule.{part_id}", "Overruled", words, *WORDS.items(), why=True, judged=True, placed=True, offered=offered
    )


def ruled_out(cause_id: str, words: str) -> Tick:
    """Return the tick that says that a cause was found and mended."""
    return tick(f"ruled-out.{cause_id}", "Causes found and mended", words, placed=True)


OVERRULED = {p.id: overruled(p.id, p.words) for p in PARTS}
# The motor itself is not overruled any more, only its parts: an older sheet may still say so.
MOTOR_OVERRULED = overruled("motor", "The motor", _never)
RULED_OUT = {c.id: ruled_out(c.id, c.words) for c in CAUSES}


def answer_words(field: Field | None, word: str, typed: str) -> str:
    """Return a word that was entered in a field in the words of its answers, as typed where it has none."""
    if isinstance(field, Pick):
        return dict(field.choices).get(word, typed)
    if isinstance(field, Taken):
        return way_words(int(word), "") if word.isdigit() else typed
    return DECISIONS.get(word, typed) if isinstance(field, Decision) else typed


def _named(field_id: str) -> Decision | None:
    finding_id = field_id.removeprefix(_DECIDED)
    return decision(finding_id) if finding_id not in ("", field_id) else None


STAGE = Stage(
    id="decide",
    name="decide",
    words="Decide",
    fields=(OUTCOME, KEPT_WHY, *OFFERS, WAY, TAKEN, *OVERRULED.values(), MOTOR_OVERRULED, *RULED_OUT.values()),
    findings=OF_OFFERS,
    schools=("school.when", "school.repair"),
    named=_named,
)
