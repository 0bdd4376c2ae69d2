"""What the gate before anything is taken inside shows."""

from dataclasses import dataclass

from norvash.core.sheet.gates import SAFE
from norvash.web.stages.at import At
from norvash.web.stages.gate import GateShown, gate_shown


@dataclass(frozen=True, slots=True)
class Safe:
    """The gate."""

    gate: GateShown


def view(at: At) -> Safe:
    """Return what making safe shows."""
    return Safe(gate_shown(SAFE, at.shown))
