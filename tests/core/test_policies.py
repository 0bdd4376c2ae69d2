"""Interval tables and policies: the safe direction, the cell that holds, and which look comes first."""

from dataclasses import replace
from datetime import date, timedelta
from typing import Any

import pytest
from hypothesis import given
from hypothesis import strategies as st

from norvash.core.forecast.past_set import PastSet
from norvash.core.planning.interval_table import IntervalTable, TableNotes, table_from
from norvash.core.planning.policies import dues, months_on, overdue, runs_left
from norvash.core.planning.shop_table import shop_table
from norvash.core.planning.when import of_look, ordered
from norvash.core.rules.catalogue import shipped
from norvash.core.state.marks import ruling
from norvash.core.state.motor_state import MotorState
from norvash.core.state.policy import Due, Policy
from norvash.core.use.season import Window, month_words, read_months, season_of, weeks_ahead
from norvash.core.verdict.judging import findings
from norvash.errors import InputError
from states import FITTED, T0, TODAY, a_round, foreseen, state

ROWS, COLUMNS = (260.0, 520.0, 1040.0), (8.45, 8.95, 9.45)
CELLS = ((425.0, 310.0, 165.0), (710.0, 520.0, 290.0), (955.0, 770.0, 435.0))
TABLE = IntervalTable(ROWS, COLUMNS, CELLS)

LOOKED_UP = {
    "between rows and columns": (730, 8.98, "check", 290, (1, 2)),
    "on both headings": (1040, 8.95, "check", 770, (2, 1)),
    "better than the first column": (300, 7.0, "check", 425, (0, 0)),
    "far beyond the last row": (9000, 9.0, "check", 435, (2, 2)),
    "beyond the last column": (730, 9.46, "out of service", None, (1, None)),
    "below the first row": (255, 8.2, "no answer from the table", None, (None, 0)),
    "below the first row and beyond the last column": (10, 9.9, "out of service", None, (None, None)),
}


@pytest.mark.parametrize(("run", "worst", "answer", "interval", "cell"), LOOKED_UP.values(), ids=LOOKED_UP)
def test_the_cell_that_holds(
    run: float, worst: float, answer: str, interval: float | None, cell: tuple[Any, Any]
) -> None:
    found = TABLE.look_up(run, worst)
    assert (found.answer, found.interval, (found.row, found.column)) == (answer, interval, cell)
    assert found.words
    assert table_from(TABLE.as_plain()) == TABLE


def test_a_table_by_length_is_the_other_way_round_and_a_longest_interval_caps_it() -> None:
    table = IntervalTable(ROWS, (14.0, 12.0, 10.0), CELLS, "length", TableNotes(300.0))
    assert table.worst([13.1, 11.9, 12.5]) == 11.9
    found = table.look_up(600, 11.9)
    assert (found.column, found.interval) == (2, 290)
    assert "never more than 300" in table.look_up(600, 13.0).words
    assert table.look_up(600, 9.9).answer == "out of service"


UNSAFE: dict[str, tuple[dict[str, Any], str]] = {
    "rises towards worse wear": ({"cells": ((425.0, 500.0, 165.0), *CELLS[1:])}, "rises towards worse wear"),
    "falls with more use": ({"cells": (*CELLS[:2], (600.0, 500.0, 280.0))}, "falls with more use"),
    "rows out of order": ({"rows": (520.0, 260.0, 1040.0)}, "does not rise"),
    "a row twice": ({"rows": (260.0, 260.0, 1040.0)}, "does not rise"),
    "depths that fall": ({"columns_mm": COLUMNS[::-1]}, "does not grow"),
    "a length that grows": ({"quantity": "length"}, "does not fall"),
    "a cell missing": ({"cells": ((425.0, 310.0), *CELLS[1:])}, "do not fill"),
    "a cell that is no number": ({"cells": ((425.0, 310.0, float("nan")), *CELLS[1:])}, "neither a cell"),
    "another quantity": ({"quantity": "weight"}, "not a quantity"),
}


