"""What keeps a sheet from being signed clean, and as what it is signed."""

from collections.abc import Iterator
from dataclasses import dataclass
from typing import Literal

from norvash.core.sheet.asked import misfits
from norvash.core.sheet.done import ran_words
from norvash.core.sheet.gate import Gate
from norvash.core.sheet.gates import POWER, SAFE, SERVICE
from norvash.core.sheet.life import Life
from norvash.core.sheet.part import COMPLAINT
from norvash.core.sheet.proving import proof_asked
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.stage import Stage, Visit
from norvash.core.sheet.stages import call_in, decide, prove, rework, safe, sign
from norvash.core.sheet.stages.before import stage as before
from norvash.core.sheet.stages.brushes import stage as brushes
from norvash.core.sheet.stages.catalogue import STAGES, stage_of
from norvash.core.sheet.stages.decide import MOTOR_OVERRULED, OUTCOME
from norvash.core.sheet.stages.prove import CAUSE_WAS, COMPLAINT_NOW
from norvash.core.sheet.walk import how_far_open, open_permits, touched, upstream
from norvash.core.text.words import listed

_RUNS = ("service", "deferred")
_STOPS = ("upstream", "out", "away")
RUN_BEFORE_WORK = "The proof run was before the last work"
SignedAs = Literal["certificate", "not clean", "measured", "not opened", "out", "away"]
SIGNED_AS: dict[SignedAs, str] = {
    "certificate": "Certificate: opened or renewed, proven, back to service",
    "not clean": "Not clean",
    "measured": "Measured",
    "not opened": "Not opened",
    "out": "Out of service",
    "away": "Sent away",
}


@dataclass(frozen=True, slots=True)
class Hold:
    """One thing that is open: in words, and the stage at which it is settled."""

    words: str
    stage: Stage


def holds(visit: Visit) -> tuple[Hold, ...]:
    """Return what is still open; a sheet with something open is signed with a reason, and claims nothing clean."""
    return (*_not_said(visit), *_gates(visit), *_brushes(visit), *_findings(visit), *_outcome(visit))


def signed_as(visit: Visit) -> SignedAs:
    """Return as what a sheet is signed.

    A certificate is only given for a motor that goes back to service after something was opened or renewed, with every
    gate passed, every proof made and nothing open or put off.
    """
    sheet, outcome = visit.sheet, OUTCOME.of(visit.sheet)
    if sheet.kind == "quick":
        return "measured"
    if upstream(sheet) and not holds(visit):
        return "not opened"
    if outcome in ("out", "away"):
        return "out" if outcome == "out" else "away"
    waived = any(gate.now(sheet, visit.rules).state == "waived" for gate in (SAFE, POWER, SERVICE))
    unclean = bool(holds(visit)) or waived or any(x.stands for x in visit.lives)
    if unclean or outcome not in _RUNS:
        return "not clean"
    return "certificate" if opened(visit) else "not opened"


def standing(visit: Visit) -> tuple[str, ...]:
    """Return what stands with a motor although nothing is open: what is put off, and the gates that were waived."""
    put_off = [f"{x.place}, {x.finding.words}, is put off" for x in visit.lives if x.state == "put off"]
    gates = [(gate.words, gate.now(visit.sheet, visit.rules)) for gate in (SAFE, POWER, SERVICE)]
    return (*put_off, *(f"gate “{words}” was waived by {now.person}" for words, now in gates if now.state == "waived"))


def opened(visit: Visit) -> bool:
    """Tell whether the motor was opened, or something in it renewed, at this visit."""
    return visit.measured or how_far_open(visit.sheet) != "assembled"


def _not_said(visit: Visit) -> Iterator[Hold]:
    """Yield what was kept as typed and is still asked about."""
    for spot, given in visit.sheet.written.items():
        if spot[2] == "asked" and given.stands:
            yield Hold(f"Not said whether as found or as left: “{given.typed}”, {given.person}", _stage(spot[0]))
    for spot in misfits(visit.sheet, visit.found.new):
        yield Hold(f"As left, but nothing was done there: “{visit.sheet.written[spot].typed}”", _stage(spot[0]))
    if visit.asked_readings:
        yield Hold(f"Not said of which brush: {listed(list(visit.asked_readings))}", brushes.STAGE)


def _stage(field_id: str) -> Stage:
    return stage_of(field_id) or rework.STAGE


