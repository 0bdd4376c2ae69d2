"""What was measured on a sheet: of every stage that was touched, judged once by the rules at hand."""

from collections.abc import Iterator
from dataclasses import replace
from datetime import date

from norvash.core.judging.catalogue import JUDGING
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.field import Pick
from norvash.core.sheet.measured import Measured, standing_of, value_of
from norvash.core.sheet.numbered import numbered
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.stage import Stage
from norvash.core.stages.catalogue import STAGES
from norvash.core.visit.walk import touched


def measured_at(stage: Stage, sheet: Sheet, rules: MotorRules, worn_mm: tuple[float, ...] = ()) -> tuple[Measured, ...]:
    """Return what was picked and measured at a stage of a sheet, in its view.

    Units: worn_mm [mm] of every brush since new.
    """
    if not touched(sheet, stage):
        return ()
    name = f"measured at {stage.id}, worn {worn_mm}"
    return sheet.by_rules(name, rules, lambda: tuple(_beside(stage, sheet, rules, worn_mm)))


def measured_on(sheet: Sheet, rules: MotorRules, worn_mm: tuple[float, ...] = ()) -> tuple[Measured, ...]:
    """Return everything that was picked and measured on a sheet, in the order of the work."""
    return tuple(m for stage in STAGES for m in measured_at(stage, sheet, rules, worn_mm))


def _beside(stage: Stage, sheet: Sheet, rules: MotorRules, worn_mm: tuple[float, ...]) -> Iterator[Measured]:
    """Yield what was measured at a stage, each number beside what it was as found and on the last sheet."""
    before = sheet.as_found
    found = {} if before is sheet else {(m.id, m.of): m.value for m in measured_at(stage, before, rules, worn_mm)}
    for m in _made(stage, sheet, rules, worn_mm):
        was, then = found.get((m.id, m.of)), _last(m, sheet)
        here = was if was != m.value else None
        beside = m.value is not None and (here is not None or then is not None)
        yield replace(m, found=here, before=then) if beside else m


def _last(m: Measured, sheet: Sheet) -> tuple[float, date] | None:
    """Return the value of the last sheet that has one, with its day."""
    last = sheet.earlier.get(m.of[-1]) if len(m.of) == 1 else None
    return None if last is None or last.given.number is None else (last.given.number, last.given.at.date())


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
            off = None if found is None else found if field.plainly else found.worded(said)
            where = f"{numbered(field.per, place)}: " if place and field.per != "position" else ""
            yield value_of(
                field,
                f"{where}{said}",
                standing_of(off is None),
                place,
                spot=place,
                findings=() if off is None else (off,),
            )
