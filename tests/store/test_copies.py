"""Backups and what is put back from them; the lock; files that are damaged, foreign, newer or cut short."""

import shutil
import sqlite3
import subprocess
import sys
import threading
import time
import urllib.request
from collections.abc import Callable, Iterator
from contextlib import closing
from pathlib import Path

import pytest

from conftest import NOW, Shop
from norvash.errors import Conflict, NorvashError
from norvash.store.file.copies import back_up, restore
from norvash.store.file.database import connect, fold_in
from norvash.store.file.lock import held_alone
from norvash.store.file.ready import look_at, migrate, prepare
from norvash.store.record import motors


def tags(path: Path) -> list[str]:
    with closing(connect(path, made=True)) as conn:
        return sorted(r[0] for r in conn.execute("select tag from motor"))


def break_a_page(path: Path) -> None:
    """Overwrite part of a table in the middle of a database file."""
    fold_in(path)
    data = bytearray(path.read_bytes())
    half = len(data) // 2 // 4096 * 4096
    data[half : half + 4096] = b"\xff" * 4096
    path.write_bytes(data)


def test_a_backup_while_people_write_is_one_moment_and_whole(shop: Shop, db: Path, tmp_path: Path) -> None:
    shop.motor(tag="B-000")
    stop = threading.Event()
    kept: list[str] = []

    def write() -> None:
        with closing(connect(db, made=True)) as conn:
            own = Shop(conn, shop.now, acts=10_000)
            for number in range(1, 400):
                own.motor(tag=f"B-{number:03}")
                kept.append(f"B-{number:03}")
                if stop.is_set():
                    return

    writer = threading.Thread(target=write)
    writer.start()
    for number in range(3):
        before = list(kept)
        size = back_up(db, tmp_path / f"copy-{number}.db")
        found = tags(tmp_path / f"copy-{number}.db")
        assert size > 4096
        assert set(before) <= set(found)
        assert found == [f"B-{n:03}" for n in range(len(found))]
        assert not look_at(tmp_path / f"copy-{number}.db", thoroughly=True).faults
    stop.set()
    writer.join()
    with pytest.raises(NorvashError, match="is there already"):
        back_up(db, tmp_path / "copy-0.db")


def test_a_plain_copy_of_the_file_loses_what_the_log_holds_until_it_is_folded_in(
    shop: Shop, db: Path, tmp_path: Path
) -> None:
    for number in range(15):
        shop.motor(tag=f"L-{number:02}")
    shutil.copy(db, tmp_path / "plain.db")
    with closing(sqlite3.connect(tmp_path / "plain.db")) as plain:
        tables = plain.execute("select count(*) from sqlite_schema where name = 'motor'").fetchone()[0]
        assert not tables or plain.execute("select count(*) from motor").fetchone()[0] == 0
    shop.conn.close()
    fold_in(db)
    shutil.copy(db, tmp_path / "folded.db")
    assert len(tags(tmp_path / "folded.db")) == 15


def test_a_backup_is_put_back_and_what_stood_there_is_kept(shop: Shop, db: Path, tmp_path: Path) -> None:
    shop.motor(tag="OLD")
    back_up(db, tmp_path / "backup.db")
    shop.motor(tag="NEW")
    shop.conn.close()
    kept, again = restore(tmp_path / "backup.db", db, NOW), restore(tmp_path / "backup.db", db, NOW)
    assert kept is not None
    assert again not in (None, kept)
    assert (tags(db), tags(kept)) == (["OLD"], ["NEW", "OLD"])
    assert restore(tmp_path / "backup.db", tmp_path / "elsewhere" / "own.db", NOW) is None
    assert tags(tmp_path / "elsewhere" / "own.db") == ["OLD"]


