"""Take back what somebody entered last on a sheet."""

from dataclasses import dataclass

from norvash.errors import Conflict
from norvash.store import entries, rounds, seen
from norvash.store.database import Connection
from norvash.work.acting import Act, Change, prepared
from norvash.work.context import Context, Prepared
from norvash.work.loading import load
from norvash.work.sheets import changed, kept_field, unsigned
from norvash.work.standing import Judged, foresee, keep


def undo(conn: Connection, act: Act, sheet_id: str) -> str:
    """Take back what this person entered last on a sheet; return the id of what was taken back.

    Raises: Conflict when there is nothing left to take back.
    """

    def prepare() -> _Undone:
        row = unsigned(conn, sheet_id)
        last = entries.last_of(conn, sheet_id, act.person_id)
        if last is None:
            raise Conflict("There is nothing of yours to take back on this sheet.", "Change it where it stands.")
        context = load(conn, row.motor_id)
        return _Undone(context, last, foresee(conn, [_without(conn, context, last)], act.at.date())[0])

    def body(act: Act, made: _Undone) -> Change:
        last, motor_id = made.last, made.context.motor.id
        if last.kind == "entry":
            entries.undo_entry(conn, last.id)
        elif last.kind == "reading":
            entries.undo_reading(conn, last.id)
        else:
            seen.strike_finding(
                conn, last.round_id, position=last.place, seen=last.field, sight=last.sight, act_id=act.id
            )
        keep(conn, made.judged)
        before = {"kind": last.kind, "field": last.field, "place": last.place, "typed": last.typed}
        return Change(last.id, before, {}, motor_id)

    return prepared(conn, act, "undo", typed={"sheet": sheet_id}, prepare=prepare, body=body)


@dataclass(frozen=True)
class _Undone(Prepared):
    """What a person entered last on a sheet, and the motor judged without it."""

    last: entries.LastDone
    judged: Judged


def _without(conn: Connection, context: Context, last: entries.LastDone) -> Context:
    """Return a motor without what was entered last on its newest sheet: what that replaced counts again."""
    if last.kind == "entry":
        behind, spot = entries.entry_behind(conn, last.id), (last.field, last.place, last.sight)
        return changed(conn, context, kept_field(last.field), spot, behind)
    if last.kind == "reading":
        behind_it = rounds.reading_behind(conn, last.id)
        return (
            context if last.sight == "asked" else context.with_reading(last.round_id, last.place, behind_it, last.sight)
        )
    left = [
        s
        for s in seen.list_seen(conn, last.round_id)
        if (s.position, s.finding.id, s.sight) != (last.place, last.field, last.sight)
    ]
    return context.with_seen(last.round_id, left)
