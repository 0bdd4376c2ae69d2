"""Every figure that a motor can have: how it is asked for, in which unit, between which bounds."""

from norvash.core.motor.figure import Number, Word, number, word, words
from norvash.core.rules.fitting import GRADE_FAMILIES

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
    "wear line": "Which line shows in the window: none, line 1, line 2 or line 3.",
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


LIMIT_SOURCES = {
    "maker": "maker's figure",
    "wear line": "wear line on the brush",
    "groove": "groove on the brush",
    "share": "share of the new length",
    "site": "site rule",
}
UNITS_OF_USE = ("hours", "starts", "years")
BURNS, AT_HEIGHT, IN_PUBLIC = "dust or gas that burns", "at height", "in public"
SURROUNDINGS = (
    *("dry and in use", "wet", "salt", "mostly idle", "dusty", "oily", "hot", "vibrating", "outdoor"),
    *(BURNS, AT_HEIGHT, IN_PUBLIC),
)
PROTECTIONS = ("protective earth", "double insulated", "extra-low voltage")
CONSTRUCTIONS = ("universal", "series", "shunt", "compound", "separately excited", "permanent-magnet")
# What a machine turns or is turned by, as far as it can hurt while the motor is proven.
TURNS = ("hoist", "flywheel", "propeller", "chain", "blade", "belt", "fan", "gears", "pump", "nothing of these")


