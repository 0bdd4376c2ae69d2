"""Motors that came into the book late, with what was known of them: notes of years, a depth alone, nothing at all."""

from collections.abc import Mapping
from dataclasses import dataclass, field
from datetime import datetime, timedelta
from typing import Protocol

from norvash.core.motor.notes import Note, NotedRound, NotedSet, NotedUse
from norvash.demo.fleet import DEMO_DAY
from norvash.exchange.interval_tables import table_from_csv
from norvash.store.file.database import Connection
from norvash.work.act.acting import Act
from norvash.work.motors.logging_use import log_use
from norvash.work.motors.policing import add_policy
from norvash.work.motors.registering import NewMotor, add_motor
from norvash.work.motors.stating import SinceTyped
from norvash.work.notes.noting import enter_notes

# The maker's table for the star trap: use so far, depth, hours to the next look; a dash is no answer.
TRAP_TABLE = """h;24;28;32;36
<= 300;260;200;120;-
<= 900;420;330;210;90
<= 2400;560;430;290;120
"""


class Acts(Protocol):
    """Gives every act its id and its person."""

    def at(self, when: datetime) -> Act:
        """Return the next act, at a time."""


@dataclass(frozen=True, slots=True, kw_only=True)
class Late:
    """A motor that was added so many weeks ago, with what was said of it then, and what notes were entered."""

    tag: str
    name: str
    place: str
    motor_class: str
    weeks_ago: int
    new_length: str
    limit: str = ""
    brushes: str = "2"
    unit_of_use: str = ""
    use_now: str = ""
    figures: Mapping[str, str] = field(default_factory=dict)
    since: SinceTyped = SinceTyped()
    notes: tuple[Note, ...] = ()
    logged: tuple[tuple[int, str], ...] = ()
    table: str = ""


def _round(line: int, day: str, counter: str, *lengths: str, by: str = "") -> NotedRound:
    return NotedRound(line=line, day=day, counter=counter, readings=dict(enumerate(lengths, 1)), by=by)


LATE = (
    Late(
        tag="A-21",
        name="Wardrobe steamer pump",
        place="wardrobe",
        motor_class="appliance",
        weeks_ago=9,
        new_length="26",
        limit="9",
        use_now="2310",
        figures={"use_per_week_units": "14"},
        since=SinceTyped(day="2025-02-10", counter="1460"),
        notes=(
            NotedSet(
                line=1, ended="2023-09-18", fitted="2022-05", ended_counter="640", lasted="about 640 h", why="worn"
            ),
            NotedSet(
                line=2, ended="2025-02-10", fitted="2023-09-18", fitted_counter="640", ended_counter="1460", why="worn"
            ),
            _round(3, "2025-09-15", "1755", "21.6", "21.9", by="Maud Celliers"),
            _round(4, "2026-02-09", "1980", "18.3", "18.9", by="Maud Celliers"),
            _round(5, "2026-07-06", "2205", "15.2", "16.0", by="Bram Aldous"),
        ),
        logged=((4, "2375"), (1, "2420")),
    ),
    Late(
        tag="W-03",
        name="Scrim winch",
        place="fly floor",
        motor_class="industrial",
        weeks_ago=6,
        new_length="32",
        limit="14",
        brushes="4",
        use_now="3120",
        figures={"use_per_week_units": "11", "hangs_load": "yes", "run_length_units": "4"},
        since=SinceTyped(day="March 2024", counter="1730", lengths="nominal"),
        notes=(
            _round(1, "2024-11-18", "2110", "29.6", "29.8", "29.5", "29.9"),
            _round(2, "2025-08-25", "2490", "26.9", "27.3", "26.8", "27.5"),
            NotedUse(line=3, day="2026-03-30", counter="2840"),
            _round(4, "2026-08-31", "3020", "23.2", "23.8", "22.9", "24.0"),
        ),
        logged=((2, "3166"),),
    ),
    Late(
        tag="A-22",
        name="Green-room extractor",
        place="green room",
        motor_class="appliance",
        weeks_ago=5,
        new_length="22",
        limit="20 %",
        unit_of_use="years",
        figures={"expected_life_units": "8"},
        since=SinceTyped(day="2021"),
        notes=(_round(1, "2024-01-15", "", "16.9", "17.2"), _round(2, "2026-01-12", "", "13.4", "14.1")),
    ),
    Late(
        tag="H-03",
        name="Star-trap hoist",
        place="under stage",
        motor_class="industrial",
        weeks_ago=7,
        new_length="34",
        brushes="4",
        use_now="980",
        figures={"method": "depth", "instrument": "micrometer", "depth_limit_mm": "38", "use_per_week_units": "9"},
        since=SinceTyped(ran="980"),
        notes=(
            _round(1, "2025-10-20", "560", "29.4", "29.1", "29.6", "29.2"),
            _round(2, "2026-06-15", "850", "31.2", "30.7", "31.5", "30.9"),
        ),
        logged=((1, "1040"),),
        table=TRAP_TABLE,
    ),
    Late(
        tag="T-22",
        name="Belt sander",
        place="scene shop, bench 1",
        motor_class="tool",
        weeks_ago=8,
        new_length="16",
        limit="6",
        use_now="410",
        logged=((5, "424"), (1, "446")),
    ),
)


def add_late(conn: Connection, acts: Acts, late: tuple[Late, ...] = LATE) -> None:
    """Add the motors that came late, each with its notes, its log since and its table."""
    for number, one in enumerate(late):
        began = datetime.combine(DEMO_DAY, datetime.min.time()) - timedelta(weeks=one.weeks_ago)
        at = began + timedelta(hours=9, minutes=10 * number)
        given = NewMotor(
            tag=one.tag,
            name=one.name,
            place=one.place,
            motor_class=one.motor_class,
            type_id="",
            brushes=one.brushes,
            new_length=one.new_length,
            limit=one.limit,
            limit_source="" if "%" in one.limit else "maker",
            unit_of_use=one.unit_of_use,
            use_now=one.use_now,
            set_is_new=False,
            figures=one.figures,
            since=one.since,
        )
        motor = add_motor(conn, acts.at(at), given)
        if one.notes:
            enter_notes(conn, acts.at(at + timedelta(minutes=4)), motor, one.notes, source="grid", answer="right")
        for weeks_ago, counter in one.logged:
            log_use(conn, acts.at(at + timedelta(weeks=one.weeks_ago - weeks_ago)), motor, text=counter)
        if one.table:
            add_policy(
                conn,
                acts.at(at + timedelta(minutes=8)),
                "motor",
                scope_id=motor,
                kind="table",
                typed={"name": "maker's table"},
                table=table_from_csv(one.table.encode(), "depth", 400.0),
            )
