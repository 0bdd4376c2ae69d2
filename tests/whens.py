"""The law of look, plan and limit: on every day on which a motor rises, a day before and a day after."""

from collections.abc import Iterator
from datetime import date, timedelta
from typing import Any

from norvash.core.state.findings import Findings
from norvash.core.state.marks import Mark
from norvash.core.text.words import day_words
from norvash.store.file.database import Connection
from norvash.web.api.motor_told import motor_told
from norvash.work.reading.loading import load
from norvash.work.reading.standing import Judged, judge


def broken_whens(conn: Connection, motor_id: str, today: date) -> list[str]:
    """Return what is said wrongly of when a motor is looked at, changed or at its limit."""
    context = load(conn, motor_id)
    rises = {r.on + timedelta(days=d) for r in judge(context, today).found.rises for d in (-1, 0, 1)}
    return [f"{day}: {x}" for day in sorted({today, *rises}) for x in _broken(judge(context, day), conn, day)]


def _broken(judged: Judged, conn: Connection, day: date) -> Iterator[str]:
    found, when = judged.found, judged.found.when
    context = judged.context
    rests = context.motor.gone_by(day) is not None or context.state.away or found.grade == "stop"
    if rests and when.all():
        yield "it is out of service, and has a date"
    for first, last in ((when.look, when.plan), (when.plan, when.limit)):
        if first is not None and last is not None and after(first, last):
            yield f"the {first.kind} of {first.name} comes after the {last.kind} of {last.name}"
    kept = conn.execute(
        "select look_on, look_by, limit_on from standing where motor_id = ?", (judged.context.motor.id,)
    ).fetchone()
    of_day = (kept["look_on"], kept["look_by"], kept["limit_on"]) if kept is not None else None
    said = (iso(when.look), when.look.name if when.look is not None else "", iso(when.limit))
    if of_day is not None and of_day != said:
        yield f"the lists say {of_day}, the motor {said}"
    yield from _otherwise_in_json(judged)
    yield from _otherwise_in_figures(found, judged)


def after(mark: Mark, end: Mark) -> bool:
    """Tell whether a mark comes after another, by day or by use."""
    if mark.on is not None and end.on is not None:
        return mark.on > end.on
    return mark.at_units is not None and end.at_units is not None and mark.at_units > end.at_units + 1e-9


def iso(mark: Mark | None) -> str | None:
    """Return the day of a mark as it is kept."""
    return mark.on.isoformat() if mark is not None and mark.on is not None else None


def _otherwise_in_json(judged: Judged) -> Iterator[str]:
    told, when = motor_told(judged), judged.found.when
    marks: Any = told["when"]
    holding = {x["kind"]: (x["by"], x["on"]) for x in marks if x["holds"]}
    named = {m.kind: (m.name, m.on) for m in (when.look, when.plan, when.limit) if m is not None}
    if holding != named:
        yield f"JSON names {holding}, the motor {named}"
    days = [m.on if m is not None else None for m in (when.look, when.plan, when.limit)]
    if [told["look_on"], told["plan_on"], told["limit_on"]] != days:
        yield f"JSON has other days than {days}"


def _otherwise_in_figures(found: Findings, judged: Judged) -> Iterator[str]:
    """Yield the figures under the line that say another day or another name than what rules."""
    for kind, mark in (("look", found.when.look), ("plan", found.when.plan)):
        for figure in judged.own.figures:
            if not figure.words.startswith(f"{kind} "):
                continue
            if mark is None:
                yield f"the line has a {kind}, the motor none"
            elif mark.on is not None and day_words(mark.on) not in f"{figure.value} {figure.beside}":
                yield f"the line says the {kind} is {figure.value} {figure.beside}, the motor {mark.on}"
