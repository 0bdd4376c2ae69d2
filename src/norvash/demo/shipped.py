"""The playhouse's record as it ships: packed beside this module, unpacked where a demonstration starts."""

import lzma
import shutil
from contextlib import closing
from datetime import datetime
from importlib.resources import files
from pathlib import Path

from norvash.errors import NorvashError
from norvash.store.file.database import connect, transaction
from norvash.store.file.ready import migrate
from norvash.store.record import people

PACKED = "playhouse.db.xz"
_SUFFIXES = ("", "-wal", "-shm")


def prepare(path: Path, *, reset: bool) -> str:
    """Make the demo database if it is not there, with its clock at nine in the morning; say what was done.

    It is lifted by the steps of the schema, like any database. Raises: NorvashError if another file stands in its
    place.
    """
    if reset:
        remove(path)
    if path.exists():
        conn = connect(path)
        migrate(conn)
        demo_day = people.fetch_site(conn).demo_day
        conn.close()
        if demo_day is None:
            raise NorvashError(f"{path} holds no demo data.", "Serve it with norvash serve, or give another --db.")
        return f"kept as you left it in {path}"
    path.parent.mkdir(parents=True, exist_ok=True)
    building = Path(f"{path}.building")
    remove(building)
    unpack(building)
    with closing(connect(building)) as conn:
        migrate(conn)
        site = people.fetch_site(conn)
        with transaction(conn):
            people.change_site(conn, site.name, site.demo_day, datetime.now().replace(microsecond=0))
        motors = conn.execute("select count(*) from motor").fetchone()[0]
        conn.execute("pragma wal_checkpoint(truncate)")
    building.rename(path)
    return f"{motors} motors of the playhouse in {path}"


def remove(path: Path) -> None:
    """Remove a database with the files beside it."""
    for suffix in _SUFFIXES:
        Path(f"{path}{suffix}").unlink(missing_ok=True)


def unpack(path: Path) -> None:
    """Write the database as it ships to a file."""
    with (files("norvash.demo") / PACKED).open("rb") as packed, lzma.open(packed) as data, path.open("wb") as out:
        shutil.copyfileobj(data, out)


def pack(path: Path, into: Path) -> int:
    """Pack a database as it ships, without what it has room for; return how many bytes it takes."""
    whole = Path(f"{path}.whole")
    whole.unlink(missing_ok=True)
    with closing(connect(path)) as conn:
        conn.execute("vacuum into ?", (str(whole),))
    with whole.open("rb") as data, lzma.open(into, "wb", preset=9 | lzma.PRESET_EXTREME) as packed:
        shutil.copyfileobj(data, packed)
    whole.unlink()
    return into.stat().st_size
