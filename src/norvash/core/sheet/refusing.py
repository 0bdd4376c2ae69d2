"""What is refused as it is entered, by what stands on the sheet beside it."""

from norvash.core.rules.book import MotorRules
from norvash.core.sheet.field import BEARINGS, Decision, Field
from norvash.core.sheet.life import Told
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.stages.catalogue import FINDINGS
from norvash.core.sheet.stages.decide import decided_finding
from norvash.core.sheet.stages.drive.bearings import BEARING_GREASED
from norvash.core.sheet.stages.drive.says import bearing_at
from norvash.core.sheet.stages.prove.refused import refuse_run
from norvash.core.sheet.whole_look import looked_at_whole
from norvash.errors import InputError


def refuse(
    field: Field, place: int, *, word: str, number: float | None, sheet: Sheet, told: Told, rules: MotorRules
) -> None:
    """Refuse what must not be done to this motor.

    Raises: InputError that says what is right.
    """
    if isinstance(field, Decision):
        _decision(field, place, word, sheet, told)
    refuse_run(field, place, word=word, number=number, sheet=sheet, rules=rules)
    if field is BEARING_GREASED and word == "grease":
        _grease(sheet, place)


def _decision(field: Decision, place: int, word: str, sheet: Sheet, told: Told) -> None:
    """Refuse to decide what is not known here, and to drop what stops a motor or what nobody has looked at."""
    finding_id = decided_finding(field)
    kept = next((k.finding for k in told.kept if k.at == (place, finding_id)), None)
    finding = told.now.get((place, finding_id)) or kept or FINDINGS.get(finding_id)
    if finding is None:
        raise InputError("This decision is not known.", "Decide what is found on the sheet.", "value")
    if word != "dropped":
        return
    if finding.grade == "stop" or (kept is not None and kept.grade == "stop"):
        raise InputError(
            f"“{finding.words}” takes it out of service: that is not dropped.",
            "Do it, or put it off with the motor out of service.",
            "value",
        )
    if not finding.known and not looked_at_whole(sheet, finding.part, measured=told.measured):
        raise InputError(
            f"“{finding.words}” is not dropped before somebody has looked at all of it.",
            f"Look at the whole part first: {finding.part.words}.",
            "value",
        )


def _grease(sheet: Sheet, place: int) -> None:
    try:
        found = bearing_at(sheet, place)
    except InputError:
        found = None
    if found is not None and not found.greased:
        sealed = "perhaps sealed" if found.perhaps and not found.sealed else found.seal
        raise InputError(
            f"Not greased: {BEARINGS[place - 1]}, {found.designation}, {sealed}.",
            "A sealed bearing is renewed, never greased.",
            "value",
        )
