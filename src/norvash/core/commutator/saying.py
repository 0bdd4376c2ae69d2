"""What a bar test and a cut say, each in one sentence."""

from norvash.core.commutator.bar_testing import BarTested
from norvash.core.commutator.skim import Plan
from norvash.core.words import listed


def bar_test_words(found: BarTested) -> str:
    """Return what a bar test asks for in one sentence."""
    if found.missing:
        return f"incomplete: reading {listed([str(i) for i in found.missing[:6]])} missing, so no release"
    if found.rough and not found.faults:
        return "many readings are off: dirty bars or poor contact first; clean, press harder, test again"
    if found.faults:
        return "no release: " + "; ".join(f.words for f in found.faults[:4])
    if found.high or found.low:
        return "no release: high or low readings that fit no single fault; clean and test again"
    if found.suspect:
        return f"suspect at {listed([str(i) for i in found.suspect[:6]])}: clean, test again; if it stays, no release without a waiver"
    return f"passes: every reading within {found.band:.0%} of the median"


def plan_words(plan: Plan) -> str:
    """Return what a plan says in one sentence."""
    sure = " (least diameter estimated: ask the maker)" if plan.provisional else ""
    if not plan.chosen.allowed:
        return (f"do not cut: it would end {plan.chosen.under_by:.3g} mm under the least diameter{sure}; "
                f"the deepest cut allowed is {plan.deepest:.3g} mm radial")  # fmt: skip
    left = (
        f"{plan.chosen.skims_left} more cuts of this depth"
        if plan.chosen.skims_left != 1
        else "one more cut of this depth"
    )
    left = "no further cut" if not plan.chosen.skims_left else left
    return (f"cut {plan.chosen.radial:.3f} mm radial ({2 * plan.chosen.radial:.3f} mm in diameter), to {plan.chosen.diameter_after:.2f} mm; "
            f"{left} will be left{sure}")  # fmt: skip
