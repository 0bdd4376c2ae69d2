"""The command line: forecasts from a file, the proof into a document, wrong input with its remedy."""

import json
import re
import ssl
import sys
from contextlib import closing, suppress
from datetime import datetime, timedelta
from pathlib import Path

import pytest

from norvash.certificate import ends
from norvash.cli import main
from norvash.config import Settings, check_allowed
from norvash.errors import InputError
from norvash.store.file.database import connect
from norvash.store.file.ready import migrate
from norvash.work.access.members import redeem

DATA = Path(__file__).parent / "data/forecast.json"


def run(monkeypatch: pytest.MonkeyPatch, *given: str) -> int:
    monkeypatch.setattr(sys, "argv", ["norvash", *given])
    try:
        main()
    except SystemExit as ended:
        return int(ended.code or 0)
    return 0


def test_cases_of_a_file_are_forecast_in_their_order(
    monkeypatch: pytest.MonkeyPatch, capsys: pytest.CaptureFixture[str]
) -> None:
    assert run(monkeypatch, "forecast", str(DATA)) == 0
    made, cases = json.loads(capsys.readouterr().out), json.loads(DATA.read_text())
    assert [set(m) for m in made] == [set(c["expected"]) for c in cases]
    assert [m["worst_position"] for m in made] == [c["expected"]["worst_position"] for c in cases]


WRONG = {
    "not JSON": ("{", "not whole JSON"),
    "no list": ("[1]", "Case 1: This is not an object"),
    "a field missing": ('[{"brushes": 2}]', "[new_length_mm]"),
    "not text": ("\udc81", "not text in UTF-8"),
}


@pytest.mark.parametrize(("text", "words"), WRONG.values(), ids=WRONG)
def test_a_wrong_file_ends_with_2_and_a_remedy(
    monkeypatch: pytest.MonkeyPatch, capsys: pytest.CaptureFixture[str], tmp_path: Path, text: str, words: str
) -> None:
    file = tmp_path / "cases.json"
    file.write_bytes(text.encode("utf-8", "surrogateescape"))
    assert run(monkeypatch, "forecast", str(file)) == 2
    assert words in capsys.readouterr().err
    assert run(monkeypatch, "forecast", str(tmp_path / "none.json")) == 2


def test_the_proof_is_written_between_its_marks(monkeypatch: pytest.MonkeyPatch, tmp_path: Path) -> None:
    page = tmp_path / "method.md"
    page.write_text("before\n<!-- proof -->\nstale\n<!-- proof -->\nafter\n")
    assert run(monkeypatch, "prove", "--sets", "20", "--rough", "20", "--into", str(page)) == 0
    text = page.read_text()
    assert text.startswith("before\n")
    assert text.endswith("after\n")
    assert text.count(": 20 sets") == 4
    assert "stale" not in text


def test_whoever_has_the_file_lets_somebody_in_again(
    monkeypatch: pytest.MonkeyPatch, capsys: pytest.CaptureFixture[str], db: Path
) -> None:
    at = ("--db", str(db))
    assert run(monkeypatch, "people", "code", "ines torvald", *at) == 0
    code = capsys.readouterr().out.split()[-1]
    assert run(monkeypatch, "people", "add", "Bram Aldous", "viewer", *at) == 0
    with closing(connect(db)) as conn:
        assert redeem(conn, code, "carbon copper brass", datetime(2026, 11, 24)).role == "lead"
    assert run(monkeypatch, "people", "role", "Bram Aldous", "technician", *at) == 0
    assert run(monkeypatch, "people", "end", "Ines Torvald", *at) == 0
    capsys.readouterr()
    assert run(monkeypatch, "people", "list", *at) == 0
    bram, ines = capsys.readouterr().out.splitlines()
    assert bram.split() == ["Bram", "Aldous", "technician", "has", "never", "signed", "in"]
    assert "lead        password since 2026-11-24" in ines
    for wrong in (("code", "Nobody"), ("role", "Bram Aldous", "boss"), ("add", "Bram Aldous", "lead")):
        assert run(monkeypatch, "people", *wrong, *at) == 2
    assert run(monkeypatch, "people", "list", "--db", f"{db}.none") == 2


