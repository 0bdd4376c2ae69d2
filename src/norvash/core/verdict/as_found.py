"""What a motor was found with at an open sheet, before anybody worked on it: what causes are judged on."""

from dataclasses import replace
from datetime import date

from norvash.core.grades import GRADES
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.life import Told
from norvash.core.sheet.numbered import place_of
from norvash.core.state.component import Condition
from norvash.core.state.findings import Findings
from norvash.core.state.motor_state import MotorState
from norvash.core.verdict.before_work import sets_as_found
from norvash.core.verdict.components import places_of
from norvash.core.verdict.judging import findings


def found_before_work(found: Findings, state: MotorState, rules: MotorRules, today: date) -> Findings:
    """Return what was found before any work of the open sheet; where nothing was done yet, what is found now."""
    told = state.told
    if told.sheet is None or (told.found is told.now and not told.new):
        return found
    before = findings(replace(state, sets=sets_as_found(state.sets, told), told=Told()), rules, today)
    labels = places_of(state)
    carried = {k.at: k.finding for k in told.kept if k.sheet_id != told.sheet.id}
    every = {**carried, **told.found}
    made = [Condition(place_of(f, n, labels), f, n) for (n, _), f in every.items()]
    return replace(before, conditions=tuple(sorted(made, key=lambda c: -GRADES.index(c.finding.grade))))
