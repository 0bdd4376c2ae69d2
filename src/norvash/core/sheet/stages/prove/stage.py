"""The stage that proves: gate, earth, run, complaint; what keeps power off it and what keeps it from service."""

from collections.abc import Iterator

from norvash.core.motor.figure_fields import (
    CONSTRUCTION,
    NOLOAD_A_MOST,
    PERMITTED_RPM,
    PROTECTION,
    RATED_A,
    RATED_RPM,
    RATED_V,
    SAFE_NOLOAD_V,
)
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.finding import Noted
from norvash.core.sheet.gates import POWER
from norvash.core.sheet.part import RUN
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.stage import Stage, Visit
from norvash.core.sheet.stages.call_in import complained
from norvash.core.sheet.stages.prove import earth, run_fields, run_findings
from norvash.core.sheet.stages.prove.complaint import CAUSE_WAS, COMPLAINT_NOW
from norvash.core.sheet.stages.prove.earth import EARTH_OHM, earth_found
from norvash.core.sheet.stages.prove.run_fields import RUN_HOW
from norvash.core.sheet.stages.prove.since import read_since, run_now
from norvash.core.text.words import listed

_BEFORE_WORK = (
    "the proof run was before the last work: run it again, enter what it shows, and tick that it ran as it should"
)


def _judge(sheet: Sheet, rules: MotorRules, _worn_mm: tuple[float, ...]) -> Iterator[Noted]:
    from norvash.core.sheet.stages.prove.run import judge_run

    yield from earth_found(sheet, rules)
    if any(f.places(sheet) for f in run_fields.FIELDS):
        yield from ((0, f) for f in judge_run(run_now(sheet), rules).found)


def _before_power(visit: Visit) -> Iterator[str]:
    """Yield what of the earth is not proven."""
    from norvash.core.sheet.done import last_work

    sheet = visit.sheet
    if not EARTH_OHM.is_offered(sheet.facts, visit.rules):
        return
    given = EARTH_OHM.given(sheet)
    if given is None:
        yield "protective earth is not measured"
    elif given.at < last_work(sheet):
        yield "protective earth was measured before the last work: measure it again"


def _before_service(visit: Visit) -> Iterator[str]:
    """Yield why it has not proven itself by a run, where it was opened."""
    from norvash.core.sheet.gating import gate_now
    from norvash.core.sheet.walk import opened

    if not opened(visit):
        return
    if gate_now(POWER, visit).is_open:
        yield f"the gate “{POWER.words}” is open"
        return
    words = proof_lacks(visit)
    if words:
        yield words


def proof_lacks(visit: Visit) -> str:
    """Return why there is no proof run inside its bands after the last work, empty where there is one."""
    from norvash.core.sheet.done import last_work
    from norvash.core.sheet.stages.prove.run import judge_run, points_of

    sheet, ran, last = visit.sheet, run_fields.RAN.given(visit.sheet), last_work(visit.sheet)
    if not points_of(sheet):
        return "no proof run"
    run = judge_run(read_since(sheet, last), visit.rules)
    if run.at is None or (ran is not None and ran.at < last):
        return _BEFORE_WORK
    if run.lacks:
        return f"the proof run lacks {listed(list(run.lacks))}"
    off = [x.finding.words for x in visit.lives if x.stands and x.finding.part is RUN]
    if off:
        return f"the proof run is outside its bands: {listed(off)}"
    return "" if ran is not None else "nobody has said that it ran as it should"


def _before_signing(visit: Visit) -> Iterator[str]:
    from norvash.core.sheet.stages.decide import OUTCOME, STOPS

    sheet, outcome, answer = visit.sheet, OUTCOME.of(visit.sheet), COMPLAINT_NOW.of(visit.sheet)
    if sheet.kind == "quick" or not complained(sheet) or outcome in STOPS:
        return
    if not answer:
        yield "Not said: whether the complaint is gone"
    elif answer == "still":
        yield "The complaint is still there"
    elif answer == "this" and not CAUSE_WAS.of(sheet):
        yield "Not said: what it was"


def _is_done(visit: Visit) -> bool:
    from norvash.core.sheet.done import ran_words

    return bool(ran_words(visit.sheet)) and not proof_lacks(visit)


STAGE = Stage(
    id="prove",
    name="prove",
    words="Prove",
    fields=(RUN_HOW, *earth.FIELDS, *run_fields.FIELDS, COMPLAINT_NOW, CAUSE_WAS),
    findings=(*earth.FINDINGS, *run_findings.FINDINGS),
    gate=POWER,
    schools=("school.test",),
    proves=True,
    holds={"power": _before_power, "service": _before_service, "sign": _before_signing},
    judge=_judge,
    asks=(PROTECTION, CONSTRUCTION, RATED_V, RATED_A, RATED_RPM, PERMITTED_RPM, SAFE_NOLOAD_V, NOLOAD_A_MOST),
    is_done=_is_done,
)
