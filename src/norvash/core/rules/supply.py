"""Rules about supply, taps, cables, batteries and terminals, and about tests with power on."""

from norvash.core.rules.book import Rule

_TRADE = "trade practice; the maker's figure comes first"
_HOUSE = "set by this rulebook, to be changed by the site"
_PHYSICS = "property of copper"

RULES = (
    Rule("taps.top", "how far the top speed setting may be from the supply", "", 0.03, _TRADE, 0, 0.5),
    Rule("taps.step", "how far a speed setting may be from what is expected of it", "", 0.08, _TRADE, 0, 0.5),
    Rule("taps.dead", "share of the supply under which a setting is dead", "", 0.05, _HOUSE, 0, 0.5),
    Rule("supply.low", "share of the plate's voltage under which the supply is low", "", 0.9, _HOUSE, 0.3, 1),
    Rule("supply.high", "share of the plate's voltage over which the supply is high", "", 1.1, _HOUSE, 1, 2),
    Rule("drop.side", "drop allowed on each side of a 12 V circuit while cranking; other voltages in proportion", "V", 0.5, _TRADE, 0.01, 10),
    Rule("drop.joint", "drop allowed across one joint at working current", "V", 0.1, _TRADE, 0.001, 5),
    Rule("copper.resistivity", "resistivity of copper at 20 °C", "Ω·mm²/m", 0.0175, _PHYSICS, 0.01, 0.1),
    Rule("copper.coefficient", "rise of the resistance of copper for each degree, at 20 °C", "", 0.0039, _PHYSICS, 0.001, 0.01),
    Rule("battery.cranking", "least volts while cranking, for each 12 V at 20 °C", "V", 9.6, _TRADE, 5, 12),
    Rule("battery.cold", "volts less for each 5 K colder", "V", 0.1, _TRADE, 0, 1),
    Rule("battery.rest", "volts at rest under which a 12 V battery is charged first", "V", 12.4, _TRADE, 10, 14),
    Rule("terminal.ohm", "resistance allowed in a press-in or wedge terminal of a mains motor", "Ω", 0.1, _TRADE, 0.001, 5),
    Rule("terminal.volt", "drop allowed in a terminal of a low-voltage motor at working current", "V", 0.1, _TRADE, 0.001, 5),
    Rule("terminal.low-voltage", "voltage up to which a motor counts as low-voltage", "V", 50.0, _TRADE, 10, 120),
    Rule("amps.band", "how far the current without load may be from what is usual", "", 0.15, _TRADE, 0.01, 1),
    Rule("earth.ohm", "resistance allowed in the protective earth, without its lead", "Ω", 0.1, _TRADE, 0.001, 5),
    Rule("lift.person", "mass that one person may lift", "kg", 25.0, "usual local rule; the site's own comes first", 1, 100),
    Rule("dust.much", "times the carbon worn off from which dust has another source", "", 2.0, _HOUSE, 1, 20),
    Rule("permit.minutes", "longest time for which a test with power on is opened", "min", 60.0, _HOUSE, 1, 480),
)  # fmt: skip
