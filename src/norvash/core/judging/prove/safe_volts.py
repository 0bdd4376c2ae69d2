"""How many volts a series motor may get without load, by two low runs of this visit."""

from norvash.core.judging.prove.points import points_of
from norvash.core.judging.prove.standstill import pair_drop_v, still_ohm
from norvash.core.known import all_known
from norvash.core.motor.figure_fields import ARMATURE_OHM, PERMITTED_RPM
from norvash.core.rules.book import MotorRules
from norvash.core.running.series import LowRun, series_motor
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.prove.volts import Most
from norvash.errors import InputError

_LEAST = 2


def low_runs(sheet: Sheet) -> list[LowRun]:
    """Return the points of a run at which volts, amps and speed were read."""
    read = [all_known(p.volts, p.amps, p.rpm) for p in points_of(sheet)]
    return [LowRun(v=x[0], a=x[1], rpm=x[2]) for x in read if x is not None and min(x) > 0]


def safe_by_runs(sheet: Sheet, rules: MotorRules) -> Most | None:
    """Return the most volts without load that low runs of this visit show; None where they do not, or where permitted
    speed, resistance or drop of the brushes are not known: then a quarter of the plate is the most.

    Units: [V]. Source: rules lowrun.share, lowrun.apart
    """
    runs, permitted = low_runs(sheet), PERMITTED_RPM.of(sheet.facts.figures)
    ohm = still_ohm(sheet, rules) or ARMATURE_OHM.of(sheet.facts.figures)
    known = all_known(permitted, ohm, pair_drop_v(sheet.facts, rules))
    if not sheet.facts.runs_away or len(runs) < _LEAST or known is None:
        return None
    try:
        motor = series_motor(runs, known[1], known[2], rules)
    except InputError:
        return None
    share = rules["lowrun.share"]
    volts = motor.volts_at(share * known[0])
    return Most(volts, f"by its low runs: {share:.0%} of its permitted {known[0]:g} r/min is reached there")


def safe_lacks(sheet: Sheet, rules: MotorRules) -> str:
    """Return what is missing for a safe voltage by low runs, empty where it is there or where none is asked."""
    if not sheet.facts.runs_away or safe_by_runs(sheet, rules) is not None:
        return ""
    lacking = [] if PERMITTED_RPM.of(sheet.facts.figures) else ["its permitted speed"]
    if not (still_ohm(sheet, rules) or ARMATURE_OHM.of(sheet.facts.figures)):
        lacking.append("its resistance, by a test at standstill")
    if pair_drop_v(sheet.facts, rules) is None:
        lacking.append("the grade of its brushes")
    runs = low_runs(sheet)
    if len(runs) < _LEAST or not lacking:
        lacking.append(f"two low runs with V, A and r/min, the second {rules['lowrun.apart']:.0%} faster")
    return ", ".join(lacking)
