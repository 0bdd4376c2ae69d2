"""A whole sheet as plain values: what stands on it as found and as left, what was corrected, and its story."""

from datetime import date, datetime

from norvash.core.judging.signing import standing
from norvash.core.sheet.given import Given
from norvash.core.sheet.sheet import Spot
from norvash.core.stages.catalogue import stage_of
from norvash.core.stages.sign import ADDITION
from norvash.store.file.database import Connection
from norvash.store.record import rounds, sheets
from norvash.work.reading.measured_table import values_of
from norvash.work.reading.sheet_now import SheetNow, sheet_now
from norvash.work.told.visit import Plain, visit_told


def sheet_told(conn: Connection, sheet_id: str, today: date) -> Plain:
    """Return a sheet: as it was signed, or with its story so far while it is open.

    Lengths are in mm, values in the SI unit of their field. Raises: NotFound.
    """
    row = sheets.fetch_sheet(conn, sheet_id)
    page = sheet_now(conn, sheet_id, today)
    signed = row.signed if row.signed_at is not None else {}
    so_far = visit_told(conn, page) if row.signed_at is None else None
    return {
        "id": row.id,
        "number": row.number,
        "motor": row.motor_id,
        "kind": row.kind,
        "opened_by": row.person,
        "opened_at": row.at.isoformat(),
        "signed_at": row.signed_at.isoformat() if row.signed_at is not None else None,
        "signed_by": signed.get("person"),
        "signed_as": signed.get("signed_as"),
        "sentence": signed.get("sentence", page.said.sentence),
        "figures": signed.get("figures", [f.as_plain() for f in page.said.figures] if row.signed_at is None else []),
        "grade": page.signed_grade if row.signed_at is not None else page.grade,
        "open": signed.get("open", [h.words for h in page.holds]),
        "why_open": signed.get("why", ""),
        "standing": signed.get("standing", []) if row.signed_at is not None else list(standing(page.visit)),
        "next_look": {"on": signed.get("look_on", page.look.on), "at_units": signed.get("look_at", page.look.at)},
        "visit": so_far if row.signed_at is None else page.told,
        "measured": [v.as_plain() for v in values_of(conn, page)],
        "entries": [
            _entry(f, p, s, g) for (f, p, s), g in sorted(page.sheet.written.items(), key=_at) if f != ADDITION.id
        ],
        "readings": _readings(conn, page),
        "added": [_said(g) for (f, _, _), g in sorted(page.sheet.written.items(), key=_at) if f == ADDITION.id],
    }


def _at(entry: tuple[Spot, Given]) -> datetime:
    return entry[1].at


def _entry(field_id: str, place: int, sight: str, given: Given) -> Plain:
    stage = stage_of(field_id)
    return {
        "id": given.id,
        "stage": stage.id if stage is not None else "",
        "field": field_id,
        "place": place,
        "sight": sight,
        "value_si": given.number,
        **_said(given),
    }


def _said(given: Given) -> Plain:
    said = {"typed": given.typed, "person": given.person, "at": given.at.isoformat()}
    return said | ({"from_file": True} if given.from_file else {})


def _readings(conn: Connection, page: SheetNow) -> list[Plain]:
    """Return the lengths that were read, each in the sight in which it was."""
    labels = {p.number: p.label for p in page.context.positions}
    return [
        {
            "id": g.id,
            "position": g.position_number,
            "label": labels.get(g.position_number, ""),
            "sight": g.sight,
            "typed": g.typed,
            **({"length_mm": g.length_mm} if g.bare_mm is None else {"depth_mm": g.bare_mm}),
            "sd_mm": g.sd_mm,
            "person": g.person,
            "at": g.at.isoformat(),
            **({"from_file": True} if g.from_file else {}),
        }
        for r in rounds.rounds_of(conn, page.row.id)
        for g in rounds.list_sighted(conn, r.id)
    ]
