"""Whether the brush stays on the machined band at either end of the float."""

from collections.abc import Iterator

from norvash.core.edges import under
from norvash.core.motor.figure_fields import END_FLOAT_HIGH_MM
from norvash.core.sheet.finding import Finding
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.stages.commutator.band import BAND_FROM, BAND_SHORT, BAND_TO, RUNS_FROM, RUNS_TO
from norvash.core.sheet.stages.drive.shaft import END_FLOAT


def needed_mm(sheet: Sheet) -> float | None:
    """Return how much the band must be clear of the brush on each side [mm]: the whole float, as measured here, else
    its upper limit; None where neither is known.
    """
    read = END_FLOAT.of(sheet)
    return read if read is not None else END_FLOAT_HIGH_MM.stated(sheet.facts.figures)


def clear_mm(sheet: Sheet) -> tuple[float | None, float | None]:
    """Return how much the band is clear of the brush at the riser and at the other side [mm], None where that was not
    measured.
    """
    return _apart(BAND_FROM.of(sheet), RUNS_FROM.of(sheet)), _apart(RUNS_TO.of(sheet), BAND_TO.of(sheet))


def _apart(low_mm: float | None, high_mm: float | None) -> float | None:
    return None if low_mm is None or high_mm is None else high_mm - low_mm


def band_findings(sheet: Sheet) -> Iterator[Finding]:
    """Yield that the machined band is too short on a side."""
    needed = needed_mm(sheet)
    if needed is None:
        return
    sides = zip(("riser side", "other side"), clear_mm(sheet), strict=True)
    short = [
        f"{mm:.1f} mm clear at the {side}, {needed:.1f} mm needed"
        for side, mm in sides
        if mm is not None and under(mm, needed)
    ]
    if short:
        yield BAND_SHORT.saying("; ".join(short))
