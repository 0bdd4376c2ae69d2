"""The forecast: worked cases, laws, every shape of set, and input that cannot be right."""

from dataclasses import asdict, replace
from math import log
from typing import Any

import pytest
from hypothesis import given
from hypothesis import strategies as st

from forecast_cases import CASES, SHAPES, worn
from norvash.core.forecast.case import Case, Constants, Forecast, PastRound, Usage
from norvash.core.forecast.model import forecast, forecasts
from norvash.core.forecast.past_set import PastSet
from norvash.core.forecast.plain import case_of, cases_of
from norvash.core.forecast.prior import rate_prior, shortest_shift
from norvash.core.forecast.proof import KINDS, prove, share
from norvash.core.forecast.proof_table import table
from norvash.errors import InputError

DIGITS = 1e-4


def visible(case: Case) -> bool:
    last = [x for x in case.visits[-1].lengths_mm if x is not None] if case.visits else []
    return bool(last) and case.new_mm - sum(last) / len(last) > 4 * case.visits[-1].sd_mm


def busy_weeks(weeks: float, usage: Usage) -> float:
    """Return how many weeks of work lie in so many weeks: a day on either side of a dark season is the same one."""
    pattern = usage.pattern or (1.0,) * 52
    years, rest = divmod(weeks, 52)
    return years * sum(pattern) + sum(pattern[: int(rest)]) + (rest % 1) * pattern[int(rest)]


def off(case: dict[str, Any], made: Forecast) -> dict[str, float]:
    """Return how far a forecast is from the worked one, each as a share of what is allowed."""
    wanted, seen = case["expected"], visible(case_of(case))
    at = case["visits"][-1]["use"] if case["visits"] else 0.0
    far = {"p05": 0.1, "p10": 0.1, "p50": 0.1, "p90": 0.15 if seen else 1.4, "p95": 0.30 if seen else 1.4}
    use, weeks = wanted["use_quantiles"], wanted["weeks_quantiles"]
    assert made.weeks is not None
    assert made.inspect_weeks is not None
    found = {f"use {k}": abs(v - use[k]) / (use["p50"] - at) / far[k] for k, v in asdict(made.use).items()}
    usage = case_of(case).usage
    middle = busy_weeks(weeks["p50"], usage)
    found |= {
        f"weeks {k}": abs(busy_weeks(v, usage) - busy_weeks(weeks[k], usage)) / middle / far[k]
        for k, v in asdict(made.weeks).items()
    }
    found["inspect"] = abs(made.inspect_use - wanted["inspect_by_use"]) / (use["p50"] - at) / 0.1
    found["inspect weeks"] = abs(made.inspect_weeks - wanted["inspect_by_weeks"]) / weeks["p50"] / 0.1
    found["rate"] = abs(made.mean_rate / wanted["mean_rate_mm_per_use"] - 1) / 0.05
    found["tail"], found["jump"] = abs(made.tail - wanted["tail"]) / 0.03, abs(made.jumped - wanted["p_jump"]) / 0.03
    found |= {k: abs(v - wanted["prior"][k]) / 1e-5 for k, v in asdict(made.prior).items()}
    found["position"] = 0.0 if made.worst_position == wanted["worst_position"] else 2.0
    return found


def test_the_worked_cases() -> None:
    made = forecasts([case_of(c) for c in CASES])
    apart = [off(c, m) for c, m in zip(CASES, made, strict=True)]
    assert {
        c["name"]: {k: v for k, v in a.items() if v > 1}
        for c, a in zip(CASES, apart, strict=True)
        if max(a.values()) > 1
    } == {}
    near = [max(v for k, v in a.items() if k in ("use p05", "use p10", "use p50", "inspect")) <= 0.6 for a in apart]
    assert sum(near) >= 0.95 * len(near)


@pytest.mark.parametrize("case", SHAPES.values(), ids=SHAPES)
def test_every_shape_of_set_is_forecast_alone_as_in_company(case: Case) -> None:
    made = forecast(case)
    at = case.visits[-1].use if case.visits else 0.0
    levels = list(asdict(made.use).values())
    assert levels == sorted(levels)
    assert all(at <= x < 1e9 for x in levels)
    assert 0 <= made.tail <= 1
    assert 0 <= made.jumped <= 1
    assert made.mean_rate > 0
    assert (made.weeks is None) == (case.usage in (Usage(), Usage(40, 80, 2.0, (0.0,) * 52)))
    company = forecasts([worn(160, (0.2, 0.4, 0.5)), case, worn(900, ()), case])
    for other in (company[1], company[3]):
        assert asdict(other.use) == pytest.approx(asdict(made.use), rel=DIGITS)


