"""What stands on a sheet, line by line."""

from dataclasses import dataclass

from norvash.core.sheet.field import BEARINGS, Field
from norvash.core.sheet.gates import GATES
from norvash.core.sheet.given import Given
from norvash.core.sheet.stage import Stage
from norvash.core.sheet.stages.catalogue import FINDINGS, STAGES, field_of, stage_of
from norvash.web.stages.fields import said
from norvash.work.sheet_page import SheetPage


@dataclass(frozen=True, slots=True)
class Written:
    """One line of what stands on a sheet: what, as entered, by whom and when."""

    what: str
    said: str
    given: Given


def written(shown: SheetPage) -> list[tuple[str, list[Written]]]:
    """Return all that was entered on a sheet by stage, in the order in which it was entered."""
    made: dict[Stage | None, list[Written]] = {}
    for (field_id, place), given in sorted(shown.sheet.entries.items(), key=lambda e: e[1].at):
        field = field_of(field_id)
        if field is None or not given.typed:
            continue
        where = _where(shown, field, place)
        label = _acts(shown).get(field_id, FINDINGS[field.label].words if field.label in FINDINGS else field.label)
        made.setdefault(stage_of(field_id), []).append(Written(f"{label}{where}", said(field, given), given))
    return [(s.words, made[s]) for s in STAGES if s in made]


def _where(shown: SheetPage, field: Field, place: int) -> str:
    if field.per == "bearing":
        return f", {BEARINGS[place - 1]}"
    if field.per == "position" and place:
        return f" {shown.context.state.positions[place - 1].label}"
    return f" {place}" if place else ""


def _acts(shown: SheetPage) -> dict[str, str]:
    """Return the words of the steps of all gates."""
    facts, rules = shown.context.facts, shown.context.rules
    return {g.step(s.id).id: s.act for g in GATES.values() for s in g.steps(facts, rules)}
