"""Sets of brushes, and single brushes renewed while the others of their set stayed."""

import json
from collections.abc import Mapping, Sequence
from dataclasses import replace
from datetime import date, datetime

from norvash.core.record.brushes import BrushSeen
from norvash.core.record.rounds import ReadAs, read_all, seen_in
from norvash.core.state.motor_state import BrushSet, Renewal
from norvash.core.state.round import Measured, Round
from norvash.store.file.database import Connection, Row
from norvash.store.record.seen import seen_by_round


def add_set(conn: Connection, motor_id: str, fitted: BrushSet, act_id: str) -> None:
    """Keep a newly fitted set."""
    conn.execute(
        """insert into brush_set (id, motor_id, number, fitted_at, fitted_units, fitted_known, span_first_on,
                                  span_last_on, span_low_units, span_high_units, ended_at, ended_units, end_reason,
                                  sheet_id, part, variant, nominal_json, noted, lasted, gone_share, act_id)
           values (:id, :motor_id, :number, :at, :units, :known, :first_on, :last_on, :low, :high, :ended_at,
                   :ended_units, :reason, :sheet_id, :part, :variant, :nominal, :noted, :lasted, :gone, :act_id)""",
        {
            **_span(fitted),
            "ended_at": fitted.ended_at.isoformat() if fitted.ended_at else None,
            "ended_units": fitted.ended_units,
            "reason": fitted.end_reason if fitted.ended_at else None,
            "noted": int(fitted.noted),
            "lasted": fitted.lasted,
            "gone": fitted.gone_share,
            "id": fitted.id,
            "motor_id": motor_id,
            "number": fitted.number,
            "at": fitted.fitted_at.isoformat(),
            "units": fitted.fitted_units,
            "known": int(fitted.fitted_known),
            "sheet_id": fitted.sheet_id or None,
            "part": fitted.part,
            "variant": fitted.variant,
            "nominal": json.dumps(sorted(fitted.nominal)),
            "act_id": act_id,
        },
    )


def _span(fitted: BrushSet) -> dict[str, object]:
    days, units = fitted.span_on or (None, None), fitted.span_units or (None, None)
    return {
        "first_on": days[0].isoformat() if days[0] else None,
        "last_on": days[1].isoformat() if days[1] else None,
        "low": units[0],
        "high": units[1],
    }


def change_fitting(conn: Connection, fitted: BrushSet) -> None:
    """Keep since when a set has run, in place of what stood there."""
    conn.execute(
        """update brush_set set fitted_at = :at, fitted_units = :units, fitted_known = :known,
               span_first_on = :first_on, span_last_on = :last_on, span_low_units = :low,
               span_high_units = :high, nominal_json = :nominal where id = :id""",
        {
            **_span(fitted),
            "id": fitted.id,
            "at": fitted.fitted_at.isoformat(),
            "units": fitted.fitted_units,
            "known": int(fitted.fitted_known),
            "nominal": json.dumps(sorted(fitted.nominal)),
        },
    )


def least_number(conn: Connection, motor_id: str) -> int:
    """Return the least number that a motor's sets have, those that were taken back included; 1 without any."""
    row = conn.execute("select min(number) from brush_set where motor_id = :id", {"id": motor_id}).fetchone()
    return 1 if row[0] is None else int(row[0])


def end_set(conn: Connection, ended: BrushSet) -> None:
    """End a set with its reason."""
    conn.execute(
        "update brush_set set ended_at = :at, ended_units = :units, end_reason = :reason where id = :id",
        {
            "id": ended.id,
            "at": ended.ended_at.isoformat() if ended.ended_at is not None else None,
            "units": ended.ended_units,
            "reason": ended.end_reason,
        },
    )


def nominal_of(conn: Connection, set_id: str) -> frozenset[int]:
    """Return the positions of a set of which the new length was taken from the part and not measured."""
    row = conn.execute("select nominal_json from brush_set where id = :id", {"id": set_id}).fetchone()
    return frozenset(json.loads(row["nominal_json"])) if row is not None else frozenset()


def list_sets(conn: Connection, motor_id: str) -> tuple[BrushSet, ...]:
    """Return all sets ever fitted, each with its rounds and readings that count."""
    seen, renewed = seen_by_round(conn, motor_id), list_renewals(conn, motor_id)
    sets: dict[str, Row] = {}
    rounds: dict[str, dict[str, Round]] = {}
    read: dict[str, list[ReadAs]] = {}
    for r in conn.execute(_SETS, {"id": motor_id}):
        set_id, round_id, position, sight, *measured = r[:_MEASURED]
        if set_id not in sets:
            sets[set_id], rounds[set_id] = r, {}
        if round_id is None:
            continue
        if round_id not in rounds[set_id]:
            rounds[set_id][round_id], read[round_id] = _unread_round(r, seen.get(round_id, ())), []
        if position is not None:
            read[round_id].append((position, sight, Measured(**dict(zip(_READ, measured, strict=True)))))
    return tuple(_with_rounds(_set(r, tuple(renewed.get(i, ()))), rounds[i], read) for i, r in sets.items())