@given(st.floats(1.02, 1.4), st.lists(st.floats(0.05, 0.7), min_size=1, max_size=4, unique=True))
def test_a_set_that_wears_faster_never_lasts_longer(fast: float, at: list[float]) -> None:
    shares = tuple(sorted(at))
    slow, quick = forecast(worn(160, shares)).use, forecast(worn(160, shares, fast=fast)).use
    assert quick.p05 < slow.p05
    assert quick.p50 < slow.p50


@given(st.floats(0.01, 100.0))
def test_the_unit_of_use_changes_nothing(times: float) -> None:
    a, b = forecast(worn(160, (0.2, 0.5))), forecast(worn(160 * times, (0.2, 0.5)))
    assert [x * times for x in asdict(a.use).values()] == pytest.approx(list(asdict(b.use).values()), rel=1e-3)


def test_readings_narrow_the_band_and_a_caliper_more_than_a_rule() -> None:
    def width(case: Case) -> float:
        made = forecast(case)
        return made.use.p90 - made.use.p10

    assert width(worn(160, ())) > 3 * width(worn(160, (0.4,))) > 3 * width(worn(160, (0.2, 0.4, 0.6)))
    assert width(worn(160, (0.4,), sd=0.4)) > 1.1 * width(worn(160, (0.4,)))


def test_a_renewed_brush_leaves_the_old_ones_to_set_the_date_and_borrows_their_rate() -> None:
    case = worn(160, (0.5, 0.7))
    mixed = replace(
        case,
        fitted=(0.0, 0.0, 0.0, 90.0),
        visits=(
            replace(case.visits[0], lengths_mm=(*case.visits[0].lengths_mm[:3], None)),
            replace(case.visits[1], lengths_mm=(*case.visits[1].lengths_mm[:3], 14.6)),
        ),
    )
    made, plain = forecast(mixed), forecast(case)
    assert made.worst_position == plain.worst_position == 2
    assert made.use.p50 == pytest.approx(plain.use.p50, rel=0.03)
    assert forecast(replace(case, fitted=(0.0,) * 4)).use == plain.use


def test_of_a_set_with_only_its_shortest_recorded_less_is_left() -> None:
    one = worn(160, (0.4,), brushes=1)
    assert shortest_shift(2) < shortest_shift(3) < shortest_shift(8) == shortest_shift(12)
    assert forecast(replace(one, visits=(), shortest_of=6)).use.p50 < forecast(replace(one, visits=())).use.p50


def test_past_sets_move_the_prior_and_one_cut_short_only_says_at_least() -> None:
    guess = log(10 / 160)
    plain, taught = rate_prior(guess), rate_prior(guess, (PastSet(guess - 0.5),) * 5)
    assert taught.loc < plain.loc
    assert taught.scale < plain.scale
    assert taught.df == plain.df + 5
    cut = rate_prior(guess, (PastSet(guess - 0.5, at_most=True),))
    assert cut.loc < rate_prior(guess, (PastSet(guess - 0.5),)).loc < guess
    assert rate_prior(guess, (PastSet(guess + 30, at_most=True),)).loc == pytest.approx(guess, abs=0.02)


def test_wear_out_of_line_is_seen() -> None:
    steady = worn(160, (0.2, 0.4))
    sudden = replace(steady, visits=(*steady.visits, PastRound(74, 0.05, (9.0,) * 4)))
    made = forecast(sudden)
    assert made.tail < 0.01
    assert made.jumped > 0.5
    assert forecast(worn(160, (0.2, 0.4, 0.5))).tail > 0.1


