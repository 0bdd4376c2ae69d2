"""Rules of the forecast: how much brushes, rates and readings differ, and which risk is run."""

from norvash.core.rules.book import Rule

_FLEETS = "calibrated on simulated fleets; see the method of the forecast"
_HOUSE = "set by this rulebook, to be changed by the site"

# fmt: off
RULES = (
    Rule(
        id="forecast.risk",
        words="chance per interval that the limit is passed before the next look; over a whole life about three times as much",
        unit="share",
        default=0.05,
        source=_HOUSE,
        low=0.01,
        high=0.3,
    ),
    Rule(id="forecast.visible", words="times its uncertainty that wear must be to tell a rate by itself", unit="", default=4.0, source=_FLEETS, low=1, high=20),
    Rule(id="forecast.new-sd", words="how much new brushes usually differ in length", unit="mm", default=0.10, source=_FLEETS, low=0.01, high=2),
    Rule(id="forecast.brush-sd", words="how much the brushes of a set differ in rate", unit="share", default=0.15, source=_FLEETS, low=0.01, high=1),
    Rule(id="forecast.drift", words="how much a set's wear wanders about its rate", unit="", default=0.055, source=_FLEETS, low=0.01, high=0.3),
    Rule(id="forecast.brush-drift", words="how much one brush's wear wanders from its set's", unit="", default=0.04, source=_FLEETS, low=0.005, high=0.3),
    Rule(id="forecast.bedding", words="wear while bedding in, as a share of the usable carbon", unit="share", default=0.02, source=_FLEETS, low=0, high=0.2),
    Rule(
        id="forecast.bedding-sd",
        words="how much that wear differs, as a share of the usable carbon",
        unit="share",
        default=0.012,
        source=_FLEETS,
        low=0.001,
        high=0.2,
    ),
    Rule(id="forecast.jumps", words="sudden rises of the wear rate in the life of a set", unit="", default=0.10, source=_FLEETS, low=0, high=1),
    Rule(
        id="forecast.stop",
        words="share of the expected life under which no further interval is worth while",
        unit="share",
        default=0.05,
        source=_HOUSE,
        low=0,
        high=0.5,
    ),
    Rule(
        id="forecast.watch",
        words="chance of such wear without a cause, under which load, commutator and springs are checked",
        unit="share",
        default=0.03,
        source=_HOUSE,
        low=0,
        high=0.5,
    ),
    Rule(
        id="forecast.abnormal", words="the same chance, under which the cause comes before the date", unit="share", default=0.01, source=_HOUSE, low=0, high=0.5
    ),
    Rule(
        id="forecast.shared-error",
        words="share of a reading's variance that all brushes of a round have in common",
        unit="share",
        default=0.3,
        source=_FLEETS,
        low=0,
        high=0.9,
    ),
)
# fmt: on
