"""What was waived at a visit, as the paper tells it: gates and holds, by whom and why."""

from collections.abc import Iterator

from norvash.core.stages.gates import GATES, POWER
from norvash.core.visit.gating import gate_now
from norvash.work.reading.sheet_now import SheetNow


def waived_told(page: SheetNow) -> list[dict[str, str]]:
    """Return every gate or hold that was waived, by whom and why."""
    return list(_waived(page))


def _waived(page: SheetNow) -> Iterator[dict[str, str]]:
    for gate in GATES.values():
        now = gate_now(gate, page.visit)
        if now.state == "waived" and not now.waived:
            yield {"gate": gate.words, "person": now.person, "why": now.why}
        for w in now.waived:
            yield {"gate": f"{gate.words}, {w.words}", "person": w.person, "why": w.why}


def unmeasured_told(page: SheetNow) -> str:
    """Return that it goes back with its insulation not measured, and how it is run then; empty where it was."""
    waived = next((w for w in gate_now(POWER, page.visit).waived if w.id == "insulation"), None)
    if waived is None:
        return ""
    return (
        f"Insulation not measured, no instrument: run behind a residual current device ({waived.person}: {waived.why})."
    )
