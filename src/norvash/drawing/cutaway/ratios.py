"""How each class is built, to the diameter of its commutator."""

from collections.abc import Mapping
from dataclasses import dataclass
from types import MappingProxyType


@dataclass(frozen=True, slots=True, kw_only=True)
class Ratios:
    """How a class is built, to the commutator's diameter, but for the air gap, which is to the core's. What lies in the
    stack has no pole or yoke of its own.
    """

    commutator: float
    bar: float
    riser: float
    core_d: float
    core_length: float
    slot: float
    turns_c: float
    turns_d: float
    shaft: float
    gap: float
    pole: float
    yoke: float
    brush: tuple[float, float, float]
    outside: float
    fan: float
    drive: float
    stack: bool = False


_BY_CLASS = ("industrial", "starter", "appliance", "tool", "traction", "generator")
_ROWS: Mapping[str, tuple[float, ...]] = MappingProxyType(
    {
        "commutator": (0.73, 0.81, 0.75, 0.75, 0.80, 0.65),
        "bar": (0.22, 0.21, 0.19, 0.20, 0.22, 0.22),
        "riser": (1.37, 1.30, 1.19, 1.20, 1.25, 1.35),
        "core_d": (1.40, 1.50, 1.69, 1.60, 1.30, 1.50),
        "core_length": (1.23, 1.17, 1.46, 1.55, 1.40, 1.20),
        "slot": (0.23, 0.22, 0.31, 0.28, 0.24, 0.23),
        "turns_c": (0.40, 0.36, 0.46, 0.45, 0.38, 0.40),
        "turns_d": (0.35, 0.33, 0.42, 0.40, 0.34, 0.35),
        "shaft": (0.52, 0.50, 0.38, 0.40, 0.55, 0.45),
        "gap": (0.012, 0.013, 0.016, 0.014, 0.014, 0.012),
        "pole": (0.35, 0.23, 0.50, 0.45, 0.32, 0.35),
        "yoke": (0.18, 0.17, 0.16, 0.14, 0.18, 0.18),
        "outside": (2.50, 2.33, 3.2, 2.9, 2.4, 2.5),
        "fan": (1.87, 0.0, 2.6, 2.4, 1.7, 1.8),
        "drive": (1.27, 0.75, 0.9, 0.4, 0.6, 1.2),
    }
)
_BRUSH = (
    (0.10, 0.21, 0.27),
    (0.25, 0.50, 0.44),
    (0.24, 0.42, 1.15),
    (0.25, 0.45, 0.75),
    (0.12, 0.25, 0.35),
    (0.10, 0.21, 0.27),
)
_IN_STACK = ("appliance", "tool")
RATIOS: Mapping[str, Ratios] = MappingProxyType(
    {
        name: Ratios(**{k: row[n] for k, row in _ROWS.items()}, brush=_BRUSH[n], stack=name in _IN_STACK)
        for n, name in enumerate(_BY_CLASS)
    }
)
