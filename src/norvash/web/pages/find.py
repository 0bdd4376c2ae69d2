"""One box that finds everything: motors, places, types, rules, sums, sheets, and what people wrote on them."""

from fastapi import APIRouter, Request
from fastapi.responses import Response

from norvash.core.rules.catalogue import GROUPS
from norvash.core.rules.schools import SCHOOLS
from norvash.core.text.texts import compared
from norvash.store.record import motors, sheets
from norvash.store.record.places import list_places
from norvash.web.rules_found import RulesSought, rules_found, schools_found
from norvash.web.served.answers import go_to, page
from norvash.web.served.deps import Conn, Now
from norvash.work.pages.bench import register
from norvash.work.reading.rulebook import rulebook

router = APIRouter()
_MOST = 8
# What people wrote is looked through from so many letters on.
_LEAST_SAID = 3


@router.get("/find")
def show(*, request: Request, conn: Conn, now: Now, q: str = "") -> Response:
    """Show all that holds some words, by what it is; a motor's own tag opens it."""
    from norvash.core.sums.catalogue import SUMS

    words = " ".join(q[:80].split())
    tagged = motors.find_tagged(conn, words) if words else None
    if tagged is not None:
        return go_to(f"/motors/{tagged.id}")
    rows = register(conn, words, "", 1, now.date()) if words else []
    parts, sought = [compared(w) for w in words.split()], RulesSought(words=words)
    book, number = rulebook(conn), words.lower().removeprefix("sheet").strip()
    found = {
        "places": list_places(conn, words, _MOST),
        "types": [t for t, _ in motors.list_types(conn) if compared(words) in compared(t.name)][:_MOST],
        "rules": [book.figure(r.id) for _, s in rules_found(GROUPS, sought, {}, {}) for _, rules in s for r in rules][
            :_MOST
        ],
        "schools": schools_found(SCHOOLS, sought, {})[:_MOST],
        "sums": [s for s in SUMS.values() if all(w in compared(f"{s.title} {s.words}") for w in parts)][:_MOST],
        "sheets": sheets.list_numbered(conn, int(number), _MOST) if number.isdecimal() and len(number) < _MOST else [],
        "said": sheets.list_saying(conn, words, _MOST) if len(words) >= _LEAST_SAID else [],
    }
    return page(
        request,
        "find.html",
        area="",
        q=words,
        rows=rows[:_MOST],
        more=len(rows) > _MOST,
        found=found if words else dict.fromkeys(found, ()),
        errors={},
    )
