"""What an entry is called: its field, and where it stands."""

from collections.abc import Mapping

from norvash.core.sheet.field import Field, Quantity, Tick
from norvash.core.sheet.given import Given
from norvash.core.sheet.numbered import numbered
from norvash.core.sheet.records import PaintedMap, Readings
from norvash.core.sheet.records_of_parts import TakenFor
from norvash.core.stages.catalogue import FINDINGS, TASKS
from norvash.core.stages.decide import answer_words, decided_finding
from norvash.core.stages.drive.together import TOGETHER
from norvash.core.stages.rework import done_task, gone_finding
from norvash.core.text.quantities import UNITS


def field_words(field: Field) -> str:
    """Return what a field is called; one that is named as it comes by its finding or its task."""
    finding = FINDINGS.get(decided_finding(field) or gone_finding(field))
    task = TASKS.get(done_task(field))
    if finding is not None:
        return finding.words
    return task.what if task is not None else field.label


def per_of(field: Field) -> str:
    """Return of what the places of a field are numbers; of one that decides, or looks again, those of its finding."""
    finding = FINDINGS.get(decided_finding(field) or gone_finding(field))
    return finding.per if finding is not None and finding.per else field.per


def place_words(field: Field, place: int, labels: Mapping[int, str]) -> str:
    """Return where a value stands, as it follows what its field is called; `labels` are those of the positions."""
    per = per_of(field)
    if per in ("bearing", "circuit", "side") and place:
        return f", {numbered(per, place)}"
    if per == "position" and place:
        return f" {labels.get(place, place)}"
    if per == "number" and field.whole:
        return f", point {place + 1}" if place else ""
    return f" {place}" if place else ""


def said_words(field: Field, given: Given) -> str:
    """Return what was entered in a field, in words."""
    if given.cut is not None:
        return given.cut.words
    if isinstance(given.record, Readings | PaintedMap):
        return given.record.words
    if field is TOGETHER:
        return given.why
    words = answer_words(field, given.word, given.typed)
    if isinstance(given.record, TakenFor):
        words = given.record.name or words
    if isinstance(field, Quantity) and given.typed[-1].isdigit():
        words += f" {next(iter(UNITS[field.dimension]))}"
    if words == field.label:
        words = "yes"
    if isinstance(field, Tick):
        words = "done"
    return ", ".join(filter(None, (words, given.record.words if given.record else "")))
