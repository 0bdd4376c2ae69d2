"""Answers: pages from templates, errors as a page or as JSON, never a bare status."""

from collections.abc import Mapping
from typing import Any
from urllib.parse import urlencode

from fastapi import Request
from fastapi.responses import HTMLResponse, JSONResponse, RedirectResponse, Response
from markupsafe import Markup

from norvash.errors import Conflict, InputError, NeedsAnswer, NorvashError, NotFound, SeveralErrors, Unavailable
from norvash.web.served.fragments import Parts, had
from norvash.web.templating import ENVIRONMENT
from norvash.work.access.attempts import TooSoon, WrongSecret
from norvash.work.act.may import NotAllowed, NotSignedIn

# What is sent to a browser that asks for parts; rows of a table stand in a template, and nowhere else alone.
_SHELL = Markup('<template data-fragment="{}" data-version="{}">{}</template>')


class Kept(dict[str, str]):
    """What was typed, to be shown again; a field that was not sent is empty."""

    def __missing__(self, name: str) -> str:
        return ""


def page(request: Request, template: str, status: int = 200, /, **values: Any) -> HTMLResponse:
    """Return a page, or those of its parts that the browser has not; `area` tells the navigation where it is."""
    values.setdefault("error", None)
    values["typed"] = Kept(values.get("typed", {}))
    values.setdefault("who", getattr(request.state, "who", None))
    values.setdefault("role", getattr(request.state, "role", ""))
    values.setdefault("site", getattr(request.state, "site", ""))
    values.setdefault("today", getattr(request.state, "today", None))
    values.setdefault("path", request.scope["path"])
    values.setdefault("kept_from", request.app.state.pool.watch.state)
    values.setdefault("faults", request.app.state.faults)
    theme = request.cookies.get("norvash_theme", "")
    values.setdefault("parts", Parts(values.get("act_id", "")))
    parts, has = values["parts"], had(request)
    text = ENVIRONMENT.get_template(template).render(
        request=request, theme=theme if theme in ("light", "dark") else "", has=has, **values
    )
    if has is not None and parts.outermost:
        text = _SHELL.format(values["path"], values.get("as_of", ""), Markup(parts.fragment(has)))  # noqa: S704
    return HTMLResponse(text, status, _when_again(request, values["error"]))


def _when_again(request: Request, error: NorvashError | None) -> dict[str, str] | None:
    """Return the header that says when to ask again where the database cannot be used just now, and remember why."""
    if not isinstance(error, Unavailable):
        return None
    request.app.state.trouble = error.state
    return {"Retry-After": str(error.wait_s)}


def go_to(path: str) -> RedirectResponse:
    """Return the redirect after a write, so that a reload reads."""
    return RedirectResponse(path, 303)


def status_of(error: NorvashError) -> int:
    """Return the HTTP status of an error."""
    if isinstance(error, NotFound):
        return 404
    if isinstance(error, Unavailable):
        return 503
    if isinstance(error, NotSignedIn | WrongSecret):
        return 401
    if isinstance(error, NotAllowed):
        return 403
    if isinstance(error, TooSoon):
        return 429
    return 409 if isinstance(error, Conflict | NeedsAnswer) else 422


# What is not written into a page, whoever typed it.
_NEVER_KEPT = ("password", "own-password", "old", "new", "pin")


def without_secrets(typed: Mapping[str, str]) -> dict[str, str]:
    """Return what was typed, for a page that keeps it."""
    return {k: v for k, v in typed.items() if k not in _NEVER_KEPT}


def _address(request: Request) -> str:
    query = request.scope["query_string"].decode("latin-1")
    return f"{request.scope['path']}?{query}" if query else request.scope["path"]


def errors_of(error: NorvashError | None) -> dict[str, NorvashError]:
    """Return an error's parts by field; in their order; what has no field stands under an empty name."""
    if error is None:
        return {}
    found: dict[str, NorvashError] = {}
    for one in error.errors if isinstance(error, SeveralErrors) else [error]:
        found.setdefault(one.field or "", one)
    return found


def moves_ground(error: NorvashError) -> bool:
    """Tell whether an error asks what a change is that would end or soften what was found: on a page of its own."""
    return isinstance(error, NeedsAnswer) and bool(error.listed)


def plain_error(error: NorvashError) -> dict[str, object]:
    """Return an error as the JSON that the API answers with."""
    one: dict[str, object] = {"problem": error.problem, "remedy": error.remedy, "field": error.field}
    if isinstance(error, Unavailable):
        one |= {"state": error.state, "retry_after_s": error.wait_s}
    if isinstance(error, NeedsAnswer):
        one |= {"choices": [{"answer": k, "words": w} for k, w in error.choices], "likely": error.likely}
        one |= {"listed": list(error.listed), "mark": error.mark} if error.listed else {}
    if isinstance(error, InputError) and error.suggestions:
        one["suggestions"] = list(error.suggestions)
    if isinstance(error, SeveralErrors):
        one["errors"] = [plain_error(e) for e in error.errors]
    return one


def wants_json(request: Request) -> bool:
    """Tell whether to answer in JSON."""
    path: str = request.scope["path"]
    return path.startswith("/api/") or path == "/healthz"


def error_answer(request: Request, error: NorvashError, status: int | None = None) -> Response:
    """Return an error as a page or as JSON; a page that nobody signed in may see leads to where one signs in."""
    status = status or status_of(error)
    if isinstance(error, NotSignedIn) and request.method in ("GET", "HEAD") and not wants_json(request):
        return go_to(f"/who?{urlencode({'next': _address(request)})}")
    if wants_json(request):
        return JSONResponse({"error": plain_error(error)}, status, _when_again(request, error))
    if isinstance(error, NotSignedIn):
        typed = without_secrets(getattr(request.state, "typed", {}))
        return page(request, "signed_out.html", status, area="", error=error, errors={}, typed=typed)
    if moves_ground(error):
        typed = without_secrets(request.state.typed)
        return page(request, "moved.html", status, area="", error=error, errors={}, typed=typed)
    return page(request, "error.html", status, area="", error=error, errors={}, status=status)
