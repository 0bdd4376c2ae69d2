"""Open a sheet for a motor."""

from collections.abc import Mapping
from dataclasses import dataclass

from norvash.core.record.entries import Opened, UseLogged
from norvash.core.record.record import SheetRow
from norvash.core.sheet.field import YES
from norvash.core.sheet.given import Given
from norvash.core.sheet.sheet import Spot
from norvash.core.sheet.stages.gates import SAFE
from norvash.core.use.counting import Counted
from norvash.errors import Conflict, InputError
from norvash.store import entries, people, rounds, sheets, use
from norvash.store.database import Connection
from norvash.work.acting import Act, Change, in_order, once, prepared
from norvash.work.context import Context, Prepared
from norvash.work.loading import load
from norvash.work.logging_use import settled
from norvash.work.standing import Judged, foresee, keep

KINDS = {"check": "a look", "bedded": "bedding-in has just ended"}
SHEET_KINDS: dict[str, str] = {"full": "a whole sheet", "quick": "a look: measure and sign"}
_CONFIRMED: Spot = (SAFE.confirmed.id, 0, "found")


@dataclass(frozen=True)
class _Opened(Prepared):
    """A sheet as it is to be opened: the use now and whether that is news, the gate confirmed at once, and the motor
    judged.

    `judged` is None where a sheet was left open: the person goes on with that.
    """

    counted: Counted
    news: bool
    tick: Mapping[Spot, Given]
    judged: Judged | None


def open_sheet(
    conn: Connection,
    act: Act,
    motor_id: str,
    *,
    kind: str,
    counter: str,
    round_kind: str = "check",
    answer: str = "",
    safe: bool = False,
) -> str:
    """Open a sheet at the use that the counter shows; return its id, or that of the one left open.

    `safe` confirms the gate of a look at once. Raises: InputError or NeedsAnswer about the counter; then nothing
    is kept.
    """
    _check_kinds(kind, round_kind)

    def prepare() -> _Opened:
        context = load(conn, motor_id)
        if context.row is not None and context.row.signed_at is None:
            return _Opened(context, Counted(0.0, 0.0, ""), False, {}, None)
        if context.motor.retired is not None:
            raise Conflict("This motor is retired.", "Take it back into use on its page first.", "motor")
        now = in_order(conn, act)
        counted, news = settled(context, counter, now.at, answer)
        tick = _tick(now, people.fetch_person(conn, act.person_id).name) if safe and kind == "quick" else {}
        opened = Opened(
            row=_row(context, now, kind),
            round_id=_round_id(act),
            round_kind=round_kind,
            total_units=counted.total_units,
            written=tick,
        )
        after = context.after(*([UseLogged(use=counted.logged(now.at))] if news else []), opened)
        return _Opened(context, counted, news, tick, foresee(conn, [after], now.at.date())[0])

    def body(act: Act, made: _Opened) -> Change:
        if made.judged is None:
            left_open = made.context.row.id if made.context.row is not None else ""
            return Change(left_open, {}, {"went on": left_open}, motor_id)
        current, counted = made.context.sets[-1], made.counted
        if made.news:
            use.add_entry(
                conn, f"{act.id}.use", motor_id, at=act.at, counted=counted, typed=counter.strip(), act_id=act.id
            )
        sheets.add_sheet(conn, act.id, motor_id, kind=kind, at=act.at, act_id=act.id)
        rounds.add_round(
            conn,
            _round_id(act),
            motor_id,
            set_id=current.id,
            sheet_id=act.id,
            kind=round_kind,
            at=act.at,
            units=counted.total_units,
            act_id=act.id,
        )
        for (field, place, _), given in made.tick.items():
            entries.add_entry(conn, given.id, act.id, field=field, place=place, given=given, act_id=act.id)
        keep(conn, made.judged)
        after = {
            "set": current.number,
            "kind": round_kind,
            "counter": counted.counter_units,
            "total": counted.total_units,
            "sheet": _next_number(made.context),
            "look": kind,
        }
        return Change(act.id, {}, after, motor_id)

    typed = {"motor": motor_id, "sheet": kind, "counter": counter, "kind": round_kind, "answer": answer, "safe": safe}
    return prepared(conn, act, "open a sheet", typed=typed, prepare=prepare, body=body)


def make_whole(conn: Connection, act: Act, sheet_id: str) -> str:
    """Go on with a look as a whole sheet; return its id.

    Raises: NotFound, Conflict for a signed one.
    """

    def body(_: Act) -> Change:
        row = sheets.fetch_sheet(conn, sheet_id)
        if row.signed_at is not None:
            raise Conflict("This sheet is signed and is not edited any more.", "Start a new sheet.", "value")
        sheets.change_kind(conn, sheet_id, "full")
        return Change(sheet_id, {"look": row.kind}, {"look": "full"}, row.motor_id)

    return once(conn, act, "make it a whole sheet", typed={"sheet": sheet_id}, body=body)


def _check_kinds(kind: str, round_kind: str) -> None:
    if kind not in SHEET_KINDS:
        raise InputError("This kind of sheet is not known.", "Choose one from the list.", "sheet_kind")
    if round_kind not in KINDS:
        raise InputError("This kind of round is not known.", "Choose one from the list.", "kind")


def _next_number(context: Context) -> int:
    return context.row.number + 1 if context.row is not None else 1


def _row(context: Context, act: Act, kind: str) -> SheetRow:
    """Return a sheet as it will stand in the record; its person is not asked for before it is signed."""
    return SheetRow(
        id=act.id,
        motor_id=context.motor.id,
        number=_next_number(context),
        kind="full" if kind == "full" else "quick",
        at=act.at,
        person="",
        signed_at=None,
        signed={},
    )


def _round_id(act: Act) -> str:
    """Return the id of the round that a sheet finds."""
    return f"{act.id}.found"


def _tick(act: Act, person: str) -> dict[Spot, Given]:
    return {_CONFIRMED: Given(id=f"{act.id}.safe", typed=YES, word=YES, number=None, person=person, at=act.at)}
