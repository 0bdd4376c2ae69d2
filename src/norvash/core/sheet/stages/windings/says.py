"""What the windings say of themselves: insulation, index, coils, growler and heat."""

from norvash.core.motor.figure_fields import ARMATURE_SLOTS
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.said import Said
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.stages.windings.measured import (
    coils_now,
    heat_now,
    index_now,
    insulation_now,
    slots_on_growler,
    tested_as,
)
from norvash.core.windings.circuits import CIRCUITS
from norvash.core.windings.insulation import DRYING, MACHINES, volts_to_test_with


def windings_say(sheet: Sheet, rules: MotorRules) -> list[Said]:
    """Return what was worked out of insulation, index, coils and heat of a sheet."""
    facts, tested = sheet.facts, tested_as(sheet, rules)
    held = MACHINES[tested.machine] if facts.motor_class == "tool" else CIRCUITS[tested.circuit]
    insulation, index = insulation_now(sheet, rules), index_now(sheet, rules)
    coils, heat = coils_now(sheet, rules), heat_now(sheet, rules)
    says = [
        Said(
            f"Test voltage: {volts_to_test_with(facts.rated_v)}, people clear, discharge after. Judged as: {held}.",
            None,
            ("insulation.high-voltage",),
        )
    ]
    if insulation is not None:
        says.append(
            Said(f"Insulation {insulation.words}", insulation.grade == "fit", ("insulation.half", "insulation.fall"))
        )
        if not insulation.passes:
            says.append(Said(DRYING))
    if index is not None:
        says.append(
            Said(f"Polarization index {index.words}", index.grade == "fit", ("polarization.good", "polarization.act"))
        )
    if coils is not None:
        says.append(Said(f"Field coils at 20 °C: {coils.words}", not coils.off, ("field.spread",)))
    says += _growler(sheet)
    if heat is not None:
        rise = "" if heat[1] is None else f", {heat[1]:.0f} K over the air"
        says.append(Said(f"The winding is at {heat[0]:.0f} °C{rise}", None, ("copper.zero",)))
    return says


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
