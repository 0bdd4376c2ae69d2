"""What a run must not be: too many volts without load, a burst that is too long; refused as it is entered."""

import re
from dataclasses import replace
from datetime import datetime

from norvash.core.edges import over, under
from norvash.core.judging.prove.run import judge_run
from norvash.core.judging.prove.safe_volts import safe_by_runs
from norvash.core.judging.prove.since import read_since
from norvash.core.judging.prove.speed import unloaded_limit
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.field import Field
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.own_tasks import own_tasks
from norvash.core.stages.prove.run_fields import BARE, RAN, RUN_HOW, RUN_RPM, RUN_S, RUN_V, RUN_WHERE
from norvash.core.stages.prove.volts import too_much
from norvash.core.stages.rework import done_task
from norvash.core.text.words import grouped
from norvash.core.visit.done import last_work
from norvash.errors import JudgedAgainst

_PAINT = re.compile(r"\b(?:paint|varnish|lacquer|spray)", re.IGNORECASE)


def refuse_run(field: Field, place: int, *, word: str, number: float | None, sheet: Sheet, rules: MotorRules) -> None:
    """Refuse a run that its construction forbids; what was read before the last work says nothing of it.

    Raises: InputError with the voltage that is allowed. Source: rules run.start, run.most, run.burst
    """
    sheet = read_since(sheet, last_work(sheet))
    if field is RUN_V and number is not None and RUN_HOW.of(sheet) != "load":
        _volts(sheet, place, number, rules)
    elif field is RUN_HOW and word == "free":
        _volts_read(sheet, rules)
    elif field is RUN_WHERE and word == BARE and RUN_HOW.of(sheet) == "free":
        _volts_read(replace(sheet, facts=replace(sheet.facts, stands=BARE)), rules)
    elif field is RUN_S and number is not None and over(number, rules["run.burst"]):
        raise JudgedAgainst(
            f"A burst of {number:g} s is too long.",
            f"At most {rules['run.burst']:g} s, then two minutes to cool.",
            "value",
        )


def _volts_read(sheet: Sheet, rules: MotorRules) -> None:
    """Refuse that it ran without load, where what was read of its volts is too much for that."""
    for there in RUN_V.places(sheet):
        _volts(sheet, there, RUN_V.of(sheet, there) or 0.0, rules)


def _volts(sheet: Sheet, place: int, volts: float, rules: MotorRules) -> None:
    before = [RUN_RPM.of(sheet, p) for p in RUN_V.places(sheet) if p < place]
    read = [rpm for rpm in before if rpm is not None]
    every = bool(read) and len(read) == len(before)
    forbidden = too_much(volts, sheet.facts, rules, speed_read=every, shown=safe_by_runs(sheet, rules))
    if forbidden:
        raise JudgedAgainst(
            f"Without load {forbidden}.", "Turn it down, or couple its load and say that it runs with it.", "value"
        )
    most = unloaded_limit(sheet.facts) if sheet.facts.runs_away else None
    if most is not None and read and not under(max(read), most.rpm):
        raise JudgedAgainst(
            f"No more volts: it has turned at {grouped(max(read))} r/min, {most.why}.", "Switch it off.", "value"
        )


def refuse_paint(field: Field, word: str, sheet: Sheet, rules: MotorRules) -> None:
    """Refuse paint on a motor that was worked on before a run has proven it.

    Raises: InputError that says what is missing.
    """
    task, worked = own_tasks(sheet).get(done_task(field)), last_work(sheet)
    waits = bool(word) and task is not None and not task.touches and bool(_PAINT.search(task.what))
    if waits and worked > sheet.at and not _proven(sheet, worked, rules):
        raise JudgedAgainst(
            "Paint waits for the proof.", "Run it first: what is painted is not gladly opened.", "value"
        )


def _proven(sheet: Sheet, worked: datetime, rules: MotorRules) -> bool:
    """Tell whether a run since the last work has proven it."""
    ran, run = RAN.given(sheet), judge_run(read_since(sheet, worked), rules)
    return ran is not None and ran.at >= worked and not (run.lacks or run.found)
