"""The outlook as iCalendar: looks, proposed changes and dark windows, each with an id that stays."""

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import UTC, date, datetime, timedelta

_DAY = timedelta(days=1)


@dataclass(frozen=True, slots=True, kw_only=True)
class Event:
    """A day or days in the calendar; a newer version of the same id replaces the one before."""

    id: str
    version: int
    first_on: date
    last_on: date
    title: str
    words: str
    place: str
    kind: str


def calendar_of(events: Sequence[Event], name: str, now: datetime) -> bytes:
    """Return events as an iCalendar file, the same bytes for the same events and time.

    Source: RFC 5545, RFC 7986
    """
    from icalendar import Calendar
    from icalendar import Event as Entry

    made = Calendar()
    made.add("prodid", "-//Norvash//Outlook//EN")
    made.add("version", "2.0")
    made.add("method", "PUBLISH")
    made.add("x-wr-calname", name)
    made.add("refresh-interval;value=duration", "PT6H")
    stamp = now.replace(tzinfo=UTC, microsecond=0)
    for event in events:
        entry = Entry()
        entry.add("uid", f"{event.id}@norvash.invalid")
        entry.add("sequence", event.version)
        entry.add("dtstamp", stamp)
        entry.add("dtstart", event.first_on)
        entry.add("dtend", event.last_on + _DAY)
        entry.add("summary", event.title)
        entry.add("description", event.words)
        if event.place:
            entry.add("location", event.place)
        entry.add("categories", [event.kind])
        entry.add("transp", "TRANSPARENT")
        made.add_component(entry)
    return bytes(made.to_ical())
