"""Change the figures that a motor states itself."""

from collections.abc import Mapping
from dataclasses import replace
from typing import Self

from norvash.core.kept_names import name_now
from norvash.core.motor.figure_fields import BY_NAME, UNIT_OF_USE
from norvash.core.motor.figure_reading import as_length, check_together, read_figure
from norvash.core.motor.figures import Figures, figure_words
from norvash.core.motor.in_force import figures_in_force
from norvash.core.motor.positions import PositionPlan, read_positions
from norvash.core.record.record import Motor
from norvash.core.record.stated import FiguresStated
from norvash.core.stages.catalogue import STAGES
from norvash.errors import Conflict, InputError, NorvashError, SeveralErrors
from norvash.store.file.database import Connection
from norvash.store.record import motors, sheets
from norvash.work.act.acting import Act, Change
from norvash.work.reading.context import Context
from norvash.work.reading.ground import changes_of, joined, news_of, settle
from norvash.work.reading.loading import load
from norvash.work.reading.saying import Saying, say
from norvash.work.reading.standing import foresee

ASKED = frozenset(f.name for stage in STAGES for f in stage.may_ask)


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


def stated_figures(conn: Connection, motor: Motor, own: Mapping[str, float | str]) -> Figures:
    """Return the figures of a motor with those that it is to state itself."""
    of_type = motors.type_figures(conn, motor.type_id) if motor.type_id else {}
    return figures_in_force(motor.motor_class, own, of_type)


def change_figures(conn: Connection, act: Act, motor_id: str, typed: Mapping[str, str], version: int) -> str:
    """Replace the figures that a motor states itself; an empty one falls back to its type or class.

    Raises: Conflict if somebody else changed the motor since it was shown; NeedsAnswer where that would end or soften
    what was found; errors at the fields.
    """

    def prepare(now: Act) -> Saying:
        context = load(conn, motor_id)
        if context.motor.version != version:
            raise Conflict(
                "Somebody else changed this motor meanwhile.",
                "What you typed is kept: compare, then send it again.",
                "version",
            )
        stated = stated_figures(
            conn, context.motor, {**context.stated.kept, **read_all(typed), **unchanged(typed, context.stated.own)}
        )
        if UNIT_OF_USE.of(stated) != UNIT_OF_USE.of(context.stated):
            raise InputError(
                "The unit of use cannot change once use is logged.",
                "Add the motor again with the other unit.",
                "unit_of_use",
            )
        check_together(stated)
        plans = read_positions(typed, context.positions)
        return _changed(conn, now, context, FiguresStated(stated=stated, positions=plans))

    content = {"motor": motor_id, "typed": dict(typed), "version": version}
    return say(conn, act, "change figures", typed=content, prepare=prepare)


def unchanged(typed: Mapping[str, str], stands: Mapping[str, float | str]) -> dict[str, float | str]:
    """Return the figures that were sent as they were shown: they stay as they are, with all their digits."""
    return {n: stands[n] for n, text in typed.items() if n in stands and text.strip() == figure_words(stands[n])}


def state_figures(conn: Connection, act: Act, sheet_id: str, typed: Mapping[str, str], seen: Mapping[str, str]) -> str:
    """Keep figures as the motor's own, where a stage of its sheet asks for them; return the motor's id.

    An empty one falls back to its type or class. `seen` is what the motor stated itself when each was asked for.
    Raises: Conflict once the sheet is signed, or where it states something else now; NeedsAnswer where that would end
    or soften what was found; errors at the fields.
    """
    row = sheets.fetch_sheet(conn, sheet_id)

    def prepare(now: Act) -> Saying:
        if sheets.fetch_sheet(conn, sheet_id).signed_at is not None:
            raise Conflict("This sheet is signed.", "Change the figures on the motor's page.", "figure")
        if not typed or not ASKED.issuperset(typed):
            raise InputError("No stage asks for this figure.", "Change it on the motor's page.", "figure")
        context = load(conn, row.motor_id)
        own = context.stated.own_words
        for name in typed:
            if own.get(name, "") != seen.get(name, ""):
                raise Conflict(
                    f"Somebody else gave “{BY_NAME[name].label}” meanwhile: {own.get(name, '') or 'none of its own'}.",
                    "What you typed is kept: compare, then send it again.",
                    name,
                )
        kept = {n: v for n, v in context.stated.own.items() if n not in typed}
        stated = stated_figures(conn, context.motor, {**kept, **read_all(typed)})
        check_together(stated)
        return _changed(conn, now, context, FiguresStated(stated=stated, positions=context.positions))

    content = {"motor": row.motor_id, "sheet": sheet_id, "typed": dict(typed), "seen": dict(seen)}
    return say(conn, act, "change figures", typed=content, prepare=prepare)


def _changed(conn: Connection, now: Act, context: Context, said: FiguresStated) -> Saying:
    """Return a motor judged with other figures, and what is kept of that change."""
    motor_id, after = context.motor.id, context.after(said)
    changes = changes_of(now, "motor", motor_id, context.stated.own, after.stated.own)
    settled = settle(conn, now, [(context, after)], changes, news_of(context.stated, after.stated))
    moved = replace(after, moved=joined(context.moved, settled.moves))
    change = Change(
        motor_id,
        {**context.stated.own, **as_words(context.positions)},
        {**after.stated.own, **as_words(after.positions), **settled.explained},
        motor_id,
    )
    judged = foresee(conn, [moved], now.at.date())[0]
    return Saying(context=context, said=(said,), change=change, judged=judged, settled=settled)


def as_words(plans: tuple[PositionPlan, ...]) -> dict[str, str]:
    """Return positions as they stand in the record."""
    return {f"position {p.number}": f"{p.label} at {p.angle_deg:g}°, arm {p.arm}, {p.polarity}" for p in plans}


def read_all(typed: Mapping[str, str]) -> dict[str, float | str]:
    """Return the figures of a form; an empty field states none.

    Raises: InputError or SeveralErrors at the fields.
    """
    errors = Errors()
    read: dict[str, float | str] = {}
    typed = {name_now("figure", name): text for name, text in typed.items()}
    if typed.get("limit_mm", "").strip().endswith("%"):
        with errors:
            new_mm = typed.get("new_mm", "").strip()
            typed["limit_mm"] = as_length(typed["limit_mm"], float(read_figure("new_mm", new_mm)) if new_mm else None)
            typed["limit_source"] = "share"
    for field, text in typed.items():
        if text.strip() and field in BY_NAME:
            with errors:
                read[field] = read_figure(field, text)
    errors.raise_any()
    return read
