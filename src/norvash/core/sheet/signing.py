"""What keeps a sheet from being signed clean."""

from dataclasses import dataclass

from norvash.core.rules.book import MotorRules
from norvash.core.sheet.deciding import Matter
from norvash.core.sheet.fields import INSIDE
from norvash.core.sheet.gates import GATES
from norvash.core.sheet.progress import measured_here
from norvash.core.sheet.sheet import Sheet, gate
from norvash.core.text.words import listed
from norvash.core.verdict.values import Findings


@dataclass(frozen=True, slots=True)
class Hold:
    """One thing that is open: in words, and the stage at which it is settled."""

    words: str
    stage: str


def holds(sheet: Sheet, found: Findings, to_decide: tuple[Matter, ...], rules: MotorRules) -> tuple[Hold, ...]:
    """Return what is still open; nothing means that the sheet can be signed clean."""
    made = [
        Hold(f"Gate “{GATES[g]}” is open: {listed(list(gate(sheet, g, rules).to_do))}", stage)
        for g, stage in _gates(sheet, rules)
    ]
    made += [Hold(f"Test with power on no. {n} is not closed", "before") for n in sheet.open_permits]
    if not sheet.upstream and not sheet.word("skip.brushes"):
        if not measured_here(sheet, found):
            made.append(Hold("The brushes are not measured", "brushes"))
        elif found.missing:
            made.append(Hold(f"Not measured: {listed(list(found.missing))}", "brushes"))
    made += [
        Hold(f"The reading of {d.label} is doubtful", "brushes") for d in found.doubts if measured_here(sheet, found)
    ]
    if sheet.kind == "full":
        made += [Hold(f"Not decided: {m.place}, {m.finding.words}", "decide") for m in to_decide if not m.settled]
        if not sheet.word("outcome"):
            made.append(Hold("It is not said what becomes of the motor", "decide"))
        if found.grade == "stop" and sheet.word("outcome") in ("service", "deferred"):
            made.append(Hold("What was found takes it out of service: no release", "decide"))
    return tuple(made)


def _gates(sheet: Sheet, rules: MotorRules) -> list[tuple[str, str]]:
    """Return the gates that this sheet needs and that are open, each with its stage."""
    inside = any(sheet.touched(s) for s in INSIDE)
    needed = []
    if sheet.kind == "quick" or inside or not sheet.upstream:
        needed.append(("safe", "safe"))
    if sheet.touched("prove"):
        needed.append(("power", "prove"))
    if sheet.kind == "quick" or sheet.word("outcome") in ("service", "deferred"):
        needed.append(("service", "sign"))
    return [(g, stage) for g, stage in needed if gate(sheet, g, rules).state == "open"]
