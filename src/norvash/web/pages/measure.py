"""Measuring a set, position by position."""

from fastapi import APIRouter, Request
from fastapi.responses import HTMLResponse, Response

from norvash.core.classes import CAUTION_FOR_ALL, TEMPLATES
from norvash.core.doubts import ANSWERS
from norvash.core.figures import INSTRUMENTS, METHOD_HINTS, METHODS
from norvash.core.findings import GROUPS
from norvash.core.readings import on_the_gauge_mm
from norvash.core.ruler import ruler_of
from norvash.drawing.carbon_ruler import carbon_ruler
from norvash.errors import Conflict, InputError, NorvashError
from norvash.store import rounds
from norvash.web.answers import errors_of, go_to, page, status_of
from norvash.web.deps import Conn, Now, Typed, Who, act_of, fresh_id
from norvash.web.forms import ReadingForm, RoundForm, whole
from norvash.web.motor_drawings import round_view
from norvash.work.measuring import KINDS, finish, note, record, settle_doubt, start_round, take_back_answer
from norvash.work.motor_page import motor_page
from norvash.work.round_page import RoundPage, round_page

router = APIRouter()


@router.get("/motors/{motor_id}/measure")
def head(request: Request, conn: Conn, now: Now, who: Who, motor_id: str, position: int = 0) -> Response:
    """Ask for the counter, or go on with the round that was left half done."""
    if who is None:
        return go_to(f"/who?next=/motors/{motor_id}/measure")
    shown = motor_page(conn, motor_id, now.date())
    if shown.half_done is not None:
        return go_to(f"/rounds/{shown.half_done.id}?position={position}")
    return _head(request, conn, now, motor_id, {}, None)


def _head(
    request: Request, conn: Conn, now: Now, motor_id: str, typed: dict[str, str], error: NorvashError | None
) -> HTMLResponse:
    shown = motor_page(conn, motor_id, now.date())
    template = TEMPLATES[shown.context.motor.motor_class]
    return page(request, "measure_start.html", status_of(error) if error else 200, area="Motors", m=shown, kinds=KINDS,
                motor=shown.context.motor, state=shown.context.state, said=shown.said, act_id=fresh_id(), typed=typed,
                error=error, errors=errors_of(error), cautions=(template.caution, CAUTION_FOR_ALL))  # fmt: skip


@router.post("/motors/{motor_id}/rounds")
def start(request: Request, conn: Conn, now: Now, who: Who, motor_id: str, typed: Typed) -> Response:
    """Open a round."""
    form = RoundForm.of(typed)
    try:
        round_id = start_round(conn, act_of(typed, who, now), motor_id, form.counter, form.kind, form.answer)
    except NorvashError as error:
        return _head(request, conn, now, motor_id, typed, error)
    return go_to(f"/rounds/{round_id}")


@router.get("/rounds/{round_id}")
def show(request: Request, conn: Conn, now: Now, who: Who, round_id: str, position: int = 0, done: int = 0) -> Response:
    """Show a round at the position to measure, with the answer to the value before."""
    if who is None:
        return go_to(f"/who?next=/rounds/{round_id}")
    return _round(request, round_page(conn, round_id, position, now.date()), done, {}, None)


def _round(
    request: Request, shown: RoundPage, done: int, typed: dict[str, str], error: NorvashError | None
) -> HTMLResponse:
    replaces = shown.line.reading.id if shown.line.reading else ""
    last = next((x for x in shown.lines if x.plan.number == done and x.reading), None)
    ruler = carbon_ruler(
        ruler_of(shown.found, shown.context.state), 380, max(36.0, 11.0 * len(shown.lines)), dimensions=True
    )
    figures = shown.context.figures
    method = typed.get("method") or figures.word("method")
    gauge = on_the_gauge_mm(shown.line.before.length_mm, figures, method) if shown.line.before else None
    asked = error.suggestions if isinstance(error, InputError) else ()
    return page(request, "round.html", status_of(error) if error else 200, area="Motors", r=shown, motor=shown.context.motor,
                state=shown.context.state, said=shown.said, found=shown.found, last=last, answers=ANSWERS, asked=asked, list_of_findings=GROUPS,
                view=round_view(shown, 360), ruler=ruler, method=method, hint=METHOD_HINTS.get(method, ""), last_gauge=gauge, methods=METHODS, instruments=INSTRUMENTS, replaces=replaces,
                act_id=fresh_id(), note_id=fresh_id(), doubt_id=fresh_id(), finish_id=fresh_id(), typed=typed, error=error,
                errors=errors_of(error))  # fmt: skip


@router.post("/rounds/{round_id}/readings")
def measure(request: Request, conn: Conn, now: Now, who: Who, round_id: str, typed: Typed) -> Response:
    """Keep one reading and go on to the next position."""
    form = ReadingForm.of(typed)
    position = whole(form.position) or 0
    try:
        record(
            conn, act_of(typed, who, now), round_id, position, form.value, form.method, form.instrument, form.replaces
        )
    except NorvashError as error:
        if isinstance(error, InputError | Conflict):
            return _round(request, round_page(conn, round_id, position, now.date()), 0, typed, error)
        raise
    return go_to(f"/rounds/{round_id}?done={position}#round")


@router.post("/readings/{reading_id}/doubt")
def doubt(conn: Conn, now: Now, who: Who, reading_id: str, typed: Typed) -> Response:
    """Keep the answer to a doubt, and go on from where it was given."""
    answer, position = typed.get("answer", ""), whole(typed.get("position", "")) or 0
    row = rounds.fetch_round(conn, settle_doubt(conn, act_of(typed, who, now), reading_id, answer))
    if answer == "new set":
        return go_to(f"/motors/{row.motor_id}/new-set")
    if row.finished or typed.get("back") == "motor":
        return go_to(f"/motors/{row.motor_id}{f'/measure?position={position}' if answer == 'mistyped' else ''}")
    return go_to(f"/rounds/{row.id}?position={position if answer == 'mistyped' else 0}")


@router.post("/readings/{reading_id}/answer")
def reopen(conn: Conn, now: Now, who: Who, reading_id: str, typed: Typed) -> Response:
    """Take the answer to a doubt back, so that it is asked again."""
    return go_to(f"/motors/{take_back_answer(conn, act_of(typed, who, now), reading_id)}")


@router.post("/rounds/{round_id}/findings")
def findings(request: Request, conn: Conn, now: Now, who: Who, round_id: str, typed: Typed) -> Response:
    """Keep what was seen on a brush, or take it back."""
    position = whole(typed.get("position", "")) or 0
    try:
        note(conn, act_of(typed, who, now), round_id, position, typed.get("seen", ""), gone=bool(typed.get("gone")))
    except InputError as error:
        return _round(request, round_page(conn, round_id, position, now.date()), 0, typed, error)
    return go_to(f"/rounds/{round_id}?position={position}&done={position}")


@router.post("/rounds/{round_id}/finish")
def close(conn: Conn, now: Now, who: Who, round_id: str, typed: Typed) -> Response:
    """Close a round and return to the motor."""
    return go_to(f"/motors/{finish(conn, act_of(typed, who, now), round_id)}")
