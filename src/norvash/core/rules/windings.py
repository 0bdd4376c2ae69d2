"""Rules about windings: insulation, polarization, field coils, temperature rise."""

from types import MappingProxyType

from norvash.core.rules.book import Family, Rule

_TRADE = "trade practice; local rules and the maker's figure come first"
_HOUSE = "set by this rulebook, to be changed by the site"
_COPPER = "property of copper"

INSULATION = Family("insulation.{}", ("earthed", "double", "modern", "small", "old", "other"))
RULES = (
    Rule("insulation.earthed", "insulation of a tool or appliance with protective earth, as measured", "MΩ", 1.0, _TRADE, 0.01, 1e4),
    Rule("insulation.double", "insulation of a double insulated tool or appliance, as measured", "MΩ", 2.0, _TRADE, 0.01, 1e4),
    Rule("insulation.modern", "insulation at 40 °C to aim at in a sound modern winding over 250 V", "MΩ", 100.0, _TRADE, 0.1, 1e5),
    Rule("insulation.small", "working minimum at 40 °C of a small machine over 250 V", "MΩ", 5.0, _TRADE, 0.1, 1e5),
    Rule("insulation.old", "insulation at 40 °C of an old winding over 250 V: this, and one more for each kV", "MΩ", 1.0, _TRADE, 0.1, 1e4),
    Rule("insulation.other", "insulation of every other machine, starters and their posts included, as measured", "MΩ", 1.0, _TRADE, 0.01, 1e4),
    Rule("insulation.high-voltage", "voltage over which insulation is judged at 40 °C", "V", 250.0, _TRADE, 50, 10000),
    Rule("insulation.half", "degrees warmer that halve insulation", "K", 10.0, "usual rule for windings", 5, 20),
    Rule("insulation.fall", "share of last time's insulation under which the verdict is raised", "", 1 / 3, _TRADE, 0.01, 0.99),
    Rule("insulation.bar", "insulation from bar to shaft, at least", "MΩ", 1.0, _TRADE, 0.01, 1000, MappingProxyType({"industrial": 5.0, "traction": 5.0})),
    Rule("polarization.good", "ratio of the ten-minute to the one-minute value that is good", "", 2.0, _TRADE, 1, 10),
    Rule("polarization.act", "ratio under which something is done", "", 1.5, _TRADE, 1, 10),
    Rule("polarization.most", "one-minute value over which the ratio says nothing", "MΩ", 5000.0, _TRADE, 10, 1e7),
    Rule("field.coefficient", "rise of the resistance of a copper coil for each degree, at 20 °C", "", 0.00393, _COPPER, 0.001, 0.01),
    Rule("field.spread", "how far one field coil may be from the mean of all", "", 0.05, _TRADE, 0.005, 0.5),
    Rule("copper.zero", "degrees below nought at which copper's resistance would vanish", "K", 234.5, _COPPER, 200, 260),
    Rule("magnet.speed", "how far the speed without load may be over the type's", "", 0.10, _TRADE, 0.01, 1),
)  # fmt: skip
