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
    Rule("bearing.speed-rubbing", "the same with rubbing seals", "", 300000.0, _TRADE, 50000, 2e6),
    Rule("bearing.grease-life", "life of the grease in a sealed bearing, slow and at its usual temperature", "h", 20000.0, _TRADE, 100, 1e6),
    Rule("bearing.grease-slow", "speed factor up to which that life holds", "", 150000.0, _TRADE, 10000, 2e6),
    Rule("bearing.grease-tenth", "speed factor more that takes the life of the grease to a tenth", "", 400000.0, _TRADE, 10000, 5e6),
    Rule("bearing.grease-warm", "usual temperature of a bearing", "°C", 70.0, _TRADE, 20, 110),
    Rule("bearing.grease-half", "degrees warmer that halve the life of the grease, or double it once when colder", "K", 15.0, _TRADE, 5, 50),
    Rule("bearing.grease-hot", "temperature over which the life of grease is looked up", "°C", 110.0, _TRADE, 70, 250),
    Rule("bearing.grease", "grease in g for each mm of outside diameter and mm of width", "", 0.005, _TRADE, 0.0005, 0.05),
    Rule("bearing.heat", "temperature to which an open bearing is warmed for fitting, at most", "°C", 110.0, _TRADE, 40, 150),
    Rule("bearing.heat-closed", "the same of one with seals or shields; else it is fitted cold", "°C", 80.0, _TRADE, 20, 110),
    Rule("ring.squeeze-low", "squeeze of an O-ring, at least", "", 0.10, _TRADE, 0.01, 0.5),
    Rule("ring.squeeze-high", "squeeze of an O-ring, at most", "", 0.30, _TRADE, 0.05, 0.9),
    Rule("vibration.good", "vibration of the housing that is good, to 15 kW", "mm/s", 0.71, _STANDARD, 0.05, 50),
    Rule("vibration.acceptable", "vibration that is acceptable, to 15 kW", "mm/s", 1.8, _STANDARD, 0.1, 50),
    Rule("vibration.watch", "vibration to be watched, to 15 kW; over it is a change", "mm/s", 4.5, _STANDARD, 0.2, 100),
    Rule("vibration.good-rigid", "vibration that is good, larger machines that stand rigid", "mm/s", 1.4, _STANDARD, 0.05, 50),
    Rule("vibration.acceptable-rigid", "vibration that is acceptable, larger and rigid", "mm/s", 2.8, _STANDARD, 0.1, 50),
    Rule("vibration.watch-rigid", "vibration to be watched, larger and rigid", "mm/s", 4.5, _STANDARD, 0.2, 100),
    Rule("vibration.good-flexible", "vibration that is good, larger machines that stand flexible", "mm/s", 2.3, _STANDARD, 0.05, 50),
    Rule("vibration.acceptable-flexible", "vibration that is acceptable, larger and flexible", "mm/s", 4.5, _STANDARD, 0.1, 50),
    Rule("vibration.watch-flexible", "vibration to be watched, larger and flexible", "mm/s", 7.1, _STANDARD, 0.2, 100),
    Rule("vibration.small", "power up to which the lines of small machines hold", "kW", 15.0, _STANDARD, 0.1, 1000),
    Rule("vibration.large", "power over which the lines are looked up", "kW", 300.0, _STANDARD, 1, 1e5),
    Rule("vibration.sign", "change since last time, in shares of the acceptable line, over which it is a sign", "", 0.25, _STANDARD, 0.01, 2),
    Rule("vibration.plan", "times last time from which something is planned", "", 2.5, _STANDARD, 1, 20),
    Rule("vibration.change", "times last time from which it is mended now", "", 5.0, _STANDARD, 1, 50),
)  # fmt: skip
