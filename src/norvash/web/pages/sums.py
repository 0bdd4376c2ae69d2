"""Sums: single calculations without a motor."""

from collections.abc import Mapping
from dataclasses import MISSING, fields
from typing import Any

from fastapi import APIRouter, Request
from fastapi.responses import HTMLResponse, Response

from norvash.core.rules.book import MotorRules
from norvash.core.sums.registry import find
from norvash.core.text.quantities import UNITS
from norvash.core.text.rows import rows_typed
from norvash.drawing.svg import Drawing
from norvash.errors import NorvashError, NotFound
from norvash.web.result_table import table_of
from norvash.web.served.answers import errors_of, page, status_of
from norvash.web.served.deps import Conn
from norvash.work.reading.rulebook import rulebook

router = APIRouter()


@router.get("/sums")
def show(*, request: Request) -> HTMLResponse:
    """Show all sums."""
    from norvash.core.sums.catalogue import GROUPS, SUMS
    from norvash.web.drawn.sums import is_drawn

    numbers = {name: i for i, name in enumerate(SUMS, start=1)}
    return page(request, "sums.html", area="Sums", groups=GROUPS, numbers=numbers, is_drawn=is_drawn, errors={})


def as_typed(given: Mapping[str, Any]) -> dict[str, str]:
    """Return a sum's inputs as somebody would type them."""
    return {k: _one_as_typed(v) for k, v in given.items()}


def _one_as_typed(value: Any) -> str:
    if isinstance(value, bool):
        return "yes" if value else "no"
    if not isinstance(value, list):
        return str(value)
    if isinstance(value[0], dict):
        return rows_typed(value)
    if isinstance(value[0], list):
        return " | ".join(_one_as_typed(row) for row in value)
    return "; ".join("-" if x is None else str(x) for x in value) if not isinstance(value[0], str) else " ".join(value)


@router.get("/sums/{name}/small.svg")
def small(*, conn: Conn, name: str) -> Response:
    """Return what a sum draws of its example, as a picture of its own for the list."""
    from norvash.core.sums.catalogue import SUMS
    from norvash.web.drawn.sums import PHONE, sum_drawing
    from norvash.work.pages.sums import work_out

    rules = MotorRules(rulebook(conn))
    inputs, worked = work_out(name, find(SUMS, name).example, rules)
    drawing = sum_drawing(name, inputs, worked, rules, PHONE)
    if drawing is None:
        raise NotFound("This sum draws nothing of its example.", "Open it; its answer stands in words.")
    return Response(drawing.file(), media_type="image/svg+xml", headers={"Cache-Control": "private, max-age=3600"})


@router.get("/sums/{name}")
def one(*, request: Request, conn: Conn, name: str) -> HTMLResponse:
    """Show a sum, worked out for what the address holds, or its example."""
    from norvash.core.sums.catalogue import SUMS
    from norvash.web.drawn.copper import painted_words
    from norvash.web.drawn.sums import PHONE, WIDE, sum_drawing
    from norvash.work.pages.sums import work_out_typed

    entry = find(SUMS, name)
    names = {known: f.name for f in fields(entry.inputs) for known in (f.name, *f.metadata["ask"].also)}
    typed = {names[k]: " ".join(request.query_params.getlist(k)).strip() for k in request.query_params if k in names}
    is_example = not typed
    typed = {**_answered(entry.inputs), **(typed or as_typed({names[k]: v for k, v in entry.example.items()}))}
    worked: Any = None
    drawing: Drawing | None = None
    narrow: Drawing | None = None
    rules = MotorRules(rulebook(conn))
    error: NorvashError | None = None
    painted = ""
    try:
        inputs, worked = work_out_typed(name, typed, rules)
        painted = painted_words(inputs) if name == "bar-map" else ""
        drawing, narrow = (sum_drawing(name, inputs, worked, rules, width) for width in (WIDE, PHONE))
    except NorvashError as found:
        error = found
    asked = [
        (
            f.name,
            f.metadata["ask"],
            f.default is MISSING,
            _unit(f.metadata["ask"].dimension),
            "list" in str(f.type),
            f.default is None,
            "" if f.default is MISSING or f.default is None else f.default,
        )
        for f in fields(entry.inputs)
    ]
    table = table_of(worked) if worked is not None else []
    advice = getattr(worked, "advice", "") or getattr(worked, "note", "") or " ".join(table[0] if table else ())
    return page(
        request,
        "sum.html",
        status_of(error) if error else 200,
        area="Sums",
        entry=entry,
        asked=asked,
        typed=typed,
        is_example=is_example,
        painted=painted,
        drawing=drawing,
        narrow=narrow,
        table=table,
        advice=advice,
        rules=getattr(worked, "rules", ()),
        error=error,
        errors=errors_of(error),
    )


def _answered(inputs: type[Any]) -> dict[str, str]:
    """Return what stands at the questions that are answered by yes or no unless somebody says otherwise."""
    return {
        f.name: "yes" if f.default else "no"
        for f in fields(inputs)
        if f.metadata["ask"].dimension == "yes" and f.default in (True, False)
    }


def _unit(dimension: str) -> str:
    return next(iter(UNITS[dimension])) if dimension in UNITS else ""
