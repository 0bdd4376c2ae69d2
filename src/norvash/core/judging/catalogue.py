"""How each stage judges, in the order of the work: the only list."""

from types import MappingProxyType

from norvash.core.judging import call_in, close, decide, record, rework, safe, sign
from norvash.core.judging.before import stage as before
from norvash.core.judging.brushes import stage as brushes
from norvash.core.judging.commutator import stage as commutator
from norvash.core.judging.drive import stage as drive
from norvash.core.judging.prove import stage as prove
from norvash.core.judging.windings import stage as windings
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.sheet import Sheet
from norvash.core.state.findings import Findings
from norvash.core.visit.visit import Judging, Visit

_EVERY: tuple[Judging, ...] = tuple(
    m.JUDGING
    for m in (call_in, safe, before, record, brushes, commutator, windings, drive, decide, rework, close, prove, sign)
)
JUDGING = MappingProxyType({j.stage.id: j for j in _EVERY})


def visit_of(sheet: Sheet, found: Findings, rules: MotorRules, asked_readings: tuple[str, ...] = ()) -> Visit:
    """Return a sheet with what was found on its motor, judged as its stages do."""
    return Visit(sheet, found, rules, JUDGING, asked_readings)
