"""Intervals as makers write them: a change from the fitting, a look from the last, tables with ≤ and dashes."""

from dataclasses import replace
from datetime import timedelta

import pytest

from norvash.core.planning.interval_table import IntervalTable, TableNotes, table_from
from norvash.core.planning.policies import dues, whole_runs
from norvash.core.rules.book import MotorRules
from norvash.core.rules.catalogue import rulebook_with, shipped
from norvash.core.state.motor_state import MotorState
from norvash.core.state.policy import Policy
from norvash.core.verdict.judging import findings
from norvash.core.verdict.sentence import verdict
from norvash.errors import InputError
from norvash.exchange.interval_tables import table_as_csv, table_from_csv
from states import FITTED, TODAY, a_round, foreseen, ruled, state

CHANGE: dict[str, object] = {"low": 420.0, "high": 500.0, "asks": "change"}


def bound(given: MotorState, figures: dict[str, object], kind: str = "range") -> MotorState:
    policy = Policy("p", kind, "maker's interval", figures)
    return replace(foreseen(given), policies=(policy,))


def test_a_change_counts_from_the_fitting_and_a_look_from_the_last_complete_one() -> None:
    measured = state(a_round(10, 21.5, 21.5), a_round(15, 21.2, 21.2))
    asked = {
        asks: dues(s, s.policies, shipped())[0]
        for asks in ("look", "change")
        for s in [bound(measured, {**CHANGE, "asks": asks})]
    }
    assert (asked["change"].at_units, asked["change"].overdue_units) == (420, 500)
    assert (asked["look"].at_units, asked["look"].overdue_units) == (720, 800)
    assert "counted from the fitting" in asked["change"].why
    spanned = replace(measured.current, span_units=(-60.0, 60.0))
    early = bound(replace(measured, sets=(spanned,)), CHANGE)
    assert dues(early, early.policies, shipped())[0].at_units == 360  # the first use at which it can have been fitted
    young = bound(state(a_round(10, 21.5, 21.5), known=False), CHANGE)
    unknown = dues(young, young.policies, shipped())[0]
    assert (unknown.at_units, unknown.on) == (None, None)


BY_WEEK: dict[str, tuple[int, str | None, str]] = {
    "long before": (15, "fit", ""),
    "due at its low end": (21, "plan", "due"),
    "between": (24, "plan", "due"),
    "overdue at its high end": (25, "change", "overdue"),
}


@pytest.mark.parametrize(("weeks", "grade", "how"), BY_WEEK.values(), ids=BY_WEEK)
def test_a_change_interval_is_due_whatever_was_measured(weeks: int, grade: str, how: str) -> None:
    hardly_worn = bound(state(a_round(10, 21.8, 21.8), weeks=weeks), CHANGE)
    today = hardly_worn.entries[-1].at.date()
    found = findings(hardly_worn, shipped(), today)
    said = verdict(found, hardly_worn, shipped(), today)
    risen = {"fit": ("fit", "plan"), "plan": ("plan", "change")}.get(grade, (grade,))
    assert found.base == grade
    assert found.grade in risen
    assert f"maker's interval is {how}:" in said.why or not how
    assert any(r.text.startswith("Change by 520 h") for r in said.reasons)


def test_the_school_of_fixed_hours_makes_it_the_date_and_others_let_the_earliest_win() -> None:
    late = bound(state(a_round(10, 21.8, 21.8), weeks=12), {"every": 900.0, "asks": "change"}, "interval")
    early = bound(state(a_round(10, 21.8, 21.8), weeks=12), {"every": 300.0, "asks": "change"}, "interval")
    fixed = MotorRules(rulebook_with([ruled("school.when", word="interval")]), "tool")
    for given in (late, early):
        due = findings(given, shipped(), TODAY).change
        assert due is not None
        assert findings(given, fixed, TODAY).days.limit_on == due.on
    assert findings(early, shipped(), TODAY).days.early_on == findings(early, shipped(), TODAY).days.limit_on
    symptoms = MotorRules(rulebook_with([ruled("school.when", word="symptoms")]), "tool")
    exempt = findings(replace(early, entries=early.entries), symptoms, TODAY + timedelta(days=900))
    assert exempt.due_graded is None
    assert all("interval" not in r.why for r in exempt.rises)


