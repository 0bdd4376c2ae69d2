"""The playhouse: every class, every wanted state, the same every time, kept at a second start."""

import contextlib
import json
from collections.abc import Iterator
from contextlib import closing
from importlib.resources import files
from pathlib import Path

import pytest

from judged import judgements
from norvash.core.forecast.simulation import read_with, simulate_set
from norvash.core.motor.figure_fields import MEASURED_BY
from norvash.core.stages.sign import ADDITION
from norvash.demo.fleet import DEMO_DAY, MACHINES
from norvash.demo.machine import KINDS
from norvash.demo.playhouse import fill, play
from norvash.demo.shipped import PACKED, prepare, unpack
from norvash.errors import NorvashError
from norvash.store.file.database import Connection, connect
from norvash.store.file.ready import migrate
from norvash.store.record import standings
from norvash.work.pages.bench import bench
from norvash.work.pages.hours_book import latest_entries
from norvash.work.pages.motor import MotorPage, motor_page
from norvash.work.reading.sheet_now import sheet_now
from whole import assert_no_word_moved


@pytest.fixture(scope="module")
def house(playhouse: Path) -> Iterator[Connection]:
    conn = connect(playhouse)
    yield conn
    conn.close()


def machine(conn: Connection, tag: str) -> str:
    return next(x.motor_id for x in standings.find_motors(conn, tag, "", 9, 0) if x.tag == tag)


def shown(conn: Connection, tag: str) -> MotorPage:
    return motor_page(conn, machine(conn, tag), DEMO_DAY)


STATES = {
    "W-02": ("change", ""),
    "W-01": ("plan", ""),
    "R-01": ("stop", ""),
    "P-01": ("plan", ""),
    "G-01": ("stop", ""),
    "S-05": ("watch", ""),
    "TG-01": ("plan", ""),
    "L-01": ("fit", "uneven"),
    "L-02": ("plan", ""),
    "T-13": ("fit", "limit estimated"),
    "T-15": ("plan", "incomplete"),
    "G-02": ("watch", "doubtful"),
    "H-02": ("fit", "not enough wear yet"),
    "A-03": ("watch", ""),
    "T-11": ("change", ""),
    "T-16": ("fit", ""),
    "A-10": ("stop", "windings and magnets"),
    "S-07": ("change", "temporary repairs"),
}


@pytest.mark.long
@pytest.mark.parametrize(("tag", "state"), STATES.items())
def test_each_story_is_told(house: Connection, tag: str, state: tuple[str, str]) -> None:
    page = shown(house, tag)
    assert page.found.grade == state[0]
    assert not state[1] or state[1] in page.said.flags


@pytest.mark.long
def test_the_house_has_every_class_and_four_years_of_work(house: Connection) -> None:
    assert len(MACHINES) >= 10
    assert {m.motor_class for m in MACHINES} == {"appliance", "tool", "starter", "industrial", "traction", "generator"}
    first, last = house.execute("select min(at), max(at) from act").fetchone()
    assert (first[:4], last[:10]) == ("2022", "2026-11-24")
    assert house.execute("select count(*) from act where at > '2026-11-25'").fetchone()[0] == 0
    assert house.execute("pragma integrity_check").fetchone()[0] == "ok"
    assert house.execute("pragma foreign_key_check").fetchall() == []
    assert sum(len(shown(house, m.tag).context.state.sets) > 1 for m in MACHINES) >= 8


@pytest.mark.long
def test_special_records(house: Connection) -> None:
    tug = shown(house, "TG-01").context.state
    assert tug.offset_units < 0
    assert any(r.event == "replaced" for r in latest_entries(house, machine(house, "TG-01"))) or len(tug.entries) > 40
    assert MEASURED_BY.of(shown(house, "H-01").context.figures) == "depth"
    half = shown(house, "T-15").open_sheet
    assert half is not None
    assert sheet_now(house, half.id, DEMO_DAY).cause is not None
    unopened = shown(house, "A-09").sheets[0]
    assert (unopened.signed["word"], unopened.signed["open"]) == ("Not opened", [])
    assert "switch" in str(unopened.signed["sentence"])
    freed = shown(house, "S-07")
    standing = sorted((x.finding.id, x.state) for x in freed.standing)
    assert standing == [("repair.temporary", "put off"), ("terminal.poor", "put off")]
    assert freed.found.grade == "change", "what was repaired for a while is past its day"
    assert (freed.sheets[0].signed["open"], freed.sheets[0].signed["signed_as"]) == ([], "not clean")
    proven = shown(house, "T-16").sheets[0].signed
    assert (proven["open"], proven["signed_as"]) == ([], "certificate")
    assert str(proven["sentence"]).startswith(
        "Brush worn to its limit; set renewed; springs renewed as a set; runs as it"
    )
    told = {f["finding"]: f["state"] for f in proven["told"]["findings"]}  # type: ignore[index]
    assert told == dict.fromkeys(("set.worn", "face.burnt", "spring.far-off"), "proven")
    earth = shown(house, "A-10")
    assert [(x.finding.id, x.state) for x in earth.found.lives if x.stands] == [
        ("complaint.shock", "open"),
        ("earth.open", "done not proven"),
    ]
    mill = shown(house, "A-11")
    assert ADDITION.of(sheet_now(house, mill.sheets[0].id, DEMO_DAY).sheet, 1).startswith("ran a full evening")
    assert mill.context.rules.choice("school.old-or-new").key == "keep"
    spoken = {
        tag: {c.finding.id for c in shown(house, tag).found.conditions} for tag in ("W-01", "R-01", "P-01", "G-01")
    }
    assert "commutator.pitch" in spoken["W-01"]
    assert "bartest.open" in spoken["R-01"]
    assert spoken["P-01"] & {"slot.shallow", "gap.cut", "face.cut"} == {"slot.shallow"}
    assert "copper.under" in spoken["G-01"]
    assert shown(house, "P-01").found.limit.remark.endswith("until the holders are set")
    assert {r.word for page in (1, 2) for r in bench(house, DEMO_DAY, page).rows} >= {
        "Out of service",
        "Change now",
        "Plan the change",
        "Watch",
    }


