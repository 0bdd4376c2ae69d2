"""Insulation to earth and the polarization index."""

from collections.abc import Callable

from norvash.core.rules.book import MotorRules
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.field import Field
from norvash.core.sheet.fields_made import More, pick, quantity, tick
from norvash.core.sheet.finding import finding
from norvash.core.sheet.part import BRUSHES, COMMUTATOR, HOLDERS, WINDINGS
from norvash.core.sheet.task import Task
from norvash.core.stages.brushes.holders import INSULATOR_CRACKED, RENEW_INSULATOR
from norvash.core.stages.commutator.seen import CLEAN_AFTER_FLASHOVER
from norvash.core.stages.shared import (
    DRY_INSULATION,
    JOIN_WIRE,
    RE_SOLDER,
    RENEW_ARMATURE,
    RENEW_SUPPRESSOR,
    SECURE_TURNS,
    VACUUM,
)
from norvash.core.stages.signed_over import OVER_INSULATION
from norvash.core.stages.stacks import PUT_BACK
from norvash.core.stages.windings.coils import RENEW_COIL
from norvash.core.stages.windings.seen import SUPPRESSOR_SHORT
from norvash.core.windings.circuits import PLACES

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


# Classes of which a post carries the current through the case.
_POSTS = ("starter", "generator", "traction")


def _has_capacitors(facts: Facts, _rules: MotorRules) -> bool:
    return facts.capacitors


def _has_earthed_brushes(facts: Facts, _rules: MotorRules) -> bool:
    return facts.earthed_brushes


def _has_field_to_case(facts: Facts, _rules: MotorRules) -> bool:
    return facts.field_to_case


def _has_solenoid(facts: Facts, _rules: MotorRules) -> bool:
    return facts.solenoid


def _first(offered: Callable[[Facts, MotorRules], bool]) -> More:
    """Return what a tick is that is asked before insulation is judged, of those that have what it speaks of."""
    return More(needs="safe", offered=offered, judged=True, compared=True, tested="insulation-mohm")


