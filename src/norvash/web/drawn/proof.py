"""What the pages of the sums of run-in, proof, balance and grease draw."""

from norvash.core.rules.book import MotorRules
from norvash.core.sums.running.generating import SELF, OutputIn, OutputOut
from norvash.core.sums.running.proving import (
    FieldIn,
    FieldOut,
    InrushIn,
    InrushOut,
    NoLoadIn,
    NoLoadOut,
    PulleyIn,
    PulleyOut,
)
from norvash.core.sums.running.running_in import RunInIn, RunInOut, SafeIn, SafeOut
from norvash.core.sums.shaft.turning import BalanceIn, BalanceOut, RegreaseIn, RegreaseOut
from norvash.drawing.running.output_curve import Output, output_curve
from norvash.drawing.scales.band_scale import Banded, band_scale
from norvash.drawing.shaft.belt_drive import belt_drive
from norvash.drawing.svg import Drawing


def run_in_drawn(given: RunInIn, result: RunInOut, _rules: MotorRules, width: float) -> Drawing:
    """Return volts under the plate's, amps under the plate's, the print against its release. Units: width [px]."""
    rows = [
        Banded(words="Current", unit="A", value=result.most_a, low=0.0, high=given.rated_a),
        Banded(words="Print of the contact", unit="", value=given.contact_share, low=result.release_share, high=1.0),
    ]
    if result.volts_v is not None:
        rows.insert(0, Banded(words="Volts", unit="V", value=result.volts_v, low=0.0, high=given.rated_v))
    return band_scale("Run-in against the plate", rows, width)


def safe_drawn(given: SafeIn, result: SafeOut, rules: MotorRules, width: float) -> Drawing:
    """Return the speed at the volts of the test against its most. Units: width [px]."""
    most = None if given.permitted_rpm is None else rules["lowrun.share"] * given.permitted_rpm
    low = None if most is None else 0.0
    row = Banded(words="Speed without load", unit="r/min", value=result.speed_rpm, low=low, high=most)
    return band_scale(f"At {given.test_v:g} V, without load", (row,), width)


def inrush_drawn(given: InrushIn, result: InrushOut, _rules: MotorRules, width: float) -> Drawing:
    """Return the current of the start beside that of the test. Units: width [px]."""
    row = Banded(
        words="Start at full volts",
        unit="A",
        value=result.inrush_a,
        low=None,
        high=None,
        also=given.locked_a,
        also_words="as tested",
    )
    return band_scale("Current at standstill", (row,), width)


def no_load_drawn(given: NoLoadIn, result: NoLoadOut, _rules: MotorRules, width: float) -> Drawing:
    """Return the speed without load beside that of the plate. Units: width [px]."""
    row = Banded(
        words="Speed",
        unit="r/min",
        value=result.no_load_rpm,
        low=None,
        high=None,
        also=given.rated_rpm,
        also_words="plate",
    )
    return band_scale("Speed without load", (row,), width)


def field_drawn(_given: FieldIn, result: FieldOut, _rules: MotorRules, width: float) -> Drawing:
    """Return the current of the field over its least. Units: width [px]."""
    high = result.field_a + (result.field_a - result.least_a)
    row = Banded(words="Field current", unit="A", value=result.field_a, low=result.least_a, high=high)
    return band_scale("The field before the armature gets volts", (row,), width)


def pulley_drawn(given: PulleyIn, result: PulleyOut, _rules: MotorRules, width: float) -> Drawing:
    """Return the belt over its pulleys. Units: width [px]."""
    return belt_drive(given.driver_d_mm, given.driver_rpm, given.driven_d_mm, result.driven_rpm, width)


def output_drawn(given: OutputIn, _result: OutputOut, rules: MotorRules, width: float) -> Drawing:
    """Return the volts over the speed against the plate. Units: width [px]."""
    drawn = Output(
        found=(),
        left=[(p.rpm, p.v) for p in given.points],
        plate=(given.rated_rpm, given.rated_v),
        judged_from=rules["output.from"],
        band=(rules["output.low"], rules["output.high"]),
        near=(rules["output.full"] if given.excitation == SELF else rules["output.from"], rules["output.over"]),
    )
    return output_curve(drawn, width)


def balance_drawn(_given: BalanceIn, result: BalanceOut, _rules: MotorRules, width: float) -> Drawing:
    """Return the unbalance that may stay. Units: width [px]."""
    most = result.permissible_g_mm
    row = Banded(words="Unbalance, at most", unit="g·mm", value=most, low=0.0, high=most)
    return band_scale("Balance", (row,), width)


def regrease_drawn(_given: RegreaseIn, result: RegreaseOut, rules: MotorRules, width: float) -> Drawing:
    """Return the interval against the longest one. Units: width [px]."""
    row = Banded(words="Interval", unit="h", value=result.interval_h or 0.0, low=0.0, high=rules["regrease.most"])
    return band_scale("Grease again", (row,), width)
