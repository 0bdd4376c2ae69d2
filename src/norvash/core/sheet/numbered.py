"""What one of several numbered things on a motor is called, and where a finding is, in words."""

from collections.abc import Mapping
from types import MappingProxyType

from norvash.core.sheet.field import BEARINGS, SIDES
from norvash.core.sheet.finding import Finding
from norvash.core.windings.circuits import CIRCUITS, PLACES

_CALLED: Mapping[str, tuple[str, ...]] = MappingProxyType(
    {"bearing": BEARINGS, "side": SIDES, "circuit": tuple(CIRCUITS[p] for p in PLACES[1:])}
)


def numbered(kind: str, number: int) -> str:
    """Return the name of a bearing, a side, a circuit or a speed setting.

    >>> numbered("bearing", 2), numbered("tap", 3)
    ('other end', 'setting 3')
    """
    called = _CALLED.get(kind, ())
    return called[number - 1] if 0 < number <= len(called) else f"setting {number}"


def place_of(finding: Finding, position: int, labels: Mapping[int, str]) -> str:
    """Return where a finding is: the set, one of several by its number, a brush, else its part."""
    if "of-set" in finding.kinds:
        return "The set"
    if finding.per == "side" and position:
        return f"{numbered(finding.per, position).capitalize()} terminal"
    if finding.per:
        return f"{finding.part.words}, {numbered(finding.per, position)}" if position else finding.part.words
    if finding.part.each and position:
        return f"{finding.part.each} no. {position}"
    return labels.get(position) or finding.part.words
