"""What the gate before anything is taken inside shows."""

from dataclasses import dataclass

from norvash.core.sheet.gates import METHOD, SAFE, usual_method
from norvash.web.stages.at import At
from norvash.web.stages.fields import Entry, entry
from norvash.web.stages.gate import GateShown, gate_shown


@dataclass(frozen=True, slots=True)
class Safe:
    """The gate, and how the motor is isolated, the usual way first."""

    gate: GateShown
    method: Entry
    usual: str


def view(at: At) -> Safe:
    """Return what making safe shows."""
    shown = at.shown
    return Safe(gate_shown(SAFE, shown), entry(shown, METHOD), usual_method(shown.context.facts))
