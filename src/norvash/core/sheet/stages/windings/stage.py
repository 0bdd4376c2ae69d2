"""Windings and magnets: insulation, coils, heat, growler, chains."""

from collections.abc import Iterable, Iterator

from norvash.core.diagnosis.signs import ON_WINDINGS
from norvash.core.motor.figure_fields import ARMATURE_SLOTS, BARS, FORM_WOUND
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.finding import Noted
from norvash.core.sheet.part import WINDINGS
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.stage import Stage, Visit
from norvash.core.sheet.stages.prove.earth import EARTH_OHM
from norvash.core.sheet.stages.windings import coils, insulation, seen
from norvash.core.sheet.stages.windings.insulation import INSULATION_AGAIN, INSULATION_MOHM


def _judge(sheet: Sheet, rules: MotorRules, _worn_mm: tuple[float, ...]) -> Iterable[Noted]:
    from norvash.core.sheet.stages.windings.findings import findings

    return findings(sheet, rules)


def _before_power(visit: Visit) -> Iterator[str]:
    """Yield why insulation is not proven."""
    from norvash.core.sheet.done import overtaken

    if INSULATION_MOHM.given(visit.sheet) is None:
        yield "insulation to earth is not measured"
    elif overtaken(INSULATION_MOHM, visit.sheet):
        yield "insulation was tested before the last work on it: test it again"
    for life in visit.lives:
        if life.stands and life.finding.id == INSULATION_AGAIN.id:
            yield life.finding.words


STAGE = Stage(
    id="windings",
    name="windings",
    words="Windings",
    fields=(*insulation.FIELDS, *coils.FIELDS),
    signs=ON_WINDINGS,
    looked=seen.LOOKED,
    findings=(*insulation.FINDINGS, *coils.FINDINGS),
    parts=(WINDINGS,),
    inside=True,
    judge=_judge,
    again=(EARTH_OHM,),
    holds={"power": _before_power},
    asks=(BARS, ARMATURE_SLOTS, FORM_WOUND),
)
