"""How hot a run made the case, and what is touched: as stated, else by what is usual once it has run long enough."""

from collections.abc import Iterator, Sequence
from dataclasses import replace

from norvash.core.edges import over, under
from norvash.core.grades import Grade
from norvash.core.judging.prove.points import Point
from norvash.core.motor.figure_fields import DUTY_MIN, RISE_MOST_K, SHORT_DUTY
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.measured import Measured, by_rule, told, unsure
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.prove.run_fields import RUN_AIR_C, RUN_C, TOUCHED, TOUCHED_C
from norvash.core.stages.prove.run_findings import RUN_HOT, RUN_TOUCHED
from norvash.core.stages.prove.unstated import RUN_C_BEFORE


def rise_k(sheet: Sheet) -> float | None:
    """Return how much hotter than the air its hottest place is [K], None where one of the two was not measured."""
    case, air = RUN_C.of(sheet), RUN_AIR_C.of(sheet)
    return case - air if case is not None and air is not None else None


def steady(sheet: Sheet, rules: MotorRules) -> bool:
    """Tell whether its case was as hot five minutes before. Source: rule run.first-steady"""
    now, before = RUN_C.of(sheet), RUN_C_BEFORE.of(sheet)
    return now is not None and before is not None and not over(abs(now - before), rules["run.first-steady"])


def heat_told(sheet: Sheet, points: Sequence[Point], rules: MotorRules) -> Iterator[Measured]:
    """Yield what its heat says against what it may be: as stated, else what is usual after a quarter of an hour, or
    once it gets no hotter; of what is made for short duty, and of a starter, as stated only.

    Source: rules case.*
    """
    case, rise, most = RUN_C.of(sheet), rise_k(sheet), RISE_MOST_K.of(sheet.facts.figures)
    if case is not None and rise is None:
        yield unsure(f"{case:g} °C; enter the air around it too.")
    if rise is None:
        return
    if most is not None:
        words = f"{rise:g} K over the air, at most {most:g} K"
        off = RUN_HOT.worded(f"hotter than allowed: {words}") if over(rise, most) else None
        yield told(f"{words}.", right=True, off=off, value=rise, unit="K", low=0.0, high=most, basis="its windings")
    elif _stated_only(sheet.facts):
        yield unsure(f"{rise:g} K over the air; what is allowed is not known.", value=rise, unit="K")
    elif not (_ran_long(points, rules) or steady(sheet, rules)):
        words = (
            f"{rise:g} K over the air, not judged: say how long it ran, from {rules['case.minutes']:g} min, or how hot"
            " the same place was 5 min before"
        )
        yield unsure(f"{words}.", value=rise, unit="K")
    else:
        yield _by_usual(rise, rules)


def _stated_only(facts: Facts) -> bool:
    short = SHORT_DUTY.of(facts.figures) == "yes" or DUTY_MIN.stated(facts.figures) is not None
    return short or facts.motor_class == "starter"


def _ran_long(points: Sequence[Point], rules: MotorRules) -> bool:
    return any(p.minutes is not None and not under(p.minutes, rules["case.minutes"]) for p in points)


def _by_usual(rise: float, rules: MotorRules) -> Measured:
    most = rules["case.plan"]
    words = f"{rise:g} K over the air, up to {most:g} K is usual"
    grade = _grade(rise, rules)
    off = replace(RUN_HOT.worded(f"hotter than usual: {words}"), grade=grade) if grade is not None else None
    rests_on = ("case.minutes", "case.plan", "case.change", "case.stop", "run.first-steady")
    basis = by_rule(rules, "case.plan", "case.change", "case.stop")
    return told(
        f"{words}.", right=True, off=off, value=rise, unit="K", low=0.0, high=most, basis=basis, rests_on=rests_on
    )


def _grade(rise: float, rules: MotorRules) -> Grade | None:
    if over(rise, rules["case.stop"]):
        return "stop"
    if over(rise, rules["case.change"]):
        return "change"
    return "plan" if over(rise, rules["case.plan"]) else None


def touched_told(sheet: Sheet, rules: MotorRules) -> Iterator[Measured]:
    """Yield how hot a handle or what else is touched gets. Source: rules touch.metal, touch.other"""
    hot = TOUCHED_C.of(sheet)
    if hot is None:
        return
    metal = TOUCHED.of(sheet) == "metal"
    rule, most = ("touch.metal", rules["touch.metal"]) if metal else ("touch.other", rules["touch.other"])
    of = "metal" if metal else "plastic, wood or rubber"
    words = f"{hot:g} °C where it is touched, at most {most:g} °C of {of}"
    if not TOUCHED.of(sheet) and over(hot, rules["touch.metal"]) and not over(hot, most):
        yield unsure(f"{hot:g} °C where it is touched: say whether that is metal.", value=hot, unit="°C")
        return
    off = RUN_TOUCHED.worded(f"{words}") if over(hot, most) else None
    yield told(
        f"{words}.", right=True, off=off, value=hot, unit="°C", high=most, basis=by_rule(rules, rule), rests_on=(rule,)
    )
