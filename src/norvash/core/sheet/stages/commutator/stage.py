"""Commutator: its size, bar map, run-out, bar test, cut and surface."""

from collections.abc import Iterable

from norvash.core.diagnosis.signs import ON_COMMUTATOR
from norvash.core.motor.figure_fields import ARMATURE_SLOTS, BARS, COMMUTATOR_D_MIN_MM, COMMUTATOR_D_MM
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.finding import Finding, Noted
from norvash.core.sheet.part import COMMUTATOR
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.stage import Stage
from norvash.core.sheet.stages.commutator import bar_map, bar_test, cut, run_out, seen, size


def _judge(sheet: Sheet, rules: MotorRules, _worn_mm: tuple[float, ...]) -> Iterable[Noted]:
    from norvash.core.sheet.stages.commutator.findings import findings

    return findings(sheet, rules)


def _answered(sheet: Sheet, rules: MotorRules) -> Iterable[Finding]:
    """Return black at two bars where a bar test on this sheet says what it is: seen, where it releases the armature;
    on a painted map, where no further test is asked for.
    """
    if not bar_test.BAR_TEST.of(sheet):
        return ()
    from norvash.core.sheet.stages.commutator.copper_now import copper_now

    now = copper_now(sheet, rules)
    if seen.COMMUTATOR_TWO_BARS.seen(sheet):
        return (seen.COMMUTATOR_TWO_BARS,) if now.tested is not None and now.tested.release else ()
    painted = now.read is not None and any(s.finding is seen.COMMUTATOR_TWO_BARS for s in now.read.sayings)
    return (seen.COMMUTATOR_TWO_BARS,) if painted and not now.needs_bar_test else ()


STAGE = Stage(
    id="commutator",
    name="commutator",
    words="Commutator",
    fields=(*size.FIELDS, *bar_map.FIELDS, *run_out.FIELDS, *bar_test.FIELDS, *cut.FIELDS),
    signs=ON_COMMUTATOR,
    looked=seen.LOOKED,
    findings=(*size.FINDINGS, *bar_map.FINDINGS, *run_out.FINDINGS, *bar_test.FINDINGS, *cut.FINDINGS),
    parts=(COMMUTATOR,),
    inside=True,
    opens=True,
    judge=_judge,
    answered=_answered,
    asks=(BARS, COMMUTATOR_D_MM, COMMUTATOR_D_MIN_MM, ARMATURE_SLOTS),
    clears=("track", "surface", "slots", "mica", "flashed"),
)
