"""Whole visits in the playhouse's record: each a bench sheet entered as people enter it."""

from collections.abc import Callable, Mapping
from datetime import timedelta
from math import cos, radians

from norvash.core.stages.gates import SAFE, SERVICE
from norvash.demo.in_pieces import in_pieces
from norvash.demo.run_in import dynamo_at_proof, run_in, starter_proved
from norvash.demo.visit import PlayedVisit


def left_open(visit: PlayedVisit, lengths: Mapping[int, str]) -> None:
    """Half done: the call, the gate, what was seen from outside, all brushes but the last."""
    visit.put("complaint", "runs slow and crackles since last week").put("urgency", "today")
    visit.put("sign.weak", "yes").put("sign.crackles", "yes").put("sign.onset", "gradual").gate(SAFE)
    visit.put("sign.by-hand", "no").put("state", "opened")
    visit.measure(dict(list(lengths.items())[:-1])).see(1, "face.burnt")


def upstream(visit: PlayedVisit, _lengths: Mapping[int, str]) -> None:
    """Not opened: one speed setting is dead, its neighbours are good."""
    visit.complaint("dead on the third setting, good on the others").put("urgency", "week").put(
        "sign.onset", "sudden"
    ).gate(SAFE)
    visit.permit("voltage at every setting").put("supply-v", "229")
    for place, volts in enumerate(("104", "141", "2", "228"), start=1):
        visit.put("tap-v", volts, place)
    visit.put("permit.close", "yes", 1).put("upstream", "upstream").put("outcome", "upstream").put(
        "parts", "LP-S 118 rotary switch, 1"
    )
    visit.sign()


def stuck(visit: PlayedVisit, lengths: Mapping[int, str]) -> None:
    """After the dark summer: a brush seized in its holder is freed and looked at again; a poor terminal is put off."""
    visit.put("complaint", "dead after the summer, came back when the case was tapped").put("urgency", "now")
    visit.put("sign.start", "dead").put("sign.tapped", "yes").put("sign.idle", "yes").gate(SAFE)
    visit.put("rest-v", "12.7").put("state", "opened").put("marks", "yes").put(
        "stack", "washer, wave washer, shim 0.2, insulator"
    )
    visit.see(2, "brush.seized").see(3, "terminal.poor").measure(lengths).put("dust-g", "1.1")
    visit.put("seen.commutator.black", "yes").put("sound.windings", "yes").put("sound.drive", "yes").looked()
    visit.put("decide.brush.seized", "now", 2).put("decide.commutator.black", "now")
    visit.put(
        "decide.terminal.poor", "deferred", 3, who="Maud Celliers", day=f"{visit.now + timedelta(weeks=16):%Y-%m-%d}"
    )
    visit.done("free-holder", "20").put("surface-with", "paper")
    visit.measure({2: lengths[2]}, sight="left").put("gone.brush.seized", "yes", 2).put("gone.commutator.black", "yes")
    visit.put("remark.rework", "freed dry, all holders cleaned, brush drops by its own weight")
    taped_until = f"{visit.now + timedelta(weeks=9):%Y-%m-%d}"
    visit.put("temporary", "boot of the post torn, taped over", 1, who="Bram Aldous", day=taped_until)
    visit.run("4900", "62", "this", "stuck", volts="11.4").put("outcome", "deferred")
    visit.read_again("noload_rpm_least", "4200", "maker's sheet of the engine")
    visit.gate(SERVICE).sign()


def originals(visit: PlayedVisit, lengths: Mapping[int, str]) -> None:
    """A rare old motor: the original brushes stay, by their figures; something is added after signing."""
    visit.put("urgency", "routine").gate(SAFE).put("state", "opened").measure(lengths).see(1, "brush.chip-small").see(
        1, "face.satin"
    )
    visit.put("sound.commutator", "yes").put("sound.windings", "yes").put("sound.drive", "yes").looked()
    visit.put("remark.decide", "original carbon kept: more than 40 % usable, even wear, no such grade made any more")
    visit.run("11200", "0.9").put("outcome", "service").put("parts", "none").gate(SERVICE).sign()
    visit.add("ran a full evening, no sparks seen through the vents")


