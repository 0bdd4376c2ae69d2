"""A stop that is mended for a while with what is at hand: only where a figure of its own, read after it, proves it."""

from collections.abc import Iterable

from norvash.core.sheet.field import Column, Quantity
from norvash.core.sheet.finding import Finding
from norvash.core.sheet.given import Given
from norvash.core.sheet.life import Life
from norvash.core.sheet.part import RUN
from norvash.core.sheet.records import PutOff
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.catalogue import TOLD_BY
from norvash.core.stages.rework import TEMPORARY
from norvash.core.stages.windings.seen import WINDINGS_BINDING
from norvash.errors import JudgedAgainst


def may_be_improvised(finding: Finding) -> bool:
    """Tell whether a stop may be mended for a while: a figure of its own proves it, it lies in the motor, it is not
    what a run showed, neither shocks nor flies apart, and is no binding; guards, brake and cord lie beside the motor.
    """
    told = [f for f in TOLD_BY.get(finding.id, ()) if isinstance(f, Quantity | Column) and f.id != finding.look]
    beside = finding.part.outside or finding.part is RUN or finding.id == WINDINGS_BINDING.id
    return (
        finding.grade == "stop"
        and bool(told)
        and not (beside or "bars-tests" in finding.kinds or "of-brush" in finding.kinds)
    )


def key_of(finding: Finding, position: int) -> str:
    """Return how a temporary repair names what it mends: the finding, with its place where it has one."""
    return f"{finding.id}@{position}" if position else finding.id


def improvised_for(finding: Finding, position: int, sheet: Sheet) -> tuple[Given, ...]:
    """Return the temporary repairs of a sheet that mend a finding at a place."""
    key = key_of(finding, position)
    every = (TEMPORARY.given(sheet, n) for n in TEMPORARY.places(sheet))
    return tuple(g for g in every if g is not None and isinstance(g.record, PutOff) and g.record.mends == key)


def refuse_mending(mends: str, lives: Iterable[Life]) -> None:
    """Refuse a temporary repair of what is not open here, of what is milder than a stop, and of a stop that no figure
    of its own would prove.

    Raises: InputError that says what is right.
    """
    life = next((x for x in lives if key_of(x.finding, x.position) == mends and x.stands), None)
    if life is None:
        raise JudgedAgainst("That is not open here.", "Choose one of what is open, or none.", "mends")
    if life.finding.grade != "stop":
        raise JudgedAgainst(
            f"“{life.finding.words}” does not stop it: it needs no repair to be left for a while.",
            "Decide it as “left so”, with why, who answers for it and until when.",
            "mends",
        )
    if not may_be_improvised(life.finding):
        raise JudgedAgainst(
            f"“{life.finding.words}” is not mended for a while: no figure of its own proves that it holds.",
            "Mend it for good and prove it, or take the machine out of service.",
            "mends",
        )
