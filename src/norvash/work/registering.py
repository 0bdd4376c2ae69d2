"""Add motors, and change their figures."""

from collections.abc import Mapping
from dataclasses import dataclass, replace
from typing import Self

from norvash.core.motor.classes import TEMPLATES
from norvash.core.motor.figure_fields import BY_NAME, UNIT_OF_USE, UNITS_OF_USE
from norvash.core.motor.figure_reading import check_together, read_figure
from norvash.core.motor.figures import Figures
from norvash.core.motor.positions import PositionPlan, even_positions, read_positions
from norvash.core.motor.record import BrushSet
from norvash.core.text.quantities import parse_count
from norvash.core.text.texts import words_of
from norvash.core.use.counting import Counted
from norvash.core.use.log_entry import Entry
from norvash.core.use.typed import read_use
from norvash.errors import Conflict, InputError, NorvashError, SeveralErrors
from norvash.store import motors, sets, use
from norvash.store.database import Connection
from norvash.store.motors import Motor, MotorType
from norvash.work.acting import Act, Change, in_order, prepared
from norvash.work.context import Prepared
from norvash.work.loading import begin, load
from norvash.work.standing import Judged, foresee, keep


@dataclass(frozen=True, slots=True, kw_only=True)
class NewMotor:
    """A new motor as typed; figures are what the person stated beyond class and type."""

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


class Errors:
    """Collects what is wrong in a form, so that all of it is said at once."""

    def __init__(self) -> None:
        self.found: list[NorvashError] = []

    def __enter__(self) -> Self:
        return self

    def __exit__(self, kind: object, error: BaseException | None, trace: object) -> bool:
        if isinstance(error, NorvashError):
            self.found.append(error)
            return True
        return False

    def raise_any(self) -> None:
        """Raise what was found, if anything."""
        if self.found:
            raise self.found[0] if len(self.found) == 1 else SeveralErrors(self.found)


def add_motor(conn: Connection, act: Act, given: NewMotor) -> str:
    """Keep a new motor with its positions, its first use and the set that is in it; return its id.

    Raises: InputError or SeveralErrors at the fields, Conflict for a tag in use; then nothing is kept.
    """
    typed = {name: getattr(given, name) for name in NewMotor.__dataclass_fields__}

    def prepare() -> _Added:
        errors, now = Errors(), in_order(conn, act)
        motor, plans, figures, use_units = _checked(conn, now, given, errors)
        errors.raise_any()
        stated = _stated(conn, motor, figures)
        check_together(stated)
        first = BrushSet(
            number=1,
            fitted_at=now.at,
            fitted_units=use_units,
            fitted_known=given.set_is_new,
            ended_at=None,
            ended_units=None,
            end_reason="",
            rounds=(),
            id=f"{act.id}.set",
        )
        context = begin(conn, motor, stated, positions=plans, first=first, entry=Entry(now.at, use_units, use_units))
        return _Added(context, foresee(conn, [context], now.at.date())[0])

    def body(act: Act, made: _Added) -> Change:
        motor, used = made.context.motor, made.context.entries[0].total_units
        motors.add_motor(conn, motor, act.id)
        motors.add_positions(conn, motor.id, made.context.positions)
        figures = made.context.stated.own
        motors.change_motor_figures(conn, motor.id, figures)
        counted = Counted(used, used, "first")
        use.add_entry(
            conn,
            f"{act.id}.use",
            motor.id,
            at=act.at,
            counted=counted,
            typed=given.use_now.strip() or "0",
            act_id=act.id,
        )
        first = replace(made.context.sets[0], id=f"{act.id}.set", fitted_at=act.at, fitted_units=used)
        sets.add_set(conn, motor.id, first, act.id)
        keep(conn, made.judged)
        return Change(motor.id, {}, {"tag": motor.tag, "name": motor.name, "figures": figures}, motor.id)

    return prepared(conn, act, "add a motor", typed=typed, prepare=prepare, body=body)


@dataclass(frozen=True)
class _Added(Prepared):
    """A new motor as it is to stand in the record, and judged."""

    judged: Judged

    def stands(self, conn: Connection, own: int = 0) -> bool:
        """Tell whether nothing has moved, and nobody has taken the tag."""
        return super().stands(conn, own) and motors.find_tagged(conn, self.context.motor.tag) is None


