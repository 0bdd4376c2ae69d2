"""What is done before anything is taken inside: by what feeds a machine, what it turns, where it stands; each once, and
said as this one needs it.
"""

from dataclasses import replace

from norvash.core.edges import over
from norvash.core.motor.figure_fields import MASS_KG
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.gate import Step

_DEAD = Step(
    "dead",
    "Switched off, isolated and proved dead",
    "prove with a tester that was itself proved before and after",
    "feed",
)
_ARC = "over 120 V d.c. it arcs: nothing is opened under current but a switch that is made for it"
_STILL = Step(
    "still",
    "Standing still, nothing can start or move it",
    "wait for run-down; a turning shaft still makes voltage",
    "feed",
)
_HEIGHT = "at height: tools tied, nobody below"
_PUBLIC = "in public: a barrier round it, and it is never left open alone"
_PLUG = Step(
    "plug", "Unplugged, the plug in sight", "water and power apart; somebody may plug it in behind you", "feed"
)
_LOCK = Step(
    "lock",
    "Own lock and tag on every source, start tried",
    "field supply, heaters and drive capacitors are sources too",
    "feed",
)
# The first step of a machine by what feeds it, as it is said where that is not what its class has as a rule.
_FED = {
    "plug": (_PLUG.act, _PLUG.caution),
    "pack": ("Battery pack out, apart from it", "cover its contacts; a hurt pack goes outside and is never charged"),
    "fixed": (_LOCK.act, _LOCK.caution),
    "line": ("Line off, own lock and tag", f"nobody else can close it; {_LOCK.caution}"),
    "battery": ("Battery disconnected", "no ring, no watch; cover the posts; the last contact is made on the frame"),
    "engine": ("What drives it stopped, its start locked", "belt off; its volts rise with speed"),
}
_BIT = Step("bit", "Blade, bit or disc taken off", "unplug or take the battery out before you touch it")
_BEFORE_BIT = {
    "plug": "plug out and in sight before you touch it",
    "pack": "battery pack out before you touch it",
    "fixed": "own lock and tag on its switch before you touch it",
}
_HUNG = Step(
    "hung",
    "Suspended loads lowered or pinned",
    "a hoist or lift falls when its brake is lifted; field loss makes it overspeed",
    "feed",
)
# The same step where nothing hangs on it, by what it turns.
_TURNED = {
    "belt": ("Belt off, or its load held", "what it drives may turn it back"),
    "fan": ("Fan held: no draught turns it", "a fan that turns by itself makes volts, and cuts"),
    "flywheel": ("Flywheel run down and held", "it stores what kills: keep out of its plane"),
    "blade": ("Blade held or off", "it cuts while it runs down, too"),
}
_FREE = ("Nothing hangs on it, and nothing can turn it", "what it drives may turn it back")
_NEUTRAL = Step("neutral", "Gear in neutral, engine cannot start onto you", "hold the post while its nut is turned")
_CLASS: dict[str, tuple[Step, ...]] = {
    "appliance": (_PLUG, Step("laid", "Laid on padding, edges covered", "sheet edges cut; two people where heavy")),
    "tool": (_BIT,),
    "starter": (
        Step(
            "lead",
            "Battery earth lead off first",
            "it goes on last; never let a live spanner bridge; sparks away from fuel and battery gas",
            "feed",
        ),
        _NEUTRAL,
    ),
    "industrial": (_LOCK, _HUNG),
    "traction": (Step("battery", "Battery disconnected", "no ring, no watch; cover the posts", "feed"),),
    "generator": (
        Step("belt", "Belt and fan guarded or off, battery isolated", "whatever drives it must not start", "feed"),
    ),
}
_OF_FEED = {"appliance": "plug", "industrial": "fixed", "traction": "battery"}
_WHEELS = Step(
    "wheels", "Wheels off the ground and chocked", "it drives away; very high currents melt thin leads", "feed"
)
GAS_FREE = Step(
    "gas-free",
    "Air measured: no dust or gas in it that burns",
    "no power and no spark before that; only parts that are made for it go in",
    "feed",
)
_CAPACITORS = Step(
    "capacitors",
    "Capacitors discharged, and measured under 50 V",
    "they hold their charge long after the plug is out, and come back a little",
    "feed",
)
_MAGNETS = Step(
    "magnets", "Magnets: nobody near with a pacemaker, fingers clear", "they snatch the armature, pinch and chip"
)
_DUST = Step(
    "dust",
    "Eye protection, mask and vacuum ready",
    "springs fly; carbon and copper dust: fine filter, wash hands, no food; keep it off electronics;"
    " old brushes and linings may be asbestos or lead, old springs beryllium: wet, never blown",
)
_LIFT = Step("lift", "Hoist or second person", "marked lifting points only")
EVERY_SAFE_STEP = (
    _DEAD,
    _STILL,
    _WHEELS,
    *(s for c in _CLASS.values() for s in c),
    GAS_FREE,
    _CAPACITORS,
    _MAGNETS,
    _LIFT,
    _DUST,
)


def to_be_safe(facts: Facts, rules: MotorRules) -> tuple[Step, ...]:
    """Return what must be done before anything is taken inside, in order. Source: rule lift.person"""
    made = [_more(_DEAD, _ARC if facts.arcs else ""), _more(_STILL, *_around(facts))]
    made += [_WHEELS] if facts.drives_wheels else []
    made += [_said(s, facts) for s in _CLASS[facts.motor_class] if s is not _NEUTRAL or facts.starts_engine]
    if facts.burning_air:
        made.append(GAS_FREE)
    if facts.capacitors:
        made.append(_CAPACITORS)
    if facts.magnets:
        made.append(_MAGNETS)
    mass, most = MASS_KG.of(facts.figures), rules["lift.person"]
    if mass is not None and over(mass, most):
        made.append(
            Step(
                "lift",
                f"Hoist or second person for {round(mass, 1):g} kg",
                f"over {most:g} kg nobody lifts alone; marked lifting points only",
            )
        )
    return (*made, _DUST)


def _around(facts: Facts) -> tuple[str, ...]:
    """Return what where it stands asks for while it is worked on."""
    return (_HEIGHT if facts.high_up else "", _PUBLIC if facts.in_public else "")


def _more(step: Step, *cautions: str) -> Step:
    return replace(step, caution="; ".join(filter(None, (step.caution, *cautions))))


def _said(step: Step, facts: Facts) -> Step:
    """Return a step of a class as this machine needs it: by what feeds it, by what hangs on it or is turned by it."""
    if step is _CLASS[facts.motor_class][0] and facts.motor_class in _OF_FEED:
        if facts.feed == _OF_FEED[facts.motor_class]:
            return step
        act, caution = _FED[facts.feed]
        return replace(step, act=act, caution=caution)
    if step is _BIT and facts.feed in _BEFORE_BIT:
        return replace(step, caution=_BEFORE_BIT[facts.feed])
    if step is _HUNG and not facts.load_hangs:
        act, caution = _TURNED.get(facts.turns, _FREE)
        return replace(step, act=act, caution=caution)
    return step
