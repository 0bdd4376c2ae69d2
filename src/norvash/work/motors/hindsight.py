"""How the forecasts did: past bands against what came, and what the fleet teaches about drift."""

from collections.abc import Iterable
from dataclasses import dataclass, replace

from norvash.core.brush.motor_limit import motor_limit
from norvash.core.forecast.case import Case
from norvash.core.motor.figure_fields import NEW_MM
from norvash.core.planning.hindsight import Outcome, Score, reached, scores
from norvash.core.state.motor_state import MotorState
from norvash.errors import InputError
from norvash.store.file.database import Connection
from norvash.store.record import forecasts, motors
from norvash.work.act.acting import Act
from norvash.work.motors.ruling import set_rule
from norvash.work.reading.context import Context
from norvash.work.reading.loading import load
from norvash.work.reading.rulebook import rulebook

_MOST_MADE = 4000
_MOST_SETS = 3000
_SHOWN = 30


@dataclass(frozen=True, slots=True, kw_only=True)
class HowItDid:
    """All outcomes known, their scores, the latest ones, the sets that have taught, and the drift in force."""

    outcomes: list[Outcome]
    scores: tuple[Score, ...]
    latest: list[Outcome]
    open: int
    visited: int
    drift: float


@dataclass(frozen=True, slots=True)
class Learnt:
    """What the tails of the visited sets say: how surprising they are now, and the drift at which they would be
    right.
    """

    sets: int
    surprise: float
    drift_now: float
    drift_fitted: float


def how_it_did(conn: Connection) -> HowItDid:
    """Return past forecasts against what came."""
    made = forecasts.list_made(conn, _MOST_MADE)
    known: dict[str, tuple[Context, dict[str, tuple[int, float, float | None]]]] = {}
    outcomes, undecided = [], 0
    for one in made:
        if one.motor_id not in known:
            context = load(conn, one.motor_id)
            known[one.motor_id] = context, _ends(context)
        context, ends = known[one.motor_id]
        number, fitted, end = ends[one.set_id]
        used = next((r.total_units for s in context.state.sets for r in s.rounds if r.id == one.round_id), None)
        if end is None or used is None or used >= end:
            undecided += end is None
            continue
        outcomes.append(
            Outcome(
                tag=context.motor.tag,
                set_number=number,
                visits=one.visits,
                made_units=used - fitted,
                p05_units=one.p05_units - fitted,
                p10_units=one.p10_units - fitted,
                p50_units=one.p50_units - fitted,
                p90_units=one.p90_units - fitted,
                p95_units=one.p95_units - fitted,
                look_units=one.look_units - fitted,
                reached_units=end - fitted,
            )
        )
    visited = len({one.set_id for one in made})
    drift = rulebook(conn).figure("forecast.drift").value
    return HowItDid(
        outcomes=outcomes,
        scores=scores(outcomes),
        latest=outcomes[-_SHOWN:],
        open=undecided,
        visited=visited,
        drift=drift,
    )


def _ends(context: Context) -> dict[str, tuple[int, float, float | None]]:
    """Return by set its number, the use at fitting, and the use at which its limit was reached where that is known."""
    limit, new_mm = motor_limit(context.figures, context.rules), NEW_MM.need(context.figures)
    return {s.id: (s.number, s.fitted_units, reached(s, limit, new_mm)) for s in context.state.sets}


def visited_cases(conn: Connection) -> list[Case]:
    """Return the case of every set that was measured, as it stood at its last round."""
    made: list[Case] = []
    for motor_id in motors.list_motor_ids(conn, _MOST_SETS):
        context = load(conn, motor_id)
        for state in _each_set(context.state):
            made += _case(context, state)
            if len(made) >= _MOST_SETS:
                return made
    return made


def _each_set(state: MotorState) -> Iterable[MotorState]:
    return (replace(state, sets=state.sets[: i + 1]) for i in range(len(state.sets)))


def _case(context: Context, state: MotorState) -> list[Case]:
    from norvash.core.planning.forecast_of_motor import case_of

    case = case_of(state, motor_limit(context.figures, context.rules), (), context.rules)
    return [case] if len(case.visits) > 1 else []


def learn(conn: Connection) -> Learnt:
    """Return what the fleet teaches about drift.

    Raises: InputError while there are fewer than 100 sets with two rounds or more.
    """
    from norvash.core.forecast.learning import LEAST_SETS, fitted_drift, surprise

    cases = visited_cases(conn)
    if len(cases) < LEAST_SETS:
        raise InputError(
            f"{len(cases)} sets have been looked at twice or more; {LEAST_SETS} are needed to learn from.",
            "Until then the figure that was calibrated on simulated fleets holds.",
        )
    now = rulebook(conn).figure("forecast.drift").value
    return Learnt(len(cases), surprise(cases, now), now, fitted_drift(cases))


def take_fitted(conn: Connection, act: Act) -> str:
    """Set the drift that the fleet teaches as the site's own figure, kept in the rulebook's history."""
    learnt = learn(conn)
    why = f"refitted from the last readings of {learnt.sets} sets"
    return set_rule(conn, act, "forecast.drift", scope="site", scope_id="", text=f"{learnt.drift_fitted:g}", why=why)
