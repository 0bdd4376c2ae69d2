"""Whole visits as tables of entries: what becomes of every finding, what the line says, and as what it is signed."""

from collections.abc import Iterable
from dataclasses import dataclass
from datetime import timedelta
from typing import Any

import pytest

from bench_sheet import Bench
from conftest import Shop
from norvash.core.sheet.part import PARTS
from norvash.core.stages.gates import SAFE, SERVICE, usual_method
from norvash.errors import Conflict, InputError, NeedsAnswer, NorvashError
from norvash.store.file.database import transaction
from norvash.store.record import entries, people
from norvash.work.act.acting import Act
from norvash.work.on_sheet.opening import make_whole
from norvash.work.on_sheet.settling_sight import settle_sight
from norvash.work.on_sheet.sheets import enter
from norvash.work.on_sheet.sighting import Seeing
from norvash.work.reading.loading import load
from norvash.work.told.sheet import sheet_told
from norvash.work.told.visit import visit_told

# One entry: a field with its text, at a place, with what belongs to it.
Row = tuple[str, str] | tuple[str, str, int] | tuple[str, str, int, dict[str, str]]


@dataclass
class Visit:
    """A visit that is walked row by row; a set goes in by its lengths, what is seen on a brush by its place."""

    bench: Bench

    def walk(self, *rows: Row) -> "Visit":
        for field, text, *rest in rows:
            place = int(rest[0]) if rest else 0  # type: ignore[call-overload]
            more: dict[str, str] = rest[1] if len(rest) > 1 else {}  # type: ignore[assignment]
            if field == "see":
                self.bench.see(place, text)
            elif field == "lengths":
                self.bench.measure(*text.split(), sight=more.get("sight", "found"))
            elif field == "set":
                self.bench.fit(*(text.split() or ["", ""]), also=tuple(more.get("also", "").split()))
            else:
                self.bench.put(field, text, place, **more)
        return self

    def proven(self) -> "Visit":
        """Pass the last gates and run it as it should."""
        self.bench.ready()
        self.bench.run(run_rpm="1440", run_a="6.2")
        return self

    def gate(self) -> "Visit":
        """Tick the gate back to service."""
        context = load(self.bench.shop.conn, self.bench.motor)
        return self.walk(*((SERVICE.step(s.id).id, "yes") for s in SERVICE.steps(context.facts, context.rules)))

    def sign(self, why: str = "") -> dict[str, object]:
        self.gate()
        self.bench.sign(why)
        return dict(self.bench.page.row.signed)


@pytest.fixture
def visit(shop: Shop) -> Visit:
    return visit_to(shop, shop.motor(figures={"force_nominal_n": "8.9", "rated_a": "8"}))


def visit_to(shop: Shop, motor: str) -> Visit:
    bench = Bench(shop, motor)
    context = load(shop.conn, motor)
    for step in SAFE.steps(context.facts, context.rules):
        bench.put(SAFE.step(step.id).id, "yes")
    bench.put("safe.method", usual_method(context.facts))
    return Visit(bench)


def grade(visit: Visit) -> str | None:
    return visit.bench.page.found.grade


def chances(visit: Visit) -> dict[str, float]:
    cause = visit.bench.page.cause
    assert cause is not None
    return {r.cause.id: r.chance for r in cause.ranked}


def told(signed: dict[str, object]) -> dict[tuple[int, str], str]:
    found: Iterable[dict[str, object]] = signed["told"]["findings"]  # type: ignore[index]
    return {(int(str(f["position"])), str(f["finding"])): str(f["state"]) for f in found}


