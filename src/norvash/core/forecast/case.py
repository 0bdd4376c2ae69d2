"""What a forecast is made from and what it says, for one set of brushes."""

from collections.abc import Sequence
from dataclasses import dataclass, field
from itertools import pairwise
from math import isfinite

from norvash.core.forecast.past_set import PastSet
from norvash.core.rules.book import MotorRules
from norvash.errors import InputError


def _within(value: float, low: float, high: float, what: str, field_name: str) -> None:
    if not low <= value <= high:
        raise InputError(f"{value:g} is not {what}.", f"Give a value from {low:g} to {high:g}.", field_name)


@dataclass(frozen=True, slots=True, kw_only=True)
class Constants:
    """The figures of the model that the rulebook may change; every one is a rule `forecast.*` or `use.*`."""

    new_sd_mm: float = 0.10
    brush_sd: float = 0.15
    drift: float = 0.055
    brush_drift: float = 0.04
    bedding: float = 0.02
    bedding_sd: float = 0.012
    jumps_a_life: float = 0.10
    spared: float = 0.10
    shared_error: float = 0.3
    risk: float = 0.05
    visible: float = 4.0
    declared_weeks: float = 20.0
    rate_sd: float = 0.05
    week_var: float = 1.5


def constants_of(rules: MotorRules) -> Constants:
    """Return the figures of the model as the rulebook has them for a motor."""
    return Constants(
        new_sd_mm=rules["forecast.new-sd"],
        brush_sd=rules["forecast.brush-sd"],
        drift=rules["forecast.drift"],
        brush_drift=rules["forecast.brush-drift"],
        bedding=rules["forecast.bedding"],
        bedding_sd=rules["forecast.bedding-sd"],
        jumps_a_life=rules["forecast.jumps"],
        spared=rules["forecast.spared"],
        shared_error=rules["forecast.shared-error"],
        risk=rules["forecast.risk"],
        visible=rules["forecast.visible"],
        declared_weeks=rules["use.declared-weight"],
        rate_sd=rules["use.rate-sd"],
        week_var=rules["use.week-var"],
    )


@dataclass(frozen=True, slots=True)
class PastRound:
    """One measured round: use since the oldest brush was fitted, lengths by position [mm], None where not measured."""

    use: float
    sd_mm: float
    lengths_mm: tuple[float | None, ...]

    def __post_init__(self) -> None:
        _within(self.use, 0.0, 1e9, "a use", "use")
        _within(self.sd_mm, 1e-4, 100.0, "a standard uncertainty", "sigma_mm")
        for length in self.lengths_mm:
            if length is not None:
                _within(length, 0.0, 1e4, "a length", "lengths_mm")


@dataclass(frozen=True, slots=True)
class Usage:
    """How fast use runs: weeks of log and the use in them, what was declared for a week, and 52 weeks of activity from
    today.

    Of a motor with a pattern of the year, weeks and declared use count active weeks only.
    """

    weeks_logged: float = 0.0
    use_logged: float = 0.0
    declared_per_week: float | None = None
    pattern: tuple[float, ...] | None = None

    def __post_init__(self) -> None:
        _within(self.weeks_logged, 0.0, 1e5, "a number of weeks", "weeks_logged")
        _within(self.use_logged, 0.0, 1e9, "a use", "use_logged")
        if self.declared_per_week is not None:
            _within(self.declared_per_week, 0.0, 1e6, "a use per week", "declared_per_week")
        if self.pattern is not None:
            if len(self.pattern) != 52:
                raise InputError(
                    f"The pattern of the year has {len(self.pattern)} weeks.", "Give 52 weights.", "season_weights"
                )
            for weight in self.pattern:
                _within(weight, 0.0, 100.0, "a weight of the year's pattern", "season_weights")


# Use in years is the calendar: a week is a week, whatever runs in it.
CALENDAR = Usage(declared_per_week=7 / 365.25)
EXACT_WEEKS = {"rate_sd": 0.0, "week_var": 0.0}


@dataclass(frozen=True, slots=True, kw_only=True)
class Case:
    """One set of brushes: its lengths [mm], expected life [use], what the family did, its visits and its use.

    `fitted` gives each brush's own use at fitting for a set whose brushes differ in age; `started_mm` each brush's
    length where its clock starts, for a set that was worn before its record began; `shortest_of` is the true number
    of brushes where only the shortest was ever recorded (`brushes` is 1 then); `run_since` is what has run since the
    last visit; `fitted_sd` is how far the use at which the set was fitted is known (standard uncertainty);
    `unseen` is what its visits count that no counter told.
    """

    new_mm: float
    limit_mm: float
    brushes: int
    expected_life: float
    visits: tuple[PastRound, ...] = ()
    past: tuple[PastSet, ...] = ()
    usage: Usage = Usage()
    fitted: tuple[float, ...] = ()
    started_mm: tuple[float, ...] = ()
    shortest_of: int = 1
    run_since: float = 0.0
    fitted_sd: float = 0.0
    unseen: float = 0.0
    constants: Constants = field(default=Constants())

    def __post_init__(self) -> None:
        _within(self.new_mm, 0.01, 1e4, "a new length", "new_length_mm")
        _within(self.limit_mm, -1e4, 1e4, "a limit", "limit_mm")
        _within(self.expected_life, 1e-3, 1e9, "an expected life", "expected_life")
        _within(self.brushes, 1, 200, "a number of brushes", "brushes")
        _within(self.fitted_sd, 0.0, 1e9, "an uncertainty of the use at fitting", "fitted_sd")
        if not self.limit_mm < self.new_mm:
            raise InputError(
                f"The limit of {self.limit_mm:g} mm is not below the new length of {self.new_mm:g} mm.",
                "Correct one of them.",
                "limit_mm",
            )
        if any(len(v.lengths_mm) != self.brushes for v in self.visits) or any(
            len(each) not in (0, self.brushes) for each in (self.fitted, self.started_mm)
        ):
            raise InputError(
                f"A visit or the fitting does not speak of {self.brushes} brushes.",
                "Give one value for each position, null where it was not measured.",
                "lengths_mm",
            )
        if any(b.use < a.use for a, b in pairwise(self.visits)):
            raise InputError("The visits are not in order of use.", "Order them by use since fitting.", "use")
        if any(not isfinite(p.log_rate) for p in self.past):
            raise InputError("A past rate is not a number.", "Leave that set out.", "past_log_rates")


@dataclass(frozen=True, slots=True)
class Prior:
    """What is believed of g = ln(wear rate) before this set is measured: Student-t with place, scale and degrees of
    freedom.
    """

    loc: float
    scale: float
    df: float


@dataclass(frozen=True, slots=True)
class Quantiles:
    """The 5, 10, 50, 90 and 95 % points."""

    p05: float
    p10: float
    p50: float
    p90: float
    p95: float


@dataclass(frozen=True, slots=True, kw_only=True)
class Forecast:
    """The use at which the first brush reaches its limit, the weeks from now until then, and how far to trust them.

    Units: use since fitting and weeks from now; weeks are None without any use per week.
    `half` holds the use between which half of such sets reach it. `tail` is the chance of at least the wear seen
    last had nothing changed, `jumped` that the rate rose in the last interval; worst_position counts from 0.
    """

    prior: Prior
    use: Quantiles
    half: tuple[float, float]
    inspect_use: float
    weeks: Quantiles | None
    inspect_weeks: float | None
    tail: float
    jumped: float
    mean_rate: float
    worst_position: int


Cases = Sequence[Case]
