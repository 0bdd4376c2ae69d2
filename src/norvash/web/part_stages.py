"""What the stages of windings, bearings and drive show."""

from statistics import median
from typing import Any

from norvash.core.bearings.designation import Bearing, decode
from norvash.core.bearings.fitting import shim_mm, squeeze
from norvash.core.edges import within
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.field import BEARINGS
from norvash.core.sheet.stages.drive.bearings import BEARING_NUMBER
from norvash.core.sheet.stages.drive.findings import bush_lines, kit_lines, shaken_now
from norvash.core.sheet.stages.drive.shaft import END_FLOAT, RING_GROOVE, RING_SECTION, VIBRATION
from norvash.core.sheet.stages.windings.measured import (
    InsulationTest,
    coils_now,
    heat_now,
    index_now,
    insulation_now,
    slots_on_growler,
    tested_as,
)
from norvash.core.windings.insulation import CIRCUITS, DRYING, MACHINES, Insulation, least_megohm, volts_to_test_with
from norvash.drawing.band_scale import Banded, band_scale
from norvash.drawing.bearing_section import bearing_section
from norvash.drawing.insulation_trend import insulation_trend
from norvash.drawing.svg import Drawing
from norvash.errors import InputError
from norvash.web.sheet_view import Said
from norvash.work.sheet_page import SheetPage


def windings(shown: SheetPage, tests: tuple[InsulationTest, ...]) -> dict[str, Any]:
    """Return insulation with its trend, index, coils and heat of a sheet."""
    sheet, rules = shown.sheet, shown.context.rules
    tested = tested_as(sheet, rules)
    held = MACHINES[tested.machine] if shown.context.facts.motor_class == "tool" else CIRCUITS[tested.circuit]
    says = [
        Said(
            f"Test voltage: {volts_to_test_with(shown.context.facts.rated_v)}, people clear, discharge after. Judged"
            f" as: {held}.",
            None,
            ("insulation.high-voltage",),
        )
    ]
    drawn: list[Drawing] = []
    insulation = insulation_now(sheet, rules)
    if insulation is not None:
        says.append(
            Said(f"Insulation {insulation.words}", insulation.grade == "fit", ("insulation.half", "insulation.fall"))
        )
        if not insulation.passes:
            says.append(Said(DRYING))
    if insulation is not None or tests:
        drawn.append(_insulation(tests, insulation, least_megohm(tested, rules), rules, at_40=tested.high(rules)))
    index, coils, heat = index_now(sheet, rules), coils_now(sheet, rules), heat_now(sheet, rules)
    if index is not None:
        says.append(
            Said(f"Polarization index {index.words}", index.grade == "fit", ("polarization.good", "polarization.act"))
        )
    if coils is not None:
        middle, off = median(coils.at_20), rules["field.spread"]
        says.append(Said(f"Field coils at 20 °C: {coils.words}", not coils.off, ("field.spread",)))
        drawn.append(
            band_scale(
                "Coils round their median",
                [
                    Banded(words=f"Coil {i}", unit="Ω", value=x, low=middle * (1 - off), high=middle * (1 + off))
                    for i, x in enumerate(coils.at_20, start=1)
                ],
                380,
            )
        )
    says += _growler(shown)
    if heat is not None:
        rise = "" if heat[1] is None else f", {heat[1]:.0f} K over the air"
        says.append(Said(f"The winding is at {heat[0]:.0f} °C{rise}", None, ("copper.zero",)))
    return {"says": says, "drawn_here": drawn}


def _insulation(
    tests: tuple[InsulationTest, ...], now: Insulation | None, least: float, rules: MotorRules, *, at_40: bool
) -> Drawing:
    """Return the tests of all years, or the one there is against its least, as it was judged."""
    if len(tests) > 1 and all(t.megohm > 0 for t in tests):
        return insulation_trend(tests, least, rules["insulation.fall"], 460, at_40=at_40)
    value = now.judged if now is not None else tests[-1].megohm
    words = "As measured" if not at_40 or now is None else "At 40 °C, as it counts"
    return band_scale(
        "Insulation, from its least upwards",
        [Banded(words=words, unit="MΩ", value=value, low=least, high=1.2 * max(value, least))],
        380,
    )


def _growler(shown: SheetPage) -> list[Said]:
    """Return which bars belong to the slots that answer on the growler, as far as the winding's figures tell."""
    slots = shown.context.figures.stated("armature_slots")
    beyond = (
        f"there is no such slot among {slots:.0f}, or the bars are no multiple of them"
        if slots
        else "give bars and slots of the armature under Figures to see its bars"
    )
    return [
        Said(f"slot {n}: {beyond if at is None else f'bars {at[0]} to {at[1]}, counted from slot 1 at bar 1'}", False)
        for n, at in slots_on_growler(shown.sheet).items()
    ]


