"""Rules of run-in, of runs at low voltage, of balance and grease."""

from types import MappingProxyType

from norvash.core.rules.book import Rule

_TRADE, _HOUSE = "usual trade practice", "set by this rulebook, to be changed by the site"
BEDDING = (
    Rule(
        id="runin.share",
        words="share of the plate's volts at which new faces are run in",
        unit="share",
        default=0.5,
        source=_TRADE,
        low=0.05,
        high=1,
    ),
    Rule(
        id="runin.series",
        words="the same of series motors that are not built to idle, at most",
        unit="share",
        default=0.25,
        source=_TRADE,
        low=0.05,
        high=0.5,
    ),
    Rule(
        id="runin.least",
        words="share of contact that is counted at least for the current of a run-in",
        unit="share",
        default=0.25,
        source=_HOUSE,
        low=0.05,
        high=1,
    ),
    Rule(
        id="lowrun.apart",
        words="how much faster the second of two low runs is, at least",
        unit="share",
        default=0.2,
        source=_HOUSE,
        low=0.05,
        high=2,
    ),
    Rule(
        id="lowrun.share",
        words="share of the permitted speed that a run without load may reach",
        unit="share",
        default=0.9,
        source=_TRADE,
        low=0.3,
        high=1,
    ),
)
TURNING = (
    Rule(
        id="balance.grade",
        words="balance: speed of the centre of mass, at most",
        unit="mm/s",
        default=2.5,
        source=_TRADE,
        low=0.4,
        high=16,
        by_class=MappingProxyType({"tool": 6.3, "appliance": 6.3}),
    ),
    Rule(
        id="regrease.warm",
        words="temperature over which grease ages faster",
        unit="°C",
        default=70,
        source=_TRADE,
        low=20,
        high=120,
    ),
    Rule(
        id="regrease.half",
        words="how many kelvin over it halve the interval of greasing",
        unit="K",
        default=15,
        source=_TRADE,
        low=5,
        high=30,
    ),
    Rule(
        id="regrease.most",
        words="interval of greasing, at most",
        unit="h",
        default=30_000,
        source=_TRADE,
        low=100,
        high=100_000,
    ),
)
