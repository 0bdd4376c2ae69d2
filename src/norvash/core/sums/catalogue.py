"""All sums by name and by subject, in the order in which a motor is judged and mended."""

from types import MappingProxyType

from norvash.core.sums.before import before_opening, cause
from norvash.core.sums.brush import carbon, fitting, limit, line, loading, speed
from norvash.core.sums.copper import bar_testing, commutator, cutting, insulation
from norvash.core.sums.money import intervals, money, repair
from norvash.core.sums.registry import Sum
from norvash.core.sums.running import generating, proving, running_in
from norvash.core.sums.shaft import bearings, closing, fits, kit, offered, shaft, turning

GROUPS: MappingProxyType[str, tuple[Sum, ...]] = MappingProxyType(
    {
        "Carbon, limit and dates": (*carbon.SUMS, *limit.SUMS, *line.SUMS, *intervals.SUMS),
        "Load and fit of brushes": (*loading.SUMS, *fitting.SUMS, *speed.SUMS, *offered.SUMS),
        "Before opening": (*before_opening.SUMS, *cause.SUMS),
        "Commutator": (*commutator.SUMS, *bar_testing.SUMS, *cutting.SUMS),
        "Windings": insulation.SUMS,
        "Bearings and shaft": (*bearings.SUMS, *kit.SUMS, *shaft.SUMS, *fits.SUMS, *turning.SUMS),
        "Closing up": closing.SUMS,
        "Run-in and proof": (*running_in.SUMS, *proving.SUMS, *generating.SUMS),
        "Money": (*money.SUMS, *repair.SUMS),
    }
)
SUMS: MappingProxyType[str, Sum] = MappingProxyType({s.name: s for group in GROUPS.values() for s in group})
