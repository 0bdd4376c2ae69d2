"""What can be seen on commutator, windings, magnets, bearings and drive, and the component that each finding
belongs to.
"""

from dataclasses import replace

from norvash.core.findings import BY_ID as ON_BRUSHES
from norvash.core.findings import Finding

# fmt: off
COMMUTATOR = (
    Finding("commutator.black", "black all over", "plan", "clean it and its slots, then look for the cause"),
    Finding("commutator.two-bars", "black at two bars", "stop", "not to be run until the bar test: an open coil burns its two bars"),
    Finding("commutator.burnt", "bars burnt", "change", "measure run-out, make the bar test, plan a cut"),
    Finding("commutator.rough", "rough, grooved or pitted", "plan", "measure it and plan a cut within its least diameter"),
    Finding("commutator.raised", "a raised or loose bar", "stop", "not to be run: it tears the brushes and may fly"),
    Finding("commutator.mica", "mica level with the copper, or high", "plan", "undercut it"),
    Finding("commutator.slots", "slots full of dust", "watch", "clean the slots: the dust conducts"),
    Finding("commutator.riser", "a riser broken or unsoldered", "stop", "not to be run: re-solder it or send the armature out"),
    Finding(
        "commutator.flashover",
        "marks of a flashover",
        "change",
        "clean off every bridge, test bar to bar and to earth, find what flashed: neutral, overload, dust",
    ),
    Finding("commutator.open", "one bar high in the bar test", "stop", "not to be run, open coil: re-solder the riser if that is all, else renew the armature"),
    Finding("commutator.short", "one bar low in the bar test", "stop", "not to be run, shorted turns: renew or rewind the armature"),
)
WINDINGS = (
    Finding("windings.burnt", "burnt, melted or smelling", "stop", "armature or coil is out: renew or rewind it"),
    Finding("windings.loose", "turns loose or rubbed", "change", "secure and varnish, or renew"),
    Finding("windings.earth", "earth fault", "stop", "no power; clean and dry, test again before it is condemned"),
    Finding("windings.field", "field coils differ", "change", "renew the odd coil"),
    Finding(
        "windings.binding",
        "a binding or wedge of the armature lifted",
        "stop",
        "it flies: not to be turned under power, re-band or re-wedge it, or renew the armature",
    ),
    Finding("windings.broken", "a wire of a winding broken", "stop", "re-join it if both ends can be reached, else rewind"),
    Finding("windings.core", "core of armature or pole rubbed", "change", "find why it rubbed: bearing, shaft, pole; test for shorts, varnish bared steel"),
    Finding("windings.poles", "bolts of a pole loose", "change", "set the pole and tighten it, measure the air gap all round"),
    Finding("windings.interpole", "an interpole hot or coloured by heat", "change", "check its joints, its turns and its polarity"),
    Finding("windings.dust", "covered with carbon dust", "watch", "vacuum it, then test the insulation again"),
    Finding("magnets.cracked", "a magnet cracked, crumbling or loose", "stop", "out of service: fragments jam the gap"),
)
DRIVE = (
    Finding("bearing.rough", "a bearing rough or notchy", "change", "renew it, check shaft and seat"),
    Finding("bearing.loose", "clear play, or spun in its seat", "change", "renew it, measure shaft and seat first"),
    Finding("bearing.locked", "a bearing locked", "stop", "renew it before the motor turns again"),
    Finding("bearing.dry", "a rolling bearing dry", "change", "renew it: oil does not bring it back"),
    Finding("bush.dry", "a plain bush dry", "plan", "oil it: sintered, wick, cup or ring"),
    Finding("bearing.seal", "a seal hard or torn", "plan", "renew it, no silicone near brushes"),
    Finding("drive.shaft", "shaft bent", "stop", "renew or straighten the shaft before it turns under power"),
    Finding("drive.keyway", "keyway worn", "change", "renew key and keyway, or the shaft"),
    Finding("drive.fan", "fan cracked or blades missing", "change", "renew it: it flies apart, and without it the motor burns"),
    Finding("drive.worn", "gear, pinion or coupling worn", "plan", "renew it with its mate checked"),
    Finding("drive.belt", "belt off, slack or glazed", "plan", "put it on, tension or renew it before the motor is blamed"),
    Finding(
        "drive.washer", "a fibre or thrust washer or a wave spring broken or lost", "change", "fit the right one before it is closed: it holds the end float"
    ),
    Finding("drive.jammed", "gear, pinion or clutch jammed", "stop", "free or renew it before power"),
)
ON_COPPER = (
    Finding("commutator.pitch", "marked once a turn", "plan", "look for imbalance, misalignment, an uneven air gap, unequal fields, a bad armature joint"),
    Finding("commutator.slot-marks", "marked slot by slot", "watch", "commutation is at its limit: check neutral, grade and load; not the armature's health"),
    Finding("commutator.drag", "copper drag", "plan", "chamfer the edges; look at vibration, pressure and grade"),
    Finding("commutator.threads", "threads or streaks", "watch", "think of low current, low pressure, abrasive dust or oil"),
    Finding("runout.seats", "runs off centre on its own seats", "plan", "look at seats, shaft and bearings, then true it up and cut"),
    Finding("runout.set-up", "runs off centre, but round", "watch", "check set-up and bearing seats before anything is cut"),
    Finding("runout.bars", "single bars stand out", "plan", "see whether they are tight; tight ones are cut, loose ones end the armature"),
    Finding("runout.over", "run-out over its limit", "plan", "plan a cut"),
    Finding("runout.far", "run-out far over its limit", "stop", "not to be run: it carries people or loads"),
    Finding("bartest.open", "open in the bar test", "stop", "no release: re-solder the riser if that is all, else renew or rewind"),
    Finding("bartest.short", "shorted in the bar test", "stop", "no release: clean the slots and test again, then renew or rewind"),
    Finding("bartest.suspect", "suspect in the bar test", "change", "clean, test again; if it stays, no release without a waiver"),
    Finding("copper.cut", "cleans up with a cut", "plan", "cut it as planned, undercut, chamfer, set the holders"),
    Finding("copper.refused", "does not clean up above its least diameter", "change", "no full cut: leave shallow pits, or renew the armature"),
    Finding("copper.under", "under its least diameter", "stop", "renew it or send the armature out"),
    Finding("copper.last", "no further cut left", "watch", "have a replacement in view before it is needed"),
    Finding("slot.shallow", "slots too shallow", "plan", "undercut them"),
    Finding("surface.emergency", "dressed with a file or a wire wheel", "plan", "clean every slot, make the bar test, look again early"),
)
ON_WINDINGS = (
    Finding("insulation.again", "insulation not proven", "change", "test it again before power, warm and dry, with all parted that leads to the case"),
    Finding("insulation.middling", "insulation to earth middling", "watch", "clean and dry it at the next stop, test again"),
    Finding("insulation.fallen", "insulation fallen to a third of last time", "watch", "clean and dry, test again; the trend says more than one value"),
    Finding("polarization.watch", "polarization index middling", "watch", "dry it, test again"),
    Finding("polarization.low", "polarization index low", "plan", "damp or dirty: clean, dry, test again"),
    Finding("polarization.hold", "polarization index under one", "stop", "no power until it is clean and dry and tested again"),
    Finding("windings.growler", "a slot answers on the growler", "stop", "not to be run, shorted turns: rewind or renew the armature"),
    Finding("windings.short", "a coil low or high against the others", "change", "shorted turns if low, a poor joint if high: renew or re-solder"),
    Finding("magnets.weak", "runs free too fast and draws too much: magnets weak", "change", "renew the case with its magnets"),
    Finding("chain.dead", "a sensor or wear-indicator chain is not as it should be", "plan", "mend it, or its warning is lost"),
)
ON_DRIVE = (
    Finding("bearing.noisy", "a bearing hisses, rumbles or clicks", "plan", "renew it when it is reached; look for the cause"),
    Finding("bearing.corroded", "a bearing corroded", "change", "renew it, find the water"),
    Finding("bearing.grease", "grease dark, gone or washed out", "plan", "clean and grease an open bearing; renew a sealed one"),
    Finding("bearing.aged", "a sealed bearing at half its life", "watch", "renew it while it is in reach"),
    Finding("bush.worn", "a bush worn", "change", "renew it only with the right tool and centring; on small starters a good old one beats a bad new one"),
    Finding("kit.mismatch", "a part of the kit does not fit", "change", "do not take the old part out: get the right one first"),
    Finding("float.out", "end float outside its band", "plan", "shim it"),
    Finding("vibration.watch", "vibration to be watched", "watch", "look at balance, bearings and coupling at the next stop"),
    Finding("vibration.high", "vibration too much", "change", "balance, bearings, coupling"),
    Finding("ring.squeeze", "O-ring squeezed too little or too much", "plan", "take the right section"),
    Finding("solenoid.bad", "solenoid contact or plunger bad", "change", "renew contacts or solenoid, free the plunger"),
)
MEASURED = (
    Finding("insulation.low", "insulation to earth too low", "stop", "no power: clean and dry, test again, then look for the fault"),
    Finding("earth.open", "protective earth too high", "stop", "no power until the earth is joined again"),
    Finding("gap.cut", "holders not set since the cut", "plan", "set them: the brush sinks and the spring must reach further"),
    Finding("face.cut", "brush faces shaped to the diameter before the cut", "plan", "give them the new curve and seat them"),
    Finding("gap.wide", "holder gap too wide", "plan", "bring the holder in: the brush chatters and chips"),
    Finding("gap.narrow", "holder gap too narrow", "change", "set the holder back before it touches the copper"),
    Finding("clearance.tight", "brush tight in its box", "plan", "dress it on a flat plate or fit the right part; never file the box"),
    Finding("clearance.loose", "brush loose in its box", "change", "do not use it: it tilts and wears two faces"),
    Finding("dust.much", "clearly more dust than carbon worn off", "watch", "look for arcing, bearing debris or belt dust"),
    Finding("terminal.measured", "terminal drops or resists too much", "plan", "clean to metal, retension, test again: this alone can stop a motor"),
)
# fmt: on
PARTS = {"commutator": COMMUTATOR, "windings": WINDINGS, "drive": DRIVE}
BY_ID: dict[str, Finding] = {
    **ON_BRUSHES,
    **{f.id: f for g in (COMMUTATOR, WINDINGS, DRIVE, ON_COPPER, ON_WINDINGS, ON_DRIVE, MEASURED) for f in g},
}

