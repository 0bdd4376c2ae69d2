"""The ground of a judgement is not moved without a word: what would end is listed and asked, rests, and comes back."""

from dataclasses import replace

import pytest

from at_work import Work, at_work
from bench_sheet import Bench
from conftest import Shop
from norvash.core.judging.signing import signed_as
from norvash.core.sheet.ground import said as ground_said
from norvash.core.sheet.moved import NOT_EXPLAINED, Explained
from norvash.core.visit.barring import bars, gone_words, withdrawn
from norvash.errors import Conflict, InputError, NeedsAnswer
from norvash.store.access import members as access
from norvash.store.file.database import transaction
from norvash.store.file.steps import steps
from norvash.store.record import motors, people
from norvash.work.access.members import add_member, give_role
from norvash.work.act.acting import Act, FromFile
from norvash.work.motors.changing_figures import change_figures
from norvash.work.motors.confirming import confirm
from norvash.work.motors.motor_types import save_type
from norvash.work.motors.ruling import clear_rule, set_rule
from norvash.work.on_sheet.sheets import enter
from norvash.work.on_sheet.sighting import AGAIN, Seeing
from norvash.work.reading.loading import load
from run_cases import figures_of

READ = Explained("read", "its plate")
OURS = Explained("ours", "we know better")
# What is measured on which motor, what that finds, and what moves the ground of it: a figure, or a rule.
LIES = {
    "the limit": ("tool", "tool new_mm=22 limit_mm=9", "8.5 8.6", "", "set.worn", "limit_mm=1"),
    "the volts of the plate": (
        "industrial",
        "rated_v=600 construction=shunt",
        "20 20",
        "parted-capacitors=yes insulation-mohm=1.3 insulation-c=40",
        "insulation.low",
        "rated_v=240",
    ),
    "a burn on fewer bars": ("tool", "tool bars=12", "20 20", "bar-map=burnt_11", "commutator.two-bars", "bars=10"),
    "a load that hangs": (
        "industrial",
        "shunt hangs_load=yes",
        "20 20",
        "seen.bearing.spun=yes",
        "bearing.spun",
        "hangs_load=no",
    ),
    "a rule for the motor": (
        "tool",
        "tool protection=protective_earth",
        "20 20",
        "earth-ohm=0.4",
        "earth.open",
        "rule:earth.ohm=0.5",
    ),
    "insulation by rule": (
        "tool",
        "tool protection=double_insulated",
        "20 20",
        "insulation-mohm=1.4 insulation-c=40",
        "insulation.low",
        "rule:insulation.double=0.5",
    ),
}


def another(shop: Shop) -> Act:
    people.add_person(shop.conn, people.Person("person-2", "Maud Celliers"), shop.now)
    return replace(shop.later(minutes=1).act(), person_id="person-2")


def move(work: Work, change: str, explained: Explained | None = None) -> None:
    """Change a figure of the motor, or a rule for it."""
    shop, motor = work.shop.later(minutes=1), work.bench.motor
    act = replace(shop.act(), explained=explained or NOT_EXPLAINED)
    name, _, value = change.removeprefix("rule:").partition("=")
    if change.startswith("rule:"):
        tag = load(shop.conn, motor).motor.tag
        if value:
            set_rule(shop.conn, act, name, scope="motor", scope_id=tag, text=value, why="so it is")
        else:
            clear_rule(shop.conn, act, name, "motor", tag)
        return
    typed = {n: f"{v:g}" if isinstance(v, float) else v for n, v in motors.motor_figures(shop.conn, motor).items()}
    version = motors.fetch_motor(shop.conn, motor).version
    change_figures(shop.conn, act, motor, {**typed, name: value}, version)


def back_of(work: Work, change: str) -> str:
    """Return the change that puts back what stood."""
    name = change.removeprefix("rule:").partition("=")[0]
    if change.startswith("rule:"):
        return f"rule:{name}="
    value = motors.motor_figures(work.shop.conn, work.bench.motor).get(name, "")
    return f"{name}={value:g}" if isinstance(value, float) else f"{name}={value}"


def lied(shop: Shop, lie: str) -> tuple[Work, str, str]:
    motor_class, figures, lengths, entries, finding, change = LIES[lie]
    work = at_work(shop, motor_class, figures, lengths).put(entries)
    return work, finding, change.replace("_", " ") if change.startswith("protection") else change


