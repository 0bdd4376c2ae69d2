"""The register of what was put off and of temporary repairs, over all motors of the site: by day, person and place."""

from dataclasses import dataclass
from datetime import date, timedelta

from norvash.core.grades import GRADES, Grade
from norvash.core.rules.book import MotorRules
from norvash.store.file.database import Connection
from norvash.store.record import lives
from norvash.store.record.lives import PutOffRow
from norvash.work.reading.rulebook import rulebook

MOST_ROWS = 500


@dataclass(frozen=True, slots=True, kw_only=True)
class Listed:
    """One thing that somebody sees to later: on which motor, what, who by when, and how grave it is by now."""

    row: PutOffRow
    grade: Grade
    overdue_days: int


@dataclass(frozen=True, slots=True, kw_only=True)
class Register:
    """What was put off, in four groups: past its day, within the days in which a change is planned, later, and without
    a day; the people and places that there are, and whether there is more than is shown.
    """

    groups: tuple[tuple[str, tuple[Listed, ...]], ...]
    people: tuple[str, ...]
    places: tuple[str, ...]
    more: bool

    @property
    def count(self) -> int:
        """Return how many there are."""
        return sum(len(found) for _, found in self.groups)

    @property
    def overdue(self) -> int:
        """Return how many are past their day."""
        return len(self.groups[0][1])


def register_of(conn: Connection, person: str, place: str, today: date) -> Register:
    """Return what was put off, of one person and place where they are given. Source: rule act.lead-days"""
    rows = lives.list_put_off(conn, MOST_ROWS + 1)
    soon = today + timedelta(days=MotorRules(rulebook(conn))["act.lead-days"])
    chosen = [r for r in rows[:MOST_ROWS] if person in ("", r.who) and place in ("", r.place)]
    made = [_listed(r, today) for r in chosen]

    def of(words: str, *found: Listed) -> tuple[str, tuple[Listed, ...]]:
        return words, found

    return Register(
        groups=(
            of("Past its day", *(x for x in made if x.row.due_on is not None and x.row.due_on < today)),
            of("In the next days", *(x for x in made if x.row.due_on is not None and today <= x.row.due_on <= soon)),
            of("Later", *(x for x in made if x.row.due_on is not None and x.row.due_on > soon)),
            of("Nobody, and no day", *(x for x in made if x.row.due_on is None)),
        ),
        people=tuple(sorted({r.who for r in rows if r.who})),
        places=tuple(sorted({r.place for r in rows if r.place})),
        more=len(rows) > MOST_ROWS,
    )


def _listed(row: PutOffRow, today: date) -> Listed:
    late = (today - row.due_on).days if row.due_on is not None else 0
    rank = GRADES.index(row.grade)
    # From its day on it is one grade graver, at most a change.
    graver = late >= 0 and row.state == "put off" and row.due_on is not None
    most = max(rank, GRADES.index("change"))
    return Listed(row=row, grade=GRADES[min(rank + graver, most)], overdue_days=max(late, 0))
