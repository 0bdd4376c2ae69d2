"""Say since when a set has run: when its motor is added, or later, as far as anybody knows."""

from collections.abc import Sequence
from dataclasses import asdict, dataclass, replace
from datetime import datetime

from norvash.core.brush.readings import Reading, read
from norvash.core.motor.figure_fields import MEASURED_WITH, UNIT_OF_USE
from norvash.core.motor.figures import Figures
from norvash.core.motor.positions import PositionPlan
from norvash.core.motor.use_typed import read_use
from norvash.core.record.brushes import BrushRead
from norvash.core.record.sets import SinceSaid
from norvash.core.record.used import UseLogged
from norvash.core.rules.book import MotorRules
from norvash.core.state.motor_state import BrushSet
from norvash.core.state.round import Round
from norvash.core.state.since import Fitting, Since, fitting_of, since_words
from norvash.core.use.log_entry import Entry
from norvash.core.use.rate import Rate
from norvash.core.use.spans import read_span
from norvash.errors import Conflict, InputError
from norvash.store.file.database import Connection
from norvash.work.act.acting import Act, Change
from norvash.work.reading.context import Context
from norvash.work.reading.ground import settle
from norvash.work.reading.loading import load
from norvash.work.reading.saying import Saying, say
from norvash.work.reading.standing import foresee

NOMINAL = "nominal"


@dataclass(frozen=True, slots=True, kw_only=True)
class SinceTyped:
    """What is known of when a set was new, as typed: a day, month or year, the counter then, what has run since.

    `lengths` are those of all positions in their order then, or “nominal”.
    """

    day: str = ""
    counter: str = ""
    ran: str = ""
    lengths: str = ""

    @property
    def typed(self) -> dict[str, str]:
        """Return what of it was said, as an act has it."""
        return {k: v.strip() for k, v in asdict(self).items() if v.strip()}


@dataclass(frozen=True, slots=True)
class First:
    """The lengths that a set began with: readings by position, and the positions whose length is the part's own."""

    readings: dict[int, Reading]
    nominal: frozenset[int]


def read_since(given: SinceTyped, figures: Figures, now: datetime, rate: Rate | None) -> Since:
    """Return what is known of when a set was new.

    Raises: InputError at the field.
    """
    unit = UNIT_OF_USE.of(figures)
    days = read_span(given.day, now.date(), "since_day") if given.day.strip() else None
    counter = _use(given.counter, unit, figures, rate, "since_counter")
    ran = _use(given.ran, unit, figures, rate, "since_ran")
    return Since(days=days, counter_units=counter, ran_units=ran)


def _use(text: str, unit: str, figures: Figures, rate: Rate | None, field: str) -> float | None:
    if not text.strip():
        return None
    try:
        return read_use(text, unit, figures, rate).value
    except InputError as error:
        raise error.at(field) from None


def read_first(text: str, plans: Sequence[PositionPlan], figures: Figures, rules: MotorRules) -> First:
    """Return the lengths that a set began with: one for each position, one for all, or “nominal”.

    Raises: InputError at the field.
    """
    numbers = [p.number for p in plans]
    if not text.strip():
        return First({}, frozenset())
    if text.strip().lower() == NOMINAL:
        return First({}, frozenset(numbers))
    parts = [x.strip() for x in text.replace("\n", ";").split(";" if ";" in text else None) if x.strip()]
    if len(parts) not in (1, len(numbers)):
        raise InputError(
            f"{len(parts)} lengths are given for {len(numbers)} brushes.",
            "Give one for each position, apart by semicolons, or one for all, or “nominal”.",
            "since_lengths",
        )
    parts = parts * len(numbers) if len(parts) == 1 else parts
    try:
        made = {
            n: read(x, figures, rules, "length", MEASURED_WITH.of(figures)) for n, x in zip(numbers, parts, strict=True)
        }
    except InputError as error:
        raise error.at("since_lengths") from None
    return First(made, frozenset())


