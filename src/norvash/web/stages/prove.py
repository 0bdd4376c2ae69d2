"""What proving shows: the gate before power, with what nothing runs, and whether the complaint is gone."""

from dataclasses import dataclass

from norvash.core.sheet.done import last_work, ran_words
from norvash.core.sheet.finding import Finding
from norvash.core.sheet.gates import POWER, unfit
from norvash.core.sheet.signing import RUN_BEFORE_WORK
from norvash.core.sheet.signs_shown import causes_mended
from norvash.core.sheet.stages.call_in import COMPLAINT, complained
from norvash.core.sheet.stages.prove import CAUSE_WAS, COMPLAINT_NOW, RAN, proof_run
from norvash.web.stages.at import At
from norvash.web.stages.fields import Entry, entry
from norvash.web.stages.gate import GateShown, gate_shown
from norvash.work.sheet_page import SheetPage

_MOST = 5


@dataclass(frozen=True, slots=True, kw_only=True)
class Prove:
    """The gate before power, and the finding with which it does not run, None where nothing forbids it.

    `before_work` says that the last run was before the last work, empty where it was not, and `ran_anew` that its tick
    was. Of a motor that somebody complains of: the complaint, its answer, and the causes that it may have been: those
    that were mended and the likeliest, then all `others`.
    """

    gate: GateShown
    unfit: Finding | None
    before_work: str
    ran_anew: bool
    complaint: str
    answer: Entry | None
    cause: Entry | None
    causes: tuple[tuple[str, str], ...]
    others: tuple[tuple[str, str], ...]


def view(at: At) -> Prove:
    """Return what proving shows."""
    shown = at.shown
    first, ran = _causes(shown), RAN.given(shown.sheet)
    asked = complained(shown.sheet) or any(x.finding.id == "complaint.dead" for x in shown.visit.lives)
    return Prove(
        gate=gate_shown(POWER, shown),
        unfit=unfit((x.position, x.finding) for x in shown.visit.lives if x.stands),
        before_work=RUN_BEFORE_WORK if proof_run(shown.sheet) and not ran_words(shown.sheet) else "",
        ran_anew=ran is not None and ran.at < last_work(shown.sheet),
        complaint=COMPLAINT.of(shown.sheet),
        answer=entry(shown, COMPLAINT_NOW) if asked else None,
        cause=entry(shown, CAUSE_WAS) if asked and COMPLAINT_NOW.of(shown.sheet) == "this" else None,
        causes=first if asked else (),
        others=tuple(c for c in CAUSE_WAS.choices if c not in first) if asked else (),
    )


def _causes(shown: SheetPage) -> tuple[tuple[str, str], ...]:
    """Return the causes to choose from: what was mended, then the likeliest."""
    words = dict(CAUSE_WAS.choices)
    likely = [r.cause.id for r in shown.cause.ranked[:_MOST]] if shown.cause is not None else []
    chosen = [CAUSE_WAS.of(shown.sheet)] if CAUSE_WAS.of(shown.sheet) else []
    first = dict.fromkeys((*chosen, *causes_mended(shown.visit.lives), *likely))
    return tuple((c, words[c]) for c in first if c in words)
