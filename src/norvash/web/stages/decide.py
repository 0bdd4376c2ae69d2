"""What the stage of deciding shows: every finding with its life, what was decided, and what may be overruled."""

from collections.abc import Mapping
from dataclasses import dataclass

from norvash.core.sheet.given import Given
from norvash.core.sheet.part import PARTS
from norvash.core.sheet.stages.brushes.keeping import Stay, stays
from norvash.core.sheet.stages.decide import DECISIONS, MOTOR_OVERRULED, OUTCOME, OVERRULED, RULED_OUT
from norvash.core.sheet.stages.shared import FIT_SET
from norvash.core.sheet.walk import looked_at
from norvash.core.verdict.grades import WORDS
from norvash.web.stages.at import At
from norvash.web.stages.fields import Entry, entry
from norvash.web.stages.lives import LifeShown, lives_shown
from norvash.work.sheet_page import SheetPage


@dataclass(frozen=True, slots=True, kw_only=True)
class Decide:
    """Every finding of the visit with what may be decided of it; what supply and battery say, which never raise the
    motor; what may be overruled; which parts somebody has looked at; which brushes may stay; the causes ruled out or
    likely.
    """

    decisions: Mapping[str, str]
    lives: list[LifeShown]
    upstream: list[str]
    overrules: dict[str, Entry]
    motor_overruled: Given | None
    words: Mapping[str, str]
    outcome: Entry
    looked: set[str]
    stays: tuple[Stay, ...]
    out: list[Entry]


def view(at: At) -> Decide:
    """Return every finding of the visit, what is decided, and what may be overruled."""
    shown = at.shown
    causes = {c: entry(shown, field) for c, field in RULED_OUT.items()}
    likely = {r.cause.id for r in shown.cause.ranked[:3]} if shown.cause else set[str]()
    return Decide(
        decisions=DECISIONS,
        lives=lives_shown(shown),
        upstream=[j.words for j in shown.before.judged if not j.right],
        overrules={part: entry(shown, field) for part, field in OVERRULED.items()},
        motor_overruled=MOTOR_OVERRULED.given(shown.sheet),
        words=WORDS,
        outcome=entry(shown, OUTCOME),
        looked={p.id for p in PARTS if looked_at(shown.visit, p)},
        stays=_stays(shown),
        out=[e for c, e in causes.items() if e.word or c in likely],
    )


def _stays(shown: SheetPage) -> tuple[Stay, ...]:
    """Return which brushes may stay, where a set is to be renewed or the school is to keep good originals."""
    rules = shown.context.rules
    asked = any(w.task is FIT_SET for w in shown.work) or rules.choice("school.old-or-new").key == "keep"
    return stays(shown.found, shown.context.state, rules) if asked else ()
