"""From what is known of a motor to the forecast of its fitted set, and back to its own use and days."""

from collections.abc import Sequence
from dataclasses import replace
from datetime import date
from math import exp, log, sqrt

from norvash.core.brush.gauged import is_floating
from norvash.core.brush.limits import Limit
from norvash.core.forecast.case import EXACT_WEEKS, Case, Constants, Forecast, PastRound, Usage, constants_of
from norvash.core.forecast.past_set import PastSet
from norvash.core.forecast.set_forecast import Ahead
from norvash.core.motor.figure_fields import EXPECTED_LIFE_UNITS, NEW_MM
from norvash.core.rules.book import MotorRules
from norvash.core.state.motor_state import BrushSet, MotorState
from norvash.core.state.round import Round
from norvash.core.state.set_clock import begins_at_first_reading
from norvash.core.use.rate import Rate, in_weeks

_LEAST_SD_MM = 0.02
_NEVER_BEDDED = 1e-4
_COARSE_MM = 0.2


def case_of(state: MotorState, limit: Limit, past: Sequence[PastSet], rules: MotorRules) -> Case:
    """Return what the forecast is made from.

    The clock of a set that was worn before its record began starts at its first round, from the lengths read there; so
    does that of one whose gauge does not say what it showed when the brushes were new. Where only the shortest brush
    of a round was measured, it stands for its set.
    """
    current = state.current
    rounds = [r for r in current.rounds if r.readings]
    if any(current.stands_for(r) for r in rounds):
        return _of_the_shortest(state, limit, past, rules)
    constants, started_at = _constants(state, rules), current.fitted_units
    started: tuple[float, ...] = ()
    begun: Round | None = None
    if begins_at_first_reading(state) and rounds:
        begun = first = rounds[0]
        started = tuple(m.length_mm if (m := first.readings.get(p.number)) else _mean(first) for p in state.positions)
        sd = max((m.sd_mm for m in first.readings.values()), default=_LEAST_SD_MM)
        constants = replace(constants, bedding=0.0, bedding_sd=_NEVER_BEDDED, new_sd_mm=max(sd, _LEAST_SD_MM))
        rounds, started_at = rounds[1:], first.total_units
    fitted = tuple(_fitted_at(current, p.number, started_at) for p in state.positions)
    seen = [r for r in rounds if r.total_units >= started_at]
    visits = tuple(_visit(r, state, started_at) for r in seen)
    last = visits[-1].use if visits else 0.0
    unseen = _unseen(state, limit, begun, seen) if state.ran_at_least(current) else ()
    if unseen:
        visits = tuple(replace(v, use=v.use + more) for v, more in zip(visits, unseen, strict=True))
        fitted = tuple(x and x + _unseen_by(x + started_at, seen, unseen) for x in fitted)
    now = state.known[-1].total_units if state.entries else started_at
    return Case(
        new_mm=NEW_MM.need(state.figures),
        limit_mm=limit.limit_mm,
        brushes=len(state.positions),
        expected_life=EXPECTED_LIFE_UNITS.need(state.figures),
        visits=visits,
        past=tuple(past),
        usage=usage_of(state),
        fitted=fitted if any(fitted) else (),
        started_mm=started,
        run_since=max(now - started_at - last, 0.0),
        fitted_sd=0.0 if started else current.fitted_sd,
        unseen=unseen[-1] if unseen else 0.0,
        constants=constants,
    )


def _constants(state: MotorState, rules: MotorRules) -> Constants:
    made = constants_of(rules)
    return replace(made, **EXACT_WEEKS) if state.unit == "years" else made


def _of_the_shortest(state: MotorState, limit: Limit, past: Sequence[PastSet], rules: MotorRules) -> Case:
    """Return the case of a set of which only the shortest brush stands in some round: one brush, the least of each."""
    current = state.current
    only = state.positions[:1]
    rounds = [replace(r, readings={only[0].number: r.least}, shortest=False) for r in current.rounds if r.readings]
    alone = replace(state, positions=only, sets=(*state.sets[:-1], replace(current, rounds=tuple(rounds), renewed=())))
    return replace(case_of(alone, limit, past, rules), shortest_of=len(state.positions))


def _fitted_at(brush_set: BrushSet, position: int, started_at: float) -> float:
    """Return the use at which one brush was fitted, counted from where the set's clock starts."""
    renewal = brush_set.renewal_of(position)
    return max(renewal.total_units - started_at, 0.0) if renewal else 0.0


def _mean(a_round: Round, without: frozenset[int] = frozenset()) -> float:
    """Return the mean length of a round, of the brushes as old as the set where there are any."""
    lengths = [m.length_mm for n, m in a_round.readings.items() if n not in without]
    lengths = lengths or [m.length_mm for m in a_round.readings.values()]
    return sum(lengths) / len(lengths)


def _visit(a_round: Round, state: MotorState, started_at: float) -> PastRound:
    measured = [a_round.readings.get(p.number) for p in state.positions]
    sds = [m.sd_mm for m in measured if m is not None]
    sd = sqrt(sum(s * s for s in sds) / len(sds))
    lengths = tuple(None if m is None else m.length_mm for m in measured)
    return PastRound(a_round.total_units - started_at, max(sd, _LEAST_SD_MM), lengths)


