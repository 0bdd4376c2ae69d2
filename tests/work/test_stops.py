"""What a stop keeps from a motor: runs, touches, tests that turn or feed it; one thing waived opens no other."""

from dataclasses import replace

import pytest

from at_work import Work, at_work
from bench_sheet import Bench
from conftest import Shop
from norvash.core.stages.gates import POWER
from norvash.core.stages.prove.run_fields import ON_STOP
from norvash.core.visit.gating import gate_now
from norvash.core.visit.walk import open_permits
from norvash.errors import Conflict, InputError, NorvashError, StopHolds
from norvash.work.access.members import member_of
from norvash.work.access.sign_in import Device, begin
from norvash.work.act.acting import FromFile, InSession
from norvash.work.on_sheet.sheets import enter
from run_cases import figures_of

SPARKED = "bump=right run-v=230 sparks=3"
# After a run that showed a stop: what belongs to that run is still entered, what is another one is not.
OF_THE_RUN = {
    "its volts, typed late": ("sparks=3", "run-v=229", True),
    "its touch, typed last": ("run-v=230 sparks=3", "bump=right", True),
    "its heat": (SPARKED, "run-c=60", True),
    "its amps at the first point": ("run-v@1=100 sparks@1=3", "run-a@1=2", True),
    "its sparks, mistyped": (SPARKED, "sparks=1 mistyped", True),
    "a further point": (SPARKED, "run-v@1=229", False),
    "a further touch": (SPARKED, "bump=right again", False),
    "a run after a touch that rubs": ("bump=rubs", "run-v=230", False),
    "its sparks, once more": (SPARKED, "sparks=1 again", False),
    "that it ran after a touch that rubs": ("bump=rubs", "ran=yes", False),
}


@pytest.mark.parametrize(("rows", "entry", "kept"), OF_THE_RUN.values(), ids=OF_THE_RUN)
def test_what_a_run_showed_keeps_every_later_run_from_the_motor(
    shop: Shop, rows: str, entry: str, *, kept: bool
) -> None:
    work = at_work(shop, "tool", "tool")
    work.bench.ready()
    work.put(rows)
    row, _, answer = entry.partition(" ")
    field, _, value = row.partition("=")
    name, _, place = field.partition("@")
    if kept:
        work.bench.put(name, value, int(place or 0), answer=answer)
        return
    with pytest.raises(Conflict, match="Before power"):
        work.bench.put(name, value, int(place or 0), answer=answer)


@pytest.mark.parametrize("origin", ["queue", "file"])
def test_what_was_taken_on_a_stop_and_comes_later_is_kept_as_that_until_it_ran_again(shop: Shop, origin: str) -> None:
    work = at_work(shop, "tool", "tool")
    work.bench.ready()
    work.put(SPARKED)
    act = shop.later(minutes=1).act()
    queued = InSession(begin(shop.conn, member_of(shop.conn, shop.person), Device("a-browser"), shop.now).session.id)
    comes = FromFile(shop.person, work.bench.motor) if origin == "file" else replace(queued, waited=True)
    with pytest.raises(StopHolds):
        enter(shop.conn, replace(act, origin=queued), work.bench.id, field_id="run-v", place=1, text="229")
    enter(shop.conn, replace(act, origin=comes), work.bench.id, field_id="run-v", place=1, text="229")
    life = work.bench.life("run.on-stop")
    assert (life.state, life.finding.grade) == ("open", "change")
    assert life.finding.words.startswith("taken while a stop stood: volts 229; the gate “Before power” is not passed")
    assert ("run-v", 1, "found") not in work.bench.page.sheet.written
    for text in ("", "nothing was run"):
        with pytest.raises(InputError, match="kept by itself"):
            work.bench.put("on-stop", text, 1)
    work.put("task.mend-run=yes")
    work.bench.ready()
    work.bench.run(run_v="230", run_a="2", run_rpm="12000")
    assert work.bench.life("run.on-stop").state == "proven"


