"""A finding as its row has it: today's where its name is known, else with the grade and the words that were kept."""

from dataclasses import replace
from types import MappingProxyType

from norvash.core.grades import Grade
from norvash.core.kept_names import KEPT_BY_ANOTHER, left_of, name_now
from norvash.core.sheet.finding import Finding
from norvash.core.sheet.part import BESIDE, PARTS, Part
from norvash.core.stages.catalogue import FINDINGS
from norvash.core.visit.whole_look import renewing

_BY_ANOTHER = f" ({KEPT_BY_ANOTHER})"
_UNKNOWN_GRADE: Grade = "change"
_ELSEWHERE = Part("elsewhere", "Kept from another version")
_PARTS = MappingProxyType({p.id: p for p in (*PARTS, *BESIDE)})


def kept_finding(name: str, *, words: str = "", grade: Grade | None = None, part: str = "", per: str = "") -> Finding:
    """Return a finding that was kept under a name, in the words and with the grade that were kept with it.

    One that this version does not know keeps its grade, or is one of change where none was kept; what is left of a
    retired one completes it.
    """
    known = FINDINGS.get(name_now("finding", name))
    left = left_of("finding", name)
    if known is not None:
        return replace(known, words=words or known.words, grade=grade or known.grade)
    kept_grade = grade or (left.grade if left is not None else _UNKNOWN_GRADE)
    said = words or (left.words if left is not None else name.replace(".", ", "))
    of = _PARTS.get(part or (left.part if left is not None else ""), _ELSEWHERE)
    return Finding(
        id=name,
        words=f"{said}{_BY_ANOTHER}",
        grade=kept_grade,
        decision="look at the whole part",
        part=of,
        tasks=renewing(of) if kept_grade == "stop" else (),
        kinds={"never-runs", "before-power"} if kept_grade == "stop" else {"before-power"},
        known=False,
        per=per,
    )


def words_to_keep(finding: Finding) -> str:
    """Return the words of a finding as they are kept: who kept them first is said when they are read."""
    return finding.words.removesuffix(_BY_ANOTHER)
