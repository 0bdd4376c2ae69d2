"""Decide: what is done about each finding, what is overruled, what becomes of the motor."""

from norvash.core.diagnosis.causes import CAUSES
from norvash.core.sheet.field import Decision, Field, Pick, Tick, pick, tick
from norvash.core.sheet.part import PARTS
from norvash.core.sheet.stage import Stage, Visit
from norvash.core.verdict.grades import WORDS

_DECIDED = "decide."
OUTCOME = pick(
    "outcome",
    "Outcome",
    "What becomes of it",
    ("service", "back to service"),
    ("deferred", "back to service with what is put off"),
    ("upstream", "not opened: the fault lies before it"),
    ("out", "out of service until it is mended"),
    ("away", "sent out or replaced"),
)


def decision(finding_id: str) -> Decision:
    """Return the field in which a finding is decided, at the place where it is, 0 for the whole motor."""
    return Decision(
        id=f"{_DECIDED}{finding_id}", group="Decided", label=finding_id, per="position", whole=True, judged=True
    )


def decided_finding(field: Field) -> str:
    """Return the id of the finding that a field decides, empty for another field."""
    return field.id.removeprefix(_DECIDED) if isinstance(field, Decision) else ""


def overruled(part_id: str, words: str) -> Pick:
    """Return the field in which the verdict on a part, or on the motor, is overruled with a reason."""
    return pick(f"overrule.{part_id}", "Overruled", words, *WORDS.items(), why=True, judged=True, placed=True)


def ruled_out(cause_id: str, words: str) -> Tick:
    """Return the tick that says that a cause was found and mended."""
    return tick(f"ruled-out.{cause_id}", "Causes found and mended", words, placed=True)


OVERRULED = {
    name: overruled(name, words) for name, words in (*((p.id, p.words) for p in PARTS), ("motor", "The motor"))
}
RULED_OUT = {c.id: ruled_out(c.id, c.words) for c in CAUSES}


def _named(field_id: str) -> Decision | None:
    finding_id = field_id.removeprefix(_DECIDED)
    return decision(finding_id) if finding_id not in ("", field_id) else None


def _is_done(visit: Visit) -> bool:
    return bool(OUTCOME.of(visit.sheet)) and all(m.settled for m in visit.matters)


def _left(visit: Visit) -> str:
    undecided = sum(not m.settled for m in visit.matters)
    return f"{undecided} to decide" if undecided else ""


STAGE = Stage(
    id="decide",
    name="decide",
    words="Decide",
    fields=(OUTCOME, *OVERRULED.values(), *RULED_OUT.values()),
    schools=("school.when", "school.repair"),
    named=_named,
    is_done=_is_done,
    left=_left,
)
