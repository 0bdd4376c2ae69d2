"""The application: routes, error answers, static files, start and stop."""

import threading
from collections.abc import AsyncIterator
from contextlib import asynccontextmanager
from datetime import date, datetime, timedelta
from functools import partial
from importlib import import_module
from types import ModuleType

from fastapi import Depends, FastAPI, Request
from fastapi.exceptions import RequestValidationError
from fastapi.responses import JSONResponse, Response
from starlette.concurrency import run_in_threadpool
from starlette.exceptions import HTTPException
from starlette.middleware.gzip import DEFAULT_EXCLUDED_CONTENT_TYPES, GZipMiddleware
from starlette.types import Receive, Scope, Send

from norvash.certificate import ends
from norvash.config import Settings, is_loopback
from norvash.devices.gauge_link import GaugeLink, meter_link
from norvash.errors import NorvashError, NotFound, Unavailable
from norvash.store.file.database import fold_in
from norvash.store.file.ready import prepare
from norvash.store.file.trouble import DatabaseError
from norvash.store.file.watch import Watch
from norvash.store.record import people
from norvash.web.door.security import Guard
from norvash.web.door.sessions import Sessions
from norvash.web.pages import bench, state, who
from norvash.web.served.answers import error_answer
from norvash.web.served.deps import Now, OurSite, Pool, Signed, Who, allowed
from norvash.web.served.jobs import Jobs
from norvash.web.served.logs import log_event, log_failure
from norvash.web.served.shipped import Shipped
from norvash.web.templating import STATIC
from norvash.work.access.members import has_lead
from norvash.work.access.secrets_kept import new_code
from norvash.work.act.site import clock

_WORTH_PACKING_BYTES, _PACKED = 1000, 2
_AGAIN = "norvash.looked-again"
_LOADING = threading.Lock()  # the routes of one process are put together one after another
_LAST_WORK_S, _AGAIN_S, _SETTLED_S, _CHECK_S = 0.5, 5.0, 0.2, 60.0


# Loaded right after the start, or when the first of them is asked for: the bench stands open at once.
_PAGES = (
    "find",
    "first",
    "motors",
    "motor",
    "figures",
    "policies",
    "types",
    "hours_import",
    "notes",
    "notes_import",
    "place",
    "hours",
    "outlook",
    "past",
    "people",
    "put_off",
    "new_set",
    "rulebook",
    "sheet_start",
    "sheet_views",
    "doubts",
    "sheet",
    "sums",
)
_API = ("session", "sums", "ground", "motors", "notes")


async def _about(request: Request, site: OurSite, who: Who, signed: Signed, now: Now) -> None:
    """Lay ready what every page shows in its head."""
    request.state.who, request.state.site, request.state.today = who, site.name, now.date()
    request.state.role = signed.role if signed is not None else ""


def catch_up_in_background(app: FastAPI) -> None:
    """Judge anew, in a thread of its own, what rests on an older rulebook."""

    stopping = app.state.stopping

    def work() -> None:
        with app.state.judging, app.state.pool.lent() as conn:
            from norvash.work.reading.standing import catch_up

            today = clock(people.fetch_site(conn), datetime.now()).date()
            done = catch_up(conn, today, stopping.is_set)
        if done:
            log_event("judged again", motors=done)

    def work_until_it_is_done() -> None:
        while not stopping.is_set():
            try:
                work()
            except Unavailable as error:
                log_failure("judging again waits for the database", error)
                stopping.wait(_AGAIN_S)
            else:
                return

    thread = threading.Thread(target=work_until_it_is_done, name="catch-up", daemon=True)
    thread.start()
    app.state.catching_up = thread


def check_in_background(app: FastAPI) -> None:
    """Look at the file each minute, in a thread of its own, until it is whole; meanwhile nothing is written to it."""
    log_event("damage seen: nothing is written until the file was looked at and is whole")

    def work() -> None:
        while not app.state.stopping.wait(app.state.check_s):
            try:
                whole = app.state.pool.is_whole()
            except NorvashError:
                whole = False
            if whole:
                app.state.pool.close()  # what they remember of the file may be from when it was damaged
                app.state.pool.watch.whole_again()
                log_event("the file is whole again: it is written to")
                return

    threading.Thread(target=work, name="check", daemon=True).start()


def _include(app: FastAPI, module: ModuleType) -> None:
    about = [Depends(_about), Depends(allowed)]
    app.include_router(module.router, dependencies=about, include_in_schema=False)


def load_all(app: FastAPI) -> None:
    """Load every page that is not loaded yet."""
    with _LOADING:
        if app.state.loaded:
            return
        pages = [import_module(f"norvash.web.pages.{name}") for name in _PAGES]
        api = [import_module(f"norvash.web.api.{name}") for name in _API]
        for module in pages:
            _include(app, module)
        for module in api:
            app.include_router(module.router, dependencies=[Depends(allowed)])
        app.state.loaded = True


def _list_addresses(app: FastAPI) -> None:
    """Give the list of all addresses that programs use, to whoever is signed in."""

    @app.get("/api/v1/openapi.json", include_in_schema=False, dependencies=[Depends(allowed)])
    def listed() -> JSONResponse:
        return JSONResponse(app.openapi())


