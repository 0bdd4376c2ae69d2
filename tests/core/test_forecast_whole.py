"""What is forecast for every shape of set is held whole, so that nothing in the arithmetic moves unseen.

Held to three parts in ten thousand: machines differ in the last digits of their exponentials.
"""

from dataclasses import asdict, replace
from math import log

from forecast_cases import CASES, SHAPES
from norvash.core.brush.motor_limit import motor_limit
from norvash.core.forecast.model import forecasts
from norvash.core.forecast.past_set import PastSet
from norvash.core.forecast.plain import case_of as plain_case
from norvash.core.forecast.plain import plain_of
from norvash.core.planning.forecast_of_motor import ahead_of, case_of, past_set_of
from norvash.core.rules.book import MotorRules
from norvash.core.state.motor_state import BrushSet, MotorState, Renewal
from norvash.core.state.round import Round
from norvash.core.use.rate import Rate
from norvash.core.use.season import Season
from states import T0, a_round, state
from whole import assert_nothing_moved


def renewed(at_units: float) -> MotorState:
    """Return a motor of four brushes, the last of them renewed while the others stayed."""
    made = state(a_round(10, 18, 19, 18.5, None), a_round(20, 15, 16, 15.5, 21.0), brushes=4)
    return replace(made, sets=(replace(made.current, renewed=(Renewal(4, at_units, 22.0, 0.05),)),))


def later(*rounds: Round, known: bool = True, renewed: tuple[Renewal, ...] = ()) -> MotorState:
    """Return a motor whose set was fitted after 100 h."""
    made = state(*rounds)
    return replace(made, sets=(replace(made.current, fitted_units=100.0, fitted_known=known, renewed=renewed),))


def ended(*rounds: Round, known: bool = True, ran: float = 300.0, renewed: tuple[Renewal, ...] = ()) -> BrushSet:
    """Return a set that has ended."""
    return BrushSet(
        number=1,
        fitted_at=T0,
        fitted_units=0.0,
        fitted_known=known,
        ended_at=T0,
        ended_units=ran,
        end_reason="planned",
        rounds=rounds,
        id="past",
        renewed=renewed,
    )


MOTORS = {
    "nothing measured": state(),
    "one round": state(a_round(20, 15, 16)),
    "two rounds": state(a_round(10, 18, 19), a_round(20, 15, 16)),
    "used since": state(a_round(10, 18, 19), weeks=60),
    "age not known": state(a_round(10, 18, 19), a_round(20, 15, 16), known=False),
    "age not known, one round, a brush missing": state(a_round(10, 18, None), known=False),
    "by rule": state(a_round(10, 18, 19, sd=0.4), a_round(20, 15, 16, sd=0.4)),
    "a renewed brush": renewed(300.0),
    "declared use": replace(
        state(a_round(20, 15, 16)), rate=Rate(per_week=20.0, weeks=12.0, logged_units=20.0, declared=25.0, season=None)
    ),
    "no use known": replace(state(a_round(20, 15, 16)), rate=None),
    "nothing logged": replace(state(a_round(20, 15, 16)), entries=(), rate=None),
    "a later set": later(a_round(10, 20, 20.5), a_round(20, 18, 19)),
    "a later set, age not known": later(a_round(10, 20, 20.5), a_round(20, 18, 19), known=False),
    "a later set, one renewed": later(
        a_round(10, 20, 20.5), a_round(20, 18, 21.5), renewed=(Renewal(2, 300.0, 22.0, 0.05),)
    ),
    "a later set, one renewed before its clock": later(
        a_round(10, 20, 21.5), a_round(20, 18, 20.5), known=False, renewed=(Renewal(2, 150.0, 22.0, 0.05),)
    ),
    "through its season": replace(
        state(a_round(20, 15, 16)),
        rate=Rate(
            per_week=20.0,
            weeks=12.0,
            logged_units=240.0,
            declared=None,
            season=Season(frozenset({10, 11, 12, 1}), (), "as declared"),
        ),
    ),
}
PAST = {
    "measured": ended(a_round(10, 18, 19), a_round(14, 16, 17)),
    "wear hardly seen": ended(a_round(2, 21.9, 21.9)),
    "measured at fitting": ended(a_round(0, 21.5, 21.7, kind="fitting"), a_round(14, 16, 17)),
    "age not known": ended(a_round(4, 20, 20), a_round(14, 16, 17), known=False),
    "never measured": ended(),
    "never measured, age not known": ended(known=False),
    "hardly ran": ended(ran=0.5),
    "never ran": ended(ran=0.0),
    "a later set": replace(ended(a_round(10, 20, 20.5), a_round(14, 18, 19)), fitted_units=100.0),
    "a later set, never measured": replace(ended(), fitted_units=100.0),
    "a later set, two measured at once": replace(
        ended(a_round(10, 20, 21, kind="fitting"), a_round(10, 18, 19)), fitted_units=100.0
    ),
    "measured young and old at fitting": ended(
        a_round(0, 21.5, 21.9, kind="fitting"), a_round(14, 16, 21), renewed=(Renewal(2, 250.0, 22.0, 0.05),)
    ),
    "one renewed": ended(a_round(10, 18, 19), a_round(14, 16, 21), renewed=(Renewal(2, 250.0, 22.0, 0.05),)),
}


# A case as a file gives it, with what may be left out left out, and read by each instrument.
GIVEN = {"new_length_mm": 16.0, "limit_mm": 6.0, "brushes": 1, "expected_life": 160.0}
READ = ("caliper", "rule", "depth_gauge", "micrometer")
PLAIN = (
    GIVEN,
    {**GIVEN, "brushes": 40},
    {**GIVEN, "past_log_rates": [-3.0, -3.2], "usage": {"use_logged": 40.0}},
    *({**GIVEN, "visits": [{"use": 60.0, "instrument": i, "lengths_mm": [12.0]}]} for i in READ),
)


def whole_answers(rules: MotorRules) -> list[object]:
    """Return what is forecast for each motor, and what each ended set teaches."""
    known = (PastSet(log(0.02)), PastSet(log(0.03), at_most=True))
    answers: list[object] = []
    for name, given in MOTORS.items():
        case = case_of(given, motor_limit(given.figures, rules), known if "two" in name else (), rules)
        answers.append(
            {"motor": name, "case": asdict(case), "ahead": asdict(ahead_of(forecasts([case])[0], case, given))}
        )
    limit = motor_limit(state().figures, rules)
    answers += [{"past": name, "teaches": past_set_of(s, state(), limit, rules)} for name, s in PAST.items()]
    return answers


def test_nothing_moves_in_a_forecast(rules: MotorRules) -> None:
    shapes = [
        {"shape": name, **plain_of(made)} for name, made in zip(SHAPES, forecasts(list(SHAPES.values())), strict=True)
    ]
    plain = [plain_case(c) for c in (*CASES, *PLAIN)]
    cases = [plain_of(made) for made in forecasts(plain)]
    assert_nothing_moved("forecast_answers.json", [*whole_answers(rules), *shapes, *cases], rel=3e-4)