def test_a_test_with_power_on_that_a_stop_forbids_and_what_was_read_in_it_are_kept_from_a_file(shop: Shop) -> None:
    work = at_work(shop, "starter", "rated_v=12")
    work.put("seen.commutator.raised=yes")
    more = {"who": "Ines", "barriers": "rope", "minutes": "20", "turns": "free", "volts": "12"}
    comes = FromFile(shop.person, work.bench.motor)
    read: dict[str, str] = {}
    for field, place, text, asked in (("permit.open", 1, "a try", more), ("cranking-v", 0, "10.4", read)):
        with pytest.raises((InputError, Conflict), match=r"Power waits|measured with power on"):
            work.bench.put(field, text, place, **asked)
        act = replace(shop.later(minutes=1).act(), origin=comes)
        enter(shop.conn, act, work.bench.id, field_id=field, place=place, text=text, more=asked)
    sheet = work.bench.page.sheet
    kept = [sheet.entries[ON_STOP.id, n].typed.partition(";")[0] for n in ON_STOP.places(sheet)]
    assert kept == ["opened a try", "while cranking 10.4"]
    assert not open_permits(sheet)
    assert work.bench.life("run.on-stop").finding.words.endswith("and 1 more")


# With what stands a test with power on is opened or not: how the motor turns in it, and with how many volts.
STANDS = {
    "a loose bar, free": ("seen.commutator.raised=yes", "free 24", False),
    "a loose bar, by a drill": ("seen.commutator.raised=yes", "driven", False),
    "an earth fault, fed at standstill": ("seen.windings.earth=yes", "still 12", False),
    "a cracked fan, free": ("seen.drive.fan=yes", "free 24", False),
    "a hurt cord, free": ("seen.supply.cord=yes", "free 24", False),
    "a locked bearing, free": ("seen.bearing.locked=yes", "free 24", False),
    "a locked bearing, by a drill": ("seen.bearing.locked=yes", "driven", True),
    "a shorted armature, fed at standstill": ("seen.commutator.riser=yes", "still 12", True),
    "a locked bearing, volts read": ("seen.bearing.locked=yes", "still", True),
    "a fan that is renewed and not proven, free": ("seen.drive.fan=yes task.fan=yes", "free 24", True),
    "nothing, free": ("", "free 24", True),
}


@pytest.mark.parametrize(("rows", "permit", "given"), STANDS.values(), ids=STANDS)
def test_a_test_that_turns_or_feeds_it_reads_the_stops(shop: Shop, rows: str, permit: str, *, given: bool) -> None:
    work = at_work(shop, "industrial", "magnet").put("track-d=40").put(rows)
    turns, _, volts = permit.partition(" ")
    more = {"turns": turns, **({"volts": volts} if volts else {})}
    more |= {"rpm": "1000", "at_stop": "Bram"} if turns == "driven" else {}
    asked = {"who": "Ines", "barriers": "rope", "minutes": "20", **more}
    if given:
        work.bench.put("permit.open", "a test", 1, **asked)
        return
    with pytest.raises(InputError, match="Power waits"):
        work.bench.put("permit.open", "a test", 1, **asked)


def test_a_test_over_the_volts_of_its_plate_waits_for_the_supply(shop: Shop) -> None:
    asked = {"who": "Ines", "barriers": "rope", "minutes": "20", "turns": "free"}
    work = at_work(shop, "industrial", "magnet")
    with pytest.raises(InputError, match=r"29.5 V is over 1.2 times the nominal 24 V"):
        work.bench.put("permit.open", "a test", 1, volts="29.5", **asked)
    work.bench.put("permit.open", "a test", 1, volts="28.5", **asked)


def test_a_motor_is_tried_before_it_is_opened_beside_a_stop_that_neither_shocks_nor_flies(shop: Shop) -> None:
    bench = Bench(shop, shop.motor(motor_class="industrial", figures=figures_of("magnet rated_a=4")))
    Work(shop, bench).safe()
    asked = {"who": "Ines", "barriers": "rope", "minutes": "20", "turns": "free", "volts": "24"}
    bench.put("seen.drive.jammed", "yes")
    bench.put("permit.open", "a try", 1, **asked)
    bench.put("noload-a", "60")  # an overload: what it shows stops every further try
    bench.put("noload-rpm", "2900")  # read at the same try
    with pytest.raises(Conflict, match="Power waits"):
        bench.put("noload-rpm", "2900", answer="again")
    bench.put("permit.close", "yes", 1)
    with pytest.raises(InputError, match="Power waits: The run"):
        bench.put("permit.open", "another try", 2, **asked)


