"""How a gate stands: by what people said, and by the figures and findings that hold it shut."""

from dataclasses import replace

from norvash.core.sheet.gate import Gate, GateNow
from norvash.core.sheet.gates import POWER, SERVICE
from norvash.core.sheet.stage import Keeps, Visit
from norvash.core.sheet.walk import stages_of

HELD: dict[str, Keeps] = {POWER.id: "power", SERVICE.id: "service"}


def gate_now(gate: Gate, visit: Visit) -> GateNow:
    """Return how a gate stands at a visit: one that is held is open, whatever was ticked, unless somebody waived it."""
    if gate.id not in visit.gates:
        visit.gates[gate.id] = _put_together(gate, visit)
    return visit.gates[gate.id]


def _put_together(gate: Gate, visit: Visit) -> GateNow:
    now, keeps = gate.ticked(visit.sheet, visit.rules), HELD.get(gate.id)
    if keeps is None:
        return now
    held = tuple(words for stage in stages_of(visit.sheet) for words in stage.held(keeps, visit))
    if not held or now.state == "waived":
        return replace(now, held=held)
    return replace(now, state="open", held=held)
