"""The figures of one motor: its own, its type's, its class's."""

from fastapi import APIRouter, Request
from fastapi.responses import HTMLResponse, Response

from norvash.core.motor.classes import TEMPLATES
from norvash.core.motor.figure_fields import FIELDS
from norvash.core.motor.figures import Figures
from norvash.core.motor.positions import polarity_wrong
from norvash.errors import InputError, NorvashError
from norvash.store.record import motors as store
from norvash.web.drawn.motor import brush_drawn, end_view_new
from norvash.web.served.again import again
from norvash.web.served.answers import errors_of, go_to, page, status_of
from norvash.web.served.deps import Conn, Now, Typed, Who, act_of, fresh_id
from norvash.web.served.forms import figures_typed, whole
from norvash.work.motors.changing_figures import change_figures
from norvash.work.reading.loading import figures_of, rules_of
from norvash.work.reading.rulebook import rulebook

router = APIRouter()


@router.get("/motors/{motor_id}/figures")
def show(*, request: Request, conn: Conn, who: Who, motor_id: str) -> Response:
    """Show a motor's figures, each with where it comes from."""
    if who is None:
        return go_to(f"/who?next=/motors/{motor_id}/figures")
    own = store.motor_figures(conn, store.fetch_motor(conn, motor_id).id)
    return _page(request, conn, motor_id, Figures(own, {}, {}).own_words, None)


def _page(
    request: Request, conn: Conn, motor_id: str, typed: dict[str, str], error: NorvashError | None
) -> HTMLResponse:
    motor = store.fetch_motor(conn, motor_id)
    of_type = store.type_figures(conn, motor.type_id) if motor.type_id else {}
    plans = store.positions(conn, motor_id)
    in_force = figures_of(conn, motor)
    rules = rules_of(rulebook(conn), motor, in_force)
    return page(
        request,
        "figures.html",
        status_of(error) if error else 200,
        area="Motors",
        motor=motor,
        fields=FIELDS,
        positions=plans,
        polarity_wrong=polarity_wrong(plans),
        drawings=(brush_drawn(in_force, rules), end_view_new(in_force, plans, rules, 300)),
        lent=Figures({}, of_type, TEMPLATES[motor.motor_class].lends),
        typed=typed,
        act_id=fresh_id(),
        error=error,
        errors=errors_of(error),
    )


@router.post("/motors/{motor_id}/figures")
@again(_page)
def change(*, request: Request, conn: Conn, now: Now, who: Who, motor_id: str, typed: Typed) -> Response:
    """Keep a motor's own figures."""
    store.fetch_motor(conn, motor_id)
    version = whole(typed.get("version", ""))
    if version is None:
        raise InputError("The form is incomplete.", "Open the page again.", "version")
    shown = Figures(store.motor_figures(conn, motor_id), {}, {}).own_words
    change_figures(conn, act_of(typed, who, now), motor_id, figures_typed(typed, shown), version)
    return go_to(f"/motors/{motor_id}")
