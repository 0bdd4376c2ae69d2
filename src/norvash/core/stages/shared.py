"""Work that several stages ask for."""

from norvash.core.sheet.task import Task

VACUUM = Task(
    id="vacuum",
    what="Take the carbon dust out",
    done="carbon dust taken out",
    minutes=10,
    tools="vacuum with fine filter, soft brush",
    steps=("vacuum holders, slots and windings", "wipe the insulators", "weigh it if it looks much"),
    schools=("school.dust",),
    caution="mask; keep it off electronics",
)
FIT_SET = Task(
    id="fit-set",
    what="Renew the set",
    done="set renewed",
    minutes=25,
    tools="new set, caliper, pull gauge",
    steps=(
        "measure the new brushes",
        "fit them the same way round",
        "check lead, spring and latch",
        "contour and seat the faces",
        "record the new set",
    ),
    schools=("school.one-or-all", "school.old-or-new", "school.face", "school.order"),
    caution="magnets snatch; springs fly",
    renews=True,
)
SEEK_CAUSE = Task(
    id="seek",
    what="Look for the cause",
    done="cause looked for",
    minutes=15,
    tools="light, magnifier, dial gauge",
    steps=("look at run-out, high bars and holder gap", "look at load, spring force and surroundings"),
    looks=True,
)
SET_HOLDERS = Task(
    id="set-holders",
    what="Set the holders to the new diameter",
    done="holders set to the new diameter",
    minutes=15,
    tools="feeler gauge",
    steps=(
        "loosen, set the gap at every holder, tighten",
        "tick it on the sheet: limit and depth readings go back to normal",
    ),
)
CONTOUR_FACES = Task(
    id="contour",
    what="Give the brushes the new curve",
    done="new curve given to the brushes",
    minutes=25,
    tools="paper or seating stone",
    steps=("fresh contour to the smaller radius", "vacuum after", "follow-up look soon"),
    schools=("school.face",),
    caution="dust of carbon and stone: mask, vacuum, eye protection",
    within=("fit-set",),
)
RUN_IN = Task(
    id="run-in",
    what="Run the faces in",
    done="faces run in",
    minutes=40,
    tools="a supply whose volts can be lowered, ammeter, clock",
    steps=(
        "low volts and no load or a light one, as its class asks",
        "look at sparks and listen; stop where they grow",
        "take the print of every brush, and again after more of it",
    ),
    schools=("school.volts",),
    runs=True,
    caution="it turns: guarded, nothing loose, hands off; a series motor never without its load at full volts",
)
CLEAN_TRACK = Task(
    id="clean-track",
    what="Clean the track",
    done="track cleaned",
    minutes=15,
    tools="as the site's school says",
    steps=("clean it with the least removal", "clean the slots after", "vacuum"),
    schools=("school.cleaning", "school.shiny"),
    caution=(
        "live copper bites: dead, or with an insulated holder; eye protection; gloves off near turning parts; no emery,"
        " no steel wool"
    ),
    within=("skim", "armature"),
)
RENEW_SUPPRESSOR = Task(
    id="suppressor",
    what="Renew the suppressor",
    done="suppressor renewed",
    minutes=20,
    tools="suppressor of its rating, iron",
    steps=("let it discharge", "renew it, leads short and held", "measure insulation without it, then with it"),
    caution="it keeps its charge: discharge it first",
)
MAKE_BAR_TEST = Task(
    id="bar-test",
    what="Make the bar test",
    done="bar test made",
    minutes=20,
    tools="current source, millivoltmeter",
    steps=("measure from bar to bar all round", "mark what is high or low"),
    looks=True,
    caution="its points, and the copper under them, get hot; the winding kicks when the current is opened",
)
PLAN_CUT = Task(
    id="skim",
    what="Make the cut",
    done="cut made",
    minutes=60,
    tools="lathe, dial gauge, micrometer",
    steps=("measure diameter and run-out", "see what is left above the least diameter", "cut as its plan says"),
    schools=("school.skim",),
    caution="covered windings, chuck key out, no cloth or gloves",
    within=("armature",),
)
SEEK_ONCE_A_TURN = Task(
    id="balance",
    what="Look for what comes once a turn",
    done="looked for what comes once a turn",
    minutes=40,
    tools="dial gauge, feeler gauges, vibration meter",
    steps=("balance and coupling", "air gap at every pole", "field coils against each other", "joints of the armature"),
    looks=True,
)
CHECK_NEUTRAL = Task(
    id="neutral",
    what="Check neutral, grade and load",
    done="neutral, grade and load checked",
    minutes=20,
    tools="millivoltmeter",
    steps=("neutral mark", "grade and pressure of the brushes", "load"),
    caution="the field kicks when it is opened: a path across it first; the armature locked",
)
UNDERCUT_MICA = Task(
    id="undercut",
    what="Undercut the mica",
    done="mica undercut",
    minutes=30,
    tools="slotting tool, chamfer tool",
    steps=("undercut to depth", "chamfer", "clean the slots"),
    caution="eye protection, mask",
    within=("armature",),
)
RENEW_ARMATURE = Task(
    id="armature",
    what="Renew the armature or send it out",
    done="armature renewed or sent out",
    minutes=120,
    tools="new or exchange armature",
    steps=("weigh repair against a new machine", "renew or send out"),
    schools=("school.repair",),
    caution="polarity before power; over what one person lifts a hoist, at marked points only",
)
RE_SOLDER = Task(
    id="re-solder",
    what="Re-solder the riser",
    done="riser soldered again",
    minutes=40,
    tools="iron or torch, solder of the winding's heat class",
    steps=("no bar loose, both ends of the coil sound", "solder, none of it in the slots", "bar test all round"),
    caution="fumes; the next joint must not melt",
    within=("armature",),
)
JOIN_WIRE = Task(
    id="join-wire",
    what="Join the wire again",
    done="wire joined again",
    minutes=40,
    tools="iron or torch, solder and sleeve of the winding's heat class, ohmmeter",
    steps=(
        "both ends reached and sound",
        "strip, join, solder or braze",
        "sleeve and tie it, clear of what turns",
        "measure its resistance and insulation again",
    ),
    caution="fumes; polarity as it was",
)
SECURE_TURNS = Task(
    id="secure-turns",
    what="Secure and varnish the turns",
    done="turns secured and varnished",
    minutes=60,
    tools="tape, cord, varnish of its heat class",
    steps=("clean and dry it", "no copper bare: tape and tie it", "varnish, cure", "test the insulation again"),
    caution="vapour of the varnish: air, no flame",
    within=("armature",),
)
DRY_INSULATION = Task(
    id="insulation",
    what="Clean, dry, and test the insulation again",
    done="cleaned, dried, insulation tested again",
    minutes=60,
    tools="vacuum, warm dry air, insulation tester",
    steps=(
        "clean",
        "let solvents go first",
        "dry, at most 90 °C and 10 K an hour",
        "dry when the reading has passed its lowest, risen, and three an hour apart agree within a tenth",
        "judge it after cooling to about 40 °C",
    ),
    schools=("school.dust",),
    caution="people clear, discharge after the test",
)
RENEW_BEARING = Task(
    id="bearing",
    what="Renew the bearing",
    done="bearing renewed",
    minutes=45,
    tools="puller, press sleeve, micrometer",
    steps=("measure shaft and seat first", "press only on the ring with the tight fit", "check play and feel"),
    schools=("school.kit",),
    caution="a warmed bearing burns at 110 °C: gloves; chips when it is pulled: eye protection",
)
RENEW_CORD = Task(
    id="cord",
    what="Renew the cord with its plug",
    done="cord renewed with its plug",
    minutes=25,
    tools="cord and plug of the right kind, ohmmeter",
    steps=("three cores to an earthed plug, two to one without earth", "relieve the strain", "measure the earth again"),
    caution="isolated first, the plug in sight",
)