@pytest.mark.parametrize(("change", "words"), UNSAFE.values(), ids=UNSAFE)
def test_an_unsafe_table_is_refused_with_its_place(change: dict[str, Any], words: str) -> None:
    with pytest.raises(InputError, match=words):
        replace(TABLE, **change)


@given(st.floats(0, 3000), st.floats(7, 11), st.floats(0, 500), st.floats(0, 2))
def test_more_wear_never_allows_a_longer_interval(run: float, depth: float, more_use: float, more_depth: float) -> None:
    def hours(run: float, depth: float) -> float:
        found = TABLE.look_up(run, depth)
        return {"out of service": -1.0, "no answer from the table": -0.5}.get(found.answer, found.interval or 0.0)

    assert hours(run, depth + more_depth) <= hours(run, depth)
    if run >= ROWS[0]:
        assert hours(run + more_use, depth) >= hours(run, depth)


def test_the_table_that_norvash_makes_is_safe_and_follows_its_family() -> None:
    made = shop_table(16.0, 6.0, 2, life=160.0, past=(), sd_mm=0.05, rules=shipped())
    quick = shop_table(16.0, 6.0, 2, life=160.0, past=(PastSet(-2.0),) * 6, sd_mm=0.05, rules=shipped())
    few, many = ([[c for c in row if c is not None] for row in t.cells] for t in (quick, made))
    assert many[0][-1] == 0 < many[2][0]
    assert sum(map(sum, few)) < sum(map(sum, many))
    assert made.columns_mm[0] > made.columns_mm[-1] > 6


def policy(kind: str, **figures: object) -> Policy:
    return Policy(f"p-{kind}", kind, f"by {kind}", figures)


FIRST = {
    "the forecast": ((), "forecast"),
    "a short interval": ((policy("interval", every=20.0),), "by interval"),
    "a long interval": ((policy("interval", every=9000.0),), "forecast"),
    "the low end of a range": ((policy("range", low=15.0, high=9000.0),), "by range"),
    "a short calendar limit": ((policy("calendar", months=1),), "by calendar"),
    "a table": (
        (policy("table", **IntervalTable((100.0,), (20.0, 10.0), ((500.0, 10.0),), "length").as_plain()),),
        "by table",
    ),
    "the earliest of several": ((policy("interval", every=90.0), policy("range", low=12.0, high=30.0)), "by range"),
}


@pytest.mark.parametrize(("policies", "first"), FIRST.values(), ids=FIRST)
def test_the_earliest_look_wins_and_is_named(policies: tuple[Policy, ...], first: str) -> None:
    given_state = foreseen(replace(state(a_round(39, 15, 16)), policies=policies))
    found = findings(given_state, shipped(), TODAY)
    assert found.look is not None
    assert found.look.name == first
    assert len(found.dues) == 1 + len(policies) + (not any(p.kind == "calendar" for p in policies))


def test_a_table_that_says_out_of_service_takes_the_motor_out() -> None:
    table = IntervalTable((100.0,), (20.0, 15.5), ((500.0, 100.0),), "length")
    given_state: MotorState = foreseen(
        replace(state(a_round(39, 15, 16)), policies=(policy("table", **table.as_plain()),))
    )
    found = findings(given_state, shipped(), TODAY)
    assert (found.grade, found.tabled_out) == ("stop", True)
    depths = replace(given_state, policies=(policy("table", **TABLE.as_plain()),))
    assert "not linked" in dues(depths, depths.policies, shipped())[0].why


def test_without_days_the_looks_are_ordered_by_use() -> None:
    calendar, early, late = (
        Due(name="c", at_units=None, on=TODAY, why=""),
        Due(name="e", at_units=10.0, on=None, why=""),
        Due(name="l", at_units=20.0, on=None, why=""),
    )
    nothing = Due(name="nothing", at_units=None, on=None, why="")
    assert [m.due for m in ordered(map(of_look, [calendar, late, early]))] == [early, late, calendar]
    assert [m.due for m in ordered(map(of_look, [calendar, nothing]))] == [calendar]
    assert ruling(ordered([])) is None
    assert (runs_left(377, 8), runs_left(-5, 8)) == (47, 0)
    assert months_on(date(2028, 2, 29), 12) == date(2029, 2, 28)


