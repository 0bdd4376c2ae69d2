"""Sums about windings: insulation to earth, polarization, field coils, temperature rise."""

from dataclasses import dataclass

from norvash.core.grades import GRADES, Grade
from norvash.core.rules.book import MotorRules
from norvash.core.sums.registry import Sum, ask, gives, together
from norvash.core.windings.circuits import CIRCUITS, OF_ARMATURE
from norvash.core.windings.field_coils import CoilTest, judge_coils
from norvash.core.windings.insulation import MACHINES, EarthTest, judge_insulation, least_megohm
from norvash.core.windings.polarization import Polarization, applies, judge_polarization
from norvash.core.windings.resistance import winding_c
from norvash.errors import InputError


@dataclass(frozen=True, slots=True, kw_only=True)
class InsulationIn:
    """Insulation to earth as measured, with what it is held against."""

    resistance_megohm: float = ask("Insulation, as measured", "insulation", high=1e7)
    temperature_c: float | None = ask("Temperature of the winding", "temperature", default=None, low=-60, high=300)
    previous_r40_megohm: float | None = ask("Last time, at 40 °C", "insulation", default=None, above_low=True, high=1e7)
    rated_v: float | None = ask("Highest voltage of the plate", "voltage", default=None, above_low=True, high=50000)
    machine: str = ask("Machine", "word", default="other", choices=tuple(MACHINES.items()))
    circuit: str = ask("What was measured", "word", default="whole", choices=tuple(CIRCUITS.items()))
    parted: bool | None = ask(
        "Earthed brushes lifted, field parted, solenoid unhooked, capacitors off",
        "yes",
        default=None,
        hint="as far as there are some",
    )
    wet: bool = ask("Wet with dew", "yes", default=False)
    minimum_megohm: float | None = ask(
        "Least value, if another holds too", "insulation", default=None, above_low=True, high=1e6
    )
    one_minute_megohm: float | None = ask("After one minute", "insulation", default=None, high=1e7)
    ten_minutes_megohm: float | None = ask("After ten minutes", "insulation", default=None, high=1e7)
    form_wound: bool = ask("Form-wound coils", "yes", default=False, hint="for the index of the two")
    rated_kw: float | None = ask("Power of the plate, kW", "count", default=None, above_low=True, high=1e6)


@dataclass(frozen=True, slots=True, kw_only=True)
class InsulationOut:
    """Insulation, judged, with the polarization index where it was measured; the grade is the worse of the two."""

    r40_megohm: float | None = gives("insulation at 40 °C")
    judged_megohm: float = gives("insulation that counts")
    minimum_used_megohm: float = gives("at least")
    passes: bool = gives("passes")
    test_again: bool = gives("to be tested again")
    share_of_previous: float | None = gives("of last time", share=True)
    raise_stage: bool = gives("raised by one stage")
    stage: str
    stage_words: str = gives("stage")
    polarization_index: float | None = gives("polarization index")
    polarization: str | None = gives("which is")
    advice: str
    rules: tuple[str, ...]


_WORDS: dict[Grade, str] = {
    "fit": "in order",
    "watch": "to be watched",
    "plan": "to be cleaned and dried",
    "change": "to be tested again",
    "stop": "no power",
}


def insulation(given: InsulationIn, rules: MotorRules) -> InsulationOut:
    """Return insulation to earth, judged against its least and last time, with the index that belongs to it.

    Raises: InputError for half an index, or a temperature that no winding has.
    """
    together(given, "one_minute_megohm", "ten_minutes_megohm")
    tested = EarthTest(
        rated_v=given.rated_v,
        machine=given.machine,
        circuit=given.circuit,
        least_megohm=given.minimum_megohm,
        parted=given.parted,
        wet=given.wet,
    )
    found = judge_insulation(given.resistance_megohm, given.temperature_c, given.previous_r40_megohm, tested, rules)
    index = _index(given, rules)
    grade = found.grade if index is None else max(found.grade, index.grade, key=GRADES.index)
    words = _WORDS[grade] + ("; the index is not judged" if index is not None and index.ratio is None else "")
    said = f"{found.words}; polarization index {index.words}" if index is not None else found.words
    return InsulationOut(
        r40_megohm=found.r40_megohm,
        judged_megohm=found.judged_megohm,
        minimum_used_megohm=least_megohm(tested, rules),
        passes=found.passes and (index is None or index.grade != "stop"),
        test_again=bool(found.again),
        share_of_previous=found.share,
        raise_stage=found.fallen,
        stage=grade,
        stage_words=words,
        polarization_index=index.ratio if index else None,
        polarization=index.words if index else None,
        advice=said,
        rules=(
            *_rules_of(tested, rules),
            *(("polarization.good", "polarization.act", "polarization.hold") if index else ()),
        ),
    )


def _index(given: InsulationIn, rules: MotorRules) -> Polarization | None:
    one, ten = given.one_minute_megohm, given.ten_minutes_megohm
    if one is None or ten is None:
        return None
    watts = None if given.rated_kw is None else 1000 * given.rated_kw
    return judge_polarization(one, ten, rules, told=applies(given.form_wound, watts, rules))


