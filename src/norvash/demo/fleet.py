"""The motors of the Lanternmoor Playhouse: an invented theatre, its machines and their figures."""

from collections.abc import Mapping
from dataclasses import dataclass, field


@dataclass(frozen=True, slots=True)
class Kind:
    """A type of motor in the house's own words."""

    name: str
    motor_class: str
    brushes: str
    figures: Mapping[str, str]


@dataclass(frozen=True, slots=True)
class Machine:
    """One motor and the story that its record tells.

    per_week and life_units are in the unit of use; usable_now is the carbon left today of the set that is in it.
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


KINDS = (
    Kind("Winch motor, four-pole shunt", "industrial", "4",
         {"new_mm": "32", "thickness_mm": "12.5", "width_mm": "25", "limit_mm": "14", "limit_source": "maker",
          "commutator_d_mm": "120", "commutator_d_min_mm": "115", "track_mm": "58", "slot_width_mm": "0.95", "undercut_mm": "1.1", "bars": "87", "poles": "4", "armature_slots": "29",
          "winding": "wave", "end_float_low_mm": "0.1", "end_float_high_mm": "0.4", "bearing_drive": "6310-2Z", "bearing_other": "6308-2Z", "grade_family": "electrographite", "grade": "LP-B 214",
          "expected_life_units": "2600", "mass_kg": "148", "force_nominal_n": "8.4", "rated_v": "220", "rated_a": "38", "rated_rpm": "1450", "holder_gap_mm": "2.2", "construction": "shunt", "hangs_load": "yes"}),
    Kind("Bench tool motor, universal", "tool", "2",
         {"new_mm": "15", "thickness_mm": "6.4", "width_mm": "12.5", "limit_mm": "5.5", "limit_source": "maker",
          "commutator_d_mm": "30", "bars": "28", "grade_family": "resin-bonded", "grade": "LP-B 031", "rated_v": "230",
          "rated_a": "7.4", "expected_life_units": "340", "construction": "universal"}),
)  # fmt: skip

PEOPLE = ("Ines Torvald", "Bram Aldous", "Maud Celliers")

_PAIR = {"thickness_mm": "6.3", "width_mm": "11", "grade_family": "resin-bonded"}

# What the stand-in gauge of the demo measures, one after the other.
GAUGE_VALUES = ("11.84 mm", "11.79 mm", "11.91 mm", "11.66 mm")

# Days on which the house is dark, relative to the demonstration's year: name, first and last day, every year, place.
WINDOWS = (
    ("Summer, house dark", "2023-07-01", "2023-08-31", "yes", ""),
    ("Get-in of the winter piece", "2026-12-07", "2026-12-13", "no", "stage"),
    ("February refit", "2027-02-08", "2027-02-21", "no", ""),
)
# The maker's table for the paint-frame hoist: use so far, depth, hours to the next look.
HOIST_TABLE = """h;26;30;34;38;42
200;300;240;180;90;30
400;420;360;260;140;50
800;620;500;360;210;70
1600;760;620;450;260;90
"""

MACHINES = (
    Machine("W-02", "Fly-floor winch 2", "stage left, fly floor", "industrial", 18, 2300, 0.07, 32, 14, looked_weeks_ago=2,
            kind=KINDS[0].name, state="near its limit"),
    Machine("W-01", "Fly-floor winch 1", "stage right, fly floor", "industrial", 16, 2500, 0.62, 32, 14, looked_weeks_ago=6, kind=KINDS[0].name, state="pitch marking"),
    Machine("R-01", "Revolve drive", "under stage", "industrial", 22, 4600, 0.31, 40, 20, looked_weeks_ago=3, brushes="8",
            figures={"run_length_units": "3", "thickness_mm": "16", "width_mm": "32", "commutator_d_mm": "160", "bars": "117", "poles": "4", "armature_slots": "39", "winding": "wave", "commutator_pitch": "59", "commutator_d_min_mm": "152",
                     "grade_family": "electrographite", "grade": "LP-B 230", "rated_v": "440", "rated_a": "62", "construction": "shunt", "coil_turns": "3", "hangs_load": "no"},
            state="open coil"),
    Machine("L-01", "Orchestra lift", "pit, motor room", "industrial", 6, 2600, 0.48, 32, 14, looked_weeks_ago=9, brushes="4", state="uneven",
            figures={"thickness_mm": "12.5", "width_mm": "25", "construction": "shunt", "hangs_load": "yes"}),
    Machine("H-01", "Paint-frame hoist", "paint shop", "industrial", 7, 1700, 0.22, 36, 16, looked_weeks_ago=5, brushes="4", state="depth",
            figures={"method": "depth", "instrument": "micrometer", "depth_new_mm": "22", "depth_limit_mm": "42",
                     "depth_constant_mm": "58", "thickness_mm": "12.5", "width_mm": "20", "construction": "compound", "hangs_load": "yes"}),
    Machine("C-01", "Safety-curtain drive", "grid", "industrial", 0.6, 900, 0.9, 28, 0, looked_weeks_ago=4, brushes="4", stated_limit=False,
            weeks=60, every_weeks=100, seasonal=False, state="first measurement", figures={"conditions": "mostly idle", "expected_life_units": "900", "hangs_load": "yes"}),
    Machine("TG-01", "Scenery tug", "scene dock", "traction", 14, 1900, 0.17, 40, 18, looked_weeks_ago=1, brushes="4", state="counter replaced",
            figures={"rated_v": "48", "rated_a": "90", "grade_family": "metal-graphite", "grade": "LP-B 402", "construction": "series"}),
    Machine("T-11", "Mitre saw", "scene shop, bench 3", "tool", 5.5, 360, 0.1, 15, 5.5, looked_weeks_ago=11, kind=KINDS[1].name, instrument="vernier"),
    Machine("T-12", "Hand circular saw", "scene shop", "tool", 3.2, 330, 0.55, 15, 5.5, looked_weeks_ago=7, kind=KINDS[1].name, instrument="rule",
            state="read by rule"),
    Machine("T-13", "Angle grinder", "metal shop", "tool", 2.6, 240, 0.5, 17, 0, looked_weeks_ago=8, stated_limit=False, state="limit estimated"),
    Machine("T-15", "Bench drill", "prop shop", "tool", 2.2, 420, 0.74, 18, 6.5, state="half done",
            figures={"thickness_mm": "6.4", "width_mm": "12.5", "rated_v": "230", "rated_a": "3.4", "noload_a": "1.1", "mass_kg": "22", "protection": "double insulated"}),
    Machine("A-07", "Foyer hand dryer", "foyer east", "appliance", 21, 1500, 0.66, 26, 9, looked_weeks_ago=5),
    Machine("A-03", "Canteen mixer", "canteen", "appliance", 6, 700, 0.29, 30, 10, looked_weeks_ago=2, state="wear lines",
            figures={"method": "wear line", "wear_line_1_mm": "20", "wear_line_2_mm": "15", "wear_line_3_mm": "10"}),
    Machine("A-09", "Wind machine", "stage, sound store", "appliance", 1.4, 400, 0.95, 22, 8, state="new set", looked_weeks_ago=1,
            figures={"rated_v": "230", "rated_a": "2.6", "speed_taps": "0.45; 0.62; 0.8; 1", "mass_kg": "31", "capacitors": "yes"}),
    Machine("S-03", "Stand-by set, starter", "yard", "starter", 3.5, 900, 0.4, 13.5, 7, looked_weeks_ago=10, brushes="4", seasonal=False,
            figures={"thickness_mm": "8", "width_mm": "18", "grade_family": "high-metal", "grade": "LP-B 510"}),
    Machine("S-05", "Touring truck, starter", "yard", "starter", 24, 4200, -0.04, 16, 8, brushes="4", state="at the limit"),
    Machine("G-01", "Tacho of the revolve", "under stage", "generator", 22, 9500, 0.8, 20, 8, looked_weeks_ago=8, brushes="2",
            state="under least",
            figures={"thickness_mm": "5", "width_mm": "8", "commutator_d_mm": "38", "commutator_d_min_mm": "36.4", "bars": "31", "poles": "2", "rated_rpm": "900", "undercut_mm": "0"}),
    Machine("P-01", "Trap-room pump", "trap room", "industrial", 9, 3200, 0.7, 32, 14, looked_weeks_ago=2, brushes="4", weeks=120, state="one cut left",
            figures={"thickness_mm": "12.5", "width_mm": "25", "commutator_d_mm": "110", "commutator_d_min_mm": "107.6", "bars": "69", "poles": "4", "armature_slots": "23", "winding": "lap",
                     "track_mm": "52", "slot_width_mm": "0.9", "undercut_mm": "1.1", "rated_rpm": "1100", "rated_v": "220", "holder_gap_mm": "2.1", "expected_life_units": "3000", "construction": "shunt", "hangs_load": "no"}),
    Machine("G-02", "Exciter of the stand-by set", "yard", "generator", 2.1, 700, 0.5, 22, 9, looked_weeks_ago=1, brushes="4", seasonal=False,
            state="abrupt wear"),
    Machine("T-14", "Hammer drill", "metal shop", "tool", 1.6, 210, 0.42, 16, 6, looked_weeks_ago=7, weeks=110, figures=_PAIR | {"expected_life_units": "200"}),
    Machine("T-16", "Jigsaw", "scene shop", "tool", 2.8, 260, 0.7, 15, 5.5, looked_weeks_ago=5, weeks=90, kind=KINDS[1].name),
    Machine("A-11", "Coffee mill", "canteen", "appliance", 3.2, 520, 0.55, 20, 7, looked_weeks_ago=9, weeks=120, state="originals",
            figures=_PAIR | {"expected_life_units": "500"}),
    Machine("A-12", "Wardrobe hand-held dryer", "wardrobe", "appliance", 4.5, 380, 0.33, 14, 5, looked_weeks_ago=4, weeks=100,
            figures=_PAIR | {"expected_life_units": "400", "construction": "permanent-magnet", "rated_v": "230", "noload_a": "0.6"}),
    Machine("A-10", "Haze fan", "stage left", "appliance", 7, 1300, 0.81, 24, 9, looked_weeks_ago=6, weeks=80,
            figures=_PAIR | {"expected_life_units": "1200"}),
    Machine("S-07", "Fire-pump engine, starter", "pump house", "starter", 2, 700, 0.88, 16, 8, looked_weeks_ago=12, weeks=130, brushes="4", seasonal=False, state="stuck",
            figures={"expected_life_units": "700", "conditions": "mostly idle", "rated_v": "12", "mass_kg": "9.5", "gear_reduction": "yes"}),
    Machine("H-02", "Spare winch motor", "stores, shelf 4", "industrial", 0, 2300, 1.0, 32, 14, kind=KINDS[0].name, weeks=30,
            state="on the shelf"),
)  # fmt: skip
