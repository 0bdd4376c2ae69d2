"""What was measured on windings and sensors: insulation circuit by circuit, coils, heat, growler, chains."""

from collections.abc import Iterator
from dataclasses import replace

from norvash.core.grades import GRADES, Grade
from norvash.core.judging.windings.field_share import field_share_told
from norvash.core.judging.windings.measured import (
    circuit_at,
    coils_now,
    field_now,
    heats_now,
    held_to,
    index_now,
    insulation_now,
    slots_on_growler,
)
from norvash.core.judging.windings.withstood import withstood
from norvash.core.motor.figure_fields import ARMATURE_SLOTS
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.field import Field, Pick
from norvash.core.sheet.finding import Finding
from norvash.core.sheet.measured import Derived, Measured, Standing, by_rule, standing_of, value_of
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.windings.coils import (
    AIR_C,
    CHAIN_DEAD,
    COILS,
    FIELD_WHOLE,
    GROWLER_SLOTS,
    GROWLER_TEST,
    HEAT_CHAIN,
    HOT_OHM,
    WEAR_CHAIN,
    WINDING_C,
    WINDINGS_COIL,
    WINDINGS_GROWLER,
    WINDINGS_HOT,
    WINDINGS_JOINT,
    WINDINGS_OPEN,
    WINDINGS_SHORT,
)
from norvash.core.stages.windings.insulation import (
    INSULATION_10,
    INSULATION_AGAIN,
    INSULATION_FALLEN,
    INSULATION_LOW,
    INSULATION_MIDDLING,
    INSULATION_MOHM,
    POLARIZATION_HOLD,
    POLARIZATION_LOW,
    POLARIZATION_WATCH,
)
from norvash.core.text.words import listed
from norvash.core.windings.circuits import CIRCUITS
from norvash.core.windings.field_coils import Coils, CoilState
from norvash.core.windings.insulation import DRYING, MACHINES, Insulation, Way, volts_to_test_with

_OF_COILS: tuple[tuple[Finding, tuple[CoilState, ...]], ...] = (
    (WINDINGS_OPEN, ("open",)),
    (WINDINGS_SHORT, ("shorted",)),
    (WINDINGS_JOINT, ("joint",)),
    (WINDINGS_COIL, ("low", "high")),
)
_OF_INDEX: dict[str, Finding] = {"watch": POLARIZATION_WATCH, "plan": POLARIZATION_LOW, "stop": POLARIZATION_HOLD}
_WAYS: dict[Way, str] = {
    "as measured": "as measured",
    "at 40 °C": "at 40 °C",
    "extra-low": "as measured, by its low voltage",
}
_COIL_RULES = (
    *("field.coefficient", "field.spread", "field.shorted", "field.joint", "field.open", "field.open-times"),
    *("field.step", "field_coil_ohm", "field_ohm", "construction"),
)
_RISE = ("rise.stop", "rise.", "copper.zero", "insulation_class", "winding_rise_k", "short_duty")


def measured(sheet: Sheet, rules: MotorRules, _worn_mm: tuple[float, ...]) -> Iterator[Measured]:
    """Yield what was measured on windings and sensors, in the order in which it is asked for."""
    for place in INSULATION_MOHM.places(sheet):
        found = insulation_now(sheet, rules, place)
        if found is not None:
            yield _insulation(found, place, sheet, rules)
    yield from _indexes(sheet, rules)
    yield from withstood(sheet, rules)
    coils, field = coils_now(sheet, rules), field_now(sheet, rules)
    if coils is not None:
        yield from _coils(COILS, coils, "Field coils", rules)
    by_plate = field_share_told(sheet, rules) if field is not None and field.states == ("not judged",) else None
    if by_plate is not None:
        yield by_plate
    elif field is not None:
        yield from _coils(FIELD_WHOLE, field, "The field", rules)
    yield from _growler(sheet)
    yield from _heat(sheet, rules)
    for chain, words in ((WEAR_CHAIN, "wear-indicator chain"), (HEAT_CHAIN, "temperature chain")):
        yield from _chain(chain, words, sheet)


