"""The parts of a motor in the order of its axis, and on which of them everything lies that is looked for, measured,
found and done: what somebody touches on the drawing.
"""

from collections.abc import Mapping
from dataclasses import dataclass
from functools import partial
from types import MappingProxyType

from norvash.core.motor.figure_fields import IT_TURNS
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.field import BEARINGS, Field, Tick
from norvash.core.sheet.fields_made import tick
from norvash.core.sheet.finding import Finding
from norvash.core.sheet.part import BELT, BESIDE, BRUSHES, COMMUTATOR, HOLDERS, SPRINGS

BEARING = "bearing"
DRIVE_END, OTHER_END = (f"{BEARING}-{n}" for n in (1, 2))


@dataclass(frozen=True, slots=True)
class AxisPart:
    """One part on the axis: its id, what it is called on this motor, the stage at which it is looked at, and of a
    bearing its number.
    """

    id: str
    words: str
    stage: str
    bearing: int = 0


# Every part in the order of the axis, from the commutator end to the drive, with the stage that looks at it.
_STAGE: Mapping[str, str] = MappingProxyType(
    {
        OTHER_END: "drive",
        "gear": "brushes",
        "commutator": "commutator",
        "binding": "windings",
        "frame": "drive",
        "core": "windings",
        "field": "windings",
        "terminals": "windings",
        "solenoid": "drive",
        "shaft": "drive",
        "fan": "drive",
        DRIVE_END: "drive",
        "seal": "drive",
        "drive": "drive",
    }
)
# Which of them only some classes have; all others every motor has.
_ONLY: Mapping[str, tuple[str, ...]] = MappingProxyType(
    {
        "binding": ("industrial", "traction", "generator"),
        "fan": ("industrial", "appliance", "tool", "generator", "traction"),
        "seal": ("industrial", "traction", "generator"),
        "solenoid": ("starter",),
    }
)
# Where a thing lies on a motor that has no such part of its own.
_INSTEAD = {"binding": "core", "seal": DRIVE_END, "fan": "shaft", "solenoid": "drive"}
_DRIVES: Mapping[str, str] = MappingProxyType(
    {
        "starter": "clutch and pinion",
        "appliance": "belt and pulley",
        "tool": "gear and pinion",
        "industrial": "coupling",
        "traction": "gear and pinion",
        "generator": "belt and pulley",
    }
)
_TURNS = {"belt": "belt and pulley", "gears": "gear and pinion", "fan": "fan wheel", "chain": "chain and sprocket"}
_FIELD_PARTS = ("windings.field", "windings.poles", "windings.interpole", "windings.short", "windings.open-coil")
_FIELD_ALSO = ("windings.joint", "windings.coil-off", "magnets.cracked", "magnets.weak", "field.weak")
_ON_DRIVE = (
    *("drive.worn", "drive.belt", "drive.jammed", "pinion.gap", "pinion.under", "part.refused.drive"),
    *("drive.coupling", "drive.teeth", "drive.gear-dry", "drive.chain"),
)
_ON_SHAFT = ("drive.shaft", "drive.shaft-cracked", "drive.keyway", "drive.washer", "float.out", "stack.left-out")
_ON_TERMINALS = ("chain.dead", "earth.open", "earth.joined", "plug.two-cores", "suppressor.hurt", "suppressor.short")
# What does not follow from its part: findings by their ids.
_FINDINGS: Mapping[str, str] = MappingProxyType(
    {
        "windings.binding": "binding",
        **dict.fromkeys((*_FIELD_PARTS, *_FIELD_ALSO), "field"),
        **dict.fromkeys(_ON_TERMINALS, "terminals"),
        **dict.fromkeys(_ON_DRIVE, "drive"),
        **dict.fromkeys(_ON_SHAFT, "shaft"),
        **dict.fromkeys(("vibration.watch", "vibration.high"), "frame"),
        **dict.fromkeys(("drive.fan", "drive.fan-chipped"), "fan"),
        "ring.squeeze": "seal",
        **dict.fromkeys(("solenoid.bad", "solenoid.stuck", "solenoid.burnt"), "solenoid"),
    }
)
_BY_PART: Mapping[str, str] = MappingProxyType(
    {
        **dict.fromkeys((BRUSHES.id, SPRINGS.id, HOLDERS.id), "gear"),
        COMMUTATOR.id: "commutator",
        "windings": "core",
        "drive": BEARING,
        BELT.id: "drive",
    }
)
# Fields of the stages that are walked by parts, which tell no finding or tell of more than one part.
_FIELDS: Mapping[str, str] = MappingProxyType(
    {
        **dict.fromkeys(("parted-brushes", "parted-field", "parted-capacitors", "insulation-of"), "core"),
        **dict.fromkeys(("parted-solenoid", "waiver.insulation", "growler", "growler-slots"), "core"),
        **dict.fromkeys(("cold-ohm", "cold-c", "hot-ohm", "winding-c", "air-c"), "core"),
        **dict.fromkeys(("coils", "field-ohm", "coils-c", "coils-step"), "field"),
        **dict.fromkeys(("wear-chain", "heat-chain"), "terminals"),
        **dict.fromkeys(("end-float", "float-in"), "shaft"),
        "vibration": "frame",
        **dict.fromkeys(("ring-section", "ring-groove"), "seal"),
        **dict.fromkeys(("teeth", "clutch", "belt", "cushions", "pinion-gap"), "drive"),
        **dict.fromkeys(("plunger", "contact", "solenoid-v"), "solenoid"),
    }
)
_CIRCUITS = ("core", "core", "field", "terminals")


