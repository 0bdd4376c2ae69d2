"""Decide: what is done about each finding, what is overruled, what becomes of the motor."""

from collections.abc import Callable, Iterator
from functools import cache

from norvash.core.diagnosis.causes import CAUSES
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.field import Decision, Field, Pick, Tick
from norvash.core.sheet.fields_made import pick, text, tick
from norvash.core.sheet.held import Held
from norvash.core.sheet.part import COMPLAINT, PARTS, RUN
from norvash.core.sheet.stage import Stage, Visit
from norvash.core.sheet.stages.call_in import FIND_FAULT
from norvash.core.sheet.stages.prove.run_fields import FIELDS
from norvash.core.text.words import day_words, listed
from norvash.core.verdict.grades import GRADES, WORDS

_DECIDED = "decide."
DECISIONS = {
    "now": "do it now",
    "deferred": "put off",
    "waits": "out of service, waiting for a part",
    "dropped": "not needed after all",
    "owner": "handed to the owner",
    "done": "done at this visit",
}
# With which outcomes it goes back to service, and with which it does not.
KEPT = "kept"
RUNS = ("service", "deferred", KEPT)
RETIRED = "retired"
STOPS = ("upstream", "out", "away", RETIRED)
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
    return DECISIONS.get(word, typed) if isinstance(field, Decision) else typed


def _named(field_id: str) -> Decision | None:
    finding_id = field_id.removeprefix(_DECIDED)
    return decision(finding_id) if finding_id not in ("", field_id) else None


def _before_power(visit: Visit) -> Iterator[Held]:
    """Yield every part that is out of service. What is done is run to prove it, but for what is proven before any
    power: earth, insulation, bindings, the field, an armature that burns. What lies before it and was handed to the
    owner does not feed it here.
    """
    running = any(field.places(visit.sheet) for field in FIELDS)
    for life in visit.lives:
        finding, done = life.finding, life.state == "done not proven"
        if not life.stands or finding.grade != "stop" or life.handed_over:
            continue
        if done and finding.run_to_prove:
            continue
        words = f"{life.place}: {finding.words}{', done and not proven' if done else ''}"
        yield Held(id=f"{finding.id}.{life.position}", words=words, of_run=running and finding.part is RUN)


def _before_service(visit: Visit) -> Iterator[str]:
    """Yield what waits for a part, out of service."""
    for life in visit.lives:
        if life.waits_for:
            until = day_words(life.waits_for.day)
            yield f"{life.place}, {life.finding.words}, waits for {life.waits_for.part} until {until}: out of service"


def _before_signing(visit: Visit) -> Iterator[str]:
    """Yield every finding that nobody has decided or done, and what becomes of the motor where that is not said."""
    from norvash.core.sheet.proving import open_words

    sheet, outcome, quick = visit.sheet, OUTCOME.of(visit.sheet), visit.sheet.kind == "quick"
    if quick or outcome not in STOPS:
        for life in visit.lives:
            if life.state == "open" and not life.decided and life.finding.part is not COMPLAINT:
                yield open_words(life, quick=quick)
    if quick:
        return
    yield from _outcome_held(visit, outcome)
    yield from _softened(visit)
    if MOTOR_OVERRULED.given(sheet) is not None:
        yield "The verdict on the motor was overruled: overrule a part instead, or take it back"


def _outcome_held(visit: Visit, outcome: str) -> Iterator[str]:
    """Yield why what is said to become of the motor cannot be claimed."""
    if not outcome:
        yield "Not said: what becomes of the motor"
    if visit.found.grade == "stop" and outcome in RUNS:
        yield "What was found takes it out of service: no release"
    if outcome == KEPT:
        yield from _not_kept(visit)


def _not_kept(visit: Visit) -> Iterator[str]:
    """Yield that nobody has said why it is kept as it is, and that work was done on what is said to be kept so."""
    from norvash.core.sheet.done import done_tasks, work_done

    done = work_done({task: given for task, given in done_tasks(visit.sheet).items() if task is not FIND_FAULT})
    if not KEPT_WHY.of(visit.sheet):
        yield "Not said: why it is kept as it is"
    if done:
        yield f"Said to be kept as it is, but work was done: {listed(list(done))}"


def _softened(visit: Visit) -> Iterator[str]:
    """Yield every part of which somebody overruled a change to something milder."""
    for part in visit.found.components:
        over = part.overruled
        if over is not None and part.before == "change" and GRADES.index(over.grade) < GRADES.index("change"):
            words = f"{WORDS['change'].lower()} was overruled by {over.person} to {WORDS[over.grade].lower()}"
            yield f"{part.words}: {words}"


def _is_done(visit: Visit) -> bool:
    return bool(OUTCOME.of(visit.sheet)) and all(x.settled for x in visit.lives)


def _left(visit: Visit) -> str:
    undecided = sum(not x.settled for x in visit.lives)
    return f"{undecided} to decide" if undecided else ""


STAGE = Stage(
    id="decide",
    name="decide",
    words="Decide",
    fields=(OUTCOME, KEPT_WHY, *OVERRULED.values(), MOTOR_OVERRULED, *RULED_OUT.values()),
    schools=("school.when", "school.repair"),
    holds={"power": _before_power, "service": _before_service, "sign": _before_signing},
    named=_named,
    is_done=_is_done,
    left=_left,
)
