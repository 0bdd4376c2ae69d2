"""One entry as it was typed or picked, read by the kind of its field."""

from collections.abc import Mapping
from dataclasses import replace
from datetime import date
from functools import singledispatch

from norvash.core.commutator.bars import GOES_ON, PAINTING, check_bars, goes_on, read_map, write_map
from norvash.core.kept_names import answer_now
from norvash.core.money.here import currency_of
from norvash.core.motor.figure_fields import BARS
from norvash.core.rules.book import MotorRules
from norvash.core.running.log_typed import read_points
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.field import (
    BEARINGS,
    SIDES,
    YES,
    Column,
    Day,
    Decision,
    Done,
    Field,
    Painted,
    Permit,
    Pick,
    Quantity,
    Repair,
    Text,
    Tick,
)
from norvash.core.sheet.fields_of_parts import Added, Back, Costed, Log, Off, Offered, Taken
from norvash.core.sheet.records import PaintedMap, PutOff, Readings, TaskDone, Way, Why
from norvash.core.sheet.records_of_parts import TakenFor
from norvash.core.sheet.records_of_running import RunLog
from norvash.core.stacks.torque import read_band
from norvash.core.stages.catalogue import FINDINGS, RECORDED_BY, TASKS
from norvash.core.stages.decide import ASKED_WHY, DECISIONS, decided_finding
from norvash.core.stages.own_tasks import own_place
from norvash.core.stages.rework import done_task
from norvash.core.stages.ways import MOST_WAYS, NEW_UNIT
from norvash.core.stages.windings.insulation import circuits_of
from norvash.core.text.columns import read_column
from norvash.core.text.quantities import MOST_OHM, parse
from norvash.core.text.texts import clean
from norvash.core.visit.bill import read_bill
from norvash.core.visit.day import read_day
from norvash.core.visit.entry_read import AskedEntry, Read
from norvash.core.visit.instead import ways_of
from norvash.core.visit.named import per_of
from norvash.core.visit.offering import kind_of, read_offer
from norvash.core.visit.permit import MOST_TEXT, part_of, read_permit
from norvash.core.visit.stacked import read_added, read_off, read_put_back
from norvash.errors import InputError, JudgedAgainst

MOST_MINUTES = 6000
_MOST_NUMBER = 99


def read_entry(
    field: Field, text: str, more: Mapping[str, str], *, facts: Facts, rules: MotorRules, today: date
) -> Read:
    """Return an entry as read; an empty text empties the place.

    Raises: InputError at “value”, or at the part of a decision that is missing.
    """
    cleaned = clean(text, "value", note=True)
    cleaned = cleaned if isinstance(field, Column | Log) else " ".join(cleaned.split())
    return _read(field, AskedEntry(cleaned, more, facts, rules, today)) if cleaned else Read("")


def place_of(field: Field, place: int, facts: Facts) -> None:
    """Refuse a place at which a field cannot be entered.

    Raises: InputError.
    """
    numbers = {
        "": 0,
        "position": max((p.number for p in facts.positions), default=0),
        "tap": len(facts.taps),
        "number": _MOST_NUMBER,
        "bearing": len(BEARINGS),
        "side": len(SIDES),
    }
    low, per = 0 if field.per == "" or field.whole else 1, per_of(field)
    if place not in (circuits_of(facts) if per == "circuit" else range(low, numbers[per] + 1)):
        raise InputError("There is no such place on this motor.", "Choose one that is shown.", "place")


@singledispatch
def _read(field: Field, _asked: AskedEntry) -> Read:
    raise LookupError(field.id)


@_read.register
def _tick(_field: Tick, asked: AskedEntry) -> Read:
    if asked.text != YES:
        raise InputError(f"“{asked.text[:40]}” is not a tick.", "Tick it or leave it.", "value")
    return Read(asked.text, asked.text)


@_read.register
def _pick(field: Pick, asked: AskedEntry) -> Read:
    picked = answer_now("answer", field.id, asked.text)
    if picked not in dict(field.choices):
        raise InputError(
            f"“{asked.text[:40]}” is not an answer to “{field.label}”.", "Choose one of those shown.", "value"
        )
    if picked in field.refused:
        raise JudgedAgainst(f"Refused: {field.refused[picked]}.", "Use one of the others.", "value")
    forbidden = field.forbids(asked.facts, asked.rules).get(picked)
    if forbidden is not None:
        raise JudgedAgainst(f"Not possible: {forbidden}.", "Choose one of those that are shown.", "value")
    if field.why:
        why = part_of(asked.more, "why", "Say why: the reason stands beside the verdict")
        return Read(picked, picked, None, Why(why))
    return Read(picked, picked)


