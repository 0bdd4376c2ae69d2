"""Everything about one motor as the record holds it at one moment, and what follows from it for a verdict."""

from collections.abc import Callable, Mapping
from dataclasses import dataclass, replace
from datetime import datetime
from functools import cached_property

from norvash.core.commutator.figures_after_cut import Mark, figures_since
from norvash.core.forecast.set_forecast import Ahead
from norvash.core.motor.classes import TEMPLATES
from norvash.core.motor.figure_fields import ACTIVE_MONTHS, USE_PER_WEEK_UNITS
from norvash.core.motor.figure_reading import variant_of
from norvash.core.motor.figures import Figures
from norvash.core.motor.positions import PositionPlan
from norvash.core.motor.record import BrushSet, Measured, MotorState, Renewal, Round
from norvash.core.planning.policy import Policy
from norvash.core.rules.book import MotorRules, Rulebook
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.field import Field
from norvash.core.sheet.finding import Noted
from norvash.core.sheet.given import Given
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.stages.catalogue import FIELD_BY_ID, FIELDS
from norvash.core.use.counting import Counted, Rate, rate_of_use
from norvash.core.use.log_entry import Entry
from norvash.core.use.season import Window, season_of
from norvash.store import entries, motors, policies, sets, sheets, use
from norvash.store.database import Connection, snapshot
from norvash.store.motors import Motor, MotorType
from norvash.store.sheets import DeferredRow, SheetRow
from norvash.store.stamps import Stamp, stamp_of
from norvash.work.rulebook import rulebook
from norvash.work.sheet_state import beside, put_together

# What changes the figures in force, and so the forecast: the fields, and the marks that they leave.
_MARKING = tuple(f for f in FIELDS if f.marks)


