"""Outlook: the weeks and seasons ahead over all motors, as river, table and calendar."""

from collections.abc import Iterator
from datetime import date, timedelta
from urllib.parse import urlencode

from fastapi import APIRouter, Request
from fastapi.responses import HTMLResponse, Response

from norvash.core.grades import GRADES, WORDS
from norvash.core.known import all_known
from norvash.core.rules.book import CLASSES
from norvash.core.text.words import day_words
from norvash.drawing.days.outlook_river import Flow
from norvash.drawing.svg import Drawing
from norvash.errors import NorvashError
from norvash.exchange.calendar import Event, calendar_of
from norvash.store.access.signed import feed_key
from norvash.store.file.database import Connection
from norvash.store.record import lives, policies, weeks_ahead
from norvash.store.record.weeks_ahead import Sought
from norvash.web.drawn.river import river
from norvash.web.served.again import again
from norvash.web.served.answers import errors_of, go_to, page, status_of
from norvash.web.served.deps import Conn, Now, Signed, Typed, Who, act_of, fresh_id
from norvash.work.access.secrets_kept import same
from norvash.work.act.may import NotSignedIn
from norvash.work.motors.policing import add_window, end_window
from norvash.work.pages.bench import BenchRow
from norvash.work.pages.outlook import SPANS, Ahead, Outlook, ahead_of, outlook

router = APIRouter()
_WIDE, _PHONE = 1200.0, 346.0
_MOST_EVENTS = 1000
_FIELDS = ("name", "first_on", "last_on", "yearly", "place")


def _sought(place: str, c: str, s: str, today: date) -> Sought:
    return Sought(" ".join(place.split())[:80], c if c in CLASSES else "", s if s in GRADES else "", today)


@router.get("/outlook")
def show(
    *,
    request: Request,
    conn: Conn,
    now: Now,
    signed: Signed,
    span: str = "weeks",
    place: str = "",
    c: str = "",
    s: str = "",
    p: int = 1,
) -> HTMLResponse:
    """Show the outlook."""
    sought = _sought(place, c, s, now.date())
    found, key = outlook(conn, sought, span, p, now.date()), feed_key(conn)
    kept = {"span": span, "place": sought.place, "c": sought.motor_class, "s": sought.grade}
    wide, narrow = (_river(found, width) for width in (_WIDE, _PHONE))
    return page(
        request,
        "outlook.html",
        area="Outlook",
        found=found,
        river=wide,
        narrow=narrow,
        kept=kept,
        spans=list(SPANS),
        query=urlencode({k: v for k, v in kept.items() if v}),
        classes=CLASSES,
        grades=[(x, WORDS[x]) for x in GRADES],
        leads=signed is not None and signed.role == "lead",
        address=f"{request.url_for('calendar')}?k={key}" if key else "",
        errors={},
    )


def _river(found: Outlook, width: float) -> Drawing:
    return river(tuple(_flow(r) for r in found.rows), found.first, found.last, tuple(found.dark), width)


def _flow(ahead: Ahead) -> Flow:
    row, change = ahead.row, ahead.change
    shown = change is not None and row.grade != "stop"
    return Flow(
        href=f"/motors/{row.listed.motor_id}",
        tag=row.listed.tag,
        name=row.listed.name,
        early_on=row.early_on,
        middle_on=row.limit_on,
        late_on=row.late_on or row.limit_on,
        look_on=row.look_on,
        change_on=change.on if change and shown else None,
        grade=row.grade,
        change_words=_change_words(ahead) if shown else "",
        look_words=row.listed.standing.look_by,
        undated=_undated(row),
    )


def _undated(row: BenchRow) -> str:
    """Return why a motor has no day."""
    for flag, words in (("age unknown", "age unknown: measure it"), ("not measured", "no day yet: measure it")):
        if flag in row.flags:
            return words
    return "no day yet: log its hours"


def _change_words(ahead: Ahead) -> str:
    """Return why a change is proposed on its day; a window long before the limit is an opportunity, no more."""
    if ahead.change is None:
        return ""
    return f"an opportunity {ahead.change.words}" if ahead.opportunity else ahead.change.words


@router.get("/outlook/river.svg")
def drawing(
    *, conn: Conn, now: Now, span: str = "weeks", place: str = "", c: str = "", s: str = "", p: int = 1
) -> Response:
    """Give the river as a file."""
    found = outlook(conn, _sought(place, c, s, now.date()), span, p, now.date())
    return Response(
        _river(found, _WIDE).file(),
        media_type="image/svg+xml",
        headers={"Content-Disposition": 'attachment; filename="outlook.svg"'},
    )


