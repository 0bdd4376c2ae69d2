"""What the first entry after a start would wait for, done in a thread of its own once the first page is out."""

import pkgutil
import threading
from datetime import datetime
from importlib import import_module

from fastapi import FastAPI

from norvash import core, drawing, work
from norvash.errors import NorvashError
from norvash.store.record import motors, people
from norvash.web.app import load_all
from norvash.web.served.logs import log_failure
from norvash.work.act.site import clock


def warm(app: FastAPI) -> None:
    """Load what judges and forecasts, and judge one motor without keeping it."""
    thread = threading.Thread(target=_work, args=(app,), name="warm", daemon=True)
    thread.start()
    app.state.warming = thread


def _work(app: FastAPI) -> None:
    for package in (core, work, drawing):
        for found in pkgutil.walk_packages(package.__path__, f"{package.__name__}."):
            if app.state.stopping.is_set():
                return
            import_module(found.name)
    from norvash.work.reading.loading import load
    from norvash.work.reading.standing import foresee

    load_all(app)
    nowhere = {"type": "http", "method": "GET", "path": "/nowhere", "root_path": "", "headers": [], "app": app}
    for route in app.routes:  # each is put together when it is first asked whether it is meant
        route.matches(nowhere)
    try:
        with app.state.pool.lent() as conn:
            today = clock(people.fetch_site(conn), datetime.now()).date()
            foresee(conn, [load(conn, motor) for motor in motors.list_motor_ids(conn, 1)], today)
    except NorvashError as error:
        log_failure("nothing could be worked out beforehand", error)
