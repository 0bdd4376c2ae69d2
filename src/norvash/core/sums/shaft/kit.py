"""The sum on kits: whether parts fit the places they go to."""

from dataclasses import dataclass

from norvash.core.bearings.fitting import (
    FitLine,
    gap_lines,
    housing_line,
    lip_line,
    needle_line,
    new_bush_line,
    recess_line,
    shaft_line,
    squeeze,
)
from norvash.core.edges import within
from norvash.core.rules.book import MotorRules
from norvash.core.sums.registry import Sum, ask, gives
from norvash.errors import InputError


@dataclass(frozen=True, slots=True, kw_only=True)
class KitIn:
    """Parts of a kit against the places they go to, measured before the old part comes out.

    Each kind has its own pair.
    """

    shaft_mm: float | None = ask("Shaft", "length", default=None, above_low=True, high=1000)
    bore_mm: float | None = ask("Bore of the new bearing", "length", default=None, above_low=True, high=1000)
    c3: bool = ask("The new bearing has clearance C3", "yes", default=False)
    housing_mm: float | None = ask("Housing", "length", default=None, above_low=True, high=2000)
    outside_mm: float | None = ask("Outside of the new bearing", "length", default=None, above_low=True, high=2000)
    located: bool | None = ask("It holds the shaft at this end", "yes", default=None)
    journal_mm: float | None = ask("Journal, for a new bush", "length", default=None, above_low=True, high=1000)
    bush_mm: float | None = ask("Bore of the new bush, pressed in", "length", default=None, above_low=True, high=1000)
    starter: bool = ask("The bush is of a starter", "yes", default=False)
    air_gap_mm: float | None = ask("Air gap", "length", default=None, above_low=True, high=20)
    needle_shaft_mm: float | None = ask(
        "Shaft under a needle bearing", "length", default=None, above_low=True, high=1000
    )
    needle_bore_mm: float | None = ask(
        "Bore of the needle bearing, pressed in", "length", default=None, above_low=True, high=1000
    )
    seal_shaft_mm: float | None = ask("Shaft under a seal", "length", default=None, above_low=True, high=1000)
    seal_lip_mm: float | None = ask(
        "Free lip of the seal", "length", default=None, above_low=True, high=1000, also=("seal_bore_mm",)
    )
    seal_outside_mm: float | None = ask("Outside of the seal", "length", default=None, above_low=True, high=1000)
    recess_mm: float | None = ask("Recess for it", "length", default=None, above_low=True, high=1000)
    metal_case: bool = ask("The seal has a metal case", "yes", default=False)
    ring_section_mm: float | None = ask("Thickness of an O-ring", "length", default=None, above_low=True, high=50)
    ring_groove_mm: float | None = ask("Depth of its groove", "length", default=None, high=50)


@dataclass(frozen=True, slots=True, kw_only=True)
class KitOut:
    """Each pair with its clearance, positive loose, and whether the kit fits."""

    pairs: tuple[str, ...]
    clearances_mm: tuple[float, ...]
    pair_fits: tuple[bool, ...]
    squeeze: float | None = gives("O-ring squeezed by", share=True)
    fits_all: bool = gives("all of it fits")
    advice: str
    rules: tuple[str, ...]


_PAIRS = (
    ("shaft_mm", "bore_mm"),
    ("housing_mm", "outside_mm"),
    ("journal_mm", "bush_mm"),
    ("needle_shaft_mm", "needle_bore_mm"),
    ("seal_shaft_mm", "seal_lip_mm"),
    ("seal_outside_mm", "recess_mm"),
    ("ring_section_mm", "ring_groove_mm"),
)


