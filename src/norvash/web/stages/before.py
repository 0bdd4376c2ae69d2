"""What the stage before opening shows: tests with power on, speed settings and battery drawn."""

from collections.abc import Mapping
from dataclasses import dataclass
from datetime import datetime

from norvash.core.judging.before.measured import ladder_of
from norvash.core.sheet.given import Given
from norvash.core.sheet.records import DRIVEN, TURNS
from norvash.core.stages.before.fields import OUTCOME_BEFORE, PERMIT_CLOSE, PERMIT_OPEN
from norvash.core.stages.gates import COMPETENT, SAFE
from norvash.core.stages.prove.run_fields import RUN_WHERE
from norvash.core.stages.prove.volts import run_free_words
from norvash.core.visit.walk import runs_until
from norvash.drawing.running.speed_ladder import speed_ladder_drawn
from norvash.drawing.svg import Drawing
from norvash.web.stages.shown.at import DRAWN, At
from norvash.web.stages.shown.fields import Entry, entry
from norvash.web.stages.shown.gate import said_again
from norvash.work.reading.sheet_now import SheetNow


@dataclass(frozen=True, slots=True)
class PermitShown:
    """A test with power on: its number, who opened it, who closed it, and until when it runs."""

    number: int
    opened: Given
    closed: Given | None
    until: datetime | None


@dataclass(frozen=True, slots=True, kw_only=True)
class Before:
    """The tests with power on, how the next one is opened, and drawings of what was measured.

    `turns` are the answers to whether it turns, of a motor that does not run away only that it is driven from outside;
    `allowed` is what one that `runs_away` may get, `safe_again` says again how it is made safe after such a test.
    """

    permits: list[PermitShown]
    close: list[Entry]
    opens: Entry
    most_minutes: float
    turns: Mapping[str, str]
    runs_away: bool
    allowed: str
    competent: str
    drawn: list[Drawing]
    outcome: Entry
    where: Entry | None
    safe_again: Entry | None


def view(at: At) -> Before:
    """Return what the stage before opening shows."""
    shown = at.shown
    permits = [
        PermitShown(n, opened, PERMIT_CLOSE.given(shown.sheet, n), runs_until(shown.sheet, n))
        for n in PERMIT_OPEN.places(shown.sheet)
        if (opened := PERMIT_OPEN.given(shown.sheet, n)) is not None
    ]
    return Before(
        permits=permits,
        close=[entry(shown, PERMIT_CLOSE, p.number) for p in permits if p.closed is None],
        opens=entry(shown, PERMIT_OPEN, len(permits) + 1),
        most_minutes=shown.context.rules["permit.minutes"],
        turns=TURNS if shown.context.facts.runs_away else {DRIVEN: TURNS[DRIVEN]},
        runs_away=shown.context.facts.runs_away,
        allowed=run_free_words(shown.context.facts, shown.context.rules, speed_read=False),
        competent=COMPETENT,
        drawn=_ladder(shown),
        outcome=entry(shown, OUTCOME_BEFORE),
        where=where_it_runs(shown),
        safe_again=said_again(SAFE, shown),
    )


def where_it_runs(shown: SheetNow) -> Entry | None:
    """Return the question where a motor runs, None of one of which it does not matter."""
    return entry(shown, RUN_WHERE) if RUN_WHERE.is_offered(shown.context.facts, shown.context.rules) else None


def _ladder(shown: SheetNow) -> list[Drawing]:
    ladder, step = ladder_of(shown.sheet, shown.context.rules), shown.context.rules["taps.step"]
    if ladder is None:
        return []
    return [speed_ladder_drawn(ladder.share, ladder.expected_share, ladder.bad_steps, step, DRAWN)]
