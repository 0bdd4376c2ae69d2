"""What stands on a sheet although it is not asked of its motor: a file or a queue brought it."""

from norvash.core.rules.book import MotorRules
from norvash.core.sheet.field import Field
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.catalogue import field_of
from norvash.core.stages.gates import GATES


def is_asked(field: Field, sheet: Sheet, rules: MotorRules) -> bool:
    """Tell whether a field, or the step of a gate, is asked of the motor of a sheet."""
    gate = next((g for g in GATES.values() if g.named(field.id) is not None), None)
    if gate is None:
        return field.is_offered(sheet.facts, rules)
    return gate.asks(field.id, sheet.facts, rules)


def not_asked(sheet: Sheet, rules: MotorRules) -> tuple[Field, ...]:
    """Return the fields in which something stands that are not asked of the motor, in the order of writing."""
    said = sorted(sheet.written.items(), key=lambda e: e[1].at)
    fields = dict.fromkeys(f for (name, _, _), given in said if given.stands and (f := field_of(name)) is not None)
    return tuple(f for f in fields if not is_asked(f, sheet, rules))
