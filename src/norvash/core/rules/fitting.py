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
    "industrial": (17, 35),
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
_GAP = {"industrial": (1.6, 3.2), "traction": (1.6, 3.2)}

LOADING = (
    Rule(
        "pressure.low",
        "spring pressure, lower edge of the band",
        "kPa",
        17,
        _TRADE,
        1,
        500,
        MappingProxyType({c: float(low) for c, (low, _) in _PRESSURE.items()}),
    ),
    Rule(
        "pressure.high",
        "spring pressure, upper edge of the band",
        "kPa",
        60,
        _TRADE,
        1,
        500,
        MappingProxyType({c: float(high) for c, (_, high) in _PRESSURE.items()}),
    ),
    Rule("brush.friction", "friction of a brush on copper, for its heat", "", 0.2, _TRADE, 0.01, 1),
    Rule("spring.plan", "deviation of the force that is planned for", "", 0.10, _TRADE, 0, 1),
    Rule("spring.change", "deviation of the force that means renewal", "", 0.20, _TRADE, 0, 1),
    *(
        Rule(DENSITY_LOW.of(grade), f"current density of {grade}, guide from", "A/cm²", low, _TRADE, 0.1, 200)
        for grade, (low, _) in DENSITY.items()
    ),
    *(
        Rule(DENSITY_HIGH.of(grade), f"current density of {grade}, guide up to", "A/cm²", high, _TRADE, 0.1, 200)
        for grade, (_, high) in DENSITY.items()
    ),
    Rule("density.least-share", "share of the lower guide under which the film suffers", "", 1 / 3, _TRADE, 0, 1),
    *(
        Rule(CONTACT_DROP.of(grade), f"contact drop of a pair, {grade}", "V", drop, source, 0, 10)
        for grade, (drop, source) in _DROP.items()
    ),
    Rule("fit.small", "size of a brush under which the clearances of small ones hold", "mm", 8.0, _TRADE, 0, 500),
    Rule("fit.large", "size of a brush over which the clearance of large ones holds", "mm", 32.0, _TRADE, 0, 500),
    Rule("fit.clearance-least-small", "clearance of a small brush in its box, at least", "mm", 0.04, _TRADE, 0, 2),
    Rule("fit.clearance-most-small", "clearance of a small brush in its box, at most", "mm", 0.20, _TRADE, 0, 5),
    Rule("fit.clearance-least", "clearance between brush and box, at least", "mm", 0.05, _TRADE, 0, 2),
    Rule("fit.clearance-most", "clearance between brush and box, at most", "mm", 0.30, _TRADE, 0, 5),
    Rule("fit.clearance-most-large", "clearance of a large brush in its box, at most", "mm", 0.36, _TRADE, 0, 5),
    Rule("fit.dressing", "carbon that may be dressed off a section, in all", "mm", 0.1, _TRADE, 0, 2),
    Rule(
        "gap.low",
        "holder gap, from",
        "mm",
        0.8,
        _TRADE,
        0,
        20,
        MappingProxyType({c: low for c, (low, _) in _GAP.items()}),
    ),
    Rule(
        "gap.high",
        "holder gap, up to",
        "mm",
        2.0,
        _TRADE,
        0,
        20,
        MappingProxyType({c: high for c, (_, high) in _GAP.items()}),
    ),
    Rule("bars.low", "bars that a brush covers, usually from", "bars", 1.5, _TRADE, 0, 20),
    Rule("bars.high", "bars that a brush covers, usually up to", "bars", 3.5, _TRADE, 0, 20),
)
SEATING = (
    Rule("seating.alone", "sagitta under which a run-in alone seats a face", "mm", 0.05, _HOUSE, 0, 5),
    Rule("seating.paper", "sagitta over which a face is contoured by paper in place", "mm", 0.30, _HOUSE, 0, 10),
    Rule("seating.count", "brushes over which paper in place saves time", "brushes", 4, _HOUSE, 1, 100),
    Rule(
        "seating.ready", "contact share before load", "", 0.75, _HOUSE, 0.1, 1, MappingProxyType({"industrial": 0.80})
    ),
    Rule("seating.rate", "bedding-in wear, times the steady rate", "", 5.0, _HOUSE, 1, 50),
    Rule("seating.radius-share", "largest radius of a shaped face over the commutator's", "", 0.02, _HOUSE, 0, 0.5),
    Rule("seating.radius-mm", "or this much more, if that is larger", "mm", 0.3, _HOUSE, 0, 5),
)