def test_a_dead_spring_is_renewed_and_measured_again(visit: Visit) -> None:
    visit.walk(("lengths", "9.2 8.9"), ("force", "1.1", 1), ("force", "8.9", 2), ("see", "face.burnt", 1))
    dead = visit.bench.life("spring.dead", 1)
    assert (dead.state, dead.steps) == ("open", 1)
    visit.walk(("decide.spring.dead", "now", 1), ("decide.set.worn", "now"), ("decide.face.burnt", "now", 1))
    visit.walk(("set", "22 22.1", 0, {"also": "springs"}))
    assert visit.bench.states == {
        (0, "set.worn"): "proven",
        (1, "face.burnt"): "proven",
        (1, "spring.dead"): "done not proven",
    }
    assert grade(visit) == "stop"
    assert visit.bench.page.said.act == "Measure again: spring force."
    visit.walk(("force", "8.8", 1), ("force", "8.9", 2))
    assert visit.bench.states[1, "spring.dead"] == "proven"
    assert grade(visit) == "fit"
    signed = visit.proven().walk(("outcome", "service")).sign()
    assert (signed["open"], signed["signed_as"]) == ([], "certificate")
    assert set(told(signed).values()) == {"proven"}
    assert signed["told"]["set"]["old_lengths_mm"] == {"A": 9.2, "B": 8.9}  # type: ignore[index]
    assert signed["told"]["run"] == "1 440 r/min at 6.2 A".replace(" ", "\u202f", 1)  # type: ignore[index]
    bench = visit.bench
    plain = sheet_told(bench.shop.conn, bench.page.row.id, bench.shop.now.date())
    forces = [(e["place"], e["sight"], e["value_si"]) for e in plain["entries"] if e["field"] == "force"]  # type: ignore[attr-defined]
    assert sorted(forces) == [(1, "found", 1.1), (1, "left", 8.8), (2, "found", 8.9), (2, "left", 8.9)]
    lengths = [(r["label"], r["sight"], r["length_mm"]) for r in plain["readings"]]  # type: ignore[attr-defined]
    assert sorted(lengths) == [("A", "found", 9.2), ("A", "left", 22), ("B", "found", 8.9), ("B", "left", 22.1)]
    assert (plain["signed_as"], plain["grade"], plain["visit"]) == ("certificate", "fit", signed["told"])


def test_an_earth_that_fails_is_mended_and_measured(visit: Visit) -> None:
    visit.walk(("lengths", "20.6 20.4"), ("earth-ohm", "1000 Ω"))
    assert grade(visit) == "stop"
    visit.walk(("decide.earth.open", "done"))  # as an older page says it
    assert visit.bench.states[0, "earth.open"] == "done not proven"
    assert grade(visit) == "stop"
    visit.walk(("outcome", "service")).gate()
    with pytest.raises(Conflict, match=r"protective earth 1000 Ω, allowed 0\.1, done and not proven"):
        visit.walk(("run-a", "6"))
    with pytest.raises(InputError, match="Done, not proven: Windings and magnets, protective earth 1000 Ω"):
        visit.bench.sign()
    visit.walk(("earth-ohm", "0.4"))
    again = visit.bench.life("earth.open")
    assert (again.state, again.measured_again) == ("open", True)
    with pytest.raises(NeedsAnswer, match="slip of the pen"):
        visit.walk(("earth-ohm", "0.05"))
    # Another value without any work since is no measurement after work.
    with pytest.raises(Conflict, match="Nothing was done here since"):
        visit.walk(("earth-ohm", "0.05", 0, {"answer": "again"}))
    visit.walk(("task.earth", "yes"), ("earth-ohm", "0.05"))
    assert visit.bench.states[0, "earth.open"] == "proven"
    signed = visit.proven().sign()
    assert (signed["signed_as"], told(signed)) == ("certificate", {(0, "earth.open"): "proven"})


def test_a_loose_bar_with_brushes_that_nobody_has_measured(visit: Visit, shop: Shop) -> None:
    visit.walk(("seen.commutator.raised", "yes"))
    page = visit.bench.page
    assert (page.found.grade, page.motor_word, page.said.flags) == (
        "stop",
        "Out of service",
        ("commutator", "not measured", "limit estimated")
        if page.found.limit.estimated
        else ("commutator", "not measured"),
    )
    assert "a raised or loose bar" in page.said.sentence
    with pytest.raises(InputError, match="is not waived as a whole"):
        visit.walk(("waive.power", "only to hear it"))
    with pytest.raises(Conflict, match="a raised or loose bar"):
        visit.walk(("run-a", "2"))
    with pytest.raises(InputError, match="not dropped"):
        visit.walk(("decide.commutator.raised", "dropped", 0, {"why": "no time"}))
    signed = visit.walk(("outcome", "out")).sign("sent for a new armature")
    assert signed["signed_as"] == "out"
    motor = shop.page(visit.bench.motor)
    assert (motor.found.grade, [x.finding.id for x in motor.standing]) == ("stop", ["commutator.raised"])


