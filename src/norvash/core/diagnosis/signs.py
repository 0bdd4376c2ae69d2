"""What can be noticed, by the stage at which it is, and how strongly each answer speaks for or against a cause.

Strengths: 4 explains the sign alone, 3 strong, 2 clear, 1 weak; negative against. A cause that is not named is neutral. Besides its
answers a sign has “not so”, which counts too: it takes what chance the answers leave. Of a sign without it one answer always holds;
of a sign that may stay unknown “not so” says nothing.
"""

from dataclasses import dataclass

from norvash.core.diagnosis.causes import CAUSES

Weights = dict[str, int]
NOT_SO = "no"
ALONE = 4


@dataclass(frozen=True, slots=True)
class Answer:
    """One thing that a sign can show: its id, its words, and what it says of the causes.

    `usual` is its chance under a cause that it does not speak of; None is that of the rulebook [1].
    """

    id: str
    words: str
    weights: Weights
    usual: float | None = None

    @property
    def alone(self) -> bool:
        """Tell whether one cause explains it all alone, so that it is rare without that cause."""
        return ALONE in self.weights.values()


@dataclass(frozen=True, slots=True)
class Sign:
    """One thing to notice: where on the sheet, its answers, and the words for “not so”, empty where one answer always holds.

    `silent` says that “not so” means nobody knows, which is no evidence.
    """

    id: str
    stage: str
    words: str
    answers: tuple[Answer, ...]
    not_so: str = "not so"
    classes: tuple[str, ...] = ()
    silent: bool = False

    @property
    def known(self) -> tuple[str, ...]:
        """Return the ids of all that can be said of it."""
        return (*(a.id for a in self.answers), *((NOT_SO,) if self.not_so else ()))

    def said(self, answer: str) -> str:
        """Return an answer in words that stand on their own."""
        if answer == NOT_SO:
            words = f"not so: {self.words}" if self.not_so == "not so" else self.not_so
        else:
            words = next(a.words for a in self.answers if a.id == answer)
        return f"{self.words[0].lower()}{self.words[1:]}: {words}" if len(self.answers) > 1 else words


_MOTOR = tuple(c.id for c in CAUSES if c.side != "upstream")


def _w(text: str) -> Weights:
    """Return weights from words like "worn+2 stuck+3 supply-3"; “motor” stands for all causes inside it."""
    found: Weights = {}
    for part in text.split():
        name, sign, strength = part.rpartition("+") if "+" in part else part.rpartition("-")
        for cause_id in _MOTOR if name == "motor" else (name,):
            found[cause_id] = int(sign + strength)
    return found


def _yes(
    sign_id: str, stage: str, words: str, weights: str, not_so: str = "not so", classes: tuple[str, ...] = ()
) -> Sign:
    return Sign(sign_id, stage, words, (Answer("yes", words, _w(weights)),), not_so, classes)


def _several(
    sign_id: str,
    stage: str,
    words: str,
    not_so: str,
    *answers: tuple[str, str, str],
    classes: tuple[str, ...] = (),
    silent: bool = False,
) -> Sign:
    return Sign(sign_id, stage, words, tuple(Answer(i, w, _w(x)) for i, w, x in answers), not_so, classes, silent)


