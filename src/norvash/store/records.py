"""What belongs to an entry, as it is kept: words and a small table of texts, written and read here only."""

from collections.abc import Mapping
from datetime import date

from norvash.core.commutator.bars import MOST_BARS, read_map
from norvash.core.money.money import Currency
from norvash.core.sheet.field import Column, Painted
from norvash.core.sheet.records import (
    Bill,
    CutRecord,
    PaintedMap,
    PermitRecord,
    PutBy,
    PutOff,
    Readings,
    Record,
    SlotTime,
    TaskDone,
    Way,
    Why,
)
from norvash.core.sheet.stages.catalogue import field_of
from norvash.core.sheet.visit.bill import read_bill
from norvash.errors import InputError

# The lengths of a cut by the names that they are kept under.
_CUT = {
    "radial": "radial_mm",
    "sunk": "sunk_radial_mm",
    "before": "before_diameter_mm",
    "after": "after_diameter_mm",
    "least": "least_diameter_mm",
    "gap": "holder_gap_radial_mm",
    "slot": "slot_depth_radial_mm",
}


def kept(record: Record | None) -> dict[str, str]:
    """Return what belongs to an entry as it is kept beside its word; a column and a map are kept as the word itself."""
    made: dict[str, str] = {}
    match record:
        case CutRecord():
            lengths = {key: getattr(record, name) for key, name in _CUT.items()}
            made = {key: f"{mm:.6g}" for key, mm in lengths.items() if mm is not None}
        case PermitRecord():
            made = {"who": record.who, "barriers": record.barriers, "minutes": f"{record.minutes:g}"}
            made |= {"turns": record.turns} if record.turns else {}
            made |= {"volts": f"{record.volts:g}"} if record.volts is not None else {}
        case PutOff():
            made = {"who": record.who, "day": record.day.isoformat()}
            made |= {"part": record.part} if record.part else {}
            made |= {"by": record.by.person, "since": record.by.since.isoformat()} if record.by.person else {}
            made |= {"moved": str(record.by.moved)} if record.by.moved else {}
        case Bill():
            made = _bill(record)
        case TaskDone():
            took = {} if record.minutes is None else {"took": f"{record.minutes:g}"}
            made = {**took, "parts": record.parts}
        case Why() | Way() | SlotTime():
            made = _one(record)
    return made


def _one(record: Why | Way | SlotTime) -> dict[str, str]:
    """Return what is kept as one text."""
    if isinstance(record, Why):
        return {"why": record.why}
    return {"way": record.task} if isinstance(record, Way) else {"estimated": f"{record.estimated_min:g}"}


def _bill(record: Bill) -> dict[str, str]:
    unit = Currency().unit
    parts = (f"{p.name} {p.price / unit:.2f}{f' x {p.pieces}' if p.pieces > 1 else ''}" for p in record.parts)
    amounts = {"rate": record.labour_rate, "freight": record.freight or None}
    made = {"bill": "; ".join(parts)} | {n: f"{a / unit:.2f}" for n, a in amounts.items() if a is not None}
    made |= {n: f"{float(x):.9g}" for n, x in (("hours", record.labour_h), ("life", record.life)) if x is not None}
    made |= {n: f"{float(x):.9%}" for n, x in (("tax", record.tax), ("redo", record.redo)) if x}
    return made | ({"said": record.said} if record.said else {})


def record_of(field_id: str, word: str, more: Mapping[str, str]) -> Record | None:
    """Return what belongs to an entry that was kept, None where nothing does."""
    field = field_of(field_id)
    if isinstance(field, Column):
        return Readings(tuple(None if x == "-" else float(x) for x in word.split(";"))) if word else None
    if isinstance(field, Painted):
        return _map_of(word) if word else None
    return _of_texts(more)


def _map_of(word: str) -> PaintedMap | None:
    """Return a map that was kept, None for one that cannot be read any more: the stage then says so."""
    try:
        return PaintedMap(read_map(word, MOST_BARS))
    except InputError:
        return None


def _of_texts(more: Mapping[str, str]) -> Record | None:
    if "bill" in more:
        return read_bill(more, Currency())
    if "radial" in more:
        return CutRecord(**{_CUT[key]: float(text) for key, text in more.items() if key in _CUT})
    if "minutes" in more:
        volts = float(more["volts"]) if "volts" in more else None
        return PermitRecord(more["who"], more["barriers"], float(more["minutes"]), more.get("turns", ""), volts)
    if "day" in more:
        since = date.fromisoformat(more["since"]) if "since" in more else date.min
        by = PutBy(more.get("by", ""), since, int(more.get("moved", "0")))
        return PutOff(more["who"], date.fromisoformat(more["day"]), more.get("part", ""), by)
    if "parts" in more:
        return TaskDone(float(more["took"]) if "took" in more else None, more["parts"])
    return _of_one(more)


def _of_one(more: Mapping[str, str]) -> Record | None:
    """Return what one text says."""
    if "estimated" in more:
        return SlotTime(float(more["estimated"]))
    if "way" in more:
        return Way(more["way"])
    return Why(more["why"]) if "why" in more else None
