"""What was measured on a sheet: of every stage that was touched, judged once by the rules at hand."""

from collections.abc import Iterator

from norvash.core.rules.book import MotorRules
from norvash.core.sheet.field import Pick
from norvash.core.sheet.judging.catalogue import JUDGING
from norvash.core.sheet.measured import Measured, standing_of, value_of
from norvash.core.sheet.numbered import numbered
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.stage import Stage
from norvash.core.sheet.stages.catalogue import STAGES
from norvash.core.sheet.visit.walk import touched


def measured_at(stage: Stage, sheet: Sheet, rules: MotorRules, worn_mm: tuple[float, ...] = ()) -> tuple[Measured, ...]:
    """Return what was picked and measured at a stage of a sheet, in its view.

    Units: worn_mm [mm] of every brush since new.
    """
    if not touched(sheet, stage):
        return ()
    name = f"measured at {stage.id}, worn {worn_mm}"
    return sheet.by_rules(name, rules, lambda: tuple(_made(stage, sheet, rules, worn_mm)))


def measured_on(sheet: Sheet, rules: MotorRules, worn_mm: tuple[float, ...] = ()) -> tuple[Measured, ...]:
    """Return everything that was picked and measured on a sheet, in the order of the work."""
    return tuple(m for stage in STAGES for m in measured_at(stage, sheet, rules, worn_mm))


def _made(stage: Stage, sheet: Sheet, rules: MotorRules, worn_mm: tuple[float, ...]) -> Iterator[Measured]:
    for field in stage.fields:
        if isinstance(field, Pick) and field.finds:
            yield from _picked(field, sheet)
    yield from JUDGING[stage.id].measure(sheet, rules, worn_mm)


def _picked(field: Pick, sheet: Sheet) -> Iterator[Measured]:
    """Yield what a pick finds, or that it finds nothing."""
    for place in field.places(sheet):
        answer = field.of(sheet, place)
        if answer:
            said, found = f"{field.label.lower()} {dict(field.choices)[answer]}", field.finds.get(answer)
            off = None if found is None else found if field.plainly else found.saying(said)
            where = f"{numbered(field.per, place)}: " if place and field.per != "position" else ""
            yield value_of(
                field,
                f"{where}{said}",
                standing_of(off is None),
                place,
                spot=place,
                findings=() if off is None else (off,),
            )
