"""What the size of the copper asks for before it is cut, and what a cut has left to be done."""

from collections.abc import Iterator
from dataclasses import replace

from norvash.core.commutator.cut import Plan
from norvash.core.commutator.slots import slot_again_mm
from norvash.core.edges import over, under
from norvash.core.judging.commutator.copper_now import CopperNow
from norvash.core.judging.commutator.left_by_cut import faces_right, gaps_right
from norvash.core.judging.commutator.to_cut import slots_min
from norvash.core.motor.figure_fields import BARS, HOLDER_GAP_MM, SLOT_LEAST_MM, SLOT_WIDTH_MM, UNDERCUT_MM
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.finding import Finding
from norvash.core.sheet.records import CutRecord
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.brushes.carbon import FACE_CUT
from norvash.core.stages.brushes.holders import GAP_CUT, HOLDER_GAP
from norvash.core.stages.commutator.cut import (
    COPPER_CUT,
    COPPER_LAST,
    COPPER_REFUSED,
    COPPER_UNDER,
    CUT_CONDEMNED,
    CUT_DONE,
)
from norvash.core.stages.commutator.size import GROOVE, PIT, SLOT_DEPTH, SLOT_SHALLOW
from norvash.core.stages.rework import HOLDER_SET
from norvash.core.stages.shared import CONTOUR_FACES, SET_HOLDERS, UNDERCUT_MICA

# Half of the last digit to which a plan states its diameter.
_LAST_DIGIT_MM = 0.005


def cut_found(sheet: Sheet, now: CopperNow, rules: MotorRules) -> Iterator[Finding]:
    """Yield what the copper asks for before a cut, and what one that was made has left. Source: rules cut.*, slot.*"""
    plan, made = now.plan, CUT_DONE.given(sheet)
    done = made.cut if made is not None else None
    if done is not None:
        if now.condemned:
            yield CUT_CONDEMNED.worded(f"{CUT_CONDEMNED.words}: {now.condemned}")
        yield from _left(done)
        yield from _short_of_plan(sheet, done, plan)
        yield from _after_cut(sheet, done, rules)
        return
    if now.could is None:
        return
    about = ", the least an estimate" if now.could.provisional else ""
    if under(now.could.copper.diameter_mm, now.could.least_diameter_mm):
        least = f"under its least of {now.could.least_diameter_mm:.2f} mm{about}"
        yield COPPER_UNDER.worded(f"{now.could.copper.diameter_mm:.2f} mm in diameter, {least}")
    elif plan is not None and _asks_for_cut(now):
        depth = plan.chosen
        if depth.allowed:
            yield _without_trivia(sheet, plan, rules).worded(
                f"cleans up with {depth.radial_mm:.3f} mm radial, to {depth.diameter_after_mm:.2f} mm;"
                f" {depth.skims_left}"
                f" more such cuts left{about}"
            )
        else:
            yield COPPER_REFUSED.worded(
                f"a cut would end {depth.under_by_diameter_mm:.3f} mm under the least diameter; deepest allowed"
                f" {plan.deepest_radial_mm:.3f}"
                f" mm radial{about}"
            )


def _asks_for_cut(now: CopperNow) -> bool:
    """Tell whether the surface asks for a cut, and not for another setting up first."""
    set_up = now.run_out is not None and now.run_out.cause in ("set-up", "off centre")
    return now.work is not None and now.work[0].id == "skim" and not set_up


def _without_trivia(sheet: Sheet, plan: Plan, rules: MotorRules) -> Finding:
    """Return that a cut is to be made, without the work that it will not ask for: slots that stay deep enough are not
    undercut, nor is flush insulation ever.
    """
    radial_mm, after_mm = plan.chosen.radial_mm, plan.chosen.diameter_after_mm
    planned = CutRecord(
        radial_mm=radial_mm,
        sunk_radial_mm=radial_mm,
        before_diameter_mm=after_mm + 2 * radial_mm,
        after_diameter_mm=after_mm,
        holder_gap_radial_mm=HOLDER_GAP_MM.stated(sheet.facts.figures),
    )
    spared = {
        UNDERCUT_MICA: plan.copper.flush or (plan.slot_after_radial_mm is not None and not plan.undercut_by_radial_mm),
        SET_HOLDERS: gaps_right(sheet, planned, rules),
        CONTOUR_FACES: faces_right(planned, rules),
    }
    return replace(COPPER_CUT, tasks=tuple(t for t in COPPER_CUT.tasks if not spared.get(t, False)))