def test_what_was_put_off_is_found_again_after_a_new_set(visit: Visit, shop: Shop) -> None:
    day = f"{shop.now + timedelta(days=40):%Y-%m-%d}"
    put_off = {"who": "Bram Aldous", "day": day}
    visit.walk(("lengths", "9.2 8.9"), ("see", "brush.sticky", 2), ("see", "insulator.cracked", 1))
    visit.walk(("decide.brush.sticky", "deferred", 2, put_off))
    for decided, words in (("deferred", "that is not put off"), ("dropped", "that is not dropped")):
        with pytest.raises(InputError, match=words):
            visit.walk(("decide.insulator.cracked", decided, 1, {**put_off, "why": "customer waits"}))
    visit.walk(("decide.insulator.cracked", "waits", 1, {"part": "insulator LP-I 4", "day": day}))
    visit.walk(("set", "22 nominal"), ("outcome", "out")).sign("waits for the insulator")
    page = visit.bench.page
    assert {x.stage.id for x in page.rail if x.state == "done"} >= {"safe", "brushes", "decide", "sign"}
    assert {x.state for x in page.rail} == {"done", "not done"}
    shop.later(weeks=2).new_set(visit.bench.motor, "", "22", "22", reason="damaged")
    motor = shop.page(visit.bench.motor)
    # That it was not closed up is a note while it waits; it opens with the next call.
    assert {x.finding.id: (x.state, x.finding.grade) for x in motor.standing} == {
        "insulator.cracked": ("open", "stop"),
        "brush.sticky": ("put off", "plan"),
        "signed.close": ("open", "watch"),
    }
    assert motor.found.grade == "stop"
    assert [x.waits_for.part for x in motor.standing if x.waits_for] == ["insulator LP-I 4"]
    again = visit_to(shop.later(weeks=1), visit.bench.motor)
    lives = {x.finding.id: x.finding.grade for x in again.bench.page.visit.lives}
    assert lives == {"insulator.cracked": "stop", "signed.close": "change", "brush.sticky": "plan"}
    again.walk(("lengths", "21.9 21.9"), ("task.insulator", "yes", 0, {"minutes": "20", "parts": "LP-I 4"}))
    again.walk(("gone.insulator.cracked", "yes", 1), ("gone.brush.sticky", "yes", 2))
    signed = again.proven().walk(("outcome", "service")).sign()
    assert (signed["signed_as"], set(told(signed).values())) == ("certificate", {"proven"})
    assert shop.page(visit.bench.motor).standing == ()


def test_a_complaint_that_stays_after_the_first_repair(visit: Visit) -> None:
    visit.walk(("complaint", "dead, came back when it was tapped"), ("sign.start", "dead"), ("sign.tapped", "yes"))
    page = visit.bench.page
    assert (page.found.grade, page.motor_word, page.said.word) == ("change", "Mend now", "Cause sought")
    visit.walk(("lengths", "20.6 20.4"), ("see", "terminal.poor", 1), ("decide.terminal.poor", "now", 1))
    visit.walk(("task.terminal", "yes"), ("gone.terminal.poor", "yes", 1))
    assert chances(visit)["terminal"] > 0.05
    visit.proven().walk(("outcome", "service"))
    assert "Not said: whether the complaint is gone" in [h.words for h in visit.bench.page.holds]
    visit.walk(("complaint-now", "still"))
    assert chances(visit).get("terminal", 0.0) == 0.0
    assert visit.bench.page.said.word == "Cause sought"
    visit.walk(("see", "brush.seized", 2))
    visit.walk(("task.free-holder", "yes"), ("gone.brush.seized", "yes", 2))
    visit.bench.measure("", "20.4", sight="left")
    with pytest.raises(Conflict, match="tested before it was closed for the last time"):
        visit.walk(("complaint-now", "this"))
    visit.bench.ready()
    visit.walk(("complaint-now", "this"))
    assert "Not said: what it was" in [h.words for h in visit.bench.page.holds]
    visit.walk(("cause-was", "stuck"))
    assert visit.bench.page.said.act.startswith("Brush stuck in its holder; terminals cleaned and retensioned")
    assert [h.words for h in visit.bench.page.holds if "the proof run was before the last work" in h.words]
    assert "runs as it should" not in visit.bench.page.said.act
    # Neither the tick nor a figure alone is a run after the work.
    visit.walk(("bump", "right"), ("sparks", "1"), ("run-a", "6.1"))
    assert "runs as it should" not in visit.bench.page.said.act
    visit.walk(("ran", "yes"))
    assert "runs as it should: 6.1 A." in visit.bench.page.said.act
    conn, motor_class = visit.bench.shop.conn, visit.bench.page.context.motor.motor_class
    assert entries.count_causes(conn, motor_class) == {}
    signed = visit.sign()
    assert entries.count_causes(conn, motor_class) == {"stuck": 1}
    assert (signed["open"], signed["signed_as"]) == ([], "certificate")
    complaint = signed["told"]["complaint"]  # type: ignore[index]
    assert (complaint["answer"], complaint["cause"]) == ("gone: this was it", "brush stuck in its holder")


