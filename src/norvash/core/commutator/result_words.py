"""What a bar test and a cut say, each in one sentence."""

from norvash.core.commutator.bar_testing import BarTested
from norvash.core.commutator.cut import Plan
from norvash.core.edges import under
from norvash.core.text.words import listed


def bar_test_words(found: BarTested) -> str:
    """Return what a bar test asks for in one sentence."""
    return _not_even(found) if not found.even else _even(found)


def _not_even(found: BarTested) -> str:
    if found.missing and not found.faults:
        return f"incomplete: reading {listed([str(i) for i in found.missing[:6]])} missing, so no release"
    if found.rough and not found.faults:
        return "many readings are off: dirty bars or poor contact first; clean, press harder, test again"
    if found.faults:
        return "no release: " + "; ".join(f.words for f in found.faults[:4])
    if found.high or found.low:
        return "no release: high or low readings that fit no single fault; clean and test again"
    return (
        f"suspect at {listed([str(i) for i in found.suspect[:6]])}: clean, test again; if it stays, no release without"
        " a waiver"
    )


def _even(found: BarTested) -> str:
    passed = f"every reading within {found.band:.0%} of the median"
    if found.lifted is None:
        return (
            f"{passed}, but no release: nobody has said whether the brushes were lifted; resting ones join open coils"
        )
    if not found.lifted:
        return (
            f"{passed}, but no release: the brushes were not lifted, and they join coils that are open; lift them and"
            " test again"
        )
    if found.hidden is not None:
        moved = f"one shorted turn moves a reading by {found.hidden:.1%} only"
        return f"passes: {passed}: no open coil; shorts not excluded, {moved}: growler or AC from bar to bar"
    if not found.turns_known:
        unknown = "the turns of a coil are not known, so one that is shorted may hide: growler or AC from bar to bar"
        return f"passes: {passed}: no open coil; {unknown}"
    return f"passes: {passed}"


def plan_words(plan: Plan) -> str:
    """Return what a plan says in one sentence."""
    if under(plan.copper.diameter_mm, plan.least_diameter_mm) and not plan.chosen.allowed:
        about = ", an estimate" if plan.provisional else ""
        return (
            f"no cut: {plan.copper.diameter_mm:.2f} mm is under the least diameter of"
            f" {plan.least_diameter_mm:.2f} mm{about}; renew"
            " the armature or send it out"
        )
    sure = " (least diameter estimated: ask the maker)" if plan.provisional else ""
    if not plan.chosen.allowed:
        return (
            f"do not cut: it would end {plan.chosen.under_by_diameter_mm:.3g} mm under the least diameter{sure}; "
            f"the deepest cut allowed is {plan.deepest_radial_mm:.3g} mm radial"
        )
    left = (
        f"{plan.chosen.skims_left} more cuts of this depth"
        if plan.chosen.skims_left != 1
        else "one more cut of this depth"
    )
    left = "no further cut" if not plan.chosen.skims_left else left
    return (
        f"cut {plan.chosen.radial_mm:.3f} mm radial ({2 * plan.chosen.radial_mm:.3f} mm in diameter), to"
        f" {plan.chosen.diameter_after_mm:.2f} mm; {left} will be left{sure}"
    )
