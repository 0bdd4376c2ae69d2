"""A table of notes, pasted or as a file: every line judged and shown, then all good ones kept at once."""

from collections.abc import Mapping
from datetime import datetime
from typing import Any

from fastapi import APIRouter, Request
from fastapi.responses import HTMLResponse, Response

from norvash.core.text.texts import compared
from norvash.errors import InputError, NorvashError
from norvash.exchange.notes_csv import COLUMNS, Labels, notes_table
from norvash.store.file.database import Connection
from norvash.store.record import motors, people, use
from norvash.web.served import importer
from norvash.web.served.again import again
from norvash.web.served.answers import errors_of, go_to, page, status_of
from norvash.web.served.deps import Conn, Now, SentForm, Typed, Who, act_of, fresh_id
from norvash.web.served.importer import kept_as
from norvash.work.act.acting import Act
from norvash.work.act.site import clock
from norvash.work.notes.noting_tables import Found, Table, import_notes, look_through, take_back_notes

router = APIRouter()
_KIND = "notes"
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
        importer.keep_file(conn, act, _KIND, name=own, data=data, now=now)
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
    own, _, data = use.fetch_file(conn, kept_as(_KIND, file_id))
    return notes_table(data, labels_of(conn), own)


def _check(request: Request, file_id: str) -> None:
    """Begin to judge every line."""

    def work(conn: Connection, tell: Any) -> tuple[Found]:
        now = clock(people.fetch_site(conn), datetime.now())
        return (look_through(conn, _table(conn, file_id), now, act_id=file_id, tell=tell),)

    importer.look(request, kept_as(_KIND, file_id), work)


@router.get("/notes/import/{file_id}")
def show(*, request: Request, conn: Conn, file_id: str) -> Response:
    """Show how far the look at a table is, what it would add, or what it has added."""
    return _page(request, conn, file_id, {}, None)


def _page(
    request: Request, conn: Connection, file_id: str, typed: dict[str, str], error: NorvashError | None
) -> Response:
    def again() -> None:
        use.fetch_file(conn, kept_as(_KIND, file_id))
        _check(request, file_id)

    job = importer.so_far(
        request,
        kept_as(_KIND, file_id),
        area="Motors",
        again=again,
        taken=lambda found: page(request, "notes_kept.html", area="Motors", found=found, act_id=fresh_id(), errors={}),
    )
    if isinstance(job, Response):
        return job
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
@again(_page)
def keep(*, request: Request, conn: Conn, now: Now, who: Who, file_id: str, typed: Typed) -> Response:
    """Keep all good lines, in a thread of its own."""
    act = act_of(typed, who, now)
    importer.looked_at(request, kept_as(_KIND, file_id))
    _take(request, file_id, act, "right" if typed.get("right") == "yes" else "")
    return go_to(f"/notes/import/{file_id}")


def _take(request: Request, file_id: str, act: Act, answer: str) -> None:
    def work(conn: Connection, tell: Any) -> Found:
        return import_notes(conn, act, _table(conn, file_id), answer=answer, file_id=kept_as(_KIND, file_id), tell=tell)

    importer.take(request, kept_as(_KIND, file_id), "Keeping the notes", work)


@router.post("/notes/{batch_id}/take-back")
def take_back(*, request: Request, conn: Conn, now: Now, who: Who, batch_id: str, typed: Typed) -> Response:
    """Take a whole table back."""
    take_back_notes(conn, act_of(typed, who, now), batch_id)
    request.app.state.catch_up(request.app)
    return go_to("/motors")
