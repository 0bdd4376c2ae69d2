"""Sign a sheet: close its round, keep what it says, put off what is put off; add to it later."""

from datetime import date

from norvash.core.sheet.deciding import RENEW, Matter
from norvash.core.sheet.fields import MOST_TEXT
from norvash.core.sheet.given import Given
from norvash.core.sheet.sheet import YES, Sheet
from norvash.core.sheet.signing import Hold
from norvash.core.texts import clean
from norvash.errors import Conflict, InputError
from norvash.store import people, rounds, sheets
from norvash.store.database import Connection
from norvash.work.acting import Act, Change, once
from norvash.work.measuring import keep_forecast
from norvash.work.sheet_page import SheetPage, sheet_page
from norvash.work.sheets import unsigned
from norvash.work.standing import refresh

# Once this is mended the holders stand to the new diameter again.
_HOLDERS = "gap.cut"


def sign(conn: Connection, act: Act, sheet_id: str, why: str = "", *, service: bool = False) -> str:
    """Sign a sheet and return its motor's id; what is still open needs a reason.

    `service` confirms the last gate of a quick look. Raises: InputError at “why” for a sheet that is not clean, Conflict.
    """

    def body(act: Act) -> Change:
        row = unsigned(conn, sheet_id)
        person = people.fetch_person(conn, act.person_id)
        if service and row.kind == "quick":
            tick = Given("", YES, YES, None, person.name, act.at)
            sheets.add_entry(conn, f"{act.id}.service", sheet_id, "confirm.service", 0, tick, act.id)
        shown = sheet_page(conn, sheet_id, act.at.date())
        reason = " ".join(clean(why, "why", note=True).split())[:MOST_TEXT] if shown.holds else ""
        if shown.holds and not reason:
            raise InputError("It cannot be signed clean: " + "; ".join(h.words for h in shown.holds) + ".",
                             "Settle this, or say why it is signed with it open.", "why")  # fmt: skip
        a_round = rounds.fetch_round(conn, sheet_id)
        rounds.finish_round(conn, sheet_id, act.at)
        _register(conn, act, shown)
        sheets.sign_sheet(conn, sheet_id, act.at, _signed(shown, reason, person.name))
        judged = refresh(conn, row.motor_id, act.at.date())
        if not a_round.finished:
            keep_forecast(conn, a_round, judged.context, act.at)
        after = {"sheet": row.number, "clean": not shown.holds, "why": reason, "outcome": shown.sheet.word("outcome")}
        return Change(row.motor_id, {}, after, row.motor_id)

    return once(conn, act, "sign a sheet", {"sheet": sheet_id, "why": why, "service": service}, body)


def _signed(shown: SheetPage, reason: str, person: str) -> dict[str, object]:
    """Return what the sheet says for good: verdict, reasons, next look, work, and what was left open and why."""
    look = shown.look
    return {
        "person": person, "sentence": shown.said.sentence, "word": shown.said.word, "stage": shown.found.stage,
        "reasons": [r.text for r in shown.said.reasons], "open": [h.words for h in _left(shown.holds, reason)], "why": reason,
        "work": [w.task.what for w in shown.work], "look_on": look.on, "look_at": look.at, "look_by": look.by, "sooner": shown.sheet.word("next-look"),
    }  # fmt: skip


def _left(holds: tuple[Hold, ...], reason: str) -> tuple[Hold, ...]:
    return holds if reason else ()


def _register(conn: Connection, act: Act, shown: SheetPage) -> None:
    """Keep what is put off or undecided, and close what was put off before and is mended now."""
    sheet, motor_id = shown.sheet, shown.context.motor.id
    known = {(d.position, d.finding): d for d in shown.deferred}
    mended = {_HOLDERS} if sheet.word(f"decide.{_HOLDERS}") == "done" else set[str]()
    for d in shown.deferred:
        if sheet.has(f"settle.{d.id}") or sheet.word(f"decide.{d.finding}", d.position) in ("done", "dropped"):
            sheets.close_deferred(conn, d.id, act.id)
            known.pop((d.position, d.finding), None)
            mended.add(d.finding)
    if _HOLDERS in mended and not sheet.has("holder-set"):
        tick = Given("", YES, YES, None, sheet.person, act.at)
        sheets.add_entry(conn, f"{act.id}.holders", sheet.id, "holder-set", 0, tick, act.id)
    if sheet.kind == "full":
        for i, m in enumerate(shown.matters):
            _put_off(conn, act, sheet, motor_id, m, f"{act.id}.{i}", known)
    for n in sheet.places("temporary"):
        given = sheet.given("temporary", n)
        if given is not None:
            sheets.add_deferred(conn, f"{act.id}.t{n}", motor_id, sheet.id, 0, "", f"temporary repair: {given.word}",
                                given.more.get("who", ""), _day(given), act.id)  # fmt: skip


def _put_off(
    conn: Connection, act: Act, sheet: Sheet, motor_id: str, m: Matter, new_id: str, known: dict[tuple[int, str], sheets.DeferredRow]
) -> None:  # fmt: skip
    decided = m.decided
    if decided is not None and decided.word in ("done", "dropped"):
        return
    finding = "" if m.finding.id == RENEW else m.finding.id
    earlier = known.get((m.position, finding)) if finding else None
    if earlier is not None and decided is None:
        return
    if earlier is not None:
        sheets.close_deferred(conn, earlier.id, act.id)
    who = decided.more.get("who", "") if decided else ""
    words = f"{m.place}: {m.finding.words}; {m.finding.decision}"
    sheets.add_deferred(conn, new_id, motor_id, sheet.id, m.position, finding, words, who, _day(decided), act.id)


def _day(given: Given | None) -> date | None:
    day = given.more.get("day", "") if given else ""
    return date.fromisoformat(day) if day else None


def add_to_signed(conn: Connection, act: Act, sheet_id: str, text: str) -> str:
    """Add a remark below the signature of a sheet; return the sheet's id.

    Raises: Conflict while it is not signed, InputError.
    """
    words = " ".join(clean(text, "addition", note=True).split())

    def body(act: Act) -> Change:
        row = sheets.fetch_sheet(conn, sheet_id)
        if row.signed_at is None:
            raise Conflict("This sheet is not signed yet.", "Enter it on its page.", "addition")
        if not words or len(words) > MOST_TEXT:
            raise InputError(
                "Nothing was typed." if not words else "That is too long.",
                f"Use up to {MOST_TEXT} characters.",
                "addition",
            )
        number = sum(f == "addition" for f, _ in sheets.list_entries(conn, sheet_id)) + 1
        person = people.fetch_person(conn, act.person_id)
        sheets.add_entry(
            conn, act.id, sheet_id, "addition", number, Given("", words, words, None, person.name, act.at), act.id
        )
        return Change(sheet_id, {}, {"sheet": row.number, "added": words}, row.motor_id)

    return once(conn, act, "add to a sheet", {"sheet": sheet_id, "text": text}, body)
