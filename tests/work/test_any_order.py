"""Whatever is done in whatever order: the record stays true, a refusal changes nothing, a repeat changes nothing."""

import json
from collections.abc import Callable
from dataclasses import replace
from datetime import date

import pytest

from conftest import Shop
from hand import Hand
from norvash.core.grades import GRADES
from norvash.core.motor.in_force import figures_in_force
from norvash.core.record.stated import FiguresStated
from norvash.core.sheet.life import STANDING
from norvash.core.visit.barring import bars
from norvash.errors import NorvashError
from norvash.store.file.database import transaction
from norvash.store.record import standings
from norvash.work.act.acting import Act
from norvash.work.pages.bench import row_of
from norvash.work.pages.motor import motor_page
from norvash.work.reading.context import Context
from norvash.work.reading.loading import load
from norvash.work.reading.standing import catch_up, judge, refresh

STEPS = 60
TABLES = ("act", "use_entry", "brush_set", "round", "reading", "finding", "motor_figure", "position", "moved")


def counts(shop: Shop) -> list[int]:
    return [shop.conn.execute(f"select count(*) from {t}").fetchone()[0] for t in TABLES]


def attempt(job: Callable[[Act], str], act: Act) -> str | NorvashError:
    try:
        return job(act)
    except NorvashError as error:
        return error


def kept(shop: Shop, motor: str) -> list[tuple[object, ...]]:
    """Return a motor's forecast and its standing as they are kept."""
    rows = [tuple(r) for r in shop.conn.execute("select ahead_json from forecast where motor_id = ?", (motor,))]
    row = dict(shop.conn.execute("select * from standing where motor_id = ?", (motor,)).fetchone())
    return [*rows, *((k, v) for k, v in row.items() if k != "version")]


def check_kept(shop: Shop, motor: str, today: date) -> None:
    """What a job worked out in memory is what follows from the record, read anew."""
    before = kept(shop, motor)
    with transaction(shop.conn):
        refresh(shop.conn, motor, today)
    assert kept(shop, motor) == before


def check_record(shop: Shop, motor: str) -> None:
    page = motor_page(shop.conn, motor, shop.now.date())
    state = page.context.state
    totals = [e.total_units for e in state.entries]
    assert totals == sorted(totals)
    assert [e.at for e in state.entries] == sorted(e.at for e in state.entries)
    assert [s.number for s in state.sets] == list(range(1, len(state.sets) + 1))
    assert [s.ended_units is None for s in state.sets] == [False] * (len(state.sets) - 1) + [True]
    for older, newer in zip(state.sets, state.sets[1:], strict=False):
        assert older.ended_units == newer.fitted_units >= older.fitted_units
    assert sum(not r.finished for s in state.sets for r in s.rounds) <= 1
    uses = [r.total_units for r in state.current.rounds]
    assert uses == sorted(uses)
    assert all(u >= state.current.fitted_units for u in uses)
    assert page.history
    assert all(len(h.words) > 5 for h in page.history)


def signed_words(shop: Shop) -> dict[str, str]:
    """Return what every signed sheet says."""
    return dict(tuple(r) for r in shop.conn.execute("select id, signed_json from sheet where signed_at is not null"))


def check_ground(shop: Shop, motor: str) -> None:
    """What was to be changed or stopped and rests on an unconfirmed change bars a certificate, and is back on the
    ground before that change; nothing that the shop decided for itself ends a stop.
    """
    context = load(shop.conn, motor)
    page = shop.page(motor)
    for x in page.found.lives:
        if x.graver is None or not x.moves:
            continue
        ours = all(m.ours for m in x.moves) and not any(m.confirmed_by for m in x.moves)
        assert not (ours and x.then is not None and x.graver.grade == "stop")
        if x.graver.grade in ("change", "stop") and x.then is not None and not x.read_since:
            assert bars(x)
    there = {x.at: x for x in judge(put_back(context), shop.now.date()).found.lives} if context.grounds else {}
    for x in page.found.lives:
        if x.then is not None and x.then.now is not None and there:
            assert there[x.at].state in (*STANDING, "dropped", "proven")
            assert GRADES.index(there[x.at].finding.grade) >= GRADES.index(x.then.now.grade)


