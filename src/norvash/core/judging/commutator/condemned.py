"""What condemns an armature: what of it is mended before any cut is planned."""

from norvash.core.commutator.bar_testing import BarTested
from norvash.core.judging.windings.measured import bar_to_shaft
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.finding import Finding
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.commutator.seen import COMMUTATOR_OPEN, COMMUTATOR_RAISED, COMMUTATOR_RISER, COMMUTATOR_SHORT
from norvash.core.stages.rework import gone
from norvash.core.stages.shared import RENEW_ARMATURE
from norvash.core.stages.windings.coils import GROWLER_TEST
from norvash.core.visit.done import done_tasks


def condemned(sheet: Sheet, tested: BarTested | None, rules: MotorRules, *, loose: bool, owed: str) -> str:
    """Return what of an armature is mended before it is cut, empty where nothing is, or where another one is in.

    `tested` is its bar test, `loose` tells that its map shows a loose bar, `owed` why a bar test must come first.
    Source: a cut hides an open coil for a week
    """
    if RENEW_ARMATURE in done_tasks(sheet):
        return ""
    shaft = bar_to_shaft(sheet, rules)
    coils = any(_stands(sheet, f) for f in (COMMUTATOR_OPEN, COMMUTATOR_SHORT, COMMUTATOR_RISER))
    on = (
        ("a raised or loose bar is secured, or the armature renewed", loose or _stands(sheet, COMMUTATOR_RAISED)),
        ("the open or shorted coil that the bar test shows is mended", tested is not None and not tested.even),
        ("the open or shorted coil is mended, and the bar test made", coils and not (tested and tested.even)),
        ("the slot that answers on the growler is mended", GROWLER_TEST.of(sheet) == "fail"),
        ("insulation from bar to shaft is brought over its least", shaft is not None and shaft.grade == "stop"),
        (f"the bar test is made: {owed}", bool(owed)),
    )
    return next((f"first {what}" for what, stands in on if stands), "")


def _stands(sheet: Sheet, finding: Finding) -> bool:
    """Tell whether something was seen and not found gone since."""
    looked = gone(finding.id).given(sheet)
    seen = sheet.entries.get((finding.look, 0))
    return finding.seen(sheet) and (looked is None or seen is None or looked.at < seen.at)
