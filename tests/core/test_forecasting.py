"""From a motor to its forecast: clocks that start late, what ended sets teach, days in a season, a fleet that teaches
drift.
"""

from dataclasses import asdict, replace
from datetime import timedelta
from itertools import islice
from math import exp, log
from random import Random

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from conftest import Shop
from norvash.core.brush.limits import Limit
from norvash.core.brush.motor_limit import motor_limit
from norvash.core.forecast.case import Case, PastRound, constants_of
from norvash.core.forecast.laying import laid
from norvash.core.forecast.learning import HIGH, LOW, fitted_drift, surprise
from norvash.core.forecast.model import forecast
from norvash.core.forecast.set_forecast import ahead_from
from norvash.core.forecast.simulation import LIVELY, QUIET, Habit, Nature, read_with, simulate_set, simulate_weeks
from norvash.core.planning.forecast_of_motor import case_of, past_set_of
from norvash.core.rules.book import MotorRules
from norvash.core.rules.catalogue import rulebook_with, shipped
from norvash.core.state.motor_state import BrushSet, MotorState
from norvash.core.state.round import Round
from norvash.core.use.rate import rate_of_use
from norvash.core.use.season import Season, weeks_ahead
from norvash.store.record import motors, standings
from norvash.work.reading.standing import catch_up
from states import T0, a_round, foreseen, ruled, state
from whole import assert_nothing_moved

LIMIT = Limit(limit_mm=8.0, source="maker", estimated=False, governed_by="maker")


def made(given_state: MotorState) -> Case:
    return case_of(given_state, motor_limit(given_state.figures, shipped()), (), shipped())


def test_visits_count_use_from_fitting_and_what_ran_since() -> None:
    case = made(state(a_round(0, 22, 22, kind="fitting"), a_round(10, 20, None), a_round(20, 18, 18.5)))
    assert [(v.use, v.lengths_mm) for v in case.visits] == [(0, (22, 22)), (200, (20, None)), (400, (18, 18.5))]
    assert (case.run_since, case.brushes, case.expected_life) == (400, 2, 160)
    assert case.usage.weeks_logged == pytest.approx(40)


def test_of_a_set_from_before_the_record_the_clock_starts_at_its_first_round() -> None:
    case = made(state(a_round(4, 15, 14, sd=0.4), a_round(20, 13, 12.5), known=False))
    assert list(case.started_mm) == [15, 14]
    assert [(v.use, v.lengths_mm) for v in case.visits] == [(320, (13, 12.5))]
    assert (case.constants.bedding, case.constants.new_sd_mm) == (0.0, 0.4)
    ahead = foreseen(state(a_round(4, 15, 14, sd=0.05), a_round(20, 13, 12.5), known=False)).ahead
    assert ahead is not None
    # The second brush has 4.5 mm left at 1.5 mm in 320 h, the first 5 mm at 2 mm.
    assert 400 + 500 < ahead.p50_units < 400 + 1300
    assert ahead_from(ahead.as_plain()) == ahead


TAUGHT = {
    "measured to the end": ((a_round(10, 18, 18), a_round(20, 14, 14)), True, log(8 / 400), False),
    "from the lengths read at fitting": (
        (a_round(0, 21, 21, kind="fitting"), a_round(20, 13, 13)),
        True,
        log(8 / 400),
        False,
    ),
    "never measured": ((), True, log(14 / 420), True),
    "measured before it wore": ((a_round(1, 21.98, 22),), True, log(14 / 420), True),
    "from before the record": ((a_round(10, 18, 18), a_round(20, 14, 14)), False, log(4 / 200), False),
    "from before the record, once": ((a_round(10, 18, 18),), False, None, False),
}


@pytest.mark.parametrize(("rounds", "known", "rate", "at_most"), TAUGHT.values(), ids=TAUGHT)
def test_what_an_ended_set_teaches(rounds: tuple[Round, ...], known: bool, rate: float | None, at_most: bool) -> None:
    ended = BrushSet(
        number=1,
        fitted_at=T0,
        fitted_units=0.0,
        fitted_known=known,
        ended_at=T0 + timedelta(weeks=21),
        ended_units=420.0,
        end_reason="planned",
        rounds=rounds,
    )
    found = past_set_of(ended, state(), LIMIT, shipped())
    if rate is None:
        assert found is None
    else:
        assert found is not None
        assert found.log_rate == pytest.approx(rate)
        assert found.at_most == at_most


def test_relatives_learn_when_a_set_has_ended(shop: Shop) -> None:
    one, other = shop.motor(tag="X-01"), shop.motor(tag="X-02")
    shop.conn.execute(
        "insert into motor_type (id, name, class, act_id) values ('kind', 'Kind', 'industrial', 'test-act-00001')"
    )
    shop.conn.execute("update motor set type_id = 'kind'")
    catch_up(shop.conn, shop.now.date())
    before = motors.fetch_whole(shop.conn, other)[2]
    shop.later(weeks=10).log(one, "500")
    shop.measure(one, "", "12", "12")
    shop.new_set(one, "", "22", "22")
    assert standings.list_stale(shop.conn, 0, "", 9) == [other]
    assert catch_up(shop.conn, shop.now.date()) == 1
    after = motors.fetch_whole(shop.conn, other)[2]
    assert before is not None
    assert after is not None
    assert (before.past_sets, after.past_sets) == (0, 1)
    assert after.p50_units < before.p50_units
    assert standings.list_stale(shop.conn, 0, "", 9) == []


