"""The figures of a motor: what it has of its own, what its type says, what its class lends."""

from collections.abc import Mapping
from dataclasses import dataclass

from norvash.core.figure_tables import speed_taps, spring_table
from norvash.core.quantities import UNITS, parse
from norvash.core.rules.book import GEARED
from norvash.core.rules.fitting import GRADE_FAMILIES
from norvash.core.season import read_months
from norvash.core.texts import clean
from norvash.errors import InputError

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


@dataclass(frozen=True, slots=True)
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
    return tuple(FigureField(n, label, group, "length", (), low, high) for n, label in named)


FIELDS: tuple[FigureField, ...] = (
    *_lengths("Brush", ("new_mm", "New length r"), ("thickness_mm", "Thickness t, along the rotation"),
              ("width_mm", "Width a, along the shaft"), ("new_tolerance_mm", "Tolerance of the new length"), low=0.01),
    FigureField("face_angle_deg", "Face angle by design", "Brush", "angle", (), 0, 60),
    FigureField("grade_family", "Grade family", "Brush", choices=GRADE_FAMILIES),
    FigureField("grade", "Grade or part number", "Brush"),
    FigureField("variant", "Voltage variant", "Brush"),
    *_lengths("Limit", ("limit_mm", "Shortest length allowed"), low=0.01),
    FigureField("limit_source", "Where the limit comes from", "Limit", choices=tuple(LIMIT_SOURCES)),
    *_lengths("Limit", ("lead_root_depth_mm", "Lead root below the top"), ("lead_taut_length_mm", "Length at which the lead is taut"),
              ("spring_stop_length_mm", "Length at the spring's stop"), ("holder_gap_mm", "Holder gap"),
              ("box_thickness_mm", "Box, along the rotation"), ("box_width_mm", "Box, along the shaft")),
    FigureField("force_new_n", "Spring force when new", "Limit", "force", (), 0.01, 1000),
    FigureField("force_nominal_n", "Nominal spring force", "Limit", "force", (), 0.01, 1000),
    FigureField("spring_rate_n_per_mm", "Spring rate", "Limit", "spring rate", (), 0, 100),
    FigureField("method", "Way of measuring", "Measuring", choices=tuple(METHODS)),
    FigureField("instrument", "Instrument", "Measuring", choices=tuple(INSTRUMENTS)),
    FigureField("length_unit", "Unit of a bare number", "Measuring", choices=("mm", "in", "thou")),
    *_lengths("Measuring", ("depth_new_mm", "Depth when new"), ("depth_limit_mm", "Depth limit"),
              ("depth_constant_mm", "Depth plus length"), ("protrusion_constant_mm", "Length minus protrusion"),
              ("wear_line_1_mm", "Length at the first wear line"), ("wear_line_2_mm", "Length at the second wear line"),
              ("wear_line_3_mm", "Length at the third wear line"), low=-500),
    FigureField("spring_table", "Spring scale and length, like 0=22; 5=14; 10=6", "Measuring"),
    *_lengths("Commutator", ("commutator_d_mm", "Diameter when new"), ("commutator_d_min_mm", "Least diameter"),
              ("track_mm", "Brush track along the shaft"), ("slot_width_mm", "Slot width"),
              ("undercut_mm", "Undercut depth when new"), high=5000),
    FigureField("bars", "Bars", "Commutator", "count", (), 3, 2000),
    FigureField("poles", "Poles", "Commutator", "count", (), 2, 100),
    FigureField("armature_slots", "Slots of the armature", "Commutator", "count", (), 2, 2000),
    FigureField("winding", "Winding", "Commutator", choices=("lap", "wave", "unknown")),
    FigureField("commutator_pitch", "Commutator pitch, bars", "Commutator", "count", (), 1, 2000),
    FigureField("coil_turns", "Turns of one armature coil", "Commutator", "count", (), 1, 2000),
    *_lengths("Turning parts", ("end_float_low_mm", "End float, at least"), ("end_float_high_mm", "End float, at most"), ("air_gap_mm", "Air gap")),
    *_lengths("Turning parts", ("bearing_span_mm", "From bearing to bearing"), ("shaft_d_mm", "Shaft diameter"), low=0.1, high=10000),
    FigureField("bearing_drive", "Bearing at the drive end", "Turning parts"),
    FigureField("bearing_other", "Bearing at the other end", "Turning parts"),
    FigureField("located_end", "End at which the bearing is held", "Turning parts", choices=("drive end", "other end")),
    FigureField("gear_reduction", "Gear reduction inside a starter", "Turning parts", choices=("no", "yes")),
    FigureField("mounting", "It stands", "Turning parts", choices=("rigid", "flexible")),
    FigureField("hangs_load", "Hangs a load or carries people", "Turning parts", choices=("no", "yes")),
    FigureField("noload_rpm", "Usual speed without load", "Plate", "speed", (), 1, 1e5),
    FigureField("protection", "Protection against shock", "Plate", choices=PROTECTIONS),
    FigureField("excitation", "Excitation", "Plate", choices=("self-excited", "separately excited")),
    FigureField("form_wound", "Form-wound coils", "Plate", choices=("no", "yes")),
    FigureField("terminal_kind", "Terminals of the brushes", "Plate", choices=("press-in", "bolted")),
    FigureField("rated_v", "Voltage", "Plate", "voltage", (), 0, 50000),
    FigureField("rated_a", "Current", "Plate", "current", (), 0, 50000),
    FigureField("rated_w", "Power", "Plate", "power", (), 0, 1e8),
    FigureField("rated_rpm", "Speed", "Plate", "speed", (), 0, 1e5),
    FigureField("construction", "Construction", "Plate", choices=CONSTRUCTIONS),
    FigureField("noload_a", "Usual current without load", "Plate", "current", (), 0, 50000),
    FigureField("speed_taps", "Speed settings as shares of the supply, like 0.45; 0.62; 1", "Plate"),
    FigureField("mass_kg", "Mass", "Plate", "mass", (), 0, 1e5),
    FigureField("capacitors", "Capacitors in its circuit", "Plate", choices=("no", "yes")),
    FigureField("unit_of_use", "Use counted in", "Use", choices=UNITS_OF_USE),
    FigureField("expected_life_units", "Expected life of a set", "Use", "count", (), 1, 1e7),
    FigureField("use_per_week_units", "Usual use in a week that it runs", "Use", "count", (), 0, 1e6),
    FigureField("active_months", "Months in which it runs, like 9-6", "Use"),
    FigureField("run_length_units", "Use in one run, where it cannot stop midway", "Use", "count", (), 0.01, 1e5),
    FigureField("reference_rpm", "Speed that use is counted at, where it is weighted by speed", "Use", "speed", (), 1, 1e5),
    FigureField("seconds_per_start", "Seconds of running in one start", "Use", "count", (), 0.01, 86400),
    FigureField("starts_per_hour", "Starts in an hour of the machine it starts", "Use", "count", (), 0.001, 3600),
    FigureField("conditions", "Where it stands", "Use", choices=CONDITIONS),
)  # fmt: skip
BY_NAME = {f.name: f for f in FIELDS}


