"""Make the playhouse's record through the same jobs that people use, the same every time."""

from contextlib import closing
from datetime import datetime, timedelta
from pathlib import Path
from random import Random

from norvash.demo.fleet import DEMO_DAY, HOIST_TABLE, MACHINES, PEOPLE, WINDOWS
from norvash.demo.machine import KINDS, Machine
from norvash.demo.noted import add_late
from norvash.demo.story import Acts, Story
from norvash.exchange.interval_tables import table_from_csv
from norvash.store.access import members as access
from norvash.store.file.database import Connection, connect, transaction
from norvash.store.file.ready import migrate
from norvash.store.record import motors, people
from norvash.store.record.people import Person
from norvash.work.act.acting import Act
from norvash.work.motors.motor_types import save_type
from norvash.work.motors.policing import add_policy, add_window
from norvash.work.motors.ruling import set_rule, set_school
from norvash.work.reading.standing import catch_up

SITE = "Lanternmoor Playhouse, engineering shop"
_SEED = 20261124


def play(path: Path) -> None:
    """Make the record anew in a file that is not there yet, by doing every job of it.

    Its clock stands at the day of the demonstration; whoever starts one sets it.
    """
    with closing(connect(path)) as conn:
        conn.execute("pragma synchronous = off")
        fill(conn, MACHINES)
        conn.execute("pragma wal_checkpoint(truncate)")


def _rule(conn: Connection, at: Act, rule: str, text: str, why: str) -> None:
    """Set a rule of the house."""
    set_rule(conn, at, rule, scope="site", scope_id="", text=text, why=why)


def fill(conn: Connection, machines: tuple[Machine, ...]) -> None:
    """Fill an empty database with people, types, motors and four years of work."""
    migrate(conn)
    began = datetime.combine(DEMO_DAY, datetime.min.time()) - timedelta(weeks=220)
    with transaction(conn):
        people.change_site(conn, SITE, DEMO_DAY.isoformat(), began)
        for i, name in enumerate(PEOPLE):
            people.add_person(conn, Person(f"person-{i + 1}-of-demo", name), began)
        access.give_role(conn, "person-1-of-demo", "lead")
    acts = Acts(conn)
    _rule(conn, acts.at(began), "money.labour", "46", "what an hour of the shop costs the house")
    _rule(conn, acts.at(began), "money.tax", "0.2", "most suppliers name prices without it")
    kinds = {
        k.name: save_type(
            conn, acts.at(began), "", name=k.name, motor_class=k.motor_class, brushes=k.brushes, typed=k.figures
        )
        for k in KINDS
    }
    for number, machine in enumerate(machines):
        Story(conn, acts, machine, Random(_SEED + number)).tell(kinds)
    if machines is MACHINES:
        add_late(conn, acts)
    for name, first, last, yearly, place in WINDOWS:
        typed = {"name": name, "first_on": first, "last_on": last, "yearly": yearly, "place": place}
        add_window(conn, acts.at(datetime.combine(DEMO_DAY, datetime.min.time()) - timedelta(days=60)), typed)
    hoist = motors.names(conn).get("h01")
    if hoist is not None:
        at = acts.at(datetime.combine(DEMO_DAY, datetime.min.time()) - timedelta(days=55))
        add_policy(
            conn,
            at,
            "motor",
            scope_id=hoist,
            kind="table",
            typed={"name": "maker's table"},
            table=table_from_csv(HOIST_TABLE.encode(), "depth", 500.0),
        )
    tighter = "the house keeps brushes tighter after two chipped sets"
    _rule(
        conn,
        acts.at(datetime.combine(DEMO_DAY, datetime.min.time()) - timedelta(days=50)),
        "fit.clearance-most",
        "0.25",
        tighter,
    )
    if "a11" in motors.names(conn):
        keep = acts.at(datetime.combine(DEMO_DAY, datetime.min.time()) - timedelta(days=49))
        set_school(
            conn,
            keep,
            "school.old-or-new",
            scope="motor",
            scope_id="A-11",
            key="keep",
            why="no such carbon is made any more, and it runs well",
        )
    catch_up(conn, DEMO_DAY)
