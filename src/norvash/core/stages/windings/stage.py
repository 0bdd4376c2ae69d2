"""Windings and magnets: insulation, coils, heat, growler, chains."""

from norvash.core.diagnosis.signs import ON_WINDINGS
from norvash.core.motor.figure_fields import ARMATURE_SLOTS, BARS, FORM_WOUND, INSULATION_CLASS
from norvash.core.sheet.part import WINDINGS
from norvash.core.sheet.stage import Stage
from norvash.core.stages.axis import looks_of
from norvash.core.stages.prove.earth import EARTH_OHM
from norvash.core.stages.windings import coils, insulation, seen, withstand

STAGE = Stage(
    id="windings",
    name="windings",
    words="Windings",
    fields=(*insulation.FIELDS, *withstand.FIELDS, *coils.FIELDS, *looks_of("windings")),
    signs=ON_WINDINGS,
    looked=seen.LOOKED,
    findings=(*insulation.FINDINGS, *withstand.FINDINGS, *coils.FINDINGS),
    parts=(WINDINGS,),
    inside=True,
    again=(EARTH_OHM,),
    asks=(BARS, ARMATURE_SLOTS, FORM_WOUND, INSULATION_CLASS),
)
