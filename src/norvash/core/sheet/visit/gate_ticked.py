"""How a gate stands by what people said: what was ticked, since when it is asked again, what suspends it."""

from datetime import datetime

from norvash.core.rules.book import MotorRules
from norvash.core.sheet.gate import Gate, GateNow
from norvash.core.sheet.given import Given
from norvash.core.sheet.held import held
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.stages.before.fields import PERMIT_CLOSE, PERMIT_OPEN
from norvash.core.sheet.stages.gates import POWER, SAFE, SERVICE
from norvash.core.sheet.visit.done import last_work
from norvash.core.sheet.visit.walk import open_permits


def ticked(gate: Gate, sheet: Sheet, rules: MotorRules) -> GateNow:
    """Return how a gate stands by what people said: every step ticked or all confirmed at once, waived with a reason,
    or open.
    """
    suspended = _suspended(gate, sheet)
    if suspended:
        return GateNow(state="open", held=(held(suspended),))
    since, waived = _anew_since(gate, sheet), None
    if gate.whole or sheet.signed_at is not None:
        waived = fresh(gate, gate.waived.given(sheet), sheet) if gate.whole else gate.waived.given(sheet)
    confirmed = _fresh(gate.confirmed.given(sheet), since)
    if waived is not None:
        return GateNow(state="waived", person=waived.person, at=waived.at, why=waived.word)
    if confirmed is not None:
        return GateNow(state="passed", person=confirmed.person, at=confirmed.at)
    steps = gate.steps(sheet.facts, rules)
    done = [_fresh(gate.step(s.id).given(sheet), since) for s in steps]
    how = _fresh(gate.how.given(sheet), since) if gate.how is not None else None
    to_do = tuple(s.act for s, d in zip(steps, done, strict=True) if d is None)
    if gate.how is not None and how is None:
        to_do = (*to_do, gate.how_words)
    before = (gate.step(s.id).given(sheet) for s in steps)
    emptied = since is not None and any(g is not None and g.at < since for g in before)
    why = (f"{gate.anew_words} {since:%H:%M}: what was ticked before that is asked again",) if emptied else ()
    return GateNow(state="open", to_do=to_do, fallen=why) if to_do else _last((*done, how))


def fresh(gate: Gate, given: Given | None, sheet: Sheet) -> Given | None:
    """Return what was said at a gate if it still counts, None where it is asked anew."""
    return _fresh(given, _anew_since(gate, sheet))


def _anew_since(gate: Gate, sheet: Sheet) -> datetime | None:
    """Return since when a gate is asked anew: what was made safe before a test with power on is made safe again; after
    work covers were off, and what was ready for power is not any more.
    """
    if gate is SAFE:
        given = (f.given(sheet, n) for f in (PERMIT_OPEN, PERMIT_CLOSE) for n in f.places(sheet))
        return max((g.at for g in given if g is not None), default=None)
    return last_work(sheet) if gate in (POWER, SERVICE) else None


def _suspended(gate: Gate, sheet: Sheet) -> str:
    """Return by what a gate does not stand, whoever has ticked or waived what, empty where by nothing."""
    numbers = open_permits(sheet) if gate is SAFE else ()
    return f"the test with power on no. {numbers[0]} is open: close it, then make safe again" if numbers else ""


def _fresh(given: Given | None, since: datetime | None) -> Given | None:
    return given if given is None or since is None or given.at >= since else None


def _last(done: tuple[Given | None, ...]) -> GateNow:
    """Return a gate that was passed by the last of its steps."""
    last = max((d for d in done if d is not None), key=lambda d: d.at)
    return GateNow(state="passed", person=last.person, at=last.at)
