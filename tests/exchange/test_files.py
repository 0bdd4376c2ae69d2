"""Files in: every usual encoding and separator, every kind of wrong file, readings judged line by line."""

import csv
import io
from datetime import datetime, timedelta
from typing import Any

import pytest
from hypothesis import given
from hypothesis import strategies as st
from starlette.testclient import TestClient

from conftest import Shop
from norvash.core.planning.interval_table import IntervalTable
from norvash.errors import InputError
from norvash.exchange.hours_csv import Match, guessed, match_of, read_lines
from norvash.exchange.interval_tables import table_as_csv, table_from_csv
from norvash.exchange.sheets import number, read_sheet, write_sheet
from norvash.store.record import standings, use
from norvash.work.motors.importing import judge, take
from norvash.work.reading.standing import catch_up
from pages import act_id

PLAIN = "tag;day;counter\nX-01;2025-10-10;120\nX-01;2025-10-17;130,5\n"
READ = {
    "semicolons and decimal comma": (PLAIN.encode(), "UTF-8", ";"),
    "commas": (PLAIN.replace(",5", ".5").replace(";", ",").encode(), "UTF-8", ","),
    "tabs": (PLAIN.replace(";", "\t").encode(), "UTF-8", "\t"),
    "a byte order mark": (PLAIN.encode("utf-8-sig"), "UTF-8", ";"),
    "UTF-16": (PLAIN.encode("utf-16"), "UTF-16", ";"),
    "another encoding": (PLAIN.replace("tag", "Gerät").encode("cp1252"), "Western European (Windows)", ";"),
    "other line ends and empty lines": (PLAIN.replace("\n", "\r\n\r\n").encode(), "UTF-8", ";"),
    "quoted cells": (PLAIN.replace("X-01", '"X-01"').encode(), "UTF-8", ";"),
}


@pytest.mark.parametrize(("data", "encoding", "separator"), READ.values(), ids=READ)
def test_a_table_of_text_is_read_however_it_was_saved(data: bytes, encoding: str, separator: str) -> None:
    sheet = read_sheet(data)
    assert (sheet.encoding, sheet.separator, len(sheet.rows)) == (encoding, separator, 3)
    lines, faults = read_lines(sheet, guessed(sheet))
    assert faults == []
    assert [(x.motor, x.at, x.value) for x in lines] == [
        ("X-01", datetime(2025, 10, 10, 12), 120.0),
        ("X-01", datetime(2025, 10, 17, 12), 130.5),
    ]


REFUSED: dict[str, tuple[bytes, str]] = {
    "nothing": (b"  \n", "is empty"),
    "a mark of UTF-16 and nothing more": (b"\xff\xfe", "is empty"),
    "only separators": (b";;\n;;\n", "is empty"),
    "a zip named csv": (b"PK\x03\x04rest", "a zip or spreadsheet file"),
    "a compressed file": (b"\x1f\x8b\x08", "a compressed file"),
    "a PDF": (b"%PDF-1.7", "a PDF"),
    "bytes that are no text": (b"a;b\x00\x01\x02", "not text"),
    "broken UTF-16": (b"\xff\xfea", "UTF-16"),
    "an unknown encoding": (b"a;\x81\x8d\x8f\n", "encoding"),
    "200 columns": (";".join(["x"] * 200).encode(), "200 columns"),
    "a cell without an end": (b'tag;day\n"' + b"x" * 500, "more than 400 characters"),
}


@pytest.mark.parametrize(("data", "words"), REFUSED.values(), ids=REFUSED)
def test_what_is_no_table_is_refused_with_the_reason(data: bytes, words: str) -> None:
    with pytest.raises(InputError, match=words) as refused:
        read_sheet(data)
    assert refused.value.field == "file"
    assert refused.value.remedy


NUMBERS = {"1240": 1240, "1240,5": 1240.5, "1240.5": 1240.5, "-3": -3, "\u00a012": 12, ",5": 0.5}
NO_NUMBERS = ("=1+1", "@sum", "+a1", "1.240,5", "1,240,500", "12 h", "", "-", ".", "1e5", "nan", "٣", "9" * 12)


def test_numbers_are_read_only_when_they_are_certain() -> None:
    assert {text: number(text) for text in NUMBERS} == NUMBERS
    for text in NO_NUMBERS:
        with pytest.raises(InputError):
            number(text)


@given(st.lists(st.lists(st.text("abc;,\"'=+-@ 1é\n", min_size=1), min_size=2, max_size=5), min_size=1, max_size=5))
def test_what_is_written_can_be_read_and_never_holds_a_formula(rows: list[list[str]]) -> None:
    back = list(csv.reader(io.StringIO(write_sheet(rows).decode("utf-8-sig"), newline="")))
    assert [[c.removeprefix("'") for c in r] for r in back] == [[c.removeprefix("'") for c in r] for r in rows]
    assert not any(c[:1] in ("=", "@") for r in back for c in r)