def _with_rounds(brush_set: BrushSet, rounds: Mapping[str, Round], read: Mapping[str, list[ReadAs]]) -> BrushSet:
    """Return a set with its rounds, each as its readings make it."""
    return replace(brush_set, rounds=tuple(read_all(r, brush_set, read[i]) for i, r in rounds.items()))


# What is read of every row comes first, the reading as `Measured` has it: a name is sought from the left in each row.
_READ = tuple(Measured.__dataclass_fields__)
_MEASURED = 4 + len(_READ)
_SETS = """select s.id as set_id, r.id as round_id,
                  g.position_number, g.sight, g.length_mm, g.sd_mm, g.low_mm, g.high_mm, g.lines_seen,
                  case g.doubt_answer when '' then g.doubt else '' end as doubt, g.doubt_rule, g.id as reading_id,
                  g.bare_mm, g.method, g.reference_mm,
                  case when g.doubt_answer like 'swapped %' then cast(substr(g.doubt_answer, 9) as integer) else 0 end,
                  r.at as round_at, r.total_units, r.kind, r.finished_at, r.sheet_id,
                  s.sheet_id as fitted_on, s.part, s.variant, s.nominal_json,
                  s.number, s.fitted_at, s.fitted_units, s.fitted_known, s.ended_at, s.ended_units, s.end_reason,
                  s.span_first_on, s.span_last_on, s.span_low_units, s.span_high_units, s.noted as set_noted, s.lasted,
                  s.gone_share, r.noted, r.measured_by,
                  r.shortest or exists (select 1 from entry e where e.sheet_id = r.sheet_id
                      and e.field = 'shortest-only' and e.word = 'yes' and e.replaced_by is null) as shortest
           from brush_set s left join round r on r.set_id = s.id and r.struck_act_id is null
           left join reading g on g.round_id = r.id and g.replaced_by is null and g.sight <> 'asked'
           where s.motor_id = :id and s.struck_act_id is null
           order by max(s.number, 0), s.fitted_units, s.number, r.at, r.seq, g.position_number, g.sight"""


def _unread_round(row: Row, seen: Sequence[BrushSeen]) -> Round:
    """Return a round with what was seen in it, before anything is read."""
    made = Round(
        id=row["round_id"],
        at=datetime.fromisoformat(row["round_at"]),
        total_units=row["total_units"],
        kind=row["kind"],
        finished=row["finished_at"] is not None,
        readings={},
        sheet_id=row["sheet_id"] or "",
        noted=bool(row["noted"]),
        by=row["measured_by"],
        shortest=bool(row["shortest"]),
    )
    for each in seen:
        made = seen_in(made, each.position, each.finding, each.sight)
    return made


def _set(row: Row, renewed: tuple[Renewal, ...]) -> BrushSet:
    ended_at = datetime.fromisoformat(row["ended_at"]) if row["ended_at"] else None
    return BrushSet(
        number=row["number"],
        fitted_at=datetime.fromisoformat(row["fitted_at"]),
        fitted_units=row["fitted_units"],
        fitted_known=bool(row["fitted_known"]),
        ended_at=ended_at,
        ended_units=row["ended_units"],
        end_reason=row["end_reason"] or "",
        rounds=(),
        id=row["set_id"],
        renewed=renewed,
        sheet_id=row["fitted_on"] or "",
        part=row["part"],
        variant=row["variant"],
        nominal=frozenset(json.loads(row["nominal_json"])) if row["nominal_json"] != "[]" else frozenset(),
        span_on=_days(row),
        span_units=None if row["span_low_units"] is None else (row["span_low_units"], row["span_high_units"]),
        noted=bool(row["set_noted"]),
        lasted=row["lasted"],
        gone_share=row["gone_share"],
    )


def _days(row: Row) -> tuple[date, date] | None:
    if row["span_first_on"] is None:
        return None
    return date.fromisoformat(row["span_first_on"]), date.fromisoformat(row["span_last_on"])


def list_renewals(conn: Connection, motor_id: str) -> dict[str, list[Renewal]]:
    """Return the renewals of a motor's sets, by set, in order."""
    found: dict[str, list[Renewal]] = {}
    rows = conn.execute(
        """select n.* from renewal n join brush_set s on s.id = n.set_id where s.motor_id = :id
           order by n.total_units, n.at""",
        {"id": motor_id},
    )
    for r in rows:
        made = Renewal(r["position_number"], r["total_units"], r["length_mm"], r["sd_mm"], r["sheet_id"] or "")
        found.setdefault(r["set_id"], []).append(made)
    return found


def add_renewal(conn: Connection, set_id: str, at: datetime, renewal: Renewal, act_id: str) -> None:
    """Keep that one brush of a set was renewed."""
    conn.execute(
        """insert into renewal (set_id, position_number, at, total_units, length_mm, sd_mm, sheet_id, act_id)
           values (:set_id, :position, :at, :units, :length, :sd, :sheet_id, :act_id)""",
        {
            "set_id": set_id,
            "position": renewal.position,
            "at": at.isoformat(),
            "units": renewal.total_units,
            "length": renewal.length_mm,
            "sd": renewal.sd_mm,
            "sheet_id": renewal.sheet_id or None,
            "act_id": act_id,
        },
    )