@pytest.mark.parametrize("lie", LIES)
def test_what_would_end_is_listed_rests_and_comes_back(shop: Shop, lie: str) -> None:
    work, finding, change = lied(shop, lie)
    assert work.bench.life(finding).stands
    grade, back = work.bench.life(finding).finding.grade, back_of(work, change)
    with pytest.raises(NeedsAnswer) as asked:
        move(work, change)
    listed = [x for x in asked.value.listed if x["grade"] == grade]
    assert listed, asked.value.listed
    assert "ours" in dict(asked.value.choices)
    assert work.bench.life(finding).stands
    with pytest.raises(NeedsAnswer):
        move(work, change, Explained("read", " "))
    with pytest.raises(NeedsAnswer, match="changed meanwhile"):
        move(work, change, Explained("read", "its plate", "another list"))
    move(work, change, Explained("read", "its plate", asked.value.mark))
    life = work.bench.life(finding)
    graver = life.graver
    assert graver is not None
    assert (life.state == "withdrawn" or life.finding.grade != grade, graver.grade) == (True, grade)
    assert [m.source for m in life.moves] == ["its plate"]
    if grade in ("change", "stop"):
        assert "once more" in bars(life)
    move(work, back)
    life = work.bench.life(finding)
    assert (life.stands, life.finding.grade, life.graver, life.moves) == (True, grade, None, ())


@pytest.mark.parametrize("lie", [x for x in LIES if x not in ("the limit", "a load that hangs")])
def test_what_we_decide_ends_no_stop(shop: Shop, lie: str) -> None:
    work, finding, change = lied(shop, lie)
    stop = work.bench.life(finding).finding
    move(work, change, OURS)
    life = work.bench.life(finding)
    if stop.grade == "stop":
        assert (life.stands, life.finding) == (True, stop)
    else:
        assert "own decision" in bars(life)


def test_what_we_decide_ends_no_stop_in_the_line_either(shop: Shop) -> None:
    """Also of the carbon, which is judged on the figures of today, on the sheet and after its signature."""
    work, _, change = lied(shop, "the limit")
    move(work, change, OURS)
    page = shop.page(work.bench.motor)
    assert (page.found.grade, page.said.act) == ("stop", "Out of service: this set must not run again.")
    assert any("that ends no stop" in r.text for r in page.said.reasons)
    work.put("outcome=out").bench.sign("no time")
    assert shop.page(work.bench.motor).found.grade == "stop"


def test_the_same_bad_value_on_a_second_sheet_is_not_proven(shop: Shop) -> None:
    work, finding, change = lied(shop, "a rule for the motor")
    move(work, change, READ)
    work.put("outcome=out")
    work.bench.sign("no time")
    assert load(shop.conn, work.bench.motor).lives[-1].withdrawn is not None
    later = Work(shop.later(days=1), Bench(shop, work.bench.motor)).safe()
    later.bench.measure("20", "20")
    later.put("earth-ohm=0.4")
    life = later.bench.life(finding)
    assert (life.state, bool(life.moves)) == ("withdrawn", True)
    later.put("earth-ohm=0.05")
    assert later.bench.life(finding).state == "proven"


def test_put_back_after_the_signature_it_is_back(shop: Shop) -> None:
    work, finding, change = lied(shop, "a rule for the motor")
    move(work, change, READ)
    work.put("outcome=out")
    work.bench.sign("no time")
    told = work.told
    assert shop.page(work.bench.motor).found.grade != "stop"
    move(work, "rule:earth.ohm=")
    page = shop.page(work.bench.motor)
    assert [(x.finding.id, x.state) for x in page.standing] == [(finding, "open")]
    assert page.found.grade in ("change", "stop")
    assert work.told == told  # signed words stay


def test_somebody_else_confirms_it_or_its_place_is_read_once_more(shop: Shop) -> None:
    work, finding, change = lied(shop, "a rule for the motor")
    move(work, change, READ)
    moved = work.bench.life(finding).moves[0]
    assert "once more" in bars(work.bench.life(finding))
    with pytest.raises(InputError, match="somebody else confirms"):
        confirm(shop.conn, shop.act(), work.bench.motor, moved.id)
    confirm(shop.conn, another(shop), work.bench.motor, moved.id)
    life = work.bench.life(finding)
    assert (life.state, bars(life)) == ("withdrawn", "")
    assert shop.page(work.bench.motor).rests[0].change.confirmed_by == "Maud Celliers"


