"""Prove: the gate before power, the run, the protective earth."""

from collections.abc import Iterator

from norvash.core.edges import over
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.field import Field, pick, quantity
from norvash.core.sheet.finding import Noted, finding
from norvash.core.sheet.gates import POWER
from norvash.core.sheet.part import WINDINGS
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.stage import Stage
from norvash.core.sheet.task import Task

JOIN_EARTH = Task(
    id="earth",
    what="Join the protective earth again",
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
    EARTH_OHM := quantity(
        "earth-ohm",
        "Earth",
        "Protective earth, lead taken off",
        "resistance",
        classes=("appliance", "tool", "industrial"),
        offered=_is_earthed,
        judged=True,
    ),
)


def _judge(sheet: Sheet, rules: MotorRules, _worn_mm: tuple[float, ...]) -> Iterator[Noted]:
    """Return a protective earth that is too high. Source: rule earth.ohm"""
    earth = EARTH_OHM.of(sheet)
    if earth is not None and over(earth, rules["earth.ohm"]):
        yield 0, EARTH_OPEN


STAGE = Stage(
    id="prove",
    name="prove",
    words="Prove",
    fields=FIELDS,
    findings=FINDINGS,
    gate=POWER,
    schools=("school.test",),
    proves=True,
    judge=_judge,
)
