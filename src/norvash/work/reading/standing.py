"""Keep a motor's forecast and its place on the bench true at each change."""

import json
import time
from collections import Counter
from collections.abc import Callable, Mapping, Sequence
from dataclasses import dataclass, replace
from datetime import date

from norvash.core.brush.motor_limit import motor_limit
from norvash.core.forecast.past_set import PastSet
from norvash.core.grades import GRADES
from norvash.core.judging.rests_on import grounds_of
from norvash.core.motor.figure_fields import LENGTH_UNIT
from norvash.core.rules.book import Rulebook
from norvash.core.sheet.life import Life
from norvash.core.state.findings import Findings
from norvash.core.state.ruler import ruler_of
from norvash.core.text.texts import compared
from norvash.core.verdict.judging import findings
from norvash.core.verdict.lead import lead_of
from norvash.core.verdict.machine_line import machine_says
from norvash.core.verdict.retired import RETIRED, retired
from norvash.core.verdict.sentence import Verdict, verdict
from norvash.store.file.database import Connection, transaction
from norvash.store.record import forecasts, lives, rules, standings
from norvash.store.record.forecasts import Taught, latest
from norvash.work.act.remembered import tell
from norvash.work.reading.context import Context, Prepared
from norvash.work.reading.loading import load
from norvash.work.reading.rulebook import rulebook

_RANK = {"stop": 7, "change": 6, "plan": 4, "watch": 3, "fit": 0}
_UNKNOWN_RANK, _RUNS_UNKNOWN_RANK = 2, 5
_PLAN = GRADES.index("plan")
_BATCH = 200
_LOCKED_S = 0.04
_NO_DAY = "9999-12-31"


@dataclass(frozen=True, kw_only=True)
class Judged(Prepared):
    """A motor with its forecast and verdict of a day, worked out and not kept yet.

    `said` is the line with what lies before the motor, `own` that of the motor alone. `taught` is what its ended sets
    teach, None where that is what is kept already; without a new forecast `foreseen` is False.
    """

    found: Findings
    said: Verdict
    own: Verdict
    taught: Mapping[str, PastSet] | None = None
    foreseen: bool = True


def rank_of(found: Findings, *, runs: bool = False, due: bool = False) -> int:
    """Return how urgently a motor needs hands by itself, without what the days add: 7 out of service, down to 0 runs
    on. What is not measured, incomplete or doubtful, or a look that is `due` by what has run and has no day, asks for
    hands and outranks nothing that is to be watched or worse; but a set of unknown age that `runs` by its log comes
    before what is to be planned.
    """
    unknown = found.unmeasured or bool(found.doubts or found.missing) or (due and found.days.look_on is None)
    rank = _RUNS_UNKNOWN_RANK if found.unknown and runs else _UNKNOWN_RANK if unknown else 0
    return max(_RANK[found.machine_base or "fit"], rank)


def judge(context: Context, today: date) -> Judged:
    """Judge a motor by the forecast that it has; as it was read it is judged once a day."""
    known = context.judged.get(today)
    if known is None:
        found = findings(context.state, context.rules, today)
        gone = context.motor.gone_by(today)
        own = verdict(found, context.state, context.rules, today)
        said = (found, own, machine_says(own, found, today, LENGTH_UNIT.of(context.figures)))
        if gone is not None:
            rests, words = retired(found, gone.at.date(), gone.by)
            said = (rests, words, words)
        known = context.judged[today] = said
    found, own, line = known
    return Judged(context, found=found, said=line, own=own, foreseen=False)


def foresee(conn: Connection, contexts: Sequence[Context], today: date) -> list[Judged]:
    """Forecast motors side by side and judge them; nothing is written, and no lock is needed."""
    from norvash.core.forecast.model import forecasts as forecast_all
    from norvash.core.planning.forecast_of_motor import ahead_of, case_of

    taught = {context.motor.id: _taught(context) for context in contexts}
    families = _families(conn, contexts, taught)
    cases = [
        case_of(c.state, motor_limit(c.figures, c.rules), families[c.motor.type_id or c.motor.id], c.rules)
        for c in contexts
    ]
    made = []
    for context, case, foreseen in zip(contexts, cases, forecast_all(cases), strict=True):
        time.sleep(0)  # whoever enters something meanwhile takes their turn
        ahead = ahead_of(foreseen, case, context.state)
        own = {t.set_id: t.past for t in taught[context.motor.id]}
        news = len(context.sets) > 1 and own != forecasts.list_taught(conn, context.motor.id)
        judged = judge(context.with_ahead(ahead), today)
        made.append(replace(judged, taught=own if news else None, foreseen=True))
    return made


def _taught(context: Context) -> list[Taught]:
    """Return what a motor's ended sets teach."""
    from norvash.core.planning.forecast_of_motor import past_set_of

    if len(context.sets) < 2:
        return []
    limit = motor_limit(context.figures, context.rules)
    found = ((s, past_set_of(s, context.state, limit, context.rules)) for s in context.sets[:-1])
    return [Taught(s.ended_at or s.fitted_at, s.id, past) for s, past in found if past is not None]


def _families(
    conn: Connection, contexts: Sequence[Context], taught: Mapping[str, Sequence[Taught]]
) -> dict[str, tuple[PastSet, ...]]:
    """Return by type, or by motor where it has none, what earlier sets teach.

    That of the motors at hand as it is worked out now.
    """
    found = {c.motor.id: latest(taught[c.motor.id]) for c in contexts if c.motor.type_id is None}
    for type_id in {c.motor.type_id for c in contexts if c.motor.type_id is not None}:
        here = [c.motor.id for c in contexts if c.motor.type_id == type_id]
        others = forecasts.list_family(conn, type_id, here)
        found[type_id] = latest([*others, *(t for motor_id in here for t in taught[motor_id])])
    return found


