"""What an entry is called: its field, and where it stands."""

from collections.abc import Mapping

from norvash.core.sheet.field import Field
from norvash.core.sheet.numbered import numbered
from norvash.core.sheet.stages.catalogue import FINDINGS, TASKS
from norvash.core.sheet.stages.decide import decided_finding
from norvash.core.sheet.stages.rework import done_task, gone_finding


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
