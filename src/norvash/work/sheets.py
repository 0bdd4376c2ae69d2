"""Open a sheet for a motor, enter things on it, take the last one back."""

from collections.abc import Mapping
from dataclasses import replace
from datetime import datetime

from norvash.core.part_findings import PARTS
from norvash.core.sheet.field import SheetField
from norvash.core.sheet.fields import field_of, is_offered
from norvash.core.sheet.gates import GATES
from norvash.core.sheet.sheet import Given, Sheet, gate
from norvash.core.sheet.typed import place_of, read_entry
from norvash.errors import Conflict, InputError, NotFound
from norvash.store import people, rounds, sheets
from norvash.store.database import Connection
from norvash.store.sheets import SheetRow
from norvash.work.acting import Act, Change, once
from norvash.work.context import Context, load
from norvash.work.logging_use import settle_use
from norvash.work.sheet_state import put_together
from norvash.work.standing import judge, refresh

KINDS = {"check": "a look", "bedded": "bedding-in has just ended"}
SHEET_KINDS = {"full": "a whole sheet", "quick": "a quick look: measure and sign"}
_JUDGED = (
    "seen.",
    "decide.",
    "overrule.",
    "force",
    "gap",
    "box-",
    "brush-",
    "dust-g",
    "earth-ohm",
    "terminal-",
    "noload-",
)
# What changes the figures in force, and so the forecast.
_CUT = ("cut-done", "holder-set")


def open_sheet(
    conn: Connection, act: Act, motor_id: str, kind: str, counter: str, round_kind: str = "check", answer: str = "",
    *, safe: bool = False,
) -> str:  # fmt: skip
    """Open a sheet at the use that the counter shows; return its id, or that of the one left open.

    `safe` confirms the gate of a quick look at once. Raises: InputError or NeedsAnswer about the counter; then nothing is kept.
    """
    if kind not in SHEET_KINDS:
        raise InputError("This kind of sheet is not known.", "Choose one from the list.", "sheet_kind")
    if round_kind not in KINDS:
        raise InputError("This kind of round is not known.", "Choose one from the list.", "kind")

    def body(act: Act) -> Change:
        context = load(conn, motor_id)
        left_open = sheets.open_sheet_of(conn, motor_id)
        if left_open is not None:
            return Change(left_open.id, {}, {"went on": left_open.id}, motor_id)
        counted = settle_use(conn, act, context, counter, answer)
        set_id, number, _, _ = rounds.current_set(conn, motor_id)
        rounds.add_round(conn, act.id, motor_id, set_id, round_kind, act.at, counted.total_units, act.id)
        sheets.add_sheet(conn, act.id, motor_id, kind, act.at, act.id)
        if safe and kind == "quick":
            person = people.fetch_person(conn, act.person_id)
            tick = Given("", "yes", "yes", None, person.name, act.at)
            sheets.add_entry(conn, f"{act.id}.safe", act.id, "confirm.safe", 0, tick, act.id)
        refresh(conn, motor_id, act.at.date())
        after = {"set": number, "kind": round_kind, "counter": counted.counter_units, "total": counted.total_units,
                 "sheet": sheets.fetch_sheet(conn, act.id).number, "look": kind}  # fmt: skip
        return Change(act.id, {}, after, motor_id)

    typed = {"motor": motor_id, "sheet": kind, "counter": counter, "kind": round_kind, "answer": answer, "safe": safe}
    return once(conn, act, "open a sheet", typed, body)