def test_a_hold_that_is_waived_opens_no_gate_past_another(shop: Shop) -> None:
    work = at_work(shop, "tool", "tool")
    work.bench.ready(tested=False)
    work.put("seen.bearing.locked=yes")
    work.bench.put("waiver.insulation", "residual", why="no tester in the shop")
    now = gate_now(POWER, work.bench.page.visit)
    assert (now.state, [h.words for h in now.held]) == ("open", ["Bearings and drive: a bearing locked"])
    with pytest.raises(Conflict, match="a bearing locked"):
        work.put("run-a=2")


def test_insulation_with_nothing_parted_is_not_judged_and_never_waived(shop: Shop) -> None:
    """An instrument was there: emptied again it is measured, not waived."""
    work = at_work(shop, "starter", "starter").put("insulation-mohm=0.01")
    page = work.bench.page
    assert [m.standing for m in page.measured if m.id == "insulation-mohm"] == ["not judged"]
    assert not any(x.finding.id.startswith("insulation") for x in page.found.lives)
    held = {h.id: h for h in gate_now(POWER, page.visit).held}
    assert ("not judged: first" in held["insulation"].words, held["insulation"].waiver) == (True, None)
    work.put("parted-solenoid=yes parted-brushes=yes parted-field=yes")
    assert work.bench.life("insulation.low").finding.grade == "stop"
    assert not any(x.state == "withdrawn" for x in work.bench.page.found.lives), "judged then, nothing withdrawn"


def test_insulation_that_was_read_and_emptied_again_is_not_waived(shop: Shop) -> None:
    work = at_work(shop, "starter", "starter").put("insulation-mohm=0.01 insulation-mohm=")
    work.bench.put("waiver.insulation", "residual", why="no tester in the shop")
    held = {h.id: h for h in gate_now(POWER, work.bench.page.visit).held}
    assert held["insulation"].waiver is None


def test_what_is_put_off_and_becomes_a_stop_is_open_again_and_neither_put_off_nor_dropped(shop: Shop) -> None:
    work = at_work(shop, "tool", "tool").put("force@1=6 force@2=4.6")
    work.bench.put("decide.spring.far-off", "deferred", 2, who="Bram Aldous", day="2025-10-05")
    assert work.bench.life("spring.far-off", 2).state == "put off"
    work.bench.put("force", "0.4", 2, answer="mistyped")
    dead = work.bench.life("spring.dead", 2)
    assert (dead.state, dead.finding.grade) == ("open", "stop")
    for word in ("deferred", "dropped"):
        with pytest.raises(NorvashError):
            work.bench.put("decide.spring.dead", word, 2, who="Bram", day="2025-10-05", why="customer waits")
    with pytest.raises(InputError, match="does not go back like this"):
        work.put("outcome=kept")


# What was done after it was closed up, and whether it is closed up anew before power.
AFTER_CLOSING = {
    "a bearing renewed": ("seen.bearing.rough=yes", "task.bearing=yes", True),
    "opened once more": ("", "state=stripped", True),
    "a cord renewed": ("seen.supply.cord=yes", "task.cord=yes", False),
}


@pytest.mark.parametrize(("found", "work_done", "again"), AFTER_CLOSING.values(), ids=AFTER_CLOSING)
def test_it_is_closed_up_after_the_last_work_inside(shop: Shop, found: str, work_done: str, *, again: bool) -> None:
    work = at_work(shop, "tool", "tool").put("state=opened").put(found)
    assert "nobody has turned it by hand since it was opened" in work.missing("power")
    work.put("latched=yes free=yes")
    assert "turned" not in work.missing("power")
    work.put(work_done)
    assert ("turn it again" in work.missing("power")) is again
    assert ("before the last work: look again" in work.missing("power")) is again
