"""Every figure that a motor can have: how it is asked for, in which unit, between which bounds."""

from dataclasses import dataclass

from norvash.core.rules.fitting import GRADE_FAMILIES
from norvash.core.text.quantities import UNITS

METHODS = {
    "length": "length, brush out of its holder",
    "depth": "depth from a fixed rim; grows as the brush wears",
    "protrusion": "protrusion above the holder; may be negative",
    "wear line": "wear line in the window",
    "compare": "share of a new brush, by eye",
    "spring position": "position of the spring on a marked scale",
}


METHOD_HINTS = {
    "length": 'Any unit: 12.4, 0.488 in, 31/64", 488 thou. Two edges: 12.4; 12.9.',
    "depth": 'Any unit: 33.9, 1.335 in, 1 21/64".',
    "protrusion": "Any unit, with a minus when the top has sunk into its holder: 4.2 or -1.5.",
    "wear line": "How many lines show in the window: 0, 1, 2 or 3.",
    "compare": "In per cent of a new brush: 60.",
    "spring position": "The mark on the scale: 4.5.",
}


INSTRUMENTS = {
    "digital-caliper": "digital caliper",
    "vernier": "vernier caliper",
    "micrometer": "micrometer or depth micrometer",
    "rule": "steel rule",
    "eye": "by eye",
}


LIMIT_SOURCES = {"maker": "maker's figure", "wear line": "wear line on the brush", "site": "site rule"}
UNITS_OF_USE = ("hours", "starts")
CONDITIONS = ("dry and in use", "wet", "salt", "mostly idle", "dusty", "oily", "hot", "vibrating", "outdoor")
PROTECTIONS = ("protective earth", "double insulated", "extra-low voltage")
CONSTRUCTIONS = ("universal", "series", "shunt", "compound", "permanent-magnet")


@dataclass(frozen=True, slots=True, kw_only=True)
class FigureField:
    """One figure that a type or a motor can carry; text figures have choices or are free."""

    name: str
    label: str
    group: str
    dimension: str = ""
    choices: tuple[str, ...] = ()
    low: float = 0.0
    high: float = 1e6

    @property
    def is_text(self) -> bool:
        """Tell whether the figure is a word, not a number."""
        return not self.dimension

    @property
    def asked(self) -> str:
        """Return its label with the unit that a bare number is in: “Voltage, V”."""
        unit = next(iter(UNITS.get(self.dimension, ())), "")
        return f"{self.label}, {unit}" if unit else self.label


def _lengths(group: str, *named: tuple[str, str], low: float = 0.0, high: float = 500.0) -> tuple[FigureField, ...]:
    return tuple(
        FigureField(name=n, label=label, group=group, dimension="length", choices=(), low=low, high=high)
        for n, label in named
    )


