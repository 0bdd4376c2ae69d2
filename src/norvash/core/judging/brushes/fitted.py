"""A set that is fitted, offered or not, judged as an offer is: by what it says of itself and what was measured."""

import re
from collections.abc import Iterator
from dataclasses import replace

from norvash.core.edges import over
from norvash.core.motor.figure_fields import BRUSH_GRADE, NEW_MM, RATED_V, VOLTAGE_VARIANT
from norvash.core.motor.figures import Figures
from norvash.core.motor.matrix import alike_v
from norvash.core.parts.answer import REFUSED, Point
from norvash.core.parts.compare import Offer, compared
from norvash.core.parts.sizes import Sizes
from norvash.core.rules.book import MotorRules
from norvash.core.rules.fitting import GRADE_FAMILIES
from norvash.core.sheet.field import Quantity
from norvash.core.sheet.finding import Finding
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.brushes.holders import BOX_A, BOX_T, BRUSH_A, BRUSH_LEAD, BRUSH_T
from norvash.core.stages.brushes.stated import ABOUT, SET_UNLISTED
from norvash.core.state.motor_state import BrushSet
from norvash.core.text.texts import compared as as_compared
from norvash.core.visit.offering import machine_of, of_figures

_VOLTS = re.compile(r"(?<![\w.])(\d+(?:[.,]\d+)?)\s*V(?!\w)", re.IGNORECASE)
_ANGLE = re.compile(r"(?<![\w.])(\d+(?:[.,]\d+)?)\s*(?:°|deg(?:rees)?\b)", re.IGNORECASE)
_FAMILY = re.compile(r"(?<![\w-])(" + "|".join(GRADE_FAMILIES) + r")(?![\w-])", re.IGNORECASE)


def differences(of_set: BrushSet, sheet: Sheet, figures: Figures, rules: MotorRules) -> Iterator[Finding]:
    """Yield what a set would have been refused for, each once; what only one side states says nothing.

    Source: the part offered against type and motor
    """
    here = of_set.sheet_id == sheet.id
    if not here and not of_set.part and not of_set.variant:
        return  # it says nothing of itself, and was measured elsewhere
    old, volts = of_figures(figures), _volts_of(figures)
    new = _said(of_set, volts)
    old = replace(old, variant=_wanted(new, figures), volts=next((v for v in volts if v == new.volts), old.volts))
    machine = machine_of({}, sheet, figures)
    machine = replace(machine, volts=old.volts if not volts else _alike_to(new.volts, volts))
    found: dict[str, Finding] = {}
    for size in (new, *(_measured(new, of_set, sheet) if here else ())):
        for point in compared(Offer(kind="brush set", old=old, new=size, machine=machine), rules).points:
            if point.answer == REFUSED and (finding := _found(point)) is not None:
                found.setdefault(finding.id, finding.worded(point.words))
    yield from found.values()


def _found(point: Point) -> Finding | None:
    """Return what a point is once the set is in: a name that no table has stops nothing."""
    unlisted = point.about == "voltage" and not point.stops
    return SET_UNLISTED if unlisted else ABOUT.get(point.about)


def _said(of_set: BrushSet, motor_v: list[float]) -> Sizes:
    """Return what a set says of itself, in its number and its variant."""
    words = f"{of_set.part} {of_set.variant}"
    volts, angle, family = _numbers(_VOLTS, words), _numbers(_ANGLE, words), _FAMILY.search(words)
    return Sizes(
        volts=next((v for v in volts if any(alike_v(v, w) for w in motor_v)), volts[0] if volts else None),
        face_angle_deg=angle[0] if angle else None,
        grade=family[1].casefold() if family else "",
        variant=_bare(of_set.variant),
        part=_bare(of_set.part),
    )


def _wanted(new: Sizes, figures: Figures) -> str:
    """Return the variant that a motor states, of its brushes' variant or grade the one that a set names too."""
    stated = [s for f in (VOLTAGE_VARIANT, BRUSH_GRADE) if (s := _bare(f.stated(figures)))]
    alike = (s for s in stated if as_compared(s) == as_compared(new.variant or "-"))
    return new.variant if next(alike, "") else (stated[0] if stated else "")


def _measured(said: Sizes, of_set: BrushSet, sheet: Sheet) -> Iterator[Sizes]:
    """Yield what a set says of itself with what was measured of each brush since it was fitted here; a side whose box
    was measured too is judged in that.
    """

    def since(field: Quantity, place: int) -> float | None:
        given = field.given(sheet, place)
        return given.number if given is not None and given.at >= of_set.fitted_at else None

    for plan in sheet.facts.positions:
        n = plan.number
        yield replace(
            said,
            thickness_mm=since(BRUSH_T, n) if BOX_T.of(sheet, n) is None else None,
            width_mm=since(BRUSH_A, n) if BOX_A.of(sheet, n) is None else None,
            lead_mm=since(BRUSH_LEAD, n),
            length_mm=_longer(of_set, n, NEW_MM.stated(sheet.facts.figures)),
        )


def _longer(of_set: BrushSet, position: int, new_mm: float | None) -> float | None:
    """Return how long a brush of a set was when it was fitted [mm], where it is longer than a new one beyond doubt."""
    first = of_set.rounds[0].readings.get(position) if of_set.rounds else None
    if first is None or new_mm is None or not over(first.length_mm - 2 * first.sd_mm, new_mm):
        return None
    return first.length_mm


def _volts_of(figures: Figures) -> list[float]:
    """Return the volts that a motor states: of its brushes' variant, else of its plate."""
    rated = RATED_V.stated(figures)
    return _numbers(_VOLTS, VOLTAGE_VARIANT.stated(figures)) or ([] if rated is None else [rated])


def _alike_to(volts: float | None, stated: list[float]) -> float:
    return next((w for w in stated if volts is not None and alike_v(volts, w)), stated[0])


def _numbers(shape: re.Pattern[str], words: str) -> list[float]:
    return [float(x.replace(",", ".")) for x in shape.findall(words)]


def _bare(words: str) -> str:
    """Return what a text says beside volts, angles and a grade family."""
    for shape in (_ANGLE, _VOLTS, _FAMILY):
        words = shape.sub(" ", words)
    return " ".join(words.replace(",", " ").replace(";", " ").split())
