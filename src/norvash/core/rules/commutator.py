"""Rules about the commutator: patterns, run-out, the bar test, the cut and the slots."""

from types import MappingProxyType

from norvash.core.rules.book import GEARED, Rule

_TRADE = "trade practice; the maker's figure comes first"
_HOUSE = "set by this rulebook, to be changed by the site"
_SPEED = MappingProxyType({"industrial": 25.0, "starter": 20.0, GEARED: 35.0, "generator": 20.0})
_CHANCE = "probability, corrected for every pattern that was tried"

PATTERN = (
    Rule("pattern.known", "chance under which a spacing that the winding explains counts as proven", "", 0.05, _CHANCE, 1e-6, 0.5),
    Rule("pattern.free", "chance under which a spacing without a known cause is reported", "", 0.01, _CHANCE, 1e-6, 0.5),
    Rule("pattern.share", "share of the spots that must fit a spacing", "", 0.75, _HOUSE, 0.5, 1),
    Rule("pattern.least", "spots under which nothing is proven by chance", "", 4, _HOUSE, 3, 20),
    Rule("pattern.slot-like", "longest spacing, in bars, at which slots come to mind where their number is unknown", "", 5, _HOUSE, 2, 12),
)  # fmt: skip
RUN_OUT = (
    Rule("runout.middle", "surface speed from which the middle limits hold", "m/s", 15.0, _TRADE, 1, 100),
    Rule("runout.fast", "surface speed over which the strictest limits hold", "m/s", 30.0, _TRADE, 1, 200),
    Rule("runout.tir-slow", "total run-out allowed at a slow surface", "mm", 0.080, _TRADE, 0.001, 1),
    Rule("runout.tir-middle", "total run-out allowed at a middling surface speed", "mm", 0.050, _TRADE, 0.001, 1),
    Rule("runout.tir-fast", "total run-out allowed at a fast surface", "mm", 0.025, _TRADE, 0.001, 1),
    Rule("runout.step-slow", "step from bar to bar allowed at a slow surface", "mm", 0.010, _TRADE, 0.0005, 1),
    Rule("runout.step-middle", "step from bar to bar allowed at a middling surface speed", "mm", 0.0075, _TRADE, 0.0005, 1),
    Rule("runout.step-fast", "step from bar to bar allowed at a fast surface", "mm", 0.005, _TRADE, 0.0005, 1),
    Rule("runout.speed", "surface speed that is assumed where it is not known", "m/s", 35.0, _TRADE, 1, 200, _SPEED),
    Rule("runout.cut-small", "diameter up to which a fast commutator is cut to the finest limits", "mm", 60.0, _TRADE, 1, 500),
    Rule("runout.cut-tir-fine", "total run-out that a cut of such a one must reach", "mm", 0.010, _TRADE, 0.001, 1),
    Rule("runout.cut-step-fine", "step from bar to bar that it must reach", "mm", 0.003, _TRADE, 0.0005, 1),
    Rule("runout.cut-tir", "total run-out that any other cut must reach", "mm", 0.025, _TRADE, 0.001, 1),
    Rule("runout.cut-step", "step from bar to bar that it must reach", "mm", 0.005, _TRADE, 0.0005, 1),
    Rule("runout.outlier", "robust standard deviations beyond which a bar stands out", "", 3.0, _HOUSE, 1, 10),
    Rule("runout.stop", "times the limit over which a machine that carries people or loads is taken out of service", "", 2.0, _TRADE, 1, 10),
    Rule("runout.least", "readings round the circle, at least", "", 8, _HOUSE, 6, 100),
)  # fmt: skip
BAR_TEST = (
    Rule("bartest.pass", "how far a reading may be from the median", "", 0.10, _TRADE, 0.005, 0.5),
    Rule("bartest.pass-drop", "the same for voltage drops on an industrial machine", "", 0.05, _TRADE, 0.005, 0.5),
    Rule("bartest.high", "how far over the median a reading is an open coil or riser", "", 0.50, _TRADE, 0.1, 10),
    Rule("bartest.low", "how far under the median a reading is a short", "", 0.20, _TRADE, 0.02, 0.9),
    Rule("bartest.bridge", "share of the median under which copper bridges the slot", "", 0.10, _HOUSE, 0.001, 0.5),
    Rule("bartest.noise", "times the noise of a reading that a verdict must exceed", "", 2.0, _HOUSE, 1, 10),
    Rule("bartest.scatter", "scatter of a reading over which a bar test proves nothing", "", 0.10, _TRADE, 0.01, 0.3),
    Rule("bartest.rough", "share of readings outside the pass band from which contact is doubted first", "", 0.25, _HOUSE, 0.05, 1),
)  # fmt: skip
CUT = (
    Rule("cut.clean", "radial depth below the deepest damage to be sure of clean copper", "mm", 0.02, _TRADE, 0, 0.5),
    Rule("cut.rough", "radial depth of a rough pass", "mm", 0.10, _TRADE, 0.01, 0.25),
    Rule("cut.finish", "radial depth of the finish pass", "mm", 0.03, _TRADE, 0.005, 0.1),
    Rule("cut.least-share", "least diameter, where it is unknown, as a share of the new one", "", 0.965, _HOUSE, 0.8, 1),
    Rule("cut.hss", "cutting speed in copper with high-speed steel", "m/min", 60, _TRADE, 5, 1000),
    Rule("cut.carbide", "cutting speed in copper with carbide", "m/min", 150, _TRADE, 5, 2000),
    Rule("cut.diamond", "cutting speed in copper with diamond", "m/min", 300, _TRADE, 5, 3000),
    Rule("cut.feed-rough", "feed of a rough pass", "mm/rev", 0.08, _TRADE, 0.005, 1),
    Rule("cut.feed-finish", "feed of the finish pass", "mm/rev", 0.05, _TRADE, 0.005, 1),
    Rule("cut.overrun", "travel of the tool beyond the track, both ends together", "mm", 4.0, _TRADE, 0, 50),
    Rule("cut.setting", "time to set up a cut", "min", 10, _HOUSE, 0, 240),
    Rule("cut.home", "deepest radial cut on a lathe that is no motor shop's", "mm", 0.5, _TRADE, 0.05, 5),
    Rule("cut.true", "run-out on the bearing seats before a cut", "mm", 0.01, _TRADE, 0.001, 0.1),
    Rule("cut.true-fine", "the same before a cut to the finest limits", "mm", 0.004, _TRADE, 0.0005, 0.1),
    Rule("cut.slender", "bearing span over shaft diameter from which an armature counts as slender", "", 10.0, _HOUSE, 1, 100),
)  # fmt: skip
SLOTS = (
    Rule("slot.depth", "depth of an undercut slot, in widths of the slot", "", 1.2, _TRADE, 0.3, 3),
    Rule("slot.depth-least", "depth of an undercut slot, at least", "mm", 0.5, _TRADE, 0.1, 3),
    Rule("slot.depth-most", "depth of an undercut slot, at most", "mm", 1.6, _TRADE, 0.3, 5),
    Rule("slot.again", "slot depth, in widths, under which it is undercut again", "", 0.8, _TRADE, 0.1, 2),
    Rule("slot.again-small", "slot depth under which a small commutator is undercut again", "mm", 0.3, _TRADE, 0.05, 3),
    Rule("slot.again-large", "slot depth under which a larger one is undercut again", "mm", 0.5, _TRADE, 0.05, 3),
    Rule("slot.small", "diameter under which a commutator is small", "mm", 40.0, _TRADE, 5, 500),
    Rule("slot.seconds", "time to undercut, chamfer and brush one slot", "s", 60, _HOUSE, 1, 3600),
    Rule("slot.sheets", "signed sheets from which the site's own factor of time counts fully", "", 3, _HOUSE, 1, 50),
    Rule("slot.narrow", "width of a bar under which its chamfer is the lesser", "mm", 3.0, _TRADE, 0.5, 20),
    Rule("slot.chamfer-narrow-least", "chamfer of a narrow bar's edge, at least", "mm", 0.1, _TRADE, 0.02, 1),
    Rule("slot.chamfer-narrow-most", "chamfer of a narrow bar's edge, at most", "mm", 0.2, _TRADE, 0.02, 2),
    Rule("slot.chamfer-share", "chamfer of an edge, at most this share of the slot's depth", "", 0.5, _TRADE, 0.05, 1),
    Rule("slot.chamfer-least", "chamfer of a bar's edge, at least", "mm", 0.2, _TRADE, 0.05, 1),
    Rule("slot.chamfer-most", "chamfer of a bar's edge, at most", "mm", 0.4, _TRADE, 0.05, 2),
)  # fmt: skip
