"""Say of a value that was kept as typed whether it is as found or as left."""

from dataclasses import dataclass, replace
from datetime import date

from norvash.core.record.entries import BrushRead
from norvash.core.sheet.given import Given, Sight
from norvash.core.sheet.sheet import Spot
from norvash.core.sheet.visit.done import done_tasks, touched
from norvash.errors import Conflict, InputError, NotFound
from norvash.store import entries, rounds
from norvash.store.database import Connection
from norvash.store.rounds import ReadingRow, RoundRow
from norvash.work.acting import Act, Change, prepared
from norvash.work.context import Context, Prepared
from norvash.work.loading import load
from norvash.work.sheets import changed, kept_field, unsigned
from norvash.work.standing import Judged, foresee, keep

# A value that stands there twice already, or that is of neither sight: it is let go.
NEITHER = "neither"
_MEANS: dict[str, Sight] = {"found": "found", "left": "left", NEITHER: "asked"}


@dataclass(frozen=True, kw_only=True)
class _Settled(Prepared):
    """A value that goes to a sight, and the motor judged with it there."""

    entry_at: Spot | None
    reading: ReadingRow | None
    to: RoundRow | None
    typed: str
    judged: Judged


def settle_sight(conn: Connection, act: Act, sheet_id: str, value_id: str, sight: str) -> str:
    """Move a value of an open sheet, an entry or a reading, to the sight that it speaks of; return its id.

    It stays that of whoever entered it; one that is of neither is let go, stays in the record and counts for nothing.
    Raises: InputError for another sight, NotFound, Conflict where nothing was done at its place, or where another value
    stands there already.
    """
    if sight not in _MEANS:
        raise InputError("That is neither as found nor as left.", "Choose as found or as left, or let it go.", "sight")
    wanted = _MEANS[sight]

    def prepare() -> _Settled:
        context = load(conn, unsigned(conn, sheet_id).motor_id)
        for spot, given in context.written.items():
            if given.id == value_id:
                return _entry(conn, context, spot, given, sight=wanted, today=act.at.date())
        of_sheet = rounds.rounds_of(conn, sheet_id)
        return _reading(conn, context, of_sheet, value_id, sight=wanted, today=act.at.date())

    def body(_: Act, made: _Settled) -> Change:
        if wanted == "asked":
            entries.let_go(conn, value_id, reading=made.entry_at is None)
        elif made.to is not None:
            rounds.move_reading(conn, value_id, made.to.id, wanted)
        else:
            entries.move_entry(conn, value_id, wanted)
        keep(conn, made.judged)
        return Change(value_id, {"typed": made.typed}, {"sight": sight}, made.context.motor.id)

    typed = {"sheet": sheet_id, "value": value_id, "sight": sight}
    return prepared(conn, act, "say which sight", typed=typed, prepare=prepare, body=body)


def _entry(conn: Connection, context: Context, spot: Spot, given: Given, *, sight: Sight, today: date) -> _Settled:
    field, sheet = kept_field(spot[0]), context.open_sheet
    if sheet is None:
        raise LookupError("an unsigned sheet is the newest")
    if sight == "left" and not touched(field, done_tasks(sheet), context.state.told.new, spot[1]):
        raise Conflict(
            "Nothing was done here at this visit: it is as found.",
            "Tick the work on the rework stage first, or keep it as found.",
            "sight",
        )
    there = sheet.given(spot[0], spot[1], sight)
    if sight == "asked" and spot[2] != "asked":
        raise Conflict("This value is not asked about.", "Correct it where it stands.", "sight")
    if there is not None and there.id != given.id:
        raise Conflict(
            f"“{there.typed}” by {there.person} stands there already.",
            "Enter the value again in its place: Norvash then asks which one was a slip.",
            "sight",
        )
    after = changed(conn, context, field, spot, None)
    if sight == "asked":
        judged = foresee(conn, [after], today)[0]
        return _Settled(context=context, entry_at=spot, reading=None, to=None, typed=given.typed, judged=judged)
    after = changed(conn, after, field, (spot[0], spot[1], sight), replace(given, sight=sight))
    judged = foresee(conn, [after], today)[0]
    return _Settled(context=context, entry_at=spot, reading=None, to=None, typed=given.typed, judged=judged)


def _reading(
    conn: Connection, context: Context, of_sheet: list[RoundRow], reading_id: str, *, sight: Sight, today: date
) -> _Settled:
    found = next((g for r in of_sheet for g in rounds.list_sighted(conn, r.id) if g.id == reading_id), None)
    if found is None or (sight == "asked" and found.sight != "asked"):
        raise NotFound("There is no such value on this sheet.", "Look at the sheet as it is now.", "sight")
    to = next((r for r in of_sheet if sight == "left" and r.set_id == context.sets[-1].id), of_sheet[0])
    if sight == "asked":
        judged = foresee(conn, [context], today)[0]
        return _Settled(context=context, entry_at=None, reading=found, to=to, typed=found.said, judged=judged)
    there = {(g.position_number, g.sight) for g in rounds.list_sighted(conn, to.id)}
    if (found.position_number, sight) in there:
        raise Conflict(
            "Another reading stands there already.",
            "Enter the value again in its place: Norvash then asks which one was a slip.",
            "sight",
        )
    measured = rounds.measured_as(conn, found.id)
    after = context.after(BrushRead(round_id=to.id, position=found.position_number, measured=measured, sight=sight))
    judged = foresee(conn, [after], today)[0]
    return _Settled(context=context, entry_at=None, reading=found, to=to, typed=found.said, judged=judged)
