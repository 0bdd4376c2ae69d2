"""What a part is by its sizes and names, the old one and the new one alike; which of them its kind has."""

from collections.abc import Mapping
from dataclasses import dataclass
from types import MappingProxyType
from typing import Literal

Kind = Literal["brush set", "spring", "bearing", "bush", "needle", "seal", "pinion", "brush plate", "armature"]


@dataclass(frozen=True, slots=True, kw_only=True)
class Sizes:
    """Sizes and names of a part, None or empty where nobody says.

    Units: lengths in mm, face_angle_deg in degrees, volts in V, force_n in N. Of a bush bore and outside are those
    before it is pressed in; `part` is its number, `batch` where it comes from.
    """

    thickness_mm: float | None = None
    width_mm: float | None = None
    length_mm: float | None = None
    face_angle_deg: float | None = None
    hand: str = ""
    lead_mm: float | None = None
    terminal: str = ""
    grade: str = ""
    volts: float | None = None
    variant: str = ""
    force_n: float | None = None
    free_mm: float | None = None
    number: str = ""
    bore_mm: float | None = None
    outside_mm: float | None = None
    pressed_mm: float | None = None
    teeth: float | None = None
    turning: str = ""
    boxes: float | None = None
    bars: float | None = None
    slots: float | None = None
    winding: str = ""
    commutator_d_mm: float | None = None
    core_mm: float | None = None
    shaft_d_mm: float | None = None
    part: str = ""
    batch: str = ""


# What each size or name is called, and its dimension, empty for a name.
LABELS: Mapping[str, tuple[str, str]] = MappingProxyType(
    {
        "thickness_mm": ("thickness t", "length"),
        "width_mm": ("width a", "length"),
        "length_mm": ("length r", "length"),
        "face_angle_deg": ("face angle", "angle"),
        "hand": ("hand", ""),
        "lead_mm": ("lead", "length"),
        "terminal": ("terminal", ""),
        "grade": ("grade family", ""),
        "volts": ("voltage", "voltage"),
        "variant": ("variant", ""),
        "force_n": ("force at working length", "force"),
        "free_mm": ("free length", "length"),
        "number": ("number", ""),
        "bore_mm": ("bore", "length"),
        "outside_mm": ("outside", "length"),
        "pressed_mm": ("bore pressed in", "length"),
        "teeth": ("teeth", "count"),
        "turning": ("turning", ""),
        "boxes": ("boxes", "count"),
        "bars": ("bars", "count"),
        "slots": ("slots", "count"),
        "winding": ("winding", ""),
        "commutator_d_mm": ("commutator", "length"),
        "core_mm": ("core", "length"),
        "shaft_d_mm": ("shaft", "length"),
        "part": ("part number", ""),
        "batch": ("batch", ""),
    }
)
_NAMED = ("part", "batch")
OF_KIND: Mapping[Kind, tuple[str, ...]] = MappingProxyType(
    {
        "brush set": (
            "thickness_mm",
            "width_mm",
            "length_mm",
            "face_angle_deg",
            "hand",
            "lead_mm",
            "terminal",
            "grade",
            "volts",
            "variant",
            "force_n",
            *_NAMED,
        ),
        "spring": ("force_n", "free_mm", *_NAMED),
        "bearing": ("number", "bore_mm", "outside_mm", *_NAMED),
        "bush": ("bore_mm", "outside_mm", "pressed_mm", "length_mm", *_NAMED),
        "needle": ("bore_mm", "outside_mm", "length_mm", *_NAMED),
        "seal": ("bore_mm", "outside_mm", "width_mm", *_NAMED),
        "pinion": ("teeth", "turning", "bore_mm", "outside_mm", "length_mm", *_NAMED),
        "brush plate": ("boxes", "volts", "outside_mm", *_NAMED),
        "armature": ("bars", "slots", "winding", "volts", "commutator_d_mm", "core_mm", "shaft_d_mm", *_NAMED),
    }
)
KINDS: tuple[Kind, ...] = tuple(OF_KIND)
