"""A table of notes, pasted or as a file: every line judged and shown, then all good ones kept at once."""

import hashlib
from collections.abc import Mapping
from datetime import datetime
from typing import Any

from fastapi import APIRouter, Request
from fastapi.responses import HTMLResponse, Response

from norvash.core.text.texts import compared
from norvash.errors import InputError, NorvashError
from norvash.exchange.notes_csv import COLUMNS, Labels, notes_table
from norvash.store import motors, people, use
from norvash.store.database import Connection, transaction
from norvash.web.answers import errors_of, go_to, page, status_of
from norvash.web.deps import Conn, Now, SentForm, Typed, Who, act_of, fresh_id, pool_of
from norvash.web.jobs import jobs_of
from norvash.work.acting import Act
from norvash.work.noting_tables import Found, Table, import_notes, look_through, take_back_notes
from norvash.work.site import clock

router = APIRouter()
_MOST_SHOWN = 200


@router.get("/notes/import")
def ask(*, request: Request, who: Who, motor: str = "") -> Response:
    """Ask for a table."""
    if who is None:
        return go_to(f"/who?next=/notes/import?motor={motor}")
    return _ask(request, {"motor": motor[:80]}, None)


def _ask(request: Request, typed: dict[str, str], error: NorvashError | None) -> HTMLResponse:
    return page(
        request,
        "notes_import.html",
        status_of(error) if error else 200,
        area="Motors",
        act_id=fresh_id(),
        columns=list(COLUMNS),
        most=request.app.state.settings.most_upload_bytes,
        typed=typed,
        error=error,
        errors=errors_of(error),
    )


@router.post("/notes/import")
def upload(*, request: Request, conn: Conn, now: Now, who: Who, sent: SentForm) -> Response:
    """Keep a table and look at every line of it."""
    data = sent.data or sent.typed.get("table", "").encode()
    own = " ".join(sent.typed.get("motor", "").split())
    try:
        act = act_of(sent.typed, who, now)
        if not data.strip():
            raise InputError("There is no table.", "Paste it, or give its file.", "table")
        notes_table(data, labels_of(conn), own)
        with transaction(conn):
            use.keep_file(
                conn,
                act.id,
                own[:80],
                sha256=hashlib.sha256(data).hexdigest(),
                data=data,
                at=now,
                person_id=act.person_id,
            )
    except NorvashError as error:
        return _ask(request, sent.typed, error)
    _check(request, act.id)
    return go_to(f"/notes/import/{act.id}")


def labels_of(conn: Connection) -> Labels:
    """Return how the positions of a motor are found by their labels."""
    names = motors.names(conn)

    def labels(tag: str) -> Mapping[str, int] | None:
        motor_id = names.get(compared(tag))
        if motor_id is None:
            return None
        return {compared(p.label): p.number for p in motors.positions(conn, motor_id)}

    return labels


def _table(conn: Connection, file_id: str) -> Table:
    own, _, data = use.fetch_file(conn, file_id)
    return notes_table(data, labels_of(conn), own)


def _check(request: Request, file_id: str) -> None:
    """Begin to judge every line in a thread of its own."""
    pool = pool_of(request)

    def work(tell: Any) -> tuple[Found]:
        with pool.lent() as conn:
            now = clock(people.fetch_site(conn), datetime.now())
            return (look_through(conn, _table(conn, file_id), now, act_id=file_id, tell=tell),)

    jobs_of(request).start(file_id, "Looking at every line", work)


@router.get("/notes/import/{file_id}")
def show(*, request: Request, conn: Conn, file_id: str) -> Response:
    """Show how far the look at a table is, what it would add, or what it has added."""
    return _page(request, conn, file_id, {}, None)


def _page(
    request: Request, conn: Connection, file_id: str, typed: dict[str, str], error: NorvashError | None
) -> Response:
    job = jobs_of(request).find(file_id)
    if job is not None and not job.over:
        return page(request, "progress.html", area="Motors", job=job, errors={})
    if job is not None and isinstance(job.result, Found):
        return page(request, "notes_kept.html", area="Motors", found=job.result, act_id=fresh_id(), errors={})
    if job is None:
        use.fetch_file(conn, file_id)
        _check(request, file_id)
        return go_to(f"/notes/import/{file_id}")
    error = error or job.error
    found = job.result[0] if job.result is not None else Found()
    return page(
        request,
        "notes_preview.html",
        status_of(error) if error else 200,
        area="Motors",
        found=found,
        most=_MOST_SHOWN,
        file_id=file_id,
        act_id=fresh_id(),
        typed=typed,
        error=error,
        errors=errors_of(error),
    )


@router.post("/notes/import/{file_id}/take")
def keep(*, request: Request, conn: Conn, now: Now, who: Who, file_id: str, typed: Typed) -> Response:
    """Keep all good lines, in a thread of its own."""
    job = jobs_of(request).find(file_id)
    try:
        act = act_of(typed, who, now)
        if job is None or not job.over or not isinstance(job.result, tuple):
            raise InputError("The table has not been looked at yet.", "Wait until every line has been looked at.")
    except NorvashError as error:
        return _page(request, conn, file_id, typed, error)
    _take(request, file_id, act, "right" if typed.get("right") == "yes" else "")
    return go_to(f"/notes/import/{file_id}")


def _take(request: Request, file_id: str, act: Act, answer: str) -> None:
    pool, app = pool_of(request), request.app

    def work(tell: Any) -> Found:
        with pool.lent() as conn:
            made = import_notes(conn, act, _table(conn, file_id), answer=answer, file_id=file_id, tell=tell)
        app.state.catch_up(app)
        return made

    jobs_of(request).start(file_id, "Keeping the notes", work)


@router.post("/notes/{batch_id}/take-back")
def take_back(*, request: Request, conn: Conn, now: Now, who: Who, batch_id: str, typed: Typed) -> Response:
    """Take a whole table back."""
    take_back_notes(conn, act_of(typed, who, now), batch_id)
    request.app.state.catch_up(request.app)
    return go_to("/motors")
