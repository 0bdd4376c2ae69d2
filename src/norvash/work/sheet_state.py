"""A sheet put together from the record, and what it says of its motor beyond the readings."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from datetime import date

from norvash.core.motor.figure_fields import NEW_MM
from norvash.core.motor.figures import Figures
from norvash.core.motor.record import BrushSet, Overrule
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.field import Decision
from norvash.core.sheet.finding import Noted
from norvash.core.sheet.given import Given
from norvash.core.sheet.noted import GONE, noted
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.stages.catalogue import FIELDS, FINDINGS, field_of
from norvash.core.sheet.stages.decide import OVERRULED, decided_finding
from norvash.store import entries
from norvash.store.database import Connection
from norvash.store.sheets import DeferredRow, SheetRow


@dataclass(frozen=True, slots=True)
class Beside:
    """What sheets say of a motor beside its readings: findings, what was overruled, and a look asked for."""

    noted: tuple[Noted, ...]
    overrules: tuple[Overrule, ...] = ()
    look_on: date | None = None


# What is held against the last sheet that has it.
_COMPARED = tuple(f.id for f in FIELDS if f.compared)


def put_together(
    conn: Connection, row: SheetRow, facts: Facts, written: Mapping[tuple[str, int], Given] | None = None
) -> Sheet:
    """Return a sheet with its entries, read anew unless they are given."""
    entered = entries.list_entries(conn, row.id) if written is None else written
    earlier = (
        entries.list_earlier(conn, row.motor_id, row.number, _COMPARED)
        if any((f, 0) in entered for f in _COMPARED)
        else {}
    )
    return Sheet(
        id=row.id,
        number=row.number,
        kind=row.kind,
        at=row.at,
        person=row.person,
        facts=facts,
        entries=entered,
        signed_at=row.signed_at,
        earlier=earlier,
    )


def beside(
    row: SheetRow | None,
    sheet: Sheet | None,
    deferred: Sequence[DeferredRow],
    *,
    figures: Figures,
    sets: Sequence[BrushSet],
    rules: MotorRules,
) -> Beside:
    """Return what stands beside the readings by the newest sheet.

    What was overruled or asked for lasts until the next visit.
    """
    put_off = [(d.position, FINDINGS[d.finding]) for d in deferred if d.finding in FINDINGS]
    if row is None or sheet is None:
        return Beside(tuple(put_off))
    gone = _settled(sheet.entries)
    found = list(noted(sheet, rules, _worn(sets, figures))) if row.signed_at is None else []
    once = {(p, f.id): f for p, f in (*put_off, *found) if (p, f.id) not in gone}
    standing = tuple((p, f) for (p, _), f in once.items())
    latest = max((r.at for s in sets for r in s.rounds), default=row.at)
    if row.signed_at is not None and row.at < latest:
        return Beside(standing)
    sooner = str(row.signed.get("sooner") or "")
    return Beside(standing, _overrules(sheet), date.fromisoformat(sooner) if sooner else None)


def _settled(written: Mapping[tuple[str, int], Given]) -> frozenset[tuple[int, str]]:
    """Return what was mended or dropped on a sheet, as place and finding."""
    gone = [(p, f) for (f, p), g in written.items() if g.word in GONE]
    return frozenset((p, decided_finding(field)) for p, f in gone if isinstance(field := field_of(f), Decision))


def unsettled(seen: Sequence[Noted], written: Mapping[tuple[str, int], Given]) -> tuple[Noted, ...]:
    """Return what was seen on brushes and neither mended nor dropped on the sheet of that round."""
    gone = _settled(written)
    return tuple((p, f) for p, f in seen if (p, f.id) not in gone)


def _overrules(sheet: Sheet) -> tuple[Overrule, ...]:
    given = [(part, field.given(sheet)) for part, field in OVERRULED.items()]
    return tuple(
        Overrule(part, g.word, g.person, g.why, g.at.date())  # type: ignore[arg-type]
        for part, g in given
        if g is not None
    )


def _worn(sets: Sequence[BrushSet], figures: Figures) -> tuple[float, ...]:
    """Return what each brush of the fitted set has lost by its newest reading [mm], nothing for a set of
    unknown age.
    """
    current = sets[-1]
    if not current.fitted_known:
        return ()
    newest: dict[int, float] = {}
    for a_round in current.rounds:
        newest.update({n: m.length_mm for n, m in a_round.readings.items()})
    return tuple(max(NEW_MM.need(figures) - mm, 0.0) for mm in newest.values())
