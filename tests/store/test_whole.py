"""A database is whole when its pages, its schema and its rows are: what is not is named with its place."""

import os
import shutil
import sqlite3
import subprocess
import sys
from collections.abc import Callable, Iterator
from contextlib import closing
from pathlib import Path

import pytest

from conftest import NOW, Shop
from norvash import store
from norvash.errors import Conflict, NorvashError
from norvash.store.file.copies import back_up, restore
from norvash.store.file.database import connect, fold_in
from norvash.store.file.lock import held_alone
from norvash.store.file.ready import look_at, prepare
from norvash.store.file.steps import KNOWN_OBJECTS, lend_functions, steps
from norvash.store.file.whole import digest_of, objects_of, objects_of_version, schema_faults

EARLIER = Path(__file__).parent.parent / "data/record_of_schema_5.sql"
OBJECTS = Path(store.__file__).parent / "schema/objects.txt"
SCHEMA = {
    "a table is missing": ("drop table note_batch", "table note_batch is missing"),
    "an index is missing": ("drop index entry_now", "index entry_now is missing"),
    "a trigger of somebody else": (
        "create trigger quiet after insert on entry begin delete from entry where id = new.id; end",
        "trigger quiet is none of Norvash's",
    ),
    "a view of somebody else": (
        "create view all_motors as select * from motor",
        "view all_motors is none of Norvash's",
    ),
    "a column too many": ("alter table motor add column colour text", "table motor is not as Norvash makes it"),
}
ROWS = {
    "a row points nowhere": ("delete from motor", "it belongs to a row of motor that is not there"),
    "a digest of another form": ("update act set digest = 'x'", "what it was made of has no digest"),
    "a change that cannot be read": ("update act set after_json = '{'", "what it changed cannot be read"),
    "a motor without a standing": ("delete from standing", "it has no standing"),
}


@pytest.fixture
def shop_db(shop: Shop, db: Path) -> Path:
    for number in range(3):
        shop.motor(tag=f"W-{number}")
    shop.conn.close()
    fold_in(db)
    return db


def spoilt(db: Path, statement: str) -> bytes:
    with closing(sqlite3.connect(db)) as conn:
        conn.execute(statement)
        conn.commit()
    fold_in(db)
    return db.read_bytes()


@pytest.mark.parametrize(("statement", "words"), {**SCHEMA, **ROWS}.values(), ids=[*SCHEMA, *ROWS])
def test_what_is_not_whole_is_named_and_replaces_nothing(
    shop_db: Path, tmp_path: Path, statement: str, words: str
) -> None:
    good = tmp_path / "good.db"
    back_up(shop_db, good)
    assert look_at(shop_db, thoroughly=True).faults == ()
    before = spoilt(shop_db, statement)
    assert any(words in fault for fault in look_at(shop_db, thoroughly=True).faults)
    for copy in (lambda: restore(shop_db, good, NOW), lambda: back_up(shop_db, tmp_path / "bad.db")):
        with pytest.raises(NorvashError) as caught:
            copy()
        assert str(shop_db) in caught.value.problem
        assert words in caught.value.problem
    assert not list(tmp_path.glob("*making*"))
    if statement in dict(SCHEMA.values()):
        with pytest.raises(NorvashError, match="not as Norvash has made it") as caught:
            prepare(shop_db)
        assert words in caught.value.problem
        assert "restore BACKUP" in caught.value.remedy
    else:
        assert prepare(shop_db).faults == ()  # rows are looked at by check and restore
    assert shop_db.read_bytes() == before


def test_a_version_is_known_by_its_objects() -> None:
    """After a new step `ANEW=1 pytest -k known_by_its_objects` writes the list anew."""
    made = "".join(f"{number} {digest_of(objects_of_version(number))}\n" for number, _ in steps())
    if os.environ.get("ANEW"):
        OBJECTS.write_text(made)
    assert OBJECTS.read_text() == made