def _unseen(state: MotorState, limit: Limit, begun: Round | None, seen: Sequence[Round]) -> tuple[float, ...]:
    """Return, by round, the use that no counter told up to it: what its wear asks for at the rate known before, where
    that is more than was counted. So wear that fits more use than is counted teaches no faster rate. The clock of the
    set starts at a round that has `begun` it, else at its fitting with new brushes.
    """
    current, new_mm = state.current, NEW_MM.need(state.figures)
    young = frozenset(r.position for r in current.renewed)
    rate = (new_mm - limit.limit_mm) / EXPECTED_LIFE_UNITS.need(state.figures)
    length, units, at = new_mm, current.fitted_units, current.fitted_at
    if begun is not None:
        length, units, at = _mean(begun, young), begun.total_units, begun.at
    found: list[float] = []
    ran = worn = 0.0
    for a_round in seen:
        wore, counted = max(length - _mean(a_round, young), 0.0), a_round.total_units - units
        unread = any(e.basis == "least" and at < e.at <= a_round.at for e in state.entries)
        more = max(wore / rate - counted, 0.0) if unread else 0.0
        found.append((found[-1] if found else 0.0) + more)
        length, units, at = _mean(a_round, young), a_round.total_units, a_round.at
        ran, worn = ran + counted + more, worn + wore
        rate = worn / ran if worn > 0 and ran > 0 else rate
    return tuple(found)


def _unseen_by(total_units: float, seen: Sequence[Round], unseen: Sequence[float]) -> float:
    """Return the use that no counter told up to a brush's renewal: that of the round that followed, so that the brush
    is taken for no older than it can be.
    """
    return next((more for r, more in zip(seen, unseen, strict=True) if r.total_units >= total_units), unseen[-1])


def usage_of(state: MotorState) -> Usage:
    """Return how the motor is used, as the forecast takes it; the year starts at the last entry of the log."""
    rate: Rate | None = state.rate
    if rate is None or not state.entries:
        return Usage()
    pattern = rate.season.pattern(state.known[-1].at.date()) if rate.season else None
    return Usage(rate.weeks, rate.logged_units, rate.declared, pattern)


def ahead_of(made: Forecast, case: Case, state: MotorState) -> Ahead:
    """Return a forecast on the motor's own scale of use, with its days."""
    current = state.current
    rounds = [r for r in current.rounds if r.readings]
    base = rounds[0].total_units if rounds and begins_at_first_reading(state) else current.fitted_units
    base -= case.unseen
    last = state.known[-1].at.date() if state.entries else None
    weeks = made.weeks

    def on(value: float | None) -> date | None:
        return None if value is None or last is None else in_weeks(value, last)

    use, visits = made.use, case.visits
    rate = made.mean_rate if visits else exp(made.prior.loc)
    days = (weeks.p10, weeks.p50, weeks.p90) if weeks else (None, None, None)
    return Ahead(
        visits=len(visits),
        past_sets=len(case.past),
        life_units=(case.new_mm - case.limit_mm) / rate,
        p05_units=base + use.p05,
        p10_units=base + use.p10,
        p25_units=base + made.half[0],
        p50_units=base + use.p50,
        p75_units=base + made.half[1],
        p90_units=base + use.p90,
        p95_units=base + use.p95,
        look_units=base + made.inspect_use,
        p10_on=on(days[0]),
        p50_on=on(days[1]),
        p90_on=on(days[2]),
        look_on=on(made.inspect_weeks),
        tail=made.tail,
        jumped=made.jumped,
        rate_mm_per_unit=made.mean_rate,
        worst_position=made.worst_position + 1 if len(state.positions) == case.brushes else _shortest_at(rounds[-1]),
        seen_units=base + (visits[-1].use if visits else 0.0),
        coarse=bool(visits) and visits[-1].sd_mm > _COARSE_MM,
    )


def _shortest_at(a_round: Round) -> int:
    return min(a_round.readings, key=lambda n: a_round.readings[n].length_mm)


def past_set_of(brush_set: BrushSet, state: MotorState, limit: Limit, rules: MotorRules) -> PastSet | None:
    """Return what an ended set taught about the family's wear rate, None where nothing can be said.

    With lengths measured it is a full datum, however early it came out. One that lasted about so long by somebody's
    word was at its limit then, or had a share of its carbon gone; another only lasted at least so long.
    """
    ran = (brush_set.ended_units or 0.0) - brush_set.fitted_units
    new_mm = NEW_MM.need(state.figures)
    young = frozenset(r.position for r in brush_set.renewed)
    rounds = [r for r in brush_set.rounds if any(n not in young for n in r.readings)]
    start_mm, start_units = new_mm, brush_set.fitted_units
    since_new = brush_set.fitted_known and not is_floating(state.figures)
    if rounds and (rounds[0].kind == "fitting" or not since_new):
        start_mm, start_units = _mean(rounds[0], young), rounds[0].total_units
        rounds = rounds[1:]
    if rounds:
        last = rounds[-1]
        worn, sd = start_mm - _mean(last, young), max(m.sd_mm for m in last.readings.values())
        if worn > rules["forecast.visible"] * sd and last.total_units > start_units:
            return PastSet(log(worn / (last.total_units - start_units)), at_most=state.ran_at_least(brush_set))
    if not (ran > 0 and brush_set.fitted_known and new_mm > limit.limit_mm):
        return None
    worn_mm = (new_mm - limit.limit_mm) * (brush_set.gone_share or 1.0)
    about = brush_set.lasted == "about"
    known = about or brush_set.gone_share is not None
    return PastSet(log(worn_mm / ran), at_most=not known, about=about)
