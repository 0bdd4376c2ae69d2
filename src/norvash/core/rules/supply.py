"""Rules about supply, taps, cables, batteries and terminals, and about tests with power on."""

from types import MappingProxyType

from norvash.core.rules.book import Family, Rule

_TRADE = "trade practice; the maker's figure comes first"
_HOUSE = "set by this rulebook, to be changed by the site"
_PHYSICS = "property of copper"

_SMALL = MappingProxyType({"tool": 0.30, "appliance": 0.30})
# Load of one circuit of PVC copper in conduit, in air of 30 °C: by section [mm²] the current [A].
_LOADS = {
    "1.5": 17.0,
    "2.5": 24.0,
    "4": 32.0,
    "6": 41.0,
    "10": 57.0,
    "16": 76.0,
    "25": 101.0,
    "35": 125.0,
    "50": 151.0,
    "70": 192.0,
    "95": 232.0,
}
# The same of a cord of two cores in air.
_CORDS = {"0.5": 3.0, "0.75": 6.0, "1.0": 10.0}
CORDS, CORD = tuple(_CORDS), Family("cord.{}", tuple(_CORDS))
_IN_AIR = {"40": 0.87, "50": 0.71, "60": 0.5}
_TOGETHER = {"2": 0.8, "3": 0.7}
SECTIONS, AIR, CIRCUITS = tuple(_LOADS), tuple(_IN_AIR), tuple(_TOGETHER)
CABLE, IN_AIR, TOGETHER = (
    Family("cable.{}", SECTIONS),
    Family("cable.air-{}", AIR),
    Family("cable.circuits-{}", CIRCUITS),
)
# fmt: off
CABLES = (
    *(
        Rule(id=CABLE.of(s), words=f"current that {s} mm² of copper may carry for long", unit="A", default=a, source=_TRADE, low=1, high=1000)
        for s, a in _LOADS.items()
    ),
    *(
        Rule(id=IN_AIR.of(c), words=f"share of that in air up to {c} °C", unit="share", default=share, source=_TRADE, low=0.1, high=1)
        for c, share in _IN_AIR.items()
    ),
    *(
        Rule(id=TOGETHER.of(n), words=f"share of that with {n} circuits together", unit="share", default=share, source=_TRADE, low=0.1, high=1)
        for n, share in _TOGETHER.items()
    ),
    *(
        Rule(id=CORD.of(s), words=f"current that a cord of {s} mm², two cores in air, may carry for long", unit="A", default=a, source=_TRADE, low=1, high=100)
        for s, a in _CORDS.items()
    ),
    Rule(id="cable.surrounded", words="share of that with half a metre of insulation all round", unit="share", default=0.5, source=_TRADE, low=0.1, high=1),
    Rule(id="cable.insulated", words="share of that with one side in thermal insulation", unit="share", default=0.75, source=_TRADE, low=0.1, high=1),
    Rule(id="cable.burst", words="A·√s that a mm² of copper bears in a burst of at most 10 s", unit="", default=85.0, source=_PHYSICS, low=10, high=200),
    Rule(
        id="cable.longest-burst", words="longest burst that is judged as one; longer counts as lasting", unit="s", default=10.0, source=_TRADE, low=1, high=60
    ),
    Rule(id="cable.rest", words="rest between two bursts where it is not stated", unit="s", default=120.0, source=_TRADE, low=1, high=3600),
)

