"""What stands at “Prove” says, keeps shut and waits for."""

from collections.abc import Iterable, Iterator
from datetime import datetime

from norvash.core.judging.prove.field_proof import field_lacks
from norvash.core.judging.prove.run_words import ran_words
from norvash.core.judging.prove.since import read_since, run_now
from norvash.core.judging.signs_shown import may_have_been
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.finding import Finding
from norvash.core.sheet.given import Given
from norvash.core.sheet.held import Held
from norvash.core.sheet.measured import Measured
from norvash.core.sheet.part import COMPLAINT, RUN
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.before.fields import NOLOAD_RPM
from norvash.core.stages.call_in import complained
from norvash.core.stages.decide import KEPT, OUTCOME, STOPS
from norvash.core.stages.gates import POWER, SERVICE
from norvash.core.stages.prove import run_fields
from norvash.core.stages.prove.complaint import CAUSE_WAS, COMPLAINT_NOW, causes_named
from norvash.core.stages.prove.driven import FLASHED, JOINED, POLARISED, excites_itself
from norvash.core.stages.prove.earth import EARTH_OHM
from norvash.core.stages.prove.field import FIELD_I, WAIVE_FIELD
from norvash.core.stages.prove.run_fields import FIELDS, ON_STOP, RAN, RUN_WHERE
from norvash.core.stages.prove.run_findings import RUN_ON_STOP, RUN_SPEED
from norvash.core.stages.prove.stage import STAGE
from norvash.core.stages.windings.coils import COILS, FIELD_WHOLE
from norvash.core.text.words import listed
from norvash.core.visit.done import last_closing, last_work
from norvash.core.visit.gating import gate_now
from norvash.core.visit.visit import Judging, Visit
from norvash.core.visit.walk import opened

_BEFORE_WORK = (
    "the proof run was before the last work: run it again, enter what it shows, and tick that it ran as it should"
)


def _measure(sheet: Sheet, rules: MotorRules, worn_mm: tuple[float, ...]) -> Iterator[Measured]:
    from norvash.core.judging.prove.values import measured

    yield from measured(sheet, rules, worn_mm)


def _answered(sheet: Sheet, rules: MotorRules) -> Iterator[Finding]:
    """Yield what a run has answered: one after what was taken on a stop, that is as it should be."""
    taken, ran = ON_STOP.places(sheet), RAN.given(sheet)
    at = max((g.at for n in taken if (g := ON_STOP.given(sheet, n)) is not None), default=None)
    if at is not None and ran is not None and ran.at >= last_work(sheet) > at:
        yield RUN_ON_STOP
    yield from _at_speed_again(sheet, rules)


def _at_speed_again(sheet: Sheet, rules: MotorRules) -> Iterable[Finding]:
    """Return that it ran slower than usual before it was opened, where its run after work is as it should."""
    if NOLOAD_RPM.given(sheet) is None or last_work(sheet) <= sheet.at:
        return ()
    from norvash.core.judging.prove.run import runs_at_speed

    return (RUN_SPEED,) if runs_at_speed(run_now(sheet), rules) else ()


def _before_power(visit: Visit) -> Iterator[str | Held]:
    """Yield what of earth and field is not proven, and that nobody has said where it runs."""
    sheet = visit.sheet
    lacks = field_lacks(sheet, visit.rules)
    if lacks:
        yield Held(id="field", words=lacks, waiver=WAIVE_FIELD, read=(FIELD_I, FIELD_WHOLE, COILS))
    if sheet.facts.asked_where and not RUN_WHERE.of(sheet):
        yield "nobody has said where it runs: in its machine, or bare"
    if not EARTH_OHM.is_offered(sheet.facts, visit.rules):
        return
    given, closed = EARTH_OHM.given(sheet), last_closing(sheet)
    if given is None:
        yield "protective earth is not measured"
    elif closed is not None and given.at < closed:
        yield "protective earth was measured before it was closed for the last time: measure it again"


