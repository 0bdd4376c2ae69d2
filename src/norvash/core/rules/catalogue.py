"""All rules that ship with the application, by id."""

from collections.abc import Iterable
from types import MappingProxyType

from norvash.core.rules import (
    bearings,
    bedding,
    brushes,
    closing,
    commutator,
    diagnosis,
    fits,
    fitting,
    forecast,
    money,
    readings,
    running,
    supply,
    unstated,
    use,
    vibration,
    windings,
)
from norvash.core.rules.book import Family, MotorRules, Override, Rule, Rulebook
from norvash.core.rules.schools import SCHOOLS

GROUPS: tuple[tuple[str, tuple[Rule, ...]], ...] = (
    ("Stages of carbon", brushes.GRADING),
    ("Limits", brushes.LIMITS),
    ("Sets and wear", brushes.SETS),
    ("Straight line", brushes.LINE),
    ("Forecast", forecast.RULES),
    ("Instruments and readings", readings.RULES),
    ("Use", use.RULES),
    ("Repair or buy", money.RULES),
    ("Springs, current, holders", fitting.LOADING),
    ("Seating", fitting.SEATING),
    ("Supply, taps, terminals, permits", supply.RULES),
    ("Cables", supply.CABLES),
    ("Proof run", running.RUN),
    ("Run-in and safe volts", bedding.BEDDING),
    ("Balance and grease", bedding.TURNING),
    ("Bar map: patterns", commutator.PATTERN),
    ("Run-out", commutator.RUN_OUT),
    ("Bar test", commutator.BAR_TEST),
    ("Cutting", commutator.CUT),
    ("Slots", commutator.SLOTS),
    ("Insulation and windings", windings.RULES),
    ("Bearings, bushes, seals", (*bearings.RULES, *vibration.RULES)),
    ("Fits by size", fits.RULES),
    ("Closing up", closing.RULES),
    ("Where nobody states a figure", unstated.RULES),
    ("Finding causes", diagnosis.RULES),
)
RULES = MappingProxyType({rule.id: rule for _, group in GROUPS for rule in group})

FAMILIES: tuple[Family, ...] = (
    brushes.GRADE_FROM,
    fitting.DENSITY_LOW,
    fitting.DENSITY_HIGH,
    fitting.CONTACT_DROP,
    fitting.SPEED_MOST,
    fitting.FORM_FACTOR,
    readings.INSTRUMENT,
    fits.FIT_LOW,
    fits.FIT_HIGH,
    diagnosis.STRENGTH,
    closing.TORQUE,
    supply.CABLE,
    supply.CORD,
    supply.IN_AIR,
    supply.TOGETHER,
    windings.RISE_BY_RESISTANCE,
    windings.RISE_BY_THERMOMETER,
)
SCHOOLS_BY_ID = MappingProxyType({school.id: school for school in SCHOOLS})


def rulebook_with(overrides: Iterable[Override]) -> Rulebook:
    """Return the rulebook that ships, with a site's overrides."""
    return Rulebook(RULES, overrides, SCHOOLS_BY_ID)


def shipped() -> MotorRules:
    """Return the rulebook as it ships, without any override."""
    return MotorRules(rulebook_with(()))
