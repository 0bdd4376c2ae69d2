"""A sheet as the file that plays it: its motor, the use since the set went in, and every entry in its order."""

import json
from collections.abc import Callable, Iterator, Mapping
from datetime import datetime
from typing import Any

from norvash.core.motor.figure import Number
from norvash.core.motor.figure_fields import BY_NAME
from norvash.core.motor.record import BrushSet
from norvash.core.record.record import SheetRow
from norvash.core.sheet.stages.catalogue import stage_of
from norvash.core.sheet.stages.gates import SERVICE
from norvash.core.text.quantities import UNITS
from norvash.core.use.counting import EVENTS
from norvash.core.use.log_entry import Entry as Used
from norvash.exchange.visit_file import FORMAT, SCHEMA
from norvash.store import entries, motors, people, rounds, sets, sheets, use
from norvash.store.database import Connection
from norvash.store.people import Done
from norvash.work.context import Context
from norvash.work.loading import load

Plain = dict[str, Any]
# What comes with an entry, under the names that it is typed by.
_WITH = {
    "who": "who",
    "day": "day",
    "why": "why",
    "barriers": "barriers",
    "minutes": "minutes",
    "took": "minutes",
    "parts": "parts",
    "part": "part",
    "turns": "turns",
    "volts": "volts",
    "way": "way",
}


def export_visit(conn: Connection, sheet_id: str) -> Plain:
    """Return a sheet as plain values that play it; what was taken back by undo is left out.

    Raises: NotFound.
    """
    row = sheets.fetch_sheet(conn, sheet_id)
    context = load(conn, row.motor_id)
    acts = _of_sheet(people.list_acts_since(conn, row.motor_id, row.id), row)
    labels = {p.label: p.number for p in context.positions}
    told = [e for act in acts for e in _entry(conn, act, labels)]
    made = [*_before(conn, context, row), *told]
    return {
        "format": FORMAT,
        "schema": SCHEMA,
        "people": sorted({e["by"] for e in made}),
        "motor": _motor(conn, context, acts),
        "entries": made,
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
        "figures": {name: _figure(name, value) for name, value in sorted(figures.items())},
    }


def _figure(name: str, value: float | str) -> str:
    field = BY_NAME.get(name)  # one that another version knew is written as it stands
    if not isinstance(field, Number):
        return str(value)
    unit = next(iter(UNITS[field.dimension]))
    return f"{float(value):.9g} {unit}".strip()


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
            answer = {"answer": logged.event} if logged.event in EVENTS else {}
            value = f"{logged.entry.counter_units:.9g}"
            yield {"at": _time(logged.entry.at), "by": logged.person, "do": "use", "value": value, **answer}


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


def _entry(conn: Connection, act: Done, labels: Mapping[str, int]) -> Iterator[Plain]:
    made = _MADE.get(act.job)
    if act.job == "change figures":
        yield from ({"at": _time(act.at), "by": act.person} | stated for stated in _stated(act))
    elif made is not None:
        yield {"at": _time(act.at), "by": act.person} | made(conn, act, labels)


def _stated(act: Done) -> Iterator[Plain]:
    """Yield the figures that an act changed, with how that was explained."""
    before, after = plain_of(act.before_json), plain_of(act.after_json)
    said = after.get("explained", {})
    for name in dict.fromkeys((*before, *after)):
        if name in BY_NAME and before.get(name) != after.get(name):
            value = _figure(name, after[name]) if name in after else ""
            yield {"do": "figure", "name": name, "value": value, **said}


def _opened(conn: Connection, act: Done, _labels: Mapping[str, int]) -> Plain:
    after = plain_of(act.after_json)
    safe = {"safe": True} if entries.fetch_entry(conn, f"{act.id}.safe") is not None else {}
    return {"do": "open", "kind": after["look"], "round": after["kind"], **_counter(conn, act), **safe}


def _entered(conn: Connection, act: Done, _labels: Mapping[str, int]) -> Plain:
    after, given = plain_of(act.after_json), entries.fetch_entry(conn, act.id)
    stage, behind = stage_of(after["field"]), entries.entry_behind(conn, act.id)
    made: Plain = {
        "do": "enter",
        "stage": stage.id if stage is not None else "",
        "field": after["field"],
        "place": after["place"],
        "sight": given.sight if given is not None else "",
        "value": after["typed"],
    }
    more = {_WITH[k]: str(x) for k, x in after.items() if k in _WITH and k not in ("field", "place", "typed")}
    made |= {"with": more} if more else {}
    if given is not None and behind is not None and behind.stands:
        made["answer"] = "mistyped" if given.slip else "again"
    return made | ({"why": after["slip"]} if "slip" in after else {})


