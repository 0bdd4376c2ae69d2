"""Types of motor: figures that several motors share."""

from fastapi import APIRouter, Request
from fastapi.responses import HTMLResponse, Response

from norvash.core.motor.classes import TEMPLATES
from norvash.core.motor.figure_fields import BUILD_MATRIX, FIELDS
from norvash.core.motor.figures import Figures, figure_words
from norvash.core.motor.matrix import Variant, read_matrix
from norvash.core.rules.book import MotorRules
from norvash.drawing.svg import Drawing
from norvash.errors import NorvashError
from norvash.store.record import motors as store
from norvash.web.drawn.motor import brush_drawn, end_view_new
from norvash.web.served.answers import errors_of, go_to, page, status_of
from norvash.web.served.deps import Conn, Now, Typed, Who, act_of, fresh_id
from norvash.web.served.forms import TypeForm, figures_typed
from norvash.work.motors.motor_types import save_type
from norvash.work.reading.rulebook import rulebook

router = APIRouter()


@router.get("/types")
def show(*, request: Request, conn: Conn) -> HTMLResponse:
    """Show all types."""
    return page(request, "types.html", area="Motors", types=store.list_types(conn), errors={})


@router.get("/types/new")
def new(*, request: Request, conn: Conn, who: Who, motor_class: str = "") -> Response:
    """Ask for a new type."""
    if who is None:
        return go_to("/who?next=/types/new")
    return _page(request, conn, "", {"motor_class": motor_class}, None)


@router.get("/types/{type_id}")
def one(*, request: Request, conn: Conn, who: Who, type_id: str) -> Response:
    """Show a type with its figures and its motors."""
    if who is None:
        return go_to(f"/who?next=/types/{type_id}")
    kind = store.fetch_type(conn, type_id)
    stated = store.type_figures(conn, type_id)
    typed = {
        "name": kind.name,
        "motor_class": kind.motor_class,
        **{name: figure_words(value) for name, value in stated.items()},
    }
    return _page(request, conn, type_id, typed, None)


def _page(
    request: Request, conn: Conn, type_id: str, typed: dict[str, str], error: NorvashError | None
) -> HTMLResponse:
    template = TEMPLATES.get(typed.get("motor_class", ""))
    lent = Figures({}, {}, template.lends if template else {})
    plans = store.type_positions(conn, type_id) if type_id else ()
    drawings: tuple[Drawing, ...] = ()
    matrix: tuple[Variant, ...] = ()
    if type_id and template:
        rules = MotorRules(rulebook(conn), template.name, type_id)
        stated = Figures({}, store.type_figures(conn, type_id), template.lends)
        drawings = (brush_drawn(stated, rules), end_view_new(stated, plans, rules, 300))
        matrix = read_matrix(BUILD_MATRIX.stated(stated))
    return page(
        request,
        "type.html",
        status_of(error) if error else 200,
        area="Motors",
        type_id=type_id,
        matrix=matrix,
        fields=FIELDS,
        lent=lent,
        templates=TEMPLATES,
        template=template,
        typed=typed,
        act_id=fresh_id(),
        motors=store.list_motors_of_type(conn, type_id) if type_id else [],
        positions=plans,
        drawings=drawings,
        error=error,
        errors=errors_of(error),
    )


@router.post("/types")
def add(*, request: Request, conn: Conn, now: Now, who: Who, typed: Typed) -> Response:
    """Keep a new type."""
    return _save(request, conn, now, who=who, type_id="", typed=typed)


@router.post("/types/{type_id}")
def change(*, request: Request, conn: Conn, now: Now, who: Who, type_id: str, typed: Typed) -> Response:
    """Change a type; its motors are judged anew."""
    store.fetch_type(conn, type_id)
    return _save(request, conn, now, who=who, type_id=type_id, typed=typed)


def _save(request: Request, conn: Conn, now: Now, *, who: Who, type_id: str, typed: dict[str, str]) -> Response:
    form = TypeForm.of(typed)
    stands = store.type_figures(conn, type_id) if type_id else {}
    try:
        saved = save_type(
            conn,
            act_of(typed, who, now),
            type_id,
            name=form.name,
            motor_class=form.motor_class,
            brushes=form.brushes,
            typed=figures_typed(typed, {name: figure_words(value) for name, value in stands.items()}),
        )
    except NorvashError as error:
        return _page(request, conn, type_id, typed, error)
    request.app.state.catch_up(request.app)
    return go_to(f"/types/{saved}")
