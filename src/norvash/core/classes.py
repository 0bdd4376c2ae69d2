"""Templates of the machine classes: what a new motor starts from until somebody knows better."""

from collections.abc import Mapping
from dataclasses import dataclass
from types import MappingProxyType


@dataclass(frozen=True, slots=True)
class Template:
    """A class of machine: its words, its usual number of brushes and the figures it lends."""

    name: str
    words: str
    brushes: int
    most_brushes: int
    lends: Mapping[str, float | str]
    caution: str


def _template(
    name: str, words: str, brushes: int, most: int, brush: tuple[float, float, float], commutator: tuple[float, int],
    use: str, life: float, construction: str, caution: str,
) -> Template:  # fmt: skip
    t, a, r = brush
    lends: dict[str, float | str] = {
        "thickness_mm": t, "width_mm": a, "new_mm": r, "commutator_d_mm": commutator[0], "bars": commutator[1],
        "unit_of_use": use, "expected_life_units": life, "construction": construction, "method": "length", "instrument": "digital-caliper", "length_unit": "mm",
    }  # fmt: skip
    return Template(name, words, brushes, most, MappingProxyType(lends), caution)


TEMPLATES: Mapping[str, Template] = MappingProxyType(
    {
        t.name: t
        for t in (
            _template("appliance", "kitchen, laundry, cleaning and air-moving machines", 2, 4, (6.3, 11.0, 30.0), (28.0, 24),
                      "hours", 1100.0, "universal", "Unplug it and keep the plug in sight; wait for capacitors; eye protection when springs are loose."),
            _template("tool", "hand-held and bench power tools, spindles", 2, 4, (6.4, 12.5, 18.0), (30.0, 28),
                      "hours", 160.0, "universal", "Unplug it or take the battery out; blade or bit off; guards on again before any test."),
            _template("starter", "engine starters and actuators that run in bursts", 4, 8, (9.0, 18.0, 16.0), (36.0, 29),
                      "starts", 22000.0, "series", "Battery earth lead off first and on last; no live spanner across; sparks away from fuel."),
            _template("industrial", "hoists, drives, lifts, machine tools, pumps", 4, 40, (12.5, 25.0, 32.0), (120.0, 87),
                      "hours", 6500.0, "shunt", "Own lock and tag on all sources, prove dead, lower or pin suspended loads before opening."),
            _template("traction", "vehicle and truck drive motors", 4, 12, (16.0, 32.0, 40.0), (110.0, 69),
                      "hours", 4200.0, "series", "Wheels off the ground and chocked, battery disconnected; never run a series motor unloaded."),
            _template("generator", "dynamos, tacho-generators, exciters", 2, 6, (8.0, 12.5, 22.0), (60.0, 45),
                      "hours", 3000.0, "shunt", "Guard belt and fan, isolate from the battery and from whatever drives it."),
        )
    }
)  # fmt: skip
# Classes of machine that carry people or loads until told otherwise.
HEAVY = ("industrial", "traction")
CAUTION_FOR_ALL = (
    "Switch off, isolate, prove dead with a proved tester, wait until it stands still. "
    "This is decision support for competent people: the maker's manual, local rules and licensed practice come first."
)
