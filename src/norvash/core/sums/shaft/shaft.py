"""Sums about the shaft: end float with its shims, vibration of the housing."""

from dataclasses import dataclass

from norvash.core.bearings.fitting import shim_mm, shim_stack
from norvash.core.bearings.vibration import Stands, judge_vibration
from norvash.core.grades import word_of
from norvash.core.rules.book import MotorRules
from norvash.core.sums.registry import Sum, ask, gives
from norvash.core.text.words import listed
from norvash.errors import InputError


@dataclass(frozen=True, slots=True, kw_only=True)
class FloatIn:
    """End float of a shaft with what is allowed, and the shims that lie there."""

    float_mm: float = ask(
        "End float, as measured", "length", high=50, hint="shaft pushed and pulled against a dial gauge"
    )
    float_low_mm: float = ask("Allowed from", "length", default=0.0, high=50)
    float_high_mm: float = ask("Allowed up to", "length", above_low=True, high=50, hint="by the maker's manual")
    shims_mm: list[float] | None = ask(
        "Shims that are there",
        "length",
        default=None,
        above_low=True,
        high=20,
        hint="one of each thickness, like 0.1; 0.2; 0.5",
    )


@dataclass(frozen=True, slots=True, kw_only=True)
class FloatOut:
    """Shim to add, negative to take out, and what of the shims there does it."""

    float_ok: bool = gives("inside its band")
    shim_add_mm: float = gives("shim to the middle, negative out")
    shim_least_mm: float = gives("shim at least")
    shim_most_mm: float = gives("shim at most")
    shims_used_mm: tuple[float, ...] | None = gives("of those there")
    float_after_mm: float | None = gives("end float then")
    advice: str
    rules: tuple[str, ...]


def end_float(given: FloatIn, _rules: MotorRules) -> FloatOut:
    """Return the shim that brings the end float to the middle of its band, and which of the shims there bring it
    inside.

    Raises: InputError for a band that ends before it begins.
    """
    low, high = given.float_low_mm, given.float_high_mm
    if not low < high:
        raise InputError(
            "The float is allowed up to no more than from.", "Give the smaller figure first.", "float_high_mm"
        )
    add = shim_mm(given.float_mm, low, high)
    least, most = given.float_mm - high, given.float_mm - low
    ok = add == 0.0
    used = shim_stack(least, most, given.shims_mm) if add > 0 and given.shims_mm else None
    after = given.float_mm - sum(used) if used else None
    return FloatOut(
        float_ok=ok,
        shim_add_mm=add,
        shim_least_mm=least,
        shim_most_mm=most,
        shims_used_mm=used,
        float_after_mm=after,
        advice=_float_words(given, add, used, after),
        rules=(),
    )


def _float_words(given: FloatIn, add: float, used: tuple[float, ...] | None, after: float | None) -> str:
    band = f"{given.float_low_mm:g} to {given.float_high_mm:g} mm allowed"
    if add == 0:
        return f"leave the shims as they are: {given.float_mm:.2f} mm, {band}"
    if add < 0:
        return (
            f"take out {-add:.2f} mm of shim, or look for a bearing that is not home: {given.float_mm:.2f} mm, {band}"
        )
    if used and after is not None:
        return f"put in {listed([f'{s:g}' for s in used])} mm: the float is {after:.2f} mm then, {band}"
    none = "; none of those there, alone or together, brings it inside" if given.shims_mm else ""
    return (
        f"put in {add:.2f} mm of shim, {given.float_mm - given.float_high_mm:.2f} mm at least{none}; more than wear"
        " explains asks for a look at the bearing seats"
    )


@dataclass(frozen=True, slots=True, kw_only=True)
class VibrationIn:
    """Vibration of the housing of a bolted machine, at each place where it was measured."""

    vibration_mm_per_s: list[float] = ask(
        "Velocity, root mean square", "vibration", high=1000, hint="drive end, other end, along the shaft: mm/s"
    )
    previous_mm_per_s: float | None = ask("Greatest last time", "vibration", default=None, above_low=True, high=1000)
    rated_kw: float | None = ask(
        "Power of the plate, kW", "count", default=None, above_low=True, high=1e6, hint="empty: to 15 kW"
    )
    flexible: bool = ask("It stands flexible", "yes", default=False)
    carries: bool = ask("It hangs a load or carries people", "yes", default=False)
    hand_held: bool = ask("Held in the hand", "yes", default=False)


@dataclass(frozen=True, slots=True, kw_only=True)
class VibrationOut:
    """The greatest value, judged, the line over which it must be mended, and how it has grown."""

    greatest_mm_per_s: float = gives("greatest")
    greatest_place: int = gives("at measuring place")
    worst_line_mm_per_s: float = gives("mended over")
    grown_share: float | None = gives("more than last time", share=True)
    stage: str
    stage_words: str = gives("stage")
    advice: str
    rules: tuple[str, ...]


_SHAKEN = {
    "fit": "nothing to do",
    "watch": "look at balance, bearings and coupling at the next stop",
    "plan": "plan the repair",
    "change": "mend it now",
    "stop": "it must not run",
}


def vibration(given: VibrationIn, rules: MotorRules) -> VibrationOut:
    """Return the greatest vibration, judged.

    Raises: InputError for nothing measured, a machine held in the hand, or one that is too large.
    """
    if not given.vibration_mm_per_s:
        raise InputError("Nothing is measured.", "Give one value at least, in mm/s.", "vibration_mm_per_s")
    if given.hand_held:
        raise InputError(
            "The lines hold for bolted machines, not for one held in the hand.",
            "Judge it by feel and sound against a good one.",
            "hand_held",
        )
    greatest = max(given.vibration_mm_per_s)
    watts = None if given.rated_kw is None else 1000 * given.rated_kw
    found = judge_vibration(greatest, given.previous_mm_per_s, Stands(watts, given.flexible, given.carries), rules)
    return VibrationOut(
        greatest_mm_per_s=greatest,
        greatest_place=given.vibration_mm_per_s.index(greatest) + 1,
        worst_line_mm_per_s=found.lines[2],
        grown_share=found.grown,
        stage=found.grade,
        stage_words=word_of(found.grade, carbon=False),
        advice=f"{greatest:g} mm/s, {found.words}: {_SHAKEN[found.grade]}",
        rules=(*found.rules, "vibration.sign", "vibration.plan", "vibration.change"),
    )


SUMS = (
    Sum(
        name="end-float",
        title="End float and shims",
        words="What shim brings the play of the shaft into its band, and which of the shims in the box do it.",
        inputs=FloatIn,
        compute=end_float,
        example={"float_mm": 0.74, "float_low_mm": 0.1, "float_high_mm": 0.3, "shims_mm": [0.1, 0.15, 0.3, 0.5]},
    ),
    Sum(
        name="vibration",
        title="Vibration",
        words="How much a housing shakes, against what is good, acceptable and too much.",
        inputs=VibrationIn,
        compute=vibration,
        example={"vibration_mm_per_s": [1.1, 2.3, 0.8], "previous_mm_per_s": 1.6},
    ),
)
