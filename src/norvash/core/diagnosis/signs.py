"""What can be noticed, by the stage at which it is, and how strongly each answer speaks for or against a cause.

Strengths: 4 explains the sign alone, 3 strong, 2 clear, 1 weak; negative against. A cause that is not named is neutral.
Besides its answers a sign has “not so”, which counts too: it takes what chance the answers leave. Of a sign without
it one answer always holds; of a sign that may stay unknown “not so” says nothing.
"""

from norvash.core.diagnosis.sign import Answer, Sign, several, weighed, yes

_MOTOR_SIDE = "supply-3 switch-3 cable-3 cutout-3 solenoid-2"
_SERIES = ("appliance", "tool", "starter", "industrial", "traction")
_GENERATOR = ("generator",)
# fmt: off
AT_THE_CALL: tuple[Sign, ...] = (
    several(
        "start",
        "When it is switched on",
        "it runs",
        (
            "dead",
            "dead without a sign",
            "supply+3 switch+3 cable+2 cutout+3 terminal+2 worn+2 stuck+2 lead+2 spring+1 bearing-2 rough-2 short-2 load-2 wrong-brush-2",
        ),
        ("clicks", "dead but for a single click", "solenoid+3 cable+2 stuck+2 worn+2 terminal+2 lead+2 load+2 open-coil+1 short+1 supply-2 switch-1"),
        ("chatter", "dead, it chatters fast", "cable+3 supply+1 solenoid+2 terminal+1 worn-2 stuck-2 lead-2 open-coil-2"),
        dead=("dead", "clicks", "chatter"),
    ),
    yes(
        "tapped",
        "works when it is tapped or its switch is pumped",
        weights="stuck+3 worn+3 spring+2 terminal+2 solenoid+2 cable+1 open-coil+1 switch+1 dirty+1 bearing-2 load-3 short-3 supply-2 earth-2",
    ),
    yes("dead-spot", "dead spot: runs after it is turned by hand", weights="open-coil+3 rough+1 stuck+1 supply-2 switch-2"),
    yes(
        "weak",
        "weak, slows under load",
        weights="worn+2 short+2 field+2 rough+2 dirty+2 spring+2 cable+2 terminal+2 magnet+2 bearing+1 residual+1",
        not_so="pulls as ever",
    ),
    yes("hunts", "speed hunts", weights="worn+2 rough+2 spring+2 open-coil+2 switch+2 stuck+1 field+1 cutout+1", not_so="speed steady"),
    yes("too-fast", "runs too fast", weights="field+3 magnet+3 load+1 neutral+1 supply+1 worn-2 stuck-2 bearing-3"),
    yes("backwards", "runs backwards", weights="neutral+3 field+2 switch+2 wrong-brush+1 worn-2 stuck-2", not_so="turns the right way"),
    yes("by-direction", "speed differs by direction", weights="neutral+3 bearing-1", not_so="alike both ways", classes=("industrial", "traction", "tool")),
    yes("slow-start", "slow to start", weights="cable+2 bearing+2 dirty+2 terminal+2 load+2 magnet+1 short+1 spring+1"),
    yes("loud", "loud, rattles or screams", weights="bearing+3 load+2 rough+2 magnet+1 wrong-brush+1 supply-2 switch-2", not_so="no louder than ever"),
    yes("new-noise", "noise changed after new brushes", weights="wrong-brush+3 rough+1 spring+1"),
    yes("crackles", "crackles", weights="worn+2 rough+2 open-coil+2 spring+2 tracking+2 dirty+1 stuck+1"),
    several(
        "sparks",
        "Sparks at the brushes",
        "no sparks seen",
        ("little", "a little at all edges", "neutral+2 dirty+2 worn+2 spring+1 wrong-brush+2 load+1"),
        ("place", "strong at one arm, which stands still", "stuck+2 spring+2 lead+2 terminal+2 wrong-brush+1 short-1 neutral-1"),
        ("ring", "a ring of fire", "open-coil+3 short+2 tracking+2 rough+1 earth+1 field+1"),
    ),
    yes("gear-work", "after work on the brush gear", weights="neutral+3 terminal+2 lead+1 stuck+1 worn-3"),
    yes("wears-fast", "brushes wear fast", weights="contamination+3 rough+2 wrong-brush+2 spring+2 load+1 dirty+1 supply-2 switch-2"),
    yes("shakes", "shakes", weights="imbalance+3 bearing+2 rough+1 load+1 supply-2 switch-2", not_so="runs smoothly"),
    yes(
        "belt-stands",
        "the load stands while the motor runs",
        weights="belt+3 load+2 supply-3 switch-3 worn-3 stuck-3 open-coil-2",
        classes=("appliance", "tool", "industrial", "generator"),
    ),
    yes("spins", "the starter spins, the engine stands", weights="load+3 solenoid+2 supply-3 cable-2 worn-3 stuck-3 short-2", classes=("starter",)),
    yes("stays-on", "keeps running after release", weights="switch+3 solenoid+3 load+1 worn-2 stuck-2"),
    yes("good-here", "good on the bench and dead in place", weights="regulator+3 cable+2 belt+1 residual-2 worn-2 stuck-2", classes=_GENERATOR),
    yes("volts-high", "volts too high", weights="regulator+3 residual-3 worn-2", classes=_GENERATOR),
    yes("smell", "smells of burning", weights="short+2 field+2 bearing+1 load+2 cooling+1 tracking+1 lead+1 terminal+1 cutout-1"),
    yes("smoke", "smoke", weights="short+3 field+3 load+2 tracking+2 bearing+1 supply-2"),
    yes("trips", "trips the protection", weights="earth+3 tracking+2 short+2 load+2 field+2 supply+1 worn-2 stuck-2"),
    yes("shock", "it gives a shock, or tingles", weights="earth+3 tracking+3 supply+1 worn-2 stuck-2 bearing-2"),
    yes("brake", "its brake does not hold", weights="load+1 supply-2 worn-2 stuck-2 open-coil-2 short-2", classes=("industrial", "traction")),
    yes("code", "error code for the motor", weights="cutout+3 worn+2 terminal+2 tracking+1 open-coil+1 supply+1"),
    yes("hot", "runs hot", weights="cooling+3 bearing+2 load+2 short+2 field+2 rough+1 wrong-brush+1 cutout+1 cutout-inside+1"),
    yes("stops-hot", "stops hot, returns cold", weights="motor-2 cutout+3 cutout-inside+3 cooling+3 short+2 field+1 load+1 bearing+1 switch-1 supply-1"),
    yes("low-output", "output low", weights="residual+3 regulator+2 belt+2 dirty+2 worn+2 field+2 spring+2 short+2 stuck+2", classes=_GENERATOR),
    yes("cold", "worse when cold", weights="cable+2 bearing+2 dirty+1 stuck+1 cutout-2"),
    yes("damp", "worse when wet", weights="earth+2 tracking+2 terminal+2 cable+1 dirty+1"),
    yes("idle", "worse after standing idle for long", weights="stuck+3 dirty+2 bearing+2 residual+2 cable+2 spring+1"),
    yes("water", "after water", weights="earth+3 stuck+2 tracking+2 terminal+2 dirty+2 bearing+2 cutout+1"),
    yes("brush-change", "after a brush change", weights="wrong-brush+3 terminal+2 stuck+2 lead+1 rough+1 worn-3"),
    yes(
        "hums",
        "hums while the machine stands still",
        weights="load+3 belt+2 bearing+1 supply-3 switch-2 worn-2 stuck-2 terminal-2 lead-2 open-coil-1",
        classes=("appliance", "tool", "industrial", "traction"),
    ),
    several(
        "onset",
        "How it came",
        "nobody knows",
        ("sudden", "suddenly", "open-coil+2 lead+2 supply+2 switch+2 cutout+2 earth+2 load+2 magnet+2 cable+1 worn-1 bearing-1"),
        ("gradual", "little by little", "worn+2 bearing+2 dirty+2 rough+2 spring+2 tracking+2 supply-2 open-coil-1 lead-1"),
        silent=True,
    ),
)
BEFORE_OPENING: tuple[Sign, ...] = (
    Sign(
        id="volts",
        words="Voltage at the motor's terminals",
        answers=(
            Answer("right", "right", weighed(_MOTOR_SIDE), 0.6),
            Answer("low", "low, whether with much or with little current is not known", weighed("supply+2 cable+2 worn-1 stuck-1"), 0.1),
            Answer("low-high", "low, with much current", weighed("short+2 bearing+2 load+2 supply+1 cable+1 worn-2 stuck-2 lead-2 open-coil-2"), 0.05),
            Answer(
                "low-low",
                "low, with little current",
                weighed("supply+3 cable+3 switch+2 worn-2 stuck-2 lead-2 spring-2 dirty-2 open-coil-2 short-2 bearing-2 load-2"),
                0.05,
            ),
            Answer("missing", "none", weighed("motor-3 earth-1 supply+3 switch+3 cutout+3 cable+2 solenoid+2"), 0.1),
        ),
        not_so="",
    ),
    yes(
        "cranking",
        "volts too low while cranking",
        weights="cable+3 short+1 load+1 bearing+1 worn-2 stuck-2 lead-2 open-coil-2 solenoid-1",
        not_so="volts right while cranking",
        classes=("starter",),
    ),
    yes("joint", "a joint or cable drops too much", weights="cable+3 terminal+1", not_so="joints and cables drop little"),
    several(
        "taps",
        "Speed settings, measured",
        "they rise as they should",
        ("one", "one step is dead or off", "motor-2 switch+3 cable-2 supply-2"),
        ("low", "all steps low", "motor-2 supply+3 cable+2"),
        ("miswired", "they do not rise", "motor-2 switch+3"),
        classes=("appliance", "tool", "industrial", "traction"),
    ),
    several(
        "ohms",
        "Resistance across the brushes",
        "low and steady",
        ("infinite", "infinite", f"worn+3 stuck+3 lead+3 terminal+3 spring+2 dirty+2 open-coil-2 {_MOTOR_SIDE} bearing-2 load-2 short-3"),
        ("swings", "swings while it is turned", "open-coil+3 dirty+2 rough+2 spring+1 worn+1"),
    ),
    yes(
        "ohms-all",
        "infinite at the terminals of a series machine",
        weights=f"field+3 cutout-inside+3 lead+3 stuck+3 worn+3 terminal+2 spring+1 {_MOTOR_SIDE} bearing-2 load-2 short-3",
        not_so="a way through at the terminals",
        classes=_SERIES,
    ),
    several(
        "amps",
        "Current without load, or held",
        "as usual",
        ("none", "none at all", "worn+3 stuck+3 lead+3 terminal+3 open-coil+2 cable+1 short-3 load-3 bearing-3"),
        ("low", "low", "terminal+3 dirty+3 spring+2 worn+2 stuck+2 cable+2 lead+2 short-3 bearing-3 load-3 field-1"),
        ("high", "high", "bearing+3 load+3 short+3 field+2 magnet+2 rough+1 terminal-3 dirty-2 worn-2 stuck-2 cable-2 spring-2 lead-2"),
    ),
    several(
        "by-hand",
        "Turned by hand",
        "turns freely",
        ("rough", "rough or tight", "bearing+3 load+2 magnet+2 rough+1"),
        ("locked", "locked", "load+3 bearing+3 magnet+2"),
    ),
    several(
        "coasting",
        "The noise, when power is cut while it coasts",
        "no noise then",
        ("stays", "stays", "bearing+3 load+3 rough-1"),
        ("stops", "stops at once", "rough+2 wrong-brush+2 spring+1 short+1 field+1 bearing-2 load-2 supply-1"),
    ),
    yes("cutout-open", "the cut-out or module lets nothing through", weights="cutout+3 cutout-inside+3", not_so="the cut-out is closed"),
    yes("solenoid-bad", "the solenoid drops too much or does not pull", weights="solenoid+3", not_so="the solenoid is sound", classes=("starter",)),
    yes(
        "residual-none",
        "no residual voltage when it is turned",
        weights="residual+3 open-coil+1 worn+1",
        not_so="residual voltage is there",
        classes=("generator",),
    ),
)
ON_BRUSHES: tuple[Sign, ...] = (
    yes("short-brush", "a brush is at its limit", weights="worn+3", not_so="every brush has carbon to spare"),
    several("held", "A brush in its holder", "every brush moves freely", ("yes", "sticky", "stuck+3"), ("seized", "seized", "stuck+4")),
    yes(
        "uneven",
        "one brush is much shorter than its partner",
        weights="stuck+2 spring+2 lead+1 terminal+1 wrong-brush+1 rough+1",
        not_so="the brushes wear alike",
    ),
    yes("spring-heat", "a spring is coloured by heat", weights="lead+3 terminal+3 spring+2", not_so="springs are bright"),
    yes("spring-weak", "a spring is weak, broken or corroded", weights="spring+3", not_so="springs press as they should"),
    yes("lead-bad", "a lead is broken or loose", weights="lead+4", not_so="leads are sound"),
    yes("terminal-bad", "a terminal is dirty, loose or weak", weights="terminal+3", not_so="terminals are clean and tight"),
    yes("wrong-part", "the brushes differ from what the type asks for", weights="wrong-brush+3", not_so="the right brushes are in it"),
    yes("glazed", "brush faces glazed", weights="contamination+2 load+1 spring+1 wrong-brush+1", not_so="faces are satin"),
    yes("one-side", "print of one side of the face only", weights="wrong-brush+2 neutral+1 spring+1 stuck+1", not_so="the whole face prints"),
    yes("arms-off", "the arms stand unequally round the commutator", weights="neutral+3", not_so="the arms stand equally"),
)
ON_COMMUTATOR: tuple[Sign, ...] = (
    several(
        "track",
        "Colour of the commutator",
        "light and clean",
        ("black", "black all over", "dirty+3 spring+1 wrong-brush+1 load+1"),
        ("two-bars", "black at two bars", "open-coil+3 rough+1"),
    ),
    yes("surface", "burnt, rough or out of round", weights="rough+3 spring+1 open-coil+1", not_so="smooth and round"),
    yes("mica", "mica level with the copper, or high", weights="rough+3 worn+1", not_so="the mica is undercut"),
    yes("flashed", "marks of a flashover", weights="short+2 neutral+2 tracking+2 load+1", not_so="no marks of a flashover"),
    yes("slots", "slots full of dust", weights="tracking+3 dirty+2 short+1", not_so="slots clean"),
    several(
        "bars",
        "Bar-to-bar test",
        "all bars alike",
        ("open", "one bar high", "open-coil+3"),
        ("riser", "a riser open", "open-coil+4"),
        ("shorted", "one bar low", "short+3"),
    ),
)
ON_WINDINGS: tuple[Sign, ...] = (
    several("insulation", "Insulation to earth", "insulation is good", ("yes", "low", "earth+2 tracking+2"), ("none", "next to nothing", "earth+4 tracking+2")),
    yes("burnt", "windings burnt or smelling", weights="short+3 field+2 cooling+1", not_so="windings look and smell sound"),
    yes("field-odd", "field coils differ", weights="field+3", not_so="field coils alike"),
    yes("magnets", "a magnet is cracked or loose", weights="magnet+4", not_so="magnets sound"),
    yes("interpole-hot", "an interpole is hot or coloured", weights="neutral+3 load+1", not_so="the interpoles are cool and bright"),
    yes("wire-broken", "a wire of a winding is broken", weights="open-coil+3 field+2", not_so="no wire is broken"),
    yes("core-rubbed", "the core has rubbed", weights="bearing+3 imbalance+1 short+1", not_so="the core has not rubbed"),
)
ON_DRIVE: tuple[Sign, ...] = (
    yes("bearing-bad", "a bearing is rough, notchy, loose or locked", weights="bearing+3", not_so="bearings run smoothly"),
    yes("drive-bad", "gear, pinion or clutch is damaged or jammed", weights="load+3", not_so="the drive is sound"),
    yes("belt-bad", "the belt is off, slack or glazed", weights="belt+3", not_so="the belt sits and pulls"),
    yes("fan-bad", "the fan is broken, or the air's way blocked", weights="cooling+3", not_so="air goes through freely"),
    yes("shaft-bad", "shaft bent or keyway worn", weights="imbalance+3 bearing+1", not_so="the shaft is straight"),
)
# fmt: on
SIGNS = (*AT_THE_CALL, *BEFORE_OPENING, *ON_BRUSHES, *ON_COMMUTATOR, *ON_WINDINGS, *ON_DRIVE)
BY_ID = {s.id: s for s in SIGNS}


def offered(sign: Sign, motor_class: str) -> bool:
    """Tell whether a sign can be noticed on a class of machine."""
    return not sign.classes or motor_class in sign.classes
