"""All rules that ship with the application, by id."""

from types import MappingProxyType

from norvash.core.rules import brushes, fitting, forecast, readings, use
from norvash.core.rules.book import MotorRules, Rule, Rulebook

GROUPS: tuple[tuple[str, tuple[Rule, ...]], ...] = (
    ("Stages of carbon", brushes.STAGES),
    ("Limits", brushes.LIMITS),
    ("Sets and wear", brushes.SETS),
    ("Straight line", brushes.LINE),
    ("Forecast", forecast.RULES),
    ("Instruments and readings", readings.RULES),
    ("Use", use.RULES),
    ("Springs, current, holders", fitting.LOADING),
    ("Seating", fitting.SEATING),
)
RULES = MappingProxyType({rule.id: rule for _, group in GROUPS for rule in group})


def shipped() -> MotorRules:
    """Return the rulebook as it ships, without any override."""
    return MotorRules(Rulebook(RULES))