def set_renewed(visit: PlayedVisit, lengths: Mapping[int, str]) -> None:
    """Weak and crackling: a worn set and a dead spring, both renewed and measured again, and the motor proven."""
    visit.put("complaint", "weak under load, crackles").put("urgency", "today")
    visit.put("sign.weak", "yes").put("sign.crackles", "yes").put("sign.onset", "gradual").gate(SAFE)
    visit.put("state", "opened").measure(lengths, sure=True).see(1, "face.burnt")
    visit.put("force", "1.5", 1).put("force", "3.9", 2)
    visit.put("sound.commutator", "yes").put("sound.windings", "yes").put("sound.drive", "yes").looked()
    said = f"{visit.now:%Y-%m-%d}, Lantern stores"
    visit.way(2, "brushes and springs", "brushes LP-B 031 4.80 x 2; springs LP-F 012 1.15 x 2", said=said)
    visit.way(6, "new unit", "jigsaw 118.00", said=said, life="9 years").put("way-taken", "2")
    for life in visit.lives:
        visit.put(f"decide.{life.finding.id}", "now", life.position)
    sizes = {"new_thickness_mm": "6.4", "new_width_mm": "12.5", "new_length_mm": "15", "at_box_width_mm": "12.62"}
    box = {"at_box_thickness_mm": "6.5", "new_lead_mm": "40", "new_terminal": "flag", "old_terminal": "flag"}
    visit.offer(1, "brush set", "back", new_part="LP-B 030", new_volts="115", **sizes, **box)
    dressed = sizes | box | {"new_thickness_mm": "6.48"}
    visit.offer(2, "brush set", new_part="LP-B 031", new_batch="44", new_volts="230", **dressed)
    visit.fit({1: "15.02", 2: "14.98"}, "at its limit", "springs", part="LP-B 031")
    visit.put("offer-became", "fitted", 2).put("offer-dressed-t", "6.43", 2)
    visit.put("force", "3.9", 1).put("force", "3.9", 2)
    visit.run("17400", "2.1", "this", "worn", volts="228")
    visit.read_again("noload_a", "2.2", "its plate, cleaned").confirmed()
    visit.put("outcome", "service").put("parts", "LP-B 031, 2; LP-F 012, 2").gate(SERVICE).sign()


def earth_mended(visit: PlayedVisit, lengths: Mapping[int, str]) -> None:
    """It tingles: the earth fails, is joined again and measured; the sheet waits for the run."""
    visit.put("complaint", "tingles when it is touched").put("sign.shock", "yes").put("urgency", "now").gate(SAFE)
    visit.put("state", "opened").measure(lengths, sure=True).put("earth-ohm", "1.4").put("seen.commutator.slots", "yes")
    visit.put("sound.windings", "yes").put("sound.drive", "yes").looked()
    visit.put("decide.earth.open", "now")
    visit.done("earth", "20", "star washer M5, 1")


def _to_copper(visit: PlayedVisit, lengths: Mapping[int, str], said: str) -> PlayedVisit:
    """The call, the gate, the brushes."""
    visit.complaint(said).put("urgency", "week").gate(SAFE).put("state", "opened").measure(lengths)
    return visit.put("sound.drive", "yes").looked()


def _finish(visit: PlayedVisit, rpm: str, answer: str, cause: str = "", why: str = "") -> None:
    """Close it, run it, say what has become of the complaint, and sign."""
    visit.run(rpm, "6.2", answer, cause)
    visit.put("outcome", "deferred").gate(SERVICE).sign(why)


def _put_off(visit: PlayedVisit, who: str, weeks: int) -> None:
    """Put off what is open: what is to be planned for weeks, what is to be changed for a few days."""
    for life in visit.lives:
        if life.state == "open":
            days = timedelta(days=6) if life.finding.grade == "change" else timedelta(weeks=weeks)
            day = f"{visit.now + days:%Y-%m-%d}"
            visit.put(f"decide.{life.finding.id}", "deferred", life.position, who=who, day=day)


def insulation_tested(visit: PlayedVisit, lengths: Mapping[int, str], megohm: str, temperature: str) -> None:
    """A test of insulation in between, with the brushes measured and nothing else found."""
    visit.put("urgency", "routine").gate(SAFE).put("state", "opened").measure(lengths, sure=True)
    visit.put("sound.commutator", "yes").insulation(megohm, temperature)
    visit.put("sound.drive", "yes").looked().sign("tested between two shows")


def pitch_marked(visit: PlayedVisit, lengths: Mapping[int, str]) -> None:
    """Burnt once for each pole on an armature of 87 bars; the cause is put off to the refit."""
    _to_copper(visit, lengths, "growls at full speed, sparks at all arms").put(
        "bar-map", "burnt 5, 27, 49, 70; dark 71"
    )
    visit.put("run-out", _around(87, 0.011, 40, 0.004, noise=0.0011)).put("run-out-on", "bearings")
    visit.insulation("34", "22").put("insulation-10", "61")
    _put_off(visit, "Bram Aldous", 11)
    visit.put("remark.windings", "coupling to be looked at in the refit")
    _finish(visit, "1440", "still", why="it runs until the refit, watched by ear")


def open_coil(visit: PlayedVisit, lengths: Mapping[int, str]) -> None:
    """Burnt at two places of a wave winding: the bar test names the open coil.

    The sheet is left open for the motor shop.
    """
    _to_copper(visit, lengths, "crackles and pulls unevenly, ring of fire").put(
        "bar-map", "burnt-leading 36, 95; burnt-trailing 37, 96"
    )
    readings = [f"{84 + 1.6 * cos(1.7 * i) + 0.7 * cos(5.1 * i):.1f}" for i in range(1, 118)]
    for reading in (36, 95):
        readings[reading - 1] = f"{2480 + reading}"
    visit.put("bar-test", "\n".join(readings)).put("bar-test-how", "drop").put("bar-test-noise", "1 %").put(
        "bar-test-fed", "bars"
    ).put("bar-test-lifted", "yes")
    visit.insulation("118", "24")