def test_motors_that_came_late_stand_as_far_as_they_are_known(house: Connection) -> None:
    pump, winch, fan, trap, sander = (shown(house, tag) for tag in ("A-21", "W-03", "A-22", "H-03", "T-22"))
    assert [s.number for s in pump.context.sets] == [0, -1, 1]
    assert pump.context.ahead is not None
    assert (pump.context.ahead.visits, pump.context.ahead.past_sets) == (3, 2)
    assert winch.context.sets[0].span_on is not None
    assert (fan.context.unit, "about" in fan.said.why) == ("years", True)
    assert "years" in fan.said.figures[0].value
    assert (trap.found.limit.gauge_mm, trap.found.look.name if trap.found.look else "") == (38, "maker's table")
    assert (sander.found.unknown, sander.found.days.early_on, sander.found.ahead) == (True, None, None)
    for late in (pump, winch, fan, trap):
        assert late.found.days.early_on is not None
        assert all(r.noted for r in late.context.sets[-1].rounds)


def plain(value: object) -> object:
    """Return a value without the last digits of its figures: they are another processor's."""
    if isinstance(value, str) and value[:1] in "[{":
        with contextlib.suppress(json.JSONDecodeError):
            return plain(json.loads(value))
    if isinstance(value, dict):
        return {k: plain(v) for k, v in value.items()}
    if isinstance(value, list):
        return [plain(v) for v in value]
    return f"{value:.9g}" if isinstance(value, float) else value


def told(conn: Connection) -> dict[str, list[str]]:
    """Return everything that a database holds, table by table."""
    tables = conn.execute("select name from sqlite_schema where type = 'table' and name not like 'sqlite%'").fetchall()
    return {
        n: sorted(repr([plain(v) for v in tuple(row)]) for row in conn.execute(f'select * from "{n}"'))
        for (n,) in tables
    }


@pytest.mark.long
def test_played_anew_it_is_what_ships(tmp_path: Path) -> None:
    """Where this fails, `make demo-data` plays it anew: what is judged otherwise now is seen in the pictures."""
    play(tmp_path / "played.db")
    unpack(tmp_path / "shipped.db")
    with closing(connect(tmp_path / "played.db")) as played, closing(connect(tmp_path / "shipped.db")) as shipped:
        migrate(shipped)
        anew, ships = told(played), told(shipped)
    assert {n: set(rows) ^ set(ships[n]) for n, rows in anew.items() if rows != ships[n]} == {}
    assert anew.keys() == ships.keys()
    assert len((files("norvash.demo") / PACKED).read_bytes()) < 2_000_000


def test_a_second_start_keeps_what_was_entered(tmp_path: Path) -> None:
    path = tmp_path / "var" / "demo.db"
    assert "33 motors" in prepare(path, reset=False)
    conn = connect(path)
    first = conn.execute("select name from motor order by id").fetchone()[0]
    conn.execute("update motor set name = 'Renamed'")
    conn.close()
    assert "kept" in prepare(path, reset=False)
    assert connect(path).execute("select name from motor").fetchone()[0] == "Renamed"
    prepare(path, reset=True)
    assert connect(path).execute("select name from motor order by id").fetchone()[0] == first
    other = connect(tmp_path / "own.db")
    fill(other, ())
    other.execute("update site set demo_day = null")
    other.close()
    with pytest.raises(NorvashError, match="no demo data"):
        prepare(tmp_path / "own.db", reset=False)


def test_the_simulator_wears_and_repeats() -> None:
    from random import Random

    worn, again = (simulate_set(Random(5), 4, 32, usable_mm=18, life_units=2500) for _ in range(2))
    assert worn == again
    lengths = [worn.length_mm(0, h) for h in range(0, 2501, 100)]
    assert lengths == sorted(lengths, reverse=True)
    assert 11 < min(worn.length_mm(i, 2500) for i in range(4)) < 18
    random = Random(1)
    read = [read_with(random, 20.0, 0.05, 0.05) for _ in range(400)]
    assert abs(sum(read) / 400 - 20) < 0.02
    assert all(abs(x / 0.05 - round(x / 0.05)) < 1e-6 for x in read)
    assert len(KINDS) == 2


def test_no_judgement_of_its_newest_sheets_moves(house: Connection) -> None:
    newest = house.execute(
        "select id from sheet s where number > (select max(number) from sheet where motor_id = s.motor_id) - 2"
        " order by motor_id, number"
    )
    judged = [line for (sheet,) in newest.fetchall() for line in judgements(house, sheet, DEMO_DAY)]
    assert_no_word_moved("judged.txt", "\n".join(judged) + "\n")
