"""What to bring to a motor: tools, brushes, seals and protection, from its type and from what is suspected."""

from dataclasses import dataclass

from norvash.core.diagnosis.ranking import Diagnosis
from norvash.core.edges import over, under
from norvash.core.grades import GRADES
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
from norvash.core.state.findings import Findings


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
    if mass is not None and over(mass, rules["lift.person"]):
        made.append(Item("protection", "hoist, slings, a second person", f"{mass:g} kg"))
    if found.grade is not None and GRADES.index(found.grade) >= GRADES.index("plan"):
        made.append(Item("part", _set_of(facts), "the verdict on its set"))
    if facts.motor_class == "starter":
        made.append(Item("part", "seals and O-rings of its case", "opened starters are sealed again"))
    made += _suspected(facts, cause, rules)
    first: dict[str, Item] = {}
    for item in made:
        first.setdefault(item.what, item)
    return tuple(first.values())


def _suspected(facts: Facts, cause: Diagnosis | None, rules: MotorRules) -> list[Item]:
    made = []
    for ranked in cause.ranked[:_MOST] if cause else ():
        if not under(ranked.chance, rules["diagnosis.bring"]):
            kind, what = ranked.cause.bring
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
