"""Windings as a sheet holds them: insulation with its trend, polarization index, coils and heat, slots on the
growler.
"""

import re
from collections.abc import Iterable, Iterator
from dataclasses import dataclass, replace
from datetime import date
from statistics import median

from norvash.core.edges import over
from norvash.core.motor.figure import Number
from norvash.core.motor.figure_fields import (
    ARMATURE_SLOTS,
    BARS,
    FIELD_COIL_OHM,
    FIELD_OHM,
    FORM_WOUND,
    INSULATION_CLASS,
    PROTECTION,
    RATED_W,
    SHORT_DUTY,
    WINDING_RISE_K,
)
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.field import Field, Tick
from norvash.core.sheet.given import Earlier, Given
from norvash.core.sheet.records import Readings
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.commutator.bar_test import BAR_SHAFT, BAR_SHAFT_C
from norvash.core.stages.windings.coils import (
    AIR_C,
    COILS,
    COILS_C,
    COILS_STEP,
    COLD_C,
    COLD_OHM,
    FIELD_WHOLE,
    GROWLER_SLOTS,
    GROWLER_TEST,
    HOT_OHM,
    WINDING_C,
)
from norvash.core.stages.windings.insulation import (
    INSULATION_10,
    INSULATION_C,
    INSULATION_DEW,
    INSULATION_MOHM,
    INSULATION_OF,
    PARTED,
)
from norvash.core.windings.circuits import PLACES
from norvash.core.windings.field_coils import OPEN_OHM, Coils, CoilTest, judge_coils
from norvash.core.windings.heat import HeatBy, HeatHeld, HeatJudged, judge_heat
from norvash.core.windings.insulation import EarthTest, Insulation, judge_insulation, machine_of, trend_megohm
from norvash.core.windings.polarization import Polarization, applies, judge_polarization
from norvash.core.windings.resistance import bars_of_slot, winding_c
from norvash.errors import InputError


def to_part(facts: Facts, rules: MotorRules) -> tuple[tuple[Tick, str], ...]:
    """Return what must be ticked before its insulation is judged, with the act: what leads to the case or round the
    winding, as far as there is some of it.
    """
    return tuple((tick, act) for tick, act in PARTED if tick.is_offered(facts, rules))


def circuit_at(sheet: Sheet, place: int) -> str:
    """Return which circuit stands at a place; of the first an earlier version said so beside it."""
    return INSULATION_OF.of(sheet) or PLACES[0] if place == 0 else PLACES[place]


def held_to(sheet: Sheet, rules: MotorRules, place: int = 0) -> EarthTest:
    """Return what insulation is judged by on a sheet, of one circuit: only of the whole something is parted."""
    facts, circuit = sheet.facts, circuit_at(sheet, place)
    wanting = tuple(act for tick, act in to_part(facts, rules) if not tick.of(sheet)) if circuit == "whole" else ()
    return EarthTest(
        rated_v=facts.rated_v,
        machine=machine_of(facts.motor_class, PROTECTION.of(facts.figures), battery=facts.by_battery),
        circuit=circuit,
        parted=not wanting,
        to_part=wanting,
        wet=INSULATION_DEW.of(sheet, place) == "yes",
    )


def insulation_now(sheet: Sheet, rules: MotorRules, place: int = 0) -> Insulation | None:
    """Return insulation to earth against its least and against the last sheet that has it, None where it was not
    measured.

    Source: rules insulation.*
    """
    measured = INSULATION_MOHM.of(sheet, place)
    if measured is None:
        return None
    warm, tested = INSULATION_C.of(sheet, place), held_to(sheet, rules, place)
    return judge_insulation(measured, warm, earlier_r40(sheet, rules, place), tested, rules)


def bar_to_shaft(sheet: Sheet, rules: MotorRules) -> Insulation | None:
    """Return the lowest insulation from a bar to the shaft, judged as that of an armature alone.

    Its temperature is its own, or that of the test of the whole. None where it was not measured.
    """
    measured, own = BAR_SHAFT.of(sheet), BAR_SHAFT_C.of(sheet)
    if measured is None:
        return None
    tested = replace(held_to(sheet, rules), circuit="shaft", parted=True, to_part=())
    warm = INSULATION_C.of(sheet) if own is None else own
    value, then = BAR_SHAFT.earlier(sheet), BAR_SHAFT_C.earlier(sheet)
    return judge_insulation(measured, warm, _at_40(value, then, rules), tested, rules)


