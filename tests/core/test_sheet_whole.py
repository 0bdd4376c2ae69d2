"""All that follows from many small sheets, to the letter: judgements, findings, gates, rail, what is open, what is said."""

from collections.abc import Iterator
from dataclasses import replace
from itertools import product
from typing import Any

from norvash.core.rules.book import MotorRules
from norvash.core.rules.catalogue import shipped
from norvash.core.sentence import verdict
from norvash.core.sheet.before import judge_before
from norvash.core.sheet.bringing import what_to_bring
from norvash.core.sheet.copper import copper_now
from norvash.core.sheet.cutting import cut_changes, cut_record, cut_words
from norvash.core.sheet.deciding import matters
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.gates import GATES, steps_of
from norvash.core.sheet.geometry import geometry
from norvash.core.sheet.given import Earlier, Given
from norvash.core.sheet.insulated import (
    coils_now,
    heat_now,
    index_now,
    insulation_now,
    insulation_tests,
    slots_on_growler,
)
from norvash.core.sheet.keeping import stays
from norvash.core.sheet.noticed import complained, diagnosis_of, noticed
from norvash.core.sheet.progress import progress
from norvash.core.sheet.saying import sheet_says
from norvash.core.sheet.sheet import Sheet, gate
from norvash.core.sheet.signing import holds
from norvash.core.sheet.voices import voices
from norvash.core.state import MotorState, Renewal
from norvash.core.verdict import findings
from norvash.errors import NorvashError
from small_sheets import BEFORE, NOON, SPRUNG, VOICES, about_before, cut, facts, sheet
from states import TODAY, a_round, foreseen, state
from whole import assert_no_word_moved, kept

RULES = shipped()
COPPER = facts("industrial", 4, thickness_mm=12.5, width_mm=25.0, commutator_d_mm=120.0, commutator_d_min_mm=110.0, bars=24.0, armature_slots=12.0,
               rated_a=38.0, rated_v=220.0, rated_rpm=1500.0, slot_width_mm=0.8, holder_gap_mm=2.5, grade_family="electrographite",
               end_float_low_mm=0.1, end_float_high_mm=0.3, air_gap_mm=1.0, spring_rate_n_per_mm=0.2)  # fmt: skip
