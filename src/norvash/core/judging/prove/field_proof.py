"""Whether the field is proven before the armature gets volts."""

from norvash.core.judging.windings.field_share import takes_much
from norvash.core.motor.figure_fields import FIELD_A, FIELD_LEADS, FIELD_OHM, FIELD_V
from norvash.core.rules.book import MotorRules
from norvash.core.running.excitation import FieldJudged, FieldPlate, judge_field
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.prove.field import FIELD_AT, FIELD_I, FIELD_TENTH, FIELD_U, proves_field
from norvash.core.stages.windings.coils import COILS, FIELD_WHOLE
from norvash.core.visit.done import last_work, overtaken


def field_judged(sheet: Sheet, rules: MotorRules) -> FieldJudged | None:
    """Return the field's current against what it should be, None where it was not measured. Source: rule field.least"""
    current, figures = FIELD_I.of(sheet), sheet.facts.figures
    if current is None:
        return None
    plate = FieldPlate(
        current_a=FIELD_A.of(figures),
        volts=FIELD_V.of(figures) or _supply_v(sheet.facts),
        ohm_20=FIELD_OHM.of(figures),
        ohm_now=FIELD_WHOLE.of(sheet),
    )
    return judge_field(current, FIELD_U.of(sheet), FIELD_AT.of(sheet), plate, rules)


def _supply_v(facts: Facts) -> float | None:
    """Return the voltage of a field that lies across its supply: of shunt and compound motors the plate's [V]."""
    return None if facts.construction == "separately excited" else facts.rated_v


def field_lacks(sheet: Sheet, rules: MotorRules) -> str:
    """Return why the field is not proven before power, empty where it is, or where it has none of its own."""
    facts = sheet.facts
    if not proves_field(facts):
        return ""
    leads, current = FIELD_LEADS.of(facts.figures), FIELD_I.given(sheet)
    judged = field_judged(sheet, rules)
    if current is not None and judged is not None:
        if judged.answer == "not judged":
            return judged.words
        return (
            ""
            if current.at >= last_work(sheet)
            else "field current was measured before the last work: measure it again"
        )
    if leads == "yes":
        return "field current is not measured, armature without volts"
    return _lacks_by_ohms(sheet, rules)


def _lacks_by_ohms(sheet: Sheet, rules: MotorRules) -> str:
    """Return what is missing of a field that is proven by its ohms; one that takes much by them is read by its amps,
    or, where its leads do not come out, by the total at a tenth of the volts.
    """
    tenth = FIELD_TENTH.given(sheet)
    read = COILS.given(sheet) is not None or (tenth is not None and tenth.at >= last_work(sheet))
    if takes_much(sheet, rules) and not read:
        return (
            "by its ohms the field takes more than usual: read its current, armature without volts; where its leads do"
            " not come out the total at a tenth of the volts"
        )
    if any(f.given(sheet) is not None and not overtaken(f, sheet) for f in (COILS, FIELD_WHOLE)):
        return ""
    return "field is not measured: its current where its leads come out, else its resistance, under Windings"
