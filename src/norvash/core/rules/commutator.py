"""Rules about the commutator: patterns, run-out, the bar test, the cut and the slots."""

from types import MappingProxyType

from norvash.core.rules.book import GEARED, Rule

_TRADE = "trade practice; the maker's figure comes first"
_HOUSE = "set by this rulebook, to be changed by the site"
_SPEED = MappingProxyType({"industrial": 25.0, "starter": 20.0, GEARED: 35.0, "generator": 20.0})
_CHANCE = "probability, corrected for every pattern that was tried"

# fmt: off
PATTERN = (
    Rule(
        id="pattern.known",
        words="chance under which a spacing that the winding explains counts as proven",
        unit="share",
        default=0.05,
        source=_CHANCE,
        low=1e-6,
        high=0.5,
    ),
    Rule(
        id="pattern.free",
        words="chance under which a spacing without a known cause is reported",
        unit="share",
        default=0.01,
        source=_CHANCE,
        low=1e-6,
        high=0.5,
    ),
    Rule(
        id="pattern.all-over",
        words="share of the bars marked from which it is all over and no pattern",
        unit="share",
        default=0.6,
        source=_HOUSE,
        low=0.1,
        high=1,
    ),
    Rule(
        id="pattern.local",
        words="share of the bars burnt up to which a burn without a pattern is local",
        unit="share",
        default=0.25,
        source=_HOUSE,
        low=0.01,
        high=1,
    ),
    Rule(id="pattern.share", words="share of the spots that must fit a spacing", unit="share", default=0.75, source=_HOUSE, low=0.5, high=1),
    Rule(id="pattern.least", words="spots under which nothing is proven by chance", unit="", default=4, source=_HOUSE, low=3, high=20),
    Rule(
        id="pattern.slot-like",
        words="longest spacing, in bars, at which slots come to mind where their number is unknown",
        unit="",
        default=5,
        source=_HOUSE,
        low=2,
        high=12,
    ),
)
RUN_OUT = (
    Rule(id="runout.middle", words="surface speed from which the middle limits hold", unit="m/s", default=15.0, source=_TRADE, low=1, high=100),
    Rule(id="runout.fast", words="surface speed over which the strictest limits hold", unit="m/s", default=30.0, source=_TRADE, low=1, high=200),
    Rule(id="runout.tir-slow", words="total run-out allowed at a slow surface", unit="mm", default=0.080, source=_TRADE, low=0.001, high=1),
    Rule(id="runout.tir-middle", words="total run-out allowed at a middling surface speed", unit="mm", default=0.050, source=_TRADE, low=0.001, high=1),
    Rule(id="runout.tir-fast", words="total run-out allowed at a fast surface", unit="mm", default=0.025, source=_TRADE, low=0.001, high=1),
    Rule(id="runout.step-slow", words="step from bar to bar allowed at a slow surface", unit="mm", default=0.010, source=_TRADE, low=0.0005, high=1),
    Rule(
        id="runout.step-middle", words="step from bar to bar allowed at a middling surface speed", unit="mm", default=0.0075, source=_TRADE, low=0.0005, high=1
    ),
    Rule(id="runout.step-fast", words="step from bar to bar allowed at a fast surface", unit="mm", default=0.005, source=_TRADE, low=0.0005, high=1),
    Rule(
        id="runout.speed",
        words="surface speed that is assumed where it is not known",
        unit="m/s",
        default=35.0,
        source=_TRADE,
        low=1,
        high=200,
        by_class=_SPEED,
    ),
    Rule(
        id="runout.cut-small",
        words="diameter up to which a fast commutator is cut to the finest limits",
        unit="mm",
        default=60.0,
        source=_TRADE,
        low=1,
        high=500,
    ),
    Rule(id="runout.cut-tir-fine", words="total run-out that a cut of such a one must reach", unit="mm", default=0.010, source=_TRADE, low=0.001, high=1),
    Rule(id="runout.cut-step-fine", words="step from bar to bar that it must reach", unit="mm", default=0.003, source=_TRADE, low=0.0005, high=1),
    Rule(id="runout.cut-tir", words="total run-out that any other cut must reach", unit="mm", default=0.025, source=_TRADE, low=0.001, high=1),
    Rule(id="runout.cut-step", words="step from bar to bar that it must reach", unit="mm", default=0.005, source=_TRADE, low=0.0005, high=1),
    Rule(id="runout.outlier", words="times the usual scatter beyond which a bar stands out", unit="", default=3.0, source=_HOUSE, low=1, high=10),
    Rule(
        id="runout.stop",
        words="times the limit over which a machine that carries people or loads is taken out of service",
        unit="",
        default=2.0,
        source=_TRADE,
        low=1,
        high=10,
    ),
    Rule(id="runout.least", words="readings round the circle, at least", unit="", default=8, source=_HOUSE, low=6, high=100),
)
BAR_TEST = (
    Rule(id="bartest.pass", words="how far a reading may be from the median", unit="share", default=0.10, source=_TRADE, low=0.005, high=0.5),
    Rule(id="bartest.pass-drop", words="the same for voltage drops on an industrial machine", unit="share", default=0.05, source=_TRADE, low=0.005, high=0.5),
    Rule(id="bartest.high", words="how far over the median a reading is an open coil or riser", unit="share", default=0.50, source=_TRADE, low=0.1, high=10),
    Rule(id="bartest.low", words="how far under the median a reading is a short", unit="share", default=0.20, source=_TRADE, low=0.02, high=0.9),
    Rule(id="bartest.bridge", words="share of the median under which copper bridges the slot", unit="share", default=0.10, source=_HOUSE, low=0.001, high=0.5),
    Rule(id="bartest.noise", words="times the noise of a reading that a verdict must exceed", unit="", default=2.0, source=_HOUSE, low=1, high=10),
    Rule(
        id="bartest.idle",
        words="share of low readings, beside a high one, from which half of the armature is taken to be idle",
        unit="share",
        default=0.2,
        source=_HOUSE,
        low=0.01,
        high=1,
    ),
    Rule(
        id="bartest.scatter", words="scatter of a reading over which a bar test proves nothing", unit="share", default=0.10, source=_TRADE, low=0.01, high=0.3
    ),
    Rule(
        id="bartest.rough",
        words="share of readings outside the pass band from which contact is doubted first",
        unit="share",
        default=0.25,
        source=_HOUSE,
        low=0.05,
        high=1,
    ),
)
CUT = (
    Rule(id="surface.many", words="share of the bars burnt from which the whole surface is", unit="share", default=0.25, source=_HOUSE, low=0.01, high=1),
    Rule(
        id="cut.least-most", words="times the diameter now from which a least diameter is taken for a slip", unit="", default=1.5, source=_HOUSE, low=1, high=5
    ),
    Rule(
        id="cut.depth-most", words="share of the diameter over which a depth is taken for a slip", unit="share", default=0.25, source=_HOUSE, low=0.01, high=0.5
    ),
    Rule(id="cut.left-least", words="share of the diameter down to which a cut can have gone", unit="share", default=0.5, source=_HOUSE, low=0.1, high=1),
    Rule(id="cut.clean", words="radial depth below the deepest damage to be sure of clean copper", unit="mm", default=0.02, source=_TRADE, low=0.005, high=0.5),
    Rule(id="cut.rough", words="radial depth of a rough pass", unit="mm", default=0.10, source=_TRADE, low=0.01, high=0.25),
    Rule(id="cut.finish", words="radial depth of the finish pass", unit="mm", default=0.03, source=_TRADE, low=0.005, high=0.1),
    Rule(
        id="cut.least-share",
        words="least diameter, where it is unknown, as a share of the new one",
        unit="share",
        default=0.965,
        source=_HOUSE,
        low=0.8,
        high=1,
    ),
    Rule(id="cut.hss", words="cutting speed in copper with high-speed steel", unit="m/min", default=60, source=_TRADE, low=5, high=1000),
    Rule(id="cut.carbide", words="cutting speed in copper with carbide", unit="m/min", default=150, source=_TRADE, low=5, high=2000),
    Rule(id="cut.diamond", words="cutting speed in copper with diamond", unit="m/min", default=300, source=_TRADE, low=5, high=3000),
    Rule(id="cut.feed-rough", words="feed of a rough pass", unit="mm/rev", default=0.08, source=_TRADE, low=0.005, high=1),
    Rule(id="cut.feed-finish", words="feed of the finish pass", unit="mm/rev", default=0.05, source=_TRADE, low=0.005, high=1),
    Rule(id="cut.overrun", words="travel of the tool beyond the track, both ends together", unit="mm", default=4.0, source=_TRADE, low=0, high=50),
    Rule(id="cut.setting", words="time to set up a cut", unit="min", default=10, source=_HOUSE, low=0, high=240),
    Rule(id="cut.home", words="deepest radial cut on a lathe outside a motor shop", unit="mm", default=0.5, source=_TRADE, low=0.05, high=5),
    Rule(id="cut.true", words="run-out on the bearing seats before a cut", unit="mm", default=0.01, source=_TRADE, low=0.001, high=0.1),
    Rule(id="cut.true-fine", words="the same before a cut to the finest limits", unit="mm", default=0.004, source=_TRADE, low=0.0005, high=0.1),
    Rule(
        id="cut.slender",
        words="bearing span over shaft diameter from which an armature counts as slender",
        unit="",
        default=10.0,
        source=_HOUSE,
        low=1,
        high=100,
    ),
)
SLOTS = (
    Rule(id="slot.depth", words="depth of an undercut slot, in widths of the slot", unit="", default=1.2, source=_TRADE, low=0.3, high=3),
    Rule(id="slot.depth-least", words="depth of an undercut slot, at least", unit="mm", default=0.5, source=_TRADE, low=0.1, high=3),
    Rule(id="slot.depth-most", words="depth of an undercut slot, at most", unit="mm", default=1.6, source=_TRADE, low=0.3, high=5),
    Rule(id="slot.again", words="slot depth, in widths, under which it is undercut again", unit="", default=0.8, source=_TRADE, low=0.1, high=2),
    Rule(id="slot.again-small", words="slot depth under which a small commutator is undercut again", unit="mm", default=0.3, source=_TRADE, low=0.05, high=3),
    Rule(id="slot.again-large", words="slot depth under which a larger one is undercut again", unit="mm", default=0.5, source=_TRADE, low=0.05, high=3),
    Rule(id="slot.small", words="diameter under which a commutator is small", unit="mm", default=40.0, source=_TRADE, low=5, high=500),
    Rule(id="slot.seconds", words="time to undercut, chamfer and brush one slot", unit="s", default=60, source=_HOUSE, low=1, high=3600),
    Rule(id="slot.sheets", words="signed sheets from which the site's own factor of time counts fully", unit="", default=3, source=_HOUSE, low=1, high=50),
    Rule(id="slot.narrow", words="width of a bar under which its chamfer is the lesser", unit="mm", default=3.0, source=_TRADE, low=0.5, high=20),
    Rule(id="slot.chamfer-narrow-least", words="chamfer of a narrow bar's edge, at least", unit="mm", default=0.1, source=_TRADE, low=0.02, high=1),
    Rule(id="slot.chamfer-narrow-most", words="chamfer of a narrow bar's edge, at most", unit="mm", default=0.2, source=_TRADE, low=0.02, high=2),
    Rule(
        id="slot.chamfer-share", words="chamfer of an edge, at most this share of the slot's depth", unit="share", default=0.5, source=_TRADE, low=0.05, high=1
    ),
    Rule(id="slot.chamfer-least", words="chamfer of a bar's edge, at least", unit="mm", default=0.2, source=_TRADE, low=0.05, high=1),
    Rule(id="slot.chamfer-most", words="chamfer of a bar's edge, at most", unit="mm", default=0.4, source=_TRADE, low=0.05, high=2),
)
# fmt: on
