"""What a fitted set says of itself, or shows, that a set which is offered would be refused for."""

from norvash.core.grades import Grade
from norvash.core.sheet.finding import Finding, finding
from norvash.core.sheet.part import BRUSHES
from norvash.core.stages.shared import FIT_SET


def _wrong(finding_id: str, words: str, grade: Grade, decision: str, *rests_on: str) -> Finding:
    """Return a finding on what a set states: it is the wrong part, and goes with its set."""
    return finding(
        finding_id,
        words,
        grade,
        decision,
        BRUSHES,
        FIT_SET,
        shows=("wrong-part", "yes"),
        kinds={"of-brush", "of-set"},
        rests_on=rests_on,
    )


FINDINGS = (
    SET_VOLTS := _wrong(
        "set.volts", "a set for another voltage", "stop", "take it out: the wrong part", "variant", "rated_v"
    ),
    SET_VARIANT := _wrong(
        "set.variant", "a set of another variant", "stop", "take it out: the wrong part", "variant", "grade"
    ),
    SET_ANGLE := _wrong(
        "set.angle", "a set with another face angle", "change", "take it out: it stands on an edge", "face_angle_deg"
    ),
    SET_GRADE := _wrong("set.grade", "a set of another grade family", "change", "take it out: the wrong part"),
    SET_SECTION := _wrong("set.section", "a set of another section", "change", "take it out: the wrong part"),
    SET_LENGTH := _wrong(
        "set.length", "a set longer than its holder takes", "change", "take it out: the spring sits wrong"
    ),
    SET_LEAD := _wrong("set.lead", "a set whose leads are too short", "change", "take it out before the leads pull"),
    SET_UNLISTED := _wrong("set.unlisted", "a set that is not in its type's table", "change", "take it out, or ask"),
)
# What an offer is refused for, with what it is called once the set is in; what stops a motor comes first.
ABOUT = {
    "voltage": SET_VOLTS,
    "variant": SET_VARIANT,
    "face": SET_ANGLE,
    "grade": SET_GRADE,
    "thickness": SET_SECTION,
    "width": SET_SECTION,
    "length": SET_LENGTH,
    "lead": SET_LEAD,
}
