"""What is known of one motor at one moment: the input of every verdict."""

from collections.abc import Sequence
from dataclasses import dataclass, field, replace
from datetime import date, datetime
from math import sqrt
from typing import TYPE_CHECKING

from norvash.core.edges import over
from norvash.core.forecast.set_forecast import Ahead
from norvash.core.grades import Grade
from norvash.core.motor.figure_fields import LENGTH_UNIT, NEW_MM, THICKNESS_MM, UNIT_OF_USE, WIDTH_MM
from norvash.core.motor.figures import Figures
from norvash.core.motor.positions import PositionPlan
from norvash.core.sheet.life import Told
from norvash.core.state.policy import Policy
from norvash.core.state.round import Round
from norvash.core.text.words import MONTHS, use_words
from norvash.core.use.log_entry import Entry
from norvash.core.use.rate import Rate, day_of

if TYPE_CHECKING:
    from norvash.core.sheet.ground import Ground


@dataclass(frozen=True, slots=True)
class Renewal:
    """One brush that was renewed while the others stayed: use then, its length if measured [mm], and on which sheet."""

    position: int
    total_units: float
    length_mm: float | None
    sd_mm: float | None
    sheet_id: str = ""


@dataclass(frozen=True, slots=True, kw_only=True)
class BrushSet:
    """A set of brushes with its rounds in order; ended_units is None while it runs.

    Of a brush that was renewed its rounds only hold readings since. One fitted on a sheet names it; of the positions in
    `nominal` the new length was taken from the part and not measured. Where its fitting is only known within a span,
    `span_on` and `span_units` hold the first and the last possible day and use; `noted` says that it is from notes. Of
    such a set `lasted` is “about” or “least” where its use is somebody's word, `gone_share` the share of its usable
    carbon that was gone at its end. Its faces were run in for `bedded_h` on the sheet that fitted it [h].
    """

    number: int
    fitted_at: datetime
    fitted_units: float
    fitted_known: bool
    ended_at: datetime | None
    ended_units: float | None
    end_reason: str
    rounds: tuple[Round, ...]
    id: str = ""
    renewed: tuple[Renewal, ...] = ()
    sheet_id: str = ""
    part: str = ""
    variant: str = ""
    nominal: frozenset[int] = frozenset()
    span_on: tuple[date, date] | None = None
    span_units: tuple[float, float] | None = None
    noted: bool = False
    lasted: str = ""
    gone_share: float | None = None
    bedded_h: float = 0.0

    @property
    def words(self) -> str:
        """Return what the set is called: by its number, or by its days where it is from notes."""
        if self.number > 0:
            return f"set {self.number}"
        end = self.ended_at or self.fitted_at
        return f"the set from notes that came out in {MONTHS[end.month - 1]} {end.year}"

    def numbered(self, number: int) -> "BrushSet":
        """Return the set with another number."""
        return replace(self, number=number)

    @property
    def earliest_units(self) -> float:
        """Return the first use at which the set can have been fitted."""
        return self.fitted_units if self.span_units is None else self.span_units[0]

    @property
    def latest_units(self) -> float:
        """Return the last use at which the set can have been fitted."""
        return self.fitted_units if self.span_units is None else self.span_units[1]

    @property
    def fitted_sd(self) -> float:
        """Return how far the use at its fitting is known, as a standard uncertainty: a span over √12."""
        return (self.latest_units - self.earliest_units) / sqrt(12)

    def renewal_of(self, position: int) -> Renewal | None:
        """Return the last renewal of one brush while the others stayed, None where there was none."""
        return next((r for r in reversed(self.renewed) if r.position == position), None)

    def after_renewals(self) -> "BrushSet":
        """Return the set with what was read of a brush on the sheet on which it was renewed, before that, as found."""

        def since(a_round: Round) -> Round:
            return a_round.without([r.position for r in self.renewed if r.sheet_id and r.sheet_id == a_round.sheet_id])

        return replace(self, rounds=tuple(map(since, self.rounds)))

    def complete(self, positions: Sequence[PositionPlan]) -> list[Round]:
        """Return the rounds in which every brush was measured that is older than the round.

        One renewed since counts as seen.
        """
        return [r for r in self.rounds if r.readings and self._is_whole(r, positions)]

    def _is_whole(self, a_round: Round, positions: Sequence[PositionPlan]) -> bool:
        return self.stands_for(a_round) or all(self._known(a_round, p.number) for p in positions)

    def stands_for(self, a_round: Round) -> bool:
        """Tell whether a round of the shortest brush alone stands for the set.

        It does not where a brush was shorter before, by more than two standard deviations to each side: that one is
        shorter still, and was not measured.
        """
        if not a_round.stands_alone:
            return False
        now, before = a_round.least, [r.least for r in self.rounds if r.readings and r.at < a_round.at]
        return not any(over(now.length_mm - 2 * now.sd_mm, was.length_mm + 2 * was.sd_mm) for was in before)

    def _known(self, a_round: Round, position: int) -> bool:
        """Tell whether a brush was measured in a round, has been renewed since, or was on its sheet with its length."""
        renewal = self.renewal_of(position)
        if position in a_round.readings or renewal is None:
            return position in a_round.readings
        measured = renewal.length_mm is not None and renewal.sheet_id != ""
        return renewal.total_units > a_round.total_units or (measured and renewal.sheet_id == a_round.sheet_id)