def _has(part_id: str, facts: Facts, _rules: MotorRules) -> bool:
    """Tell whether a motor has a part."""
    return part_id == OTHER_END or any(p.id == part_id for p in axis_of(facts))


LOOKED: Mapping[str, Tick] = MappingProxyType(
    {
        i: tick(
            f"looked.{i.removesuffix('-1').removesuffix('-2')}",
            "Seen",
            "looked at, nothing found",
            needs="safe",
            per="bearing" if i.startswith(BEARING) else "",
            judged=True,
            placed=True,
            offered=partial(_has, i),
        )
        for i, stage in _STAGE.items()
        if stage in ("windings", "drive") and i != DRIVE_END
    }
)
WALKED = ("windings", "drive")


def looks_of(stage: str) -> tuple[Tick, ...]:
    """Return the ticks of a stage that say of one part each that it was looked at and nothing found."""
    return tuple(LOOKED[i] for i, at in _STAGE.items() if at == stage and i in LOOKED)


def looked(part: AxisPart) -> Tick | None:
    """Return the tick that says that a part was looked at and nothing found, None at a stage that has its own."""
    return LOOKED.get(OTHER_END if part.bearing else part.id)


def axis_of(facts: Facts) -> tuple[AxisPart, ...]:
    """Return the parts that a motor has, as its class is built, in the order of the axis."""
    made = [i for i in _STAGE if facts.motor_class in _ONLY.get(i, (facts.motor_class,))]
    if not facts.solenoid:
        made = [i for i in made if i != "solenoid"]
    return tuple(AxisPart(i, _words(i, facts), _STAGE[i], _number(i)) for i in made)


def _number(part_id: str) -> int:
    return int(part_id[-1]) if part_id.startswith(BEARING) else 0


def _words(part_id: str, facts: Facts) -> str:
    starter = facts.motor_class == "starter"
    if part_id in (DRIVE_END, OTHER_END):
        ends = ("nose" if starter else BEARINGS[0], "commutator end")
        return f"{'bush' if starter else 'bearing'}, {ends[_number(part_id) - 1]}"
    if part_id == "drive":
        return _TURNS.get(IT_TURNS.of(facts.figures) or "", _DRIVES[facts.motor_class])
    if part_id == "field":
        return "magnets" if facts.magnets else "field"
    if part_id == "frame":
        return "nose and frame" if starter else "frame and feet" if not facts.idles else "housing"
    return _PLAIN[part_id]


_PLAIN = {
    "gear": "brush gear",
    "commutator": "commutator",
    "binding": "binding",
    "core": "core and winding",
    "terminals": "terminals",
    "solenoid": "solenoid and lever",
    "fan": "fan",
    "shaft": "shaft",
    "seal": "seal",
}


def at_finding(finding: Finding) -> str:
    """Return on which part a finding lies, empty for one that is beside the motor; `BEARING` for one at a bearing."""
    if finding.id in _FINDINGS:
        return _FINDINGS[finding.id]
    return "" if finding.part in BESIDE else _BY_PART.get(finding.part.id, "")


def at_field(field: Field, place: int) -> str:
    """Return on which part a field of a stage that is walked by parts lies, empty for one that is beside them."""
    if field.per == "bearing":
        return f"{BEARING}-{place}" if place else DRIVE_END
    if field.per == "circuit":
        return _CIRCUITS[place]
    if field.id in _FIELDS:
        return _FIELDS[field.id]
    told = {at_finding(f) for f in field.tells}
    return next(iter(told)) if len(told) == 1 else ""


def on(part_id: str, parts: Mapping[str, AxisPart]) -> str:
    """Return where a thing lies on a motor: on its part, or on the one that bears it there."""
    return part_id if part_id in parts else _INSTEAD.get(part_id, part_id)
