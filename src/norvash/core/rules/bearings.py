"""Rules about bearings, bushes, seals and vibration."""

from types import MappingProxyType

from norvash.core.rules.book import Rule

_TRADE = "trade practice; the maker's figure comes first"
_HOUSE = "set by this rulebook, to be changed by the site"
_STANDARD = "general practice for small machines"

# fmt: off
RULES = (
    Rule(
        id="bush.clearance",
        words="diametral clearance at which a plain bush is worn",
        unit="mm",
        default=0.10,
        source=_TRADE,
        low=0.005,
        high=2,
        by_class=MappingProxyType({"starter": 0.20}),
    ),
    Rule(id="bush.clearance-share", words="the same as a share of its diameter, if that is more", unit="", default=0.005, source=_TRADE, low=0.0005, high=0.1),
    Rule(
        id="bearing.hours-share",
        words="share of the expected life after which a sealed bearing that is reached is renewed",
        unit="",
        default=0.5,
        source=_TRADE,
        low=0.05,
        high=1,
    ),
    Rule(id="bearing.years", words="age after which a sealed bearing that is reached is renewed", unit="years", default=10.0, source=_TRADE, low=1, high=50),
    Rule(
        id="bearing.speed-factor",
        words="speed in r/min times mean diameter in mm that grease bears",
        unit="",
        default=500000.0,
        source=_TRADE,
        low=50000,
        high=2e6,
    ),
    Rule(id="bearing.speed-rubbing", words="the same with rubbing seals", unit="", default=300000.0, source=_TRADE, low=50000, high=2e6),
    Rule(
        id="bearing.grease-life",
        words="life of the grease in a sealed bearing, slow and at its usual temperature",
        unit="h",
        default=20000.0,
        source=_TRADE,
        low=100,
        high=1e6,
    ),
    Rule(id="bearing.grease-slow", words="speed factor up to which that life holds", unit="", default=150000.0, source=_TRADE, low=10000, high=2e6),
    Rule(
        id="bearing.grease-tenth",
        words="speed factor more that takes the life of the grease to a tenth",
        unit="",
        default=400000.0,
        source=_TRADE,
        low=10000,
        high=5e6,
    ),
    Rule(id="bearing.grease-warm", words="usual temperature of a bearing", unit="°C", default=70.0, source=_TRADE, low=20, high=110),
    Rule(
        id="bearing.grease-half",
        words="degrees warmer that halve the life of the grease, or double it once when colder",
        unit="K",
        default=15.0,
        source=_TRADE,
        low=5,
        high=50,
    ),
    Rule(id="bearing.grease-hot", words="temperature over which the life of grease is looked up", unit="°C", default=110.0, source=_TRADE, low=70, high=250),
    Rule(
        id="bearing.grease", words="grease in g for each mm of outside diameter and mm of width", unit="", default=0.005, source=_TRADE, low=0.0005, high=0.05
    ),
    Rule(
        id="bearing.heat",
        words="temperature to which an open bearing is warmed for fitting, at most",
        unit="°C",
        default=110.0,
        source=_TRADE,
        low=40,
        high=150,
    ),
    Rule(
        id="bearing.heat-closed",
        words="the same of one with seals or shields; else it is fitted cold",
        unit="°C",
        default=80.0,
        source=_TRADE,
        low=20,
        high=110,
    ),
    Rule(id="ring.squeeze-low", words="squeeze of an O-ring, at least", unit="", default=0.10, source=_TRADE, low=0.01, high=0.5),
    Rule(id="ring.squeeze-high", words="squeeze of an O-ring, at most", unit="", default=0.30, source=_TRADE, low=0.05, high=0.9),
    Rule(id="vibration.good", words="vibration of the housing that is good, to 15 kW", unit="mm/s", default=0.71, source=_STANDARD, low=0.05, high=50),
    Rule(id="vibration.acceptable", words="vibration that is acceptable, to 15 kW", unit="mm/s", default=1.8, source=_STANDARD, low=0.1, high=50),
    Rule(id="vibration.watch", words="vibration to be watched, to 15 kW; over it is a change", unit="mm/s", default=4.5, source=_STANDARD, low=0.2, high=100),
    Rule(
        id="vibration.good-rigid",
        words="vibration that is good, larger machines that stand rigid",
        unit="mm/s",
        default=1.4,
        source=_STANDARD,
        low=0.05,
        high=50,
    ),
    Rule(id="vibration.acceptable-rigid", words="vibration that is acceptable, larger and rigid", unit="mm/s", default=2.8, source=_STANDARD, low=0.1, high=50),
    Rule(id="vibration.watch-rigid", words="vibration to be watched, larger and rigid", unit="mm/s", default=4.5, source=_STANDARD, low=0.2, high=100),
    Rule(
        id="vibration.good-flexible",
        words="vibration that is good, larger machines that stand flexible",
        unit="mm/s",
        default=2.3,
        source=_STANDARD,
        low=0.05,
        high=50,
    ),
    Rule(
        id="vibration.acceptable-flexible",
        words="vibration that is acceptable, larger and flexible",
        unit="mm/s",
        default=4.5,
        source=_STANDARD,
        low=0.1,
        high=50,
    ),
    Rule(id="vibration.watch-flexible", words="vibration to be watched, larger and flexible", unit="mm/s", default=7.1, source=_STANDARD, low=0.2, high=100),
    Rule(id="vibration.small", words="power up to which the lines of small machines hold", unit="kW", default=15.0, source=_STANDARD, low=0.1, high=1000),
    Rule(id="vibration.large", words="power over which the lines are looked up", unit="kW", default=300.0, source=_STANDARD, low=1, high=1e5),
    Rule(
        id="vibration.sign",
        words="change since last time, in shares of the acceptable line, over which it is a sign",
        unit="",
        default=0.25,
        source=_STANDARD,
        low=0.01,
        high=2,
    ),
    Rule(id="vibration.plan", words="times last time from which something is planned", unit="", default=2.5, source=_STANDARD, low=1, high=20),
    Rule(id="vibration.change", words="times last time from which it is mended now", unit="", default=5.0, source=_STANDARD, low=1, high=50),
)
# fmt: on