def test_a_slip_of_the_pen_keeps_the_old_value_its_name_and_the_reason(visit: Visit, shop: Shop) -> None:
    visit.walk(("lengths", "20.6 20.4"), ("gap", "0.2", 1))
    assert visit.bench.states == {(1, "gap.narrow"): "open"}
    with pytest.raises(NeedsAnswer) as asked:
        visit.walk(("gap", "2", 1))
    assert (asked.value.field, [c[0] for c in asked.value.choices]) == ("value", ["mistyped", "second"])
    with pytest.raises(Conflict, match="not a measurement after work"):
        visit.walk(("gap", "2", 1, {"answer": "again"}))
    visit.walk(("gap", "2", 1, {"answer": "mistyped"}))
    assert visit.bench.states == {(1, "gap.narrow"): "withdrawn"}
    slips = entries.list_slips(shop.conn, visit.bench.id)
    assert [(f, p, old.typed, old.person, new.slip) for f, p, old, new in slips] == [
        ("gap", 1, "0.2", "Ines Torvald", True)
    ]
    visit.bench.undo()
    assert visit.bench.states == {(1, "gap.narrow"): "open"}
    visit.walk(("gap", "2", 1, {"answer": "mistyped"}))
    visit.proven().walk(("outcome", "service"))
    assert [h.words for h in visit.bench.page.holds if "withdrawn" in h.words]
    visit.walk(("gap", "2.05", 1)).proven()  # its place is read once more
    signed = visit.sign()
    (slip,) = signed["told"]["slips"]  # type: ignore[index]
    assert (slip["place"], slip["words"], slip["by"]) == (
        "Brush A",
        "holder gap 0.2 mm, 1.6 mm at least",
        "Ines Torvald",
    )
    assert slip["why"] == "the wrong line"
    assert (told(signed), shop.page(visit.bench.motor).standing) == ({}, ())