def enter(
    conn: Connection, act: Act, sheet_id: str, field_id: str, place: int, text: str, replaces: str = "",
    more: Mapping[str, str] | None = None,
) -> str:  # fmt: skip
    """Keep one entry at once and return its id; an empty text empties the place.

    `replaces` is the entry that the person saw there; another one is not overwritten.
    Raises: InputError for what cannot be, Conflict for a closed gate, a signed sheet, or what somebody else entered meanwhile.
    """

    def body(act: Act) -> Change:
        row = unsigned(conn, sheet_id)
        context = load(conn, row.motor_id)
        sheet = put_together(conn, row, context.facts)
        field = _field(field_id, place, context)
        hold_at_gate(sheet, field.needs, context, act.at)
        _unseen(sheet, field, place, replaces)
        read = read_entry(field, text, more or {}, context.facts, context.rules, act.at.date())
        if field_id == "cut-done" and read.number is not None:
            from norvash.core.sheet.cutting import cut_record

            read = replace(read, more=cut_record(sheet, read.number, context.rules))
        person = people.fetch_person(conn, act.person_id)
        given = Given(act.id, read.typed, read.word, read.number, person.name, act.at, read.more or {})
        before = sheet.given(field_id, place)
        sheets.add_entry(conn, act.id, sheet_id, field_id, place, given, act.id)
        if field_id in _CUT:
            refresh(conn, row.motor_id, act.at.date())
        elif field.stage in PARTS or field_id.startswith(_JUDGED):
            judge(conn, row.motor_id, act.at.date())
        after = {"field": field_id, "place": place, "typed": read.typed, **given.more}
        return Change(act.id, {"typed": before.typed} if before else {}, after, row.motor_id)

    typed = {
        "sheet": sheet_id,
        "field": field_id,
        "place": place,
        "text": text,
        "replaces": replaces,
        "more": dict(more or {}),
    }
    return once(conn, act, "enter", typed, body)


def unsigned(conn: Connection, sheet_id: str) -> SheetRow:
    """Return a sheet that may still be written on.

    Raises: NotFound, Conflict for a signed one.
    """
    row = sheets.fetch_sheet(conn, sheet_id)
    if row.signed_at is not None:
        raise Conflict(
            "This sheet is signed and is not edited any more.",
            "Add to it below the signature, or start a new sheet.",
            "value",
        )
    return row


def _field(field_id: str, place: int, context: Context) -> SheetField:
    field = field_of(field_id)
    if field is None or field_id in ("addition", "confirm.safe"):
        raise NotFound(f"A sheet has no “{field_id[:60]}”.", "Enter it on the sheet's page.", "field")
    if not is_offered(field, context.facts, context.rules):
        raise InputError(
            f"“{field.label}” is not offered for this motor.", "Its class and figures decide what is.", "value"
        )
    place_of(field, place, context.facts)
    return field


def hold_at_gate(sheet: Sheet, needs: str, context: Context, now: datetime) -> None:
    """Refuse what needs a gate that is open, or a test with power on that is not opened.

    Raises: Conflict.
    """
    if needs == "permit":
        if not sheet.open_permits:
            raise Conflict(
                "This is measured with power on.",
                "Open a test with power on first: why, who, barriers, how long.",
                "value",
            )
        if not sheet.permitted(now):
            raise Conflict(
                "The test with power on has run over its time.",
                "Close it, make sure of power and people, and open it anew.",
                "value",
            )
    elif needs and gate(sheet, needs, context.rules).state == "open":
        raise Conflict(
            f"The gate “{GATES[needs]}” is not passed yet.",
            "Settle it first, or waive it with a reason; what you typed is kept in its field.",
            "value",
        )


def _unseen(sheet: Sheet, field: SheetField, place: int, replaces: str) -> None:
    there = sheet.entries.get((field.id, place))
    if there is not None and there.id != replaces:
        said = there.typed or "empty"
        raise Conflict(
            f"{there.person} has entered “{said}” here meanwhile.",
            "Yours is kept in the field: enter it again to replace it.",
            "value",
        )


def undo(conn: Connection, act: Act, sheet_id: str) -> str:
    """Take back what this person entered last on a sheet; return the id of what was taken back.

    Raises: Conflict when there is nothing left to take back.
    """

    def body(act: Act) -> Change:
        row = unsigned(conn, sheet_id)
        last = sheets.last_of(conn, sheet_id, act.person_id)
        if last is None:
            raise Conflict("There is nothing of yours to take back on this sheet.", "Change it where it stands.")
        if last.kind == "entry":
            sheets.undo_entry(conn, last.id)
        elif last.kind == "reading":
            sheets.undo_reading(conn, last.id)
        else:
            rounds.strike_finding(conn, sheet_id, last.place, last.field, act.id)
        refresh(conn, row.motor_id, act.at.date())
        before = {"kind": last.kind, "field": last.field, "place": last.place, "typed": last.typed}
        return Change(last.id, before, {}, row.motor_id)

    return once(conn, act, "undo", {"sheet": sheet_id}, body)