FINDINGS = (
    INSULATION_AGAIN := finding(
        "insulation.again",
        "insulation not proven",
        "change",
        "test it again before power, warm and dry, with all parted that leads to the case",
        WINDINGS,
        TEST_INSULATION,
        kinds={"before-power"},
        per="circuit",
    ),
    INSULATION_LOW := finding(
        "insulation.low",
        "insulation to earth too low",
        "stop",
        "no power: clean and dry, test again, then look for the fault",
        WINDINGS,
        DRY_INSULATION,
        shows=("insulation", "yes"),
        kinds={"before-power", "bars-tests"},
        per="circuit",
    ),
    INSULATION_MIDDLING := finding(
        "insulation.middling",
        "insulation to earth middling",
        "watch",
        "clean and dry it at the next stop, test again",
        WINDINGS,
        DRY_INSULATION,
        per="circuit",
    ),
    INSULATION_FALLEN := finding(
        "insulation.fallen",
        "insulation fallen to a third of last time",
        "watch",
        "clean and dry, test again; the trend says more than one value",
        WINDINGS,
        DRY_INSULATION,
        per="circuit",
    ),
    POLARIZATION_WATCH := finding(
        "polarization.watch",
        "polarization index middling",
        "watch",
        "dry it, test again",
        WINDINGS,
        DRY_INSULATION,
        per="circuit",
    ),
    POLARIZATION_LOW := finding(
        "polarization.low",
        "polarization index low",
        "plan",
        "damp or dirty: clean, dry, test again",
        WINDINGS,
        DRY_INSULATION,
        per="circuit",
    ),
    POLARIZATION_HOLD := finding(
        "polarization.hold",
        "polarization index under one",
        "stop",
        "no power until it is clean and dry and tested again",
        WINDINGS,
        DRY_INSULATION,
        kinds={"before-power", "bars-tests"},
        per="circuit",
    ),
)
FIELDS: tuple[Field, ...] = (
    PARTED_BRUSHES := tick("parted-brushes", "Insulation", "Earthed brushes lifted", **_first(_has_earthed_brushes)),
    PARTED_FIELD := tick("parted-field", "Insulation", "Field parted", **_first(_has_field_to_case)),
    PARTED_SOLENOID := tick(
        "parted-solenoid", "Insulation", "Solenoid unhooked from the motor post", **_first(_has_solenoid)
    ),
    PARTED_CAPACITORS := tick("parted-capacitors", "Insulation", "Capacitors off", **_first(_has_capacitors)),
    INSULATION_OF := pick(
        "insulation-of",
        "Insulation",
        "What was measured",
        ("whole", "the whole circuit, brush gear in it"),
        ("armature", "armature alone, or a bar to the shaft"),
        needs="safe",
        judged=True,
        placed=True,
        tested="insulation-mohm",
    ),
    WAIVE_INSULATION := pick(
        "waiver.insulation",
        "Waived",
        "No instrument here",
        ("residual", "run behind a residual current device"),
        why=True,
        placed=True,
    ),
    INSULATION_MOHM := quantity(
        "insulation-mohm",
        "Insulation",
        "To earth, after one minute",
        "insulation",
        needs="safe",
        per="circuit",
        whole=True,
        high=1e7,
        hint="as measured, electronics disconnected",
        judged=True,
        compared=True,
        tells=(INSULATION_AGAIN, INSULATION_LOW, INSULATION_MIDDLING, INSULATION_FALLEN),
        hangs_on=(WINDINGS, COMMUTATOR, HOLDERS, BRUSHES),
        proves=(INSULATOR_CRACKED, SUPPRESSOR_SHORT, OVER_INSULATION),
        touched_by=(
            RENEW_ARMATURE,
            RENEW_INSULATOR,
            RENEW_SUPPRESSOR,
            RENEW_COIL,
            JOIN_WIRE,
            RE_SOLDER,
            SECURE_TURNS,
            CLEAN_AFTER_FLASHOVER,
            VACUUM,
            PUT_BACK,
        ),
    ),
    INSULATION_C := quantity(
        "insulation-c",
        "Insulation",
        "At a temperature of",
        "temperature",
        needs="safe",
        per="circuit",
        whole=True,
        low=-40,
        high=200,
        judged=True,
        compared=True,
        tested="insulation-mohm",
    ),
    INSULATION_DEW := pick(
        "insulation-dew",
        "Insulation",
        "Dew or wet",
        ("no", "dry"),
        ("yes", "wet"),
        needs="safe",
        per="circuit",
        whole=True,
        judged=True,
        tested="insulation-mohm",
    ),
    INSULATION_10 := quantity(
        "insulation-10",
        "Insulation",
        "After ten minutes",
        "insulation",
        needs="safe",
        per="circuit",
        whole=True,
        high=1e7,
        hint="for the polarization index",
        judged=True,
        tells=(POLARIZATION_WATCH, POLARIZATION_LOW, POLARIZATION_HOLD),
        tested="insulation-mohm",
        touched_by=(RENEW_ARMATURE, CLEAN_AFTER_FLASHOVER, VACUUM),
    ),
)
# What is lifted, parted or taken off before insulation is tested, as far as there is some of it: each with the act.
PARTED = (
    (PARTED_BRUSHES, "lift earthed brushes"),
    (PARTED_FIELD, "part the field"),
    (PARTED_SOLENOID, "unhook the solenoid from the motor post"),
    (PARTED_CAPACITORS, "take capacitors off"),
)


def circuits_of(facts: Facts) -> tuple[int, ...]:
    """Return the places at which insulation is kept for a motor: whole, armature, field where it has one, post."""
    has = {"field": not facts.magnets, "post": facts.motor_class in _POSTS}
    return tuple(n for n, circuit in enumerate(PLACES) if has.get(circuit, True))
