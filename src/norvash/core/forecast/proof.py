"""The proof: what share of bands hold on simulated fleets, whose truth is richer than the model."""

from collections.abc import Iterator
from dataclasses import dataclass, field, replace
from itertools import islice
from math import exp, inf, log, sqrt
from random import Random
from statistics import fmean

import numpy as np
from scipy.special import stdtrit

from norvash.core.forecast.case import Case, Forecast, PastRound, Usage
from norvash.core.forecast.model import forecasts
from norvash.core.forecast.past_set import PastSet
from norvash.core.forecast.simulation import LIVELY, Habit, Worn, read_with, simulate_set, simulate_weeks

VISITS = (0, 1, 2, 3, 5)
_SHAPES = (
    (16.0, 6.0, 2, 160.0),
    (32.0, 12.0, 2, 1100.0),
    (13.5, 7.0, 4, 22000.0),
    (40.0, 20.0, 8, 6500.0),
    (20.0, 9.0, 2, 3000.0),
)
_FAMILY_SD, _SET_SD = 0.45, 0.45
_CALIPER, _RULE = (0.05, 0.05), (0.4, 0.5)
_SHARED = 0.3
_SEASON = tuple([1.0] * 28 + [0.0] * 8 + [1.0] * 16)
_BATCH = 200
_WORD_SD = 0.25  # how far somebody's word on how long a set lasted lies from it, half of that alike in all their words
_INVENTED = (0.6, 1.6)  # the brush of a class against the true one, of a gauge that nobody zeroed
_SPAN = (0.1, 0.4)  # within which share of an expected life a fitting is known, at best and at worst
KINDS = {
    "measured": "past sets measured or logged, the day of fitting known",
    "about": "past sets only known as “lasted about”",
    "span": "fitted some time within a span",
    "depth": "measured by a depth gauge that nobody zeroed on new brushes, no earlier set",
}


@dataclass(frozen=True, slots=True)
class Lived:
    """One simulated set at one moment of its life: the case as it was known, and what came of it."""

    case: Case
    crossing: float
    weeks: float


@dataclass(slots=True, kw_only=True)
class Tally:
    """How forecasts, hand sums and least squares came out after so many visits; shares from 0 to 1."""

    visits: int
    band80: list[bool] = field(default_factory=list)
    band90: list[bool] = field(default_factory=list)
    late: list[bool] = field(default_factory=list)
    width: list[float] = field(default_factory=list)
    dates80: list[bool] = field(default_factory=list)
    dates_late: list[bool] = field(default_factory=list)
    hand_late: list[bool] = field(default_factory=list)
    line80: list[bool] = field(default_factory=list)
    tails: list[float] = field(default_factory=list)

    def add(self, lived: Lived, made: Forecast) -> None:
        """Count one set."""
        use, truth = made.use, lived.crossing
        self.band80.append(use.p10 <= truth <= use.p90)
        self.band90.append(use.p05 <= truth <= use.p95)
        self.late.append(made.inspect_use > truth)
        self.width.append((use.p90 - use.p10) / truth)
        if made.weeks is not None and made.inspect_weeks is not None:
            self.dates80.append(made.weeks.p10 <= lived.weeks <= made.weeks.p90)
            self.dates_late.append(made.inspect_weeks > lived.weeks)
        self.tails.append(made.tail)
        if lived.case.visits:
            self.hand_late.append(by_hand(lived.case) > truth)
        if len(lived.case.visits) > 1:
            low, high = by_least_squares(lived.case)
            self.line80.append(low <= truth <= high)


def share(found: list[bool]) -> float:
    """Return the share that is true."""
    return fmean(found) if found else float("nan")


