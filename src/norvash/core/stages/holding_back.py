"""How brushes are held back while the rotor goes in, as steps; nothing may hold one back once it is in."""

from collections.abc import Mapping
from types import MappingProxyType

_LAST = "count what was put in to hold them, and take every one out: it must come off before anything is closed"
WAYS: Mapping[str, tuple[str, ...]] = MappingProxyType(
    {
        "type": (
            "springs with a side that holds: catch the brush on it",
            "lever holders: lift the lever, hook it over",
            "screw caps: leave caps and brushes out until the rotor is in",
            _LAST,
        ),
        "hooks": ("bend a wire hook for each brush", "hold each spring up by its hook", "put the rotor in", _LAST),
        "sleeve": (
            "take a sleeve of the commutator's own size, smooth, no burr",
            "push the brushes back over it",
            "let the commutator push it out as the rotor goes in",
            _LAST,
        ),
        "angle": (
            "lower the plate at an angle, the far brushes over the copper first",
            "ease the near ones back with a plastic blade, never by the lead",
            "set the plate square, insulators of the post in their order",
            _LAST,
        ),
    }
)
