"""What the stage of deciding shows: every finding with its life, what was decided, and what may be overruled."""

from collections.abc import Mapping
from dataclasses import dataclass

from norvash.core.grades import WORDS
from norvash.core.judging.brushes.keeping import Stay, stays
from norvash.core.sheet.given import Given
from norvash.core.sheet.part import PARTS
from norvash.core.stages.decide import DECISIONS, KEPT_WHY, MOTOR_OVERRULED, OUTCOME, OVERRULED, RULED_OUT
from norvash.core.stages.shared import FIT_SET
from norvash.core.visit.walk import look_words
from norvash.core.visit.work_list import minutes_left
from norvash.web.served.forms import whole
from norvash.web.stages.shown.at import At
from norvash.web.stages.shown.fields import Entry, entry
from norvash.web.stages.shown.lives import LifeShown, lives_shown
from norvash.web.stages.shown.offers import OffersShown, offers_shown
from norvash.web.stages.ways import WaysShown, ways_shown
from norvash.work.reading.sheet_now import SheetNow

_AT_ONCE = 4


@dataclass(frozen=True, slots=True, kw_only=True)
class Decide:
    """Every finding of the visit with what may be decided of it, and the minutes of the work that is left [min]; at
    which of them the answers stand at once, and how many are not decided; what supply and battery say beside what is
    found there; what may be overruled; what was looked at of each part; which brushes may stay; the causes ruled out or
    likely; what each way costs; the parts that are offered.
    """

    decisions: Mapping[str, str]
    minutes: float
    lives: list[LifeShown]
    asked: frozenset[tuple[int, str]]
    undecided: int
    overrules: dict[str, Entry]
    motor_overruled: Given | None
    words: Mapping[str, str]
    outcome: Entry
    kept: Entry
    looked: dict[str, str]
    stays: tuple[Stay, ...]
    out: list[Entry]
    money: WaysShown
    offers: OffersShown


def view(at: At) -> Decide:
    """Return every finding of the visit, what is decided, and what may be overruled."""
    shown = at.shown
    causes = {c: entry(shown, field) for c, field in RULED_OUT.items()}
    likely = {r.cause.id for r in shown.cause.ranked[:3]} if shown.cause else set[str]()
    found = lives_shown(shown)
    return Decide(
        decisions=DECISIONS,
        minutes=minutes_left(shown.work),
        lives=found,
        asked=_asked(found, at.typed),
        undecided=sum(x.life.state == "open" and not x.decide.word for x in found),
        overrules={part: entry(shown, field) for part, field in OVERRULED.items()},
        motor_overruled=MOTOR_OVERRULED.given(shown.sheet),
        words=WORDS,
        outcome=entry(shown, OUTCOME),
        kept=entry(shown, KEPT_WHY),
        looked={p.id: look_words(shown.visit, p) for p in PARTS},
        stays=_stays(shown),
        out=[e for c, e in causes.items() if e.word or c in likely],
        money=ways_shown(at),
        offers=offers_shown(at),
    )


def _asked(found: list[LifeShown], typed: Mapping[str, str]) -> frozenset[tuple[int, str]]:
    """Return the findings whose answers stand on the page at once: the one that somebody has turned to, then those that
    are not decided, the gravest first. The rest say where their answers are: nobody reads a hundred forms.
    """
    turned_to = (typed.get("field", ""), whole(typed.get("place", "")) or 0)
    left = [x for x in found if x.life.state != "proven"]
    left.sort(key=lambda x: ((x.decide.field.id, x.life.position) != turned_to, bool(x.decide.word)))
    return frozenset(x.life.at for x in left[:_AT_ONCE])


def _stays(shown: SheetNow) -> tuple[Stay, ...]:
    """Return which brushes may stay, where a set is to be renewed or the school is to keep good originals."""
    rules = shown.context.rules
    asked = any(w.task is FIT_SET for w in shown.work) or rules.choice("school.old-or-new").key == "keep"
    return stays(shown.found, shown.context.state, rules) if asked else ()
