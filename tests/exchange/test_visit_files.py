"""Visits as files: whole jobs played, what is exported and played again, what is refused whole."""

import json
import shutil
from collections.abc import Iterator
from contextlib import closing
from datetime import date, datetime
from html import unescape
from pathlib import Path
from typing import Any

import pytest

from conftest import Shop
from judged import judgements
from norvash.errors import InputError
from norvash.exchange.json_text import read_json
from norvash.exchange.visit_export import export_text
from norvash.exchange.visit_play import act_ids, play_file, words_of
from norvash.exchange.visit_read import MOST_ENTRIES, read_visit
from norvash.store.file.database import Connection, connect
from norvash.store.record import people
from norvash.store.record.motors import find_tagged
from norvash.store.record.people import last_act_at, list_acts
from norvash.work.motors.stating import SinceTyped
from norvash.work.reading.loading import load
from norvash.work.told.sheet import sheet_told
from pages import opened
from test_house import run
from told_jobs import TOLD
from whens import broken_whens
from whole import assert_no_word_moved

JOBS = Path(__file__).parent.parent / "jobs"


@pytest.mark.parametrize("name", TOLD)
def test_a_whole_job_is_played_and_says_what_it_must(tmp_path: Path, name: str) -> None:
    played = play_file(JOBS / f"{name}.json", tmp_path / "job.db", "Ines Torvald", go_on=True)
    told = "\n".join(words_of(played))
    signed_as, *answers = TOLD[name]
    assert (played.told[-1]["signed_as"], [x for x in answers if x not in told]) == (signed_as, [])
    day = date(2026, 9, 4)
    with closing(connect(tmp_path / "job.db")) as conn:
        judged = [x for sheet in dict.fromkeys(played.sheets) for x in judgements(conn, sheet, day)]
        assert [x for (m,) in conn.execute("select id from motor") for x in broken_whens(conn, m, day)] == []
    assert_no_word_moved(f"jobs/{name}.txt", "\n".join((*compact(told), "== Judged", *judged)) + "\n")
    again = play_file(JOBS / f"{name}.json", tmp_path / "job.db", "Ines Torvald", go_on=True)
    assert (again.new, again.refused) == (0, [])


def compact(told: str) -> Iterator[str]:
    """Yield what was told, of each stage only what the one before it did not say."""
    before: list[str] = []
    for block in told.split("\n\n"):
        lines = block.split("\n")
        yield from (x for x in lines if x not in before or x.startswith("=="))
        before = lines


def test_every_job_stands_beside_what_is_expected_of_it() -> None:
    assert sorted(p.stem for p in JOBS.glob("*.json")) == sorted(TOLD)
    classes = {json.loads((JOBS / f"{n}.json").read_text())["motor"]["class"] for n in TOLD}
    assert classes == {"appliance", "tool", "starter", "industrial", "traction", "generator"}


def test_a_sheet_that_was_opened_twice_is_exported(shop: Shop) -> None:
    motor = shop.motor()
    sheet = shop.look(motor)
    assert shop.later(minutes=1).look(motor, "101") == sheet
    shop.sign(sheet)
    told = json.loads(export_text(shop.conn, sheet))
    assert [e["do"] for e in told["entries"]].count("open") == 1


HALVES = {
    "a value": (r'{"value": "a\ud800b", "name": "n"}', "at “value”", "U+D800"),
    "a name": (r'{"with": {"\udfff": "x"}}', "a text at “with”", "U+DFFF"),
    "deep inside": (r'{"a": [1, {"b": ["ok", "\uDC00"]}]}', "at “a[1].b[1]”", "U+DC00"),
    "all of it": (r'"\ud83d"', "Character 1 of a text is", "U+D83D"),
}


