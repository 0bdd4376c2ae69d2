"""Whole answers as they are kept beside the tests, so that nothing in them moves unseen."""

import json
from dataclasses import asdict, is_dataclass
from pathlib import Path

DATA = Path(__file__).parent / "data"
# A name has at most so many blanks; under the other a number is what adding up leaves.
_NAME, _NOISE = 2, 1e-15


def kept(value: object) -> object:
    """Return an answer as it is kept: numbers to six digits, names as they are, of sentences only that they are there.

    A text that is the whole answer is kept to the letter.
    """
    if is_dataclass(value) and not isinstance(value, type):
        return kept(asdict(value))
    if isinstance(value, dict):
        return {str(k): kept(v) for k, v in value.items()}
    if isinstance(value, list | tuple):
        return [kept(v) for v in value]
    if isinstance(value, str):
        return "words" if value.count(" ") > _NAME else value
    if isinstance(value, float):
        return float(f"{value:.6g}") if abs(value) > _NOISE else 0.0
    return value


def whole(answer: object) -> object:
    """Return an answer as it is kept, a text to the letter."""
    return answer if isinstance(answer, str) else kept(answer)


def assert_nothing_moved(name: str, answers: list[object]) -> None:
    """Compare with the answers in a file of `data`; after a wanted change write them anew and read what moved."""
    wanted = json.loads((DATA / name).read_text())
    for got, known in zip(answers, wanted, strict=True):
        assert json.loads(json.dumps(whole(got))) == known


def write_anew(name: str, answers: list[object]) -> None:
    """Write the answers that are to be kept from now on."""
    (DATA / name).write_text("[\n" + ",\n".join(json.dumps(whole(a), ensure_ascii=False) for a in answers) + "\n]\n")
