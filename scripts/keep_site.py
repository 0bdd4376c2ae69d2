"""Keep a small site of the newest schema step, before another step is added: one motor of the demo, as SQL."""

import gzip
import sqlite3
import tempfile
from contextlib import closing
from pathlib import Path

from norvash.demo.shipped import prepare

TAG = "A-10"
TO = Path(__file__).parent.parent / "tests/data/schemas"


def prune(site: sqlite3.Connection) -> None:
    """Leave one motor, and what it rests on."""
    motor = site.execute("select id from motor where tag = ?", (TAG,)).fetchone()[0]
    site.execute("delete from motor where id <> ?", (motor,))
    site.execute("delete from act where motor_id <> ?", (motor,))
    tables = [
        r[0] for r in site.execute("select name from sqlite_master where type = 'table' and name not like 'sqlite%'")
    ]
    while sum(_loose(site, table) for table in tables):
        pass


def _loose(site: sqlite3.Connection, table: str) -> int:
    """Delete the rows of a table that speak of what is not there any more; return how many."""
    gone = 0
    for _, _, parent, column, to, *_ in site.execute(f'pragma foreign_key_list("{table}")').fetchall():
        key = to or site.execute("select name from pragma_table_info(?) where pk = 1", (parent,)).fetchone()[0]
        gone += site.execute(
            f'delete from "{table}" where "{column}" is not null and "{column}" not in (select "{key}" from "{parent}")'
        ).rowcount
    return gone


def main() -> None:
    with tempfile.TemporaryDirectory() as folder:
        prepare(Path(folder) / "demo.db", reset=False)
        with closing(sqlite3.connect(":memory:", isolation_level=None)) as site:
            with closing(sqlite3.connect(Path(folder) / "demo.db")) as demo:
                demo.backup(site)
            for name in ("compared", "looks", "grade_of"):
                site.create_function(name, 1, str, deterministic=True)
            prune(site)
            heads = ("application_id", "user_version")
            values = {name: site.execute(f"pragma {name}").fetchone()[0] for name in heads}
            text = [*(f"pragma {name} = {value};" for name, value in values.items()), *site.iterdump()]
            kept = gzip.compress(("\n".join(text) + "\n").encode(), 9, mtime=0)
            (TO / f"{values['user_version']:04d}.sql.gz").write_bytes(kept)


if __name__ == "__main__":
    main()
