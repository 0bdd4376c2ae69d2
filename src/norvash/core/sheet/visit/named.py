"""What an entry is called: its field, and where it stands."""

from collections.abc import Mapping

from norvash.core.sheet.field import BEARINGS, SIDES, Field
from norvash.core.sheet.stages.catalogue import FINDINGS, TASKS
from norvash.core.sheet.stages.decide import decided_finding
from norvash.core.sheet.stages.rework import done_task, gone_finding
from norvash.core.windings.circuits import CIRCUITS, PLACES


def field_words(field: Field) -> str:
    """Return what a field is called; one that is named as it comes by its finding or its task."""
    finding = FINDINGS.get(decided_finding(field) or gone_finding(field))
    task = TASKS.get(done_task(field))
    if finding is not None:
        return finding.words
    return task.what if task is not None else field.label


def place_words(field: Field, place: int, labels: Mapping[int, str]) -> str:
    """Return where a value stands, as it follows what its field is called; `labels` are those of the positions."""
    if field.per == "bearing":
        return f", {BEARINGS[place - 1]}"
    if field.per == "circuit" and place:
        return f", {CIRCUITS[PLACES[place]]}"
    if field.per == "side" and place:
        return f", {SIDES[place - 1]}"
    if field.per == "position" and place:
        return f" {labels.get(place, place)}"
    if field.per == "number" and field.whole:
        return f", point {place + 1}" if place else ""
    return f" {place}" if place else ""