def put_back(context: Context) -> Context:
    """Return a motor on the ground before every change that nobody has confirmed."""
    own = dict(context.stated.own)
    for m in context.moved:
        if m.kind == "figure":
            own.pop(m.name, None)
            own |= {m.name: m.before} if m.before is not None else {}
    stated = figures_in_force(context.motor.motor_class, own, context.of_type)
    made = context.after(FiguresStated(stated=stated, positions=context.positions))
    return replace(made, rules=context.grounds[-1].rules, moved=())


def check_lives(shop: Shop, motor: str) -> None:
    """Everything that was ever plan or graver is in exactly one state, and what stands raises the motor."""
    page = shop.page(motor)
    at = [x.at for x in page.found.lives]
    assert len(at) == len(set(at))
    kept_at = {
        (r["position_number"], r["finding"])
        for r in shop.conn.execute("select * from life where motor_id = ? and ended_act_id is null", (motor,))
    }
    assert kept_at <= set(at)
    for x in page.found.lives:
        assert x.state in ("open", "put off", "done not proven", "proven", "dropped", "withdrawn")
        assert not (x.state == "dropped" and x.finding.grade == "stop")
    ruled = {c.id for c in page.found.components if c.overruled}
    standing = [GRADES.index(x.finding.grade) for x in page.found.lives if x.stands and x.finding.part.id not in ruled]
    if page.found.overruled is None:
        assert GRADES.index(page.found.grade or "fit") >= max(standing, default=0)


@pytest.mark.parametrize("seed", range(10))
def test_any_order_of_jobs_keeps_the_record_true(shop: Shop, seed: int) -> None:
    stated = {
        "commutator_d_mm": "60",
        "commutator_d_min_mm": "50",
        "bars": "45",
        "rated_v": "400",
        "holder_gap_mm": "2.2",
    }
    brushes = 4 if seed % 3 == 0 else 2
    motor = shop.motor(set_is_new=bool(seed % 2), figures=stated, brushes=str(brushes))
    hand, done, refused, ever = Hand(shop, motor, seed, brushes), 0, 0, set[tuple[int, str]]()
    signed: dict[str, str] = {}
    for _ in range(STEPS):
        shop.later(days=hand.random.choice((0, 0, 1, 9)), minutes=hand.random.randrange(1, 300))
        job, act, before = hand.job(), shop.act(), counts(shop)
        result = attempt(job, act)
        if isinstance(result, NorvashError):
            refused += 1
            assert result.problem
            assert result.remedy
            assert counts(shop) == before
            continue
        done += 1
        after = counts(shop)
        assert after[0] == before[0] + 1
        assert job(replace(act, at=shop.later(minutes=1).now)) == result
        assert counts(shop) == after
        catch_up(shop.conn, act.at.date())
        check_record(shop, motor)
        check_kept(shop, motor, act.at.date())
        listed, page = standings.find_motors(shop.conn, "X-01", "", 1, 0)[0], shop.page(motor)
        standing, row = listed.standing, row_of(listed, shop.now.date())
        assert standing.sentence == page.said.sentence
        assert (row.grade, row.word) == (page.found.grade, page.said.word)
        check_lives(shop, motor)
        check_ground(shop, motor)
        now_signed = signed_words(shop)
        assert {i: now_signed[i] for i in signed} == signed  # what was signed says the same for good
        signed = now_signed
        ever |= {x.at for x in page.found.lives}
        assert [b["label"] for b in json.loads(standing.drawing_json)["brushes"]] == [
            p.label for p in page.context.state.positions
        ]
    # Nothing that was ever plan or graver has disappeared: it is in the record, in one of its six states.
    rows = shop.conn.execute("select * from life where motor_id = ?", (motor,)).fetchall()
    assert ever == {(r["position_number"], r["finding"]) for r in rows}
    assert all((r["ended_act_id"] is None) or r["state"] in ("proven", "dropped", "withdrawn") for r in rows)
    assert done > STEPS / 4
    assert refused > STEPS / 10
    assert shop.conn.execute("pragma foreign_key_check").fetchall() == []