def _end_float(shown: SheetPage) -> tuple[list[Said], list[Banded]]:
    """Return the end float against what is allowed, with the shim that it asks for."""
    play, figures = END_FLOAT.of(shown.sheet), shown.context.figures
    if play is None:
        return [], []
    low, high = figures.stated("end_float_low_mm") or 0.0, figures.stated("end_float_high_mm")
    if high is None:
        return [Said(f"end float {play:.2f} mm: what is allowed is not known, give it under Figures")], []
    shim = shim_mm(play, low, high)
    asks = (
        f"{'put in' if shim > 0 else 'take out'} {abs(shim):.2f} mm of shim; Sums tell which of those in the box"
        if shim
        else "leave the shims as they are"
    )
    said = Said(f"end float {play:.2f} mm, {low:g} to {high:g} mm allowed: {asks}", shim == 0)
    return [said], [Banded(words="End float", unit="mm", value=play, low=low, high=high)]


def _shaft(shown: SheetPage) -> list[Said]:
    """Return vibration and the squeeze of an O-ring, as far as they were measured."""
    sheet, rules, made = shown.sheet, shown.context.rules, list[Said]()
    shake, section, groove = (f.of(sheet) for f in (VIBRATION, RING_SECTION, RING_GROOVE))
    shaken = shaken_now(sheet, rules)
    if shaken is not None:
        made.append(Said(f"vibration {shake:g} mm/s, {shaken.words}", shaken.grade == "fit", shaken.rules))
    elif shake is not None:
        made.append(
            Said(
                f"vibration {shake:g} mm/s: no line holds here, neither for a tool in the hand nor over"
                f" {rules['vibration.large']:g} kW; look it up",
                None,
                ("vibration.large",),
            )
        )
    if section and groove is not None:
        share = squeeze(section, groove)
        inside = within(rules["ring.squeeze-low"], share, rules["ring.squeeze-high"])
        made.append(Said(f"O-ring squeezed by {share:.0%}", inside, ("ring.squeeze-low", "ring.squeeze-high")))
    return made


def _takes(found: Bearing, rules: MotorRules) -> str:
    """Return how much grease a bearing takes, and why none."""
    if found.greased:
        return f"{rules['bearing.grease'] * found.outside_mm * found.width_mm:.2g} g of grease"
    return "perhaps sealed: no grease, look" if found.perhaps else "sealed, never greased"


def drive(shown: SheetPage) -> dict[str, Any]:
    """Return the bearings by number, fits and clearances of a sheet."""
    sheet, rules = shown.sheet, shown.context.rules
    says: list[Said] = []
    drawn: list[Drawing] = []
    rows: list[Banded] = []
    for place, end in enumerate(BEARINGS, start=1):
        number = BEARING_NUMBER.of(sheet, place) or shown.context.figures.word(
            "bearing_drive" if place == 1 else "bearing_other"
        )
        if number:
            try:
                found = decode(number)
            except InputError as error:
                says.append(Said(f"{end}: {error.problem} {error.remedy}", False))
            else:
                takes = _takes(found, rules)
                says.append(
                    Said(
                        f"{end}: {found.designation}, {found.bore_mm:g} × {found.outside_mm:g} × {found.width_mm:g} mm,"
                        f" {found.seal}, clearance {found.clearance}; {takes}",
                        None,
                        ("bearing.grease",),
                    )
                )
                drawn.append(bearing_section(found.bore_mm, found.outside_mm, found.width_mm, found.seal, 240))
        lines = [*kit_lines(sheet, place, rules), *bush_lines(sheet, place, rules)]
        says += [
            Said(
                f"{end}: {x.words.lower()} {x.clearance_mm:+.3f} mm, {x.low_mm:g} to {x.high_mm:g} allowed: {x.says}",
                x.fits,
                x.rules,
            )
            for x in lines
        ]
        rows += [
            Banded(words=f"{end}: {x.words.lower()}", unit="mm", value=x.clearance_mm, low=x.low_mm, high=x.high_mm)
            for x in lines
        ]
    play, band = _end_float(shown)
    says += [*play, *_shaft(shown)]
    rows += band
    if rows:
        drawn.append(band_scale("Play and clearances, negative where it is tight", rows, 380))
    says.append(
        Said(
            "Press only on the ring with the tight fit, squarely, with a sleeve; warm an open one to"
            f" {rules['bearing.heat']:g} °C at most, one with seals or shields to {rules['bearing.heat-closed']:g} °C"
            " or fit it cold; one pulled off through its balls is scrap. No grease, oil or silicone near brushes and"
            " commutator.",
            None,
            ("bearing.heat", "bearing.heat-closed"),
        )
    )
    return {"says": says, "drawn_here": drawn}