@pytest.mark.parametrize(("text", "place", "which"), HALVES.values(), ids=HALVES)
def test_half_a_character_is_refused_by_name(text: str, place: str, which: str) -> None:
    with pytest.raises(InputError, match="is half of one") as refused:
        read_json(text, "Mend it.")
    assert (place in refused.value.problem, which in refused.value.problem) == (True, True)
    assert read_json(r'{"value": "\ud83d\ude00 \\ud800"}', "Mend it.") == {"value": "\U0001f600 \\ud800"}


@pytest.mark.long
def test_a_sheet_that_is_exported_and_played_is_exported_alike(playhouse: Path, tmp_path: Path) -> None:
    house = tmp_path / "house.db"
    shutil.copy(playhouse, house)
    conn = connect(house)
    for sheet in conn.execute("select id from sheet where kind = 'full' order by id").fetchall():
        text = export_text(conn, sheet["id"])
        file, db = tmp_path / f"{sheet['id']}.json", tmp_path / f"{sheet['id']}.db"
        file.write_text(text)
        played = play_file(file, db, "Ines Torvald")
        other = connect(db)
        again, before = json.loads(export_text(other, played.sheets[-1])), json.loads(text)
        read = [[(m["id"], m["spot"], m["sight"], m["said"]) for m in x.pop("measured", ())] for x in (again, before)]
        assert (again, read[0]) == (before, read[1])
        was, now = (lives(c, s) for c, s in ((conn, sheet["id"]), (other, played.sheets[-1])))
        assert {k: v for k, v in now.items() if k in was} == {k: v for k, v in was.items() if k in now}
    conn.close()


def test_a_set_that_has_run_before_the_record_is_exported_with_what_it_ran(shop: Shop, tmp_path: Path) -> None:
    motor = shop.motor(set_is_new=False, since=SinceTyped(day="2025-03-03", ran="400"))
    shop.later(days=9).log(motor, "140")
    sheet = shop.later(days=3).measure(motor, "150", "18", "18.2")
    text = export_text(shop.conn, sheet)
    file, db = tmp_path / "run.json", tmp_path / "run.db"
    file.write_text(text)
    played = play_file(file, db, "Ines Torvald")
    other = connect(db)
    assert json.loads(export_text(other, played.sheets[-1])) == json.loads(text)
    again = load(other, str(other.execute("select id from motor").fetchone()[0]))
    made = again.sets[0]
    assert (made.fitted_known, made.rounds[-1].total_units - made.fitted_units) == (True, 450)


def lives(conn: Connection, sheet_id: str) -> dict[tuple[int, str], str]:
    """Return what became of the findings of a sheet."""
    found: Any = sheet_told(conn, sheet_id, people.fetch_site(conn).made_at.date())["visit"]
    return {(f["position"], f["finding"]): f["state"] for f in found["findings"]} if found else {}


def test_what_is_played_is_marked_and_keeps_its_people(tmp_path: Path) -> None:
    db = tmp_path / "job.db"
    played = play_file(JOBS / "put-off-found-again.json", db, "Ines Torvald")
    conn = connect(db)
    assert {p.name for p in people.list_people(conn)} == {"Bram Aldous", "Ines Torvald", "Maud Celliers"}
    told: Any = sheet_told(conn, played.sheets[-1], people.fetch_site(conn).made_at.date())
    assert {e["person"] for e in told["entries"]} == {"Bram Aldous"}
    assert all(e["from_file"] for e in (*told["entries"], *told["readings"]))
    acts = people.list_acts(conn, told["motor"], 500)
    assert {(a.person, a.played_by) for a in acts} == {
        ("Bram Aldous", "Ines Torvald"),
        ("Maud Celliers", "Ines Torvald"),
    }
    context = load(conn, told["motor"])
    assert all(g.from_file for g in context.written.values())


