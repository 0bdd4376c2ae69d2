"""What was put off, and temporary repairs, over all motors: who sees to what by when."""

from fastapi import APIRouter, Request
from fastapi.responses import HTMLResponse

from norvash.web.served.answers import page
from norvash.web.served.deps import Conn, Now
from norvash.work.pages.put_off import register_of

router = APIRouter()
_LONG = 80


@router.get("/put-off")
def show(*, request: Request, conn: Conn, now: Now, person: str = "", place: str = "") -> HTMLResponse:
    """Show the register of what was put off, of one person and place where they are chosen."""
    found = register_of(conn, person[:_LONG], place[:_LONG], now.date())
    return page(request, "put_off.html", area="Bench", found=found, person=person[:_LONG], place=place[:_LONG])