@dataclass(frozen=True, slots=True)
class Known:
    """A figure with the place it was taken from."""

    value: float | str
    basis: str


class Figures:
    """The figures in force for one motor: its own first, then its type's, then its class's defaults."""

    def __init__(
        self, own: Mapping[str, float | str], of_type: Mapping[str, float | str], lent: Mapping[str, float | str]
    ) -> None:
        self.known: dict[str, Known] = {}
        for source, basis in ((lent, "class default"), (of_type, "type"), (own, "this motor")):
            self.known.update({name: Known(value, basis) for name, value in source.items()})

    @property
    def own(self) -> dict[str, float | str]:
        """Return what the motor states itself."""
        return {name: known.value for name, known in self.known.items() if known.basis == "this motor"}

    def changed(self, values: Mapping[str, float], basis: str) -> "Figures":
        """Return the figures with some of them replaced, and where those come from."""
        made = Figures({}, {}, {})
        made.known = {**self.known, **{name: Known(value, basis) for name, value in values.items()}}
        return made

    @property
    def track_d_mm(self) -> float | None:
        """Return the commutator's diameter now [mm]: after the last recorded cut, else when new."""
        return self.number("commutator_now_mm") or self.number("commutator_d_mm")

    def number(self, name: str) -> float | None:
        """Return a figure as a number, None where nothing is known."""
        known = self.known.get(name)
        return float(known.value) if known is not None else None

    def stated(self, name: str) -> float | None:
        """Return a figure only if the motor or its type states it, not when the class lends it."""
        known = self.known.get(name)
        return None if known is None or known.basis == "class default" else float(known.value)

    def stated_word(self, name: str) -> str:
        """Return a word only if the motor or its type states it, empty when the class lends it."""
        return "" if self.basis(name) == "class default" else self.word(name)

    def need(self, name: str) -> float:
        """Return a figure that the motor must have.

        Raises: InputError that says which figure is missing.
        """
        value = self.number(name)
        if value is None:
            label = BY_NAME[name].label
            raise InputError(
                f"“{label}” is not known for this motor.", "Give it under Figures on the motor's page.", name
            )
        return value

    def word(self, name: str) -> str:
        """Return a figure as a word, empty where nothing is known."""
        known = self.known.get(name)
        return str(known.value) if known is not None else ""

    def basis(self, name: str) -> str:
        """Return where a figure comes from, empty where nothing is known."""
        known = self.known.get(name)
        return known.basis if known is not None else ""