@_read.register
def _quantity(field: Quantity, asked: AskedEntry) -> Read:
    if field.dimension == "torque":  # one figure or a band: its upper end is not to be passed
        return Read(asked.text, "", read_band(asked.text).high_nm)
    try:
        typed = parse(asked.text, field.dimension, asked.unit_of(field.dimension))
    except InputError as error:
        raise error.at("value") from None
    if typed.at_least and typed.value > field.high:
        typed = replace(typed, value=field.high)
    if not field.low <= typed.value <= field.high:
        raise InputError(
            f"{field.label}: “{asked.text}” cannot be right.",
            f"Give a value from {field.low:g} to {field.high:g}.",
            "value",
        )
    beside = field.beside(asked.facts, asked.rules) if field.beside is not None else None
    return Read(asked.text, "", typed.value, beside)


@_read.register
def _column(field: Column, asked: AskedEntry) -> Read:
    try:
        read = read_column(asked.text, field.dimension, asked.unit_of(field.dimension))
        values = [field.high if x == MOST_OHM else x for x in read]
    except InputError as error:
        raise error.at("value") from None
    off = next((i for i, x in enumerate(values, start=1) if x is not None and not field.low <= x <= field.high), None)
    if off is not None:
        raise InputError(
            f"{field.label}: reading {off} cannot be right.",
            f"Give values from {field.low:g} to {field.high:g}.",
            "value",
        )
    made = Readings(tuple(None if x is None else float(f"{x:.9g}") for x in values))
    return Read(asked.text, ";".join("-" if x is None else f"{x:.9g}" for x in values), None, made)


@_read.register
def _painted(_field: Painted, asked: AskedEntry) -> Read:
    bars = BARS.stated(asked.facts.figures)
    shown = read_map(asked.text, check_bars(None if bars is None else int(bars), "value"))
    going_on = goes_on(asked.text) or asked.more.get(PAINTING) == YES
    words = "; ".join(filter(None, (write_map(shown), GOES_ON if going_on else "")))
    return Read(words if going_on else asked.text, words, None, PaintedMap(shown))


@_read.register
def _text(field: Text, asked: AskedEntry) -> Read:
    _short_enough(field, asked)
    return Read(asked.text, asked.text)


@_read.register
def _a_day(field: Day, asked: AskedEntry) -> Read:
    _short_enough(field, asked)
    return Read(asked.text, read_day(asked.text, asked.today, "value").isoformat())


def _short_enough(field: Field, asked: AskedEntry) -> None:
    if len(asked.text) > MOST_TEXT:
        raise InputError(
            f"{field.label}: {len(asked.text)} characters are too many.", f"Use at most {MOST_TEXT}.", "value"
        )


@_read.register
def _decide(field: Decision, asked: AskedEntry) -> Read:
    """Return a decision."""
    if asked.text not in DECISIONS:
        raise InputError("This decision is not known.", "Choose one of " + ", ".join(DECISIONS.values()) + ".", "value")
    if asked.text == "deferred":
        return Read(asked.text, asked.text, None, _put_off(asked.more, asked.today))
    if asked.text == "left":
        why = part_of(asked.more, "why", "Say why it is left so")
        return Read(asked.text, asked.text, None, replace(_put_off(asked.more, asked.today), why=why))
    if asked.text == "waits":
        part = part_of(asked.more, "part", "Say which part it waits for")
        day = read_day(part_of(asked.more, "day", "Say by when the part is expected"), asked.today, "day")
        who = " ".join(asked.more.get("who", "").split())
        return Read(asked.text, asked.text, None, PutOff(who=who, day=day, part=part))
    if asked.text in ASKED_WHY:
        return Read(asked.text, asked.text, None, Why(part_of(asked.more, "why", ASKED_WHY[asked.text])))
    way = asked.more.get("way", "") if asked.text == "now" else ""
    return Read(asked.text, asked.text, None, _way(field, way) if way else None)


