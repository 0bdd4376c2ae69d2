"""Hours: the log of one motor, and the way to it."""

from collections import Counter
from dataclasses import dataclass
from urllib.parse import quote

from fastapi import APIRouter, Request
from fastapi.responses import HTMLResponse, PlainTextResponse, Response

from norvash.core.text.days import taken_for
from norvash.core.use.counting import HAPPENED
from norvash.errors import InputError, NorvashError, NotFound
from norvash.exchange.said.motor import Use
from norvash.exchange.said.told import At, Seen
from norvash.store.file.database import Connection
from norvash.web.drawn.motor import drawing_of
from norvash.web.served.again import again
from norvash.web.served.answers import errors_of, go_to, moves_ground, page, status_of
from norvash.web.served.deps import Conn, Now, Typed, Who, act_of, fresh_id
from norvash.work.motors.logging_use import MODES, take_back
from norvash.work.pages.bench import REGISTER_PAGE, register
from norvash.work.pages.hours_book import BookRow, book_rows, latest_entries
from norvash.work.pages.motor import motor_page

router = APIRouter()


@dataclass(frozen=True, slots=True, kw_only=True)
class HoursRow:
    """A row of the book with what is typed into it: kept, refused, or still empty."""

    motor: BookRow
    act_id: str
    day: str
    typed: str = ""
    kept: str = ""
    error: NorvashError | None = None


@router.get("/hours")
def show(*, request: Request, conn: Conn, now: Now, who: Who, q: str = "", day: str = "", p: int = 1) -> Response:
    """Show the hours book: many motors, a field for each."""
    if who is None:
        return go_to("/who?next=/hours")
    found = register(conn, q[:80], "", p, now.date())
    rows = book_rows(conn, [r.listed.motor_id for r in found[:REGISTER_PAGE]])
    return page(
        request,
        "hours.html",
        area="Hours",
        rows=[HoursRow(motor=r, act_id=fresh_id(), day=day[:30]) for r in rows],
        more=len(found) > REGISTER_PAGE,
        q=q,
        day=day[:30],
        taken=taken_for(day[:30], now.date()),
        p=max(p, 1),
        errors={},
    )


@router.get("/day")
def day_told(*, now: Now, typed: str = "") -> PlainTextResponse:
    """Return which day is taken for what was typed, empty where none is or where there is no doubt."""
    return PlainTextResponse(taken_for(typed[:40], now.date()))


@router.post("/hours/{motor_id}/row")
def keep_row(*, request: Request, conn: Conn, now: Now, who: Who, motor_id: str, typed: Typed) -> Response:
    """Keep one row of the book, and give it back as it stands now."""
    text, day = typed.get("value", "").strip(), typed.get("day", "")
    kept, error = "", None
    mode = "increment" if text.startswith("+") else "counter"
    if text:
        try:
            made = Use.of(typed, value=text.removeprefix("+"), mode=mode)
            made.done(act_of(typed, who, now), At(conn, motor_id, "", Seen()))
            text, kept = "", "kept"
        except NotFound as unknown:
            raise unknown from None
        except NorvashError as refused:
            error = refused
            if moves_ground(refused):
                error = InputError(refused.problem, "Correct it on the motor's own page of its hours.", "value")
    row = HoursRow(motor=book_rows(conn, [motor_id])[0], act_id=fresh_id(), day=day, typed=text, kept=kept, error=error)
    return page(request, "hours_one_row.html", status_of(error) if error else 200, b=row, errors={})


@router.get("/motors/{motor_id}/hours")
def log(*, request: Request, conn: Conn, now: Now, who: Who, motor_id: str) -> Response:
    """Show a motor's log with the field for its next entry."""
    if who is None:
        return go_to(f"/who?next=/motors/{motor_id}/hours")
    return _page(request, conn, now, motor_id=motor_id, typed={}, error=None)


def _page(
    request: Request, conn: Connection, now: Now, *, motor_id: str, typed: dict[str, str], error: NorvashError | None
) -> HTMLResponse:
    shown = motor_page(conn, motor_id, now.date())
    state, rows = shown.context.state, latest_entries(conn, motor_id)
    days = Counter(r.entry.at.date() for r in rows)
    curve, narrow = (drawing_of(shown, "use-curve", narrow=n) if state.entries else None for n in (False, True))
    return page(
        request,
        "motor_hours.html",
        status_of(error) if error else 200,
        area="Hours",
        found=shown.found,
        log=rows,
        twice={day for day, n in days.items() if n > 1},
        modes=MODES,
        motor=shown.context.motor,
        state=state,
        said=shown.said,
        curve=curve,
        narrow=narrow,
        act_id=fresh_id(),
        strike_id=fresh_id(),
        typed=typed,
        error=error,
        errors=errors_of(error),
        happened=HAPPENED,
    )


@router.post("/motors/{motor_id}/hours")
@again(_page, ground=False)
def add(*, request: Request, conn: Conn, now: Now, who: Who, motor_id: str, typed: Typed) -> Response:
    """Keep one entry of use."""
    if typed.get("answer") == "earlier":
        return go_to(f"/motors/{motor_id}/notes?counter={quote(typed.get('value', '')[:40])}")
    Use.of(typed).done(act_of(typed, who, now), At(conn, motor_id, "", Seen()))
    return go_to(f"/motors/{motor_id}/hours")


@router.post("/motors/{motor_id}/hours/take-back")
@again(_page, anew=True, ground=False)
def strike(*, request: Request, conn: Conn, now: Now, who: Who, motor_id: str, typed: Typed) -> Response:
    """Take the newest entry back."""
    take_back(conn, act_of(typed, who, now), motor_id)
    return go_to(f"/motors/{motor_id}/hours")
