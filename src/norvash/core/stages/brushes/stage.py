"""Brushes: carbon, springs and leads, holders."""

from types import MappingProxyType

from norvash.core.diagnosis.signs import ON_BRUSHES
from norvash.core.motor.figure_fields import FACE_ANGLE_DEG, FORCE_NOMINAL_N, HOLDER_GAP_MM, THICKNESS_MM
from norvash.core.sheet.part import BRUSHES, HOLDERS, SPRINGS
from norvash.core.sheet.stage import Stage
from norvash.core.stages.brushes import carbon, holders, side, springs, stated

STAGE = Stage(
    id="brushes",
    name="brushes",
    words="Brushes",
    fields=(*springs.FIELDS, *holders.FIELDS, *carbon.FIELDS),
    signs=ON_BRUSHES,
    findings=(
        *carbon.BRUSH,
        *carbon.FACE,
        *springs.LEAD,
        *springs.SPRING,
        *holders.HOLDER,
        *springs.FINDINGS,
        *holders.FINDINGS,
        *carbon.FINDINGS,
        *stated.FINDINGS,
        *side.FINDINGS,
    ),
    parts=(BRUSHES, SPRINGS, HOLDERS),
    looks=((SPRINGS, springs.SPRINGS_LOOKED), (HOLDERS, holders.HOLDERS_LOOKED)),
    measures=True,
    inside=True,
    opens=True,
    quick=True,
    asks=(THICKNESS_MM, FORCE_NOMINAL_N, FACE_ANGLE_DEG, HOLDER_GAP_MM),
)

# What is picked by picture on one brush, by where it is.
PICTURES = (
    ("Brush", carbon.BRUSH),
    ("Face", carbon.FACE),
    ("Lead and terminal", springs.LEAD),
    ("Spring", springs.SPRING),
    ("Holder", holders.HOLDER),
)
BY_SIGHT = MappingProxyType({f.id: f for _, group in PICTURES for f in group})
