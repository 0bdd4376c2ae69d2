"""Whatever is done in whatever order: the record stays true, a refusal changes nothing, a repeat changes nothing."""

import json
from collections.abc import Callable
from dataclasses import replace
from datetime import date, timedelta
from random import Random

import pytest

from conftest import Shop, readings_on
from norvash.core.motor.in_force import figures_in_force
from norvash.core.sheet.life import STANDING
from norvash.core.sheet.moved import Explained
from norvash.core.sheet.stages.brushes.stage import BY_SIGHT as BY_ID
from norvash.core.sheet.visit.barring import bars
from norvash.core.verdict.grades import GRADES
from norvash.errors import NorvashError
from norvash.store import entries, rounds, sheets, standings
from norvash.store.database import transaction
from norvash.work.acting import Act
from norvash.work.bench import row_of
from norvash.work.brushes_used import END_REASONS
from norvash.work.changing_figures import change_figures
from norvash.work.confirming import confirm
from norvash.work.context import Context
from norvash.work.loading import load
from norvash.work.logging_use import log_use, take_back
from norvash.work.measuring import note, record
from norvash.work.motor_page import motor_page
from norvash.work.new_set import Fitting, fit_new_set
from norvash.work.opening import open_sheet
from norvash.work.policing import add_policy, end_policy
from norvash.work.renewing import renew_brushes
from norvash.work.ruling import clear_rule, set_rule
from norvash.work.settling import settle_doubt, take_back_answer
from norvash.work.settling_sight import settle_sight
from norvash.work.sheets import enter
from norvash.work.sighting import Seeing
from norvash.work.signing import sign
from norvash.work.standing import catch_up, judge, refresh
from norvash.work.undoing import undo

STEPS = 60
TABLES = ("act", "use_entry", "brush_set", "round", "reading", "finding", "motor_figure", "position", "moved")


ENTRIES = (
    ("gap", 1, "2.4"),
    ("gap", 1, "9"),
    ("gap", 1, ""),
    ("dust-g", 0, "40"),
    ("force", 2, "7 N"),
    ("seen.windings.burnt", 0, "yes"),
    ("decide.windings.burnt", 0, "done"),
    ("decide.face.glazed", 1, "done"),
    ("decide.face.glazed", 1, "deferred"),
    ("overrule.brushes", 0, "watch"),
    ("cut-done", 0, "59.2"),
    ("cut-done", 0, ""),
    ("holder-set", 0, "yes"),
    ("insulation-mohm", 0, "0.4"),
    ("insulation-mohm", 0, "80"),
    ("next-look", 0, "2027-01-01"),
    ("earth-ohm", 0, "4"),
    ("sign.weak", 0, "yes"),
    ("remark.brushes", 0, "seen"),
    ("waive.safe", 0, "tried"),
    ("task.armature", 0, "yes"),
    ("task.earth", 0, "yes"),
    ("task.springs", 0, "yes"),
    ("task.gap", 0, "yes"),
    ("task.gap", 0, ""),
    ("gone.windings.burnt", 0, "yes"),
    ("gone.brush.sticky", 1, "yes"),
    ("decide.gap.wide", 1, "now"),
    ("decide.gap.wide", 1, "dropped"),
    ("decide.set.worn", 0, "deferred"),
    ("earth-ohm", 0, "0.05"),
    ("outcome", 0, "service"),
    ("sign.start", 0, "dead"),
)


