"""The command line: forecasts from a file, the proof into a document, wrong input with its remedy."""

import json
import sys
from pathlib import Path

import pytest

from norvash.cli import main

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
