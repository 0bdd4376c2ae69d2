"""No idiom that a fitter would not say: each with its right form, looked for in core, jobs, pages and scripts."""

import ast
import re
from collections.abc import Iterator
from functools import cache
from pathlib import Path

import pytest

ROOT = Path(__file__).parent.parent
SOURCE = ROOT / "src/norvash"

# What is not said (a pattern), what is said in its place, and a sentence that must be caught.
IDIOMS = {
    "is no …": (
        r"(?<![Tt]here )\b(?:is|are) no (?!longer\b|more\b|less\b)(?=\w)",
        "is not a …, or: there is no …",
        "“x” is no number.",
    ),
    "cannot be": (r"\bcannot be(?=[.,;:]|$)", "is not possible", "12 mm cannot be."),
    "above nothing": (
        r"\b(?:above|under|over|below|less than|more than) nothing\b",
        "above 0, below 0",
        "must be above nothing",
    ),
    "anew": (r"\banew\b", "again", "Load this page anew"),
    "is to be": (r"\b(?:is|are) to be (?!\w+ by\b)", "must be", "Its “format” is to be “x”."),
    "so, not so": (r"\bnot so\b|^so$", "yes, no", "Looked at, and not so"),
    "hold against": (r"\bh(?:old|eld) against\b", "compare with", "held against what came"),
    "is not said": (r"\b(?:is|are) not said\b", "is missing, or: say …", "It is not said whether it runs."),
    "so decided": (r"^So (?:decided|settled)\b", "Decided by …", "So decided by Ines."),
    "as it may be": (r"\bthan it may be\b", "than allowed", "hotter than it may be"),
    "need be": (r"\bneed be\b", "need to be", "wider than need be"),
    "statistics": (
        r"\bstandard deviations?\b|\bentropy\b|\d bits?\b",
        "its usual error; 8 times in 10; decides between two causes",
        "robust standard deviations",
    ),
    "quick look": (r"\b[Qq]uick look\b", "look", "A quick look instead"),
    "verdict line": (r"\bverdict line\b", "line", "the verdict line"),
    "utilise": (r"\b(?:utili[sz]e|leverage|perform an?|in order to)\b", "use, do, to", "in order to measure"),
    "please": (r"\b[Pp]lease\b|\b[Ss]orry\b|\b[Oo]ops\b", "say what is wrong and what to do", "Please try again"),
    "American spelling": (
        r"\b(?:color|gray|center|judgment|meter reading|aluminum)\b",
        "colour, grey, centre",
        "gray film",
    ),
}
LEFT = {"web/static/scripts": ("anew",), "core/commutator": ("by chance",)}
_TECHNICAL = re.compile(r"^[a-z0-9_.:/%{}|=&?#\[\]()$ '\"-]*$")


def _docstrings(tree: ast.Module) -> set[int]:
    holders = (ast.Module, ast.ClassDef, ast.FunctionDef, ast.AsyncFunctionDef)
    bodies = (n.body for n in ast.walk(tree) if isinstance(n, holders) and n.body)
    return {id(b[0].value) for b in bodies if isinstance(b[0], ast.Expr) and isinstance(b[0].value, ast.Constant)}


def _in_python(path: Path) -> Iterator[str]:
    tree = ast.parse(path.read_text())
    docs = _docstrings(tree)
    for node in ast.walk(tree):
        if isinstance(node, ast.Constant) and isinstance(node.value, str) and id(node) not in docs:
            yield node.value


def _in_page(path: Path) -> Iterator[str]:
    whole = re.sub(r"\{#.*?#\}", " ", path.read_text(), flags=re.DOTALL)
    for statement in re.findall(r"\{[%{].*?[%}]\}", whole, flags=re.DOTALL):
        yield from (t for t in re.findall(r'"([^"]*)"', statement) if " " in t)
        yield from (t for t in re.findall(r"'([^']*)'", statement) if " " in t)
    text = re.sub(r"\{[%{].*?[%}]\}", " ", whole, flags=re.DOTALL)
    yield re.sub(r"\s+", " ", re.sub(r"<[^>]*>", "\n", text))
    yield from re.findall(r'(?:aria-label|title|placeholder|data-key-says|data-says)="([^"]*)"', text)


def _in_script(path: Path) -> Iterator[str]:
    text = re.sub(r"^\s*//.*$", "", path.read_text(), flags=re.MULTILINE)
    yield from (t for t in re.findall(r'"([^"\n]*)"', text) if " " in t)


@cache
def said() -> tuple[tuple[str, str], ...]:
    """Return everything that somebody may read, with where it stands."""
    found: list[tuple[str, str]] = []
    for folder in ("core", "work", "web", "drawing", "exchange", "devices", "store"):
        for path in sorted((SOURCE / folder).rglob("*.py")):
            found += [(str(path.relative_to(SOURCE)), t) for t in _in_python(path) if " " in t]
    for path in sorted((SOURCE / "web/templates").rglob("*.html")):
        found += [(str(path.relative_to(SOURCE)), t) for t in _in_page(path)]
    for path in sorted((SOURCE / "web/static/scripts").glob("*.js")):
        found += [(str(path.relative_to(SOURCE)), t) for t in _in_script(path)]
    return tuple((where, text) for where, text in found if not re.search(r"\b(?:select|insert into|update) ", text))


@pytest.mark.parametrize("name", IDIOMS)
def test_no_page_says_what_no_fitter_would(name: str) -> None:
    pattern, right, example = IDIOMS[name]
    assert re.search(pattern, example), "the idiom itself is caught"
    assert right
    assert [(where, text[:90]) for where, text in said() if re.search(pattern, text)] == []


def test_what_may_be_read_is_found() -> None:
    assert len(said()) > 2500
    texts = " ".join(text for _, text in said())
    assert [
        w for w in ("Nothing needs hands", "Settle the reading of brush", "The gauge sends nothing") if w not in texts
    ] == []


def test_every_word_has_one_meaning() -> None:
    rows = re.findall(r"^\| ([^|]+) \| ([^|]+) \|$", (ROOT / "docs/words.md").read_text(), flags=re.MULTILINE)
    words = [w.strip() for row in rows for w in row[0].split(",") if row[0] not in ("word", "---")]
    assert len(words) == len(set(words)) > 40
    assert all(len(meaning.split()) >= 3 for word, meaning in rows if word not in ("word", "---"))
