"""Fitting a new set of brushes."""

from fastapi import APIRouter, Request
from fastapi.responses import HTMLResponse, Response

from norvash.core.motor.classes import CAUTION_FOR_ALL, TEMPLATES
from norvash.errors import NorvashError
from norvash.store import sheets
from norvash.web.answers import errors_of, go_to, page, status_of
from norvash.web.deps import Conn, Now, Typed, Who, act_of, fresh_id
from norvash.web.forms import SetForm, whole
from norvash.web.motor_drawings import drawing_of
from norvash.work.brushes_used import END_REASONS
from norvash.work.motor_page import motor_page
from norvash.work.new_set import fit_new_set
from norvash.work.renewing import renew_brushes

router = APIRouter()


@router.get("/motors/{motor_id}/new-set")
def ask(*, request: Request, conn: Conn, now: Now, who: Who, motor_id: str) -> Response:
    """Ask for the reason, the counter and the starting lengths."""
    if who is None:
        return go_to(f"/who?next=/motors/{motor_id}/new-set")
    return _page(request, conn, now, motor_id=motor_id, typed={}, error=None)


def _page(
    request: Request, conn: Conn, now: Now, *, motor_id: str, typed: dict[str, str], error: NorvashError | None
) -> HTMLResponse:
    shown = motor_page(conn, motor_id, now.date())
    template = TEMPLATES[shown.context.motor.motor_class]
    return page(
        request,
        "new_set.html",
        status_of(error) if error else 200,
        area="Motors",
        m=shown,
        reasons=END_REASONS,
        ruler=drawing_of(shown, "carbon-ruler"),
        narrow=drawing_of(shown, "carbon-ruler", narrow=True),
        motor=shown.context.motor,
        state=shown.context.state,
        found=shown.found,
        said=shown.said,
        act_id=fresh_id(),
        typed=typed,
        error=error,
        errors=errors_of(error),
        cautions=(template.caution, CAUTION_FOR_ALL),
    )


@router.post("/motors/{motor_id}/sets")
def fit(*, request: Request, conn: Conn, now: Now, who: Who, motor_id: str, typed: Typed) -> Response:
    """End the old set and start the new one."""
    form = SetForm.of(typed)
    numbered = {whole(name.removeprefix("length_")): text for name, text in typed.items() if name.startswith("length_")}
    lengths = {number: text for number, text in numbered.items() if number is not None}
    only = {
        number
        for name in typed
        if (number := whole(name.removeprefix("only_"))) is not None and name.startswith("only_")
    }
    try:
        act = act_of(typed, who, now)
        if only:
            renew_brushes(
                conn,
                act,
                motor_id,
                counter=form.counter,
                reason=form.reason,
                lengths={n: lengths.get(n, "") for n in only},
                answer=form.answer,
            )
        else:
            fit_new_set(
                conn, act, motor_id, counter=form.counter, reason=form.reason, lengths=lengths, answer=form.answer
            )
    except NorvashError as error:
        return _page(request, conn, now, motor_id=motor_id, typed=typed, error=error)
    request.app.state.catch_up(request.app)
    left_open = sheets.open_sheet_of(conn, motor_id)
    return go_to(f"/sheets/{left_open.id}/brushes" if left_open is not None else f"/motors/{motor_id}")
