"""Rules about windings: insulation, polarization, field coils, temperature rise."""

from norvash.core.rules.book import Rule

_TRADE = "trade practice; local rules and the maker's figure come first"
_HOUSE = "set by this rulebook, to be changed by the site"
_COPPER = "property of copper"

RULES = (
    Rule("insulation.other", "insulation to earth up to 250 V, as measured, at least", "MΩ", 1.0, _TRADE, 0.01, 1e4),
    Rule("insulation.double", "the same of a hand tool that is double insulated, or not known to be earthed", "MΩ", 2.0, _TRADE, 0.01, 1e4),
    Rule("insulation.high-voltage", "voltage of the plate over which insulation is judged at 40 °C", "V", 250.0, _TRADE, 50, 10000),
    Rule("insulation.old", "insulation at 40 °C over that voltage with the brush gear in circuit: this and one more for each kV, at least", "MΩ", 1.0, _TRADE, 0.1, 1e4),
    Rule("insulation.small", "insulation at 40 °C over that voltage with the brush gear in circuit, good from", "MΩ", 5.0, _TRADE, 0.1, 1e5),
    Rule("insulation.bar", "insulation at 40 °C over that voltage of an armature alone or from a bar to the shaft, at least", "MΩ", 5.0, _TRADE, 0.01, 1000),
    Rule("insulation.modern", "the same to aim at in a rewound armature", "MΩ", 100.0, _TRADE, 0.1, 1e5),
    Rule("insulation.never", "insulation as measured under which nothing passes, whatever its temperature", "MΩ", 1.0, _TRADE, 0.01, 100),
    Rule("insulation.cold", "temperature under which a winding is tested again", "°C", 10.0, _TRADE, -40, 40),
    Rule("insulation.cold-times", "times its least from which a cold winding up to 250 V passes all the same", "", 20.0, _HOUSE, 1, 1000),
    Rule("insulation.unknown", "share of a reading that counts over that voltage where its temperature is not known", "", 0.25, _HOUSE, 0.01, 1),
    Rule("insulation.half", "degrees warmer that halve insulation", "K", 10.0, "usual rule for windings", 5, 20),
    Rule("insulation.fall", "share of last time's insulation under which the verdict is raised", "", 1 / 3, _TRADE, 0.01, 0.99),
    Rule("polarization.good", "ratio of the ten-minute to the one-minute value that is good", "", 2.0, _TRADE, 1, 10),
    Rule("polarization.act", "ratio under which something is done", "", 1.5, _TRADE, 1, 10),
    Rule("polarization.hold", "ratio under which there is no power until it is dry", "", 1.0, _TRADE, 0.1, 10),
    Rule("polarization.power", "power of the plate from which the ratio is judged, and of form-wound coils", "kW", 50.0, _TRADE, 0.1, 1e5),
    Rule("polarization.most", "one-minute value over which the ratio says nothing", "MΩ", 5000.0, _TRADE, 10, 1e7),
    Rule("field.coefficient", "rise of the resistance of a copper coil for each degree, at 20 °C", "", 0.00393, _COPPER, 0.001, 0.01),
    Rule("field.spread", "how far one field coil may be from the median of all", "", 0.05, _TRADE, 0.005, 0.5),
    Rule("copper.zero", "degrees below nought at which copper's resistance would vanish", "K", 234.5, _COPPER, 200, 260),
    Rule("magnet.speed", "how far the speed without load may be over the type's", "", 0.10, _TRADE, 0.01, 1),
)  # fmt: skip
