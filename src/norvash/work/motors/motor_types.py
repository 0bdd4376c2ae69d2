"""Keep types: what several motors share."""

from collections.abc import Mapping
from dataclasses import dataclass, replace

from norvash.core.brush.motor_limit import motor_limit
from norvash.core.commutator.figures_after_cut import figures_since
from norvash.core.motor.classes import TEMPLATES
from norvash.core.motor.figure_reading import check_together
from norvash.core.motor.figures import Figures
from norvash.core.motor.in_force import figures_in_force, unread_of
from norvash.core.motor.positions import PositionPlan, even_positions, read_positions
from norvash.core.record.record import Motor
from norvash.core.record.stated import FiguresStated
from norvash.core.rules.book import Rulebook
from norvash.core.text.quantities import parse_count
from norvash.core.text.texts import words_of
from norvash.errors import Conflict, InputError
from norvash.store.file.database import Connection
from norvash.store.record import lives, motors, policies, stamps
from norvash.store.record.motors import MotorType
from norvash.work.act.acting import Act, Change, prepared
from norvash.work.motors.changing_figures import Errors, as_words, read_all, unchanged
from norvash.work.reading.ground import Settled, changes_of, keep_moves, news_of, settle
from norvash.work.reading.loading import load, rules_of
from norvash.work.reading.marks import marks_of
from norvash.work.reading.rulebook import rulebook


@dataclass(frozen=True, slots=True)
class _Type:
    """A type as it is to be kept, checked against every motor of it as the record stood at `seq`."""

    seq: int
    made: MotorType
    figures: dict[str, float | str]
    positions: tuple[PositionPlan, ...]
    settled: Settled

    def stands(self, conn: Connection) -> bool:
        """Tell whether nothing was written about the house or a motor of this type meanwhile."""
        return stamps.seq_of_type(conn, self.made.id) == self.seq


def save_type(
    conn: Connection, act: Act, type_id: str, *, name: str, motor_class: str, brushes: str, typed: Mapping[str, str]
) -> str:
    """Keep a new type, or change one; its motors are judged anew in the background. Return its id.

    Raises: errors at the fields, InputError that names a motor whose figures do not go with it, Conflict for a name in
    use; NeedsAnswer where it would end or soften what was found on one of its motors.
    """
    content = {"type": type_id, "name": name, "class": motor_class, "brushes": brushes, "typed": dict(typed)}

    def prepare() -> _Type:
        made = _named(conn, MotorType(type_id or act.id, "", motor_class), name)
        before = motors.type_figures(conn, made.id)
        kept, seq = unread_of(before), stamps.seq_of_type(conn, made.id)
        figures = kept | read_all(typed) | unchanged(typed, before)
        check_together(Figures({}, figures, TEMPLATES[motor_class].lends))
        stands = motors.type_positions(conn, type_id) if type_id else even_positions(_count(brushes, motor_class))
        book = rulebook(conn)
        for motor in motors.list_motors_of_type(conn, made.id):
            try:
                _check_motor(conn, motor, figures, book)
            except InputError as error:
                raise InputError(f"Motor {motor.tag}: {error.problem}", error.remedy, error.field) from None
        settled = _settled(conn, act, made, figures)
        return _Type(seq, made, figures, read_positions(typed, stands), settled)

    def body(act: Act, ready: _Type) -> Change:
        made = ready.made
        before = {**motors.type_figures(conn, made.id), **as_words(motors.type_positions(conn, made.id))}
        if not type_id:
            motors.add_type(conn, made, act.id)
        motors.change_type_positions(conn, made.id, ready.positions)
        motors.change_type_figures(conn, made.id, ready.figures)
        keep_moves(conn, act, ready.settled)
        policies.mark_all_stale(conn, "type", made.id)
        return Change(made.id, before, {"name": made.name, **ready.figures, **as_words(ready.positions)})

    scope = "type" if type_id else ""
    return prepared(conn, act, "save a type", typed=content, prepare=prepare, body=body, scope=scope)


def _settled(conn: Connection, act: Act, made: MotorType, figures: Mapping[str, float | str]) -> Settled:
    """Return what is kept of a change of a type's figures, by what that does to its motors."""
    before = motors.type_figures(conn, made.id)
    changes = changes_of(act, "type", made.id, before, figures) if before else ()
    pairs = []
    for motor_id in lives.motors_standing(conn, "type", made.id) if changes else ():
        context = load(conn, motor_id)
        stated = figures_in_force(made.motor_class, context.stated.own, figures)
        after = replace(context.after(FiguresStated(stated=stated, positions=context.positions)), of_type=figures)
        pairs.append((context, after))
    lends = TEMPLATES[made.motor_class].lends
    was = Figures({}, before, lends) if before else None
    return settle(conn, act, pairs, changes, news_of(was, Figures({}, figures, lends)))


def _named(conn: Connection, made: MotorType, name: str) -> MotorType:
    errors = Errors()
    with errors:
        made = replace(made, name=words_of("name", name, "The name"))
        other = motors.find_type_named(conn, made.name)
        if other is not None and other.id != made.id:
            raise Conflict(f"There is already a type {other.name}.", "Give another name, or open that type.", "name")
    if made.motor_class not in TEMPLATES:
        errors.found.append(InputError("The class of machine is missing.", "Choose one.", "motor_class"))
    errors.raise_any()
    return made


def _check_motor(conn: Connection, motor: Motor, of_type: Mapping[str, float | str], book: Rulebook) -> None:
    """Check a motor's figures together with those that its type is to lend.

    Raises: InputError.
    """
    stated = Figures(motors.motor_figures(conn, motor.id), of_type, TEMPLATES[motor.motor_class].lends)
    figures = figures_since(stated, marks_of(conn, motor.id))
    check_together(figures)
    motor_limit(figures, rules_of(book, motor, figures))


def _count(brushes: str, motor_class: str) -> int:
    try:
        return parse_count(brushes or str(TEMPLATES[motor_class].brushes), 1, 40)
    except InputError as error:
        raise error.at("brushes") from None
