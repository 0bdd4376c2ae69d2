"""One motor of the playhouse with its story, and the types of motors in the house's own words."""

from collections.abc import Mapping
from dataclasses import dataclass, field


@dataclass(frozen=True, slots=True)
class Kind:
    """A type of motor in the house's own words."""

    name: str
    motor_class: str
    brushes: str
    figures: Mapping[str, str]


@dataclass(frozen=True, slots=True, kw_only=True)
class Machine:
    """One motor and the story that its record tells.

    per_week and life_units are in the unit of use; usable_now is the carbon left today of the set that is in it.
    One with `moved_from` stood there until its last summer.
    """

    tag: str
    name: str
    place: str
    motor_class: str
    per_week: float
    life_units: float
    usable_now: float
    new_mm: float
    limit_mm: float
    kind: str = ""
    brushes: str = ""
    stated_limit: bool = True
    weeks: int = 208
    every_weeks: int = 12
    looked_weeks_ago: int = 0
    seasonal: bool = True
    instrument: str = "digital-caliper"
    figures: Mapping[str, str] = field(default_factory=dict)
    state: str = ""
    moved_from: str = ""


KINDS = (
    Kind(
        "Winch motor, four-pole shunt",
        "industrial",
        "4",
        {
            "new_mm": "32",
            "thickness_mm": "12.5",
            "width_mm": "25",
            "limit_mm": "14",
            "limit_source": "maker",
            "commutator_d_mm": "120",
            "commutator_d_min_mm": "115",
            "track_mm": "58",
            "slot_width_mm": "0.95",
            "undercut_mm": "1.1",
            "bars": "87",
            "poles": "4",
            "armature_slots": "29",
            "winding": "wave",
            "end_float_low_mm": "0.1",
            "end_float_high_mm": "0.4",
            "bearing_drive": "6310-2Z",
            "bearing_other": "6308-2Z",
            "grade_family": "electrographite",
            "grade": "LP-B 214",
            "expected_life_units": "2600",
            "mass_kg": "148",
            "force_nominal_n": "8.4",
            "rated_v": "220",
            "rated_a": "38",
            "rated_rpm": "1450",
            "holder_gap_mm": "2.2",
            "construction": "shunt",
            "hangs_load": "yes",
        },
    ),
    Kind(
        "Bench tool motor, universal",
        "tool",
        "2",
        {
            "new_mm": "15",
            "thickness_mm": "6.4",
            "width_mm": "12.5",
            "limit_mm": "5.5",
            "limit_source": "maker",
            "commutator_d_mm": "30",
            "bars": "28",
            "grade_family": "resin-bonded",
            "grade": "LP-B 031",
            "rated_v": "230",
            "rated_a": "7.4",
            "expected_life_units": "340",
            "construction": "universal",
        },
    ),
)
