"""Terminals as they were measured, dead or at working current."""

from collections.abc import Iterator
from dataclasses import replace

from norvash.core.motor.figure_fields import RATED_A, TERMINAL_KIND, TERMINAL_OHM_MOST
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.field import Quantity
from norvash.core.sheet.measured import Measured, by_rule, standing_of, value_of
from norvash.core.sheet.numbered import numbered
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.before.fields import TERMINAL_OHM, TERMINAL_STEP, TERMINAL_V
from norvash.core.stages.brushes.springs import TERMINAL_MEASURED
from norvash.core.supply.cables import Terminal, terminal_by_drop, terminal_by_ohm


def terminals_measured(sheet: Sheet, rules: MotorRules) -> Iterator[Measured]:
    """Yield the terminals as they were measured, left and right apart, judged by drop and by resistance.

    Source: rules terminal.*
    """
    figures = sheet.facts.figures
    for side in range(3):
        ohm, volt = TERMINAL_OHM.of(sheet, side), TERMINAL_V.of(sheet, side)
        if volt is not None:
            yield _terminal(TERMINAL_V, side, terminal_by_drop(volt, rules), rules)
        if ohm is None:
            continue
        if volt is not None and not is_open(ohm):  # volts decide where both were measured
            words = f"{ohm:g} Ω: its drop at working current decides."
            yield value_of(TERMINAL_OHM, words, "recorded", side, value=ohm, unit="Ω")
            continue
        found = terminal_by_ohm(
            ohm,
            RATED_A.stated(figures),
            kind=TERMINAL_KIND.of(figures),
            step_ohm=TERMINAL_STEP.of(sheet),
            rules=rules,
            most_ohm=TERMINAL_OHM_MOST.stated(figures),
        )
        yield _terminal(TERMINAL_OHM, side, found, rules)


def is_open(ohm: float) -> bool:
    """Tell whether a terminal is open: over all that a meter shows."""
    return ohm >= TERMINAL_OHM.high


def _terminal(field: Quantity, side: int, found: Terminal, rules: MotorRules) -> Measured:
    broken = found.unit == "Ω" and is_open(found.value)
    allowed = "" if found.limit is None else f", allowed {found.limit:.3g} {found.unit}"
    said = f"{'open' if broken else f'{found.value:g} {found.unit}'}{allowed}"
    bad = replace(
        TERMINAL_MEASURED.worded(said if side else f"terminal {said}"),
        grade="change" if broken else TERMINAL_MEASURED.grade,
    )
    where = f"{numbered('side', side).capitalize()} terminal {said}" if side else f"Terminal {said}"
    answer = None if found.right is None else ("terminal-bad", "no" if found.right else "yes")
    return value_of(
        field,
        f"{where}: {found.words}.",
        standing_of(found.right) if found.right is not None else "not judged",
        side,
        spot=side,
        value=found.value,
        unit=found.unit,
        low=0.0,
        high=found.limit,
        basis=by_rule(rules, *found.rules) if found.rules else "maker",
        findings=() if found.right is not False else (bad,),
        answer=answer,
        rests_on=(*found.rules, "rated_a", "terminal_ohm_most", "terminal_kind"),
    )
