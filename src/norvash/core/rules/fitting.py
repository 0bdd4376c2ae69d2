"""Rules about springs, current, holders and the seating of new faces."""

from types import MappingProxyType

from norvash.core.rules.book import Family, Rule

_TRADE = "trade practice; the maker's figure comes first"
_HOUSE = "set by this rulebook, to be changed by the site"
_ESTIMATE = "estimate, to be replaced by the grade's data sheet"

_PRESSURE = {
    "appliance": (25, 50),
    "tool": (30, 60),
    "starter": (50, 150),
    "geared starter": (80, 290),
    "industrial": (15, 35),
    "traction": (30, 50),
    "generator": (17, 40),
}
DENSITY = MappingProxyType(
    {
        "carbon-graphite": (6, 8),
        "electrographite": (8, 12),
        "resin-bonded": (4, 8),
        "metal-graphite": (12, 20),
        "high-metal": (20, 30),
    }
)
_DROP = MappingProxyType(
    {
        "carbon-graphite": (1.6, _TRADE),
        "electrographite": (2.0, _TRADE),
        "resin-bonded": (3.0, _ESTIMATE),
        "metal-graphite": (0.6, _TRADE),
        "high-metal": (0.3, _TRADE),
    }
)
GRADE_FAMILIES = tuple(DENSITY)
DENSITY_LOW, DENSITY_HIGH = Family("density.{}.low", GRADE_FAMILIES), Family("density.{}.high", GRADE_FAMILIES)
CONTACT_DROP = Family("drop.{}", GRADE_FAMILIES)
FORM_FACTOR_OF = {
    "a battery": "battery",
    "a three-phase bridge": "three-phase",
    "a single-phase bridge": "single-phase",
    "half-wave": "half-wave",
}
_FORM = {"battery": 1.0, "three-phase": 1.05, "single-phase": 1.2, "half-wave": 1.6}
FORM_FACTOR = Family("form.{}", tuple(_FORM))
SPEED_MOST = Family("surface-speed.{}", GRADE_FAMILIES)
_SPEED = {"high-metal": 20, "carbon-graphite": 25, "metal-graphite": 30, "resin-bonded": 35, "electrographite": 50}
_GAP = {"industrial": (1.6, 3.2), "traction": (1.6, 3.2)}