@dataclass(frozen=True, kw_only=True)
class Context:
    """A motor as it was read at one moment, with the rules that apply to it.

    What follows is worked out once, when it is asked for.

    A job changes it in memory as it changes the record, and goes on with that.
    """

    stamp: Stamp
    motor: Motor
    type: MotorType | None
    stated: Figures
    marks: tuple[Mark, ...]
    positions: tuple[PositionPlan, ...]
    sets: tuple[BrushSet, ...]
    entries: tuple[Entry, ...]
    windows: tuple[Window, ...]
    policies: tuple[Policy, ...]
    ahead: Ahead | None
    put_off: tuple[DeferredRow, ...]
    row: SheetRow | None
    written: Mapping[tuple[str, int], Given]
    sheet: Sheet | None
    rules: MotorRules

    @cached_property
    def figures(self) -> Figures:
        """Return the figures in force."""
        return figures_since(self.stated, self.marks)

    @cached_property
    def facts(self) -> Facts:
        """Return what a sheet must know of the motor."""
        return Facts(self.motor.motor_class, self.figures, self.positions)

    @cached_property
    def state(self) -> MotorState:
        """Return what a verdict rests on."""
        told = beside(self.row, self.sheet, self.put_off, figures=self.figures, sets=self.sets, rules=self.rules)
        rate = rate_in_season(self.motor, self.figures, self.entries, self.windows, self.rules)
        return MotorState(
            figures=self.figures,
            positions=self.positions,
            sets=self.sets,
            entries=self.entries,
            rate=rate,
            ahead=self.ahead,
            policies=self.policies,
            noted=told.noted,
            overrules=told.overrules,
            asked_on=told.look_on,
        )

    @property
    def unit(self) -> str:
        """Return the unit of use."""
        return self.state.unit

    def with_ahead(self, ahead: Ahead) -> "Context":
        """Return the motor with another forecast; nothing else that follows from it changes."""
        made = replace(self, ahead=ahead)
        vars(made).update(vars(self), ahead=ahead, state=replace(self.state, ahead=ahead))
        return made

    def with_reading(self, round_id: str, position: int, measured: Measured | None) -> "Context":
        """Return the motor after a reading was made in a round, or withdrawn from it."""

        def changed(a_round: Round, brush_set: BrushSet) -> Round:
            readings = {n: m for n, m in a_round.readings.items() if n != position}
            renewal = brush_set.renewal_of(position)
            if measured is not None and (renewal is None or a_round.total_units >= renewal.total_units):
                readings = dict(sorted({**readings, position: measured}.items()))
            return replace(a_round, readings=readings)

        return self._with_round(round_id, changed)

    def with_seen(self, round_id: str, seen: tuple[Noted, ...]) -> "Context":
        """Return the motor after other things were seen on the brushes of a round."""
        return self._with_round(round_id, lambda a_round, _: replace(a_round, seen=seen))

    def _with_round(self, round_id: str, changed: Callable[[Round, BrushSet], Round]) -> "Context":
        sets = tuple(
            replace(s, rounds=tuple(changed(r, s) if r.id == round_id else r for r in s.rounds)) for s in self.sets
        )
        return replace(self, sets=sets)

    def with_sheet(
        self, row: SheetRow, kind: str, total_units: float, written: Mapping[tuple[str, int], Given]
    ) -> "Context":
        """Return the motor after a sheet was opened, with the round that is measured on it."""
        opened = Round(id=row.id, at=row.at, total_units=total_units, kind=kind, finished=False, readings={})
        current = replace(self.sets[-1], rounds=(*self.sets[-1].rounds, opened))
        sheet = Sheet(
            id=row.id, number=row.number, kind=row.kind, at=row.at, person=row.person, facts=self.facts, entries=written
        )
        return replace(self, sets=(*self.sets[:-1], current), row=row, written=written, sheet=sheet)

    def with_entry(
        self, field_id: str, place: int, given: Given | None, marks: tuple[Mark, ...] | None = None
    ) -> "Context":
        """Return the motor after something was entered on its newest sheet; with None nothing stands there any more."""
        if self.sheet is None:
            raise LookupError("nothing can be entered without a sheet")
        written = {at: g for at, g in self.written.items() if at != (field_id, place)}
        written |= {} if given is None else {(field_id, place): given}
        made = replace(self, written=written, marks=self.marks if marks is None else marks)
        return replace(made, sheet=replace(self.sheet, entries=written, facts=made.facts))

    def with_signature(self, row: SheetRow, put_off: tuple[DeferredRow, ...]) -> "Context":
        """Return the motor after its newest sheet was signed and its round closed, with what is put off then."""
        if self.sheet is None:
            raise LookupError("nothing can be signed without a sheet")
        closed = self._with_round(row.id, lambda a_round, _: replace(a_round, finished=True))
        return replace(closed, row=row, put_off=put_off, sheet=replace(self.sheet, signed_at=row.signed_at))

    def with_new_set(self, ended: BrushSet, fitted: BrushSet) -> "Context":
        """Return the motor after its set has ended and another was fitted."""
        return replace(self, sets=(*self.sets[:-1], ended, fitted))

    def with_renewed(self, renewals: tuple[Renewal, ...]) -> "Context":
        """Return the motor after some brushes of its set were renewed: what was read of them before counts no
        longer.
        """
        current = self.sets[-1]
        current = replace(current, renewed=tuple(sorted((*current.renewed, *renewals), key=lambda r: r.total_units)))

        def since(a_round: Round, number: int) -> bool:
            renewal = current.renewal_of(number)
            return renewal is None or a_round.total_units >= renewal.total_units

        rounds_now = (replace(r, readings={n: m for n, m in r.readings.items() if since(r, n)}) for r in current.rounds)
        return replace(self, sets=(*self.sets[:-1], replace(current, rounds=tuple(rounds_now))))

    def with_figures(self, stated: Figures, positions: tuple[PositionPlan, ...]) -> "Context":
        """Return the motor with other figures stated, and its brushes placed or named otherwise."""
        rules = replace(self.rules, variant=variant_of(self.motor.motor_class, stated))
        made = replace(self, stated=stated, positions=positions, rules=rules)
        return made if self.sheet is None else replace(made, sheet=replace(self.sheet, facts=made.facts))

    def with_counted(self, at: datetime, counted: Counted) -> "Context":
        """Return the motor with one more entry in its log of use."""
        return self.with_use((*self.entries, Entry(at, counted.total_units, counted.counter_units)))

    def with_use(self, entries: tuple[Entry, ...]) -> "Context":
        """Return the motor with another log of use."""
        return replace(self, entries=tuple(sorted(entries, key=lambda e: e.at)))


