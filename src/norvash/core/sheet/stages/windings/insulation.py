"""Insulation to earth and the polarization index."""

from norvash.core.rules.book import MotorRules
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.field import Field
from norvash.core.sheet.fields_made import pick, quantity, tick
from norvash.core.sheet.finding import finding
from norvash.core.sheet.part import WINDINGS
from norvash.core.sheet.stages.brushes.holders import RENEW_INSULATOR
from norvash.core.sheet.stages.commutator.seen import CLEAN_AFTER_FLASHOVER
from norvash.core.sheet.stages.shared import DRY_INSULATION, RENEW_ARMATURE, VACUUM
from norvash.core.sheet.stages.windings.coils import RENEW_COIL
from norvash.core.sheet.task import Task
from norvash.core.windings.circuits import CIRCUITS

TEST_INSULATION = Task(
    id="test-insulation",
    what="Test the insulation again",
    done="insulation tested again",
    minutes=15,
    tools="insulation tester, thermometer",
    steps=(
        "lift earthed brushes, part the field, unhook the solenoid, take capacitors off",
        "warm and dry",
        "read after one minute, with its temperature",
    ),
    caution="people clear, discharge after the test",
)


def _has_capacitors(facts: Facts, _rules: MotorRules) -> bool:
    return facts.capacitors


# fmt: off
FINDINGS = (
    INSULATION_AGAIN := finding(
        "insulation.again",
        "insulation not proven",
        "change",
        "test it again before power, warm and dry, with all parted that leads to the case",
        WINDINGS,
        TEST_INSULATION,
    ),
    INSULATION_LOW := finding(
        "insulation.low",
        "insulation to earth too low",
        "stop",
        "no power: clean and dry, test again, then look for the fault",
        WINDINGS,
        DRY_INSULATION,
        shows=("insulation", "yes"),
    ),
    INSULATION_MIDDLING := finding(
        "insulation.middling", "insulation to earth middling", "watch", "clean and dry it at the next stop, test again", WINDINGS, DRY_INSULATION
    ),
    INSULATION_FALLEN := finding(
        "insulation.fallen",
        "insulation fallen to a third of last time",
        "watch",
        "clean and dry, test again; the trend says more than one value",
        WINDINGS,
        DRY_INSULATION,
    ),
    POLARIZATION_WATCH := finding("polarization.watch", "polarization index middling", "watch", "dry it, test again", WINDINGS, DRY_INSULATION),
    POLARIZATION_LOW := finding("polarization.low", "polarization index low", "plan", "damp or dirty: clean, dry, test again", WINDINGS, DRY_INSULATION),
    POLARIZATION_HOLD := finding(
        "polarization.hold", "polarization index under one", "stop", "no power until it is clean and dry and tested again", WINDINGS, DRY_INSULATION
    ),
)
FIELDS: tuple[Field, ...] = (
    PARTED_BRUSHES := tick(
        "parted-brushes", "Insulation", "Earthed brushes lifted", needs="safe", classes=("starter", "generator"), judged=True, tested="insulation-mohm"
    ),
    PARTED_FIELD := tick("parted-field", "Insulation", "Field parted", needs="safe", classes=("starter", "generator"), judged=True, tested="insulation-mohm"),
    PARTED_SOLENOID := tick(
        "parted-solenoid", "Insulation", "Solenoid unhooked from the motor post", needs="safe", classes=("starter",), judged=True, tested="insulation-mohm"
    ),
    PARTED_CAPACITORS := tick(
        "parted-capacitors", "Insulation", "Capacitors off", needs="safe", offered=_has_capacitors, judged=True, tested="insulation-mohm"
    ),
    INSULATION_OF := pick("insulation-of", "Insulation", "What was measured", *CIRCUITS.items(), needs="safe", judged=True, tested="insulation-mohm"),
    INSULATION_DEW := pick("insulation-dew", "Insulation", "Dew or wet", ("no", "dry"), ("yes", "wet"), needs="safe", judged=True, tested="insulation-mohm"),
    INSULATION_MOHM := quantity(
        "insulation-mohm",
        "Insulation",
        "To earth, after one minute",
        "insulation",
        needs="safe",
        high=1e7,
        hint="as measured, electronics disconnected",
        judged=True,
        compared=True,
        tells=(INSULATION_AGAIN, INSULATION_LOW, INSULATION_MIDDLING, INSULATION_FALLEN),
        touched_by=(RENEW_ARMATURE, RENEW_INSULATOR, RENEW_COIL, CLEAN_AFTER_FLASHOVER, VACUUM),
    ),
    INSULATION_C := quantity(
        "insulation-c",
        "Insulation",
        "At a temperature of",
        "temperature",
        needs="safe",
        low=-40,
        high=200,
        judged=True,
        compared=True,
        tested="insulation-mohm",
    ),
    INSULATION_10 := quantity(
        "insulation-10",
        "Insulation",
        "After ten minutes",
        "insulation",
        needs="safe",
        high=1e7,
        hint="for the polarization index",
        judged=True,
        tells=(POLARIZATION_WATCH, POLARIZATION_LOW, POLARIZATION_HOLD),
        tested="insulation-mohm",
        touched_by=(RENEW_ARMATURE, CLEAN_AFTER_FLASHOVER, VACUUM),
    ),
)
# fmt: on
# What is lifted, parted or taken off before insulation is tested, as far as there is some of it.
PARTED = (PARTED_BRUSHES, PARTED_FIELD, PARTED_SOLENOID, PARTED_CAPACITORS)
