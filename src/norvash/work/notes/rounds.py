"""Lay a round from notes beside what the record holds of its motor."""

from collections.abc import Sequence
from dataclasses import replace
from datetime import datetime, time, timedelta

from norvash.core.brush.doubts import Doubt, doubt_of
from norvash.core.brush.readings import Reading, read
from norvash.core.brush.straight_line import Point
from norvash.core.edges import over, under
from norvash.core.motor.figure_fields import MEASURED_BY, MEASURED_WITH
from norvash.core.motor.notes import NotedRound
from norvash.core.motor.use_typed import read_use
from norvash.core.record.brushes import BrushRead
from norvash.core.record.sets import RoundNoted
from norvash.core.state.motor_state import BrushSet
from norvash.core.state.round import Round
from norvash.core.state.set_clock import start_of
from norvash.core.state.since import has_no_day, in_years
from norvash.core.text.texts import clean
from norvash.core.text.words import counter_words, day_words
from norvash.core.use.log_entry import Entry
from norvash.core.use.timeline import use_on
from norvash.errors import Conflict, InputError, NeedsAnswer, NorvashError
from norvash.work.notes.desk import RIGHT, Desk, Fault

_MOST_BEFORE = timedelta(days=36500)
_ANSWERS = ((RIGHT, "They are right as they stand in the notes"), ("mistyped", "I correct them"))


def lay_round(desk: Desk, at: datetime, note: NotedRound) -> None:
    """Lay a round of the set that was in the motor then; a line without lengths is a reading of use.

    Raises: InputError, Conflict or NeedsAnswer at the field.
    """
    if not any(t.strip() for t in note.readings.values()):
        if note.counter.strip():
            desk.use(at, note.counter, "counter")
            return
        raise InputError("Nothing is measured in this line.", "Give a length, or leave the line out.", "readings")
    of_set = _set_of(desk, at)
    lay_lengths(desk, of_set, at, _units_at(desk, at, note, of_set), note)


def _set_of(desk: Desk, at: datetime) -> BrushSet:
    """Return the set that was in the motor at a moment.

    Raises: InputError where none that is known of was.
    """
    sets, state = desk.made.context.sets, desk.made.context.state
    for each in reversed(sets):
        if _was_in(each, at, sets, no_day=has_no_day(each, state)):
            return each
    oldest = min((s for s in sets if s.fitted_known), key=lambda s: s.fitted_at, default=sets[-1])
    raise InputError(
        f"On {day_words(at.date())} no set that is known of was in the motor: {oldest.words} went in on"
        f" {day_words(oldest.fitted_at.date())}.",
        "Enter the set that was in it then, or correct since when this one has run.",
        "day",
    )


def _was_in(brush_set: BrushSet, at: datetime, sets: Sequence[BrushSet], *, no_day: bool) -> bool:
    """Tell whether a set was in its motor at a moment; one of unknown age, or that went in on a day that nobody knows,
    since the set before it came out.
    """
    if brush_set.ended_at is not None and at > brush_set.ended_at:
        return False
    if no_day or not brush_set.fitted_known:
        return all(s.ended_at < at for s in sets if s.ended_at is not None and s is not brush_set)
    began = brush_set.fitted_at if brush_set.span_on is None else datetime.combine(brush_set.span_on[0], time())
    return began <= at


def _units_at(desk: Desk, at: datetime, note: NotedRound, of_set: BrushSet) -> float:
    """Return the total use at a round, from the counter, from what had run since the set was new, or from the log."""
    if note.counter.strip():
        return desk.use(at, note.counter, "counter")
    context = desk.made.context
    if note.ran.strip():
        if not of_set.fitted_known:
            raise InputError(
                "Since when this set runs is not known.", "Say that first, or give what the counter showed.", "ran"
            )
        try:
            return of_set.fitted_units + read_use(note.ran, desk.unit, context.figures, desk.rate).value
        except InputError as error:
            raise error.at("ran") from None
    if desk.unit == "years":
        return context.entries[-1].total_units - in_years(at, context.entries[-1].at)
    known = use_on(at.date(), context.entries, None)
    if known is None:
        known = _since_fitting(at, of_set, context.entries[0])
    if known is None:
        raise InputError(
            f"What the motor had run by {day_words(at.date())} is not known.",
            "Give what the counter showed, or what had run since the set was new.",
            "counter",
        )
    return known


def _since_fitting(at: datetime, of_set: BrushSet, first: Entry) -> float | None:
    """Return the total use at a moment between a known fitting and the first entry of the log, by proportion; on the
    day of that entry it is what it says.
    """
    if at.date() == first.at.date():
        return first.total_units
    if not of_set.fitted_known or not of_set.fitted_at < at <= first.at:
        return None
    share = (at - of_set.fitted_at) / (first.at - of_set.fitted_at)
    return of_set.fitted_units + share * (first.total_units - of_set.fitted_units)