def _load_on_demand(app: FastAPI) -> None:
    """Look among all pages before an address is said to be unknown, or the addresses are listed."""
    unknown, listed = app.router.default, app.openapi

    async def look_again(scope: Scope, receive: Receive, send: Send) -> None:
        if scope["type"] != "http" or _AGAIN in scope:
            await unknown(scope, receive, send)
            return
        scope[_AGAIN] = True  # the pages may have come while the address was looked for
        await run_in_threadpool(load_all, app)
        await app.router(scope, receive, send)

    def all_listed() -> dict[str, object]:
        load_all(app)
        return listed()

    app.router.default = look_again
    app.openapi = all_listed  # type: ignore[method-assign]


@asynccontextmanager
async def _lifespan(app: FastAPI) -> AsyncIterator[None]:
    if not app.state.pool.watch.state:
        catch_up_in_background(app)
    app.state.gauge.start()
    app.state.meter.start()
    later = threading.Timer(_SETTLED_S, load_all, [app])
    later.daemon = True
    later.start()
    yield
    app.state.stopping.set()
    app.state.gauge.stop()
    app.state.meter.stop()
    if not app.state.pool.watch.state:
        _leave_whole(app)
    app.state.pool.close()


def _leave_whole(app: FastAPI) -> None:
    """Fold the log into the database file, so that the file alone is all of it."""
    app.state.catching_up.join(_LAST_WORK_S)
    try:
        with app.state.pool.lent() as conn:
            app.state.sessions.write_down(conn)
        app.state.pool.close()
        fold_in(app.state.settings.db)
    except (NorvashError, DatabaseError) as error:
        log_failure("the log was not folded in", error)


def create_app(settings: Settings) -> FastAPI:
    """Return the application on a database; a new database gets its schema."""
    if settings.demo and not is_loopback(settings.host):
        raise NorvashError("A demonstration is entered without a password.", "Show it on this machine only.")
    found = prepare(settings.db)
    app = FastAPI(title="Norvash", docs_url=None, redoc_url=None, lifespan=_lifespan, openapi_url=None)
    app.state.judging = threading.Lock()
    watch = Watch("damaged" if found.faults else "read-only" if found.read_only else "")
    watch.noticed = partial(check_in_background, app)
    app.state.settings, app.state.pool, app.state.catch_up = (
        settings,
        Pool(settings.db, read_only=bool(watch.state), watch=watch),
        catch_up_in_background,
    )
    app.state.certificate = ends(settings.tls[0]) if settings.tls is not None else None
    app.state.sessions = Sessions(timedelta(hours=settings.idle_h))
    app.state.first_code, app.state.led = new_code(), False
    if not watch.state:
        with app.state.pool.lent() as conn:
            app.state.led = has_lead(conn)
    app.state.check_s, app.state.after_first_page = _CHECK_S, None
    app.state.loaded, app.state.bench_day = False, date.min
    app.state.faults, app.state.trouble, app.state.stopping = found.faults, "", threading.Event()
    app.state.jobs, app.state.gauge, app.state.meter = Jobs(), GaugeLink(settings.gauge), meter_link(settings.meter)
    app.include_router(state.router, include_in_schema=False)  # it must answer where nothing can be read
    for module in (bench, who):
        _include(app, module)
    app.mount("/static", Shipped(directory=STATIC), name="static")
    app.include_router(state.router, include_in_schema=False)

    _list_addresses(app)
    _load_on_demand(app)
    _answer_errors(app)
    app.add_middleware(
        GZipMiddleware,
        minimum_size=_WORTH_PACKING_BYTES,
        compresslevel=_PACKED,
        exclude_content_types=(*DEFAULT_EXCLUDED_CONTENT_TYPES, "font/woff2"),
    )
    app.add_middleware(Guard, settings=settings)
    return app


def _answer_errors(app: FastAPI) -> None:
    @app.exception_handler(NorvashError)
    def ours(request: Request, error: NorvashError) -> Response:
        return error_answer(request, error)

    @app.exception_handler(DatabaseError)
    def of_the_file(request: Request, error: DatabaseError) -> Response:
        trouble = app.state.pool.watch.trouble(error)
        if trouble is None:
            raise error
        return ours(request, trouble)

    @app.exception_handler(RequestValidationError)
    def invalid(request: Request, error: RequestValidationError) -> Response:
        first = error.errors()[0]
        where = ".".join(str(p) for p in first["loc"][1:])
        problem = f"The request cannot be read{f' at {where}' if where else ''}: {first['msg'].lower()}."
        return error_answer(request, NorvashError(problem, "Correct it and send it again.", where or None), 422)

    @app.exception_handler(HTTPException)
    def http(request: Request, error: HTTPException) -> Response:
        if error.status_code == 404:
            return error_answer(request, NotFound("There is nothing at this address.", "Start from the bench."))
        return error_answer(
            request, NorvashError(f"{error.detail}.", "Go back and try another way."), error.status_code
        )
