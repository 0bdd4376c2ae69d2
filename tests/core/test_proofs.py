"""What proves what: the table that follows from the declarations, read whole."""

from typing import get_args

import pytest

from norvash.core.sheet.finding import Finding, Proof
from norvash.core.sheet.part import COMPLAINT
from norvash.core.stages.catalogue import FINDINGS, SEEN, TOLD_BY
from whole import assert_no_word_moved


def proofs_of(finding: Finding) -> tuple[str, ...]:
    """Return in words what proves a finding mended after its work, each alone."""
    if finding.part is COMPLAINT:
        return ("the answer that it is gone",)
    told = [f.label.lower() for f in TOLD_BY.get(finding.id, ()) if f.id != finding.look]
    made = []
    if "of-brush" in finding.kinds and not finding.proof:
        made.append("the first reading of another brush")
    if told and finding.proof in ("", "value", "any"):
        made.append(f"a new value: {', '.join(dict.fromkeys(told))}")
    by_look = finding.id in SEEN or not (told or "of-brush" in finding.kinds)
    if finding.proof == "inside":
        made.append("a fresh look, once its figures find it no more")
    if finding.proof in ("look", "any") or (by_look and not finding.proof):
        made.append("a fresh look" if not told or finding.proof else "a fresh look where no figure told it")
    if finding.ends:
        made.append(f"“{FINDINGS[finding.ends].words}” seen there")
    return tuple(made)


def test_the_table_of_what_proves_what_is_read_whole() -> None:
    """A finding that nothing proves has no row to stand in; every change of the table is looked at."""
    assert [i for i, f in FINDINGS.items() if f.grave and not proofs_of(f)] == []
    asked = {i: f for i, f in FINDINGS.items() if f.tasks}
    rows = (
        f"{i} | {f.grade} | {', '.join(t.id for t in f.tasks)} | {'; '.join(proofs_of(f))}" for i, f in asked.items()
    )
    assert_no_word_moved("proofs.txt", "\n".join(rows) + "\n")


@pytest.mark.parametrize("finding_id", [i for i in FINDINGS if i.startswith("spring.")])
def test_no_spring_is_proven_by_another_brush(finding_id: str) -> None:
    """The form of a new set says that what hangs on springs stays open."""
    assert "another brush" not in "; ".join(proofs_of(FINDINGS[finding_id]))


def test_what_is_declared_is_possible() -> None:
    for finding in FINDINGS.values():
        assert finding.proof in get_args(Proof)
        assert not finding.ends or FINDINGS[finding.ends].grade == "fit"
        assert finding.proof != "value" or TOLD_BY[finding.id]
