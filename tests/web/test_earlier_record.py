"""A database that an earlier Norvash wrote, kept as SQL text: every page shows it, and what waited is the same."""

import json
import sqlite3
from collections.abc import Iterator
from datetime import date, datetime
from html import unescape
from pathlib import Path

import pytest
from starlette.testclient import TestClient

from norvash.core.judging.rests_on import by_figure, found_by
from norvash.core.stages.catalogue import STAGES
from norvash.core.stages.commutator.bar_map import BAR_MAP
from norvash.core.stages.commutator.cut import CUT_DONE
from norvash.core.stages.commutator.run_out import RUN_OUT
from norvash.core.stages.decide import decision
from norvash.errors import Conflict
from norvash.store.file.database import Connection, connect
from norvash.store.file.ready import prepare
from norvash.store.record import entries
from norvash.store.record.records import kept
from norvash.work.act.acting import Act
from norvash.work.on_sheet.measuring import note
from norvash.work.on_sheet.sheets import enter
from norvash.work.pages.motor import motor_page
from norvash.work.reading.loading import load
from norvash.work.reading.sheet_now import sheet_now
from pages import opened

KEPT = Path(__file__).parent.parent / "data/record_of_schema_5.sql"
MOTOR, SIGNED, OPEN = "test-act-00001", "test-act-00002", "test-act-00245"
AT = datetime(2026, 6, 21, 10)


@pytest.fixture(scope="module")
def record(tmp_path_factory: pytest.TempPathFactory) -> Path:
    path = tmp_path_factory.mktemp("earlier") / "earlier.db"
    conn = sqlite3.connect(path)
    conn.executescript(KEPT.read_text())
    conn.close()
    prepare(path)
    return path


@pytest.fixture
def conn(record: Path) -> Iterator[Connection]:
    conn = connect(record)
    yield conn
    conn.close()


@pytest.fixture(scope="module")
def client(record: Path) -> Iterator[TestClient]:
    with opened(record) as made:
        yield made


PAGES = (
    "/",
    "/motors",
    f"/motors/{MOTOR}",
    *(f"/motors/{MOTOR}/{page}" for page in ("figures", "hours", "new-set", "sheet")),
    *(f"/sheets/{sheet}/{s.id}?position=1" for sheet in (SIGNED, OPEN) for s in STAGES),
    f"/sheets/{SIGNED}/cut",
    "/outlook",
    "/outlook/past",
    f"/policies/motor/{MOTOR}",
    f"/api/v1/motors/{MOTOR}",
    f"/api/v1/sheets/{SIGNED}",
    f"/api/v1/sheets/{OPEN}",
)


@pytest.mark.parametrize("page", PAGES)
def test_every_page_shows_an_earlier_record(client: TestClient, page: str) -> None:
    assert client.get(page).status_code == 200


def test_what_was_signed_stands_as_it_was(client: TestClient) -> None:
    signed = unescape(client.get(f"/sheets/{SIGNED}/sign").text)
    for words in (
        "1.750 mm radial, 57.00 to 56.50 mm in diameter; the brush sinks by 0.250 mm",
        "put off, Bram, 2026-06-10",
        "not needed after all, it was dust",
        "volts, Ines, rope, 30",
        "tied up, Bram, 2026-06-10",
        "signed with everything open",
        "and something more",
    ):
        assert words in signed, words
    call = unescape(client.get(f"/sheets/{OPEN}/call-in").text)
    assert "Still open from before" in call
    assert "temporary repair: tied up" in call
    copper = unescape(client.get(f"/sheets/{OPEN}/commutator").text)
    assert "burnt 3, 26" in copper
    assert "45 readings" in unescape(client.get(f"/sheets/{OPEN}/sign").text)


