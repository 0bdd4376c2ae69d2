"""Bearings, shaft, seals, drive and solenoid."""

from norvash.core.diagnosis.signs import ON_DRIVE
from norvash.core.motor.figure_fields import (
    AIR_GAP_MM,
    BEARING_DRIVE,
    BEARING_OTHER,
    END_FLOAT_HIGH_MM,
    END_FLOAT_LOW_MM,
    PINION_GAP_HIGH_MM,
    PINION_GAP_LOW_MM,
)
from norvash.core.sheet.part import DRIVE
from norvash.core.sheet.stage import Stage
from norvash.core.stages.axis import looks_of
from norvash.core.stages.drive import bearings, seen, shaft
from norvash.core.stages.drive.together import TOGETHER

STAGE = Stage(
    id="drive",
    name="drive",
    words="Bearings and drive",
    fields=(*bearings.FIELDS, *shaft.FIELDS, *looks_of("drive"), TOGETHER),
    signs=ON_DRIVE,
    looked=seen.LOOKED,
    findings=(*bearings.FINDINGS, *shaft.FINDINGS),
    parts=(DRIVE,),
    inside=True,
    asks=(
        BEARING_DRIVE,
        BEARING_OTHER,
        END_FLOAT_LOW_MM,
        END_FLOAT_HIGH_MM,
        AIR_GAP_MM,
        PINION_GAP_LOW_MM,
        PINION_GAP_HIGH_MM,
    ),
)
