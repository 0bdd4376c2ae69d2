"""Windings: insulation at one temperature and over the years, polarization, coils against each other, temperature rise."""

from collections.abc import Sequence
from dataclasses import dataclass

from norvash.core.rules.book import MotorRules
from norvash.core.rules.windings import INSULATION
from norvash.core.stages import Stage
from norvash.errors import InputError

_REFERENCE_C = 40.0
MACHINES = {
    "earthed": "tool or appliance with protective earth", "double": "double insulated tool or appliance",
    "modern": "over 250 V, sound modern winding", "small": "over 250 V, small machine", "old": "over 250 V, old winding",
    "other": "any other, starters included",
}  # fmt: skip
AT_40 = ("modern", "small", "old")
TEST_VOLTS = ((50.0, "100 V at most"), (250.0, "250 or 500 V"), (1000.0, "500 V"))


def r40_megohm(measured_megohm: float, temperature_c: float, rules: MotorRules) -> float:
    """Return insulation as it would be at 40 °C.

    Units: [MΩ], [°C] -> [MΩ]. Source: rule insulation.half

    >>> from norvash.core.rules.catalogue import shipped
    >>> round(r40_megohm(34.0, 22.0, shipped()), 4)
    9.7639
    """
    return float(measured_megohm * 0.5 ** ((_REFERENCE_C - temperature_c) / rules["insulation.half"]))


def volts_to_test_with(rated_v: float | None) -> str:
    """Return the voltage to test insulation with, in words."""
    if rated_v is None:
        return "by its rated voltage"
    return next((words for most, words in TEST_VOLTS if rated_v <= most), "by the maker's figure")


def machine_of(motor_class: str, rated_v: float | None, protection: str, rules: MotorRules) -> str:
    """Return how a machine's insulation is judged, by class, voltage and way of protection."""
    if motor_class in ("tool", "appliance"):
        return "double" if protection == "double insulated" else "earthed"
    return "small" if rated_v is not None and rated_v > rules["insulation.high-voltage"] else "other"


def least_megohm(machine: str, rated_v: float | None, rules: MotorRules) -> float:
    """Return the least insulation of a machine.

    Units: -> [MΩ]. Source: rules insulation.*
    """
    base = rules[INSULATION.of(machine)]
    return base + (rated_v or 0.0) / 1000 if machine == "old" else base


@dataclass(frozen=True, slots=True)
class Insulation:
    """Insulation to earth, judged: the value judged by [MΩ], whether at 40 °C, its least, and its share of last time [1]."""

    measured: float
    r40: float | None
    judged: float
    at_40: bool
    least: float
    passes: bool
    share: float | None
    fallen: bool
    stage: Stage
    words: str


def judge_insulation(
    measured: float, temperature_c: float | None, least: float, previous_r40: float | None, rules: MotorRules, *, at_40: bool = True
) -> Insulation:  # fmt: skip
    """Return insulation to earth, judged against its least and against last time.

    Units: [MΩ], [°C]. Source: rules insulation.fall, insulation.half
    """
    r40 = None if temperature_c is None else r40_megohm(measured, temperature_c, rules)
    judged = r40 if at_40 and r40 is not None else measured
    passes = judged >= least - 1e-9
    share = r40 / previous_r40 if r40 is not None and previous_r40 else None
    fallen = share is not None and share < rules["insulation.fall"]
    stage: Stage = "stop" if not passes else "watch" if fallen else "fit"
    how = "at 40 °C" if at_40 and r40 is not None else "as measured"
    words = f"{judged:.3g} MΩ {how}, {'over' if passes else 'under'} its least of {least:g} MΩ"
    if fallen and share is not None:
        words += f"; fallen to {share:.0%} of last time, so it is raised by one stage"
    if not passes:
        words += "; carbon dust is the commonest cause: clean, dry and test again before it is condemned"
    return Insulation(measured, r40, judged, at_40, least, passes, share, fallen, stage, words)


@dataclass(frozen=True, slots=True)
class Polarization:
    """The ratio of the ten-minute to the one-minute value [1], None where it says nothing, and the stage."""

    ratio: float | None
    stage: Stage
    words: str


def judge_polarization(one_min: float, ten_min: float, rules: MotorRules) -> Polarization:
    """Return the polarization index, judged.

    Units: [MΩ]. Raises: InputError for nothing at one minute. Source: rules polarization.*
    """
    if not one_min > 0:
        raise InputError(
            "The value after one minute is nothing.", "Give what the tester showed, in MΩ.", "one_minute_megohm"
        )
    ratio = ten_min / one_min
    if one_min > rules["polarization.most"]:
        return Polarization(None, "fit", f"not judged: over {rules['polarization.most'] / 1000:g} GΩ it says nothing")
    if ratio >= rules["polarization.good"] - 1e-9:
        return Polarization(ratio, "fit", f"{ratio:.2f}, good")
    if ratio >= rules["polarization.act"] - 1e-9:
        return Polarization(ratio, "watch", f"{ratio:.2f}, to be watched")
    return Polarization(ratio, "plan", f"{ratio:.2f}, damp or dirty: clean, dry, test again")


@dataclass(frozen=True, slots=True)
class Coils:
    """Field coils at 20 °C [Ω], their deviation from the mean [1], and those that are off, from 1."""

    at_20: tuple[float, ...]
    deviations: tuple[float, ...]
    off: tuple[int, ...]
    spread: float


def judge_coils(ohms: Sequence[float], temperature_c: float, rules: MotorRules) -> Coils:
    """Return field coils held against each other.

    Units: [Ω], [°C]. Raises: InputError for fewer than two. Source: rules field.spread, field.coefficient
    """
    if len(ohms) < 2 or min(ohms) <= 0:
        raise InputError(
            "Two coils at least are needed, each with a resistance.", "Give the resistance of every coil.", "coils_ohm"
        )
    at_20 = tuple(x / (1 + rules["field.coefficient"] * (temperature_c - 20)) for x in ohms)
    mean = sum(at_20) / len(at_20)
    off = tuple(x / mean - 1 for x in at_20)
    spread = (max(at_20) - min(at_20)) / mean
    bad = spread > rules["field.spread"] + 1e-9
    worst = max(abs(d) for d in off)
    return Coils(at_20, off, tuple(i for i, d in enumerate(off, start=1) if bad and abs(d) >= worst - 1e-9), spread)


def winding_c(cold_ohm: float, cold_c: float, hot_ohm: float, rules: MotorRules) -> float:
    """Return the temperature of a copper winding from its resistance cold and hot.

    Units: [Ω], [°C] -> [°C]. Raises: InputError without a cold resistance. Source: rule copper.zero

    >>> from norvash.core.rules.catalogue import shipped
    >>> round(winding_c(1.0, 20.0, 1.2, shipped()), 1)
    70.9
    """
    if not cold_ohm > 0:
        raise InputError("The cold resistance is nothing.", "Measure it cold, in Ω.", "cold_ohm")
    zero = rules["copper.zero"]
    return hot_ohm / cold_ohm * (zero + cold_c) - zero


def bars_of_slot(slot: int, bars: int, slots: int) -> tuple[int, int] | None:
    """Return the first and last bar over a slot of the armature, slot 1 starting at bar 1; None where they do not go in.

    >>> bars_of_slot(7, 87, 29), bars_of_slot(30, 87, 29), bars_of_slot(1, 87, 30)
    ((19, 21), None, None)
    """
    if bars % slots or not 1 <= slot <= slots:
        return None
    per = bars // slots
    return (slot - 1) * per + 1, slot * per
