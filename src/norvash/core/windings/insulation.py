"""Insulation to earth, judged by voltage, temperature and what was parted; the polarization index.

How it is tested and dried.
"""

from dataclasses import dataclass

from norvash.core.edges import over, under
from norvash.core.rules.book import MotorRules
from norvash.core.verdict.grades import GRADES, Grade
from norvash.errors import InputError

_REFERENCE_C = 40.0
MACHINES = {
    "earthed": "hand tool with protective earth",
    "double": "hand tool, double insulated or not known",
    "other": "any other machine",
}
TEST_VOLTS = ((50.0, "100 V at most"), (250.0, "250 or 500 V"), (1000.0, "500 V"))
DRYING = (
    "Drying: at most 90 °C, at most 10 K warmer an hour, solvents gone first. It is dry when the reading has passed its"
    " lowest, has risen, and three readings an hour apart at one temperature agree within a tenth; judge it after it"
    " has cooled to about 40 °C."
)


@dataclass(frozen=True, slots=True, kw_only=True)
class EarthTest:
    """What insulation is judged by: voltage of the plate [V], kind of machine, what was measured, and what is known of
    the test.

    `parted` tells whether all that leads to the case or round the winding was lifted, parted or taken off: None where
    nobody says.
    """

    rated_v: float | None = None
    machine: str = "other"
    circuit: str = "whole"
    least_megohm: float | None = None
    parted: bool | None = None
    wet: bool = False

    def high(self, rules: MotorRules) -> bool:
        """Tell whether it is judged at 40 °C; where the voltage is not known it is."""
        return self.rated_v is None or over(self.rated_v, rules["insulation.high-voltage"])


@dataclass(frozen=True, slots=True, kw_only=True)
class Insulation:
    """Insulation to earth, judged: as measured, at 40 °C and the value judged by [MΩ], its least [MΩ], its share of
    last time [1].

    `again` says why it cannot be judged and must be tested again, empty where it can.
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


def machine_of(motor_class: str, protection: str) -> str:
    """Return how a machine's insulation is judged, by class and way of protection."""
    if motor_class != "tool":
        return "other"
    return "earthed" if protection == "protective earth" else "double"


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
    colder = max(_REFERENCE_C - temperature_c, 0.0)
    return float(measured_megohm * 0.5 ** (colder / rules["insulation.half"]))


def least_megohm(tested: EarthTest, rules: MotorRules) -> float:
    """Return the least insulation.

    Units: -> [MΩ]. Source: rules insulation.*
    """
    if tested.least_megohm is not None:
        return tested.least_megohm
    own = rules["insulation.double" if tested.machine == "double" else "insulation.other"]
    if not tested.high(rules):
        return own
    if tested.circuit == "armature":
        return max(own, rules["insulation.bar"])
    kv = rules["insulation.unknown-kv"] if tested.rated_v is None else tested.rated_v / 1000
    return max(own, rules["insulation.old"] + kv)


def judge_insulation(
    measured_megohm: float,
    temperature_c: float | None,
    previous_r40_megohm: float | None,
    tested: EarthTest,
    rules: MotorRules,
) -> Insulation:
    """Return insulation to earth, judged against its least and against last time.

    Units: [MΩ], [°C]. Raises: InputError for a temperature that no winding has. Source: rules insulation.*
    """
    if temperature_c is not None and not -60 <= temperature_c <= 300:
        raise InputError(
            f"A winding at {temperature_c:g} °C is not possible.", "Give it in °C, from -60 to 300.", "temperature_c"
        )
    high, least = tested.high(rules), least_megohm(tested, rules)
    r40 = None if temperature_c is None else r40_megohm(measured_megohm, temperature_c, rules)
    cold = temperature_c is not None and under(temperature_c, rules["insulation.cold"])
    judged, how = _judged(
        measured_megohm, None if cold else r40, high and not cold and tested.parted is not False, rules
    )
    floor = rules["insulation.never"]
    enough = not under(judged, least) and not under(measured_megohm, floor)
    again = _again(measured_megohm, temperature_c, enough, tested=tested, least_megohm=least, high=high, rules=rules)
    passes = enough and not again
    share = r40 / previous_r40_megohm if r40 is not None and previous_r40_megohm else None
    fallen = share is not None and under(share, rules["insulation.fall"])
    grade = _grade(judged, enough, bool(again), fallen=fallen, tested=tested, high=high, rules=rules)
    words = f"{measured_megohm:.3g} MΩ as measured, {again}"
    if tested.parted is not False:
        side = "under" if not enough else "over" if over(judged, least) else "exactly"
        words = f"{judged:.3g} MΩ {how}, {side} its least of {least:g} MΩ"
        if not enough and not under(judged, least):
            words += f", but never passed under {floor:g} MΩ as measured"
        words += "".join(
            f"; {more}"
            for more in _more(
                judged, enough, again, share=share if fallen else None, tested=tested, high=high, rules=rules
            )
        )
    return Insulation(
        measured_megohm=measured_megohm,
        r40_megohm=r40,
        judged_megohm=judged,
        at_40=how == "at 40 °C",
        least_megohm=least,
        passes=passes,
        share=share,
        fallen=fallen,
        grade=grade,
        words=words,
        again=again,
    )