def keep(conn: Connection, judged: Judged, *, why: str = "", free: bool = False) -> Judged:
    """Keep a motor's forecast, what it teaches and its standing; the caller holds the transaction.

    `why` is said of what is withdrawn by that; it is `free` where what was wrong at this visit was put back.
    """
    context, found, said = judged.context, judged.found, judged.said
    tell(conn, context.motor.id, context)
    if context.open_sheet is not None:
        keep_found(conn, context, found.lives, why=why, free=free)
    if judged.taught is not None:
        forecasts.save_taught(conn, context.motor.id, judged.taught.items())
        forecasts.mark_family_stale(conn, context.motor.id, context.motor.type_id)
    if judged.foreseen and context.ahead is not None:
        forecasts.save_ahead(conn, context.motor.id, context.ahead)
    days, ruler = found.days, ruler_of(found, context.state)
    left = min((b.left_mm for b in found.brushes if b.left_mm is not None), default=None)
    standings.save_standing(
        conn,
        standings.Standing(
            motor_id=context.motor.id,
            rules_seq=context.stamp.rules_seq,
            grade=found.machine_base,
            rank=standings.RETIRED_RANK
            if said.word == RETIRED
            else rank_of(
                found, runs=bool(context.state.rate and context.state.rate.logged_units), due="look due" in said.flags
            ),
            limit_on=_iso(days.limit_on),
            look_on=_iso(days.look_on),
            due=_iso(days.limit_on) or _NO_DAY,
            left_mm=left,
            sentence=said.sentence,
            word=said.word,
            flags="; ".join(said.flags),
            drawing_json=json.dumps({**ruler.as_plain(), "lead": lead_of(found, ruler.unit).as_plain()}),
            place_key=compared(context.motor.place),
            early_on=_iso(days.early_on),
            late_on=_iso(days.late_on),
            look_by=found.look.name if found.look else "",
            plan_on=_iso(min((r.on for r in found.rises if r.rank >= _PLAN), default=None)),
            change_on=_iso(min((r.on for r in found.rises if r.rank > _PLAN), default=None)),
            rises_json=json.dumps([r.as_plain() for r in found.rises]),
            figures_json=json.dumps([f.as_plain() for f in said.coming]),
        ),
    )
    return judged


def keep_found(conn: Connection, context: Context, found: Sequence[Life], *, why: str = "", free: bool = False) -> None:
    """Keep what an open sheet has found, with what it was judged on; the caller holds the transaction."""
    sheet = context.open_sheet
    if sheet is None:
        return
    news = [x.finding for x in found if x.state != "withdrawn" and lives.is_news(x, sheet.id)]
    grounds = grounds_of(news, sheet, context.rules, context.worn_mm) if news else {}
    lives.begin_lives(conn, context.motor.id, sheet.id, found, grounds=grounds, why=why, free=free)


def refresh(conn: Connection, motor_id: str, today: date) -> Judged:
    """Read a motor anew, forecast and judge it, and keep both; the caller holds the transaction."""
    return refresh_all(conn, [motor_id], today)[0]


def refresh_all(conn: Connection, motor_ids: Sequence[str], today: date, book: Rulebook | None = None) -> list[Judged]:
    """Read motors anew, forecast and judge them side by side, and keep all of it; the caller holds the transaction."""
    return [keep(conn, j) for j in foresee(conn, [load(conn, motor_id, book) for motor_id in motor_ids], today)]


def _iso(day: date | None) -> str | None:
    return day.isoformat() if day else None


def catch_up(conn: Connection, today: date, stop: Callable[[], bool] = lambda: False) -> int:
    """Judge anew every motor whose standing rests on an older rulebook or record, or that retires on a day.

    Return how many.

    A motor is forecast and judged before the lock is taken; one that moves meanwhile waits for the next turn. No
    further motor is begun once the lock has been held for 40 ms, so that whoever enters something waits for no more
    than that.
    """
    done, after = 0, ""
    while not stop():
        stale = standings.list_stale(conn, rules.rules_seq(conn), after, _BATCH, today)
        if not stale and not after:
            break
        after = stale[-1] if stale else ""  # those that others have taught something meanwhile come once more
        book = rulebook(conn)
        waiting: Sequence[Judged] = (
            foresee(conn, [load(conn, motor_id, book) for motor_id in stale], today) if stale else ()
        )
        own: Counter[str | None] = Counter()
        while waiting and not stop():
            kept, waiting = _keep_some(conn, waiting, own)
            done += kept
    return done


def _keep_some(conn: Connection, waiting: Sequence[Judged], own: Counter[str | None]) -> tuple[int, Sequence[Judged]]:
    """Keep what still stands of some motors, as many as may be begun in one holding of the lock.

    Return how many, and the rest.

    `own` counts by type what motors of the same batch have taught.
    """
    kept = 0
    with transaction(conn):
        until = time.monotonic() + _LOCKED_S
        for number, judged in enumerate(waiting):
            if number and time.monotonic() > until:
                return kept, waiting[number:]
            type_id = judged.context.motor.type_id
            if judged.stands(conn, own[type_id]):
                keep(conn, judged)
                own[type_id] += judged.taught is not None
                kept += 1
    return kept, ()
