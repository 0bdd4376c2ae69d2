"""What stands at “Decide” says, keeps shut and waits for."""

from collections.abc import Iterator

from norvash.core.grades import GRADES, WORDS
from norvash.core.judging import offers
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.held import Held
from norvash.core.sheet.measured import Measured
from norvash.core.sheet.part import COMPLAINT, RUN
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.call_in import FIND_FAULT
from norvash.core.stages.decide import KEPT, KEPT_WHY, MOTOR_OVERRULED, OUTCOME, RUNS, STAGE, STOPS
from norvash.core.stages.prove.run_fields import FIELDS
from norvash.core.text.words import day_words, listed
from norvash.core.visit.done import done_tasks, work_done
from norvash.core.visit.proving import open_words
from norvash.core.visit.stops import holds_power
from norvash.core.visit.visit import Judging, Visit
from norvash.core.visit.ways import buys_new, retires_on


def _before_power(visit: Visit) -> Iterator[Held]:
    """Yield every part that is out of service. What is done is run to prove it, but for what is proven before any
    power: earth, insulation, bindings, the field, an armature that burns. What lies before it and was handed to the
    owner does not feed it here.
    """
    running = any(field.places(visit.sheet) for field in FIELDS)
    for life in filter(holds_power, visit.lives):
        finding, done = life.finding, life.state == "done not proven"
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
    sheet, outcome, quick = visit.sheet, OUTCOME.of(visit.sheet), visit.sheet.kind == "quick"
    if quick or outcome not in STOPS:
        for life in visit.lives:
            if life.state == "open" and not life.decided and life.finding.part is not COMPLAINT:
                yield open_words(life, quick=quick)
    if quick:
        return
    yield from _outcome_held(visit, outcome)
    yield from _softened(visit)
    if visit.ways is not None and visit.ways.moved:
        yield "The prices are others than those that the way was taken by: decide again, with the reason"
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
    if outcome in RUNS and buys_new(visit.sheet) and retires_on(visit.sheet) is None:
        yield "A new unit is taken, yet it goes back to service: name the day on which it is replaced"


def _not_kept(visit: Visit) -> Iterator[str]:
    """Yield that nobody has said why it is kept as it is, and that work was done on what is said to be kept so."""
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


def _measure(sheet: Sheet, rules: MotorRules, _worn_mm: tuple[float, ...]) -> Iterator[Measured]:
    yield from offers.measured(sheet, rules)


def _holds_power(visit: Visit) -> Iterator[str | Held]:
    yield from _before_power(visit)
    yield from offers.before_power(visit)


def _holds_signature(visit: Visit) -> Iterator[str]:
    yield from _before_signing(visit)
    if visit.sheet.kind != "quick" and OUTCOME.of(visit.sheet) in RUNS:
        yield from offers.before_signing(visit)


JUDGING = Judging(
    stage=STAGE,
    measure=_measure,
    holds={"power": _holds_power, "service": _before_service, "sign": _holds_signature},
    is_done=_is_done,
    left=_left,
)
