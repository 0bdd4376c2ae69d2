"""The bench sheet: open it, walk its stages, enter things, sign it, add to it."""

from dataclasses import replace
from urllib.parse import urlencode

from fastapi import APIRouter, Request
from fastapi.responses import HTMLResponse, Response

from norvash.core.commutator.bars import PAINTING
from norvash.core.stages.brushes.stage import STAGE as BRUSHES
from norvash.core.stages.catalogue import STAGE_BY_ID
from norvash.core.stages.sign import STAGE as SIGN
from norvash.core.visit.walk import stages_of
from norvash.errors import Conflict, InputError, NeedsAnswer, NorvashError, NotFound
from norvash.exchange.said.brushes import Fit, Measure, See
from norvash.exchange.said.sheet import MAY_COME, Add, Enter, SignSheet, Whole
from norvash.exchange.said.told import At, Seen
from norvash.store.access.signed import asks_pin
from norvash.store.record import sheets
from norvash.store.record.stood import called_at
from norvash.web.door.entering import check_pin
from norvash.web.lines_typed import enter_line
from norvash.web.served.again import again
from norvash.web.served.answers import errors_of, go_to, page, status_of
from norvash.web.served.deps import Conn, Now, Signed, Typed, Who, act_of, fresh_id
from norvash.web.served.forms import figures_typed, numbered, whole, with_unit
from norvash.web.served.fragments import Parts
from norvash.web.stages.shown.hidden import Hidden
from norvash.web.stages.shown.page import stage_page
from norvash.web.stages.shown.timers import timers_shown
from norvash.work.act.acting import InSession
from norvash.work.motors.changing_figures import ASKED, state_figures
from norvash.work.on_sheet.settling_sight import settle_sight
from norvash.work.on_sheet.undoing import last_named, undo
from norvash.work.reading.sheet_now import SheetNow, sheet_now
from norvash.work.told.signed_how import confirm_played

router = APIRouter()
_AT_ONCE = "return=representation"


@router.get("/sheets/{sheet_id}")
def first(*, conn: Conn, now: Now, sheet_id: str) -> Response:
    """Go to the first stage that waits."""
    shown = sheet_now(conn, sheet_id, now.date())
    at = next((s.stage.id for s in shown.rail if s.state == "waiting"), shown.rail[-1].stage.id)
    return go_to(f"/sheets/{sheet_id}/{at}")


@router.get("/sheets/{sheet_id}/{stage}")
def show(*, request: Request, conn: Conn, now: Now, who: Who, sheet_id: str, stage: str) -> Response:
    """Show one stage of a sheet."""
    if who is None:
        return go_to(f"/who?next=/sheets/{sheet_id}/{stage}")
    return _stage(request, conn, now, sheet_id=sheet_id, stage=stage, typed=dict(request.query_params))


def _stage(
    request: Request,
    conn: Conn,
    now: Now,
    *,
    sheet_id: str,
    stage: str,
    typed: dict[str, str],
    error: NorvashError | None = None,
) -> HTMLResponse:
    shown = sheet_now(conn, sheet_id, now.date())
    here = STAGE_BY_ID.get(stage)
    if here is None or here not in stages_of(shown.sheet):
        raise NotFound("This sheet has no such stage.", "Choose one from its rail.")
    at = f"{typed.get('field', '')}.{whole(typed.get('place', '')) or 0}" if error else ""
    shown_page, act_id = stage_page(conn, shown, here, typed, now), fresh_id()
    parts = Parts(act_id)
    return page(
        request,
        "sheet.html",
        status_of(error) if error else 200,
        area="Bench",
        as_of=shown.version,
        s=shown,
        sheet=shown.sheet,
        path=f"/sheets/{shown.sheet.id}/{stage}",
        motor=shown.context.motor,
        then=_then(conn, shown),
        state=shown.context.state,
        said=shown.said,
        found=shown.found,
        g=shown_page,
        v=shown_page.view,
        fields=shown_page.fields,
        stage=stage,
        position=shown_page.position,
        act_id=act_id,
        parts=parts,
        hidden=Hidden(
            fields=shown_page.fields,
            parts=parts,
            sheet_id=shown.sheet.id,
            act_id=act_id,
            stage=stage,
            position=shown_page.position,
        ),
        typed=typed,
        error=error,
        error_at=at,
        asked=error.suggestions if isinstance(error, InputError) else (),
        choices=error.choices if isinstance(error, NeedsAnswer) else (),
        errors=errors_of(error),
        connected=request.app.state.gauge.connected,
        meter=request.app.state.meter.connected,
        undoes=_undoes(request, conn, shown),
        timers=timers_shown(shown, now),
    )