def _before_service(visit: Visit) -> Iterator[str | Held]:
    """Yield why it has not proven itself by a run, where it was opened. That it was not run, or that its run lacks a
    figure, may be waived; what the run showed may not.
    """
    if not opened(visit):
        return
    power = gate_now(POWER, visit)
    if power.to_do or any(not h.of_run for h in power.held):
        yield f"the gate “{POWER.words}” is open"
        return
    off, words = _off(visit), proof_lacks(visit)
    if proves_throws(visit):
        return
    if off:
        yield words
    elif words:
        yield Held(id="run", words=words, waiver=SERVICE.waived, read=FIELDS)


def proof_lacks(visit: Visit) -> str:
    """Return why there is no proof run inside its bands after the last work, empty where there is one."""
    from norvash.core.judging.prove.points import points_of
    from norvash.core.judging.prove.run import judge_run

    sheet, ran, last = visit.sheet, run_fields.RAN.given(visit.sheet), last_work(visit.sheet)
    if not points_of(sheet):
        return "no proof run"
    run = judge_run(read_since(sheet, last), visit.rules)
    if run.at is None or (ran is not None and ran.at < last):
        return _BEFORE_WORK
    off = _off(visit)
    if off:
        return f"the proof run is outside its bands: {listed(off)}"
    if run.lacks:
        return f"the proof run lacks {'; '.join(run.lacks)}"
    return "" if ran is not None else "nobody has said that it ran as it should"


def proves_throws(visit: Visit) -> bool:
    """Tell whether a starter was proven by its throws alone, and nothing else is lacking: its pull is not proven."""
    from norvash.core.judging.prove.run import proves_throw_only

    sheet, ran, last = visit.sheet, RAN.given(visit.sheet), last_work(visit.sheet)
    if sheet.facts.motor_class != "starter" or _before(ran, last) or _off(visit):
        return False
    return proves_throw_only(read_since(sheet, last), visit.rules)


def _off(visit: Visit) -> list[str]:
    """Return what the run showed that stands; what must be changed is not made right by calling it not needed."""
    shown = (x for x in visit.lives if x.finding.part is RUN)
    return [x.finding.words for x in shown if x.stands or (x.state == "dropped" and x.finding.grade == "change")]


def _before_signing(visit: Visit) -> Iterator[str]:

    sheet, outcome, answer = visit.sheet, OUTCOME.of(visit.sheet), COMPLAINT_NOW.of(visit.sheet)
    if sheet.kind == "full" and outcome not in STOPS and opened(visit):
        yield from _not_polarised(sheet)
    carried = any(x.finding.part is COMPLAINT and x.stands and not x.came for x in visit.lives)
    if sheet.kind == "quick" or outcome in STOPS or not (complained(sheet) or carried):
        return
    if not answer:
        yield "Not said: whether the complaint is gone"
    elif answer == "still" and outcome != KEPT:  # why it is kept so is said beside it
        yield "The complaint is still there"
    elif answer == "this" and not CAUSE_WAS.of(sheet):
        yield "Not said: what it was"
    elif answer == "this":
        yield from _not_mended(visit)


def _not_polarised(sheet: Sheet) -> Iterator[str]:
    """Yield that a generator that excites itself was parted from its regulator, or flashed, and not polarised since the
    last work.
    """
    parted = any(f.given(sheet) is not None for f in (JOINED, FLASHED))
    if parted and excites_itself(sheet.facts) and _before(POLARISED.given(sheet), last_work(sheet)):
        yield "Not polarised since the refit: its field may hold the wrong polarity"


def _before(given: Given | None, worked: datetime) -> bool:
    """Tell whether something was not said, or before the last work."""
    return given is None or given.at < worked


def _not_mended(visit: Visit) -> Iterator[str]:
    """Yield that what it is said to have been was not mended at this visit."""
    mended = may_have_been(visit.sheet, visit.lives)
    for cause in causes_named(visit.sheet):
        if cause not in mended:
            yield f"“{dict(CAUSE_WAS.choices)[cause]}” was not mended at this visit: say what it was"


def _is_done(visit: Visit) -> bool:

    return bool(ran_words(visit.sheet)) and not proof_lacks(visit)


JUDGING = Judging(
    stage=STAGE,
    holds={"power": _before_power, "service": _before_service, "sign": _before_signing},
    measure=_measure,
    answered=_answered,
    is_done=_is_done,
)
