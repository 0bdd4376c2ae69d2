"""What a part goes into: the sizes of the machine at its place, its supply and its build."""

from dataclasses import dataclass

from norvash.core.motor.matrix import Variant


@dataclass(frozen=True, slots=True, kw_only=True)
class Machine:
    """The machine at the place of a part, None where nobody says.

    Of a brush the box, the limit, whether lead or spring sit on its top, the nominal force; of a bearing, a bush, a
    needle, a seal the shaft and the housing, whether this end holds the shaft. The `matrix` says which set belongs to
    which supply and build. Units: lengths in mm, force in N, volts in V.
    """

    volts: float | None = None
    build: str = ""
    matrix: tuple[Variant, ...] = ()
    box_thickness_mm: float | None = None
    box_width_mm: float | None = None
    limit_mm: float | None = None
    top_free: bool | None = None
    force_nominal_n: float | None = None
    shaft_mm: float | None = None
    housing_mm: float | None = None
    located: bool | None = None
    starter: bool = False
    metal_case: bool = False