def test_seasons_are_declared_learnt_or_follow_the_dark_windows() -> None:
    dark = Window(
        id="w", name="summer", first_on=date(2025, 7, 1), last_on=date(2025, 8, 31), yearly=True, place="stage"
    )
    rules, entries = shipped(), state().entries
    assert read_months("9-2, 5") == {9, 10, 11, 12, 1, 2, 5}
    assert month_words(frozenset(range(1, 13))) == "the whole year"
    assert month_words(read_months("11-2,5")) == "May, November to February"
    for bad in ("", "13", "a-b", "1-2-3", "0", "-"):
        with pytest.raises(InputError):
            read_months(bad)
    declared = season_of("9-6", entries, (dark,), "stage left", rules)
    assert declared is not None
    assert declared.active_days(date(2026, 6, 1), date(2026, 9, 1)) == 30
    by_house = season_of("", entries, (dark, replace(dark, last_on=date(2025, 7, 20))), "stage left", rules)
    assert by_house is not None
    assert by_house.active_days(date(2026, 6, 1), date(2026, 9, 11)) == 40
    assert sum(by_house.pattern(date(2026, 1, 5))) == pytest.approx(52 - 62 / 7, abs=0.01)
    assert season_of("", entries, (dark,), "yard", rules) is None
    assert season_of("1-12", entries, (dark,), "stage", rules) is None
    long = state(weeks=120).entries
    idle = tuple(e for e in long if e.at.month not in (7, 8))
    still, total = [], 0.0
    for i, e in enumerate(long):
        total += 20.0 if i and e.at.month not in (7, 8) else 0.0
        still.append(replace(e, total_units=total))
    learnt = season_of("", still, (), "yard", rules)
    assert learnt is not None
    assert "two years" in learnt.words
    assert not learnt.months & {7, 8}
    assert season_of("", idle, (), "", rules) is None
    assert weeks_ahead(1.0, [0.0] * 52) == float("inf")
    assert dark.spans(T0.date(), T0.date()) == []
    once = replace(dark, yearly=False)
    assert once.spans(date(2025, 8, 1), date(2025, 8, 2)) == [(once.first_on, once.last_on)]
    assert once.spans(date(2026, 8, 1), date(2026, 8, 2)) == []


def test_a_look_is_due_by_day_or_by_use_and_a_range_is_overdue_past_its_end() -> None:
    ran = state().ran_by(TODAY)
    for at, on, due in (
        (None, None, False),
        (ran + 1, None, False),
        (ran, None, True),
        (None, TODAY + timedelta(days=1), False),
        (None, TODAY, True),
        (ran + 1, TODAY, True),
        (ran, TODAY + timedelta(days=9), True),
    ):
        assert of_look(Due(name="a look", at_units=at, on=on, why="why")).due_by(state().ran_by(TODAY), TODAY) is due
    ends = [
        overdue(Due(name="a range", at_units=1.0, on=None, why="why", rule_id="", overdue_units=end), state(), TODAY)
        for end in (None, ran + 1, ran, ran - 1)
    ]
    assert ends == [False, False, True, True]


def test_the_calendar_limit_is_shorter_where_a_machine_stands_badly() -> None:
    for conditions, rule_id in (("", "look.calendar"), ("wet", "look.calendar-hard")):
        given_state = state(a_round(20, 15, 16), own={**FITTED, "conditions": conditions})
        assert [d.rule_id for d in dues(given_state, (), shipped())] == [rule_id]


@given(st.floats(0.01, 300), st.lists(st.sampled_from([0.0, 0.4, 1.0]), min_size=52, max_size=52))
def test_weeks_ahead_are_those_in_which_so_many_active_weeks_are_done(active: float, pattern: list[float]) -> None:
    weeks = weeks_ahead(active, pattern)
    if not any(pattern):
        assert weeks == float("inf")
        return
    whole = int(weeks + 1e-9)
    done = sum(pattern[i % 52] for i in range(whole)) + (weeks - whole) * pattern[whole % 52]
    assert done == pytest.approx(active, abs=1e-6)
