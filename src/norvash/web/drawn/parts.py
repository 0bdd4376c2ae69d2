"""What the pages of sums on parts draw: a fit in its band, speed and volts against their most, an answer."""

from norvash.core.rules.book import MotorRules
from norvash.core.stacks.torque import Band
from norvash.core.sums.brush.speed import BarVoltsIn, BarVoltsOut, SpeedIn, SpeedOut
from norvash.core.sums.shaft.closing import StackIn, StackOut, TorqueIn, TorqueOut, compared_stacks
from norvash.core.sums.shaft.fits import OneFitIn, OneFitOut
from norvash.core.sums.shaft.offered import OfferedIn, OfferedOut, found_of
from norvash.drawing.scales.answer_columns import answer_columns
from norvash.drawing.scales.band_scale import Banded, band_scale
from norvash.drawing.shaft.cross_pattern import cross_pattern
from norvash.drawing.shaft.exploded_stack import Laid, exploded_stack
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


def stack_drawn(given: StackIn, _result: StackOut, rules: MotorRules, width: float) -> Drawing:
    """Return the stack as it came off, with what is back as it was in one piece, and what differs.

    Units: width [px].
    """
    out, _, found = compared_stacks(given, rules)
    states = {d.at: "left out" if d.what == "missing" and "nothing" in d.words else "differs" for d in found}
    laid = [Laid(number=n + 1, part=part, state=states.get(n, "back")) for n, part in enumerate(out)]
    return exploded_stack(tuple(laid), "What came off, and what is back", width)


def torque_drawn(given: TorqueIn, result: TorqueOut, _rules: MotorRules, width: float) -> Drawing:
    """Return the screws in the order in which they are tightened, with the three rounds.

    Units: width [px].
    """
    return cross_pattern(given.screws, Band(result.low_nm, result.high_nm), width)
