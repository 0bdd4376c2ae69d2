"""The work that findings lead to: what, how long, with what, step by step, and the school that decides how."""

from collections.abc import Iterable
from dataclasses import dataclass

from norvash.core.findings import Finding
from norvash.core.grades import GRADES
from norvash.core.rules.book import Choice, MotorRules


@dataclass(frozen=True, slots=True)
class Task:
    """One task: its minutes, tools, steps and cautions; schools say how it is done here."""

    id: str
    what: str
    minutes: int
    tools: str
    steps: tuple[str, ...]
    schools: tuple[str, ...] = ()
    caution: str = ""


TASKS: dict[str, Task] = {t.id: t for t in (
    Task("vacuum", "Take the carbon dust out", 10, "vacuum with fine filter, soft brush", ("vacuum holders, slots and windings", "wipe the insulators", "weigh it if it looks much"), ("school.dust",), "mask; keep it off electronics"),
    Task("free-holder", "Free the holder and clean it", 15, "lint-free cloth, plastic scraper", ("take the brush out", "clean box and brush sides dry", "measure section and box, look for burrs", "the brush must drop by its own weight"), ("school.grease", "school.holder"), "springs fly: eye protection"),
    Task("fit-set", "Renew the set", 25, "new set, caliper, pull gauge", ("measure the new brushes", "fit them the same way round", "check lead, spring and latch", "contour and seat the faces", "record the new set"), ("school.one-or-all", "school.old-or-new", "school.face", "school.order"), "magnets snatch; springs fly"),
    Task("seek", "Look for the cause", 15, "light, magnifier, dial gauge", ("look at run-out, high bars and holder gap", "look at load, spring force and surroundings"), ()),
    Task("terminal", "Clean and retension the terminals", 10, "contact file, pliers, ohmmeter", ("clean to metal", "retension", "measure again"), ()),
    Task("lead", "Renew the lead with its brush", 15, "new brush, crimp or solder tool", ("renew the brush with its lead", "look at the spring for heat"), (), "no soft solder on a brush that runs hot"),
    Task("springs", "Renew the springs as a set", 15, "new springs, pull gauge", ("renew all", "measure each force at working length"), (), "springs fly: eye protection"),
    Task("holder", "Renew the holder", 40, "new holder, feeler gauge", ("renew it", "set gap and square", "check the neutral mark"), ()),
    Task("gap", "Set the holder gap", 10, "feeler gauge", ("loosen, set, tighten", "measure at every holder"), ()),
    Task("insulator", "Renew the insulator", 20, "new insulator, insulation tester", ("renew it", "test to earth"), (), "people clear, discharge after the test"),
    Task("dress", "Dress the brush to its box", 15, "flat plate, fine paper, caliper", ("dress both sides alike", "never file the box"), (), "carbon dust: mask"),
    Task("clean-track", "Clean the track", 15, "as the site's school says", ("clean it with the least removal", "clean the slots after", "vacuum"), ("school.cleaning", "school.shiny"), "gloves off near turning parts; no emery, no steel wool"),
    Task("bar-test", "Make the bar test", 20, "current source, millivoltmeter", ("measure from bar to bar all round", "mark what is high or low"), ()),
    Task("skim", "Plan a cut", 60, "lathe, dial gauge, micrometer", ("measure diameter and run-out", "see what is left above the least diameter", "cut, undercut, chamfer"), ("school.skim",), "covered windings, chuck key out, no cloth or gloves"),
    Task("true-up", "Check set-up and bearing seats", 20, "dial gauge, vee blocks", ("run it on its bearing seats", "measure the run-out again"), ()),
    Task("balance", "Look for what comes once a turn", 40, "dial gauge, feeler gauges, vibration meter", ("balance and coupling", "air gap at every pole", "field coils against each other", "joints of the armature"), ()),
    Task("neutral", "Check neutral, grade and load", 20, "millivoltmeter", ("neutral mark", "grade and pressure of the brushes", "load"), ()),
    Task("set-holders", "Set the holders to the new diameter", 15, "feeler gauge", ("loosen, set the gap at every holder, tighten", "tick it on the sheet: limit and depth readings go back to normal"), ()),
    Task("contour", "Give the brushes the new curve", 25, "paper or seating stone", ("fresh contour to the smaller radius", "vacuum after", "follow-up look soon"), ("school.face",)),
    Task("washer", "Fit the washer or wave spring", 15, "parts drawing, dial gauge", ("as the maker stacks them, find the pieces of a broken one", "measure the end float"), ()),
    Task("shim", "Shim the end float", 20, "shims, dial gauge", ("set it to the middle of its band", "note what was put in"), ()),
    Task("chain", "Mend the sensor chain", 20, "ohmmeter", ("find the break", "mend, measure it as it should be"), ()),
    Task("solenoid", "Mend the solenoid", 30, "contacts or solenoid of its type", ("renew the contacts", "free and clean the plunger", "measure drop and pinion clearance"), (), "battery earth lead off first"),
    Task("kit-part", "Get the part that fits", 15, "micrometer, catalogue", ("measure shaft and housing", "order by size, not by kit"), ("school.kit",)),
    Task("undercut", "Undercut the mica", 30, "slotting tool, chamfer tool", ("undercut to depth", "chamfer", "clean the slots"), (), "eye protection, mask"),
    Task("armature", "Renew the armature or send it out", 120, "new or exchange armature", ("weigh repair against a new machine", "renew or send out"), ("school.repair",)),
    Task("insulation", "Clean, dry, and test the insulation again", 60, "vacuum, warm dry air, insulation tester", ("clean", "let solvents go first", "dry, at most 90 °C and 10 K an hour", "dry when the reading has passed its lowest, risen, and three an hour apart agree within a tenth", "judge it after cooling to about 40 °C"), ("school.dust",), "people clear, discharge after the test"),
    Task("test-insulation", "Test the insulation again", 15, "insulation tester, thermometer", ("lift earthed brushes, part the field, unhook the solenoid, take capacitors off", "warm and dry", "read after one minute, with its temperature"), (), "people clear, discharge after the test"),
    Task("band", "Have the armature banded or wedged anew", 120, "motor shop", ("not turned under power before", "weigh repair against a new machine"), ("school.repair",), "it flies: nobody in its plane"),
    Task("find-rub", "Find why the core rubs", 40, "feeler gauges, dial gauge", ("air gap at every pole", "bearings, shaft, bolts of the poles", "short test of the armature"), ()),
    Task("poles", "Set the poles", 40, "feeler gauges, torque wrench", ("set to an even air gap", "tighten, lock"), ()),
    Task("interpole", "Check the interpoles", 40, "ohmmeter, compass", ("joints tight and clean", "polarity", "turns against each other"), ()),
    Task("shaft", "Renew the shaft, or the armature with it", 120, "dial gauge, vee blocks", ("measure the run-out on its seats", "renew it or send it out"), ("school.repair",)),
    Task("fan", "Renew the fan", 20, "new fan of its type", ("renew it", "see that air goes through freely"), (), "it flies apart when it is cracked"),
    Task("arms", "Space the arms evenly", 30, "paper tape, scale", ("wrap a tape round, mark every arm", "set them equal within half a millimetre", "set neutral again"), ()),
    Task("flash", "Clean up after the flashover", 40, "vacuum, stone, insulation tester", ("take every bridge of copper off", "bar test and insulation", "find what flashed: neutral, overload, dust"), ()),
    Task("coil", "Renew the field coil", 90, "new coil, ohmmeter", ("compare all coils", "renew the odd one"), ()),
    Task("scrap-magnet", "Take the case out of service", 10, "tag", ("tag it out", "weigh repair against a new machine"), ("school.repair",), "magnets snatch and chip"),
    Task("bearing", "Renew the bearing", 45, "puller, press sleeve, micrometer", ("measure shaft and seat first", "press only on the ring with the tight fit", "check play and feel"), ("school.kit",), "chips when it is pulled: eye protection"),
    Task("oil-bush", "Oil the bush", 10, "oil that suits sintered bushes", ("wipe", "oil sparingly", "none near brushes"), ()),
    Task("seal", "Renew the seal", 15, "new seal, lubricant that suits it", ("note its direction", "renew", "no silicone near brushes"), ()),
    Task("drive", "Mend the drive", 40, "as the machine asks", ("renew the part with its mate checked", "turn by hand"), (), "stored energy: block it first"),
    Task("indicator", "Mend the wear indicator", 15, "ohmmeter", ("find the break", "mend, measure open or closed as it should be"), ()),
    Task("leak", "Find the leak", 20, "light, cloth", ("find where the oil comes from", "mend it before new brushes go in"), ()),
    Task("earth", "Join the protective earth again", 15, "ohmmeter, star washer", ("clean to metal", "join", "measure with the lead taken off"), ()),
    Task("release", "Release the new brushes", 5, "hook", ("release every latch", "see that each brush sits on the copper"), ()),
)}  # fmt: skip

