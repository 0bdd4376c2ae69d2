"""Sums about windings: insulation to earth, polarization, field coils, temperature rise."""

from dataclasses import dataclass

from norvash.core.rules.book import MotorRules
from norvash.core.rules.windings import INSULATION
from norvash.core.sums.registry import Sum, ask
from norvash.core.windings import (
    AT_40,
    MACHINES,
    judge_coils,
    judge_insulation,
    judge_polarization,
    least_megohm,
    winding_c,
)
from norvash.errors import InputError


@dataclass(frozen=True, slots=True, kw_only=True)
class InsulationIn:
    """Insulation to earth as measured, with what it is held against."""

    resistance_megohm: float = ask("Insulation, as measured", "insulation", high=1e7)
    temperature_c: float | None = ask("Temperature of the winding", "temperature", default=None, low=-40, high=200)
    previous_r40_megohm: float | None = ask("Last time, at 40 °C", "insulation", default=None, above_low=True, high=1e7)
    machine: str = ask("Machine", "word", default="small", choices=tuple(MACHINES.items()))
    rated_v: float | None = ask("Voltage", "voltage", default=None, high=50000)
    minimum_megohm: float | None = ask(
        "Least value, if another holds", "insulation", default=None, above_low=True, high=1e6
    )
    one_minute_megohm: float | None = ask("After one minute", "insulation", default=None, high=1e7)
    ten_minutes_megohm: float | None = ask("After ten minutes", "insulation", default=None, high=1e7)


@dataclass(frozen=True, slots=True, kw_only=True)
class InsulationOut:
    """Insulation, judged, with the polarization index where it was measured."""

    r40_megohm: float | None
    minimum_used_megohm: float
    passes: bool
    share_of_previous: float | None
    raise_stage: bool
    stage_words: str
    polarization_index: float | None
    polarization: str | None
    advice: str
    rules: tuple[str, ...]


def insulation(given: InsulationIn, rules: MotorRules) -> InsulationOut:
    """Return insulation to earth, judged at 40 °C or as measured, against its least and last time."""
    if given.machine not in MACHINES:
        raise InputError(f"“{given.machine}” is no machine here.", "Use " + ", ".join(MACHINES) + ".", "machine")
    least = given.minimum_megohm or least_megohm(given.machine, given.rated_v, rules)
    at_40 = given.machine in AT_40
    found = judge_insulation(given.resistance_megohm, given.temperature_c, least, given.previous_r40_megohm, rules, at_40=at_40)  # fmt: skip
    if (given.one_minute_megohm is None) != (given.ten_minutes_megohm is None):
        raise InputError("The index needs both values.", "Give the one after one minute and the one after ten.", "ten_minutes_megohm")  # fmt: skip
    index = None if given.one_minute_megohm is None else judge_polarization(given.one_minute_megohm, given.ten_minutes_megohm or 0.0, rules)  # fmt: skip
    warm = (
        ""
        if given.temperature_c is not None
        else "; the temperature is not known, so a cool winding looks better than it is"
    )
    return InsulationOut(
        r40_megohm=found.r40, minimum_used_megohm=least, passes=found.passes, share_of_previous=found.share, raise_stage=found.fallen,
        stage_words={"fit": "in order", "watch": "to be watched", "stop": "no power"}.get(found.stage, found.stage),
        polarization_index=index.ratio if index else None, polarization=index.words if index else None, advice=found.words + warm,
        rules=("insulation.half", "insulation.fall", INSULATION.of(given.machine), *(("polarization.good", "polarization.act") if index else ())),
    )  # fmt: skip


@dataclass(frozen=True, slots=True, kw_only=True)
class CoilsIn:
    """Field coils held against each other, and a winding's temperature from its resistance."""

    coils_ohm: list[float] | None = ask(
        "Resistance of each field coil", "resistance", default=None, above_low=True, high=1e6
    )
    temperature_c: float = ask("Temperature of the coils", "temperature", default=20.0, low=-40, high=200)
    cold_ohm: float | None = ask("A winding cold", "resistance", default=None, above_low=True, high=1e6)
    cold_c: float = ask("Its temperature then", "temperature", default=20.0, low=-40, high=100)
    hot_ohm: float | None = ask("The same winding hot", "resistance", default=None, above_low=True, high=1e6)
    air_c: float | None = ask("Air while it was hot", "temperature", default=None, low=-40, high=80)


@dataclass(frozen=True, slots=True, kw_only=True)
class CoilsOut:
    """Coils at 20 °C with those that are off, and the winding's temperature and rise."""

    at_20_ohm: tuple[float, ...] | None
    coil_deviation: tuple[float, ...] | None
    coil_spread: float | None
    off_coils: tuple[int, ...]
    winding_c: float | None
    rise_k: float | None
    advice: str
    rules: tuple[str, ...]


def coils(given: CoilsIn, rules: MotorRules) -> CoilsOut:
    """Return field coils against each other and the temperature of a winding, of what is given."""
    if given.coils_ohm is None and given.cold_ohm is None:
        raise InputError("Nothing is measured.", "Give the field coils, or a winding cold and hot.", "coils_ohm")
    if (given.cold_ohm is None) != (given.hot_ohm is None):
        raise InputError("A temperature needs the winding cold and hot.", "Give both.", "hot_ohm")
    found = judge_coils(given.coils_ohm, given.temperature_c, rules) if given.coils_ohm is not None else None
    hot = None if given.cold_ohm is None else winding_c(given.cold_ohm, given.cold_c, given.hot_ohm or 0.0, rules)
    said = []
    if found is not None:
        said.append(
            f"coil {', '.join(map(str, found.off))} is off: shorted turns if low, a poor joint if high"
            if found.off
            else "the coils agree"
        )
    if hot is not None:
        said.append(
            f"the winding is at {hot:.0f} °C"
            + ("" if given.air_c is None else f", {hot - given.air_c:.0f} K over the air")
        )
    return CoilsOut(at_20_ohm=found.at_20 if found else None, coil_deviation=found.deviations if found else None, coil_spread=found.spread if found else None,
                    off_coils=found.off if found else (), winding_c=hot, rise_k=None if hot is None or given.air_c is None else hot - given.air_c,
                    advice="; ".join(said), rules=("field.spread", "field.coefficient", "copper.zero"))  # fmt: skip


SUMS = (
    Sum("insulation", "Insulation to earth", "Insulation at 40 °C against its least and against last time, with the polarization index.",
        InsulationIn, insulation, {"resistance_megohm": 34.0, "temperature_c": 22.0, "previous_r40_megohm": 31.0, "minimum_megohm": 5}),
    Sum("field-coils", "Coils and their heat", "Field coils held against each other, and how hot a winding is by its resistance.",
        CoilsIn, coils, {"coils_ohm": [41.2, 40.8, 38.1, 41.0], "temperature_c": 24.0, "cold_ohm": 2.31, "cold_c": 19.0, "hot_ohm": 2.9, "air_c": 22.0}),
)  # fmt: skip
