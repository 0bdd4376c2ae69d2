"""What the stage of deciding shows."""

from typing import Any

from norvash.core.sheet.field import Decision
from norvash.core.sheet.matters import DECISIONS
from norvash.core.sheet.part import PARTS, Part
from norvash.core.sheet.stages.brushes import stage as brushes
from norvash.core.sheet.stages.brushes.keeping import Stay, stays
from norvash.core.sheet.stages.catalogue import STAGES, field_of
from norvash.core.sheet.stages.decide import OUTCOME, OVERRULED, RULED_OUT, decided_finding, decision
from norvash.core.sheet.walk import touched
from norvash.core.verdict.grades import WORDS
from norvash.web.sheet_view import entry
from norvash.web.stage_at import At
from norvash.work.sheet_page import SheetPage


def decide(at: At) -> dict[str, Any]:
    """Return what is to be decided, what was, and what may be overruled."""
    shown = at.shown
    standing = {(decision(m.finding.id).id, m.position) for m in shown.matters}
    decided = [
        (decided_finding(field), p, g)
        for (f, p), g in shown.sheet.entries.items()
        if isinstance(field := field_of(f), Decision) and g.word and (f, p) not in standing
    ]
    overrules = {part: entry(shown, field) for part, field in OVERRULED.items()}
    return {
        "decisions": DECISIONS,
        "decided": decided,
        "overrules": overrules,
        "words": WORDS,
        "outcome": entry(shown, OUTCOME),
        "looked": _looked(shown),
        "stays": _stays(shown),
        "out": [e for c, f in RULED_OUT.items() if (e := entry(shown, f)).word or _likely(shown, c)],
    }


def _stays(shown: SheetPage) -> tuple[Stay, ...]:
    """Return which brushes may stay, where a set is to be renewed or the school is to keep good originals."""
    rules = shown.context.rules
    asked = any(w.task.id == "fit-set" for w in shown.work) or rules.choice("school.old-or-new").key == "keep"
    return stays(shown.found, shown.context.state, rules) if asked else ()


def _looked(shown: SheetPage) -> set[str]:
    """Return the components that somebody has looked at on this sheet."""
    return {p.id for p in PARTS if _looked_at(shown, p)}


def _looked_at(shown: SheetPage, part: Part) -> bool:
    own = next((s for s in STAGES if s.id == part.id and s is not brushes.STAGE), None)
    return touched(shown.sheet, own or brushes.STAGE) or (own is None and shown.visit.measured)


def _likely(shown: SheetPage, cause: str) -> bool:
    first = {r.cause.id for r in shown.cause.ranked[:3]} if shown.cause else set()
    return cause in first