@dataclass(frozen=True, slots=True)
class Overrule:
    """What a person decided over a component's verdict, or over the motor's, and why."""

    component: str
    grade: Grade
    person: str
    why: str
    day: date


@dataclass(frozen=True, slots=True)
class BrushSize:
    """The size of a brush when new: length, along the rotation, along the shaft [mm]."""

    new_mm: float
    thickness_mm: float
    width_mm: float


@dataclass(frozen=True, slots=True, kw_only=True)
class MotorState:
    """Everything that a verdict on one motor rests on; sets in the order in which they were fitted.

    `told` is what the record and the open sheet tell of its findings; `asked_on` and `asked_units` are a look that was
    asked for on the last sheet, by day and by total use. `grounds` are what it was judged on before changes that nobody
    has confirmed yet. One that was signed as out of service or sent away is `away`. `gap` is the first entry of the
    fitted set with use that no counter tells, None where every brush was measured since.
    """

    figures: Figures
    positions: tuple[PositionPlan, ...]
    sets: tuple[BrushSet, ...]
    entries: tuple[Entry, ...]
    rate: Rate | None
    ahead: Ahead | None = None
    policies: tuple[Policy, ...] = ()
    told: Told = Told()
    overrules: tuple[Overrule, ...] = ()
    asked_on: date | None = None
    asked_units: float | None = None
    away: bool = False
    grounds: "tuple[Ground, ...]" = ()
    gap: Entry | None = field(init=False, default=None)

    @property
    def unit(self) -> str:
        """Return the unit of use: hours or starts."""
        return UNIT_OF_USE.of(self.figures)

    @property
    def length_unit(self) -> str:
        """Return the unit in which a bare length of this motor is meant."""
        return LENGTH_UNIT.of(self.figures)

    @property
    def brush(self) -> BrushSize:
        """Return the size of its brushes."""
        figures = self.figures
        return BrushSize(NEW_MM.need(figures), THICKNESS_MM.need(figures), WIDTH_MM.need(figures))

    @property
    def current(self) -> BrushSet:
        """Return the set that is fitted now."""
        return self.sets[-1]

    def __post_init__(self) -> None:
        if any(e.basis == "least" for e in self.entries):
            object.__setattr__(self, "gap", self._gap())

    def _gap(self) -> Entry | None:
        complete = self.current.complete(self.positions)
        since = max([self.current.fitted_at, *(r.at for r in complete[-1:])])
        return next((e for e in self.entries if e.basis == "least" and e.at > since), None)

    def ran_at_least(self, brush_set: BrushSet) -> bool:
        """Tell whether a set has run more than is counted: at one time no counter told it."""
        first, last = brush_set.fitted_at, brush_set.ended_at
        return any(e.basis == "least" and first < e.at and (last is None or e.at <= last) for e in self.entries)

    def ran_words(self, brush_set: BrushSet) -> str:
        """Return in words what a set has run, empty where that is not known; at least that where no counter told it."""
        if not brush_set.fitted_known:
            return ""
        end = self.now_units if brush_set.ended_units is None else brush_set.ended_units
        words = use_words(end - brush_set.fitted_units, self.unit)
        return f"at least {words}" if self.ran_at_least(brush_set) else words

    def counter_at(self, total_units: float) -> float:
        """Return what the counter that was in showed at a total use, 0 before any reading of it.

        Units: the motor's own unit of use.
        """
        if not self.entries:
            return total_units
        then = next((e for e in reversed(self.entries) if not over(e.total_units, total_units)), self.entries[0])
        return max(then.counter_units + total_units - then.total_units, 0.0)

    @property
    def known(self) -> tuple[Entry, ...]:
        """Return the log up to use that no counter tells: days from carbon and intervals rest on that."""
        return self.entries if self.gap is None else self.entries[: self.entries.index(self.gap)]

    def day_at(self, total_units: float) -> date | None:
        """Return the day on which a total is reached at the usual use; while what has run is only known as at least,
        no later than by what was known before. None without a rate.
        """
        if self.rate is None or not self.entries:
            return None
        last = self.entries[-1:] if self.gap is None else (self.known[-1], self.entries[-1])
        return min((x for e in last if (x := day_of(total_units, e, self.rate)) is not None), default=None)

    def ran_by(self, today: date) -> float:
        """Return the total use logged up to a day, 0 without a log."""
        last = next((e for e in reversed(self.entries) if e.at.date() <= today), None)
        if last is None:
            return 0.0
        since = (today - last.at.date()).days / 365.25 if self.unit == "years" else 0.0
        return last.total_units + since

    @property
    def now_units(self) -> float:
        """Return the total use by the log; without one that at which the set went in."""
        return self.entries[-1].total_units if self.entries else self.current.fitted_units

    @property
    def offset_units(self) -> float:
        """Return what the counter shows more than the total use, now."""
        return self.entries[-1].counter_units - self.entries[-1].total_units if self.entries else 0.0
