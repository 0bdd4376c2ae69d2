"""Import of readings: a file, what each column means, what would happen line by line, and then all of it at once."""

import hashlib
from datetime import datetime
from typing import Any

from fastapi import APIRouter, Request
from fastapi.responses import HTMLResponse, Response

from norvash.errors import InputError, NorvashError
from norvash.exchange.hours_csv import COLUMNS, Match, guessed, match_of, read_lines
from norvash.exchange.sheets import Sheet, read_sheet
from norvash.store import people, use
from norvash.store.database import Connection, transaction
from norvash.web.answers import errors_of, go_to, page, status_of
from norvash.web.deps import Conn, Now, SentForm, Typed, Who, act_of, fresh_id, pool_of
from norvash.web.jobs import jobs_of
from norvash.work.acting import Act
from norvash.work.importing import Judged, judge, take
from norvash.work.logging_use import MODES
from norvash.work.site import clock

router = APIRouter()
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
def upload(*, request: Request, conn: Conn, now: Now, who: Who, sent: SentForm) -> Response:
    """Keep a file and look at every line of it."""
    try:
        act = act_of(sent.typed, who, now)
        match = guessed(read_sheet(sent.data))
        with transaction(conn):
            use.keep_file(
                conn,
                act.id,
                "".join(c for c in sent.name if c.isprintable())[:120],
                sha256=hashlib.sha256(sent.data).hexdigest(),
                data=sent.data,
                at=now,
                person_id=act.person_id,
            )
    except NorvashError as error:
        return _ask(request, error)
    _check(request, act.id, match)
    return go_to(f"/hours/import/{act.id}")


def _check(request: Request, file_id: str, match: Match) -> None:
    """Begin to judge every line in a thread of its own."""
    pool, jobs = pool_of(request), jobs_of(request)

    def work(tell: Any) -> tuple[Match, Judged]:
        with pool.lent() as conn:
            sheet, _ = _sheet(conn, file_id)
            lines, faults = read_lines(sheet, match)
            return match, judge(conn, lines, faults, mode=match.mode, now=_clock(conn), tell=tell)

    jobs.start(file_id, "Looking at every line", work)


def _clock(conn: Connection) -> datetime:
    return clock(people.fetch_site(conn), datetime.now())


def _sheet(conn: Connection, file_id: str) -> tuple[Sheet, str]:
    _, digest, data = use.fetch_file(conn, file_id)
    return read_sheet(data), digest


@router.get("/hours/import/{file_id}")
def show(*, request: Request, conn: Conn, file_id: str) -> Response:
    """Show how far the look at a file is, what it would do, or what it did."""
    return _page(request, conn, file_id, {}, None)


def _page(
    request: Request, conn: Connection, file_id: str, typed: dict[str, str], error: NorvashError | None
) -> Response:
    job = jobs_of(request).find(file_id)
    if job is not None and not job.over:
        return page(request, "progress.html", area="Hours", job=job, errors={})
    if job is not None and job.over and isinstance(job.result, Judged):
        return page(request, "hours_imported.html", area="Hours", judged=job.result, errors={})
    name, _, data = use.fetch_file(conn, file_id)
    sheet = read_sheet(data)
    if job is None:
        _check(request, file_id, guessed(sheet))
        return go_to(f"/hours/import/{file_id}")
    error = error or job.error
    match, judged = job.result if job.result is not None else (guessed(sheet), Judged())
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
def match(*, request: Request, conn: Conn, file_id: str, typed: Typed) -> Response:
    """Look at every line anew with the columns as chosen."""
    try:
        chosen = match_of(typed, _sheet(conn, file_id)[0])
    except NorvashError as error:
        return _page(request, conn, file_id, typed, error)
    _check(request, file_id, chosen)
    return go_to(f"/hours/import/{file_id}")


@router.post("/hours/import/{file_id}/take")
def keep(*, request: Request, conn: Conn, now: Now, who: Who, file_id: str, typed: Typed) -> Response:
    """Keep all good lines, in a thread of its own."""
    job = jobs_of(request).find(file_id)
    try:
        act = act_of(typed, who, now)
        if job is None or not job.over or not isinstance(job.result, tuple):
            raise InputError("The file has not been looked at yet.", "Wait until every line has been looked at.")
    except NorvashError as error:
        return _page(request, conn, file_id, typed, error)
    chosen: Match = job.result[0]
    _take(request, file_id, chosen, act)
    return go_to(f"/hours/import/{file_id}")


def _take(request: Request, file_id: str, chosen: Match, act: Act) -> None:
    pool, app = pool_of(request), request.app

    def work(tell: Any) -> Judged:
        with pool.lent() as conn:
            sheet, digest = _sheet(conn, file_id)
            lines, faults = read_lines(sheet, chosen)
            made = take(conn, act, file_id, sha256=digest, lines=lines, faults=faults, mode=chosen.mode, tell=tell)
        app.state.catch_up(app)
        return made

    jobs_of(request).start(file_id, "Keeping the readings", work)
