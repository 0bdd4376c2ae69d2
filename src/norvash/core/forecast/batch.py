"""Cases side by side as arrays, so that a fleet costs little more than a motor."""

from collections.abc import Iterable, Sequence
from dataclasses import dataclass
from itertools import chain
from operator import attrgetter

import numpy as np
from numpy.typing import NDArray

from norvash.core.forecast.case import Case, Cases, Constants, Prior

Array = NDArray[np.floating]
KIND = np.float32
_CONSTANTS = tuple(Constants.__dataclass_fields__)
_values = attrgetter(*_CONSTANTS)


@dataclass(frozen=True, slots=True, kw_only=True)
class Batch:
    """N cases of one shape: J visits, B brushes in K groups of one age.

    Shapes: new, usable, limit, loc, scale, df, fitted_sd and each constant (N); use, sd (N, J);
    length, seen (N, J, B); shift (N, B); member (N, B, K); fitted (N, K). Lengths are counted from new by adding the
    shift, what a brush had lost before its clock started; those not measured are 0 and unseen.
    """

    new: Array
    usable: Array
    limit: Array
    brushes: int
    loc: Array
    scale: Array
    df: Array
    use: Array
    sd: Array
    length: Array
    seen: Array
    shift: Array
    member: Array
    fitted: Array
    fitted_sd: Array
    constants: dict[str, Array]

    @property
    def last_use(self) -> Array:
        """Return the use at the last visit, 0 without one."""
        return self.use[:, -1] if self.use.shape[1] else np.zeros(len(self.new), self.new.dtype)


def shape_of(case: Case) -> tuple[int, int, int]:
    """Return what cases must share to be packed together: brushes, visits, ages."""
    return case.brushes, len(case.visits), len(set(case.fitted)) or 1


def pack(cases: Cases, priors: Sequence[Prior]) -> Batch:
    """Return cases of one shape as a batch, each with its prior."""
    brushes, visits, _ = shape_of(cases[0])
    n = len(cases)
    all_visits = [v for c in cases for v in c.visits]
    use, sd = _columns(((v.use, v.sd_mm) for v in all_visits), 2)
    length = _columns((v.lengths_mm for v in all_visits), brushes).T.reshape(n, visits, brushes)
    seen = ~np.isnan(length)
    shift = np.array([[c.new_mm - s for s in c.started_mm] or [0.0] * brushes for c in cases], KIND)
    new, usable, limit = _columns(((c.new_mm, c.new_mm - c.limit_mm, c.limit_mm) for c in cases), 3)
    loc, scale, df = _columns(((p.loc, p.scale, p.df) for p in priors), 3)
    member, fitted = _ages(cases)
    return Batch(
        new=new,
        usable=usable,
        limit=limit,
        brushes=brushes,
        loc=loc,
        scale=scale,
        df=df,
        use=use.reshape(n, visits),
        sd=sd.reshape(n, visits),
        length=np.where(seen, length + shift[:, None, :], KIND(0)),
        seen=seen.astype(KIND),
        shift=shift,
        member=member,
        fitted=fitted,
        fitted_sd=np.array([c.fitted_sd for c in cases], KIND),
        constants=_constants(cases),
    )


def _columns(rows: Iterable[Iterable[float | None]], width: int) -> Array:
    """Return rows of numbers as columns, None as NaN; flat lists convert far faster than nested ones."""
    return np.array(list(chain.from_iterable(rows)), KIND).reshape(-1, width).T


def _ages(cases: Cases) -> tuple[Array, Array]:
    """Return which brush belongs to which age, the oldest first, and the use at which each age was fitted."""
    brushes, _, ages = shape_of(cases[0])
    if ages == 1:
        started = [[c.fitted[0] if c.fitted else 0.0] for c in cases]
        return np.ones((len(cases), brushes, 1), KIND), np.array(started, KIND)
    member, fitted = np.zeros((len(cases), brushes, ages), KIND), np.zeros((len(cases), ages), KIND)
    for i, case in enumerate(cases):
        fitted[i] = sorted(set(case.fitted))
        for b, at in enumerate(case.fitted):
            member[i, b, sorted(set(case.fitted)).index(at)] = 1.0
    return member, fitted


def _constants(cases: Cases) -> dict[str, Array]:
    first = cases[0].constants
    if all(c.constants is first for c in cases):
        rows = np.repeat(np.array(_values(first), KIND)[:, None], len(cases), axis=1)
    else:
        rows = _columns((_values(c.constants) for c in cases), len(_CONSTANTS))
    return dict(zip(_CONSTANTS, rows, strict=True))