def test_one_ticks_the_task_while_the_value_of_the_other_waits(visit: Visit, shop: Shop) -> None:
    """What waited is kept as typed and asked about; who entered it stays."""
    with transaction(shop.conn):
        people.add_person(shop.conn, people.Person("person-two", "Maud Celliers"), shop.now)
    visit.walk(("lengths", "20.6 20.4"), ("gap", "0.2", 1), ("decide.gap.narrow", "now", 1))

    def waited(text: str, **seen: object) -> str:
        act = Act(f"waited-{shop.later(minutes=1).now:%H%M%S}-{text}", "person-two", shop.now)
        there = load(shop.conn, visit.bench.motor).written.get(("gap", 1, "left"))
        return enter(
            shop.conn,
            act,
            visit.bench.id,
            field_id="gap",
            place=1,
            text=text,
            replaces=there.id if there else "",
            seeing=Seeing(**seen),  # type: ignore[arg-type]
        )

    visit.walk(("task.gap", "yes", 0, {"minutes": "10"}))
    for typed, seen in (("2.1", {"sight": "found", "touched": False}), ("2.2", {})):
        kept = waited(typed, **seen)
        written = load(shop.conn, visit.bench.motor).written
        assert (written["gap", 1, "asked"].typed, written["gap", 1, "found"].typed) == (typed, "0.2")
        assert visit.bench.states == {(1, "gap.narrow"): "done not proven"}
        assert f"“{typed}”, Maud Celliers" in " ".join(h.words for h in visit.bench.page.holds)
    with pytest.raises(Conflict, match="has touched this place"):
        waited("2.3", program=True)
    settle_sight(shop.conn, shop.later(minutes=1).act(), visit.bench.id, kept, "left")
    # One that stands there twice already has its way out too.
    twice = waited("2.4", sight="found", touched=False)
    for sight in ("found", "left"):
        with pytest.raises(Conflict, match="stands there already"):
            settle_sight(shop.conn, shop.act(), visit.bench.id, twice, sight)
    settle_sight(shop.conn, shop.act(), visit.bench.id, twice, "neither")
    assert ("gap", 1, "asked") not in load(shop.conn, visit.bench.motor).written
    with pytest.raises(Conflict, match="not asked about"):
        settle_sight(shop.conn, shop.act(), visit.bench.id, kept, "neither")
    left = load(shop.conn, visit.bench.motor).written["gap", 1, "left"]
    assert (left.typed, left.person) == ("2.2", "Maud Celliers")
    assert visit.bench.states == {(1, "gap.narrow"): "proven"}
    # Undo does not take the work away under the value of somebody else; taken back where it stands, the sheet asks.
    with pytest.raises(Conflict, match=r"“2\.2” by Maud Celliers was entered as left after it"):
        visit.bench.undo()
    visit.bench.put("task.gap", "")
    assert visit.bench.states == {(1, "gap.narrow"): "open"}
    assert "As left, but nothing was done there: “2.2”" in [h.words for h in visit.bench.page.holds]
    with pytest.raises(NeedsAnswer, match="it is as found"):
        waited("2.4", sight="left", program=True)
    visit.walk(("task.gap", "yes"))
    assert visit.bench.states == {(1, "gap.narrow"): "proven"}


REFUSED: dict[str, tuple[Row, str]] = {
    "a task that nothing asks for": (("task.springs", "yes"), "Nothing found here asks for"),
    "a look at what a figure found": (("gone.gap.narrow", "yes", 1), "came from a figure"),
    "a look before any work": (("gone.terminal.poor", "yes", 2), "nothing was done to it yet"),
    "a look at nothing": (("gone.brush.oily", "yes", 1), "Nothing like that stands here"),
    "a day in the past": (("decide.gap.narrow", "deferred", 1, {"who": "I", "day": "2020-01-01"}), "has passed"),
    "dropped without a reason": (("decide.gap.narrow", "dropped", 1), "Something is missing"),
    "a stop that is dropped": (("decide.lead.taut", "dropped", 1, {"why": "no time"}), "that is not dropped"),
    "work that has a record": (("task.clean-track", "yes"), "a record of its own"),
}


@pytest.mark.parametrize(("row", "says"), REFUSED.values(), ids=REFUSED)
def test_what_would_make_the_sheet_lie_is_refused(visit: Visit, row: Row, says: str) -> None:
    visit.walk(("lengths", "20.6 20.4"), ("gap", "0.2", 1), ("see", "terminal.poor", 2))
    visit.walk(("seen.commutator.black", "yes"))
    before = visit.bench.states
    with pytest.raises(NorvashError, match=says):
        visit.walk(row)
    assert visit.bench.states == before


def test_a_task_that_only_looks_touches_nothing(visit: Visit) -> None:
    visit.walk(("lengths", "20.6 20.4"), ("see", "face.burnt", 1), ("gap", "0.2", 1), ("task.seek", "yes"))
    context = load(visit.bench.shop.conn, visit.bench.motor)
    assert {sight for _, _, sight in context.written} == {"found"}
    assert visit.bench.states == {(1, "gap.narrow"): "open", (1, "face.burnt"): "done not proven"}


