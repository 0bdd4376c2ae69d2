"""What every import of a table does: keeps its file, looks at each line in a thread, shows it, keeps what is good."""

import hashlib
from collections.abc import Callable
from datetime import datetime
from typing import Any

from fastapi import Request
from fastapi.responses import Response

from norvash.errors import InputError
from norvash.store.file.database import Connection, transaction
from norvash.store.record import use
from norvash.web.served.answers import go_to, page
from norvash.web.served.deps import pool_of
from norvash.web.served.jobs import Job, jobs_of
from norvash.work.act.acting import Act

_NAME = 120
Work = Callable[[Connection, Any], object]


def kept_as(kind: str, file_id: str) -> str:
    """Return by what a file of hours or of notes is kept: under the address of the other it is unknown."""
    return f"{kind}.{file_id}"


def keep_file(conn: Connection, act: Act, kind: str, *, name: str, data: bytes, now: datetime) -> None:
    """Keep a file by its kind and the id of its act, until it is taken in or nobody asks for it any more."""
    with transaction(conn):
        use.keep_file(
            conn,
            kept_as(kind, act.id),
            "".join(c for c in name if c.isprintable())[:_NAME],
            sha256=hashlib.sha256(data).hexdigest(),
            data=data,
            at=now,
            person_id=act.person_id,
        )


def look(request: Request, kept: str, work: Work) -> None:
    """Begin to judge every line of a file; what comes of it is a tuple, so that it is told from what was kept."""
    pool = pool_of(request)

    def all_lines(tell: Any) -> object:
        with pool.lent() as conn:
            return work(conn, tell)

    jobs_of(request).start(kept, "Looking at every line", all_lines)


def take(request: Request, kept: str, words: str, work: Work) -> None:
    """Begin to keep what is good of a file; then what rests on it is judged anew."""
    pool, app = pool_of(request), request.app

    def all_good(tell: Any) -> object:
        with pool.lent() as conn:
            made = work(conn, tell)
        app.state.catch_up(app)
        return made

    jobs_of(request).start(kept, words, all_good)


def looked_at(request: Request, kept: str) -> Any:
    """Return what the look at a file found.

    Raises: InputError where it has not come to its end.
    """
    job = jobs_of(request).find(kept)
    if job is None or not job.over or not isinstance(job.result, tuple):
        raise InputError("The file has not been looked at yet.", "Wait until every line has been looked at.")
    return job.result


def so_far(
    request: Request, kept: str, *, area: str, again: Callable[[], None], taken: Callable[[Any], Response]
) -> Job | Response:
    """Return the look at a file that has come to its end, else the page that says how far it is or what was `taken`;
    one of which nothing is known any more is begun again.
    """
    job = jobs_of(request).find(kept)
    if job is None:
        again()
        return go_to(request.scope["path"])
    if not job.over:
        return page(request, "progress.html", area=area, job=job, errors={})
    if job.result is not None and not isinstance(job.result, tuple):
        return taken(job.result)
    return job
