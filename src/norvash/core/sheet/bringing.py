"""What to bring to a motor: tools, brushes, seals and protection, from its type and from what is suspected."""

from dataclasses import dataclass

from norvash.core.diagnosis.ranking import Diagnosis
from norvash.core.motor.figure_fields import (
    BRUSH_GRADE,
    GRADE_FAMILY,
    INSTRUMENTS,
    MASS_KG,
    MEASURED_WITH,
    NEW_MM,
    THICKNESS_MM,
    VOLTAGE_VARIANT,
    WIDTH_MM,
)
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.facts import Facts
from norvash.core.verdict.grades import GRADES
from norvash.core.verdict.values import Findings


@dataclass(frozen=True, slots=True)
class Item:
    """One thing to bring, and why."""

    kind: str
    what: str
    why: str


_ISOLATE = {
    "appliance": "proved voltage tester",
    "tool": "proved voltage tester",
    "starter": "spanner for the battery earth lead, post cover",
    "industrial": "own lock, tag, proved tester",
    "traction": "wheel chocks, jacks or stands, insulated tools",
    "generator": "guard for belt and fan",
}
_FOR_CAUSE: dict[str, tuple[str, str]] = {
    "supply": ("tool", "multimeter with fused leads"),
    "switch": ("part", "switch or trigger of its kind"),
    "cable": ("tool", "millivoltmeter, jump lead, brush for terminals"),
    "cutout": ("part", "thermal cut-out of its rating"),
    "solenoid": ("part", "solenoid of its type"),
    "terminal": ("tool", "contact file, flat pliers"),
    "worn": ("part", "brush set"),
    "stuck": ("tool", "lint-free cloth, plastic scraper, cleaner that leaves nothing"),
    "spring": ("part", "brush springs, pull gauge"),
    "lead": ("part", "brush set"),
    "wrong-brush": ("part", "brush set"),
    "dirty": ("tool", "commutator stone, slot brush"),
    "rough": ("tool", "dial gauge with stand"),
    "open-coil": ("tool", "current source and millivoltmeter for the bar test"),
    "short": ("tool", "growler or bar tester"),
    "earth": ("tool", "insulation tester"),
    "tracking": ("tool", "insulation tester, warm dry air"),
    "field": ("tool", "low-ohm meter"),
    "residual": ("tool", "battery for flashing the field"),
    "magnet": ("tool", "wedges of wood, non-magnetic tools"),
    "bearing": ("part", "bearings, puller, press sleeve"),
    "load": ("part", "pinion, gear or coupling of its kind"),
    "belt": ("part", "belt of its kind"),
    "cutout-inside": ("part", "thermal cut-out of its rating"),
    "regulator": ("part", "regulator of its kind, voltmeter"),
    "neutral": ("tool", "millivoltmeter, paper tape for the arms"),
    "contamination": ("part", "brush set"),
    "cooling": ("part", "fan of its kind, soft brush"),
    "imbalance": ("tool", "vibration meter, dial gauge with stand"),
}
_MOST = 4


def what_to_bring(facts: Facts, found: Findings, cause: Diagnosis | None, rules: MotorRules) -> tuple[Item, ...]:
    """Return what to bring, each thing once; of what is suspected only the likeliest."""
    made = [
        Item("tool", _ISOLATE[facts.motor_class], f"class {facts.motor_class}"),
        Item("tool", INSTRUMENTS.get(MEASURED_WITH.of(facts.figures), "caliper"), "its way of measuring"),
        Item("tool", "vacuum with fine filter, soft brush", "carbon dust"),
        Item("protection", "eye protection, dust mask", "springs and dust"),
    ]
    if facts.capacitors:
        made.append(Item("tool", "discharge resistor with insulated probes", "capacitors in its circuit"))
    mass = MASS_KG.of(facts.figures)
    if mass is not None and mass > rules["lift.person"]:
        made.append(Item("protection", "hoist, slings, a second person", f"{mass:g} kg"))
    if found.grade is not None and GRADES.index(found.grade) >= GRADES.index("plan"):
        made.append(Item("part", _set_of(facts), "the verdict on its set"))
    if facts.motor_class == "starter":
        made.append(Item("part", "seals and O-rings of its case", "opened starters are sealed anew"))
    made += _suspected(facts, cause)
    first: dict[str, Item] = {}
    for item in made:
        first.setdefault(item.what, item)
    return tuple(first.values())


def _suspected(facts: Facts, cause: Diagnosis | None) -> list[Item]:
    made = []
    for ranked in cause.ranked[:_MOST] if cause else ():
        if ranked.chance >= 0.08:
            kind, what = _FOR_CAUSE[ranked.cause.id]
            made.append(
                Item(
                    kind, _set_of(facts) if what == "brush set" else what, f"{ranked.cause.words}, {ranked.chance:.0%}"
                )
            )
    return made


def _set_of(facts: Facts) -> str:
    figures, count = facts.figures, len(facts.positions)
    size = " × ".join(f"{size.need(figures):g}" for size in (THICKNESS_MM, WIDTH_MM, NEW_MM))
    known = ", ".join(w for w in (BRUSH_GRADE.of(figures), VOLTAGE_VARIANT.of(figures), GRADE_FAMILY.of(figures)) if w)
    return f"set of {count} brushes {size} mm{f', {known}' if known else ''}"
