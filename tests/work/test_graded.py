"""What could not be entered once, or was and found nothing: each with its grade, and with what ends it."""

import pytest

from at_work import Work, at_work
from conftest import Shop
from norvash.errors import NorvashError

HOIST = "construction=shunt rated_v=220 rated_rpm=1450 rated_a=38 hangs_load=yes"
FAN = "construction=shunt rated_v=220 rated_rpm=1450 rated_a=38 hangs_load=no"
DOUBLE = "construction=universal rated_v=230 rated_a=6 protection=double_insulated"
NOMINAL = "tool force_nominal_n=5"
# Class, figures, what is entered, what that finds and how grave, and the work with the look or value that ends it.
GRADED = {
    "a bearing of another bore": (
        "tool",
        "tool",
        "b-number@1=6202 seen.bearing.rough=yes task.bearing=yes b-number@1=6203",
        "bearing.wrong@1 stop",
        "task.bearing=yes b-number@1=6202",
    ),
    "less clearance than came off": (
        "tool",
        "tool",
        "b-number@1=6202_C3 seen.bearing.rough=yes task.bearing=yes b-number@1=6202",
        "bearing.clearance@1 change",
        "task.bearing=yes b-number@1=6202_C3",
    ),
    "less clearance than its type's": (
        "tool",
        "tool bearing_drive=6202_C3",
        "b-number@1=6202",
        "bearing.clearance@1 change",
        "",
    ),
    "another seal than came off": (
        "tool",
        "tool",
        "b-number@1=6202-2RS seen.bearing.rough=yes task.bearing=yes b-number@1=6202",
        "bearing.sealing@1 watch",
        "",
    ),
    "its holder cracked": (
        "tool",
        "tool",
        "SEE holder.cracked",
        "holder.cracked@1 change",
        "task.holder=yes gone.holder.cracked@1=yes",
    ),
    "its holder loose": (
        "tool",
        "tool",
        "SEE holder.loose",
        "holder.loose@1 stop",
        "task.holder=yes gone.holder.loose@1=yes",
    ),
    "a spring a tenth too strong": (
        "tool",
        NOMINAL,
        "force@1=5.6",
        "spring.off@1 plan",
        "task.springs=yes force@1=5 force@2=5",
    ),
    "a spring a fifth too strong": (
        "tool",
        NOMINAL,
        "force@1=6.2",
        "spring.far-off@1 change",
        "task.springs=yes force@1=5",
    ),
    "a guard off": ("tool", "tool", "seen.guard.off=yes", "guard.off stop", "task.guard=yes gone.guard.off=yes"),
    "a cut-out bridged": (
        "tool",
        "tool",
        "seen.guard.bridged=yes",
        "guard.bridged stop",
        "task.protection=yes gone.guard.bridged=yes",
    ),
    "the brake of a hoist": ("industrial", HOIST, "seen.brake.fails=yes", "brake.fails stop", ""),
    "a rope": ("industrial", HOIST, "seen.rope.worn=yes", "rope.worn stop", "task.rope=yes gone.rope.worn=yes"),
    "a shaft cracked": (
        "tool",
        "tool",
        "seen.drive.shaft-cracked=yes",
        "drive.shaft-cracked stop",
        "task.shaft=yes gone.drive.shaft-cracked=yes",
    ),
    "a spline worn": ("tool", "tool", "seen.drive.keyway=yes", "drive.keyway change", ""),
    "teeth chipped": ("tool", "tool", "teeth=chipped", "drive.teeth change", "task.drive=yes teeth=sound"),
    "a gear dry": (
        "tool",
        "tool",
        "seen.drive.gear-dry=yes",
        "drive.gear-dry plan",
        "task.gear-grease=yes gone.drive.gear-dry=yes",
    ),
    "a fan chipped": ("tool", "tool", "seen.drive.fan-chipped=yes", "drive.fan-chipped plan", ""),
    "a suppressor swollen": (
        "tool",
        "tool",
        "seen.suppressor.hurt=yes",
        "suppressor.hurt change",
        "task.suppressor=yes gone.suppressor.hurt=yes",
    ),
    "a suppressor short": (
        "tool",
        "tool",
        "seen.suppressor.short=yes",
        "suppressor.short stop",
        "task.suppressor=yes insulation-mohm=200 insulation-c=20",
    ),
    "a pack swollen": ("tool", "tool", "seen.pack.hurt=yes", "pack.hurt stop", "task.pack-away=yes gone.pack.hurt=yes"),
    "a plunger that sticks": (
        "starter",
        "starter",
        "plunger=sticks",
        "solenoid.stuck stop",
        "task.solenoid=yes plunger=free",
    ),
    "no pinion clearance": ("starter", "starter", "pinion-gap=0", "pinion.under change", ""),
    "too little of it": (
        "starter",
        "starter pinion_gap_low_mm=1 pinion_gap_high_mm=3",
        "pinion-gap=0.4",
        "pinion.under change",
        "task.solenoid=yes pinion-gap=2",
    ),
    "a contact burnt": (
        "starter",
        "starter",
        "contact=burnt",
        "solenoid.burnt plan",
        "task.solenoid=yes contact=sound",
    ),
    "a temperature chain open": (
        "traction",
        "series",
        "heat-chain=open",
        "chain.dead change",
        "task.chain=yes heat-chain=right",
    ),
    "an earth wire on double insulation": (
        "tool",
        DOUBLE,
        "earth-added=joined",
        "earth.joined stop",
        "task.cord=yes earth-added=none",
    ),
    "an earthed plug on two cores, nobody says how it protects": (
        "appliance",
        "construction=universal rated_v=230",
        "plug=odd",
        "plug.two-cores stop",
        "task.cord=yes plug=three",
    ),
    "the same of a double insulated one": ("tool", DOUBLE, "plug=odd", "", ""),
    "30 W in a joint": ("industrial", FAN, "POWER joint-v=0.8", "cable.joint change", ""),
    "152 W in a joint": ("industrial", FAN, "POWER joint-v=4", "cable.joint stop", ""),
    "clear play of what hangs a load": ("industrial", HOIST, "b-play@1=clear", "bearing.loose@1 stop", ""),
    "a key worn of what hangs a load": ("industrial", HOIST, "seen.drive.keyway=yes", "drive.keyway stop", ""),
    "teeth chipped of what hangs a load": ("industrial", HOIST, "teeth=chipped", "drive.teeth stop", ""),
    "a coupling of what hangs a load": ("industrial", HOIST, "seen.drive.coupling=yes", "drive.coupling stop", ""),
    "a chain of what drives wheels": ("traction", "series", "seen.drive.chain=yes", "drive.chain stop", ""),
    "a bearing spun of what drives wheels": ("traction", "series", "seen.bearing.spun=yes", "bearing.spun stop", ""),
    "a key worn of what drives wheels": ("traction", "series", "seen.drive.keyway=yes", "drive.keyway change", ""),
    "a key worn of a fan": ("industrial", FAN, "seen.drive.keyway=yes", "drive.keyway change", ""),
    "twice its end float, of what hangs a load": (
        "industrial",
        f"{HOIST} end_float_high_mm=0.3",
        "end-float=0.7",
        "float.out stop",
        "",
    ),
}


