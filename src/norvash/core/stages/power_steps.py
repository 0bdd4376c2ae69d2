"""What is done before power: the steps of a motor by its construction, by what it turns, and by what feeds it."""

from dataclasses import replace

from norvash.core.rules.book import MotorRules
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.gate import Step
from norvash.core.stages.prove.volts import run_free_words
from norvash.core.stages.safe_steps import GAS_FREE

_POWER = (
    Step("insulation", "Insulation measured, terminals tight", "people clear while it is tested, discharge afterwards"),
    Step(
        "guards",
        "Guards on, it turns freely by hand, nothing loose inside",
        "no loose sleeves, gloves off near turning parts",
    ),
    Step("clear", "People clear, stop within reach", "a short touch of power first"),
)
_WET = "in the wet: only behind a residual current device that was tried"
_CLEAR_DRIVEN = Step(
    "clear", "People clear, stop within reach", "what drives it is stopped at once where it sparks, smells or shakes"
)
_DRIVEN = Step(
    "driven",
    "Driven by a drill or a belt, guarded; its regulator apart",
    "no power is put to it; its volts rise with speed and nothing holds them: limit the r/min",
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
_CLAMP = Step(
    "clamp",
    "Clamped down, leads thick enough, what it could turn off or free",
    "it jumps; the last contact on the frame, away from the battery; bursts of 10 s at most, then two minutes to cool",
)
_IDLES = Step(
    "idle",
    "Cutter off, guards on: a short touch, then no load at plate volts",
    "built in with its own fan and gear it may idle; bare it may not",
)
_COUPLED = "Load coupled, or a safe reduced voltage set"
_FIELD = Step("field", "Shunt field at full strength first", "with its field lost it runs away")
_FIELD_APART = Step("field", "Field on first, off last", "with its field lost it runs away")
_FIELD_LOSS = Step(
    "field-loss", "Loss of field trips the supply, or somebody watches its current", "never with the field open"
)
_GAS = Step("gas", "Battery gas aired, last contact made on the frame", "a spark at the battery sets its gas off")
_TURNS = {
    "hoist": Step("brake", "The brake holds the load", "a load that hangs falls when the brake lets go"),
    "flywheel": Step(
        "flywheel", "Flywheel off, or guarded", "it stores what kills: let it run down, keep out of its plane"
    ),
    "propeller": Step("propeller", "Propeller off, or free and guarded", "nobody in its plane"),
    "chain": Step("chain", "Chain off, or guarded", "it whips when it comes off its wheel"),
    "blade": Step("blade", "Blade off, or guarded", "it cuts while it runs down, too"),
}
_BELT = Step("belt-on", "Belt on and guarded: never unloaded", "a series motor that loses its belt runs away")
_AWAY = Step("speed", _COUPLED, "without load it runs away")
_EVERY = (
    *_POWER,
    GAS_FREE,
    _EARTH,
    *_NO_EARTH.values(),
    _DRIVEN,
    _CLAMP,
    _IDLES,
    _AWAY,
    _FIELD,
    _FIELD_LOSS,
    _GAS,
    *_TURNS.values(),
    _BELT,
)
EVERY_POWER_STEP = tuple({s.id: s for s in reversed(_EVERY)}.values())[::-1]


def _undone(step: Step) -> Step:
    """Return a step with what undoes it: people come near with any work, and the air changes; all else stands until the
    motor, or what is joined to it, is opened again.
    """
    return replace(step, undone_by="work" if step.id in ("clear", GAS_FREE.id) else "closing")


def before_power(facts: Facts, rules: MotorRules) -> tuple[Step, ...]:
    """Return what is done before a motor gets power, or is driven, in order."""
    first: tuple[Step, ...] = _POWER if facts.motor_class != "generator" else (*_POWER[:2], _CLEAR_DRIVEN)
    if facts.wet:
        first = (replace(first[0], caution=f"{first[0].caution}; {_WET}"), *first[1:])
    if facts.burning_air:
        first = (GAS_FREE, *first)
    every = (*first, *_earth(facts), *_by_construction(facts, rules), *_by_what_it_turns(facts))
    return tuple(map(_undone, every))


def _earth(facts: Facts) -> tuple[Step, ...]:
    """Return what is done about its earth: joined where it has one, never added where it has none by design."""
    if facts.earthed:
        return (_EARTH,)
    return (_NO_EARTH[facts.protection],) if facts.protection in _NO_EARTH else ()


def _by_construction(facts: Facts, rules: MotorRules) -> tuple[Step, ...]:
    """Return what its construction asks for before power, by what it may do without load."""
    made = []
    if facts.motor_class == "generator":
        return (_DRIVEN,)
    if facts.motor_class == "starter":
        made.append(_CLAMP)
    elif facts.runs_away:
        most = run_free_words(facts, rules)
        mind = (
            f"without load it runs away: {most}"
            if most
            else "without load it runs away; its plate's volts are not known"
        )
        made.append(Step("speed", _COUPLED, f"{mind}; where r/min is not read a tenth is the end, off at rated r/min"))
    elif facts.asked_where:
        made.append(_IDLES)
    if facts.own_field:
        made += [_FIELD_APART if facts.construction == "separately excited" else _FIELD, _FIELD_LOSS]
    if facts.motor_class == "starter" or facts.by_battery:
        made.append(_GAS)
    return tuple(made)


def _by_what_it_turns(facts: Facts) -> tuple[Step, ...]:
    """Return what is done about what it turns, as far as its record says so."""
    made = [_TURNS[facts.turns]] if facts.turns in _TURNS and facts.motor_class != "generator" else []
    if facts.turns == "belt" and facts.series and facts.motor_class not in ("starter", "generator"):
        made.append(_BELT)
    return tuple(made)