@pytest.mark.parametrize("version", [number for number, _ in steps()])
def test_the_objects_of_each_version_are_known(tmp_path: Path, version: int) -> None:
    with closing(sqlite3.connect(tmp_path / "any.db")) as conn:
        lend_functions(conn)
        for number, text in steps():
            if number <= version:
                conn.executescript(text)
        assert digest_of(objects_of(conn)) == KNOWN_OBJECTS[version]
        assert objects_of(conn) == objects_of_version(version)
        assert schema_faults(conn, version) == ()
        same = KNOWN_OBJECTS.get(version + 1) in (None, KNOWN_OBJECTS[version])  # the last, or a step of its rows alone
        assert same or schema_faults(conn, version + 1) != ()


READ = """
import sys
from pathlib import Path
from starlette.testclient import TestClient
from norvash.cli import main
from norvash.config import Settings
from norvash.errors import NorvashError
from norvash.store.file.copies import back_up
from norvash.store.file.database import connect
from norvash.store.file.lock import held_alone
from norvash.store.file.database import connect
from norvash.store.file.ready import look_at, open_to_read, prepare
from norvash.web.app import create_app
db, out = Path(sys.argv[1]), Path(sys.argv[2])

def tried(*words):
    sys.argv[1:] = words
    try:
        main()
    except SystemExit as end:
        print("ends", end.code)

if sys.argv[3] == "commands":
    tried("check", "--db", str(db))
    tried("backup", str(out), "--db", str(db))
    tried("sheet", "export", sys.argv[4] if len(sys.argv) > 4 else "none", "--db", str(db))
else:
    with held_alone(db, "being served"):
        app = create_app(Settings(db=db, log=False))
        import time
        with TestClient(app, base_url="http://localhost", headers={"Origin": "http://localhost"}) as client:
            print(client.get("/motors").status_code, "nothing can be entered" in client.get("/motors").text)
            began = time.monotonic()
            print(client.get("/healthz").json()["state"], "cannot be written" in client.get("/state").text)
            answer = client.post("/motors", data={"act_id": "never-to-be-kept"})
            print(answer.status_code, "cannot be written" in answer.text, time.monotonic() - began < 2)
"""


def closed(*words: str | Path) -> subprocess.CompletedProcess[str]:
    """Run a script as somebody who may only do what the files and folders allow."""
    drop = "-dac_override,-dac_read_search"
    plain = ["setpriv", "--bounding-set", drop, "--inh-caps", drop] if os.geteuid() == 0 else []
    command = [*plain, sys.executable, "-c", READ, *map(str, words)]
    return subprocess.run(command, capture_output=True, text=True, check=False)


@pytest.fixture
def closed_folder(shop_db: Path, tmp_path: Path) -> Iterator[Path]:
    """Return a database on which, and beside which, nothing can be written."""
    folder = tmp_path / "closed"
    folder.mkdir()
    shutil.copy(shop_db, folder / "shop.db")
    (folder / "shop.db").chmod(0o444)
    folder.chmod(0o555)
    yield folder / "shop.db"
    folder.chmod(0o755)


def test_a_database_that_cannot_be_written_is_checked_copied_and_shown(closed_folder: Path, tmp_path: Path) -> None:
    done = closed(closed_folder, tmp_path / "copy.db", "commands")
    assert f"{closed_folder} is whole." in done.stdout, done.stderr
    assert "holds all of" in done.stdout
    assert "There is no such sheet" in done.stderr
    assert look_at(tmp_path / "copy.db", thoroughly=True).faults == ()
    shown = closed(closed_folder, tmp_path / "no.db", "serve")
    assert shown.stdout.splitlines() == ["200 True", "read-only True", "503 True True"], shown.stderr
    assert [p.name for p in closed_folder.parent.iterdir()] == ["shop.db"]


