"""Open a sheet for a motor."""

from norvash.core.record.record import SheetRow
from norvash.core.record.said import Said
from norvash.core.record.sheet import Entered, KindChanged, Opened
from norvash.core.sheet.field import YES
from norvash.core.sheet.given import Given
from norvash.core.sheet.sheet import Spot
from norvash.core.stages.gates import SAFE
from norvash.core.use.happened import NOTHING, Happened
from norvash.errors import Conflict, InputError
from norvash.store.file.database import Connection
from norvash.store.record import people, sheets
from norvash.work.act.acting import Act, Change
from norvash.work.motors.logging_use import settled
from norvash.work.reading.context import Context
from norvash.work.reading.loading import load
from norvash.work.reading.saying import Saying, say
from norvash.work.reading.standing import foresee

KINDS = {"check": "a look", "bedded": "bedding-in has just ended"}
SHEET_KINDS: dict[str, str] = {"full": "a whole sheet", "quick": "a look: measure and sign"}
_CONFIRMED: Spot = (SAFE.confirmed.id, 0, "found")


def open_sheet(
    conn: Connection,
    act: Act,
    motor_id: str,
    *,
    kind: str,
    counter: str,
    round_kind: str = "check",
    happened: Happened = NOTHING,
    safe: bool = False,
) -> str:
    """Open a sheet at the use that the counter shows; return its id, or that of the one left open.

    `safe` confirms the gate of a look at once. Raises: InputError or NeedsAnswer about the counter; then nothing
    is kept.
    """
    _check_kinds(kind, round_kind)

    def prepare(now: Act) -> Saying:
        context = load(conn, motor_id)
        row = context.open_row
        if row is not None:
            return Saying(context=context, said=(), change=Change(row.id, {}, {"went on": row.id}, motor_id))
        if context.motor.gone_by(now.at.date()) is not None:
            raise Conflict("This motor is retired.", "Take it back into use on its page first.", "motor")
        counted, news = settled(context, counter, now, happened)
        row, total = _row(context, now, kind), counted.total_units
        said: tuple[Said, ...] = (
            *news,
            Opened(row=row, round_id=f"{now.id}.found", round_kind=round_kind, total_units=total),
        )
        said += (_tick(conn, now, row),) if safe and kind == "quick" else ()
        after = {
            "set": context.sets[-1].number,
            "kind": round_kind,
            "counter": counted.counter_units,
            "total": total,
            "sheet": row.number,
            "look": kind,
        }
        judged = foresee(conn, [context.after(*said)], now.at.date())[0]
        return Saying(context=context, said=said, change=Change(now.id, {}, after, motor_id), judged=judged)

    typed = {"motor": motor_id, "sheet": kind, "counter": counter, "kind": round_kind, "safe": safe}
    typed |= {"answer": happened.answer, **happened.typed}
    return say(conn, act, "open a sheet", typed=typed, prepare=prepare)


def make_whole(conn: Connection, act: Act, sheet_id: str) -> str:
    """Go on with a look as a whole sheet; return its id.

    Raises: NotFound, Conflict for a signed one.
    """

    def prepare(_: Act) -> Saying:
        row = sheets.fetch_sheet(conn, sheet_id)
        if row.signed_at is not None:
            raise Conflict("This sheet is signed and is not edited any more.", "Start a new sheet.", "value")
        change = Change(sheet_id, {"look": row.kind}, {"look": "full"}, row.motor_id)
        return Saying(context=load(conn, row.motor_id), said=(KindChanged("full"),), change=change)

    return say(conn, act, "make it a whole sheet", typed={"sheet": sheet_id}, prepare=prepare)


def _check_kinds(kind: str, round_kind: str) -> None:
    if kind not in SHEET_KINDS:
        raise InputError("This kind of sheet is not known.", "Choose one from the list.", "sheet_kind")
    if round_kind not in KINDS:
        raise InputError("This kind of round is not known.", "Choose one from the list.", "kind")


def _row(context: Context, act: Act, kind: str) -> SheetRow:
    """Return a sheet as it will stand in the record; its person is not asked for before it is signed."""
    return SheetRow(
        id=act.id,
        motor_id=context.motor.id,
        number=context.row.number + 1 if context.row is not None else 1,
        kind="full" if kind == "full" else "quick",
        at=act.at,
        person="",
        signed_at=None,
        signed={},
    )


def _tick(conn: Connection, now: Act, row: SheetRow) -> Entered:
    """Return the tick that confirms the gate of a look at once."""
    person = people.fetch_person(conn, now.person_id).name
    given = Given(id=f"{now.id}.safe", typed=YES, word=YES, number=None, person=person, at=now.at)
    return Entered(sheet_id=row.id, spot=_CONFIRMED, given=given)
