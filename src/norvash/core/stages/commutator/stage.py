"""Commutator: its size, bar map, run-out, bar test, cut and surface."""

from norvash.core.diagnosis.signs import ON_COMMUTATOR
from norvash.core.motor.figure_fields import ARMATURE_SLOTS, BARS, COMMUTATOR_D_MIN_MM, COMMUTATOR_D_MM
from norvash.core.sheet.part import COMMUTATOR
from norvash.core.sheet.stage import Stage
from norvash.core.stages.commutator import band, bar_map, bar_test, cut, run_out, seen, size

STAGE = Stage(
    id="commutator",
    name="commutator",
    words="Commutator",
    fields=(*size.FIELDS, *bar_map.FIELDS, *run_out.FIELDS, *bar_test.FIELDS, *cut.FIELDS, *band.FIELDS),
    signs=ON_COMMUTATOR,
    looked=seen.LOOKED,
    findings=(*size.FINDINGS, *bar_map.FINDINGS, *run_out.FINDINGS, *bar_test.FINDINGS, *cut.FINDINGS, *band.FINDINGS),
    parts=(COMMUTATOR,),
    inside=True,
    opens=True,
    asks=(BARS, COMMUTATOR_D_MM, COMMUTATOR_D_MIN_MM, ARMATURE_SLOTS),
)