def _then(conn: Conn, shown: SheetNow) -> list[str]:
    """Return name and place of the motor as they were when a sheet was signed, where either is another now."""
    at = shown.row.signed_at
    return [] if at is None else [x for x in called_at(conn, shown.context.motor.id, at) if x is not None]


def _undoes(request: Request, conn: Conn, shown: SheetNow) -> tuple[str, str] | None:
    """Return what undo would take back for whoever looks at an open sheet, named."""
    who = getattr(request.state, "who", None)
    if who is None or shown.row.signed_at is not None:
        return None
    return last_named(conn, shown.row.id, who.id, {p.number: p.label for p in shown.context.positions})


def _again(
    request: Request, conn: Conn, now: Now, *, sheet_id: str, typed: dict[str, str], error: NorvashError
) -> Response:
    """Show the stage that a refused entry came from, with what was typed."""
    if not isinstance(error, InputError | Conflict | NeedsAnswer):
        raise error
    shown = sheet_now(conn, sheet_id, now.date())
    came_from = typed.get("stage", "")
    walked = [s.id for s in stages_of(shown.sheet)]
    stage = came_from if came_from in walked else walked[-2]
    return _stage(request, conn, now, sheet_id=sheet_id, stage=stage, typed=typed, error=error)


def _back(request: Request, conn: Conn, now: Now, sheet_id: str, typed: dict[str, str]) -> Response:
    """Go back to the stage that an entry came from; who asks for it (RFC 7240) is answered with its page at once."""
    position, stage = whole(typed.get("position", "")), typed.get("stage", "")
    query = {"position": str(position or ""), "stack": typed.get("stack", "")}
    query = {name: text for name, text in query.items() if text}
    if stage in STAGE_BY_ID and request.headers.get("prefer") == _AT_ONCE:
        return _stage(request, conn, now, sheet_id=sheet_id, stage=stage, typed=query)
    where = f"/{stage}{f'?{urlencode(query)}' if query else ''}" if stage in STAGE_BY_ID else ""
    return go_to(f"/sheets/{sheet_id}{where}")


# What comes with an entry, empty where a form has no field for it.
_WITH_IT = ("who", "day", "why", "barriers", "minutes", "parts", "part", "turns", "volts", "way", "mends")


@router.post("/sheets/{sheet_id}/entries")
@again(_again)
def keep(*, request: Request, conn: Conn, now: Now, who: Who, sheet_id: str, typed: Typed) -> Response:
    """Keep one entry."""
    more = {k: typed.get(k, "") for k in _WITH_IT} | {k: typed[k] for k in (*MAY_COME, PAINTING) if k in typed}
    place = whole(typed.get("place", "0"))
    entry = Enter.of(typed, place=-1 if place is None else place, with_it=more, why=_slip_why(typed))
    enter_line(conn, act_of(typed, who, now), entry, sheet_id=sheet_id, seen=_seen(typed), typed=typed)
    return _back(request, conn, now, sheet_id, typed)


@router.post("/sheets/{sheet_id}/figures")
@again(_again, field="figure")
def state(*, request: Request, conn: Conn, now: Now, who: Who, sheet_id: str, typed: Typed) -> Response:
    """Keep the figures that were changed where a stage asked for them, as the motor's own."""
    seen = {n: typed.get(f"seen_{n}", "") for n in ASKED if n in typed}
    changed = {n: typed[n] for n, was in seen.items() if typed[n].strip() != was}
    if seen and not changed:
        return _back(request, conn, now, sheet_id, typed)
    own = {n: seen[n] for n in changed}
    state_figures(conn, act_of(typed, who, now), sheet_id, figures_typed(changed, seen), own)
    return _back(request, conn, now, sheet_id, typed)


@router.post("/sheets/{sheet_id}/readings")
@again(_again, field="reading")
def measure(*, request: Request, conn: Conn, now: Now, who: Who, sheet_id: str, typed: Typed) -> Response:
    """Keep one reading."""
    typed = {"stage": BRUSHES.id, **typed}
    text = with_unit(typed.get("value", ""), typed.get("unit", ""))
    entry = Measure.of(typed, place=_place(typed), value=text, why=_slip_why(typed))
    entry.done(act_of(typed, who, now), At(conn, "", sheet_id, _seen(typed)))
    return _back(request, conn, now, sheet_id, typed)


