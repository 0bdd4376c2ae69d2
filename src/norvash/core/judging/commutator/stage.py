"""What stands at “Commutator” says, keeps shut and waits for."""

from collections.abc import Iterable, Iterator

from norvash.core.judging.commutator.whole_map import cut_away, unfinished
from norvash.core.motor.figure_fields import UNDERCUT_MM
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.field import Tick
from norvash.core.sheet.finding import Finding
from norvash.core.sheet.measured import Measured
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.commutator import bar_test, cut, seen
from norvash.core.stages.commutator.stage import STAGE
from norvash.core.stages.decide import OUTCOME, STOPS
from norvash.core.visit.visit import Judging, Visit


def _measure(sheet: Sheet, rules: MotorRules, worn_mm: tuple[float, ...]) -> Iterable[Measured]:
    from norvash.core.judging.commutator.values import measured

    return measured(sheet, rules, worn_mm)


def _answered(sheet: Sheet, rules: MotorRules) -> Iterable[Finding]:
    """Return what a bar test on this sheet says of black at two bars: seen, where it releases the armature; on a
    painted map, where no further test is asked for; and what a map that is painted after a cut shows no more.
    """
    return (*_tested(sheet, rules), *cut_away(sheet))


def _tested(sheet: Sheet, rules: MotorRules) -> Iterable[Finding]:
    if not bar_test.BAR_TEST.of(sheet):
        return ()
    from norvash.core.judging.commutator.copper_now import copper_now

    now = copper_now(sheet, rules)
    if seen.COMMUTATOR_TWO_BARS.seen(sheet):
        return (seen.COMMUTATOR_TWO_BARS,) if now.tested is not None and now.tested.release else ()
    painted = now.read is not None and any(s.finding is seen.COMMUTATOR_TWO_BARS for s in now.read.sayings)
    return (seen.COMMUTATOR_TWO_BARS,) if painted and not now.needs_bar_test else ()


def _before_power(visit: Visit) -> Iterator[str]:
    """Yield what nothing may run with: a map that nobody has finished, and what is left undone after a cut."""
    if words := unfinished(visit.sheet):
        yield words
    yield from _not_cleaned(visit)


def _not_cleaned(visit: Visit) -> Iterator[str]:
    """Yield what is left undone after a cut that nothing may run with: copper in a slot joins two bars."""
    for asked in (cut.CUT_SLOTS, cut.CUT_VACUUMED):
        if _lacks(visit.sheet, asked):
            yield f"after the cut: {asked.label[0].lower()}{asked.label[1:]}"


def _not_finished(visit: Visit) -> Iterator[str]:
    """Yield what a cut asks for before its sheet is signed: the edges, but for flush insulation, and the measurements
    made again.
    """
    if OUTCOME.of(visit.sheet) in STOPS:
        return
    if words := unfinished(visit.sheet):
        yield f"{words[0].upper()}{words[1:]}"
    flush = UNDERCUT_MM.of(visit.sheet.facts.figures) == 0
    for asked in (cut.CUT_CHAMFER, cut.CUT_AGAIN):
        if _lacks(visit.sheet, asked) and not (flush and asked is cut.CUT_CHAMFER):
            yield f"After the cut: {asked.label[0].lower()}{asked.label[1:]}"


def _lacks(sheet: Sheet, asked: Tick) -> bool:
    made, done = cut.CUT_DONE.given(sheet), asked.given(sheet)
    return made is not None and (done is None or done.at < made.at)


JUDGING = Judging(
    stage=STAGE, holds={"power": _before_power, "sign": _not_finished}, measure=_measure, answered=_answered
)
