"""What was measured on springs, boxes, gaps and dust: of each brush by itself."""

from collections.abc import Iterator
from types import MappingProxyType

from norvash.core.brush.holders import clearances_mm, gap_reason, side_fit
from norvash.core.brush.loading import pressure_kpa
from norvash.core.brush.springs import SpringInSet, SpringsHeld, band_of, judge_springs, stronger_half_n
from norvash.core.brush.wear_measures import dust_g
from norvash.core.edges import over
from norvash.core.motor.figure_fields import FORCE_NOMINAL_N, GRADE_FAMILY, THICKNESS_MM, WIDTH_MM
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.measured import Derived, Measured, by_rule, judged, standing_of, value_of
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.brushes.carbon import DUST_G, DUST_MUCH
from norvash.core.stages.brushes.holders import (
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
from norvash.core.stages.brushes.springs import SPRING_DEAD, SPRING_FAR_OFF, SPRING_FORCE, SPRING_OFF, SPRING_UNLIKE

_OF_SPRING = MappingProxyType(
    {"watch": SPRING_UNLIKE, "plan": SPRING_OFF, "change": SPRING_FAR_OFF, "stop": SPRING_DEAD}
)
_SIDES = (
    ("fit-along-rotation", BOX_T, BRUSH_T, "along the rotation"),
    ("fit-along-shaft", BOX_A, BRUSH_A, "along the shaft"),
)
_OF_FIT = (
    *("fit.small", "fit.large", "fit.dressing", "fit.clearance-least", "fit.clearance-most"),
    *("fit.clearance-least-small", "fit.clearance-most-small", "fit.clearance-most-large"),
)


def measured(sheet: Sheet, rules: MotorRules, worn_mm: tuple[float, ...]) -> Iterator[Measured]:
    """Yield what was measured beside the lengths of the brushes.

    Units: worn_mm [mm] of every brush since new.
    """
    yield from _springs(sheet, rules)
    for plan in sheet.facts.positions:
        yield from _gap(sheet, plan.number, rules)
        yield from _fits(sheet, plan.number, rules)
    yield from _dust(sheet, worn_mm, rules)


def held_to(sheet: Sheet, rules: MotorRules) -> SpringsHeld:
    """Return what the springs of a motor are held against. Source: rules pressure.*"""
    section = section_mm(sheet.facts)
    nominal = FORCE_NOMINAL_N.of(sheet.facts.figures)
    return SpringsHeld(nominal_n=nominal, section_mm=section, band_kpa=band_of(rules, magnets=sheet.facts.magnets))


def section_mm(facts: Facts) -> tuple[float, float] | None:
    """Return the section of a brush as thickness and width [mm], None unless both are stated."""
    thickness, width = THICKNESS_MM.stated(facts.figures), WIDTH_MM.stated(facts.figures)
    return None if thickness is None or width is None else (thickness, width)


def springs_now(sheet: Sheet, rules: MotorRules) -> dict[int, SpringInSet]:
    """Return the springs that were measured, judged by nominal, band or each other. Source: rules spring.*"""
    return judge_springs(_forces(sheet), held_to(sheet, rules), rules)


def _forces(sheet: Sheet) -> dict[int, float]:
    return {p: f for p in SPRING_FORCE.places(sheet) if (f := SPRING_FORCE.of(sheet, p)) is not None}


def _springs(sheet: Sheet, rules: MotorRules) -> Iterator[Measured]:
    """Yield each spring with its pressure and its share of the nominal, or of the stronger half of the set."""
    forces, held = _forces(sheet), held_to(sheet, rules)
    fellows, plan = stronger_half_n(list(forces.values())), rules["spring.plan"]
    section = held.section_mm
    for place, spring in springs_now(sheet, rules).items():
        force = forces[place]
        kpa = pressure_kpa(force, *section) if section is not None else None
        usual, of = (held.nominal_n, "the nominal") if held.nominal_n else (fellows, "the stronger half of the set")
        low, high = _band_n(held, kpa, force, usual, plan)
        share = () if not usual else (Derived(f"of {of}", force / usual, "share"),)
        found = () if spring.grade == "fit" else (_OF_SPRING[spring.grade],)
        alone = not usual and kpa is None
        more = f", {force / usual:.0%} of {of}" if usual and not held.nominal_n and kpa is not None else ""
        yield value_of(
            SPRING_FORCE,
            f"{sheet.facts.place(place)}: {force:g} N, {spring.reason}{more}",
            "no band" if alone else standing_of(not found),
            place,
            spot=place,
            value=force,
            unit="N",
            low=low,
            high=high,
            basis="maker" if held.nominal_n else by_rule(rules, "pressure.low", "pressure.high"),
            derived=(*share, *(() if kpa is None else (Derived("pressure", kpa, "kPa"),))),
            findings=tuple(f.worded(f"{f.words}: {spring.reason}") for f in found),
            rests_on=(
                *("spring.plan", "spring.change", "spring.stop", "pressure.low", "pressure.high", "pressure.magnets"),
                *("force_nominal_n", "thickness_mm", "width_mm", "construction"),
            ),
        )


def _band_n(
    held: SpringsHeld, kpa: float | None, force: float, usual: float, plan: float
) -> tuple[float | None, float | None]:
    """Return the band of a force [N]: round the nominal, of the pressure of its class, or from its fellows up."""
    if held.nominal_n:
        return (1 - plan) * held.nominal_n, (1 + plan) * held.nominal_n
    if kpa:
        low, high = held.band_kpa
        return low * force / kpa, high * force / kpa
    return ((1 - plan) * usual, None) if usual else (None, None)


def _gap(sheet: Sheet, place: int, rules: MotorRules) -> Iterator[Measured]:
    """Yield the gap of one holder. Source: rules gap.*"""
    gap, low, high = HOLDER_GAP.of(sheet, place), rules["gap.low"], rules["gap.high"]
    if gap is None:
        return
    fine, reason = gap_reason(gap, rules)
    wide = over(gap, high)
    said = f"holder gap {gap:g} mm, {f'{high:g} mm at most' if wide else f'{low:g} mm at least'}"
    yield judged(
        HOLDER_GAP,
        f"{sheet.facts.place(place)}: {reason}",
        place,
        spot=place,
        value=gap,
        unit="mm",
        low=low,
        high=high,
        basis=by_rule(rules, "gap.low", "gap.high"),
        off=None if fine else (GAP_WIDE if wide else GAP_NARROW).worded(said),
        rests_on=("gap.low", "gap.high"),
    )


def _fits(sheet: Sheet, place: int, rules: MotorRules) -> Iterator[Measured]:
    """Yield the clearance of a brush in its box, along the rotation and along the shaft. Source: rules fit.*"""
    for name, box_field, brush_field, words in _SIDES:
        box, brush = box_field.of(sheet, place), brush_field.of(sheet, place)
        if box is None or brush is None:
            continue
        fit, (low, high) = side_fit(words, brush, box, rules), clearances_mm(brush, rules)
        wrong = CLEARANCE_WRONG if fit.dress_mm > 0 else CLEARANCE_LOOSE
        found = {"fits": (), "fits after dressing": (CLEARANCE_TIGHT,)}.get(fit.fit, (wrong,))
        yield Measured(
            id=name,
            of=((box_field.id, place), (brush_field.id, place)),
            words=f"{sheet.facts.place(place)}, {fit.reason}",
            standing=standing_of(not found),
            spot=place,
            value=fit.clearance_mm,
            unit="mm",
            low=low,
            high=high,
            basis=by_rule(rules, "fit.clearance-least", "fit.clearance-most"),
            derived=(Derived("to dress", fit.dress_mm, "mm"),) if fit.dress_mm > 0 else (),
            findings=found,
            rests_on=_OF_FIT,
        )


def dust_expected_g(facts: Facts, worn_mm: tuple[float, ...], rules: MotorRules) -> float | None:
    """Return the dust that the wear of the set made [g], None where the section is not stated."""
    section = section_mm(facts)
    if section is None or not worn_mm:
        return None
    return dust_g(section[0] * section[1], list(worn_mm), GRADE_FAMILY.of(facts.figures), rules)


def _dust(sheet: Sheet, worn_mm: tuple[float, ...], rules: MotorRules) -> Iterator[Measured]:
    """Yield the dust against what the wear of the set made. Source: rule dust.much"""
    found, expected = DUST_G.of(sheet), dust_expected_g(sheet.facts, worn_mm, rules)
    if found is None:
        return
    if expected is None:
        words = f"{found:g} g of dust: what the set has made is not known"
        yield value_of(DUST_G, words, "not judged", value=found, unit="g")
        return
    most = rules["dust.much"] * expected
    much = over(found, most)
    yield judged(
        DUST_G,
        f"{found:g} g of dust, {expected:.2g} g by the wear of the set: {'much' if much else 'as it may be'}",
        value=found,
        unit="g",
        high=most,
        basis=by_rule(rules, "dust.much"),
        derived=(Derived("by the wear", expected, "g"),),
        off=DUST_MUCH if much else None,
        rests_on=("dust.", "thickness_mm", "width_mm", "grade_family"),
    )
