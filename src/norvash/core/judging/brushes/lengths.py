"""The length of each brush against its limit, as a measured value."""

from collections.abc import Iterator
from dataclasses import dataclass

from norvash.core.brush.gauged import is_floating
from norvash.core.grades import Graded, rank_of
from norvash.core.motor.figure_fields import NEW_MM
from norvash.core.motor.figures import Figures
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.measured import Derived, Measured, by_rule, standing_of
from norvash.core.stages.brushes.carbon import SET_WORN
from norvash.core.state.findings import Findings

_PLAN = rank_of("plan")


@dataclass(frozen=True, slots=True, kw_only=True)
class Length:
    """A length as it was read at a position, what of it is usable and left, its rate, and its grade; nothing is left of
    one that does not follow its wear.

    Units: length_mm, left_mm [mm]; usable [1]; rate_mm_per_kh [mm] per 1000 of use.
    """

    number: int
    label: str
    length_mm: float
    usable: float | None
    left_mm: float | None
    rate_mm_per_kh: float | None
    graded: Graded | None


def lengths(found: Findings, figures: Figures, rules: MotorRules) -> Iterator[Measured]:
    """Yield the length of every brush that was measured last."""
    for b in found.brushes:
        if b.last is not None and b.in_round:
            left = None if b.label in found.held else b.left_mm
            read = Length(
                number=b.number,
                label=b.label,
                length_mm=b.last.length_mm,
                usable=b.usable,
                left_mm=left,
                rate_mm_per_kh=b.rate_mm_per_kh,
                graded=b.graded,
            )
            yield length_measured(read, found.limit.source, figures, rules)


def length_measured(read: Length, limit_source: str, figures: Figures, rules: MotorRules) -> Measured:
    """Return a length against its limit; off from where its change is planned."""
    left_mm, floating = read.left_mm, is_floating(figures)
    low = None if left_mm is None else read.length_mm - left_mm
    follows = () if left_mm is None else tuple(_follows(read, left_mm, floating))
    said = ", ".join(d.said for d in follows) or "its reading proves nothing"
    own = by_rule(rules, "stage.plan", "stage.change", "stage.stop")
    right = None if read.graded is None else read.graded.rank < _PLAN
    return Measured(
        id="length",
        of=(("length", read.number),),
        words=f"Brush {read.label}: {read.length_mm:.4g} mm{'' if low is None else f', at least {low:.4g}'}; {said}",
        standing="not judged" if left_mm is None else standing_of(right),
        spot=read.number,
        value=read.length_mm,
        unit="mm",
        low=low,
        high=None if floating else NEW_MM.need(figures),
        basis=limit_source if own == "rule" else f"{limit_source}; {own}",
        derived=follows,
        rests_on=SET_WORN.rests_on,
    )


def _follows(read: Length, left_mm: float, floating: bool) -> Iterator[Derived]:
    """Yield what follows from a length: what of it is usable, to the percent that a reading carries, and what is left
    over its limit, or by how much it is under it; its wear."""
    if left_mm < 0:
        yield Derived("under its limit by", -left_mm, "mm")
    else:
        if read.usable is not None and not floating:
            yield Derived("usable", round(read.usable, 2), "share")
        yield Derived("left", left_mm, "mm")
    if read.rate_mm_per_kh is not None:
        yield Derived("wear per 1000 of use", read.rate_mm_per_kh, "mm")
