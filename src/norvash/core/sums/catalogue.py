"""All sums by name, in the order in which a motor is judged and mended."""

from types import MappingProxyType

from norvash.core.sums import (
    bearings,
    before_opening,
    carbon,
    commutator,
    cutting,
    fitting,
    insulation,
    intervals,
    line,
    loading,
    shaft,
)
from norvash.core.sums.registry import Sum

_GROUPS = (carbon, line, loading, fitting, intervals, before_opening, commutator, cutting, insulation, bearings, shaft)
SUMS: MappingProxyType[str, Sum] = MappingProxyType({s.name: s for group in _GROUPS for s in group.SUMS})
