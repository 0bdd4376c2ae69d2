"""A seeded simulator of wear: what a set really does, and what an instrument reads of it."""

from dataclasses import dataclass
from random import Random


@dataclass(frozen=True, slots=True)
class Worn:
    """A simulated set: true wear per unit of use and bedding-in wear of every brush [mm]."""

    new_mm: tuple[float, ...]
    rate_mm_per_unit: tuple[float, ...]
    bedding_mm: tuple[float, ...]
    drift: float

    def length_mm(self, index: int, used_units: float, life_units: float) -> float:
        """Return a brush's true length after some use; the rate drifts over the life."""
        share = used_units / life_units
        wear = self.rate_mm_per_unit[index] * used_units * (1 + self.drift * (share - 0.5))
        return self.new_mm[index] - wear - self.bedding_mm[index] * min(1.0, share * 60)


def simulate_set(
    random: Random, brushes: int, new_mm: float, usable_mm: float, life_units: float, brush_sd: float = 0.07
) -> Worn:
    """Return a set whose worst brush lasts about life_units.

    Units: new_mm, usable_mm [mm], life_units in the motor's unit of use; brush_sd is the log spread within the set.
    """
    common = usable_mm / life_units / (1 + brush_sd)
    rates = tuple(common * random.lognormvariate(0.0, brush_sd) for _ in range(brushes))
    fresh = tuple(new_mm + random.gauss(0.0, 0.06) for _ in range(brushes))
    bedding = tuple(abs(random.gauss(0.012, 0.005)) * usable_mm for _ in range(brushes))
    return Worn(fresh, rates, bedding, random.uniform(-0.15, 0.2))


def read_with(random: Random, true_mm: float, sd_mm: float, step_mm: float) -> float:
    """Return what an instrument shows of a true length, to its own step [mm]."""
    return round(random.gauss(true_mm, sd_mm) / step_mm) * step_mm
