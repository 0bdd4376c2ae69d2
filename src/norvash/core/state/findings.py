"""What is found of a motor: its brushes now, its dates, its doubts, and all that a verdict is made of."""

from collections.abc import Mapping
from dataclasses import dataclass, field
from datetime import date
from types import MappingProxyType

from norvash.core.brush.limits import Limit
from norvash.core.brush.spread import Spread
from norvash.core.brush.straight_line import Point, StraightLine
from norvash.core.forecast.set_forecast import Ahead
from norvash.core.grades import Grade, Graded, rank_of
from norvash.core.rules.book import Figure
from norvash.core.sheet.life import Life
from norvash.core.state.component import Component, Condition
from norvash.core.state.marks import Mark, When
from norvash.core.state.motor_state import BrushSet, Overrule
from norvash.core.state.policy import Due
from norvash.core.state.rising import Rise
from norvash.core.state.round import Measured, Round


@dataclass(frozen=True, slots=True, kw_only=True)
class BrushNow:
    """One position now: its last length, what is left, its own grade, and its length at the next look."""

    number: int
    label: str
    start: Point
    last: Measured | None
    in_round: bool
    wear_mm: float | None
    usable: float | None
    left_mm: float | None
    rate_mm_per_kh: float | None
    graded: Graded | None
    next_mm: float | None


@dataclass(frozen=True, slots=True)
class Days:
    """Calendar dates that follow from the counter values and the rate of use."""

    limit_on: date | None = None
    plan_on: date | None = None
    look_on: date | None = None
    early_on: date | None = None
    late_on: date | None = None


@dataclass(frozen=True, slots=True, kw_only=True)
class OpenDoubt:
    """A reading that is doubted and not yet answered for, at a position; `swaps` are those whose brush it could be
    of, with their labels.
    """

    number: int
    label: str
    words: str
    rule_id: str
    reading_id: str
    swaps: tuple[tuple[int, str], ...] = ()


@dataclass(frozen=True, slots=True, kw_only=True)
class OldRate:
    """The line of a new set at the rate of its worst brush before [mm per 1000 units of use]: `worn_mm` told by
    readings with a standard uncertainty of `sd_mm`; what the counter showed at its fitting, what it lasts from
    there, and the three values on the counter.
    """

    of_set: BrushSet
    rate_mm_per_kh: float
    worn_mm: float
    sd_mm: float
    at_h: float
    left_h: float
    do_not_exceed_h: float
    plan_by_h: float
    look_again_h: float


@dataclass(frozen=True, slots=True, kw_only=True)
class SinceRead:
    """When the set was read, in words, and about how long its brushes are by now, by position [mm]; none where no more
    has gone since than a reading can tell. It is “at most” that, not `about`, where no counter tells all that has run.
    """

    on: str
    now_at: str
    now_mm: Mapping[int, float]
    about: str = "about"


@dataclass(frozen=True, slots=True, kw_only=True)
class Findings:
    """All that a verdict is written from; `line` runs on the counter's scale, `ahead` and the dues on total use.

    `grade` is the motor's of the day that was asked for, `base` without what its `rises` add as days go by. `graded` is
    the worst brush by its length, `by_all` by its use and its tables too. `days` are those that planning goes by: the
    forecast's, or the straight line's where there is none. `new` are the positions with a brush that came new on the
    open sheet, each with whether its first length is known. `when` are look, plan and limit with all who name them,
    `due_graded` what intervals that ask for a new set say by use. `unknown` is a set of unknown age that nobody has
    measured, `old_rate` is the straight line of a set that has none of its own, `old_days` its days.
    `before` is the gravest of what stands before the motor or beside it, `machine` the grade of both, of the day, and
    `machine_base` without what rises. `taken` is one whose every length was taken from the part, of which neither limit
    nor date needs more.
    """

    grade: Grade | None
    base: Grade | None
    graded: Graded | None
    by_all: Graded | None
    limit: Limit
    brushes: tuple[BrushNow, ...]
    missing: tuple[str, ...]
    governing: BrushNow | None
    line: StraightLine | None
    days: Days
    spread: Spread | None
    round: Round | None
    complete_before: Round | None
    doubts: tuple[OpenDoubt, ...]
    conditions: tuple[Condition, ...]
    held: tuple[str, ...] = ()
    components: tuple[Component, ...] = ()
    lives: tuple[Life, ...] = ()
    rises: tuple[Rise, ...] = ()
    before: Condition | None = None
    machine: Grade | None = None
    machine_base: Grade | None = None
    new: Mapping[int, bool] = field(default_factory=lambda: MappingProxyType({}))
    overruled: Overrule | None = None
    fallen: Overrule | None = None
    line_days: Days = Days()
    old_rate: OldRate | None = None
    old_days: Days = Days()
    since_read: SinceRead | None = None
    ahead: Ahead | None = None
    dues: tuple[Due, ...] = ()
    when: When = When()
    too_short: bool = False
    due_graded: Graded | None = None
    tabled_out: bool = False
    unknown: bool = False
    taken: bool = False

    @property
    def unmeasured(self) -> bool:
        """Tell whether nobody has measured the set, and its limit or its date needs that."""
        return self.round is None and not self.taken

    @property
    def foreseen(self) -> Ahead | None:
        """Return the forecast as far as it may be said: of a set that was not measured whole there is none."""
        return None if self.missing else self.ahead

    def usable_by_now(self, brush: BrushNow) -> float | None:
        """Return about what share of a brush may still be used by now: what was read, where less has gone since than a
        reading can tell; None where it was not read.

        Units: the result [1]
        """
        now_mm = self.since_read.now_mm.get(brush.number) if self.since_read is not None else None
        usable, left_mm = brush.usable, brush.left_mm or 0.0
        if now_mm is None or usable is None or left_mm <= 0:
            return usable
        return (now_mm - self.limit.limit_mm) / left_mm * usable

    @property
    def machine_leads(self) -> bool:
        """Tell whether what lies before the motor is at least as grave as the motor itself."""
        if self.before is None:
            return False
        return rank_of(self.machine) > rank_of(self.grade) or self.before.finding.grade == self.grade

    @property
    def own_rises(self) -> tuple[Rise, ...]:
        """Return the days on which the motor itself rises."""
        return tuple(r for r in self.rises if not r.outside)

    @property
    def look(self) -> Mark | None:
        """Return the look that comes first."""
        return self.when.look

    @property
    def change(self) -> Due | None:
        """Return the earliest interval that asks for a new set."""
        return next((m.due for m in self.when.plans if m.due is not None and m.speaks), None)


@dataclass(frozen=True, slots=True)
class Reason:
    """One short line under the verdict, with the rules and figures that it rests on."""

    text: str
    figures: tuple[Figure, ...] = ()