_MOTOR_SIDE = "supply-3 switch-3 cable-3 cutout-3 solenoid-2"
_SERIES = ("appliance", "tool", "starter", "industrial", "traction")
_GENERATOR = ("generator",)
SIGNS: tuple[Sign, ...] = (
    _several("start", "call-in", "When it is switched on", "it runs",
             ("dead", "dead without a sign", "supply+3 switch+3 cable+2 cutout+3 terminal+2 worn+2 stuck+2 lead+2 spring+1 bearing-2 rough-2 short-2 load-2 wrong-brush-2"),
             ("clicks", "dead but for a single click", "solenoid+3 cable+2 stuck+2 worn+2 terminal+2 lead+2 load+2 open-coil+1 short+1 supply-2 switch-1"),
             ("chatter", "dead, it chatters fast", "cable+3 supply+1 solenoid+2 terminal+1 worn-2 stuck-2 lead-2 open-coil-2")),
    _yes("tapped", "call-in", "works when it is tapped or its switch is pumped", "stuck+3 worn+3 spring+2 terminal+2 solenoid+2 cable+1 open-coil+1 switch+1 dirty+1 bearing-2 load-3 short-3 supply-2 earth-2"),
    _yes("dead-spot", "call-in", "dead spot: runs after it is turned by hand", "open-coil+3 rough+1 stuck+1 supply-2 switch-2"),
    _yes("weak", "call-in", "weak, slows under load", "worn+2 short+2 field+2 rough+2 dirty+2 spring+2 cable+2 terminal+2 magnet+2 bearing+1 residual+1", "pulls as ever"),
    _yes("hunts", "call-in", "speed hunts", "worn+2 rough+2 spring+2 open-coil+2 switch+2 stuck+1 field+1 cutout+1", "speed steady"),
    _yes("too-fast", "call-in", "runs too fast", "field+3 magnet+3 load+1 neutral+1 supply+1 worn-2 stuck-2 bearing-3"),
    _yes("backwards", "call-in", "runs backwards", "neutral+3 field+2 switch+2 wrong-brush+1 worn-2 stuck-2", "turns the right way"),
    _yes("by-direction", "call-in", "speed differs by direction", "neutral+3 bearing-1", "alike both ways", ("industrial", "traction", "tool")),
    _yes("slow-start", "call-in", "slow to start", "cable+2 bearing+2 dirty+2 terminal+2 load+2 magnet+1 short+1 spring+1"),
    _yes("loud", "call-in", "loud, rattles or screams", "bearing+3 load+2 rough+2 magnet+1 wrong-brush+1 supply-2 switch-2", "no louder than ever"),
    _yes("new-noise", "call-in", "noise changed after new brushes", "wrong-brush+3 rough+1 spring+1"),
    _yes("crackles", "call-in", "crackles", "worn+2 rough+2 open-coil+2 spring+2 tracking+2 dirty+1 stuck+1"),
    _several("sparks", "call-in", "Sparks at the brushes", "no sparks seen",
             ("little", "a little at all edges", "neutral+2 dirty+2 worn+2 spring+1 wrong-brush+2 load+1"),
             ("place", "strong at one arm, which stands still", "stuck+2 spring+2 lead+2 terminal+2 wrong-brush+1 short-1 neutral-1"),
             ("ring", "a ring of fire", "open-coil+3 short+2 tracking+2 rough+1 earth+1 field+1")),
    _yes("gear-work", "call-in", "after work on the brush gear", "neutral+3 terminal+2 lead+1 stuck+1 worn-3"),
    _yes("wears-fast", "call-in", "brushes wear fast", "contamination+3 rough+2 wrong-brush+2 spring+2 load+1 dirty+1 supply-2 switch-2"),
    _yes("shakes", "call-in", "shakes", "imbalance+3 bearing+2 rough+1 load+1 supply-2 switch-2", "runs smoothly"),
    _yes("belt-stands", "call-in", "the load stands while the motor runs", "belt+3 load+2 supply-3 switch-3 worn-3 stuck-3 open-coil-2", classes=("appliance", "tool", "industrial", "generator")),
    _yes("spins", "call-in", "the starter spins, the engine stands", "load+3 solenoid+2 supply-3 cable-2 worn-3 stuck-3 short-2", classes=("starter",)),
    _yes("stays-on", "call-in", "keeps running after release", "switch+3 solenoid+3 load+1 worn-2 stuck-2"),
    _yes("good-here", "call-in", "good on the bench and dead in place", "regulator+3 cable+2 belt+1 residual-2 worn-2 stuck-2", classes=_GENERATOR),
    _yes("volts-high", "call-in", "volts too high", "regulator+3 residual-3 worn-2", classes=_GENERATOR),
    _yes("smell", "call-in", "smells of burning", "short+2 field+2 bearing+1 load+2 cooling+1 tracking+1 lead+1 terminal+1 cutout-1"),
    _yes("smoke", "call-in", "smoke", "short+3 field+3 load+2 tracking+2 bearing+1 supply-2"),
    _yes("trips", "call-in", "trips the protection", "earth+3 tracking+2 short+2 load+2 field+2 supply+1 worn-2 stuck-2"),
    _yes("code", "call-in", "error code for the motor", "cutout+3 worn+2 terminal+2 tracking+1 open-coil+1 supply+1"),
    _yes("hot", "call-in", "runs hot", "cooling+3 bearing+2 load+2 short+2 field+2 rough+1 wrong-brush+1 cutout+1 cutout-inside+1"),
    _yes("stops-hot", "call-in", "stops hot, returns cold", "motor-2 cutout+3 cutout-inside+3 cooling+3 short+2 field+1 load+1 bearing+1 switch-1 supply-1"),
    _yes("low-output", "call-in", "output low", "residual+3 regulator+2 belt+2 dirty+2 worn+2 field+2 spring+2 short+2 stuck+2", classes=_GENERATOR),
    _yes("cold", "call-in", "worse when cold", "cable+2 bearing+2 dirty+1 stuck+1 cutout-2"),
    _yes("damp", "call-in", "worse when wet", "earth+2 tracking+2 terminal+2 cable+1 dirty+1"),
    _yes("idle", "call-in", "worse after standing idle for long", "stuck+3 dirty+2 bearing+2 residual+2 cable+2 spring+1"),
    _yes("water", "call-in", "after water", "earth+3 stuck+2 tracking+2 terminal+2 dirty+2 bearing+2 cutout+1"),
    _yes("brush-change", "call-in", "after a brush change", "wrong-brush+3 terminal+2 stuck+2 lead+1 rough+1 worn-3"),
    _yes("hums", "call-in", "hums while the machine stands still", "load+3 belt+2 bearing+1 supply-3 switch-2 worn-2 stuck-2 terminal-2 lead-2 open-coil-1", classes=("appliance", "tool", "industrial", "traction")),
    _several("onset", "call-in", "How it came", "nobody knows",
             ("sudden", "suddenly", "open-coil+2 lead+2 supply+2 switch+2 cutout+2 earth+2 load+2 magnet+2 cable+1 worn-1 bearing-1"),
             ("gradual", "little by little", "worn+2 bearing+2 dirty+2 rough+2 spring+2 tracking+2 supply-2 open-coil-1 lead-1"), silent=True),
    Sign("volts", "before", "Voltage at the motor's terminals", (
        Answer("right", "right", _w(_MOTOR_SIDE), 0.6),
        Answer("low", "low, the current is not known", _w("supply+2 cable+2 worn-1 stuck-1"), 0.1),
        Answer("low-high", "low, with much current", _w("short+2 bearing+2 load+2 supply+1 cable+1 worn-2 stuck-2 lead-2 open-coil-2"), 0.05),
        Answer("low-low", "low, with little current", _w("supply+3 cable+3 switch+2 worn-2 stuck-2 lead-2 spring-2 dirty-2 open-coil-2 short-2 bearing-2 load-2"), 0.05),
        Answer("missing", "none", _w("motor-3 earth-1 supply+3 switch+3 cutout+3 cable+2 solenoid+2"), 0.1)), ""),
    _yes("cranking", "before", "volts too low while cranking", "cable+3 short+1 load+1 bearing+1 worn-2 stuck-2 lead-2 open-coil-2 solenoid-1", "volts right while cranking", ("starter",)),
    _yes("joint", "before", "a joint or cable drops too much", "cable+3 terminal+1", "joints and cables drop little"),
    _several("taps", "before", "Speed settings, measured", "they rise as they should",
             ("one", "one step is dead or off", "motor-2 switch+3 cable-2 supply-2"), ("low", "all steps low", "motor-2 supply+3 cable+2"),
             ("miswired", "they do not rise", "motor-2 switch+3"), classes=("appliance", "tool", "industrial", "traction")),
    _several("ohms", "before", "Resistance across the brushes", "low and steady",
             ("infinite", "infinite", f"worn+3 stuck+3 lead+3 terminal+3 spring+2 dirty+2 open-coil-2 {_MOTOR_SIDE} bearing-2 load-2 short-3"),
             ("swings", "swings while it is turned", "open-coil+3 dirty+2 rough+2 spring+1 worn+1")),
    _yes("ohms-all", "before", "infinite at the terminals of a series machine", f"field+3 cutout-inside+3 lead+3 stuck+3 worn+3 terminal+2 spring+1 {_MOTOR_SIDE} bearing-2 load-2 short-3", "a way through at the terminals", _SERIES),
    _several("amps", "before", "Current without load, or held", "as usual",
             ("none", "none at all", "worn+3 stuck+3 lead+3 terminal+3 open-coil+2 cable+1 short-3 load-3 bearing-3"),
             ("low", "low", "terminal+3 dirty+3 spring+2 worn+2 stuck+2 cable+2 lead+2 short-3 bearing-3 load-3 field-1"),
             ("high", "high", "bearing+3 load+3 short+3 field+2 magnet+2 rough+1 terminal-3 dirty-2 worn-2 stuck-2 cable-2 spring-2 lead-2")),
    _several("by-hand", "before", "Turned by hand", "turns freely",
             ("rough", "rough or tight", "bearing+3 load+2 magnet+2 rough+1"), ("locked", "locked", "load+3 bearing+3 magnet+2")),
    _several("coasting", "before", "The noise, when power is cut while it coasts", "no noise then",
             ("stays", "stays", "bearing+3 load+3 rough-1"), ("stops", "stops at once", "rough+2 wrong-brush+2 spring+1 short+1 field+1 bearing-2 load-2 supply-1")),
    _yes("cutout-open", "before", "the cut-out or module lets nothing through", "cutout+3 cutout-inside+3", "the cut-out is closed"),
    _yes("solenoid-bad", "before", "the solenoid drops too much or does not pull", "solenoid+3", "the solenoid is sound", ("starter",)),
    _yes("residual-none", "before", "no residual voltage when it is turned", "residual+3 open-coil+1 worn+1", "residual voltage is there", ("generator",)),
    _yes("short-brush", "brushes", "a brush is at its limit", "worn+3", "every brush has carbon to spare"),
    _several("held", "brushes", "A brush in its holder", "every brush moves freely", ("yes", "sticky", "stuck+3"), ("seized", "seized", "stuck+4")),
    _yes("uneven", "brushes", "one brush is much shorter than its partner", "stuck+2 spring+2 lead+1 terminal+1 wrong-brush+1 rough+1", "the brushes wear alike"),
    _yes("spring-heat", "brushes", "a spring is coloured by heat", "lead+3 terminal+3 spring+2", "springs are bright"),
    _yes("spring-weak", "brushes", "a spring is weak, broken or corroded", "spring+3", "springs press as they should"),
    _yes("lead-bad", "brushes", "a lead is broken or loose", "lead+4", "leads are sound"),
    _yes("terminal-bad", "brushes", "a terminal is dirty, loose or weak", "terminal+3", "terminals are clean and tight"),
    _yes("wrong-part", "brushes", "the brushes differ from what the type asks for", "wrong-brush+3", "the right brushes are in it"),
    _yes("glazed", "brushes", "brush faces glazed", "contamination+2 load+1 spring+1 wrong-brush+1", "faces are satin"),
    _yes("one-side", "brushes", "print of one side of the face only", "wrong-brush+2 neutral+1 spring+1 stuck+1", "the whole face prints"),
    _yes("arms-off", "brushes", "the arms stand unequally round the commutator", "neutral+3", "the arms stand equally"),
    _several("track", "commutator", "Colour of the commutator", "light and clean",
             ("black", "black all over", "dirty+3 spring+1 wrong-brush+1 load+1"), ("two-bars", "black at two bars", "open-coil+3 rough+1")),
    _yes("surface", "commutator", "burnt, rough or out of round", "rough+3 spring+1 open-coil+1", "smooth and round"),
    _yes("mica", "commutator", "mica level with the copper, or high", "rough+3 worn+1", "the mica is undercut"),
    _yes("flashed", "commutator", "marks of a flashover", "short+2 neutral+2 tracking+2 load+1", "no marks of a flashover"),
    _yes("slots", "commutator", "slots full of dust", "tracking+3 dirty+2 short+1", "slots clean"),
    _several("bars", "commutator", "Bar-to-bar test", "all bars alike", ("open", "one bar high", "open-coil+3"), ("riser", "a riser open", "open-coil+4"), ("shorted", "one bar low", "short+3")),
    _several("insulation", "windings", "Insulation to earth", "insulation is good", ("yes", "low", "earth+2 tracking+2"), ("none", "next to nothing", "earth+4 tracking+2")),
    _yes("burnt", "windings", "windings burnt or smelling", "short+3 field+2 cooling+1", "windings look and smell sound"),
    _yes("field-odd", "windings", "field coils differ", "field+3", "field coils alike"),
    _yes("magnets", "windings", "a magnet is cracked or loose", "magnet+4", "magnets sound"),
    _yes("interpole-hot", "windings", "an interpole is hot or coloured", "neutral+3 load+1", "the interpoles are cool and bright"),
    _yes("wire-broken", "windings", "a wire of a winding is broken", "open-coil+3 field+2", "no wire is broken"),
    _yes("core-rubbed", "windings", "the core has rubbed", "bearing+3 imbalance+1 short+1", "the core has not rubbed"),
    _yes("bearing-bad", "drive", "a bearing is rough, notchy, loose or locked", "bearing+3", "bearings run smoothly"),
    _yes("drive-bad", "drive", "gear, pinion or clutch is damaged or jammed", "load+3", "the drive is sound"),
    _yes("belt-bad", "drive", "the belt is off, slack or glazed", "belt+3", "the belt sits and pulls"),
    _yes("fan-bad", "drive", "the fan is broken, or the air's way blocked", "cooling+3", "air goes through freely"),
    _yes("shaft-bad", "drive", "shaft bent or keyway worn", "imbalance+3 bearing+1", "the shaft is straight"),
)  # fmt: skip
BY_ID = {s.id: s for s in SIGNS}


def offered(sign: Sign, motor_class: str) -> bool:
    """Tell whether a sign can be noticed on a class of machine."""
    return not sign.classes or motor_class in sign.classes
