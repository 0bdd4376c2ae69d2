"""A job reads its motor once, judges once, writes once.

What is heavy is done before the lock, and again where something moved.
"""

from collections.abc import Callable, Iterator, Sequence
from contextlib import closing
from datetime import date, datetime, timedelta
from pathlib import Path

import pytest

from conftest import Shop, new_motor, readings_on
from norvash.bench.fleet import PERSON, make_fleet
from norvash.errors import Conflict
from norvash.store.file.database import Connection, connect, transaction
from norvash.store.record import rules, standings
from norvash.store.record.policies import list_policies
from norvash.work.act.acting import Act
from norvash.work.motors import registering
from norvash.work.motors.changing_figures import change_figures
from norvash.work.motors.logging_use import log_use
from norvash.work.motors.motor_types import save_type
from norvash.work.motors.policing import add_policy, end_policy
from norvash.work.motors.registering import add_motor
from norvash.work.motors.ruling import set_rule
from norvash.work.on_sheet import measuring
from norvash.work.on_sheet.measuring import note, record
from norvash.work.on_sheet.new_set import fit_new_set
from norvash.work.on_sheet.opening import open_sheet
from norvash.work.on_sheet.renewing import renew_brushes
from norvash.work.on_sheet.sheets import enter
from norvash.work.on_sheet.signing import sign
from norvash.work.on_sheet.undoing import undo
from norvash.work.reading import standing
from norvash.work.reading.context import Context
from norvash.work.reading.loading import load
from norvash.work.reading.standing import Judged, catch_up, foresee, judge

HELD = ("begin", "begin immediate", "commit", "rollback")


def test_a_length_is_kept_in_few_statements_and_one_reading_of_the_motor(tmp_path: Path) -> None:
    now = datetime(2026, 11, 24, 9)
    motor = make_fleet(tmp_path / "fleet.db", 3, now)
    with closing(connect(tmp_path / "fleet.db", made=True)) as conn:
        sheet = open_sheet(conn, Act("open-one-sheet", PERSON, now), motor, kind="quick", counter="", safe=True)
        first = record(conn, Act("measure-it-once", PERSON, now), sheet, position=1, text="25.2")
        said: list[str] = []
        conn.set_trace_callback(lambda text: said.append(" ".join(text.split())))
        record(conn, Act("measure-it-again", PERSON, now), sheet, position=1, text="25.1", replaces=first)
        conn.set_trace_callback(None)
    assert len([s for s in said if s not in HELD]) <= 25
    assert not [s for s in said if "from brush_set" in s], "what the length before told is not read again"


def test_a_part_that_comes_off_costs_no_more_statements_than_a_length(tmp_path: Path) -> None:
    now = datetime(2026, 11, 24, 9)
    motor = make_fleet(tmp_path / "fleet.db", 3, now)
    with closing(connect(tmp_path / "fleet.db", made=True)) as conn:
        sheet = open_sheet(conn, Act("open-one-sheet", PERSON, now), motor, kind="full", counter="", safe=True)
        enter(conn, Act("waive-the-gate-here", PERSON, now), sheet, field_id="waive.safe", place=0, text="by the test")
        enter(conn, Act("take-the-first-off", PERSON, now), sheet, field_id="off-other", place=1, text="w1x20")
        said: list[str] = []
        conn.set_trace_callback(lambda text: said.append(" ".join(text.split())))
        enter(conn, Act("take-another-off", PERSON, now), sheet, field_id="off-other", place=2, text="5s.2x26")
        conn.set_trace_callback(None)
    assert len([s for s in said if s not in HELD]) <= 25


JOBS: dict[str, Callable[[Shop, str, str], str]] = {
    "enter a gap": lambda shop, _, sheet: enter(shop.conn, shop.act(), sheet, field_id="gap", place=1, text="9"),
    "enter insulation": lambda shop, _, sheet: enter(
        shop.conn, shop.act(), sheet, field_id="insulation-mohm", place=0, text="0.4"
    ),
    "note a finding": lambda shop, _, sheet: note(shop.conn, shop.act(), sheet, 1, "face.glazed"),
    "decide": lambda shop, _, sheet: enter(
        shop.conn, shop.act(), sheet, field_id="decide.face.glazed", place=1, text="done"
    ),
    "undo": lambda shop, _, sheet: undo(shop.conn, shop.act(), sheet),
    "log use": lambda shop, motor, _: log_use(shop.conn, shop.act(), motor, text="104"),
    "renew a brush": lambda shop, motor, _: renew_brushes(
        shop.conn, shop.act(), motor, counter="", reason="damaged", lengths={1: "21.9"}
    ),
    "sign": lambda shop, _, sheet: sign(shop.conn, shop.act(), sheet, "left so", service=True),
    "fit a set": lambda shop, motor, _: fit_new_set(
        shop.conn, shop.act(), motor, counter="", reason="planned", lengths={1: "22"}
    ),
    "add a policy": lambda shop, motor, _: add_policy(
        shop.conn, shop.act(), "motor", scope_id=motor, kind="interval", typed={"name": "often", "every": "90"}
    ),
    "end a policy": lambda shop, motor, _: end_policy(
        shop.conn, shop.act(), list_policies(shop.conn, motor, None)[0].id
    ),
    "change figures": lambda shop, motor, _: change_figures(
        shop.conn, shop.act(), motor, {"new_mm": "22", "limit_mm": "9"}, 1
    ),
}


