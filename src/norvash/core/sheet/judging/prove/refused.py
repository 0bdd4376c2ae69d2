"""What a run must not be: too many volts without load, a burst that is too long; refused as it is entered."""

from dataclasses import replace

from norvash.core.edges import over, under
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.field import Field
from norvash.core.sheet.judging.prove.since import read_since
from norvash.core.sheet.judging.prove.speed import unloaded_limit
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.stages.prove.run_fields import BARE, RUN_HOW, RUN_RPM, RUN_S, RUN_V, RUN_WHERE
from norvash.core.sheet.stages.prove.volts import too_much
from norvash.core.sheet.visit.done import last_work
from norvash.core.text.words import grouped
from norvash.errors import InputError


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
        raise InputError(
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
    forbidden = too_much(volts, sheet.facts, rules, speed_read=bool(read) and len(read) == len(before))
    if forbidden:
        raise InputError(
            f"Without load {forbidden}.", "Turn it down, or couple its load and say that it runs with it.", "value"
        )
    most = unloaded_limit(sheet.facts) if sheet.facts.runs_away else None
    if most is not None and read and not under(max(read), most.rpm):
        raise InputError(
            f"No more volts: it has turned at {grouped(max(read))} r/min, {most.why}.", "Switch it off.", "value"
        )
