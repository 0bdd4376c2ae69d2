"""Sums about bearings: what a number means, how long it lasts, whether a kit fits."""

from dataclasses import dataclass

from norvash.core.bearings.designation import decode
from norvash.core.bearings.fitting import FitLine, bush_lines, ring_lines, seal_lines, squeeze
from norvash.core.bearings.lasting import lasting, renew_anyway
from norvash.core.rules.book import MotorRules
from norvash.core.sums.registry import Sum, ask
from norvash.errors import InputError


@dataclass(frozen=True, slots=True, kw_only=True)
class LifeIn:
    """A ball bearing with its load and speed."""

    capacity_kn: float = ask("Dynamic capacity C, kN", "count", above_low=True, high=1e5)
    load_kn: float = ask("Load P, kN", "count", above_low=True, high=1e5)
    speed_rpm: float = ask("Speed", "speed", above_low=True, high=1e5)
    bore_mm: float | None = ask("Bore", "length", default=None, above_low=True, high=2000)
    outside_mm: float | None = ask("Outside diameter", "length", default=None, above_low=True, high=3000)
    width_mm: float | None = ask("Width", "length", default=None, above_low=True, high=1000)
    sealed: bool = ask("Sealed on both sides", "yes", default=False)
    run_h: float | None = ask("Hours it has run", "hours", default=None, high=1e6)
    age_years: float | None = ask("Its age, years", "count", default=None, high=100)


@dataclass(frozen=True, slots=True, kw_only=True)
class LifeOut:
    """Life, speed factor and grease."""

    life_h: float
    mean_d_mm: float | None
    speed_factor: float | None
    speed_warning: bool
    grease_g: float | None
    renew: bool
    advice: str
    rules: tuple[str, ...]


def bearing_life(given: LifeIn, rules: MotorRules) -> LifeOut:
    """Return the life that nine in ten reach, whether it is too fast for grease, how much grease, and whether it is renewed anyway."""
    found = lasting(
        given.capacity_kn,
        given.load_kn,
        given.speed_rpm,
        given.bore_mm,
        given.outside_mm,
        given.width_mm,
        given.sealed,
        rules,
    )
    why = renew_anyway(given.run_h, found.life_h, given.age_years, rules)
    said = [f"nine in ten last {found.life_h:,.0f} h".replace(",", " ")]
    if found.too_fast:
        said.append("too fast for grease: ask the maker")
    if given.sealed:
        said.append("sealed, so never greased")
    elif found.grease_g is not None:
        said.append(f"{found.grease_g:.2g} g of grease, none near brushes or commutator")
    if why:
        said.append(f"renew it when it is reached: {why}")
    return LifeOut(life_h=found.life_h, mean_d_mm=found.mean_d_mm, speed_factor=found.speed_factor, speed_warning=found.too_fast, grease_g=found.grease_g,
                   renew=bool(why), advice="; ".join(said), rules=("bearing.speed-factor", "bearing.grease", "bearing.hours-share", "bearing.years"))  # fmt: skip


@dataclass(frozen=True, slots=True, kw_only=True)
class NumberIn:
    """What is written on a ball bearing."""

    designation: str = ask("Number on the ring", "word", hint="like 6204-2RS or 608 ZZ C3; series 60, 62, 63")


@dataclass(frozen=True, slots=True, kw_only=True)
class NumberOut:
    """What the number says; lengths by the standard plan of dimensions."""

    bearing_series: str
    bore_mm: float
    outside_mm: float
    width_mm: float
    seal: str
    sealed: bool
    inner_clearance: str
    grease_g: float | None
    makers_own: tuple[str, ...]
    advice: str
    rules: tuple[str, ...]


def bearing_designation(given: NumberIn, rules: MotorRules) -> NumberOut:
    """Return dimensions, seals and clearance of a ball bearing."""
    found = decode(given.designation)
    grease = None if found.sealed else rules["bearing.grease"] * found.outside_mm * found.width_mm
    own = f"; {', '.join(found.unknown)}: the maker's own, look it up there" if found.unknown else ""
    return NumberOut(bearing_series=found.series, bore_mm=found.bore_mm, outside_mm=found.outside_mm, width_mm=found.width_mm, seal=found.seal, sealed=found.sealed,
                     inner_clearance=found.clearance, grease_g=grease, makers_own=found.unknown,
                     advice=f"{found.bore_mm:g} × {found.outside_mm:g} × {found.width_mm:g} mm, {found.seal}, clearance {found.clearance}{own}; "
                            f"warm it to {rules['bearing.heat']:g} °C at most, press only on the ring with the tight fit",
                     rules=("bearing.grease", "bearing.heat"))  # fmt: skip