# fmt: off
FIELDS: tuple[Number | Word, ...] = (
    NEW_MM := number("new_mm", "Brush", "New length r", "length", low=0.01, high=500),
    THICKNESS_MM := number("thickness_mm", "Brush", "Thickness t, along the rotation", "length", low=0.01, high=500),
    WIDTH_MM := number("width_mm", "Brush", "Width a, along the shaft", "length", low=0.01, high=500),
    NEW_TOLERANCE_MM := number("new_tolerance_mm", "Brush", "Tolerance of the new length", "length", low=0.01, high=500),
    FACE_ANGLE_DEG := number("face_angle_deg", "Brush", "Face angle by design", "angle", high=60),
    TOP_FREE := word("top_free", "Brush", "Top free of lead and spring", choices=("no", "yes")),
    GRADE_FAMILY := word("grade_family", "Brush", "Grade family", choices=GRADE_FAMILIES),
    BRUSH_GRADE := word("grade", "Brush", "Grade or part number"),
    VOLTAGE_VARIANT := word("variant", "Brush", "Voltage variant"),
    BUILD_MATRIX := word("build_matrix", "Brush", "Set by supply and build, like 230 V, 2 → LP-B 4; 230 V, * → LP-B 5"),
    LEAST_STOCK := word("least_stock", "Brush", "Least stock, and why"),
    LIMIT_MM := number("limit_mm", "Limit", "Shortest length allowed", "length", low=0.01, high=500),
    LIMIT_SOURCE := word("limit_source", "Limit", "Where the limit comes from", choices=tuple(LIMIT_SOURCES)),
    LEAD_ROOT_DEPTH_MM := number("lead_root_depth_mm", "Limit", "Lead root below the top", "length", high=500),
    LEAD_TAUT_LENGTH_MM := number("lead_taut_length_mm", "Limit", "Length at which the lead is taut", "length", high=500),
    SPRING_STOP_LENGTH_MM := number("spring_stop_length_mm", "Limit", "Length at the spring's stop", "length", high=500),
    HOLDER_GAP_MM := number("holder_gap_mm", "Limit", "Holder gap", "length", high=500),
    BOX_THICKNESS_MM := number("box_thickness_mm", "Limit", "Box, along the rotation", "length", high=500),
    BOX_WIDTH_MM := number("box_width_mm", "Limit", "Box, along the shaft", "length", high=500),
    FORCE_NEW_N := number("force_new_n", "Limit", "Spring force when new", "force", low=0.01, high=1000),
    FORCE_NOMINAL_N := number("force_nominal_n", "Limit", "Nominal spring force", "force", low=0.01, high=1000),
    SPRING_RATE_N_PER_MM := number("spring_rate_n_per_mm", "Limit", "Spring rate", "spring rate", high=100),
    MEASURED_BY := word("method", "Measuring", "Way of measuring", choices=tuple(METHODS)),
    MEASURED_WITH := word("instrument", "Measuring", "Instrument", choices=tuple(INSTRUMENTS)),
    LENGTH_UNIT := word("length_unit", "Measuring", "Unit of a bare number", choices=("mm", "in", "thou")),
    DEPTH_NEW_MM := number("depth_new_mm", "Measuring", "Depth when new", "length", low=-500, high=500),
    DEPTH_LIMIT_MM := number("depth_limit_mm", "Measuring", "Depth limit", "length", low=-500, high=500),
    DEPTH_CONSTANT_MM := number("depth_constant_mm", "Measuring", "Depth plus length", "length", low=-500, high=500),
    PROTRUSION_CONSTANT_MM := number("protrusion_constant_mm", "Measuring", "Length minus protrusion", "length", low=-500, high=500),
    WEAR_LINE_1_MM := number("wear_line_1_mm", "Measuring", "Length at the first wear line", "length", low=-500, high=500),
    WEAR_LINE_2_MM := number("wear_line_2_mm", "Measuring", "Length at the second wear line", "length", low=-500, high=500),
    WEAR_LINE_3_MM := number("wear_line_3_mm", "Measuring", "Length at the third wear line", "length", low=-500, high=500),
    SPRING_TABLE := word("spring_table", "Measuring", "Spring scale and length, like 0=22; 5=14; 10=6"),
    COMMUTATOR_D_MM := number("commutator_d_mm", "Commutator", "Diameter when new", "length", high=5000),
    COMMUTATOR_D_MIN_MM := number("commutator_d_min_mm", "Commutator", "Least diameter", "length", high=5000),
    TRACK_MM := number("track_mm", "Commutator", "Brush track along the shaft", "length", high=5000),
    SLOT_WIDTH_MM := number("slot_width_mm", "Commutator", "Slot width", "length", high=5000),
    SLOT_LEAST_MM := number("slot_least_mm", "Commutator", "Slot depth, never under", "length", low=0.05, high=50),
    UNDERCUT_MM := number("undercut_mm", "Commutator", "Undercut depth when new", "length", high=5000),
    BARS := number("bars", "Commutator", "Bars", "count", low=3, high=2000),
    POLES := number("poles", "Commutator", "Poles", "count", low=2, high=100),
    INTERPOLES := word("interpoles", "Commutator", "Has interpoles", choices=("no", "yes")),
    ARMATURE_SLOTS := number("armature_slots", "Commutator", "Slots of the armature", "count", low=2, high=2000),
    WINDING := word("winding", "Commutator", "Winding", choices=("lap", "wave", "unknown")),
    COMMUTATOR_PITCH := number("commutator_pitch", "Commutator", "Commutator pitch, bars", "count", low=1, high=2000),
    COIL_TURNS := number("coil_turns", "Commutator", "Turns of one armature coil", "count", low=1, high=2000),
    END_FLOAT_LOW_MM := number("end_float_low_mm", "Turning parts", "End float, at least", "length", high=500),
    END_FLOAT_HIGH_MM := number("end_float_high_mm", "Turning parts", "End float, at most", "length", high=500),
    PINION_GAP_LOW_MM := number("pinion_gap_low_mm", "Turning parts", "Pinion clearance at full throw, at least", "length", high=100, classes=("starter",)),
    PINION_GAP_HIGH_MM := number("pinion_gap_high_mm", "Turning parts", "Pinion clearance at full throw, at most", "length", high=100, classes=("starter",)),
    AIR_GAP_MM := number("air_gap_mm", "Turning parts", "Air gap", "length", high=500),
    BEARING_SPAN_MM := number("bearing_span_mm", "Turning parts", "From bearing to bearing", "length", low=0.1, high=10000),
    SHAFT_D_MM := number("shaft_d_mm", "Turning parts", "Shaft diameter", "length", low=0.1, high=10000),
    BEARING_DRIVE := word("bearing_drive", "Turning parts", "Bearing at the drive end"),
    BEARING_OTHER := word("bearing_other", "Turning parts", "Bearing at the other end"),
    LOCATED_END := word("located_end", "Turning parts", "End at which the bearing is held", choices=("drive end", "other end")),
    GEAR_REDUCTION := word("gear_reduction", "Turning parts", "Gear reduction inside a starter", choices=("no", "yes")),
    MOUNTING := word("mounting", "Turning parts", "It stands", choices=("rigid", "flexible")),
    HANGS_LOAD := word("hangs_load", "Turning parts", "Hangs a load or carries people", choices=("no", "yes")),
    IT_TURNS := word("it_turns", "Turning parts", "What it turns", choices=TURNS),
    DRIVES_WHEELS := word("drives_wheels", "Turning parts", "Drives a vehicle on wheels", choices=("no", "yes")),
    USUAL_NOLOAD_RPM := number("noload_rpm", "Plate", "Usual speed without load", "speed", low=1, high=1e5),
    NOLOAD_RPM_LEAST := number("noload_rpm_least", "Plate", "Speed without load, at least", "speed", low=1, high=1e5),
    NOLOAD_A_MOST := number("noload_a_most", "Plate", "Current without load, at most", "current", low=0.001, high=50000),
    SAFE_NOLOAD_V := number("safe_noload_v", "Plate", "Safe voltage without load", "voltage", low=0.1, high=50000),
    PERMITTED_RPM := number("permitted_rpm", "Plate", "Permitted speed", "speed", low=1, high=1e5),
    RUN_IN_SHARE := number("run_in_share", "Run-in", "Run-in, share of the plate's volts", "share", low=0.02, high=1),
    RUN_IN_MIN := number("run_in_min", "Run-in", "Run-in, minutes", "minutes", low=0.5, high=6000),
    RUN_IN_PRINT := number("run_in_print", "Run-in", "Print that releases the load", "share", low=0.2, high=1),
    REVERSES := word("reverses", "Run-in", "It runs both ways", choices=("no", "yes")),
    RISE_MOST_K := number("rise_most_k", "Plate", "Hotter than the air, at most", "rise", low=1, high=300),
    WINDING_RISE_K := number("winding_rise_k", "Plate", "Rise of its winding over the air, at most", "rise", low=1, high=300),
    INSULATION_CLASS := word("insulation_class", "Plate", "Insulation class", choices=("A", "E", "B", "F", "H")),
    SHORT_DUTY := word("short_duty", "Plate", "Made for short duty", choices=("no", "yes")),
    DUTY_MIN := number("duty_min", "Plate", "Short duty, minutes at a time", "minutes", low=0.1, high=600),
    FED_BY := word("fed_by", "Plate", "Fed by", choices=("battery", "line")),
    HAS_PLUG := word("has_plug", "Plate", "Has a plug", choices=("no", "yes")),
    CORD_MM := number("cord_mm", "Plate", "Length of its cord", "length", low=1, high=1e6),
    CORD_MM2 := number("cord_mm2", "Plate", "Section of its cord", "area", low=0.1, high=500),
    CORD_OHM := number("cord_ohm", "Plate", "Resistance of one wire of its cord", "resistance", low=0.0001, high=10),
    PROTECTION := word("protection", "Plate", "Protection against shock", choices=PROTECTIONS),
    EXCITATION := word("excitation", "Plate", "Excitation", choices=("self-excited", "separately excited")),
    FIELD_LEADS := word("field_leads", "Plate", "Leads of its field come out", choices=("no", "yes")),
    FIELD_V := number("field_v", "Plate", "Field voltage", "voltage", low=0.1, high=50000),
    FIELD_A := number("field_a", "Plate", "Field current", "current", low=0.001, high=5000),
    FIELD_OHM := number("field_ohm", "Plate", "Field resistance at 20 °C", "resistance", low=0.001, high=1e6),
    FIELD_COIL_OHM := number("field_coil_ohm", "Plate", "Resistance of one field coil at 20 °C", "resistance", low=0.0001, high=1e6),
    ARMATURE_OHM := number("armature_ohm", "Plate", "Armature resistance", "resistance", low=0.00001, high=1e5),
    EARTHED_BRUSHES := word("earthed_brushes", "Plate", "Brushes earthed inside", choices=("no", "yes")),
    HAS_SOLENOID := word("has_solenoid", "Plate", "Solenoid on its post", choices=("no", "yes"), classes=("starter",)),
    FORM_WOUND := word("form_wound", "Plate", "Form-wound coils", choices=("no", "yes")),
    TERMINAL_OHM_MOST := number("terminal_ohm_most", "Plate", "Resistance of a terminal, at most", "resistance", low=0.00001, high=10),
    TERMINAL_KIND := word("terminal_kind", "Plate", "Terminals of the brushes", choices=("press-in", "bolted")),
    BUILD := word("build", "Plate", "Build letter or number"),
    RATED_V := number("rated_v", "Plate", "Voltage", "voltage", high=50000),
    RATED_A := number("rated_a", "Plate", "Current", "current", high=50000),
    RATED_W := number("rated_w", "Plate", "Power", "power", high=1e8),
    RATED_RPM := number("rated_rpm", "Plate", "Speed", "speed", high=1e5),
    CONSTRUCTION := word("construction", "Plate", "Construction", choices=CONSTRUCTIONS),
    USUAL_NOLOAD_A := number("noload_a", "Plate", "Usual current without load", "current", high=50000),
    SPEED_TAPS := word("speed_taps", "Plate", "Speed settings as shares of the supply, like 0.45; 0.62; 1"),
    MASS_KG := number("mass_kg", "Plate", "Mass", "mass", high=1e5),
    CAPACITORS := word("capacitors", "Plate", "Capacitors in its circuit", choices=("no", "yes")),
    UNIT_OF_USE := word("unit_of_use", "Use", "Use counted in", choices=UNITS_OF_USE),
    EXPECTED_LIFE_UNITS := number("expected_life_units", "Use", "Expected life of a set", "count", low=1, high=1e7),
    USE_PER_WEEK_UNITS := number("use_per_week_units", "Use", "Usual use in a week that it runs", "count"),
    ACTIVE_MONTHS := word("active_months", "Use", "Months in which it runs, like 9-6"),
    RUN_LENGTH_UNITS := number("run_length_units", "Use", "Use in one run, where it cannot stop midway", "count", low=0.01, high=1e5),
    REFERENCE_RPM := number("reference_rpm", "Use", "Speed that use is counted at, where it is weighted by speed", "speed", low=1, high=1e5),
    SECONDS_PER_START := number("seconds_per_start", "Use", "Seconds of running in one start", "count", low=0.01, high=86400),
    STARTS_PER_HOUR := number("starts_per_hour", "Use", "Starts in an hour of the machine it starts", "count", low=0.001, high=3600),
    WHERE_IT_STANDS := words("conditions", "Use", "Where it stands", choices=SURROUNDINGS),
)
# fmt: on
BEARING_AT = (BEARING_DRIVE, BEARING_OTHER)
WEAR_LINES = (WEAR_LINE_1_MM, WEAR_LINE_2_MM, WEAR_LINE_3_MM)
# What follows from the record and is not asked for.
COMMUTATOR_NOW_MM = number("commutator_now_mm", "Commutator", "Diameter since the last cut", "length", high=5000)
SUNK_MM = number("sunk_mm", "Commutator", "Sunk under the brush since the last cut", "length")
BY_NAME = {f.name: f for f in FIELDS}
SEVERAL = frozenset(f.name for f in FIELDS if isinstance(f, Word) and f.several)
