"""Who signs in, and what they may do: the first lead, one-time codes, passwords, PINs, sessions, roles."""

import secrets
from dataclasses import dataclass
from datetime import datetime, timedelta

from norvash.core.text.texts import clean, compared, words_of
from norvash.errors import Conflict, InputError, NorvashError, NotFound
from norvash.store import access, people
from norvash.store.access import ROLES, Member, Role, Session
from norvash.store.database import Connection, transaction
from norvash.work.acting import Act, Change, once
from norvash.work.secrets_kept import (
    as_code,
    checked_password,
    checked_pin,
    digest,
    hashed,
    is_right,
    new_code,
    new_token,
)
from norvash.work.site import who_is

_CODE_DAYS, _PIN_TRIES = 7, 5
_DEVICE_CHARACTERS = 60
_SYSTEMS = (
    ("iPhone", ""),
    ("iPad", ""),
    ("Android", " with Android"),
    ("Windows", " with Windows"),
    ("Mac OS", " with macOS"),
    ("Linux", " with Linux"),
)


class NotSignedIn(NorvashError):
    """Nobody is signed in, or the session has ended."""


class NotAllowed(NorvashError):
    """Whoever is signed in may not do this: `role` is the least that may."""

    def __init__(self, role: Role) -> None:
        self.role = role
        super().__init__(
            f"This is for a {role}." if role != "technician" else "This is for a technician or a lead.",
            "Ask a lead of this shop to do it, or to give you the role.",
        )


class WrongSecret(NorvashError):
    """A name, password, code or PIN that does not fit; it is not said which."""


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


def at_least(role: Role, needed: Role) -> bool:
    """Tell whether a role may do what another one may."""
    return ROLES.index(role) >= ROLES.index(needed)


def has_lead(conn: Connection) -> bool:
    """Tell whether a lead can sign in here."""
    return any(m.role == "lead" and m.since is not None for m in access.list_members(conn))


def first_lead(conn: Connection, act: Act, name: str, password: str) -> Member:
    """Make somebody the first lead, known here already or new, and let them sign in from now on.

    The act's person is that somebody. Raises: Conflict where there is a lead; InputError at the fields.
    """
    wanted = words_of("name", name, "The name")
    known_by = hashed(checked_password(password, wanted))
    with transaction(conn):
        if has_lead(conn):
            raise Conflict("There is a lead already.", "Sign in, or ask them for a code.", "code")
        known = next((p for p in people.list_alike(conn, wanted)), None)
        if known is None:
            people.add_person(conn, people.Person(act.person_id, wanted), act.at)
            known = people.fetch_person(conn, act.person_id)
        access.give_role(conn, known.id, "lead")
        access.keep_hash(conn, known.id, known_by, act.at)
        access.begin_signing_in(conn, act.at)
    return _member(conn, known.id)


def add_member(conn: Connection, act: Act, name: str, role: str, answer: str = "") -> str:
    """Add a person with a role; return their id.

    Raises: InputError, NeedsAnswer where somebody's name reads or looks alike, Conflict for a name that is known.
    """

    def body(act: Act) -> Change:
        wanted, given = words_of("name", name, "The name"), _role(role)
        if who_is(conn, wanted, answer) is not None:
            raise Conflict(f"{wanted} is here already.", "Give that person a code.", "name")
        made = secrets.token_hex(12)
        people.add_person(conn, people.Person(made, wanted), act.at)
        access.give_role(conn, made, given)
        return Change(made, {}, {"name": wanted, "role": given})

    return once(conn, act, "add a person", typed={"name": name, "role": role, "answer": answer}, body=body)


def give_role(conn: Connection, act: Act, person_id: str, role: str) -> str:
    """Give a person another role; their sessions go on with it.

    Raises: InputError; NotFound; Conflict where no lead would be left.
    """

    def body(_: Act) -> Change:
        member, given = _member(conn, person_id), _role(role)
        others = [m for m in access.list_members(conn) if m.id != person_id and m.role == "lead" and m.since]
        if member.role == "lead" and given != "lead" and not others:
            raise Conflict("Nobody would be left as lead.", "Make somebody else lead first.", "role")
        access.give_role(conn, person_id, given)
        return Change(person_id, {"role": member.role}, {"role": given, "name": member.name})

    return once(conn, act, "give a role", typed={"person": person_id, "role": role}, body=body)


