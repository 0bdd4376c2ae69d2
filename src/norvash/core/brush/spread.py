"""How evenly a set wears: spread, outliers and the difference between polarities."""

from collections.abc import Sequence
from dataclasses import dataclass
from statistics import fmean, median

from norvash.core.edges import over
from norvash.core.rules.book import MotorRules
from norvash.errors import InputError


@dataclass(frozen=True, slots=True, kw_only=True)
class Spread:
    """The spread of a set's wear; positions count from 1."""

    spread: float | None
    spread_limit: float
    mean_wear_mm: float
    median_wear_mm: float
    uneven: bool
    outliers: tuple[int, ...]
    most_worn_position: int
    least_worn_position: int
    polarity_ratio: float | None
    polarity_note: bool
    above_noise: bool


def set_spread(
    wear_mm: Sequence[float], sd_mm: float, rules: MotorRules, polarity: Sequence[str] | None = None
) -> Spread:
    """Judge how evenly the brushes of a set have worn.

    Units: wear_mm, sd_mm (standard uncertainty of one reading) [mm]. Shape: polarity as wear_mm, "+" or "-".
    Raises: InputError for fewer than two brushes.
    Source: rules spread.*
    """
    if len(wear_mm) < 2:
        raise InputError("A spread needs two brushes or more.", "Measure the whole set.", "lengths_mm")
    mean, difference = fmean(wear_mm), max(wear_mm) - min(wear_mm)
    allowed = rules["spread.pair"] if len(wear_mm) == 2 else rules["spread.set"]
    spread = difference / mean if mean > 0 else None
    above_noise = over(difference, rules["spread.noise"] * sd_mm)
    outliers = _outliers(wear_mm, sd_mm, rules) if above_noise else ()
    ratio = _polarity_ratio(wear_mm, polarity)
    return Spread(
        spread=spread,
        spread_limit=allowed,
        mean_wear_mm=mean,
        median_wear_mm=median(wear_mm),
        uneven=above_noise and (over(spread or 0.0, allowed) or bool(outliers)),
        outliers=outliers,
        most_worn_position=max(range(len(wear_mm)), key=lambda i: wear_mm[i]) + 1,
        least_worn_position=min(range(len(wear_mm)), key=lambda i: wear_mm[i]) + 1,
        polarity_ratio=ratio,
        polarity_note=above_noise and ratio is not None and over(ratio, rules["spread.polarity"]),
        above_noise=above_noise,
    )


def _outliers(wear_mm: Sequence[float], sd_mm: float, rules: MotorRules) -> tuple[int, ...]:
    if len(wear_mm) < 5:
        return ()
    middle = median(wear_mm)
    robust_sd = max(1.4826 * median(abs(w - middle) for w in wear_mm), sd_mm)
    return tuple(i + 1 for i, w in enumerate(wear_mm) if over(abs(w - middle), rules["spread.outlier"] * robust_sd))


def _polarity_ratio(wear_mm: Sequence[float], polarity: Sequence[str] | None) -> float | None:
    """Return the larger mean wear of one polarity over the smaller, None where it says nothing."""
    if polarity is None:
        return None
    means = [[w for w, p in zip(wear_mm, polarity, strict=True) if p == sign] for sign in "+-"]
    if not all(means) or not min(fmean(m) for m in means) > 0:
        return None
    return max(fmean(m) for m in means) / min(fmean(m) for m in means)
