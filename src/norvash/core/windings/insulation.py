"""Insulation to earth, judged by voltage, kind of machine, temperature and what was parted; how it is tested and
dried.
"""

from collections.abc import Iterator
from dataclasses import dataclass
from typing import Literal

from norvash.core.edges import over, under
from norvash.core.grades import GRADES, Grade
from norvash.core.rules.book import MotorRules
from norvash.core.windings.circuits import OF_ARMATURE
from norvash.errors import InputError

_REFERENCE_C = 40.0
MACHINES = {
    "earthed": "appliance or tool with protective earth",
    "double": "appliance or tool, double insulated or not known",
    "other": "industrial, traction, generator or starter",
    "vehicle": "vehicle fed by its battery",
}
_SMALL_MACHINES = ("earthed", "double")
# How a machine is judged: as measured, at 40 °C, or as one of extra-low voltage.
Way = Literal["as measured", "at 40 °C", "extra-low"]
TEST_VOLTS = ((50.0, "100 V at most"), (250.0, "250 or 500 V"), (1000.0, "500 V"))
DRYING = (
    "Drying: at most 90 °C, at most 10 K warmer an hour, solvents gone first. It is dry when the reading has passed its"
    " lowest, has risen, and three readings an hour apart at one temperature agree within a tenth; judge it after it"
    " has cooled to about 40 °C."
)
ALL_PARTED = (
    "lift earthed brushes",
    "part the field",
    "unhook the solenoid from the motor post",
    "take capacitors off",
)


@dataclass(frozen=True, slots=True, kw_only=True)
class EarthTest:
    """What insulation is judged by: voltage of the plate [V], kind of machine, what was measured, and what is known of
    the test.

    `parted` tells whether all that leads to the case or round the winding was lifted, parted or taken off: None where
    nobody says; `to_part` is what there is of it to do. `least_megohm` is a least that somebody states beside the
    rules.
    """

    rated_v: float | None = None
    machine: str = "other"
    circuit: str = "whole"
    least_megohm: float | None = None
    parted: bool | None = None
    to_part: tuple[str, ...] = ALL_PARTED
    wet: bool = False

    def way(self, rules: MotorRules) -> Way:
        """Return how it is judged; a plate whose voltage is not known counts as one from 50 V up.

        Source: rules insulation.low-voltage, insulation.vehicle-voltage, insulation.high-voltage
        """
        volts = self.rated_v
        if volts is not None and under(volts, rules["insulation.low-voltage"]):
            return "extra-low"
        if volts is not None and self.machine == "vehicle" and not over(volts, rules["insulation.vehicle-voltage"]):
            return "extra-low"
        if self.machine not in _SMALL_MACHINES:
            return "at 40 °C"
        return "at 40 °C" if volts is not None and over(volts, rules["insulation.high-voltage"]) else "as measured"


@dataclass(frozen=True, slots=True, kw_only=True)
class Insulation:
    """Insulation to earth, judged: as measured, at 40 °C and the value judged by [MΩ], its least [MΩ], its share of
    last time [1].

    `again` says why it cannot be judged and must be tested again, empty where it can; `unparted` that it is because
    something that leads to the case was not parted.
    """

    measured_megohm: float
    r40_megohm: float | None
    judged_megohm: float
    at_40: bool
    least_megohm: float
    passes: bool
    share: float | None
    fallen: bool
    grade: Grade
    words: str
    again: str = ""
    unparted: bool = False


def machine_of(motor_class: str, protection: str, *, battery: bool = False) -> str:
    """Return how a machine's insulation is judged, by class, way of protection and what feeds it."""
    if motor_class in ("appliance", "tool"):
        return "earthed" if protection == "protective earth" else "double"
    return "vehicle" if motor_class == "traction" and battery else "other"


def volts_to_test_with(rated_v: float | None) -> str:
    """Return the voltage to test insulation with, in words.

    Units: rated_v [V]
    Source: usual practice, by the band of the rated voltage; the maker first
    """
    if rated_v is None:
        return "by its rated voltage"
    return next((words for most, words in TEST_VOLTS if not over(rated_v, most)), "by the maker's figure")