FAST = facts("industrial", 4, commutator_d_mm=120.0, bars=24.0, rated_rpm=4000.0)
WAVE = facts(
    "industrial",
    4,
    thickness_mm=12.5,
    commutator_d_mm=120.0,
    bars=87.0,
    armature_slots=29.0,
    poles=4.0,
    winding="wave",
    commutator_pitch=43.0,
)
MAGNETS = facts(
    "starter", 4, construction="permanent-magnet", noload_rpm=3000.0, noload_a=60.0, mass_kg=40.0, rated_v=12.0
)
TRUE = ";".join(f"{0.02 + 0.001 * (i % 5):.3f}" for i in range(24))
OVAL = ";".join(f"{0.02 + 0.09 * (i % 12 < 6):.3f}" for i in range(24))
OHMS = ";".join("1.9" if i == 7 else "1.0" for i in range(24))
PARTS: dict[str, tuple[Facts, dict[str, Any]]] = {
    "insulation warm and low": (COPPER, {"insulation_mohm": 0.9, "insulation_c": 60.0, "insulation_10": 1.0}),
    "insulation good, index middling": (COPPER, {"insulation_mohm": 80.0, "insulation_c": 25.0, "insulation_10": 130.0}),
    "coils even": (COPPER, {"coils": "1.00;1.01;0.99;1.00"}), "one coil off": (COPPER, {"coils": "1.00;1.01;0.8;1.00", "coils_c": 40.0}),
    "heated": (COPPER, {"cold_ohm": 1.0, "cold_c": 20.0, "hot_ohm": 1.3, "air_c": 25.0}), "heated, air not known": (COPPER, {"cold_ohm": 0.9, "cold_c": 20.0, "hot_ohm": 1.3}),
    "cold not known": (COPPER, {"cold_c": 20.0, "hot_ohm": 1.3}), "its warmth not known": (COPPER, {"cold_ohm": 0.9, "hot_ohm": 1.3}), "hot not known": (COPPER, {"cold_ohm": 0.9, "cold_c": 20.0}),
    "growler": (COPPER, {"growler": "fail", "growler_slots": "3-5, 9"}), "growler, no slot named": (COPPER, {"growler": "fail"}), "growler good": (COPPER, {"growler": "pass", "growler_slots": "3"}),
    "growler, slots not known": (facts(), {"growler": "fail", "growler_slots": "7"}), "chains": (COPPER, {"wear_chain": "open", "heat_chain": "closed"}),
    "magnets weak": (MAGNETS, {"noload_rpm": 3900.0, "noload_a": 90.0}), "only fast": (MAGNETS, {"noload_rpm": 3900.0, "noload_a": 61.0}), "only hungry": (MAGNETS, {"noload_rpm": 3100.0, "noload_a": 90.0}),
    "bearings": (COPPER, {"b_feel": ("notchy", "dry"), "b_noise": ("rumble", "quiet"), "b_play": ("clear", ""), "b_seat": ("spun", "corroded")}),
    "bearing past its hours": (COPPER, {"b_hours": (21000.0, 100.0), "b_life": (20000.0, 20000.0), "b_years": (2.0, 19.0)}),
    "bush worn": (COPPER, {"journal": (19.9, 20.0), "bush": (20.3, 20.03)}), "kit": (COPPER, {"kit_shaft": (20.0,), "kit_bore": (20.2,), "kit_housing": (47.0,), "kit_outside": (46.8,)}),
    "drive": (COPPER, {"teeth": "chipped", "belt": "cracked", "clutch": "jams", "plunger": "sticks"}),
    "float over": (COPPER, {"end_float": 0.5}), "float under": (COPPER, {"end_float": 0.05}), "float right": (COPPER, {"end_float": 0.2}),
    "shakes": (COPPER, {"vibration": 9.0}), "trembles": (COPPER, {"vibration": 3.0}), "quiet": (COPPER, {"vibration": 1.0}),
    "runs true": (COPPER, {"run_out": TRUE}), "oval": (COPPER, {"run_out": OVAL, "turned_on": "seats"}), "oval between centres": (COPPER, {"run_out": OVAL, "turned_on": "centres"}),
    "oval, a tool": (facts(commutator_d_mm=30.0, bars=24.0), {"run_out": OVAL}),
    "a bar open": (COPPER, {"bar_test": OHMS, "bar_shaft": 0.2, "bar_shaft_bar": 7.0}), "bars burnt": (COPPER, {"bar_map": "burnt 3, 15"}),
    "bars burnt and tested": (COPPER, {"bar_map": "burnt 3, 15", "bar_test": ";".join(["1.0"] * 24)}), "a loose bar": (COPPER, {"bar_map": "loose 3; even 4-24"}),
    "slots shallow": (COPPER, {"slot_depth": 0.3}), "slots deep": (COPPER, {"slot_depth": 1.2}), "grooved": (COPPER, {"track_d": "118.2;118.1", "groove": 0.4, "slot_depth": 1.2, "run_out": OVAL}),
    "grooved, no copper left": (COPPER, {"track_d": "109.4", "groove": 0.4, "run_out": OVAL}), "under its least": (COPPER, {"track_d": "108", "groove": 0.4}), "filed": (COPPER, {"surface_with": "file"}),
    "cut": (COPPER, {"cut_done": cut(117.5)}), "cut, all set after it": (COPPER, {"cut_done": cut(117.5), "holder_set": "yes", "cut_chamfer": "yes"}),
    "cut, nothing sunk": (COPPER, {"cut_done": cut(117.5, sunk="0")}), "cut, slots deep": (COPPER, {"cut_done": cut(117.5, slot="1.6")}),
    "cut, slots just over the least": (COPPER, {"cut_done": cut(117.5, slot="0.9")}), "cut, slots just under": (COPPER, {"cut_done": cut(117.5, slot="0.88")}),
    "cut, made flush": (facts(undercut_mm=0.0, slot_width_mm=0.8), {"cut_done": cut(117.5, slot="0.5")}), "cut, width not known": (facts(), {"cut_done": cut(117.5, slot="0.6")}),
    "cut to its last": (COPPER, {"cut_done": cut(110.4)}), "cut, one more left": (COPPER, {"cut_done": cut(110.6)}), "cut, a little more than one left": (COPPER, {"cut_done": cut(110.8)}),
    "cut through": (COPPER, {"cut_done": cut(109.9)}), "cut, gap not known": (COPPER, {"cut_done": Given("c", "117.5", "", 117.5, "Ines", NOON, {"before": "118", "after": "117.5", "sunk": "0.25"})}),
    "a wave winding": (WAVE, {"bar_map": "burnt 3, 46"}), "as wide as the brush": (WAVE, {"bar_map": "burnt 2-4, 24-26, 46-48, 68-70"}), "by slots": (WAVE, {"bar_map": "dark " + ", ".join(str(b) for b in range(1, 88, 3))}),
    "run-out, readings missing": (COPPER, {"run_out": TRUE.replace("0.022", "-")}), "run-out of 23 bars": (COPPER, {"run_out": TRUE[6:]}), "bar test, bars not known": (facts(), {"bar_test": OHMS}),
    "drops at an industrial machine": (COPPER, {"bar_test": OHMS.replace("1.9", "1.07"), "bar_test_how": "drop"}), "resistances": (COPPER, {"bar_test": OHMS.replace("1.9", "1.07"), "bar_test_how": "ohm"}),
    "a tool's insulation": (facts(rated_v=230.0), {"insulation_mohm": 1.5}), "double insulated": (facts(rated_v=230.0, protection="double insulated"), {"insulation_mohm": 3.0}), "an industrial machine's insulation": (
        facts("industrial", 4, rated_v=440.0, protection="double insulated"), {"insulation_mohm": 1.2, "insulation_c": 20.0}),
    "joints good": (about_before({"rest": 1}), {"joint_v": 0.05, "drop_supply_v": 0.1, "drop_return_v": 0.1}), "one side drops": (about_before({"rest": 1}), {"joint_v": 0.05, "drop_return_v": 1.5}),
    "usual current not known": (facts(), {"noload_a": 1.0}), "plate not known": (facts(), {"supply_v": 1.0}), "plate not known, there": (facts(), {"supply_v": 1.5}),
    "battery at rest only": (about_before({"rest": 1}), {"rest_v": 12.6}), "terminal at its limit": (facts(rated_v=230.0), {"terminal_ohm": 0.3}), "settings wired wrong": (
        about_before({}), {"supply_v": 230.0, "tap_v": (229.0, 172.0, 115.0)}), "settings, supply low": (about_before({}), {"supply_v": 180.0, "tap_v": (90.0, 135.0, 180.0)}),
    "pitted": (COPPER, {"bar_map": "pitted 3-5", "track_d": "118", "pit": 0.2}), "pits left": (COPPER, {"bar_map": "pitted 3-5", "track_d": "118", "pit": 0.2, "pit_left": 0.2}),
    "stepped": (COPPER, {"run_out": TRUE, "step": 0.3, "track_d": "118", "shoulder_d": "118.8", "rough_cut": 0.2, "cut_tool": "diamond"}), "least not known": (
        facts("industrial", 4, commutator_d_mm=120.0, bars=24.0), {"track_d": "113", "groove": 0.3, "run_out": OVAL}),
    "burnt all over": (COPPER, {"bar_map": "burnt 1-24", "bar_test": ";".join(["1.0"] * 24)}), "loose, cut planned": (COPPER, {"bar_map": "loose 3", "track_d": "118", "groove": 0.3, "run_out": OVAL}),
    "bar test, noisy": (COPPER, {"bar_test": OHMS.replace("1.9", "1.35"), "bar_test_noise": 0.2}), "bar test, quiet": (COPPER, {"bar_test": OHMS.replace("1.9", "1.35")}),
    "cut planned, its track known": (facts("industrial", 4, commutator_d_mm=120.0, track_mm=32.0), {"track_d": "118", "groove": 0.3}), "bush, a small gap": (facts("starter", 4, air_gap_mm=0.04), {"journal": (20.0,), "bush": (20.1,)}),
    "bush, a wide gap": (facts("starter", 4, air_gap_mm=0.9), {"journal": (20.0,), "bush": (20.1,)}), "cut, slots shallow for their width": (facts(slot_width_mm=2.0), {"cut_done": cut(117.5, slot="0.9")}),
    "cut, slots of that depth": (facts(), {"cut_done": cut(117.5, slot="0.9")}),
    "bar test, its noise said": (COPPER, {"bar_test": OHMS.replace("1.9", "1.07"), "bar_test_noise": 0.05}), "a map of a motor whose bars are not known": (facts(), {"bar_map": "burnt 3"}),
    "fast, over a worn track": (FAST, {"run_out": OVAL, "track_d": "60;-"}), "fast, its shoulder measured": (FAST, {"run_out": OVAL, "shoulder_d": 118.0}), "fast": (FAST, {"run_out": OVAL}),
    "made flush, a cut planned": (facts(undercut_mm=0.0, commutator_d_mm=30.0, bars=24.0), {"track_d": "29", "slot_depth": 0.1, "groove": 0.2}), "seen sound": (COPPER, {"sound__commutator": "yes"}),
    "seen burnt": (COPPER, {"seen__commutator__burnt": "yes"}), "a quarter burnt": (COPPER, {"bar_map": "burnt 1-6; even 7-24", "bar_test": ";".join(["1.0"] * 24)}), "of 18 bars": (COPPER, {"run_out": OVAL[: 18 * 6 - 1]}),
    "five bars": (facts("industrial", 4, commutator_d_mm=30.0, bars=5.0), {"bar_map": "burnt 3"}), "cut, sunk, slots known": (COPPER, {"track_d": "118", "slot_depth": 1.0, "pit": 0.1}), "cut with steel": (
        COPPER, {"track_d": "118", "lathe_speeds": "200;400;800", "cut_tool": "hss"}),
    **{f"bars {mark}": (COPPER, {"bar_map": f"{mark} 3-5; even 6-24", "bar_test": ";".join(["1.0"] * 24)}) for mark in ("raised", "grooved", "flat", "drag", "pitted", "dirty-slot", "loose", "black", "streaked")},
    "a bar stands out": (COPPER, {"run_out": TRUE.replace("0.024", "0.150", 1)}), "pits measured": (COPPER, {"track_d": "118", "pit": 0.8, "sound__commutator": "yes"}), "a step": (COPPER, {"step": 0.3, "sound__commutator": "yes"}),
    "grooves measured": (COPPER, {"track_d": "118", "groove": 0.8, "sound__commutator": "yes"}), "set up askew, drag": (COPPER, {"run_out": OVAL[: 18 * 6 - 1], "bar_map": "drag 3"}),
    "at its least": (COPPER, {"track_d": "110", "sound__commutator": "yes"}), "seen black": (COPPER, {"seen__commutator__black": "yes"}), "seen rough": (COPPER, {"seen__commutator__rough": "yes"}),
    "slots dirty": (COPPER, {"seen__commutator__slots": "yes"}), "a bar to the shaft at its least": (COPPER, {"bar_test": OHMS, "bar_shaft": RULES["insulation.bar"], "bar_shaft_bar": 7.0}),
    "slots at their least": (COPPER, {"slot_depth": max(RULES["slot.depth-least"], RULES["slot.again"] * 0.8)}), "slots made flush": (facts(undercut_mm=0.0), {"slot_depth": 0.1}), "slots, width not known": (facts(), {"slot_depth": 0.4}),
    "magnets, speed at its band": (MAGNETS, {"noload_rpm": 3000 * (1 + RULES["magnet.speed"]), "noload_a": 90.0}), "magnets, usual speed not known": (facts("starter", 4, construction="permanent-magnet", noload_a=60.0), {"noload_rpm": 3900.0, "noload_a": 90.0}),
    "bush and its gap": (facts("starter", 4, air_gap_mm=0.3), {"journal": (19.9, 20.0), "bush": (20.1, 20.03)}), "float, its low end not known": (facts("industrial", 4, end_float_high_mm=0.4), {"end_float": 0.6}),
    "a box without its brush": (SPRUNG, {"box_a": (12.9,), "brush_t": (6.3,)}), "a solenoid": (MAGNETS, {"solenoid_v": 0.6}), "an old machine": (facts("industrial", 4, rated_v=440.0), {"insulation_mohm": 1.2}),
    "battery, frozen": (facts("starter", 4), {"rest_v": 12.4, "cranking_v": 9.6, "cranking_a": 200.0, "battery_c": -15.0}), "battery of 24": (facts("starter", 4, rated_v=24.0), {"rest_v": 25.2, "cranking_v": 19.0, "cranking_a": 200.0}),
    "drops of 24": (facts("starter", 4, rated_v=24.0), {"drop_supply_v": 0.7, "drop_return_v": 0.3, "joint_v": 0.1}), "supply at its low end": (facts(rated_v=200.0), {"supply_v": 200 * RULES["supply.low"]}),
    "supply at its high end": (facts(rated_v=200.0), {"supply_v": 200 * RULES["supply.high"]}), "supply high": (facts(rated_v=200.0), {"supply_v": 230.0}), "terminals": (facts(rated_v=200.0), {"terminal_ohm": 0.05, "terminal_v": 0.5}),
    "one terminal bad": (facts(rated_v=200.0), {"terminal_ohm": 0.6, "terminal_v": 0.01}), "terminals good": (facts(rated_v=200.0), {"terminal_v": 0.01}), "all settings dead": (about_before({}), {"supply_v": 230.0, "tap_v": (0.0, 0.0, 0.0)}),
    "current, usual nothing": (facts(noload_a=0.0), {"noload_a": 1.0}), "current at a fiftieth": (facts(noload_a=1.0), {"noload_a": 0.02}), "current under it": (facts(noload_a=2.0), {"noload_a": 0.03}),
    "one force": (COPPER, {"force": (6.0,)}), "box and brush": (SPRUNG, {"box_a": (12.9, 12.6), "brush_a": (12.5, 12.59)}),
    "forces low": (COPPER, {"force": (4.0, 4.2, 4.1, 4.0)}), "forces right": (COPPER, {"force": (6.0, 6.2, 6.1, 6.0)}),
}  # fmt: skip
LINES: dict[str, tuple[Facts, dict[str, Any]]] = {
    "forces low": PARTS["forces low"], "forces right": PARTS["forces right"], "forces apart": (COPPER, {"force": (6.0, 7.4, 6.1, 6.0)}), "forces over": (COPPER, {"force": (9.0, 9.1, 9.0, 11.5)}),
    "nominal": (SPRUNG, {"force": (9.0, 9.2)}), "grade not known": (facts("industrial", 4, thickness_mm=12.5, width_mm=25.0, rated_a=38.0), {}),
    "a starter": (facts("starter", 4, thickness_mm=12.5, width_mm=25.0, rated_a=400.0, rated_v=12.0, grade_family="metal-graphite"), {}),
    "overloaded": (facts("industrial", 2, thickness_mm=12.5, width_mm=25.0, rated_a=90.0, rated_v=220.0, grade_family="electrographite"), {}),
    "sunk": (facts("industrial", 4, holder_gap_mm=2.75, sunk_mm=0.25), {}), "gap wide by its type": (facts("industrial", 4, holder_gap_mm=9.0), {}),
    "gaps measured": (facts("industrial", 4, holder_gap_mm=9.0), {"gap": (2.0, 2.1)}), "bars not known": (facts("industrial", 4, commutator_d_mm=120.0, thickness_mm=12.5), {}),
    "a brush as wide as its track": (facts("tool", 2, commutator_d_mm=6.0, thickness_mm=6.0), {}), "a flat face": (facts("industrial", 12, commutator_d_mm=300.0, thickness_mm=12.5, bars=150.0), {}),
}  # fmt: skip
VISITS: dict[str, tuple[Facts, dict[str, Any]]] = {
    "nothing": (facts(), {}), "safe": (facts(), {"confirm__safe": "yes"}), "waived": (COPPER, {"waive__safe": "in parts", "waive__power": "no power", "waive__service": "scrap"}),
    "method only": (facts(), {"safe__method": "unplugged"}), "dead": (facts(rated_v=230.0), {"sign__start": "dead", "supply_v": 1.0}),
    "dead, settled": (facts(rated_v=230.0), {"sign__start": "dead", "upstream": "upstream"}), "upstream without a complaint": (facts(), {"upstream": "upstream", "outcome": "upstream"}),
    "weak": (facts(), {"sign__weak": "yes", "sign__crackles": "yes"}), "stuck": (facts(), {"sign__start": "dead", "sign__tapped": "yes", "sign__idle": "yes"}),
    "weak, cause out": (facts(), {"sign__weak": "yes", "ruled_out__stuck": "yes"}), "every complaint denied": (facts(), {"sign__weak": "no", "sign__loud": "no"}),
    "found sound": (COPPER, {"sign__weak": "yes", "sound__commutator": "yes", "sound__windings": "yes", "sound__drive": "yes"}),
    "wet": (COPPER, {"sign__water": "yes", "sign__trips": "yes"}), "burnt": (COPPER, {"confirm__safe": "yes", "seen__windings__burnt": "yes"}),
    "burnt, let go": (COPPER, {"confirm__safe": "yes", "seen__windings__burnt": "yes", "outcome": "service"}),
    "burnt, put off": (COPPER, {"confirm__safe": "yes", "seen__windings__burnt": "yes", "decide__windings__burnt": "deferred", "outcome": "scrap"}),
    "proved": (COPPER, {"confirm__safe": "yes", "run_v": 220.0, "outcome": "service"}), "permit": (facts(), {"permit__open": ("volts",)}),
    "upstream, opened": (COPPER, {"upstream": "upstream", "sound__commutator": "yes"}), "each step ticked": (facts(), {"safe__method": "unplugged", **{f"step__safe__{x.id}": "yes" for x in steps_of("safe", facts(), RULES)}}),
    "permit closed": (facts(), {"permit__open": ("volts",), "permit__close": ("yes",)}), "skipped": (facts(), {"skip__brushes": "no time", "skip__windings": "not mine"}),
    "charged": (facts("appliance", capacitors="yes"), {}), "hoisted": (facts("industrial", 4, mass_kg=148.0), {}), "run-away": (facts("traction", 4, construction="series"), {"confirm__safe": "yes"}),
    "dynamo": (facts("generator", 2), {"sign__low_output": "yes"}), "state said": (facts(), {"state": "stripped", "sign__weak": "yes"}),
}  # fmt: skip
STATES: dict[str, MotorState] = {
    "not measured": state(),
    "good": foreseen(state(a_round(20, 20, 20.2))),
    "worn, one glazed": foreseen(state(a_round(10, 16, 20, 18, 18.1), a_round(20, 12, 19, 16, 16.2, seen=((2, "face.glazed"), (1, "lead.taut"))), brushes=4)),
    "one missing": state(a_round(20, 20, None)),
    "to be planned, sprung": state(a_round(20, 11, 19, seen=((2, "lead.taut"),))),
    "free in its holder": state(a_round(20, 20, 20.1, seen=((1, "brush.free"),))),
    "at its limit": state(a_round(20, 8.0, 20)),
    "past its limit": state(a_round(20, 7.5, 20)),
    "one renewed": replace(state(a_round(20, 20, 19, 18, 17), brushes=4), sets=(replace(
        state(a_round(20, 20, 19, 18, 17), brushes=4).current, renewed=(Renewal(2, 390.0, 22.0, 0.05),)),)),
    "doubtful": state(a_round(20, 9.0, 20, doubt="fell sharply")),
}  # fmt: skip