def _measured(conn: Connection, act: Done, labels: Mapping[str, int]) -> Plain:
    after = plain_of(act.after_json)
    reading, _ = rounds.fetch_reading(conn, act.id)
    made = {"do": "measure", "place": labels[after["position"]], "sight": reading.sight, "value": reading.typed}
    made |= {"method": reading.method, "instrument": reading.instrument}
    return made | ({"answer": "again"} if plain_of(act.before_json) else {})


def _noted(_conn: Connection, act: Done, labels: Mapping[str, int]) -> Plain:
    after = plain_of(act.after_json)
    gone = {"gone": True, "answer": "mistyped", "why": after.get("why", "")} if after["taken back"] else {}
    return {"do": "see", "place": labels[after["position"]], "value": after["seen"], **gone}


def _doubted(conn: Connection, act: Done, _labels: Mapping[str, int]) -> Plain:
    before, after = plain_of(act.before_json), plain_of(act.after_json)
    there = rounds.list_typed(conn, act.result_id, before["typed"])
    reading = next((r for r in there if r.id == before.get("reading")), there[0])
    return {"do": "doubt", "place": reading.position_number, "answer": after["answer"], "why": after.get("why", "")}


def _fitted(conn: Connection, act: Done, labels: Mapping[str, int]) -> Plain:
    after = plain_of(act.after_json)
    nominal = sets.nominal_of(conn, act.id)
    made: Plain = {"do": "fit", "reason": after["reason"], "lengths": {}}
    for label, number in labels.items():
        if label in after["lengths_mm"]:
            made["lengths"][label] = rounds.fetch_reading(conn, f"{act.id}.{number}")[0].typed
        elif number in nominal:
            made["lengths"][label] = "nominal"
    return made | {k: after[k] for k in ("part", "variant", "also") if k in after} | _counter(conn, act)


def _renewed(conn: Connection, act: Done, _labels: Mapping[str, int]) -> Plain:
    after = plain_of(act.after_json)
    lengths = {label: "" if mm is None else f"{mm:.9g} mm" for label, mm in after["renewed"].items()}
    answer = {"answer": after["answer"]} if "answer" in after else {}
    return {"do": "renew", "reason": after["reason"], "lengths": lengths, **answer} | _counter(conn, act)


def _counter(conn: Connection, act: Done) -> Plain:
    typed = use.typed_of(conn, f"{act.id}.use")
    return {"counter": typed} if typed else {}


def _logged(_conn: Connection, act: Done, _labels: Mapping[str, int]) -> Plain:
    after = plain_of(act.after_json)
    day = {"day": after["day"]} if after["day"] != act.at.date().isoformat() else {}
    answer = {"answer": after["event"]} if after["event"] in EVENTS else {}
    return {"do": "use", "value": f"{after['counter']:.9g}", **day, **answer}


def _signed(conn: Connection, act: Done, _labels: Mapping[str, int]) -> Plain:
    service = entries.fetch_entry(conn, f"{act.id}.{SERVICE.confirmed.id}") is not None
    why = plain_of(act.after_json).get("why", "")
    return {"do": "sign"} | ({"why": why} if why else {}) | ({"service": True} if service else {})


def _confirmed(_conn: Connection, act: Done, _labels: Mapping[str, int]) -> Plain:
    after = plain_of(act.after_json)
    return {"do": "confirm", "name": after["name"], "source": after["source"]}


def _added(_conn: Connection, act: Done, _labels: Mapping[str, int]) -> Plain:
    return {"do": "add", "value": plain_of(act.after_json)["added"]}


def _whole(_conn: Connection, _act: Done, _labels: Mapping[str, int]) -> Plain:
    return {"do": "whole"}


_MADE: Mapping[str, Callable[[Connection, Done, Mapping[str, int]], Plain]] = {
    "open a sheet": _opened,
    "enter": _entered,
    "measure": _measured,
    "note a finding": _noted,
    "settle a doubt": _doubted,
    "fit a new set": _fitted,
    "renew brushes": _renewed,
    "log use": _logged,
    "make it a whole sheet": _whole,
    "confirm a change": _confirmed,
    "sign a sheet": _signed,
    "add to a sheet": _added,
}


def plain_of(text: str) -> dict[str, Any]:
    """Return what an act keeps of before or after it."""
    made: dict[str, Any] = json.loads(text)
    return made
