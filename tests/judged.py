"""Every judgement of a sheet as lines: what is found in both sights, the signs, the lives with their ground, and what
every stage says.
"""

from collections.abc import Iterator
from datetime import date

from norvash.core.judging.brushes.geometry import geometry
from norvash.core.judging.noted import answered, noted
from norvash.core.sheet.sheet import Sheet
from norvash.core.text.words import figure_words
from norvash.store.file.database import Connection
from norvash.work.reading.sheet_now import SheetNow, sheet_now
from norvash.work.told.says import says_told


def judgements(conn: Connection, sheet_id: str, today: date) -> Iterator[str]:
    """Yield the judgements of a sheet, in the order of the work."""
    page = sheet_now(conn, sheet_id, today)
    yield f"sheet {page.row.number} of {page.context.motor.tag}, {page.row.kind}"
    yield from _found("found", page.sheet.as_found, page)
    if page.sheet.as_found is not page.sheet:
        yield from _found("now", page.sheet, page)
    yield from (f"sign {sign}: {answer}" for sign, answer in sorted(page.signs.items()))
    for x in page.found.lives:
        ground = x.kept.ground if x.kept is not None else None
        named = ", ".join(f"{n} {v if isinstance(v, str) else f'{v:.4g}'}" for n, v in sorted((ground or {}).items()))
        yield f"life {x.finding.id} {x.position} {x.finding.grade}, {x.state}: {x.place}: {x.finding.words} [{named}]"
    yield from (f"says {words}" for words in says_told(conn, page))
    for line in geometry(page.sheet, page.found, page.context.rules):
        yield f"line {line.words} {figure_words(line.value or 0.0)} {line.unit}, {line.basis}, right {line.right}"
    yield from (f"open {h.stage.id}: {h.words}" for h in page.holds)


def _found(sight: str, sheet: Sheet, page: SheetNow) -> Iterator[str]:
    for position, finding in sorted(noted(sheet, page.context.rules), key=lambda n: (n[0], n[1].id)):
        yield f"{sight} {finding.id} {position} {finding.grade}: {finding.words}"
    yield from (f"{sight} answered {name}" for name in sorted(answered(sheet, page.context.rules)))
