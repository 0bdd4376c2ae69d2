"""Whether a cut waits for a change of ground to be confirmed: copper that is cut does not come back."""

from dataclasses import replace

from norvash.core.judging.commutator.copper_now import CopperNow, copper_now
from norvash.core.sheet.moved import Moved
from norvash.core.sheet.sheet import Sheet
from norvash.work.reading.context import Context


def cut_waits(context: Context, sheet: Sheet, now: CopperNow) -> tuple[Moved, ...]:
    """Return the unconfirmed changes without which the cut that is planned would be refused, or wait for a repair."""
    if now.plan is None or not now.plan.chosen.allowed:
        return ()
    for ground in context.grounds:
        then = copper_now(replace(sheet, facts=replace(sheet.facts, figures=ground.figures)), ground.rules)
        if then.could is not None and (then.plan is None or not then.plan.chosen.allowed):
            return ground.moves
    return ()