def put(work: Work, rows: str) -> Work:
    """Enter rows; SEE is what is seen on brush A, POWER what is measured with power on."""
    first, _, rest = rows.partition(" ")
    if first == "SEE":
        work.bench.see(1, rest)
        return work
    return work.powered(rest) if first == "POWER" else work.put(rows)


@pytest.mark.parametrize("case", GRADED.values(), ids=GRADED)
def test_each_has_its_grade_and_what_ends_it(shop: Shop, case: tuple[str, str, str, str, str]) -> None:
    motor_class, figures, rows, finds, mended = case
    work = put(at_work(shop, motor_class, figures), rows)
    spot, _, grade = finds.partition(" ")
    name, _, place = spot.partition("@")
    found = {x.at: x.finding.grade for x in work.bench.page.found.lives if x.stands}
    found |= {(c.position, c.finding.id): c.finding.grade for c in work.bench.page.found.conditions}
    if not finds:
        assert not any(i == "plug.two-cores" for _, i in found)
        return
    assert found[int(place or 0), name] == grade
    if mended:
        work.put(mended)
        assert work.bench.life(name, int(place or 0)).state == "proven"


def test_a_gear_that_was_run_dry_is_graver(shop: Shop) -> None:
    work = at_work(shop, "tool", "tool").put("seen.drive.gear-dry=yes")
    work.bench.ready()
    work.bench.run(run_v="230", run_a="2", run_rpm="12000")
    assert work.bench.life("drive.gear-dry").finding.grade == "change"


@pytest.mark.parametrize("finding", ["brake.fails", "rope.worn", "guard.off"])
def test_what_carries_is_never_handed_over_with_its_brake_rope_or_guard(shop: Shop, finding: str) -> None:
    work = at_work(shop, "industrial", HOIST).put(f"seen.{finding}=yes")
    with pytest.raises(NorvashError, match="never handed over"):
        work.bench.put(f"decide.{finding}", "owner", why="told the owner")


def test_a_guard_of_a_fan_is_handed_to_its_owner_as_a_stop(shop: Shop) -> None:
    work = at_work(shop, "industrial", FAN).put("seen.guard.off=yes")
    work.bench.put("decide.guard.off", "owner", why="told the owner")
    assert work.bench.page.said.sentence.startswith("The machine must not run: guard off")


def test_a_brake_is_proven_by_the_load_that_it_holds_under_a_permit_and_by_no_look(shop: Shop) -> None:
    work = at_work(shop, "industrial", HOIST).put("seen.brake.fails=yes")
    work.put("task.brake=yes")
    with pytest.raises(NorvashError, match="with power on"):
        work.put("brake-held=1.25")
    work.put("gone.brake.fails=yes")
    assert work.bench.life("brake.fails").state != "proven"
    work.powered("brake-held=1.1")
    slips = work.bench.life("brake.slips")
    assert slips.finding.words == "its brake held 1.1 times its load, 1.25 is asked for"
    assert (slips.state, slips.finding.grade, work.bench.life("brake.fails").state) == (
        "open",
        "stop",
        "done not proven",
    )
    work.put("task.brake=yes").powered("brake-held=1.25")
    assert {work.bench.life(f"brake.{x}").state for x in ("slips", "fails")} == {"proven"}
