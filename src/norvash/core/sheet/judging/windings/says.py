"""What the windings say of themselves: insulation, index, coils, growler and heat."""

from norvash.core.motor.figure_fields import ARMATURE_SLOTS
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.judging.windings.measured import (
    circuit_at,
    circuits_now,
    coils_now,
    field_now,
    heat_now,
    held_to,
    index_now,
    slots_on_growler,
)
from norvash.core.sheet.said import Said
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.stages.windings.coils import AIR_C
from norvash.core.sheet.stages.windings.insulation import INSULATION_10
from norvash.core.sheet.stages.windings.withstand import withstand_said
from norvash.core.windings.circuits import CIRCUITS
from norvash.core.windings.insulation import DRYING, MACHINES, Way, volts_to_test_with

_RULES = ("insulation.low-voltage", "insulation.high-voltage")
_WAYS: dict[Way, str] = {
    "as measured": "as measured",
    "at 40 °C": "at 40 °C",
    "extra-low": "as measured, by its low voltage",
}


def windings_say(sheet: Sheet, rules: MotorRules) -> list[Said]:
    """Return what was worked out of insulation, index, coils and heat of a sheet."""
    facts, tested = sheet.facts, held_to(sheet, rules)
    words = f"Test voltage: {volts_to_test_with(facts.rated_v)}, people clear, discharge after. Judged as"
    says = [Said(f"{words}: {MACHINES[tested.machine]}, {_WAYS[tested.way(rules)]}.", None, _RULES)]
    for circuit, found in circuits_now(sheet, rules):
        of = "Insulation" if circuit == "whole" else f"Insulation, {CIRCUITS[circuit]}:"
        says.append(Said(f"{of} {found.words}", found.grade == "fit", ("insulation.half", "insulation.fall")))
        if not found.passes:
            says.append(Said(DRYING))
    says += _indexes(sheet, rules)
    says += withstand_said(sheet, rules)
    for coils, of in ((coils_now(sheet, rules), "Field coils"), (field_now(sheet, rules), "The field")):
        if coils is not None:
            right = None if coils.of("not judged") and not coils.off else not coils.off
            says.append(Said(f"{of} at 20 °C: {coils.words}", right, ("field.spread", "field.shorted", "field.joint")))
    says += _growler(sheet)
    heat = heat_now(sheet, rules)
    if heat is not None:
        right = heat.grade == "fit" if heat.most_k is not None and AIR_C.of(sheet) is not None else None
        said = f"{heat.words[0].upper()}{heat.words[1:]}"
        says.append(Said(said, False if heat.grade != "fit" else right, ("copper.zero", "rise.stop")))
    return says


def _indexes(sheet: Sheet, rules: MotorRules) -> list[Said]:
    """Return the polarization index of every circuit that has one."""
    made, ids = [], ("polarization.good", "polarization.act")
    for place in INSULATION_10.places(sheet):
        index = index_now(sheet, rules, place)
        if index is not None:
            of = "" if place == 0 else f", {CIRCUITS[circuit_at(sheet, place)]}:"
            made.append(Said(f"Polarization index{of} {index.words}", index.grade == "fit", ids))
    return made


def _growler(sheet: Sheet) -> list[Said]:
    """Return which bars belong to the slots that answer on the growler, as far as the winding's figures tell."""
    slots = ARMATURE_SLOTS.stated(sheet.facts.figures)
    beyond = (
        f"there is no such slot among {slots:.0f}, or the bars are not a multiple of them"
        if slots
        else "give bars and slots of the armature to see its bars"
    )
    return [
        Said(f"slot {n}: {beyond if at is None else f'bars {at[0]} to {at[1]}, counted from slot 1 at bar 1'}", False)
        for n, at in slots_on_growler(sheet).items()
    ]
