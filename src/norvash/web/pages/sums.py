"""Sums: single calculations without a motor."""

from dataclasses import MISSING, fields

from fastapi import APIRouter, Request
from fastapi.responses import HTMLResponse

from norvash.core.quantities import UNITS
from norvash.core.rules.book import MotorRules
from norvash.core.sums.registry import Sum, find
from norvash.errors import NorvashError
from norvash.web.answers import errors_of, page, status_of
from norvash.web.deps import Conn
from norvash.web.result_table import table_of
from norvash.work.context import rulebook

router = APIRouter()


@router.get("/sums")
def show(request: Request) -> HTMLResponse:
    """Show all sums."""
    from norvash.core.sums.catalogue import SUMS

    return page(request, "sums.html", area="Sums", sums=SUMS.values(), errors={})


def _as_typed(entry: Sum) -> dict[str, str]:
    """Return a sum's example as somebody would type it."""
    return {k: "; ".join(str(x) for x in v) if isinstance(v, list) and not isinstance(v[0], str)
            else " ".join(v) if isinstance(v, list) else f"{v}" for k, v in entry.example.items()}  # fmt: skip


@router.get("/sums/{name}")
def one(request: Request, conn: Conn, name: str) -> HTMLResponse:
    """Show a sum, worked out for what the address holds, or its example."""
    from norvash.core.sums.catalogue import SUMS
    from norvash.work.sums import answer_typed

    entry = find(SUMS, name)
    names = [f.name for f in fields(entry.inputs)]
    typed = {k: v for k, v in request.query_params.items() if k in names}
    is_example = not typed
    typed = typed or _as_typed(entry)
    result: dict[str, object] = {}
    error: NorvashError | None = None
    try:
        result = answer_typed(name, typed, MotorRules(rulebook(conn)))
    except NorvashError as found:
        error = found
    asked = [
        (f.name, f.metadata["ask"], f.default is MISSING, _unit(f.metadata["ask"].dimension))
        for f in fields(entry.inputs)
    ]
    return page(request, "sum.html", status_of(error) if error else 200, area="Sums", entry=entry, asked=asked,
                typed=typed, is_example=is_example, table=table_of(result), advice=result.get("advice") or result.get("note") or "",
                rules=result.get("rules", ()), error=error, errors=errors_of(error))  # fmt: skip


def _unit(dimension: str) -> str:
    return next(iter(UNITS[dimension])) if dimension in UNITS else ""
