"""Sign: back to service, what was used, when to look next."""

from norvash.core.sheet.field import Day
from norvash.core.sheet.fields_made import quantity, text
from norvash.core.sheet.given import Given
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.stage import Stage
from norvash.core.stages.gates import SERVICE
from norvash.core.stages.signed_over import FINDINGS

PARTS_USED = text("parts", "Parts", "Parts used", hint="part number and how many", placed=True)
NEXT_LOOK = Day(
    id="next-look",
    group="Next look",
    label="Sooner than Norvash says, by day",
    hint="a day; empty: as forecast",
    placed=True,
    judged=True,
)
NEXT_LOOK_AT = quantity(
    "next-look-at",
    "Next look",
    "or by use: the counter shows",
    "count",
    low=0.0,
    high=1e7,
    hint="like 1740; the sooner of the two counts",
    placed=True,
    judged=True,
)
# What a judgement refused by hand, with its reason: kept by itself, it changes nothing.
REFUSED = text("refused", "Refused", "Refused", per="number", placed=True)
# What is added below the signature of a sheet; it is no entry of its walk.
ADDITION = text("addition", "Added after signing", "Added", per="number")


STAGE = Stage(
    id="sign",
    name="sign",
    words="Sign",
    fields=(PARTS_USED, NEXT_LOOK, NEXT_LOOK_AT, REFUSED),
    findings=FINDINGS,
    gate=SERVICE,
    schools=("school.look",),
    quick=True,
    closes=True,
    skipped=False,
)


def refused_given(sheet: Sheet) -> list[Given]:
    """Return what was refused on a sheet, in its order."""
    return [given for place in REFUSED.places(sheet) if (given := REFUSED.given(sheet, place)) is not None]
