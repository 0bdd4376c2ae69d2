"""Which fields a sheet offers for a motor."""

from collections.abc import Callable
from functools import partial

from norvash.core.diagnosis.sign import Sign
from norvash.core.diagnosis.signs import SIGNS, offered
from norvash.core.edges import over
from norvash.core.rules.book import MotorRules
from norvash.core.sheet import part_fields
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.field import SheetField
from norvash.core.sheet.fields import FIELDS


def _by_ohm(facts: Facts, rules: MotorRules) -> bool:
    """Tell whether a terminal may be judged by its resistance: of no starter, and of no machine of low voltage."""
    low = facts.rated_v is not None and not over(facts.rated_v, rules["terminal.low-voltage"])
    return facts.motor_class != "starter" and not low


def _is_parted(tick: str, facts: Facts, _: MotorRules) -> bool:
    return tick in facts.to_part


def _shows(sign: Sign, facts: Facts, _: MotorRules) -> bool:
    return offered(sign, facts.motor_class)


def fields_of(stage: str, facts: Facts, rules: MotorRules) -> tuple[SheetField, ...]:
    """Return the fields of a stage that are offered for this motor."""
    return tuple(f for f in FIELDS if f.stage == stage and is_offered(f, facts, rules))


# What is offered of some motors only, by the field: what means nothing without a figure, an earth, a part that can be
# lifted or a run without load.
_OFFERED: dict[str, Callable[[Facts, MotorRules], bool]] = {
    "tap-v": lambda facts, _: bool(facts.taps),
    "terminal-ohm": _by_ohm,
    "terminal-step": _by_ohm,
    "noload-a": lambda facts, _: facts.may_run_free,
    "noload-rpm": lambda facts, _: facts.may_run_free,
    "earth-ohm": lambda facts, _: facts.earthed,
    "bar-map": lambda facts, _: facts.figures.stated("bars") is not None,
    "holder-set": lambda facts, _: facts.figures.stated("commutator_now_mm") is not None,
    **{tick: partial(_is_parted, tick) for tick, _ in part_fields.PARTED},
    **{f"sign.{s.id}": partial(_shows, s) for s in SIGNS},
}


def is_offered(field: SheetField, facts: Facts, rules: MotorRules) -> bool:
    """Tell whether a field is offered: by class, voltage, the taps there are, and what would make it run away."""
    if field.classes and facts.motor_class not in field.classes:
        return False
    return _OFFERED[field.id](facts, rules) if field.id in _OFFERED else True