def test_what_was_put_off_or_left_open_is_a_life_with_its_sheet_its_person_and_its_day(conn: Connection) -> None:
    old = sqlite3.connect(":memory:")
    old.executescript(KEPT.read_text())
    before = {
        (place, finding): (sheet, who, day)
        for place, finding, sheet, who, day in old.execute(
            "select position_number, finding, sheet_id, who, due_on from deferred where finding <> ''"
        )
    }
    old.close()
    page = motor_page(conn, MOTOR, date(2026, 6, 21))
    lives = {x.at: x for x in page.found.lives if x.kept is not None and x.kept.sheet_id == SIGNED}
    assert set(lives) - {(1, "repair.temporary")} == set(before)
    for at, (sheet, who, day) in before.items():
        life = lives[at]
        assert life.kept is not None
        put_off = who and life.finding.grade != "stop"  # what an old sheet put off although it stops is open again
        assert (life.kept.sheet_id, life.state) == (sheet, "put off" if put_off else "open"), at
        assert (life.put_off.day.isoformat() if life.put_off else None, who) == (
            day,
            life.put_off.who if life.put_off else "",
        )
        # What it was judged on was not kept then, and that is said of what a figure found.
        assert found_by(life.kept) == ("its ground was not kept then" if by_figure(life.finding) else "")
    # “Done” as it was then signed has no new duty; everything that was entered before is as found, or work as left.
    assert (2, "brush.sticky") not in lives
    assert conn.execute("pragma foreign_key_check").fetchall() == []
    assert {r["sight"] for r in conn.execute("select sight from entry where field = 'force'")} == {"found"}


def test_records_are_read_as_values_and_written_as_they_were(conn: Connection) -> None:
    before = sheet_now(conn, SIGNED, date(2026, 6, 21)).sheet
    cut, put_off = CUT_DONE.given(before), decision("lead.taut").given(before, 1)
    assert cut is not None
    assert cut.cut is not None
    assert put_off is not None
    assert put_off.put_off is not None
    assert (cut.cut.after_diameter_mm, cut.cut.sunk_radial_mm, put_off.put_off.who) == (56.5, 0.25, "Bram")
    now = sheet_now(conn, OPEN, date(2026, 6, 21)).sheet
    assert (sorted(BAR_MAP.of(now))[:2], len(RUN_OUT.of(now)), RUN_OUT.of(now)[1]) == ([3, 26], 45, None)
    rows = conn.execute("select id, sheet_id, field, place, more_json from entry where replaced_by is null").fetchall()
    written = {sheet: entries.list_entries(conn, sheet) for sheet in (SIGNED, OPEN)}
    for row in rows:
        given = next(
            written[row["sheet_id"]][row["field"], row["place"], s]
            for s in ("found", "left")
            if (row["field"], row["place"], s) in written[row["sheet_id"]]
        )
        assert json.loads(row["more_json"]) == kept(given.record), row["field"]


def test_an_act_that_waited_in_a_browser_over_the_change_is_the_same_act(conn: Connection) -> None:
    def count() -> list[int]:
        return [conn.execute(f"select count(*) from {t}").fetchone()[0] for t in ("act", "entry", "finding")]

    stood, was = load(conn, MOTOR).stamp, count()
    waited = Act("test-act-00252", "person-of-test", AT)
    again = enter(conn, waited, OPEN, field_id="complaint", place=0, text="loud again")
    permit = {"who": "Ines", "barriers": "rope", "minutes": "30"}
    opened_at = Act("test-act-00006", "person-of-test", AT)
    assert again == "test-act-00252"
    assert enter(conn, opened_at, SIGNED, field_id="permit.open", place=1, text="volts", more=permit) == opened_at.id
    seen = conn.execute("select id, position_number, seen from finding order by id limit 1").fetchone()
    note(conn, Act(seen["id"], "person-of-test", AT), SIGNED, seen["position_number"], seen["seen"])
    assert (load(conn, MOTOR).stamp, count()) == (stood, was)
    with pytest.raises(Conflict):
        enter(conn, waited, OPEN, field_id="complaint", place=0, text="something else")