def ohms(value: float | None) -> Given:
    """An entry of a number."""
    return Given("i", "", "", value, "Ines", NOON)


def judged(made: Sheet, rules: MotorRules) -> Iterator[str]:
    """Yield what the measurements on a sheet come to, a line each."""
    before = judge_before(made, rules)
    yield from (f"before: {j.words} {j.right} {' '.join(j.rules)}" for j in before.judged)
    yield f"signs: {sorted(before.signs.items())}"
    yield from (f"voice: {n} {f.id}, {f.grade}: {f.words}" for n, f in voices(made, rules, (4.0, 4.2)))
    copper = copper_now(made, rules)
    for name, value in (("ladder", before.ladder), ("battery", before.battery), ("wound", copper.wound), ("map", copper.read), ("run-out", copper.run_out), ("bar test", copper.tested), ("plan", copper.plan), ("work", copper.work),
                        ("trouble", {k: v.problem for k, v in copper.trouble.items()} or None), ("insulation", insulation_now(made, rules)), ("index", index_now(made, rules)), ("coils", coils_now(made, rules)),
                        ("heat", heat_now(made, rules)), ("growler", slots_on_growler(made) or None)):  # fmt: skip
        if value is not None:
            yield f"{name}: {kept(value)}"


def follows(made: Sheet, shown: MotorState, rules: MotorRules) -> Iterator[str]:
    """Yield what follows from a sheet and its motor for the visit, a line each."""
    found = findings(shown, rules, TODAY)
    before = judge_before(made, rules)
    signs = noticed(made, before, found, rules)
    cause = diagnosis_of(made, signs, rules) if complained(signs, before) else None
    said = sheet_says(made, found, verdict(found, shown, rules, TODAY), cause, rules)
    asked = matters(made, found)
    yield f"signs: {sorted(signs.items())}"
    if cause is not None:
        yield f"causes: {[(r.cause.id, round(r.chance, 4)) for r in cause.ranked[:4]]}; {[(c.check.id, round(c.drop_bits, 3)) for c in cause.checks[:4]]}"
    yield f"says: {said.word}: {said.sentence}"
    yield from (f"reason: {r.text} {' '.join(f.rule_id for f in r.figures)}" for r in said.reasons)
    yield from (
        f"gate {g}: {x.state} {x.person} {x.at} {x.why} {'; '.join(x.to_do)}"
        for g in GATES
        for x in [gate(made, g, rules)]
    )
    yield "rail: " + "; ".join(
        f"{s.number} {s.id} {s.words} {s.state} {s.why}" for s in progress(made, found, asked, rules)
    )
    yield from (f"open: {h.stage}: {h.words}" for h in holds(made, found, asked, rules))
    yield from (f"decide: {m.place} {m.position}: {m.finding.words}; {m.finding.decision} {m.settled}" for m in asked)
    yield f"state: {made.state} {made.upstream} {made.open_permits}"
    yield from (
        f"line: {g.words} {g.value:.5g} {g.unit}, {g.against}, {g.right} {' '.join(g.rules)}"
        for g in geometry(made, found, rules)
    )
    yield from (f"bring: {i.kind} {i.what}, {i.why}" for i in what_to_bring(made.facts, found, cause, rules))
    yield from (f"stays: {s.label} {s.may} {s.why}" for s in stays(found, shown, rules))


