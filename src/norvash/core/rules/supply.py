"""Rules about supply, taps, cables, batteries and terminals, and about tests with power on."""

from types import MappingProxyType

from norvash.core.rules.book import Family, Rule

_TRADE = "trade practice; the maker's figure comes first"
_HOUSE = "set by this rulebook, to be changed by the site"
_PHYSICS = "property of copper"

_SMALL = MappingProxyType({"tool": 0.30, "appliance": 0.30})
# Load of one circuit of PVC copper in conduit, in air of 30 °C: by section [mm²] the current [A].
_LOADS = {
    "1.5": 17.0, "2.5": 24.0, "4": 32.0, "6": 41.0, "10": 57.0, "16": 76.0, "25": 101.0, "35": 125.0, "50": 151.0, "70": 192.0, "95": 232.0,
}  # fmt: skip
_IN_AIR = {"40": 0.87, "50": 0.71, "60": 0.5}
_TOGETHER = {"2": 0.8, "3": 0.7}
SECTIONS, AIR, CIRCUITS = tuple(_LOADS), tuple(_IN_AIR), tuple(_TOGETHER)
CABLE, IN_AIR, TOGETHER = (
    Family("cable.{}", SECTIONS),
    Family("cable.air-{}", AIR),
    Family("cable.circuits-{}", CIRCUITS),
)
CABLES = (
    *(
        Rule(CABLE.of(s), f"current that {s} mm² of copper may carry for long", "A", a, _TRADE, 1, 1000)
        for s, a in _LOADS.items()
    ),
    *(
        Rule(IN_AIR.of(c), f"share of that in air up to {c} °C", "", share, _TRADE, 0.1, 1)
        for c, share in _IN_AIR.items()
    ),
    *(
        Rule(TOGETHER.of(n), f"share of that with {n} circuits together", "", share, _TRADE, 0.1, 1)
        for n, share in _TOGETHER.items()
    ),
    Rule("cable.insulated", "share of that in thermal insulation", "", 0.75, _TRADE, 0.1, 1),
    Rule("cable.burst", "A·√s that a mm² of copper bears in a burst of at most 10 s", "", 85.0, _PHYSICS, 10, 200),
    Rule(
        "cable.longest-burst", "longest burst that is judged as one; longer counts as lasting", "s", 10.0, _TRADE, 1, 60
    ),
    Rule("cable.rest", "rest between two bursts where it is not stated", "s", 120.0, _TRADE, 1, 3600),
)

RULES = (
    Rule("taps.top", "how far the top speed setting may be from the supply", "", 0.03, _TRADE, 0, 0.5),
    Rule("taps.step", "how far a speed setting may be from what is expected of it", "", 0.08, _TRADE, 0, 0.5),
    Rule("taps.dead", "share of the supply under which a setting is dead", "", 0.05, _HOUSE, 0, 0.5),
    Rule("supply.low", "share of the plate's voltage under which the supply is low", "", 0.9, _HOUSE, 0.3, 1),
    Rule("supply.high", "share of the plate's voltage over which the supply is high", "", 1.1, _HOUSE, 1, 2),
    Rule("drop.side", "drop allowed on each side of a 12 V circuit while starting; other low voltages in proportion", "V", 0.5, _TRADE, 0.01, 10),
    Rule("drop.low-voltage", "voltage up to which that holds", "V", 48.0, _TRADE, 12, 250),
    Rule("drop.share", "share of a higher voltage that both sides together may drop while starting", "", 0.04, _TRADE, 0.001, 0.5),
    Rule("drop.joint", "drop allowed across one joint at working current", "V", 0.1, _TRADE, 0.001, 5),
    Rule("copper.resistivity", "resistivity of copper at 20 °C", "Ω·mm²/m", 0.0175, _PHYSICS, 0.01, 0.1),
    Rule("copper.coefficient", "rise of the resistance of copper for each degree, at 20 °C", "", 0.0039, _PHYSICS, 0.001, 0.01),
    Rule("battery.cranking", "least volts while cranking, for each 12 V, from 20 °C up", "V", 9.6, _TRADE, 5, 12),
    Rule("battery.cranking-zero", "the same at 0 °C; between two figures in proportion", "V", 9.1, _TRADE, 5, 12),
    Rule("battery.cranking-frost", "the same at -18 °C, under which it is not judged", "V", 8.5, _TRADE, 5, 12),
    Rule("battery.most", "share of its nominal voltage that no battery goes over", "", 1.25, _TRADE, 1.0, 2),
    Rule("battery.least", "share of its nominal voltage that a battery at rest does not go under", "", 0.7, _TRADE, 0.1, 1),
    Rule("battery.fall", "fall of the volts, for each 12 V, under which no heavy current flowed", "V", 0.2, _TRADE, 0.01, 2),
    Rule("battery.rest", "volts at rest under which a 12 V battery is charged first", "V", 12.4, _TRADE, 10, 14),
    Rule("terminal.ohm", "resistance allowed in a terminal of a mains motor of little current", "Ω", 0.1, _TRADE, 0.001, 5),
    Rule("terminal.small-current", "current up to which that holds", "A", 3.0, _TRADE, 0.1, 100),
    Rule("terminal.volt", "drop allowed in a terminal at working current", "V", 0.1, _TRADE, 0.001, 5),
    Rule("terminal.heat", "heat allowed in a press-in terminal", "W", 1.0, _TRADE, 0.01, 50),
    Rule("terminal.heat-bolted", "heat allowed in a bolted terminal", "W", 3.0, _TRADE, 0.01, 50),
    Rule("terminal.unknown", "resistance of a terminal that is good where the current is not known", "Ω", 0.010, _TRADE, 0.0001, 1),
    Rule("terminal.unknown-current", "current up to which that counts", "A", 10.0, _TRADE, 0.1, 100),
    Rule("terminal.low-voltage", "voltage up to which a motor counts as low-voltage", "V", 50.0, _TRADE, 10, 120),
    Rule("solenoid.drop", "drop allowed over the contact of a solenoid while cranking", "V", 0.2, _TRADE, 0.01, 5),
    Rule("solenoid.drop-heavy", "the same of a heavy starter", "V", 0.3, _TRADE, 0.01, 5),
    Rule("solenoid.heavy", "current over which a starter is heavy", "A", 400.0, _TRADE, 50, 5000),
    Rule("amps.band", "how far the current without load may be from what is usual", "", 0.15, _TRADE, 0.01, 1, _SMALL),
    Rule("earth.ohm", "resistance allowed in the protective earth, without its lead", "Ω", 0.1, _TRADE, 0.001, 5),
    Rule("lift.person", "mass that one person may lift", "kg", 25.0, "usual local rule; the site's own comes first", 1, 100),
    Rule("dust.much", "times the carbon worn off from which dust has another source", "", 2.0, _HOUSE, 1, 20),
    Rule("permit.minutes", "longest time for which a test with power on is opened", "min", 60.0, _HOUSE, 1, 480),
)  # fmt: skip
