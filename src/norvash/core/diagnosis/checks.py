"""The checks that tell causes apart: how long each takes and what the machine must be like for it."""

from dataclasses import dataclass

STATES = ("assembled", "opened", "stripped")


@dataclass(frozen=True, slots=True)
class Check:
    """One check: the signs that it shows, its minutes, and what it needs.

    `power` means it is made with power on, `unloaded` that it runs free; `state` is how far the motor must be open for it.
    """

    id: str
    words: str
    minutes: float
    signs: tuple[str, ...]
    state: str = "assembled"
    power: bool = False
    danger: str = ""
    unloaded: bool = False


CHECKS: tuple[Check, ...] = (
    Check("ask", "ask how it came, and what happens when it is switched on", 1, ("onset", "start")),
    Check("tap", "tap the case with a soft mallet, or pump the switch, while somebody tries it", 1, ("tapped",), power=True, danger="soft mallet on the case, never over permanent magnets, hands and clothes clear: it may start"),
    Check("turn", "turn it by hand, then try it again", 1, ("by-hand", "dead-spot"), danger="isolated first; gloves off near sharp edges"),
    Check("volts", "measure the voltage at its terminals, under load where that is safe", 3, ("volts",), power=True, danger="live terminals"),
    Check("taps", "measure the voltage at each speed setting", 6, ("taps",), power=True, danger="live terminals"),
    Check("cranking", "measure battery and motor volts while cranking", 4, ("cranking",), power=True, danger="it may start the engine: out of gear, fuel off"),
    Check("joints", "measure the drop across each joint and cable at working current", 6, ("joint",), power=True, danger="high current"),
    Check("ohms", "measure resistance across the brushes while turning it slowly", 3, ("ohms",), danger="isolated, capacitors discharged; a turning machine generates: turn it slowly by hand only"),
    Check("amps", "measure the current without load, never above the voltage the class allows", 4, ("amps",), power=True, danger="guards on", unloaded=True),
    Check("coast", "let it coast with power cut and listen", 2, ("coasting",), power=True, danger="turning parts; a series motor only from a speed that it may have without load", unloaded=True),
    Check("through", "measure resistance at the terminals, standing still", 2, ("ohms-all",), danger="isolated, capacitors discharged"),
    Check("cutout", "measure across the cut-out or module with power off", 3, ("cutout-open",)),
    Check("solenoid", "test pull-in and contact drop of the solenoid", 5, ("solenoid-bad",), power=True, danger="it throws the pinion"),
    Check("residual", "turn it at speed and measure the residual voltage", 5, ("residual-none",), power=True, danger="clamp it, guard the belt"),
    Check("belt", "look at the belt, pull it by hand", 2, ("belt-bad", "belt-stands"), danger="isolated first: fingers and belts"),
    Check("air", "look at fan and air's way", 2, ("fan-bad",), danger="isolated first"),
    Check("shake", "feel and measure how it shakes", 3, ("shakes",), power=True, danger="turning parts"),
    Check("here", "drive it on the bench with the regulator left out", 15, ("good-here", "volts-high"), power=True, danger="nothing holds its volts: limit the speed, clamp it, guard the belt"),
    Check("look", "look through the vents for sparks", 2, ("sparks",), power=True, danger="eye protection"),
    Check("brush", "take out or measure the brushes, try each in its holder", 8, ("short-brush", "held", "uneven", "glazed", "one-side"), "opened"),
    Check("springs", "look at springs, leads and terminals", 4, ("spring-heat", "spring-weak", "lead-bad", "terminal-bad"), "opened", danger="springs fly: eye protection"),
    Check("part", "compare the brushes with the type's figures", 3, ("wrong-part",), "opened"),
    Check("arms", "wrap a paper tape round and mark the arms", 6, ("arms-off",), "opened"),
    Check("track", "look at the commutator: colour, surface, slots", 3, ("track", "surface", "slots", "mica", "flashed"), "opened"),
    Check("bars", "measure from bar to bar", 20, ("bars",), "opened"),
    Check("insulation", "measure the insulation to earth", 4, ("insulation",), "opened", danger="people clear, discharge after"),
    Check("windings", "look at and smell the windings", 3, ("burnt", "wire-broken", "core-rubbed", "interpole-hot"), "stripped"),
    Check("field", "measure and compare the field coils", 8, ("field-odd",), "stripped"),
    Check("magnets", "look at the magnets and their seats", 3, ("magnets",), "stripped", danger="they snatch the armature"),
    Check("bearings", "feel both bearings", 3, ("bearing-bad", "shaft-bad"), "stripped"),
    Check("drive", "look at gear, pinion, belt and clutch", 5, ("drive-bad",), "opened"),
)  # fmt: skip
