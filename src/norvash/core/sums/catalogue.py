"""All sums by name, in the order in which a set is judged and renewed."""

from types import MappingProxyType

from norvash.core.sums import before_opening, carbon, fitting, intervals, line, loading
from norvash.core.sums.registry import Sum

SUMS: MappingProxyType[str, Sum] = MappingProxyType(
    {s.name: s for s in (*carbon.SUMS, *line.SUMS, *loading.SUMS, *fitting.SUMS, *intervals.SUMS, *before_opening.SUMS)}
)
