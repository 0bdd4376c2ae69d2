"""Who is working on this device, and in which light."""

from fastapi import APIRouter, Request
from fastapi.responses import HTMLResponse, Response

from norvash.errors import NorvashError
from norvash.store import people
from norvash.web.answers import errors_of, go_to, page, status_of
from norvash.web.deps import YEAR_S, Conn, Now, Typed, Who, act_of, fresh_id, remember_person
from norvash.work.site import KEYS, choose_keys, join, name_site

router = APIRouter()


def _inside(path: str) -> str:
    """Return a path within this application, the bench for anything else."""
    return path if path.startswith("/") and not path.startswith(("//", "/\\")) and "\\" not in path else "/"


@router.get("/who")
def ask(*, request: Request, conn: Conn, next: str = "/") -> HTMLResponse:  # noqa: A002
    """Ask who is working, and how keys work for them."""
    return page(
        request,
        "who.html",
        area="",
        people=people.list_people(conn),
        next=_inside(next),
        act_id=fresh_id(),
        errors={},
        keys=KEYS,
    )


@router.post("/who")
def choose(*, request: Request, conn: Conn, now: Now, typed: Typed) -> Response:
    """Remember on this device who is working."""
    onward = _inside(typed.get("next", "/"))
    try:
        known = typed.get("person", "")
        person = (
            people.fetch_person(conn, known)
            if known
            else join(conn, fresh_id(), typed.get("name", ""), now, typed.get("answer", ""))
        )
        if typed.get("shop", "").strip():
            name_site(conn, act_of(typed, person, now), typed["shop"])
    except NorvashError as error:
        return page(
            request,
            "who.html",
            status_of(error),
            area="",
            people=people.list_people(conn),
            next=onward,
            act_id=fresh_id(),
            keys=KEYS,
            typed=typed,
            error=error,
            errors=errors_of(error),
        )
    answer = go_to(onward)
    remember_person(answer, person.id)
    return answer


@router.post("/keys")
def keys(*, conn: Conn, now: Now, who: Who, typed: Typed) -> Response:
    """Keep how single keys work for whoever is working."""
    choose_keys(conn, act_of(typed, who, now), typed.get("keys", ""))
    return go_to(_inside(typed.get("next", "/")))


@router.post("/light")
def light(*, typed: Typed) -> Response:
    """Remember on this device whether to show it light or dark."""
    answer = go_to(_inside(typed.get("next", "/")))
    theme = typed.get("theme", "")
    answer.set_cookie("norvash_theme", theme if theme in ("light", "dark") else "", max_age=YEAR_S, samesite="lax")
    return answer
