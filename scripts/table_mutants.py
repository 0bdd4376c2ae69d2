"""Mutants of what stands in tables: a value, a flag, a weight, a grade of a module's own statements, one at a time.

They are loaded with their module, so that a switch inside a function cannot choose among them: each is written into a
copy, and the tests run on that.
"""

import ast
import os
import random
import subprocess
import sys
from collections.abc import Iterator
from concurrent.futures import ThreadPoolExecutor
from dataclasses import dataclass
from pathlib import Path

_MILDER = {"stop": "change", "change": "plan", "plan": "watch", "watch": "fit"}
_PATIENCE_S = 240


@dataclass(frozen=True)
class Switch:
    """One place in a table: its file, where it stands, and what stands there instead."""

    path: Path
    start: int
    end: int
    instead: str
    words: str


def switches(path: Path) -> Iterator[Switch]:
    """Yield what can be switched in the tables of a module."""
    text = path.read_bytes()
    starts = [0]
    for line in text.split(b"\n"):
        starts.append(starts[-1] + len(line) + 1)
    for statement in ast.parse(text).body:
        if not isinstance(statement, ast.Assign | ast.AnnAssign):
            continue
        for node in ast.walk(statement.value or ast.Constant(None)):
            instead = _other(node)
            if instead and isinstance(node, ast.Constant) and node.end_col_offset is not None:
                start = starts[node.lineno - 1] + node.col_offset
                end = starts[(node.end_lineno or node.lineno) - 1] + node.end_col_offset
                words = f"{path.name}:{node.lineno}: {text[start:end].decode()} -> {instead}"
                yield Switch(path, start, end, instead, words)


def _other(node: ast.AST) -> str:
    """Return what a constant is switched to, empty for one that only says something."""
    value = node.value if isinstance(node, ast.Constant) else None
    if isinstance(value, bool):
        return str(not value)
    if isinstance(value, int):
        return str(value + 1)
    if isinstance(value, float):
        return repr(value * 1.1 if value else 1.0)
    return f'"{_MILDER[value]}"' if isinstance(value, str) and value in _MILDER else ""


def run(places: list[Path], modules: list[str], tests: list[str], most: int) -> tuple[int, list[str]]:
    """Try a sample of the switches in the copies that are given; return how many were tried, and those that lived."""
    found = [s for m in modules for s in switches(places[0] / m)]
    random.Random(1).shuffle(found)
    sample, lived = found[:most], list[str]()
    shares = [sample[i :: len(places)] for i in range(len(places))]
    with ThreadPoolExecutor(len(places)) as pool:
        for some in pool.map(lambda x: _try_all(*x, places[0], tests), zip(places, shares, strict=True)):
            lived += some
    return len(sample), sorted(lived)


def _try_all(place: Path, share: list[Switch], first: Path, tests: list[str]) -> list[str]:
    return [s.words for s in share if not _dies(place, place / s.path.relative_to(first), s, tests)]


def _dies(place: Path, path: Path, switch: Switch, tests: list[str]) -> bool:
    whole = path.read_bytes()
    path.write_bytes(whole[: switch.start] + switch.instead.encode() + whole[switch.end :])
    command = [
        sys.executable,
        "-m",
        "pytest",
        "-x",
        "-q",
        "-p",
        "no:cacheprovider",
        "--hypothesis-profile=quick",
        *tests,
    ]
    env = {**os.environ, "PYTHONPATH": str(place / "src"), "PYTHONDONTWRITEBYTECODE": "1"}
    try:
        done = subprocess.run(command, cwd=place, env=env, capture_output=True, check=False, timeout=_PATIENCE_S)
    except subprocess.TimeoutExpired:
        return True
    finally:
        path.write_bytes(whole)
    return done.returncode != 0
