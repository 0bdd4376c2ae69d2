"""The causes that a fault can have, how common each is by class of machine, and what surroundings do to that."""

from collections.abc import Iterable, Mapping
from dataclasses import dataclass
from typing import Literal

from norvash.core.edges import under

# How a field is flashed: at the act, whoever says that it is done.
FLASHING = (
    "brushes lifted or armature parted, regulator off, at most the field's own volts; turn the current down to nothing,"
    " or put a diode or resistor across the field, before the lead is taken off"
)
Side = Literal["upstream", "brushes", "commutator", "windings", "mechanical"]
_CLASSES = ("appliance", "tool", "starter", "industrial", "traction", "generator")


@dataclass(frozen=True, slots=True, kw_only=True)
class Cause:
    """One cause: where it sits, what to do about it, its share among the faults of each class in per cent, and
    what to bring where it is suspected, as kind and thing. One without any share is never guessed, only found.
    """

    id: str
    words: str
    side: Side
    act: str
    common: dict[str, float]
    bring: tuple[str, str]


def _cause(cause_id: str, words: str, side: Side, act: str, common: str, *, bring: tuple[str, str]) -> Cause:
    """Return a cause; its shares stand in the order of the classes."""
    shares = dict(zip(_CLASSES, map(float, common.split()), strict=True))
    return Cause(id=cause_id, words=words, side=side, act=act, common=shares, bring=bring)


# fmt: off
CAUSES: tuple[Cause, ...] = (
    _cause("supply", "supply or cord", "upstream", "mend the supply; leave the motor closed", "6 8 1 6 3 1", bring=("tool", "multimeter with fused leads")),
    _cause(
        "switch",
        "switch, trigger or speed tap",
        "upstream",
        "renew the switch or mend its wiring; leave the motor closed",
        "8 10 4 5 8 2",
        bring=("part", "switch or trigger of its kind"),
    ),
    _cause(
        "cable",
        "cable, joint or battery",
        "upstream",
        "clean and tighten the joints, charge or renew the battery, then try again",
        "3 2 22 3 9 6",
        bring=("tool", "millivoltmeter, jump lead, brush for terminals"),
    ),
    _cause(
        "cutout",
        "cut-out or control module before the motor",
        "upstream",
        "find what made it hot, then renew the cut-out or module",
        "5 2 1 5 5 2",
        bring=("part", "thermal cut-out of its rating"),
    ),
    _cause(
        "regulator",
        "regulator or its wiring",
        "upstream",
        "mend the wiring or renew the regulator; the generator itself may be sound",
        "0 0 0 0 0 10",
        bring=("part", "regulator of its kind, voltmeter"),
    ),
    _cause(
        "solenoid",
        "solenoid of the starter",
        "upstream",
        "renew or overhaul the solenoid; the motor itself may be sound",
        "0 0 12 0 0 0",
        bring=("part", "solenoid of its type"),
    ),
    _cause(
        "terminal",
        "terminal or press contact at the brush",
        "brushes",
        "clean to metal, retension, test again",
        "8 5 6 4 4 5",
        bring=("tool", "contact file, flat pliers"),
    ),
    _cause("worn", "brush worn to its limit", "brushes", "renew the set", "22 26 10 14 14 14", bring=("part", "brush set")),
    _cause(
        "stuck",
        "brush stuck in its holder",
        "brushes",
        "free it, clean box and brush, check every holder",
        "6 6 10 5 4 6",
        bring=("tool", "lint-free cloth, plastic scraper, cleaner that leaves nothing"),
    ),
    _cause("spring", "spring weak, broken or corroded", "brushes", "renew the springs as a set", "3 3 2 5 4 4", bring=("part", "brush springs, pull gauge")),
    _cause("lead", "brush lead broken", "brushes", "renew the set, look at the spring for heat", "3 3 3 4 4 3", bring=("part", "brush set")),
    _cause(
        "neutral",
        "off neutral, or an interpole wrong",
        "brushes",
        "set the neutral by its mark, check the polarity of the interpoles",
        "1 1 1 4 3 3",
        bring=("tool", "millivoltmeter, paper tape for the arms"),
    ),
    _cause(
        "contamination",
        "oil or silicone vapour on the copper",
        "brushes",
        "find where it comes from, then renew brushes and clean the copper",
        "1 1 1 2 2 1",
        bring=("part", "brush set"),
    ),
    _cause(
        "wiring",
        "brush gear wired wrongly",
        "brushes",
        "wire it so that + and − alternate round the commutator",
        "0 0 0 0 0 0",
        bring=("tool", "meter, drawing of the plate"),
    ),
    _cause("wrong-brush", "wrong brush fitted", "brushes", "fit the brush that the type asks for", "2 3 1 3 2 2", bring=("part", "brush set")),
    _cause(
        "dirty",
        "commutator dirty or oxidised",
        "commutator",
        "clean it and its slots, then look at the cause",
        "4 4 6 5 3 9",
        bring=("tool", "commutator stone, slot brush"),
    ),
    _cause(
        "rough",
        "commutator burnt, rough or out of round",
        "commutator",
        "measure run-out and plan a cut",
        "5 5 4 10 8 7",
        bring=("tool", "dial gauge with stand"),
    ),
    _cause(
        "open-coil",
        "open coil or riser",
        "windings",
        "re-solder the riser if that is all, else renew the armature",
        "4 4 2 4 4 5",
        bring=("tool", "current source and millivoltmeter for the bar test"),
    ),
    _cause("short", "shorted armature turns", "windings", "renew or rewind the armature", "4 5 2 4 4 4", bring=("tool", "growler or bar tester")),
    _cause("earth", "earth fault", "windings", "isolate, clean and dry, test again before condemning it", "2 1 2 5 5 3", bring=("tool", "insulation tester")),
    _cause("field", "field coil fault", "windings", "compare the coils, renew the odd one", "2 3 2 4 3 6", bring=("tool", "low-ohm meter")),
    _cause(
        "tracking",
        "carbon dust tracking to earth",
        "windings",
        "clean and dry the insulation, test it again",
        "3 3 2 6 5 4",
        bring=("tool", "insulation tester, warm dry air"),
    ),
    _cause(
        "cutout-inside",
        "thermal cut-out inside the motor",
        "windings",
        "find what made it hot, then renew the cut-out",
        "3 2 0 1 1 0",
        bring=("part", "thermal cut-out of its rating"),
    ),
    _cause(
        "residual",
        "residual field lost",
        "windings",
        f"flash the field with the right polarity: {FLASHING}",
        "0 0 0 0 0 10",
        bring=("tool", "battery for flashing the field"),
    ),
    _cause(
        "magnet",
        "magnet weak, cracked or loose",
        "mechanical",
        "take it out of service: fragments jam the gap",
        "1 1 2 1 1 2",
        bring=("tool", "wedges of wood, non-magnetic tools"),
    ),
    _cause(
        "bearing",
        "bearing or bush worn or seized",
        "mechanical",
        "renew the bearing, check shaft and seat",
        "8 7 5 8 6 7",
        bring=("part", "bearings, puller, press sleeve"),
    ),
    _cause(
        "cooling",
        "cooling blocked or fan broken",
        "mechanical",
        "clear the air's way, renew the fan",
        "3 3 0 2 2 1",
        bring=("part", "fan of its kind, soft brush"),
    ),
    _cause(
        "imbalance",
        "imbalance or coupling",
        "mechanical",
        "balance it, align the coupling",
        "1 1 0 3 2 2",
        bring=("tool", "vibration meter, dial gauge with stand"),
    ),
    _cause(
        "belt",
        "belt off or slipping",
        "mechanical",
        "put the belt on, tension or renew it; the motor itself may be sound",
        "4 1 0 3 0 4",
        bring=("part", "belt of its kind"),
    ),
    _cause(
        "load",
        "load jammed, or gear, pinion, belt or clutch",
        "mechanical",
        "free or mend the drive before blaming the motor",
        "6 6 7 6 7 3",
        bring=("part", "pinion, gear or coupling of its kind"),
    ),
)
# fmt: on
BY_ID = {c.id: c for c in CAUSES}