def prove(sets: int, seed: int, kind: str = "measured") -> Iterator[tuple[float, dict[int, Tally]]]:
    """Yield the share done and the tallies by number of visits, batch by batch, for a fleet of so many sets.

    `kind` says what is known only roughly, one of KINDS.
    """
    random = Random(seed)
    tallies = {n: Tally(visits=n) for n in VISITS}
    for start in range(0, sets, _BATCH):
        lived = [one for _ in range(min(_BATCH, sets - start)) for one in _life(random, kind)]
        for one, made in zip(lived, forecasts([x.case for x in lived]), strict=True):
            tallies[len(one.case.visits)].add(one, made)
        yield min((start + _BATCH) / sets, 1.0), tallies


def _life(random: Random, kind: str) -> list[Lived]:
    """Return one set at each number of visits that it lived to see."""
    new_mm, limit_mm, brushes, expected = random.choice(_SHAPES)
    usable = new_mm - limit_mm
    family = log(expected) + random.gauss(0.0, _FAMILY_SD)
    count = random.choice((0, 2, 4, 6, 8, 8))
    bias = random.gauss(0.0, _WORD_SD / sqrt(2)) if kind == "about" else 0.0
    past = tuple(
        _lasted(random, family + bias, usable) if kind == "about" else _past(random, family, usable)
        for _ in range(count)
    )
    worn = simulate_set(
        random, brushes, new_mm, usable_mm=usable, life_units=exp(family + random.gauss(0.0, _SET_SD)), nature=LIVELY
    )
    found = worn.crossing(limit_mm)
    if found is None:
        return []
    crossing, usual = found[0], random.choice((*(_CALIPER,) * 4, _RULE))
    uses = _looks(random, expected, crossing, most=VISITS[-1] + (kind == "depth"))
    visits = [_visit(random, worn, brushes, use, random.choice((usual, usual, usual, usual, _RULE))) for use in uses]
    span = expected * random.uniform(*_SPAN) if kind == "span" else 0.0
    shift = random.uniform(-span / 2, span / 2) if span else 0.0  # how much later it was fitted than it is taken to be
    uses = [use + shift for use in uses]
    visits = [replace(v, use=use) for v, use in zip(visits, uses, strict=True)]
    crossing += shift
    if crossing <= 0:
        return []
    year, invented = _Year(random, expected), random.uniform(*_INVENTED) if kind == "depth" else 0.0
    made = []
    for n in VISITS:
        rounds = n if kind != "depth" else n + 1
        if rounds <= len(visits):
            now = uses[rounds - 1] if rounds else 0.0
            usage, weeks = year.seen(crossing - now)
            case = Case(
                new_mm=new_mm,
                limit_mm=limit_mm,
                brushes=brushes,
                expected_life=expected,
                visits=tuple(visits[:rounds]),
                past=past,
                usage=usage,
                fitted_sd=span / sqrt(12),
            )
            if invented:
                made.append(Lived(_by_depth(case, invented), crossing - uses[0], weeks))
            else:
                made.append(Lived(case, crossing, weeks))
    return made


def _by_depth(case: Case, share: float) -> Case:
    """Return a case as it is known by a depth gauge that nobody zeroed.

    A brush of the class takes the place of the true one, and the clock starts at the first round; what is left to the
    limit and what wears between rounds stay true.
    """
    new_mm = case.new_mm * share
    limit_mm = 0.5 * new_mm
    rounds = [
        replace(v, lengths_mm=tuple(x if x is None else x - case.limit_mm + limit_mm for x in v.lengths_mm))
        for v in case.visits
    ]
    first, sd = rounds[0], rounds[0].sd_mm
    return replace(
        case,
        new_mm=new_mm,
        limit_mm=limit_mm,
        visits=tuple(replace(v, use=v.use - first.use) for v in rounds[1:]),
        started_mm=tuple(x or 0.0 for x in first.lengths_mm),
        past=(),
        constants=replace(case.constants, bedding=0.0, bedding_sd=1e-4, new_sd_mm=sd),
    )


def _past(random: Random, family: float, usable: float) -> PastSet:
    life = exp(family + random.gauss(0.0, _SET_SD))
    cut = random.random() < 0.2
    return PastSet(log(usable / (life * random.uniform(0.4, 1.0) if cut else life)), cut)