def test_an_interval_table_is_read_back_as_written() -> None:
    table = IntervalTable((100.0, 500.0), (8.5, 9.0), ((400.0, 300.0), (600.0, 500.5)))
    assert table_from_csv(table_as_csv(table, "h"), "depth", None) == table


GUESSED = {
    "by headings in any order": ("Counter;Tag;Date\n5;X-01;2025-10-10\n", Match(1, 2, 0, True, "counter")),
    "what it ran": ("machine,day,ran h\nX-01,2025-10-10,5\n", Match(0, 1, 2, True, "increment")),
    "no heading": ("X-01;2025-10-10;5\n", Match(0, 1, 2, False, "counter")),
    "headings that say nothing": ("a;b;c\nX-01;2025-10-10;5\n", Match(0, 1, 2, True, "counter")),
}


@pytest.mark.parametrize(("text", "match"), GUESSED.values(), ids=GUESSED)
def test_columns_are_guessed_and_can_be_chosen(text: str, match: Match) -> None:
    sheet = read_sheet(text.encode())
    assert guessed(sheet) == match
    chosen = {"motor": "0", "day": "1", "value": "2", "mode": "counter", "heading": "yes"}
    assert match_of(chosen, sheet) == Match(0, 1, 2, True, "counter")
    for change in ({"motor": "9"}, {"motor": "x"}, {"motor": "1"}, {"mode": "maybe"}):
        with pytest.raises(InputError):
            match_of({**chosen, **change}, sheet)


# The shop's motor X-01 showed 100 h on its first day, 60 weeks before 24 November 2026.
LINES: dict[str, tuple[str, str, int, list[tuple[int, str]]]] = {
    "two good lines": ("X-01;2025-10-10;120\nX-01;2025-10-17;130", "counter", 2, []),
    "out of order": ("X-01;2025-10-17;130\nX-01;2025-10-10;120", "counter", 2, []),
    "the same line twice": ("X-01;2025-10-10;120\nX-01;2025-10-10;120", "counter", 1, []),
    "another value at the same moment": (
        "X-01;2025-10-10;120\nX-01;2025-10-10;121",
        "counter",
        1,
        [(2, "already logged")],
    ),
    "by name, in small letters": ("trap winch;10.10.2025;120", "counter", 1, []),
    "a motor that is not there": ("Y-99;2025-10-10;120", "counter", 0, [(1, "no motor")]),
    "no day": ("X-01;yesterday;120", "counter", 0, [(1, "is not a day")]),
    "the thirteenth month": ("X-01;2025-13-10;120", "counter", 0, [(1, "is not a day")]),
    "a formula": ("X-01;2025-10-10;=1+1", "counter", 0, [(1, "a formula")]),
    "the future": ("X-01;2031-10-10;120", "counter", 0, [(1, "in the future")]),
    "more than a day holds": ("X-01;2025-10-02;190", "counter", 0, [(1, "is more than")]),
    "the counter went down": ("X-01;2025-10-10;90", "counter", 0, [(1, "The counter showed")]),
    "a column missing": ("X-01;2025-10-10", "counter", 0, [(1, "only 2 columns")]),
    "what it ran": ("X-01;2025-10-10;20\nX-01;2025-10-17;10", "increment", 2, []),
    "below 0": ("X-01;2025-10-10;-5", "increment", 0, [(1, "below 0")]),
}


@pytest.mark.parametrize(("text", "mode", "new", "faults"), LINES.values(), ids=LINES)
def test_every_line_is_judged_and_the_same_file_again_changes_nothing(
    shop: Shop, text: str, mode: str, new: int, faults: list[tuple[int, str]]
) -> None:
    motor = shop.motor()
    shop.later(weeks=30)
    lines, unread = read_lines(read_sheet(text.encode()), Match(0, 1, 2, False, mode))
    found = judge(shop.conn, lines, unread, mode=mode, now=shop.now)
    assert (len(found.new), [f.line for f in found.faults]) == (new, [n for n, _ in faults])
    assert all(w in f.problem and f.remedy for f, (_, w) in zip(found.faults, faults, strict=True))
    if new:
        kept = take(shop.conn, shop.act(), "file-1", sha256="digest", lines=lines, faults=unread, mode=mode)
        entries = use.list_entries(shop.conn, motor)
        assert (len(kept.new), len(entries)) == (new, new + 1)
        assert [e.total_units for e in entries] == sorted(e.total_units for e in entries)
    with pytest.raises(InputError, match="nothing new"):
        take(shop.conn, shop.act(), "file-1", sha256="digest", lines=lines, faults=unread, mode=mode)


