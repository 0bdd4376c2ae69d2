"""What keeps a sheet from being signed clean."""

from dataclasses import dataclass

from norvash.core.sheet.gate import Gate
from norvash.core.sheet.gates import POWER, SAFE, SERVICE
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.stage import Stage, Visit
from norvash.core.sheet.stages import decide, prove, safe, sign
from norvash.core.sheet.stages.before import stage as before
from norvash.core.sheet.stages.brushes import stage as brushes
from norvash.core.sheet.stages.catalogue import STAGES
from norvash.core.sheet.stages.decide import OUTCOME
from norvash.core.sheet.walk import open_permits, touched, upstream
from norvash.core.text.words import listed

_RUNS = ("service", "deferred")


@dataclass(frozen=True, slots=True)
class Hold:
    """One thing that is open: in words, and the stage at which it is settled."""

    words: str
    stage: Stage


def holds(visit: Visit) -> tuple[Hold, ...]:
    """Return what is still open; nothing means that the sheet can be signed clean."""
    sheet, found, rules = visit.sheet, visit.found, visit.rules
    made = [
        Hold(f"Gate “{gate.words}” is open: {listed(list(gate.now(sheet, rules).to_do))}", stage)
        for gate, stage in _needed(sheet)
        if gate.now(sheet, rules).is_open
    ]
    made += [Hold(f"Test with power on no. {n} is not closed", before.STAGE) for n in open_permits(sheet)]
    if not upstream(sheet) and not (brushes.STAGE.skip and brushes.STAGE.skip.of(sheet)):
        if not visit.measured:
            made.append(Hold("The brushes are not measured", brushes.STAGE))
        elif found.missing:
            made.append(Hold(f"Not measured: {listed(list(found.missing))}", brushes.STAGE))
    if visit.measured:
        made += [Hold(f"The reading of {d.label} is doubtful", brushes.STAGE) for d in found.doubts]
    return (*made, *(_undecided(visit) if sheet.kind == "full" else ()))


def _undecided(visit: Visit) -> list[Hold]:
    """Return what a full sheet has not decided."""
    outcome = OUTCOME.of(visit.sheet)
    made = [Hold(f"Not decided: {m.place}, {m.finding.words}", decide.STAGE) for m in visit.matters if not m.settled]
    if not outcome:
        made.append(Hold("It is not said what becomes of the motor", decide.STAGE))
    if visit.found.grade == "stop" and outcome in _RUNS:
        made.append(Hold("What was found takes it out of service: no release", decide.STAGE))
    return made


def _needed(sheet: Sheet) -> list[tuple[Gate, Stage]]:
    """Return the gates that this sheet needs, each with its stage."""
    quick, inside = sheet.kind == "quick", any(touched(sheet, s) for s in STAGES if s.inside)
    asked = (
        (SAFE, safe.STAGE, quick or inside or not upstream(sheet)),
        (POWER, prove.STAGE, touched(sheet, prove.STAGE)),
        (SERVICE, sign.STAGE, quick or OUTCOME.of(sheet) in _RUNS),
    )
    return [(gate, stage) for gate, stage, needed in asked if needed]
