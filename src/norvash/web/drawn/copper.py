"""What the pages of the sums about commutator, windings and bearings draw."""

from statistics import median

from norvash.core.bearings.fitting import FitLine
from norvash.core.commutator.bars import write_map
from norvash.core.judging.commutator.map_says import set_of
from norvash.core.rules.book import MotorRules
from norvash.core.sums.copper.bar_testing import BarTestIn, BarTestOut, tested_of
from norvash.core.sums.copper.commutator import (
    MapIn,
    MapOut,
    RunOutIn,
    RunOutOut,
    judged_run_out,
    map_of,
    read_given_map,
)
from norvash.core.sums.copper.cutting import SkimIn, SkimOut, planned
from norvash.core.sums.copper.insulation import CoilsIn, CoilsOut, InsulationIn, InsulationOut
from norvash.core.sums.shaft.bearings import LifeIn, LifeOut, NumberIn, NumberOut
from norvash.core.sums.shaft.kit import KitIn, KitOut, kit_lines
from norvash.core.sums.shaft.shaft import FloatIn, FloatOut, VibrationIn, VibrationOut
from norvash.drawing.commutator.bar_map import Mapped, bar_map
from norvash.drawing.commutator.cut_section import cut_section
from norvash.drawing.commutator.run_out_rose import run_out_rose
from norvash.drawing.scales.band_scale import Banded, band_scale
from norvash.drawing.shaft.bearing_section import bearing_section
from norvash.drawing.svg import Drawing


def map_drawn(given: MapIn, result: MapOut, rules: MotorRules, width: float) -> Drawing:
    """Return the unrolled commutator with the marked bars and the spacing found."""
    shown, wound = map_of(given)
    best = read_given_map(given, rules).searched.proven
    spacing = set_of(best, wound.bars) if best else ()
    return bar_map(
        Mapped(
            bars=wound.bars,
            shown=shown,
            poles=wound.poles,
            slots=wound.slots,
            spacing=spacing,
            paint=True,
            says=result.sayings,
        ),
        width,
    )


def painted_words(given: MapIn) -> str:
    """Return the given bars as the words of a map, to be painted on."""
    return write_map(map_of(given)[0])


def rose_drawn(given: RunOutIn, result: RunOutOut, rules: MotorRules, width: float) -> Drawing:
    """Return the rose of the readings."""
    return run_out_rose(judged_run_out(given, rules), given.commutator_d_mm, given.per_bar, width)


def bar_test_drawn(given: BarTestIn, result: BarTestOut, rules: MotorRules, width: float) -> Drawing:
    """Return the readings over the bars that they lie between."""
    found = tested_of(given, rules)
    odd = (*found.high, *found.low, *found.suspect)
    at_fault = {b: frozenset({"burnt"}) for f in found.faults for b in (f.from_bar, f.to_bar)}
    mapped = Mapped(
        bars=given.bars,
        shown=at_fault,
        poles=2 * (given.pole_pairs or 1),
        slots=given.slots,
        deviations=found.deviations,
        marked=odd,
        band=found.band,
        says=(result.advice,),
    )
    return bar_map(mapped, width)


def cut_drawn(given: SkimIn, result: SkimOut, rules: MotorRules, width: float) -> Drawing:
    """Return the section of the cut."""
    return cut_section(planned(given, rules), width)


def insulation_drawn(given: InsulationIn, result: InsulationOut, rules: MotorRules, width: float) -> Drawing:
    """Return insulation against its least and last time."""
    value = result.judged_megohm
    top = 1.2 * max(value, given.previous_r40_megohm or 0.0, result.minimum_used_megohm)
    words = "As measured" if value == given.resistance_megohm else "At 40 °C, as it counts"
    row = Banded(
        words=words,
        unit="MΩ",
        value=value,
        low=result.minimum_used_megohm,
        high=top,
        also=given.previous_r40_megohm,
        also_words="last time",
    )
    return band_scale("Insulation, from its least upwards", (row,), width)


def coils_drawn(given: CoilsIn, result: CoilsOut, rules: MotorRules, width: float) -> Drawing | None:
    """Return each coil in the band round their median."""
    if result.at_20_ohm is None:
        return None
    middle, off = median(result.at_20_ohm), rules["field.spread"]
    rows = [
        Banded(words=f"Coil {i} at 20 °C", unit="Ω", value=x, low=middle * (1 - off), high=middle * (1 + off))
        for i, x in enumerate(result.at_20_ohm, start=1)
    ]
    return band_scale("Coils round their median", rows, width)


def number_drawn(given: NumberIn, result: NumberOut, rules: MotorRules, width: float) -> Drawing:
    """Return the section of the bearing."""
    return bearing_section(result.bore_mm, result.outside_mm, result.width_mm, result.seal, width)


def life_drawn(given: LifeIn, result: LifeOut, rules: MotorRules, width: float) -> Drawing | None:
    """Return the section of the bearing, where its dimensions are given."""
    if given.bore_mm is None or given.outside_mm is None or given.width_mm is None:
        return None
    return bearing_section(
        given.bore_mm,
        given.outside_mm,
        given.width_mm,
        "rubbing seals on both sides" if given.sealed or given.rubbing else "open",
        width,
    )


def kit_drawn(given: KitIn, result: KitOut, rules: MotorRules, width: float) -> Drawing | None:
    """Return every pair's clearance in its band."""
    lines: list[FitLine] = kit_lines(given, rules)
    rows = [
        Banded(words=f"{x.words}, clearance", unit="mm", value=x.clearance_mm, low=x.low_mm, high=x.high_mm)
        for x in lines
    ]
    return band_scale("Clearances, negative where it is tight", rows, width) if rows else None


def float_drawn(given: FloatIn, result: FloatOut, rules: MotorRules, width: float) -> Drawing:
    """Return the end float in its band, and where the shims there bring it."""
    row = Banded(
        words="End float",
        unit="mm",
        value=given.float_mm,
        low=given.float_low_mm,
        high=given.float_high_mm,
        also=result.float_after_mm,
        also_words="with those shims",
    )
    return band_scale("End float in its band", (row,), width)


def vibration_drawn(given: VibrationIn, result: VibrationOut, rules: MotorRules, width: float) -> Drawing:
    """Return every place's vibration up to the line over which it is mended."""
    rows = [
        Banded(words=f"Place {i}", unit="mm/s", value=v, low=0.0, high=result.worst_line_mm_per_s)
        for i, v in enumerate(given.vibration_mm_per_s, start=1)
    ]
    return band_scale("Vibration up to the worst line", rows, width)
