"""Rules about brush length: grades, limits, sets and the straight line."""

from types import MappingProxyType

from norvash.core.rules.book import Family, Rule

_TRADE = "trade practice; the maker's figure comes first"
_HOUSE = "set by this rulebook, to be changed by the site"

_ESTIMATE = MappingProxyType({"starter": 0.58, "industrial": 0.45, "traction": 0.45})

GRADE_FROM = Family("stage.{}", ("watch", "plan", "change", "stop"))
# fmt: off
GRADING = (
    Rule(id="stage.watch", words="usable carbon at or under which a set is watched", unit="share", default=0.40, source=_HOUSE, low=0, high=1),
    Rule(id="stage.plan", words="usable carbon at or under which the change is planned", unit="share", default=0.25, source=_HOUSE, low=0, high=1),
    Rule(id="stage.change", words="usable carbon at or under which the set is changed now", unit="share", default=0.10, source=_HOUSE, low=0, high=1),
    Rule(id="stage.stop", words="usable carbon at or under which a set is out of service", unit="share", default=0.0, source=_HOUSE, low=0, high=1),
)
LIMITS = (
    Rule(id="limit.lead-root", words="carbon kept above the root of the lead", unit="mm", default=2.0, source=_TRADE, low=0, high=20),
    Rule(id="limit.lead-reach", words="length kept before the lead goes taut", unit="mm", default=1.0, source=_TRADE, low=0, high=20),
    Rule(id="limit.spring", words="length kept before the spring ends its travel or its force", unit="mm", default=1.0, source=_TRADE, low=0, high=20),
    Rule(id="limit.spring-share", words="least spring force, share of the nominal", unit="share", default=0.80, source=_TRADE, low=0.1, high=1),
    Rule(id="limit.guidance", words="share of the thickness that must stay in the holder", unit="share", default=2 / 3, source=_TRADE, low=0, high=2),
    Rule(
        id="limit.estimate-share",
        words="estimated limit, share of the new length",
        unit="share",
        default=1 / 3,
        source=_HOUSE,
        low=0,
        high=0.9,
        by_class=_ESTIMATE,
    ),
    Rule(id="limit.estimate-least", words="estimated limit, at least", unit="mm", default=4.0, source=_HOUSE, low=0, high=50),
    Rule(
        id="when.share",
        words="share of the length left at which a set is changed, where that is the school",
        unit="share",
        default=0.25,
        source=_TRADE,
        low=0.05,
        high=0.9,
    ),
    Rule(
        id="line.second",
        words="share of the time from the second wear line to the last within which a set is changed",
        unit="share",
        default=0.5,
        source=_TRADE,
        low=0.05,
        high=1,
    ),
    Rule(id="limit.estimate-most", words="estimated limit, at most this share of the new length", unit="share", default=0.65, source=_HOUSE, low=0, high=0.9),
)
SETS = (
    Rule(id="new.longest", words="times its new length that a reading may show before it is refused", unit="", default=1.1, source=_HOUSE, low=1, high=2),
    Rule(id="new.tolerance", words="tolerance of a new brush's length, plus or minus", unit="mm", default=0.2, source=_TRADE, low=0, high=5),
    Rule(id="spread.pair", words="spread of wear over which a pair is uneven", unit="share", default=0.25, source=_HOUSE, low=0, high=5),
    Rule(id="spread.set", words="spread of wear over which a set of three or more is uneven", unit="share", default=0.35, source=_HOUSE, low=0, high=5),
    Rule(id="spread.outlier", words="times the usual scatter beyond which one brush stands out", unit="", default=3.0, source=_HOUSE, low=1, high=10),
    Rule(id="spread.noise", words="times its own error that a difference must exceed to be seen", unit="", default=3.0, source=_HOUSE, low=0, high=10),
    Rule(id="spread.polarity", words="ratio of mean wear between polarities worth a note", unit="", default=1.6, source=_TRADE, low=1, high=10),
    Rule(id="dust.carbon", words="density of carbon brushes, for the dust to be expected", unit="g/cm³", default=1.7, source=_TRADE, low=0.5, high=9),
    Rule(id="dust.metal", words="density of metal-graphite brushes, for the dust to be expected", unit="g/cm³", default=4.0, source=_TRADE, low=0.5, high=9),
    Rule(id="face.taper", words="taper of a face beyond its design", unit="°", default=1.0, source=_TRADE, low=0, high=45),
)
LINE = (
    Rule(id="line.plan", words="share of the hours left at which the change is planned", unit="share", default=0.8, source=_HOUSE, low=0.1, high=1),
    Rule(id="line.look", words="share of the hours left at which the set is looked at again", unit="share", default=0.5, source=_HOUSE, low=0.1, high=1),
    Rule(id="line.least-wear", words="times its own error that wear must exceed before a line is drawn", unit="", default=3.0, source=_HOUSE, low=0, high=20),
    Rule(id="line.faster", words="ratio of last interval to life rate worth a note", unit="", default=1.5, source=_HOUSE, low=1, high=10),
    Rule(id="line.horizon", words="years beyond which carbon is not what stops a motor", unit="years", default=15.0, source=_HOUSE, low=1, high=100),
)
# fmt: on
