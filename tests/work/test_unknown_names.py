"""Rows that another version wrote: no finding becomes milder, each ends only by what proves it, nothing is lost."""

import sqlite3
from collections.abc import Mapping
from contextlib import closing
from pathlib import Path

import pytest

from bench_sheet import Bench
from conftest import Shop
from norvash.core import kept_names as changed
from norvash.core.kept_names import Kind
from norvash.core.stages.gates import SAFE, usual_method
from norvash.errors import InputError
from norvash.store.file import ready, renaming
from norvash.store.file.database import connect
from norvash.store.file.ready import migrate
from norvash.work.motors.changing_figures import change_figures
from norvash.work.reading.loading import load
from pages import opened

LATER = {
    "life": "update life set finding = 'later.' || finding",
    "finding": "update finding set seen = 'later.' || seen",
    "field": "update entry set field = 'later-' || field where field not like 'step.%'",
    "answer": "update entry set word = 'later' where field like 'seen.%' or field like 'sign.%' or field = 'sparks'",
    "figure": "update motor_figure set name = 'later_' || name where name = 'bars'",
    "figure's word": "update motor_figure set value_text = 'later' where name = 'construction'",
    "rule": "update rule_override set rule_id = 'later.' || rule_id",
}
GRADES = [None, "fit", "watch", "plan", "change", "stop"]
# What is found, at which part: by sight, by a figure, on a brush.
GRAVE = ("windings.burnt", "drive.worn", "earth.open", "face.burnt")


def safe(shop: Shop, **figures: str) -> Bench:
    motor = shop.motor(figures={"construction": "series", "rated_v": "230", **figures})
    return begun(shop, motor)


def begun(shop: Shop, motor: str) -> Bench:
    bench = Bench(shop, motor)
    context = load(shop.conn, motor)
    for step in SAFE.steps(context.facts, context.rules):
        bench.put(SAFE.step(step.id).id, "yes")
    bench.put("safe.method", usual_method(context.facts))
    return bench


def visited(shop: Shop, *, signed: bool) -> Bench:
    """Return a visit with something grave at many parts."""
    bench = safe(shop, bars="20", commutator_d_mm="60")
    bench.measure("20", "19.5")
    bench.see(1, "face.burnt")
    bench.put("seen.windings.burnt", "yes")
    bench.put("seen.drive.worn", "yes")
    bench.put("earth-ohm", "3")
    if signed:
        bench.put("outcome", "out")
        bench.sign("left as it is")
    return bench


def carrying(shop: Shop, finding: str) -> Bench:
    """Return a visit to a motor that brings something from another version, seen and left at the visit before."""
    first = safe(shop)
    first.measure("20", "19.5")
    first.put(f"seen.{finding}", "yes")
    first.put("outcome", "out")
    first.sign("left")
    rewritten(shop, LATER["life"])
    return begun(shop, first.motor)


def rewritten(shop: Shop, statement: str) -> None:
    shop.conn.execute(statement)
    shop.conn.execute("update standing set version = version + 1")


@pytest.mark.parametrize("signed", [True, False], ids=["signed", "open"])
@pytest.mark.parametrize("statement", LATER.values(), ids=LATER)
def test_no_part_becomes_milder_by_a_name_that_only_another_version_knows(
    shop: Shop, statement: str, signed: bool, db: Path
) -> None:
    bench = visited(shop, signed=signed)
    before = shop.page(bench.motor).found
    assert {c.id: c.grade for c in before.components if c.grade} == {
        "brushes": "plan",
        "windings": "stop",
        "drive": "plan",
    }
    rewritten(shop, statement)
    after = {c.id: c for c in shop.page(bench.motor).found.components}
    milder = [
        c.id
        for c in before.components
        if GRADES.index(c.grade) > GRADES.index(after[c.id].grade if c.id in after else None)
    ]
    assert milder == []
    told = [x.finding for x in shop.page(bench.motor).found.lives]
    assert all(f.part.id != "elsewhere" for f in told)
    shop.conn.commit()
    with opened(db) as client:
        for page in (
            f"/motors/{bench.motor}",
            f"/sheets/{bench.id}/decide",
            f"/sheets/{bench.id}/sign",
            "/",
            "/rulebook",
        ):
            assert client.get(page).status_code == 200, page


def test_what_was_typed_in_a_field_of_another_version_stays_readable(shop: Shop, db: Path) -> None:
    bench = visited(shop, signed=True)
    rewritten(shop, LATER["field"])
    with opened(db) as client:
        page = client.get(f"/sheets/{bench.id}/sign").text
    assert "No longer judged" in page
    assert "later-earth-ohm, kept by a version that knew more" in page


