"""Policies of a motor or a type, makers' tables, and the table that Norvash makes for a type."""

from dataclasses import dataclass

from fastapi import APIRouter, Request
from fastapi.responses import HTMLResponse, Response

from norvash.core.planning.interval_table import QUANTITIES, IntervalTable, table_from
from norvash.core.planning.policies import ASKS, KINDS
from norvash.core.state import policy as governing
from norvash.core.state.findings import Findings
from norvash.core.text.words import UNIT_WORDS
from norvash.drawing.days.interval_grid import interval_grid
from norvash.drawing.svg import Drawing
from norvash.errors import NorvashError
from norvash.exchange.interval_tables import table_as_csv
from norvash.exchange.said.policy import Policy
from norvash.store.file.database import Connection
from norvash.web.served.answers import errors_of, go_to, page, status_of
from norvash.web.served.deps import Conn, Now, SentForm, Typed, Who, act_of, fresh_id
from norvash.work.motors.policing import add_policy, end_policy, governed, table_of_type
from norvash.work.reading.loading import load
from norvash.work.reading.standing import judge

router = APIRouter()
_GRID_PX, _PHONE_PX = 1100.0, 346.0
FIELDS = (*Policy.model_fields, "file")
_DASHES = {"": "no answer: the forecast alone", "stop": "out of service, by a note under the table"}


@dataclass(frozen=True, slots=True, kw_only=True)
class Shown:
    """A policy as the page shows it: its table if it has one, what it asks for on this motor, and whether that comes
    first.
    """

    policy: governing.Policy
    table: IntervalTable | None
    drawing: Drawing | None
    narrow: Drawing | None
    why: str
    when: str
    first: bool


@router.get("/policies/{scope}/{scope_id}")
def show(*, request: Request, conn: Conn, now: Now, scope: str, scope_id: str) -> Response:
    """Show the policies of a motor or a type, with a form for another."""
    return _page(request, conn, now, scope=scope, scope_id=scope_id, typed={}, error=None)


def _page(
    request: Request,
    conn: Connection,
    now: Now,
    *,
    scope: str,
    scope_id: str,
    typed: dict[str, str],
    error: NorvashError | None,
) -> HTMLResponse:
    holder = governed(conn, scope, scope_id)
    found = judge(load(conn, scope_id), now.date()).found if scope == "motor" else None
    shown = [_shown(p, found, UNIT_WORDS[holder.unit]) for p in holder.policies]
    others = [d for d in (found.dues if found else ()) if d.name not in {p.name for p in holder.policies}]
    return page(
        request,
        "policies.html",
        status_of(error) if error else 200,
        area="Motors",
        holder=holder,
        shown=shown,
        others=others,
        look=found.look if found else None,
        kinds=KINDS.items(),
        asks=ASKS.items(),
        dashes=_DASHES.items(),
        quantities=[(q, q) for q in QUANTITIES],
        names=FIELDS,
        act_id=fresh_id(),
        typed=typed,
        error=error,
        errors=errors_of(error),
    )


def _shown(policy: governing.Policy, found: Findings | None, unit: str) -> Shown:
    table = table_from(policy.figures) if policy.kind == "table" else None
    due = next((d for d in found.dues if d.name == policy.name), None) if found else None
    when = f"{due.on:%Y-%m-%d}" if due and due.on else ""
    cells = [due.cell] if due and due.cell != (None, None) else []
    drawing, narrow = (interval_grid(table, cells, unit, px) if table else None for px in (_GRID_PX, _PHONE_PX))
    return Shown(
        policy=policy,
        table=table,
        drawing=drawing,
        narrow=narrow,
        why=due.why if due else "",
        when=when,
        first=bool(found and due and due in (found.look and found.look.due, found.change)),
    )


@router.post("/policies/{scope}/{scope_id}")
def add(*, request: Request, conn: Conn, now: Now, who: Who, scope: str, scope_id: str, sent: SentForm) -> Response:
    """Keep a policy."""
    typed = sent.typed
    try:
        asked = Policy.of({"kind": "", **typed}).asked(sent.data)
        add_policy(conn, act_of(typed, who, now), scope, scope_id=scope_id, **asked)
    except NorvashError as error:
        return _page(request, conn, now, scope=scope, scope_id=scope_id, typed=typed, error=error)
    request.app.state.catch_up(request.app)
    return go_to(f"/policies/{scope}/{scope_id}")


@router.post("/policies/{policy_id}")
def end(*, request: Request, conn: Conn, now: Now, who: Who, policy_id: str, typed: Typed) -> Response:
    """End a policy."""
    ended = end_policy(conn, act_of(typed, who, now), policy_id)
    request.app.state.catch_up(request.app)
    return go_to(f"/policies/{ended}")


@router.get("/types/{type_id}/table")
def made(*, request: Request, conn: Conn, type_id: str) -> HTMLResponse:
    """Show the table that Norvash makes for a type, to print and hang up."""
    kind, unit, table, past = table_of_type(conn, type_id)
    return page(
        request,
        "shop_table.html",
        area="Motors",
        kind=kind,
        unit=unit,
        table=table,
        past=past,
        drawing=interval_grid(table, [], unit, _GRID_PX),
        narrow=interval_grid(table, [], unit, _PHONE_PX),
        errors={},
    )


@router.get("/types/{type_id}/table.csv")
def made_csv(*, conn: Conn, type_id: str) -> Response:
    """Give that table as a file."""
    _, unit, table, _ = table_of_type(conn, type_id)
    return Response(
        table_as_csv(table, unit),
        media_type="text/csv; charset=utf-8",
        headers={"Content-Disposition": 'attachment; filename="interval-table.csv"'},
    )