@router.post("/sheets/{sheet_id}/findings")
@again(_again, field="seen")
def findings(*, request: Request, conn: Conn, now: Now, who: Who, sheet_id: str, typed: Typed) -> Response:
    """Keep what was seen on a brush, or take it back."""
    gone = typed.get("gone", "")
    seen = gone or typed.get("value", "")
    entry = See.of(typed, place=_place(typed), value=seen, gone=bool(gone), why=_slip_why(typed))
    entry.done(act_of(typed, who, now), At(conn, "", sheet_id, Seen()))
    return _back(request, conn, now, sheet_id, typed)


def _seen(typed: dict[str, str]) -> Seen:
    """Return what a form says of what its page showed; one of an older page says nothing."""
    touched = {"1": True, "0": False}.get(typed.get("touched", ""))
    return Seen(replaces=typed.get("replaces", ""), touched=touched)


def _place(typed: dict[str, str]) -> int:
    return whole(typed.get("place", "")) or 0


def _slip_why(typed: dict[str, str]) -> str:
    return typed.get("slip_why", "")[:200]


@router.post("/sheets/{sheet_id}/sights")
@again(_again, field="sight")
def settle(*, request: Request, conn: Conn, now: Now, who: Who, sheet_id: str, typed: Typed) -> Response:
    """Say of a value that was kept as typed whether it is as found or as left."""
    settle_sight(conn, act_of(typed, who, now), sheet_id, typed.get("id", ""), typed.get("sight", ""))
    return _back(request, conn, now, sheet_id, typed)


@router.post("/sheets/{sheet_id}/set")
@again(_again, field="fit")
def fit(*, request: Request, conn: Conn, now: Now, who: Who, sheet_id: str, typed: Typed) -> Response:
    """Fit a new set on a sheet; the person stays on it."""
    also = tuple(name.removeprefix("also_") for name in typed if name.startswith("also_"))
    motor_id = sheets.fetch_sheet(conn, sheet_id).motor_id
    entry = Fit.of(typed, lengths=numbered(typed, "length"), also=also, counter="", answer="")
    entry.done(act_of(typed, who, now), At(conn, motor_id, sheet_id, Seen()))
    request.app.state.catch_up(request.app)
    return _back(request, conn, now, sheet_id, typed)


@router.post("/sheets/{sheet_id}/whole")
@again(_again, stage=SIGN.id)
def go_whole(*, request: Request, conn: Conn, now: Now, who: Who, sheet_id: str, typed: Typed) -> Response:
    """Go on with a quick look as a whole sheet."""
    Whole().done(act_of(typed, who, now), At(conn, "", sheet_id, Seen()))
    return go_to(f"/sheets/{sheet_id}/decide")


@router.post("/sheets/{sheet_id}/undo")
@again(_again, field="undo")
def take_back(*, request: Request, conn: Conn, now: Now, who: Who, sheet_id: str, typed: Typed) -> Response:
    """Take back what this person entered last."""
    undo(conn, act_of(typed, who, now), sheet_id, typed.get("what", ""), typed.get("why", ""))
    return _back(request, conn, now, sheet_id, typed)


@router.post("/sheets/{sheet_id}/sign")
@again(_again, stage=SIGN.id)
def close(*, request: Request, conn: Conn, now: Now, who: Who, signed: Signed, sheet_id: str, typed: Typed) -> Response:
    """Sign a sheet; the page then shows it as it was signed. The shop may ask for the PIN at each signature."""
    by_pin = signed is not None and asks_pin(conn)
    if signed is not None and by_pin:
        check_pin(request, conn, signed, typed.pop("pin", ""))
    entry = SignSheet.of(typed, service=bool(typed.get("service")))
    act = act_of(typed, who, now)
    if isinstance(act.origin, InSession):
        act = replace(act, origin=replace(act.origin, by_pin=by_pin))
    entry.done(act, At(conn, "", sheet_id, Seen()))
    return go_to(f"/sheets/{sheet_id}/sign")


@router.post("/sheets/{sheet_id}/confirm")
def confirm(*, conn: Conn, now: Now, who: Who, sheet_id: str, typed: Typed) -> Response:
    """Stand behind the signature of a sheet that came from a file."""
    confirm_played(conn, act_of(typed, who, now), sheet_id)
    return go_to(f"/sheets/{sheet_id}/sign")


@router.post("/sheets/{sheet_id}/additions")
@again(_again, stage=SIGN.id)
def add(*, request: Request, conn: Conn, now: Now, who: Who, sheet_id: str, typed: Typed) -> Response:
    """Add a remark below the signature."""
    entry = Add.of({}, value=typed.get("addition", ""))
    entry.done(act_of(typed, who, now), At(conn, "", sheet_id, Seen()))
    return go_to(f"/sheets/{sheet_id}/sign")
