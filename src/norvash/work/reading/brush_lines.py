"""Each brush on a sheet: its reading, the one before, what follows, and what was seen on it."""

from dataclasses import dataclass, replace

from norvash.core.brush.carbon import usable_carbon
from norvash.core.brush.gauged import is_floating, length_today_mm
from norvash.core.brush.motor_limit import motor_limit
from norvash.core.brush.straight_line import Point, rate_mm_per_kh
from norvash.core.commutator.figures_after_cut import figures_since
from norvash.core.grades import WORDS, Graded, grade_of
from norvash.core.motor.figure_fields import NEW_MM
from norvash.core.motor.positions import PositionPlan
from norvash.core.sheet.finding import Finding
from norvash.core.sheet.given import Sight
from norvash.core.stages.shared import CONTOUR_FACES
from norvash.core.state.findings import BrushNow
from norvash.core.state.swapped import in_places
from norvash.core.text.words import use_words
from norvash.core.visit.done import done_tasks, worked_on
from norvash.store.file.database import Connection
from norvash.store.record import rounds
from norvash.store.record.rounds import ReadingRow, RoundRow
from norvash.work.reading.context import Context
from norvash.work.reading.sheet_now import SheetNow


@dataclass(frozen=True, slots=True, kw_only=True)
class BrushLine:
    """One position of a sheet: its reading, its last one, and what follows.

    Once work has touched the brush its reading is that of the one as left, and `found` what was read before, with the
    share that was usable then. `ran_units` is the use since its last reading; the rate is of that interval, or over the
    set's life without one. What is usable and left is of this reading, also when later ones have followed, on the limit
    of that moment: no cut of this sheet moves what was found. One that is `held` proves nothing: the brush does not
    follow its wear.
    """

    plan: PositionPlan
    sight: Sight
    found: ReadingRow | None
    found_usable: float | None
    found_left_mm: float | None
    new: bool
    nominal: bool
    held: bool
    reading: ReadingRow | None
    before: Point | None
    usable: float | None
    left_mm: float | None
    graded: Graded | None
    since_mm: float | None
    ran_units: float | None
    rate_mm_per_kh: float | None
    step: str
    word: str
    seen: tuple[Finding, ...]
    seen_found: tuple[Finding, ...]

    @property
    def seen_now(self) -> tuple[Finding, ...]:
        """Return what is seen there: of a brush that is new, nothing that was on the old one."""
        return tuple(f for f in self.seen if not (self.new and "of-brush" in f.kinds and f in self.seen_found))


@dataclass(frozen=True, slots=True)
class BrushLines:
    """The brushes of a sheet; `at` is the position to measure next, 0 when all are measured."""

    row: RoundRow
    lines: tuple[BrushLine, ...]

    @property
    def at(self) -> int:
        """Return the first position not measured yet, 0 without one."""
        return next((x.plan.number for x in self.lines if x.reading is None and not x.nominal), 0)

    @property
    def answered(self) -> int:
        """Return how many positions are measured."""
        return sum(x.reading is not None or x.found is not None for x in self.lines)

    @property
    def both(self) -> bool:
        """Tell whether a brush stands in two sights: what was found beside what was left."""
        return any(x.sight == "left" for x in self.lines)


def brush_lines(conn: Connection, shown: SheetNow) -> BrushLines:
    """Return the brushes of a sheet, measured or not."""
    of_sheet = rounds.rounds_of(conn, shown.row.id)
    read = {(g.position_number, g.sight): _laid(g, shown) for r in of_sheet for g in rounds.list_sighted(conn, r.id)}
    return BrushLines(
        of_sheet[-1],
        tuple(
            _line(shown, of_sheet, plan, (read.get((plan.number, "found")), read.get((plan.number, "left"))), brush)
            for plan, brush in zip(shown.context.state.positions, shown.found.brushes, strict=True)
        ),
    )


def _laid(row: ReadingRow, shown: SheetNow) -> ReadingRow:
    """Return a reading on the scale that the figures give today; of a signed sheet only a bare depth."""
    if row.bare_mm is None and shown.row.signed_at is not None:
        return row
    return replace(row, length_mm=length_today_mm(row, shown.context.stated))


