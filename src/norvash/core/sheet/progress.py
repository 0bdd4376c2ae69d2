"""How far a sheet is: each stage done, skipped, waiting or held, and why; on a signed one, what was not done."""

from dataclasses import dataclass
from typing import Literal

from norvash.core.rules.book import MotorRules
from norvash.core.sheet.deciding import Matter
from norvash.core.sheet.fields import INSIDE, STAGES
from norvash.core.sheet.sheet import Sheet, gate
from norvash.core.verdict.values import Findings

State = Literal["done", "skipped", "waiting", "held", "not done"]


@dataclass(frozen=True, slots=True)
class StageNow:
    """One stage on the rail: its state and the reason in a few words."""

    id: str
    words: str
    number: int
    state: State
    why: str


def progress(sheet: Sheet, found: Findings, to_decide: tuple[Matter, ...], rules: MotorRules) -> tuple[StageNow, ...]:
    """Return the state of every stage that the sheet walks."""
    safe = gate(sheet, "safe", rules)
    made = []
    for stage in sheet.stages:
        state, why = _state(stage, sheet, found, to_decide=to_decide, rules=rules, safe=safe.state != "open")
        made.append(StageNow(stage, STAGES[stage], list(STAGES).index(stage) + 1, state, why))
    return tuple(made)


def _state(
    stage: str, sheet: Sheet, found: Findings, *, to_decide: tuple[Matter, ...], rules: MotorRules, safe: bool
) -> tuple[State, str]:
    if _done(stage, sheet, found, to_decide, rules):
        return "done", ""
    skipped = sheet.word(f"skip.{stage}")
    if skipped:
        return "skipped", skipped
    if stage in (*INSIDE, "prove") and sheet.upstream:
        return "skipped", "not opened"
    if sheet.signed_at is not None:
        return "not done", ""
    if stage in INSIDE and not safe:
        return "held", "make safe comes first"
    return "waiting", _left(stage, sheet, found, to_decide)


def _done(stage: str, sheet: Sheet, found: Findings, to_decide: tuple[Matter, ...], rules: MotorRules) -> bool:
    if stage == "safe":
        return gate(sheet, "safe", rules).state != "open"
    if stage == "brushes":
        return measured_here(sheet, found) and not found.missing and not found.doubts
    if stage == "decide":
        return bool(sheet.word("outcome")) and all(m.settled for m in to_decide)
    if stage == "sign":
        return sheet.signed_at is not None
    return sheet.touched(stage)


def measured_here(sheet: Sheet, found: Findings) -> bool:
    """Tell whether the set was measured on this sheet, or has been renewed since it was."""
    return found.round is not None and (found.round.id == sheet.id or found.round.at >= sheet.at)


def _left(stage: str, sheet: Sheet, found: Findings, to_decide: tuple[Matter, ...]) -> str:
    if stage == "brushes" and measured_here(sheet, found):
        parts = [f"{len(found.missing)} not measured"] if found.missing else []
        return ", ".join([*parts, *([f"{len(found.doubts)} doubtful"] if found.doubts else [])])
    if stage == "decide":
        undecided = sum(not m.settled for m in to_decide)
        return f"{undecided} to decide" if undecided else ""
    return ""