def test_where_somebody_else_may_write_they_confirm_it_and_no_reading_does(shop: Shop) -> None:
    work, finding, change = lied(shop, "a rule for the motor")
    move(work, change, READ)
    other = another(shop)
    for person in ("person-of-test", "person-2"):
        with transaction(shop.conn):
            access.keep_hash(shop.conn, person, "known by", shop.now)
    work.put("earth-ohm=0.4")
    assert "somebody else" in bars(work.bench.life(finding))
    moved = work.bench.life(finding).moves[0]
    with pytest.raises(Conflict, match="Maud Celliers"):
        confirm(shop.conn, shop.act(), work.bench.motor, moved.id, source="the plate, read again")
    confirm(shop.conn, other, work.bench.motor, moved.id)
    assert bars(work.bench.life(finding)) == ""


def test_who_could_confirm_and_left_is_named_and_so_is_an_account_made_for_it(shop: Shop) -> None:
    work, finding, change = lied(shop, "a rule for the motor")
    add_member(shop.conn, shop.later(minutes=1).act(), "Bo Aldous", "technician")
    other = next(m for m in access.list_members(shop.conn) if m.name == "Bo Aldous")
    with transaction(shop.conn):
        for person in ("person-of-test", other.id):
            access.keep_hash(shop.conn, person, "known by", shop.now)
    move(work, change, READ)
    assert "somebody else" in bars(work.bench.life(finding))
    give_role(shop.conn, shop.later(days=3).act(), other.id, "viewer")
    moved = work.bench.life(finding).moves[0]
    assert ground_said(moved).endswith("; Bo Aldous, who could confirm it, left on 3 October 2025")
    work.put("earth-ohm=0.4")
    assert bars(work.bench.life(finding)) == ""
    add_member(shop.conn, shop.later(days=1).act(), "Ela Aldous", "technician")
    new = next(m for m in access.list_members(shop.conn) if m.name == "Ela Aldous")
    confirm(shop.conn, replace(shop.act(), person_id=new.id), work.bench.motor, moved.id)
    words = shop.page(work.bench.motor).rests[0].words
    assert words.endswith(
        "confirmed by Ela Aldous, technician, on 4 October 2025, "
        "whose account Ines Torvald made on 4 October 2025, after the change"
    )


def test_what_a_file_measures_frees_nothing(shop: Shop) -> None:
    work, finding, change = lied(shop, "a rule for the motor")
    move(work, change, READ)
    by_file = replace(shop.later(minutes=1).act(), origin=FromFile("person-of-test", work.bench.motor))
    there = work.bench.page.sheet.written["earth-ohm", 0, "found"].id
    seeing = Seeing(sight="found", answer=AGAIN)
    enter(shop.conn, by_file, work.bench.id, field_id="earth-ohm", place=0, text="0.4", replaces=there, seeing=seeing)
    assert "once more" in bars(work.bench.life(finding))
    moved = work.bench.life(finding).moves[0]
    said = replace(another(shop), origin=FromFile("person-of-test", work.bench.motor))
    with pytest.raises(Conflict, match="A file confirms nothing"):
        confirm(shop.conn, said, work.bench.motor, moved.id)
    work.put("earth-ohm=0.4")
    assert bars(work.bench.life(finding)) == ""


def test_what_one_person_found_and_another_takes_back_names_the_first(shop: Shop) -> None:
    work = lied(shop, "a rule for the motor")[0]
    there = work.bench.page.sheet.written["earth-ohm", 0, "found"].id
    seeing = Seeing(sight="found", answer="mistyped", why="the wrong line")
    act = another(shop)
    enter(shop.conn, act, work.bench.id, field_id="earth-ohm", place=0, text="0.05", replaces=there, seeing=seeing)
    gone = withdrawn(work.bench.page.visit)
    assert len(gone) == 1
    assert gone_words(gone[0]).endswith("was withdrawn on this sheet by Maud Celliers; found by Ines Torvald")


def test_a_named_source_and_one_reading_after_it_do_for_one_alone(shop: Shop) -> None:
    work, finding, change = lied(shop, "a rule for the motor")
    move(work, change, READ)
    work.put("earth-ohm=0.4")
    life = work.bench.life(finding)
    assert (life.state, bars(life)) == ("withdrawn", "")
    work.put("outcome=service")
    assert signed_as(work.bench.page.visit) == "not clean"  # still to be run
    assert not any("withdrawn" in h.words for h in work.bench.page.holds)


