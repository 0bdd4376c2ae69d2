"""The database: migrations, strictness, transactions."""

import sqlite3
from pathlib import Path

import pytest

from conftest import Shop
from norvash.errors import NorvashError
from norvash.store.file.database import connect, transaction
from norvash.store.file.ready import migrate
from norvash.store.file.steps import steps


def test_the_schema_is_strict_and_named_by_unit(shop: Shop) -> None:
    listed = "select name, strict from pragma_table_list where type = 'table' and name not like 'sqlite_%'"
    tables = shop.conn.execute(listed).fetchall()
    assert len(tables) >= 14
    assert all(r["strict"] for r in tables)
    reals = [
        (t["name"], c["name"])
        for t in tables
        for c in shop.conn.execute(f"pragma table_info({t['name']})")
        if c["type"] == "REAL"
    ]
    plain = {"value_real", "raw_value", "log_rate", "tail", "gone_share"}
    assert [c for c in reals if c[1] not in plain and not c[1].endswith(("_mm", "_units", "_deg", "_unit"))] == []


def test_migrating_twice_is_once(shop: Shop) -> None:
    assert migrate(shop.conn) == migrate(shop.conn) == steps()[-1][0]
    assert shop.conn.execute("pragma foreign_key_check").fetchall() == []


def test_files_that_are_not_ours_are_refused(tmp_path: Path) -> None:
    other = sqlite3.connect(tmp_path / "other.db")
    other.execute("create table t (x)")
    other.close()
    (tmp_path / "text.db").write_text("no database at all, but long enough to be read as one" * 20)
    with pytest.raises(NorvashError, match="another application"):
        migrate(connect(tmp_path / "other.db"))
    with pytest.raises(NorvashError, match="not a database"):
        connect(tmp_path / "text.db")
    newer = connect(tmp_path / "newer.db")
    migrate(newer)
    newer.execute("pragma user_version = 99")
    with pytest.raises(NorvashError, match="newer"):
        migrate(newer)


def test_a_transaction_is_all_or_nothing(shop: Shop) -> None:
    def half() -> None:
        with transaction(shop.conn):
            shop.conn.execute("insert into person (id, name, made_at) values ('p-2', 'Somebody', '2026-01-01')")
            raise ZeroDivisionError

    with pytest.raises(ZeroDivisionError):
        half()
    assert shop.conn.execute("select count(*) from person").fetchone()[0] == 1


@pytest.mark.parametrize(
    "statement",
    [
        "insert into person (id, name, made_at) values ('p-2', 'INES torvald', '2026-01-01')",
        "insert into motor (id, tag, name, place, class, act_id) values ('m', 't', 'n', 'p', 'boat', 'a')",
        (
            "insert into use_entry (id, motor_id, seq, at, total_units, counter_units, typed, event, act_id) values"
            " ('u', 'm', 1, 'x', -1, 0, '', '', 'a')"
        ),
        "insert into type_figure values ('t', 'new_mm', 'twelve', null)",
    ],
)
def test_the_schema_itself_refuses_nonsense(shop: Shop, statement: str) -> None:
    with pytest.raises(sqlite3.IntegrityError), transaction(shop.conn):
        shop.conn.execute(statement)