def earlier_r40(sheet: Sheet, rules: MotorRules, place: int = 0) -> float | None:
    """Return insulation at 40 °C on the last sheet that has it of the same circuit, with its temperature and the same
    parts lifted [MΩ].
    """
    value, warm = INSULATION_MOHM.earlier(sheet, place), INSULATION_C.earlier(sheet, place)
    if value is None:
        return None
    for tick, _ in to_part(sheet.facts, rules) if circuit_at(sheet, place) == "whole" else ():
        then = tick.earlier(sheet)
        if (then is not None and then.sheet == value.sheet) != tick.of(sheet):
            return None
    return _at_40(value, warm, rules)


def _at_40(value: Earlier | None, warm: Earlier | None, rules: MotorRules) -> float | None:
    if value is None or warm is None or value.sheet != warm.sheet:
        return None
    megohm, at_c = value.given.number, warm.given.number
    return None if megohm is None or at_c is None else trend_megohm(megohm, at_c, rules)


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
            r40 = None if temperature is None else trend_megohm(value.number, temperature, rules)
            made.append(InsulationTest(number, value.at.date(), value.number, temperature, r40))
    return tuple(made)


def index_now(sheet: Sheet, rules: MotorRules, place: int = 0) -> Polarization | None:
    """Return the polarization index of a circuit, None where one of its values is missing."""
    one, ten = INSULATION_MOHM.of(sheet, place), INSULATION_10.of(sheet, place)
    if one is None or ten is None or one <= 0:
        return None
    facts = sheet.facts
    told = applies(FORM_WOUND.of(facts.figures) == "yes", RATED_W.stated(facts.figures), rules)
    return judge_polarization(one, ten, rules, told=told)


def coils_now(sheet: Sheet, rules: MotorRules) -> Coils | None:
    """Return the field coils against each other, None without one."""
    return _judged(tuple(x for x in COILS.of(sheet) if x is not None), FIELD_COIL_OHM, COILS, sheet, rules)


def field_now(sheet: Sheet, rules: MotorRules) -> Coils | None:
    """Return the whole field by its resistance, against its plate or the last sheet; None where it was not measured."""
    ohm = FIELD_WHOLE.of(sheet)
    return None if ohm is None else _judged((ohm,), FIELD_OHM, FIELD_WHOLE, sheet, rules)


def _judged(ohms: tuple[float, ...], usual: Number, field: Field, sheet: Sheet, rules: MotorRules) -> Coils | None:
    """Return coils judged, alone against what one has by type or on the last sheet at the same temperature."""
    figures, warm, then = sheet.facts.figures, COILS_C.of(sheet), field.earlier(sheet)
    known = usual.of(figures)
    if known is None and then is not None:
        known = _earlier_at_20(then, COILS_C.earlier(sheet), rules)
    test = CoilTest(construction=sheet.facts.construction, step_ohm=COILS_STEP.of(sheet), usual_ohm=known)
    try:
        return judge_coils(ohms, 20.0 if warm is None else warm, test, rules)
    except InputError:
        return None


def _earlier_at_20(then: Earlier, warm: Earlier | None, rules: MotorRules) -> float | None:
    """Return what a coil had on the last sheet, at 20 °C [Ω]: of several the median of those that were not open."""
    given, at = then.given, warm.given.number if warm is not None and warm.sheet == then.sheet else None
    read = given.record.values if isinstance(given.record, Readings) else (given.number,)
    closed = [x for x in read if x is not None and 0 < x < OPEN_OHM]
    return median(closed) / (1 + rules["field.coefficient"] * ((20.0 if at is None else at) - 20)) if closed else None


def heats_now(sheet: Sheet, rules: MotorRules) -> list[tuple[HeatBy, HeatJudged]]:
    """Return how hot the winding was against what it may be, by each way in which it was measured."""
    facts, air = sheet.facts, AIR_C.of(sheet)
    held = HeatHeld(
        insulation_class=INSULATION_CLASS.of(facts.figures),
        stated_k=WINDING_RISE_K.of(facts.figures),
        stated_only=facts.motor_class in ("traction", "starter") or SHORT_DUTY.of(facts.figures) == "yes",
    )
    return [(by, judge_heat(c, air, held, by, rules)) for c, by in _winding_c(sheet, rules)]


def _winding_c(sheet: Sheet, rules: MotorRules) -> Iterator[tuple[float, HeatBy]]:
    read = WINDING_C.of(sheet)
    if read is not None:
        yield read, "thermometer"
    cold, cold_c, hot = COLD_OHM.of(sheet), COLD_C.of(sheet), HOT_OHM.of(sheet)
    if cold is None or cold_c is None or hot is None:
        return
    try:
        yield winding_c(cold, cold_c, hot, rules), "resistance"
    except InputError:
        return


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
