"""What stands at “Windings” says, keeps shut and waits for."""

from collections.abc import Iterable, Iterator
from datetime import datetime
from functools import partial

from norvash.core.judging.call_in import asked_before_a_run
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.held import Held
from norvash.core.sheet.measured import Measured
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.call_in import COMPLAINT_SHOCK, COMPLAINT_SMOKE
from norvash.core.stages.windings.insulation import (
    INSULATION_10,
    INSULATION_AGAIN,
    INSULATION_MOHM,
    WAIVE_INSULATION,
    circuits_of,
)
from norvash.core.stages.windings.stage import STAGE
from norvash.core.visit.done import last_closing_of_case
from norvash.core.visit.on_axis import left_to_look_at
from norvash.core.visit.visit import Judging, Visit
from norvash.core.windings.circuits import PLACES


def _measure(sheet: Sheet, rules: MotorRules, worn_mm: tuple[float, ...]) -> Iterable[Measured]:
    from norvash.core.judging.windings.values import measured

    return measured(sheet, rules, worn_mm)


def _before_power(visit: Visit) -> Iterator[str | Held]:
    """Yield why insulation is not proven: not measured, or a reading that proves nothing. Where an instrument was there
    nothing is waived.
    """
    words, unjudged = _not_proven(visit)
    if words:
        # What shocked or smoked is not run behind a residual current device to find out.
        grave = asked_before_a_run(visit.sheet) & {COMPLAINT_SHOCK.id, COMPLAINT_SMOKE.id}
        there = any(field == INSULATION_MOHM.id for field, *_ in visit.sheet.written)
        waiver = None if grave or unjudged or there else WAIVE_INSULATION
        yield Held(id="insulation", words=words, waiver=waiver, read=(INSULATION_MOHM, INSULATION_10))
    for life in visit.lives:
        if life.stands and life.finding.id == INSULATION_AGAIN.id:
            yield life.finding.words


def _not_proven(visit: Visit) -> tuple[str, bool]:
    """Return why no reading of the insulation counts, of the whole circuit, or of armature and field, each alone; and
    whether one is there that is not judged.
    """
    from norvash.core.judging.windings.measured import insulation_now

    sheet = visit.sheet
    needed = [n for n in circuits_of(sheet.facts) if PLACES[n] in ("armature", "field")]
    ways = [p for p in ([0], needed) if p and all(INSULATION_MOHM.given(sheet, n) is not None for n in p)]
    if not ways:
        return "insulation to earth is not measured", False
    closed = last_closing_of_case(sheet)
    fresh = [p for p in ways if closed is None or all(_at(sheet, n) >= closed for n in p)]
    if not fresh:
        return "insulation was tested before it was closed for the last time: test it again", False
    if any(p != [0] for p in fresh):
        return "", False
    found = insulation_now(sheet, visit.rules)
    unparted = found is not None and found.unparted
    return (f"insulation {found.words}" if found is not None and unparted else ""), unparted


def _at(sheet: Sheet, place: int) -> datetime:
    """Return when the insulation of a circuit was read, the opening of the sheet where it was not."""
    given = INSULATION_MOHM.given(sheet, place)
    return given.at if given is not None else sheet.at


JUDGING = Judging(
    stage=STAGE, measure=_measure, holds={"power": _before_power}, left_of=partial(left_to_look_at, STAGE.id)
)
