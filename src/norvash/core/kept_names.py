"""Names that changed: what a kept name is called today, and what is still known of one that nothing has any more.

A database, a file, a queue in a browser or a program may hold a name for years. One that is renamed in the code stands
here with its new name, one that is taken out with what its rows still need; a test holds that none goes without.
"""

from collections.abc import Mapping
from dataclasses import dataclass
from types import MappingProxyType
from typing import Literal

from norvash.core.grades import Grade

Kind = Literal[
    "finding",
    "task",
    "field",
    "answer",
    "figure",
    "word",
    "rule",
    "school",
    "option",
    "policy",
    "cause",
    "sign",
    "gate",
    "step",
    "sum",
    "part",
    "stage",
    "measured",
]


@dataclass(frozen=True, slots=True, kw_only=True)
class Retired:
    """What is left of a name that is gone: its words, and of a finding its grade and its part."""

    words: str
    grade: Grade = "change"
    part: str = ""


# By kind the names of today, under those that they had before; an answer is named “field=answer”, as are the words of a
# figure and the options of a school.
RENAMED: Mapping[Kind, Mapping[str, str]] = MappingProxyType({})
RETIRED: Mapping[Kind, Mapping[str, Retired]] = MappingProxyType(
    {"rule": {"terminal.small-current": Retired(words="current up to which a terminal on mains may have 0.1 Ω")}}
)
KEPT_BY_ANOTHER = "kept by a version that knew more"
# A field that is named by what it speaks of, by what its name begins with.
NAMED_BY: Mapping[str, Kind] = MappingProxyType(
    {
        "decide.": "finding",
        "gone.": "finding",
        "seen.": "finding",
        "task.": "task",
        "sign.": "sign",
        "ruled-out.": "cause",
        "overrule.": "part",
        "waive.": "gate",
        "confirm.": "gate",
        "step.": "step",
        "remark.": "stage",
        "skip.": "stage",
        "sound.": "stage",
    }
)


def name_now(kind: Kind, name: str) -> str:
    """Return what a kept name is called today, itself where it was never renamed.

    >>> name_now("finding", "commutator.pitch")
    'commutator.pitch'
    """
    renamed = RENAMED.get(kind, {})
    if name in renamed:
        return renamed[name]
    if kind == "field":
        start, rest = split_field(name)
        return f"{start}{name_now(NAMED_BY[start], rest)}" if start else name
    return name


def answer_now(kind: Kind, of: str, word: str) -> str:
    """Return what an answer in a field, a word of a figure or an option of a school is called today."""
    return name_now(kind, f"{of}={word}").removeprefix(f"{of}=")


def split_field(name: str) -> tuple[str, str]:
    """Return what the name of a field begins with and what it is named by, both empty for one with a name of its own.

    >>> split_field("decide.face.burnt")
    ('decide.', 'face.burnt')
    """
    start = next((s for s in NAMED_BY if name.startswith(s) and name != s), "")
    return start, name.removeprefix(start) if start else ""


def left_of(kind: Kind, name: str) -> Retired | None:
    """Return what is left of a name that is gone, None for one that was never retired."""
    return RETIRED.get(kind, {}).get(name)