def lines(rules: MotorRules) -> list[str]:
    """Return the lines of brush geometry of motors with this and that known."""
    told: list[str] = []
    for name, (about, entries) in LINES.items():
        found = findings(STATES["good"], rules, TODAY)
        told += [f"== line: {name}", *(f"{g.words} {g.value:.5g} {g.unit}, {g.against}, {g.right} {' '.join(g.rules)}"
                                       for g in geometry(sheet(about, **entries), found, rules))]  # fmt: skip
    return told


def cuts(rules: MotorRules) -> list[str]:
    """Return what recorded cuts change, and what is recorded of cuts to diameters that can be and cannot."""
    told: list[str] = []
    for done in (
        cut(117.5),
        cut(117.5, sunk="0"),
        replace(cut(117.5), more={"before": "118", "after": "117.5", "radial": "0.25", "sunk": "0.2"}),
    ):
        for bars, limit_mm, holders_set in product((24, None), (14.0, None), (True, False)):
            told.append(
                f"cut {bars} {limit_mm} {holders_set}: {kept(cut_changes(done, bars, limit_mm, holders_set=holders_set))} {cut_words(done.more)}"
            )
    for name, after_mm in product(
        ("grooved", "grooved, no copper left", "stepped", "least not known", "oval"),
        (119.5, 118.1, 117.5, 112.5, 60.0, 20.0),
    ):
        try:
            told.append(
                f"cut of {name} to {after_mm}: {sorted(cut_record(sheet(PARTS[name][0], **PARTS[name][1]), after_mm, rules).items())}"
            )
        except NorvashError as refused:
            told.append(f"cut of {name} to {after_mm}: {refused.problem} {refused.remedy}")
    return told