@router.get("/outlook/norvash.ics", name="calendar")
def calendar(
    *, request: Request, conn: Conn, now: Now, signed: Signed, k: str = "", place: str = "", c: str = "", s: str = ""
) -> Response:
    """Give looks, proposed changes and dark windows as a calendar, to whoever is signed in or knows its secret."""
    if signed is None and not (k and same(k, feed_key(conn))):
        raise NotSignedIn("This calendar has another address now.", "Copy it again from the outlook.")
    events = _events(conn, _sought(place, c, s, now.date()), now.date())
    name = f"{request.state.site or 'Norvash'}: brushes"
    return Response(
        calendar_of(events, name, now),
        media_type="text/calendar; charset=utf-8",
        headers={"Content-Disposition": 'inline; filename="norvash.ics"'},
    )


def _events(conn: Connection, sought: Sought, today: date) -> list[Event]:
    windows, made = policies.list_windows(conn), list[Event]()
    for listed in weeks_ahead.list_outlook(conn, sought, _MOST_EVENTS, 0):
        ahead, version = ahead_of(listed, windows, today), listed.standing.version
        row, change = ahead.row, ahead.change
        who, says = f"{listed.tag} {listed.name}", f"{row.word}{': ' if row.note else ''}{row.note}"
        if row.look_on:
            made.append(
                Event(
                    id=f"{listed.motor_id}.look",
                    version=version,
                    first_on=row.look_on,
                    last_on=row.look_on,
                    title=f"Look at the brushes: {who}",
                    words=f"{says}\n{listed.standing.sentence}\nFor the {listed.standing.look_by}.",
                    place=listed.place,
                    kind="look",
                )
            )
        band = all_known(row.limit_on, row.early_on, row.late_on)
        if change and band:
            likely = "Limit about {}, 8 times in 10 from {} to {}.".format(*map(day_words, band))
            made.append(
                Event(
                    id=f"{listed.motor_id}.change",
                    version=version,
                    first_on=change.on,
                    last_on=change.on,
                    title=f"{'An opportunity to change' if ahead.opportunity else 'Change'} the brushes: {who}",
                    words=f"{says}\n{likely}\n{_change_words(ahead)}.",
                    place=listed.place,
                    kind="change",
                )
            )
    made += _put_off(conn, sought)
    for window in windows:
        for first, last in window.spans(today, today + timedelta(days=730)):
            made.append(
                Event(
                    id=f"{window.id}.{first.year}",
                    version=0,
                    first_on=first,
                    last_on=last,
                    title=f"Dark: {window.name}",
                    words="",
                    place=window.place,
                    kind="dark",
                )
            )
    return made


def _put_off(conn: Connection, sought: Sought) -> Iterator[Event]:
    """Yield the days to which something was put off, of all classes and grades, at the place that is sought."""
    if sought.motor_class or sought.grade:
        return
    for row in lives.list_put_off(conn, _MOST_EVENTS):
        if row.due_on is None or sought.place.casefold() not in row.place.casefold():
            continue
        yield Event(
            id=f"{row.life_id}.put-off",
            version=row.moved,
            first_on=row.due_on,
            last_on=row.due_on,
            title=f"{'Make it good' if row.temporary else 'Put off to this day'}, {row.who}: {row.tag} {row.name}",
            words=row.what + (f"\nWaits for {row.waits_for}." if row.waits_for else ""),
            place=row.place,
            kind="put off",
        )


@router.get("/outlook/dark")
def dark(*, request: Request, conn: Conn, who: Who) -> Response:
    """Show the windows in which the house is dark, with a form for another."""
    if who is None:
        return go_to("/who?next=/outlook/dark")
    return _dark(request, conn, {}, None)


def _dark(request: Request, conn: Connection, typed: dict[str, str], error: NorvashError | None) -> HTMLResponse:
    return page(
        request,
        "dark.html",
        status_of(error) if error else 200,
        area="Outlook",
        windows=policies.list_windows(conn),
        names=_FIELDS,
        act_id=fresh_id(),
        typed=typed,
        error=error,
        errors=errors_of(error),
    )


@router.post("/outlook/dark")
@again(_dark)
def add_dark(*, request: Request, conn: Conn, now: Now, who: Who, typed: Typed) -> Response:
    """Keep a dark window."""
    add_window(conn, act_of(typed, who, now), {k: typed.get(k, "") for k in _FIELDS})
    request.app.state.catch_up(request.app)
    return go_to("/outlook/dark")


@router.post("/outlook/dark/{window_id}")
@again(_dark, anew=True)
def end_dark(*, request: Request, conn: Conn, now: Now, who: Who, window_id: str, typed: Typed) -> Response:
    """Take a dark window back."""
    end_window(conn, act_of(typed, who, now), window_id)
    request.app.state.catch_up(request.app)
    return go_to("/outlook/dark")
