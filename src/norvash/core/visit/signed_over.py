"""What stays open with a motor because its sheet was signed over it: gates, close-up, run, counts, what was waived; of
one that does not go back to service it is a note, which opens with the next call.
"""

from collections.abc import Iterator
from dataclasses import replace

from norvash.core.grades import Grade
from norvash.core.sheet.finding import Finding
from norvash.core.sheet.gate import Gate
from norvash.core.sheet.life import Life
from norvash.core.sheet.numbered import place_of
from norvash.core.stages import close
from norvash.core.stages.decide import OUTCOME, STOPS
from norvash.core.stages.gates import POWER, SERVICE
from norvash.core.stages.signed_over import (
    FINDINGS,
    OVER_CLOSE,
    OVER_COUNTS,
    OVER_FIELD,
    OVER_INSULATION,
    OVER_POWER,
    OVER_RUN,
    OVER_SERVICE,
)
from norvash.core.text.words import listed
from norvash.core.visit.gating import gate_now
from norvash.core.visit.visit import Visit
from norvash.core.visit.walk import opened, upstream

_MOST_NAMED = 3
# What is left undone of a motor that is out of service says nothing of its own grade before the next call.
NOTED: Grade = "watch"
DECLARED = {f.id: f for f in FINDINGS}
_WAIVED = {"insulation": OVER_INSULATION, "field": OVER_FIELD, "run": OVER_RUN}


def signed_over(visit: Visit, needed: tuple[Gate, ...], run_lacks: str) -> tuple[Life, ...]:
    """Return as findings what a sheet is signed over, but for what stands already.

    `needed` are the gates that it needs, `run_lacks` says why there is no proof run, empty where none is asked for.
    """
    if visit.sheet.kind != "full":
        return ()
    stands = {x.finding.id for x in visit.lives if x.stands}
    if OUTCOME.of(visit.sheet) in STOPS:
        over = {f.id: replace(f, grade=NOTED) for f in _stopped_over(visit)}
    else:
        over = {f.id: f for f in _over(visit, needed, run_lacks)}
    return tuple(
        Life(kept=None, place=place_of(f, 0, {}), position=0, finding=f, state="open")
        for f in over.values()
        if f.id not in stands
    )


def _stopped_over(visit: Visit) -> Iterator[Finding]:
    """Yield what was left undone of a motor that was opened and does not go back: not closed up, parts off."""
    if not opened(visit) or upstream(visit.sheet):
        return
    unclosed = [h.words for h in visit.held(close.STAGE, "power")]
    if unclosed:
        yield OVER_CLOSE.worded(f"{OVER_CLOSE.words}: {listed(unclosed)}")
    counts = [h.words for h in visit.held(close.STAGE, "service")]
    if counts:
        yield OVER_COUNTS.worded(f"{OVER_COUNTS.words}: {listed(counts)}")


def as_opened(finding: Finding) -> Finding:
    """Return what was noted of a motor that did not go back to service, as it is at its next call."""
    declared = DECLARED.get(finding.id)
    return replace(finding, grade=declared.grade) if declared is not None and finding.grade == NOTED else finding


def _over(visit: Visit, needed: tuple[Gate, ...], run_lacks: str) -> Iterator[Finding]:
    power, service = gate_now(POWER, visit), gate_now(SERVICE, visit)
    unclosed = [h.words for h in visit.held(close.STAGE, "power")] if POWER in needed else []
    if unclosed:
        yield OVER_CLOSE.worded(f"{OVER_CLOSE.words}: {listed(unclosed)}")
    if POWER in needed and power.is_open:
        yield OVER_POWER.worded(_with(OVER_POWER, [m for m in power.missing if m not in unclosed]))
    elif run_lacks:
        yield OVER_RUN.worded(f"{OVER_RUN.words}: {run_lacks}")
    counts = [h.words for h in visit.held(close.STAGE, "service")] if SERVICE in needed else []
    if counts:
        yield OVER_COUNTS.worded(f"{OVER_COUNTS.words}: {listed(counts)}")
    if SERVICE in needed and service.to_do:
        yield OVER_SERVICE.worded(_with(OVER_SERVICE, list(service.to_do)))
    for waived in (*power.waived, *service.waived):
        found = _WAIVED.get(waived.id)
        if found is not None:
            yield found.worded(f"{waived.words}: waived by {waived.person}")


def _with(finding: Finding, missing: list[str]) -> str:
    """Return the words of a finding with the first of what is missing."""
    more = [f"{len(missing) - _MOST_NAMED} more"] if len(missing) > _MOST_NAMED else []
    return f"{finding.words}: {listed([*missing[:_MOST_NAMED], *more])}" if missing else finding.words
