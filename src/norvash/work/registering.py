"""Add motors and types, and change their figures."""

from collections.abc import Mapping
from dataclasses import dataclass, replace
from typing import Self

from norvash.core.classes import TEMPLATES
from norvash.core.figures import BY_NAME, UNITS_OF_USE, Figures, check_together, read_figure
from norvash.core.positions import PositionPlan, even_positions, read_positions
from norvash.core.quantities import parse_count
from norvash.core.state import motor_limit
from norvash.core.texts import words_of
from norvash.core.use import Counted
from norvash.core.use_typed import read_use
from norvash.errors import Conflict, InputError, NorvashError, SeveralErrors
from norvash.store import motors, rounds, use
from norvash.store.database import Connection
from norvash.store.motors import Motor, MotorType
from norvash.work.acting import Act, Change, once
from norvash.work.context import figures_of, load
from norvash.work.standing import refresh, refresh_all


@dataclass(frozen=True, slots=True)
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

    def body(act: Act) -> Change:
        errors = Errors()
        motor, plans, figures, use_units = _checked(conn, act, given, errors)
        errors.raise_any()
        motors.add_motor(conn, motor, act.id)
        motors.add_positions(conn, motor.id, plans)
        motors.change_motor_figures(conn, motor.id, figures)
        with errors:
            check_together(figures_of(conn, motor))
        errors.raise_any()
        counted = Counted(use_units, use_units, "first")
        use.add_entry(conn, f"{act.id}.use", motor.id, act.at, counted, given.use_now.strip() or "0", act.id)
        rounds.add_set(conn, f"{act.id}.set", motor.id, 1, act.at, use_units, given.set_is_new, act.id)
        refresh(conn, motor.id, act.at.date())
        return Change(motor.id, {}, {"tag": motor.tag, "name": motor.name, "figures": figures}, motor.id)

    return once(conn, act, "add a motor", typed, body)


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
    motor = Motor(act.id, tag, name, place, given.motor_class, kind.id if kind else None, 1)
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

    def body(act: Act) -> Change:
        motor = motors.fetch_motor(conn, motor_id)
        if motor.version != version:
            raise Conflict(
                "Somebody else changed this motor meanwhile.",
                "What you typed is kept: compare, then send it again.",
                "version",
            )
        plans = motors.positions(conn, motor_id)
        before = {**motors.motor_figures(conn, motor_id), **_as_words(plans)}
        figures = _read_all(typed)
        if "unit_of_use" in figures and figures["unit_of_use"] != figures_of(conn, motor).word("unit_of_use"):
            raise InputError(
                "The unit of use cannot change once use is logged.",
                "Add the motor anew with the other unit.",
                "unit_of_use",
            )
        motors.change_motor_figures(conn, motor_id, figures)
        check_together(figures_of(conn, motor))
        changed = read_positions(typed, plans)
        motors.change_positions(conn, motor_id, changed)
        motors.change_motor(conn, motor)
        refresh(conn, motor_id, act.at.date())
        return Change(motor_id, before, {**figures, **_as_words(changed)}, motor_id)

    return once(conn, act, "change figures", {"motor": motor_id, "typed": dict(typed), "version": version}, body)


def _as_words(plans: tuple[PositionPlan, ...]) -> dict[str, str]:
    """Return positions as they stand in the record."""
    return {f"position {p.number}": f"{p.label} at {p.angle_deg:g}°, arm {p.arm}, {p.polarity}" for p in plans}


def _read_all(typed: Mapping[str, str]) -> dict[str, float | str]:
    errors = Errors()
    read: dict[str, float | str] = {}
    for field, text in typed.items():
        if text.strip() and field in BY_NAME:
            with errors:
                read[field] = read_figure(field, text)
    errors.raise_any()
    return read


def save_type(
    conn: Connection, act: Act, type_id: str, name: str, motor_class: str, brushes: str, typed: Mapping[str, str]
) -> str:
    """Keep a new type, or change one and judge its motors anew; return its id."""
    content = {"type": type_id, "name": name, "class": motor_class, "brushes": brushes, "typed": dict(typed)}

    def body(act: Act) -> Change:
        errors = Errors()
        made = MotorType(type_id or act.id, "", motor_class)
        with errors:
            made = replace(made, name=words_of("name", name, "The name"))
            other = motors.find_type_named(conn, made.name)
            if other is not None and other.id != made.id:
                raise Conflict(
                    f"There is already a type {other.name}.", "Give another name, or open that type.", "name"
                )
        if motor_class not in TEMPLATES:
            errors.found.append(InputError("The class of machine is missing.", "Choose one.", "motor_class"))
        errors.raise_any()
        figures = _read_all(typed)
        check_together(Figures({}, figures, TEMPLATES[motor_class].lends))
        before = {**motors.type_figures(conn, made.id), **_as_words(motors.type_positions(conn, made.id))}
        if not type_id:
            motors.add_type(conn, made, act.id)
            motors.change_type_positions(conn, made.id, even_positions(_count(brushes, motor_class)))
        plans = read_positions(typed, motors.type_positions(conn, made.id))
        motors.change_type_positions(conn, made.id, plans)
        motors.change_type_figures(conn, made.id, figures)
        of_type = motors.list_motors_of_type(conn, made.id)
        for motor in of_type:
            try:
                context = load(conn, motor.id)
                check_together(context.figures)
                motor_limit(context.figures, context.rules)
            except InputError as error:
                raise InputError(f"Motor {motor.tag}: {error.problem}", error.remedy, error.field) from None
        refresh_all(conn, [m.id for m in of_type], act.at.date())
        return Change(made.id, before, {"name": made.name, **figures, **_as_words(plans)})

    return once(conn, act, "save a type", content, body)


def _count(brushes: str, motor_class: str) -> int:
    try:
        return parse_count(brushes or str(TEMPLATES[motor_class].brushes), 1, 40)
    except InputError as error:
        raise error.at("brushes") from None
