"""What a job told the record is what is read back from it, whatever was done in whatever order, by whomever."""

import json
from collections.abc import Callable
from contextlib import closing, suppress
from dataclasses import fields, replace
from datetime import datetime
from pathlib import Path

import pytest

from conftest import Shop
from hand import Hand
from norvash.core.motor.notes import Note, NotedRound, NotedSet
from norvash.core.record.record import Record
from norvash.core.record.said import Said, apply
from norvash.core.record.stated import Registered
from norvash.core.sheet.moved import Explained
from norvash.errors import NorvashError
from norvash.store.file.database import Connection, connect
from norvash.store.file.steps import steps
from norvash.store.record import people
from norvash.store.record.append import append
from norvash.work.act.acting import Act
from norvash.work.motors.changing_figures import state_figures
from norvash.work.motors.confirming import confirm
from norvash.work.motors.logging_use import log_use, take_back
from norvash.work.motors.moving import move, rename
from norvash.work.motors.policing import add_window
from norvash.work.motors.retiring import take_back_into_use
from norvash.work.motors.ruling import set_rule
from norvash.work.motors.stating import SinceTyped, state_since
from norvash.work.notes.noting import enter_notes
from norvash.work.notes.noting_tables import take_back_notes
from norvash.work.on_sheet.measuring import record
from norvash.work.on_sheet.opening import make_whole, open_sheet
from norvash.work.on_sheet.settling import settle_doubt, take_back_answer
from norvash.work.on_sheet.sheets import enter
from norvash.work.on_sheet.signing import add_to_signed, sign
from norvash.work.on_sheet.undoing import undo
from norvash.work.reading.context import Context
from norvash.work.reading.loading import load
from norvash.work.reading.standing import catch_up

STEPS = 100
DARK = {"name": "dark", "first_on": "2025-11-01", "last_on": "2025-11-09", "place": ""}


def as_read(shop: Shop, motor: str) -> Context:
    """Return a motor as somebody reads it who has seen nothing of it yet."""
    path = shop.conn.execute("select file from pragma_database_list where name = 'main'").fetchone()[0]
    with closing(connect(Path(path), made=True)) as conn:
        return load(conn, motor)


def check_told(shop: Shop, motor: str) -> None:
    """What the last job told is what is read back, in everything."""
    told, read = (plain(x) for x in (load(shop.conn, motor), as_read(shop, motor)))
    assert [name for name in read if told[name] != read[name]] == []


def check_restated(shop: Shop) -> None:
    """What was said last of anything that was said anew is what its row holds, as the step that began it reads rows."""
    said = newest(shop.conn)
    step = dict(steps())[18]
    shop.conn.execute("alter table restated rename to kept_restated")
    try:
        for statement in step.replace("restated_of", "again_of").split(";"):
            shop.conn.execute(statement)
        assert {k: said.get(k) for k in newest(shop.conn)} == newest(shop.conn)
    finally:
        shop.conn.execute("drop table restated")
        shop.conn.execute("alter table kept_restated rename to restated")


def newest(conn: Connection) -> dict[tuple[str, str], object]:
    """Return what was said last of each thing."""
    rows = conn.execute("select what, of_id, said_json from restated order by seq")
    return {(what, of_id): json.loads(said) for what, of_id, said in rows}


def plain(context: Context) -> dict[str, object]:
    """Return all that a motor was read as, by name, as far as it can be compared."""
    made = {f.name: getattr(context.record, f.name) for f in fields(context.record) if f.name != "stated"}
    made |= {f.name: getattr(context, f.name) for f in fields(context) if f.name not in ("record", "rules")}
    stated = context.stated
    return made | {
        "own": stated.own,
        "kept": stated.kept,
        "variant": context.rules.variant,
        "ruled": context.rules.book.overrides,
    }


