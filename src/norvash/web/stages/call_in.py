"""What the call shows: what stands from earlier visits, the last work on it, and what to bring."""

from dataclasses import dataclass

from norvash.core.diagnosis.causes import base_rates
from norvash.core.diagnosis.first_signs import first_signs
from norvash.core.diagnosis.ranking import strengths
from norvash.core.judging.call_in import complaints
from norvash.core.stages.call_in import (
    COMPLAINT,
    COMPLAINT_ASKED,
    COMPLAINT_BACK,
    COMPLAINT_KIND,
    COMPLAINT_UNKNOWN,
    KINDS,
    STAGE,
)
from norvash.core.visit.bringing import Item, what_to_bring
from norvash.core.visit.on_axis import parts_now
from norvash.web.drawn.axis import AxisDrawn, axis_drawn
from norvash.web.stages.shown.at import At
from norvash.web.stages.shown.fields import Entry, entry
from norvash.web.stages.shown.lives import LifeShown
from norvash.work.reading.history import HistoryLine
from norvash.work.reading.sheet_now import SheetNow, last_work


@dataclass(frozen=True, slots=True, kw_only=True)
class CallIn:
    """The call: what to bring, what stands from earlier visits, the counter at the opening, the last work,
    and the section with what is still open; what may be `asked` of the complaint, and whether it is; the fields of the
    signs that are asked `first`.
    """

    bring: tuple[Item, ...]
    first: frozenset[str]
    before: list[LifeShown]
    asked: list[Entry]
    asks: bool
    opened_at: float
    last_work: HistoryLine | None
    axis: AxisDrawn | None


def _asks(shown: SheetNow) -> bool:
    """Tell whether a complaint is asked about: said in words only, of which kind it is; gone at an earlier visit with
    no cause found, whether it has come back.
    """
    carried = (x for x in shown.visit.lives if x.finding.id == COMPLAINT_UNKNOWN.id and not x.came)
    return COMPLAINT_ASKED in complaints(shown.sheet) or any(x.kept is not None for x in carried)


def _first(shown: SheetNow) -> frozenset[str]:
    """Return the fields of the signs to ask about first, by what was complained of in words."""
    facts, rules = shown.context.facts, shown.context.rules
    asked = {f.sign.id: f for f in STAGE.picked if f.is_offered(facts, rules)}
    kind = KINDS.get(COMPLAINT_KIND.of(shown.sheet))
    said = f"{COMPLAINT.of(shown.sheet)} {kind.words if kind is not None else ''}"
    rates = base_rates(facts.motor_class, sorted(facts.surroundings))
    first = first_signs([f.sign for f in asked.values()], said, rates, strengths(rules))
    return frozenset(asked[s].id for s in first)


def view(at: At) -> CallIn:
    """Return what the call shows."""
    shown = at.shown
    before = [x for x in shown.visit.lives if x.kept is not None and x.kept.sheet_id != shown.row.id]
    return CallIn(
        bring=what_to_bring(shown.context.facts, shown.found, shown.cause, shown.context.rules),
        first=_first(shown),
        before=[LifeShown(shown, x) for x in before],
        asked=[entry(shown, f) for f in (COMPLAINT_KIND, COMPLAINT_BACK)],
        asks=_asks(shown),
        opened_at=shown.opened_at,
        last_work=last_work(at.conn, shown),
        axis=axis_drawn(shown.visit, shown.found, parts_now(shown.visit), brief=True) if before else None,
    )