def test_a_file_is_looked_at_matched_and_kept_in_steps(client: TestClient, shop: Shop) -> None:
    for tag in ("X-01", "X-02"):
        shop.motor(tag=tag, name=tag)
    day = shop.now + timedelta(days=20)
    text = f"what;who;when\n150;X-01;{day:%Y-%m-%d}\n160;X-02;{day:%Y-%m-%d}\n9;Z;{day:%Y-%m-%d}\n"
    shown = follow(client, upload(client, text.encode()))
    assert "Nothing new" in shown.text or "2 new readings" in shown.text
    match = {"motor": "1", "day": "2", "value": "0", "mode": "counter", "heading": "yes"}
    shown = follow(client, client.post(f"{shown.url.path}/match", data=match))
    assert "2 new readings for 2 motors, 1 line with an error" in shown.text
    assert "no motor “Z”" in shown.text
    bad = client.post(f"{shown.url.path}/match", data={**match, "day": "1"})
    assert (bad.status_code, "chosen twice" in bad.text) == (422, True)
    done = follow(client, client.post(f"{shown.url.path}/take", data={"act_id": act_id(shown.text)}))
    assert "2 readings kept for 2 motors" in done.text
    assert "Nothing new" in follow(client, upload(client, text.encode(), match)).text


def upload(client: TestClient, data: bytes, match: dict[str, str] | None = None) -> Any:
    form = client.get("/hours/import").text
    shown = client.post("/hours/import", data={"act_id": act_id(form)}, files={"file": ("readings.csv", data)})
    return client.post(f"{follow(client, shown).url.path}/match", data=match) if match else shown


def follow(client: TestClient, shown: Any) -> Any:
    """Wait until the work behind a page is over, as its refresh does."""
    for _ in range(400):
        if "http-equiv" not in shown.text:
            return shown
        shown = client.get(shown.url.path)
    raise AssertionError(shown.text)


def test_a_file_that_is_no_table_or_far_too_large_is_answered_in_place(client: TestClient) -> None:
    shown = upload(client, b"PK\x03\x04zip")
    assert (shown.status_code, "a zip or spreadsheet" in shown.text) == (422, True)
    length = {"Content-Length": "1000000000", "Content-Type": "multipart/form-data; boundary=x"}
    shown = client.post("/hours/import", content=iter([b"x" * 1000]), headers=length)
    assert (shown.status_code, "too large" in shown.text) == (413, True)
    assert client.get("/hours/import/none-such").status_code == 404
    assert client.post("/hours/import/none-such/take", data={"act_id": "take-nothing"}).status_code == 404


ROWS = {
    "a counter value": ("120", 200, "kept"),
    "what it ran": ("+12", 200, "kept"),
    "nothing": ("", 200, ""),
    "letters": ("abc", 422, "cannot be read"),
    "lower than before": ("90", 409, "Which is it?"),
    "too much": ("+99999", 422, "is more than"),
}


@pytest.mark.parametrize(("text", "status", "words"), ROWS.values(), ids=ROWS)
def test_a_row_of_the_hours_book_is_kept_or_refused_in_place(
    client: TestClient, shop: Shop, text: str, status: int, words: str
) -> None:
    motor = shop.motor()
    assert "100" in client.get("/hours").text
    answer = client.post(f"/hours/{motor}/row", data={"act_id": "row-of-test-1", "value": text})
    assert (answer.status_code, words in answer.text) == (status, True)
    assert status == 200 or f'value="{text}"' in answer.text
    assert client.post("/hours/none-such/row", data={"act_id": "row-of-test-2", "value": "5"}).status_code == 404


def test_many_motors_of_one_file_are_judged_anew_later(shop: Shop) -> None:
    made = [shop.motor(tag=f"X-{i:03d}", name=f"Winch {i}") for i in range(41)]
    shop.later(weeks=30)
    text = "\n".join(f"X-{i:03d};2025-10-10;120" for i in range(41))
    lines, unread = read_lines(read_sheet(text.encode()), Match(0, 1, 2, False, "counter"))
    shares: list[float] = []
    assert (
        len(
            take(
                shop.conn,
                shop.act(),
                "file",
                sha256="many",
                lines=lines,
                faults=unread,
                mode="counter",
                tell=shares.append,
            ).new
        )
        == 41
    )
    assert shares == sorted(shares)
    assert shares[-1] == 1
    assert sorted(standings.list_stale(shop.conn, 0, "", 99)) == sorted(made)
    assert catch_up(shop.conn, shop.now.date()) == 41


def test_a_reading_of_today_may_be_imported_before_noon_and_again_later(shop: Shop) -> None:
    motor = shop.motor()
    shop.later(days=9)
    assert shop.now.hour == 9
    lines, _ = read_lines(read_sheet(f"X-01;{shop.now:%Y-%m-%d};120".encode()), Match(0, 1, 2, False, "counter"))
    assert len(take(shop.conn, shop.act(), "file", sha256="today", lines=lines, faults=(), mode="counter").new) == 1
    assert use.list_entries(shop.conn, motor)[-1].at == shop.now
    found = judge(shop.conn, lines, (), mode="counter", now=shop.later(hours=8).now)
    assert (found.there, found.new, found.faults) == (1, [], [])
