"""How a gate stands by what people said: what was ticked, since when it is asked again, what suspends it."""

from collections.abc import Iterator, Sequence
from dataclasses import dataclass
from datetime import datetime

from norvash.core.rules.book import MotorRules
from norvash.core.sheet.field import Pick, Tick
from norvash.core.sheet.gate import Gate, GateNow, UndoneBy
from norvash.core.sheet.given import Given
from norvash.core.sheet.held import held
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.before.fields import PERMIT_CLOSE, PERMIT_OPEN
from norvash.core.stages.gates import SAFE
from norvash.core.visit.done import last_closing, last_work
from norvash.core.visit.walk import open_permits


@dataclass(frozen=True, slots=True)
class AskedAt:
    """One thing that a gate asks, the words of it, and what undoes it."""

    field: Tick | Pick
    words: str
    undone_by: UndoneBy


def ticked(gate: Gate, sheet: Sheet, rules: MotorRules) -> GateNow:
    """Return how a gate stands by what people said: every step ticked or all confirmed at once, waived with a reason,
    or open.
    """
    suspended = _suspended(gate, sheet)
    if suspended:
        return GateNow(state="open", held=(held(suspended),))
    waived = None
    if gate.whole or sheet.signed_at is not None:
        waived = fresh(gate, gate.waived.given(sheet), sheet) if gate.whole else gate.waived.given(sheet)
    if waived is not None:
        return GateNow(state="waived", person=waived.person, at=waived.at, why=waived.word)
    confirmed = fresh(gate, gate.confirmed.given(sheet), sheet)
    if confirmed is not None:
        return GateNow(state="passed", person=confirmed.person, at=confirmed.at)
    return _by_steps([(x, *_counts(gate, x, sheet)) for x in asked_at(gate, sheet, rules)], gate, sheet)


def _by_steps(said: Sequence[tuple[AskedAt, Given | None, Given | None]], gate: Gate, sheet: Sheet) -> GateNow:
    """Return how a gate stands by what was said at each of its steps, before it was undone and since."""
    to_do = tuple(x.words for x, _, now in said if now is None)
    if not to_do:
        return _last([now for _, _, now in said])
    undone = [x for x, before, now in said if before is not None and now is None]
    if not undone:
        return GateNow(state="open", to_do=to_do)
    since = max(at for x in undone if (at := _undone_at(x.undone_by, sheet)) is not None)
    why = f"{gate.anew_words} {since:%H:%M}: what that undid is asked again"
    again = tuple(_said_before(x, before) for x, before, now in said if now is None and before is not None)
    return GateNow(state="open", to_do=to_do, fallen=(why,), again=again if len(again) == len(to_do) else ())


def _said_before(asked: AskedAt, before: Given) -> str:
    """Return what was said of a step before it was undone: the act, or which of the answers."""
    if isinstance(asked.field, Tick):
        return asked.words
    label, answers = asked.field.label, dict(asked.field.choices)
    return f"{label[0].lower()}{label[1:]} {answers.get(before.word, before.typed)}"


def asked_at(gate: Gate, sheet: Sheet, rules: MotorRules) -> Iterator[AskedAt]:
    """Yield what a gate asks of a motor: its steps, and what is said beside them."""
    for step in gate.steps(sheet.facts, rules):
        yield AskedAt(gate.step(step.id), step.act, step.undone_by)
    if gate.how is not None:
        yield AskedAt(gate.how, gate.how_words, gate.how_undone_by)


def is_undone(gate: Gate, asked: AskedAt, sheet: Sheet) -> bool:
    """Tell whether what was said of it was undone since, and not said again."""
    before, now = _counts(gate, asked, sheet)
    return before is not None and now is None


def _counts(gate: Gate, asked: AskedAt, sheet: Sheet) -> tuple[Given | None, Given | None]:
    """Return what was said of a step of a gate, and what of it counts now: the same, or that it was said again."""
    given, since = asked.field.given(sheet) or gate.confirmed.given(sheet), _undone_at(asked.undone_by, sheet)
    if given is None or since is None or given.at >= since:
        return given, given
    again = (g for n in gate.again.places(sheet) if (g := gate.again.given(sheet, n)) is not None)
    return given, next((g for g in again if g.at >= since), None)


def _undone_at(by: UndoneBy, sheet: Sheet) -> datetime | None:
    """Return when something that undoes a step was done last, None where nothing was."""
    if by == "feed":
        given = (f.given(sheet, n) for f in (PERMIT_OPEN, PERMIT_CLOSE) for n in f.places(sheet))
        return max((g.at for g in given if g is not None), default=None)
    if by == "closing":
        return last_closing(sheet)
    return last_work(sheet) if by == "work" else None


def fresh(gate: Gate, given: Given | None, sheet: Sheet) -> Given | None:
    """Return what was said at a gate if it still counts, None where it is asked anew."""
    return _fresh(given, _anew_since(gate, sheet))


def _anew_since(gate: Gate, sheet: Sheet) -> datetime | None:
    """Return since when what was said of a gate as a whole is asked anew: what was made safe before a test with power
    on is made safe again; after work covers were off, and what was ready for power is not any more.
    """
    return _undone_at("feed" if gate is SAFE else "work", sheet)


def _suspended(gate: Gate, sheet: Sheet) -> str:
    """Return by what a gate does not stand, whoever has ticked or waived what, empty where by nothing."""
    numbers = open_permits(sheet) if gate is SAFE else ()
    return f"the test with power on no. {numbers[0]} is open: close it, then make safe again" if numbers else ""


def _fresh(given: Given | None, since: datetime | None) -> Given | None:
    return given if given is None or since is None or given.at >= since else None


def _last(done: Sequence[Given | None]) -> GateNow:
    """Return a gate that was passed by the last of its steps."""
    last = max((d for d in done if d is not None), key=lambda d: d.at)
    return GateNow(state="passed", person=last.person, at=last.at)