def give_code(conn: Connection, act: Act, person_id: str) -> str:
    """Return a one-time code with which a person sets a password; it is shown once, and kept as a hash.

    Raises: NotFound.
    """
    code = new_code()

    def body(act: Act) -> Change:
        member = _member(conn, person_id)
        access.keep_code(conn, person_id, digest(code), act.at, act.at + timedelta(days=_CODE_DAYS))
        return Change(person_id, {}, {"code for": member.name})

    once(conn, act, "give a code", typed={"person": person_id, "nth": act.id}, body=body)
    return code


def redeem(conn: Connection, code: str, password: str, now: datetime) -> Member:
    """Set the password of whoever a one-time code was given to; older sessions and PINs end.

    Raises: WrongSecret for a code that is not known, used or too old; InputError for the password.
    """
    known_by = hashed(checked_password(password))
    with transaction(conn):
        person_id = access.use_code(conn, digest(as_code(code)), now)
        if person_id is not None:
            access.keep_hash(conn, person_id, known_by, now)
            access.end_sessions(conn, person_id, now)
            access.drop_pins(conn, person_id)
    if person_id is None:
        raise WrongSecret("This code is not known, was used, or is too old.", "Ask a lead for a new one.", "code")
    return _member(conn, person_id)


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

    Raises: WrongSecret for a wrong one, and for any after five wrong ones until they sign in with their password.
    """
    held = access.pin_of(conn, digest(device.id), person_id)
    if held is not None and held[1] >= _PIN_TRIES:
        raise WrongSecret("This PIN is locked after five wrong ones.", "Sign in with your password.", "pin")
    right = is_right(pin, held[0] if held is not None else "")
    with transaction(conn):
        access.count_pin(conn, digest(device.id), person_id, right=right)
    if not right:
        raise WrongSecret("That is not the PIN.", f"After {_PIN_TRIES} wrong ones it is locked.", "pin")
    return begin(conn, _member(conn, person_id), device, now)


def set_pin(conn: Connection, person_id: str, device_id: str, pin: str) -> None:
    """Keep a PIN for the device on which somebody is signed in, by the hash of its id.

    Raises: InputError.
    """
    known_by = hashed(checked_pin(pin))
    with transaction(conn):
        access.keep_pin(conn, device_id, person_id, known_by)


def change_password(conn: Connection, signed: access.SignedIn, old: str, new: str, now: datetime) -> None:
    """Give whoever is signed in another password; their other sessions and all PINs end.

    Raises: InputError at the old one, or at the new one.
    """
    if not is_right(old, access.hash_of(conn, signed.person_id)):
        raise InputError("That is not your password.", "Type it once more.", "old")
    known_by = hashed(checked_password(new, signed.name, "new"))
    with transaction(conn):
        access.keep_hash(conn, signed.person_id, known_by, now)
        access.end_sessions(conn, signed.person_id, now, but=signed.session_id)
        access.drop_pins(conn, signed.person_id)


def end_all(conn: Connection, act: Act, person_id: str) -> str:
    """End every session and PIN of a person.

    Raises: NotFound.
    """

    def body(act: Act) -> Change:
        member = _member(conn, person_id)
        ended = access.end_sessions(conn, person_id, act.at)
        access.drop_pins(conn, person_id)
        return Change(person_id, {"sessions": ended}, {"sessions": 0, "name": member.name})

    return once(conn, act, "end sessions", typed={"person": person_id, "nth": act.id}, body=body)


def _member(conn: Connection, person_id: str) -> Member:
    member = access.find_member(conn, person_id)
    if member is None:
        raise NotFound(*people.UNKNOWN)
    return member


def member_named(conn: Connection, name: str) -> Member:
    """Return the one person with this name.

    Raises: NotFound; Conflict where several have it.
    """
    found = people.list_alike(conn, name)
    if len(found) != 1:
        known = ", ".join(m.name for m in access.list_members(conn)) or "nobody yet"
        raise (Conflict if found else NotFound)(f"No one person is called “{name}”.", f"There are: {known}.", "name")
    return _member(conn, found[0].id)


def _role(text: str) -> Role:
    role = next((r for r in ROLES if r == text), None)
    if role is None:
        raise InputError(f"“{text[:30]}” is not a role.", f"Use {', '.join(ROLES)}.", "role")
    return role