# fmt: off
LOADING = (
    Rule(
        id="pressure.low",
        words="spring pressure, lower edge of the band",
        unit="kPa",
        default=17,
        source=_TRADE,
        low=1,
        high=500,
        by_class=MappingProxyType({c: float(low) for c, (low, _) in _PRESSURE.items()}),
    ),
    Rule(
        id="pressure.high",
        words="spring pressure, upper edge of the band",
        unit="kPa",
        default=60,
        source=_TRADE,
        low=1,
        high=500,
        by_class=MappingProxyType({c: float(high) for c, (_, high) in _PRESSURE.items()}),
    ),
    Rule(id="pressure.magnets", words="the same of magnet and servo motors, where it is higher", unit="kPa", default=50.0, source=_TRADE, low=1, high=500),
    Rule(id="brush.friction", words="friction of a brush on copper, for its heat", unit="", default=0.2, source=_TRADE, low=0.01, high=1),
    Rule(id="spring.plan", words="deviation of the force that is planned for", unit="share", default=0.10, source=_TRADE, low=0, high=1),
    Rule(id="spring.stop", words="share of the force under which a spring stops the motor", unit="share", default=0.5, source=_TRADE, low=0.05, high=0.9),
    Rule(id="spring.change", words="deviation of the force that means renewal", unit="share", default=0.20, source=_TRADE, low=0, high=1),
    *(
        Rule(id=DENSITY_LOW.of(grade), words=f"current density of {grade}, guide from", unit="A/cm²", default=low, source=_TRADE, low=0.1, high=200)
        for grade, (low, _) in DENSITY.items()
    ),
    *(
        Rule(id=DENSITY_HIGH.of(grade), words=f"current density of {grade}, guide up to", unit="A/cm²", default=high, source=_TRADE, low=0.1, high=200)
        for grade, (_, high) in DENSITY.items()
    ),
    Rule(id="density.least-share", words="share of the lower guide under which the film suffers", unit="share", default=1 / 3, source=_TRADE, low=0, high=1),
    *(
        Rule(id=CONTACT_DROP.of(grade), words=f"contact drop of a pair, {grade}", unit="V", default=drop, source=source, low=0, high=10)
        for grade, (drop, source) in _DROP.items()
    ),
    *(
        Rule(id=SPEED_MOST.of(grade), words=f"surface speed under {grade}, at most", unit="m/s", default=most, source=_TRADE, low=1, high=200)
        for grade, most in _SPEED.items()
    ),
    *(
        Rule(id=FORM_FACTOR.of(feed), words=f"current that heats over its mean, fed {feed}", unit="", default=factor, source=_TRADE, low=1, high=3)
        for feed, factor in _FORM.items()
    ),
    Rule(id="bar-volts.interpoles", words="mean volts from bar to bar with interpoles, at most", unit="V", default=20.0, source=_TRADE, low=1, high=100),
    Rule(id="bar-volts.plain", words="the same without interpoles", unit="V", default=15.0, source=_TRADE, low=1, high=100),
    Rule(id="fit.small", words="size of a brush under which the clearances of small ones hold", unit="mm", default=8.0, source=_TRADE, low=0, high=500),
    Rule(id="fit.large", words="size of a brush over which the clearance of large ones holds", unit="mm", default=32.0, source=_TRADE, low=0, high=500),
    Rule(id="fit.clearance-least-small", words="clearance of a small brush in its box, at least", unit="mm", default=0.04, source=_TRADE, low=0, high=2),
    Rule(id="fit.clearance-most-small", words="clearance of a small brush in its box, at most", unit="mm", default=0.20, source=_TRADE, low=0, high=5),
    Rule(id="fit.clearance-least", words="clearance between brush and box, at least", unit="mm", default=0.05, source=_TRADE, low=0, high=2),
    Rule(id="fit.clearance-most", words="clearance between brush and box, at most", unit="mm", default=0.30, source=_TRADE, low=0, high=5),
    Rule(id="fit.clearance-most-large", words="clearance of a large brush in its box, at most", unit="mm", default=0.36, source=_TRADE, low=0, high=5),
    Rule(id="offered.slack", words="slack of a lead beyond the travel of its brush, at least", unit="mm", default=10.0, source=_TRADE, low=0, high=200),
    Rule(id="fit.dressing", words="carbon that may be dressed off a section, in all", unit="mm", default=0.1, source=_TRADE, low=0, high=2),
    Rule(
        id="gap.low",
        words="holder gap, from",
        unit="mm",
        default=0.8,
        source=_TRADE,
        low=0,
        high=20,
        by_class=MappingProxyType({c: low for c, (low, _) in _GAP.items()}),
    ),
    Rule(
        id="gap.high",
        words="holder gap, up to",
        unit="mm",
        default=2.0,
        source=_TRADE,
        low=0,
        high=20,
        by_class=MappingProxyType({c: high for c, (_, high) in _GAP.items()}),
    ),
    Rule(id="bars.low", words="bars that a brush covers, usually from", unit="bars", default=1.5, source=_TRADE, low=0, high=20),
    Rule(id="bars.high", words="bars that a brush covers, usually up to", unit="bars", default=3.5, source=_TRADE, low=0, high=20),
)
SEATING = (
    Rule(id="seating.alone", words="sagitta under which a run-in alone seats a face", unit="mm", default=0.05, source=_HOUSE, low=0, high=5),
    Rule(id="seating.paper", words="sagitta over which a face is contoured by paper in place", unit="mm", default=0.30, source=_HOUSE, low=0, high=10),
    Rule(id="seating.count", words="brushes over which paper in place saves time", unit="brushes", default=4, source=_HOUSE, low=1, high=100),
    Rule(
        id="seating.ready",
        words="contact share before load",
        unit="share",
        default=0.75,
        source=_HOUSE,
        low=0.1,
        high=1,
        by_class=MappingProxyType({"industrial": 0.80}),
    ),
    Rule(id="seating.rate", words="bedding-in wear, times the steady rate", unit="", default=5.0, source=_HOUSE, low=1, high=50),
    Rule(id="seating.radius-share", words="largest radius of a shaped face over the commutator's", unit="share", default=0.02, source=_HOUSE, low=0, high=0.5),
    Rule(id="seating.radius-mm", words="or this much more, if that is larger", unit="mm", default=0.3, source=_HOUSE, low=0, high=5),
)
# fmt: on