@dataclass(frozen=True)
class Prepared:
    """What a job has worked out from a motor as it was read, before it takes the lock."""

    context: Context

    def stands(self, conn: Connection, own: int = 0) -> bool:
        """Tell whether nothing has moved since the motor was read.

        `own` is how often its own batch has taught its type.
        """
        read = self.context.stamp
        return stamp_of(conn, self.context.motor.id) == read._replace(taught=read.taught + own)


def rules_of(book: Rulebook, motor: Motor, figures: Figures) -> MotorRules:
    """Return the rulebook as it applies to a motor with these figures."""
    return MotorRules(book, motor.motor_class, motor.type_id or "", motor.id, variant_of(motor.motor_class, figures))


def figures_of(conn: Connection, motor: Motor) -> Figures:
    """Return the figures that a motor, its type and its class state."""
    own, of_type = motors.list_figures(conn, motor)
    return Figures(own, of_type, TEMPLATES[motor.motor_class].lends)


def marks_of(conn: Connection, motor_id: str) -> tuple[Mark, ...]:
    """Return a motor's recorded cuts and the settings of its holders after them, in order."""
    kept = entries.list_kept(conn, motor_id, tuple(f.id for f in _MARKING))
    return tuple(mark_of(FIELD_BY_ID[field_id], number, given) for field_id, number, given in kept)


def mark_of(field: Field, number: int, given: Given) -> Mark:
    """Return what an entry on a sheet says of the copper: a cut, or that the holders are set."""
    return Mark(field.marks, given.at.date(), number, given.number, given.cut.sunk_radial_mm if given.cut else 0.0)


def rate_in_season(
    motor: Motor, figures: Figures, entries: tuple[Entry, ...], windows: tuple[Window, ...], applied: MotorRules
) -> Rate | None:
    """Return a motor's rate of use, in the season that it follows."""
    season = season_of(ACTIVE_MONTHS.of(figures), entries, windows, motor.place, applied)
    return rate_of_use(entries, USE_PER_WEEK_UNITS.of(figures), applied, season)


def load(conn: Connection, motor_id: str, book: Rulebook | None = None) -> Context:
    """Return everything about a motor, all of it of one moment.

    Raises: NotFound.
    """
    with snapshot(conn):
        stamp = stamp_of(conn, motor_id)
        motor, kind, ahead = motors.fetch_whole(conn, motor_id)
        stated = figures_of(conn, motor)
        applied = rules_of(book or rulebook(conn), motor, stated)
        row = sheets.newest_sheet_of(conn, motor_id)
        written = entries.list_entries(conn, row.id) if row is not None else {}
        read = Context(
            stamp=stamp,
            motor=motor,
            type=kind,
            stated=stated,
            marks=marks_of(conn, motor_id),
            positions=motors.positions(conn, motor_id),
            sets=sets.list_sets(conn, motor_id),
            entries=use.list_entries(conn, motor_id),
            windows=policies.list_windows(conn),
            policies=policies.list_policies(conn, motor_id, motor.type_id),
            ahead=ahead,
            put_off=tuple(sheets.list_deferred(conn, motor_id)),
            row=row,
            written=written,
            sheet=None,
            rules=applied,
        )
        return read if row is None else replace(read, sheet=put_together(conn, row, read.facts, written))


def begin(
    conn: Connection,
    motor: Motor,
    stated: Figures,
    *,
    positions: tuple[PositionPlan, ...],
    first: BrushSet,
    entry: Entry,
) -> Context:
    """Return a motor that is not in the record yet, with its first set and the use it begins with."""
    with snapshot(conn):
        kind = motors.fetch_type(conn, motor.type_id) if motor.type_id else None
        applied = rules_of(rulebook(conn), motor, stated)
        return Context(
            stamp=stamp_of(conn, motor.id),
            motor=motor,
            type=kind,
            stated=stated,
            marks=(),
            positions=positions,
            sets=(first,),
            entries=(entry,),
            windows=policies.list_windows(conn),
            policies=policies.list_policies(conn, motor.id, motor.type_id),
            ahead=None,
            put_off=(),
            row=None,
            written={},
            sheet=None,
            rules=applied,
        )
