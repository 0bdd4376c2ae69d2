"""Add motors, and change their figures."""

from collections.abc import Mapping
from dataclasses import dataclass
from datetime import datetime

from norvash.core.motor.classes import TEMPLATES
from norvash.core.motor.figure_fields import NEW_MM, UNIT_OF_USE, UNITS_OF_USE
from norvash.core.motor.figure_reading import as_length, check_together, read_figure
from norvash.core.motor.in_force import figures_in_force
from norvash.core.motor.notes import NotedRound
from norvash.core.motor.positions import PositionPlan, even_positions
from norvash.core.motor.use_typed import read_use
from norvash.core.record.record import Motor
from norvash.core.record.said import Said
from norvash.core.record.stated import Registered
from norvash.core.record.used import UseLogged
from norvash.core.state.since import Fitting, counted_from, fitting_of, since_words
from norvash.core.text.quantities import parse_count
from norvash.core.text.texts import words_of
from norvash.core.text.words import listed
from norvash.core.use.log_entry import Entry
from norvash.errors import Conflict, InputError, NeedsAnswer
from norvash.store.file.database import Connection
from norvash.store.record import motors
from norvash.store.record.motors import MotorType
from norvash.work.act.acting import Act, Change
from norvash.work.act.site import ANOTHER
from norvash.work.motors.changing_figures import Errors, stated_figures
from norvash.work.motors.stating import First, SinceTyped, read_first, read_since, since_said
from norvash.work.notes.desk import Laid
from norvash.work.notes.noting import lay
from norvash.work.reading.context import Context, rate_in_season
from norvash.work.reading.ground import news_of, settle
from norvash.work.reading.loading import begin
from norvash.work.reading.saying import Saying, say
from norvash.work.reading.standing import Judged, foresee


@dataclass(frozen=True, slots=True, kw_only=True)
class NewMotor:
    """A new motor as typed; figures are what the person stated beyond class and type.

    `answer` says that it is “another” than the one whose tag looks like its own; `worst` is the length of its shortest
    brush now.
    """

    tag: str
    name: str
    place: str
    motor_class: str
    type_id: str
    brushes: str
    new_length: str
    limit: str
    unit_of_use: str
    use_now: str
    set_is_new: bool
    figures: Mapping[str, str]
    since: SinceTyped = SinceTyped()
    answer: str = ""
    worst: str = ""
    limit_source: str = ""


_UNLESS_EMPTY = ("answer", "worst", "limit_source")


def add_motor(conn: Connection, act: Act, given: NewMotor) -> str:
    """Keep a new motor with its positions, its first use and the set that is in it; return its id.

    Raises: InputError or SeveralErrors at the fields, Conflict for a tag in use, NeedsAnswer for one that looks like
    another; then nothing is kept.
    """
    typed = {n: getattr(given, n) for n in NewMotor.__dataclass_fields__ if n not in _UNLESS_EMPTY and n != "since"}
    typed |= {"since": given.since.typed} if given.since.typed else {}
    typed |= {name: said for name in _UNLESS_EMPTY if (said := getattr(given, name))}
    return say(conn, act, "add a motor", typed=typed, prepare=lambda now: _prepared(conn, now, given))


def tried(conn: Connection, given: NewMotor, now: datetime) -> Judged:
    """Return a new motor as it would be judged; nothing is written.

    Raises: as `add_motor` does.
    """
    return _prepared(conn, Act("as-it-would-be", "", now), given).judged


def _prepared(conn: Connection, now: Act, given: NewMotor) -> "_Added":
    errors = Errors()
    motor, plans, figures, use_units = _checked(conn, now, given, errors)
    errors.raise_any()
    stated = stated_figures(conn, motor, figures)
    check_together(stated)
    settled = settle(conn, now, (), odd=news_of(None, stated))
    registered = Registered(motor=motor, stated=stated, positions=plans)
    begun, shown = begin(conn, registered), Entry(now.at, use_units, use_units)
    fitting, lengths = Fitting(at=now.at, units=use_units, known=given.set_is_new), First({}, frozenset())
    with errors:
        if given.since.typed:
            fitting = _since(given, begun.after(_logged(now, given, shown)), now)
    with errors:
        lengths = read_first(given.since.lengths, plans, stated, begun.rules)
    errors.raise_any()
    if UNIT_OF_USE.of(stated) == "years":  # what it shows is the age of the first set that is known of
        age = use_units - fitting.units
        fitting, shown = counted_from(fitting), Entry(now.at, age, age)
    since = since_said(now, None, fitting, lengths, uses=(shown,), figures=stated)
    said: tuple[Said, ...] = (registered, _logged(now, given, shown), since)
    context = begun.after(*said)
    if given.worst.strip():
        measured = _worst(conn, context, now, given)
        said, context = (*said, *measured.said), measured.context
    ran = since_words(fitting, shown.total_units - fitting.units, context.unit)
    told: dict[str, object] = {"tag": motor.tag, "name": motor.name, "figures": stated.own}
    told |= {"since": ran} if given.since.typed else {}
    told |= settled.explained
    return _Added(
        context=begun,
        said=said,
        change=Change(motor.id, {}, told, motor.id),
        judged=foresee(conn, [context], now.at.date())[0],
    )


