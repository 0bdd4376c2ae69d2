"""Commutator: its size, bar map, run-out, bar test, cut and surface."""

from collections.abc import Iterable

from norvash.core.diagnosis.signs import ON_COMMUTATOR
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
    """Return black at two bars, seen, where a bar test on this sheet releases the armature."""
    if not seen.COMMUTATOR_TWO_BARS.seen(sheet) or not bar_test.BAR_TEST.of(sheet):
        return ()
    from norvash.core.sheet.stages.commutator.copper_now import copper_now

    tested = copper_now(sheet, rules).tested
    return (seen.COMMUTATOR_TWO_BARS,) if tested is not None and tested.release else ()


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
    clears=("track", "surface", "slots", "mica", "flashed"),
)