def test_a_change_nobody_knows_ends_by_a_drop_after_a_whole_look(shop: Shop) -> None:
    at, bench = (0, "later.drive.worn"), carrying(shop, "drive.worn")
    assert bench.states[at] == "open"
    with pytest.raises(InputError, match="not proven by a look at it alone"):
        bench.put("gone.later.drive.worn", "yes")
    with pytest.raises(InputError, match="before somebody has looked at all of it"):
        bench.put("decide.later.drive.worn", "dropped", why="it is a new type")
    with pytest.raises(InputError, match="not known"):
        bench.put("decide.nothing.kept", "now")
    bench.put("sound.drive", "yes")
    assert bench.states[at] == "open"
    bench.put("decide.later.drive.worn", "dropped", why="belt and pulley are new, seen by Ines")
    assert bench.states[at] == "dropped"
    bench.put("sound.drive", "")
    assert bench.states[at] == "open"


def test_a_stop_nobody_knows_ends_with_its_part_renewed_and_looked_at(shop: Shop) -> None:
    at, bench = (0, "later.windings.burnt"), carrying(shop, "windings.burnt")
    bench.put("sound.windings", "yes")
    with pytest.raises(InputError, match="takes it out of service"):
        bench.put("decide.later.windings.burnt", "dropped", why="not needed")
    assert bench.states[at] == "open"
    bench.put("task.armature", "yes")
    assert bench.states[at] == "open"  # the field is still what it was
    bench.put("task.coil", "yes")
    assert bench.states[at] == "proven"
    bench.put("sound.windings", "")
    assert bench.states[at] == "done not proven"


def test_what_was_seen_on_a_brush_goes_with_it(shop: Shop) -> None:
    bench = visited(shop, signed=True)
    rewritten(shop, LATER["finding"])
    rewritten(shop, LATER["life"])
    again = begun(shop, bench.motor)
    at = (1, "later.face.burnt")
    assert again.states[at] == "open"
    again.fit("22", "22")
    assert again.states[at] == "proven"


def test_a_figure_of_another_version_stays_when_others_change(shop: Shop) -> None:
    motor = shop.motor(figures={"bars": "20"})
    shop.conn.execute("insert into motor_figure values (?, 'flux_mwb', 4.5, null)", (motor,))
    shop.conn.execute("update motor_figure set value_text = 'homopolar' where name = 'construction'")
    rewritten(shop, "insert or replace into motor_figure select id, 'construction', null, 'homopolar' from motor")
    change_figures(shop.conn, shop.act(), motor, {"bars": "22"}, 1)
    kept = {
        r["name"]: r["value_real"] or r["value_text"]
        for r in shop.conn.execute("select * from motor_figure where motor_id = ?", (motor,))
    }
    assert kept == {"bars": 22, "flux_mwb": 4.5, "construction": "homopolar"}
    assert load(shop.conn, motor).figures.unread == {"flux_mwb", "construction"}


def test_a_renamed_name_is_renamed_in_the_file(shop: Shop, monkeypatch: pytest.MonkeyPatch) -> None:
    bench = visited(shop, signed=True)
    before = shop.page(bench.motor).found
    for table, column, was, now in (
        ("life", "finding", "windings.burnt", "windings.charred"),
        ("entry", "field", "seen.windings.burnt", "seen.windings.charred"),
        ("finding", "seen", "face.burnt", "face.charred"),
        ("motor_figure", "name", "bars", "segments"),
        ("motor_figure", "value_text", "series", "in-series"),
    ):
        rewritten(shop, f"update {table} set {column} = '{now}' where {column} = '{was}'")
    names: dict[Kind, Mapping[str, str]] = {
        "finding": {"windings.charred": "windings.burnt", "face.charred": "face.burnt"},
        "figure": {"segments": "bars"},
        "word": {"construction=in-series": "construction=series"},
    }
    for module in (changed, ready, renaming):
        monkeypatch.setattr(module, "RENAMED", names)
    migrate(shop.conn)
    rewritten(shop, "update site set name = name")
    after = shop.page(bench.motor).found
    assert [x.at for x in after.lives] == [x.at for x in before.lives]
    assert [c.grade for c in after.components] == [c.grade for c in before.components]
    assert load(shop.conn, bench.motor).figures.unread == frozenset()


def test_an_earlier_record_with_a_finding_nobody_knows_keeps_it(tmp_path: Path) -> None:
    """Step 6 works with the grades of its day; what it did not know is something to change."""
    kept = Path(__file__).parent.parent / "data/record_of_schema_5.sql"
    with closing(sqlite3.connect(tmp_path / "earlier.db")) as old:
        old.executescript(kept.read_text().replace("'lead.taut'", "'later.taut'"))
    conn = connect(tmp_path / "earlier.db")
    migrate(conn)
    found = {
        (r["finding"], r["grade"]) for r in conn.execute("select finding, grade from life where ended_act_id is null")
    }
    assert ("later.taut", "change") in found
    conn.close()
