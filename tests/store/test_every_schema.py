"""A database of any earlier version opens, and holds what it held: small sites, each written by its own version."""

import gzip
import hashlib
import json
import os
import sqlite3
from contextlib import closing
from pathlib import Path

import pytest

from norvash.core.state.round import Measured, Round
from norvash.store.access import members as access
from norvash.store.file.database import connect
from norvash.store.file.ready import migrate
from norvash.store.file.steps import steps
from norvash.work.reading.context import Context
from norvash.work.reading.loading import load
from pages import MOTOR
from signing_in import browser

DATA = Path(__file__).parent.parent / "data/schemas"
SITES = {f.name.partition(".")[0]: f for f in sorted(DATA.glob("*.sql.gz"))}
# What each held is never renewed; a new step adds the line of the one before it.
HELD = DATA / "held.json"


def plain(context: Context) -> dict[str, object]:
    """Return what people have said of a motor, as far as any version kept it."""
    row = context.row
    return {
        "motor": [context.motor.tag, context.motor.name, context.motor.place, context.motor.motor_class],
        "figures": sorted(context.stated.own.items()),
        "positions": [[p.number, p.label, p.angle_deg, p.arm, p.polarity] for p in context.positions],
        "uses": [[u.at.isoformat(), u.total_units, u.counter_units, u.noted] for u in context.entries],
        "sets": [
            [s.id, s.number, s.fitted_at.isoformat(), s.fitted_units, s.fitted_known, s.ended_units, s.end_reason]
            for s in context.sets
        ],
        "renewed": [[n.position, n.total_units, n.length_mm] for s in context.sets for n in s.renewed],
        "rounds": [_round(r) for s in context.sets for r in s.rounds],
        "written": sorted([*spot, g.typed, g.word, g.number, g.person] for spot, g in context.written.items()),
        "lives": [[k.position, k.finding.id, k.finding.grade, k.state, k.why] for k in context.lives],
        "sheet": [row.number, row.kind, row.person, bool(row.signed_at)] if row is not None else None,
        "marks": [[m.sheet, m.kind] for m in context.marks],
    }


def _round(a_round: Round) -> list[object]:
    read = {n: _read(m) for n, m in a_round.readings.items()}
    found = {n: _read(m) for n, m in a_round.found.items()}
    seen = sorted([n, f.id] for n, f in a_round.seen)
    return [a_round.id, a_round.at.isoformat(), a_round.total_units, a_round.kind, a_round.finished, read, found, seen]


def _read(measured: Measured) -> list[object]:
    return [measured.length_mm, measured.sd_mm, measured.doubt, measured.lines]


def digests(context: Context) -> dict[str, str]:
    """Return what a motor holds, each part as a digest."""
    return {
        name: hashlib.sha256(json.dumps(part, sort_keys=True).encode()).hexdigest()[:16]
        for name, part in plain(context).items()
    }


def opened(file: Path, to: Path) -> dict[str, str]:
    """Return what a site holds once it was opened."""
    with closing(sqlite3.connect(to)) as site:
        site.executescript(gzip.decompress(file.read_bytes()).decode())
    with closing(connect(to)) as conn:
        migrate(conn)
        assert conn.execute("pragma foreign_key_check").fetchall() == []
        motor = conn.execute("select id from motor").fetchone()[0]
        return digests(load(conn, motor))


@pytest.mark.parametrize("name", SITES)
def test_a_site_of_any_version_holds_what_it_held(name: str, tmp_path: Path) -> None:
    kept = json.loads(HELD.read_text()) if HELD.exists() else {}
    now = opened(SITES[name], tmp_path / "site.db")
    if "ANEW" in os.environ and name not in kept:
        HELD.write_text(json.dumps(kept | {name: now}, indent=1) + "\n")
        kept[name] = now
    assert kept[name] == now


def test_every_step_but_the_newest_has_a_site() -> None:
    assert [int(name) for name in SITES] == [number for number, _ in steps()][:-1]


@pytest.mark.parametrize("name", SITES)
def test_the_people_of_a_site_of_any_version_get_in_and_nobody_else(name: str, tmp_path: Path) -> None:
    opened(SITES[name], tmp_path / "site.db")
    with closing(connect(tmp_path / "site.db")) as conn:
        every = access.list_members(conn)
        known = every[0]
    motor = {"act_id": "before-any-sign-in", **MOTOR}
    with browser(tmp_path / "site.db", "127.0.0.1") as client:
        client.cookies.set("norvash_person", known.id)
        assert client.post("/motors", data=motor).status_code == 401
        code = client.app.state.first_code  # type: ignore[attr-defined]
        lead = {"name": known.name, "password": "three words here", "code": code, "act_id": "first-lead-here"}
        assert client.post("/who/first", data=lead).status_code == 200
        assert client.post("/motors", data={**motor, "act_id": "once-signed-in"}).status_code in (200, 409, 422)
    with closing(connect(tmp_path / "site.db")) as conn:
        now = access.list_members(conn)
        assert [(m.id, m.role) for m in now] == [(m.id, "lead" if m.id == known.id else m.role) for m in every]
