"""What decides for a motor, as a list leads with it: a length, or the act where no length does."""

from dataclasses import asdict, dataclass

from norvash.core.edges import over
from norvash.core.sheet.part import COMPLAINT, LOOK
from norvash.core.state.findings import Findings
from norvash.core.text.words import length_words, listed
from norvash.core.verdict.reasons import shows
from norvash.core.verdict.sentence import by_carbon, leading, life_of, worst_part
from norvash.core.visit.proving import proof_asked


@dataclass(frozen=True, slots=True)
class Lead:
    """A value with its unit, and in a few words what it is of; `carbon` tells whether the carbon's own day counts."""

    value: str
    unit: str
    words: str
    carbon: bool

    def as_plain(self) -> dict[str, object]:
        """Return it as plain data, to be kept."""
        return asdict(self)


_ACTS = {"stop": "Mend", "change": "Mend", "plan": "Plan", "watch": "Watch"}


def lead_of(found: Findings, unit: str) -> Lead:
    """Return what a motor is led with; `unit` is the person's unit of length."""
    if found.unmeasured:
        return Lead("Measure", "", f"no length yet{', age unknown' if found.unknown else ''}", carbon=False)
    return _of_machine(found) or _of_finding(found) or _asked(found) or _carbon(found, unit)


def _of_machine(found: Findings) -> Lead | None:
    """Return the act that what lies before the motor asks for, None where the motor itself asks for more."""
    first = found.before
    if first is None or not found.machine_leads:
        return None
    words = f"{first.place.lower()}: {first.finding.words}"
    return Lead("Mend" if first.finding.grade != "plan" else "Plan", "", words, carbon=False)


def _of_finding(found: Findings) -> Lead | None:
    """Return the act that a finding asks for which is graver than the carbon, None where there is none."""
    first = leading(found)
    if first is None or first.finding.renews:
        return None
    life, place = life_of(found, first), first.place if first.position else first.place.lower()
    if life is not None and life.state == "done not proven":
        return Lead("Prove", "", f"{place}: {proof_asked(life)}", carbon=False)
    if first.finding.part is COMPLAINT:
        return Lead("Find out", "", first.finding.words, carbon=False)
    return Lead(_ACTS.get(first.finding.grade, "Watch"), "", f"{place}: {first.finding.words}", carbon=False)


def _asked(found: Findings) -> Lead | None:
    """Return what is to be measured or settled before its carbon tells of a day, None where nothing is."""
    if worst_part(found) is LOOK:
        return Lead("Measure", "", "the look is overdue", carbon=True)
    if found.grade in ("plan", "change", "stop"):  # what is known of its carbon asks for more
        return None
    if found.doubts:
        return Lead("Settle", "", f"the reading of brush {found.doubts[0].label}", carbon=False)
    if found.missing:
        return Lead("Measure", "", f"brush {listed(list(found.missing))}, for a date", carbon=False)
    return None


def _carbon(found: Findings, unit: str) -> Lead:
    carbon = by_carbon(found)
    brush = min((b for b in found.brushes if b.left_mm is not None), key=lambda b: b.left_mm or 0.0, default=None)
    if brush is None or brush.left_mm is None:
        return Lead("–", "", "no length", carbon=carbon)
    value, said = length_words(brush.left_mm, unit).split(" ", 1)
    alone = found.round is not None and found.round.noted and found.round.stands_alone
    name = "the shortest brush" if alone else f"brush {brush.label}"
    estimated = ", estimated" if found.limit.estimated else ""
    words = f"to the limit of {name}"
    if not over(brush.left_mm, 0):
        words = f"{name} {'past' if shows(-brush.left_mm) else 'at'} its limit"
    return Lead(value, said, f"{words}{estimated}", carbon=carbon)
