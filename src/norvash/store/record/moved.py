"""What was changed of the ground on which motors are judged, kept until it is confirmed or put back."""

import json
from collections.abc import Iterable
from dataclasses import dataclass, replace
from datetime import datetime

from norvash.core.record.record import Motor
from norvash.core.sheet.moved import Moved
from norvash.core.text.words import day_words
from norvash.store.access.signed import account_words
from norvash.store.file.database import Connection, Row

_MOVED = """select m.*, a.at, a.seq, a.played_by is not null and a.played_by <> '' as from_file,
                   p.name as person, coalesce(cp.name, '') as confirmed_by, cp.role as confirmed_role,
                   ca.at as confirmed_at, cp.made_at as confirmer_made_at,
                   (select mp.name from act ma join person mp on mp.id = ma.person_id
                    where ma.job = 'add a person' and ma.result_id = cp.id) as confirmer_made_by,
                   (select json_extract(la.after_json, '$.name') || ', who could confirm it, left on ' || la.at
                    from act la join person lp on lp.id = la.result_id
                    where la.job = 'give a role' and la.at >= a.at and la.result_id <> a.person_id
                      and lp.role = 'viewer' and json_extract(la.after_json, '$.role') = 'viewer'
                      and json_extract(la.before_json, '$.role') <> 'viewer'
                    order by la.seq desc limit 1) as left,
                   not exists (select 1 from secret s join person q on q.id = s.person_id
                               where q.id <> a.person_id and q.role <> 'viewer') as alone
            from moved m join act a on a.id = m.act_id join person p on p.id = a.person_id
            left join act ca on ca.id = m.confirmed_act_id left join person cp on cp.id = ca.person_id"""
# The changes that count for a motor: those since its last signed full sheet, else since its first one, and those on
# which something of it rests.
_OF_MOTOR = """((m.scope = 'site') or (m.scope = 'class' and m.scope_id = :class)
                or (m.scope = 'type' and m.scope_id = :type) or (m.scope = 'motor' and m.scope_id = :motor))"""


def moved_of(row: Row) -> Moved:
    """Return a change as the record has it."""
    return Moved(
        id=row["id"],
        kind=row["kind"],
        name=row["name"],
        scope=row["scope"],
        scope_id=row["scope_id"],
        before=json.loads(row["before_json"]),
        after=json.loads(row["after_json"]),
        answer=row["answer"],
        source=row["source"],
        person=row["person"],
        at=datetime.fromisoformat(row["at"]),
        seq=row["seq"],
        confirmed_by=row["confirmed_by"],
        confirmed_how=_how(row),
        alone=bool(row["alone"]),
        left=_left(row["left"]) if row["alone"] else "",
        from_file=bool(row["from_file"]),
    )


def _how(row: Row) -> str:
    """Return who confirmed a change, in which role and when, empty where nobody has."""
    if not row["confirmed_at"]:
        return ""
    on = day_words(datetime.fromisoformat(row["confirmed_at"]).date())
    words = f"{row['confirmed_by']}, {row['confirmed_role']}, on {on}"
    made_by = row["confirmer_made_by"] if row["confirmer_made_at"] > row["at"] else None
    return words + account_words(made_by, row["confirmer_made_at"], "after the change")


def _left(words: str | None) -> str:
    """Return who could have confirmed a change and left, with the day; empty where nobody did."""
    who, _, at = (words or "").rpartition(" ")
    return f"{who} {day_words(datetime.fromisoformat(at).date())}" if who else ""


def list_unconfirmed(conn: Connection, motor: Motor) -> tuple[Moved, ...]:
    """Return the changes that count for a motor and that nobody has confirmed or put back, in order; a rule of the
    shop's own counts however long it is set.
    """
    rows = conn.execute(
        f"""select * from (select u.*,
                u.at > coalesce((select max(s.signed_at) from sheet s where s.motor_id = :motor and s.kind = 'full'),
                                case u.answer when '' then '9999' end,
                                (select min(s.at) from sheet s where s.motor_id = :motor), '9999')
                or exists (select 1 from rest r join life l on l.id = r.life_id
                           where r.moved_id = u.id and l.motor_id = :motor and l.ended_act_id is null and l.free = 0)
                as lately
            from ({_MOVED} where m.ended_act_id is null and m.confirmed_act_id is null and {_OF_MOTOR}) u)
            where lately or (kind = 'rule' and after_json <> 'null') order by seq""",
        {"motor": motor.id, "class": motor.motor_class, "type": motor.type_id or ""},
    )
    return tuple(replace(moved_of(r), long_set=not r["lately"]) for r in rows)


def list_of_motor(conn: Connection, motor: Motor, most: int) -> list[Moved]:
    """Return the newest changes that something of a motor rests on or rested on, confirmed or not, the newest first."""
    rows = conn.execute(
        f"""{_MOVED} where m.ended_act_id is null and m.id in (
                select r.moved_id from rest r join life l on l.id = r.life_id where l.motor_id = :motor)
            order by a.seq desc limit :most""",
        {"motor": motor.id, "most": most},
    )
    return [moved_of(r) for r in rows]


