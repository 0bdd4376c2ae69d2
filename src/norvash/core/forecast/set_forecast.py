"""The forecast of a motor's fitted set on the motor's own scale of use, with its days."""

from dataclasses import dataclass, fields
from datetime import date


@dataclass(frozen=True, slots=True, kw_only=True)
class Ahead:
    """When the first brush reaches its limit: total use and days at each chance, and on what it rests.

    Units: total use of the motor's record; rate in mm per unit of use; position from 1. life_units is what a set lasts
    at the rate believed now.
    """

    visits: int
    past_sets: int
    life_units: float
    p05_units: float
    p10_units: float
    p25_units: float
    p50_units: float
    p75_units: float
    p90_units: float
    p95_units: float
    look_units: float
    p10_on: date | None
    p50_on: date | None
    p90_on: date | None
    look_on: date | None
    tail: float
    jumped: float
    rate_mm_per_unit: float
    worst_position: int
    seen_units: float
    coarse: bool

    def as_plain(self) -> dict[str, object]:
        """Return the forecast as plain data, to be kept."""
        return {
            k: v.isoformat() if isinstance(v, date) else v
            for k, v in ((f.name, getattr(self, f.name)) for f in fields(self))
        }


def ahead_from(plain: dict[str, object]) -> Ahead:
    """Return a kept forecast."""
    return Ahead(**{k: _day(v) if k.endswith("_on") else v for k, v in plain.items()})  # type: ignore[arg-type]


def _day(text: object) -> date | None:
    return date.fromisoformat(text) if isinstance(text, str) else None