# How many times as common a cause is in some surroundings.
SURROUNDINGS: dict[str, dict[str, float]] = {
    "wet": {"stuck": 2, "terminal": 1.5, "earth": 2, "tracking": 1.5, "bearing": 1.3, "spring": 1.5},
    "salt": {"stuck": 2, "terminal": 2, "earth": 2, "spring": 2, "dirty": 1.5, "cable": 1.5},
    "dusty": {"stuck": 1.5, "worn": 1.5, "tracking": 2, "switch": 1.3, "cooling": 2},
    "oily": {"dirty": 2, "stuck": 1.5, "tracking": 1.5, "contamination": 3},
    "hot": {"cutout": 2, "cutout-inside": 2, "cooling": 1.5, "short": 1.5, "field": 1.5, "spring": 1.3},
    "vibrating": {"imbalance": 2, "lead": 2, "rough": 1.5, "terminal": 1.5, "bearing": 1.3},
    "idle": {"stuck": 3, "dirty": 2, "spring": 1.5, "residual": 2},
    "outdoor": {"terminal": 1.5, "stuck": 1.3, "earth": 1.3},
}


def base_rates(
    motor_class: str, surroundings: Iterable[str] = (), cases: Mapping[str, int] | None = None, weight: float = 20
) -> dict[str, float]:
    """Return how likely each cause is before anything was noticed; they sum to 1, a cause that cannot be is 0.

    `cases` counts how often each cause was proven at this site on motors of the class; once there are `weight` of them
    they count beside the table, which stands for `weight` cases itself. Units: motor_class one of the six classes;
    surroundings from the table, others change nothing -> [1]
    Source: rule diagnosis.cases
    """
    rates = {c.id: c.common[motor_class] for c in CAUSES}
    known = {c: n for c, n in (cases or {}).items() if rates.get(c)}
    if not under(sum(known.values()), weight):
        common = sum(rates.values())
        rates = {c: weight * rate / common + known.get(c, 0) for c, rate in rates.items()}
    for around in surroundings:
        for cause_id, times in SURROUNDINGS.get(around, {}).items():
            rates[cause_id] *= times
    total = sum(rates.values())
    return {cause_id: rate / total for cause_id, rate in rates.items()}