def moves_of(conn: Connection, life_id: str) -> tuple[Moved, ...]:
    """Return the changes that a life rests on, in order."""
    rows = conn.execute(
        f"""{_MOVED} where m.ended_act_id is null and m.id in (select moved_id from rest where life_id = :id)
            order by a.seq""",
        {"id": life_id},
    )
    return tuple(moved_of(r) for r in rows)


def list_at(conn: Connection, scope: str, scope_id: str) -> dict[tuple[str, str], Moved]:
    """Return what was changed in a scope and is not confirmed, by kind and name."""
    rows = conn.execute(
        f"""{_MOVED} where m.scope = :scope and m.scope_id = :id and m.ended_act_id is null
            and m.confirmed_act_id is null""",
        {"scope": scope, "id": scope_id},
    )
    return {(r["kind"], r["name"]): moved_of(r) for r in rows}


def keep_moves(conn: Connection, moves: Iterable[Moved], act_id: str) -> None:
    """Keep changes; one of what was changed before goes on from what stood first, and ends where that stands again."""
    for m in moves:
        earlier = list_at(conn, m.scope, m.scope_id).get((m.kind, m.name))
        if earlier is not None and earlier.before == m.after:
            conn.execute("update moved set ended_act_id = :act where id = :id", {"act": act_id, "id": earlier.id})
        elif earlier is not None:
            conn.execute(
                """update moved set after_json = :after, answer = :answer, source = :source, act_id = :act
                   where id = :id""",
                {**_said(m), "act": act_id, "id": earlier.id},
            )
        else:
            conn.execute(
                """insert into moved (id, kind, name, scope, scope_id, before_json, after_json, answer, source, act_id)
                   values (:id, :kind, :name, :scope, :scope_id, :before, :after, :answer, :source, :act)""",
                {
                    **_said(m),
                    "id": m.id,
                    "kind": m.kind,
                    "name": m.name,
                    "scope": m.scope,
                    "scope_id": m.scope_id,
                    "before": json.dumps(m.before),
                    "act": act_id,
                },
            )


def _said(m: Moved) -> dict[str, object]:
    return {"after": json.dumps(m.after), "answer": m.answer, "source": m.source}


def confirm(conn: Connection, moved_id: str, act_id: str) -> None:
    """Keep that somebody confirmed a change; lives that rest on nothing else are free of it."""
    conn.execute("update moved set confirmed_act_id = :act where id = :id", {"act": act_id, "id": moved_id})
    conn.execute(
        """update life set free = 1 where id in (select life_id from rest where moved_id = :id)
           and not exists (select 1 from rest r join moved m on m.id = r.moved_id
                           where r.life_id = life.id and m.confirmed_act_id is null and m.ended_act_id is null)""",
        {"id": moved_id},
    )


def name_source(conn: Connection, moved_id: str, source: str) -> None:
    """Keep where a change comes from; one that nobody was asked about is read anew."""
    conn.execute(
        """update moved set source = :source, answer = case answer when '' then 'read' else answer end
           where id = :id""",
        {"id": moved_id, "source": source},
    )


@dataclass(frozen=True, slots=True, kw_only=True)
class FigureMoved:
    """What one act changed of one figure of a motor or its type: what stood there and what stands there, None where
    nothing is stated; `confirmed` by somebody else.
    """

    name: str
    before: str | None
    after: str | None
    person: str
    at: datetime
    confirmed: bool


def list_stated_or_taken(conn: Connection, motor_id: str, names: Iterable[str]) -> list[FigureMoved]:
    """Return every time that one of these figures of a motor or its type was stated where nothing stood, or taken away,
    in order.
    """
    rows = conn.execute(
        """select n.value as name, json_extract(a.before_json, '$.' || n.value) as was,
                  json_extract(a.after_json, '$.' || n.value) as now, p.name as person, a.at,
                  exists (select 1 from moved m where m.name = n.value and m.after_json = 'null'
                          and m.confirmed_act_id is not null
                          and (m.scope = 'motor' and m.scope_id = :motor
                               or m.scope = 'type' and m.scope_id = o.type_id)) as confirmed
           from act a join person p on p.id = a.person_id, json_each(:names) n join motor o on o.id = :motor
           where (a.job = 'change figures' and a.motor_id = :motor or a.job = 'save a type' and a.result_id = o.type_id)
             and (was is null) <> (now is null)
           order by a.seq""",
        {"names": json.dumps([*names]), "motor": motor_id},
    )
    return [
        FigureMoved(
            name=r["name"],
            before=None if r["was"] is None else str(r["was"]),
            after=None if r["now"] is None else str(r["now"]),
            person=r["person"],
            at=datetime.fromisoformat(r["at"]),
            confirmed=bool(r["confirmed"]),
        )
        for r in rows
    ]
