"""What is entered of a proof run: how it is run, its points, what was seen and heard."""

from collections.abc import Mapping
from typing import Unpack

from norvash.core.rules.book import MotorRules
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.field import Field, Pick, Quantity
from norvash.core.sheet.fields_made import More, pick, quantity, text, tick
from norvash.core.sheet.finding import Finding
from norvash.core.sheet.given import Given
from norvash.core.sheet.sheet import Spot
from norvash.core.stages.prove.run_findings import (
    OUTPUT_DEAD,
    OUTPUT_FLAT,
    OUTPUT_HIGH,
    OUTPUT_LOW,
    RUN_AMPS,
    RUN_BASELINE,
    RUN_CONTACT,
    RUN_DRAG,
    RUN_HEAVY,
    RUN_HOT,
    RUN_ON_STOP,
    RUN_OVERLOAD,
    RUN_OVERSPEED,
    RUN_RUBS,
    RUN_SPARKING,
    RUN_SPARKS,
    RUN_SPEED,
    RUN_TOUCHED,
    RUN_VOLTS,
    RUN_WEAK_FIELD,
    RUN_WRONG_WAY,
)
from norvash.core.stages.prove.unstated import ENGINE_STARTS, RUN_C_BEFORE, RUN_MIN, RUN_REST
from norvash.core.stages.prove.volts import run_free_words
from norvash.core.stages.signed_over import OVER_POWER, OVER_RUN

IN_MACHINE, BARE = "machine", "bare"
_OUTPUT = (OUTPUT_DEAD, OUTPUT_FLAT, OUTPUT_LOW, OUTPUT_HIGH)
_BOTH = (RUN_DRAG, RUN_CONTACT, RUN_WEAK_FIELD, RUN_BASELINE)


def _driven(facts: Facts, _rules: MotorRules) -> bool:
    return facts.motor_class == "generator"


def _powered(facts: Facts, _rules: MotorRules) -> bool:
    return facts.motor_class != "generator"


def _is_held(facts: Facts, _rules: MotorRules) -> bool:
    return facts.idles


def _is_driven(_facts: Facts, _rules: MotorRules) -> str:
    return "A generator is driven from outside, not touched with power."


def _not_so_run(facts: Facts, rules: MotorRules) -> Mapping[str, str]:
    """Return in which ways this motor is not run, each with the reason."""
    if facts.motor_class == "generator":
        return dict.fromkeys(("free", "load", "clamped"), "a generator is driven, it gets no power")
    not_it: dict[str, str] = {"driven": "only a generator is driven"}
    if facts.motor_class == "starter":
        return not_it | {"free": "a starter jumps: it is clamped and runs in bursts"}
    not_it["clamped"] = "only a starter runs clamped, in bursts"
    if facts.runs_away and not run_free_words(facts, rules):
        not_it["free"] = "without load it runs away, and neither its plate's volts nor a safe voltage is stated"
    return not_it


def _is_asked_where(facts: Facts, _rules: MotorRules) -> bool:
    return facts.asked_where


RUN_WHERE = pick(
    "run-where",
    "Run",
    "Where it runs",
    (IN_MACHINE, "in its machine, with its own fan, gear or load"),
    (BARE, "bare, out of its machine"),
    offered=_is_asked_where,
    judged=True,
    placed=True,
)


def stands_at(written: Mapping[Spot, Given]) -> str:
    """Return where a motor is at a visit: in its machine or bare, empty until somebody says so."""
    given = written.get((RUN_WHERE.id, 0, "found"))
    return given.word if given is not None and given.word in RUN_WHERE.answers else ""


RUN_HOW = pick(
    "run-how",
    "Run",
    "How it is run",
    ("free", "without load"),
    ("load", "with its load"),
    ("clamped", "clamped, in bursts of 10 s at most"),
    ("driven", "driven from outside, guarded"),
    forbids=_not_so_run,
    judged=True,
    placed=True,
)


def _of_point(field_id: str, label: str, dimension: str, high: float, tells: tuple[Finding, ...]) -> Quantity:
    """Return a figure that every point of a run has."""
    return quantity(
        field_id,
        "Run",
        label,
        dimension,
        needs="power",
        per="number",
        whole=True,
        high=high,
        judged=True,
        tells=tells,
        after_work=True,
    )


def _looked(field_id: str, label: str, *choices: tuple[str, str], **more: Unpack[More]) -> Pick:
    """Return the question which way round it turns and whether it rubs, before it runs."""
    more |= More(needs="power", after_work=True)
    return pick(
        field_id, "Run", label, *choices, finds={"wrong": RUN_WRONG_WAY, "rubs": RUN_RUBS}, plainly=True, **more
    )


