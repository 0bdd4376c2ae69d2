"""A shunt field by its ohms where nobody states what it takes: the share of the plate's current."""

from norvash.core.edges import over, under
from norvash.core.known import all_known
from norvash.core.motor.figure_fields import FIELD_A, FIELD_OHM, FIELD_V, RATED_A, RATED_W
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.finding import Finding
from norvash.core.sheet.measured import Derived, Measured, by_rule, judged
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.windings.coils import FIELD_MUCH, FIELD_THIN, FIELD_WHOLE
from norvash.core.windings.field_coils import OPEN_OHM

_SMALL_W = 1000.0


def field_share(sheet: Sheet) -> float | None:
    """Return the share of the plate's current that a field of its own takes by its ohms [1]; None where that was not
    measured, where it is open, where something states it, or where the plate does not tell volts and current.
    """
    figures, facts = sheet.facts.figures, sheet.facts
    if not facts.own_field or any(f.of(figures) is not None for f in (FIELD_OHM, FIELD_A)):
        return None
    across = facts.rated_v if facts.construction != "separately excited" else None
    known = all_known(FIELD_WHOLE.of(sheet), FIELD_V.of(figures) or across, RATED_A.stated(figures))
    if known is None or not 0 < known[0] < OPEN_OHM or not known[2]:
        return None
    return known[1] / known[0] / known[2]


def field_share_told(sheet: Sheet, rules: MotorRules) -> Measured | None:
    """Return what the field takes of the plate's current, None where that is not told. Source: rules field.share-*"""
    share, small = field_share(sheet), _is_small(sheet)
    if share is None:
        return None
    high_rule = "field.share-small" if small else "field.share-high"
    low, high = rules["field.share-low"], rules[high_rule]
    words = f"the field takes {share:.1%} of the plate's current by its ohms, {low:.1%} to {high:.0%} is usual"
    off: Finding | None = None
    if over(share, high):
        words += ": measure it coil by coil"
        off = FIELD_MUCH.worded(words)
    elif under(share, low):
        words += ": nearly open"
        off = FIELD_THIN.worded(words)
    return judged(
        FIELD_WHOLE,
        words,
        value=FIELD_WHOLE.of(sheet),
        unit="Ω",
        basis=by_rule(rules, "field.share-low", high_rule),
        derived=(Derived("of the plate's current", share, "share"),),
        off=off,
        rests_on=("field.share-low", high_rule, "rated_a", "rated_v", "rated_w", "field_v", "construction"),
    )


def takes_much(sheet: Sheet, rules: MotorRules) -> bool:
    """Tell whether a field takes so much by its ohms that its current is read before the armature gets volts."""
    share = field_share(sheet)
    return share is not None and over(share, rules["field.share-small" if _is_small(sheet) else "field.share-high"])


def _is_small(sheet: Sheet) -> bool:
    power = RATED_W.stated(sheet.facts.figures)
    return power is not None and under(power, _SMALL_W)
