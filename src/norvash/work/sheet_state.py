"""A sheet put together from the record, and what it says of its motor beyond the readings."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from datetime import date

from norvash.core.findings import Finding
from norvash.core.motor.figures import Figures
from norvash.core.motor.record import BrushSet, Overrule
from norvash.core.part_findings import BY_ID
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.given import Given
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.voices import voices
from norvash.store import entries
from norvash.store.database import Connection
from norvash.store.sheets import DeferredRow, SheetRow

Noted = tuple[tuple[int, Finding], ...]


@dataclass(frozen=True, slots=True)
class Beside:
    """What sheets say of a motor beside its readings: findings, what was overruled, and a look asked for."""

    noted: Noted
    overrules: tuple[Overrule, ...] = ()
    look_on: date | None = None


_GONE = ("done", "dropped")
# What is held against the last sheet that has it.
COMPARED = ("insulation-mohm", "insulation-c", "vibration")


def put_together(
    conn: Connection, row: SheetRow, facts: Facts, written: Mapping[tuple[str, int], Given] | None = None
) -> Sheet:
    """Return a sheet with its entries, read anew unless they are given."""
    entered = entries.list_entries(conn, row.id) if written is None else written
    earlier = (
        entries.list_earlier(conn, row.motor_id, row.number, COMPARED)
        if any((f, 0) in entered for f in COMPARED)
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
    put_off = [(d.position, BY_ID[d.finding]) for d in deferred if d.finding in BY_ID]
    if row is None or sheet is None:
        return Beside(tuple(put_off))
    gone = _settled(sheet.entries)
    found = list(voices(sheet, rules, _worn(sets, figures))) if row.signed_at is None else []
    once = {(p, f.id): f for p, f in (*put_off, *found) if (p, f.id) not in gone}
    noted = [(p, f) for (p, _), f in once.items()]
    latest = max((r.at for s in sets for r in s.rounds), default=row.at)
    if row.signed_at is not None and row.at < latest:
        return Beside(tuple(noted))
    sooner = str(row.signed.get("sooner") or "")
    return Beside(tuple(noted), _overrules(sheet), date.fromisoformat(sooner) if sooner else None)


def _settled(written: Mapping[tuple[str, int], Given]) -> frozenset[tuple[int, str]]:
    """Return what was mended or dropped on a sheet, as place and finding."""
    return frozenset(
        (p, f.removeprefix("decide.")) for (f, p), g in written.items() if f.startswith("decide.") and g.word in _GONE
    )


def unsettled(seen: Sequence[tuple[int, str]], written: Mapping[tuple[str, int], Given]) -> tuple[tuple[int, str], ...]:
    """Return what was seen on brushes and neither mended nor dropped on the sheet of that round."""
    gone = _settled(written)
    return tuple(s for s in seen if s not in gone)


def _overrules(sheet: Sheet) -> tuple[Overrule, ...]:
    return tuple(
        Overrule(f.removeprefix("overrule."), g.word, g.person, str(g.more.get("why", "")), g.at.date())  # type: ignore[arg-type]
        for (f, _), g in sheet.entries.items()
        if f.startswith("overrule.") and g.word
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
    return tuple(max(figures.need("new_mm") - mm, 0.0) for mm in newest.values())
