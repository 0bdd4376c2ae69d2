"""All that the measuring page shows, with the answer to the last value."""

from dataclasses import dataclass
from datetime import date

from norvash.core.findings import BY_ID, Finding
from norvash.core.positions import PositionPlan
from norvash.core.sentence import Verdict
from norvash.core.stages import WORDS
from norvash.core.straight_line import Point, rate_mm_per_kh
from norvash.core.verdict import BrushNow, Findings
from norvash.store import rounds
from norvash.store.database import Connection
from norvash.store.rounds import ReadingRow, RoundRow
from norvash.work.context import Context
from norvash.work.motor_page import judged


@dataclass(frozen=True, slots=True)
class Line:
    """One position of the round: its reading, its last one, and what follows.

    `ran_units` is the use since its last reading; the rate is of that interval, or over the set's life without one.
    """

    plan: PositionPlan
    reading: ReadingRow | None
    before: Point | None
    brush: BrushNow
    since_mm: float | None
    ran_units: float | None
    rate_mm_per_kh: float | None
    word: str
    seen: tuple[Finding, ...]


@dataclass(frozen=True, slots=True)
class RoundPage:
    """A round with its motor, verdict and lines; `at` is the position to measure now, `chosen` by the person or next."""

    row: RoundRow
    context: Context
    found: Findings
    said: Verdict
    lines: tuple[Line, ...]
    at: int
    chosen: bool

    @property
    def line(self) -> Line:
        """Return the line of the position to measure now."""
        return next(x for x in self.lines if x.plan.number == self.at)

    @property
    def answered(self) -> int:
        """Return how many positions are measured."""
        return sum(x.reading is not None for x in self.lines)

    @property
    def ready(self) -> bool:
        """Tell whether nothing is left to do but to finish: complete, without an open doubt, nothing to measure again."""
        return self.complete and not self.chosen and not self.found.doubts

    @property
    def complete(self) -> bool:
        """Tell whether every position is measured."""
        return self.answered == len(self.lines)


def round_page(conn: Connection, round_id: str, position: int, today: date) -> RoundPage:
    """Return a round, standing at a position or at the first one not measured yet.

    Raises: NotFound.
    """
    row = rounds.fetch_round(conn, round_id)
    context, found, said = judged(conn, row.motor_id, today)
    readings = rounds.list_readings(conn, round_id)
    lines = tuple(
        _line(context, row, plan, readings.get(plan.number), brush)
        for plan, brush in zip(context.state.positions, found.brushes, strict=True)
    )
    waiting = [x.plan.number for x in lines if x.reading is None]
    numbers = [x.plan.number for x in lines]
    at = position if position in numbers else waiting[0] if waiting else numbers[-1]
    return RoundPage(row, context, found, said, lines, at, position in numbers)


def _line(context: Context, row: RoundRow, plan: PositionPlan, reading: ReadingRow | None, brush: BrushNow) -> Line:
    before = _before(context, row, plan.number)
    since = ran = rate = None
    if reading is not None and before is not None:
        now = Point(reading.length_mm, row.total_units, reading.sd_mm)
        since, ran = before.length_mm - now.length_mm, now.run_h - before.run_h
        rate = rate_mm_per_kh(before if ran > 0 else brush.start, now)
    word = WORDS[brush.staged.stage] if brush.staged and reading else "not measured in this round"
    this = next(r for s in context.state.sets for r in s.rounds if r.id == row.id)
    seen = tuple(BY_ID[x] for n, x in this.seen if n == plan.number)
    return Line(plan, reading, before, brush, since, ran, rate, word, seen)


def _before(context: Context, row: RoundRow, position: int) -> Point | None:
    """Return the reading before this round, or the length at fitting if that is known."""
    current = context.state.current
    earlier = [
        r for r in current.rounds if r.id != row.id and position in r.readings and r.total_units <= row.total_units
    ]
    if earlier:
        found = earlier[-1].readings[position]
        return Point(found.length_mm, earlier[-1].total_units, found.sd_mm)
    if current.fitted_known:
        return Point(context.figures.need("new_mm"), current.fitted_units, context.rules["new.tolerance"] / 2)
    return None
