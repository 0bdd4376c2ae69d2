"""Sessions: begun by name and password or by the PIN of a device; what whoever is signed in changes of their own."""

import secrets
from dataclasses import dataclass
from datetime import datetime

from norvash.core.text.texts import clean, compared
from norvash.store.access import members as access
from norvash.store.access import signed as signatures
from norvash.store.access.members import Member, Session
from norvash.store.file.database import Connection, transaction
from norvash.store.record import people
from norvash.work.access.attempts import WrongSecret
from norvash.work.access.members import member_of
from norvash.work.access.secrets_kept import checked_password, checked_pin, digest, hashed, is_right, new_token

_PIN_TRIES = 5
_DEVICE_CHARACTERS = 60
_SYSTEMS = (
    ("iPhone", ""),
    ("iPad", ""),
    ("Android", " with Android"),
    ("Windows", " with Windows"),
    ("Mac OS", " with macOS"),
    ("Linux", " with Linux"),
)


@dataclass(frozen=True, slots=True)
class Device:
    """The browser that asks: its own random id, and what it says of itself."""

    id: str
    says: str = ""

    @property
    def words(self) -> str:
        """Return what kind of device it is, as far as it says so: enough to know one's own again."""
        if not self.says.startswith("Mozilla/"):
            return f"a program, {self.says[:_DEVICE_CHARACTERS]}" if self.says else "a program"
        small = "Mobile" in self.says or "iPhone" in self.says
        kind = "a tablet" if "iPad" in self.says or ("Android" in self.says and not small) else ""
        system = next((words for mark, words in _SYSTEMS if mark in self.says), "")
        return f"{kind or ('a phone' if small else 'a computer')}{system}"


@dataclass(frozen=True, slots=True, kw_only=True)
class Entered:
    """A session that has begun: the token for its cookie, whose it is, and wrong attempts that are told once."""

    token: str
    session: Session
    member: Member
    wrong: int = 0
    wrong_at: datetime | None = None


def sign_in(
    conn: Connection, name: str, password: str, device: Device, now: datetime, *, writes: bool = True
) -> Entered:
    """Begin a session of whoever has this name and password; where nothing can be written nothing of it is kept.

    Raises: WrongSecret; it does not say which of the two was wrong.
    """
    found = people.list_alike(conn, clean(name, "name")) if compared(name) else []
    member = access.find_member(conn, found[0].id) if len(found) == 1 else None
    if not is_right(password, access.hash_of(conn, member.id) if member is not None else "") or member is None:
        if member is not None and writes:
            with transaction(conn):
                access.count_wrong(conn, member.id, now)
        raise WrongSecret(
            "Name and password do not fit.", "Type both once more; a lead can give you a code.", "password"
        )
    return begin(conn, member, device, now, writes=writes)


def account_of(conn: Connection, name: str) -> str:
    """Return by what the attempts with a name are counted: the one account that it finds, else the name as it reads."""
    found = people.list_alike(conn, name) if compared(name) else []
    return found[0].id if len(found) == 1 else f"unknown {compared(name)[:_DEVICE_CHARACTERS]}"


def begin(conn: Connection, member: Member, device: Device, now: datetime, *, writes: bool = True) -> Entered:
    """Begin a session of somebody who has shown who they are."""
    token = new_token()
    session = Session(
        id=secrets.token_hex(12),
        person_id=member.id,
        device_id=digest(device.id),
        device=device.words,
        made_at=now,
        seen_at=now,
    )
    if writes:
        with transaction(conn):
            access.add_session(conn, session, digest(token))
            access.forget_wrong(conn, member.id)
    return Entered(token=token, session=session, member=member, wrong=member.wrong, wrong_at=member.wrong_at)


def switch(conn: Connection, person_id: str, pin: str, device: Device, now: datetime) -> Entered:
    """Begin a session by the PIN that somebody has on this device.

    Raises: WrongSecret for a wrong one, and for any after five wrong ones until they set another.
    """
    _check_pin(conn, digest(device.id), person_id, pin)
    return begin(conn, member_of(conn, person_id), device, now)


def check_own_pin(conn: Connection, signed: access.SignedIn, pin: str) -> None:
    """Ask whoever is signed in for the PIN that they have on their device.

    Raises: WrongSecret, for one who has none here too.
    """
    if signatures.pin_of(conn, signed.device_id, signed.person_id) is None:
        raise WrongSecret(
            "You have no PIN on this device, and this shop asks for it at each signature.",
            "Set one: your name in the head of the page leads there.",
            "pin",
        )
    _check_pin(conn, signed.device_id, signed.person_id, pin)


def _check_pin(conn: Connection, device_id: str, person_id: str, pin: str) -> None:
    held = signatures.pin_of(conn, device_id, person_id)
    with transaction(conn):
        may_try = held is None or signatures.count_try(conn, device_id, person_id, _PIN_TRIES)
    if not may_try:
        raise WrongSecret("This PIN is locked after five wrong ones.", "Sign in with your password.", "pin")
    if not is_right(pin, held or ""):
        raise WrongSecret("That is not the PIN.", f"After {_PIN_TRIES} wrong ones it is locked.", "pin")
    with transaction(conn):
        signatures.forget_tries(conn, device_id, person_id)


def _check_own_password(conn: Connection, signed: access.SignedIn, password: str, field: str) -> None:
    if not is_right(password, access.hash_of(conn, signed.person_id)):
        raise WrongSecret("That is not your password.", "Type it once more.", field)


def set_pin(conn: Connection, signed: access.SignedIn, pin: str, password: str) -> None:
    """Keep a PIN of whoever is signed in for their device, with their password: a screen left open is not enough.

    Raises: InputError for a PIN that is none; WrongSecret at the password.
    """
    checked_pin(pin)
    _check_own_password(conn, signed, password, "password")
    known_by = hashed(pin)
    with transaction(conn):
        signatures.keep_pin(conn, signed.device_id, signed.person_id, known_by)


def change_password(conn: Connection, signed: access.SignedIn, old: str, new: str, now: datetime) -> None:
    """Give whoever is signed in another password; their other sessions and all PINs end.

    Raises: WrongSecret at the old one, InputError at the new one.
    """
    _check_own_password(conn, signed, old, "old")
    known_by = hashed(checked_password(new, signed.name, "new"))
    with transaction(conn):
        access.keep_hash(conn, signed.person_id, known_by, now)
        access.end_sessions(conn, signed.person_id, now, but=signed.session_id)
        signatures.drop_pins(conn, signed.person_id)