def test_a_refusal_stops_with_its_place_and_the_same_file_again_changes_nothing(tmp_path: Path) -> None:
    db, file = tmp_path / "job.db", JOBS / "double-insulated.json"
    first = run("sheet", "play", str(file), "--db", str(db), "--by", "Ines Torvald")
    assert first.returncode == 3
    assert "refused: entry 15, prove, earth-ohm [value]: It has no protective earth by design" in first.stdout
    assert "15 played, 0 there already, 1 refused." in first.stdout
    size = len(connect(db).execute("select id from act").fetchall())
    assert run("sheet", "play", str(file), "--db", str(db), "--by", "Ines Torvald").returncode == 3
    assert len(connect(db).execute("select id from act").fetchall()) == size
    on = run("sheet", "play", str(file), "--db", str(db), "--by", "Ines Torvald", "--go-on", "--json")
    told = json.loads(on.stdout)
    assert (on.returncode, told["there"], [r["entry"] for r in told["refused"]]) == (0, 15, [15])
    assert told["told"][-1]["signed_as"] == "certificate"
    exported = run("sheet", "export", told["sheets"][0], "--db", str(db))
    assert len(read_visit(exported.stdout.encode()).entries) == told["there"] + told["new"]


def test_a_longer_file_goes_on_where_the_shorter_one_ended(tmp_path: Path) -> None:
    whole = json.loads((JOBS / "dead-spring.json").read_text())
    db, file = tmp_path / "job.db", tmp_path / "job.json"
    for upto, new in ((20, 20), (20, 0), (len(whole["entries"]), len(whole["entries"]) - 20)):
        file.write_text(json.dumps(whole | {"entries": whole["entries"][:upto]}))
        assert play_file(file, db, "Ines Torvald").new == new
    other = json.loads((JOBS / "dead-spring.json").read_text())
    other["entries"][0]["counter"] = "101"
    file.write_text(json.dumps(other))
    with pytest.raises(InputError, match="goes on to 2025-11") as refused:
        play_file(file, db, "Ines Torvald")
    assert refused.value.field == "entries[1].at"


def changed(**changes: Any) -> bytes:
    visit = json.loads((JOBS / "quick-look.json").read_text())
    for where, value in changes.items():
        target: Any = visit
        *path, last = where.split("__")
        for step in path:
            target = target[int(step) if step.isdigit() else step]
        target[int(last) if last.isdigit() else last] = value
    return json.dumps(visit).encode()


