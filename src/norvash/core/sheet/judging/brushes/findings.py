"""What forces, boxes, gaps and dust say, as findings."""

from collections.abc import Iterator
from types import MappingProxyType

from norvash.core.brush.holders import gap_reason, side_fit
from norvash.core.brush.springs import SpringInSet, SpringsHeld, band_of, judge_springs
from norvash.core.brush.wear_measures import dust_g
from norvash.core.edges import over
from norvash.core.motor.figure_fields import FORCE_NOMINAL_N, GRADE_FAMILY, THICKNESS_MM, WIDTH_MM
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.finding import Finding, Noted
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
from norvash.core.sheet.stages.brushes.springs import (
    SPRING_DEAD,
    SPRING_FAR_OFF,
    SPRING_FORCE,
    SPRING_OFF,
    SPRING_UNLIKE,
)

_OF_SPRING = MappingProxyType(
    {"watch": SPRING_UNLIKE, "plan": SPRING_OFF, "change": SPRING_FAR_OFF, "stop": SPRING_DEAD}
)
_SIDES = ((BOX_T, BRUSH_T, "along the rotation"), (BOX_A, BRUSH_A, "along the shaft"))


def findings(sheet: Sheet, rules: MotorRules, worn_mm: tuple[float, ...]) -> Iterator[Noted]:
    """Return what forces, boxes, gaps and dust say, each at its position, 0 for the whole set."""
    yield from _springs(sheet, rules)
    yield from _holders(sheet, rules)
    yield from _dust(sheet, rules, worn_mm)


def _springs(sheet: Sheet, rules: MotorRules) -> Iterator[Noted]:
    """Return what the spring forces say, each at its position."""
    for position, judged in springs_now(sheet, rules).items():
        if judged.grade != "fit":
            yield position, _OF_SPRING[judged.grade].saying(f"{_OF_SPRING[judged.grade].words}: {judged.reason}")


def springs_now(sheet: Sheet, rules: MotorRules) -> dict[int, SpringInSet]:
    """Return the springs that were measured, judged by nominal, band or each other. Source: rules spring.*"""
    figures = sheet.facts.figures
    forces = {p: f for p in SPRING_FORCE.places(sheet) if (f := SPRING_FORCE.of(sheet, p)) is not None}
    thickness, width = THICKNESS_MM.stated(figures), WIDTH_MM.stated(figures)
    section = None if thickness is None or width is None else (thickness, width)
    held = SpringsHeld(
        nominal_n=FORCE_NOMINAL_N.of(figures), section_mm=section, band_kpa=band_of(rules, magnets=sheet.facts.magnets)
    )
    return judge_springs(forces, held, rules)


def _gap_found(gap_mm: float, rules: MotorRules) -> Finding:
    """Return a holder gap that is not right, with what it may be. Source: rules gap.*"""
    low, high = rules["gap.low"], rules["gap.high"]
    if over(gap_mm, high):
        return GAP_WIDE.saying(f"holder gap {gap_mm:g} mm, {high:g} mm at most")
    return GAP_NARROW.saying(f"holder gap {gap_mm:g} mm, {low:g} mm at least")


def _holders(sheet: Sheet, rules: MotorRules) -> Iterator[Noted]:
    for plan in sheet.facts.positions:
        gap = HOLDER_GAP.of(sheet, plan.number)
        if gap is not None and not gap_reason(gap, rules)[0]:
            yield plan.number, _gap_found(gap, rules)
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