def test_the_shops_own_certificate_serves_over_tls(
    monkeypatch: pytest.MonkeyPatch, capsys: pytest.CaptureFixture[str], tmp_path: Path
) -> None:
    wanted = ("certificate", "shop.example", "127.0.0.1", "--into", str(tmp_path))
    assert run(monkeypatch, *wanted) == 0
    said = capsys.readouterr().out
    cert, key = tmp_path / "norvash-cert.pem", tmp_path / "norvash-key.pem"
    assert f"--allow shop.example --allow 127.0.0.1 --tls {cert} {key}" in said
    assert key.stat().st_mode & 0o077 == 0
    assert run(monkeypatch, *wanted) == 2
    assert run(monkeypatch, "certificate", "no name!", "--into", str(tmp_path / "other")) == 2
    server, client = ssl.SSLContext(ssl.PROTOCOL_TLS_SERVER), ssl.create_default_context(cafile=str(cert))
    server.load_cert_chain(cert, key)
    incoming, outgoing = ssl.MemoryBIO(), ssl.MemoryBIO()
    ours = server.wrap_bio(incoming, outgoing, server_side=True)
    theirs = client.wrap_bio(outgoing, incoming, server_hostname="shop.example")
    for side in (theirs, ours, theirs, ours):
        with suppress(ssl.SSLWantReadError):
            side.do_handshake()
    assert theirs.version() == "TLSv1.3"
    ending = ends(cert)
    assert ending.own
    for left, words in ((61, ""), (60, "in 60 days"), (14, "renew it now"), (0, "in 0 days"), (-1, "has ended")):
        found = ending.words(ending.on - timedelta(days=left))
        assert (words in found, bool(found)) == (True, bool(words)), left
    with closing(connect(tmp_path / "shop.db")) as conn:
        migrate(conn)
    assert run(monkeypatch, "check", "--db", str(tmp_path / "shop.db"), "--tls", str(cert)) == 0
    assert f"{cert} ends on {ending.on}." in capsys.readouterr().out
    assert run(monkeypatch, "check", "--db", str(tmp_path / "shop.db"), "--tls", str(key)) == 2


def test_it_says_its_version(monkeypatch: pytest.MonkeyPatch, capsys: pytest.CaptureFixture[str]) -> None:
    assert run(monkeypatch, "--version") == 0
    assert re.fullmatch(r"norvash \d+\.\d+\.\d+\n", capsys.readouterr().out)


@pytest.mark.parametrize(
    ("host", "names", "secure", "words"),
    [
        ("0.0.0.0", (), True, "no name is allowed"),
        ("0.0.0.0", ("shop.example",), False, "for all to read"),
        ("0.0.0.0", ("shop.example",), True, ""),
        ("127.0.0.1", (), False, ""),
        ("127.0.0.1", ("http://shop",), False, "not a host name"),
    ],
)
def test_others_on_the_network_come_in_by_name_and_over_tls_only(
    host: str, names: tuple[str, ...], secure: bool, words: str
) -> None:
    if not words:
        assert check_allowed(host, names, secure=secure) == names
        return
    with pytest.raises(InputError, match=words):
        check_allowed(host, names, secure=secure)


@pytest.mark.parametrize("hours", ["0", "0.2", "73", "nan", "inf", "-1", "twelve", ""])
def test_a_sign_in_without_an_end_is_not_served(
    hours: str, monkeypatch: pytest.MonkeyPatch, capsys: pytest.CaptureFixture[str], tmp_path: Path
) -> None:
    assert run(monkeypatch, "serve", "--db", str(tmp_path / "shop.db"), f"--idle={hours}") == 2
    assert "give hours from 0.25 to 72" in capsys.readouterr().err


@pytest.mark.parametrize(
    ("host", "allowed", "announced"),
    [
        ("127.0.0.1", (), "127.0.0.1"),
        ("::1", (), "[::1]"),
        ("127.0.0.1", ("shop.example",), "shop.example"),
        ("127.0.0.1", ("shop.example", "127.0.0.1"), "127.0.0.1"),
        ("0.0.0.0", ("shop.example",), "shop.example"),
        ("::", ("shop.example", "[::1]"), "shop.example"),
    ],
)
def test_a_start_announces_an_address_that_it_answers_to(host: str, allowed: tuple[str, ...], announced: str) -> None:
    settings = Settings(db=Path("none.db"), host=host, allowed_hosts=allowed)
    assert settings.announced == announced
    assert settings.announced in settings.hosts