# The first entry of the quick look, as every version has named it.
FIRST_ID = "file-631d10399f2cbc3feeba6e64ba03cb339d953dbd"
ONE = {"at": "2025-07-25T08:02:30", "by": "Maud Celliers"}
BAD: dict[str, tuple[bytes, str, str]] = {
    "cut off": ((JOBS / "quick-look.json").read_bytes()[:700], "not whole JSON", "line "),
    "not text": (b"\xff\xfe\x00", "not text in UTF-8", "file"),
    "not a visit": (b'{"format": "hours"}', "This is not a visit", "format"),
    "a list": (b"[]", "This is not a visit", "format"),
    "a newer schema": (changed(schema=2), "schema 2; this Norvash knows up to 1", "schema"),
    "no schema": (changed(schema="one"), "schema of the file is missing", "schema"),
    "an unknown key": (changed(entries__1__speed=3), "Extra inputs are not permitted", "entries[1].speed"),
    "an unknown kind": (changed(entries__1__do="dance"), "does not match any of the expected tags", "entries[1]"),
    "an unknown field": (
        changed(entries__2={**ONE, "field": "no-such", "value": "1"}),
        "no field “no-such”",
        "entries[2].field",
    ),
    "at another stage": (
        changed(entries__2={**ONE, "stage": "safe", "field": "gap", "place": 1, "value": "2"}),
        "not at “safe”",
        "entries[2].stage",
    ),
    "out of order": (changed(entries__2__at="2025-01-07T08:00:00"), "lies before the entry ahead", "entries[2].at"),
    "before the sheet": (
        changed(entries__1__do="whole", entries__1__counter="", entries__1__kind="", entries__1__safe=""),
        "Extra inputs",
        "entries[1]",
    ),
    "measured before the sheet": (
        changed(entries__1={**ONE, "do": "measure", "place": 1, "value": "18"}),
        "none is open here",
        "entries[1].do",
    ),
    "registered late": (changed(entries__2={**ONE, "do": "register"}), "registered first", "entries[2].do"),
    "a person not listed": (changed(entries__3__by="Nobody Known"), "is not listed under “people”", "entries[3].by"),
    "listed twice": (changed(people=["Maud Celliers", "Maud Celliers"]), "listed twice", "people"),
    "two who look alike": (
        changed(people=["Maud Celliers", "Bram Aldous", "Вram Aldous"]),
        "reads or looks like “Bram Aldous”",
        "people[2]",
    ),
    "a name twice in one object": (
        changed().replace(b'"schema": 1', b'"schema": 1, "schema": 1'),
        "“schema” stands twice",
        "schema",
    ),
    "a number of 5 000 digits": (changed().replace(b'"schema": 1', b'"schema": ' + b"1" * 5000), "too many digits", ""),
    "no number": (changed().replace(b'"schema": 1', b'"schema": NaN'), "“NaN” is not a number", ""),
    "registered in year 1": (changed(entries__0__at="0001-01-01T00:00:00"), "lies before 1900", "entries[0].at"),
    "a zone": (changed(entries__4__at="2025-07-25T09:00:00Z"), "without a zone", "entries[4].at"),
    "no time": (changed(entries__4__at="soon"), "valid datetime", "entries[4].at"),
    "no such figure": (changed(motor__figures={"colour": "red"}), "no such figure", "motor.figures.colour"),
    "a very long value": (
        changed(entries__2={**ONE, "field": "complaint", "value": "x" * 100_000}),
        "at most 20000 characters",
        "entries[2].value",
    ),
    "too many entries": (
        changed(entries=[{**ONE, "do": "measure", "place": 1, "value": "18"}] * 10_000),
        f"{MOST_ENTRIES} is the most",
        "entries",
    ),
}


@pytest.mark.parametrize(("data", "says", "place"), BAD.values(), ids=BAD)
def test_a_file_that_is_wrong_is_refused_whole_with_the_place(
    tmp_path: Path, data: bytes, says: str, place: str
) -> None:
    file, db = tmp_path / "bad.json", tmp_path / "bad.db"
    file.write_bytes(data)
    with pytest.raises(InputError) as refused:
        play_file(file, db, "Ines Torvald")
    assert says in refused.value.problem
    assert (refused.value.field or "").startswith(place)
    assert not db.exists()


def test_a_file_waits_for_nobody_elses_sheet_and_not_for_the_future(tmp_path: Path) -> None:
    db, file = tmp_path / "job.db", tmp_path / "job.json"
    visit = json.loads((JOBS / "quick-look.json").read_text())
    file.write_text(json.dumps(visit | {"entries": visit["entries"][:2]}))
    play_file(file, db, "Ines Torvald")
    later = [{**e, "at": e["at"].replace("2025-0", "2026-0")} for e in visit["entries"]]
    file.write_text(json.dumps(visit | {"entries": later}))
    played = play_file(file, db, "Ines Torvald")
    assert (played.stopped, played.refused[0].entry) == (True, 1)
    assert "Sheet 1 of this motor is open, Maud Celliers has begun it." in played.refused[0].problem
    file.write_text(
        json.dumps(visit | {"entries": [{**e, "at": e["at"].replace("2025", "2999")} for e in visit["entries"]]})
    )
    with pytest.raises(InputError, match="lies in the future"):
        play_file(file, tmp_path / "other.db", "Ines Torvald")
    file.write_text(json.dumps(visit | {"entries": visit["entries"][1:]}))
    with pytest.raises(InputError, match="does not register it"):
        play_file(file, tmp_path / "other.db", "Ines Torvald")


