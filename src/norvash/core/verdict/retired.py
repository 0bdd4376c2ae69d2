"""What is said of a motor that is used no more: it asks for nothing, and what was found on it rests."""

from dataclasses import replace
from datetime import date

from norvash.core.state.findings import Days, Findings
from norvash.core.state.marks import When
from norvash.core.text.words import day_words
from norvash.core.verdict.sentence import Verdict

RETIRED = "Retired"


def retired(found: Findings, on: date, by: str) -> tuple[Findings, Verdict]:
    """Return the findings of a motor without any day or grade, and what is said of it."""
    rests = replace(
        found,
        grade=None,
        base=None,
        before=None,
        machine=None,
        machine_base=None,
        rises=(),
        days=Days(),
        line_days=Days(),
        dues=(),
        when=When(),
        due_graded=None,
        line=None,
        ahead=None,
    )
    why = f"Since {day_words(on)}, {by}; its record stays, and nothing on it falls due."
    return rests, Verdict(act="Retired.", why=why, figures=(), word=RETIRED, reasons=(), flags=())