def insulations(rules: MotorRules) -> list[str]:
    """Return insulation against the last test, and what is on record of the tests before."""
    told: list[str] = []
    for last in (Earlier(3, ohms(90.0)), Earlier(3, ohms(4.0)), None):
        for warm in (Earlier(3, ohms(20.0)), Earlier(2, ohms(20.0)), None):
            before = {k: v for k, v in (("insulation-mohm", last), ("insulation-c", warm)) if v is not None}
            again = replace(sheet(COPPER, insulation_mohm=3.0, insulation_c=30.0), earlier=before)
            told.append(
                f"insulation before: {last and last.given.number} {warm and warm.sheet}: {kept(insulation_now(again, rules))}"
            )
    before_it = [("insulation-mohm", 2, ohms(5.0)), ("insulation-c", 2, ohms(25.0)), ("insulation-mohm", 1, ohms(50.0)), ("insulation-c", 3, ohms(25.0)),
            ("insulation-mohm", 4, ohms(7.0)), ("insulation-mohm", 5, ohms(9.0)), ("insulation-c", 5, ohms(None))]  # fmt: skip
    told.append(
        f"tests: {kept(insulation_tests(before_it, 4, rules))} {kept(insulation_tests(before_it, 9, rules)[-1])}"
    )
    return told


