"""A run-out that is known as one number, with or without its step: judged by its limits, though no circle is fitted."""

from collections.abc import Iterator
from dataclasses import dataclass

from norvash.core.commutator.run_out_limits import RULES_OF, Allowed, allowed
from norvash.core.edges import over
from norvash.core.motor.figure_fields import RATED_RPM
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.field import Quantity
from norvash.core.sheet.finding import Finding
from norvash.core.sheet.measured import Measured, by_rule, judged, value_of
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.stages.commutator.run_out import (
    BAR_STEP,
    RUN_OUT,
    RUN_OUT_TOTAL,
    RUNOUT_BARS,
    RUNOUT_FAR,
    RUNOUT_OVER,
)


@dataclass(frozen=True, slots=True, kw_only=True)
class OneNumber:
    """The total run-out and the greatest step [mm], each where it is known, and what is allowed; `far` tells that it is
    so far over that a machine which carries people or loads is stopped.
    """

    tir_mm: float | None
    step_mm: float | None
    most: Allowed
    far: bool

    @property
    def over(self) -> bool:
        """Tell whether the total run-out or the step is over its limit."""
        return over(self.tir_mm or 0.0, self.most.tir_mm) or over(self.step_mm or 0.0, self.most.step_mm)


def one_number(sheet: Sheet, diameter_mm: float | None, rules: MotorRules, *, after_cut: bool) -> OneNumber | None:
    """Return a run-out that was typed as one number, None without one, or where readings say it bar by bar.

    Units: [mm]. Source: rules runout.*
    """
    total, step = RUN_OUT_TOTAL.of(sheet), BAR_STEP.of(sheet)
    if RUN_OUT.of(sheet) or (total is None and step is None):
        return None
    most = allowed(diameter_mm, RATED_RPM.of(sheet.facts.figures), rules, after_cut=after_cut)
    far = total is not None and over(total, rules["runout.stop"] * most.tir_mm)
    return OneNumber(tir_mm=total, step_mm=step, most=most, far=far)


def told(sheet: Sheet, known: OneNumber | None, rules: MotorRules, *, counts: bool) -> Iterator[Measured]:
    """Yield what a run-out that is known as one number says; beside readings, or read before the cut, it is recorded.

    Source: rules runout.*
    """
    if known is None or not counts:
        why = "the readings bar by bar say it" if known is None else "read before the cut"
        for field in (RUN_OUT_TOTAL, BAR_STEP):
            if field.of(sheet) is not None:
                yield value_of(field, f"not counted: {why}", "recorded")
        return
    tir_rule, step_rule = RULES_OF[known.most.band]
    if known.tir_mm is not None:
        words = f"run-out {known.tir_mm:.3f} mm, {known.most.tir_mm:g} mm allowed"
        grave = known.far and sheet.facts.may_carry
        finding = (RUNOUT_FAR if grave else RUNOUT_OVER).saying(words)
        yield _told(RUN_OUT_TOTAL, known.tir_mm, finding, known.most.tir_mm, by_rule(rules, tir_rule), by=known.most.by)
    if known.step_mm is not None:
        words = f"step from bar to bar {known.step_mm:.4f} mm, {known.most.step_mm:g} mm allowed"
        finding = RUNOUT_BARS.saying(words)
        yield _told(BAR_STEP, known.step_mm, finding, known.most.step_mm, by_rule(rules, step_rule), by=known.most.by)


def _told(field: Quantity, value: float, finding: Finding, most: float, basis: str, *, by: str) -> Measured:
    words = finding.words
    return judged(
        field,
        f"{words[0].upper()}{words[1:]} ({by})",
        value=value,
        unit="mm",
        low=0.0,
        high=most,
        basis=basis,
        off=finding if over(value, most) else None,
        rests_on=("runout.", "commutator_d_mm", "rated_rpm", "permitted_rpm", "hangs_load"),
    )