def _lasted(random: Random, family: float, usable: float) -> PastSet:
    """Return a set of which somebody remembers about how long it lasted.

    Half of what a memory is off by is the person's own and goes through all of it.
    """
    life = exp(family + random.gauss(0.0, _SET_SD) + random.gauss(0.0, _WORD_SD / sqrt(2)))
    return PastSet(log(usable / life), about=True)


def _looks(random: Random, expected: float, crossing: float, *, most: int) -> list[float]:
    """Return the uses of at most so many looks, all before the limit was reached."""
    at, looks = 0.0, []
    for i in range(most):
        at += expected * (random.uniform(0.25, 0.45) if i == 0 else random.uniform(0.14, 0.22))
        if at >= crossing:
            break
        looks.append(at)
    return looks


def _visit(random: Random, worn: Worn, brushes: int, use: float, read: tuple[float, float]) -> PastRound:
    sd, step = read
    shared = random.gauss(0.0, sd * sqrt(_SHARED))
    lengths = (read_with(random, worn.length_mm(i, use), sd * sqrt(1 - _SHARED), step, shared) for i in range(brushes))
    return PastRound(use, sd, tuple(max(x, 0.1) for x in lengths))


class _Year:
    """How one machine is used: a log of the weeks behind, and the weeks that come."""

    def __init__(self, random: Random, expected: float) -> None:
        self._random, self._pattern = random, random.choice((None, _SEASON))
        self._habit = Habit(expected / random.uniform(20, 120), pattern=self._pattern)
        self._declared = self._habit.per_week * exp(random.gauss(0.0, 0.25))

    def seen(self, ahead: float) -> tuple[Usage, float]:
        """Return what is known of the use, and the weeks until so much more has run."""
        behind = self._random.choice((0, 26, 104))
        weeks = simulate_weeks(self._random, self._habit)
        logged, active = sum(islice(weeks, behind)), behind
        pattern = self._pattern
        if pattern is not None:
            active = sum(pattern[i % 52] > 0 for i in range(behind))
            pattern = pattern[behind % 52 :] + pattern[: behind % 52]
        run, passed = 0.0, 0.0
        for ran in weeks:
            if run + ran >= ahead:
                return Usage(active, logged, self._declared, pattern), passed + (ahead - run) / ran
            run, passed = run + ran, passed + 1
        raise AssertionError


def by_hand(case: Case) -> float:
    """Return the use at the limit by proportion from the shortest brush, as it is done by hand."""
    last = case.visits[-1]
    shortest, brush = min((x, i) for i, x in enumerate(last.lengths_mm) if x is not None)
    start_mm = case.started_mm[brush] if case.started_mm else case.new_mm
    worn = max(start_mm - shortest, 1e-6)
    return last.use * (start_mm - case.limit_mm) / worn


def by_least_squares(case: Case) -> tuple[float, float]:
    """Return the 80 % band of a least-squares line with Student's t through the worst brush, its new length
    included.
    """
    last = case.visits[-1].lengths_mm
    worst = min((x, i) for i, x in enumerate(last) if x is not None)[1]
    known = [(v.use, x) for v in case.visits if (x := v.lengths_mm[worst]) is not None]
    use, length = np.array([(0.0, case.started_mm[worst] if case.started_mm else case.new_mm), *known]).T
    (slope, at_zero), spread = np.polyfit(use, length, 1, cov="unscaled")
    if slope >= 0:
        return inf, inf
    left = length - (at_zero + slope * use)
    freedom = len(use) - 2
    crossing = (case.limit_mm - at_zero) / slope
    var = (left @ left) / freedom * (spread[0, 0] * crossing**2 + 2 * spread[0, 1] * crossing + spread[1, 1])
    half = float(stdtrit(freedom, 0.9)) * np.sqrt(var) / abs(slope)
    return float(crossing - half), float(crossing + half)
