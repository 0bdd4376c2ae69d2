"""Whether a part from a kit fits, before the old one comes out; worn bushes; O-rings; end float and shims."""

from collections.abc import Sequence
from dataclasses import dataclass, replace
from itertools import combinations

from norvash.core.edges import over, under, within
from norvash.core.rules.book import MotorRules
from norvash.core.rules.fits import BANDS, FIT_HIGH, FIT_LOW, WORDS
from norvash.errors import InputError

_FINE = 6


@dataclass(frozen=True, slots=True, kw_only=True)
class FitLine:
    """One pair that must fit: the difference [mm], positive is clearance, what is allowed, whether it fits, in words,
    and by which rules.
    """

    id: str
    words: str
    clearance_mm: float
    low_mm: float
    high_mm: float
    fits: bool
    says: str
    rules: tuple[str, ...] = ()


@dataclass(frozen=True, slots=True)
class Band:
    """Clearance allowed from and up to [mm], and the rules that say so."""

    low_mm: float
    high_mm: float
    rules: tuple[str, ...]


def bush_limit_mm(diameter_mm: float, rules: MotorRules) -> float:
    """Return the diametral clearance at which a plain bush is worn.

    Units: [mm] -> [mm]. Source: rules bush.clearance, bush.clearance-share

    >>> from norvash.core.rules.catalogue import shipped
    >>> bush_limit_mm(12.0, shipped())
    0.1
    """
    return max(rules["bush.clearance"], rules["bush.clearance-share"] * diameter_mm)


def band_of(kind: str, size_mm: float, rules: MotorRules) -> Band:
    """Return the clearance allowed of a kind of pair by its size.

    Units: [mm] -> [mm]. Raises: InputError for a size over its table. Source: rules fit.*

    >>> from norvash.core.rules.catalogue import shipped
    >>> band_of("needle", 14.0, shipped())
    Band(low_mm=0.015, high_mm=0.045, rules=('fit.needle.18.low', 'fit.needle.18.high'))
    """
    for to, _, _ in BANDS[kind]:
        if not over(size_mm, to):
            ids = FIT_LOW.of(f"{kind}.{to:g}"), FIT_HIGH.of(f"{kind}.{to:g}")
            return Band(rules[ids[0]], rules[ids[1]], ids)
    raise InputError(
        f"A {WORDS[kind]} of {size_mm:g} mm is over the table, which ends at {BANDS[kind][-1][0]:g} mm.",
        "Look its fit up in the maker's list.",
        {"housing": "housing_mm", "needle": "needle_shaft_mm", "bush": "journal_mm"}.get(kind, "shaft_mm"),
    )


def shaft_line(shaft_mm: float, bore_mm: float, rules: MotorRules, *, c3: bool = False) -> FitLine:
    """Return how a ball bearing fits its shaft; without clearance C3 a large one bears less.

    Units: [mm]. Raises: InputError over the table. Source: rules fit.shaft.*, fit.shaft-c3.*, fit.shaft-asks-c3
    """
    band = band_of("shaft-c3" if c3 else "shaft", shaft_mm, rules)
    if not c3:
        band = replace(band, low_mm=max(band.low_mm, -rules["fit.shaft-asks-c3"]))
    tight = "the shaft is too big: it would crack the ring or take its clearance" + (
        "" if c3 else "; one with C3 bears more"
    )
    clear = bore_mm - shaft_mm
    if under(clear, 2 * band.low_mm):
        tight += "; over twice what is allowed: another bearing or another shaft"
    elif under(clear, band.low_mm):
        tight += "; do not press it on, measure again"
    loose = "loose on the shaft: it would creep"
    if over(clear, rules["fit.seat-most"]):
        loose += "; another bearing or another shaft"
    return _line("shaft", "Bore on the shaft", clear, band=band, tight=tight, loose=loose)


def housing_line(housing_mm: float, outside_mm: float, rules: MotorRules, *, located: bool | None = None) -> FitLine:
    """Return how a ball bearing fits its housing; the one that holds the shaft may be a little tight.

    Units: [mm]. Raises: InputError over the table. Source: rules fit.housing.*, fit.located
    """
    band = band_of("housing", housing_mm, rules)
    clear, tightest = housing_mm - outside_mm, band.low_mm - rules["fit.located"]
    tight = "the housing is too small: it would squeeze the ring"
    if located is None and not under(clear, tightest):
        tight = (
            f"too tight for the end that moves; the end that holds the shaft bears {-tightest:.3f} mm: say which end"
            " it is"
        )
    if located:
        band = Band(tightest, band.high_mm, (*band.rules, "fit.located"))
    return _line(
        "housing",
        "Outside in the housing",
        clear,
        band=band,
        tight=tight,
        loose="loose in the housing: the ring would turn",
    )


def needle_line(shaft_mm: float, needle_mm: float, rules: MotorRules) -> FitLine:
    """Return how a needle bearing runs over its shaft, measured after it is pressed in.

    Units: [mm]. Raises: InputError over the table. Source: rules fit.needle.*
    """
    tight, loose = "too tight: it would run metal to metal", "too loose: the shaft would knock"
    band = band_of("needle", shaft_mm, rules)
    return _line("needle", "Needle bearing over its shaft", needle_mm - shaft_mm, band=band, tight=tight, loose=loose)


