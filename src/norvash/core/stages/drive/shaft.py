"""Shaft, seals, drive and solenoid."""

from norvash.core.motor.figure_fields import END_FLOAT_HIGH_MM
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.field import Field
from norvash.core.sheet.fields_made import pick, quantity
from norvash.core.sheet.finding import finding
from norvash.core.sheet.part import BATTERY, DRIVE
from norvash.core.sheet.task import Task
from norvash.core.stages.drive.seen import (
    DRIVE_BELT,
    DRIVE_COUPLING,
    DRIVE_JAMMED,
    DRIVE_TEETH,
    DRIVE_WORN,
    FIT_WASHER,
    MEND_DRIVE,
    RENEW_FAN,
    RENEW_SEAL,
)
from norvash.core.stages.shared import RENEW_BEARING, SEEK_ONCE_A_TURN
from norvash.core.stages.stacks import PUT_BACK

SHIM_END_FLOAT = Task(
    id="shim",
    what="Shim the end float",
    done="end float shimmed",
    minutes=20,
    tools="shims, dial gauge",
    steps=("set it to the middle of its band", "note what was put in"),
)
MEND_SOLENOID = Task(
    id="solenoid",
    what="Mend the solenoid",
    done="solenoid mended",
    minutes=30,
    tools="contacts or solenoid of its type",
    steps=("renew the contacts", "free and clean the plunger", "measure drop and pinion clearance"),
    caution="battery earth lead off first",
)


def _band_unstated(facts: Facts, _rules: MotorRules) -> bool:
    return END_FLOAT_HIGH_MM.stated(facts.figures) is None and facts.motor_class != "starter"


FINDINGS = (
    FLOAT_OUT := finding("float.out", "end float outside its band", "plan", "shim it", DRIVE, SHIM_END_FLOAT),
    VIBRATION_WATCH := finding(
        "vibration.watch",
        "vibration to be watched",
        "watch",
        "look at balance, bearings and coupling at the next stop",
        DRIVE,
        SEEK_ONCE_A_TURN,
    ),
    VIBRATION_HIGH := finding(
        "vibration.high", "vibration too much", "change", "balance, bearings, coupling", DRIVE, SEEK_ONCE_A_TURN
    ),
    RING_SQUEEZE := finding(
        "ring.squeeze", "O-ring squeezed too little or too much", "plan", "take the right section", DRIVE, RENEW_SEAL
    ),
    PINION_OFF := finding(
        "pinion.gap",
        "pinion clearance outside the maker's figure",
        "plan",
        "set it by its shim or screw",
        DRIVE,
        MEND_SOLENOID,
    ),
    PINION_UNDER := finding(
        "pinion.under",
        "pinion clearance under the least",
        "change",
        "set it before it cranks again: it strikes its stop and tears the housing",
        DRIVE,
        MEND_SOLENOID,
    ),
    SOLENOID_STUCK := finding(
        "solenoid.stuck",
        "plunger sticks, or the pinion stays in",
        "stop",
        "not to be run: the engine drives it to pieces; free or renew it, three throws, measure the clearance",
        DRIVE,
        MEND_SOLENOID,
    ),
    SOLENOID_BURNT := finding(
        "solenoid.burnt",
        "contact of the solenoid burnt",
        "plan",
        "renew the contacts, then measure their drop while it cranks",
        DRIVE,
        MEND_SOLENOID,
    ),
    SOLENOID_BAD := finding(
        "solenoid.bad", "solenoid contact drops too much", "change", "renew contacts or solenoid", DRIVE, MEND_SOLENOID
    ),
)
FIELDS: tuple[Field, ...] = (
    END_FLOAT := quantity(
        "end-float",
        "Shaft",
        "End float",
        "length",
        needs="safe",
        high=50,
        judged=True,
        tells=(FLOAT_OUT,),
        touched_by=(RENEW_BEARING, FIT_WASHER, PUT_BACK),
    ),
    FLOAT_IN := pick(
        "float-in",
        "Shaft",
        "It runs in",
        ("bush", "plain bushes"),
        ("ball", "ball bearings"),
        ("preloaded", "ball bearings held by a spring"),
        needs="safe",
        offered=_band_unstated,
        judged=True,
        tested="end-float",
    ),
    VIBRATION := quantity(
        "vibration",
        "Shaft",
        "Vibration of the housing, rms",
        "vibration",
        high=1000,
        judged=True,
        compared=True,
        tells=(VIBRATION_WATCH, VIBRATION_HIGH),
        touched_by=(RENEW_BEARING, MEND_DRIVE, RENEW_FAN),
    ),
    RING_SECTION := quantity(
        "ring-section",
        "Seals",
        "Thickness of an O-ring",
        "length",
        needs="safe",
        low=0.1,
        high=50,
        judged=True,
        tells=(RING_SQUEEZE,),
    ),
    RING_GROOVE := quantity(
        "ring-groove",
        "Seals",
        "Depth of its groove",
        "length",
        needs="safe",
        high=50,
        judged=True,
        tells=(RING_SQUEEZE,),
    ),
    TEETH := pick(
        "teeth",
        "Drive",
        "Pinion and gears",
        ("sound", "sound"),
        ("worn", "worn or rounded"),
        ("chipped", "chipped"),
        needs="safe",
        judged=True,
        finds={"worn": DRIVE_WORN, "chipped": DRIVE_TEETH},
    ),
    CLUTCH := pick(
        "clutch",
        "Drive",
        "One-way clutch",
        ("right", "locks one way, free the other"),
        ("slips", "slips"),
        ("jams", "jams both ways"),
        needs="safe",
        judged=True,
        finds={"slips": DRIVE_WORN, "jams": DRIVE_JAMMED},
    ),
    BELT := pick(
        "belt",
        "Drive",
        "Belt",
        ("sound", "sound, in its grooves"),
        ("cracked", "cracked or glazed"),
        ("off", "ribs not in their grooves"),
        needs="safe",
        judged=True,
        finds={"cracked": DRIVE_BELT, "off": DRIVE_BELT},
    ),
    CUSHIONS := pick(
        "cushions",
        "Drive",
        "Rubber cushions",
        ("sound", "sound"),
        ("hard", "cracked or hard"),
        needs="safe",
        judged=True,
        finds={"hard": DRIVE_COUPLING},
    ),
    PLUNGER := pick(
        "plunger",
        "Solenoid",
        "Plunger",
        ("free", "free"),
        ("sticks", "sticks"),
        needs="safe",
        classes=("starter",),
        judged=True,
        finds={"sticks": SOLENOID_STUCK},
    ),
    CONTACT := pick(
        "contact",
        "Solenoid",
        "Its contact",
        ("sound", "sound, bright"),
        ("burnt", "burnt or pitted"),
        needs="safe",
        classes=("starter",),
        judged=True,
        finds={"burnt": SOLENOID_BURNT},
    ),
    SOLENOID_V := quantity(
        "solenoid-v",
        "Solenoid",
        "Drop over its contact while cranking",
        "voltage",
        needs="permit",
        high=50,
        classes=("starter",),
        judged=True,
        tells=(SOLENOID_BAD,),
        proves=(SOLENOID_BURNT,),
        hangs_on=(DRIVE, BATTERY),
    ),
    PINION_GAP := quantity(
        "pinion-gap",
        "Solenoid",
        "Pinion clearance at full throw",
        "length",
        needs="safe",
        high=100,
        classes=("starter",),
        judged=True,
        tells=(PINION_OFF, PINION_UNDER),
    ),
)
