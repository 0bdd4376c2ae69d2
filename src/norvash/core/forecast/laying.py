"""From use to weeks: the rate of use with its uncertainty, laid along the year."""

import numpy as np

from norvash.core.forecast.batch import Array
from norvash.core.forecast.case import Usage
from norvash.core.forecast.points import normal


def use_per_week(usage: Usage, declared_weeks: float) -> float:
    """Return the use of an active week: the log, leaning on what was declared while the log is short.

    0 where nothing is known.
    """
    if usage.declared_per_week is None:
        return usage.use_logged / usage.weeks_logged if usage.weeks_logged > 0 else 0.0
    weeks = usage.weeks_logged + declared_weeks
    return (usage.use_logged + declared_weeks * usage.declared_per_week) / weeks


def active_weeks(ahead: Array, per_week: Array, weeks_logged: Array, constants: dict[str, Array]) -> Array:
    """Return active weeks until an amount of use, at every point; shapes (N, points), (N) and (N)."""
    active = ahead / per_week[:, None]
    declared, least, each = (constants[name][:, None] for name in ("declared_weeks", "rate_sd", "week_var"))
    spread = least**2 + each * (1 / (weeks_logged[:, None] + declared) + 1 / (active + 4))
    weeks: Array = active * np.exp(np.sqrt(spread) * normal("weeks"))
    return weeks


def laid(active: Array, pattern: tuple[float, ...]) -> Array:
    """Return the weeks from now in which an activity of so many whole weeks is done, year after year.

    Infinite where the year has no active week.
    """
    done = np.concatenate(([0.0], np.cumsum(pattern)))
    if done[-1] <= 0:
        return np.full_like(active, np.inf)
    years = np.floor(active / done[-1])
    rest = active - years * done[-1]
    week = np.clip(done.searchsorted(rest, side="left"), 1, 52)
    step = done[week] - done[week - 1]
    part = np.where(step > 0, (rest - done[week - 1]) / np.where(step > 0, step, 1), 0)
    weeks: Array = years * 52 + np.where(rest <= 0, 0, week - 1 + part)
    return weeks
