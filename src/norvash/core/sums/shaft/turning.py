"""Sums of what turns: balance, and grease."""

from dataclasses import dataclass

from norvash.core.bearings.regreasing import KINDS, grease_g, regrease_h, too_slow_to_say, unbalance_g_mm
from norvash.core.edges import under
from norvash.core.rules.book import MotorRules
from norvash.core.sums.brush.loading import ask_class, for_class
from norvash.core.sums.registry import Sum, ask, gives
from norvash.errors import InputError


@dataclass(frozen=True, slots=True, kw_only=True)
class BalanceIn:
    """A rotor."""

    mass_kg: float = ask("Its mass", "mass", above_low=True, high=100_000)
    speed_rpm: float = ask("Its highest speed", "speed", above_low=True, high=200_000)
    grade_mm_s: float | None = ask("Speed of its centre, at most", "vibration", default=None, above_low=True, high=100)
    motor_class: str | None = ask_class()


@dataclass(frozen=True, slots=True, kw_only=True)
class BalanceOut:
    """The unbalance that may stay."""

    permissible_g_mm: float = gives("unbalance that may stay, g·mm")
    grade_used_mm_s: float = gives("speed of its centre, mm/s")
    advice: str
    rules: tuple[str, ...]


def balance(given: BalanceIn, rules: MotorRules) -> BalanceOut:
    """Return the unbalance that a rotor may keep, of both planes together."""
    grade = given.grade_mm_s if given.grade_mm_s is not None else for_class(rules, given.motor_class)["balance.grade"]
    left = unbalance_g_mm(given.mass_kg, given.speed_rpm, grade)
    return BalanceOut(
        permissible_g_mm=left,
        grade_used_mm_s=grade,
        advice=f"{left:.3g} g·mm may stay, half of it in each of two planes",
        rules=() if given.grade_mm_s is not None else ("balance.grade",),
    )


@dataclass(frozen=True, slots=True, kw_only=True)
class RegreaseIn:
    """A bearing that is greased again."""

    kind: str = ask("What it is", "word", default="ball", choices=tuple((k, k) for k in KINDS))
    bore_mm: float = ask("Bore", "length", above_low=True, high=2000)
    outside_mm: float = ask("Outside", "length", above_low=True, high=4000)
    width_mm: float = ask("Width", "length", above_low=True, high=1000)
    speed_rpm: float = ask("Speed", "speed", above_low=True, high=200_000)
    temperature_c: float = ask("Temperature of its outer ring", "temperature", default=70.0, low=-40, high=200)
    vertical: bool = ask("Its shaft stands upright", "yes", default=False)
    sealed: bool = ask("It is sealed", "yes", default=False)


@dataclass(frozen=True, slots=True, kw_only=True)
class RegreaseOut:
    """After how many hours with how much grease; None where it is not greased, or has to be looked up."""

    interval_h: float | None = gives("longest use to the next time")
    grease_g: float | None = gives("grease")
    advice: str
    rules: tuple[str, ...]


def regrease(given: RegreaseIn, rules: MotorRules) -> RegreaseOut:
    """Return when a bearing is greased again, and with how much.

    Raises: InputError for a bore that is no smaller than the outside.
    """
    if not under(given.bore_mm, given.outside_mm):
        raise InputError(
            "The bore is as large as the outside, or larger.", "Check both: are they swapped?", "outside_mm"
        )
    ids = ("regrease.warm", "regrease.half", "regrease.most")
    if given.sealed:
        return RegreaseOut(
            interval_h=None, grease_g=None, advice="never: a sealed bearing keeps its grease for life", rules=ids
        )
    kind = next(k for k in KINDS if k == given.kind) if given.kind in KINDS else "ball"
    hours = regrease_h(
        kind, given.bore_mm, given.speed_rpm, temperature_c=given.temperature_c, vertical=given.vertical, rules=rules
    )
    if too_slow_to_say(hours):
        return RegreaseOut(
            interval_h=None, grease_g=None, advice="too large or too fast for this sum: look it up", rules=ids
        )
    grams = grease_g(given.outside_mm, given.width_mm)
    return RegreaseOut(
        interval_h=hours,
        grease_g=grams,
        advice=f"every {hours:.0f} h with {grams:.3g} g; more than that reaches the commutator",
        rules=ids,
    )


SUMS = (
    Sum(
        name="balance",
        title="Balance",
        words="How far a rotor may be out of balance.",
        inputs=BalanceIn,
        compute=balance,
        example={"mass_kg": 18.0, "speed_rpm": 1500.0, "grade_mm_s": 2.5},
    ),
    Sum(
        name="regrease",
        title="Grease again",
        words="After how many hours an open bearing is greased again, and with how much.",
        inputs=RegreaseIn,
        compute=regrease,
        example={
            "kind": "ball",
            "bore_mm": 45.0,
            "outside_mm": 100.0,
            "width_mm": 25.0,
            "speed_rpm": 1500.0,
            "temperature_c": 85.0,
        },
    ),
)
