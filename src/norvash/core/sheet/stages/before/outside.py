"""What is found before the motor, on supply, cord, switch, battery and cables, with the work that it leads to."""

from norvash.core.sheet.finding import finding
from norvash.core.sheet.part import BATTERY, SUPPLY, SWITCH
from norvash.core.sheet.stages.shared import RENEW_CORD
from norvash.core.sheet.task import Task

MEND_SWITCH = Task(
    id="switch",
    what="Mend the switch",
    done="switch mended",
    minutes=30,
    tools="multimeter, switch of its kind",
    steps=("power off", "wire it as its diagram says, or renew it", "measure every setting again"),
)
MEND_SUPPLY = Task(
    id="supply",
    what="Mend the supply",
    done="supply mended",
    minutes=30,
    tools="multimeter with fused leads",
    steps=("measure it under load, step by step back to its source", "mend what loses it", "measure it here again"),
    caution="isolate and prove dead first; fixed wiring is for licensed people",
)
MEND_WAY = Task(
    id="way",
    what="Mend the joints of switch and cord",
    done="joints of switch and cord mended",
    minutes=25,
    tools="multimeter, screwdriver",
    steps=(
        "find the joint that loses it: volts on both sides of each",
        "power off, then tighten or renew it",
        "measure before the switch and at the motor again",
    ),
    caution="live while it is measured; isolate before anything is touched",
)
CHARGE_BATTERY = Task(
    id="battery",
    what="Charge the battery, or renew it",
    done="battery charged or renewed",
    minutes=20,
    tools="charger, voltmeter",
    steps=("charge it full, or renew it", "let it stand", "measure it at rest and while cranking again"),
    caution="its gas explodes: aired, no sparks; earth lead off first, on last; eye protection",
)
MEND_JOINTS = Task(
    id="joints",
    what="Clean and tighten the joints, then look at the cable",
    done="joints and cable mended",
    minutes=20,
    tools="brush for terminals, spanner, millivoltmeter",
    steps=("clean posts and lugs to metal", "tighten them", "measure the drop again", "renew a cable that still drops"),
    caution="battery earth lead off first, on last; no tool across the posts",
)
SEEN = (
    CORD_HURT := finding(
        "supply.cord",
        "cord, cable or plug hurt, crushed or loose",
        "stop",
        "no power through it: renew it before anything is tested",
        SUPPLY,
        RENEW_CORD,
        cause="supply",
    ),
    SWITCH_HURT := finding(
        "switch.hurt",
        "switch or trigger burnt, loose or sticking",
        "change",
        "renew it; the motor itself may be sound",
        SWITCH,
        MEND_SWITCH,
        cause="switch",
    ),
)
FINDINGS = (
    TAPS_MISWIRED := finding(
        "taps.miswired",
        "the speed settings do not rise from step to step",
        "stop",
        "no power: the switch is wired wrongly, and a step gives what another should",
        SWITCH,
        MEND_SWITCH,
        cause="switch",
    ),
    TAPS_OFF := finding(
        "taps.off",
        "a speed setting is off",
        "plan",
        "look at switch, resistor and supply, not at the motor",
        SWITCH,
        MEND_SWITCH,
        cause="switch",
    ),
    SUPPLY_OFF := finding(
        "supply.volts",
        "its supply is not what the plate asks for",
        "plan",
        "look upstream, under load, before the motor is blamed",
        SUPPLY,
        MEND_SUPPLY,
        cause="supply",
    ),
    CORD_LOSS := finding(
        "supply.way",
        "too much is lost in switch and cord",
        "plan",
        "mend switch, cord and joints",
        SUPPLY,
        MEND_WAY,
        cause="supply",
    ),
    BATTERY_LOW := finding(
        "battery.rest",
        "battery low at rest",
        "plan",
        "charge it first, then try again before anything is condemned",
        BATTERY,
        CHARGE_BATTERY,
        cause="cable",
    ),
    BATTERY_WEAK := finding(
        "battery.cranking",
        "battery too low while cranking",
        "plan",
        "battery, cables and joints first, not the starter",
        BATTERY,
        CHARGE_BATTERY,
        cause="cable",
    ),
    CABLE_BOTH := finding(
        "cable.both",
        "too much is lost between battery and starter",
        "plan",
        "measure each side, clean and tighten the joints there",
        BATTERY,
        MEND_JOINTS,
        cause="cable",
    ),
    CABLE_SUPPLY := finding(
        "cable.supply",
        "the supply side drops too much",
        "plan",
        "clean and tighten the joints there, then the cable",
        BATTERY,
        MEND_JOINTS,
        cause="cable",
    ),
    CABLE_RETURN := finding(
        "cable.return",
        "the return side drops too much",
        "plan",
        "clean and tighten the joints there, then the cable",
        BATTERY,
        MEND_JOINTS,
        cause="cable",
    ),
    CABLE_JOINT := finding(
        "cable.joint",
        "a joint drops too much",
        "plan",
        "clean it to metal and tighten it",
        BATTERY,
        MEND_JOINTS,
        cause="cable",
    ),
)
