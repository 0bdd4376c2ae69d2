"""Outlook: the weeks and seasons ahead over all motors, as river, table and calendar."""

from datetime import date, timedelta
from urllib.parse import urlencode

from fastapi import APIRouter, Request
from fastapi.responses import HTMLResponse, Response

from norvash.core.grades import GRADES, WORDS
from norvash.core.rules.book import CLASSES
from norvash.core.words import day_words
from norvash.drawing.outlook_river import Flow, outlook_river
from norvash.drawing.svg import Drawing
from norvash.errors import NorvashError
from norvash.exchange.calendar import Event, calendar_of
from norvash.store import policies, standings
from norvash.store.database import Connection
from norvash.store.standings import Sought
from norvash.web.answers import errors_of, go_to, page, status_of
from norvash.web.deps import Conn, Now, Typed, Who, act_of, fresh_id
from norvash.work.outlook import SPANS, Ahead, Outlook, ahead_of, outlook
from norvash.work.policing import add_window, end_window

router = APIRouter()
_WIDE, _PHONE = 1200.0, 346.0
_MOST_EVENTS = 1000
_FIELDS = ("name", "first_on", "last_on", "yearly", "place")


def _sought(place: str, c: str, s: str) -> Sought:
    return Sought(" ".join(place.split())[:80], c if c in CLASSES else "", s if s in GRADES else "")


@router.get("/outlook")
def show(
    request: Request, conn: Conn, now: Now, span: str = "weeks", place: str = "", c: str = "", s: str = "", p: int = 1
) -> HTMLResponse:
    """Show the outlook."""
    sought = _sought(place, c, s)
    found = outlook(conn, sought, span, p, now.date())
    kept = {"span": span, "place": sought.place, "c": sought.motor_class, "s": sought.grade}
    wide, narrow = (_river(found, width) for width in (_WIDE, _PHONE))
    return page(request, "outlook.html", area="Outlook", found=found, river=wide, narrow=narrow, kept=kept, spans=list(SPANS),
                query=urlencode({k: v for k, v in kept.items() if v}), classes=CLASSES, grades=[(x, WORDS[x]) for x in GRADES],
                address=str(request.url_for("calendar")), errors={})  # fmt: skip


def _river(found: Outlook, width: float) -> Drawing:
    return outlook_river([_flow(r) for r in found.rows], found.first, found.last, found.dark, width)


def _flow(row: Ahead) -> Flow:
    listed, change = row.listed, row.change
    shown = change is not None and row.grade != "stop"
    return Flow(f"/motors/{listed.motor_id}", listed.tag, listed.name, row.early_on, row.middle_on, row.late_on, row.look_on,
                change.on if change and shown else None, row.grade, change.words if change and shown else "",
                listed.standing.look_by)  # fmt: skip


@router.get("/outlook/river.svg")
def drawing(
    conn: Conn, now: Now, span: str = "weeks", place: str = "", c: str = "", s: str = "", p: int = 1
) -> Response:
    """Give the river as a file."""
    found = outlook(conn, _sought(place, c, s), span, p, now.date())
    return Response(_river(found, _WIDE).file(), media_type="image/svg+xml",
                    headers={"Content-Disposition": 'attachment; filename="outlook.svg"'})  # fmt: skip


@router.get("/outlook/norvash.ics", name="calendar")
def calendar(request: Request, conn: Conn, now: Now, place: str = "", c: str = "", s: str = "") -> Response:
    """Give looks, proposed changes and dark windows as a calendar to open or subscribe to."""
    events = _events(conn, _sought(place, c, s), now.date())
    name = f"{request.state.site or 'Norvash'}: brushes"
    return Response(calendar_of(events, name, now), media_type="text/calendar; charset=utf-8",
                    headers={"Content-Disposition": 'inline; filename="norvash.ics"'})  # fmt: skip


def _events(conn: Connection, sought: Sought, today: date) -> list[Event]:
    windows, made = policies.list_windows(conn), list[Event]()
    for listed in standings.list_outlook(conn, sought, _MOST_EVENTS, 0):
        row, version = ahead_of(listed, windows, today), listed.standing.version
        who = f"{listed.tag} {listed.name}"
        if row.look_on:
            made.append(Event(f"{listed.motor_id}.look", version, row.look_on, row.look_on, f"Look at the brushes: {who}",
                              f"{listed.standing.sentence}\nFor the {listed.standing.look_by}.", listed.place, "look"))  # fmt: skip
        if row.change and row.early_on and row.late_on and row.middle_on:
            band = f"Limit about {day_words(row.middle_on)}, 8 times in 10 from {day_words(row.early_on)} to {day_words(row.late_on)}."
            made.append(Event(f"{listed.motor_id}.change", version, row.change.on, row.change.on, f"Change the brushes: {who}",
                              f"{band}\n{row.change.words}.", listed.place, "change"))  # fmt: skip
    for window in windows:
        for first, last in window.spans(today, today + timedelta(days=730)):
            made.append(
                Event(f"{window.id}.{first.year}", 0, first, last, f"Dark: {window.name}", "", window.place, "dark")
            )
    return made


@router.get("/outlook/dark")
def dark(request: Request, conn: Conn, who: Who) -> Response:
    """Show the windows in which the house is dark, with a form for another."""
    if who is None:
        return go_to("/who?next=/outlook/dark")
    return _dark(request, conn, {}, None)


def _dark(request: Request, conn: Connection, typed: dict[str, str], error: NorvashError | None) -> HTMLResponse:
    return page(request, "dark.html", status_of(error) if error else 200, area="Outlook", windows=policies.list_windows(conn),
                names=_FIELDS, act_id=fresh_id(), typed=typed, error=error, errors=errors_of(error))  # fmt: skip


@router.post("/outlook/dark")
def add_dark(request: Request, conn: Conn, now: Now, who: Who, typed: Typed) -> Response:
    """Keep a dark window."""
    try:
        add_window(conn, act_of(typed, who, now), {k: typed.get(k, "") for k in _FIELDS})
    except NorvashError as error:
        return _dark(request, conn, typed, error)
    request.app.state.catch_up(request.app)
    return go_to("/outlook/dark")


@router.post("/outlook/dark/{window_id}")
def end_dark(request: Request, conn: Conn, now: Now, who: Who, window_id: str, typed: Typed) -> Response:
    """Take a dark window back."""
    try:
        end_window(conn, act_of(typed, who, now), window_id)
    except NorvashError as error:
        return _dark(request, conn, {}, error)
    request.app.state.catch_up(request.app)
    return go_to("/outlook/dark")
