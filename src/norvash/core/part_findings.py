"""What can be seen on commutator, windings, magnets, bearings and drive, and the component that each finding belongs to."""

from norvash.core.findings import BY_ID as ON_BRUSHES
from norvash.core.findings import Finding

COMMUTATOR = (
    Finding("commutator.black", "black all over", "plan", "clean it and its slots, then look for the cause"),
    Finding("commutator.two-bars", "black at two bars", "plan", "make the bar test: an open coil burns its two bars"),
    Finding("commutator.burnt", "bars burnt", "change", "measure run-out, make the bar test, plan a cut"),
    Finding("commutator.rough", "rough, grooved or pitted", "plan", "measure it and plan a cut within its least diameter"),
    Finding("commutator.raised", "a raised or loose bar", "stop", "not to be run: it tears the brushes and may fly"),
    Finding("commutator.mica", "mica level with the copper, or high", "plan", "undercut it"),
    Finding("commutator.slots", "slots full of dust", "watch", "clean the slots: the dust conducts"),
    Finding("commutator.riser", "a riser broken or unsoldered", "change", "re-solder it or send the armature out"),
    Finding("commutator.open", "one bar high in the bar test", "change", "open coil: re-solder the riser if that is all, else renew the armature"),
    Finding("commutator.short", "one bar low in the bar test", "change", "shorted turns: renew or rewind the armature"),
)  # fmt: skip
WINDINGS = (
    Finding("windings.burnt", "burnt, melted or smelling", "stop", "armature or coil is out: renew or rewind it"),
    Finding("windings.loose", "turns loose or rubbed", "change", "secure and varnish, or renew"),
    Finding("windings.earth", "earth fault", "stop", "no power; clean and dry, test again before it is condemned"),
    Finding("windings.field", "field coils differ", "change", "renew the odd coil"),
    Finding("windings.dust", "covered with carbon dust", "watch", "vacuum it, then test the insulation again"),
    Finding("magnets.cracked", "a magnet cracked, crumbling or loose", "stop", "out of service: fragments jam the gap"),
)  # fmt: skip
DRIVE = (
    Finding("bearing.rough", "a bearing rough or notchy", "change", "renew it, check shaft and seat"),
    Finding("bearing.loose", "clear play, or spun in its seat", "change", "renew it, measure shaft and seat first"),
    Finding("bearing.locked", "a bearing locked", "stop", "renew it before the motor turns again"),
    Finding("bearing.dry", "a bush or bearing dry", "plan", "re-oil a sintered bush; renew a dry ball bearing"),
    Finding("bearing.seal", "a seal hard or torn", "plan", "renew it, no silicone near brushes"),
    Finding("drive.worn", "gear, pinion, belt or coupling worn", "plan", "renew it with its mate checked"),
    Finding("drive.jammed", "gear, pinion or clutch jammed", "stop", "free or renew it before power"),
)  # fmt: skip
MEASURED = (
    Finding("insulation.low", "insulation to earth too low", "stop", "no power: clean and dry, test again, then look for the fault"),
    Finding("earth.open", "protective earth too high", "stop", "no power until the earth is joined again"),
    Finding("gap.wide", "holder gap too wide", "plan", "bring the holder in: the brush chatters and chips"),
    Finding("gap.narrow", "holder gap too narrow", "change", "set the holder back before it touches the copper"),
    Finding("clearance.tight", "brush tight in its box", "plan", "dress it on a flat plate or fit the right part; never file the box"),
    Finding("clearance.loose", "brush loose in its box", "change", "do not use it: it tilts and wears two faces"),
    Finding("dust.much", "clearly more dust than carbon worn off", "watch", "look for arcing, bearing debris or belt dust"),
    Finding("terminal.measured", "terminal drops or resists too much", "plan", "clean to metal, retension, test again: this alone can stop a motor"),
)  # fmt: skip
PARTS = {"commutator": COMMUTATOR, "windings": WINDINGS, "drive": DRIVE}
BY_ID: dict[str, Finding] = {**ON_BRUSHES, **{f.id: f for g in (COMMUTATOR, WINDINGS, DRIVE, MEASURED) for f in g}}

COMPONENTS = {"brushes": "Brushes", "springs": "Springs, leads, terminals", "holders": "Holders", "commutator": "Commutator",
              "windings": "Windings and magnets", "drive": "Bearings and drive"}  # fmt: skip
_COMPONENT = {"brush": "brushes", "face": "brushes", "dust": "brushes", "lead": "springs", "terminal": "springs", "spring": "springs",
              "indicator": "springs", "holder": "holders", "insulator": "holders", "gap": "holders", "clearance": "holders",
              "commutator": "commutator", "windings": "windings", "magnets": "windings", "insulation": "windings", "earth": "windings",
              "bearing": "drive", "drive": "drive"}  # fmt: skip


def component_of(finding_id: str) -> str:
    """Return the component that a finding belongs to.

    >>> component_of("spring.heat")
    'springs'
    """
    return _COMPONENT[finding_id.split(".")[0]]