def test_whole_runs_go_by_the_earliest_of_all_that_is_due() -> None:
    given = bound(state(a_round(17, 19.0, 19.0), own={**FITTED, "run_length_units": 24.0}, weeks=18), CHANGE)
    found = findings(given, shipped(), TODAY)
    text = next(r.text for r in verdict(found, given, shipped(), TODAY).reasons if "whole runs" in r.text)
    assert text.startswith(
        "In whole runs of 24 h: 2 runs, ending at 508; the third would end at 532, past 520 (maker's"
    )
    assert whole_runs(371.0, 24.0, 420.0).words(420.0, "maker's interval") == (
        "2 runs, ending at 419; the third would end at 443, past 420 (maker's interval)"
    )
    assert whole_runs(419.0, 24.0, 420.0).runs == 0


TYPED = b"h so far;8.45;8.95;9.45\n<= 260;425;310;-\n<= 520;520;-;-\n"


def test_a_table_as_makers_type_it() -> None:
    table = table_from_csv(TYPED, "depth", None)
    cells = {
        (100, 8.4): 425,
        (260, 8.4): 425,
        (261, 8.4): 520,
        (261, 8.9): "no answer from the table",
        (521, 8.4): "no answer from the table",
        (100, 9.5): "out of service",
    }
    for (run, mm), wanted in cells.items():
        found = table.look_up(run, mm)
        assert wanted in (found.interval, found.answer)
    stops = table_from_csv(TYPED, "depth", None, dash_stops=True)
    assert stops.look_up(261, 8.9).answer == "out of service"
    for each in (table, stops):
        assert table_from(each.as_plain()) == each
        assert table_from_csv(table_as_csv(each, "h"), "depth", None, dash_stops=each.notes.dash_stops) == each


REFUSED: dict[str, tuple[bytes, str]] = {
    "two kinds of heading": (b"h;8;9\n<= 260;40;30\n520;50;40\n", "Line 3 is not headed like"),
    "falls over a dash": (b"h;8;9\n260;40;30\n520;-;-\n780;30;20\n", "falls with more use"),
    "rises over a dash": (b"h;8;9;10\n260;40;-;50\n", "rises towards worse wear"),
}


@pytest.mark.parametrize(("data", "words"), REFUSED.values(), ids=REFUSED)
def test_an_unsafe_table_is_refused_across_its_dashes(data: bytes, words: str) -> None:
    with pytest.raises(InputError, match=words):
        table_from_csv(data, "depth", None)


def test_a_longest_interval_runs_from_the_fitting_while_nothing_is_checked() -> None:
    longest = TableNotes(250.0)
    table: dict[str, object] = IntervalTable((0.0,), (14.0, 10.0), ((300.0, 100.0),), "length", longest).as_plain()
    unseen, seen = (bound(s, table, "table") for s in (state(weeks=5), state(a_round(4, 20, 20), weeks=5)))
    assert dues(unseen, unseen.policies, shipped())[0].at_units == 250
    assert dues(seen, seen.policies, shipped())[0].at_units == 80 + 250


@pytest.mark.parametrize(("rows", "columns", "fits"), [(200, 60, True), (201, 60, False), (200, 61, False)])
def test_a_table_has_at_most_so_many_rows_and_columns(rows: int, columns: int, fits: bool) -> None:
    given = {
        "quantity": "depth",
        "rows": tuple(float(n) for n in range(rows)),
        "columns_mm": tuple(float(n) for n in range(columns)),
        "cells": ((100.0,) * columns,) * rows,
    }
    if fits:
        assert len(IntervalTable(**given).rows) == rows  # type: ignore[arg-type]
        return
    with pytest.raises(InputError, match="Give 1 to 200 rows and 1 to 60 columns") as refused:
        IntervalTable(**given)  # type: ignore[arg-type]
    assert refused.value.field == "cells_h"
