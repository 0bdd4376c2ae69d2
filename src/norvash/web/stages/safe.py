"""What the gate before anything is taken inside shows."""

from dataclasses import dataclass

from norvash.core.sheet.stages.gates import SAFE
from norvash.core.sheet.stages.safe import PROTECTED_BY
from norvash.web.stages.at import At
from norvash.web.stages.fields import Entry, entry
from norvash.web.stages.gate import GateShown, gate_shown


@dataclass(frozen=True, slots=True)
class Safe:
    """The gate, and first how it protects against shock, None where that is stated."""

    gate: GateShown
    protection: Entry | None


def view(at: At) -> Safe:
    """Return what making safe shows."""
    shown = at.shown
    asked = PROTECTED_BY.is_offered(shown.context.facts, shown.context.rules)
    return Safe(gate_shown(SAFE, shown), entry(shown, PROTECTED_BY) if asked else None)
