"""The register of motors, and adding one."""

from fastapi import APIRouter, Request
from fastapi.responses import HTMLResponse, Response

from norvash.core.motor.classes import CAUTION_FOR_ALL, TEMPLATES
from norvash.core.motor.figure_fields import LIMIT_SOURCES
from norvash.core.motor.figures import Figures
from norvash.core.motor.positions import even_positions
from norvash.core.rules.book import MotorRules
from norvash.drawing.svg import Drawing
from norvash.errors import NorvashError
from norvash.exchange.said.notes import Since
from norvash.store.record import motors as store
from norvash.store.record.weeks_ahead import Sought, list_gravest
from norvash.web.drawn.lists import list_ruler
from norvash.web.drawn.motor import brush_drawn, end_view_new
from norvash.web.list_leads import lead_of_row, waits_for
from norvash.web.served.again import again
from norvash.web.served.answers import errors_of, go_to, page, status_of
from norvash.web.served.deps import Conn, Now, Typed, Who, act_of, fresh_id
from norvash.web.served.forms import MotorForm
from norvash.work.motors.registering import NewMotor, add_motor
from norvash.work.pages.bench import REGISTER_PAGE, register
from norvash.work.reading.rulebook import rulebook

router = APIRouter()
_FIELDS = {
    "new_mm": "new_length",
    "limit_mm": "limit",
    "use_per_week_units": "use_a_week",
    "expected_life_units": "set_lasts",
}
_ONE_SCALE_PX_PER_MM = 0.74
_NAMED = 4
_UNKNOWN = ("unknown", "not known", "?")


@router.get("/motors")
def show(*, request: Request, conn: Conn, now: Now, q: str = "", c: str = "", o: str = "", p: int = 1) -> HTMLResponse:
    """Show the register, or what was found in it."""
    rows = register(conn, q[:80], c, p, now.date(), urgent=o == "urgent")
    drawn = [
        (r, list_ruler(r.listed.standing.drawing_json, 220.0)[0], waits_for(r, lead_of_row(r)))
        for r in rows[:REGISTER_PAGE]
    ]
    first = p <= 1 and not q and o != "urgent"
    stopped, urgent = list_gravest(conn, Sought(motor_class=c, today=now.date()), _NAMED + 1) if first else ([], [])
    return page(
        request,
        "motors.html",
        area="Motors",
        stopped=stopped,
        urgent=urgent,
        rows=drawn,
        more=len(rows) > REGISTER_PAGE,
        q=q,
        c=c,
        o=o,
        p=max(p, 1),
        classes=list(TEMPLATES),
        errors={},
    )


@router.get("/motors/new")
def ask(
    *, request: Request, conn: Conn, who: Who, motor_class: str = "", type_id: str = "", place: str = ""
) -> Response:
    """Ask for a new motor, from the template of its class."""
    if who is None:
        return go_to(
            f"/who?next=/motors/new?motor_class={motor_class}" if motor_class in TEMPLATES else "/who?next=/motors/new"
        )
    return _form(request, conn, {"motor_class": motor_class, "type_id": type_id, "place": place[:80]}, None)


def _form(request: Request, conn: Conn, typed: dict[str, str], error: NorvashError | None) -> HTMLResponse:
    template = TEMPLATES.get(typed.get("motor_class", ""))
    types = [t for t, _ in store.list_types(conn) if template is None or t.motor_class == template.name]
    book, type_id = rulebook(conn), typed.get("type_id", "")
    figures = store.type_figures(conn, type_id) if type_id in [t.id for t in types] else {}
    brush: Drawing | None = None
    views: dict[str, Drawing] = {}
    if template:
        brush = brush_drawn(Figures({}, figures, template.lends), MotorRules(book, template.name, type_id))
    else:
        for t in TEMPLATES.values():
            plans, rules = even_positions(t.brushes), MotorRules(book, t.name)
            views[t.name] = end_view_new(Figures({}, {}, t.lends), plans, rules, 220, _ONE_SCALE_PX_PER_MM)
    return page(
        request,
        "motor_new.html",
        status_of(error) if error else 200,
        area="Motors",
        templates=TEMPLATES,
        template=template,
        types=types,
        brush=brush,
        class_views=views,
        act_id=fresh_id(),
        typed=typed,
        error=error,
        errors={_FIELDS.get(name, name): e for name, e in errors_of(error).items()},
        caution=CAUTION_FOR_ALL,
        limit_sources=tuple(LIMIT_SOURCES.items()),
    )


@router.post("/motors")
@again(_form)
def add(*, request: Request, conn: Conn, now: Now, who: Who, typed: Typed) -> Response:
    """Keep a new motor."""
    form = MotorForm.of(typed)
    limit = "" if form.limit.strip().lower() in _UNKNOWN else form.limit
    given = NewMotor(
        tag=form.tag,
        name=form.name,
        place=form.place,
        motor_class=form.motor_class,
        type_id=form.type_id,
        brushes=form.brushes,
        new_length=form.new_length,
        limit=limit,
        limit_source=form.limit_source,
        unit_of_use=form.unit_of_use,
        use_now=form.use_now,
        set_is_new=bool(form.set_is_new),
        figures={"use_per_week_units": form.use_a_week, "expected_life_units": form.set_lasts},
        since=Since.of({n: typed.get(f"since_{n}", "") for n in Since.model_fields}).typed,
        answer=typed.get("answer", ""),
    )
    motor_id = add_motor(conn, act_of(typed, who, now), given)
    return go_to(f"/motors/{motor_id}")
