"""What was measured at a visit, line by line: on an open sheet as it is judged now, on a signed one as it was kept."""

from collections.abc import Iterator
from dataclasses import replace

from norvash.core.grades import grade_of
from norvash.core.judging.brushes.lengths import Length, length_measured
from norvash.core.judging.kept_values import kept_of, kept_values
from norvash.core.sheet.given import Sight
from norvash.core.sheet.kept_value import InTable, KeptValue, in_table
from norvash.core.stages.brushes.stage import STAGE as BRUSHES
from norvash.core.stages.catalogue import STAGES
from norvash.store.file.database import Connection
from norvash.store.record import measured
from norvash.store.record.rounds import ReadingRow
from norvash.work.reading.brush_lines import BrushLine, brush_lines
from norvash.work.reading.sheet_now import SheetNow

_ORDER = {s.id: n for n, s in enumerate(STAGES)}


def values_of(conn: Connection, page: SheetNow) -> tuple[KeptValue, ...]:
    """Return what was measured on a sheet; one that was signed before this was kept has nothing."""
    return measured.list_measured(conn, page.row.id) if page.row.signed_at is not None else values_now(conn, page)


def table_of(conn: Connection, page: SheetNow) -> tuple[InTable, ...]:
    """Return what was measured on a sheet, as found beside as left."""
    return in_table(values_of(conn, page))


def values_now(conn: Connection, page: SheetNow) -> tuple[KeptValue, ...]:
    """Return what was measured on an open sheet as it is judged now, in the order of the work."""
    lengths = (v for line in brush_lines(conn, page).lines for v in _lengths(line, page))
    every = (*lengths, *kept_values(page.sheet, page.context.rules, page.worn_mm))
    return tuple(sorted(every, key=lambda v: _ORDER[v.stage]))


def _lengths(line: BrushLine, page: SheetNow) -> Iterator[KeptValue]:
    """Yield the length of a brush as it was found and as it is left."""
    found, read = line.found, line.reading
    if found is not None:
        graded = grade_of(line.found_usable, page.context.rules) if line.found_usable is not None else None
        length = Length(
            number=line.plan.number,
            label=line.plan.label,
            length_mm=found.length_mm,
            usable=line.found_usable,
            left_mm=line.found_left_mm,
            rate_mm_per_kh=None,
            graded=graded,
        )
        yield _length(found, page, "found", length)
    if read is not None:
        length = Length(
            number=line.plan.number,
            label=line.plan.label,
            length_mm=read.length_mm,
            usable=line.usable,
            left_mm=line.left_mm,
            rate_mm_per_kh=line.rate_mm_per_kh,
            graded=line.graded,
        )
        yield _length(read, page, line.sight, length)


def _length(read: ReadingRow, page: SheetNow, sight: Sight, length: Length) -> KeptValue:
    m = length_measured(length, page.found.limit.source, page.context.figures, page.context.rules)
    kept = kept_of(m, page.sheet, page.context.rules, BRUSHES.id, sight)
    grade = length.graded.grade if m.standing == "off" and length.graded is not None else None
    what = f"{kept.what}, brush {length.label}"
    return replace(kept, what=what, said=read.said, by=read.person, at=read.at, grade=grade)
