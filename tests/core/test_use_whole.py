"""Counters, rates, seasons, tables and past forecasts: what each of many logs and sets comes to is held whole."""

from collections.abc import Callable, Sequence
from dataclasses import asdict, replace
from datetime import date, datetime, timedelta
from functools import partial

from norvash.core.brush.limits import Limit
from norvash.core.planning.hindsight import Outcome, reached, scores
from norvash.core.planning.interval_table import IntervalTable, TableNotes
from norvash.core.planning.outlook import propose
from norvash.core.planning.policies import dues, overdue, runs_left
from norvash.core.planning.shop_table import shop_table
from norvash.core.planning.when import of_look, ordered
from norvash.core.rules.book import MotorRules
from norvash.core.state.marks import ruling
from norvash.core.state.motor_state import BrushSet
from norvash.core.state.policy import Policy
from norvash.core.use.counting import Counted, daily_rate, read_counter, read_increment
from norvash.core.use.happened import Happened
from norvash.core.use.log_entry import Entry
from norvash.core.use.rate import Rate, day_of, rate_of_use, rate_sd
from norvash.core.use.season import Season, Window, season_of, weeks_ahead
from norvash.core.use.timeline import date_marks, use_on
from norvash.errors import NeedsAnswer, NorvashError
from states import FITTED, T0, TODAY, a_round, state
from whole import assert_nothing_moved

DAY = datetime(2026, 3, 2, 12)
NOW = DAY + timedelta(days=400)


def log(*values: tuple[float, float, float]) -> list[Entry]:
    """Return a log from (day, total, counter)."""
    return [Entry(DAY + timedelta(days=d), total, counter) for d, total, counter in values]


WEEKLY = log((0, 100, 1100), (7, 120, 1120), (14, 140, 1140))
SUMMERS = [
    Entry(datetime(2024, 1, 1) + timedelta(days=7 * w), u, u)
    for w, u in enumerate([10.0 * sum(18 <= x % 52 < 40 for x in range(w)) for w in range(130)])
]
CLOSED = Window(
    id="w", name="summer closing", first_on=date(2024, 2, 29), last_on=date(2024, 3, 14), yearly=True, place=""
)


def said(job: Callable[[], Counted]) -> object:
    """Return what a counter comes to, or what is asked or refused."""
    try:
        return job()
    except NeedsAnswer as asks:
        return [asks.problem, [key for key, _ in asks.choices], asks.likely]
    except NorvashError as error:
        return [error.problem, error.remedy, error.field]


def counters(rules: MotorRules) -> list[object]:
    """Return what counters and amounts of use come to."""
    shown = (
        (1160, 21, ""),
        (1130, 10, ""),
        (90, -7, ""),
        (3, 21, ""),
        (3, 21, "rolled over"),
        (3, 21, "replaced"),
        (3, 21, "reset"),
        (1130, 16, ""),
        (1145, 5, ""),
        (9000, 21, ""),
        (1120, 3, ""),
    )
    high = log((0, 100, 9900), (7, 120, 9970), (14, 140, 9990))
    ran: tuple[tuple[float, int, list[Entry]], ...] = (
        (6, 21, WEEKLY),
        (0, 21, WEEKLY),
        (-1, 21, WEEKLY),
        (6, 10, WEEKLY),
        (6, 21, []),
        (800, 21, WEEKLY),
    )
    fallen = ((5, 21, "rolled over"), (5, 21, ""), (60, 21, ""), (20, 21, ""), (20, 15, ""), (0, 21, ""), (5, 60, ""))
    many = ((30, 21, "starts"), (200 * 96, 21, "starts"), (400 * 96, 21, "starts"))
    counter, increment = partial(read_counter, unit="hours", rules=rules), partial(read_increment, rules=rules)
    return [
        *(
            said(partial(counter, x, DAY + timedelta(days=d), NOW, entries=high, said=Happened(answer=a)))
            for x, d, a in fallen
        ),
        *(said(partial(increment, x, DAY + timedelta(days=d), NOW, entries=WEEKLY, unit=u)) for x, d, u in many),
        *(
            said(partial(counter, x, DAY + timedelta(days=d), NOW, entries=WEEKLY, said=Happened(answer=a)))
            for x, d, a in shown
        ),
        *(said(partial(increment, x, DAY + timedelta(days=d), NOW, entries=e, unit="hours")) for x, d, e in ran),
    ]


