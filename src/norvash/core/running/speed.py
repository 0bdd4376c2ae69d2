"""How fast a motor may turn: its speed without load, and the speed that it must not pass."""

from dataclasses import dataclass
from typing import Literal

from norvash.core.edges import over, under
from norvash.core.rules.book import MotorRules
from norvash.core.text.words import grouped
from norvash.errors import InputError

# Constructions whose speed is held by their field: a permitted speed follows from the plate.
HELD_BY_FIELD = ("shunt", "compound", "separately excited", "permanent-magnet")
SpeedGrade = Literal["good", "not judged", "plan", "stop"]


@dataclass(frozen=True, slots=True, kw_only=True)
class SpeedPlate:
    """What says how fast a motor may turn: permitted speed, highest speed of the plate and speed without load [r/min],
    None where nobody states it.
    """

    permitted_rpm: float | None = None
    rated_rpm: float | None = None
    noload_rpm: float | None = None


@dataclass(frozen=True, slots=True)
class Permitted:
    """The speed that a motor must not pass [r/min], and what says so."""

    rpm: float
    why: str


def noload_rpm(
    rated_rpm: float, rated_v: float, rated_a: float, *, armature_ohm: float, drop_v: float, noload_a: float
) -> float:
    """Return the speed without load that follows from the plate of a shunt or magnet motor.

    Units: [r/min], [V], [A], armature_ohm [Ω], drop_v of the pair of brushes [V] -> [r/min]. Raises: InputError where
    the drops eat the voltage. Source: counter-voltage in proportion to speed at constant field

    >>> round(noload_rpm(1500, 220, 48, armature_ohm=0.32, drop_v=2.0, noload_a=4.2), 4)
    1603.7505
    """
    loaded_v = rated_v - drop_v - rated_a * armature_ohm
    idle_v = rated_v - drop_v - noload_a * armature_ohm
    if not over(loaded_v, 0.0) or over(noload_a, rated_a):
        raise InputError(
            "These figures of the plate contradict each other: nothing is left of the voltage.",
            "Check voltage, current and armature resistance.",
            "armature_ohm",
        )
    return rated_rpm * idle_v / loaded_v


def permitted(plate: SpeedPlate, construction: str, rules: MotorRules) -> Permitted | None:
    """Return the speed that a motor must not pass, in whatever way it runs; None where nothing says it.

    Source: rules speed.plate, speed.noload, speed.most
    """
    if plate.permitted_rpm is not None:
        return Permitted(plate.permitted_rpm, "as permitted")
    of_noload = None if plate.noload_rpm is None else rules["speed.noload"] * plate.noload_rpm
    if construction not in HELD_BY_FIELD or plate.rated_rpm is None:
        held = construction in ("series", "universal", *HELD_BY_FIELD)
        return (
            None
            if of_noload is None or not held
            else Permitted(of_noload, _times(rules["speed.noload"], "speed without load"))
        )
    of_plate = rules["speed.plate"] * plate.rated_rpm
    most = rules["speed.most"] * plate.rated_rpm
    if of_noload is None or not over(of_noload, of_plate):
        return Permitted(of_plate, _times(rules["speed.plate"], "plate speed"))
    if over(of_noload, most):
        return Permitted(most, _times(rules["speed.most"], "plate speed"))
    return Permitted(of_noload, _times(rules["speed.noload"], "speed without load"))


def _times(factor: float, of: str) -> str:
    return f"{factor:g} times its {of}"


@dataclass(frozen=True, slots=True)
class SpeedJudged:
    """A speed without load, judged, and why."""

    grade: SpeedGrade
    words: str


def judge_unloaded(rpm: float, plate: SpeedPlate, rules: MotorRules) -> SpeedJudged:
    """Return what the speed without load says of a motor whose speed its field holds, where nothing usual is stated.

    Units: [r/min]. Source: rules speed.weak-field, speed.unknown, speed.most
    """
    least = rules["speed.weak-field"]
    if plate.noload_rpm is not None:
        much = over(rpm, least * plate.noload_rpm)
        of = f"{grouped(rpm)} r/min, {rpm / plate.noload_rpm:.0%} of its speed without load"
        return SpeedJudged("plan" if much else "good", of)
    if plate.rated_rpm is None:
        return SpeedJudged("not judged", f"{grouped(rpm)} r/min, not judged: say the speed of its plate")
    of = f"{grouped(rpm)} r/min, {rpm / plate.rated_rpm:.0%} of its plate's"
    if not over(rpm, least * plate.rated_rpm):
        return SpeedJudged("good", of)
    if not over(rpm, rules["speed.unknown"] * plate.rated_rpm):
        return SpeedJudged("not judged", f"{of}, not judged: say its speed without load")
    return SpeedJudged("stop" if over(rpm, rules["speed.most"] * plate.rated_rpm) else "plan", of)


def unloaded_share(rated_w: float | None, rules: MotorRules, *, heavy: bool) -> float:
    """Return the share of the plate's current that a motor may draw without load.

    Units: rated_w [W], None where nobody states it: then a `heavy` class counts as large. Source: rules noload.large,
    noload.small, noload.power
    """
    large = heavy if rated_w is None else not under(rated_w, 1000 * rules["noload.power"])
    return rules["noload.large"] if large else rules["noload.small"]
