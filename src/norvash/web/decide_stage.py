"""What the stage of deciding shows."""

from typing import Any

from norvash.core.part_findings import COMPONENTS, PARTS
from norvash.core.sheet.deciding import DECISIONS
from norvash.core.sheet.fields import BY_ID
from norvash.core.sheet.keeping import Stay, stays
from norvash.core.sheet.progress import measured_here
from norvash.core.verdict.grades import WORDS
from norvash.web.sheet_view import entry, named
from norvash.web.stage_at import At
from norvash.work.sheet_page import SheetPage


def decide(at: At) -> dict[str, Any]:
    """Return what is to be decided, what was, and what may be overruled."""
    shown = at.shown
    standing = {(m.field_id, m.position) for m in shown.matters}
    decided = [
        (f, p, g)
        for (f, p), g in shown.sheet.entries.items()
        if f.startswith("decide.") and g.word and (f, p) not in standing
    ]
    overrules = {c: entry(shown, BY_ID[f"overrule.{c}"]) for c in (*COMPONENTS, "motor")}
    return {
        "decisions": DECISIONS,
        "decided": decided,
        "overrules": overrules,
        "words": WORDS,
        "outcome": named(shown, "decide", "Outcome")[0],
        "looked": _looked(shown),
        "stays": _stays(shown),
        "out": [e for e in named(shown, "decide", "Causes found and mended") if e.word or _likely(shown, e)],
    }


def _stays(shown: SheetPage) -> tuple[Stay, ...]:
    """Return which brushes may stay, where a set is to be renewed or the school is to keep good originals."""
    rules = shown.context.rules
    asked = any(w.task.id == "fit-set" for w in shown.work) or rules.choice("school.old-or-new").key == "keep"
    return stays(shown.found, shown.context.state, rules) if asked else ()


def _looked(shown: SheetPage) -> set[str]:
    """Return the components that somebody has looked at on this sheet."""
    return {
        c
        for c in COMPONENTS
        if shown.sheet.touched(c if c in PARTS else "brushes")
        or (c not in PARTS and measured_here(shown.sheet, shown.found))
    }


def _likely(shown: SheetPage, ruled: Any) -> bool:
    first = {r.cause.id for r in shown.cause.ranked[:3]} if shown.cause else set()
    return ruled.field.id.removeprefix("ruled-out.") in first