def kit_lines(given: KitIn, rules: MotorRules) -> list[FitLine]:
    """Return every pair that is given on both sides.

    Raises: InputError where nothing is, one side of a pair is missing, or a size is over its table.
    """
    for a, b in _PAIRS:
        one, other = getattr(given, a), getattr(given, b)
        if (one is None) != (other is None):
            raise InputError(
                "One side of this pair is missing.",
                "Measure part and place, both before the old part comes out.",
                a if one is None else b,
            )
    if all(getattr(given, a) is None for a, _ in _PAIRS):
        raise InputError("Nothing is measured.", "Give a part and the place it goes to.", "shaft_mm")
    if given.air_gap_mm is not None and given.bush_mm is None:
        raise InputError(
            "An air gap says nothing without a bush.", "Give journal and bush, or leave it out.", "bush_mm"
        )
    return [line for made in (_rolling, _plain, _sealing) for line in made(given, rules)]


def _rolling(given: KitIn, rules: MotorRules) -> list[FitLine]:
    made = []
    if given.shaft_mm is not None and given.bore_mm is not None:
        made.append(shaft_line(given.shaft_mm, given.bore_mm, rules, c3=given.c3))
    if given.housing_mm is not None and given.outside_mm is not None:
        made.append(housing_line(given.housing_mm, given.outside_mm, rules, located=given.located))
    if given.needle_shaft_mm is not None and given.needle_bore_mm is not None:
        made.append(needle_line(given.needle_shaft_mm, given.needle_bore_mm, rules))
    return made


def _plain(given: KitIn, rules: MotorRules) -> list[FitLine]:
    if given.journal_mm is None or given.bush_mm is None:
        return []
    line = new_bush_line(given.journal_mm, given.bush_mm, rules, starter=given.starter)
    return [line, *gap_lines(line.clearance_mm, given.air_gap_mm)]


def _sealing(given: KitIn, rules: MotorRules) -> list[FitLine]:
    made = []
    if given.seal_shaft_mm is not None and given.seal_lip_mm is not None:
        made.append(lip_line(given.seal_shaft_mm, given.seal_lip_mm, rules))
    if given.recess_mm is not None and given.seal_outside_mm is not None:
        made.append(recess_line(given.recess_mm, given.seal_outside_mm, rules, metal=given.metal_case))
    return made


def kit_fit(given: KitIn, rules: MotorRules) -> KitOut:
    """Return whether the parts of a kit fit, before the old ones come out.

    Raises: InputError that names the field which cannot be so.
    """
    found = kit_lines(given, rules)
    ring = (
        None
        if given.ring_section_mm is None or given.ring_groove_mm is None
        else squeeze(given.ring_section_mm, given.ring_groove_mm)
    )
    ring_fits = ring is None or within(rules["ring.squeeze-low"], ring, rules["ring.squeeze-high"])
    bad = [
        f"{x.words.lower()}, {x.clearance_mm:+.3f} mm where {x.low_mm:+.3f} to {x.high_mm:+.3f} mm is right: {x.says}"
        for x in found
        if not x.fits
    ] + ([] if ring_fits else [f"O-ring squeezed by {ring:.0%}"])
    advice = (
        "do not take the old part out yet: " + "; ".join(bad)
        if bad
        else "what was measured fits; parts for other versions left over are normal"
    )
    return KitOut(
        pairs=tuple(x.words for x in found),
        clearances_mm=tuple(x.clearance_mm for x in found),
        pair_fits=tuple(x.fits for x in found),
        squeeze=ring,
        fits_all=not bad,
        advice=advice,
        rules=tuple(dict.fromkeys(r for x in found for r in x.rules)),
    )


SUMS = (
    Sum(
        name="kit-fit",
        title="Does the kit fit?",
        words="Parts against the places they go to, before the old part comes out.",
        inputs=KitIn,
        compute=kit_fit,
        example={
            "shaft_mm": 20.006,
            "bore_mm": 19.996,
            "housing_mm": 47.012,
            "outside_mm": 46.994,
            "journal_mm": 12.02,
            "bush_mm": 12.055,
            "air_gap_mm": 0.4,
        },
    ),
)