DRIVEN = (
    Rule(id="speed.driven-plan", words="times its plate's speed over which it is driven too fast", unit="", default=1.1, source=_TRADE, low=1, high=1.2),
    Rule(id="speed.driven-stop", words="times its plate's speed over which it must not be driven", unit="", default=1.2, source=_TRADE, low=1, high=1.5),
)
RULES = (
    *DRIVEN,
    Rule(id="taps.top", words="how far the top speed setting may be from the supply", unit="share", default=0.03, source=_TRADE, low=0, high=0.5),
    Rule(id="taps.step", words="how far a speed setting may be from what is expected of it", unit="share", default=0.08, source=_TRADE, low=0, high=0.5),
    Rule(id="taps.dead", words="share of the supply under which a setting is dead", unit="share", default=0.05, source=_HOUSE, low=0, high=0.5),
    Rule(id="supply.low", words="share of the plate's voltage under which the supply is low", unit="share", default=0.9, source=_HOUSE, low=0.3, high=1),
    Rule(id="supply.high", words="share of the plate's voltage over which the supply is high", unit="share", default=1.1, source=_HOUSE, low=1, high=2),
    Rule(
        id="drop.side",
        words="drop allowed on each side of a 12 V circuit while starting; other low voltages in proportion",
        unit="V",
        default=0.5,
        source=_TRADE,
        low=0.01,
        high=10,
    ),
    Rule(id="drop.low-voltage", words="voltage up to which that holds", unit="V", default=48.0, source=_TRADE, low=12, high=250),
    Rule(
        id="drop.share",
        words="share of a higher voltage that both sides together may drop while starting",
        unit="share",
        default=0.04,
        source=_TRADE,
        low=0.001,
        high=0.5,
    ),
    Rule(id="drop.joint", words="drop allowed across one joint at working current", unit="V", default=0.1, source=_TRADE, low=0.001, high=5),
    Rule(id="joint.watts", words="heat in one joint at steady current, from which it is mended now", unit="W", default=25, source=_TRADE, low=1, high=200),
    Rule(id="joint.watts-stop", words="heat in one joint at steady current, from which it must not run", unit="W", default=100, source=_TRADE, low=2, high=500),
    Rule(id="copper.resistivity", words="resistivity of copper at 20 °C", unit="Ω·mm²/m", default=0.0175, source=_PHYSICS, low=0.01, high=0.1),
    Rule(
        id="copper.coefficient",
        words="rise of the resistance of copper for each degree, at 20 °C",
        unit="",
        default=0.0039,
        source=_PHYSICS,
        low=0.001,
        high=0.01,
    ),
    Rule(id="battery.cranking", words="least volts while cranking, for each 12 V, from 20 °C up", unit="V", default=9.6, source=_TRADE, low=5, high=12),
    Rule(id="battery.cranking-zero", words="the same at 0 °C; between two figures in proportion", unit="V", default=9.1, source=_TRADE, low=5, high=12),
    Rule(id="battery.cranking-frost", words="the same at -18 °C, under which it is not judged", unit="V", default=8.5, source=_TRADE, low=5, high=12),
    Rule(id="battery.most", words="share of its nominal voltage that no battery goes over", unit="share", default=1.25, source=_TRADE, low=1.0, high=2),
    Rule(
        id="battery.least",
        words="share of its nominal voltage that a battery at rest does not go under",
        unit="share",
        default=0.7,
        source=_TRADE,
        low=0.1,
        high=1,
    ),
    Rule(
        id="battery.fall", words="fall of the volts, for each 12 V, under which no heavy current flowed", unit="V", default=0.2, source=_TRADE, low=0.01, high=2
    ),
    Rule(id="battery.rest", words="volts at rest under which a 12 V battery is charged first", unit="V", default=12.4, source=_TRADE, low=10, high=14),
    Rule(id="terminal.ohm", words="resistance that no terminal may have, at whatever current", unit="Ω", default=0.1, source=_TRADE, low=0.001, high=5),
    Rule(id="terminal.volt", words="drop allowed in a terminal at working current", unit="V", default=0.1, source=_TRADE, low=0.001, high=5),
    Rule(id="terminal.heat", words="heat allowed in a press-in terminal", unit="W", default=1.0, source=_TRADE, low=0.01, high=50),
    Rule(id="terminal.heat-bolted", words="heat allowed in a bolted terminal", unit="W", default=3.0, source=_TRADE, low=0.01, high=50),
    Rule(
        id="terminal.unknown",
        words="resistance of a terminal that is good where the current is not known",
        unit="Ω",
        default=0.010,
        source=_TRADE,
        low=0.0001,
        high=1,
    ),
    Rule(id="terminal.unknown-current", words="current up to which that counts", unit="A", default=10.0, source=_TRADE, low=0.1, high=100),
    Rule(id="terminal.low-voltage", words="voltage up to which a motor counts as low-voltage", unit="V", default=50.0, source=_TRADE, low=10, high=120),
    Rule(id="solenoid.drop", words="drop allowed over the contact of a solenoid while cranking", unit="V", default=0.2, source=_TRADE, low=0.01, high=5),
    Rule(id="solenoid.drop-heavy", words="the same of a heavy starter", unit="V", default=0.3, source=_TRADE, low=0.01, high=5),
    Rule(id="solenoid.heavy", words="current over which a starter is heavy", unit="A", default=400.0, source=_TRADE, low=50, high=5000),
    Rule(
        id="amps.band",
        words="how far the current without load may be from what is usual",
        unit="share",
        default=0.15,
        source=_TRADE,
        low=0.01,
        high=1,
        by_class=_SMALL,
    ),
    Rule(
        id="amps.none", words="share of the usual current without load under which none flows", unit="share", default=0.02, source=_HOUSE, low=0.001, high=0.5
    ),
    Rule(id="earth.ohm", words="resistance allowed in the protective earth, without its lead", unit="Ω", default=0.1, source=_TRADE, low=0.001, high=0.5),
    Rule(
        id="lift.person", words="mass that one person may lift", unit="kg", default=25.0, source="usual local rule; the site's own comes first", low=1, high=100
    ),
    Rule(id="dust.much", words="times the carbon worn off from which dust has another source", unit="", default=2.0, source=_HOUSE, low=1, high=20),
    Rule(id="permit.minutes", words="longest time for which a test with power on is opened", unit="min", default=60.0, source=_HOUSE, low=1, high=480),
)
# fmt: on
