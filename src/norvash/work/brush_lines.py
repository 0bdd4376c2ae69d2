"""Each brush on a sheet: its reading, the one before, what follows, and what was seen on it."""

from dataclasses import dataclass

from norvash.core.brush.carbon import usable_carbon
from norvash.core.brush.straight_line import Point, rate_mm_per_kh
from norvash.core.motor.figure_fields import NEW_MM
from norvash.core.motor.positions import PositionPlan
from norvash.core.sheet.finding import Finding
from norvash.core.verdict.grades import WORDS, Graded, grade_of
from norvash.core.verdict.values import BrushNow
from norvash.store import rounds
from norvash.store.database import Connection
from norvash.store.rounds import ReadingRow, RoundRow
from norvash.work.context import Context
from norvash.work.sheet_page import SheetPage


@dataclass(frozen=True, slots=True, kw_only=True)
class BrushLine:
    """One position of the round: its reading, its last one, and what follows.

    `ran_units` is the use since its last reading; the rate is of that interval, or over the set's life without one.
    What is usable and left is of this reading, also when later ones have followed.
    """

    plan: PositionPlan
    reading: ReadingRow | None
    before: Point | None
    usable: float | None
    left_mm: float | None
    graded: Graded | None
    since_mm: float | None
    ran_units: float | None
    rate_mm_per_kh: float | None
    word: str
    seen: tuple[Finding, ...]


@dataclass(frozen=True, slots=True)
class BrushLines:
    """The brushes of a sheet; `at` is the position to measure next, 0 when all are measured."""

    row: RoundRow
    lines: tuple[BrushLine, ...]

    @property
    def at(self) -> int:
        """Return the first position not measured yet, 0 without one."""
        return next((x.plan.number for x in self.lines if x.reading is None), 0)

    @property
    def answered(self) -> int:
        """Return how many positions are measured."""
        return sum(x.reading is not None for x in self.lines)


def brush_lines(conn: Connection, shown: SheetPage) -> BrushLines:
    """Return the brushes of a sheet, measured or not."""
    row, context = rounds.fetch_round(conn, shown.row.id), shown.context
    readings = rounds.list_readings(conn, row.id)
    return BrushLines(
        row,
        tuple(
            _line(shown, row, plan, readings.get(plan.number), brush)
            for plan, brush in zip(context.state.positions, shown.found.brushes, strict=True)
        ),
    )


def _line(
    shown: SheetPage, row: RoundRow, plan: PositionPlan, reading: ReadingRow | None, brush: BrushNow
) -> BrushLine:
    context, limit_mm = shown.context, shown.found.limit.limit_mm
    usable, left, graded = None, None, None
    if reading is not None:
        usable, left = (
            usable_carbon(reading.length_mm, NEW_MM.need(context.figures), limit_mm),
            reading.length_mm - limit_mm,
        )
        newest = brush.last is not None and brush.last.id == reading.id
        graded = brush.graded if newest else grade_of(usable, context.rules)
    before = _before(context, row, plan.number)
    since = ran = rate = None
    if reading is not None and before is not None:
        now = Point(reading.length_mm, row.total_units, reading.sd_mm)
        since, ran = before.length_mm - now.length_mm, now.run_h - before.run_h
        rate = rate_mm_per_kh(before if ran > 0 else brush.start, now)
    word = WORDS[graded.grade] if graded else "not measured on this sheet"
    this = next(r for s in context.state.sets for r in s.rounds if r.id == row.id)
    seen = tuple(f for n, f in this.seen if n == plan.number)
    return BrushLine(
        plan=plan,
        reading=reading,
        before=before,
        usable=usable,
        left_mm=left,
        graded=graded,
        since_mm=since,
        ran_units=ran,
        rate_mm_per_kh=rate,
        word=word,
        seen=seen,
    )


def _before(context: Context, row: RoundRow, position: int) -> Point | None:
    """Return the reading before this round, or the length at fitting if that is known."""
    current = context.state.current
    earlier = [
        r for r in current.rounds if r.id != row.id and position in r.readings and r.total_units <= row.total_units
    ]
    if earlier:
        found = earlier[-1].readings[position]
        return Point(found.length_mm, earlier[-1].total_units, found.sd_mm)
    if current.fitted_known and current.fitted_units <= row.total_units:
        return Point(NEW_MM.need(context.figures), current.fitted_units, context.rules["new.tolerance"] / 2)
    return None
