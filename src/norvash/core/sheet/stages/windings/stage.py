"""Windings and magnets: insulation, coils, heat, growler, chains."""

from collections.abc import Iterable

from norvash.core.diagnosis.signs import ON_WINDINGS
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.finding import Noted
from norvash.core.sheet.part import WINDINGS
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.stage import Stage
from norvash.core.sheet.stages.prove import EARTH_OHM
from norvash.core.sheet.stages.windings import coils, insulation, seen


def _judge(sheet: Sheet, rules: MotorRules, _worn_mm: tuple[float, ...]) -> Iterable[Noted]:
    from norvash.core.sheet.stages.windings.findings import findings

    return findings(sheet, rules)


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
    clears=("burnt", "magnets", "wire-broken", "core-rubbed", "interpole-hot"),
)
