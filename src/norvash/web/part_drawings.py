"""What the pages of sums on parts draw: a fit in its band, speed and volts against their most, an answer."""

from norvash.core.rules.book import MotorRules
from norvash.core.sums.fits import OneFitIn, OneFitOut
from norvash.core.sums.offered import OfferedIn, OfferedOut, found_of
from norvash.core.sums.speed import BarVoltsIn, BarVoltsOut, SpeedIn, SpeedOut
from norvash.drawing.answer_columns import answer_columns
from norvash.drawing.band_scale import Banded, band_scale
from norvash.drawing.svg import Drawing


def fit_drawn(given: OneFitIn, result: OneFitOut, _rules: MotorRules, width: float) -> Drawing:
    """Return the clearance in its band.

    Units: width [px].
    """
    row = Banded(words=given.kind, unit="mm", value=result.clearance_mm, low=result.low_mm, high=result.high_mm)
    return band_scale("Clearance in its band", (row,), width)


def speed_drawn(_given: SpeedIn, result: SpeedOut, _rules: MotorRules, width: float) -> Drawing:
    """Return the surface speed against its most.

    Units: width [px].
    """
    most = result.most_m_s
    row = Banded(
        words="Surface speed", unit="m/s", value=result.speed_m_s, low=None if most is None else 0.0, high=most
    )
    return band_scale("Surface speed against what the grade bears", (row,), width)


def bar_volts_drawn(_given: BarVoltsIn, result: BarVoltsOut, _rules: MotorRules, width: float) -> Drawing:
    """Return the mean volts from bar to bar against their most.

    Units: width [px].
    """
    row = Banded(words="Mean volts from bar to bar", unit="V", value=result.mean_v, low=0.0, high=result.most_v)
    return band_scale("Volts from bar to bar against their most", (row,), width)


def offered_drawn(given: OfferedIn, _result: OfferedOut, rules: MotorRules, width: float) -> Drawing:
    """Return every point that was compared.

    Units: width [px].
    """
    return answer_columns(found_of(given, rules), width)