def test_names_that_read_alike_are_asked_about_before_anything_is_written(tmp_path: Path) -> None:
    db = tmp_path / "job.db"
    play_file(JOBS / "quick-look.json", db, "Ines Torvald")
    with pytest.raises(InputError, match="reads or looks like Ines Torvald") as refused:
        play_file(JOBS / "slip-of-the-pen.json", db, "ines  torvald")
    assert refused.value.field == "by"


def test_hours_sets_and_single_brushes_before_a_sheet_are_played_too(tmp_path: Path) -> None:
    visit = json.loads((JOBS / "quick-look.json").read_text())
    first, *rest = visit["entries"]
    one = {"by": "Bram Aldous"}
    before = [
        {**one, "at": "2025-02-01T08:00:00", "do": "use", "value": "150"},
        {
            **one,
            "at": "2025-02-03T08:00:00",
            "do": "fit",
            "reason": "planned",
            "counter": "160",
            "lengths": {"A": "22", "2": "nominal"},
        },
        {
            **one,
            "at": "2025-03-03T08:00:00",
            "do": "renew",
            "reason": "damaged",
            "counter": "200",
            "lengths": {"B": "21.9"},
        },
        {**one, "at": "2025-04-03T08:00:00", "do": "use", "value": "30", "mode": "increment"},
    ]
    file, db = tmp_path / "job.json", tmp_path / "job.db"
    file.write_text(json.dumps(visit | {"entries": [first, *before, *rest]}))
    played = play_file(file, db, "Ines Torvald")
    assert (played.refused, played.new) == ([], len(rest) + 5)
    conn = connect(db)
    context = load(conn, str(sheet_told(conn, played.sheets[0], people.fetch_site(conn).made_at.date())["motor"]))
    assert [e.total_units for e in context.entries] == [100, 150, 160, 200, 230, 420]
    assert [(s.number, s.fitted_units, [r.position for r in s.renewed]) for s in context.sets] == [
        (1, 100, []),
        (2, 160, [2]),
    ]


def test_an_endless_file_is_read_to_its_bound(tmp_path: Path) -> None:
    with pytest.raises(InputError, match="over 4000000 bytes"):
        play_file(Path("/dev/zero"), tmp_path / "none.db", "Ines Torvald")
    assert not (tmp_path / "none.db").exists()


def test_who_looks_like_somebody_says_so_in_the_file(tmp_path: Path) -> None:
    db, file = tmp_path / "job.db", tmp_path / "job.json"
    visit = json.loads((JOBS / "quick-look.json").read_text())
    file.write_text(json.dumps(visit))
    play_file(file, db, "Ines Torvald")
    like = visit["people"][0].replace("M", "М")
    assert like != visit["people"][0]
    again = {**visit, "motor": {**visit["motor"], "tag": "N-77"}, "people": [like, *visit["people"][1:]]}
    again["entries"] = [{**e, "by": like if e["by"] == visit["people"][0] else e["by"]} for e in visit["entries"]]
    file.write_text(json.dumps(again))
    with pytest.raises(InputError, match="reads or looks like") as asked:
        play_file(file, db, "Ines Torvald")
    assert asked.value.field == "people[0]"
    file.write_text(json.dumps({**again, "people": ["Somebody New", like, *visit["people"][1:]]}))
    with pytest.raises(InputError, match="reads or looks like"):
        play_file(file, db, "Ines Torvald")
    with closing(connect(db)) as conn:
        assert "Somebody New" not in {p.name for p in people.list_people(conn)}
    again["people"] = [like, *visit["people"][1:]]
    again["people"][0] = {"name": like, "answer": "another"}
    file.write_text(json.dumps(again))
    assert not play_file(file, db, "Ines Torvald").refused
    twin = {**visit, "motor": {**visit["motor"], "tag": visit["motor"]["tag"].replace("A", "А")}}
    assert twin["motor"] != visit["motor"]
    file.write_text(json.dumps(twin))
    assert "looks like" in play_file(file, db, "Ines Torvald").refused[0].problem
    twin["entries"] = [{**twin["entries"][0], "answer": "another"}, *twin["entries"][1:]]
    file.write_text(json.dumps(twin))
    assert not play_file(file, db, "Ines Torvald").refused


