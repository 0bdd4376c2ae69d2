"""The sums of brush geometry and loading for one motor, as lines with their judgement."""

from norvash.core.brush.holders import gap_reason
from norvash.core.brush.loading import bars_covered, current_density_a_per_cm2, pressure_kpa
from norvash.core.brush.on_copper import BAR_VOLTS_OF, mean_bar_v, most_bar_v, most_m_per_s
from norvash.core.brush.seating import sagitta_mm, seating_method
from norvash.core.brush.springs import band_of
from norvash.core.commutator.run_out_limits import surface_speed_m_per_s
from norvash.core.edges import over, within
from norvash.core.motor.figure_fields import (
    BARS,
    COMMUTATOR_D_MM,
    COMMUTATOR_NOW_MM,
    FORCE_NEW_N,
    GRADE_FAMILY,
    HOLDER_GAP_MM,
    INTERPOLES,
    NEW_MM,
    POLES,
    RATED_A,
    RATED_RPM,
    RATED_V,
    SPRING_RATE_N_PER_MM,
    SUNK_MM,
    THICKNESS_MM,
    WIDTH_MM,
)
from norvash.core.motor.figure_reading import track_d_mm
from norvash.core.rules.book import MotorRules
from norvash.core.rules.fitting import CONTACT_DROP, DENSITY_HIGH, DENSITY_LOW
from norvash.core.sheet.measured import Measured, follows
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.brushes.holders import HOLDER_GAP
from norvash.core.state.findings import Findings
from norvash.errors import InputError


def geometry(sheet: Sheet, found: Findings, rules: MotorRules) -> tuple[Measured, ...]:
    """Return the lines that the figures known allow; what rests on class defaults says so."""
    made = [*_springs(sheet, found, rules), *_current(sheet, rules), *_copper(sheet, rules), *_face(sheet, rules)]
    gap, known = HOLDER_GAP_MM.stated(sheet.facts.figures), sheet.facts.figures
    since = f", {HOLDER_GAP_MM.basis(known)}" if SUNK_MM.of(known) else ""
    if gap is not None and not HOLDER_GAP.places(sheet):
        made.append(
            follows(
                words="Holder gap by the type" + since,
                value=gap,
                unit="mm",
                basis=f"{rules['gap.low']:g} to {rules['gap.high']:g} mm",
                right=gap_reason(gap, rules)[0],
                rests_on=("gap.low", "gap.high"),
            )
        )
    sunk = SUNK_MM.of(known)
    if sunk is not None:
        made.append(
            follows(
                words=f"Surface sunk under the brush{since}",
                value=sunk,
                unit="mm",
                basis="gap, limit and depth readings reach that much further until the holders are set",
                right=False,
                rests_on=(),
            )
        )
    return tuple(made)


def _springs(sheet: Sheet, found: Findings, rules: MotorRules) -> list[Measured]:
    figures = sheet.facts.figures
    t, a = THICKNESS_MM.need(figures), WIDTH_MM.need(figures)
    low, high = band_of(rules, magnets=sheet.facts.magnets)
    band, ids = f"{low:g} to {high:g} kPa", ("pressure.low", "pressure.high")
    made = []
    new, rate = FORCE_NEW_N.stated(figures), SPRING_RATE_N_PER_MM.stated(figures)
    if new is not None and rate is not None:
        at_limit = pressure_kpa(new - rate * (NEW_MM.need(figures) - found.limit.limit_mm), t, a)
        made.append(
            follows(
                words="Pressure at the limit, by the spring's rate",
                value=at_limit,
                unit="kPa",
                basis=band,
                right=within(low, at_limit, high),
                rests_on=ids,
            )
        )
    return made


def _copper(sheet: Sheet, rules: MotorRules) -> list[Measured]:
    """Return how fast the copper runs under its grade, and the volts from bar to bar, where the figures are known."""
    return [*_surface(sheet, rules), *_bar_volts(sheet, rules)]


