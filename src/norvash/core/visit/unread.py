"""Whether a sheet holds what only another version can read: then nothing on it was taken back by not being found."""

from norvash.core.kept_names import left_of
from norvash.core.sheet.field import Pick
from norvash.core.sheet.given import Given
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.catalogue import field_of


def holds_unread(sheet: Sheet) -> bool:
    """Tell whether a field, an answer or a figure of the motor is named as only another version knows it."""
    known: bool | None = sheet.worked_out.get("unread")
    if known is None:
        entries = any(_is_unread(name, given) for (name, _, _), given in sheet.written.items())
        known = sheet.worked_out["unread"] = entries or bool(sheet.facts.figures.unread)
    return known


def _is_unread(name: str, given: Given) -> bool:
    field = field_of(name)
    if field is None:
        return left_of("field", name) is None
    return isinstance(field, Pick) and bool(given.word) and given.word not in field.answers
