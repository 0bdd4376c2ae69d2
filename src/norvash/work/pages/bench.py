"""The bench: which motors need hands, most urgent first."""

import json
from dataclasses import dataclass
from datetime import date, timedelta

from norvash.core.rules.book import MotorRules
from norvash.core.state.rising import Rise, risen
from norvash.core.verdict.line_figure import LineFigure, figures_on
from norvash.store.file.database import Connection
from norvash.store.record import sheets, standings
from norvash.store.record.sheets import NamedSheet
from norvash.store.record.standings import Listed, rises_of
from norvash.work.reading.rulebook import rulebook

PAGE = 12
PRINTED = 400
REGISTER_PAGE = 20
_NEXT = 6
_MOST_OPEN = 8
_MOST_PAGES = 100_000


@dataclass(frozen=True, slots=True, kw_only=True)
class BenchRow:
    """One motor on the bench, ready to be drawn; the note says what its dates ask for, `rises` when it rises. Its
    sentence is that of the day: of what it has risen to, by which part, else as it was judged.
    """

    listed: Listed
    grade: str | None
    word: str
    limit_on: date | None
    look_on: date | None
    early_on: date | None
    late_on: date | None
    note: str
    flags: str
    rises: tuple[Rise, ...]
    sentence: str
    today: date
    risen_part: str = ""

    @property
    def figures(self) -> tuple[LineFigure, ...]:
        """Return limit, look, plan and sureness as they were judged, as far as they are still said."""
        return figures_on(json.loads(self.listed.standing.figures_json), self.today)


@dataclass(frozen=True, slots=True, kw_only=True)
class Bench:
    """One page of the bench, what comes after it, and the sheets that are not signed yet."""

    rows: list[BenchRow]
    coming: list[BenchRow]
    needing: int
    motors: int
    page: int
    pages: int
    open_sheets: list[NamedSheet]


def row_of(listed: Listed, today: date) -> BenchRow:
    """Return a row, at the grade to which the motor has risen by a day."""
    standing = listed.standing
    limit_on, look_on, early_on, late_on = (
        date.fromisoformat(d) if d else None
        for d in (standing.limit_on, standing.look_on, standing.early_on, standing.late_on)
    )
    rises = rises_of(standing)
    rise = risen(standing.grade, rises, today)  # type: ignore[arg-type]
    grade, note = (rise.grade, rise.why) if rise is not None else (standing.grade, "")
    due = look_on is not None and look_on <= today
    if due and not note and grade not in ("change", "stop"):
        note = "The look is due."
    word = rise.word if rise is not None else standing.word
    flags = "; ".join(f for f in standing.flags.split("; ") if f != "look due")
    return BenchRow(
        listed=listed,
        grade=grade,
        word=word,
        limit_on=limit_on,
        look_on=look_on,
        early_on=early_on,
        late_on=late_on,
        note=note,
        flags=flags,
        rises=rises,
        sentence=f"{rise.act} {rise.why}" if rise is not None else standing.sentence,
        today=today,
        risen_part=rise.part if rise is not None else "",
    )


def bench(conn: Connection, today: date, page: int, most: int = PAGE) -> Bench:
    """Return one page of the bench of at most so many motors; after the last page come the next that run on."""
    ahead = MotorRules(rulebook(conn))["bench.ahead"]
    until = today + timedelta(days=ahead)
    needing = standings.count_bench(conn, today, until)
    pages = max((needing + most - 1) // most, 1)
    page = min(max(page, 1), pages)
    rows = [row_of(x, today) for x in standings.list_bench(conn, today, until, most, (page - 1) * most)]
    coming = [row_of(x, today) for x in standings.list_next(conn, today, until, _NEXT)] if page == pages else []
    return Bench(
        rows=rows,
        coming=coming,
        needing=needing,
        motors=standings.count_motors(conn),
        page=page,
        pages=pages,
        open_sheets=sheets.list_open(conn, _MOST_OPEN),
    )


def register(
    conn: Connection, words: str, motor_class: str, page: int, today: date, *, urgent: bool = False
) -> list[BenchRow]:
    """Return one page of the register, by tag or the most `urgent` first."""
    skip = (min(max(page, 1), _MOST_PAGES) - 1) * REGISTER_PAGE
    found = standings.find_motors(conn, " ".join(words.split()), motor_class, REGISTER_PAGE + 1, skip, urgent=urgent)
    return [row_of(x, today) for x in found]