_LEADS_TO = {
    "brush.sticky": "free-holder", "brush.seized": "free-holder fit-set", "brush.chip-small": "seek", "brush.chip-large": "fit-set seek",
    "brush.latched": "release", "brush.oily": "leak fit-set", "face.glazed": "seek", "face.threads": "seek", "face.burnt": "seek",
    "face.copper": "seek clean-track", "face.taper": "seek", "face.partly": "seek", "lead.strands-10": "lead", "lead.strands-25": "fit-set",
    "lead.heat": "fit-set terminal", "lead.taut": "fit-set", "lead.loose": "fit-set", "terminal.poor": "terminal", "indicator.dead": "indicator",
    "spring.heat": "springs terminal fit-set", "spring.broken": "springs", "spring.off": "springs", "spring.far-off": "springs",
    "spring.travel": "fit-set", "holder.damaged": "holder", "insulator.dirty": "vacuum", "insulator.cracked": "insulator",
    "commutator.black": "clean-track seek", "commutator.two-bars": "bar-test", "commutator.burnt": "bar-test skim", "commutator.rough": "skim",
    "commutator.raised": "armature", "commutator.mica": "undercut", "commutator.slots": "vacuum", "commutator.riser": "armature",
    "commutator.open": "armature", "commutator.short": "armature", "windings.burnt": "armature", "windings.loose": "armature",
    "windings.earth": "insulation", "windings.field": "coil", "windings.dust": "vacuum insulation", "magnets.cracked": "scrap-magnet",
    "bearing.rough": "bearing", "bearing.loose": "bearing", "bearing.locked": "bearing", "bearing.dry": "bearing", "bush.dry": "oil-bush", "bearing.seal": "seal",
    "drive.worn": "drive", "drive.belt": "drive", "drive.washer": "washer", "drive.jammed": "drive", "insulation.low": "insulation", "earth.open": "earth", "gap.wide": "gap", "gap.narrow": "gap",
    "commutator.pitch": "balance", "commutator.slot-marks": "neutral", "commutator.drag": "undercut seek", "commutator.threads": "seek", "runout.set-up": "true-up", "runout.seats": "true-up bearing", "windings.binding": "band", "windings.broken": "armature", "windings.core": "find-rub",
    "windings.poles": "poles", "windings.interpole": "interpole", "drive.shaft": "shaft", "drive.keyway": "shaft", "drive.fan": "fan", "holder.arms": "arms neutral", "commutator.flashover": "flash", "face.one-side": "seek",
    "runout.bars": "bar-test skim", "runout.over": "true-up skim", "runout.far": "true-up skim", "bartest.open": "armature", "bartest.short": "clean-track armature",
    "bartest.suspect": "clean-track bar-test", "copper.cut": "skim undercut set-holders contour", "copper.refused": "armature", "copper.under": "armature", "slot.shallow": "undercut",
    "surface.emergency": "vacuum bar-test", "insulation.fallen": "insulation", "insulation.middling": "insulation", "insulation.again": "test-insulation", "polarization.hold": "insulation", "polarization.watch": "insulation", "polarization.low": "insulation",
    "windings.growler": "armature", "windings.short": "coil", "magnets.weak": "scrap-magnet", "chain.dead": "chain", "bearing.noisy": "bearing",
    "bearing.corroded": "bearing", "bearing.grease": "bearing", "bearing.aged": "bearing", "bush.worn": "bearing", "kit.mismatch": "kit-part", "float.out": "shim",
    "copper.last": "armature", "vibration.watch": "balance", "vibration.high": "balance", "ring.squeeze": "seal", "solenoid.bad": "solenoid",
    "gap.cut": "set-holders", "face.cut": "contour", "clearance.tight": "dress", "clearance.loose": "fit-set", "dust.much": "vacuum seek", "terminal.measured": "terminal",
}  # fmt: skip


