"""Notes of the past of one motor: since when its set has run, rounds in a grid, sets that are gone."""

from fastapi import APIRouter, Request
from fastapi.responses import HTMLResponse, Response

from norvash.core.motor.notes import NotedRound
from norvash.errors import NeedsAnswer, NorvashError
from norvash.exchange.said.notes import SetTold, Since
from norvash.exchange.said.told import At, Seen
from norvash.store.file.database import Connection
from norvash.store.record import notes
from norvash.web.drawn.motor import drawing_of
from norvash.web.served.again import again
from norvash.web.served.answers import errors_of, go_to, page, status_of
from norvash.web.served.deps import Conn, Now, Typed, Who, act_of, fresh_id
from norvash.web.served.forms import numbered, whole
from norvash.work.motors.stating import may_say_since
from norvash.work.notes.noting import enter_notes
from norvash.work.notes.noting_tables import take_back_notes
from norvash.work.pages.motor import motor_page

router = APIRouter()
_ROWS, _MORE, _MOST_ROWS = 6, 12, 60
_SHOWN = (*(f"since_{n}" for n in Since.model_fields), *SetTold.model_fields, "answer")
_SOURCES = {"form": "one by one", "grid": "in the grid", "table": "from a table"}


@router.get("/motors/{motor_id}/notes")
def show(
    *, request: Request, conn: Conn, now: Now, who: Who, motor_id: str, rows: int = _ROWS, counter: str = ""
) -> Response:
    """Show what of a motor is from notes, with the ways to enter more; a counter that is known is there already."""
    if who is None:
        return go_to(f"/who?next=/motors/{motor_id}/notes")
    typed = {"rows": str(rows), "counter.1": counter[:40]}
    return _page(request, conn, now, motor_id=motor_id, typed=typed, error=None)


def _page(
    request: Request, conn: Connection, now: Now, *, motor_id: str, typed: dict[str, str], error: NorvashError | None
) -> HTMLResponse:
    shown = motor_page(conn, motor_id, now.date())
    context = shown.context
    errors = {name.removesuffix(".0"): e for name, e in errors_of(error).items()}
    in_rows: dict[int, list[NorvashError]] = {}
    for name, one in errors.items():
        line = whole(name.partition(".")[2])
        if line is not None:
            in_rows.setdefault(line, []).append(one)
    asked = isinstance(error, NeedsAnswer)
    return page(
        request,
        "notes.html",
        status_of(error) if error else 200,
        area="Motors",
        motor=context.motor,
        state=context.state,
        found=shown.found,
        said=shown.said,
        line=drawing_of(shown, "life-line"),
        narrow=drawing_of(shown, "life-line", narrow=True),
        since=may_say_since(context),
        current=context.sets[-1],
        rows=range(1, _rows(typed) + 1),
        most=_MOST_ROWS,
        batches=notes.list_batches(conn, motor_id),
        sources=_SOURCES,
        act_id=fresh_id(),
        typed=typed,
        error=error,
        errors=errors,
        row_errors=in_rows,
        error_names=[*(n for n in errors if "." in n), *_SHOWN, *(f"end_{x.number}" for x in context.positions)],
        asked=("grid" if in_rows else "set") if asked else "",
    )


def _rows(typed: dict[str, str]) -> int:
    return min(max(whole(typed.get("rows", "")) or _ROWS, _ROWS), _MOST_ROWS)


@router.post("/motors/{motor_id}/since")
@again(_page, ground=False)
def say_since(*, request: Request, conn: Conn, now: Now, who: Who, motor_id: str, typed: Typed) -> Response:
    """Say since when the set in the motor has run."""
    given = Since.of({n: typed.get(f"since_{n}", "") for n in Since.model_fields})
    given.done(act_of(typed, who, now), At(conn, motor_id, "", Seen()))
    request.app.state.catch_up(request.app)
    return go_to(f"/motors/{motor_id}/notes")


@router.post("/motors/{motor_id}/notes")
@again(_page, ground=False)
def add(*, request: Request, conn: Conn, now: Now, who: Who, motor_id: str, typed: Typed) -> Response:
    """Keep the rounds of the grid, all of them or none."""
    if typed.get("more"):
        wider = {**typed, "rows": str(_rows(typed) + _MORE)}
        return _page(request, conn, now, motor_id=motor_id, typed=wider, error=None)
    given = [r for line in range(1, _rows(typed) + 1) if (r := _round(typed, line)) is not None]
    act = act_of(typed, who, now)
    enter_notes(conn, act, motor_id, given, source="grid", answer=typed.get("answer", ""))
    request.app.state.catch_up(request.app)
    return go_to(f"/motors/{motor_id}")


def _round(typed: dict[str, str], line: int) -> NotedRound | None:
    """Return one row of the grid, None where nothing is typed in it."""

    def cell(name: str) -> str:
        return typed.get(f"{name}.{line}", "").strip()

    named = (n for n in typed if n.startswith("reading_") and n.endswith(f".{line}"))
    numbers = {whole(n.removeprefix("reading_").removesuffix(f".{line}")): typed[n] for n in named}
    readings = {n: text for n, text in numbers.items() if n is not None and text.strip()}
    if not (cell("day") or cell("counter") or readings):
        return None
    counter, ran = cell("counter"), ""
    if counter.startswith("+"):
        counter, ran = "", counter.removeprefix("+")
    shortest = typed.get("shortest", "") == "yes"
    return NotedRound(
        line=line, day=cell("day"), counter=counter, ran=ran, readings=readings, by=cell("by"), shortest=shortest
    )


@router.post("/motors/{motor_id}/notes/set")
@again(_page, ground=False)
def add_set(*, request: Request, conn: Conn, now: Now, who: Who, motor_id: str, typed: Typed) -> Response:
    """Keep a set that is gone."""
    lengths = {n: text for n, text in numbered(typed, "end").items() if text.strip()}
    told = {n: typed.get(n, "") for n in SetTold.model_fields if n != "lengths"}
    given = SetTold(**told, lengths=lengths).note(0)
    act = act_of(typed, who, now)
    enter_notes(conn, act, motor_id, [given], source="form", answer=typed.get("answer", ""))
    request.app.state.catch_up(request.app)
    return go_to(f"/motors/{motor_id}/notes")


@router.post("/motors/{motor_id}/notes/{batch_id}/take-back")
@again(_page, anew=True, ground=False)
def take_back(
    *, request: Request, conn: Conn, now: Now, who: Who, motor_id: str, batch_id: str, typed: Typed
) -> Response:
    """Take back what was entered together."""
    take_back_notes(conn, act_of(typed, who, now), batch_id)
    request.app.state.catch_up(request.app)
    return go_to(f"/motors/{motor_id}/notes")