def _checked(
    conn: Connection, act: Act, given: NewMotor, errors: Errors
) -> tuple[Motor, tuple[PositionPlan, ...], dict[str, float | str], float]:
    tag = name = place = ""
    with errors:
        tag = words_of("tag", given.tag, "The tag")
        taken = motors.find_tagged(conn, tag)
        if taken is not None:
            raise Conflict(f"The tag {taken.tag} is in use.", "Give another tag, or open that motor.", "tag")
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
    figures = _figures(given, errors)
    unit = str(figures.get("unit_of_use") or TEMPLATES[given.motor_class].lends["unit_of_use"])
    use_units = 0.0
    with errors:
        try:
            use_units = read_use(given.use_now or "0", unit).value
        except InputError as error:
            raise error.at("use_now") from None
    return motor, plans, figures, use_units


def _stated(conn: Connection, motor: Motor, own: Mapping[str, float | str]) -> Figures:
    """Return the figures of a motor with those that it is to state itself."""
    of_type = motors.type_figures(conn, motor.type_id) if motor.type_id else {}
    return Figures(own, of_type, TEMPLATES[motor.motor_class].lends)


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


def _figures(given: NewMotor, errors: Errors) -> dict[str, float | str]:
    """Return what was stated of the motor itself; an empty field leaves the type's or the class's figure."""
    stated = {"new_mm": given.new_length, "limit_mm": given.limit, **given.figures}
    read: dict[str, float | str] = {}
    for field, text in stated.items():
        if text.strip():
            with errors:
                read[field] = read_figure(field, text)
    if "limit_mm" in read:
        read.setdefault("limit_source", "maker")
    if given.unit_of_use:
        if given.unit_of_use not in UNITS_OF_USE:
            errors.found.append(InputError("This unit of use is not known.", "Choose hours or starts.", "unit_of_use"))
        else:
            read["unit_of_use"] = given.unit_of_use
    return read


def change_figures(conn: Connection, act: Act, motor_id: str, typed: Mapping[str, str], version: int) -> str:
    """Replace the figures that a motor states itself; an empty one falls back to its type or class.

    Raises: Conflict if somebody else changed the motor since it was shown; errors at the fields.
    """

    def prepare() -> _Changed:
        context = load(conn, motor_id)
        if context.motor.version != version:
            raise Conflict(
                "Somebody else changed this motor meanwhile.",
                "What you typed is kept: compare, then send it again.",
                "version",
            )
        stated = _stated(conn, context.motor, read_all(typed))
        if UNIT_OF_USE.of(stated) != UNIT_OF_USE.of(context.stated):
            raise InputError(
                "The unit of use cannot change once use is logged.",
                "Add the motor anew with the other unit.",
                "unit_of_use",
            )
        check_together(stated)
        after = context.with_figures(stated, read_positions(typed, context.positions))
        return _Changed(context, foresee(conn, [after], act.at.date())[0])

    def body(_: Act, made: _Changed) -> Change:
        before, after = made.context, made.judged.context
        motors.change_motor_figures(conn, motor_id, after.stated.own)
        motors.change_positions(conn, motor_id, after.positions)
        motors.change_motor(conn, before.motor)
        keep(conn, made.judged)
        return Change(
            motor_id,
            {**before.stated.own, **as_words(before.positions)},
            {**after.stated.own, **as_words(after.positions)},
            motor_id,
        )

    return prepared(
        conn,
        act,
        "change figures",
        typed={"motor": motor_id, "typed": dict(typed), "version": version},
        prepare=prepare,
        body=body,
    )


@dataclass(frozen=True)
class _Changed(Prepared):
    """A motor judged with other figures than it had."""

    judged: Judged


def as_words(plans: tuple[PositionPlan, ...]) -> dict[str, str]:
    """Return positions as they stand in the record."""
    return {f"position {p.number}": f"{p.label} at {p.angle_deg:g}°, arm {p.arm}, {p.polarity}" for p in plans}


def read_all(typed: Mapping[str, str]) -> dict[str, float | str]:
    """Return the figures of a form; an empty field states none.

    Raises: InputError or SeveralErrors at the fields.
    """
    errors = Errors()
    read: dict[str, float | str] = {}
    for field, text in typed.items():
        if text.strip() and field in BY_NAME:
            with errors:
                read[field] = read_figure(field, text)
    errors.raise_any()
    return read