def new_bush_line(journal_mm: float, bush_mm: float, rules: MotorRules, *, starter: bool = False) -> FitLine:
    """Return how a new bush runs on its shaft, measured after it is pressed in.

    What a worn one may have is another figure.

    Units: [mm]. Raises: InputError over the table. Source: rules fit.bush.*, fit.bush-starter-*
    """
    ids = ("fit.bush-starter-low", "fit.bush-starter-high")
    band = Band(rules[ids[0]], rules[ids[1]], ids) if starter else band_of("bush", journal_mm, rules)
    tight, loose = "too tight: it would seize", "too loose, or the wrong bush"
    return _line("new-bush", "New bush on its shaft", bush_mm - journal_mm, band=band, tight=tight, loose=loose)


def worn_bush_lines(journal_mm: float, bush_mm: float, air_gap_mm: float | None, rules: MotorRules) -> list[FitLine]:
    """Return how a bush that has run stands to its limit of wear, and to the air gap.

    Units: [mm]. Source: rules bush.*
    """
    clear, most = bush_mm - journal_mm, bush_limit_mm(journal_mm, rules)
    band = Band(0.0, most, ("bush.clearance", "bush.clearance-share"))
    line = _line(
        "bush",
        "Bush on its journal",
        clear,
        band=band,
        tight="the journal does not go in",
        loose="worn, or the wrong bush",
    )
    return [line, *gap_lines(clear, air_gap_mm)]


def gap_lines(clear_mm: float, air_gap_mm: float | None) -> list[FitLine]:
    """Return whether the armature stays clear of the poles with the clearance of a bush, nothing without an air gap.

    Units: [mm]
    Source: a journal sinks by its clearance; the air gap must be more
    """
    if air_gap_mm is None:
        return []
    rubs = not under(clear_mm / 2, air_gap_mm)
    says = "the armature would rub" if rubs else "the armature stays clear"
    return [
        FitLine(
            id="gap",
            words="Half that clearance in the air gap",
            clearance_mm=clear_mm / 2,
            low_mm=0.0,
            high_mm=air_gap_mm,
            fits=not rubs,
            says=says,
        )
    ]


def lip_line(shaft_mm: float, lip_mm: float, rules: MotorRules) -> FitLine:
    """Return how the free lip of a shaft seal closes on its shaft.

    Units: [mm]. Source: rules seal.lip-*
    """
    band = Band(-rules["seal.lip-high"], -rules["seal.lip-low"], ("seal.lip-low", "seal.lip-high"))
    tight, loose = "too small: it would tear or run hot", "too large: it would leak"
    return _line(
        "seal-lip", "Free lip of the seal on its shaft", lip_mm - shaft_mm, band=band, tight=tight, loose=loose
    )


def recess_line(recess_mm: float, outside_mm: float, rules: MotorRules, *, metal: bool = False) -> FitLine:
    """Return how a shaft seal holds in its recess.

    Units: [mm]. Source: rules seal.outside-*
    """
    most = "seal.outside-metal" if metal else "seal.outside-high"
    band = Band(-rules[most], -rules["seal.outside-low"], ("seal.outside-low", most))
    tight, loose = "too large: it would not go in whole", "too small: it would turn or leak"
    return _line("seal-recess", "Seal in its recess", recess_mm - outside_mm, band=band, tight=tight, loose=loose)


def _line(name: str, words: str, clearance: float, *, band: Band, tight: str, loose: str) -> FitLine:
    clearance = round(clearance, _FINE)  # what is left of a difference of lengths beyond that is of the machine
    says = tight if under(clearance, band.low_mm) else loose if over(clearance, band.high_mm) else "fits"
    return FitLine(
        id=name,
        words=words,
        clearance_mm=clearance,
        low_mm=band.low_mm,
        high_mm=band.high_mm,
        fits=says == "fits",
        says=says,
        rules=band.rules,
    )


def squeeze(section_mm: float, groove_mm: float) -> float:
    """Return the squeeze of an O-ring as a share of its section.

    Units: [mm] -> [1]. Source: section less groove, over section. Raises: InputError without a section.

    >>> round(squeeze(2.0, 1.6), 2)
    0.2
    """
    if not section_mm > 0:
        raise InputError("The ring has no section.", "Measure its thickness in mm.", "section_mm")
    return (section_mm - groove_mm) / section_mm


def shim_mm(float_mm: float, low_mm: float, high_mm: float) -> float:
    """Return the shim to be added, negative to be taken out, to bring the end float to the middle of its band.

    0 inside it.

    Units: [mm]
    Source: what is read less the middle of its band

    >>> shim_mm(0.75, 0.1, 0.3)
    0.55
    """
    return 0.0 if within(low_mm, float_mm, high_mm) else round(float_mm - (low_mm + high_mm) / 2, 6)


_MOST_SHIMS = 12


def shim_stack(least_mm: float, most_mm: float, box_mm: Sequence[float]) -> tuple[float, ...] | None:
    """Return which shims, each used once, bring what is needed: as few as can be, of those the nearest to its middle.

    None where none fits.

    Units: [mm]. Source: every sum of what is at hand. Raises: InputError for more shims than can be tried.

    >>> shim_stack(0.44, 0.64, [0.1, 0.15, 0.3, 0.5])
    (0.5,)
    >>> shim_stack(0.44, 0.46, [0.1, 0.15, 0.3, 0.5]), shim_stack(0.01, 0.05, [0.1])
    ((0.15, 0.3), None)
    """
    if len(box_mm) > _MOST_SHIMS:
        raise InputError(f"{len(box_mm)} shims are too many to try.", f"Give the {_MOST_SHIMS} likeliest.", "shims_mm")
    middle = (least_mm + most_mm) / 2
    fitting = [
        c
        for n in range(1, len(box_mm) + 1)
        for c in combinations(sorted(box_mm), n)
        if within(least_mm, sum(c), most_mm)
    ]
    return min(fitting, key=lambda c: (len(c), abs(sum(c) - middle)), default=None)