def test_no_job_reads_its_motor_twice_nor_while_it_holds_the_lock(shop: Shop) -> None:
    motor = shop.motor()
    sheet = shop.look(motor)
    record(shop.conn, shop.act(), sheet, position=1, text="21.1")
    for name, job in JOBS.items():
        said: list[str] = []
        shop.later(minutes=3).conn.set_trace_callback(said.append)
        job(shop, motor, sheet)
        shop.conn.set_trace_callback(None)
        read = [i for i, text in enumerate(said) if "from brush_set s left join round" in text]
        lock = said.index("begin immediate")
        assert len(read) <= 1, name  # what the job before told is not read again
        assert all(at < lock for at in read), name


@pytest.fixture
def other(db: Path) -> Iterator[Connection]:
    with closing(connect(db, made=True)) as conn:
        yield conn


class Watched:
    """Forecasting, watched: whether the lock was held each time, and something that happens meanwhile, once."""

    def __init__(self, meanwhile: object = None) -> None:
        self.locked: list[bool] = []
        self.meanwhile = meanwhile

    def __call__(self, conn: Connection, contexts: Sequence[Context], today: date) -> list[Judged]:
        self.locked.append(conn.in_transaction)
        made = foresee(conn, contexts, today)
        if callable(self.meanwhile):
            done, self.meanwhile = self.meanwhile, None
            done()
        return made


def test_the_forecast_is_made_before_the_lock_is_taken(shop: Shop, monkeypatch: pytest.MonkeyPatch) -> None:
    sheet = shop.look(shop.motor())
    watched = Watched()
    monkeypatch.setattr(measuring, "foresee", watched)
    record(shop.conn, shop.act(), sheet, position=1, text="20.1")
    assert watched.locked == [False]


@pytest.mark.parametrize("moved", ["the motor", "the rulebook", "another motor"])
def test_what_has_moved_meanwhile_is_worked_out_anew_inside_the_lock(
    shop: Shop, other: Connection, monkeypatch: pytest.MonkeyPatch, moved: str
) -> None:
    motor, stranger = shop.motor(), shop.motor(tag="X-02")
    sheet = shop.later(weeks=3).look(motor)
    acts = iter(Act(f"meanwhile-{n}-other", "person-of-test", shop.now) for n in range(9))

    def meanwhile() -> None:
        if moved == "the rulebook":
            set_rule(other, next(acts), "stage.watch", scope="site", scope_id="", text="0.6", why="tried")
        else:
            log_use(other, next(acts), motor if moved == "the motor" else stranger, text="160")

    watched = Watched(meanwhile)
    monkeypatch.setattr(measuring, "foresee", watched)
    record(shop.conn, shop.act(), sheet, position=1, text="17.1")
    assert watched.locked == ([False] if moved == "another motor" else [False, True])
    kept = shop.conn.execute(
        "select f.ahead_json, s.sentence, s.rules_seq from forecast f join standing s using (motor_id) where"
        " motor_id = ?",
        (motor,),
    ).fetchone()
    with transaction(shop.conn):
        standing.refresh(shop.conn, motor, shop.now.date())
    again = shop.conn.execute(
        "select f.ahead_json, s.sentence, s.rules_seq from forecast f join standing s using (motor_id) where"
        " motor_id = ?",
        (motor,),
    ).fetchone()
    assert tuple(kept) == tuple(again)


def test_a_reading_made_meanwhile_is_still_a_conflict(
    shop: Shop, other: Connection, monkeypatch: pytest.MonkeyPatch
) -> None:
    sheet = shop.look(shop.motor())
    first = Act("meanwhile-measured", "person-of-test", shop.now)
    monkeypatch.setattr(measuring, "foresee", Watched(lambda: record(other, first, sheet, position=1, text="20.4")))
    with pytest.raises(Conflict, match=r"already measured A: 20\.4 mm"):
        record(shop.conn, shop.act(), sheet, position=1, text="20.1")
    assert [r.typed for r in readings_on(shop.conn, sheet).values()] == ["20.4"]
    assert shop.conn.in_transaction is False


