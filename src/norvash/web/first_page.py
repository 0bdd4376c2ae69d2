"""The first page as it is shown: its form, and what comes of what is typed in it, drawn."""

from collections.abc import Mapping
from datetime import datetime
from typing import Any

from fastapi import Request
from fastapi.responses import HTMLResponse

from norvash.core.brush.motor_limit import motor_limit
from norvash.core.motor.classes import TEMPLATES
from norvash.core.motor.figure_fields import NEW_MM, UNIT_OF_USE
from norvash.drawing.brush.first_set import FirstSet, first_set
from norvash.errors import NorvashError
from norvash.store.file.database import Connection
from norvash.web.served.answers import page, status_of
from norvash.web.served.deps import fresh_id
from norvash.work.motors.first_motor import EXAMPLE, errors_on_form, try_first
from norvash.work.reading.standing import Judged

_WIDE, _PHONE = 1224.0, 358.0


def first_page(
    request: Request, conn: Connection, now: datetime, typed: Mapping[str, str], error: NorvashError | None = None
) -> HTMLResponse:
    """Return the first page with what is typed, or with its example; an error lies where it says."""
    said = {field: text for field in EXAMPLE if (text := typed.get(field, "").strip())}
    is_example = not set(said) - {"name"}
    tried = try_first(conn, EXAMPLE if is_example else said, now)
    wrong = {} if error is None else errors_on_form(error)
    drawn: dict[str, Any] = {"wide": None, "narrow": None}
    if tried.judged is not None:
        known = _known(tried.judged, dated=not tried.errors)
        drawn = {"wide": first_set(known, _WIDE), "narrow": first_set(known, _PHONE)}
    return page(
        request,
        "first.html",
        status_of(error) if error else 200,
        area="Bench",
        typed=dict(typed),
        example=EXAMPLE,
        is_example=is_example,
        templates=TEMPLATES,
        unit=_unit(said.get("motor_class") or EXAMPLE["motor_class"]),
        tried=tried,
        errors={**tried.errors, **wrong},
        error=error,
        act_id=fresh_id(),
        **drawn,
    )


def _unit(motor_class: str) -> str:
    return TEMPLATES[motor_class].use if motor_class in TEMPLATES else "hours"


def _known(judged: Judged, *, dated: bool) -> FirstSet:
    """Return what is drawn; a day that leaves out something typed is no day of this set."""
    context, found = judged.context, judged.found
    of_set, ahead = context.sets[-1], found.ahead if dated else None
    worst = found.round.least.length_mm if found.round is not None and found.round.readings else None
    total = context.entries[-1].total_units
    limit = motor_limit(context.figures, context.rules)
    return FirstSet(
        new_mm=NEW_MM.need(context.figures),
        limit_mm=limit.limit_mm,
        worst_mm=worst,
        ran_units=total - of_set.fitted_units if of_set.fitted_known else None,
        limit_units=ahead.p50_units - of_set.fitted_units if ahead is not None and worst is not None else None,
        unit_of_use=str(UNIT_OF_USE.of(context.figures)),
    )
