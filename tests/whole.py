"""Whole answers as they are kept beside the tests, so that nothing in them moves unseen."""

import json
import os
from dataclasses import fields, is_dataclass
from datetime import date
from pathlib import Path

import pytest

from norvash.core.sheet.finding import Finding

DATA = Path(__file__).parent / "data"
# A name has at most so many blanks; under the other a number is what adding up leaves.
_NAME, _NOISE = 2, 1e-15


def kept(value: object) -> object:
    """Return an answer as it is kept: numbers to six digits, names as they are, of sentences only that they are there.

    A text that is the whole answer is kept to the letter.
    """
    if isinstance(value, Finding):
        return value.id
    if is_dataclass(value) and not isinstance(value, type):
        return {f.name: kept(getattr(value, f.name)) for f in fields(value)}
    if isinstance(value, dict):
        return {str(k): kept(v) for k, v in value.items()}
    if isinstance(value, list | tuple):
        return [kept(v) for v in value]
    return _kept_alone(value)


def _kept_alone(value: object) -> object:
    if isinstance(value, str):
        return "words" if value.count(" ") > _NAME else value
    if isinstance(value, date):
        return value.isoformat()
    if isinstance(value, float):
        return float(f"{value:.6g}") if abs(value) > _NOISE else 0.0
    return value


def whole(answer: object) -> object:
    """Return an answer as it is kept, a text to the letter."""
    return answer if isinstance(answer, str) else kept(answer)


def same(got: object, known: object, rel: float) -> bool:
    """Tell whether an answer is the known one, its numbers within a share of theirs."""
    if isinstance(known, dict):
        return isinstance(got, dict) and got.keys() == known.keys() and all(same(got[k], known[k], rel) for k in known)
    if isinstance(known, list):
        return (
            isinstance(got, list)
            and len(got) == len(known)
            and all(same(g, k, rel) for g, k in zip(got, known, strict=True))
        )
    if isinstance(known, float) and isinstance(got, int | float):
        return got == pytest.approx(known, rel=rel, abs=rel * 1e-3)
    return got == known


def assert_nothing_moved(name: str, answers: list[object], rel: float = 0.0) -> None:
    """Compare answers with those kept in a file of `data`, numbers to `rel` of themselves.

    After a wanted change `ANEW=1 pytest -k moves` writes them anew: read what moved before it is committed.
    """
    wanted = json.loads((DATA / name).read_text()) if (DATA / name).exists() else []
    if os.environ.get("ANEW"):
        told = [json.loads(json.dumps(whole(a))) for a in answers]
        paired = zip(told, wanted, strict=False)  # the last digit of another machine is no move
        kept_so = [k if same(t, k, rel) else t for t, k in paired] + told[len(wanted) :]
        lines = ",\n".join(json.dumps(a, ensure_ascii=False) for a in kept_so)
        (DATA / name).write_text(f"[\n{lines}\n]\n")
        wanted = kept_so
    for got, known in zip(answers, wanted, strict=True):
        told = json.loads(json.dumps(whole(got)))
        assert same(told, known, rel), (told, known)


def assert_no_word_moved(name: str, text: str) -> None:
    """Compare a text with the one kept in a file of `data`, to the letter; it is written anew as answers are."""
    if os.environ.get("ANEW"):
        (DATA / name).parent.mkdir(exist_ok=True)
        (DATA / name).write_text(text)
    assert text == (DATA / name).read_text()
