"""What the commutator says of itself at its stage: of its map, run-out, bar test and cut."""

from collections.abc import Iterator
from math import pi

from norvash.core.commutator.after_cut import where_to_cut
from norvash.core.commutator.cut import Plan
from norvash.core.commutator.result_words import plan_words
from norvash.core.edges import under
from norvash.core.judging.commutator.copper_now import CopperNow, Trouble
from norvash.core.judging.commutator.left_by_cut import left_says
from norvash.core.judging.commutator.slots_here import SlotsHere
from norvash.core.motor.figure_fields import END_FLOAT_HIGH_MM, WIDTH_MM
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.measured import Measured, follows
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.commutator.cut import CUT_DONE, TRUE_SETUP
from norvash.core.stages.commutator.size import TRACK_D
from norvash.core.stages.drive.shaft import END_FLOAT
from norvash.core.text.words import listed
from norvash.errors import NorvashError


def cut_says(sheet: Sheet, now: CopperNow, slots: SlotsHere, rules: MotorRules) -> list[Measured]:
    """Return what a cut would take and leave, and where it is made; of one that is made what it left right as it is."""
    done = CUT_DONE.given(sheet)
    if done is not None and done.cut is not None:
        return [*left_says(sheet, done.cut, rules), *_planned_says(sheet, now, slots, rules)]
    return _planned_says(sheet, now, slots, rules)


def _planned_says(sheet: Sheet, now: CopperNow, slots: SlotsHere, rules: MotorRules) -> list[Measured]:
    if now.plan is None:
        waits = [follows(f"no cut: {now.condemned}", False)] if now.could is not None else []
        return [*waits, *trouble_says(now, "cut")]
    made = [
        follows(plan_words(now.plan).capitalize(), now.plan.chosen.allowed, rests_on=("cut.clean",)),
        *_spread(sheet),
    ]
    if now.run_out is not None and now.run_out.cause == "set-up":
        made.insert(
            0,
            follows(
                "It runs off centre but is round: true it up on its bearing seats and measure again before this plan is"
                " used",
                False,
                rests_on=("cut.true",),
            ),
        )
    if now.plan.leaving is not None:
        full, less = now.plan.full, now.plan.leaving
        made.append(
            follows(
                f"leaving pits up to {now.plan.way.pit_left_radial_mm:g} mm saves"
                f" {full.radial_mm - less.radial_mm:.3f} mm radial of"
                f" copper; {less.skims_left} more such cuts against {full.skims_left} full ones"
            )
        )
    if now.plan.chosen.allowed:
        made += [follows(words) for words in passes(now.plan)]
    made += _reach(sheet, now.plan)
    setup = TRUE_SETUP.of(sheet)
    where, why = where_to_cut(now.plan, rules, true_setup=None if not setup else setup == "yes")
    school = rules.choice("school.skim")
    chosen = where if school.key == "figures" else school.key
    against = "" if chosen == where else f" would speak for the other; the school here is “{school.words}”"
    made.append(
        follows(
            f"{'On the own lathe' if chosen == 'own' else 'To a motor shop'}: {listed(list(why))}{against}",
            rests_on=("school.skim",),
        )
    )
    slot_min = slots.minutes(now, sheet, rules)
    if slot_min is not None:
        learnt = (
            f"this site takes {slots.factor:.2f} of the estimate, by {slots.sheets} signed"
            f" {'sheet' if slots.sheets == 1 else 'sheets'}"
            if slots.sheets
            else "no sheet has taught a factor of this site yet"
        )
        made.append(follows(f"slots: about {slot_min:.0f} min; {learnt}", rests_on=("slot.seconds",)))
    return made + [follows(w) for w in now.plan.warnings]


def passes(plan: Plan) -> Iterator[str]:
    """Yield how a cut is made: its passes from the first touch, its speeds and minutes, and what it leaves."""
    finish = len(plan.passes) - plan.rough_passes
    yield (
        f"from the first touch {plan.touch_radial_mm:.3f} mm radial: {plan.rough_passes} rough of"
        f" {plan.rough_pass_radial_mm:.4g} mm and {finish} to finish; {plan.chosen.left_radial_mm:.2f} mm radial left"
    )
    metres = pi * plan.copper.diameter_mm / 1000
    if plan.speed_rpm is not None:
        yield (
            f"at most {plan.speed_most_rpm:.0f} r/min: taken {plan.speed_rpm:.0f}, {metres * plan.speed_rpm:.1f} m/min"
        )
    if plan.cutting_min is not None and plan.total_min is not None:
        yield f"{plan.cutting_min:.1f} min of cutting, {plan.total_min:.1f} min with setting up"
    if plan.slot_after_radial_mm is not None:
        by = plan.undercut_by_radial_mm
        again = f", undercut by {by:.2f} mm" if by else ", deep enough"
        yield f"slots {plan.slot_after_radial_mm:.2f} mm deep after it{again}"


def _spread(sheet: Sheet) -> list[Measured]:
    """Return how far the diameters along the track lie apart."""
    known = [x for x in TRACK_D.of(sheet) if x is not None]
    if len(known) < 2:
        return []
    return [
        follows(
            f"the track measures {min(known):.2f} to {max(known):.2f} mm, {max(known) - min(known):.2f} mm apart along"
            " it or across; the least is planned from"
        )
    ]


def _reach(sheet: Sheet, plan: Plan) -> list[Measured]:
    """Return how far along the shaft a cut must reach so that no step is left: the brush, and the end float on both
    sides.
    """
    figures, play = sheet.facts.figures, END_FLOAT.of(sheet)
    width = WIDTH_MM.stated(figures)
    if width is None or plan.copper.track_axial_mm is None:
        return []
    slack = play if play is not None else END_FLOAT_HIGH_MM.stated(figures)
    if slack is None:
        return [
            follows(
                f"the end float is not known: see that the cut reaches past the brush of {width:g} mm by it on both"
                " sides, or a step is left",
                rests_on=("cut.overrun",),
            )
        ]
    least, got = width + 2 * slack, plan.copper.track_axial_mm + plan.way.overrun_axial_mm
    words = (
        f"the cut reaches {got:.1f} mm along the shaft; brush {width:g} mm and end float {slack:g} mm on both sides ask"
        f" for {least:.1f} mm, or a step is left"
    )
    return [follows(words, not under(got, least), rests_on=("cut.overrun",))]


def trouble_says(now: CopperNow, name: Trouble) -> list[Measured]:
    """Return why something that was entered cannot be worked out."""
    found: NorvashError | None = now.trouble.get(name)
    return [follows(f"{found.problem} {found.remedy}", False)] if found else []
