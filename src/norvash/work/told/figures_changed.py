"""The figures of a motor that somebody changed since its last full sheet, as the paper of the next one tells them."""

import json
from collections.abc import Iterator, Mapping
from dataclasses import replace

from norvash.core.motor.figure_fields import (
    BY_NAME,
    CAPACITORS,
    COMMUTATOR_D_MIN_MM,
    CONSTRUCTION,
    DEPTH_LIMIT_MM,
    DRIVES_WHEELS,
    HANGS_LOAD,
    HAS_PLUG,
    INSULATION_CLASS,
    LIMIT_MM,
    PERMITTED_RPM,
    PROTECTION,
    RATED_RPM,
    RATED_V,
    RISE_MOST_K,
    SLOT_LEAST_MM,
    WINDING_RISE_K,
)
from norvash.core.sheet.ground import said
from norvash.core.sheet.moved import Answer, Moved
from norvash.core.text.words import day_words
from norvash.store.file.database import Connection
from norvash.store.record import people
from norvash.store.record.people import Done
from norvash.work.reading.sheet_now import SheetNow

# On these it hangs whether a machine hurts somebody, whatever was measured; on others where a value rests on them.
_SAFETY = frozenset(
    f.name
    for f in (
        *(LIMIT_MM, DEPTH_LIMIT_MM, COMMUTATOR_D_MIN_MM, SLOT_LEAST_MM, PERMITTED_RPM, RATED_V, RATED_RPM),
        *(CONSTRUCTION, PROTECTION, HAS_PLUG, CAPACITORS, HANGS_LOAD, DRIVES_WHEELS),
        *(INSULATION_CLASS, RISE_MOST_K, WINDING_RISE_K),
    )
)


def figures_changed_told(conn: Connection, page: SheetNow) -> list[str]:
    """Return what was changed of the figures of safety, and of those on which something of a sheet rests, since the
    full sheet before it: what stood there, what stands now, where that comes from, by whom and when.
    """
    if page.sheet.kind != "full":
        return []
    named = _SAFETY | {n for m in page.measured for n in m.rests_on if n in BY_NAME}
    changed: dict[str, Moved] = {}
    for done in people.list_figure_changes(conn, page.context.motor, page.sheet.id):
        for m in _moves(done):
            first = changed.pop(m.name, m)
            changed[m.name] = replace(m, before=first.before)
    return [f"{said(m)}, {day_words(m.at.date())}" for m in changed.values() if m.name in named and m.before != m.after]


def _moves(done: Done) -> Iterator[Moved]:
    """Yield what one act changed of the figures that a motor or its type states."""
    before, after = json.loads(done.before_json), json.loads(done.after_json)
    explained: Mapping[str, str] = after.get("explained", {})
    answer: Answer = explained.get("answer", "")  # type: ignore[assignment]
    for name in BY_NAME:
        if before.get(name) != after.get(name):
            yield Moved(
                id=f"{done.id}.{name}",
                kind="figure",
                name=name,
                scope="motor",
                scope_id="",
                before=before.get(name),
                after=after.get(name),
                answer=answer,
                source=explained.get("source", ""),
                person=done.person,
                at=done.at,
            )
