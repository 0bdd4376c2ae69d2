"""Everything about one motor as the record holds it at one moment, and what follows from it for a verdict."""

from collections.abc import Hashable, Mapping
from dataclasses import dataclass, field, replace
from datetime import date
from functools import cached_property

from norvash.core.commutator.figures_after_cut import Mark, figures_since
from norvash.core.forecast.set_forecast import Ahead
from norvash.core.judging.catalogue import visit_of
from norvash.core.judging.measuring import measured_on
from norvash.core.judging.rests_on import under
from norvash.core.judging.run_in import bedded_h
from norvash.core.motor.figure_fields import ACTIVE_MONTHS, UNIT_OF_USE, USE_PER_WEEK_UNITS
from norvash.core.motor.figure_reading import variant_of
from norvash.core.motor.figures import Figures
from norvash.core.motor.positions import PositionPlan
from norvash.core.record.record import Motor, Record, SheetRow
from norvash.core.record.said import Said, apply
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.given import Given
from norvash.core.sheet.ground import Ground, Standing, grounds_before
from norvash.core.sheet.life import KeptLife
from norvash.core.sheet.moved import Moved
from norvash.core.sheet.sheet import Sheet, Spot
from norvash.core.stages.prove.run_fields import stands_at
from norvash.core.state.findings import Findings
from norvash.core.state.motor_state import BrushSet, MotorState
from norvash.core.state.policy import Policy
from norvash.core.state.swapped import in_places
from norvash.core.use.log_entry import Entry
from norvash.core.use.rate import CALENDAR_RATE, Rate, rate_of_use
from norvash.core.use.season import Window, season_of
from norvash.core.verdict.sentence import Verdict
from norvash.core.visit.visit import Visit
from norvash.store.file.database import Connection
from norvash.store.record.motors import MotorType
from norvash.store.record.stamps import Stamp, stamp_of
from norvash.work.reading.sheet_state import NOT_COMPARED, Compared, SinceWithdrawn, beside, sheet_from, worn_mm

# What follows from the newest sheet and the figures in force alone.
_OF_SHEET = ("figures", "facts", "sheet")