def since_said(
    now: Act, before: BrushSet | None, fitting: Fitting, first: First, *, uses: Sequence[Entry], figures: Figures
) -> SinceSaid:
    """Return what is said of since when a set runs: of the one that is in, or of the first one of a new motor."""
    round_id, instrument = f"{now.id}.fit", MEASURED_WITH.of(figures)
    read_then = tuple(
        BrushRead(id=f"{round_id}.{n}", round_id=round_id, position=n, reading=r, instrument=instrument)
        for n, r in first.readings.items()
    )
    a_round = Round(
        id=round_id,
        at=fitting.at,
        total_units=fitting.units,
        kind="fitting",
        finished=True,
        readings={r.position: r.measured for r in read_then},
        noted=True,
    )
    measured = tuple(r for r in before.rounds if r.kind != "fitting") if before is not None else ()
    made = replace(
        before if before is not None else _first_set(now, fitting),
        fitted_at=fitting.at,
        fitted_units=fitting.units,
        fitted_known=fitting.known,
        span_on=fitting.span_on,
        span_units=fitting.span_units,
        nominal=first.nominal,
        rounds=(a_round, *measured) if read_then else measured,
    )
    if fitting.entry is None:
        return SinceSaid(brush_set=made, uses=tuple(uses), first=read_then)
    entry = replace(fitting.entry, noted=True)
    logged = UseLogged(id=f"{now.id}.since", use=entry, typed=f"{entry.counter_units:g}", event="first")
    return SinceSaid(brush_set=made, uses=(*uses, entry), first=read_then, logged=logged)


def _first_set(now: Act, fitting: Fitting) -> BrushSet:
    return BrushSet(
        number=1,
        fitted_at=fitting.at,
        fitted_units=fitting.units,
        fitted_known=fitting.known,
        ended_at=None,
        ended_units=None,
        end_reason="",
        rounds=(),
        id=f"{now.id}.set",
    )


def state_since(conn: Connection, act: Act, motor_id: str, given: SinceTyped) -> str:
    """Say since when the set in a motor has run; what was said before is replaced, and everything is judged anew.

    Raises: InputError at the field, Conflict for a set that was fitted in the record, NeedsAnswer where that would end
    or soften what was found.
    """

    def prepare(now: Act) -> Saying:
        context = load(conn, motor_id)
        current, rate = context.sets[-1], context.state.rate
        _may_be_said(context, current)
        said = read_since(given, context.figures, now.at, rate)
        if said.says_nothing:
            raise InputError("Nothing is said.", "Give the day, the counter then, or what has run since.", "since_day")
        uses = tuple(e for e in context.entries if not e.noted or e.at != current.fitted_at) or context.entries
        fitting = fitting_of(said, now.at, uses, rate, context.unit)
        first = read_first(given.lengths, context.positions, context.figures, context.rules)
        _fits(context, current, fitting)
        entry = since_said(now, current, fitting, first, uses=uses, figures=context.figures)
        judged = foresee(conn, [context.after(entry)], now.at.date())[0]
        settled = settle(conn, now, [(context, judged.context)])
        words = since_words(fitting, context.entries[-1].total_units - fitting.units, context.unit)
        told = {"set": current.number, "since": words, **given.typed, **settled.explained}
        change = Change(motor_id, {"set": current.number}, told, motor_id)
        return Saying(context=context, said=(entry,), change=change, judged=judged, settled=settled)

    return say(conn, act, "say since when", typed={"motor": motor_id, **given.typed}, prepare=prepare)


def may_say_since(context: Context) -> bool:
    """Tell whether it may be said since when the set in a motor has run: nobody has fitted it in the record."""
    return context.sets[-1].number == 1


def _may_be_said(context: Context, current: BrushSet) -> None:
    if not may_say_since(context):
        raise Conflict(
            f"Set {current.number} was fitted on {current.fitted_at:%Y-%m-%d}, and that stands in the record.",
            "Only of a set that was in the motor before can it be said since when.",
            "since_day",
        )


def _fits(context: Context, current: BrushSet, fitting: Fitting) -> None:
    """Refuse a fitting after what was measured on the set, or before the set that was in the motor before came out."""
    checked = [r for r in current.rounds if r.kind != "fitting"]
    if fitting.known and checked and fitting.units > checked[0].total_units + 1e-9:
        raise InputError(
            f"The set was measured on {checked[0].at:%Y-%m-%d} already, at less use than that.",
            "Check the day, the counter and the use since.",
            "since_ran",
        )
    if fitting.span_on is not None and checked and fitting.span_on[0] > checked[0].at.date():
        raise InputError(
            f"The set was measured on {checked[0].at:%Y-%m-%d} already.", "Give a day before that.", "since_day"
        )
    out = max((s.ended_at for s in context.sets[:-1] if s.ended_at is not None), default=None)
    if out is not None and fitting.span_on is not None and fitting.span_on[1] < out.date():
        raise InputError(f"Another set was in this motor until {out:%Y-%m-%d}.", "Check the day.", "since_day")
