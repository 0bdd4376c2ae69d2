"""What stands on a sheet, line by line, as found beside as left."""

from dataclasses import dataclass

from norvash.core.kept_names import KEPT_BY_ANOTHER, left_of
from norvash.core.sheet.field import Column, Field
from norvash.core.sheet.given import Given
from norvash.core.sheet.stage import Stage
from norvash.core.stages.catalogue import STAGES, field_of, stage_of
from norvash.core.stages.gates import GATES
from norvash.core.visit.named import field_words, place_words, said_words
from norvash.core.visit.not_asked import is_asked
from norvash.work.reading.sheet_now import SheetNow


@dataclass(frozen=True, slots=True, kw_only=True)
class Written:
    """One line of what stands on a sheet: what, as found, as left, by whom and when last; whether it has two sights,
    and, of a column, its readings as they were typed, each with its sight.
    """

    what: str
    found: str
    left: str
    given: Given
    sighted: bool
    readings: tuple[tuple[str, str], ...] = ()


def written(shown: SheetNow, only: Stage | None = None) -> list[tuple[str, list[Written]]]:
    """Return all that was entered on a sheet by stage, or at one stage, in the order in which it was first entered."""
    made: dict[Stage | None, list[Written]] = {}
    acts, labels = _acts(shown), {p.number: p.label for p in shown.context.state.positions}
    spots = sorted(shown.sheet.written.items(), key=lambda e: e[1].at)
    for field_id, place in dict.fromkeys((f, p) for (f, p, sight), _ in spots if sight != "asked"):
        if only is not None and stage_of(field_id) is not only:
            continue
        field = field_of(field_id)
        found, left = (shown.sheet.given(field_id, place, s) for s in ("found", "left"))
        last = left or found
        if field is None or last is None or not last.typed:
            continue
        what = f"{acts.get(field_id) or field_words(field)}{place_words(field, place, labels)}"
        if shown.row.signed_at is None and not is_asked(field, shown.sheet, shown.context.rules):
            what += " (not asked any more)"
        line = Written(
            what=what,
            found=_said(field, found),
            left=_said(field, left),
            given=last,
            sighted=field.sighted,
            readings=_readings(field, found, left),
        )
        made.setdefault(stage_of(field_id), []).append(line)
    return [*((s.words, made[s]) for s in STAGES if s in made), *(_no_more_asked(shown) if only is None else ())]


def _no_more_asked(shown: SheetNow) -> list[tuple[str, list[Written]]]:
    """Return what was entered in fields that no stage has any more: it is read as it was typed, and not judged."""
    lines = []
    for (name, place, _), given in sorted(shown.sheet.written.items(), key=lambda e: e[1].at):
        if field_of(name) is None and given.typed:
            left = left_of("field", name)
            words = left.words if left is not None else f"{name}, {KEPT_BY_ANOTHER}"
            what = f"{words}{f' {place}' if place else ''}"
            lines.append(Written(what=what, found=given.typed, left="", given=given, sighted=False))
    return [("No longer judged", lines)] if lines else []


def _readings(field: Field, found: Given | None, left: Given | None) -> tuple[tuple[str, str], ...]:
    """Return the readings of a column, each with its sight where there are two; none of another field."""
    sights = (("as found", found), ("as left", left)) if isinstance(field, Column) else ()
    typed = [(words, given.typed) for words, given in sights if given is not None and given.typed]
    return tuple(typed) if len(typed) > 1 else tuple(("", text) for _, text in typed)


def _said(field: Field, given: Given | None) -> str:
    return said_words(field, given) if given is not None and given.typed else ""


def _acts(shown: SheetNow) -> dict[str, str]:
    """Return the words of the steps of all gates."""
    facts, rules = shown.context.facts, shown.context.rules
    return {g.step(s.id).id: s.act for g in GATES.values() for s in g.steps(facts, rules)}
