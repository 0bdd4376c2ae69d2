"""Rules about windings: insulation, polarization, field coils, temperature rise."""

from norvash.core.rules.book import Family, Rule

_TRADE = "trade practice; local rules and the maker's figure come first"
_HOUSE = "set by this rulebook, to be changed by the site"
_COPPER = "property of copper"

_CLASSES = ("A", "E", "B", "F", "H")
RISE_BY_RESISTANCE = Family("rise.resistance-{}", _CLASSES)
RISE_BY_THERMOMETER = Family("rise.thermometer-{}", _CLASSES)
_RISES = tuple(
    Rule(
        id=family.of(c),
        words=f"rise of a winding of class {c}, by {by}, at most",
        unit="K",
        default=k,
        source=_TRADE,
        low=10,
        high=250,
    )
    for family, by, rises in (
        (RISE_BY_RESISTANCE, "resistance", (60.0, 75.0, 80.0, 105.0, 125.0)),
        (RISE_BY_THERMOMETER, "thermometer", (50.0, 65.0, 70.0, 85.0, 105.0)),
    )
    for c, k in zip(_CLASSES, rises, strict=True)
)
# fmt: off
RULES = (
    Rule(
        id="insulation.other",
        words="insulation to earth of an earthed appliance or tool, and of any other machine as measured, at least",
        unit="MΩ",
        default=1.0,
        source=_TRADE,
        low=0.01,
        high=1e4,
    ),
    Rule(
        id="insulation.double",
        words="the same of an appliance or tool that is double insulated, or not known to be earthed",
        unit="MΩ",
        default=2.0,
        source=_TRADE,
        low=0.01,
        high=1e4,
    ),
    Rule(
        id="insulation.high-voltage",
        words="voltage of the plate over which an appliance or tool is judged at 40 °C; every other machine is from the low voltage up",
        unit="V",
        default=250.0,
        source=_TRADE,
        low=50,
        high=10000,
    ),
    Rule(
        id="insulation.old",
        words="insulation at 40 °C with the brush gear in circuit: this and one more for each kV, at least",
        unit="MΩ",
        default=1.0,
        source=_TRADE,
        low=0.1,
        high=1e4,
    ),
    Rule(
        id="insulation.small", words="insulation at 40 °C with the brush gear in circuit, good from", unit="MΩ", default=5.0, source=_TRADE, low=0.1, high=1e5
    ),
    Rule(
        id="insulation.bar",
        words="insulation at 40 °C of an armature alone or from a bar to the shaft, at least",
        unit="MΩ",
        default=5.0,
        source=_TRADE,
        low=0.01,
        high=1000,
    ),
    Rule(id="insulation.modern", words="the same to aim at in a rewound armature", unit="MΩ", default=100.0, source=_TRADE, low=0.1, high=1e5),
    Rule(
        id="insulation.never",
        words="insulation as measured under which nothing passes, whatever its temperature",
        unit="MΩ",
        default=1.0,
        source=_TRADE,
        low=0.01,
        high=100,
    ),
    Rule(
        id="insulation.low-voltage",
        words="voltage of the plate under which insulation is judged by its volts and no earth is asked for",
        unit="V",
        default=50.0,
        source=_TRADE,
        low=12,
        high=120,
    ),
    Rule(
        id="insulation.vehicle-voltage",
        words="voltage up to which the same holds for a vehicle fed by its battery",
        unit="V",
        default=120.0,
        source=_TRADE,
        low=12,
        high=200,
    ),
    Rule(id="insulation.per-volt", words="insulation there for each volt of the plate, at least", unit="MΩ", default=0.001, source=_TRADE, low=1e-5, high=1),
    Rule(id="insulation.extra-low", words="insulation there in any case, at least", unit="MΩ", default=0.02, source=_TRADE, low=0.001, high=10),
    Rule(id="insulation.extra-low-good", words="insulation there, good from", unit="MΩ", default=1.0, source=_TRADE, low=0.01, high=100),
    Rule(id="insulation.cold", words="temperature under which a winding is tested again", unit="°C", default=10.0, source=_TRADE, low=-40, high=40),
    Rule(
        id="insulation.cold-times",
        words="times its least from which a cold winding up to 250 V passes all the same",
        unit="",
        default=20.0,
        source=_HOUSE,
        low=1,
        high=1000,
    ),
    Rule(
        id="insulation.unknown",
        words="share of a reading that counts over that voltage where its temperature is not known",
        unit="share",
        default=0.25,
        source=_HOUSE,
        low=0.01,
        high=1,
    ),
    Rule(
        id="insulation.unknown-kv",
        words="rated voltage that insulation is judged by where nobody states it",
        unit="kV",
        default=1.0,
        source=_HOUSE,
        low=0.05,
        high=20,
    ),
    Rule(id="insulation.half", words="degrees warmer that halve insulation", unit="K", default=10.0, source="usual rule for windings", low=5, high=20),
    Rule(
        id="insulation.fall",
        words="share of last time's insulation under which the verdict is raised",
        unit="share",
        default=1 / 3,
        source=_TRADE,
        low=0.01,
        high=0.99,
    ),
    Rule(id="polarization.good", words="ratio of the ten-minute to the one-minute value that is good", unit="", default=2.0, source=_TRADE, low=1, high=10),
    Rule(id="polarization.act", words="ratio under which something is done", unit="", default=1.5, source=_TRADE, low=1, high=10),
    Rule(id="polarization.hold", words="ratio under which there is no power until it is dry", unit="", default=1.0, source=_TRADE, low=0.1, high=10),
    Rule(
        id="polarization.power",
        words="power of the plate from which the ratio is judged, and of form-wound coils",
        unit="kW",
        default=50.0,
        source=_TRADE,
        low=0.1,
        high=1e5,
    ),
    Rule(id="polarization.most", words="one-minute value over which the ratio says nothing", unit="MΩ", default=5000.0, source=_TRADE, low=10, high=1e7),
    Rule(
        id="field.coefficient",
        words="rise of the resistance of a copper coil for each degree, at 20 °C",
        unit="",
        default=0.00393,
        source=_COPPER,
        low=0.001,
        high=0.01,
    ),
    Rule(id="field.spread", words="how far one field coil may be from the others", unit="share", default=0.05, source=_TRADE, low=0.005, high=0.5),
    Rule(id="field.shorted", words="how far under the others a field coil has shorted turns", unit="share", default=0.10, source=_TRADE, low=0.01, high=0.9),
    Rule(id="field.joint", words="how far over the others a field coil has a poor joint", unit="share", default=0.25, source=_TRADE, low=0.01, high=0.9),
    Rule(id="field.open", words="times the others over which a field coil is open", unit="", default=2.0, source=_TRADE, low=1.3, high=100),
    Rule(id="field.open-times", words="times the others over which a coil is left out as open", unit="", default=100.0, source=_TRADE, low=2, high=1e4),
    Rule(
        id="field.step",
        words="share of a coil's resistance that the finest step of the meter may be",
        unit="share",
        default=0.1,
        source=_TRADE,
        low=0.001,
        high=0.5,
    ),
    Rule(
        id="field.least",
        words="share of its current that a field carries before the armature gets volts",
        unit="share",
        default=0.8,
        source=_TRADE,
        low=0.3,
        high=1,
    ),
    Rule(id="copper.zero", words="degrees below nought at which copper's resistance would vanish", unit="K", default=234.5, source=_COPPER, low=200, high=260),
    Rule(id="magnet.speed", words="how far the speed without load may be over the type's", unit="share", default=0.10, source=_TRADE, low=0.01, high=1),
    Rule(id="rise.stop", words="how far over its rise a winding is out of service", unit="K", default=20.0, source=_TRADE, low=0, high=100),
    *_RISES,
)
# fmt: on
