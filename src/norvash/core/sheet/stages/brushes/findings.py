"""What forces, boxes, gaps and dust say, as findings."""

from collections.abc import Iterator
from statistics import median

from norvash.core.brush.holders import gap_reason, side_fit
from norvash.core.brush.loading import judge_spring, pressure_kpa, usual_force_n
from norvash.core.brush.wear_measures import dust_g
from norvash.core.edges import over, under, within
from norvash.core.motor.figure_fields import FORCE_NOMINAL_N, GRADE_FAMILY, THICKNESS_MM, WIDTH_MM
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.finding import Noted
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.stages.brushes.carbon import DUST_G, DUST_MUCH
from norvash.core.sheet.stages.brushes.holders import (
    BOX_A,
    BOX_T,
    BRUSH_A,
    BRUSH_T,
    CLEARANCE_LOOSE,
    CLEARANCE_TIGHT,
    CLEARANCE_WRONG,
    GAP_NARROW,
    GAP_WIDE,
    HOLDER_GAP,
)
from norvash.core.sheet.stages.brushes.springs import SPRING_FAR_OFF, SPRING_FORCE, SPRING_OFF

_SIDES = ((BOX_T, BRUSH_T, "along the rotation"), (BOX_A, BRUSH_A, "along the shaft"))


def findings(sheet: Sheet, rules: MotorRules, worn_mm: tuple[float, ...]) -> Iterator[Noted]:
    """Return what forces, boxes, gaps and dust say, each at its position, 0 for the whole set."""
    yield from _springs(sheet, rules)
    yield from _holders(sheet, rules)
    yield from _dust(sheet, rules, worn_mm)


def _springs(sheet: Sheet, rules: MotorRules) -> Iterator[Noted]:
    """Return what the spring forces say: against the nominal or the band, and against the median of the set's sound
    ones.
    """
    forces = {p: f for p in SPRING_FORCE.places(sheet) if (f := SPRING_FORCE.of(sheet, p)) is not None}
    usual = _usual_n(list(forces.values()), sheet.facts, rules)
    for position, force in forces.items():
        grade = spring_grade(force, sheet.facts, rules)
        if len(forces) > 1 and grade == "fit" and not under(abs(force / usual - 1), rules["spring.plan"]):
            grade = "plan"
        if grade != "fit":
            yield position, SPRING_FAR_OFF if grade == "change" else SPRING_OFF


def _usual_n(forces_n: list[float], facts: Facts, rules: MotorRules) -> float:
    """Return what the springs of a set are held against: the median of its sound ones [N], 0 without any force.

    Where the nominal is known, sound is who is near it. Source: rule spring.change
    """
    nominal, off = FORCE_NOMINAL_N.of(facts.figures), rules["spring.change"]
    if nominal is not None:
        sound = [f for f in forces_n if within((1 - off) * nominal, f, (1 + off) * nominal)]
        return median(sound) if sound else nominal
    return usual_force_n(forces_n, rules) if forces_n else 0.0


def spring_grade(force_n: float, facts: Facts, rules: MotorRules) -> str:
    """Return how grave a spring's force is, by the nominal force, or by the band of the class where the section is
    stated.
    """
    thickness, width = THICKNESS_MM.need(facts.figures), WIDTH_MM.need(facts.figures)
    band = (rules["pressure.low"], rules["pressure.high"])
    nominal = FORCE_NOMINAL_N.of(facts.figures)
    if nominal is None and THICKNESS_MM.stated(facts.figures) is None:
        return "fit"
    return judge_spring(force_n, pressure_kpa(force_n, thickness, width), band, nominal, rules).grade


def _holders(sheet: Sheet, rules: MotorRules) -> Iterator[Noted]:
    for plan in sheet.facts.positions:
        gap = HOLDER_GAP.of(sheet, plan.number)
        if gap is not None and not gap_reason(gap, rules)[0]:
            yield plan.number, GAP_WIDE if over(gap, rules["gap.high"]) else GAP_NARROW
        for box_field, brush_field, words in _SIDES:
            box, brush = box_field.of(sheet, plan.number), brush_field.of(sheet, plan.number)
            if box is None or brush is None:
                continue
            fit = side_fit(words, brush, box, rules)
            if fit.fit == "fits after dressing":
                yield plan.number, CLEARANCE_TIGHT
            elif fit.fit == "do not use":
                yield plan.number, CLEARANCE_WRONG if fit.dress_mm > 0 else CLEARANCE_LOOSE


def dust_expected_g(facts: Facts, worn_mm: tuple[float, ...], rules: MotorRules) -> float | None:
    """Return the dust that the wear of the set made [g], None where the section is not stated."""
    thickness, width = THICKNESS_MM.stated(facts.figures), WIDTH_MM.stated(facts.figures)
    if thickness is None or width is None or not worn_mm:
        return None
    return dust_g(thickness * width, list(worn_mm), GRADE_FAMILY.of(facts.figures), rules)


def _dust(sheet: Sheet, rules: MotorRules, worn_mm: tuple[float, ...]) -> Iterator[Noted]:
    found, expected = DUST_G.of(sheet), dust_expected_g(sheet.facts, worn_mm, rules)
    if found is not None and expected is not None and over(found, rules["dust.much"] * expected):
        yield 0, DUST_MUCH
