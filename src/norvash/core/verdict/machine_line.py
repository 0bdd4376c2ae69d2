"""The line of a motor and of what lies before it: both are said, the graver first."""

from dataclasses import replace
from datetime import date

from norvash.core.grades import word_of
from norvash.core.state.findings import Findings, Reason
from norvash.core.state.rising import grade_on
from norvash.core.text.words import length_words
from norvash.core.verdict.sentence import Verdict, life_of
from norvash.core.visit.proving import done_words, proof_asked

# A line that is longer is not taken in at one look: what it says of the motor stands in full under it.
_MOST_WORDS, _MOST_OF_MACHINE = 30, 15
_ACTS = {
    "stop": "The machine must not run",
    "change": "Mend the machine at this visit",
    "plan": "Plan a repair of the machine",
}


def machine_says(said: Verdict, found: Findings, today: date, unit: str) -> Verdict:
    """Return what is said of a motor together with what lies before it or beside it: that first unless the motor is
    graver. `unit` is the person's unit of length.
    """
    first = found.before
    if first is None:
        return said
    grade = grade_on(first.finding.grade, (r for r in found.rises if r.outside), today) or first.finding.grade
    life = life_of(found, first)
    unproven = life is not None and life.state == "done not proven"
    words = f"{done_words(life)}, not yet proven; {proof_asked(life)}" if life and unproven else first.finding.words
    if len(words.split()) > _MOST_OF_MACHINE:
        words = words.partition(": ")[0]
    machine = f"{_ACTS[grade]}: {words}."
    if not found.machine_leads:
        return replace(said, why=f"{said.why} {machine}".strip())
    word = "Done, not proven" if unproven else word_of(grade, carbon=False)
    motor = _of_motor(said.sentence)
    if len(f"{machine} {motor}".split()) <= _MOST_WORDS:
        return replace(said, act=machine, why=motor, word=word)
    reasons = (Reason(said.sentence), *said.reasons)
    left = min((b.left_mm for b in found.brushes if b.left_mm is not None), default=None)
    more = f", {length_words(left, unit)} left" if left is not None and found.grade in ("fit", "watch") else ""
    act = f"{said.act.rstrip('.')}{more}."
    return replace(said, act=machine, why=_of_motor(act), word=word, reasons=reasons)


def _of_motor(words: str) -> str:
    """Return what is said of the motor, beside its machine."""
    return words if "the motor" in words.lower() else f"The motor: {words[0].lower()}{words[1:]}"