def variant_of(motor_class: str, figures: Figures) -> str:
    """Return the kind of machine inside its class whose defaults differ, empty without one."""
    return GEARED if motor_class == "starter" and figures.word("gear_reduction") == "yes" else ""


def read_figure(name: str, text: str) -> float | str:
    """Return a figure as typed, checked against what it can be.

    Raises: InputError at the field.
    """
    field = BY_NAME[name]
    if field.is_text:
        return _word(field, clean(text, name))
    try:
        value = parse(text, field.dimension).value
    except InputError as error:
        raise error.at(name) from None
    if not field.low <= value <= field.high:
        raise InputError(f"{field.label}: “{text.strip()}” cannot be right.",
                         f"Give a value from {field.low:g} to {field.high:g}.", name)  # fmt: skip
    return value


def _word(field: FigureField, text: str) -> str:
    if field.name == "spring_table":
        spring_table(text)
    if field.name == "speed_taps":
        speed_taps(text)
    if field.name == "active_months":
        read_months(text)
    if field.choices and text not in field.choices:
        raise InputError(
            f"“{text}” is no choice for “{field.label}”.", "Use " + ", ".join(field.choices) + ".", field.name
        )
    if len(text) > 120:
        raise InputError(f"{field.label} is too long.", "Use at most 120 characters.", field.name)
    return text


def check_together(figures: Figures) -> None:
    """Refuse figures that contradict each other.

    Raises: InputError at the field to mend.
    """
    new_mm, limit_mm = figures.need("new_mm"), figures.number("limit_mm")
    if limit_mm is not None and not limit_mm < new_mm:
        raise InputError(f"The limit of {limit_mm:g} mm is not below the new length of {new_mm:g} mm.",
                         "Correct one of them, or say that the limit is unknown.", "limit_mm")  # fmt: skip
    d_new, d_least = figures.stated("commutator_d_mm"), figures.stated("commutator_d_min_mm")
    if d_new is not None and d_least is not None and not d_least < d_new:
        raise InputError(f"The least diameter of {d_least:g} mm is not under the new one of {d_new:g} mm.",
                         "Check which of the two is wrong.", "commutator_d_min_mm")  # fmt: skip
    depth_new, depth_limit = figures.number("depth_new_mm"), figures.number("depth_limit_mm")
    if depth_new is not None and depth_limit is not None and not depth_limit > depth_new:
        raise InputError("The depth limit is not beyond the depth when new.",
                         "A depth grows as the brush wears: check the two.", "depth_limit_mm")  # fmt: skip
    lines = [figures.number(f"wear_line_{i}_mm") for i in (1, 2, 3)]
    seen = [x for x in lines if x is not None]
    if seen != sorted(seen, reverse=True) or len(set(seen)) != len(seen) or any(x >= new_mm for x in seen):
        raise InputError("The wear lines do not fall from the new length.",
                         "The first line shows first: it has the greatest length.", "wear_line_1_mm")  # fmt: skip
