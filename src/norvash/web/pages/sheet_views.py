"""What is asked of a sheet beside its stages: how new it is, the gauge, its file, the map of bars, the cut to print."""

from fastapi import APIRouter, Request
from fastapi.responses import JSONResponse, Response

from norvash.errors import NotFound
from norvash.exchange.visit_export import export_text
from norvash.store.record import sheets
from norvash.web.served.answers import go_to, page
from norvash.web.served.deps import Conn, Now, Who
from norvash.work.reading.sheet_now import sheet_now

router = APIRouter()


@router.get("/sheets/{sheet_id}/version")
def version(*, request: Request, conn: Conn, now: Now, sheet_id: str, by: str = "") -> JSONResponse:
    """Tell how new the sheet is, what the gauge sent last, and the site's time."""
    sheets.fetch_sheet(conn, sheet_id)
    told = {"version": sheets.version_of(conn, sheet_id), "gauge": request.app.state.gauge.last(by)}
    return JSONResponse(told | {"now": f"{now:%Y-%m-%dT%H:%M:%S.%f}"})


@router.get("/sheets/{sheet_id}/gauge")
def gauge(*, request: Request, conn: Conn, sheet_id: str, by: str = "") -> JSONResponse:
    """Ask the gauge for its value now."""
    sheets.fetch_sheet(conn, sheet_id)
    return JSONResponse(request.app.state.gauge.ask(by))


@router.get("/sheets/{sheet_id}/meter")
def meter(*, request: Request, conn: Conn, sheet_id: str, by: str = "") -> JSONResponse:
    """Ask the meter for the point of the run now."""
    sheets.fetch_sheet(conn, sheet_id)
    return JSONResponse(request.app.state.meter.ask(by))


@router.get("/sheets/{sheet_id}/file")
def as_file(*, conn: Conn, sheet_id: str) -> Response:
    """Give a sheet as the file that plays it."""
    name = f'attachment; filename="sheet-{sheets.fetch_sheet(conn, sheet_id).number}.json"'
    return Response(export_text(conn, sheet_id), media_type="application/json", headers={"Content-Disposition": name})


@router.get("/sheets/{sheet_id}/measured.csv")
def measured_table(*, conn: Conn, now: Now, sheet_id: str) -> Response:
    """Give what was measured on a sheet as a table."""
    from norvash.exchange.measured_csv import measured_csv

    name = f'attachment; filename="sheet-{sheets.fetch_sheet(conn, sheet_id).number}-measured.csv"'
    table = measured_csv(conn, sheet_id, now.date())
    return Response(table, media_type="text/csv; charset=utf-8", headers={"Content-Disposition": name})


@router.get("/sheets/{sheet_id}/cut")
def cut(*, request: Request, conn: Conn, now: Now, who: Who, sheet_id: str) -> Response:
    """Show the cut as a page that goes to the lathe."""
    if who is None:
        return go_to(f"/who?next=/sheets/{sheet_id}/cut")
    from norvash.web.stages.commutator import lathe_page
    from norvash.work.reading.copper_bench import copper_bench

    shown = sheet_now(conn, sheet_id, now.date())
    cut_page = lathe_page(shown, copper_bench(conn, shown))
    return page(request, "cut.html", area="Bench", s=shown, sheet=shown.sheet, motor=shown.context.motor, v=cut_page)


@router.get("/sheets/{sheet_id}/bar-map")
def bars_drawn(*, request: Request, conn: Conn, now: Now, who: Who, sheet_id: str, narrow: str = "") -> Response:
    """Show the bar map alone, for a page or for a phone: the page of the copper asks for it."""
    if who is None:
        return go_to(f"/who?next=/sheets/{sheet_id}/commutator")
    from norvash.web.stages.commutator import map_of
    from norvash.work.reading.copper_bench import copper_bench

    shown = sheet_now(conn, sheet_id, now.date())
    bench = copper_bench(conn, shown)
    mapped = map_of(shown, bench.now, bench.earlier_map)
    if mapped is None:
        raise NotFound("The bars of this motor cannot be mapped yet.", "Give their number on the sheet first.")
    drawn = mapped.drawn(narrow=narrow == "1")
    return page(request, "bar_map.html", area="Bench", sheet=shown.sheet, motor=shown.context.motor, drawn_map=drawn)
