"""What keeps a sheet from being signed clean, and as what it is signed."""

from collections.abc import Iterator
from dataclasses import dataclass
from typing import Literal

from norvash.core.judging.commutator.whole_map import unfinished
from norvash.core.judging.prove.first_run import first_run_words
from norvash.core.judging.prove.stage import proof_lacks, proves_throws
from norvash.core.sheet.gate import Gate
from norvash.core.sheet.life import Life
from norvash.core.sheet.stage import Stage
from norvash.core.stages import rework, safe, sign
from norvash.core.stages.call_in import COMPLAINT_UNKNOWN
from norvash.core.stages.catalogue import STAGES, stage_of
from norvash.core.stages.decide import KEPT, OUTCOME, RETIRED, RUNS, STOPS
from norvash.core.stages.gates import GATES, POWER, SAFE, SERVICE
from norvash.core.stages.prove import stage as prove
from norvash.core.text.words import day_words, listed
from norvash.core.visit.asked import misfits
from norvash.core.visit.barring import barring, gone_words, read_at_stage, withdrawn
from norvash.core.visit.done import done_tasks
from norvash.core.visit.gating import gate_now
from norvash.core.visit.signed_over import signed_over
from norvash.core.visit.visit import Visit
from norvash.core.visit.walk import opened, touched, upstream

SignedAs = Literal[
    "certificate",
    "statement",
    "throws",
    "not clean",
    "measured",
    "looked",
    "not opened",
    "out",
    "away",
    "retired",
    "kept",
]
SIGNED_AS: dict[SignedAs, str] = {
    "certificate": "Certificate: opened or renewed, proven, back to service",
    "statement": "The machine must not run. Statement for the motor: proven",
    "throws": "Throws; pull not proven",
    "not clean": "Not clean",
    "measured": "Measured",
    "looked": "Looked at, no carbon was measured",
    "not opened": "Not opened",
    "out": "Out of service",
    "away": "Sent away",
    "retired": "Retired",
    "kept": "Kept as it is: looked at, nothing renewed",
}


_AS: dict[str, SignedAs] = {"out": "out", "away": "away", RETIRED: "retired"}


@dataclass(frozen=True, slots=True)
class Hold:
    """One thing that is open: in words, and the stage at which it is settled."""

    words: str
    stage: Stage


def holds(visit: Visit) -> tuple[Hold, ...]:
    """Return what is still open, stage by stage; a sheet with something open is signed with a reason, and claims
    nothing clean.
    """
    known: tuple[Hold, ...] | None = visit.worked_out.get("holds")
    if known is None:
        known = visit.worked_out["holds"] = _holds(visit)
    return known


def _holds(visit: Visit) -> tuple[Hold, ...]:
    needed = {stage: gate for gate, stage in _needed(visit)}
    made = list(_not_said(visit))
    for stage in STAGES:
        if stage in needed:
            made += [Hold(words, stage) for words in _gate(visit, needed[stage])]
        made += [Hold(h.words, stage) for h in visit.held(stage, "sign")]
    runs = visit.sheet.kind != "quick" and OUTCOME.of(visit.sheet) in RUNS
    made += [
        Hold(f"{x.place}, “{(x.graver or x.finding).words}”, {why}", read_at_stage(x))
        for x, why in (barring(visit) if runs else ())
    ]
    return tuple(made)


def signed_as(visit: Visit) -> SignedAs:
    """Return as what a sheet is signed.

    A certificate is only given for a motor that goes back to service after something was opened or renewed, with every
    gate passed, every proof made and nothing open or put off; and nothing withdrawn that was to be changed or worse:
    nobody has shown yet that it was not so. A starter whose pull nothing is held against is proven by its throws alone,
    and gets none. Of a machine that must not run, as its owner was told, it is a statement for the motor.
    """
    sheet, outcome, still_open = visit.sheet, OUTCOME.of(visit.sheet), holds(visit)
    if sheet.kind == "quick":
        return "measured" if visit.read_here else "looked"
    if upstream(sheet) and not still_open:
        return "not opened"
    if outcome in _AS:
        return _AS[outcome]
    gates = [gate_now(gate, visit) for gate in GATES.values()]
    waived = any(now.state == "waived" or now.waived for now in gates)
    stands = any(x.stands and not (x.handed_over or _only_named(x)) for x in visit.lives)
    unclean = bool(still_open) or waived or stands or bool(barring(visit))
    if unclean or outcome not in RUNS:
        return "not clean"
    return _clean_as(visit)


