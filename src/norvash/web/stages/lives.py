"""The life of a finding as pages show it: how far it has come, what can be decided, what would prove it."""

from dataclasses import dataclass

from norvash.core.sheet.life import Life
from norvash.core.sheet.part import COMPLAINT
from norvash.core.sheet.proving import STATE_WORDS, proof_asked, said_by
from norvash.core.sheet.stages.catalogue import TOLD_BY, stage_of
from norvash.core.sheet.stages.decide import decision
from norvash.core.sheet.stages.rework import gone
from norvash.web.stages.fields import Entry, entry
from norvash.work.sheet_page import SheetPage


@dataclass(frozen=True, slots=True, kw_only=True)
class LifeShown:
    """A life with its four steps, its state in words, what may be decided of it, and how it is proven.

    `look` is the tick that says that it is gone, `stage` where its figure is measured again, empty for one by sight.
    """

    life: Life
    decide: Entry
    choices: tuple[str, ...]
    look: Entry
    state: str
    closed: bool
    proof: str
    by: str
    stage: str


def life_shown(shown: SheetPage, life: Life) -> LifeShown:
    """Return a life as pages show it."""
    finding = life.finding
    choices = ("now", "deferred") if finding.grade == "stop" else ("now", "deferred", "dropped")
    told = [f for f in TOLD_BY.get(finding.id, ()) if f.id != finding.look]
    stage = stage_of(told[0].id) if told else None
    return LifeShown(
        life=life,
        decide=entry(shown, decision(finding.id), life.position),
        choices=choices,
        look=entry(shown, gone(finding.id), life.position, "looked again: gone"),
        state=_state(life),
        closed=life.state in ("proven", "dropped"),
        proof=proof_asked(life),
        by=said_by(life),
        stage="" if life.by_sight else "brushes" if finding.of_brush else stage.id if stage is not None else "",
    )


def _state(life: Life) -> str:
    if life.state == "proven" and life.proof and life.proof[-1].number is not None:
        return f"proven: {life.proof[-1].typed}"
    if life.state == "open" and life.measured_again:
        return "measured again, still so"
    if life.state == "open" and life.decided is not None:
        return "to do"
    if life.state == "done not proven":
        return f"done; {proof_asked(life)}"
    return STATE_WORDS[life.state]


def lives_shown(shown: SheetPage) -> list[LifeShown]:
    """Return the findings of this visit, but for the complaint, which ends by an answer."""
    return [life_shown(shown, x) for x in shown.visit.lives if x.finding.part is not COMPLAINT]
