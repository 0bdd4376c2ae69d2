"""What the gates ask for of a machine, by what it is: each caution where it is true, and none where it is not."""

from dataclasses import replace

import pytest

from norvash.core.rules.catalogue import shipped
from norvash.core.sheet.facts import Facts
from norvash.core.stages.gates import POWER, SAFE
from norvash.core.stages.prove import stage as prove
from small_sheets import facts

RULES = shipped()
CAUTIONS: dict[str, tuple[Facts, str]] = {
    "heavy": (facts("industrial", 4, mass_kg=148.0), "Hoist or second person for 148 kg"),
    "magnets": (facts("starter", 4, construction="permanent-magnet"), "pacemaker"),
    "capacitors": (facts("generator", 4, capacitors="yes"), "Capacitors discharged"),
    "a driven machine": (facts("industrial", 4), "Capacitors discharged"),
    "hoist": (facts("industrial", 4), "Suspended loads"),
    "truck": (facts("traction", 4), "Wheels off the ground"),
    "starter": (facts("starter", 4), "Battery earth lead off first"),
    "dynamo": (facts("generator", 2), "Belt and fan"),
    # By what it is, and not by its class.
    "an appliance without a plug": (facts("appliance", 2, rated_v=230.0, has_plug="no"), "Own lock and tag"),
    "an appliance on a pack": (facts("appliance", 2, rated_v=18.0), "Battery pack out"),
    "a tool on a pack": (facts("tool", 2, rated_v=18.0), "battery pack out before you touch"),
    "a tool on a plug": (facts("tool", 2, rated_v=230.0), "plug out and in sight"),
    "a workshop motor with a plug": (facts("industrial", 4, rated_v=230.0, has_plug="yes"), "Unplugged, the plug"),
    "a workshop motor on a battery": (facts("industrial", 4, rated_v=48.0, fed_by="battery"), "no ring, no watch"),
    "a tram": (facts("traction", 4, rated_v=600.0, fed_by="line"), "Line off, own lock and tag"),
    "600 V": (facts("traction", 4, rated_v=600.0), "it arcs: nothing is opened under current"),
    "a motor of a fan": (facts("industrial", 4, hangs_load="no", it_turns="fan"), "Fan held"),
    "a motor of a belt": (facts("industrial", 4, hangs_load="no", it_turns="belt"), "Belt off"),
    "at height": (facts("industrial", 4, conditions="at height"), "tools tied, nobody below"),
    "where gas may burn": (facts("industrial", 4, conditions="dust or gas that burns"), "no dust or gas in it"),
    "at height, in the wet and in public": (
        facts("industrial", 4, conditions="wet; at height; in public"),
        "tools tied",
    ),
    "in public": (facts("industrial", 4, conditions="wet; at height; in public"), "a barrier round it"),
    "old linings": (facts("tool", 2), "asbestos or lead"),
}
NOT_SAID = {
    "a tool on a plug": (facts("tool", 2, rated_v=230.0), "pack out"),
    "an appliance on a pack": (facts("appliance", 2, rated_v=18.0), "plug in sight"),
    "12 V": (facts("traction", 4, rated_v=12.0), "it arcs"),
    "a motor of a fan": (facts("industrial", 4, hangs_load="no", it_turns="fan"), "Suspended loads"),
    "a dry hall": (facts("industrial", 4, conditions="dry and in use"), "burns"),
}


@pytest.mark.parametrize(("about", "words"), CAUTIONS.values(), ids=CAUTIONS.keys())
def test_the_gate_shows_what_this_machine_asks_for(about: Facts, words: str) -> None:
    assert any(words in f"{s.act}: {s.caution}" for s in SAFE.steps(about, RULES))


@pytest.mark.parametrize(("about", "words"), NOT_SAID.values(), ids=NOT_SAID.keys())
def test_a_caution_is_not_said_where_it_is_about_something_else(about: Facts, words: str) -> None:
    assert not any(words in f"{s.act}: {s.caution}" for s in SAFE.steps(about, RULES))


AT_POWER: dict[str, tuple[Facts, str, str]] = {
    "built in": (facts("tool", 2, construction="universal"), "Cutter off, guards on", "runs away"),
    "bare": (replace(facts("tool", 2, construction="universal"), stands="bare"), "Load coupled", "Cutter off"),
    "separately excited": (
        facts("industrial", 4, construction="separately excited"),
        "Field on first, off last",
        "Load",
    ),
    "a field that can be lost": (facts("industrial", 4, construction="shunt"), "Loss of field trips", "Load coupled"),
    "a hoist": (facts("industrial", 4, hangs_load="yes"), "The brake holds the load", "Flywheel"),
    "a propeller": (facts("traction", 4, it_turns="propeller"), "Propeller off, or free", "brake"),
    "a belt on a series motor": (facts("appliance", 2, it_turns="belt"), "never unloaded", "brake"),
    "a belt on a shunt motor": (
        facts("industrial", 4, it_turns="belt", construction="shunt"),
        "Guards on",
        "never unloaded",
    ),
    "a battery": (facts("starter", 4), "Battery gas aired, last contact", "brake"),
    "driven": (facts("generator", 2), "People clear, stop within reach", "brake"),
    "bare series": (facts("traction", 4, construction="series"), "Load coupled", "idle"),
    "not stated": (facts("industrial", 4), "Load coupled", "Shunt field"),
    "universal outside a tool": (facts("industrial", 4, construction="universal"), "Load coupled", "Cutter off"),
    "shunt": (facts("industrial", 4, construction="shunt"), "Shunt field at full strength first", "Load coupled"),
    "compound": (facts("industrial", 4, construction="compound"), "Shunt field at full strength first", "Load coupled"),
    "generator": (
        facts("generator", 4, construction="compound"),
        "Driven by a drill or a belt",
        "short touch of power",
    ),
    "twelve volts": (facts("tool", 2, rated_v=12.0), "Guards on", "arth"),
    "by its plate": (facts("traction", 4, rated_v=80.0), "at most 20 V without load", "its safe voltage"),
    "safe volts stated": (
        facts("traction", 4, rated_v=80.0, safe_noload_v=12.0),
        "at most 12 V without load",
        "quarter",
    ),
    "starter": (facts("starter", 4, construction="series"), "Clamped down", "arth"),
    "earthed": (facts("appliance", 2), "Protective earth joined again", "No earth wire added"),
    "double insulated": (
        facts("tool", 2, protection="double insulated"),
        "No earth wire added",
        "Protective earth joined",
    ),
    "extra-low voltage": (
        facts("tool", 2, protection="extra-low voltage"),
        "No earth wire added",
        "Protective earth joined",
    ),
}


@pytest.mark.parametrize(("about", "asked", "never"), AT_POWER.values(), ids=AT_POWER.keys())
def test_power_asks_for_what_the_construction_may_do(about: Facts, asked: str, never: str) -> None:
    said = " | ".join(f"{s.act} {s.caution}" for s in POWER.steps(about, RULES))
    assert asked in said
    assert never not in said
    earth = {f.id for f in prove.STAGE.offered(about, RULES)} & {"earth-ohm"}
    assert earth == ({"earth-ohm"} if about.earthed else set())