def last_cut(visit: PlayedVisit, lengths: Mapping[int, str]) -> None:
    """Grooved and out of round, it cleans up with one further cut to follow; the cut is made, the holders wait."""
    _to_copper(visit, lengths, "brushes chip and chatter").put("bar-map", "grooved 1-69; pitted 12-14")
    visit.put("run-out", _around(69, 0.008, 200, 0.058, noise=0.002)).put("run-out-on", "seats").put(
        "true-setup", "yes"
    )
    visit.put("track-d", "108.36\n108.40\n108.38").put("shoulder-d", "108.72").put("groove", "0.18").put(
        "pit", "0.16"
    ).put("slot-depth", "0.9")
    visit.put("lathe-speeds", "90; 185; 355; 560").put(
        "bar-test", "\n".join(f"{41 + 0.6 * cos(2.3 * i):.1f}" for i in range(69))
    ).put("bar-test-lifted", "yes")
    visit.put("cut-done", "108.18").put("gone.copper.cut", "yes").put("slot-minutes", "88").put("cut-slots", "yes")
    visit.put("cut-chamfer", "yes").put("cut-again", "yes").put("cut-vacuumed", "yes")
    visit.insulation("9", "31")
    visit.put("run-out", _around(69, 0.004, 200, 0.003, noise=0.0006)).put("run-out-on", "seats")
    visit.put("bar-map", "even 1-69")
    _put_off(visit, "Maud Celliers", 6)
    visit.put("cold-ohm", "173.5").put("cold-c", "20")
    visit.run("1125", "6.2", "this", "rough")
    visit.put("hot-ohm", "228").put("air-c", "24").put("remark.windings", "heat after two hours of pumping")
    visit.put("outcome", "deferred").gate(SERVICE).sign()


def under_least(visit: PlayedVisit, lengths: Mapping[int, str]) -> None:
    """Cut too often: the copper is under its least diameter; the motor is sent away."""
    _to_copper(visit, lengths, "blue flashes, smells hot").put("bar-map", "burnt 1-31; pitted 3, 9, 17")
    visit.put("track-d", "36.05\n36.1").put("pit", "0.2").put("sound.windings", "yes")
    visit.put("b-number", "608-2Z", 1).put("b-feel", "rough", 1).put("b-noise", "hiss", 1).put(
        "b-number", "608-2Z", 2
    ).put("b-feel", "smooth", 2)
    visit.offer(
        1,
        "bearing",
        new_number="608-2Z",
        old_number="608-2Z",
        new_bore_mm="8.000",
        at_shaft_mm="8.006",
        new_part="LP-R 8",
    )
    visit.offer(2, "bush", new_pressed_mm="8.021", old_bore_mm="8.14", at_shaft_mm="8.000", new_part="LP-U 2")
    said = f"{visit.now:%Y-%m-%d}, by telephone"
    visit.way(1, "brushes only", "brushes 2 for 8.60 or 4 for 15.20 x 2", hours="0.5", said=said)
    visit.way(5, "exchange armature", "armature LP-A 7 96.00; bearings 6.40 x 2", hours="2.25", said=said)
    visit.way(6, "new unit", "unit 212.00", freight="14.50", tax="on top", hours="0.75", said=said)
    visit.way(8, "sent out", "rewound, new commutator 168.00", freight="22.00", hours="0.5", said=said)
    day = f"{visit.now + timedelta(weeks=12):%Y-%m-%d}"
    visit.put("way-taken", "6", day=day, why="no armature to be had before the season")


def _around(count: int, eccentric: float, high: float, oval: float, noise: float) -> str:
    """Return dial readings round a commutator [mm], one a line."""
    turn = [360 * i / count for i in range(count)]
    ripple = [noise * cos(radians(7 * t)) * cos(radians(31 * t + 20)) for t in turn]
    return "\n".join(
        f"{0.1 + eccentric * cos(radians(t - high)) + oval * cos(radians(2 * t - 70)) + r:.4f}"
        for t, r in zip(turn, ripple, strict=True)
    )


VISITS: Mapping[str, Callable[[PlayedVisit, Mapping[int, str]], None]] = {
    "half done": left_open,
    "new set": upstream,
    "stuck": stuck,
    "originals": originals,
    "pitch marking": pitch_marked,
    "open coil": open_coil,
    "one cut left": last_cut,
    "under least": under_least,
    "set renewed": set_renewed,
    "earth mended": earth_mended,
    "in pieces": in_pieces,
    "run in": run_in,
    "starter proved": starter_proved,
    "dynamo": dynamo_at_proof,
}

# Insulation of earlier years, MΩ and °C, by a motor's state: one test for every fourth round.
TESTED: dict[str, tuple[tuple[str, str], ...]] = {
    "open coil": (("410", "19"), ("370", "18"), ("292", "21"), ("206", "20")),
    "pitch marking": (("52", "21"), ("47", "23"), ("44", "20")),
    "one cut left": (("21", "24"), ("16", "26")),
}
