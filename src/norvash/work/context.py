"""Everything about one motor as the record holds it at one moment, and what follows from it for a verdict."""

from collections.abc import Callable, Mapping, Sequence
from dataclasses import dataclass, replace
from datetime import date, datetime
from functools import cached_property

from norvash.core.brush.gauged import sets_laid
from norvash.core.commutator.figures_after_cut import Mark, figures_since
from norvash.core.forecast.set_forecast import Ahead
from norvash.core.motor.figure_fields import ACTIVE_MONTHS, UNIT_OF_USE, USE_PER_WEEK_UNITS
from norvash.core.motor.figure_reading import variant_of
from norvash.core.motor.figures import Figures
from norvash.core.motor.positions import PositionPlan
from norvash.core.motor.record import BrushSet, Measured, MotorState, Renewal, Round
from norvash.core.planning.policy import Policy
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.field import YES
from norvash.core.sheet.given import Given, Sight
from norvash.core.sheet.ground import Ground, Standing, grounds_before
from norvash.core.sheet.life import KeptLife
from norvash.core.sheet.moved import Moved
from norvash.core.sheet.sheet import Sheet, Spot
from norvash.core.sheet.stages.brushes.carbon import SHORTEST_ONLY
from norvash.core.sheet.stages.catalogue import APART, TOGETHER
from norvash.core.sheet.stages.prove.run_fields import stands_at
from norvash.core.use.counting import Counted
from norvash.core.use.log_entry import Entry
from norvash.core.use.rate import CALENDAR_RATE, Rate, rate_of_use
from norvash.core.use.season import Window, season_of
from norvash.core.verdict.sentence import Verdict
from norvash.core.verdict.values import Findings
from norvash.store.database import Connection
from norvash.store.motors import Motor, MotorType
from norvash.store.retired import Retired
from norvash.store.seen import Seen, sights_of
from norvash.store.sheets import SheetRow
from norvash.store.stamps import Stamp, stamp_of
from norvash.work.read_anew import read_anew, renewed
from norvash.work.sheet_state import SinceWithdrawn, beside


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
    lives: tuple[KeptLife, ...]
    row: SheetRow | None
    written: Mapping[Spot, Given]
    sheet: Sheet | None
    rules: MotorRules
    of_type: Mapping[str, float | str]
    moved: tuple[Moved, ...] = ()
    since: SinceWithdrawn | None = None

    @cached_property
    def grounds(self) -> tuple[Ground, ...]:
        """Return what an open sheet was judged on before changes that nobody has confirmed."""
        if not self.moved or self.open_sheet is None:
            return ()
        now = Standing(
            motor_class=self.motor.motor_class,
            own=self.stated.own,
            of_type=self.of_type,
            marks=self.marks,
            rules=self.rules,
        )
        return grounds_before(now, self.moved)

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
        if any(r.held for r in sets[-1].rounds):
            sets = (*sets[:-1], replace(sets[-1], rounds=tuple(r.proving for r in sets[-1].rounds)))
        rate = rate_in_season(self.motor, self.figures, self.entries, self.windows, self.rules)
        return MotorState(
            figures=self.figures,
            positions=self.positions,
            sets=sets,
            entries=self.entries,
            rate=rate,
            ahead=self.ahead,
            policies=self.policies,
            told=told.told,
            overrules=told.overrules,
            asked_on=told.look_on,
            asked_at=told.look_at,
            grounds=self.grounds,
        )

    @cached_property
    def judged(self) -> dict[date, tuple[Findings, Verdict]]:
        """Return what was said of it already, by the day on which it was judged."""
        return {}

    @property
    def open_sheet(self) -> Sheet | None:
        """Return its newest sheet while that is not signed, None without one."""
        return self.sheet if self.row is not None and self.row.signed_at is None else None

    @property
    def unit(self) -> str:
        """Return the unit of use."""
        return self.state.unit

    def with_ahead(self, ahead: Ahead) -> "Context":
        """Return the motor with another forecast; nothing else that follows from it changes."""
        made = replace(self, ahead=ahead)
        vars(made).update(figures=self.figures, facts=self.facts, state=replace(self.state, ahead=ahead))
        return made

    def with_reading(
        self, round_id: str, position: int, measured: Measured | None, sight: Sight = "found"
    ) -> "Context":
        """Return the motor after a reading was made in a round, or withdrawn from it, in one sight."""

        return self._with_round(round_id, lambda r, s: read_anew(r, s, position, measured, sight))

    def with_seen(self, round_id: str, seen: Sequence[Seen]) -> "Context":
        """Return the motor after other things were seen on the brushes of a round."""
        found, left = sights_of(seen)
        every = tuple(dict.fromkeys(s.noted for s in sorted(seen, key=lambda s: (s.position, s.finding.id))))
        return self._with_round(
            round_id, lambda a_round, _: replace(a_round, seen=every, seen_left=left, seen_both=left & found)
        )

    def _with_round(self, round_id: str, changed: Callable[[Round, BrushSet], Round]) -> "Context":
        sets = tuple(
            replace(s, rounds=tuple(changed(r, s) if r.id == round_id else r for r in s.rounds)) for s in self.sets
        )
        return replace(self, sets=sets)

    def with_sheet(
        self, row: SheetRow, round_id: str, kind: str, total_units: float, written: Mapping[Spot, Given]
    ) -> "Context":
        """Return the motor after a sheet was opened, with the round that is measured on it."""
        opened = Round(
            id=round_id, at=row.at, total_units=total_units, kind=kind, finished=False, readings={}, sheet_id=row.id
        )
        current = replace(self.sets[-1], rounds=(*self.sets[-1].rounds, opened))
        sheet = Sheet(
            id=row.id,
            number=row.number,
            kind=row.kind,
            at=row.at,
            person=row.person,
            facts=self.facts,
            written=written,
            together=TOGETHER,
            apart=APART,
        )
        return replace(self, sets=(*self.sets[:-1], current), row=row, written=written, sheet=sheet)

    def with_entry(self, spot: Spot, given: Given | None, marks: tuple[Mark, ...] | None = None) -> "Context":
        """Return the motor after something was entered on its newest sheet; with None nothing stands there any more."""
        if self.sheet is None:
            raise LookupError("nothing can be entered without a sheet")
        written = {at: g for at, g in self.written.items() if at != spot}
        written |= {} if given is None else {spot: given}
        made = replace(self, written=written, marks=self.marks if marks is None else marks)
        if spot[0] == SHORTEST_ONLY.id:
            only = given is not None and given.word == YES
            made = replace(made, sets=_only_shortest(made.sets, self.sheet.id, only=only))
        return replace(made, sheet=replace(self.sheet, written=written, facts=made.facts))

    def with_signature(self, row: SheetRow, kept: tuple[KeptLife, ...], retired: Retired | None = None) -> "Context":
        """Return the motor after its newest sheet was signed and its rounds closed, with the lives that go on; it
        may be retired by that.
        """
        if self.sheet is None:
            raise LookupError("nothing can be signed without a sheet")
        closed = self
        for a_round in (r for s in self.sets for r in s.rounds if r.sheet_id == row.id):
            closed = closed._with_round(a_round.id, lambda r, _: replace(r, finished=True))
        motor = replace(self.motor, retired=retired)
        return replace(closed, motor=motor, row=row, lives=kept, sheet=replace(self.sheet, signed_at=row.signed_at))

    def with_new_set(self, ended: BrushSet, fitted: BrushSet) -> "Context":
        """Return the motor after its set has ended and another was fitted."""
        return replace(self, sets=(*self.sets[:-1], ended, fitted))

    def with_renewed(self, renewals: tuple[Renewal, ...]) -> "Context":
        """Return the motor after some brushes of its set were renewed: what was read of them before counts no
        longer.
        """
        return replace(self, sets=(*self.sets[:-1], renewed(self.sets[-1], renewals)))

    def with_figures(self, stated: Figures, positions: tuple[PositionPlan, ...]) -> "Context":
        """Return the motor with other figures stated, and its brushes placed or named otherwise."""
        rules = replace(self.rules, variant=variant_of(self.motor.motor_class, stated))
        made = replace(self, stated=stated, positions=positions, rules=rules, sets=sets_laid(self.sets, stated))
        return made if self.sheet is None else replace(made, sheet=replace(self.sheet, facts=made.facts))

    def with_counted(self, at: datetime, counted: Counted) -> "Context":
        """Return the motor with one more entry in its log of use."""
        return self.with_use((*self.entries, Entry(at, counted.total_units, counted.counter_units)))

    def with_use(self, entries: tuple[Entry, ...]) -> "Context":
        """Return the motor with another log of use."""
        return replace(self, entries=tuple(sorted(entries, key=lambda e: e.at)))


def _only_shortest(sets: tuple[BrushSet, ...], sheet_id: str, *, only: bool) -> tuple[BrushSet, ...]:
    """Return sets with the rounds of a sheet declared as of the shortest brush only, or not."""
    return tuple(
        replace(s, rounds=tuple(replace(r, shortest=only) if r.sheet_id == sheet_id else r for r in s.rounds))
        for s in sets
    )


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