def test_a_seized_brush_proves_nothing_by_its_length(visit: Visit) -> None:
    visit.walk(("lengths", "20.6 9.1"))
    assert grade(visit) == "change"
    visit.walk(("see", "brush.seized", 2))
    page = visit.bench.page
    held = page.found.brushes[1]
    assert (held.usable, page.found.missing, page.found.days.limit_on) == (None, ("B",), None)
    assert {(x.at, x.state) for x in page.found.lives} >= {((2, "brush.seized"), "open")}
    visit.walk(("task.free-holder", "yes"))
    visit.bench.measure("", "19.4", sight="left")
    freed = visit.bench.page.found
    assert not freed.missing
    assert freed.brushes[1].usable == pytest.approx(11.4 / 14)


def test_a_quick_look_claims_nothing_clean_and_goes_on_as_a_whole_sheet(shop: Shop) -> None:
    motor = shop.motor()
    sheet = shop.look(motor)
    bench = Bench(shop, motor)
    assert bench.id == sheet
    bench.measure("20.6", "20.4")
    bench.see(1, "terminal.poor")
    with pytest.raises(InputError, match="Found, and open: Brush A, terminal"):
        bench.sign()
    make_whole(shop.conn, shop.later(minutes=1).act(), sheet)
    assert bench.page.row.kind == "full"
    shop.sign(sheet)
    assert bench.page.row.signed["signed_as"] == "not clean"
    assert [x.state for x in shop.page(motor).standing] == ["open"]


def test_a_worn_set_that_went_on_is_said_as_it_is_worn_now(shop: Shop) -> None:
    motor = shop.motor()
    said = []
    for counter, length in (("400", "11"), ("440", "9"), ("440", "11.2")):
        shop.later(weeks=2).log(motor, counter)
        visit = visit_to(shop, motor)
        visit.walk(("lengths", f"{length} {length}"), ("outcome", "deferred"))
        (life,) = (x for x in visit.bench.page.visit.lives if x.finding.id == "set.worn")
        said.append((life.finding.grade, life.finding.words))
        visit.sign("the set is on order")
    # What was worn to its limit is not less worn because it is measured longer.
    assert said == [("plan", "worn: plan the change"), ("change", "worn: change now"), ("change", "worn: change now")]


def test_a_part_is_not_looked_at_until_somebody_looked_or_measured(visit: Visit) -> None:
    """A length says nothing of springs, the force of one spring nothing of the others, a remark nothing at all."""
    names = {p.id: p.words for p in PARTS}

    def unseen() -> set[str]:
        told_now: dict[str, Any] = visit_told(visit.bench.shop.conn, visit.bench.page)
        return set(told_now["not_looked_at"])

    assert unseen() == set(names.values())
    visit.walk(("lengths", "20.6 20.4"), ("remark.commutator", "no time today"), ("force", "8.9", 1))
    assert unseen() == set(names.values()) - {names["brushes"]}
    assert "done" not in {x.state for x in visit.bench.page.rail if x.stage.id == "commutator"}
    visit.walk(("force", "8.9", 2), ("looked.holders", "yes"), ("run-out", "0.01 mm\n0.02 mm\n0.01 mm"))
    assert unseen() == {names["windings"], names["drive"]}
    signed = visit.walk(("outcome", "out")).sign("no time for the rest")
    assert set(signed["told"]["not_looked_at"]) == {names["windings"], names["drive"]}  # type: ignore[index]


@pytest.mark.parametrize(
    ("lengths", "said"),
    [
        ("21.9 22.1", "the new brushes have lengths of their own"),
        ("nominal nominal", "new brushes are in, their lengths taken from the part and not measured"),
    ],
)
def test_a_length_from_the_part_is_not_called_measured(visit: Visit, lengths: str, said: str) -> None:
    visit.walk(("lengths", "8.4 8.3"), ("set", lengths), ("outcome", "out"))
    signed = visit.sign("waits for its machine")
    found: list[dict[str, object]] = signed["told"]["findings"]  # type: ignore[index]
    worn = next(f for f in found if f["finding"] == "set.worn")
    assert (worn["state"], worn["proven_by"]) == ("proven", [said])
