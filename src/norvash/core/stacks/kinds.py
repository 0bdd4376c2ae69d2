"""The kinds of parts that come off: how each is written and drawn, which way round it can lie, what its loss means."""

from dataclasses import dataclass
from types import MappingProxyType
from typing import Literal

# Whether parts lie in an order inside the motor, or are counted on the machine.
Where = Literal["inside", "machine"]
Shape = Literal[
    "ring",
    "thick ring",
    "seal",
    "shield",
    "plate",
    "armature",
    "housing",
    "drive",
    "nose",
    "gear",
    "nut",
    "spring",
    "fan",
    "lever",
    "bolt",
    "screw",
    "flat",
    "band",
]


@dataclass(frozen=True, slots=True, kw_only=True)
class PartKind:
    """One kind of part: its name, its shape, and the sizes [mm] along and across the axis that it is drawn with where
    nobody measured it.

    `round` are the ways in which it can lie. One that is seen `alone` is never ticked together with others; without one
    that `stops` nothing runs; after one of the `earth` is put back the earth is measured. The `caution` stands where it
    comes off and where it goes in.
    """

    name: str
    where: Where
    shape: Shape
    long_mm: float
    across_mm: float
    round: tuple[str, ...] = ()
    alone: bool = False
    stops: bool = False
    earth: bool = False
    caution: str = ""


_LIP = ("lip in", "lip out")
_FLAT = ("flat side to the drive end", "flat side to the other end")


def _inside(
    name: str,
    shape: Shape,
    long_mm: float,
    across_mm: float,
    *ways: str,
    alone: bool = False,
    stops: bool = False,
    caution: str = "",
) -> PartKind:
    return PartKind(
        name=name,
        where="inside",
        shape=shape,
        long_mm=long_mm,
        across_mm=across_mm,
        round=ways,
        alone=alone,
        stops=stops,
        caution=caution,
    )


def _machine(
    name: str, shape: Shape, long_mm: float, across_mm: float, *, stops: bool = False, earth: bool = False
) -> PartKind:
    return PartKind(
        name=name, where="machine", shape=shape, long_mm=long_mm, across_mm=across_mm, stops=stops, earth=earth
    )


# In the order in which a beginning of a name is tried: the first that begins so is meant.
_KINDS = (
    _inside("washer", "ring", 1, 20, *_FLAT),
    _inside("shim", "ring", 0.2, 20, alone=True),
    _inside("fibre washer", "ring", 1.5, 22, "smooth side in", "smooth side out", alone=True),
    _inside("thrust washer", "ring", 1.5, 22, *_FLAT),
    _inside("insulator", "thick ring", 3, 18, "collar in", "collar out", alone=True, stops=True),
    _inside("nut", "nut", 6, 12, caution="hold the post with a second tool while it turns"),
    _inside(
        "circlip", "ring", 1.2, 16, "sharp edge outwards", "sharp edge inwards", stops=True, caution="it flies: eyes"
    ),
    _inside("end shield", "shield", 20, 80),
    _inside(
        "armature",
        "armature",
        150,
        55,
        "commutator to the drive end",
        "commutator to the other end",
        caution="magnets snatch it: fingers clear, slide it straight",
    ),
    _inside(
        "housing", "housing", 120, 80, "mark to the post", caution="its weight stands on the case, not on the wire"
    ),
    _inside("brush plate", "plate", 20, 76, caution="last out and first in; springs fly"),
    _inside("drive", "drive", 60, 40, "pinion outwards"),
    _inside("nose", "nose", 65, 80),
    _inside("bearing", "thick ring", 9, 28, "number outwards", "number inwards"),
    _inside("bush", "thick ring", 12, 18),
    _inside("seal", "seal", 5, 28, *_LIP, alone=True),
    _inside("o-ring", "ring", 2, 24, alone=True),
    _inside("wave spring", "spring", 3, 26, caution="it flies: eyes"),
    _inside("spring", "spring", 20, 14, "big end outwards", "big end inwards", caution="it flies: eyes"),
    _inside("spacer", "thick ring", 6, 16, *_FLAT),
    _inside("gear", "gear", 14, 40, "hub in", "hub out"),
    _inside("fan", "fan", 14, 60, "blades in", "blades out"),
    _inside("lever", "lever", 10, 40),
    _inside("cap", "shield", 15, 40),
    _inside("key", "thick ring", 12, 6),
    _machine("screw", "screw", 12, 7),
    _machine("bolt", "bolt", 45, 13),
    _machine("nut", "nut", 6, 12),
    _machine("washer", "ring", 1.5, 14),
    _machine("panel", "flat", 2, 60),
    _machine("hood", "flat", 2, 60),
    _machine("cover", "flat", 2, 60),
    _machine("guard", "flat", 2, 60, stops=True),
    _machine("hose", "band", 40, 16),
    _machine("belt", "band", 40, 10),
    _machine("plug", "screw", 30, 20, earth=True),
    _machine("earth lead", "band", 40, 4, stops=True, earth=True),
    _machine("cord", "band", 60, 8, earth=True),
    _machine("lead", "band", 40, 4),
    _machine("strap", "band", 40, 12),
    _machine("boot", "thick ring", 14, 16),
    _machine("clip", "screw", 10, 8),
    _machine("latch", "screw", 14, 10, stops=True),
    _machine("hook", "screw", 20, 6),
    _machine("pulley", "gear", 16, 60),
)
KINDS: MappingProxyType[Where, MappingProxyType[str, PartKind]] = MappingProxyType(
    {where: MappingProxyType({k.name: k for k in _KINDS if k.where == where}) for where in ("inside", "machine")}
)
"""The kinds by where they lie and by name."""

# What a part is drawn as whose kind only another version knows.
UNKNOWN: MappingProxyType[Where, str] = MappingProxyType({"inside": "spacer", "machine": "cover"})


def kind_begun(where: Where, text: str) -> PartKind | None:
    """Return the first kind that a text names or begins, whatever its case and number; None without one.

    >>> kind_begun("inside", "s").name, kind_begun("inside", "se").name, kind_begun("machine", "bolts").name
    ('shim', 'seal', 'bolt')
    """
    said = " ".join(text.casefold().split())
    kinds = KINDS[where]
    for name in (said, said.removesuffix("s"), said.removesuffix("es")):
        if name in kinds:
            return kinds[name]
    return next((k for n, k in kinds.items() if said and n.startswith(said)), None)