def test_a_tag_that_is_taken_meanwhile_is_refused_at_its_field(
    shop: Shop, other: Connection, monkeypatch: pytest.MonkeyPatch
) -> None:
    first = Act("meanwhile-added", "person-of-test", shop.now)
    monkeypatch.setattr(registering, "foresee", Watched(lambda: add_motor(other, first, new_motor(tag="x 1"))))
    with pytest.raises(Conflict, match="The tag x 1 is in use") as caught:
        shop.motor(tag="X-1")
    assert caught.value.field == "tag"
    assert [m.tag for m in standings.find_motors(shop.conn, "", "", 9, 0)] == ["x 1"]


def test_after_a_rule_changes_motors_are_judged_in_steps_that_let_others_write(
    shop: Shop, other: Connection, monkeypatch: pytest.MonkeyPatch
) -> None:
    made = [shop.motor(tag=f"S-{n:02}") for n in range(12)]
    set_rule(shop.conn, shop.act(), "stage.watch", scope="site", scope_id="", text="0.7", why="tried")
    monkeypatch.setattr(standing, "_LOCKED_S", 0.0)
    steps: list[int] = []
    once = standing._keep_some

    def step(*given: object) -> object:
        kept, rest = once(*given)  # type: ignore[arg-type]
        steps.append(kept)
        if len(steps) == 3:  # somebody gets in between two steps, on a motor that waits
            log_use(
                other, Act("between-two-steps", "person-of-test", shop.now + timedelta(hours=3)), made[-1], text="101"
            )
        return kept, rest

    monkeypatch.setattr(standing, "_keep_some", step)
    assert_remembered_as_it_is(shop, made)
    assert catch_up(shop.conn, shop.now.date()) == 12 - 1
    assert_remembered_as_it_is(shop, made)
    assert set(steps) <= {0, 1}
    assert standings.list_stale(shop.conn, rules.rules_seq(shop.conn), "", 99) == []


def assert_remembered_as_it_is(shop: Shop, motors: list[str]) -> None:
    """What is remembered of motors is what is worked out from the record now, whoever wrote in between."""
    for motor in motors:
        for day in (shop.now.date(), shop.now.date() + timedelta(days=300)):
            told = judge(load(shop.conn, motor), day)
            assert judge(load(shop.conn, motor), day).found is told.found
            with transaction(shop.conn):
                anew = judge(load(shop.conn, motor), day)
            assert (told.found, told.said, told.context.ahead) == (anew.found, anew.said, anew.context.ahead)


def test_what_a_family_teaches_reaches_all_of_it_in_two_turns(shop: Shop, monkeypatch: pytest.MonkeyPatch) -> None:
    monkeypatch.setattr(standing, "_BATCH", 3)
    kind = save_type(
        shop.conn,
        shop.act(),
        "",
        name="Winch",
        motor_class="industrial",
        brushes="2",
        typed={"new_mm": "22", "limit_mm": "8"},
    )
    made = [shop.motor(tag=f"F-{n}", type_id=kind, new_length="", limit="") for n in range(8)]
    for number, motor in enumerate(made):
        shop.later(weeks=20).measure(motor, f"{600 + 40 * number}", "15", "15")
        shop.later(weeks=4).new_set(motor, f"{700 + 40 * number}")
    catch_up(shop.conn, shop.now.date())
    # A rule that says how much a set without readings teaches: all of the family is stale, and teaches anew.
    assert_remembered_as_it_is(shop, made)
    set_rule(shop.conn, shop.act(), "stage.watch", scope="site", scope_id="", text="0.5", why="tried")
    assert_remembered_as_it_is(shop, made)
    judged = catch_up(shop.conn, shop.now.date() + timedelta(days=1))
    assert_remembered_as_it_is(shop, made)
    assert judged <= 2 * len(made)
    assert standings.list_stale(shop.conn, rules.rules_seq(shop.conn), "", 99) == []
    before = shop.conn.execute("select motor_id, ahead_json from forecast order by 1").fetchall()
    with transaction(shop.conn):
        standing.refresh_all(shop.conn, made, shop.now.date() + timedelta(days=1))
    assert [tuple(r) for r in shop.conn.execute("select motor_id, ahead_json from forecast order by 1")] == [
        tuple(r) for r in before
    ]
