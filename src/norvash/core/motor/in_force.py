"""The figures in force for a motor, with a life that is never mixed up between hours, starts and years."""

from collections.abc import Mapping

from norvash.core.motor.classes import TEMPLATES, Template
from norvash.core.motor.figure import Word
from norvash.core.motor.figure_fields import (
    ACTIVE_MONTHS,
    BY_NAME,
    EXPECTED_LIFE_UNITS,
    SECONDS_PER_START,
    STARTS_PER_HOUR,
    UNIT_OF_USE,
    USE_PER_WEEK_UNITS,
)
from norvash.core.motor.figures import Figures
from norvash.core.use.season import read_months
from norvash.errors import InputError

Stated = Mapping[str, float | str]
_WEEKS_A_YEAR = 365.25 / 7


def figures_in_force(motor_class: str, own: Stated, of_type: Stated) -> Figures:
    """Return a motor's figures: its own, then its type's, then its class's.

    A life that the type or the class states in another unit of use is converted into the motor's own, by its seconds
    per start, its starts per hour or its usual week, else by those that its class lends. What only another version can
    read is not in force.
    """
    found = _in_force(motor_class, _read(own), _read(of_type))
    kept = unread_of(own)
    found.unread, found.kept = frozenset((*kept, *unread_of(of_type))), kept
    return found


def unread_of(stated: Stated) -> dict[str, float | str]:
    """Return the figures that only another version can read: no form shows them, and they stay as they are."""
    return {name: value for name, value in stated.items() if not _is_read(name, value)}


def _read(stated: Stated) -> Stated:
    return {name: value for name, value in stated.items() if _is_read(name, value)}


def _is_read(name: str, value: float | str) -> bool:
    figure = BY_NAME.get(name)
    return figure is not None and not (isinstance(figure, Word) and not figure.allows(str(value)))


def _in_force(motor_class: str, own: Stated, of_type: Stated) -> Figures:
    template = TEMPLATES[motor_class]
    found = Figures(own, of_type, template.lends)
    unit, life = UNIT_OF_USE.of(found), EXPECTED_LIFE_UNITS.name
    if life in own:
        return found
    meant = str(of_type.get(UNIT_OF_USE.name) or template.lends[UNIT_OF_USE.name])
    lent = {**template.lends, life: _converted(float(template.lends[life]), template.use, unit, found, template)}
    typed = (
        {**of_type, life: _converted(float(of_type[life]), meant, unit, found, template)}
        if life in of_type
        else of_type
    )
    return Figures(own, typed, lent) if unit != template.use or unit != meant else found


def _converted(life: float, meant: str, unit: str, figures: Figures, template: Template) -> float:
    """Return a life in another unit of use."""
    if meant == unit:
        return life
    if "years" in (meant, unit):
        other = template.use if meant == "years" and unit == "years" else unit if meant == "years" else meant
        a_year = (USE_PER_WEEK_UNITS.of(figures) or template.use_a_week) * _WEEKS_A_YEAR * _active_share(figures)
        a_year = _converted(a_year, template.use, other, figures, template) if other != template.use else a_year
        return life * a_year if meant == "years" else life / a_year
    hours = _hours_a_start(figures, template)
    return life * hours if unit == "hours" else life / hours


def _hours_a_start(figures: Figures, template: Template) -> float:
    """Return the hours that count for one start: of the engine where its starts per hour are known, else of running."""
    per_hour, seconds = STARTS_PER_HOUR.of(figures), SECONDS_PER_START.of(figures)
    if per_hour:
        return 1 / per_hour
    return seconds / 3600 if seconds else 1 / template.starts_an_hour


def _active_share(figures: Figures) -> float:
    try:
        months = read_months(ACTIVE_MONTHS.of(figures)) if ACTIVE_MONTHS.of(figures) else frozenset(range(12))
    except InputError:
        return 1.0
    return len(months) / 12
