"""How a motor ran before: after its last good repair, at a first run; and what was stated of it since."""

from collections.abc import Mapping
from dataclasses import dataclass, fields
from typing import Any

from norvash.core.motor.figure import Number
from norvash.core.record.record import SheetRow
from norvash.core.sheet.sheet import Baseline, Gone
from norvash.core.stages.prove.unstated import OF_RUN
from norvash.core.text.quantities import UNITS
from norvash.store.access import members as access
from norvash.store.file.database import Connection
from norvash.store.record import moved, sheets

_TWO = 2


@dataclass(frozen=True, slots=True)
class RunsBefore:
    """How a motor ran before, and which figures of a run were taken away or first stated since the sheet was opened, as
    the sheet has them.
    """

    baseline: Baseline | None = None
    first_run: Baseline | None = None
    gone: tuple[Gone, ...] = ()
    stated_here: frozenset[str] = frozenset()


NO_RUNS = RunsBefore()


def runs_before(conn: Connection, row: SheetRow) -> RunsBefore:
    """Return what earlier visits, and acts since, say of the runs of a motor."""
    gone, here = _figures(conn, row)
    ran = [(s.number, _ran(s)) for s in sheets.last_certificates(conn, row.motor_id, row.number)]
    baseline, first = (
        next((_as_baseline(n, told) for n, told in ran if bool(told.get("first")) is without), None)
        for without in (False, True)
    )
    return RunsBefore(baseline, first if baseline is None else None, gone, here)


def _figures(conn: Connection, row: SheetRow) -> tuple[tuple[Gone, ...], frozenset[str]]:
    """Return the figures of a run that were taken away without another confirming it, and those first stated since the
    sheet was opened; one that was both is neither.
    """
    names = {f.name: f for f in OF_RUN}
    taken: dict[str, moved.FigureMoved] = {}
    here: set[str] = set()
    for m in moved.list_stated_or_taken(conn, row.motor_id, names):
        if m.after is not None:
            taken.pop(m.name, None)
            here |= {m.name} if m.at >= row.at else set()
        elif m.name not in here and not m.confirmed:  # one that was stated at this visit is not missed
            taken[m.name] = m
        here -= {m.name} if m.after is None else set()
    alone = len([m for m in access.list_members(conn) if m.may_write]) < _TWO if taken else False
    gone = tuple(Gone(words=_words(names[m.name], m.before), person=m.person, alone=alone) for m in taken.values())
    return gone, frozenset(here)


def _words(figure: Number, value: str | None) -> str:
    """Return a figure as it stood: “power 500 W”."""
    return f"{figure.label.lower()} {float(value or 0):g} {next(iter(UNITS[figure.dimension]))}"


def _ran(sheet: SheetRow) -> Mapping[str, Any]:
    told = sheet.signed.get("told")
    ran = told.get("ran") if isinstance(told, dict) else None
    return ran if isinstance(ran, dict) else {}


def _as_baseline(number: int, ran: Mapping[str, Any]) -> Baseline:
    return Baseline(sheet=number, **{f.name: ran[f.name] for f in fields(Baseline) if f.name in ran})
