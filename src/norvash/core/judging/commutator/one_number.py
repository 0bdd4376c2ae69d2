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
from norvash.core.stages.commutator.run_out import BAR_STEP, RUN_OUT_TOTAL, RUNOUT_BARS, RUNOUT_FAR, RUNOUT_OVER


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
    """Return a run-out that was typed as one number, None without one; readings bar by bar stand beside it.

    Units: [mm]. Source: rules runout.*
    """
    total, step = RUN_OUT_TOTAL.of(sheet), BAR_STEP.of(sheet)
    if total is None and step is None:
        return None
    most = allowed(diameter_mm, RATED_RPM.of(sheet.facts.figures), rules, after_cut=after_cut)
    far = total is not None and over(total, rules["runout.stop"] * most.tir_mm)
    return OneNumber(tir_mm=total, step_mm=step, most=most, far=far)


def told(sheet: Sheet, known: OneNumber | None, rules: MotorRules, *, counts: bool) -> Iterator[Measured]:
    """Yield what a run-out that is known as one number says; read before the cut it is judged no more. Beside readings
    both count: what was typed is taken back where it stands.

    Source: rules runout.*
    """
    if known is None:
        return
    tir_rule, step_rule = RULES_OF[known.most.band]
    made = []
    if known.tir_mm is not None:
        words = f"run-out {known.tir_mm:.3f} mm, {known.most.tir_mm:g} mm allowed"
        grave = known.far and sheet.facts.may_carry
        finding = (RUNOUT_FAR if grave else RUNOUT_OVER).worded(words)
        made.append(_Side(RUN_OUT_TOTAL, known.tir_mm, finding, known.most.tir_mm, by_rule(rules, tir_rule)))
    if known.step_mm is not None:
        words = f"step from bar to bar {known.step_mm:.4f} mm, {known.most.step_mm:g} mm allowed"
        finding = RUNOUT_BARS.worded(words)
        made.append(_Side(BAR_STEP, known.step_mm, finding, known.most.step_mm, by_rule(rules, step_rule)))
    for side in made:
        yield _told(side, known.most.by, counts=counts)


@dataclass(frozen=True, slots=True)
class _Side:
    """One of the two figures: its field, its value and the most that is allowed [mm], what it finds, whose that is."""

    field: Quantity
    value: float
    finding: Finding
    most: float
    basis: str


def _told(side: _Side, by: str, *, counts: bool) -> Measured:
    words = f"{side.finding.words[0].upper()}{side.finding.words[1:]} ({by})"
    if not counts:
        return value_of(side.field, words, "not judged", value=side.value, unit="mm", low=0.0, high=side.most)
    return judged(
        side.field,
        words,
        value=side.value,
        unit="mm",
        low=0.0,
        high=side.most,
        basis=side.basis,
        off=side.finding if over(side.value, side.most) else None,
        rests_on=("runout.", "commutator_d_mm", "rated_rpm", "permitted_rpm", "hangs_load"),
    )