def told_first(sheet: Sheet, rules: MotorRules) -> tuple[str, ...]:
    """Return with which voltage insulation is tested, as what it is judged, and how it is dried where it must be."""
    tested = held_to(sheet, rules)
    words = f"Test voltage: {volts_to_test_with(sheet.facts.rated_v)}, people clear, discharge after. Judged as"
    read = (insulation_now(sheet, rules, n) for n in INSULATION_MOHM.places(sheet))
    dry = any(found is not None and not found.passes and not found.unparted for found in read)
    return (f"{words}: {MACHINES[tested.machine]}, {_WAYS[tested.way(rules)]}.", *((DRYING,) if dry else ()))


def _insulation(found: Insulation, place: int, sheet: Sheet, rules: MotorRules) -> Measured:
    """Return what insulation to earth is: what must stop, what proves nothing yet, what is to be watched.

    Source: rules insulation.*
    """
    circuit = circuit_at(sheet, place)
    of = "Insulation" if circuit == "whole" else f"Insulation, {CIRCUITS[circuit]}:"
    parted = held_to(sheet, rules, place).parted is not False
    off = _off(found) if parted else ()
    standing: Standing = "not judged" if not parted else standing_of(not off)
    at_40 = () if found.r40_megohm is None else (Derived("at 40 °C", found.r40_megohm, "MΩ"),)
    return value_of(
        INSULATION_MOHM,
        f"{of} {found.words}",
        standing,
        place,
        spot=place,
        value=found.judged_megohm,
        unit="MΩ",
        low=found.least_megohm,
        basis=by_rule(rules, "insulation.double" if held_to(sheet, rules).machine == "double" else "insulation.other"),
        derived=(*at_40, *(() if found.share is None else (Derived("of last time", found.share, "share"),))),
        findings=off,
        answer=("insulation", "no") if not off and parted else None,
        rests_on=("insulation.half", "insulation.", "rated_v", "protection", "fed_by", "construction"),
    )


def _off(found: Insulation) -> tuple[Finding, ...]:
    first = found.words.split(";")[0]
    if found.again:
        return (INSULATION_AGAIN.worded(f"insulation {found.measured_megohm:.3g} MΩ, {found.again}"),)
    if found.grade == "stop":
        return (INSULATION_LOW.worded(f"insulation {first}"),)
    if found.fallen:
        words = f"insulation fallen to {found.share or 0:.0%} of last time, {first}"
        return (replace(INSULATION_FALLEN.worded(words), grade=found.grade),)
    return (INSULATION_MIDDLING.worded(f"insulation {first}"),) if found.grade == "watch" else ()


def _indexes(sheet: Sheet, rules: MotorRules) -> Iterator[Measured]:
    """Yield the polarization index of every circuit that has one. Source: rules polarization.*"""
    for place in INSULATION_10.places(sheet):
        index = index_now(sheet, rules, place)
        if index is None:
            continue
        words = f"polarization index {index.words}"
        off = () if index.grade == "fit" else (_OF_INDEX[index.grade].worded(words),)
        of = "" if place == 0 else f", {CIRCUITS[circuit_at(sheet, place)]}:"
        yield Measured(
            id="polarization",
            of=((INSULATION_MOHM.id, place), (INSULATION_10.id, place)),
            words=f"Polarization index{of} {index.words}",
            standing=standing_of(not off) if index.ratio is not None else "not judged",
            spot=place,
            value=index.ratio,
            low=rules["polarization.act"],
            basis=by_rule(rules, "polarization.good", "polarization.act"),
            findings=off,
            rests_on=(
                *("polarization.good", "polarization.act", "polarization.hold", "polarization.most"),
                *("polarization.power", "rated_w", "form_wound"),
            ),
        )


