"""A gate as its stage shows it."""

from dataclasses import dataclass

from norvash.core.sheet.gate import Gate, GateNow, Step
from norvash.core.sheet.gates import COMPETENT
from norvash.web.stages.fields import Entry, entry
from norvash.work.sheet_page import SheetPage


@dataclass(frozen=True, slots=True)
class GateShown:
    """A gate: how it stands, its steps with their ticks, the waiver, and who may do this."""

    now: GateNow
    steps: list[tuple[Step, Entry]]
    waive: Entry
    competent: str = COMPETENT


def gate_shown(gate: Gate, shown: SheetPage) -> GateShown:
    """Return a gate as it stands on a sheet."""
    rules, steps = shown.context.rules, gate.steps(shown.context.facts, shown.context.rules)
    ticks = [(s, entry(shown, gate.step(s.id), 0, s.act)) for s in steps]
    return GateShown(gate.now(shown.sheet, rules), ticks, entry(shown, gate.waived))
