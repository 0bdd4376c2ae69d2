"""The site, its clock and its people."""

from datetime import datetime, time, timedelta

from norvash.core.text.texts import words_of
from norvash.errors import InputError, NeedsAnswer
from norvash.store.file.database import Connection, transaction
from norvash.store.record import people
from norvash.store.record.people import Person, Site
from norvash.work.act.acting import Act, Change, once

_DEMO_DAY = timedelta(hours=14)
ANOTHER = "another"


def clock(site: Site, now: datetime) -> datetime:
    """Return the site's time: the wall clock, or in a demonstration its fixed day.

    The demonstration's clock runs from nine in the morning; when its day is over it only creeps, a microsecond
    a second, so that the day stays and entries still follow one another.
    """
    if site.demo_day is None:
        return now
    passed = max(now - site.made_at, timedelta())
    over = max(passed - _DEMO_DAY, timedelta())
    creep = timedelta(microseconds=min(over.total_seconds(), 3e9))
    return datetime.combine(datetime.fromisoformat(site.demo_day), time(9)) + min(passed, _DEMO_DAY) + creep


def name_site(conn: Connection, act: Act, name: str) -> str:
    """Give a site without a name the one that was typed; return its name.

    Raises: InputError for an empty or overlong name.
    """

    def body(_: Act) -> Change:
        site = people.fetch_site(conn)
        clean = site.name or words_of("shop", name, "The name of the shop")
        people.change_site(conn, clean, site.demo_day, site.made_at)
        return Change(clean, {"name": site.name}, {"name": clean})

    return once(conn, act, "name the site", typed={"name": name}, body=body)


KEYS = {"plain": "single keys", "alt": "keys with Alt held", "off": "no keys but those of the browser"}


def choose_keys(conn: Connection, act: Act, keys: str) -> str:
    """Keep how the keys of pages work for whoever asks; return it.

    Raises: InputError for a way that is not known.
    """

    def body(act: Act) -> Change:
        if keys not in KEYS:
            raise InputError("Keys cannot work that way.", "Choose one from the list.", "keys")
        before = people.fetch_person(conn, act.person_id).keys
        people.prefer(conn, act.person_id, "keys", keys, act.id)
        return Change(keys, {"keys": before}, {"keys": keys})

    return once(conn, act, "choose keys", typed={"keys": keys}, body=body)


def join(conn: Connection, person_id: str, name: str, now: datetime, answer: str = "") -> Person:
    """Return the person with this name, kept as a new one if it is not known yet.

    `answer` says who it is where somebody has a name that reads or looks alike: that person's id, or “another”.
    Raises: InputError for an empty or overlong name, NeedsAnswer where somebody's name reads or looks alike.
    """
    wanted = words_of("name", name, "The name")
    with transaction(conn):
        same = who_is(conn, wanted, answer)
        if same is not None:
            return same
        people.add_person(conn, Person(person_id, wanted), now)
        return people.fetch_person(conn, person_id)


def who_is(conn: Connection, name: str, answer: str = "") -> Person | None:
    """Return the person with this name, None for a new one; nothing is written.

    Raises: as `join` does.
    """
    wanted = words_of("name", name, "The name")
    alike = {p.id: p for p in people.list_like(conn, wanted)}
    same = next((p for p in alike.values() if p.name == wanted), alike.get(answer))
    if same is not None or not alike:
        return same
    if answer != ANOTHER:
        choices = [(p.id, f"I am {p.name}") for p in alike.values()]
        raise NeedsAnswer(
            f"“{wanted}” reads or looks like {alike[choices[0][0]].name}, who is known here.",
            "Say whether that is you.",
            "name",
            (*choices, (ANOTHER, "I am somebody else")),
            choices[0][0],
        )
    if any(p.name.casefold() == wanted.casefold() for p in alike.values()):
        raise InputError(
            f"Nobody could tell “{wanted}” from {next(iter(alike.values())).name}.",
            "Add what tells you apart: an initial, a second name, a place.",
            "name",
        )
    return None
