"""Rules of the forecast: how much brushes, rates and readings differ, and which risk is run."""

from norvash.core.rules.book import Rule

_FLEETS = "calibrated on simulated fleets; see the method of the forecast"
_HOUSE = "set by this rulebook, to be changed by the site"

RULES = (
    Rule("forecast.risk", "chance per interval that the limit is passed before the next look; over a whole life about three times as much", "", 0.05, _HOUSE, 0.01, 0.3),
    Rule("forecast.new-sd", "how much new brushes differ in length, standard deviation", "mm", 0.10, _FLEETS, 0.01, 2),
    Rule("forecast.brush-sd", "how much the brushes of a set differ in rate, as a share", "", 0.15, _FLEETS, 0.01, 1),
    Rule("forecast.drift", "how much a set's wear wanders about its rate", "", 0.055, _FLEETS, 0.01, 0.3),
    Rule("forecast.brush-drift", "how much one brush's wear wanders from its set's", "", 0.04, _FLEETS, 0.005, 0.3),
    Rule("forecast.bedding", "wear while bedding in, as a share of the usable carbon", "", 0.02, _FLEETS, 0, 0.2),
    Rule("forecast.bedding-sd", "how much that wear differs, as a share of the usable carbon", "", 0.012, _FLEETS, 0.001, 0.2),
    Rule("forecast.jumps", "sudden rises of the wear rate in the life of a set", "", 0.10, _FLEETS, 0, 1),
    Rule("forecast.stop", "share of the expected life under which no further interval is worth while", "", 0.05, _HOUSE, 0, 0.5),
    Rule("forecast.watch", "chance of such wear without a cause, under which load, commutator and springs are checked", "", 0.03, _HOUSE, 0, 0.5),
    Rule("forecast.abnormal", "the same chance, under which the cause comes before the date", "", 0.01, _HOUSE, 0, 0.5),
    Rule("forecast.shared-error", "share of a reading's variance that all brushes of a round have in common", "", 0.3, _FLEETS, 0, 0.9),
)  # fmt: skip
