"""The polarization index: what ten minutes of test voltage say of a winding's dryness."""

from dataclasses import dataclass

from norvash.core.edges import over, under
from norvash.core.grades import Grade
from norvash.core.rules.book import MotorRules
from norvash.errors import InputError


@dataclass(frozen=True, slots=True)
class Polarization:
    """The ratio of the ten-minute to the one-minute value [1], None where it says nothing, and the grade."""

    ratio: float | None
    grade: Grade
    words: str


def applies(form_wound: bool, rated_w: float | None, rules: MotorRules) -> bool:
    """Tell whether a polarization index says something of a machine: form-wound coils, or a large plate.

    Units: rated_w [W]. Source: rule polarization.power
    """
    return form_wound or (rated_w is not None and not under(rated_w, 1000 * rules["polarization.power"]))


def judge_polarization(one_min: float, ten_min: float, rules: MotorRules, *, told: bool = True) -> Polarization:
    """Return the polarization index, judged; `told` is whether it says something of this machine.

    Units: [MΩ]. Raises: InputError for nothing at one minute. Source: rules polarization.*
    """
    if not one_min > 0:
        raise InputError(
            "The value after one minute is nothing.", "Give what the tester showed, in MΩ.", "one_minute_megohm"
        )
    ratio = ten_min / one_min
    if not told:
        kw = rules["polarization.power"]
        return Polarization(
            None, "fit", f"not judged, {ratio:.2f}: it says something of form-wound coils, or from {kw:g} kW"
        )
    if over(one_min, rules["polarization.most"]):
        return Polarization(None, "fit", f"not judged: over {rules['polarization.most'] / 1000:g} GΩ it says nothing")
    if under(ratio, rules["polarization.hold"]):
        return Polarization(
            ratio, "stop", f"{ratio:.2f}, it falls while it is tested: no power; clean, dry, test again"
        )
    if under(ratio, rules["polarization.act"]):
        return Polarization(ratio, "plan", f"{ratio:.2f}, damp or dirty: clean, dry, test again")
    if under(ratio, rules["polarization.good"]):
        return Polarization(ratio, "watch", f"{ratio:.2f}, to be watched")
    return Polarization(ratio, "fit", f"{ratio:.2f}, good")