def _left(done: CutRecord) -> Iterator[Finding]:
    """Return what a cut left of the copper."""
    after, least = done.after_diameter_mm, done.least_diameter_mm
    if least is None:
        return
    if under(after, least):
        yield COPPER_UNDER.worded(f"{after:.2f} mm after the cut, under its least of {least:.2f} mm")
    elif under(after - least, 2 * done.radial_mm):
        yield COPPER_LAST.worded(
            f"{(after - least) / 2:.3f} mm radial left above the least diameter, less than the last cut"
        )


def _short_of_plan(sheet: Sheet, done: CutRecord, plan: Plan | None) -> Iterator[Finding]:
    """Return that a cut left damage standing: it ends above its plan, and nobody measured a clean track since."""
    clean = all(g is not None and g.number == 0 for g in (sheet.given(f.id, 0, "left") for f in (GROOVE, PIT)))
    if plan is None or not plan.chosen.allowed or clean:
        return
    planned = plan.chosen.diameter_after_mm
    if over(done.after_diameter_mm, planned + _LAST_DIGIT_MM):
        yield COPPER_CUT.worded(
            f"not cleaned up: {done.after_diameter_mm:.2f} mm after the cut, {planned:.2f} mm is its plan"
        )


def _after_cut(sheet: Sheet, done: CutRecord, rules: MotorRules) -> Iterator[Finding]:
    """Return what a cut leaves to be done, until it is measured again: holders, faces, slots."""
    sunk, slot = done.sunk_radial_mm, done.slot_depth_radial_mm
    if sunk > 0 and not _gaps_measured(sheet) and not gaps_right(sheet, done, rules):
        gap = done.holder_gap_radial_mm
        wider = "" if gap is None else f", gap {gap:.2f} to {gap + sunk:.2f} mm"
        yield GAP_CUT.worded(f"holders not set since the cut: the brush sinks by {sunk:.3f} mm{wider}")
    before, after = done.before_diameter_mm, done.after_diameter_mm
    if not faces_right(done, rules):
        yield FACE_CUT.worded(f"faces shaped to {before / 2:.2f} mm, the radius is {after / 2:.2f} mm now")
    measured = sheet.given(SLOT_DEPTH.id, 0, "left")
    left = SLOT_DEPTH.of(sheet) if measured is not None else None if slot is None else max(slot - done.radial_mm, 0.0)
    if left is not None:
        yield from _slots_after(sheet, left, after, rules)


def _slots_after(sheet: Sheet, depth_mm: float, diameter_mm: float, rules: MotorRules) -> Iterator[Finding]:
    """Return that slots are too shallow after a cut: under what is stated as the least, else under their target where
    one is stated, else under the least of their size.
    """
    figures = sheet.facts.figures
    bars = BARS.stated(figures)
    if UNDERCUT_MM.stated(figures) == 0:
        return
    least, target = SLOT_LEAST_MM.stated(figures), UNDERCUT_MM.stated(figures)
    enough = least or target or slot_again_mm(diameter_mm, SLOT_WIDTH_MM.stated(figures), rules)
    if under(depth_mm, enough):
        of_what = "is their target" if target and not least else "at least"
        time = f", about {slots_min(int(bars), sheet, rules):.0f} min" if bars else ""
        yield SLOT_SHALLOW.worded(f"slots {depth_mm:.2f} mm deep after the cut, {enough:.2f} mm {of_what}{time}")


def _gaps_measured(sheet: Sheet) -> bool:
    """Tell whether the holders were set after the cut, and the gap measured again at each of them."""
    read = (sheet.given(HOLDER_GAP.id, p.number, "left") for p in sheet.facts.positions)
    return HOLDER_SET.of(sheet) and all(g is not None for g in read)
