"""How the code is written: by the formatter, in short modules, with values and endpoints that are given by name."""

import ast
import json
import re
import subprocess
import sys
import tomllib
from functools import cache
from pathlib import Path

ROOT = Path(__file__).parent.parent
SOURCE = sorted((ROOT / "src").rglob("*.py"))
TESTS = sorted((ROOT / "tests").rglob("*.py"))
LINT = tomllib.loads((ROOT / "pyproject.toml").read_text())["tool"]["ruff"]["lint"]
# Modules that hold tables of data, wider than the rest.
TABLES = [ROOT / name for name, codes in LINT["per-file-ignores"].items() if codes == ["E501"]]
REGION = re.compile(r"^# fmt: off\n(.*?)^# fmt: on\n", re.MULTILINE | re.DOTALL)


def ruff(*words: str) -> str:
    command = [sys.executable, "-m", "ruff", words[0], "--config", str(ROOT / "pyproject.toml"), *words[1:]]
    return subprocess.run(command, capture_output=True, text=True, check=False).stdout


def test_modules_are_short() -> None:
    lengths = {p: len(p.read_text().splitlines()) for p in (*SOURCE, *TESTS)}
    assert {p.name: n for p, n in lengths.items() if n > (450 if p in TESTS else 300)} == {}
    assert sorted(lengths[p] for p in SOURCE)[len(SOURCE) // 2] < 150


def test_what_is_sent_to_the_browser_can_be_read_a_line_at_a_time() -> None:
    web = ROOT / "src/norvash/web"
    own = [p for folder in ("templates", "static") for p in (web / folder).rglob("*.*") if "vendor" not in p.parts]
    assert len(own) > 50
    long = [f"{p.name}:{n}" for p in own for n, line in enumerate(p.read_text().splitlines(), 1) if len(line) > 160]
    assert long == []


def test_no_statement_ends_a_line_within_a_tag() -> None:
    """The end of such a line is not sent, so that two attributes would run into each other."""
    tag = re.compile(r"<[a-z](?:\{\{.*?\}\}|\{%.*?%\}|\"(?:\{\{.*?\}\}|\{%.*?%\}|[^\"])*\"|[^<>\"])*>", re.DOTALL)
    templates = sorted((ROOT / "src/norvash/web/templates").rglob("*.html"))
    tags = [(p.name, found) for p in templates for found in tag.findall(p.read_text())]
    assert len(tags) > 1000
    assert [x for x in tags if re.search(r"%\}[ \t]*\n[ \t]*\{%", x[1])] == []


def test_the_formatter_is_only_held_off_tables_of_data() -> None:
    found = {
        p: re.findall(r"# fmt: *(?:off|skip)", p.read_text()) for p in (*SOURCE, *TESTS) if p.name != "test_style.py"
    }
    assert sum(map(len, found.values())) <= 13
    assert {p for p, marks in found.items() if marks} == set(TABLES)
    assert not [p.name for p, marks in found.items() if any("skip" in m for m in marks)]


def test_a_table_is_as_the_formatter_would_have_it_in_wider_lines(tmp_path: Path) -> None:
    assert len(TABLES) > 5
    for i, path in enumerate(TABLES):
        (tmp_path / f"{i}.py").write_text(re.sub(r"^# fmt: (?:off|on)\n", "", path.read_text(), flags=re.MULTILINE))
    ruff("format", "--line-length", "160", str(tmp_path))
    for i, path in enumerate(TABLES):
        regions, formed = REGION.findall(path.read_text()), (tmp_path / f"{i}.py").read_text()
        assert regions, path.name
        for region in regions:
            assert all(isinstance(n, ast.Assign | ast.AnnAssign) for n in ast.parse(region).body), path.name
            assert region.rstrip("\n") in formed, path.name


@cache
def tree(path: Path) -> ast.Module:
    return ast.parse(path.read_text())


def test_values_with_more_than_five_members_are_made_by_name() -> None:
    members: dict[str, int] = {}
    bases: dict[str, list[str]] = {}
    by_name: set[str] = set()
    for path in SOURCE:
        for node in tree(path).body:
            if isinstance(node, ast.ClassDef):
                name, how = f"{path.relative_to(ROOT)}: {node.name}", [ast.unparse(d) for d in node.decorator_list]
                bases[name] = [ast.unparse(b) for b in node.bases]
                if any("dataclass" in d for d in how) or "NamedTuple" in bases[name]:
                    fields = [ast.unparse(n.annotation) for n in node.body if isinstance(n, ast.AnnAssign)]
                    members[name] = sum("ClassVar" not in kind for kind in fields)
                if any("kw_only=True" in d for d in how):
                    by_name.add(name)

    def counted(name: str) -> int:
        above = [n for n in members if n.partition(": ")[2] in bases[name]]
        return members[name] + max((counted(n) for n in above), default=0)

    assert len(members) > 100
    assert [name for name in members if counted(name) > 5 and name not in by_name] == []


def test_endpoints_are_given_by_name() -> None:
    served = re.compile(r"\b(?:router|app)\.(?:get|post|put|delete|head)\(")
    endpoints = [
        (f"{path.stem}.{node.name}", node.args)
        for path in SOURCE
        if "web" in path.parts
        for node in ast.walk(tree(path))
        if isinstance(node, ast.FunctionDef) and any(served.search(ast.unparse(d)) for d in node.decorator_list)
    ]
    assert len(endpoints) > 40
    assert [name for name, args in endpoints if args.args or args.posonlyargs] == []


BRANCHES = "".join(f"    {'el' * (i > 0)}if a == {i}:\n        b = {i}\n" for i in range(9))
RETURNS = "".join(f"    if a == {i}:\n        return {i}\n" for i in range(6))
MADE = {
    "PLR0911": f"def f(a: int) -> int:\n{RETURNS}    return 9\n",
    "PLR0912": f"def f(a: int) -> int:\n    b = 0\n{BRANCHES}    return b\n",
    "PLR0916": "def f(a: int, b: int) -> int:\n    if a and b and a > b and a > 1:\n        return 1\n    return 0\n",
    "PLR0917": "def f(a: int, b: int, c: int, d: int, e: int, g: int) -> int:\n    return a + b + c + d + e + g\n",
    "E501": f'A = "{"word " * 24}"\n',
}


SMALLER = {
    "PLR0911": ("    if a == 5:\n        return 5\n", ""),
    "PLR0912": ("    elif a == 8:\n        b = 8\n", ""),
    "PLR0916": (" and a > 1", ""),
    "PLR0917": ("e: int, g", "e: int, *, g"),
    "E501": ("word word ", ""),
}


def test_a_rule_fires_on_a_made_example_and_not_on_a_smaller_one(tmp_path: Path) -> None:
    for code, text in MADE.items():
        (tmp_path / f"{code}.py").write_text(text)
        (tmp_path / f"under_{code}.py").write_text(text.replace(*SMALLER[code]))
    fired = {
        (Path(m["filename"]).stem, m["code"])
        for m in json.loads(ruff("check", "--output-format", "json", str(tmp_path)))
    }
    for code in MADE:
        assert (code, code) in fired
        assert (f"under_{code}", code) not in fired
