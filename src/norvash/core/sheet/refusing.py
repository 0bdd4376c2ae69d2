"""What is refused as it is entered, by what stands on the sheet beside it."""

from norvash.core.rules.book import MotorRules
from norvash.core.sheet.field import BEARINGS, Field
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.stages.drive.bearings import BEARING_GREASED
from norvash.core.sheet.stages.drive.says import bearing_at
from norvash.core.sheet.stages.prove.refused import refuse_run
from norvash.errors import InputError


def refuse(field: Field, place: int, *, word: str, number: float | None, sheet: Sheet, rules: MotorRules) -> None:
    """Refuse what must not be done to this motor.

    Raises: InputError that says what is right.
    """
    refuse_run(field, place, word=word, number=number, sheet=sheet, rules=rules)
    if field is BEARING_GREASED and word == "grease":
        _grease(sheet, place)


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
