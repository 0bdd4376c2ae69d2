"""How each brush differs from the mean of its set: an offset in length and a share in rate."""

from dataclasses import dataclass

import numpy as np

from norvash.core.forecast.batch import Array, Batch

_LEAST_SPREAD = 1e-4
_SWEEPS = 2


@dataclass(frozen=True, slots=True, kw_only=True)
class Deviations:
    """Per brush an offset a [mm] and a rate share u with their covariance, and the corrected means of the visits.

    Shapes: a, u, var_a, var_u, cov (N, B); mean, mean_var, measured (N, J, K) with measured 1 or 0;
    worn, each group's wear when last measured (N, K).
    """

    a: Array
    u: Array
    var_a: Array
    var_u: Array
    cov: Array
    mean: Array
    mean_var: Array
    measured: Array
    worn: Array


def deviations(batch: Batch) -> Deviations:
    """Return the brushes' deviations by two sweeps of a ridge with two coefficients each, in closed form.

    The second sweep takes the means from corrected readings, so that a missing brush does not bend them.
    Source: conjugate normal regression
    """
    new, c = batch.new[:, None, None], batch.constants
    shared = c["shared_error"][:, None, None]
    count = batch.seen @ batch.member
    divisor, measured = np.maximum(count, 1), (count > 0).astype(count.dtype)
    mean = (batch.length @ batch.member) / divisor
    share = 1 - 1 / batch.brushes + _LEAST_SPREAD
    own_var = batch.sd[:, :, None] ** 2 * (1 - shared)
    drift_var = (c["brush_drift"] ** 2 * batch.usable)[:, None, None]
    prior_a, prior_u = 1 / (c["new_sd_mm"] ** 2 * share)[:, None], 1 / (c["brush_sd"] ** 2 * share)[:, None]
    to_brush = batch.member.transpose(0, 2, 1)
    for _ in range(_SWEEPS):
        own = (measured * (new - mean)) @ to_brush
        precision = batch.seen / (own_var + drift_var * np.maximum(own, 0))
        away = (batch.length - mean @ to_brush) * precision
        steep = precision * own
        of_a, of_u, both = prior_a + precision.sum(1), prior_u + (steep * own).sum(1), -steep.sum(1)
        right_a, right_u = away.sum(1), -(away * own).sum(1)
        det = of_a * of_u - both * both
        a, u = (of_u * right_a - both * right_u) / det, (of_a * right_u - both * right_a) / det
        mean = ((batch.length - batch.seen * (a[:, None, :] - u[:, None, :] * own)) @ batch.member) / divisor
    wear, var_u = measured * (new - mean), of_a / det
    lacking = np.maximum(1 / divisor - 1 / batch.brushes, 0)
    mean_var = batch.sd[:, :, None] ** 2 * (shared + (1 - shared) / divisor)
    mean_var = mean_var + wear * wear * var_u.mean(1)[:, None, None] * lacking
    return Deviations(
        a=a,
        u=u,
        var_a=of_u / det,
        var_u=var_u,
        cov=-both / det,
        mean=mean,
        mean_var=mean_var,
        measured=measured,
        worn=_last(wear, measured),
    )


def _last(wear: Array, measured: Array) -> Array:
    """Return each group's wear when it was last measured, 0 before."""
    worn = np.zeros((wear.shape[0], wear.shape[2]), wear.dtype)
    for j in range(wear.shape[1]):
        worn = np.where(measured[:, j] > 0, wear[:, j], worn)
    return worn
