"""How the database is: for a program that watches, and for a person when something is wrong."""

import shutil
from datetime import datetime

from fastapi import APIRouter, FastAPI, Request
from fastapi.responses import HTMLResponse, JSONResponse

from norvash.errors import Unavailable
from norvash.store.file.database import writable_now
from norvash.store.file.trouble import DatabaseError, unavailable
from norvash.web.served.answers import page

router = APIRouter()
_LEAST_FREE_BYTES = 1_000_000


def trouble_now(app: FastAPI) -> Unavailable | None:
    """Return what is wrong with the database at this moment, or with the last entry that came.

    None where all is well.
    """
    pool = app.state.pool
    if pool.watch.state:
        return unavailable(pool.watch.state)
    try:
        with pool.lent() as conn:
            writable_now(conn)
    except Unavailable as error:
        return error
    except DatabaseError:
        return unavailable("disk")
    if shutil.disk_usage(app.state.settings.db.parent).free < _LEAST_FREE_BYTES:
        return unavailable("full")
    # A lock that could be taken proves neither room on the disk nor that it answers: the last entry knows more.
    return unavailable(app.state.trouble) if app.state.trouble in ("full", "disk") else None


@router.get("/healthz")
def health(*, request: Request) -> JSONResponse:
    """Answer a program that watches: 200 where all is well, else 503 and the state."""
    trouble = trouble_now(request.app)
    told: dict[str, object] = {"ok": trouble is None, "state": trouble.state if trouble else "well"}
    certificate = request.app.state.certificate
    if certificate is not None:
        today = datetime.now().date()
        told["certificate"] = {"ends": certificate.on.isoformat(), "days": certificate.days_left(today)}
    if trouble is None:
        return JSONResponse(told)
    return JSONResponse(told, 503, {"Retry-After": str(trouble.wait_s)})


@router.get("/state")
def show(*, request: Request) -> HTMLResponse:
    """Say how the database is, and what to do where something is wrong."""
    return page(
        request,
        "state.html",
        area="",
        trouble=trouble_now(request.app),
        db=request.app.state.settings.db.name,
        errors={},
    )
