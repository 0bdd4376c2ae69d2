"""Windings as a sheet holds them: insulation with its trend, polarization index, coils and heat, slots on the
growler.
"""

import re
from collections.abc import Iterable
from dataclasses import dataclass, replace
from datetime import date

from norvash.core.known import all_known
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.given import Given
from norvash.core.sheet.sheet import Sheet
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


def tested_as(sheet: Sheet) -> EarthTest:
    """Return what this sheet's insulation is judged by."""
    facts = sheet.facts
    return EarthTest(
        rated_v=facts.rated_v,
        machine=machine_of(facts.motor_class, facts.figures.word("protection")),
        circuit=sheet.word("insulation-of") or "whole",
        parted=all(sheet.has(tick) for tick in facts.to_part),
        wet=sheet.word("insulation-dew") == "yes",
    )


def insulation_now(sheet: Sheet, rules: MotorRules) -> Insulation | None:
    """Return insulation to earth against its least and against the last sheet that has it, None where it was not
    measured.

    Source: rules insulation.*
    """
    measured = sheet.number_of("insulation-mohm")
    if measured is None:
        return None
    return judge_insulation(
        measured, sheet.number_of("insulation-c"), earlier_r40(sheet, rules), tested_as(sheet), rules
    )


def bar_to_shaft(sheet: Sheet, rules: MotorRules) -> Insulation | None:
    """Return the lowest insulation from a bar to the shaft, judged as that of an armature alone.

    None where it was not measured.
    """
    measured = sheet.number_of("bar-shaft")
    if measured is None:
        return None
    tested = replace(tested_as(sheet), circuit="armature", parted=True)
    return judge_insulation(measured, sheet.number_of("insulation-c"), None, tested, rules)


def earlier_r40(sheet: Sheet, rules: MotorRules) -> float | None:
    """Return insulation at 40 °C on the last sheet that has it with its temperature [MΩ]."""
    value, warm = sheet.earlier.get("insulation-mohm"), sheet.earlier.get("insulation-c")
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
    r40: float | None


def insulation_tests(
    kept: Iterable[tuple[str, int, Given]], until: int, rules: MotorRules
) -> tuple[InsulationTest, ...]:
    """Return every test of insulation up to a sheet, the oldest first, from (field, number of the sheet, entry)."""
    by_sheet: dict[int, dict[str, Given]] = {}
    for name, number, given in kept:
        if number <= until and given.number is not None:
            by_sheet.setdefault(number, {})[name] = given
    made = []
    for number, fields in sorted(by_sheet.items()):
        value, warm = fields.get("insulation-mohm"), fields.get("insulation-c")
        if value is not None and value.number is not None:
            temperature = warm.number if warm is not None else None
            r40 = None if temperature is None else r40_megohm(value.number, temperature, rules)
            made.append(InsulationTest(number, value.at.date(), value.number, temperature, r40))
    return tuple(made)


def index_now(sheet: Sheet, rules: MotorRules) -> Polarization | None:
    """Return the polarization index, None where one of its values is missing."""
    one, ten = sheet.number_of("insulation-mohm"), sheet.number_of("insulation-10")
    if one is None or ten is None or one <= 0:
        return None
    facts = sheet.facts
    told = applies(facts.figures.word("form_wound") == "yes", facts.figures.stated("rated_w"), rules)
    return judge_polarization(one, ten, rules, told=told)


def coils_now(sheet: Sheet, rules: MotorRules) -> Coils | None:
    """Return the field coils against each other, None for fewer than two."""
    ohms = [x for x in sheet.column("coils") if x is not None]
    warm = sheet.number_of("coils-c")
    try:
        return judge_coils(ohms, 20.0 if warm is None else warm, rules)
    except InputError:
        return None


def heat_now(sheet: Sheet, rules: MotorRules) -> tuple[float, float | None] | None:
    """Return the winding's temperature by its resistance and its rise over the air [°C, K], None where a value is
    missing.
    """
    measured = all_known(*(sheet.number_of(n) for n in ("cold-ohm", "cold-c", "hot-ohm")))
    if measured is None or measured[0] <= 0:
        return None
    (cold, cold_c, hot), air = measured, sheet.number_of("air-c")
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
    if sheet.word("growler") != "fail":
        return {}
    bars, slots = sheet.facts.figures.stated("bars"), sheet.facts.figures.stated("armature_slots")
    runs = [(int(a), int(b or a)) for a, b in _RUN.findall(sheet.word("growler-slots"))]
    named = sorted({n for a, b in runs for n in range(a, min(b, a + _MOST_SLOTS) + 1)})
    return {n: bars_of_slot(n, int(bars), int(slots)) if bars and slots else None for n in named}