# fmt: off
FIELDS: tuple[FigureField, ...] = (
    *_lengths(
        "Brush",
        ("new_mm", "New length r"),
        ("thickness_mm", "Thickness t, along the rotation"),
        ("width_mm", "Width a, along the shaft"),
        ("new_tolerance_mm", "Tolerance of the new length"),
        low=0.01,
    ),
    FigureField(name="face_angle_deg", label="Face angle by design", group="Brush", dimension="angle", choices=(), low=0, high=60),
    FigureField(name="grade_family", label="Grade family", group="Brush", choices=GRADE_FAMILIES),
    FigureField(name="grade", label="Grade or part number", group="Brush"),
    FigureField(name="variant", label="Voltage variant", group="Brush"),
    *_lengths("Limit", ("limit_mm", "Shortest length allowed"), low=0.01),
    FigureField(name="limit_source", label="Where the limit comes from", group="Limit", choices=tuple(LIMIT_SOURCES)),
    *_lengths(
        "Limit",
        ("lead_root_depth_mm", "Lead root below the top"),
        ("lead_taut_length_mm", "Length at which the lead is taut"),
        ("spring_stop_length_mm", "Length at the spring's stop"),
        ("holder_gap_mm", "Holder gap"),
        ("box_thickness_mm", "Box, along the rotation"),
        ("box_width_mm", "Box, along the shaft"),
    ),
    FigureField(name="force_new_n", label="Spring force when new", group="Limit", dimension="force", choices=(), low=0.01, high=1000),
    FigureField(name="force_nominal_n", label="Nominal spring force", group="Limit", dimension="force", choices=(), low=0.01, high=1000),
    FigureField(name="spring_rate_n_per_mm", label="Spring rate", group="Limit", dimension="spring rate", choices=(), low=0, high=100),
    FigureField(name="method", label="Way of measuring", group="Measuring", choices=tuple(METHODS)),
    FigureField(name="instrument", label="Instrument", group="Measuring", choices=tuple(INSTRUMENTS)),
    FigureField(name="length_unit", label="Unit of a bare number", group="Measuring", choices=("mm", "in", "thou")),
    *_lengths(
        "Measuring",
        ("depth_new_mm", "Depth when new"),
        ("depth_limit_mm", "Depth limit"),
        ("depth_constant_mm", "Depth plus length"),
        ("protrusion_constant_mm", "Length minus protrusion"),
        ("wear_line_1_mm", "Length at the first wear line"),
        ("wear_line_2_mm", "Length at the second wear line"),
        ("wear_line_3_mm", "Length at the third wear line"),
        low=-500,
    ),
    FigureField(name="spring_table", label="Spring scale and length, like 0=22; 5=14; 10=6", group="Measuring"),
    *_lengths(
        "Commutator",
        ("commutator_d_mm", "Diameter when new"),
        ("commutator_d_min_mm", "Least diameter"),
        ("track_mm", "Brush track along the shaft"),
        ("slot_width_mm", "Slot width"),
        ("undercut_mm", "Undercut depth when new"),
        high=5000,
    ),
    FigureField(name="bars", label="Bars", group="Commutator", dimension="count", choices=(), low=3, high=2000),
    FigureField(name="poles", label="Poles", group="Commutator", dimension="count", choices=(), low=2, high=100),
    FigureField(name="armature_slots", label="Slots of the armature", group="Commutator", dimension="count", choices=(), low=2, high=2000),
    FigureField(name="winding", label="Winding", group="Commutator", choices=("lap", "wave", "unknown")),
    FigureField(name="commutator_pitch", label="Commutator pitch, bars", group="Commutator", dimension="count", choices=(), low=1, high=2000),
    FigureField(name="coil_turns", label="Turns of one armature coil", group="Commutator", dimension="count", choices=(), low=1, high=2000),
    *_lengths("Turning parts", ("end_float_low_mm", "End float, at least"), ("end_float_high_mm", "End float, at most"), ("air_gap_mm", "Air gap")),
    *_lengths("Turning parts", ("bearing_span_mm", "From bearing to bearing"), ("shaft_d_mm", "Shaft diameter"), low=0.1, high=10000),
    FigureField(name="bearing_drive", label="Bearing at the drive end", group="Turning parts"),
    FigureField(name="bearing_other", label="Bearing at the other end", group="Turning parts"),
    FigureField(name="located_end", label="End at which the bearing is held", group="Turning parts", choices=("drive end", "other end")),
    FigureField(name="gear_reduction", label="Gear reduction inside a starter", group="Turning parts", choices=("no", "yes")),
    FigureField(name="mounting", label="It stands", group="Turning parts", choices=("rigid", "flexible")),
    FigureField(name="hangs_load", label="Hangs a load or carries people", group="Turning parts", choices=("no", "yes")),
    FigureField(name="noload_rpm", label="Usual speed without load", group="Plate", dimension="speed", choices=(), low=1, high=1e5),
    FigureField(name="protection", label="Protection against shock", group="Plate", choices=PROTECTIONS),
    FigureField(name="excitation", label="Excitation", group="Plate", choices=("self-excited", "separately excited")),
    FigureField(name="form_wound", label="Form-wound coils", group="Plate", choices=("no", "yes")),
    FigureField(name="terminal_kind", label="Terminals of the brushes", group="Plate", choices=("press-in", "bolted")),
    FigureField(name="rated_v", label="Voltage", group="Plate", dimension="voltage", choices=(), low=0, high=50000),
    FigureField(name="rated_a", label="Current", group="Plate", dimension="current", choices=(), low=0, high=50000),
    FigureField(name="rated_w", label="Power", group="Plate", dimension="power", choices=(), low=0, high=1e8),
    FigureField(name="rated_rpm", label="Speed", group="Plate", dimension="speed", choices=(), low=0, high=1e5),
    FigureField(name="construction", label="Construction", group="Plate", choices=CONSTRUCTIONS),
    FigureField(name="noload_a", label="Usual current without load", group="Plate", dimension="current", choices=(), low=0, high=50000),
    FigureField(name="speed_taps", label="Speed settings as shares of the supply, like 0.45; 0.62; 1", group="Plate"),
    FigureField(name="mass_kg", label="Mass", group="Plate", dimension="mass", choices=(), low=0, high=1e5),
    FigureField(name="capacitors", label="Capacitors in its circuit", group="Plate", choices=("no", "yes")),
    FigureField(name="unit_of_use", label="Use counted in", group="Use", choices=UNITS_OF_USE),
    FigureField(name="expected_life_units", label="Expected life of a set", group="Use", dimension="count", choices=(), low=1, high=1e7),
    FigureField(name="use_per_week_units", label="Usual use in a week that it runs", group="Use", dimension="count", choices=(), low=0, high=1e6),
    FigureField(name="active_months", label="Months in which it runs, like 9-6", group="Use"),
    FigureField(name="run_length_units", label="Use in one run, where it cannot stop midway", group="Use", dimension="count", choices=(), low=0.01, high=1e5),
    FigureField(
        name="reference_rpm", label="Speed that use is counted at, where it is weighted by speed", group="Use", dimension="speed", choices=(), low=1, high=1e5
    ),
    FigureField(name="seconds_per_start", label="Seconds of running in one start", group="Use", dimension="count", choices=(), low=0.01, high=86400),
    FigureField(name="starts_per_hour", label="Starts in an hour of the machine it starts", group="Use", dimension="count", choices=(), low=0.001, high=3600),
    FigureField(name="conditions", label="Where it stands", group="Use", choices=CONDITIONS),
)
# fmt: on


BY_NAME = {f.name: f for f in FIELDS}
