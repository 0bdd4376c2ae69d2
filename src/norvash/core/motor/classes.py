"""Templates of the machine classes: what a new motor starts from until somebody knows better."""

from collections.abc import Mapping
from dataclasses import dataclass
from types import MappingProxyType


@dataclass(frozen=True, slots=True, kw_only=True)
class Template:
    """A class of machine: its words, its usual number of brushes and the figures it lends.

    `use_a_week` in its unit of use, and `starts_an_hour` of what it starts, only turn a life from one unit into another
    where nobody says better.
    """

    name: str
    words: str
    brushes: int
    most_brushes: int
    lends: Mapping[str, float | str]
    caution: str
    use_a_week: float
    starts_an_hour: float = 2.0

    @property
    def use(self) -> str:
        """Return the unit in which the class counts use."""
        return str(self.lends["unit_of_use"])


def _template(
    name: str,
    words: str,
    brushes: int,
    *,
    most: int,
    brush: tuple[float, float, float],
    commutator: tuple[float, int],
    use: str,
    life: float,
    week: float,
    construction: str,
    caution: str,
) -> Template:
    t, a, r = brush
    lends: dict[str, float | str] = {
        "thickness_mm": t,
        "width_mm": a,
        "new_mm": r,
        "commutator_d_mm": commutator[0],
        "bars": commutator[1],
        "unit_of_use": use,
        "expected_life_units": life,
        "construction": construction,
        "method": "length",
        "instrument": "digital-caliper",
        "length_unit": "mm",
    }
    return Template(
        name=name,
        words=words,
        brushes=brushes,
        most_brushes=most,
        lends=MappingProxyType(lends),
        caution=caution,
        use_a_week=week,
    )


TEMPLATES: Mapping[str, Template] = MappingProxyType(
    {
        t.name: t
        for t in (
            _template(
                "appliance",
                "kitchen, laundry, cleaning and air-moving machines",
                2,
                most=4,
                brush=(6.3, 11.0, 30.0),
                commutator=(28.0, 24),
                use="hours",
                life=1100.0,
                week=10.0,
                construction="universal",
                caution=(
                    "Unplug it and keep the plug in sight; wait for capacitors; eye protection when springs are loose."
                ),
            ),
            _template(
                "tool",
                "hand-held and bench power tools, spindles",
                2,
                most=4,
                brush=(6.4, 12.5, 18.0),
                commutator=(30.0, 28),
                use="hours",
                life=160.0,
                week=6.0,
                construction="universal",
                caution="Unplug it or take the battery out; blade or bit off; guards on again before any test.",
            ),
            _template(
                "starter",
                "engine starters and actuators that run in bursts",
                4,
                most=8,
                brush=(9.0, 18.0, 16.0),
                commutator=(36.0, 29),
                use="starts",
                life=22000.0,
                week=25.0,
                construction="series",
                caution="Battery earth lead off first and on last; no live spanner across; sparks away from fuel.",
            ),
            _template(
                "industrial",
                "hoists, drives, lifts, machine tools, pumps",
                4,
                most=40,
                brush=(12.5, 25.0, 32.0),
                commutator=(120.0, 87),
                use="hours",
                life=6500.0,
                week=40.0,
                construction="shunt",
                caution="Own lock and tag on all sources, prove dead, lower or pin suspended loads before opening.",
            ),
            _template(
                "traction",
                "vehicle and truck drive motors",
                4,
                most=12,
                brush=(16.0, 32.0, 40.0),
                commutator=(110.0, 69),
                use="hours",
                life=4200.0,
                week=30.0,
                construction="series",
                caution="Wheels off the ground and chocked, battery disconnected; never run a series motor unloaded.",
            ),
            _template(
                "generator",
                "dynamos, tacho-generators, exciters",
                2,
                most=6,
                brush=(8.0, 12.5, 22.0),
                commutator=(60.0, 45),
                use="hours",
                life=3000.0,
                week=20.0,
                construction="shunt",
                caution="Guard belt and fan, isolate from the battery and from whatever drives it.",
            ),
        )
    }
)
# Classes of machine that carry people or loads until told otherwise.
HEAVY = ("industrial", "traction")
CAUTION_FOR_ALL = (
    "Switch off, isolate, prove dead with a proved tester, wait until it stands still. "
    "This is decision support for competent people: the maker's manual, local rules and licensed practice come first."
)