def _cut_short(path: Path) -> None:
    path.write_bytes(path.read_bytes()[: path.stat().st_size // 2 + 100])


def _foreign(path: Path) -> None:
    path.unlink()
    with closing(sqlite3.connect(path)) as conn:
        conn.execute("create table other (x)")


def _newer(path: Path) -> None:
    with closing(sqlite3.connect(path)) as conn:
        conn.execute("pragma user_version = 999")


NO_BACKUPS: dict[str, tuple[Callable[[Path], object], str]] = {
    "cut short": (_cut_short, "damaged or cut short"),
    "damaged": (break_a_page, "damaged or cut short"),
    "of another application": (_foreign, "another application"),
    "of a newer schema": (_newer, "newer than this"),
    "no database": (lambda p: p.write_text("words " * 900), "not a database"),
    "empty": (lambda p: p.write_bytes(b""), "empty database"),
    "not there": (lambda p: p.unlink(), "There is no file"),
}


@pytest.mark.parametrize(("spoil", "words"), NO_BACKUPS.values(), ids=NO_BACKUPS)
def test_what_is_no_sound_backup_replaces_nothing(
    shop: Shop, db: Path, tmp_path: Path, spoil: Callable[[Path], object], words: str
) -> None:
    for number in range(30):
        shop.motor(tag=f"S-{number:02}")
    backup = tmp_path / "backup.db"
    back_up(db, backup)
    spoil(backup)
    before = db.read_bytes()
    with pytest.raises(NorvashError, match=words):
        restore(backup, db, NOW)
    assert db.read_bytes() == before
    assert not [p for p in tmp_path.iterdir() if ".making" in p.name or ".before" in p.name]
    with pytest.raises(NorvashError, match="the database itself"):
        restore(db, db, NOW)


def test_a_damaged_database_is_told_from_a_whole_one_and_stays_as_it_is(shop: Shop, db: Path) -> None:
    for number in range(30):
        shop.motor(tag=f"D-{number:02}")
    shop.conn.close()
    assert prepare(db).faults == ()
    break_a_page(db)
    with closing(sqlite3.connect(db)) as conn:
        conn.execute("pragma user_version = 4")
    before = db.read_bytes()
    found = prepare(db)
    assert found.faults
    assert found.version == 4
    assert db.read_bytes() == before
    copy = db.with_name("copy.db")
    with pytest.raises(NorvashError, match="damaged"):
        back_up(db, copy)
    assert not copy.exists()


HOLD = """
import sys, time
from pathlib import Path
from norvash.store.file.lock import held_alone
with held_alone(Path(sys.argv[1]), "being served"):
    print("held", flush=True)
    time.sleep(60)
"""


@pytest.fixture
def holder(db: Path) -> Iterator[subprocess.Popen[str]]:
    with subprocess.Popen([sys.executable, "-c", HOLD, str(db)], stdout=subprocess.PIPE, text=True) as made:
        assert made.stdout is not None
        assert made.stdout.readline() == "held\n"
        yield made
        made.kill()


def command(*words: str) -> subprocess.CompletedProcess[str]:
    code = "from norvash.cli import main; main()"
    return subprocess.run([sys.executable, "-c", code, *words], capture_output=True, text=True, check=False, timeout=60)


def test_the_lock_dies_with_its_process_and_only_what_would_replace_or_serve_takes_it(
    db: Path, tmp_path: Path, holder: subprocess.Popen[str]
) -> None:
    backup = tmp_path / "b.db"
    assert command("backup", str(backup), "--db", str(db)).returncode == 0
    assert command("check", "--db", str(db)).stdout.strip().endswith("is whole.")
    for refused in (
        command("restore", str(backup), "--db", str(db)),
        command("serve", "--db", str(db), "--port", "8990"),
    ):
        assert (refused.returncode, f"being served (process {holder.pid})" in refused.stderr) == (2, True)
    holder.kill()
    holder.wait()
    assert "What stood there is kept as" in command("restore", str(backup), "--db", str(db)).stdout
    with held_alone(db, "tried"), pytest.raises(Conflict, match="tried"), held_alone(db, "tried again"):
        pass


def test_the_commands_say_what_is_wrong(shop: Shop, db: Path, tmp_path: Path) -> None:
    for number in range(30):
        shop.motor(tag=f"C-{number:02}")
    shop.conn.close()
    break_a_page(db)
    checked = command("check", "--db", str(db))
    assert (checked.returncode, "is damaged" in checked.stdout, checked.stderr) == (1, True, "")
    assert command("backup", str(tmp_path / "b.db"), "--db", str(db)).returncode == 2
    for words in (
        ("check", "--db", "none.db"),
        ("backup", "b.db", "--db", "none.db"),
        ("restore", "none.db", "--db", str(db)),
    ):
        done = command(*words)
        assert (done.returncode, "There is no" in done.stderr, "Traceback" in done.stderr) == (2, True, False)
    text = tmp_path / "text.db"
    text.write_text("words " * 900)
    assert "not a database" in command("check", "--db", str(text)).stderr


def test_a_new_file_gets_its_schema_and_a_path_may_hold_any_character(tmp_path: Path) -> None:
    path = tmp_path / "a shop? 100% #1.db"
    assert prepare(path).version == prepare(path).version > 0
    assert path.exists()
    with closing(connect(path, made=True)) as conn:
        assert migrate(conn) == prepare(path).version
        assert motors.list_types(conn) == []


def test_a_server_that_is_told_to_end_leaves_one_whole_file(tmp_path: Path) -> None:
    db = tmp_path / "own.db"
    code = (
        f"from norvash.cli import main; import sys; sys.argv[1:] = ['serve', '--db', {str(db)!r}, '--port', '8870'];"
        " main()"
    )
    with subprocess.Popen(
        [sys.executable, "-c", code], stdout=subprocess.PIPE, stderr=subprocess.DEVNULL, text=True
    ) as server:
        assert server.stdout is not None
        address = server.stdout.readline().split()[3].rstrip("/")
        code = server.stdout.readline().split()[-1]
        typed = f"code={code}&name=Ines&password=three+words+here&shop=Own&act_id=own-shop-named&next=/".encode()
        sent = urllib.request.Request(f"{address}/who/first", typed, {"Origin": address})
        assert urllib.request.urlopen(sent, timeout=20).status == 200
        began = time.monotonic()
        server.terminate()
        server.wait(20)
        assert time.monotonic() - began < 3
    shutil.copy(db, tmp_path / "plain.db")
    with closing(connect(tmp_path / "plain.db", made=True)) as conn:
        assert conn.execute("select p.name, s.name from person p, site s").fetchone()[:] == ("Ines", "Own")