def _worst(conn: Connection, context: Context, now: Act, given: NewMotor) -> Laid:
    """Return the first round of a new motor, of which only the shortest brush is known."""
    note = NotedRound(
        line=1, day=now.at.date().isoformat(), ran=given.since.ran, readings={1: given.worst}, shortest=True
    )
    laid = lay(conn, context, [note], now.at, act_id=f"{now.id}.now")
    for fault in (*laid.faults, *laid.doubts):
        raise fault.error.at("worst")
    return laid


def _logged(now: Act, given: NewMotor, shown: Entry) -> UseLogged:
    """Return what the counter of a new motor shows, as it is logged."""
    return UseLogged(id=f"{now.id}.use", use=shown, typed=given.use_now.strip() or "0", event="first")


@dataclass(frozen=True, kw_only=True)
class _Added(Saying):
    """A new motor as it is to stand in the record, and judged."""

    judged: Judged

    def stands(self, conn: Connection, own: int = 0) -> bool:
        """Tell whether nothing has moved, and nobody has taken the tag."""
        return super().stands(conn, own) and motors.find_tagged(conn, self.context.motor.tag) is None


def _since(given: NewMotor, context: Context, now: Act) -> Fitting:
    """Return when the set in a new motor was new, as far as it is known."""
    if given.set_is_new:
        raise InputError(
            "New brushes have not run yet.", "Untick “new”, or leave the questions below empty.", "since_day"
        )
    rate = rate_in_season(context.motor, context.figures, context.entries, context.windows, context.rules)
    said = read_since(given.since, context.figures, now.at, rate)
    return fitting_of(said, now.at, context.entries, rate, UNIT_OF_USE.of(context.figures))


def _checked(
    conn: Connection, act: Act, given: NewMotor, errors: Errors
) -> tuple[Motor, tuple[PositionPlan, ...], dict[str, float | str], float]:
    tag = name = place = ""
    with errors:
        tag = words_of("tag", given.tag, "The tag")
        taken = motors.find_tagged(conn, tag)
        if taken is not None:
            raise Conflict(f"The tag {taken.tag} is in use.", "Give another tag, or open that motor.", "tag")
        like = motors.find_like(conn, tag)
        if like is not None and given.answer != ANOTHER:
            raise NeedsAnswer(
                f"“{tag}” looks like {like.tag}, {like.name}, which is in the register.",
                "Say that it is another motor, or correct the tag.",
                "tag",
                ((ANOTHER, f"It is another motor than {like.tag}"),),
                "",  # whoever only sends it once more has not said so
            )
    with errors:
        name = words_of("name", given.name, "The name")
    with errors:
        place = words_of("place", given.place, "The place")
    if given.motor_class not in TEMPLATES:
        errors.found.append(InputError("The class of machine is missing.", "Choose one.", "motor_class"))
        errors.raise_any()
    kind = None
    with errors:
        kind = motors.fetch_type(conn, given.type_id) if given.type_id else None
        if kind is not None and kind.motor_class != given.motor_class:
            raise InputError(
                f"The type {kind.name} is of class {kind.motor_class}.",
                "Choose that class, or another type.",
                "type_id",
            )
    motor = Motor(
        id=act.id,
        tag=tag,
        name=name,
        place=place,
        motor_class=given.motor_class,
        type_id=kind.id if kind else None,
        version=1,
    )
    plans = _positions(conn, given, kind, errors)
    lent = figures_in_force(motor.motor_class, {}, motors.type_figures(conn, kind.id) if kind else {})
    figures = _figures(given, NEW_MM.of(lent), errors)
    unit = str(figures.get("unit_of_use") or TEMPLATES[given.motor_class].lends["unit_of_use"])
    use_units = 0.0
    with errors:
        try:
            use_units = read_use(given.use_now or "0", unit).value
        except InputError as error:
            raise error.at("use_now") from None
    return motor, plans, figures, use_units


def _positions(conn: Connection, given: NewMotor, kind: MotorType | None, errors: Errors) -> tuple[PositionPlan, ...]:
    template = TEMPLATES[given.motor_class]
    with errors:
        if kind is not None and not given.brushes.strip():
            plans = motors.type_positions(conn, kind.id)
            if plans:
                return plans
        try:
            return even_positions(parse_count(given.brushes or str(template.brushes), 1, 40))
        except InputError as error:
            raise error.at("brushes") from None
    return ()


def _figures(given: NewMotor, new_mm: float | None, errors: Errors) -> dict[str, float | str]:
    """Return what was stated of the motor itself; an empty field leaves the type's or the class's figure.

    A limit may be a share of the new length, that of the type or class (`new_mm`) where none is stated.
    """
    stated = {"new_mm": given.new_length, "limit_mm": given.limit, **given.figures}
    read: dict[str, float | str] = {}
    if given.limit.strip().endswith("%"):
        read["limit_source"] = "share"
        with errors:
            own = read_figure("new_mm", given.new_length) if given.new_length.strip() else new_mm
            stated["limit_mm"] = as_length(given.limit, None if own is None else float(own))
    for field, text in stated.items():
        if text.strip():
            with errors:
                read[field] = read_figure(field, text)
    if given.limit_source and "limit_mm" in read:
        with errors:
            read.setdefault("limit_source", read_figure("limit_source", given.limit_source))
    if given.unit_of_use:
        if given.unit_of_use not in UNITS_OF_USE:
            known = "Choose " + listed(list(UNITS_OF_USE)).replace(" and ", " or ") + "."
            errors.found.append(InputError("This unit of use is not known.", known, "unit_of_use"))
        else:
            read["unit_of_use"] = given.unit_of_use
    return read
