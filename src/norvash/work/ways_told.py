"""Repair or buy as it is told once a sheet is signed."""

from collections.abc import Mapping

from norvash.core.money.money import Currency, shown
from norvash.core.money.said import proposed_words
from norvash.core.sheet.records import Bill
from norvash.core.sheet.visit.ways import ways_now
from norvash.work.sheet_page import SheetPage


def ways_told(page: SheetPage) -> dict[str, object] | None:
    """Return what each way would have cost, which one was proposed and which taken, and why; None without any."""
    now, here = ways_now(page.sheet, page.visit.lives, page.context.rules), Currency()
    if now is None:
        return None
    ways = zip(now.places, now.given, now.found.ways, now.found.shares, strict=True)
    return {
        "sentence": proposed_words(now.found, here),
        "ways": [
            {
                "name": way.name,
                "parts": [f"{p.name} {shown(p.cost, here)}" for p in way.parts],
                "total": shown(way.total, here),
                "share": "" if share is None else f"{float(share):.1%}",
                "barred": way.barred,
                "prices": given.record.said if isinstance(given.record, Bill) else "",
                "taken": place == now.taken_place,
            }
            for place, given, way, share in ways
        ],
        "person": now.taken.person if now.taken is not None else "",
        "why": now.taken.why if now.taken is not None else "",
        "against": now.against,
    }


def ways_lines(told: object) -> list[str]:
    """Return repair or buy as it was told in lines: what is proposed, each way with its total, and which was taken."""
    if not isinstance(told, Mapping):
        return []
    made = [str(told["sentence"])]
    for way in told["ways"]:
        state = f"barred: {way['barred']}" if way["barred"] else "taken" if way["taken"] else ""
        made.append(", ".join(filter(None, (f"{way['name']}: {way['total']}", way["share"], state))))
    return made
