"""The three gates: before it is opened, before power, back to service; each with the cautions of its class and act."""

from collections.abc import Iterable

from norvash.core.motor.figure_fields import MASS_KG
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.fields_made import pick
from norvash.core.sheet.finding import Finding
from norvash.core.sheet.gate import Gate, Step

COMPETENT = (
    "This is decision support for competent people: the maker's manual, local electrical and safety rules and licensed "
    "practice come first; work on mains or high-energy circuits may be reserved to licensed persons where you are."
)
METHODS = {
    "unplugged": "unplugged, plug in sight",
    "battery-out": "battery taken out",
    "earth-lead": "battery earth lead off",
    "disconnected": "battery disconnected",
    "locked": "own lock and tag",
    "fuses": "fuses drawn and kept",
    "on-bench": "on the bench, joined to nothing",
}
_USUAL = {
    "appliance": "unplugged",
    "tool": "unplugged",
    "starter": "earth-lead",
    "industrial": "locked",
    "traction": "disconnected",
    "generator": "disconnected",
}


_DEAD = Step(
    "dead", "Switched off, isolated and proved dead", "prove with a tester that was itself proved before and after"
)
_STILL = Step(
    "still", "Standing still, nothing can start or move it", "wait for run-down; a turning shaft still makes voltage"
)
_CLASS: dict[str, tuple[Step, ...]] = {
    "appliance": (
        Step("plug", "Unplugged, the plug in sight", "water and power apart; somebody may plug it in behind you"),
        Step("laid", "Laid on padding, edges covered", "sheet edges cut; two people when it is heavy"),
    ),
    "tool": (Step("bit", "Blade, bit or disc taken off", "unplug or take the battery out before you touch it"),),
    "starter": (
        Step(
            "lead",
            "Battery earth lead off first",
            "it goes on last; never let a live spanner bridge; sparks away from fuel and battery gas",
        ),
        Step("neutral", "Gear in neutral, engine cannot start onto you", "hold the post while its nut is turned"),
    ),
    "industrial": (
        Step(
            "lock",
            "Own lock and tag on every source, start tried",
            "field supply, heaters and drive capacitors are sources too",
        ),
        Step(
            "hung",
            "Suspended loads lowered or pinned",
            "a hoist or lift falls when its brake is lifted; field loss makes it overspeed",
        ),
    ),
    "traction": (
        Step("wheels", "Wheels off the ground and chocked", "it drives away; very high currents melt thin leads"),
        Step("battery", "Battery disconnected", "no ring, no watch; cover the posts"),
    ),
    "generator": (Step("belt", "Belt and fan guarded or off, battery isolated", "whatever drives it must not start"),),
}
_CAPACITORS = Step(
    "capacitors", "Capacitors discharged and measured", "they hold their charge long after the plug is out"
)
_MAGNETS = Step(
    "magnets", "Magnets: nobody near with a pacemaker, fingers clear", "they snatch the armature, pinch and chip"
)
_DUST = Step(
    "dust",
    "Eye protection, mask and vacuum ready",
    "springs fly; carbon and copper dust: fine filter, wash hands, no food; keep it off electronics",
)
_POWER = (
    Step("insulation", "Insulation tested, terminals tight", "people clear while it is tested, discharge afterwards"),
    Step(
        "guards",
        "Guards on, it turns freely by hand, nothing loose inside",
        "no loose sleeves, gloves off near turning parts",
    ),
    Step("clear", "People clear, stop within reach", "a short touch of power first"),
)
_EARTH = Step("earth", "Protective earth joined again and measured", "an earthed plug on a two-core cord is a stop")
_NO_EARTH = {
    "double insulated": Step(
        "no-earth",
        "No earth wire added: it has none by design",
        "its insulation is its protection: both layers whole, none bridged",
    ),
    "extra-low voltage": Step(
        "no-earth",
        "No earth wire added: it has none by design",
        "its low voltage is its protection: from a battery or a safety supply only",
    ),
}
_SERVICE = (
    Step("whole", "All guards and covers back in place, and earth where it has one", "tools and rags counted"),
    Step("own", "Own lock and tag taken off, users told", "nobody else takes them off"),
)


def unfit(noted: Iterable[tuple[int, Finding]]) -> Finding | None:
    """Return the first of what was found on a motor with which nothing runs, None where nothing forbids it."""
    return next((f for _, f in noted if f.never_runs), None)


def usual_method(facts: Facts) -> str:
    """Return the usual way to isolate a motor of this class."""
    return _USUAL[facts.motor_class]


def _to_be_safe(facts: Facts, rules: MotorRules) -> tuple[Step, ...]:
    """Return what must be done before anything is taken inside, in order. Source: rule lift.person"""
    made = [_DEAD, _STILL, *_CLASS[facts.motor_class]]
    if facts.capacitors:
        made.append(_CAPACITORS)
    if facts.magnets:
        made.append(_MAGNETS)
    mass, most = MASS_KG.of(facts.figures), rules["lift.person"]
    if mass is not None and mass > most:
        made.append(
            Step(
                "lift",
                f"Hoist or second person for {mass:g} kg",
                f"over {most:g} kg nobody lifts alone; marked lifting points only",
            )
        )
    return (*made, _DUST)


_CLAMP = Step("clamp", "Clamped down, leads thick enough", "it jumps; bursts of 10 s at most, then two minutes to cool")
_IDLES = Step(
    "idle",
    "Cutter off, guards on: a short touch, then no load at plate volts",
    "built in with its own fan and gear it may idle; bare it may not",
)
_RUNS_AWAY = Step(
    "speed",
    "Load coupled, or a safe reduced voltage set",
    "without load it runs away: with no data begin at a tenth of plate volts and read r/min at every step, never over a"
    " quarter, off at rated r/min; where r/min is not measured a tenth is the end",
)
_FIELD = Step("field", "Shunt field at full strength first", "with its field lost it runs away")


def _earth(facts: Facts) -> tuple[Step, ...]:
    """Return what is done about its earth: joined where it has one, never added where it has none by design."""
    if facts.earthed:
        return (_EARTH,)
    return (_NO_EARTH[facts.protection],) if facts.protection in _NO_EARTH else ()


def _power_cautions(facts: Facts) -> tuple[Step, ...]:
    """Return what its construction asks for before power, by what it may do without load."""
    made = []
    if facts.motor_class == "starter":
        made.append(_CLAMP)
    elif facts.built_in and facts.series:
        made.append(_IDLES)
    elif facts.runs_away:
        made.append(_RUNS_AWAY)
    if facts.construction in ("shunt", "compound") and not facts.runs_away:
        made.append(_FIELD)
    return tuple(made)


def _before_power(facts: Facts, _rules: MotorRules) -> tuple[Step, ...]:
    return (*_POWER, *_earth(facts), *_power_cautions(facts))


def _back_to_service(_facts: Facts, _rules: MotorRules) -> tuple[Step, ...]:
    return _SERVICE


METHOD = pick("safe.method", "Isolation", "Isolated by", *METHODS.items())
SAFE = Gate("safe", "Make safe", _to_be_safe, METHOD, "how it is isolated")
POWER = Gate("power", "Before power", _before_power)
SERVICE = Gate("service", "Back to service", _back_to_service)
GATES = {g.id: g for g in (SAFE, POWER, SERVICE)}