def rates(rules: MotorRules) -> list[object]:
    """Return rates of use, their doubt, and where days fall on the axis of use and back."""
    made: list[object] = [daily_rate(x) for x in (WEEKLY, WEEKLY[:1], WEEKLY[:1] * 2, SUMMERS)]
    window = Season(frozenset(range(1, 13)), (CLOSED,), "closed")
    for entries in (WEEKLY, WEEKLY[:1], SUMMERS, log((0, 100, 100), (3, 105, 105)), log((0, 100, 100), (40, 100, 100))):
        for declared in (None, 12.0):
            for season in (None, window):
                rate = rate_of_use(entries, declared, rules, season)
                made.append(
                    [
                        declared,
                        season is not None,
                        rate and [rate.per_week, rate.weeks, rate.logged_units, rate.words, rate_sd(rate, 9.0)],
                    ]
                )
                if rate is not None:
                    days = [
                        use_on(entries[-1].at.date() + timedelta(days=d), entries, rate)
                        for d in (-900, -5, 0, 3, 80, 400)
                    ]
                    made.append([*days, day_of(entries[-1].total_units + 300, entries[-1], rate)])
    low, high = WEEKLY[0].total_units, 2000.0
    made.append(
        date_marks(
            low, high, tuple(WEEKLY), Rate(per_week=20.0, weeks=9.0, logged_units=180.0, declared=None, season=window)
        )
    )
    return made


def seasons(rules: MotorRules) -> list[object]:
    """Return seasons declared, learned and by windows."""
    made: list[object] = []
    overlapping = (CLOSED, replace(CLOSED, first_on=date(2024, 3, 14), last_on=date(2024, 4, 2)))
    tries: Sequence[tuple[str, Sequence[Entry], tuple[Window, ...]]] = (
        ("9-6", WEEKLY, ()),
        ("", SUMMERS, ()),
        ("", SUMMERS[:90], (CLOSED,)),
        ("", WEEKLY, (CLOSED,)),
        ("", WEEKLY, ()),
        ("2", WEEKLY, ()),
        ("12-1, 5", WEEKLY, ()),
        ("", WEEKLY, overlapping),
        ("", SUMMERS[:105], (replace(CLOSED, yearly=False),)),
    )
    for declared, entries, windows in tries:
        found = season_of(declared, entries, windows, "under stage", rules)
        made.append(
            found
            and [
                sorted(found.months),
                found.words,
                found.pattern(date(2026, 1, 5)),
                found.active_days(date(2026, 2, 20), date(2028, 3, 20)),
            ]
        )
    pattern = [1.0, 0.5, 0.0, 1.0]
    return [*made, *(weeks_ahead(x, pattern) for x in (0.0, 0.25, 1.0, 1.5, 1.6, 2.5, 2.6, 7.5, 8.0, 20.0))]


