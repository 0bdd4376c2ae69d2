"""The checks that tell causes apart: how long each takes and what the machine must be like for it."""

from dataclasses import dataclass

STATES = ("assembled", "opened", "stripped")


@dataclass(frozen=True, slots=True, kw_only=True)
class Check:
    """One check: the signs that it shows, its minutes, and what it needs.

    `power` means it is made with power on, `unloaded` that it runs free; `state` is how far the motor must be open for
    it.
    """

    id: str
    words: str
    minutes: float
    signs: tuple[str, ...]
    state: str = "assembled"
    power: bool = False
    danger: str = ""
    unloaded: bool = False


# fmt: off
CHECKS: tuple[Check, ...] = (
    Check(id="ask", words="ask how it came, and what happens when it is switched on", minutes=1, signs=("onset", "start")),
    Check(
        id="tap",
        words="tap the case with a soft mallet, or pump the switch, while somebody tries it",
        minutes=1,
        signs=("tapped",),
        power=True,
        danger="soft mallet on the case, never over permanent magnets, hands and clothes clear: it may start",
    ),
    Check(
        id="turn", words="turn it by hand, then try it again", minutes=1, signs=("by-hand", "dead-spot"), danger="isolated first; gloves off near sharp edges"
    ),
    Check(
        id="volts",
        words="measure the voltage at its terminals, under load where that is safe",
        minutes=3,
        signs=("volts",),
        power=True,
        danger="live terminals",
    ),
    Check(id="taps", words="measure the voltage at each speed setting", minutes=6, signs=("taps",), power=True, danger="live terminals"),
    Check(
        id="cranking",
        words="measure battery and motor volts while cranking",
        minutes=4,
        signs=("cranking",),
        power=True,
        danger="it may start the engine: out of gear, fuel off",
    ),
    Check(id="joints", words="measure the drop across each joint and cable at working current", minutes=6, signs=("joint",), power=True, danger="high current"),
    Check(
        id="ohms",
        words="measure resistance across the brushes while turning it slowly",
        minutes=3,
        signs=("ohms",),
        danger="isolated, capacitors discharged; a turning machine generates: turn it slowly by hand only",
    ),
    Check(
        id="amps",
        words="measure the current without load, never above the voltage the class allows",
        minutes=4,
        signs=("amps",),
        power=True,
        danger="guards on",
        unloaded=True,
    ),
    Check(
        id="coast",
        words="let it coast with power cut and listen",
        minutes=2,
        signs=("coasting",),
        power=True,
        danger="turning parts; a series motor only from a speed that it may have without load",
        unloaded=True,
    ),
    Check(id="through", words="measure resistance at the terminals, standing still", minutes=2, signs=("ohms-all",), danger="isolated, capacitors discharged"),
    Check(id="cutout", words="measure across the cut-out or module with power off", minutes=3, signs=("cutout-open",)),
    Check(id="solenoid", words="test pull-in and contact drop of the solenoid", minutes=5, signs=("solenoid-bad",), power=True, danger="it throws the pinion"),
    Check(
        id="residual",
        words="turn it at speed and measure the residual voltage",
        minutes=5,
        signs=("residual-none",),
        power=True,
        danger="clamp it, guard the belt",
    ),
    Check(id="belt", words="look at the belt, pull it by hand", minutes=2, signs=("belt-bad", "belt-stands"), danger="isolated first: fingers and belts"),
    Check(id="air", words="look at fan and air's way", minutes=2, signs=("fan-bad",), danger="isolated first"),
    Check(id="shake", words="feel and measure how it shakes", minutes=3, signs=("shakes",), power=True, danger="turning parts"),
    Check(
        id="here",
        words="drive it on the bench with the regulator left out",
        minutes=15,
        signs=("good-here", "volts-high"),
        power=True,
        danger="nothing holds its volts: limit the speed, clamp it, guard the belt",
    ),
    Check(id="look", words="look through the vents for sparks", minutes=2, signs=("sparks",), power=True, danger="eye protection"),
    Check(
        id="brush",
        words="take out or measure the brushes, try each in its holder",
        minutes=8,
        signs=("short-brush", "held", "uneven", "glazed", "one-side"),
        state="opened",
    ),
    Check(
        id="springs",
        words="look at springs, leads and terminals",
        minutes=4,
        signs=("spring-heat", "spring-weak", "lead-bad", "terminal-bad"),
        state="opened",
        danger="springs fly: eye protection",
    ),
    Check(id="part", words="compare the brushes with the type's figures", minutes=3, signs=("wrong-part",), state="opened"),
    Check(id="arms", words="wrap a paper tape round and mark the arms", minutes=6, signs=("arms-off",), state="opened"),
    Check(
        id="track", words="look at the commutator: colour, surface, slots", minutes=3, signs=("track", "surface", "slots", "mica", "flashed"), state="opened"
    ),
    Check(id="bars", words="measure from bar to bar", minutes=20, signs=("bars",), state="opened"),
    Check(id="insulation", words="measure the insulation to earth", minutes=4, signs=("insulation",), state="opened", danger="people clear, discharge after"),
    Check(id="windings", words="look at and smell the windings", minutes=3, signs=("burnt", "wire-broken", "core-rubbed", "interpole-hot"), state="stripped"),
    Check(id="field", words="measure and compare the field coils", minutes=8, signs=("field-odd",), state="stripped"),
    Check(id="magnets", words="look at the magnets and their seats", minutes=3, signs=("magnets",), state="stripped", danger="they snatch the armature"),
    Check(id="bearings", words="feel both bearings", minutes=3, signs=("bearing-bad", "shaft-bad"), state="stripped"),
    Check(id="drive", words="look at gear, pinion, belt and clutch", minutes=5, signs=("drive-bad",), state="opened"),
)
# fmt: on
