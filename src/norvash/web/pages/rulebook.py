"""The rulebook: every threshold, where it comes from, and the site's own."""

from fastapi import APIRouter, Request
from fastapi.responses import HTMLResponse, Response

from norvash.core.rules.book import CLASSES
from norvash.core.rules.catalogue import GROUPS
from norvash.core.stages import STAGES
from norvash.drawing.stage_scale import stage_scale
from norvash.errors import NorvashError
from norvash.store import rules as store
from norvash.web.answers import errors_of, go_to, page, status_of
from norvash.web.deps import Conn, Now, Typed, Who, act_of, fresh_id
from norvash.web.forms import RuleForm
from norvash.work.context import rulebook
from norvash.work.ruling import clear_rule, set_rule

router = APIRouter()


@router.get("/rulebook")
def show(request: Request, conn: Conn) -> HTMLResponse:
    """Show all rules by subject."""
    book = rulebook(conn)
    edges: dict[str, float] = {stage: book.figure(f"stage.{stage}").value for stage in STAGES if stage != "fit"}
    changed: dict[str, list[object]] = {}
    for override in book.overrides.values():
        changed.setdefault(override.rule_id, []).append(override)
    return page(
        request,
        "rulebook.html",
        area="Rulebook",
        groups=GROUPS,
        changed=changed,
        scale=stage_scale(edges, 1000),
        errors={},
    )


@router.get("/rulebook/{rule_id}")
def one(request: Request, conn: Conn, rule_id: str) -> Response:
    """Show one rule with its history, and the field to change it."""
    return _page(request, conn, rule_id, {}, None)


def _page(
    request: Request, conn: Conn, rule_id: str, typed: dict[str, str], error: NorvashError | None
) -> HTMLResponse:
    book = rulebook(conn)
    rule = book.rule(rule_id)
    figures = [(c, book.figure(rule_id, c)) for c in CLASSES]
    return page(request, "rule.html", status_of(error) if error else 200, area="Rulebook", rule=rule, figures=figures,
                history=store.list_history(conn, rule_id), classes=CLASSES, act_id=fresh_id(), clear_id=fresh_id(),
                typed=typed, error=error, errors=errors_of(error))  # fmt: skip


@router.post("/rulebook/{rule_id}")
def change(request: Request, conn: Conn, now: Now, who: Who, rule_id: str, typed: Typed) -> Response:
    """Set the site's own figure, or take it back; the motors are judged anew in the background."""
    form = RuleForm.of(typed)
    try:
        act = act_of(typed, who, now)
        if form.clear:
            clear_rule(conn, act, rule_id, form.motor_class)
        else:
            set_rule(conn, act, rule_id, form.motor_class, form.value, form.why)
    except NorvashError as error:
        if status_of(error) == 404 and error.field != "person":
            raise
        return _page(request, conn, rule_id, typed, error)
    request.app.state.catch_up(request.app)
    return go_to(f"/rulebook/{rule_id}")
