"""Repair or buy as it is told once a sheet is signed."""

from collections.abc import Mapping

from norvash.core.money.here import currency_of
from norvash.core.money.money import shown
from norvash.core.money.said import a_unit, proposed_words
from norvash.core.sheet.records_of_parts import Bill
from norvash.core.visit.ways import retires_on
from norvash.work.reading.sheet_now import SheetNow


def ways_told(page: SheetNow) -> dict[str, object] | None:
    """Return what each way would have cost, which one was proposed and which taken, and why; None without any."""
    now, here = page.visit.ways, currency_of(page.context.rules)
    if now is None:
        return None
    ways = zip(now.places, now.given, now.found.ways, now.found.shares, now.found.at_risk, now.notes, strict=True)
    on = retires_on(page.sheet)
    return {
        "sentence": proposed_words(now.found, here),
        "ways": [
            {
                "name": way.name,
                "parts": [f"{p.name} {shown(p.cost, here)}" for p in way.parts],
                "total": shown(way.total, here),
                "share": "" if share is None else f"{float(share):.1%}",
                "at_risk": "" if at_risk is None else f"{float(at_risk):.1%}",
                "barred": way.barred,
                "prices": _prices(given.record) if isinstance(given.record, Bill) else "",
                "notes": list(notes),
                "per_unit": f"{shown(way.per_unit, here)} {a_unit(way)}" if way.per_unit is not None else "",
                "taken": place == now.taken_place,
            }
            for place, given, way, share, at_risk, notes in ways
        ],
        "person": now.taken.person if now.taken is not None else "",
        "why": now.taken.why if now.taken is not None else "",
        "against": now.against,
        "on": on.isoformat() if on is not None else "",
    }


def _prices(bill: Bill) -> str:
    """Return the day and the source of prices."""
    on = bill.on.isoformat() if bill.on is not None else ""
    return ", ".join(filter(None, ("" if on in bill.said else on, bill.said)))


def ways_lines(told: object) -> list[str]:
    """Return repair or buy as it was told in lines: what is proposed, each way with its total, and which was taken."""
    if not isinstance(told, Mapping):
        return []
    made = [str(told["sentence"])]
    for way in told["ways"]:
        state = f"barred: {way['barred']}" if way["barred"] else "taken" if way["taken"] else ""
        risk = f"{way['at_risk']} of the armature at risk" if way.get("at_risk") else ""
        made.append(", ".join(filter(None, (f"{way['name']}: {way['total']}", way["share"], risk, state))))
    return made
