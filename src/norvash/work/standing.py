"""Keep a motor's place on the bench true at each change."""

import json
from datetime import date

from norvash.core.ruler import ruler_of
from norvash.core.rules.book import Rulebook
from norvash.core.sentence import Verdict, verdict
from norvash.core.verdict import Findings, findings
from norvash.store import rules, standings
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
    """Judge a motor anew and keep its standing; the caller holds the transaction."""
    context = load(conn, motor_id, book)
    found = findings(context.state, context.rules, today)
    said = verdict(found, context.state, context.rules, today)
    days, left = found.days, min((b.left_mm for b in found.brushes if b.left_mm is not None), default=None)
    standings.save_standing(
        conn,
        standings.Standing(
            motor_id, rules.rules_seq(conn), found.stage, rank_of(found),
            days.limit_on.isoformat() if days.limit_on else None, days.look_on.isoformat() if days.look_on else None,
            days.limit_on.isoformat() if days.limit_on else _NO_DAY,
            left, said.sentence, said.word, "; ".join(said.flags), json.dumps(ruler_of(found, context.state).as_plain()),
        ),
    )  # fmt: skip
    return context, found, said


def catch_up(conn: Connection, today: date) -> int:
    """Judge anew every motor whose standing rests on an older rulebook, in batches; return how many."""
    done = 0
    while True:
        book, seq = rulebook(conn), rules.rules_seq(conn)
        stale = standings.list_stale(conn, seq, _BATCH)
        if not stale:
            return done
        with transaction(conn):
            for motor_id in stale:
                refresh(conn, motor_id, today, book)
        done += len(stale)
