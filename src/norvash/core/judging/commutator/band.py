"""Whether the brush stays on the machined band at either end of the float."""

from collections.abc import Iterator

from norvash.core.edges import under
from norvash.core.motor.figure_fields import END_FLOAT_HIGH_MM
from norvash.core.sheet.measured import Measured, standing_of
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.commutator.band import BAND_FROM, BAND_SHORT, BAND_TO, RUNS_FROM, RUNS_TO
from norvash.core.stages.drive.shaft import END_FLOAT

_SIDES = ("riser side", "other side")


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


def band_measured(sheet: Sheet) -> Iterator[Measured]:
    """Yield how far the machined band is clear of the brush on each side, against the float."""
    needed = needed_mm(sheet)
    if needed is None:
        return
    pairs = ((BAND_FROM, RUNS_FROM), (BAND_TO, RUNS_TO))
    clear = [(s, mm, p) for s, mm, p in zip(_SIDES, clear_mm(sheet), pairs, strict=True) if mm is not None]
    short = [f"{mm:.1f} mm clear at the {side}, {needed:.1f} mm needed" for side, mm, _ in clear if under(mm, needed)]
    for side, mm, pair in clear:
        yield Measured(
            id="band-clear",
            of=tuple((f.id, 0) for f in pair),
            words=f"{mm:.1f} mm clear at the {side}, {needed:.1f} mm needed",
            standing=standing_of(not under(mm, needed)),
            value=mm,
            unit="mm",
            low=needed,
            basis="the end float",
            findings=(BAND_SHORT.worded("; ".join(short)),) if under(mm, needed) else (),
            rests_on=("end_float_high_mm",),
        )