def test_a_type_is_asked_for_its_motors_too(shop: Shop) -> None:
    typed = {"new_mm": "22", "limit_mm": "9"}
    kind = save_type(shop.conn, shop.act(), "", name="K", motor_class="tool", brushes="2", typed=typed)
    bench = Bench(shop, shop.motor(motor_class="tool", type_id=kind, new_length="", limit="", figures={}))
    work = Work(shop, bench).safe()
    bench.measure("8.5", "20")
    again = {"name": "K", "motor_class": "tool", "brushes": "", "typed": {"new_mm": "22", "limit_mm": "1"}}
    with pytest.raises(NeedsAnswer) as asked:
        save_type(shop.conn, shop.later(minutes=1).act(), kind, **again)  # type: ignore[arg-type]
    assert asked.value.listed[0]["grade"] != asked.value.listed[0]["then"]
    save_type(shop.conn, replace(shop.act(), explained=READ), kind, **again)  # type: ignore[arg-type]
    assert [m.scope for m in work.bench.life("set.worn").moves] == ["type"]
    assert "once more" in bars(work.bench.life("set.worn"))


def test_what_nobody_stated_is_stated_for_the_first_time(shop: Shop) -> None:
    work = Work(shop, Bench(shop, shop.motor(motor_class="tool", new_length="22", limit="", figures={}))).safe()
    work.bench.measure("4.5", "4.6")
    assert work.bench.life("set.worn").stands
    with pytest.raises(NeedsAnswer) as asked:
        move(work, "limit_mm=2")
    assert "first" in dict(asked.value.choices)
    move(work, "limit_mm=2", Explained("first", "maker's sheet"))
    assert "once more" in bars(work.bench.life("set.worn"))


def signing_in(shop: Shop) -> Act:
    """Return an act of a second person, both of whom sign in here."""
    other = another(shop)
    for person in ("person-of-test", "person-2"):
        with transaction(shop.conn):
            access.keep_hash(shop.conn, person, "known by", shop.now)
    return other


def own_rule(shop: Shop, value: str) -> None:
    """Set a rule of the shop's own before anything was measured by it."""
    set_rule(shop.conn, shop.later(days=1).act(), "earth.ohm", scope="site", scope_id="", text=value, why="long leads")


def test_a_milder_rule_of_ones_own_is_confirmed_once_by_somebody_else(shop: Shop) -> None:
    """Set before anything was measured by it: nothing was softened, and nobody was asked then."""
    other = signing_in(shop)
    own_rule(shop, "0.3")
    work = at_work(shop.later(days=1), "tool", "tool protection=protective_earth", "20 20")
    assert not work.bench.states
    work.put("earth-ohm=0.25")
    life = work.bench.life("earth.open")
    assert (life.state, life.finding.grade) == ("withdrawn", "stop")
    assert "rule of our own" in bars(life)
    assert "usually" in gone_words(life)
    assert "allowed 0.1" in gone_words(life)
    confirm(shop.conn, other, work.bench.motor, life.moves[0].id)
    assert bars(work.bench.life("earth.open")) == ""
    figures = figures_of("tool protection=protective_earth")
    second = Work(shop, Bench(shop, shop.later(days=1).motor(motor_class="tool", tag="T-2", figures=figures))).safe()
    second.put("earth-ohm=0.25")
    assert "earth.open" not in {name for _, name in second.bench.states}
    own_rule(shop, "0.35")
    second.put("earth-ohm=0.32")
    assert "rule of our own" in bars(second.bench.life("earth.open"))


@pytest.mark.parametrize(("value", "ohm"), [("0.3", "0.05"), ("0.05", "0.04")])
def test_a_rule_of_ones_own_asks_only_where_it_judges_milder(shop: Shop, value: str, ohm: str) -> None:
    signing_in(shop)
    own_rule(shop, value)
    work = at_work(shop.later(days=1), "tool", "tool protection=protective_earth", "20 20").put(f"earth-ohm={ohm}")
    assert "earth.open" not in {name for _, name in work.bench.states}


def test_a_rule_set_before_changes_were_kept_asks_too(shop: Shop) -> None:
    own_rule(shop, "0.3")
    shop.conn.execute("delete from moved")
    shop.conn.execute(next(text for number, text in steps() if number == 23))
    work = at_work(shop.later(days=1), "tool", "tool protection=protective_earth", "20 20").put("earth-ohm=0.25")
    life = work.bench.life("earth.open")
    assert life.state == "withdrawn"
    assert ground_said(life.moves[0]).endswith("the default → 0.3 Ω, long leads, Ines Torvald")