def _gates(visit: Visit) -> Iterator[Hold]:
    sheet, rules = visit.sheet, visit.rules
    for gate, stage in _needed(visit):
        if gate.now(sheet, rules).is_open:
            yield Hold(f"Gate “{gate.words}” is open: {listed(list(gate.now(sheet, rules).to_do))}", stage)
    for n in open_permits(sheet):
        yield Hold(f"Test with power on no. {n} is not closed", before.STAGE)


def _needed(visit: Visit) -> list[tuple[Gate, Stage]]:
    """Return the gates that this sheet needs, each with its stage."""
    sheet = visit.sheet
    quick, inside = sheet.kind == "quick", any(touched(sheet, s) for s in STAGES if s.inside)
    runs = not quick and OUTCOME.of(sheet) in _RUNS
    asked = (
        (SAFE, safe.STAGE, quick or inside or not upstream(sheet)),
        (POWER, prove.STAGE, touched(sheet, prove.STAGE) or (runs and opened(visit))),
        (SERVICE, sign.STAGE, quick or runs),
    )
    return [(gate, stage) for gate, stage, needed in asked if needed]


def _brushes(visit: Visit) -> Iterator[Hold]:
    sheet, found = visit.sheet, visit.found
    if not upstream(sheet) and not (brushes.STAGE.skip and brushes.STAGE.skip.of(sheet)):
        if not visit.measured:
            yield Hold("The brushes are not measured", brushes.STAGE)
        elif found.missing:
            yield Hold(f"Not measured: {listed(list(found.missing))}", brushes.STAGE)
    if visit.measured:
        for d in found.doubts:
            yield Hold(f"The reading of {d.label} is doubtful", brushes.STAGE)


def _findings(visit: Visit) -> Iterator[Hold]:
    """Yield every finding that is open, or done and not proven; where the motor does not go back what stands stands."""
    if OUTCOME.of(visit.sheet) in _STOPS and visit.sheet.kind == "full":
        return
    for life in visit.lives:
        words = _open_words(life, quick=visit.sheet.kind == "quick")
        if words and life.finding.part is not COMPLAINT:
            yield Hold(words, decide.STAGE if life.state == "open" and not life.decided else rework.STAGE)


def _open_words(life: Life, *, quick: bool) -> str:
    """Return what is open of a finding, empty where nothing is."""
    name = f"{life.place}, {life.finding.words}"
    if life.state == "done not proven":
        return f"Done, not proven: {name}; {proof_asked(life)}"
    if life.state != "open":
        return ""
    if life.measured_again:
        return f"Measured again after the work, and still so: {name}"
    if quick:
        return f"Found, and open: {name}"
    return f"Not done: {name}" if life.decided else f"Not decided: {name}"


def _outcome(visit: Visit) -> Iterator[Hold]:
    sheet, outcome = visit.sheet, OUTCOME.of(visit.sheet)
    if sheet.kind == "quick":
        return
    if not outcome:
        yield Hold("It is not said what becomes of the motor", decide.STAGE)
    if visit.found.grade == "stop" and outcome in _RUNS:
        yield Hold("What was found takes it out of service: no release", decide.STAGE)
    if MOTOR_OVERRULED.given(sheet) is not None:
        yield Hold("The verdict on the motor was overruled: overrule a part instead, or take it back", decide.STAGE)
    if outcome in _RUNS and opened(visit) and not prove.proof_run(sheet):
        yield Hold("No proof run: volts, current or r/min, and that it ran as it should", prove.STAGE)
    elif outcome in _RUNS and opened(visit) and not ran_words(sheet):
        yield Hold(
            f"{RUN_BEFORE_WORK}: run it again, enter what it shows, and tick that it ran as it should", prove.STAGE
        )
    yield from _complaint(sheet, outcome)


def _complaint(sheet: Sheet, outcome: str) -> Iterator[Hold]:
    answer = COMPLAINT_NOW.of(sheet)
    if not call_in.complained(sheet) or outcome in _STOPS:
        return
    if not answer:
        yield Hold("It is not said whether the complaint is gone", prove.STAGE)
    elif answer == "still":
        yield Hold("The complaint is still there", prove.STAGE)
    elif answer == "this" and not CAUSE_WAS.of(sheet):
        yield Hold("It is not said what it was", prove.STAGE)