def _rules_of(tested: EarthTest, rules: MotorRules) -> tuple[str, ...]:
    """Return the rules that a verdict rests on."""
    way = tested.way(rules)
    if way == "extra-low":
        held = ("insulation.low-voltage", "insulation.per-volt", "insulation.extra-low", "insulation.extra-low-good")
        return (*held, "insulation.fall")
    if way == "as measured":
        own = "insulation.double" if tested.machine == "double" else "insulation.other"
        cold = ("insulation.cold", "insulation.cold-times")
        return ("insulation.high-voltage", own, "insulation.never", *cold, "insulation.fall")
    of_armature = tested.circuit in OF_ARMATURE
    least = ("insulation.bar", "insulation.modern") if of_armature else ("insulation.old", "insulation.small")
    high = ("insulation.high-voltage", *least, "insulation.half", "insulation.never", "insulation.unknown")
    return (*high, "insulation.fall")


@dataclass(frozen=True, slots=True, kw_only=True)
class CoilsIn:
    """Field coils compared with each other, and a winding's temperature from its resistance."""

    coils_ohm: list[float] | None = ask(
        "Resistance of each field coil", "resistance", default=None, above_low=True, high=1e6
    )
    temperature_c: float = ask("Temperature of the coils", "temperature", default=20.0, low=-60, high=300)
    cold_ohm: float | None = ask("A winding cold", "resistance", default=None, above_low=True, high=1e6)
    cold_c: float = ask("Its temperature then", "temperature", default=20.0, low=-60, high=300)
    hot_ohm: float | None = ask("The same winding hot", "resistance", default=None, above_low=True, high=1e6)
    air_c: float | None = ask("Air while it was hot", "temperature", default=None, low=-60, high=300)


@dataclass(frozen=True, slots=True, kw_only=True)
class CoilsOut:
    """Coils at 20 °C with those that are off, and the winding's temperature and rise."""

    at_20_ohm: tuple[float, ...] | None
    coil_deviation: tuple[float, ...] | None
    coil_spread: float | None = gives("spread of the coils", share=True)
    off_coils: tuple[int, ...] = gives("coils that are off")
    winding_c: float | None = gives("winding")
    rise_k: float | None = gives("over the air")
    advice: str
    rules: tuple[str, ...]


def coils(given: CoilsIn, rules: MotorRules) -> CoilsOut:
    """Return field coils against each other and the temperature of a winding, of what is given.

    Raises: InputError that names the field which cannot be so.
    """
    if given.coils_ohm is None and given.cold_ohm is None:
        raise InputError("Nothing is measured.", "Give the field coils, or a winding cold and hot.", "coils_ohm")
    together(given, "cold_ohm", "hot_ohm")
    if given.air_c is not None and given.hot_ohm is None:
        raise InputError(
            "The air says nothing without a hot winding.", "Give the winding cold and hot, or leave it out.", "hot_ohm"
        )
    found = None
    if given.coils_ohm is not None:
        if len(given.coils_ohm) < 2:
            raise InputError("One coil alone says nothing.", "Give the resistance of every coil.", "coils_ohm")
        found = judge_coils(given.coils_ohm, given.temperature_c, CoilTest(), rules)
    hot = None if given.cold_ohm is None else winding_c(given.cold_ohm, given.cold_c, given.hot_ohm or 0.0, rules)
    said = []
    if found is not None:
        said.append(found.words)
    if hot is not None:
        said.append(
            f"the winding is at {hot:.0f} °C"
            + ("" if given.air_c is None else f", {hot - given.air_c:.0f} K over the air")
        )
    return CoilsOut(
        at_20_ohm=found.at_20_ohm if found else None,
        coil_deviation=found.deviations if found else None,
        coil_spread=found.spread if found else None,
        off_coils=found.off if found else (),
        winding_c=hot,
        rise_k=None if hot is None or given.air_c is None else hot - given.air_c,
        advice="; ".join(said),
        rules=("field.spread", "field.shorted", "field.joint", "field.open", "field.coefficient", "copper.zero"),
    )


SUMS = (
    Sum(
        name="insulation",
        title="Insulation to earth",
        words=(
            "Insulation by voltage and temperature against its least and against last time, with the polarization"
            " index."
        ),
        inputs=InsulationIn,
        compute=insulation,
        example={"resistance_megohm": 34.0, "temperature_c": 22.0, "previous_r40_megohm": 31.0, "minimum_megohm": 5},
    ),
    Sum(
        name="field-coils",
        title="Coils and their heat",
        words="Field coils compared with each other, and how hot a winding is by its resistance.",
        inputs=CoilsIn,
        compute=coils,
        example={
            "coils_ohm": [41.2, 40.8, 38.1, 41.0],
            "temperature_c": 24.0,
            "cold_ohm": 2.31,
            "cold_c": 19.0,
            "hot_ohm": 2.9,
            "air_c": 22.0,
        },
    ),
)