GOOD: dict[str, Any] = {
    "new_length_mm": 16,
    "limit_mm": 6,
    "brushes": 2,
    "expected_life": 160,
    "visits": [{"use": 40, "sigma_mm": 0.05, "lengths_mm": [14, None]}],
}
BAD: dict[str, tuple[dict[str, Any], str]] = {
    "limit over new": ({"limit_mm": 20}, "limit_mm"),
    "not a number": ({"new_length_mm": float("nan")}, "new_length_mm"),
    "longer than a mast": ({"new_length_mm": 10000.5}, "new_length_mm"),
    "a limit far below nothing": ({"limit_mm": -10000.5}, "limit_mm"),
    "no brush": ({"brushes": 0}, "brushes"),
    "more use than there is": ({"visits": [{"use": 1e9 + 1, "sigma_mm": 0.1, "lengths_mm": [9, 9]}]}, "use"),
    "as unsure as a fence": ({"visits": [{"use": 9, "sigma_mm": 100.5, "lengths_mm": [9, 9]}]}, "sigma_mm"),
    "letters": ({"new_length_mm": "16"}, "new_length_mm"),
    "no life": ({"expected_life": 0}, "expected_life"),
    "too many brushes": ({"brushes": 41}, "brushes"),
    "three lengths of two": ({"visits": [{"use": 1, "sigma_mm": 0.1, "lengths_mm": [1, 2, 3]}]}, "lengths_mm"),
    "visits backwards": ({"visits": [{"use": u, "sigma_mm": 0.1, "lengths_mm": [9, 9]} for u in (9, 3)]}, "use"),
    "an instrument that is not known": (
        {"visits": [{"use": 9, "instrument": "nose", "lengths_mm": [9, 9]}]},
        "sigma_mm",
    ),
    "a pattern of 51 weeks": ({"usage": {"season_weights": [1] * 51}}, "season_weights"),
    "less than no use": ({"usage": {"declared_per_week": -1}}, "declared_per_week"),
    "flags without rates": ({"past_censored": [True]}, "past_censored"),
    "words without rates": ({"past_about": [True]}, "past_about"),
    "fitted less than not at all": ({"fitted_sd": -1}, "fitted_sd"),
    "a unit that is none": ({"unit_of_use": "miles"}, "unit_of_use"),
    "a constant that is not known": ({"constants": {"luck": 1}}, "constants"),
}


@pytest.mark.parametrize(("change", "field"), BAD.values(), ids=BAD)
def test_a_case_that_cannot_be_is_refused_at_its_field(change: dict[str, Any], field: str) -> None:
    with pytest.raises(InputError, match="Case 2: ") as refused:
        cases_of([GOOD, GOOD | change])
    assert refused.value.field == field


def test_what_is_known_only_roughly_widens_a_forecast_and_moves_nothing_else() -> None:
    case = worn(160, (0.4,))
    rates = (-2.7, -2.9, -2.5)
    sure, about = (replace(case, visits=(), past=tuple(PastSet(x, about=a) for x in rates)) for a in (False, True))
    assert forecast(about).prior.scale > 1.02 * forecast(sure).prior.scale
    assert forecast(about).prior.loc == forecast(sure).prior.loc
    widths = [m.use.p90 - m.use.p10 for m in forecasts([replace(case, fitted_sd=sd) for sd in (0.0, 5.0, 20.0, 40.0)])]
    assert widths == sorted(widths)
    assert widths[-1] > 1.5 * widths[0]
    many = [forecast(replace(worn(160, (0.2, 0.4, 0.6)), fitted_sd=sd)).use for sd in (0.0, 20.0)]
    assert many[1].p90 - many[1].p10 < 1.35 * (many[0].p90 - many[0].p10)  # readings tell the rate without the fitting


def test_use_in_years_is_the_calendar() -> None:
    years = {**GOOD, "unit_of_use": "years", "expected_life": 6, "past_log_rates": [0.5], "past_about": [True]}
    years["visits"] = [{"use": 2.5, "sigma_mm": 0.05, "lengths_mm": [12, 12.4]}]
    made = forecast(case_of(years))
    assert made.weeks is not None
    for use, weeks in zip(asdict(made.use).values(), asdict(made.weeks).values(), strict=True):
        assert weeks == pytest.approx((use - 2.5) * 365.25 / 7, rel=1e-4)


@pytest.mark.parametrize("kind", KINDS)
def test_bands_hold_on_a_simulated_fleet_whose_truth_is_richer(kind: str) -> None:
    (_, tallies), *_ = list(prove(300, 7, kind))[-1:]
    for n in (1, 2, 3):
        t = tallies[n]
        assert 0.74 <= share(t.band80) <= 0.92
        assert share(t.band90) >= 0.85
        assert share(t.late) <= 0.09 < 0.3 < share(t.hand_late)
        assert share(t.dates80) >= 0.76
    assert share(tallies[2].line80) < 0.78
    again = [t.width for _, made in prove(20, 7) for t in made.values()]
    assert again == [t.width for _, made in prove(20, 7) for t in made.values()]
    assert len(table(tallies, kind).splitlines()) == 2 + len(tallies)


def test_sets_side_by_side_keep_the_figures_of_their_own() -> None:
    plain = worn(160, (0.2, 0.5))
    own = [plain, *(replace(plain, constants=replace(Constants(), drift=d)) for d in (0.2, 0.4))]
    together, alone = forecasts(own), [forecast(c) for c in own]
    assert [f.use.p90 for f in together] == pytest.approx([f.use.p90 for f in alone], rel=1e-4)
    assert together[0].use.p90 < together[1].use.p90 < together[2].use.p90
