"""What is entered at the stages of commutator, windings, bearings and drive."""

from norvash.core.commutator.run_out import TURNED
from norvash.core.commutator.tools import TOOLS
from norvash.core.sheet.field import SheetField, column, pick, quantity, ticks
from norvash.core.windings.insulation import CIRCUITS

# What is lifted, parted or taken off before insulation is tested, as far as there is some of it.
PARTED = (
    ("parted-brushes", "Earthed brushes lifted"),
    ("parted-field", "Field parted"),
    ("parted-solenoid", "Solenoid unhooked from the motor post"),
    ("parted-capacitors", "Capacitors off"),
)
_SIZE = "Size of the copper"
_TO_CUT = "Plan of a cut"
# fmt: off
_COMMUTATOR = (
    column("track-d", "commutator", _SIZE, "Diameter of the track", "length", hint="up to six: ends and middle, at two angles", low=0.1, high=5000),
    quantity("shoulder-d", "commutator", _SIZE, "Diameter of an unworn shoulder", "length", needs="safe", low=0.1, high=5000, hint="none: leave it empty"),
    quantity("groove", "commutator", _SIZE, "Groove in the track, radial", "length", needs="safe", high=50, hint="depth below the shoulder"),
    quantity("pit", "commutator", _SIZE, "Deepest pit, radial", "length", needs="safe", high=50, hint="a pit in a groove: both together"),
    quantity("step", "commutator", _SIZE, "Step left by an earlier cut, radial", "length", needs="safe", high=50),
    quantity("slot-depth", "commutator", _SIZE, "Slot depth, the shallowest", "length", needs="safe", high=20, hint="measured in the track: add the groove"),
    SheetField(id="bar-map", stage="commutator", group="Bar map", label="Bar map", kind="map", needs="safe"),
    column(
        "run-out",
        "commutator",
        "Run-out",
        "Dial readings, in the direction of turning",
        "length",
        low=-50,
        high=50,
        hint="one for each bar, or eight and more at equal angles; - where one is missing",
    ),
    pick("run-out-on", "commutator", "Run-out", "It turned", *TURNED.items()),
    quantity("run-out-step", "commutator", "Run-out", "Finest step of the indicator", "length", needs="safe", low=0.0001, high=1),
    column(
        "bar-test",
        "commutator",
        "Bar test",
        "Readings from bar to bar",
        "reading",
        high=1e9,
        hint="mΩ or mV, the first between bars 1 and 2; - where one is missing",
    ),
    pick("bar-test-how", "commutator", "Bar test", "Measured as", ("resistance", "resistance"), ("drop", "voltage drop")),
    pick("bar-test-fed", "commutator", "Bar test", "Fed", ("bars", "from bar to bar"), ("fixed", "between two fixed bars")),
    pick("bar-test-lifted", "commutator", "Bar test", "Brushes lifted", ("yes", "yes, or the armature was out"), ("no", "no"), hint="not said: no release"),
    quantity(
        "bar-test-noise",
        "commutator",
        "Bar test",
        "Scatter of a reading",
        "share",
        needs="safe",
        high=1,
        hint="how far two readings at one place differ, like 2 %",
    ),
    quantity("bar-shaft", "commutator", "Bar test", "Lowest from a bar to the shaft", "insulation", needs="safe", high=1e7),
    quantity("bar-shaft-bar", "commutator", "Bar test", "At bar", "count", needs="safe", low=1, high=2000),
    pick("cut-tool", "commutator", _TO_CUT, "Tool", *TOOLS.items()),
    column("lathe-speeds", "commutator", _TO_CUT, "Speeds of the machine", "speed", low=1, high=1e5, hint="kept for the next motor"),
    quantity("rough-cut", "commutator", _TO_CUT, "Rough pass, radial", "length", needs="safe", low=0.005, high=0.25, hint="empty: by the rulebook"),
    quantity("pit-left", "commutator", _TO_CUT, "Leave pits up to, radial", "length", needs="safe", high=10),
    pick("true-setup", "commutator", _TO_CUT, "Runs true on its bearing seats", ("yes", "yes"), ("no", "it cannot be set up so")),
    quantity(
        "cut-done",
        "commutator",
        "Cut",
        "Diameter after the cut, as measured",
        "length",
        needs="safe",
        low=0.1,
        high=5000,
        hint="records the cut: everything that it changes follows",
    ),
    *ticks(
        "commutator",
        "After the cut",
        "safe",
        ("cut-slots", "Every slot brushed clean of copper"),
        ("cut-chamfer", "Edges chamfered on both sides"),
        ("cut-again", "Run-out and bar test made again"),
        ("cut-vacuumed", "Blown out or vacuumed"),
    ),
    quantity(
        "slot-minutes",
        "commutator",
        "After the cut",
        "Time that the slots took",
        "minutes",
        needs="safe",
        low=0.1,
        high=6000,
        hint="teaches the site's own factor",
    ),
    pick(
        "surface-with",
        "commutator",
        "Surface work",
        "Cleaned with",
        ("stone", "commutator stone"),
        ("stick", "rubber-bonded stick"),
        ("paper", "non-conducting paper, 240 to 400"),
        ("mild", "leather, eraser, non-metal scourer"),
        ("file", "file or wire wheel, emergency only"),
        ("emery", "emery"),
        ("carborundum", "silicon carbide"),
        ("steel", "steel wool or metal brush"),
    ),
)
_WINDINGS = (
    *ticks("windings", "Insulation", "safe", *PARTED),
    pick("insulation-of", "windings", "Insulation", "What was measured", *CIRCUITS.items()),
    pick("insulation-dew", "windings", "Insulation", "Dew or wet", ("no", "dry"), ("yes", "wet")),
    quantity(
        "insulation-mohm",
        "windings",
        "Insulation",
        "To earth, after one minute",
        "insulation",
        needs="safe",
        high=1e7,
        hint="as measured, electronics disconnected",
    ),
    quantity("insulation-c", "windings", "Insulation", "At a temperature of", "temperature", needs="safe", low=-40, high=200),
    quantity("insulation-10", "windings", "Insulation", "After ten minutes", "insulation", needs="safe", high=1e7, hint="for the polarization index"),
    column("coils", "windings", "Field coils", "Resistance of each coil", "resistance", high=1e6, hint="one for each pole"),
    quantity("coils-c", "windings", "Field coils", "At a temperature of", "temperature", needs="safe", low=-40, high=200),
    quantity("cold-ohm", "windings", "Heat, by resistance", "A winding cold", "resistance", needs="safe", high=1e6),
    quantity("cold-c", "windings", "Heat, by resistance", "Its temperature then", "temperature", needs="safe", low=-40, high=100),
    quantity("hot-ohm", "windings", "Heat, by resistance", "The same winding hot", "resistance", needs="safe", high=1e6),
    quantity("air-c", "windings", "Heat, by resistance", "Air while it was hot", "temperature", needs="safe", low=-40, high=80),
    pick("growler", "windings", "Growler", "Short test of the armature", ("pass", "no slot answers"), ("fail", "a slot answers")),
    SheetField(
        id="growler-slots", stage="windings", group="Growler", label="Slots that answer", kind="text", needs="safe", hint="their numbers, like 4, 11-12"
    ),
    pick(
        "wear-chain",
        "windings",
        "Chains",
        "Wear indicators",
        ("right", "as they should be"),
        ("open", "open, should be closed"),
        ("closed", "closed, should be open"),
    ),
    pick(
        "heat-chain",
        "windings",
        "Chains",
        "Temperature sensors",
        ("right", "as they should be"),
        ("open", "open, should be closed"),
        ("closed", "closed, should be open"),
    ),
)
# fmt: on
_FEEL = "Ball bearing"
# fmt: off
_DRIVE = (
    SheetField(id="b-number", stage="drive", group=_FEEL, label="Number on its ring", kind="text", needs="safe", per="bearing", hint="like 6204-2RS"),
    pick(
        "b-feel", "drive", _FEEL, "Feels", ("smooth", "smooth"), ("dry", "dry"), ("rough", "rough"), ("notchy", "notchy"), ("locked", "locked"), per="bearing"
    ),
    pick("b-noise", "drive", _FEEL, "Sounds", ("none", "nothing"), ("hiss", "hiss"), ("rumble", "rumble"), ("click", "click"), per="bearing"),
    pick("b-play", "drive", _FEEL, "Radial play", ("none", "none"), ("just", "just felt"), ("clear", "clear"), per="bearing"),
    pick("b-seal", "drive", _FEEL, "Seals", ("sound", "sound"), ("hard", "hard"), ("torn", "torn"), per="bearing"),
    pick("b-grease", "drive", _FEEL, "Grease", ("clean", "clean"), ("dark", "dark"), ("none", "none"), ("washed", "washed out"), per="bearing"),
    pick("b-seat", "drive", _FEEL, "Its seat", ("sound", "sound"), ("spun", "spun in it"), ("corroded", "corroded"), per="bearing"),
    quantity("b-hours", "drive", _FEEL, "Hours it has run", "hours", needs="safe", high=1e6, per="bearing"),
    quantity("b-life", "drive", _FEEL, "Hours it should last", "hours", needs="safe", high=1e7, per="bearing", hint="by the sum of its life"),
    quantity("b-years", "drive", _FEEL, "Its age, years", "count", needs="safe", high=100, per="bearing"),
    quantity("journal", "drive", "Plain bush", "Journal", "length", needs="safe", low=0.1, high=1000, per="bearing"),
    quantity("bush", "drive", "Plain bush", "Bush", "length", needs="safe", low=0.1, high=1000, per="bearing"),
    pick("bush-state", "drive", "Plain bush", "It is", ("oiled", "oiled"), ("dry", "dry"), per="bearing"),
    quantity("kit-shaft", "drive", "Kit, before the old part comes out", "Shaft", "length", needs="safe", low=0.1, high=1000, per="bearing"),
    quantity("kit-bore", "drive", "Kit, before the old part comes out", "New bearing, bore", "length", needs="safe", low=0.1, high=1000, per="bearing"),
    quantity("kit-housing", "drive", "Kit, before the old part comes out", "Housing", "length", needs="safe", low=0.1, high=2000, per="bearing"),
    quantity("kit-outside", "drive", "Kit, before the old part comes out", "New bearing, outside", "length", needs="safe", low=0.1, high=2000, per="bearing"),
    quantity("end-float", "drive", "Shaft", "End float", "length", needs="safe", high=50),
    quantity("vibration", "drive", "Shaft", "Vibration of the housing, rms", "vibration", high=1000),
    quantity("ring-section", "drive", "Seals", "Thickness of an O-ring", "length", needs="safe", low=0.1, high=50),
    quantity("ring-groove", "drive", "Seals", "Depth of its groove", "length", needs="safe", high=50),
    pick("teeth", "drive", "Drive", "Pinion and gears", ("sound", "sound"), ("worn", "worn or rounded"), ("chipped", "chipped")),
    pick("clutch", "drive", "Drive", "One-way clutch", ("right", "locks one way, free the other"), ("slips", "slips"), ("jams", "jams both ways")),
    pick("belt", "drive", "Drive", "Belt", ("sound", "sound, in its grooves"), ("cracked", "cracked or glazed"), ("off", "ribs not in their grooves")),
    pick("cushions", "drive", "Drive", "Rubber cushions", ("sound", "sound"), ("hard", "cracked or hard")),
    pick("plunger", "drive", "Solenoid", "Plunger", ("free", "free"), ("sticks", "sticks"), classes=("starter",)),
    quantity("solenoid-v", "drive", "Solenoid", "Drop over its contact while cranking", "voltage", needs="permit", high=50, classes=("starter",)),
    quantity("pinion-gap", "drive", "Solenoid", "Pinion clearance at full throw", "length", needs="safe", high=100, classes=("starter",)),
)
# fmt: on
_REWORK = ticks("rework", "After a cut", "safe", ("holder-set", "Holders set to the new diameter"))
FIELDS = (*_COMMUTATOR, *_WINDINGS, *_DRIVE, *_REWORK)
REFUSED = {
    "emery": "emery leaves hard dust that conducts: it bridges slots and beds in copper",
    "carborundum": "silicon carbide stays in the copper and cuts the brush",
    "steel": "steel wool and metal brushes leave wires that bridge slots",
}
