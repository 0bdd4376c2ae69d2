"""Names that are kept: none goes without a word, a renamed one is read and written as that of today."""

import os
import sys
from collections.abc import Iterator, Mapping
from pathlib import Path

import pytest

from names_of_today import every_name
from norvash.core import kept_names as changed
from norvash.core.kept_names import NAMED_BY, RENAMED, RETIRED, Kind, Retired, answer_now, name_now
from norvash.core.sheet.finding import Finding
from norvash.core.stages.catalogue import FIELDS, FINDINGS, field_of, stage_of
from norvash.core.visit.kept_finding import kept_finding, words_to_keep

FROZEN = Path(__file__).parent.parent / "data/names.txt"


def today() -> set[str]:
    return {f"{kind} {name}" for kind, names in every_name().items() for name in names}


def explained(tables: tuple[Mapping[Kind, Mapping[str, object]], ...] = (RENAMED, RETIRED)) -> set[str]:
    return {f"{kind} {name}" for table in tables for kind, names in table.items() for name in names}


def test_no_name_goes_without_a_word(capsys: pytest.CaptureFixture[str]) -> None:
    """Every name that anybody may have kept is one of today, or it is said what became of it.

    `ANEW=1 pytest -k no_name_goes` takes new names up; it lists those that went, and refuses while one has no word.
    """
    frozen = set(FROZEN.read_text().splitlines())
    went = sorted(frozen - today())
    assert [name for name in went if name not in explained()] == [], "say in core/kept_names what became of these"
    if os.environ.get("ANEW"):
        with capsys.disabled():
            sys.stdout.writelines(f"\nwent, with a word: {name}" for name in went)
        FROZEN.write_text("\n".join(sorted(today() | explained())) + "\n")
        frozen = set(FROZEN.read_text().splitlines())
    assert sorted((today() | explained()) - frozen) == [], "new names: ANEW=1 pytest -k no_name_goes"


def test_what_is_said_of_a_name_that_went_holds() -> None:
    known = every_name()
    for kind, names in RENAMED.items():
        for was, now in names.items():
            assert was not in known[kind], was
            assert now in known[kind] or now in names, now
    for kind, left in RETIRED.items():
        assert [name for name in left if name in known[kind]] == []
    parts = known["part"]
    assert all(x.part in parts for x in RETIRED.get("finding", {}).values())


def test_fields_that_are_named_by_something_are_named_by_what_is_registered() -> None:
    known = every_name()
    for field in FIELDS:
        start, rest = changed.split_field(field.id)
        assert field.id in known["field"] if not start else rest in (*known[NAMED_BY[start]], "motor"), field.id


@pytest.fixture
def renamed(monkeypatch: pytest.MonkeyPatch) -> Iterator[None]:
    names: dict[Kind, Mapping[str, str]] = {
        "finding": {"track.pitch": "commutator.pitch"},
        "task": {"poise": "balance"},
        "field": {"dust_mass": "dust-g", "how-urgent": "urgency"},
        "answer": {"urgency=at-once": "urgency=now"},
        "word": {"construction=magnets": "construction=permanent-magnet"},
    }
    monkeypatch.setattr(changed, "RENAMED", names)
    for cached in (field_of, stage_of):
        cached.cache_clear()
    yield
    for cached in (field_of, stage_of):
        cached.cache_clear()


@pytest.mark.usefixtures("renamed")
def test_a_name_of_before_is_read_as_that_of_today() -> None:
    assert [name_now("field", f"{s}track.pitch") for s in ("decide.", "gone.", "seen.")] == [
        f"{s}commutator.pitch" for s in ("decide.", "gone.", "seen.")
    ]
    assert (name_now("field", "task.poise"), name_now("finding", "track.pitch")) == ("task.balance", "commutator.pitch")
    assert answer_now("word", "construction", "magnets") == "permanent-magnet"
    assert answer_now("answer", "urgency", "at-once") == "now"
    for was, now in (("how-urgent", "urgency"), ("decide.track.pitch", "decide.commutator.pitch")):
        assert field_of(was) is field_of(now) is not None
        assert stage_of(was) is stage_of(now) is not None
    assert kept_finding("track.pitch", grade="change").grade == "change"
    assert kept_finding("track.pitch") == FINDINGS["commutator.pitch"]


UNKNOWN: dict[str, tuple[dict[str, str], str, str, str]] = {
    "as its row has it": ({"words": "rings", "grade": "stop", "part": "drive"}, "stop", "drive", "rings"),
    "without a row": ({}, "change", "elsewhere", "later, rings"),
    "of a part that only another version has": ({"part": "hull", "grade": "plan"}, "plan", "elsewhere", "later, rings"),
}


@pytest.mark.parametrize(("row", "grade", "part", "words"), UNKNOWN.values(), ids=UNKNOWN)
def test_a_finding_nobody_knows_keeps_its_grade_and_words(
    row: dict[str, str], grade: str, part: str, words: str
) -> None:
    made = kept_finding("later.rings", **row)  # type: ignore[arg-type]
    assert (made.grade, made.part.id, made.known, "never-runs" in made.kinds) == (grade, part, False, grade == "stop")
    assert made.words == f"{words} (kept by a version that knew more)"
    assert words_to_keep(made) == words
    assert made.decision


def test_what_is_left_of_a_retired_finding_completes_its_row(monkeypatch: pytest.MonkeyPatch) -> None:
    left: dict[Kind, Mapping[str, Retired]] = {
        "finding": {"bearing.sings": Retired(words="a bearing sings", grade="plan", part="drive")}
    }
    monkeypatch.setattr(changed, "RETIRED", left)

    def said(finding: Finding) -> tuple[str, str, str]:
        return finding.grade, finding.part.id, words_to_keep(finding)

    assert said(kept_finding("bearing.sings")) == ("plan", "drive", "a bearing sings")
    assert said(kept_finding("bearing.sings", words="sings at 3 000 r/min", grade="change")) == (
        "change",
        "drive",
        "sings at 3 000 r/min",
    )