def _surface(sheet: Sheet, rules: MotorRules) -> list[Measured]:
    figures = sheet.facts.figures
    diameter, rpm = track_d_mm(figures), RATED_RPM.stated(figures)
    if COMMUTATOR_D_MM.stated(figures) is None or not diameter or not rpm:
        return []
    speed = surface_speed_m_per_s(diameter, rpm)
    most, ids = most_m_per_s(GRADE_FAMILY.of(figures) or None, sheet.facts.motor_class, rules)
    return [
        follows(
            words="Surface speed at rated speed",
            value=speed,
            unit="m/s",
            basis="its maker's figure" if most is None else f"at most {most:g} m/s",
            right=None if most is None else not over(speed, most),
            rests_on=ids,
        )
    ]


def _bar_volts(sheet: Sheet, rules: MotorRules) -> list[Measured]:
    figures = sheet.facts.figures
    known = [x for x in (RATED_V.stated(figures), POLES.stated(figures), BARS.stated(figures)) if x]
    if sheet.facts.motor_class not in BAR_VOLTS_OF or len(known) < 3:
        return []
    volts, poles, bars = known
    mean = mean_bar_v(volts, int(poles) // 2, int(bars))
    most, rule = most_bar_v(rules, interpoles=INTERPOLES.of(figures) != "no")
    return [
        follows(
            words="Mean volts from bar to bar",
            value=mean,
            unit="V",
            basis=f"at most {most:g} V; over it look for flashover marks",
            right=not over(mean, most),
            rests_on=(rule,),
        )
    ]


def _current(sheet: Sheet, rules: MotorRules) -> list[Measured]:
    figures, count = sheet.facts.figures, len(sheet.facts.positions)
    amps, grade, volts = RATED_A.stated(figures), GRADE_FAMILY.of(figures), RATED_V.stated(figures)
    if amps is None:
        return []
    try:
        density = current_density_a_per_cm2(amps, count, THICKNESS_MM.need(figures) * WIDTH_MM.need(figures))
    except InputError:
        return []
    if not grade:
        return [
            follows(
                words="Current density at rated current",
                value=density,
                unit="A/cm²",
                basis="grade not known",
                right=None,
                rests_on=(),
            )
        ]
    ids = (DENSITY_LOW.of(grade), DENSITY_HIGH.of(grade))
    low, high = rules[ids[0]], rules[ids[1]]
    right = None if sheet.facts.motor_class == "starter" else within(low * rules["density.least-share"], density, high)
    made = [
        follows(
            words="Current density at rated current",
            value=density,
            unit="A/cm²",
            basis=f"{low:g} to {high:g} A/cm² for {grade}",
            right=right,
            rests_on=ids,
        )
    ]
    if volts:
        drop = rules[CONTACT_DROP.of(grade)]
        made.append(
            follows(
                words="Contact drop of a pair, share of the supply",
                value=100 * drop / volts,
                unit="%",
                basis=f"{drop:g} V of {volts:g} V",
                right=None,
                rests_on=(CONTACT_DROP.of(grade),),
            )
        )
    return made


def _face(sheet: Sheet, rules: MotorRules) -> list[Measured]:
    figures = sheet.facts.figures
    diameter, bars, t = (
        COMMUTATOR_NOW_MM.stated(figures) or COMMUTATOR_D_MM.stated(figures),
        BARS.stated(figures),
        THICKNESS_MM.need(figures),
    )
    made = []
    if diameter is not None and bars is not None:
        covered = bars_covered(t, diameter, int(bars))
        low, high = rules["bars.low"], rules["bars.high"]
        made.append(
            follows(
                words="Bars covered by a brush",
                value=covered,
                unit="",
                basis=f"{low:g} to {high:g}",
                right=within(low, covered, high),
                rests_on=("bars.low", "bars.high"),
            )
        )
    if diameter is not None and t < diameter:
        depth = sagitta_mm(diameter, t)
        way = seating_method(depth, len(sheet.facts.positions), rules)
        made.append(
            follows(words="Depth of the face's curve", value=depth, unit="mm", basis=way, right=None, rests_on=())
        )
    return made