def test_no_word_moves_in_what_follows_from_a_sheet(rules: MotorRules) -> None:
    small = {
        **{f"before: {name}": (about_before(entries), entries) for name, (entries, *_) in BEFORE.items()},
        **{f"voice: {name}": (SPRUNG, entries) for name, (entries, _) in VOICES.items()},
        **{f"part: {name}": made for name, made in PARTS.items()},
    }
    told: list[str] = []
    for name, (about, entries) in small.items():
        told += [f"== {name}", *judged(sheet(about, **entries), rules)]
    for name, (about, entries) in VISITS.items():
        told += [f"== {name}", *follows(sheet(about, **entries), STATES["not measured"], rules)]
    for name, shown in STATES.items():
        for kind in ("full", "quick"):
            made = sheet(
                facts(brushes=len(shown.positions)), kind, confirm__safe="yes", sign__weak="yes", outcome="service"
            )
            told += [f"== {name}, {kind}", *follows(made, shown, rules)]
    for name in ("one missing", "doubtful", "good", "worn, one glazed"):
        shown = STATES[name]
        made = replace(
            sheet(facts(brushes=len(shown.positions)), confirm__safe="yes", decide__set__worn="done"), id="r20"
        )
        told += [f"== {name}, measured here", *follows(made, shown, rules)]
    told += [*lines(rules), *cuts(rules), *insulations(rules)]
    assert_no_word_moved("sheets.txt", "\n".join(told) + "\n")
