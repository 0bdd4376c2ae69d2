"""How somebody stood behind a signature: signed in, before people did so here, or from a file until it is confirmed."""

from dataclasses import dataclass

from norvash.core.text.words import day_words
from norvash.errors import Conflict
from norvash.store.access import members as access
from norvash.store.access import signed as signatures
from norvash.store.file.database import Connection
from norvash.store.record import sheets
from norvash.work.act.acting import Act, Change, InSession, once
from norvash.work.act.may import NotAllowed


@dataclass(frozen=True, slots=True)
class SignedHow:
    """Words beside the name, empty for somebody who was signed in; whether it is from a file, and who confirmed it."""

    words: str = ""
    from_file: bool = False
    confirmed_by: str = ""


def signed_how(conn: Connection, sheet_id: str) -> SignedHow:
    """Return how a sheet was signed; where nobody ever signed in, as in a demonstration, nothing is said of it."""
    found = signatures.signature_of(conn, sheet_id)
    if found is None:
        return SignedHow()
    if found.from_file:
        by, on = found.confirmed_by, found.confirmed_at
        words = "from a file, by nobody signed in here"
        if on is not None:
            who = f"{by}, {found.confirmed_role}, signed in here, on {day_words(on.date())}{found.account}"
            words = f"from a file; confirmed by {who}"
        return SignedHow(words, from_file=True, confirmed_by=by)
    since = found.signing_in_since
    if found.in_session or since is None:
        return SignedHow()
    return SignedHow("before sign-in" if found.at < since else "by nobody who was signed in")


def confirm_played(conn: Connection, act: Act, sheet_id: str) -> str:
    """Confirm the signature of a sheet from a file; return the sheet's id.

    Raises: NotFound; Conflict for a sheet that is not from a file, or is confirmed already.
    """

    def body(_: Act) -> Change:
        row, how = sheets.fetch_sheet(conn, sheet_id), signed_how(conn, sheet_id)
        if not how.from_file or how.confirmed_by:
            raise Conflict("There is nothing to confirm on this sheet.", "Look at it as it is now.")
        return Change(sheet_id, {}, {"sheet": row.number}, row.motor_id)

    return once(conn, act, signatures.CONFIRMED, typed={"sheet": sheet_id}, body=body)


def check_closes(conn: Connection, act: Act, opened_by: str) -> None:
    """Let whoever is signed in sign a sheet that they opened, and a lead any; where nobody signs in nobody is asked.
    Where the shop asks for the PIN at each signature, there is none without it, whatever address it came by.

    Raises: NotAllowed; Conflict without the PIN.
    """
    if isinstance(act.origin, InSession) and signatures.asks_pin(conn) and not act.origin.by_pin:
        raise Conflict("This shop asks for the PIN at each signature.", "Sign in a browser, on your own device.")
    if not isinstance(act.origin, InSession) or access.signs_in_since(conn) is None:
        return
    member = access.find_member(conn, act.person_id)
    if member is not None and member.role != "lead" and member.name != opened_by:
        raise NotAllowed("lead")
