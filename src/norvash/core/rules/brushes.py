"""Rules about brush length: stages, limits, sets and the straight line."""

from types import MappingProxyType

from norvash.core.rules.book import Family, Rule

_TRADE = "trade practice; the maker's figure comes first"
_HOUSE = "set by this rulebook, to be changed by the site"

_ESTIMATE = MappingProxyType({"starter": 0.58, "industrial": 0.45, "traction": 0.45})

GRADE_FROM = Family("stage.{}", ("watch", "plan", "change", "stop"))
STAGES = (
    Rule("stage.watch", "usable carbon at or under which a set is watched", "", 0.40, _HOUSE, 0, 1),
    Rule("stage.plan", "usable carbon at or under which the change is planned", "", 0.25, _HOUSE, 0, 1),
    Rule("stage.change", "usable carbon at or under which the set is changed now", "", 0.10, _HOUSE, 0, 1),
    Rule("stage.stop", "usable carbon at or under which a set is out of service", "", 0.0, _HOUSE, 0, 1),
)
LIMITS = (
    Rule("limit.lead-root", "carbon kept above the root of the lead", "mm", 2.0, _TRADE, 0, 20),
    Rule("limit.lead-reach", "length kept before the lead goes taut", "mm", 1.0, _TRADE, 0, 20),
    Rule("limit.spring", "length kept before the spring ends its travel or its force", "mm", 1.0, _TRADE, 0, 20),
    Rule("limit.spring-share", "least spring force, share of the nominal", "", 0.80, _TRADE, 0.1, 1),
    Rule("limit.guidance", "share of the thickness that must stay in the holder", "", 2 / 3, _TRADE, 0, 2),
    Rule("limit.estimate-share", "estimated limit, share of the new length", "", 1 / 3, _HOUSE, 0, 0.9, _ESTIMATE),
    Rule("limit.estimate-least", "estimated limit, at least", "mm", 4.0, _HOUSE, 0, 50),
    Rule(
        "when.share",
        "share of the length left at which a set is changed, where that is the school",
        "",
        0.25,
        _TRADE,
        0.05,
        0.9,
    ),
    Rule("limit.estimate-most", "estimated limit, at most this share of the new length", "", 0.65, _HOUSE, 0, 0.9),
)
SETS = (
    Rule("new.tolerance", "tolerance of a new brush's length, plus or minus", "mm", 0.2, _TRADE, 0, 5),
    Rule("spread.pair", "spread of wear over which a pair is uneven", "", 0.25, _HOUSE, 0, 5),
    Rule("spread.set", "spread of wear over which a set of three or more is uneven", "", 0.35, _HOUSE, 0, 5),
    Rule("spread.outlier", "robust standard deviations beyond which one brush stands out", "", 3.0, _HOUSE, 1, 10),
    Rule("spread.noise", "standard deviations that a difference must exceed to be seen", "", 3.0, _HOUSE, 0, 10),
    Rule("spread.polarity", "ratio of mean wear between polarities worth a note", "", 1.6, _TRADE, 1, 10),
    Rule("dust.carbon", "density of carbon brushes, for the dust to be expected", "g/cm³", 1.7, _TRADE, 0.5, 9),
    Rule("dust.metal", "density of metal-graphite brushes, for the dust to be expected", "g/cm³", 4.0, _TRADE, 0.5, 9),
    Rule("face.taper", "taper of a face beyond its design", "°", 1.0, _TRADE, 0, 45),
)
LINE = (
    Rule("line.plan", "share of the hours left at which the change is planned", "", 0.8, _HOUSE, 0.1, 1),
    Rule("line.look", "share of the hours left at which the set is looked at again", "", 0.5, _HOUSE, 0.1, 1),
    Rule("line.least-wear", "standard deviations of wear before a line is drawn", "", 3.0, _HOUSE, 0, 20),
    Rule("line.faster", "ratio of last interval to life rate worth a note", "", 1.5, _HOUSE, 1, 10),
    Rule("line.horizon", "years beyond which carbon is not what stops a motor", "years", 15.0, _HOUSE, 1, 100),
)