def test_a_check_leaves_nothing_beside_a_database_and_an_empty_log_there_hides_nothing(
    shop_db: Path, closed_folder: Path, tmp_path: Path
) -> None:
    there, before = sorted(shop_db.parent.iterdir()), shop_db.read_bytes()
    for _ in range(2):
        assert look_at(shop_db, thoroughly=True).faults == ()
    assert (sorted(shop_db.parent.iterdir()), shop_db.read_bytes()) == (there, before)
    with closing(connect(shop_db)) as served:  # while it is served its log stays
        served.execute("select 1 from motor").fetchone()
        log = shop_db.with_name(f"{shop_db.name}-wal")
        assert log.exists()
        look_at(shop_db, thoroughly=True)
        assert log.exists()
    # What an earlier check has left.
    closed_folder.parent.chmod(0o755)
    for end in ("-wal", "-shm"):
        closed_folder.with_name(f"shop.db{end}").touch()
    closed_folder.parent.chmod(0o555)
    done = closed(closed_folder, tmp_path / "copy.db", "commands")
    assert f"{closed_folder} is whole." in done.stdout, done.stderr


@pytest.mark.parametrize(
    ("make", "words"),
    [
        (lambda db: db.with_name("shop.db-wal").write_bytes(b"x" * 100), "elsewhere first"),
        (lambda db: (db.unlink(), sqlite3.connect(db).executescript(EARLIER.read_text())), "would have to be lifted"),
        (lambda db: db.chmod(0o000), "cannot be read"),
    ],
    ids=["with a log beside it", "of an earlier version", "unreadable"],
)
def test_what_cannot_even_be_read_as_it_lies_says_so(
    shop_db: Path, tmp_path: Path, make: Callable[[Path], object], words: str
) -> None:
    folder = tmp_path / "closed"
    folder.mkdir()
    shutil.copy(shop_db, folder / "shop.db")
    with closing(sqlite3.connect(folder / "shop.db")) as conn:
        conn.execute("pragma journal_mode = delete")
    make(folder / "shop.db")
    folder.chmod(0o555)
    done = closed(folder / "shop.db", tmp_path / "no.db", "serve")
    folder.chmod(0o755)
    assert words in done.stderr, done.stderr


def test_words_say_what_is_wrong_and_with_which_file(shop_db: Path, tmp_path: Path) -> None:
    with pytest.raises(NorvashError, match="There is no folder"):
        back_up(shop_db, tmp_path / "none" / "copy.db")
    with pytest.raises(NorvashError, match="There is no file"):
        restore(tmp_path / "none" / "copy.db", shop_db, NOW)


def test_the_lock_lies_beside_the_file_whatever_its_name(shop_db: Path, tmp_path: Path) -> None:
    link = tmp_path / "elsewhere.db"
    link.symlink_to(shop_db)
    with held_alone(shop_db, "being served"), pytest.raises(Conflict, match="being served"), held_alone(link, "again"):
        pass
    link.unlink()
    link.hardlink_to(shop_db)
    with pytest.raises(NorvashError, match="more than one name"), held_alone(shop_db, "being served"):
        pass


FULL = """
import resource, sys
from pathlib import Path
from norvash.errors import NorvashError
from norvash.store.file.copies import back_up
resource.setrlimit(resource.RLIMIT_FSIZE, (40_000, 40_000))
try:
    back_up(Path(sys.argv[1]), Path(sys.argv[2]))
except NorvashError as error:
    print(error.problem)
"""


def test_a_copy_for_which_there_is_no_room_leaves_nothing(shop_db: Path, tmp_path: Path) -> None:
    folder = tmp_path / "full"
    folder.mkdir()
    command = [sys.executable, "-c", FULL, str(shop_db), str(folder / "copy.db")]
    done = subprocess.run(command, capture_output=True, text=True, check=False)
    assert "could not be made" in done.stdout, done.stderr
    assert list(folder.iterdir()) == []
