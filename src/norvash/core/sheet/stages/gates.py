"""The three gates: before it is opened, before power, back to service; each with the cautions of its class and act."""

from collections.abc import Iterable

from norvash.core.edges import over
from norvash.core.motor.figure_fields import MASS_KG
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.fields_made import pick
from norvash.core.sheet.finding import Finding
from norvash.core.sheet.gate import Gate, Step
from norvash.core.sheet.stages.power_steps import EVERY_POWER_STEP, before_power
from norvash.core.sheet.stages.prove.run_fields import RUN_HOW
from norvash.core.sheet.stages.signed_over import OVER_SERVICE

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
    "traction": (Step("battery", "Battery disconnected", "no ring, no watch; cover the posts"),),
    "generator": (Step("belt", "Belt and fan guarded or off, battery isolated", "whatever drives it must not start"),),
}
_WHEELS = Step("wheels", "Wheels off the ground and chocked", "it drives away; very high currents melt thin leads")
_CAPACITORS = Step(
    "capacitors",
    "Capacitors discharged, and measured under 50 V",
    "they hold their charge long after the plug is out, and come back a little",
)
_MAGNETS = Step(
    "magnets", "Magnets: nobody near with a pacemaker, fingers clear", "they snatch the armature, pinch and chip"
)
_DUST = Step(
    "dust",
    "Eye protection, mask and vacuum ready",
    "springs fly; carbon and copper dust: fine filter, wash hands, no food; keep it off electronics",
)
_LIFT = Step("lift", "Hoist or second person", "marked lifting points only")
_EVERY_SAFE = (_DEAD, _STILL, _WHEELS, *(s for c in _CLASS.values() for s in c), _CAPACITORS, _MAGNETS, _LIFT, _DUST)
_SERVICE = (
    Step("whole", "All guards and covers back in place, and earth where it has one", "tools and rags counted"),
    Step("own", "Own lock and tag taken off, users told", "nobody else takes them off"),
)


def unfit(noted: Iterable[tuple[int, Finding]]) -> Finding | None:
    """Return the first of what was found on a motor with which nothing runs, None where nothing forbids it."""
    return next((f for _, f in noted if f.never_runs), None)


def usual_run(facts: Facts) -> str:
    """Return the usual way to run a motor of this class and construction."""
    if facts.motor_class in ("starter", "generator"):
        return "clamped" if facts.motor_class == "starter" else "driven"
    return "load" if facts.runs_away else "free"


def usual_method(facts: Facts) -> str:
    """Return the usual way to isolate a motor of this class."""
    return _USUAL[facts.motor_class]


def _to_be_safe(facts: Facts, rules: MotorRules) -> tuple[Step, ...]:
    """Return what must be done before anything is taken inside, in order. Source: rule lift.person"""
    made = [_DEAD, _STILL, *([_WHEELS] if facts.drives_wheels else []), *_CLASS[facts.motor_class]]
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


def _back_to_service(_facts: Facts, _rules: MotorRules) -> tuple[Step, ...]:
    return _SERVICE


_WORKED = "work was done until"
METHOD = pick("safe.method", "Isolation", "Isolated by", *METHODS.items())


SAFE = Gate(
    id="safe",
    words="Make safe",
    every=_EVERY_SAFE,
    steps=_to_be_safe,
    how=METHOD,
    how_words="how it is isolated",
    anew_words="power was on until",
    whole=True,
)
POWER = Gate(
    id="power",
    words="Before power",
    every=EVERY_POWER_STEP,
    steps=before_power,
    how=RUN_HOW,
    how_words="how it is run",
    anew_words=_WORKED,
)
SERVICE = Gate(
    id="service",
    words="Back to service",
    every=_SERVICE,
    steps=_back_to_service,
    anew_words=_WORKED,
    proves=(OVER_SERVICE,),
    by_hold=True,
)
GATES = {g.id: g for g in (SAFE, POWER, SERVICE)}
