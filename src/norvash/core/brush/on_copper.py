"""What the copper does to a brush: how fast it runs under it, and the volts from bar to bar."""

from norvash.core.rules.book import MotorRules
from norvash.core.rules.fitting import GRADE_FAMILIES, SPEED_MOST
from norvash.errors import InputError

# Of which classes only the maker says how fast a brush may run, and of which the volts from bar to bar are judged.
_MAKERS_ONLY = ("appliance", "tool")
BAR_VOLTS_OF = ("industrial", "traction", "generator")


def most_m_per_s(grade: str | None, motor_class: str | None, rules: MotorRules) -> tuple[float | None, tuple[str, ...]]:
    """Return what a grade bears, with its rule; nothing without a grade, and for appliances and tools, of which only
    their maker's figure says it.

    Units: -> [m/s]. Raises: InputError for a grade that is not known. Source: rules surface-speed.*
    """
    if grade is None or motor_class in _MAKERS_ONLY:
        return None, ()
    if grade not in GRADE_FAMILIES:
        raise InputError(f"“{grade}” is not a grade family.", "Use " + ", ".join(GRADE_FAMILIES) + ".", "grade")
    return rules[SPEED_MOST.of(grade)], (SPEED_MOST.of(grade),)


def mean_bar_v(rated_v: float, pole_pairs: int, bars: int) -> float:
    """Return the mean volts from bar to bar.

    Units: [V] -> [V]. Source: U·2p over the bars

    >>> round(mean_bar_v(440, 2, 117), 3)
    15.043
    """
    return rated_v * 2 * pole_pairs / bars


def most_bar_v(rules: MotorRules, *, interpoles: bool) -> tuple[float, str]:
    """Return how many volts from bar to bar a commutator bears on average, and the rule that says so.

    Units: -> [V]. Source: rules bar-volts.*
    """
    found = rules.figure("bar-volts.interpoles" if interpoles else "bar-volts.plain")
    return found.value, found.rule_id
