"""What a sheet asks about: values of which nobody has said whether they are as found or as left."""

from dataclasses import dataclass

from norvash.core.sheet.given import Given
from norvash.core.stages.catalogue import field_of, stage_of
from norvash.core.visit.asked import misfits
from norvash.store.record import rounds
from norvash.store.record.rounds import ReadingRow
from norvash.web.stages.shown.at import At


@dataclass(frozen=True, slots=True)
class Asked:
    """One value that is asked about: what it is of, as typed, by whom, and why it is asked."""

    id: str
    what: str
    typed: str
    person: str
    why: str


_WAITED = "It came when work had touched this place, and did not say which it is."
_UNDONE = "The work that it followed was taken back."


def asked_of(at: At) -> list[Asked]:
    """Return what is asked about at a stage."""
    shown, made = at.shown, list[Asked]()
    if shown.sheet.signed_at is not None:
        return made
    undone = misfits(shown.sheet, shown.found.new)
    for spot, given in shown.sheet.written.items():
        waits = spot[2] == "asked" and given.stands
        if (waits or spot in undone) and stage_of(spot[0]) is at.stage:
            made.append(_of_entry(at, spot[0], spot[1], given, _WAITED if waits else _UNDONE))
    if at.stage.measures:
        labels = {p.number: p.label for p in shown.context.positions}
        for a_round in rounds.rounds_of(at.conn, shown.row.id):
            for g in rounds.list_sighted(at.conn, a_round.id):
                if g.sight == "asked":
                    made.append(_of_reading(labels[g.position_number], g))
    return made


def _of_entry(at: At, field_id: str, place: int, given: Given, why: str) -> Asked:
    field = field_of(field_id)
    label = field.label if field is not None else field_id
    where = at.shown.context.facts.place(place) if field is not None and field.per == "position" else ""
    return Asked(given.id, ", ".join(filter(None, (where, label))), given.typed, given.person, why)


def _of_reading(label: str, reading: ReadingRow) -> Asked:
    return Asked(reading.id, f"Brush {label}", reading.said, reading.person, "It came when the new brush was in.")
