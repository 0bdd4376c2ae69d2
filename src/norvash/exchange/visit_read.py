"""A visit's file read whole and checked whole, before anything of it is played."""

from collections.abc import Iterator, Mapping
from datetime import datetime
from typing import Any

from pydantic import ValidationError

from norvash.core.kept_names import left_of, name_now
from norvash.core.motor.figure_fields import BY_NAME
from norvash.core.rules.catalogue import RULES, SCHOOLS_BY_ID
from norvash.core.stages.catalogue import field_of, stage_of
from norvash.core.text.alike import looks
from norvash.errors import InputError
from norvash.exchange.json_text import as_text, read_json
from norvash.exchange.said.brushes import Doubt, Measure, See
from norvash.exchange.said.motor import Figure, Register, Rule
from norvash.exchange.said.sheet import Enter, EnterLine, Open, SignSheet, Whole
from norvash.exchange.visit_file import ENTRIES, FORMAT, SCHEMA, Entry, VisitFile

MOST_BYTES = 4_000_000
MOST_ENTRIES = 2000
FIRST_YEAR = 1900
# In the place of a fault the kind of an entry stands after its number.
_AT_KIND = 2


def read_visit(data: bytes) -> VisitFile:
    """Return a visit that was checked whole: its form, its names, its order; nothing of another one is played.

    Raises: InputError with the place.
    """
    given = _plain(data)
    _known_schema(given)
    entries = given.get("entries")
    if isinstance(entries, list):
        if len(entries) > MOST_ENTRIES:
            raise InputError(
                f"The file has {len(entries)} entries; {MOST_ENTRIES} is the most.", "Give one visit a file.", "entries"
            )
        given["entries"] = [{"do": "enter", **e} if isinstance(e, dict) else e for e in entries]
    try:
        made = VisitFile.model_validate(given)
    except ValidationError as error:
        raise _refused(error) from None
    for place, words in _wrong(made):
        raise InputError(words, "Mend the file there; nothing of it was played.", place)
    return made


def _plain(data: bytes) -> dict[str, Any]:
    given = read_json(as_text(data), "Is it cut off? Write it as the documentation says.")
    return given if isinstance(given, dict) else {}


def _known_schema(given: Mapping[str, Any]) -> None:
    if given.get("format") != FORMAT:
        raise InputError("This is not a visit.", f"Its “format” must be “{FORMAT}”.", "format")
    schema = given.get("schema")
    if not isinstance(schema, int) or isinstance(schema, bool) or schema < 1:
        raise InputError("The schema of the file is missing.", f"Its “schema” must be {SCHEMA}.", "schema")
    if schema > SCHEMA:
        raise InputError(
            f"The file is of schema {schema}; this Norvash knows up to {SCHEMA}.", "Play it with a newer one.", "schema"
        )


def _refused(error: ValidationError) -> InputError:
    """Return what the form of a file has wrong, at its place."""
    first = error.errors(include_url=False)[0]
    where = [p for i, p in enumerate(first["loc"]) if not (i == _AT_KIND and p in ENTRIES)]
    at = "".join(f"[{p}]" if isinstance(p, int) else f".{p}" for p in where).lstrip(".")
    return InputError(f"{first['msg']}.", "Mend the file there; nothing of it was played.", at or "file")


def _wrong(visit: VisitFile) -> Iterator[tuple[str, str]]:
    """Yield what a file says that cannot be: names, order, fields; each with its place."""
    yield from _people_wrong(visit)
    yield from (
        (f"motor.figures.{f}", "A motor has no such figure.")
        for f in visit.motor.figures
        if name_now("figure", f) not in BY_NAME
    )
    last: datetime | None = None
    on_sheet = signed = False
    for n, entry in enumerate(visit.entries):
        order = _out_of_order(entry, first=n == 0, on_sheet=on_sheet, signed=signed)
        wrong = _entry_wrong(entry, visit.names, last, order)
        yield from ((f"entries[{n}].{place}", words) for place, words in wrong)
        last = entry.at
        # A signature may be refused by its job, and the sheet then goes on.
        signed = isinstance(entry, SignSheet) or (signed and not isinstance(entry, Open))
        on_sheet = on_sheet or isinstance(entry, Open)


def _people_wrong(visit: VisitFile) -> Iterator[tuple[str, str]]:
    """Yield who is listed twice, and who cannot be told from somebody else in the file."""
    before: dict[str, str] = {}
    for n, name in enumerate(visit.names):
        other = before.setdefault(looks(name), name)
        if name in visit.names[:n]:
            yield f"people[{n}]", "Somebody is listed twice."
        elif other != name and name not in visit.others:
            yield f"people[{n}]", f"“{name}” reads or looks like “{other}”: write one name, or say that it is another."


def _entry_wrong(entry: Entry, names: tuple[str, ...], last: datetime | None, order: str) -> Iterator[tuple[str, str]]:
    yield from _time_wrong(entry, last)
    if entry.by not in names:
        yield "by", f"“{entry.by[:60]}” is not listed under “people”."
    if order:
        yield "do", order
    if isinstance(entry, EnterLine):
        yield from _field_wrong(entry)
    if isinstance(entry, Figure) and name_now("figure", entry.name) not in BY_NAME:
        yield "name", "A motor has no such figure."
    if isinstance(entry, Rule) and name_now("rule", entry.name) not in RULES and entry.name not in SCHOOLS_BY_ID:
        yield "name", "The rulebook has no such rule or school."


def _time_wrong(entry: Entry, last: datetime | None) -> Iterator[tuple[str, str]]:
    if entry.at.tzinfo is not None:
        yield "at", "Times are local, without a zone."
    elif entry.at.year < FIRST_YEAR:
        yield "at", f"{entry.at.isoformat()} lies before {FIRST_YEAR}."
    elif last is not None and entry.at < last:
        yield "at", f"{entry.at.isoformat()} lies before the entry ahead of it, {last.isoformat()}."


_ON_SHEET = (Enter, Measure, See, Doubt, Whole, SignSheet)


def _out_of_order(entry: Entry, *, first: bool, on_sheet: bool, signed: bool) -> str:
    if isinstance(entry, Register) and not first:
        return "A motor is registered first."
    if isinstance(entry, Open) and on_sheet and not signed:
        return "The sheet before it is not signed yet."
    if isinstance(entry, _ON_SHEET) and not on_sheet:
        return f"“{entry.do}” stands on a sheet, and none is open here."
    return ""


def _field_wrong(entry: EnterLine) -> Iterator[tuple[str, str]]:
    if field_of(entry.field) is None:
        if left_of("field", entry.field) is not None:
            return  # it was asked in an earlier version, and is left out when it is played
        yield "field", f"A sheet has no field “{entry.field[:60]}”."
        return
    stage = stage_of(entry.field)
    if entry.stage and (stage is None or stage.id != entry.stage):
        yield "stage", f"“{entry.field}” stands at “{stage.id if stage else ''}”, not at “{entry.stage[:60]}”."