@dataclass(frozen=True, slots=True, kw_only=True)
class KitIn:
    """Parts of a kit against the places they go to, measured before the old part comes out."""

    shaft_mm: float | None = ask("Shaft", "length", default=None, above_low=True, high=1000)
    bore_mm: float | None = ask("Bore of the new bearing", "length", default=None, above_low=True, high=1000)
    housing_mm: float | None = ask("Housing", "length", default=None, above_low=True, high=2000)
    outside_mm: float | None = ask("Outside of the new bearing", "length", default=None, above_low=True, high=2000)
    journal_mm: float | None = ask("Journal, for a plain bush", "length", default=None, above_low=True, high=1000)
    bush_mm: float | None = ask("Bore of the plain bush", "length", default=None, above_low=True, high=1000)
    air_gap_mm: float | None = ask("Air gap", "length", default=None, above_low=True, high=20)
    seal_bore_mm: float | None = ask(
        "Bore of the seal or needle bearing", "length", default=None, above_low=True, high=1000
    )
    seal_shaft_mm: float | None = ask("Shaft where it runs", "length", default=None, above_low=True, high=1000)
    seal_outside_mm: float | None = ask("Outside of the seal", "length", default=None, above_low=True, high=1000)
    recess_mm: float | None = ask("Recess for it", "length", default=None, above_low=True, high=1000)
    ring_section_mm: float | None = ask("Thickness of an O-ring", "length", default=None, above_low=True, high=50)
    ring_groove_mm: float | None = ask("Depth of its groove", "length", default=None, high=50)


@dataclass(frozen=True, slots=True, kw_only=True)
class KitOut:
    """Each pair with its clearance, positive loose, and whether the kit fits."""

    pairs: tuple[str, ...]
    clearances_mm: tuple[float, ...]
    pair_fits: tuple[bool, ...]
    squeeze: float | None
    fits_all: bool
    advice: str
    rules: tuple[str, ...]


def kit_lines(given: KitIn, rules: MotorRules) -> list[FitLine]:
    """Return every pair that is given on both sides.

    Raises: InputError where nothing is, or one side of a pair is missing.
    """
    pairs = (("shaft_mm", "bore_mm"), ("housing_mm", "outside_mm"), ("journal_mm", "bush_mm"), ("seal_bore_mm", "seal_shaft_mm"),
             ("seal_outside_mm", "recess_mm"), ("ring_section_mm", "ring_groove_mm"))  # fmt: skip
    for a, b in pairs:
        one, other = getattr(given, a), getattr(given, b)
        if (one is None) != (other is None):
            raise InputError("One side of this pair is missing.", "Measure part and place, both before the old part comes out.", a if one is None else b)  # fmt: skip
    if all(getattr(given, a) is None for a, _ in pairs):
        raise InputError("Nothing is measured.", "Give a part and the place it goes to.", "shaft_mm")
    return [*ring_lines(given.shaft_mm, given.bore_mm, given.housing_mm, given.outside_mm, rules),
            *bush_lines(given.journal_mm, given.bush_mm, given.air_gap_mm, rules),
            *seal_lines(given.seal_shaft_mm, given.seal_bore_mm, given.recess_mm, given.seal_outside_mm)]  # fmt: skip


def kit_fit(given: KitIn, rules: MotorRules) -> KitOut:
    """Return whether the parts of a kit fit, before the old ones come out."""
    found = kit_lines(given, rules)
    ring = (
        None
        if given.ring_section_mm is None or given.ring_groove_mm is None
        else squeeze(given.ring_section_mm, given.ring_groove_mm)
    )
    ring_fits = ring is None or rules["ring.squeeze-low"] - 1e-9 <= ring <= rules["ring.squeeze-high"] + 1e-9
    bad = [f"{x.words.lower()}: {x.says}" for x in found if not x.fits] + (
        [] if ring_fits else [f"O-ring squeezed by {ring:.0%}"]
    )
    advice = (
        "do not take the old part out yet: " + "; ".join(bad)
        if bad
        else "what was measured fits; parts for other versions left over are normal"
    )
    return KitOut(pairs=tuple(x.words for x in found), clearances_mm=tuple(x.clearance_mm for x in found), pair_fits=tuple(x.fits for x in found),
                  squeeze=ring, fits_all=not bad, advice=advice, rules=("kit.shaft-tight", "kit.shaft-loose", "kit.housing-tight", "kit.housing-loose", "bush.clearance"))  # fmt: skip


SUMS = (
    Sum("bearing-designation", "Bearing number", "What the number on a ball bearing says: bore, outside diameter, width, seals, clearance.",
        NumberIn, bearing_designation, {"designation": "6204-2RS C3"}),
    Sum("bearing-life", "Life of a bearing", "The life that nine in ten ball bearings reach, whether grease bears the speed, and how much of it.",
        LifeIn, bearing_life, {"capacity_kn": 14.1, "load_kn": 0.64, "speed_rpm": 2870, "bore_mm": 20, "outside_mm": 47, "width_mm": 14}),
    Sum("kit-fit", "Does the kit fit?", "Parts against the places they go to, before the old part comes out.",
        KitIn, kit_fit, {"shaft_mm": 20.006, "bore_mm": 19.996, "housing_mm": 47.012, "outside_mm": 46.994, "journal_mm": 12.02, "bush_mm": 12.09, "air_gap_mm": 0.4}),
)  # fmt: skip
