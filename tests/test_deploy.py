"""What a shop starts Norvash with: unit and container say commands that it knows, and name files that are there; what
is installed from a wheel, without a network, serves what the tree does.
"""

import importlib.util
import json
import os
import re
import shlex
import shutil
import subprocess
import sys
import time
import zipfile
from pathlib import Path
from urllib.request import urlopen

import pytest

from norvash.cli import _parser

ROOT = Path(__file__).parent.parent
UNIT, CONTAINER = (ROOT / "deploy/norvash.service").read_text(), (ROOT / "deploy/Containerfile").read_text()


def test_what_they_start_is_a_command_of_ours() -> None:
    starts = re.search(r"^ExecStart=\S+/norvash (.*)$", UNIT, re.MULTILINE)
    runs = re.search(r"^CMD (\[.*\])$", CONTAINER, re.MULTILINE)
    assert starts
    assert runs
    for words in (shlex.split(starts[1]), json.loads(runs[1])[1:]):
        given = _parser().parse_args(words)
        assert given.host == "0.0.0.0"
        assert given.tls
        assert given.allow
    for line in re.findall(r"^COPY (.*) \S+$", CONTAINER, re.MULTILINE):
        assert all((ROOT / name).exists() for name in line.split()), line


BUILD = "from setuptools.build_meta import build_wheel; build_wheel('..')"


@pytest.mark.long
def test_what_is_installed_from_a_wheel_serves_the_same(tmp_path: Path) -> None:
    source, lib = tmp_path / "source", tmp_path / "lib"
    shutil.copytree(ROOT / "src", source / "src", ignore=shutil.ignore_patterns("__pycache__", "*.egg-info"))
    for name in ("pyproject.toml", "README.md", "LICENSE"):
        shutil.copy(ROOT / name, source)
    subprocess.run([sys.executable, "-c", BUILD], check=True, cwd=source, capture_output=True)
    wheel = next(tmp_path.glob("norvash-*.whl"))
    if importlib.util.find_spec("pip") is not None:
        install = [
            sys.executable,
            "-m",
            "pip",
            "install",
            "-q",
            "--no-deps",
            "--no-index",
            "--target",
            str(lib),
            str(wheel),
        ]
        subprocess.run(install, check=True, capture_output=True)
    else:  # a wheel is a packed folder
        zipfile.ZipFile(wheel).extractall(lib)
    where = subprocess.run(
        [sys.executable, "-c", "import norvash; print(norvash.__file__)"],
        env={**os.environ, "PYTHONPATH": str(lib)},
        capture_output=True,
        text=True,
        check=True,
    )
    assert where.stdout.startswith(str(lib))
    assert _served(tmp_path / "wheel.db", {"PYTHONPATH": str(lib)}) == _served(tmp_path / "own.db", {})


def _served(db: Path, more: dict[str, str]) -> list[tuple[str, int, str]]:
    """Return what a demonstration answers that is started with these variables, without what is new in each page."""
    command = [sys.executable, "-c", "from norvash.cli import main; main()", "demo", "--db", str(db), "--port", "18400"]
    said = db.with_suffix(".log")
    with said.open("w") as out:
        running = subprocess.Popen(command, env={**os.environ, **more}, stdout=out, stderr=out, cwd=db.parent)
    try:
        until, found = time.monotonic() + 60, None
        while found is None:
            assert time.monotonic() < until, said.read_text()
            assert running.poll() is None, said.read_text()
            time.sleep(0.1)
            found = re.search(r"Norvash is on (http://\S+)/", said.read_text())
        return [_answer(found[1], path) for path in ("/who", "/healthz", "/static/styles/all.css", "/static/mark.svg")]
    finally:
        running.terminate()
        running.wait(20)


def _answer(address: str, path: str) -> tuple[str, int, str]:
    with urlopen(address + path) as answer:
        return path, answer.status, re.sub(r"[0-9a-f]{14,}", "ID", answer.read().decode())