def plans(rules: MotorRules) -> list[object]:
    """Return what policies ask for, what comes first, and the day that is proposed for a change."""
    own = {**FITTED, "depth_new_mm": 20.0, "depth_constant_mm": 42.0}
    table = {
        "rows": (0.0, 200.0, 350.0),
        "columns_mm": (22.0, 25.0, 28.0),
        "cells": ((90, 60, 20), (120, 80, 40), (150, 90, 50)),
        "quantity": "depth",
        "longest": None,
    }
    lengths = {**table, "columns_mm": (20.0, 16.0, 14.0), "quantity": "length", "longest": 100.0}
    policies = [
        Policy("p1", "interval", "card", {"every": 120.0}),
        Policy("p2", "range", "manual", {"low": 200.0, "high": 300.0}),
        Policy("p3", "table", "by depth", table),
        Policy("p4", "table", "by length", lengths),
    ]
    yearly = Policy("p5", "calendar", "yearly", {"months": 12})
    motors = {
        "worn": state(a_round(10, 18, 19), a_round(20, 15, 16), own=own),
        "fitted later": replace(
            state(a_round(20, 15, 16), own=own), sets=(replace(state(a_round(20, 15, 16)).current, fitted_units=100.0),)
        ),
        "beyond the table": state(a_round(20, 9, 16), own=own),
        "not linked": state(a_round(20, 15, 16)),
        "not measured": state(own=own),
        "no use known": replace(state(a_round(20, 15, 16), own=own), rate=None),
        "incomplete": state(a_round(20, 15, None), own=own),
        "hard": state(a_round(20, 15, 16), own={**own, "conditions": "dusty"}),
    }
    made: list[object] = []
    for name, motor in motors.items():
        for chosen in (policies, [yearly], [], policies[:2]):
            found = dues(motor, chosen, rules)
            first = ruling(ordered(map(of_look, found)))
            by_now = [replace(of_look(d), stop=False).due_by(motor.ran_by(TODAY), TODAY) for d in found]
            days = by_now, [overdue(d, motor, TODAY) for d in found]
            made.append([name, [[d, d.why.split(" ")] for d in found], first.due if first else None, *days])
    windows = (
        CLOSED,
        Window(
            id="x",
            name="strike week",
            first_on=date(2026, 5, 4),
            last_on=date(2026, 5, 10),
            yearly=False,
            place="under stage",
        ),
        Window(
            id="y", name="elsewhere", first_on=date(2026, 6, 1), last_on=date(2026, 6, 9), yearly=True, place="roof"
        ),
    )
    for early in (date(2026, 3, 5), date(2026, 5, 4), date(2026, 5, 6), date(2026, 5, 11), date(2026, 9, 1)):
        for today in (date(2026, 2, 1), date(2026, 4, 29), date(2026, 5, 10), early - timedelta(days=7)):
            found_day = propose(early, windows, "under stage left", today)
            made.append([found_day, found_day.words.split(" ")])
    return [
        *made,
        *(runs_left(left, run) for left, run in ((377.0, 8.0), (16.0, 8.0), (15.99, 8.0), (-3.0, 8.0), (0.3, 0.1))),
    ]


def sets() -> list[object]:
    """Return when sets reached their limit, and how past forecasts scored."""
    limit = Limit(limit_mm=8.0, source="maker", estimated=False, governed_by="limit.share")
    tries = {
        "passed between rounds": (a_round(10, 18, 19), a_round(20, 7, 16)),
        "passed at once": (a_round(10, 7, 19),),
        "near it": (a_round(10, 14, 19), a_round(20, 9, 16)),
        "near it, three rounds": (a_round(5, 18, 19), a_round(10, 14, 19), a_round(15, 11, 19), a_round(20, 9, 16)),
        "far from it": (a_round(10, 18, 19), a_round(20, 15, 16)),
        "one round near it": (a_round(20, 9, 16),),
        "measured at fitting": (a_round(0, 21.5, 21.9, kind="fitting"), a_round(20, 7, 16)),
    }
    made: list[object] = [
        [
            name,
            known,
            reached(
                BrushSet(
                    number=1,
                    fitted_at=T0,
                    fitted_units=0.0,
                    fitted_known=known,
                    ended_at=T0,
                    ended_units=500.0,
                    end_reason="planned",
                    rounds=rounds,
                ),
                limit,
                22.0,
            ),
        ]
        for name, rounds in tries.items()
        for known in (True, False)
    ]
    outcomes = [
        Outcome(
            tag="X",
            set_number=1,
            visits=n % 7 + 1,
            made_units=100.0,
            p05_units=200.0,
            p10_units=240.0,
            p50_units=300.0,
            p90_units=400.0,
            p95_units=450.0,
            look_units=190.0 + 20 * (n % 6),
            reached_units=210.0 + 40 * (n % 5),
        )
        for n in range(40)
    ]
    return [*made, *([s, s.spread] for s in scores(outcomes))]


def tables(rules: MotorRules) -> list[object]:
    """Return a table that the shop makes for itself, and what tables answer."""
    shop = shop_table(22.0, 8.0, 2, life=900.0, past=(), sd_mm=0.05, rules=rules)
    short = shop_table(22.0, 8.0, 4, life=14.0, past=(), sd_mm=0.05, rules=rules)
    one = IntervalTable((0.0, 100.0), (12.0,), ((50.0,), (80.0,)), "length", TableNotes(60.0))
    looks = [one.look_up(u, mm) for u in (0.0, 99.0, 100.0, 500.0) for mm in (20.0, 12.0, 11.9)]
    return [asdict(shop), asdict(short), *looks]


def test_nothing_moves_in_use_and_planning(rules: MotorRules) -> None:
    answers = [*counters(rules), *rates(rules), *seasons(rules), *plans(rules), *sets(), *tables(rules)]
    assert_nothing_moved("use_answers.json", answers, rel=1e-3)
