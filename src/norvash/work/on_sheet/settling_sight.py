"""Say of a value that was kept as typed whether it is as found or as left."""

from dataclasses import replace

from norvash.core.record.brushes import ReadingStands
from norvash.core.record.sheet import SightSaid
from norvash.core.sheet.given import Sight
from norvash.core.sheet.sheet import Spot
from norvash.core.visit.done import done_tasks, may_be_left
from norvash.errors import Conflict, InputError, NotFound
from norvash.store.file.database import Connection
from norvash.store.record import rounds
from norvash.work.act.acting import Act, Change
from norvash.work.on_sheet.entered import entered, told
from norvash.work.on_sheet.sheets import kept_field, unsigned
from norvash.work.reading.context import Context
from norvash.work.reading.loading import load
from norvash.work.reading.saying import Saying, say
from norvash.work.reading.standing import foresee

# A value that stands there twice already, or that is of neither sight: it is let go.
NEITHER = "neither"
_MEANS: dict[str, Sight] = {"found": "found", "left": "left", NEITHER: "asked"}


def settle_sight(conn: Connection, act: Act, sheet_id: str, value_id: str, sight: str) -> str:
    """Move a value of an open sheet, an entry or a reading, to the sight that it speaks of; return its id.

    It stays that of whoever entered it; one that is of neither is let go, stays in the record and counts for nothing.
    Raises: InputError for another sight, NotFound, Conflict where nothing was done at its place, or where another value
    stands there already.
    """
    if sight not in _MEANS:
        raise InputError("That is neither as found nor as left.", "Choose as found or as left, or let it go.", "sight")
    wanted = _MEANS[sight]

    def prepare(now: Act) -> Saying:
        context = load(conn, unsigned(conn, sheet_id).motor_id)
        spot = next((spot for spot, given in context.written.items() if given.id == value_id), None)
        if spot is not None:
            said, typed = _entry(context, spot, sight=wanted), context.written[spot].typed
        else:
            said, typed = _reading(conn, context, sheet_id, value_id, sight=wanted)
        judged = foresee(conn, [told(conn, context, said)], now.at.date())[0]
        change = Change(value_id, {"typed": typed}, {"sight": sight}, context.motor.id)
        return Saying(context=context, said=(said,), change=change, judged=judged)

    content = {"sheet": sheet_id, "value": value_id, "sight": sight}
    return say(conn, act, "say which sight", typed=content, prepare=prepare)


def _entry(context: Context, spot: Spot, *, sight: Sight) -> SightSaid:
    given = context.written[spot]
    field, sheet = kept_field(spot[0]), context.open_sheet
    if sheet is None:
        raise LookupError("an unsigned sheet is the newest")
    if sight == "left" and not may_be_left(field, done_tasks(sheet), context.state.told.new, spot[1]):
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
    gone = entered(context, field, spot, None)
    if sight == "asked":
        return SightSaid(id=given.id, sight=sight, round_id="", then=(gone,))
    here = entered(context, field, (spot[0], spot[1], sight), replace(given, sight=sight))
    return SightSaid(id=given.id, sight=sight, round_id="", then=(gone, here))


def _reading(
    conn: Connection, context: Context, sheet_id: str, reading_id: str, *, sight: Sight
) -> tuple[SightSaid, str]:
    """Return the entry for a reading, and what was typed as it."""
    of_sheet = rounds.rounds_of(conn, sheet_id)
    found = next((g for r in of_sheet for g in rounds.list_sighted(conn, r.id) if g.id == reading_id), None)
    if found is None or (sight == "asked" and found.sight != "asked"):
        raise NotFound("There is no such value on this sheet.", "Look at the sheet as it is now.", "sight")
    to = next((r for r in of_sheet if sight == "left" and r.set_id == context.sets[-1].id), of_sheet[0])
    if sight == "asked":
        return SightSaid(id=found.id, sight=sight, round_id=to.id, then=()), found.said
    if any((g.position_number, g.sight) == (found.position_number, sight) for g in rounds.list_sighted(conn, to.id)):
        raise Conflict(
            "Another reading stands there already.",
            "Enter the value again in its place: Norvash then asks which one was a slip.",
            "sight",
        )
    measured = rounds.measured_as(conn, found.id)
    stands = ReadingStands(round_id=to.id, position=found.position_number, measured=measured, sight=sight)
    return SightSaid(id=found.id, sight=sight, round_id=to.id, then=(stands,)), found.said
