"""Whether a part from a kit fits, before the old one comes out; worn bushes; O-rings; end float and shims."""

from collections.abc import Sequence
from dataclasses import dataclass
from itertools import combinations

from norvash.core.rules.book import MotorRules
from norvash.errors import InputError


@dataclass(frozen=True, slots=True)
class FitLine:
    """One pair that must fit: the difference [mm], positive is clearance, what is allowed, whether it fits, and in words."""

    id: str
    words: str
    clearance_mm: float
    low_mm: float
    high_mm: float
    fits: bool
    says: str


def bush_limit_mm(diameter_mm: float, rules: MotorRules) -> float:
    """Return the diametral clearance at which a plain bush is worn.

    Units: [mm] -> [mm]. Source: rules bush.clearance, bush.clearance-share

    >>> from norvash.core.rules.catalogue import shipped
    >>> bush_limit_mm(12.0, shipped())
    0.1
    """
    return max(rules["bush.clearance"], rules["bush.clearance-share"] * diameter_mm)


def ring_lines(
    shaft_mm: float | None, bore_mm: float | None, housing_mm: float | None, outside_mm: float | None, rules: MotorRules
) -> list[FitLine]:  # fmt: skip
    """Return how a rolling bearing fits shaft and housing, of the pairs that are given.

    Units: [mm]. Source: rules kit.*
    """
    made = []
    if shaft_mm is not None and bore_mm is not None:
        made.append(_line("shaft", "Bore on the shaft", bore_mm - shaft_mm, -rules["kit.shaft-tight"], rules["kit.shaft-loose"],
                          "the shaft is too big: it would crack the ring or take its clearance", "loose on the shaft: it would creep"))  # fmt: skip
    if housing_mm is not None and outside_mm is not None:
        made.append(_line("housing", "Outside in the housing", housing_mm - outside_mm, -rules["kit.housing-tight"], rules["kit.housing-loose"],
                          "the housing is too small: it would squeeze the ring", "loose in the housing: the ring would turn"))  # fmt: skip
    return made


def bush_lines(
    journal_mm: float | None, bush_mm: float | None, air_gap_mm: float | None, rules: MotorRules
) -> list[FitLine]:
    """Return how a plain bush fits its journal: against its limit of wear and against the air gap.

    Units: [mm]
    """
    if journal_mm is None or bush_mm is None:
        return []
    clear, most = bush_mm - journal_mm, bush_limit_mm(journal_mm, rules)
    made = [
        _line("bush", "Bush on its journal", clear, 0.0, most, "the journal does not go in", "worn, or the wrong bush")
    ]
    if air_gap_mm is not None:
        rubs = clear / 2 >= air_gap_mm - 1e-9
        made.append(FitLine("gap", "Half that clearance in the air gap", clear / 2, 0.0, air_gap_mm, not rubs,
                            "the armature would rub" if rubs else "the armature stays clear"))  # fmt: skip
    return made


def seal_lines(
    shaft_mm: float | None, seal_bore_mm: float | None, recess_mm: float | None, seal_outside_mm: float | None
) -> list[FitLine]:
    """Return whether a shaft seal or needle bearing of a kit is of the size of its shaft and recess.

    Units: [mm]. A seal of another nominal size differs by more than half a millimetre.
    """
    made = []
    for name, words, part, place in (("seal-shaft", "Seal on its shaft", seal_bore_mm, shaft_mm), ("seal-recess", "Seal in its recess", recess_mm, seal_outside_mm)):  # fmt: skip
        if part is not None and place is not None:
            made.append(_line(name, words, part - place, -0.5, 0.5, "of another size", "of another size"))
    return made


def _line(name: str, words: str, clearance: float, low: float, high: float, tight: str, loose: str) -> FitLine:
    if clearance < low - 1e-9:
        return FitLine(name, words, clearance, low, high, False, tight)
    if clearance > high + 1e-9:
        return FitLine(name, words, clearance, low, high, False, loose)
    return FitLine(name, words, clearance, low, high, True, "fits")


def squeeze(section_mm: float, groove_mm: float) -> float:
    """Return the squeeze of an O-ring as a share of its section.

    Units: [mm] -> [1]. Raises: InputError without a section.

    >>> round(squeeze(2.0, 1.6), 2)
    0.2
    """
    if not section_mm > 0:
        raise InputError("The ring has no section.", "Measure its thickness in mm.", "section_mm")
    return (section_mm - groove_mm) / section_mm


def shim_mm(float_mm: float, low_mm: float, high_mm: float) -> float:
    """Return the shim to be added, negative to be taken out, to bring the end float to the middle of its band; 0 inside it.

    Units: [mm]

    >>> shim_mm(0.75, 0.1, 0.3)
    0.55
    """
    if low_mm <= float_mm <= high_mm:
        return 0.0
    return round(float_mm - (low_mm + high_mm) / 2, 6)


_MOST_SHIMS = 12


def shim_stack(least_mm: float, most_mm: float, box_mm: Sequence[float]) -> tuple[float, ...] | None:
    """Return which shims, each used once, bring what is needed: as few as can be, of those the nearest to its middle; None where none fits.

    Units: [mm]. Raises: InputError for more shims than can be tried.

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
        if least_mm - 1e-9 <= sum(c) <= most_mm + 1e-9
    ]
    return min(fitting, key=lambda c: (len(c), abs(sum(c) - middle)), default=None)
