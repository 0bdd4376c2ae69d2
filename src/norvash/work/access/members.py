"""Who may come in, and what they may do: the first lead, one-time codes, roles."""

import secrets
from datetime import datetime, timedelta

from norvash.core.text.texts import words_of
from norvash.errors import Conflict, InputError, NotFound
from norvash.store.access import members as access
from norvash.store.access import signed as signatures
from norvash.store.access.members import ROLES, Member, Role
from norvash.store.file.database import Connection, transaction
from norvash.store.record import people
from norvash.work.access.attempts import WrongSecret
from norvash.work.access.secrets_kept import as_code, checked_password, digest, hashed, new_code
from norvash.work.act.acting import Act, Change, once
from norvash.work.act.site import who_is

_CODE_DAYS = 7
_NO_CODE = ("This code is not known, was used, or is too old.", "Ask a lead for a new one.")


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
    return member_of(conn, known.id)


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
        member, given = member_of(conn, person_id), _role(role)
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
        member = member_of(conn, person_id)
        access.keep_code(conn, person_id, digest(code), act.at, act.at + timedelta(days=_CODE_DAYS))
        return Change(person_id, {}, {"code for": member.name})

    once(conn, act, "give a code", typed={"person": person_id, "nth": act.id}, body=body)
    return code


def redeem(conn: Connection, code: str, password: str, now: datetime) -> Member:
    """Set the password of whoever a one-time code was given to; older sessions and PINs end.

    The code is looked at before anything is hashed, and spent only where all of it goes well. Raises: WrongSecret for a
    code that is not known, used or too old; InputError for the password.
    """
    known_by = digest(as_code(code))
    person_id = access.person_of_code(conn, known_by, now)
    if person_id is None:
        raise WrongSecret(*_NO_CODE, "code")
    kept = hashed(checked_password(password, member_of(conn, person_id).name))
    with transaction(conn):
        if not access.spend_code(conn, known_by):
            raise WrongSecret(*_NO_CODE, "code")
        access.keep_hash(conn, person_id, kept, now)
        access.end_sessions(conn, person_id, now)
        signatures.drop_pins(conn, person_id)
    return member_of(conn, person_id)


def end_all(conn: Connection, act: Act, person_id: str) -> str:
    """End every session and PIN of a person.

    Raises: NotFound.
    """

    def body(act: Act) -> Change:
        member = member_of(conn, person_id)
        ended = access.end_sessions(conn, person_id, act.at)
        signatures.drop_pins(conn, person_id)
        return Change(person_id, {"sessions": ended}, {"sessions": 0, "name": member.name})

    return once(conn, act, "end sessions", typed={"person": person_id, "nth": act.id}, body=body)


def member_of(conn: Connection, person_id: str) -> Member:
    """Return a person.

    Raises: NotFound.
    """
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
    return member_of(conn, found[0].id)


def _role(text: str) -> Role:
    role = next((r for r in ROLES if r == text), None)
    if role is None:
        raise InputError(f"“{text[:30]}” is not a role.", f"Use {', '.join(ROLES)}.", "role")
    return role
