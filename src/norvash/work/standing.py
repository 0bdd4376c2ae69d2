"""Keep a motor's forecast and its place on the bench true at each change."""

import json
from collections.abc import Sequence
from dataclasses import replace
from datetime import date

from norvash.core.past_set import PastSet
from norvash.core.ruler import ruler_of
from norvash.core.rules.book import Rulebook
from norvash.core.sentence import Verdict, verdict
from norvash.core.state import motor_limit
from norvash.core.verdict import Findings, findings
from norvash.store import forecasts, rules, standings
from norvash.store.database import Connection, transaction
from norvash.work.context import Context, load, rulebook

_RANK = {"stop": 6, "change": 5, "plan": 4, "watch": 3, "fit": 0}
_BATCH = 200
_NO_DAY = "9999-12-31"


def rank_of(found: Findings) -> int:
    """Return how urgently a motor needs hands: 6 out of service, down to 0 runs on."""
    if found.round is None:
        return 2
    rank = _RANK[found.stage or "fit"]
    if found.doubts:
        return max(rank, 4)
    return max(rank, 2) if found.missing else rank


def refresh(
    conn: Connection, motor_id: str, today: date, book: Rulebook | None = None
) -> tuple[Context, Findings, Verdict]:
    """Forecast and judge a motor anew and keep both; the caller holds the transaction."""
    return refresh_all(conn, [motor_id], today, book)[0]


def judge(conn: Connection, motor_id: str, today: date) -> None:
    """Judge a motor anew where its forecast stands as it was; the caller holds the transaction."""
    _judge(conn, load(conn, motor_id), today)


def refresh_all(
    conn: Connection, motor_ids: Sequence[str], today: date, book: Rulebook | None = None
) -> list[tuple[Context, Findings, Verdict]]:
    """Forecast and judge motors anew, side by side, and keep all of it; the caller holds the transaction."""
    from norvash.core.forecast.model import forecasts as forecast_all
    from norvash.core.forecasting import ahead_of, case_of

    contexts = [load(conn, motor_id, book) for motor_id in motor_ids]
    for context in contexts:
        _teach(conn, context)
    cases = []
    for context in contexts:
        past = forecasts.list_family(conn, context.motor.id, context.motor.type_id)
        cases.append(case_of(context.state, motor_limit(context.figures, context.rules), past, context.rules))
    judged = []
    for context, case, made in zip(contexts, cases, forecast_all(cases), strict=True):
        ahead = ahead_of(made, case, context.state)
        forecasts.save_ahead(conn, context.motor.id, ahead)
        judged.append(_judge(conn, replace(context, state=replace(context.state, ahead=ahead)), today))
    return judged


def _teach(conn: Connection, context: Context) -> None:
    """Keep what the motor's ended sets taught; where that has changed, its relatives are judged anew later."""
    from norvash.core.forecasting import past_set_of

    limit = motor_limit(context.figures, context.rules)
    found: dict[str, PastSet] = {}
    for brush_set in context.state.sets[:-1]:
        taught = past_set_of(brush_set, context.state, limit)
        if taught is not None:
            found[brush_set.id] = taught
    if found != forecasts.list_taught(conn, context.motor.id):
        forecasts.save_taught(conn, context.motor.id, found.items())
        forecasts.mark_family_stale(conn, context.motor.id, context.motor.type_id)


def _judge(conn: Connection, context: Context, today: date) -> tuple[Context, Findings, Verdict]:
    found = findings(context.state, context.rules, today)
    said = verdict(found, context.state, context.rules, today)
    days, left = found.days, min((b.left_mm for b in found.brushes if b.left_mm is not None), default=None)
    standings.save_standing(
        conn,
        standings.Standing(
            context.motor.id, rules.rules_seq(conn), found.stage, rank_of(found), _iso(days.limit_on), _iso(days.look_on),
            _iso(days.limit_on) or _NO_DAY, left, said.sentence, said.word, "; ".join(said.flags),
            json.dumps(ruler_of(found, context.state).as_plain()), _iso(days.early_on), _iso(days.late_on),
            found.look.name if found.look else "",
        ),
    )  # fmt: skip
    return context, found, said


def _iso(day: date | None) -> str | None:
    return day.isoformat() if day else None


def catch_up(conn: Connection, today: date) -> int:
    """Judge anew every motor whose standing rests on an older rulebook or record, in batches; return how many."""
    done = 0
    while True:
        book, seq = rulebook(conn), rules.rules_seq(conn)
        stale = standings.list_stale(conn, seq, _BATCH)
        if not stale:
            return done
        with transaction(conn):
            refresh_all(conn, stale, today, book)
        done += len(stale)