def r40_megohm(measured_megohm: float, temperature_c: float, rules: MotorRules) -> float:
    """Return insulation as it counts at 40 °C; one measured hotter counts as measured, which is the safe side.

    Units: [MΩ], [°C] -> [MΩ]. Source: rule insulation.half

    >>> from norvash.core.rules.catalogue import shipped
    >>> round(r40_megohm(34.0, 22.0, shipped()), 4), r40_megohm(3.0, 60.0, shipped())
    (9.7639, 3.0)
    """
    return min(measured_megohm, trend_megohm(measured_megohm, temperature_c, rules))


def trend_megohm(measured_megohm: float, temperature_c: float, rules: MotorRules) -> float:
    """Return insulation at 40 °C as it is held against another time: corrected from colder and from hotter.

    Units: [MΩ], [°C] -> [MΩ]. Source: rule insulation.half

    >>> from norvash.core.rules.catalogue import shipped
    >>> round(trend_megohm(3.0, 55.0, shipped()) / 9, 3)
    0.943
    """
    return float(measured_megohm * 0.5 ** ((_REFERENCE_C - temperature_c) / rules["insulation.half"]))


def least_megohm(tested: EarthTest, rules: MotorRules) -> float:
    """Return the least insulation: of several that hold the strictest.

    Units: -> [MΩ]. Source: rules insulation.*
    """
    return max(_leasts(tested, rules))


def _leasts(tested: EarthTest, rules: MotorRules) -> Iterator[float]:
    way = tested.way(rules)
    if tested.least_megohm is not None:
        yield tested.least_megohm
    if way == "extra-low":
        volts = tested.rated_v or 0.0
        yield max(rules["insulation.extra-low"], volts * rules["insulation.per-volt"])
        if tested.circuit == "post":
            yield rules["insulation.never"]
        return
    yield rules["insulation.double" if tested.machine == "double" else "insulation.other"]
    if way == "at 40 °C":
        kv = rules["insulation.unknown-kv"] if tested.rated_v is None else tested.rated_v / 1000
        yield rules["insulation.bar"] if tested.circuit in OF_ARMATURE else rules["insulation.old"] + kv


def judge_insulation(
    measured_megohm: float,
    temperature_c: float | None,
    previous_r40_megohm: float | None,
    tested: EarthTest,
    rules: MotorRules,
) -> Insulation:
    """Return insulation to earth, judged against its least and against last time.

    The last one is at 40 °C, corrected both ways, of the same circuit with the same parts lifted.

    Units: [MΩ], [°C]. Raises: InputError for a temperature that no winding has. Source: rules insulation.*
    """
    if temperature_c is not None and not -60 <= temperature_c <= 300:
        raise InputError(
            f"A winding at {temperature_c:g} °C is not possible.", "Give it in °C, from -60 to 300.", "temperature_c"
        )
    least, cold = least_megohm(tested, rules), False
    r40 = trend = None
    if temperature_c is not None:
        r40 = r40_megohm(measured_megohm, temperature_c, rules)
        trend = trend_megohm(measured_megohm, temperature_c, rules)
        cold = under(temperature_c, rules["insulation.cold"])
    at_40 = tested.way(rules) == "at 40 °C" and not cold and tested.parted is not False
    judged, how = _judged(measured_megohm, r40, rules) if at_40 else (measured_megohm, "as measured")
    floor = 0.0 if tested.way(rules) == "extra-low" else rules["insulation.never"]
    enough = not under(judged, least) and not under(measured_megohm, floor)
    again = _again(measured_megohm, temperature_c, enough, tested=tested, least_megohm=least, rules=rules)
    share = trend / previous_r40_megohm if trend is not None and previous_r40_megohm else None
    fallen = share is not None and under(share, rules["insulation.fall"])
    words = f"{measured_megohm:.3g} MΩ as measured, {again}"
    if tested.parted is not False:
        side = "under" if not enough else "over" if over(judged, least) else "exactly"
        words = f"{judged:.3g} MΩ {how}, {side} its least of {least:g} MΩ"
        if not enough and not under(judged, least):
            words += f", but never passed under {floor:g} MΩ as measured"
        words = "; ".join((words, *_more(judged, enough, again, share if fallen else None, tested=tested, rules=rules)))
    return Insulation(
        measured_megohm=measured_megohm,
        r40_megohm=r40,
        judged_megohm=judged,
        at_40=how == "at 40 °C",
        least_megohm=least,
        passes=enough and not again,
        share=share,
        fallen=fallen,
        grade=_grade(judged, enough, bool(again), fallen=fallen, tested=tested, rules=rules),
        words=words,
        again=again,
        unparted=tested.parted is False,
    )


