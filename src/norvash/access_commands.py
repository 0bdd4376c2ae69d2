"""The commands about who may come in: for whoever has the file, a lead who is locked out among them."""

import argparse
import secrets
from collections.abc import Iterator, Mapping
from contextlib import closing
from dataclasses import dataclass
from datetime import datetime
from pathlib import Path
from types import MappingProxyType

from norvash.store.file.database import Connection
from norvash.visit_commands import there


@dataclass(frozen=True, slots=True)
class Word:
    """One thing that can be done: what it says of itself, and what it needs."""

    help: str
    arguments: tuple[str, ...] = ()


PEOPLE: Mapping[str, Word] = MappingProxyType(
    {
        "list": Word("Everybody with their role, and whether they can sign in."),
        "add": Word("Add a person with a role (viewer, technician, lead), and print their code.", ("name", "role")),
        "code": Word("Print a one-time code with which a person sets a password.", ("name",)),
        "role": Word("Give a person another role.", ("name", "role")),
        "end": Word("End every session and PIN of a person.", ("name",)),
    }
)


def said(conn: Connection, what: str, given: Mapping[str, str], now: datetime) -> Iterator[str]:
    """Do one of them; yield the lines that say what was done.

    Raises: InputError, NotFound, Conflict.
    """
    from norvash.store.access import members as access
    from norvash.work.access.members import end_all, give_code, give_role, member_named
    from norvash.work.act.acting import Act

    if what == "list":
        for m in access.list_members(conn):
            since = f"password since {m.since:%Y-%m-%d}" if m.since is not None else "has never signed in"
            yield f"{m.name:30} {m.role:11} {since}"
        return
    if what == "add":
        yield _added(conn, given, now)
        return
    member = member_named(conn, given["name"])
    act = Act(secrets.token_hex(12), member.id, now)
    if what == "role":
        give_role(conn, act, member.id, given["role"])
        yield f"{member.name} is {given['role']} now."
    elif what == "end":
        end_all(conn, act, member.id)
        yield f"{member.name} is signed out everywhere."
    else:
        yield f"The code of {member.name}, once and for seven days: {give_code(conn, act, member.id)}"


def _added(conn: Connection, given: Mapping[str, str], now: datetime) -> str:
    """Add a person in the name of a lead, the first person where there is none; return what is said of it."""
    from norvash.store.access import members as access
    from norvash.work.access.members import add_member, give_code
    from norvash.work.act.acting import Act

    members = access.list_members(conn)
    by = next((m for m in members if m.role == "lead"), members[0] if members else None)
    if by is None:
        return "Nobody is here yet: start Norvash, and the first lead begins in a browser."
    made = add_member(conn, Act(secrets.token_hex(12), by.id, now), given["name"], given["role"])
    code = give_code(conn, Act(secrets.token_hex(12), by.id, now), made)
    return f"The code of {given['name']}, once and for seven days: {code}"


def people(given: argparse.Namespace) -> None:
    """List people, add one, give a code or a role, end sessions."""
    from norvash.store.file.database import connect
    from norvash.store.file.ready import prepare

    prepare(there(given.db))
    with closing(connect(given.db, made=True)) as conn:
        for line in said(conn, given.what, vars(given), datetime.now()):
            print(line)


def certificate(given: argparse.Namespace) -> None:
    """Make the shop's own certificate and key, for serving over TLS on its network."""
    from norvash.certificate import make

    for line in make(given.names, given.into, datetime.now()):
        print(line)


def add_to(commands: "argparse._SubParsersAction[argparse.ArgumentParser]") -> None:
    """Add these commands to the command line."""
    one = commands.add_parser("certificate", help=certificate.__doc__)
    one.add_argument("names", nargs="+", help="host names and addresses under which devices reach it")
    one.add_argument("--into", type=Path, default=Path(), help="folder to write into (default: this one)")
    one.set_defaults(run=certificate)
    kinds = commands.add_parser("people", help=people.__doc__).add_subparsers(required=True, metavar="what")
    for name, words in PEOPLE.items():
        one = kinds.add_parser(name, help=words.help)
        for argument in words.arguments:
            one.add_argument(argument)
        one.add_argument("--db", type=Path, required=True, help="database file")
        one.set_defaults(run=people, what=name)