def _clean_as(visit: Visit) -> SignedAs:
    """Return as what a sheet is signed on which nothing is open of a motor that goes back."""
    if opened(visit) and proves_throws(visit):
        return "throws"
    if any(x.stands and x.handed_over and x.finding.grade == "stop" for x in visit.lives):
        return "statement"
    return "kept" if OUTCOME.of(visit.sheet) == KEPT else "certificate" if opened(visit) else "not opened"


def left_open(visit: Visit) -> tuple[Life, ...]:
    """Return as findings what a sheet that goes back to service is signed over."""
    runs = OUTCOME.of(visit.sheet) in RUNS and opened(visit)
    lacks = proof_lacks(visit) if runs and not proves_throws(visit) else ""
    return signed_over(visit, tuple(gate for gate, _ in _needed(visit)), lacks)


def _only_named(life: Life) -> bool:
    """Tell whether something stands on a certificate in words: a complaint that is gone, its cause not known."""
    return life.finding.id == COMPLAINT_UNKNOWN.id and life.finding.grade == "plan"


def standing(visit: Visit) -> tuple[str, ...]:
    """Return what stands with a motor although nothing is open: what is put off, what nobody has looked for, what was
    withdrawn, and the gates that were waived.
    """
    put_off = [_put_off(x) for x in visit.lives if x.state == "put off"]
    gates = [(gate.words, gate_now(gate, visit)) for gate in GATES.values()]
    holds_waived = [f"“{w.words}” was waived by {w.person}" for _, now in gates for w in now.waived]
    gone = [*_not_sought(visit), *(gone_words(x) for x in withdrawn(visit))]
    waived = [
        f"gate “{words}” was waived by {now.person}" for words, now in gates if now.state == "waived" and not now.waived
    ]
    unfinished = _unfinished(visit) if OUTCOME.of(visit.sheet) in STOPS else ()
    unknown = [
        f"The complaint, {x.finding.words}" for x in visit.lives if x.stands and x.finding.id == COMPLAINT_UNKNOWN.id
    ]
    without = [words] if (words := first_run_words(visit.sheet, visit.rules)) and not proof_lacks(visit) else []
    return (*without, *put_off, *unknown, *gone, *waived, *holds_waived, *unfinished)


def _put_off(life: Life) -> str:
    """Return what is put off in words; of what is left so who answers for it, until when, and why."""
    put_off, name = life.put_off, f"{life.place}, {life.finding.words}"
    if put_off is None or not life.left_so:
        return f"{name}, is put off"
    return f"{name}, is left so until {day_words(put_off.day)}, {put_off.who}: {put_off.why or life.why}"


def _unfinished(visit: Visit) -> Iterator[str]:
    """Yield what nobody has looked at to its end, and what is signed without it all the same."""
    if words := unfinished(visit.sheet):
        yield words


def _not_sought(visit: Visit) -> Iterator[str]:
    """Yield every look that a finding asks for and that nobody has taken, where its work is done all the same."""
    done = done_tasks(visit.sheet)
    for life in visit.lives:
        if life.state in ("proven", "done not proven") and not life.came:
            left = (t for t in life.finding.tasks if t.looks and t not in done)
            yield from (f"“{t.what}” was not done: {life.place}, {life.finding.words}" for t in left)


def _not_said(visit: Visit) -> Iterator[Hold]:
    """Yield what was kept as typed and is still asked about."""
    for spot, given in visit.sheet.written.items():
        if spot[2] == "asked" and given.stands:
            yield Hold(f"Not said whether as found or as left: “{given.typed}”, {given.person}", _stage(spot[0]))
    for spot in misfits(visit.sheet, visit.found.new):
        yield Hold(f"As left, but nothing was done there: “{visit.sheet.written[spot].typed}”", _stage(spot[0]))


def _stage(field_id: str) -> Stage:
    return stage_of(field_id) or rework.STAGE


def _gate(visit: Visit, gate: Gate) -> Iterator[str]:
    now = gate_now(gate, visit)
    if now.is_open:
        yield f"Gate “{gate.words}” is open: {listed(list(now.missing))}"


def _needed(visit: Visit) -> list[tuple[Gate, Stage]]:
    """Return the gates that this sheet needs, each with its stage."""
    sheet = visit.sheet
    quick, inside = sheet.kind == "quick", any(touched(sheet, s) for s in STAGES if s.inside)
    runs = not quick and OUTCOME.of(sheet) in RUNS
    asked = (
        (SAFE, safe.STAGE, quick or inside or not upstream(sheet)),
        (POWER, prove.STAGE, touched(sheet, prove.STAGE) or (runs and opened(visit))),
        (SERVICE, sign.STAGE, quick or runs),
    )
    return [(gate, stage) for gate, stage, needed in asked if needed]
