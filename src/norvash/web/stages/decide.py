"""What the stage of deciding shows: what is to be decided, what was, and what may be overruled."""

from collections.abc import Mapping
from dataclasses import dataclass

from norvash.core.sheet.field import Decision
from norvash.core.sheet.given import Given
from norvash.core.sheet.matters import DECISIONS
from norvash.core.sheet.part import PARTS
from norvash.core.sheet.stages.brushes.keeping import Stay, stays
from norvash.core.sheet.stages.catalogue import field_of
from norvash.core.sheet.stages.decide import OUTCOME, OVERRULED, RULED_OUT, decided_finding, decision
from norvash.core.sheet.stages.shared import FIT_SET
from norvash.core.sheet.walk import looked_at
from norvash.core.verdict.grades import WORDS
from norvash.web.stages.at import At
from norvash.web.stages.fields import Entry, entry
from norvash.work.sheet_page import SheetPage


@dataclass(frozen=True, slots=True, kw_only=True)
class Decide:
    """What can be decided and was, by finding and place; what may be overruled; which parts somebody has looked at;
    which brushes may stay; the causes that are ruled out or likely.
    """

    decisions: Mapping[str, str]
    decided: list[tuple[str, int, Given]]
    overrules: dict[str, Entry]
    words: Mapping[str, str]
    outcome: Entry
    looked: set[str]
    stays: tuple[Stay, ...]
    out: list[Entry]


def view(at: At) -> Decide:
    """Return what is to be decided, what was, and what may be overruled."""
    shown = at.shown
    causes = {c: entry(shown, field) for c, field in RULED_OUT.items()}
    likely = {r.cause.id for r in shown.cause.ranked[:3]} if shown.cause else set[str]()
    return Decide(
        decisions=DECISIONS,
        decided=_decided(shown),
        overrules={part: entry(shown, field) for part, field in OVERRULED.items()},
        words=WORDS,
        outcome=entry(shown, OUTCOME),
        looked={p.id for p in PARTS if looked_at(shown.visit, p)},
        stays=_stays(shown),
        out=[e for c, e in causes.items() if e.word or c in likely],
    )


def _decided(shown: SheetPage) -> list[tuple[str, int, Given]]:
    """Return what was decided and is no matter any more."""
    standing = {(decision(m.finding.id).id, m.position) for m in shown.matters}
    return [
        (decided_finding(field), p, g)
        for (f, p), g in shown.sheet.entries.items()
        if isinstance(field := field_of(f), Decision) and g.word and (f, p) not in standing
    ]


def _stays(shown: SheetPage) -> tuple[Stay, ...]:
    """Return which brushes may stay, where a set is to be renewed or the school is to keep good originals."""
    rules = shown.context.rules
    asked = any(w.task is FIT_SET for w in shown.work) or rules.choice("school.old-or-new").key == "keep"
    return stays(shown.found, shown.context.state, rules) if asked else ()