COMPONENTS = {
    "brushes": "Brushes",
    "springs": "Springs, leads, terminals",
    "holders": "Holders",
    "commutator": "Commutator",
    "windings": "Windings and magnets",
    "drive": "Bearings and drive",
}
_COMPONENT = {
    "brush": "brushes",
    "face": "brushes",
    "dust": "brushes",
    "lead": "springs",
    "terminal": "springs",
    "spring": "springs",
    "indicator": "springs",
    "holder": "holders",
    "insulator": "holders",
    "gap": "holders",
    "clearance": "holders",
    "commutator": "commutator",
    "windings": "windings",
    "magnets": "windings",
    "insulation": "windings",
    "earth": "windings",
    "bearing": "drive",
    "drive": "drive",
    "runout": "commutator",
    "bartest": "commutator",
    "copper": "commutator",
    "slot": "commutator",
    "surface": "commutator",
    "polarization": "windings",
    "chain": "windings",
    "bush": "drive",
    "kit": "drive",
    "float": "drive",
    "vibration": "drive",
    "ring": "drive",
    "solenoid": "drive",
}


def said(finding_id: str, words: str) -> Finding:
    """Return a finding with its figures in its words."""
    return replace(BY_ID[finding_id], words=words)


def component_of(finding_id: str) -> str:
    """Return the component that a finding belongs to.

    >>> component_of("spring.heat")
    'springs'
    """
    return _COMPONENT[finding_id.split(".")[0]]
