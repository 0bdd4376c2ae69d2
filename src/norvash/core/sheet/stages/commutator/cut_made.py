"""A cut as it is recorded on a sheet: what was cut, and what it changed, before and after."""

from collections.abc import Mapping
from math import pi

from norvash.core.commutator.after_cut import Change
from norvash.core.edges import over
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.given import Given
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.stages.commutator.copper_now import copper_now
from norvash.core.sheet.stages.commutator.cut import CUT_DONE
from norvash.core.sheet.stages.rework import HOLDER_SET
from norvash.errors import InputError

_LEAST_LEFT = 0.5


def cut_record(sheet: Sheet, after_mm: float, rules: MotorRules) -> dict[str, str]:
    """Return what belongs to a cut that is made, by the diameter measured after it [mm].

    Raises: InputError while the bar test is missing that the map asks for, before anything was measured, or for a
    diameter that no cut can leave.
    """
    now = copper_now(sheet, rules)
    if now.needs_bar_test:
        raise InputError(
            f"The bar test comes before the cut: {now.needs_bar_test}.",
            "Make it and enter it; a cut hides an open coil for a week.",
            "value",
        )
    if now.plan is None:
        problem = now.trouble["cut"].problem if "cut" in now.trouble else "The diameter before the cut is not measured."
        raise InputError(problem, "Enter the diameter of track or shoulder, then the diameter after the cut.", "value")
    copper = now.plan.copper
    track = copper.diameter - 2 * copper.groove
    if after_mm <= _LEAST_LEFT * copper.diameter or over(after_mm, track):
        raise InputError(
            f"{after_mm:g} mm after a cut of {track:.2f} mm cannot be.",
            "Give the diameter as measured after the cut; it is a diameter, not a depth.",
            "value",
        )
    radial, sunk = (copper.diameter - after_mm) / 2, (track - after_mm) / 2
    earlier = CUT_DONE.given(sheet)
    gap = copper.gap
    if gap is not None and earlier is not None and not HOLDER_SET.of(sheet):
        gap -= float(earlier.more.get("sunk", "0"))
    made = {
        "radial": radial,
        "sunk": sunk,
        "before": track,
        "after": after_mm,
        "least": now.plan.least,
        "gap": gap,
        "slot": copper.slot_depth,
    }
    return {name: f"{value:.6g}" for name, value in made.items() if value is not None}


def cut_words(more: Mapping[str, str]) -> str:
    """Return a recorded cut in words."""
    return (
        f"{float(more['radial']):.3f} mm radial, {float(more['before']):.2f} to {float(more['after']):.2f} mm in"
        f" diameter; the brush sinks by {float(more['sunk']):.3f} mm"
    )


def cut_changes(done: Given, bars: int | None, limit_mm: float | None, *, holders_set: bool) -> tuple[Change, ...]:
    """Return what a recorded cut changed, before and after; limit_mm is the limit in force now."""
    at = {name: float(value) for name, value in done.more.items()}
    sunk, before, after, radial = at["sunk"], at["before"], at["after"], at["radial"]
    gap, slot = at.get("gap"), at.get("slot")
    base = None if limit_mm is None else limit_mm - (0.0 if holders_set else sunk)
    return (
        Change("diameter", "Diameter of the track", "mm", before, after),
        Change("gap", "Holder gap", "mm", gap, gap if gap is None or holders_set else gap + sunk),
        Change("limit", "Shortest length allowed", "mm", base, limit_mm),
        Change("depth", "Depth and protrusion readings", "mm", 0.0, 0.0 if holders_set else sunk),
        Change("slot", "Slot depth", "mm", slot, None if slot is None else slot - radial),
        Change("face", "Radius of the brush face", "mm", before / 2, after / 2),
        Change(
            "pitch",
            "Bar pitch",
            "mm",
            None if not bars else pi * before / bars,
            None if not bars else pi * after / bars,
        ),
    )