def _judged(measured_megohm: float, r40_megohm: float | None, high: bool, rules: MotorRules) -> tuple[float, str]:
    if not high:
        return measured_megohm, "as measured"
    if r40_megohm is not None:
        return r40_megohm, "at 40 °C"
    share = rules["insulation.unknown"]
    return (share * measured_megohm, f"counted ({share:.0%} of {measured_megohm:.3g} MΩ, its temperature is not known)")


def _again(
    measured_megohm: float,
    temperature_c: float | None,
    enough: bool,
    *,
    tested: EarthTest,
    least_megohm: float,
    high: bool,
    rules: MotorRules,
) -> str:
    """Return why a reading proves nothing; one that is under its least although it was cold is bad without a doubt."""
    if tested.parted is False:
        return (
            "not judged: first lift earthed brushes, part the field, unhook the solenoid from the motor post, take"
            " capacitors off"
        )
    cold = temperature_c is not None and under(temperature_c, rules["insulation.cold"])
    if not enough or not (cold or tested.wet):
        return ""
    if not high and not tested.wet and not under(measured_megohm, rules["insulation.cold-times"] * least_megohm):
        return ""
    return (
        f"{'wet with dew' if tested.wet else f'only {temperature_c:g} °C'}: test again"
        f" {'dry and ' if tested.wet else ''}warm"
    )


def _grade(
    judged_megohm: float, enough: bool, again: bool, *, fallen: bool, tested: EarthTest, high: bool, rules: MotorRules
) -> Grade:
    if tested.parted is False:
        return "change"
    if not enough:
        return "stop"
    middling = high and _aims_higher(tested) and under(judged_megohm, rules["insulation.small"])
    raised = GRADES[(1 if middling else 0) + (1 if fallen else 0)]
    return "change" if again else raised


def _aims_higher(tested: EarthTest) -> bool:
    """Tell whether a whole circuit is held to the house's own figure, as nobody stated its least."""
    return tested.least_megohm is None and tested.circuit == "whole"


def _more(
    judged_megohm: float,
    enough: bool,
    again: str,
    *,
    share: float | None,
    tested: EarthTest,
    high: bool,
    rules: MotorRules,
) -> list[str]:
    said = [again] if again else []
    if high and tested.rated_v is None and tested.least_megohm is None:
        said.append("the plate's voltage is not known, so it is held to what holds over 250 V")
    if enough and high:
        if _aims_higher(tested) and under(judged_megohm, rules["insulation.small"]):
            said.append(f"good from {rules['insulation.small']:g} MΩ")
        if tested.circuit == "armature" and under(judged_megohm, rules["insulation.modern"]):
            said.append(f"a rewound armature aims at {rules['insulation.modern']:g} MΩ")
    if share is not None:
        said.append(f"fallen to {share:.0%} of last time, so it is raised by one stage")
    if not enough:
        said.append("carbon dust is the commonest cause: clean, dry and test again before it is condemned")
    if tested.parted is None:
        said.append(
            "this holds only if earthed brushes were lifted, the field parted, a solenoid unhooked and capacitors off"
        )
    return said


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