class Kept:
    """Everything that was said of one motor, in order, beside where it is kept."""

    def __init__(self) -> None:
        self.said: list[Said] = []

    def __call__(self, conn: Connection, record: Record, *said: Said, act_id: str, at: datetime) -> None:
        append(conn, record, *said, act_id=act_id, at=at)
        self.said += said

    def folded(self) -> Record:
        """Return the record that they make, from the first one on."""
        first = self.said[0]
        assert isinstance(first, Registered)
        blank = Record(motor=first.motor, stated=first.stated, positions=(), written={})
        half = apply(blank, *self.said[: len(self.said) // 2])
        whole = apply(half, *self.said[len(self.said) // 2 :])
        assert plain_record(whole) == plain_record(apply(blank, *self.said))
        return whole


def plain_record(record: Record) -> dict[str, object]:
    """Return a record as far as people have said it: what becomes of findings is judged, and kept beside."""
    made = {f.name: getattr(record, f.name) for f in fields(record) if f.name not in ("stated", "lives", "row")}
    row = record.row
    signed = row is not None and row.signed_at
    return made | {"own": record.stated.own, "row": None if row is None else (row.id, row.number, row.kind, signed)}


@pytest.mark.parametrize("seed", [0, 1, 2, 3, 106, 110, 117, 121])
def test_what_is_told_is_what_is_read_back(shop: Shop, monkeypatch: pytest.MonkeyPatch, seed: int) -> None:
    kept = Kept()
    monkeypatch.setattr("norvash.work.reading.saying.append", kept)
    brushes = 4 if seed % 3 == 0 else 2
    motor = shop.motor(set_is_new=bool(seed % 2), brushes=str(brushes), figures={"rated_v": "400", "bars": "45"})
    hand, checked = Hand(shop, motor, seed + 50, brushes), 0
    for _ in range(STEPS):
        shop.later(days=hand.random.choice((0, 0, 1, 9)), minutes=hand.random.randrange(1, 300))
        job, act = hand.job(), shop.act()
        with suppress(NorvashError):
            job(act)
            checked += ("told", motor) in shop.conn.memory
        check_told(shop, motor)
    assert checked > STEPS / 5
    assert plain_record(kept.folded()) == plain_record(as_read(shop, motor).record)
    check_restated(shop)


# What is told by the jobs in any order above, or inside another entry only; each other kind of entry has its job below.
AT_RANDOM = {"BrushSeen", "BrushesRenewed", "SetFitted", "SightSaid", "ReadingStands"}


def test_every_other_job_tells_what_is_read_back(shop: Shop, monkeypatch: pytest.MonkeyPatch) -> None:
    """A kind of entry that has no job here is not known to be read back: CONTRIBUTING, “Add a kind of entry”."""
    kept = Kept()
    monkeypatch.setattr("norvash.work.reading.saying.append", kept)
    since = SinceTyped(day="March 2025", counter="100")
    motor = shop.motor(set_is_new=False, use_now="1340", since=since, new_length="22", limit="8")
    conn, made = shop.conn, dict[str, str]()

    def did(name: str, job: Callable[[Act], str]) -> None:
        made[name] = job(shop.later(days=4).act())
        check_told(shop, motor)

    noted: list[Note] = [
        NotedRound(line=1, day="2025-05-02", counter="500", readings={1: "19.5", 2: "19.9"}),
        NotedSet(line=2, ended="2025-02-20", fitted="2024-03-03", ended_counter="90", fitted_counter="60", why="worn"),
        NotedSet(
            line=3, ended="2024-03-02", fitted="2023-01-05", ended_counter="60", fitted_counter="0", lengths={1: "9"}
        ),
    ]
    did("notes", lambda act: enter_notes(conn, act, motor, noted))
    did(
        "since",
        lambda act: state_since(conn, act, motor, SinceTyped(day="2 March 2025", counter="90", lengths="nominal")),
    )
    did("no notes", lambda act: take_back_notes(conn, act, made["notes"]))
    did("use", lambda act: log_use(conn, act, motor, text="1400"))
    did("no use", lambda act: take_back(conn, act, motor))
    did("opened", lambda act: open_sheet(conn, act, motor, kind="quick", counter="1400", safe=True))
    sheet = made["opened"]
    did("length", lambda act: record(conn, act, sheet, position=1, text="23"))
    did("right", lambda act: settle_doubt(conn, act, made["length"], "right"))
    did("not right", lambda act: take_back_answer(conn, act, made["length"]))
    did("mistyped", lambda act: settle_doubt(conn, act, made["length"], "mistyped", "a slip"))
    did("whole", lambda act: make_whole(conn, act, sheet))
    did("figure", lambda act: state_figures(conn, act, sheet, {"bars": "45"}, {"bars": ""}))
    did("insulation", lambda act: enter(conn, act, sheet, field_id="insulation-mohm", place=0, text="0.4"))
    did("earth", lambda act: enter(conn, act, sheet, field_id="earth-ohm", place=0, text="0.4"))
    tag, read = load(conn, motor).motor.tag, Explained("read", "its plate")
    eased = {"scope": "motor", "scope_id": tag, "text": "0.5", "why": "so it is"}
    did("eased", lambda act: set_rule(conn, replace(act, explained=read), "earth.ohm", **eased))
    people.add_person(conn, people.Person("person-2", "Maud Celliers"), shop.now)
    moved = load(conn, motor).moved[0].id
    did("confirmed", lambda act: confirm(conn, replace(act, person_id="person-2"), motor, moved))
    did("one more", lambda act: record(conn, act, sheet, position=2, text="21"))
    did("none more", lambda act: undo(conn, act, sheet))
    did("shortest", lambda act: enter(conn, act, sheet, field_id="shortest-only", place=0, text="yes"))
    did("cut", lambda act: enter(conn, act, sheet, field_id="holder-set", place=0, text=""))
    did("outcome", lambda act: enter(conn, act, sheet, field_id="outcome", place=0, text="retired"))
    did("signed", lambda act: sign(conn, act, sheet, "for the test"))
    did("added", lambda act: add_to_signed(conn, act, sheet, "one word more"))
    did("back", lambda act: take_back_into_use(conn, act, motor, "needed after all"))
    did("moved", lambda act: move(conn, act, motor, place="the attic"))
    did("named", lambda act: rename(conn, act, motor, name="Attic winch"))
    did("window", lambda act: add_window(conn, act, DARK))
    check_restated(shop)
    did("rule", lambda act: set_rule(conn, act, "stage.watch", scope="site", scope_id="", text="0.6", why="tried"))
    told = {type(said).__name__ for said in kept.said}
    assert {kind.__name__ for kind in Said.__subclasses__()} - AT_RANDOM - told == set()


def test_what_is_judged_again_beside_a_job_is_not_kept_in_memory(shop: Shop) -> None:
    """Ten thousand motors were, once a rule had changed."""
    for n in range(5):
        shop.motor(tag=f"J-{n}")
    set_rule(shop.conn, shop.act(), "stage.watch", scope="site", scope_id="", text="0.6", why="tried")
    shop.conn.memory.clear()
    assert catch_up(shop.conn, shop.now.date()) == 5
    assert shop.conn.told is None
    assert not [key for key in shop.conn.memory if isinstance(key, tuple)]
