"""What is believed of a set's wear rate before it is measured."""

import itertools
from functools import lru_cache
from math import erfc, exp, log, pi, sqrt

from norvash.core.forecast.case import Case, Prior
from norvash.core.forecast.past_set import PastSet

GUESS_SD = 0.5
FREEDOM = 4.0
_SWEEPS = 8
_LEAST_SHARE = 0.02
ABOUT_SD = 0.25
_SHORTEST = ((1, 0.0), (2, 0.56), (4, 1.03), (6, 1.27), (8, 1.42))
_SHORTEST_SD = 0.13


def prior_of(case: Case) -> Prior:
    """Return the prior of a case: the family's past sets around what the expected life suggests."""
    prior = rate_prior(log((case.new_mm - case.limit_mm) / case.expected_life), case.past)
    if case.shortest_of > 1:
        return Prior(prior.loc + shortest_shift(case.shortest_of), prior.scale, prior.df)
    return prior


def shortest_shift(brushes: int) -> float:
    """Return how much the log rate of the shortest brush lies above that of the set's mean."""
    for (low, at_low), (high, at_high) in itertools.pairwise(_SHORTEST):
        if brushes <= high:
            return log(1 + _SHORTEST_SD * (at_low + (brushes - low) / (high - low) * (at_high - at_low)))
    return log(1 + _SHORTEST_SD * _SHORTEST[-1][1])


@lru_cache(maxsize=4096)
def rate_prior(guess: float, past: tuple[PastSet, ...] = ()) -> Prior:
    """Return the Student-t prior of the log rate from a guess and past sets, censored ones imputed.

    A set that lasted about so long counts whole, and widens what is believed.

    Units: guess and rates [ln(mm per unit of use)].
    Source: normal-inverse-chi-squared conjugate update; moments of the truncated normal
    """
    values = [p.log_rate for p in past]
    spare = [ABOUT_SD**2 if p.about else 0.0 for p in past]
    if not any(p.at_most for p in past):
        return _updated(guess, values, sum(spare))[0]
    loc, variance = guess, GUESS_SD**2
    for _ in range(_SWEEPS):
        for i, p in enumerate(past):
            if p.at_most:
                values[i], imputed = _below(p.log_rate, loc, variance)
                spare[i] = imputed + (ABOUT_SD**2 if p.about else 0.0)
        prior, variance = _updated(guess, values, sum(spare))
        loc = prior.loc
    return prior


def _updated(guess: float, values: list[float], spare: float) -> tuple[Prior, float]:
    k0, n = 1.0, len(values)
    mean = sum(values) / n if n else guess
    loc = (k0 * guess + n * mean) / (k0 + n)
    squares = sum((x - mean) ** 2 for x in values) + spare
    variance = (FREEDOM * GUESS_SD**2 + squares + k0 * n / (k0 + n) * (mean - guess) ** 2) / (FREEDOM + n)
    return Prior(loc, sqrt(variance * (1 + 1 / (k0 + n))), FREEDOM + n), variance


def _below(most: float, loc: float, variance: float) -> tuple[float, float]:
    """Return mean and variance of a normal value known only to lie at or under `most`."""
    sd = sqrt(variance)
    a = (most - loc) / sd
    if a < -30:
        return most, _LEAST_SHARE * variance
    hazard = exp(-a * a / 2) / sqrt(2 * pi) / (0.5 * erfc(-a / sqrt(2)))
    return loc - sd * hazard, variance * max(1 - a * hazard - hazard * hazard, _LEAST_SHARE)
