"""Rules about bearings, bushes, seals and vibration."""

from types import MappingProxyType

from norvash.core.rules.book import Rule

_TRADE = "trade practice; the maker's figure comes first"
_HOUSE = "set by this rulebook, to be changed by the site"
_STANDARD = "general practice for small machines"

RULES = (
    Rule("bush.clearance", "diametral clearance at which a plain bush is worn", "mm", 0.10, _TRADE, 0.005, 2, MappingProxyType({"starter": 0.20})),
    Rule("bush.clearance-share", "the same as a share of its diameter, if that is more", "", 0.005, _TRADE, 0.0005, 0.1),
    Rule("bearing.hours-share", "share of the expected life after which a sealed bearing that is reached is renewed", "", 0.5, _TRADE, 0.05, 1),
    Rule("bearing.years", "age after which a sealed bearing that is reached is renewed", "years", 10.0, _TRADE, 1, 50),
    Rule("bearing.speed-factor", "speed in r/min times mean diameter in mm that grease bears", "", 500000.0, _TRADE, 50000, 2e6),
    Rule("bearing.grease", "grease in g for each mm of outside diameter and mm of width", "", 0.005, _TRADE, 0.0005, 0.05),
    Rule("bearing.heat", "temperature to which a bearing is warmed for fitting, at most", "°C", 110.0, _TRADE, 40, 150),
    Rule("kit.shaft-tight", "interference of the inner ring on its shaft, at most", "mm", 0.025, _HOUSE, 0.001, 0.5),
    Rule("kit.shaft-loose", "clearance of the inner ring on its shaft, at most", "mm", 0.005, _HOUSE, 0, 0.5),
    Rule("kit.housing-loose", "clearance of the outer ring in its housing, at most", "mm", 0.035, _HOUSE, 0.001, 0.5),
    Rule("kit.housing-tight", "interference of the outer ring in its housing, at most", "mm", 0.010, _HOUSE, 0, 0.5),
    Rule("ring.squeeze-low", "squeeze of an O-ring, at least", "", 0.10, _TRADE, 0.01, 0.5),
    Rule("ring.squeeze-high", "squeeze of an O-ring, at most", "", 0.30, _TRADE, 0.05, 0.9),
    Rule("vibration.good", "vibration of the housing that is good", "mm/s", 0.71, _STANDARD, 0.05, 50),
    Rule("vibration.acceptable", "vibration that is acceptable", "mm/s", 1.8, _STANDARD, 0.1, 50),
    Rule("vibration.watch", "vibration to be watched; over it something is done", "mm/s", 4.5, _STANDARD, 0.2, 100),
)  # fmt: skip