def _line(
    shown: SheetNow,
    of_sheet: list[RoundRow],
    plan: PositionPlan,
    read: tuple[ReadingRow | None, ReadingRow | None],
    brush: BrushNow,
) -> BrushLine:
    context, found_mm = shown.context, _limit_mm(shown, before=True)
    as_found, as_left = read
    floating = is_floating(context.figures)
    here = [r for s in context.sets for r in s.rounds if r.sheet_id == shown.row.id]
    new = plan.number in shown.found.new or (shown.row.signed_at is not None and as_left is not None)
    sight: Sight = "left" if new or as_left is not None or carbon_worked(shown.context, plan.number) else "found"
    reading, row = (as_left, of_sheet[-1]) if sight == "left" else (as_found, of_sheet[0])
    held = any(plan.number in r.held for r in here) and as_left is None
    limit_mm = _limit_mm(shown, before=False) if sight == "left" else found_mm
    usable, left, graded = None, None, None
    if reading is not None and not held:
        share = usable_carbon(reading.length_mm, NEW_MM.need(context.figures), limit_mm)
        usable, left = (None if floating else share), reading.length_mm - limit_mm
        newest = brush.last is not None and brush.last.id == reading.id and limit_mm == shown.found.limit.limit_mm
        graded = brush.graded if newest else grade_of(share, context.rules)
    before = None if new else _before(context, row, plan.number)
    since = ran = rate = None
    counts = reading if not held else None
    step = _step(context, row, plan.number) if counts is not None else ""
    if counts is not None and before is not None and not step:
        now = Point(counts.length_mm, row.total_units, counts.sd_mm)
        since, ran = before.length_mm - now.length_mm, now.run_h - before.run_h
        rate = rate_mm_per_kh(before if ran > 0 else brush.start, now)
    word = WORDS[graded.grade] if graded else "its reading proves nothing" if held else "not measured on this sheet"
    found_then = as_found if sight == "left" else None
    told = found_then is not None and not any(plan.number in r.held for r in here)
    return BrushLine(
        plan=plan,
        sight=sight,
        found=found_then,
        found_usable=usable_carbon(found_then.length_mm, NEW_MM.need(context.figures), found_mm)
        if told and found_then is not None and not floating
        else None,
        found_left_mm=found_then.length_mm - found_mm if told and found_then is not None else None,
        new=new,
        nominal=plan.number in context.sets[-1].nominal and new,
        held=held,
        reading=reading,
        before=before,
        usable=usable,
        left_mm=left,
        graded=graded,
        since_mm=since,
        ran_units=ran,
        rate_mm_per_kh=rate,
        step=step,
        word=word,
        seen=tuple(dict.fromkeys(f for r in here for n, f in r.seen if n == plan.number)),
        seen_found=tuple(dict.fromkeys(f for r in here for n, f in r.as_found.seen if n == plan.number)),
    )


def _limit_mm(shown: SheetNow, *, before: bool) -> float:
    """Return the limit that held before the cuts of a sheet, or after them [mm]."""
    context, number = shown.context, shown.row.number
    marks = [m for m in context.marks if m.sheet < number or (m.sheet == number and not before)]
    return motor_limit(figures_since(context.stated, marks), context.rules).limit_mm


def _step(context: Context, row: RoundRow, position: int) -> str:
    """Return which wear line a brush shows and when it was passed, empty where it was read otherwise: a line is a step
    of its ladder, passed some time between two sightings, and no length.
    """
    of_set = next((s for s in context.sets if s.id == row.set_id), context.state.current)
    read = [(r, m.lines) for r in of_set.rounds if (m := r.readings.get(position)) is not None and m.lines]
    now = next((line for r, line in read if r.id == row.id), None)
    if now is None:
        return ""
    earlier = [(r.total_units, line) for r, line in read if r.id != row.id and r.total_units <= row.total_units]
    if not earlier:
        return f"wear line {now} shows"
    at, line = earlier[-1]
    shown = use_words(context.state.counter_at(at), context.state.unit)
    return f"wear line {now}, {f'as at {shown}' if line == now else f'passed since {shown}: line {line} then'}"


def _before(context: Context, row: RoundRow, position: int) -> Point | None:
    """Return the reading before this round, or the length at fitting if that is known."""
    of_set = next((s for s in context.sets if s.id == row.set_id), context.state.current)
    there = in_places(of_set).rounds
    earlier = [r for r in there if r.id != row.id and position in r.readings and r.total_units <= row.total_units]
    if earlier:
        found = earlier[-1].readings[position]
        return Point(found.length_mm, earlier[-1].total_units, found.sd_mm)
    if of_set.fitted_known and not is_floating(context.figures) and of_set.fitted_units <= row.total_units:
        return Point(NEW_MM.need(context.figures), of_set.fitted_units, context.rules["new.tolerance"] / 2)
    return None


def carbon_worked(context: Context, position: int) -> bool:
    """Tell whether work of this visit has moved what the brush at a position reads: it was found held, and freed, or
    its face has been given a new curve.
    """
    told = context.state.told
    if told.sheet is None:
        return False
    held = [f for (n, _), f in told.found.items() if n == position and "holds-brush" in f.kinds]
    return CONTOUR_FACES in done_tasks(told.sheet) or any(worked_on(f, position, told.sheet, told.new) for f in held)
