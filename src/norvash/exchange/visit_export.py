"""A sheet as the file that plays it: its motor, the use since the set went in, and every entry in its order."""

import json
from collections.abc import Iterator, Mapping
from datetime import datetime

from norvash.core.motor.figure_fields import BY_NAME
from norvash.core.record.record import SheetRow
from norvash.core.state.motor_state import BrushSet
from norvash.core.use.log_entry import Entry as Used
from norvash.exchange.said.motor import figure_typed
from norvash.exchange.said.told import Plain, plain_of
from norvash.exchange.visit_file import ENTRIES, FORMAT, SCHEMA
from norvash.store.file.database import Connection
from norvash.store.record import motors, people, sheets, use
from norvash.store.record.measured import list_measured
from norvash.store.record.people import Done
from norvash.work.reading.context import Context
from norvash.work.reading.loading import load


def export_visit(conn: Connection, sheet_id: str) -> Plain:
    """Return a sheet as plain values that play it; what was taken back by undo is left out.

    Raises: NotFound.
    """
    row = sheets.fetch_sheet(conn, sheet_id)
    context = load(conn, row.motor_id)
    acts = _of_sheet(people.list_acts_since(conn, row.motor_id, row.id), row)
    labels = {p.label: p.number for p in context.positions}
    told = [e for act in acts for e in _lines(conn, act, labels)]
    made = [*_before(conn, context, row), *told]
    kept = [v.as_plain() for v in list_measured(conn, sheet_id)]
    return {
        "format": FORMAT,
        "schema": SCHEMA,
        "people": sorted({e["by"] for e in made}),
        "motor": _motor(conn, context, acts),
        "entries": made,
        **({"measured": kept} if kept else {}),
    }


def export_text(conn: Connection, sheet_id: str) -> str:
    """Return the file of a sheet.

    Raises: NotFound.
    """
    return json.dumps(export_visit(conn, sheet_id), indent=1, ensure_ascii=False)


def _motor(conn: Connection, context: Context, acts: list[Done]) -> Plain:
    """Return the motor as its sheet found it: what was changed of its figures on the way is an entry there."""
    own, of_type = motors.list_figures(conn, context.motor)
    changed = next((plain_of(a.before_json) for a in acts if a.job == "change figures"), None)
    own = own if changed is None else {n: x for n, x in changed.items() if n in BY_NAME}
    figures = {**of_type, **own}
    return {
        "tag": context.motor.tag,
        "name": context.motor.name,
        "place": context.motor.place,
        "class": context.motor.motor_class,
        "brushes": str(len(context.positions)),
        "figures": {name: figure_typed(name, value) for name, value in sorted(figures.items())},
    }


def _before(conn: Connection, context: Context, row: SheetRow) -> Iterator[Plain]:
    """Yield the registration of the motor, at the time its set went in, and the use that was logged since."""
    fitted = next(s for s in reversed(context.sets) if s.fitted_at <= row.at and s.sheet_id != row.id)
    rows = reversed(use.list_log(conn, row.motor_id, 100_000))
    log = [u for u in rows if not u.struck and not u.entry.noted and u.entry.at < row.at]
    before = [u.entry for u in log if u.entry.at <= fitted.fitted_at]
    begun, at, since = before[-1] if before else Used(fitted.fitted_at, 0.0, 0.0), fitted.fitted_at, {}
    if not before and log:  # it went in before the record began
        begun, at = log[0].entry, log[0].entry.at
        since = _since(fitted, begun) if fitted.fitted_known else {}
    by = log[-1].person if log else row.person
    yield {
        "at": _time(at),
        "by": by,
        "do": "register",
        "counter": f"{begun.counter_units:.9g}",
        "set_is_new": fitted.fitted_known and not since,
        **since,
    }
    for logged in log:
        if logged.entry.at > at and logged.event != "calendar":
            value = f"{logged.entry.counter_units:.9g}"
            told = logged.happened.told
            yield {"at": _time(logged.entry.at), "by": logged.person, "do": "use", "value": value, **told}


def _since(fitted: BrushSet, begun: Used) -> Plain:
    """Return since when a set has run that was in the motor before the record began."""
    return {"new_on": fitted.fitted_at.date().isoformat(), "ran": f"{begun.total_units - fitted.fitted_units:.9g}"}


def _time(at: datetime) -> str:
    return at.isoformat()


def _of_sheet(acts: list[Done], row: SheetRow) -> list[Done]:
    """Return the acts of one sheet: those up to its signature, and what was added to it later; undone ones left out."""
    end = next((n for n, a in enumerate(acts) if a.job == "sign a sheet" and n), len(acts) - 1)
    later = [
        a for a in acts[end + 1 :] if a.job == "add to a sheet" and plain_of(a.after_json).get("sheet") == row.number
    ]
    during = acts[: end + 1]
    gone = {a.result_id for a in during if a.job == "undo"}
    return [a for a in (*during, *later) if a.id not in gone and a.job != "undo"]


def _lines(conn: Connection, act: Done, labels: Mapping[str, int]) -> Iterator[Plain]:
    line = _BY_JOB.get(act.job)
    if line is not None:
        yield from ({"at": _time(act.at), "by": act.person} | told for told in line.lines_of(conn, act, labels))


_BY_JOB = {line.job: line for line in ENTRIES.values() if line.job}
