"""Lay a set that is gone beside what the record holds of its motor."""

from datetime import date, datetime

from norvash.core.edges import over, under
from norvash.core.motor.notes import NotedRound, NotedSet
from norvash.core.motor.use_typed import read_use
from norvash.core.record.sets import SetNoted
from norvash.core.state.motor_state import BrushSet
from norvash.core.state.since import in_years
from norvash.core.text.quantities import parse
from norvash.core.text.texts import clean
from norvash.core.text.words import counter_words, day_words
from norvash.core.use.spans import Span, middle, read_span
from norvash.core.use.timeline import use_on
from norvash.errors import Conflict, InputError
from norvash.work.notes.desk import NOON, Desk
from norvash.work.notes.rounds import lay_lengths

_LEAST = ("at least", "more than", "over", ">=", ">", "≥")
_ABOUT = ("about", "around", "some", "roughly", "ca.", "ca", "~")


def lay_set(desk: Desk, at: datetime, note: NotedSet) -> None:
    """Lay a set that is gone, with the lengths that it had at its end.

    Raises: InputError, Conflict or NeedsAnswer at the field.
    """
    fitted_on = read_span(note.fitted, desk.now.date(), "fitted") if note.fitted.strip() else None
    if fitted_on is not None and fitted_on[0] > at.date():
        raise InputError("It came out before it went in.", "Check the two days.", "fitted")
    ended_on = read_span(note.ended, desk.now.date(), "ended")
    lasted, how = _lasted(desk, note)
    fitted = (
        desk.use(datetime.combine(middle(fitted_on), NOON), note.fitted_counter, "fitted_counter")
        if (note.fitted_counter.strip() and fitted_on is not None)
        else None
    )
    ended = desk.use(at, note.ended_counter, "ended_counter") if note.ended_counter.strip() else None
    ended = ended if ended is not None else _ended(desk, at, fitted, lasted)
    if fitted is None:
        fitted = _fitted(desk, note, fitted_on, ended, lasted)
    made = BrushSet(
        number=desk.made.number,
        fitted_at=datetime.combine(middle(fitted_on), NOON) if fitted_on else _day_of(desk, ended - fitted, at),
        fitted_units=fitted,
        fitted_known=True,
        ended_at=at,
        ended_units=ended,
        end_reason=" ".join(clean(note.why, "why", note=True).split())[:200] or "from notes",
        rounds=(),
        id=f"{desk.act_id}.{desk.next()}",
        span_on=fitted_on,
        noted=True,
        lasted="" if note.ended_counter.strip() and note.fitted_counter.strip() else how,
        gone_share=_gone(note.gone),
    )
    _placed(desk, made, ended_on)
    if note.lengths:
        lay_lengths(desk, made, at, ended, NotedRound(line=note.line, day=note.ended, readings=note.lengths))


def _lasted(desk: Desk, note: NotedSet) -> tuple[float | None, str]:
    """Return how long a set lasted by somebody's word, and whether that is about so long or at least."""
    text = " ".join(note.lasted.lower().split())
    if not text:
        return None, ""
    how, bare = "about", text
    for words, kind in ((_LEAST, "least"), (_ABOUT, "about")):
        found = next((w for w in words if text.startswith(w)), None)
        if found is not None:
            how, bare = kind, text.removeprefix(found).strip()
            break
    try:
        value = read_use(bare, desk.unit, desk.made.context.figures, desk.rate).value
    except InputError as error:
        raise error.at("lasted") from None
    if not value > 0:
        raise InputError("A set that lasted no time is not possible.", "Give how long it ran.", "lasted")
    return value, how


def _ended(desk: Desk, at: datetime, fitted: float | None, lasted: float | None) -> float:
    """Return the use at which a set came out, of which the counter is not known."""
    if fitted is not None and lasted is not None:
        return fitted + lasted
    context = desk.made.context
    later = [s.earliest_units for s in context.sets if s.fitted_at >= at]
    known = use_on(at.date(), context.entries, None)
    if known is not None:
        return min([known, *later])
    first = context.entries[0].total_units
    if desk.unit == "years":
        return min([first - in_years(at, context.entries[0].at), *later])
    gap = (context.entries[0].at - at).days / 7
    return min([first - (desk.rate.per_week * gap if desk.rate is not None and not later else 0.0), *later])


def _fitted(desk: Desk, note: NotedSet, fitted_on: Span | None, ended: float, lasted: float | None) -> float:
    if lasted is not None:
        return ended - lasted
    if fitted_on is None:
        raise InputError(
            "How long it ran is missing.",
            "Give how long it lasted, like “about 190 h”, or the counter when it went in and came out.",
            "lasted",
        )
    at = datetime.combine(middle(fitted_on), NOON)
    end = desk.moment(note)
    if desk.unit == "years" and end is not None:
        return ended - in_years(at, end)
    known = use_on(at.date(), desk.made.context.entries, None)
    if known is not None and under(known, ended):
        return known
    if desk.rate is None or end is None:
        raise InputError(
            "How long it ran is not known from its days alone.",
            "Give how long it lasted, or about how much the motor runs in a week.",
            "lasted",
        )
    return ended - desk.rate.per_week * (end - at).days / 7


def _day_of(desk: Desk, ran: float, ended_at: datetime) -> datetime:
    """Return the day on which a set went in of which only the use is known."""
    weeks = ran / desk.rate.per_week if desk.rate is not None else 0.0
    return datetime.combine(date.fromordinal(max(ended_at.date().toordinal() - round(weeks * 7), 1)), NOON)


def _gone(text: str) -> float | None:
    if not text.strip():
        return None
    bare = text.strip()
    try:
        value = parse(bare if bare.endswith("%") else f"{bare} %", "share").value
    except InputError as error:
        raise error.at("gone") from None
    if not 0 < value <= 1:
        raise InputError(f"{bare} of its carbon gone is not possible.", "Give a share from 1 to 100 %.", "gone")
    return value


def _placed(desk: Desk, made: BrushSet, ended_on: Span) -> None:
    """Put a set between those that are there.

    Raises: InputError where it overlaps another, Conflict where it is there already.
    """
    context = desk.made.context
    for other in context.sets:
        if other.noted and (other.ended_at, other.ended_units) == (made.ended_at, made.ended_units):
            raise Conflict(
                f"A set that came out on {day_words(ended_on[1])} is in the record already.",
                "Leave this one out, or take the other back first.",
                "ended",
            )
        if _overlap(made, other):
            raise InputError(
                f"It overlaps {other.words}, which went in on {day_words(other.fitted_at.date())} at"
                f" {counter_words(round(other.fitted_units, 1), desk.unit)}.",
                "Check the days, the counters and how long it lasted.",
                "ended",
            )
    desk.made.add(SetNoted(made))


def _overlap(made: BrushSet, other: BrushSet) -> bool:
    """Tell whether a set that is gone ran while another did, by use or by day."""
    end, end_at = made.ended_units or made.fitted_units, made.ended_at or made.fitted_at
    if other.ended_units is None or other.ended_at is None:  # the set in the motor
        return other.fitted_known and (over(end, other.latest_units) or end_at.date() > other.fitted_at.date())
    by_use = under(made.fitted_units, other.ended_units) and over(end, other.fitted_units)
    return by_use or made.fitted_at < other.ended_at < end_at or other.fitted_at < end_at < other.ended_at
