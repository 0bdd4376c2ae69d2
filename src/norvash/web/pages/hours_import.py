"""Import of readings: a file, what each column means, what would happen line by line, and then all of it at once."""

from datetime import datetime
from typing import Any

from fastapi import APIRouter, Request
from fastapi.responses import HTMLResponse, Response

from norvash.errors import NorvashError
from norvash.exchange.hours_csv import COLUMNS, Match, guessed, match_of, read_lines
from norvash.exchange.sheets import Cells, read_sheet
from norvash.store.file.database import Connection
from norvash.store.record import people, use
from norvash.web.served import importer
from norvash.web.served.again import again
from norvash.web.served.answers import errors_of, go_to, page, status_of
from norvash.web.served.deps import Conn, Now, SentForm, Typed, Who, act_of, fresh_id
from norvash.web.served.importer import kept_as
from norvash.work.act.acting import Act
from norvash.work.act.site import clock
from norvash.work.motors.importing import JudgedLine, judge, take
from norvash.work.motors.logging_use import MODES

router = APIRouter()
_KIND = "hours"
_SAMPLE = 6


@router.get("/hours/import")
def ask(*, request: Request, who: Who) -> Response:
    """Ask for a file."""
    if who is None:
        return go_to("/who?next=/hours/import")
    return _ask(request, None)


def _ask(request: Request, error: NorvashError | None) -> HTMLResponse:
    most = request.app.state.settings.most_upload_bytes
    return page(
        request,
        "hours_import.html",
        status_of(error) if error else 200,
        area="Hours",
        act_id=fresh_id(),
        most=most,
        error=error,
        errors=errors_of(error),
    )


@router.post("/hours/import")
@again(_ask)
def upload(*, request: Request, conn: Conn, now: Now, who: Who, sent: SentForm) -> Response:
    """Keep a file and look at every line of it."""
    act = act_of(sent.typed, who, now)
    match = guessed(read_sheet(sent.data))
    importer.keep_file(conn, act, _KIND, name=sent.name, data=sent.data, now=now)
    _check(request, act.id, match)
    return go_to(f"/hours/import/{act.id}")


def _check(request: Request, file_id: str, match: Match) -> None:
    """Begin to judge every line, its columns matched so."""

    def work(conn: Connection, tell: Any) -> tuple[Match, JudgedLine]:
        lines, faults = read_lines(_sheet(conn, file_id)[0], match)
        return match, judge(conn, lines, faults, mode=match.mode, now=_clock(conn), tell=tell)

    importer.look(request, kept_as(_KIND, file_id), work)


def _clock(conn: Connection) -> datetime:
    return clock(people.fetch_site(conn), datetime.now())


def _sheet(conn: Connection, file_id: str) -> tuple[Cells, str]:
    _, digest, data = use.fetch_file(conn, kept_as(_KIND, file_id))
    return read_sheet(data), digest


@router.get("/hours/import/{file_id}")
def show(*, request: Request, conn: Conn, file_id: str) -> Response:
    """Show how far the look at a file is, what it would do, or what it did."""
    return _page(request, conn, file_id, {}, None)


def _page(
    request: Request, conn: Connection, file_id: str, typed: dict[str, str], error: NorvashError | None
) -> Response:
    job = importer.so_far(
        request,
        kept_as(_KIND, file_id),
        area="Hours",
        again=lambda: _check(request, file_id, guessed(_sheet(conn, file_id)[0])),
        taken=lambda judged: page(request, "hours_imported.html", area="Hours", judged=judged, errors={}),
    )
    if isinstance(job, Response):
        return job
    name, _, data = use.fetch_file(conn, kept_as(_KIND, file_id))
    sheet = read_sheet(data)
    error = error or job.error
    match, judged = job.result if job.result is not None else (guessed(sheet), JudgedLine())
    return page(
        request,
        "hours_preview.html",
        status_of(error) if error else 200,
        area="Hours",
        name=name,
        sheet=sheet,
        match=match,
        judged=judged,
        columns=COLUMNS,
        modes=MODES.items(),
        sample=sheet.rows[: _SAMPLE + match.heading],
        file_id=file_id,
        act_id=fresh_id(),
        typed=typed,
        error=error,
        errors=errors_of(error),
    )


@router.post("/hours/import/{file_id}/match")
@again(_page)
def match(*, request: Request, conn: Conn, file_id: str, typed: Typed) -> Response:
    """Look at every line anew with the columns as chosen."""
    chosen = match_of(typed, _sheet(conn, file_id)[0])
    _check(request, file_id, chosen)
    return go_to(f"/hours/import/{file_id}")


@router.post("/hours/import/{file_id}/take")
@again(_page)
def keep(*, request: Request, conn: Conn, now: Now, who: Who, file_id: str, typed: Typed) -> Response:
    """Keep all good lines, in a thread of its own."""
    act = act_of(typed, who, now)
    chosen: Match = importer.looked_at(request, kept_as(_KIND, file_id))[0]
    _take(request, file_id, chosen, act)
    return go_to(f"/hours/import/{file_id}")


def _take(request: Request, file_id: str, chosen: Match, act: Act) -> None:
    def work(conn: Connection, tell: Any) -> JudgedLine:
        sheet, digest = _sheet(conn, file_id)
        lines, faults = read_lines(sheet, chosen)
        known = kept_as(_KIND, file_id)
        return take(conn, act, known, sha256=digest, lines=lines, faults=faults, mode=chosen.mode, tell=tell)

    importer.take(request, kept_as(_KIND, file_id), "Keeping the readings", work)
