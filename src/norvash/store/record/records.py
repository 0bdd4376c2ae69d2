"""What belongs to an entry, as it is kept: words and a small table of texts, written and read here only."""

from collections.abc import Mapping
from dataclasses import replace
from datetime import date
from functools import lru_cache

from norvash.core.commutator.bars import MOST_BARS, read_map
from norvash.core.money.money import Currency
from norvash.core.money.ways import PartPrice
from norvash.core.running.log_typed import LogPoint
from norvash.core.sheet.field import Column, Painted
from norvash.core.sheet.records import (
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
from norvash.core.sheet.records_of_parts import AddedTask, BackRecord, Bill, OfferRecord, OffRecord, TakenFor
from norvash.core.sheet.records_of_running import RunLog
from norvash.core.stacks.kinds import KINDS, UNKNOWN, Where
from norvash.core.stacks.part import StackPart
from norvash.core.stages.catalogue import field_of
from norvash.core.visit.bill import read_bill
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
            made |= {"rpm": f"{record.rpm:g}", "at_stop": record.at_stop} if record.rpm is not None else {}
        case PutOff():
            made = {"who": record.who, "day": record.day.isoformat()}
            made |= {"part": record.part} if record.part else {}
            made |= {"by": record.by.person, "since": record.by.since.isoformat()} if record.by.person else {}
            made |= {"moved": str(record.by.moved)} if record.by.moved else {}
            made |= {n: t for n, t in (("why", record.why), ("mends", record.mends)) if t}
        case Bill() | TakenFor() | OfferRecord():
            made = _of_buying(record)
        case OffRecord() | BackRecord():
            made = _of_stacks(record)
        case TaskDone() | AddedTask() | RunLog():
            made = _of_work(record)
        case Why() | Way() | SlotTime():
            made = _one(record)
    return made


def _logged(log: RunLog) -> str:
    """Return the points of a log, each with the most volts and amps of its plan: a row of figures each."""
    most = log.most or ((None, None),) * len(log.points)
    rows = zip(log.points, most, strict=True)
    figures = ((p.minute, p.v, p.a, p.rpm, p.sparks, p.c, *limits) for p, limits in rows)
    return ";".join(",".join("" if x is None else f"{x:.9g}" for x in row) for row in figures)


@lru_cache(maxsize=256)
def _log_of(text: str) -> RunLog:
    """Return a log that was kept."""
    points, most = [], []
    for row in text.split(";"):
        minute, v, a, rpm, sparks, c, most_v, most_a = (float(x) if x else None for x in row.split(","))
        seen = None if sparks is None else int(sparks)
        points.append(LogPoint(minute=minute, v=v, a=a, rpm=rpm, sparks=seen, c=c))
        most.append((most_v, most_a))
    return RunLog(points=tuple(points), most=tuple(most))


def _of_buying(record: Bill | TakenFor | OfferRecord) -> dict[str, str]:
    """Return what is kept of a price, of what was taken by it, of a part that is offered."""
    if isinstance(record, Bill):
        return _bill(record)
    if isinstance(record, OfferRecord):
        groups = (("new", record.new), ("old", record.old), ("at", record.place))
        return {f"{which}-{n}": text for which, known in groups for n, text in known.items()}
    day = {"day": record.day.isoformat()} if record.day is not None else {}
    return {"name": record.name, "why": record.why, "prices": record.prices} | day


def _of_work(record: TaskDone | AddedTask | RunLog) -> dict[str, str]:
    """Return what is kept of a task: how long it took with which parts, or is thought to take and what it touches; of a
    run-in its points.
    """
    if isinstance(record, RunLog):
        return {"points": _logged(record)}
    if isinstance(record, TaskDone):
        took = {} if record.minutes is None else {"took": f"{record.minutes:g}"}
        return {**took, "parts": record.parts}
    thought = {} if record.minutes is None else {"expected": f"{record.minutes:g}"}
    return {**thought, "touches": ",".join(record.touches)}


def _of_stacks(record: OffRecord | BackRecord) -> dict[str, str]:
    """Return what is kept of a part that came off or went back."""
    said = record.part if isinstance(record, OffRecord) else record
    made = {"count": "" if said.count is None else str(said.count)}
    made |= {n: f"{x:.9g}" for n, x in (("long", said.long_mm), ("across", said.across_mm)) if x is not None}
    made |= {"size": said.size, "round": said.round, "why": record.why}
    if isinstance(record, BackRecord):
        made |= {"back": "yes", "ends": record.ends}
    else:
        part = record.part
        made |= {"where": part.where, "kind": part.kind, "material": part.material, "name": part.name}
        made |= {"stays": "yes" if part.stays else "", "before": str(record.before or "")}
    return {n: text for n, text in made.items() if text}


def _stacked(more: Mapping[str, str]) -> OffRecord | BackRecord:
    """Return a part that came off or went back."""
    long_mm, across_mm = (float(more[n]) if n in more else None for n in ("long", "across"))
    size, lies, why = more.get("size", ""), more.get("round", ""), more.get("why", "")
    if "back" in more:
        return BackRecord(
            count=int(more["count"]) if "count" in more else None,
            long_mm=long_mm,
            across_mm=across_mm,
            size=size,
            round=lies,
            ends="renewed" if more.get("ends") == "renewed" else "left" if more.get("ends") else "",
            why=why,
        )
    where: Where = "machine" if more["where"] == "machine" else "inside"
    part = StackPart(
        where=where,
        kind=more["kind"] if more["kind"] in KINDS[where] else UNKNOWN[where],
        count=int(more["count"]),
        long_mm=long_mm,
        across_mm=across_mm,
        size=size,
        round=lies,
        material=more.get("material", ""),
        stays="stays" in more,
        name=more.get("name", "") or ("" if more["kind"] in KINDS[where] else more["kind"]),
    )
    return OffRecord(part=part, before=int(more.get("before", "0")), why=why)


def _one(record: Why | Way | SlotTime) -> dict[str, str]:
    """Return what is kept as one text."""
    if isinstance(record, Why):
        return {"why": record.why}
    return {"way": record.task} if isinstance(record, Way) else {"estimated": f"{record.estimated_min:g}"}


def _bill(record: Bill) -> dict[str, str]:
    """Return a bill as it would be typed, with what it was typed by where that is not usual."""

    def money(minor: int) -> str:
        return f"{minor / 10**record.decimals:.{record.decimals}f}"

    def row(part: PartPrice) -> str:
        packs = " or ".join(f"{p.pieces} for {money(p.price)}" for p in part.packs)
        name = f"{part.name}:" if part.name[-1].isdigit() else part.name
        return f"{name} {packs or money(part.price)}{f' x {part.pieces}' if part.pieces > 1 else ''}"

    amounts = {"rate": record.labour_rate, "freight": record.freight, "consumables": record.consumables or None}
    numbers = {"hours": record.labour_h, "downtime": record.downtime_h or None}
    shares = {"tax": record.tax, "redo": record.redo or None, "condition": record.condition}
    texts = {"tax": record.tax_word, "freight": record.freight_word, "said": record.said}
    made = {"bill": "; ".join(row(p) for p in record.parts)}
    made |= {n: money(a) for n, a in amounts.items() if a is not None}
    made |= {n: f"{float(x):.9g}" for n, x in numbers.items() if x is not None}
    made |= {n: f"{float(x):.9%}" for n, x in shares.items() if x is not None}
    made |= {n: text for n, text in texts.items() if text}
    made |= {"life": f"{float(record.life):.9g} {record.life_unit}".strip()} if record.life is not None else {}
    made |= {"on": record.on.isoformat()} if record.on is not None else {}
    return made | ({"decimals": str(record.decimals)} if record.decimals != 2 else {})


def record_of(field_id: str, word: str, more: Mapping[str, str]) -> Record | None:
    """Return what belongs to an entry that was kept, None where nothing does."""
    field = field_of(field_id)
    if isinstance(field, Column):
        return Readings(tuple(None if x == "-" else float(x) for x in word.split(";"))) if word else None
    if isinstance(field, Painted):
        return _map_of(word) if word else None
    if "points" in more:
        return _log_of(more["points"])
    if "touches" in more:
        minutes = float(more["expected"]) if "expected" in more else None
        return AddedTask(minutes=minutes, touches=tuple(filter(None, more["touches"].split(","))))
    return _stacked(more) if "where" in more or "back" in more else _of_texts(more)


def _map_of(word: str) -> PaintedMap | None:
    """Return a map that was kept, None for one that cannot be read any more: the stage then says so."""
    try:
        return PaintedMap(read_map(word, MOST_BARS))
    except InputError:
        return None


def _of_texts(more: Mapping[str, str]) -> Record | None:
    if "bill" in more or "prices" in more or any(name.startswith("new-") for name in more):
        return _bought(more)
    if "radial" in more:
        return CutRecord(**{_CUT[key]: float(text) for key, text in more.items() if key in _CUT})
    if "minutes" in more:
        volts, rpm = (float(more[n]) if n in more else None for n in ("volts", "rpm"))
        return PermitRecord(
            who=more["who"],
            barriers=more["barriers"],
            minutes=float(more["minutes"]),
            turns=more.get("turns", ""),
            volts=volts,
            rpm=rpm,
            at_stop=more.get("at_stop", ""),
        )
    if "day" in more:
        since = date.fromisoformat(more["since"]) if "since" in more else date.min
        by = PutBy(more.get("by", ""), since, int(more.get("moved", "0")))
        day, also = date.fromisoformat(more["day"]), {n: more.get(n, "") for n in ("why", "mends")}
        return PutOff(who=more["who"], day=day, part=more.get("part", ""), by=by, **also)
    if "parts" in more:
        return TaskDone(float(more["took"]) if "took" in more else None, more["parts"])
    return _of_one(more)


def _bought(more: Mapping[str, str]) -> Record:
    """Return what a way costs, what it was taken by, or a part that is offered."""
    if "bill" in more:
        read = read_bill(more, Currency(decimals=int(more.get("decimals", "2"))), date.max)
        return replace(read, on=date.fromisoformat(more["on"]) if "on" in more else None)
    if "prices" in more:
        day = date.fromisoformat(more["day"]) if "day" in more else None
        return TakenFor(name=more.get("name", ""), why=more["why"], day=day, prices=more["prices"])
    new, old, place = (
        {n.removeprefix(which): t for n, t in more.items() if n.startswith(which)} for which in ("new-", "old-", "at-")
    )
    return OfferRecord(new=new, old=old, place=place)


def _of_one(more: Mapping[str, str]) -> Record | None:
    """Return what one text says."""
    if "estimated" in more:
        return SlotTime(float(more["estimated"]))
    if "way" in more:
        return Way(more["way"])
    return Why(more["why"]) if "why" in more else None
