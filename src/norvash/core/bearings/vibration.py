"""Vibration of a bolted machine's housing: by its size, how it stands, what it carries, and last time."""

from dataclasses import dataclass

from norvash.core.edges import over, under
from norvash.core.grades import GRADES, Grade
from norvash.core.rules.book import MotorRules
from norvash.errors import InputError


@dataclass(frozen=True, slots=True)
class Stands:
    """What the lines depend on: power of the plate [W], whether it stands flexible, whether it hangs a load or carries
    people.

    None where it is not known: a small machine's lines and a rigid stand are the stricter ones.
    """

    rated_w: float | None = None
    flexible: bool = False
    carries: bool = False


@dataclass(frozen=True, slots=True)
class Shaken:
    """Vibration [mm/s], judged: its grade and words, the three lines [mm/s] with the rules they come from, growth since
    last time [1].
    """

    grade: Grade
    words: str
    lines: tuple[float, float, float]
    rules: tuple[str, str, str]
    grown: float | None


def vibration_lines(stands: Stands, rules: MotorRules) -> tuple[tuple[float, float, float], tuple[str, str, str]]:
    """Return the lines of good, acceptable and to be watched, and their rules.

    Units: -> [mm/s]. Raises: InputError for a machine that is too large. Source: rules vibration.*
    """
    ids = ("vibration.good", "vibration.acceptable", "vibration.watch")
    if stands.rated_w is not None and over(stands.rated_w, 1000 * rules["vibration.small"]):
        if over(stands.rated_w, 1000 * rules["vibration.large"]):
            raise InputError(
                f"A machine of {stands.rated_w / 1000:g} kW has lines of its own.",
                "Look them up and judge it by them.",
                "rated_kw",
            )
        ids = (
            ("vibration.good-flexible", "vibration.acceptable-flexible", "vibration.watch-flexible")
            if stands.flexible
            else ("vibration.good-rigid", "vibration.acceptable-rigid", "vibration.watch-rigid")
        )
    return (rules[ids[0]], rules[ids[1]], rules[ids[2]]), ids


def judge_vibration(mm_per_s: float, before_mm_per_s: float | None, stands: Stands, rules: MotorRules) -> Shaken:
    """Return the vibration of a housing, judged by its lines and against last time; over the worst line is a change.

    Units: [mm/s rms]. Raises: InputError for a machine that is too large. Source: rules vibration.*
    """
    (good, acceptable, watch), ids = vibration_lines(stands, rules)
    if over(mm_per_s, watch):
        grade: Grade = "stop" if stands.carries else "change"
        words = "far too much: balance, bearings, coupling" + (
            "; it hangs a load or carries people" if stands.carries else ""
        )
    elif over(mm_per_s, acceptable):
        grade, words = "watch", "to be watched"
    else:
        grade, words = "fit", "acceptable" if over(mm_per_s, good) else "good"
    if before_mm_per_s is None:
        return Shaken(grade, words, (good, acceptable, watch), ids, None)
    by_growth, said = _grown(mm_per_s, before_mm_per_s, acceptable, rules)
    return Shaken(
        max(grade, by_growth, key=GRADES.index),
        words + said,
        (good, acceptable, watch),
        ids,
        mm_per_s / before_mm_per_s - 1,
    )


def _grown(now: float, before: float, acceptable: float, rules: MotorRules) -> tuple[Grade, str]:
    """Return what the change since last time asks for; less than last time is a sign too, but raises nothing."""
    times = now / before
    if not under(times, rules["vibration.change"]):
        return "change", f", {times:.1f} times last time"
    if not under(times, rules["vibration.plan"]):
        return "plan", f", {times:.1f} times last time"
    if over(abs(now - before), rules["vibration.sign"] * acceptable):
        more = now > before
        return "watch" if more else "fit", f", clearly {'more' if more else 'less'} than last time: a sign"
    return "fit", ""
