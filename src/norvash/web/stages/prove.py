"""What proving shows: the gate before power, and with what nothing runs."""

from dataclasses import dataclass

from norvash.core.sheet.finding import Finding
from norvash.core.sheet.gates import POWER, unfit
from norvash.web.stages.at import At
from norvash.web.stages.gate import GateShown, gate_shown


@dataclass(frozen=True, slots=True)
class Prove:
    """The gate before power, and the finding with which it does not run, None where nothing forbids it."""

    gate: GateShown
    unfit: Finding | None


def view(at: At) -> Prove:
    """Return what proving shows."""
    return Prove(gate_shown(POWER, at.shown), unfit(at.shown.context.state.noted))