def _judged(measured_megohm: float, r40_megohm: float | None, rules: MotorRules) -> tuple[float, str]:
    if r40_megohm is not None:
        return r40_megohm, "at 40 °C"
    share = rules["insulation.unknown"]
    return share * measured_megohm, f"counted ({share:.0%} of {measured_megohm:.3g} MΩ, its temperature is not known)"


def _again(
    measured_megohm: float,
    temperature_c: float | None,
    enough: bool,
    *,
    tested: EarthTest,
    least_megohm: float,
    rules: MotorRules,
) -> str:
    """Return why a reading proves nothing; one that is under its least although it was cold is bad without a doubt."""
    if tested.parted is False:
        return f"not judged: first {', '.join(tested.to_part)}"
    cold = temperature_c is not None and under(temperature_c, rules["insulation.cold"])
    if not enough or not (cold or tested.wet):
        return ""
    times = rules["insulation.cold-times"] * least_megohm
    if tested.way(rules) != "at 40 °C" and not tested.wet and not under(measured_megohm, times):
        return ""
    return (
        f"{'wet with dew' if tested.wet else f'only {temperature_c:g} °C'}: test again"
        f" {'dry and ' if tested.wet else ''}warm"
    )


def _grade(
    judged_megohm: float, enough: bool, again: bool, *, fallen: bool, tested: EarthTest, rules: MotorRules
) -> Grade:
    if tested.parted is False:
        return "change"
    if not enough:
        return "stop"
    middling = under(judged_megohm, _good_from(tested, rules))
    raised = GRADES[(1 if middling else 0) + (1 if fallen else 0)]
    return "change" if again else raised


def _good_from(tested: EarthTest, rules: MotorRules) -> float:
    """Return from which value on insulation is good and not only enough [MΩ], 0 where enough is good."""
    way = tested.way(rules)
    if way == "extra-low":
        return rules["insulation.extra-low-good"]
    held = way == "at 40 °C" and tested.least_megohm is None and tested.circuit not in OF_ARMATURE
    return rules["insulation.small"] if held else 0.0


def _more(
    judged_megohm: float, enough: bool, again: str, share: float | None, *, tested: EarthTest, rules: MotorRules
) -> Iterator[str]:
    if again:
        yield again
    if tested.rated_v is None and tested.least_megohm is None:
        yield "the plate's voltage is not known, so it is held to what holds from 50 V up"
    if enough and under(judged_megohm, _good_from(tested, rules)):
        yield f"good from {_good_from(tested, rules):g} MΩ"
    aims = tested.way(rules) == "at 40 °C" and tested.circuit == "armature"
    if enough and aims and under(judged_megohm, rules["insulation.modern"]):
        yield f"a rewound armature aims at {rules['insulation.modern']:g} MΩ"
    if share is not None:
        yield f"fallen to {share:.0%} of last time, so it is raised by one stage"
    if not enough:
        yield "carbon dust is the commonest cause: clean, dry and test again before it is condemned"
    if tested.parted is None:
        yield "this holds only if earthed brushes were lifted, the field parted, a solenoid unhooked and capacitors off"