@dataclass(frozen=True, kw_only=True)
class Context:
    """A motor as it was read at one moment: its record, and beside it the rules, policies and windows that apply to it,
    its forecast, what earlier visits left to compare with, and how long faces were run in on each
    sheet before [h].

    What follows is worked out once, when it is asked for.

    A job tells it entries as it writes them, and goes on with what they make of it.
    """

    stamp: Stamp
    record: Record
    type: MotorType | None
    windows: tuple[Window, ...]
    policies: tuple[Policy, ...]
    ahead: Ahead | None
    rules: MotorRules
    of_type: Mapping[str, float | str]
    moved: tuple[Moved, ...] = ()
    since: SinceWithdrawn | None = None
    compared: Compared = NOT_COMPARED
    bedded: Mapping[str, float] = field(default_factory=dict)

    def after(self, *said: Said) -> "Context":
        """Return the motor after entries; what they do not touch is not worked out again."""
        record = apply(self.record, *said)
        rules = self.rules
        if record.stated is not self.stated:
            rules = replace(rules, variant=variant_of(record.motor.motor_class, record.stated))
        made = replace(self, record=record, rules=rules)
        same = (record.written is self.written, record.row is self.row, record.marks is self.marks)
        if all(same) and record.stated is self.stated and record.positions is self.positions:
            vars(made).update({name: vars(self)[name] for name in _OF_SHEET if name in vars(self)})
        return made

    @property
    def motor(self) -> Motor:
        """Return the motor itself."""
        return self.record.motor

    @property
    def stated(self) -> Figures:
        """Return the figures as they are stated."""
        return self.record.stated

    @property
    def marks(self) -> tuple[Mark, ...]:
        """Return what its sheets say of it for good."""
        return self.record.marks

    @property
    def positions(self) -> tuple[PositionPlan, ...]:
        """Return the places of its brushes."""
        return self.record.positions

    @property
    def sets(self) -> tuple[BrushSet, ...]:
        """Return its sets, the one that is in last."""
        return self.record.sets

    @property
    def entries(self) -> tuple[Entry, ...]:
        """Return its log of use."""
        return self.record.uses

    @property
    def lives(self) -> tuple[KeptLife, ...]:
        """Return what has become of its findings."""
        return self.record.lives

    @property
    def row(self) -> SheetRow | None:
        """Return the head of its newest sheet, None without one."""
        return self.record.row

    @property
    def open_row(self) -> SheetRow | None:
        """Return the head of its newest sheet while that is not signed, None without one."""
        return self.record.open_row

    @property
    def written(self) -> Mapping[Spot, Given]:
        """Return what stands on its newest sheet."""
        return self.record.written

    @cached_property
    def sheet(self) -> Sheet | None:
        """Return its newest sheet, None without one."""
        return None if self.row is None else sheet_from(self.row, self.facts, self.written, self.compared)

    @cached_property
    def grounds(self) -> tuple[Ground, ...]:
        """Return what an open sheet was judged on before changes that nobody has confirmed."""
        sheet, moves = self.open_sheet, self.moved
        if sheet is not None and any(m.long_set for m in moves):
            views = (sheet,) if sheet.as_found is sheet else (sheet, sheet.as_found)
            rests = under(m for view in views for m in measured_on(view, self.rules, self.worn_mm))
            moves = tuple(m for m in moves if not m.long_set or rests(m.name))
        if not moves or sheet is None:
            return ()
        now = Standing(
            motor_class=self.motor.motor_class,
            own=self.stated.own,
            of_type=self.of_type,
            marks=self.marks,
            rules=self.rules,
        )
        return grounds_before(now, moves)

    @cached_property
    def figures(self) -> Figures:
        """Return the figures in force."""
        return figures_since(self.stated, self.marks)

    @cached_property
    def facts(self) -> Facts:
        """Return what a sheet must know of the motor."""
        stands = stands_at(self.written) if self.row is not None and self.row.signed_at is None else ""
        return Facts(self.motor.motor_class, self.figures, self.positions, stands)

    @cached_property
    def state(self) -> MotorState:
        """Return what a verdict rests on."""
        told = beside(
            self.row,
            self.sheet,
            self.lives,
            figures=self.figures,
            positions=self.positions,
            sets=self.sets,
            rules=self.rules,
            grounds=self.grounds,
            since=self.since,
        )
        sets = self.sets
        bedded = {**self.bedded, **({self.row.id: bedded_h(self.sheet)} if self.row and self.sheet else {})}
        if any(bedded.values()):
            sets = tuple(replace(s, bedded_h=bedded.get(s.sheet_id, 0.0)) for s in sets)
        sets = (*sets[:-1], in_places(sets[-1]))
        if any(r.held for r in sets[-1].rounds):
            sets = (*sets[:-1], replace(sets[-1], rounds=tuple(r.proving for r in sets[-1].rounds)))
        state = MotorState(
            figures=self.figures,
            positions=self.positions,
            sets=sets,
            entries=self.entries,
            rate=None,
            ahead=self.ahead,
            policies=self.policies,
            told=told.told,
            overrules=told.overrules,
            asked_on=told.look_on,
            asked_units=self._asked_units(told.look_at),
            away=told.away,
            grounds=self.grounds,
        )
        rate = rate_in_season(self.motor, self.figures, state.known, self.windows, self.rules)
        return replace(state, rate=rate)

    def _asked_units(self, counter: float | None) -> float | None:
        """Return the total use at which its newest sheet asks for a look, by the counter of its signature."""
        if counter is None or self.row is None or not self.entries:
            return None
        then = self.row.signed_at or self.row.at
        entry = next((e for e in reversed(self.entries) if e.at <= then), self.entries[0])
        return counter - (entry.counter_units - entry.total_units)

    @cached_property
    def judged(self) -> dict[date, tuple[Findings, Verdict, Verdict]]:
        """Return what was said of it already, by the day on which it was judged."""
        return {}

    @cached_property
    def drawn(self) -> dict[Hashable, object]:
        """Return what was drawn of it already, by name and width, each with what it was drawn from."""
        return {}

    @cached_property
    def worn_mm(self) -> tuple[float, ...]:
        """Return what each brush of the fitted set has lost [mm]."""
        return worn_mm(self.sets, self.figures)

    @cached_property
    def visits(self) -> dict[tuple[str, ...], tuple[Findings, Visit]]:
        """Return what was worked out of its newest sheet already, by the brushes of which it is not said which was
        read.
        """
        return {}

    def visit(self, sheet: Sheet, found: Findings, asked: tuple[str, ...] = ()) -> Visit:
        """Return a sheet of this motor with what was found on it; its newest one is put together once."""
        if sheet is not self.sheet:
            return visit_of(sheet, found, self.rules, asked)
        known = self.visits.get(asked)
        if known is None or known[0] is not found:
            known = self.visits[asked] = (found, visit_of(sheet, found, self.rules, asked))
        return known[1]

    @property
    def open_sheet(self) -> Sheet | None:
        """Return its newest sheet while that is not signed, None without one."""
        return self.sheet if self.open_row is not None else None

    @property
    def unit(self) -> str:
        """Return the unit of use."""
        return self.state.unit

    def with_ahead(self, ahead: Ahead) -> "Context":
        """Return the motor with another forecast; nothing else that follows from it changes."""
        made = replace(self, ahead=ahead)
        vars(made).update({name: getattr(self, name) for name in _OF_SHEET}, state=replace(self.state, ahead=ahead))
        return made


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


def rate_in_season(
    motor: Motor, figures: Figures, entries: tuple[Entry, ...], windows: tuple[Window, ...], applied: MotorRules
) -> Rate | None:
    """Return a motor's rate of use, in the season that it follows; use in years is the calendar."""
    if UNIT_OF_USE.of(figures) == "years":
        return CALENDAR_RATE
    season = season_of(ACTIVE_MONTHS.of(figures), entries, windows, motor.place, applied)
    return rate_of_use(entries, USE_PER_WEEK_UNITS.of(figures), applied, season)
