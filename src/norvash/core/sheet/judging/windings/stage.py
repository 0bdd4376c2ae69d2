"""What stands at “Windings” says, keeps shut and waits for."""

from collections.abc import Iterable, Iterator
from functools import partial

from norvash.core.rules.book import MotorRules
from norvash.core.sheet.finding import Noted
from norvash.core.sheet.held import Held
from norvash.core.sheet.judging.call_in import asked_before_a_run
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.stages.call_in import COMPLAINT_SHOCK, COMPLAINT_SMOKE
from norvash.core.sheet.stages.windings.insulation import (
    INSULATION_10,
    INSULATION_AGAIN,
    INSULATION_MOHM,
    WAIVE_INSULATION,
    circuits_of,
)
from norvash.core.sheet.stages.windings.stage import STAGE
from norvash.core.sheet.visit.done import overtaken
from norvash.core.sheet.visit.on_axis import left_to_look_at
from norvash.core.sheet.visit.visit import Judging, Visit
from norvash.core.windings.circuits import PLACES


def _judge(sheet: Sheet, rules: MotorRules, _worn_mm: tuple[float, ...]) -> Iterable[Noted]:
    from norvash.core.sheet.judging.windings.findings import findings

    return findings(sheet, rules)


def _before_power(visit: Visit) -> Iterator[str | Held]:
    """Yield why insulation is not proven: not measured, or a reading that proves nothing."""
    words = _not_proven(visit)
    if words:
        # What shocked or smoked is not run behind a residual current device to find out.
        grave = asked_before_a_run(visit.sheet) & {COMPLAINT_SHOCK.id, COMPLAINT_SMOKE.id}
        waiver = None if grave else WAIVE_INSULATION
        yield Held(id="insulation", words=words, waiver=waiver, read=(INSULATION_MOHM, INSULATION_10))
    for life in visit.lives:
        if life.stands and life.finding.id == INSULATION_AGAIN.id:
            yield life.finding.words


def _not_proven(visit: Visit) -> str:
    """Return why no reading of the insulation counts: of the whole circuit, or of armature and field, each alone."""
    sheet = visit.sheet
    needed = [n for n in circuits_of(sheet.facts) if PLACES[n] in ("armature", "field")]
    ways = [p for p in ([0], needed) if p and all(INSULATION_MOHM.given(sheet, n) is not None for n in p)]
    if not ways:
        return "insulation to earth is not measured"
    if not any(not any(overtaken(INSULATION_MOHM, sheet, n) for n in p) for p in ways):
        return "insulation was tested before the last work on it: test it again"
    return ""


JUDGING = Judging(stage=STAGE, judge=_judge, holds={"power": _before_power}, left_of=partial(left_to_look_at, STAGE.id))
