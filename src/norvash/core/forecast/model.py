"""The forecast of one set or of a whole fleet."""

from collections.abc import Iterator

import numpy as np

from norvash.core.forecast.batch import KIND, Array, pack, shape_of
from norvash.core.forecast.case import Case, Cases, Forecast, Quantiles
from norvash.core.forecast.crossing import first_crossing
from norvash.core.forecast.deviations import deviations
from norvash.core.forecast.grid import believe
from norvash.core.forecast.laying import active_weeks, laid, use_per_week
from norvash.core.forecast.prior import prior_of

_CHUNK = 192
_LEVELS = (0.05, 0.10, 0.50, 0.90, 0.95, 0.25, 0.75)


def forecast(case: Case) -> Forecast:
    """Return the forecast of one set."""
    return _together([case])[0]


def forecasts(cases: Cases) -> list[Forecast]:
    """Return the forecast of every case, in their order; the same case gives the same answer in any company."""
    made: dict[int, Forecast] = {}
    for places in _chunks(cases):
        made.update(zip(places, _together([cases[i] for i in places]), strict=True))
    return [made[i] for i in range(len(cases))]


def _chunks(cases: Cases) -> Iterator[list[int]]:
    """Yield the places of cases that can be packed together, few enough to stay in the processor's cache."""
    alike: dict[tuple[int, int, int], list[int]] = {}
    for i, case in enumerate(cases):
        alike.setdefault(shape_of(case), []).append(i)
    for places in alike.values():
        for start in range(0, len(places), _CHUNK):
            yield places[start : start + _CHUNK]


def _together(cases: Cases) -> list[Forecast]:
    priors = [prior_of(c) for c in cases]
    batch = pack(cases, priors)
    found = deviations(batch)
    believed = believe(batch, found)
    crossing = first_crossing(batch, found, believed)
    mean_rate = (believed.weight * np.exp(believed.g)).sum(1)
    risk = batch.constants["risk"]
    use = batch.last_use[:, None] + _quantiles(crossing.ahead, risk)
    weeks = _quantiles(_weeks(cases, crossing.ahead, batch.constants), risk)
    columns = (use, weeks, believed.tail, believed.jumped, mean_rate, crossing.worst_position)
    rows = zip(priors, *(c.tolist() for c in columns), strict=True)
    return [
        Forecast(
            prior=prior,
            use=Quantiles(*u[:5]),
            half=(u[5], u[6]),
            inspect_use=u[7],
            weeks=Quantiles(*w[:5]) if _is_dated(w) else None,
            inspect_weeks=w[7] if _is_dated(w) else None,
            tail=min(tail, 1.0),
            jumped=jumped,
            mean_rate=rate,
            worst_position=worst,
        )
        for prior, u, w, tail, jumped, rate, worst in rows
    ]


def _is_dated(weeks: list[float]) -> bool:
    return weeks[2] < np.inf


def _weeks(cases: Cases, ahead: Array, constants: dict[str, Array]) -> Array:
    per_week = np.array([use_per_week(c.usage, c.constants.declared_weeks) for c in cases], KIND)
    logged = np.array([c.usage.weeks_logged for c in cases], KIND)
    since = np.array([c.run_since for c in cases], KIND)
    weeks = active_weeks(np.maximum(ahead - since[:, None], 0), np.maximum(per_week, KIND(1e-9)), logged, constants)
    weeks[per_week <= 0] = np.inf
    for i, case in enumerate(cases):
        if case.usage.pattern is not None and per_week[i] > 0:
            weeks[i] = laid(weeks[i], case.usage.pattern)
    return weeks


def _quantiles(values: Array, risk: Array) -> Array:
    """Return the values at the seven levels and at the chosen risk; shape (N, 8)."""
    ordered = np.sort(values, axis=1)
    most = values.shape[1] - 1
    levels = np.empty((len(values), len(_LEVELS) + 1))
    levels[:, :-1], levels[:, -1] = _LEVELS, risk
    place = np.clip(levels * values.shape[1] - 0.5, 0, most)
    low = np.minimum(place.astype(np.intp), most - 1)
    rows = np.arange(len(values))[:, None]
    at_low, at_high = ordered[rows, low], ordered[rows, low + 1]
    with np.errstate(invalid="ignore"):
        between = at_low + (place - low) * (at_high - at_low)
    found: Array = np.where(np.isfinite(at_high), between, at_high)
    return found