def lay_lengths(desk: Desk, of_set: BrushSet, at: datetime, units: float, note: NotedRound) -> None:
    """Lay a round of a set; a doubtful length is asked about unless it was said to be right."""
    context = desk.made.context
    if _is_there(desk, of_set, at, note):
        return
    _in_its_place(of_set, at, units, desk.unit)
    read_now = {n: _read(desk, n, text, note) for n, text in note.readings.items() if text.strip()}
    round_id, (_, instrument) = f"{desk.act_id}.{desk.next()}", _way(desk, note)
    read_then = [
        BrushRead(id=f"{round_id}.{n}", round_id=round_id, position=n, reading=r, instrument=instrument, answered=True)
        for n, r in read_now.items()
    ]
    a_round = Round(
        id=round_id,
        at=at,
        total_units=units,
        kind="check",
        finished=True,
        readings={r.position: r.measured for r in read_then},
        noted=True,
        by=" ".join(clean(note.by, "by").split())[:80],
        shortest=note.shortest and len(read_now) == 1,
    )
    read_then = [replace(r, doubt=_doubt(desk, of_set, a_round, r.position, r.reading)) for r in read_then]
    labels = {p.number: p.label for p in context.positions}
    for r in read_then:
        if r.doubt is not None and desk.answer != RIGHT:
            asked = NeedsAnswer(
                f"{labels[r.position]}: {r.doubt.words}",
                "Say which it is.",
                f"reading_{r.position}",
                _ANSWERS,
                "mistyped",
            )
            desk.made.doubts.append(Fault(note.line, asked))
    a_round = replace(a_round, readings={r.position: r.measured for r in read_then})
    if at < of_set.fitted_at and of_set.fitted_known:
        of_set = replace(of_set, fitted_at=_before(of_set, a_round, context.entries[-1]))
    desk.made.add(RoundNoted(of_set=of_set, noted=a_round, read=tuple(read_then)))


def _is_there(desk: Desk, of_set: BrushSet, at: datetime, note: NotedRound) -> bool:
    """Tell whether a round of the same day with the same lengths is there; one with others is refused."""
    same = next((r for r in of_set.rounds if r.at.date() == at.date() and r.readings), None)
    if same is None:
        return False
    typed = {n: _read(desk, n, t, note).length_mm for n, t in note.readings.items() if t.strip()}
    if {n: m.length_mm for n, m in same.readings.items()} == typed:
        desk.made.there += 1
        return True
    raise Conflict(
        f"A round of {day_words(at.date())} is in the record already, with other lengths.",
        "Two rounds of one day are one: correct the day, or leave this one out.",
        "day",
    )


def _way(desk: Desk, note: NotedRound) -> tuple[str, str]:
    figures = desk.made.context.figures
    return note.method or MEASURED_BY.of(figures), note.instrument or MEASURED_WITH.of(figures)


def _read(desk: Desk, number: int, text: str, note: NotedRound) -> Reading:
    context = desk.made.context
    if number not in {p.number for p in context.positions}:
        raise InputError(f"This motor has no position {number}.", "Check the position.", "position")
    method, instrument = _way(desk, note)
    try:
        return read(text, context.figures, context.rules, method, instrument)
    except NorvashError as error:
        raise error.at(f"reading_{number}") from None


def _doubt(desk: Desk, of_set: BrushSet, a_round: Round, number: int, reading: Reading) -> Doubt | None:
    """Return what is doubtful about a reading between those before and after it."""
    state = desk.made.context.state
    earlier = [r for r in of_set.rounds if r.at < a_round.at and number in r.readings]
    later = next((r for r in of_set.rounds if r.at > a_round.at and number in r.readings), None)
    start = start_of(state, replace(of_set, rounds=tuple(earlier)), number, state_rules := desk.made.context.rules)
    previous = _point(earlier[-1], number) if earlier else None
    doubt = doubt_of(reading, start, previous, run_h=a_round.total_units, partners=(), rules=state_rules)
    if doubt is not None or later is None:
        return doubt
    after = later.readings[number]
    room = state_rules["doubt.noise"] * (reading.sd_mm**2 + after.sd_mm**2) ** 0.5
    if not under(reading.length_mm, after.length_mm - room):
        return None
    return Doubt(
        "shorter than next time",
        f"{reading.length_mm:.2f} mm is shorter than {after.length_mm:.2f} mm on"
        f" {day_words(later.at.date())}, and a brush does not grow.",
        "doubt.noise",
    )


def _point(a_round: Round, number: int) -> Point:
    read_then = a_round.readings[number]
    return Point(read_then.length_mm, a_round.total_units, read_then.sd_mm)


def _in_its_place(of_set: BrushSet, at: datetime, units: float, unit: str) -> None:
    """Refuse a round whose use does not lie between those before and after it."""
    before = max((r.total_units for r in of_set.rounds if r.at <= at), default=None)
    after = min((r.total_units for r in of_set.rounds if r.at > at), default=of_set.ended_units)
    least = of_set.earliest_units if of_set.fitted_known else None
    for bound, wrong in ((before, under), (least, under), (after, over)):
        if bound is not None and wrong(units, bound):
            side = "less" if wrong is under else "more"
            raise InputError(
                f"By {day_words(at.date())} it would have run {side} than by a round or a fitting"
                f" {'before' if side == 'less' else 'after'} it ({counter_words(round(bound, 1), unit)}).",
                "Check the day and the use.",
                "counter",
            )


def _before(of_set: BrushSet, first: Round, last: Entry) -> datetime:
    """Return about when a set of known use went in, before a round of it: by what it has run from that round to now."""
    since, ran = last.at - first.at, last.total_units - first.total_units
    before = first.total_units - of_set.fitted_units
    share = before / ran if ran > 0 else 0.0
    return first.at - min(since * share, _MOST_BEFORE)