def _way(field: Decision, task_id: str) -> Way:
    """Return which of the ways to mend something was chosen."""
    finding = FINDINGS.get(decided_finding(field))
    ways = {t.id: t.what for t in ways_of(finding)} if finding is not None else {}
    if task_id not in ways:
        others = f"Choose one of: {'; '.join(ways.values())}." if ways else "Leave it out: there is one way."
        raise InputError("This is not a way to mend it.", others, "way")
    return Way(task_id)


def _put_off(more: Mapping[str, str], today: date) -> PutOff:
    who = part_of(more, "who", "Say who sees to it")
    return PutOff(who=who, day=read_day(part_of(more, "day", "Say by when"), today, "day"))


@_read.register
def _task(field: Done, asked: AskedEntry) -> Read:
    """Return a task that is done, with the time and the parts that somebody states."""
    if asked.text != YES or not (done_task(field) in TASKS or own_place(done_task(field))):
        raise InputError("This is not a task of the work list.", "Tick one that is on it.", "value")
    recorded = RECORDED_BY.get(done_task(field))
    if recorded is not None:
        raise InputError(
            "This work has a record of its own.", f"Enter it there: {recorded.group}, {recorded.label}.", "value"
        )
    took, parts = asked.more.get("minutes", ""), asked.more.get("parts", "")
    minutes = _minutes(took) if took.strip() else None
    used = " ".join(clean(parts, "parts", note=True).split())
    if len(used) > MOST_TEXT:
        raise InputError("That is too long.", f"Use at most {MOST_TEXT} characters.", "parts")
    return Read(asked.text, asked.text, None, TaskDone(minutes, used))


def _minutes(text: str) -> float:
    try:
        minutes = parse(text, "minutes").value
    except InputError as error:
        raise error.at("minutes") from None
    if not 0 < minutes <= MOST_MINUTES:
        raise InputError(f"{minutes:g} min cannot be right.", f"Give up to {MOST_MINUTES} min.", "minutes")
    return minutes


@_read.register
def _repair(_field: Repair, asked: AskedEntry) -> Read:
    put_off = replace(_put_off(asked.more, asked.today), mends=asked.more.get("mends", "").strip()[:80])
    return Read(asked.text[:MOST_TEXT], asked.text[:MOST_TEXT], None, put_off)


@_read.register
def _permit(_field: Permit, asked: AskedEntry) -> Read:
    words = asked.text[:MOST_TEXT]
    return Read(words, words, None, read_permit(asked.more, facts=asked.facts, rules=asked.rules))


@_read.register
def _costed(field: Costed, asked: AskedEntry) -> Read:
    _short_enough(field, asked)
    return Read(asked.text, asked.text, None, read_bill(asked.more, currency_of(asked.rules), asked.today))


@_read.register
def _offered(_field: Offered, asked: AskedEntry) -> Read:
    kind = kind_of(asked.text)
    return Read(kind, kind, None, read_offer(kind, asked.more))


@_read.register
def _stacked(field: Off | Back, asked: AskedEntry) -> Read:
    words, record = (read_off if isinstance(field, Off) else read_put_back)(field.where, asked.text, asked.more)
    return Read(words, words, None, record)


@_read.register
def _logged(_field: Log, asked: AskedEntry) -> Read:
    points = read_points(asked.text)
    words = "; ".join(p.words for p in points)
    return Read(words, f"{len(points)} points" if len(points) > 1 else "a point", None, RunLog(points=points))


@_read.register
def _added(field: Added, asked: AskedEntry) -> Read:
    _short_enough(field, asked)
    return Read(asked.text, asked.text, None, read_added(asked.more))


@_read.register
def _taken(_field: Taken, asked: AskedEntry) -> Read:
    if not asked.text.isdigit() or not 1 <= int(asked.text) <= MOST_WAYS:
        raise InputError("This way is not on the sheet.", "Choose one of those that are priced.", "value")
    why = " ".join(clean(asked.more.get("why", ""), "why", note=True).split())[:MOST_TEXT]
    day = asked.more.get("day", "").strip() if int(asked.text) == NEW_UNIT else ""
    taken = TakenFor(why=why, day=read_day(day, asked.today, "day") if day else None)
    return Read(asked.text, asked.text, None, taken)
