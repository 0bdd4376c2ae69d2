"""The outlook: all motors over the weeks or seasons ahead, and what falls to be done."""

from dataclasses import dataclass
from datetime import date, timedelta

from norvash.core.planning.outlook import Proposal, propose
from norvash.core.sheet.part import BRUSHES
from norvash.core.use.season import Window
from norvash.store.file.database import Connection
from norvash.store.record import policies, weeks_ahead
from norvash.store.record.standings import Listed
from norvash.store.record.weeks_ahead import Counts, Named, Sought
from norvash.work.pages.bench import BenchRow, row_of

PAGE = 14
SPANS = {"weeks": 26, "seasons": 104}
_NAMED = 4
_LONG = timedelta(weeks=3)
_MOST_PAGES = 100_000


@dataclass(frozen=True, slots=True, kw_only=True)
class Ahead:
    """One motor ahead, as the bench shows it, with the change proposed for it where its band is known.

    It is an `opportunity` where a dark window ends before the limit asks for anything: it raises nothing.
    """

    row: BenchRow
    change: Proposal | None
    opportunity: bool


@dataclass(frozen=True, slots=True)
class Task:
    """What is to be done by a day: how many looks and changes, the first ones named."""

    words: str
    until: date
    looks: int
    changes: int
    first: list[Listed]


@dataclass(frozen=True, slots=True, kw_only=True)
class Outlook:
    """One page of the outlook over a stretch of days; `unknown` are motors that run with a set of unknown age.

    `stopped` must not run, `urgent` ask for hands at this visit.
    """

    rows: list[Ahead]
    first: date
    last: date
    dark: list[tuple[date, date, str]]
    windows: tuple[Window, ...]
    tasks: list[Task]
    unknown: list[Listed]
    stopped: list[Named]
    urgent: list[Named]
    found: int
    page: int
    pages: int


def outlook(conn: Connection, sought: Sought, span: str, page: int, today: date) -> Outlook:
    """Return one page of the outlook, the earliest bound first."""
    windows, sought = policies.list_windows(conn), weeks_ahead.in_places(conn, sought)
    last = today + timedelta(weeks=SPANS.get(span, SPANS["weeks"]))
    ends = _ends(windows, today)
    counts = weeks_ahead.count_outlook(conn, sought, [until for _, until in ends])
    pages = max((counts.motors + PAGE - 1) // PAGE, 1)
    page = min(max(page, 1), pages)
    listed = weeks_ahead.list_outlook(conn, sought, PAGE, (page - 1) * PAGE, counts.dated)
    rows = [ahead_of(x, windows, today) for x in listed]
    tasks = _tasks(conn, sought, ends, counts) if page == 1 else []
    stopped, urgent = weeks_ahead.list_gravest(conn, sought, _NAMED + 1) if page == 1 else ([], [])
    return Outlook(
        stopped=stopped,
        urgent=urgent,
        rows=rows,
        first=today,
        last=last,
        dark=_dark(windows, today, last),
        windows=windows,
        tasks=tasks,
        unknown=weeks_ahead.list_unknown(conn, sought, _NAMED + 1) if page == 1 else [],
        found=counts.motors,
        page=page,
        pages=pages,
    )


def ahead_of(listed: Listed, windows: tuple[Window, ...], today: date) -> Ahead:
    """Return a motor ahead, with the change proposed for it."""
    row = row_of(listed, today)
    change = propose(row.early_on, windows, listed.place, today) if row.early_on else None
    asked_on = min((r.on for r in row.rises if r.part == BRUSHES.id), default=date.max)
    opportunity = change is not None and bool(change.window) and change.on < asked_on
    return Ahead(row=row, change=change, opportunity=opportunity)


def _dark(windows: tuple[Window, ...], first: date, last: date) -> list[tuple[date, date, str]]:
    return [(a, b, w.name) for w in windows for a, b in w.spans(first, last)]


def _ends(windows: tuple[Window, ...], today: date) -> list[tuple[str, date]]:
    """Return the ends of this week, this month and this season, which lasts until the house is dark for weeks."""
    dark = _dark(windows, today + timedelta(days=1), today + timedelta(days=365))
    season_end = min((a for a, b, _ in dark if a > today and b - a >= _LONG), default=today + timedelta(weeks=26))
    return [
        ("this week", today + timedelta(days=7)),
        ("this month", today + timedelta(days=30)),
        ("this season", max(season_end, today + timedelta(days=31))),
    ]


def _tasks(conn: Connection, sought: Sought, ends: list[tuple[str, date]], counts: Counts) -> list[Task]:
    """Return what falls to be done by each end, the first looks named."""
    due = weeks_ahead.list_tasks(conn, sought, ends[-1][1], _NAMED)
    return [
        Task(words, until, looks, changes, [x for x in due if (x.standing.look_on or "") <= until.isoformat()])
        for (words, until), (looks, changes) in zip(ends, counts.by_day, strict=True)
    ]
