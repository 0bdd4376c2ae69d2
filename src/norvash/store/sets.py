"""Sets of brushes, and single brushes renewed while the others of their set stayed."""

import json
from collections.abc import Sequence
from dataclasses import replace
from datetime import datetime

from norvash.core.motor.record import BrushSet, Measured, Renewal, Round
from norvash.store.database import Connection, Row
from norvash.store.seen import Seen, seen_by_round


def add_set(conn: Connection, motor_id: str, fitted: BrushSet, act_id: str) -> None:
    """Keep a newly fitted set."""
    conn.execute(
        """insert into brush_set (id, motor_id, number, fitted_at, fitted_units, fitted_known, sheet_id, part, variant,
                                  nominal_json, act_id)
           values (:id, :motor_id, :number, :at, :units, :known, :sheet_id, :part, :variant, :nominal, :act_id)""",
        {
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


def end_set(conn: Connection, set_id: str, at: datetime, units: float, reason: str) -> None:
    """End a set with its reason."""
    conn.execute(
        "update brush_set set ended_at = :at, ended_units = :units, end_reason = :reason where id = :id",
        {"id": set_id, "at": at.isoformat(), "units": units, "reason": reason},
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
    since: dict[int, float] = {}
    for r in conn.execute(_SETS, {"id": motor_id}):
        set_id, round_id, position, sight, *measured = r[:_MEASURED]
        if set_id not in sets:
            sets[set_id], rounds[set_id] = r, {}
            since = {x.position: x.total_units for x in renewed.get(set_id, ())}
        if round_id is None:
            continue
        own = rounds[set_id]
        if round_id not in own:
            own[round_id] = _empty_round(r, seen.get(round_id, ()))
        if position is not None and own[round_id].total_units >= since.get(position, 0.0):
            length_mm, sd_mm, low_mm, high_mm, lines, doubt, doubt_rule, reading_id = measured
            if sight == "left":
                before = {n: m for n, m in own[round_id].readings.items() if n == position}
                own[round_id] = replace(
                    own[round_id], found={**own[round_id].found, **before}, left=own[round_id].left | {position}
                )
            own[round_id].readings[position] = Measured(
                length_mm=length_mm,
                sd_mm=sd_mm,
                low_mm=low_mm,
                high_mm=high_mm,
                lines=lines,
                doubt=doubt,
                doubt_rule=doubt_rule,
                id=reading_id,
            )
    made = (_set(r, tuple(rounds[i].values()), tuple(renewed.get(i, ()))) for i, r in sets.items())
    return tuple(s.after_renewals() if s.renewed else s for s in made)


# What is read of every row comes first, the reading as `Measured` has it: a name is sought from the left in each row.
_MEASURED = 12
_SETS = """select s.id as set_id, r.id as round_id,
                  g.position_number, g.sight, g.length_mm, g.sd_mm, g.low_mm, g.high_mm, g.lines_seen,
                  case g.doubt_answer when '' then g.doubt else '' end as doubt, g.doubt_rule, g.id as reading_id,
                  r.at as round_at, r.total_units, r.kind, r.finished_at, r.sheet_id,
                  s.sheet_id as fitted_on, s.part, s.variant, s.nominal_json,
                  s.number, s.fitted_at, s.fitted_units, s.fitted_known, s.ended_at, s.ended_units, s.end_reason
           from brush_set s left join round r on r.set_id = s.id
           left join reading g on g.round_id = r.id and g.replaced_by is null and g.sight <> 'asked'
           where s.motor_id = :id order by s.number, r.at, r.seq, g.position_number, g.sight"""


def _empty_round(row: Row, seen: Sequence[Seen]) -> Round:
    found = {(s.position, s.finding.id) for s in seen if s.sight == "found"}
    return Round(
        id=row["round_id"],
        at=datetime.fromisoformat(row["round_at"]),
        total_units=row["total_units"],
        kind=row["kind"],
        finished=row["finished_at"] is not None,
        readings={},
        seen=tuple(dict.fromkeys(s.noted for s in seen)),
        sheet_id=row["sheet_id"] or "",
        seen_left=frozenset((s.position, s.finding.id) for s in seen) - found,
    )


def _set(row: Row, rounds: tuple[Round, ...], renewed: tuple[Renewal, ...]) -> BrushSet:
    ended_at = datetime.fromisoformat(row["ended_at"]) if row["ended_at"] else None
    return BrushSet(
        number=row["number"],
        fitted_at=datetime.fromisoformat(row["fitted_at"]),
        fitted_units=row["fitted_units"],
        fitted_known=bool(row["fitted_known"]),
        ended_at=ended_at,
        ended_units=row["ended_units"],
        end_reason=row["end_reason"] or "",
        rounds=rounds,
        id=row["set_id"],
        renewed=renewed,
        sheet_id=row["fitted_on"] or "",
        part=row["part"],
        variant=row["variant"],
        nominal=frozenset(json.loads(row["nominal_json"])) if row["nominal_json"] != "[]" else frozenset(),
    )


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