def _coils(field: Field, coils: Coils, of: str, rules: MotorRules) -> Iterator[Measured]:
    """Yield each coil, and what all of them are: one life names all that are alike. Source: rules field.*"""
    found = {
        state: replace(f.worded(f"{of[0].lower()}{of[1:]}: {coils.said(*states)}"), grade=_grave(coils, states))
        for f, states in _OF_COILS
        for state in states
        if coils.of(*states)
    }
    spread, joint, shorted = (rules[i] for i in ("field.spread", "field.joint", "field.shorted"))
    many = len(coils.states) > 1
    for n, (ohm, off, state) in enumerate(zip(coils.at_20_ohm, coils.deviations, coils.states, strict=True), start=1):
        if not many:
            break
        usual = ohm / (1 + off)
        told = state not in ("open", "not judged")
        yield Measured(
            id="coil",
            of=((field.id, 0),),
            words=f"Coil {n}: {f'{ohm:.4g} Ω at 20 °C, {off:+.1%}: ' if told else ''}{coils.called(n)}.",
            standing="not judged" if state == "not judged" else standing_of(state == "good"),
            spot=0,
            value=ohm if told else None,
            unit="Ω",
            low=(1 - spread) * usual if told else None,
            high=(1 + spread) * usual if told else None,
            basis=coils.held_by,
            derived=(Derived("off", off, "share"),) if told else (),
            findings=(found[state],) if state in found else (),
            rests_on=_COIL_RULES,
        )
    unjudged = bool(coils.of("not judged")) and not coils.off
    yield Measured(
        id="coils-alike" if many else field.id,
        of=((field.id, 0),),
        words=f"{of} at 20 °C: {coils.words}",
        standing="not judged" if unjudged else standing_of(not coils.off),
        value=None if many else coils.at_20_ohm[0],
        unit="" if many else "Ω",
        basis=f"{coils.held_by}; {spread:.0%} a little off, {joint:.0%} joint, {shorted:.0%} shorted",
        findings=tuple(dict.fromkeys(found.values())),
        answer=("field-odd", "no") if many and not coils.off and not unjudged else None,
        rests_on=_COIL_RULES,
    )


def _grave(coils: Coils, states: tuple[CoilState, ...]) -> Grade:
    return max((coils.grades[n - 1] for n in coils.of(*states)), key=GRADES.index)


def _growler(sheet: Sheet) -> Iterator[Measured]:
    """Yield what the growler says, with the bars of the slots that answer as far as the winding's figures tell."""
    said = GROWLER_TEST.of(sheet)
    if not said:
        return
    of = ((GROWLER_TEST.id, 0), *([(GROWLER_SLOTS.id, 0)] if GROWLER_SLOTS.given(sheet) else []))
    if said != "fail":
        yield Measured(id=GROWLER_TEST.id, of=of, words="Growler: no slot answers", standing="right")
        return
    on = slots_on_growler(sheet)
    slots = [str(n) for n in on]
    which = f"slot{'s' if len(slots) > 1 else ''} {listed(slots)}" if slots else "a slot that is not named"
    words = f"{which} answer{'' if len(slots) > 1 else 's'} on the growler"
    known = ARMATURE_SLOTS.stated(sheet.facts.figures)
    beyond = (
        f"there is no such slot among {known:.0f}, or the bars are not a multiple of them"
        if known
        else "give bars and slots of the armature to see its bars"
    )
    bars = (
        f"slot {n}: {beyond if at is None else f'bars {at[0]} to {at[1]}, counted from slot 1 at bar 1'}"
        for n, at in on.items()
    )
    yield Measured(
        id=GROWLER_TEST.id,
        of=of,
        words="; ".join((f"{words[0].upper()}{words[1:]}", *bars)),
        standing="off",
        findings=(WINDINGS_GROWLER.worded(words),),
    )


def _heat(sheet: Sheet, rules: MotorRules) -> Iterator[Measured]:
    """Yield how hot the winding was against what it may be, by each way that it was measured. Source: rules rise.*"""
    for by, heat in heats_now(sheet, rules):
        field = WINDING_C if by == "thermometer" else HOT_OHM
        judged = heat.grade != "fit" or (heat.most_k is not None and AIR_C.of(sheet) is not None)
        off = replace(WINDINGS_HOT.worded(f"too hot: {heat.words}"), grade=heat.grade)
        yield value_of(
            field,
            f"{heat.words[0].upper()}{heat.words[1:]}",
            standing_of(heat.grade == "fit") if judged else "not judged",
            value=heat.rise_k,
            unit="K",
            high=heat.most_k,
            basis="rule",
            derived=(Derived("winding", heat.winding_c, "°C"),),
            findings=(off,) if heat.grade != "fit" else (),
            rests_on=_RISE,
        )


def _chain(chain: Pick, words: str, sheet: Sheet) -> Iterator[Measured]:
    answer = chain.of(sheet)
    if answer:
        said = f"{words} {answer}, should not be" if answer != "right" else f"{words} as it should be"
        off = (CHAIN_DEAD.worded(said),) if answer != "right" else ()
        yield value_of(chain, f"{said[0].upper()}{said[1:]}", standing_of(not off), findings=off)
