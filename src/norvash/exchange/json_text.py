"""JSON as somebody hands it in: bounded, whole, each name once."""

import json
import re
from collections.abc import Iterable
from pathlib import Path
from typing import IO, Any

from norvash.errors import InputError, NorvashError

_MOST_SHOWN = 60
_HALF = re.compile("[\ud800-\udfff]")
# As it is escaped; whole characters of two halves are escaped so too.
_MAY_BE_HALF = re.compile(r"\\u[dD][89a-fA-F]")


def read_json(text: str, remedy: str) -> Any:
    """Return what a JSON text says.

    Raises: InputError with the place for what is no JSON, for a name that stands twice in one object, for a number that
    is none or too long, for half a character.
    """
    try:
        made = json.loads(text, object_pairs_hook=_each_once, parse_constant=_no_number)
    except json.JSONDecodeError as error:
        at = f"line {error.lineno}, column {error.colno}"
        raise InputError(f"The input is not whole JSON: {error.msg}.", remedy, at) from None
    except (ValueError, RecursionError) as error:
        what = "it is nested too deeply" if isinstance(error, RecursionError) else "a number in it has too many digits"
        raise InputError(f"The input is not JSON: {what}.", remedy) from None
    if _MAY_BE_HALF.search(text):
        _whole_characters(made)
    return made


def _whole_characters(made: object) -> None:
    """Refuse a text that holds one half of a character of two, which no file and no database can keep.

    Raises: InputError with the place.
    """
    left: list[tuple[object, str]] = [(made, "")]
    while left:
        value, place = left.pop()
        if isinstance(value, dict):
            left += [(name, place) for name in value]
            left += [(inside, f"{place}.{_shown(name)}".lstrip(".")) for name, inside in value.items()]
        elif isinstance(value, list):
            left += [(inside, f"{place}[{n}]") for n, inside in enumerate(value)]
        elif isinstance(value, str) and (half := _HALF.search(value)) is not None:
            words = f"Character {half.start() + 1} of a text{f' at “{place}”' if place else ''} is half of one"
            raise InputError(f"{words}: U+{ord(half[0]):04X}.", "Send the whole character, or leave it out.", place)


def _shown(name: str) -> str:
    """Return a name as it can be said."""
    return _HALF.sub("�", name)[:_MOST_SHOWN]


def read_at_most(source: Path | IO[bytes], most: int) -> bytes:
    """Return what a file holds, or an open one still gives; no more is read than may be.

    Raises: NorvashError for one that cannot be read, InputError for one that is longer.
    """
    try:
        data = _first(source, most + 1)
    except OSError as error:
        raise NorvashError(f"“{source}” cannot be read ({error}).", "Give the path of a file that can.") from None
    if len(data) > most:
        raise InputError(f"The file has over {most} bytes.", f"Give one of at most {most // 1_000_000} MB.", "file")
    return data


def as_text(data: bytes) -> str:
    """Return a text in UTF-8.

    Raises: InputError.
    """
    try:
        return data.decode("utf-8-sig")
    except UnicodeDecodeError as error:
        raise InputError(f"This is not text in UTF-8 (byte {error.start}).", "Save it in UTF-8.", "file") from None


def _first(source: Path | IO[bytes], most: int) -> bytes:
    if not isinstance(source, Path):
        return source.read(most)
    with source.open("rb") as file:
        return file.read(most)


def _each_once(pairs: Iterable[tuple[str, Any]]) -> dict[str, Any]:
    made: dict[str, Any] = {}
    for name, value in pairs:
        if name in made:
            shown = _shown(name)
            raise InputError(f"“{shown}” stands twice in one object.", "Leave it in once.", shown)
        made[name] = value
    return made


def _no_number(word: str) -> Any:
    raise InputError(f"“{word}” is not a number.", "Give a number, or leave it out.")