POINT: tuple[Field, ...] = (
    RUN_V := _of_point("run-v", "Volts", "voltage", 50000, (*_OUTPUT, RUN_VOLTS)),
    RUN_A := _of_point("run-a", "Current", "current", 50000, (*_BOTH, RUN_AMPS, RUN_HEAVY, RUN_OVERLOAD)),
    RUN_RPM := _of_point("run-rpm", "Speed", "speed", 1e5, (*_BOTH, RUN_OVERSPEED, RUN_SPEED, *_OUTPUT)),
    SPARKS := pick(
        "sparks",
        "Run",
        "Sparks at the brushes",
        ("0", "0, dark"),
        ("1", "1, pin points at few edges"),
        ("2", "2, light, at half the edges"),
        ("3", "3, strong, all edges"),
        ("4", "4, flashing round"),
        needs="power",
        per="number",
        whole=True,
        judged=True,
        tells=(RUN_SPARKS, RUN_SPARKING),
        after_work=True,
    ),
    RUN_S := quantity(
        "run-s",
        "Run",
        "Burst",
        "seconds",
        needs="power",
        per="number",
        whole=True,
        low=0.1,
        high=600,
        hint="at most 10 s, then two minutes to cool",
        classes=("starter",),
    ),
    RUN_MIN,
    RUN_REST,
)
REST: tuple[Field, ...] = (
    FIRST_TOUCH := _looked(
        "bump",
        "A short touch of power",
        ("right", "right way round, nothing rubs"),
        ("wrong", "wrong way round"),
        ("rubs", "rubs or sparks"),
        offered=_powered,
        why_not=_is_driven,
    ),
    TURNED := _looked(
        "turned",
        "Turned slowly from outside",
        ("right", "its own way round, nothing rubs"),
        ("wrong", "against its way round"),
        ("rubs", "rubs"),
        offered=_driven,
    ),
    REGULATOR := pick(
        "regulator",
        "Run",
        "Its regulator",
        ("apart", "left out"),
        ("in", "in circuit"),
        needs="power",
        offered=_driven,
        judged=True,
        tested="run-v",
    ),
    RUN_C := quantity(
        "run-c",
        "Run",
        "Hottest place of the case",
        "temperature",
        needs="power",
        low=-40,
        high=300,
        judged=True,
        tells=(RUN_HOT, RUN_BASELINE),
        after_work=True,
    ),
    RUN_C_BEFORE,
    RUN_AIR_C := quantity(
        "run-air-c", "Run", "Air around it", "temperature", needs="power", low=-40, high=80, judged=True, tested="run-c"
    ),
    TOUCHED_C := quantity(
        "touched-c",
        "Run",
        "Grip, or what else is touched",
        "temperature",
        needs="power",
        low=-40,
        high=300,
        offered=_is_held,
        judged=True,
        tells=(RUN_TOUCHED,),
        after_work=True,
    ),
    TOUCHED := pick(
        "touched",
        "Run",
        "That is",
        ("metal", "metal"),
        ("other", "no metal"),
        needs="power",
        offered=_is_held,
        judged=True,
        tested="touched-c",
    ),
    COAST_S := quantity(
        "coast-s",
        "Run",
        "Coasts down in",
        "seconds",
        needs="power",
        low=0.1,
        high=3600,
        judged=True,
        after_work=True,
        tells=(RUN_BASELINE,),
    ),
    NOISE := text("noise", "Run", "Noise, in words", needs="power"),
    PINION_THROWS := tick(
        "pinion-throws",
        "Run",
        "Pinion throws at once and comes back",
        needs="power",
        classes=("starter",),
        after_work=True,
        judged=True,
    ),
    ENGINE_STARTS,
    RAN := tick("ran", "Run", "It ran as it should", needs="power", after_work=True, proves=(OVER_POWER, OVER_RUN)),
    ON_STOP := text(
        "on-stop", "On a stop", "Taken while a stop stood", per="number", placed=True, judged=True, tells=(RUN_ON_STOP,)
    ),
)
# What stands under a run as soon as it is entered; its way of running is said at the gate.
FIELDS: tuple[Field, ...] = (*POINT, *REST)


def first_look(facts: Facts) -> Field:
    """Return the field that says which way it turned and whether it rubs, before it runs."""
    return TURNED if facts.motor_class == "generator" else FIRST_TOUCH
