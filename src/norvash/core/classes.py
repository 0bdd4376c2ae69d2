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
    use: str, caution: str,
) -> Template:  # fmt: skip
    t, a, r = brush
    lends: dict[str, float | str] = {
        "thickness_mm": t, "width_mm": a, "new_mm": r, "commutator_d_mm": commutator[0], "bars": commutator[1],
        "unit_of_use": use, "method": "length", "instrument": "digital-caliper", "length_unit": "mm",
    }  # fmt: skip
    return Template(name, words, brushes, most, MappingProxyType(lends), caution)


TEMPLATES: Mapping[str, Template] = MappingProxyType(
    {
        t.name: t
        for t in (
            _template("appliance", "kitchen, laundry, cleaning and air-moving machines", 2, 4, (6.3, 11.0, 30.0), (28.0, 24),
                      "hours", "Unplug it and keep the plug in sight; wait for capacitors; eye protection when springs are loose."),
            _template("tool", "hand-held and bench power tools, spindles", 2, 4, (6.4, 12.5, 18.0), (30.0, 28),
                      "hours", "Unplug it or take the battery out; blade or bit off; guards on again before any test."),
            _template("starter", "engine starters and actuators that run in bursts", 4, 8, (9.0, 18.0, 16.0), (36.0, 29),
                      "starts", "Battery earth lead off first and on last; no live spanner across; sparks away from fuel."),
            _template("industrial", "hoists, drives, lifts, machine tools, pumps", 4, 40, (12.5, 25.0, 32.0), (120.0, 87),
                      "hours", "Own lock and tag on all sources, prove dead, lower or pin suspended loads before opening."),
            _template("traction", "vehicle and truck drive motors", 4, 12, (16.0, 32.0, 40.0), (110.0, 69),
                      "hours", "Wheels off the ground and chocked, battery disconnected; never run a series motor unloaded."),
            _template("generator", "dynamos, tacho-generators, exciters", 2, 6, (8.0, 12.5, 22.0), (60.0, 45),
                      "hours", "Guard belt and fan, isolate from the battery and from whatever drives it."),
        )
    }
)  # fmt: skip
CAUTION_FOR_ALL = (
    "Switch off, isolate, prove dead with a proved tester, wait until it stands still. "
    "This is decision support for competent people: the maker's manual, local rules and licensed practice come first."
)


@dataclass(frozen=True, slots=True)
class PositionPlan:
    """Where a brush sits: its number, label, angle [°] from the top clockwise, arm and polarity."""

    number: int
    label: str
    angle_deg: float
    arm: int
    polarity: str


def even_positions(brushes: int, arms: int | None = None) -> tuple[PositionPlan, ...]:
    """Return positions spread evenly: arms round the commutator, polarity alternating, rows along the shaft.

    A pair is A and B; more brushes are named by arm letter and place in the arm.
    """
    arms = arms or _usual_arms(brushes)
    plans: list[PositionPlan] = []
    turn = 360 / arms
    for number in range(1, brushes + 1):
        arm = (number - 1) % arms + 1 if brushes <= arms else (number - 1) * arms // brushes + 1
        place = sum(p.arm == arm for p in plans) + 1
        label = chr(64 + arm) if brushes == arms else f"{chr(64 + arm)}{place}"
        angle = ((arm - 1) * turn + (turn / 2 if arms > 2 else 90)) % 360
        plans.append(PositionPlan(number, label, angle, arm, "+" if arm % 2 else "-"))
    return tuple(plans)


def _usual_arms(brushes: int) -> int:
    if brushes <= 2:
        return brushes
    return 4 if brushes % 4 == 0 else 6 if brushes % 6 == 0 else 2 if brushes % 2 == 0 else brushes
