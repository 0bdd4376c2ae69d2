"""The band that was machined, and the brush that must stay on it wherever the float takes the shaft."""

from norvash.core.motor.figure_fields import COMMUTATOR_NOW_MM
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.field import Field, Quantity
from norvash.core.sheet.fields_made import quantity
from norvash.core.sheet.finding import finding
from norvash.core.sheet.part import COMMUTATOR
from norvash.core.stages.shared import PLAN_CUT

FINDINGS = (
    BAND_SHORT := finding(
        "cut.band",
        "machined band too short for brush and float",
        "change",
        "cut it longer on that side: at its edge the brush would ride on a step",
        COMMUTATOR,
        PLAN_CUT,
        proof="value",
    ),
)
_GROUP = "Machined band, from the riser"


def _was_cut(facts: Facts, _rules: MotorRules) -> bool:
    return COMMUTATOR_NOW_MM.stated(facts.figures) is not None


def _edge(field_id: str, label: str, hint: str = "") -> Quantity:
    return quantity(
        field_id,
        _GROUP,
        label,
        "length",
        needs="safe",
        high=2000,
        hint=hint,
        judged=True,
        offered=_was_cut,
        work=True,
        tells=(BAND_SHORT,),
    )


FIELDS: tuple[Field, ...] = (
    BAND_FROM := _edge("band-from", "It begins at", "the riser is 0"),
    BAND_TO := _edge("band-to", "It ends at"),
    RUNS_FROM := _edge("brush-runs-from", "The brush runs from"),
    RUNS_TO := _edge("brush-runs-to", "The brush runs to"),
)