class Hand:
    """Somebody who does anything to one motor, sensible or not."""

    def __init__(self, shop: Shop, motor: str, seed: int, brushes: int) -> None:
        self.shop, self.motor, self.random, self.brushes = shop, motor, Random(seed), brushes
        self.used, self.length = 100.0, 22.0

    def job(self) -> Callable[[Act], str]:
        many = (self.log, self.measure, self.measure, self.measure, self.enter, self.enter, self.enter, self.see)
        return self.random.choice(
            (
                *many,
                *many,
                self.fit,
                self.undo,
                self.undo,
                self.police,
                self.settle,
                self.close,
                self.state,
                self.renew,
                self.reopen,
                self.say,
                self.ground,
                self.ground,
            )
        )()

    def _round(self) -> str:
        found = sheets.open_sheet_of(self.shop.conn, self.motor)
        return found.id if found else "no-round-here"

    def log(self) -> Callable[[Act], str]:
        self.used = max(0.0, self.used + self.random.choice((0, 3, 8, 20, 300, -40)))
        text, mode = self.random.choice(((f"{self.used:g}", "counter"), ("6", "increment"), ("much", "counter")))
        answer = self.random.choice(("", "", "", "replaced", "rolled over", "last was wrong", "slip"))
        day = self.random.choice(("", "", "", "yesterday", "2024-01-01", "2031-01-01"))
        return lambda act: log_use(self.shop.conn, act, self.motor, text=text, mode=mode, day=day, answer=answer)

    def measure(self) -> Callable[[Act], str]:
        found = rounds.open_round(self.shop.conn, self.motor)
        if found is None and sheets.open_sheet_of(self.shop.conn, self.motor):
            return self.close()
        if found is None:
            kind, look = self.random.choice(("check", "check", "bedded")), self.random.choice(("quick", "full"))
            return lambda act: open_sheet(
                self.shop.conn, act, self.motor, kind=look, counter="", round_kind=kind, safe=True
            )
        self.length = max(6.0, self.length - self.random.random() / 2)
        text = self.random.choice((f"{self.length:.2f}", f"{self.length / 25.4:.3f} in", "-3", "long"))
        position, there = self.random.randrange(1, self.brushes + 2), readings_on(self.shop.conn, found.id)
        replaces = there[position].id if position in there and self.random.random() < 0.8 else ""
        return lambda act: record(self.shop.conn, act, found.id, position=position, text=text, replaces=replaces)

    def fit(self) -> Callable[[Act], str]:
        self.length = 22.0
        reason, first = self.random.choice((*END_REASONS, "bored")), self.random.choice(("", "22.1", "no"))
        second, also = self.random.choice(("21.95", "nominal", "")), self.random.choice(((), ("springs",), ("gap",)))
        others = {n: self.random.choice(("22", "21.9", "nominal", "")) for n in range(3, self.brushes + 1)}
        return lambda act: fit_new_set(
            self.shop.conn,
            act,
            self.motor,
            counter="",
            reason=reason,
            lengths={1: first, 2: second, **others},
            stated=Fitting(also=also),
        )

    def undo(self) -> Callable[[Act], str]:
        sheet = self._round()
        return self.random.choice(
            (
                lambda act: take_back(self.shop.conn, act, self.motor),
                lambda act: undo(self.shop.conn, act, sheet),
                lambda act: undo(self.shop.conn, act, sheet),
            )
        )

    def police(self) -> Callable[[Act], str]:
        held = self.shop.page(self.motor).context.policies
        if held and self.random.random() < 0.5:
            return lambda act: end_policy(self.shop.conn, act, held[0].id)
        every = self.random.choice(("40", "9000", "never"))
        return lambda act: add_policy(
            self.shop.conn,
            act,
            "motor",
            scope_id=self.motor,
            kind="interval",
            typed={"name": "By the card", "every": every},
        )

    def see(self) -> Callable[[Act], str]:
        if self._shut():
            return self._way_in()
        round_id, seen = self._round(), self.random.choice((*BY_ID, "ghost"))
        position, gone = self.random.randrange(1, self.brushes + 2), self.random.random() < 0.3
        return lambda act: note(self.shop.conn, act, round_id, position, seen, gone=gone)

    def settle(self) -> Callable[[Act], str]:
        doubted = [r.id for r in readings_on(self.shop.conn, self._round()).values() if r.doubt]
        reading, answer = (doubted or ["no-reading"])[0], self.random.choice(("right", "mistyped"))
        return lambda act: settle_doubt(self.shop.conn, act, reading, answer)

    def reopen(self) -> Callable[[Act], str]:
        answered = [r.id for r in readings_on(self.shop.conn, self._round()).values() if r.doubt_answer]
        return lambda act: take_back_answer(self.shop.conn, act, (answered or ["no-reading"])[0])

    def renew(self) -> Callable[[Act], str]:
        lengths = {self.random.randrange(1, self.brushes + 2): self.random.choice(("", "21.9"))}
        return lambda act: renew_brushes(self.shop.conn, act, self.motor, counter="", reason="damaged", lengths=lengths)

    def enter(self) -> Callable[[Act], str]:
        if self._shut():
            return self._way_in()
        return self._entry(*self.random.choice(ENTRIES))

    def _shut(self) -> bool:
        """Tell whether nothing can be entered inside the motor; now and then it is tried all the same."""
        found = sheets.open_sheet_of(self.shop.conn, self.motor)
        given = entries.list_entries(self.shop.conn, found.id) if found else {}
        return ("waive.safe", 0, "found") not in given and self.random.random() < 0.8

    def _way_in(self) -> Callable[[Act], str]:
        """Open a sheet, or pass the gate before the motor is opened."""
        return self._entry("waive.safe", 0, "tried") if self._round() != "no-round-here" else self.measure()

    def _entry(self, field: str, place: int, text: str) -> Callable[[Act], str]:
        sheet = self._round()
        there = entries.list_entries(self.shop.conn, sheet).get((field, place, "found"))
        replaces = there.id if there and self.random.random() < 0.9 else ""
        more = {"who": "Ines", "day": f"{self.shop.now + timedelta(days=30):%Y-%m-%d}", "why": "so"}
        sight, touched = self.random.choice(("", "found", "left")), self.random.choice((None, True, False))
        answer = self.random.choice(("", "mistyped", "again"))
        seeing = Seeing(sight=sight, touched=touched, answer=answer, why="the wrong line")
        return lambda act: enter(
            self.shop.conn,
            act,
            sheet,
            field_id=field,
            place=place,
            text=text,
            replaces=replaces,
            more=more,
            seeing=seeing,
        )

    def say(self) -> Callable[[Act], str]:
        """Say of something that was kept as typed of which sight it speaks."""
        sheet, sight = self._round(), self.random.choice(("found", "left", "neither"))
        asked = [g.id for (_, _, s), g in entries.list_entries(self.shop.conn, sheet).items() if s == "asked"]
        if not asked and self.random.random() < 0.8:
            return self.enter()
        return lambda act: settle_sight(self.shop.conn, act, sheet, (asked or ["nothing"])[0], sight)

    def close(self) -> Callable[[Act], str]:
        round_id = self._round()
        return lambda act: sign(self.shop.conn, act, round_id, "left so", service=True)

    def state(self) -> Callable[[Act], str]:
        version = self.shop.page(self.motor).context.motor.version - (self.random.random() < 0.2)
        typed = {
            "new_mm": "22",
            "limit_mm": self.random.choice(("8", "9", "30", "x")),
            "label_1": self.random.choice("AN"),
        }
        said = self.explained()
        return lambda act: change_figures(self.shop.conn, replace(act, explained=said), self.motor, typed, version)

    def explained(self) -> Explained:
        answer = self.random.choice(("", "read", "read", "first", "ours"))
        return Explained(
            answer, self.random.choice(("its plate", "its plate", "")), self.random.choice(("", "", "old"))
        )

    def ground(self) -> Callable[[Act], str]:
        """Change what it is judged on, put it back, or confirm such a change."""
        conn, said, page = self.shop.conn, self.explained(), self.shop.page(self.motor)
        what = self.random.choice(("figures", "rule", "back", "confirm"))
        if what == "confirm" and page.rests:
            change = self.random.choice(page.rests).change.id
            return lambda act: confirm(conn, act, self.motor, change, said.source)
        rule = self.random.choice(("earth.ohm", "insulation.never", "limit.share"))
        if what == "rule":
            text = self.random.choice(("5", "0.3", "0.01"))
            return lambda act: set_rule(
                conn, replace(act, explained=said), rule, scope="motor", scope_id="X-01", text=text, why="so"
            )
        if what == "back":
            return lambda act: clear_rule(conn, replace(act, explained=said), rule, "motor", "X-01")
        own = page.context.stated.own_words
        figures = ("limit_mm=4", "limit_mm=9", "rated_v=24", "rated_v=400", "bars=20", "bars=45")
        changed = dict([self.random.choice(figures).split("=")])
        return lambda act: change_figures(
            conn, replace(act, explained=said), self.motor, {**own, **changed}, page.context.motor.version
        )


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
    made = context.with_figures(stated, context.positions)
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