def test_the_ids_of_a_file_are_those_of_every_version(tmp_path: Path) -> None:
    visit = read_visit((JOBS / "quick-look.json").read_bytes())
    assert act_ids(visit)[0] == FIRST_ID


def test_a_visit_is_stamped_by_the_record_of_its_own_motor(tmp_path: Path, shop: Shop) -> None:
    """Another motor was written of later that day: the visit keeps its times, and goes on where it ended."""
    visit = json.loads((JOBS / "quick-look.json").read_text())
    half = len(visit["entries"]) // 2
    first = datetime.fromisoformat(visit["entries"][0]["at"])
    shop.now = first.replace(hour=22)
    shop.motor(tag="Z-99")
    file, db = tmp_path / "job.json", tmp_path / "test.db"
    for end in (half, None):
        file.write_text(json.dumps({**visit, "entries": visit["entries"][:end]}))
        assert not play_file(file, db, "Ines Torvald").refused
    motor = find_tagged(shop.conn, visit["motor"]["tag"])
    assert motor is not None
    acts = [a.at for a in reversed(list_acts(shop.conn, motor.id, 100))]
    assert acts == [datetime.fromisoformat(e["at"]) for e in visit["entries"]]
    shop.now = first.replace(hour=21, minute=59)
    shop.log(shop.motor(tag="Z-98"), "101")
    last = last_act_at(shop.conn, None)  # what is entered here stays in its own order
    assert last is not None
    assert last > first.replace(hour=22)


WITHDRAWN = {
    "a plan": (("gap", "4", 1), ()),
    "a change": (("gap", "0.2", 1), ("Brush A", "mm at least", "was withdrawn on this sheet")),
    "a stop": (("earth-ohm", "3", 0), ("protective earth", "was withdrawn on this sheet")),
}


@pytest.mark.parametrize("again", [False, True], ids=["not read again", "read once more"])
@pytest.mark.parametrize(("slip", "words"), WITHDRAWN.values(), ids=WITHDRAWN)
def test_no_certificate_stands_over_what_was_withdrawn(
    tmp_path: Path, slip: tuple[str, str, int], words: tuple[str, ...], *, again: bool
) -> None:
    """Until its place is read once more."""
    field, wrong, place = slip
    visit, db, file = json.loads((JOBS / "slip-of-the-pen.json").read_text()), tmp_path / "a.db", tmp_path / "a.json"
    made: list[dict[str, object]] = []
    for entry in visit["entries"]:
        if entry.get("field") == "gap":
            continue
        if entry.get("field") == field or (field == "gap" and entry.get("field") == "looked.springs"):
            mine = {"by": "Maud Celliers", "field": field, "place": place}
            made.append({"at": entry["at"], "value": wrong, **mine})
            made.append(
                {"at": entry["at"], "value": "2" if place else "0.06", "answer": "mistyped", "why": "no", **mine}
            )
            made += [{"at": entry["at"], "value": "2.1" if place else "0.07", **mine}] if again else []
        made += [entry] if entry.get("field") != field else []
    made[-1]["why"] = "as it is"
    file.write_text(json.dumps({**visit, "entries": made}))
    played, kind = play_file(file, db, "Ines Torvald"), "certificate" if again or not words else "not clean"
    assert (played.refused, played.told[-1]["signed_as"]) == ([], kind)
    with closing(connect(db)) as conn:
        signed = sheet_told(conn, played.sheets[-1], datetime(2025, 9, 4).date())
        reader = people.list_people(conn)[0].id
    with opened(db, reader) as client:
        page = unescape(client.get(f"/sheets/{played.sheets[-1]}/sign").text)
    standing = " ".join(signed["standing"])  # type: ignore[arg-type]
    assert [w for w in words if w not in standing or w not in page] == []
    assert bool(standing) == bool(words)