@given(st.floats(0, 300), st.lists(st.sampled_from([0.0, 0.5, 1.0]), min_size=52, max_size=52))
def test_days_by_hand_and_on_arrays_agree(active: float, pattern: list[float]) -> None:
    by_hand = weeks_ahead(active, pattern)
    assert laid(np.array([active]), tuple(pattern))[0] == pytest.approx(by_hand, abs=1e-6)


def test_days_of_a_seasonal_motor_skip_the_dark() -> None:
    shown = state(a_round(20, 15, 16))
    season = Season(frozenset(range(1, 7)), (), "runs January to June")
    rate = rate_of_use(shown.entries, None, shipped(), season)
    assert rate is not None
    assert rate.weeks < 30
    dark = foreseen(replace(shown, rate=rate)).ahead
    light = foreseen(shown).ahead
    assert dark is not None
    assert light is not None
    assert dark.p50_units == light.p50_units
    assert dark.p90_on is not None
    assert light.p90_on is not None
    assert dark.p90_on.month <= 6


FIGURES = {
    "forecast.new-sd": "new_sd_mm",
    "forecast.brush-sd": "brush_sd",
    "forecast.drift": "drift",
    "forecast.brush-drift": "brush_drift",
    "forecast.bedding": "bedding",
    "forecast.bedding-sd": "bedding_sd",
    "forecast.jumps": "jumps_a_life",
    "forecast.spared": "spared",
    "forecast.shared-error": "shared_error",
    "forecast.risk": "risk",
}


@pytest.mark.parametrize(("rule_id", "name"), FIGURES.items())
def test_each_figure_of_the_rulebook_reaches_the_model_by_its_own_name(rule_id: str, name: str) -> None:
    other = shipped()[rule_id] * 1.1
    book = rulebook_with([ruled(rule_id, other)])
    assert asdict(constants_of(MotorRules(book))) == {**asdict(constants_of(shipped())), name: other}


def test_a_higher_risk_lets_the_look_wait() -> None:
    shown = state(a_round(20, 15, 16))
    looks = []
    for risk in (0.02, 0.05, 0.2):
        rules = MotorRules(rulebook_with([ruled("forecast.risk", risk)]))
        looks.append(forecast(case_of(shown, motor_limit(shown.figures, rules), (), rules)).inspect_use)
    assert looks[0] < looks[1] < looks[2]


def fleet(nature: Nature, sets: int) -> list[Case]:
    """Return the cases of simulated sets, each looked at three times."""
    random, found = Random(3), []
    for _ in range(sets):
        worn = simulate_set(random, 2, 16.0, usable_mm=10.0, life_units=160 * exp(random.gauss(0, 0.3)), nature=nature)
        visits = tuple(
            PastRound(h, 0.05, tuple(max(read_with(random, worn.length_mm(i, h), 0.05, 0.01), 0.1) for i in range(2)))
            for h in (40.0, 70.0, 100.0)
        )
        found.append(Case(new_mm=16.0, limit_mm=6.0, brushes=2, expected_life=160.0, visits=visits))
    return found


def test_a_fleet_that_strays_more_asks_for_more_drift() -> None:
    quiet, wild = (
        fleet(Nature(trend=0.02, wander=0.02, jumps=0), 120),
        fleet(Nature(trend=0.3, wander=0.6, jumps=0), 120),
    )
    assert LOW <= fitted_drift(quiet) < fitted_drift(wild) <= HIGH
    assert surprise(wild, LOW) > surprise(wild, HIGH)


def test_the_simulator_is_richer_than_the_model_and_repeats() -> None:
    worn = [simulate_set(Random(n), 4, 16.0, usable_mm=10.0, life_units=160.0, nature=LIVELY) for n in range(40)]
    assert worn[3] == simulate_set(Random(3), 4, 16.0, usable_mm=10.0, life_units=160.0, nature=LIVELY)
    crossings = [c for w in worn if (c := w.crossing(6.0))]
    assert len(crossings) == 40
    assert len({i for _, i in crossings}) > 1
    assert 0.3 < np.median([at for at, _ in crossings]) / 160 < 1.2
    assert worn[0].crossing(-100.0) is None
    weeks = simulate_weeks(Random(1), Habit(10.0, pattern=tuple([1.0] * 44 + [0.0] * 8)))
    year = [next(weeks) for _ in range(520)]
    assert all(x == 0 for i, x in enumerate(year) if i % 52 >= 44)
    assert 6 < sum(year) / 440 < 15


def test_nothing_moves_in_what_is_simulated() -> None:
    told: list[object] = []
    for seed, nature in enumerate(
        (QUIET, LIVELY, Nature(jumps=9.0, new_sd_mm=0.5), Nature(batch_sd_mm=0.6, bedding=0.1))
    ):
        random = Random(seed)
        worn = simulate_set(random, 3, 22.0, usable_mm=14.0, life_units=600.0, nature=nature)
        at = (0.0, 1.0, 7.0, 300.0, 555.5, 1e9)
        told.append([len(worn.lengths_mm), *([worn.length_mm(i, h) for h in at] for i in range(3)), worn.crossing(8.0)])
        told.append([read_with(random, 12.3, 0.05, 0.01), read_with(random, 12.3, 0.4, 0.5, 1.0)])
        weeks = simulate_weeks(random, Habit(40.0, idle=0.3, pattern=(1.0, *[0.5] * 50, 0.0) if seed else None))
        told.append(list(islice(weeks, 60)))
    assert_nothing_moved("simulated.json", told, rel=1e-6)
