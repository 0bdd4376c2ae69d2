"""Everything about one motor, put together for a verdict."""

from dataclasses import dataclass

from norvash.core.classes import TEMPLATES
from norvash.core.figures import Figures
from norvash.core.rules.book import MotorRules, Rulebook
from norvash.core.rules.catalogue import rulebook_with
from norvash.core.season import season_of
from norvash.core.sheet.facts import Facts
from norvash.core.state import MotorState
from norvash.core.sunk import Mark, figures_since
from norvash.core.use import Rate, rate_of_use
from norvash.core.use_log import Entry
from norvash.store import forecasts, motors, policies, rounds, rules, sheets, use
from norvash.store.database import Connection
from norvash.store.motors import Motor, MotorType
from norvash.work.sheet_state import beside, facts_of


@dataclass(frozen=True, slots=True)
class Context:
    """A motor with its type, state and the rules that apply to it."""

    motor: Motor
    type: MotorType | None
    state: MotorState
    rules: MotorRules

    @property
    def figures(self) -> Figures:
        """Return the figures in force."""
        return self.state.figures

    @property
    def facts(self) -> Facts:
        """Return what a sheet must know of the motor."""
        return facts_of(self.motor.motor_class, self.state.figures, self.state.positions)

    @property
    def unit(self) -> str:
        """Return the unit of use."""
        return self.state.unit


def rulebook(conn: Connection) -> Rulebook:
    """Return the rulebook with the site's overrides."""
    return rulebook_with(rules.list_overrides(conn))


def figures_of(conn: Connection, motor: Motor) -> Figures:
    """Return the figures in force for a motor."""
    of_type = motors.type_figures(conn, motor.type_id) if motor.type_id else {}
    return Figures(motors.motor_figures(conn, motor.id), of_type, TEMPLATES[motor.motor_class].lends)


def marks_of(conn: Connection, motor_id: str) -> list[Mark]:
    """Return a motor's recorded cuts and the settings of its holders after them, in order."""
    return [
        Mark("cut", given.at.date(), number, given.number, float(given.more.get("sunk", "0"))) if field == "cut-done" else Mark("set", given.at.date(), number)
        for field, number, given in sheets.list_kept(conn, motor_id, ("cut-done", "holder-set"))
    ]  # fmt: skip


def use_of(
    conn: Connection, motor: Motor, figures: Figures, applied: MotorRules
) -> tuple[tuple[Entry, ...], Rate | None]:
    """Return a motor's use log and its rate of use, in the season that it follows."""
    entries = use.list_entries(conn, motor.id)
    season = season_of(figures.word("active_months"), entries, policies.list_windows(conn), motor.place, applied)
    return entries, rate_of_use(entries, figures.number("use_per_week_units"), applied, season)


def load(conn: Connection, motor_id: str, book: Rulebook | None = None) -> Context:
    """Return everything about a motor.

    Raises: NotFound.
    """
    motor = motors.fetch_motor(conn, motor_id)
    figures = figures_since(figures_of(conn, motor), marks_of(conn, motor_id))
    applied = MotorRules(book or rulebook(conn), motor.motor_class, motor.type_id or "", motor.id)
    entries, rate = use_of(conn, motor, figures, applied)
    positions, sets = motors.positions(conn, motor_id), rounds.list_sets(conn, motor_id)
    sheets_say = beside(conn, motor_id, facts_of(motor.motor_class, figures, positions), sets, applied)
    state = MotorState(figures, positions, sets, entries, rate, forecasts.find_ahead(conn, motor_id),
                       policies.list_policies(conn, motor_id, motor.type_id), sheets_say.noted, sheets_say.overrules, sheets_say.look_on)  # fmt: skip
    kind = motors.fetch_type(conn, motor.type_id) if motor.type_id else None
    return Context(motor, kind, state, applied)
