"""Windings as a sheet holds them: insulation with its trend, polarization index, coils and heat, slots on the
growler.
"""

import re
from collections.abc import Iterable
from dataclasses import dataclass, replace
from datetime import date

from norvash.core.edges import over
from norvash.core.known import all_known
from norvash.core.motor.figure_fields import ARMATURE_SLOTS, BARS, FORM_WOUND, PROTECTION, RATED_W
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.field import Tick
from norvash.core.sheet.given import Given
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.stages.commutator.bar_test import BAR_SHAFT
from norvash.core.sheet.stages.windings.coils import (
    AIR_C,
    COILS,
    COILS_C,
    COLD_C,
    COLD_OHM,
    GROWLER_SLOTS,
    GROWLER_TEST,
    HOT_OHM,
)
from norvash.core.sheet.stages.windings.insulation import (
    INSULATION_10,
    INSULATION_C,
    INSULATION_DEW,
    INSULATION_MOHM,
    INSULATION_OF,
    PARTED,
)
from norvash.core.windings.insulation import (
    EarthTest,
    Insulation,
    Polarization,
    applies,
    judge_insulation,
    judge_polarization,
    machine_of,
    r40_megohm,
)
from norvash.core.windings.resistance import Coils, bars_of_slot, judge_coils, winding_c
from norvash.errors import InputError


def to_part(facts: Facts, rules: MotorRules) -> tuple[Tick, ...]:
    """Return what must be ticked before its insulation is judged: what leads to the case or round the winding."""
    return tuple(tick for tick in PARTED if tick.is_offered(facts, rules))


def tested_as(sheet: Sheet, rules: MotorRules) -> EarthTest:
    """Return what this sheet's insulation is judged by."""
    facts = sheet.facts
    return EarthTest(
        rated_v=facts.rated_v,
        machine=machine_of(facts.motor_class, PROTECTION.of(facts.figures)),
        circuit=INSULATION_OF.of(sheet) or "whole",
        parted=all(tick.of(sheet) for tick in to_part(facts, rules)),
        wet=INSULATION_DEW.of(sheet) == "yes",
    )


def insulation_now(sheet: Sheet, rules: MotorRules) -> Insulation | None:
    """Return insulation to earth against its least and against the last sheet that has it, None where it was not
    measured.

    Source: rules insulation.*
    """
    measured = INSULATION_MOHM.of(sheet)
    if measured is None:
        return None
    return judge_insulation(measured, INSULATION_C.of(sheet), earlier_r40(sheet, rules), tested_as(sheet, rules), rules)


def bar_to_shaft(sheet: Sheet, rules: MotorRules) -> Insulation | None:
    """Return the lowest insulation from a bar to the shaft, judged as that of an armature alone.

    None where it was not measured.
    """
    measured = BAR_SHAFT.of(sheet)
    if measured is None:
        return None
    tested = replace(tested_as(sheet, rules), circuit="armature", parted=True)
    return judge_insulation(measured, INSULATION_C.of(sheet), None, tested, rules)


def earlier_r40(sheet: Sheet, rules: MotorRules) -> float | None:
    """Return insulation at 40 °C on the last sheet that has it with its temperature [MΩ]."""
    value, warm = INSULATION_MOHM.earlier(sheet), INSULATION_C.earlier(sheet)
    if value is None or warm is None or value.sheet != warm.sheet:
        return None
    measured = all_known(value.given.number, warm.given.number)
    if measured is None:
        return None
    megohm, temperature_c = measured
    return r40_megohm(megohm, temperature_c, rules)


@dataclass(frozen=True, slots=True)
class InsulationTest:
    """Insulation to earth as one sheet has it: as measured [MΩ], at its temperature [°C], at 40 °C [MΩ] where that is
    known.
    """

    sheet: int
    on: date
    megohm: float
    temperature_c: float | None
    r40_megohm: float | None


def insulation_tests(
    kept: Iterable[tuple[str, int, Given]], until: int, rules: MotorRules
) -> tuple[InsulationTest, ...]:
    """Return every test of insulation up to a sheet, the oldest first, from (field, number of the sheet, entry)."""
    by_sheet: dict[int, dict[str, Given]] = {}
    for name, number, given in kept:
        if not over(number, until) and given.number is not None:
            by_sheet.setdefault(number, {})[name] = given
    made = []
    for number, fields in sorted(by_sheet.items()):
        value, warm = fields.get(INSULATION_MOHM.id), fields.get(INSULATION_C.id)
        if value is not None and value.number is not None:
            temperature = warm.number if warm is not None else None
            r40 = None if temperature is None else r40_megohm(value.number, temperature, rules)
            made.append(InsulationTest(number, value.at.date(), value.number, temperature, r40))
    return tuple(made)


def index_now(sheet: Sheet, rules: MotorRules) -> Polarization | None:
    """Return the polarization index, None where one of its values is missing."""
    one, ten = INSULATION_MOHM.of(sheet), INSULATION_10.of(sheet)
    if one is None or ten is None or one <= 0:
        return None
    facts = sheet.facts
    told = applies(FORM_WOUND.of(facts.figures) == "yes", RATED_W.stated(facts.figures), rules)
    return judge_polarization(one, ten, rules, told=told)


def coils_now(sheet: Sheet, rules: MotorRules) -> Coils | None:
    """Return the field coils against each other, None for fewer than two."""
    ohms = [x for x in COILS.of(sheet) if x is not None]
    warm = COILS_C.of(sheet)
    try:
        return judge_coils(ohms, 20.0 if warm is None else warm, rules)
    except InputError:
        return None


def heat_now(sheet: Sheet, rules: MotorRules) -> tuple[float, float | None] | None:
    """Return the winding's temperature by its resistance and its rise over the air [°C, K], None where a value is
    missing.
    """
    measured = all_known(COLD_OHM.of(sheet), COLD_C.of(sheet), HOT_OHM.of(sheet))
    if measured is None or measured[0] <= 0:
        return None
    (cold, cold_c, hot), air = measured, AIR_C.of(sheet)
    try:
        warm = winding_c(cold, cold_c, hot, rules)
    except InputError:
        return None
    return warm, None if air is None else warm - air


_RUN = re.compile(r"([0-9]{1,4})(?:\s*[-–]\s*([0-9]{1,4}))?")
_MOST_SLOTS = 40


def slots_on_growler(sheet: Sheet) -> dict[int, tuple[int, int] | None]:
    """Return each slot that answers on the growler with its first and last bar, None where the figures do not tell
    them.
    """
    if GROWLER_TEST.of(sheet) != "fail":
        return {}
    bars, slots = BARS.stated(sheet.facts.figures), ARMATURE_SLOTS.stated(sheet.facts.figures)
    runs = [(int(a), int(b or a)) for a, b in _RUN.findall(GROWLER_SLOTS.of(sheet))]
    named = sorted({n for a, b in runs for n in range(a, min(b, a + _MOST_SLOTS) + 1)})
    return {n: bars_of_slot(n, int(bars), int(slots)) if bars and slots else None for n in named}