@dataclass(frozen=True, slots=True)
class Proposed:
    """A task on the work list with the findings that ask for it, and how it is done here."""

    task: Task
    because: tuple[str, ...]
    ways: tuple[Choice, ...]


def tasks_for(finding_id: str) -> tuple[Task, ...]:
    """Return the tasks that a finding leads to."""
    return tuple(TASKS[t] for t in _LEADS_TO.get(finding_id, "").split())


def work_list(
    matters: Iterable[tuple[str, Finding]], renew: str, rules: MotorRules, *, idle: bool = False
) -> tuple[Proposed, ...]:
    """Return the work that findings ask for, each task once, the gravest first; `renew` says why the set goes, if it does.

    Units: matters are (place in words, finding); idle tells whether the machine stands for long.
    """
    because: dict[str, list[str]] = {}
    if renew:
        because["fit-set"] = [renew]
    for place, finding in sorted(matters, key=lambda m: -GRADES.index(m[1].grade)):
        for task in tasks_for(finding.id):
            because.setdefault(task.id, []).append(f"{place}: {finding.words}")
    made = []
    for task_id, why in because.items():
        task = TASKS[task_id]
        ways = tuple(rules.choice(s) for s in task.schools if s != "school.holder" or idle)
        made.append(Proposed(task, tuple(dict.fromkeys(why)), ways))
    return tuple(made)


# Schools that are shown where the act is, beside those of single tasks.
AT_STAGE = {
    "decide": ("school.when", "school.repair"), "close": ("school.torque", "school.order"), "prove": ("school.test",), "sign": ("school.look",),
}  # fmt: skip
