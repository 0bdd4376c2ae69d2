"""Prove: the gate before power, the run, the protective earth."""

from collections.abc import Iterator
from datetime import datetime

from norvash.core.diagnosis.causes import CAUSES
from norvash.core.edges import over
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.field import Field
from norvash.core.sheet.fields_made import pick, quantity, tick
from norvash.core.sheet.finding import Noted, finding
from norvash.core.sheet.gates import POWER
from norvash.core.sheet.part import WINDINGS
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.stage import Stage, Visit
from norvash.core.sheet.stages.call_in import COMPLAINT_DEAD, FIND_FAULT
from norvash.core.sheet.task import Task
from norvash.core.text.words import grouped

JOIN_EARTH = Task(
    id="earth",
    what="Join the protective earth again",
    done="protective earth joined again",
    minutes=15,
    tools="ohmmeter, star washer",
    steps=("clean to metal", "join", "measure with the lead taken off"),
)


def _is_earthed(facts: Facts, _rules: MotorRules) -> bool:
    return facts.earthed


FINDINGS = (
    EARTH_OPEN := finding(
        "earth.open",
        "protective earth too high",
        "stop",
        "no power until the earth is joined again",
        WINDINGS,
        JOIN_EARTH,
    ),
)
FIELDS: tuple[Field, ...] = (
    FIRST_TOUCH := pick(
        "bump",
        "Run",
        "A short touch of power",
        ("right", "right way round, nothing rubs"),
        ("wrong", "wrong way round"),
        ("rubs", "rubs or sparks"),
        needs="power",
    ),
    RUN_V := quantity("run-v", "Run", "Volts", "voltage", needs="power", high=50000),
    RUN_A := quantity("run-a", "Run", "Current", "current", needs="power", high=50000),
    RUN_RPM := quantity("run-rpm", "Run", "Speed", "speed", needs="power", high=1e5),
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
    ),
    RAN := tick("ran", "Run", "It ran as it should", needs="power"),
    EARTH_OHM := quantity(
        "earth-ohm",
        "Earth",
        "Protective earth, lead taken off",
        "resistance",
        classes=("appliance", "tool", "industrial"),
        offered=_is_earthed,
        judged=True,
        tells=(EARTH_OPEN,),
    ),
)


# How a complaint ends: by an answer, after the motor was run.
GONE_ANSWERS = ("this", "unknown")
COMPLAINT_NOW = pick(
    "complaint-now",
    "The complaint",
    "Is the complaint gone?",
    ("this", "gone: this was it"),
    ("unknown", "gone, cause not known"),
    ("still", "still there"),
    needs="power",
    judged=True,
    placed=True,
    tells=(COMPLAINT_DEAD,),
    does=(FIND_FAULT,),
)
CAUSE_WAS = pick(
    "cause-was", "The complaint", "What it was", *((c.id, c.words) for c in CAUSES), needs="power", placed=True
)


def complaint_gone(sheet: Sheet) -> bool:
    """Tell whether somebody has said that the complaint is gone."""
    return COMPLAINT_NOW.of(sheet) in GONE_ANSWERS


def proof_run(sheet: Sheet) -> bool:
    """Tell whether it was run and ran as it should: volts, current or speed, entered after the gate, and the tick."""
    return RAN.of(sheet) and any(f.of(sheet) is not None for f in (RUN_V, RUN_A, RUN_RPM))


def run_words(sheet: Sheet, since: datetime) -> str:
    """Return how it ran, in words, by what was measured from a time on; empty where nothing was."""
    read = [f.given(sheet) for f in (RUN_RPM, RUN_A, RUN_V)]
    rpm, amps, volts = (g.number if g is not None and g.at >= since else None for g in read)
    made = [f"{grouped(rpm)} r/min"] if rpm is not None else []
    made += [f"{amps:g} A"] if amps is not None else []
    made += [f"{volts:g} V"] if volts is not None else []
    return " at ".join([made[0], ", ".join(made[1:])]) if len(made) > 1 else "".join(made)


def _judge(sheet: Sheet, rules: MotorRules, _worn_mm: tuple[float, ...]) -> Iterator[Noted]:
    """Return a protective earth that is too high. Source: rule earth.ohm"""
    earth = EARTH_OHM.of(sheet)
    if earth is not None and over(earth, rules["earth.ohm"]):
        words = f"protective earth {earth:g} Ω, allowed {rules['earth.ohm']:g}"
        yield 0, EARTH_OPEN.saying(words)


def _is_done(visit: Visit) -> bool:
    return proof_run(visit.sheet)


STAGE = Stage(
    id="prove",
    name="prove",
    words="Prove",
    fields=(*FIELDS, COMPLAINT_NOW, CAUSE_WAS),
    findings=FINDINGS,
    gate=POWER,
    schools=("school.test",),
    proves=True,
    judge=_judge,
    is_done=_is_done,
)
