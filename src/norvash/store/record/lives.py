"""Lives of findings: what stands on a motor from visit to visit, and what became of it."""

import json
from collections.abc import Iterable, Mapping
from dataclasses import dataclass
from datetime import date, datetime
from types import MappingProxyType

from norvash.core.grades import Grade
from norvash.core.sheet.life import KeptLife, Life, Withdrawn
from norvash.core.sheet.moved import Moved
from norvash.core.sheet.part import COMPLAINT
from norvash.core.sheet.records import PutBy, PutOff
from norvash.core.visit.kept_finding import kept_finding, words_to_keep
from norvash.store.file.database import Connection, Row
from norvash.store.record.moved import moves_of

# The act that withdraws a life: the change on which it rests, else the one that is being written, the newest of all.
_ACT_AT_HAND = """case when :gone then coalesce((select act_id from moved where id = :move),
                                                (select id from act order by seq desc limit 1)) end"""
_NEWEST_ACT = "(select id from act order by seq desc limit 1)"
_LONG_AGO = "0001-01-01"
_TEMPORARY = "repair.temporary"
_STANDING = """
    select l.*, a.at as withdrawn_at, a.seq as withdrawn_seq, p.name as withdrawn_by, fp.name as found_by,
           null as dropped_at, null as set_at, 0 as later, l.rowid as nth
    from life l left join act a on a.id = l.withdrawn_act_id left join person p on p.id = a.person_id
    left join act fa on fa.id = l.found_act_id left join person fp on fp.id = fa.person_id
    where l.motor_id = :id and l.ended_act_id is null
    union all
    select l.*, null, null, null, null, a.at,
           (select max(f.at) from act f where f.motor_id = l.motor_id and f.job = 'fit a new set'), 1, l.rowid
    from life l join act a on a.id = l.ended_act_id
    where l.motor_id = :id and l.state = 'dropped' and l.ended_act_id is not null and l.grade in ('plan', 'change')
      and l.part <> :complaint
      and not exists (select 1 from life n where n.sheet_id in (select id from sheet where motor_id = :id)
                      and n.finding = l.finding and n.position_number = l.position_number and n.rowid > l.rowid)
    order by later, nth"""
_NO_GROUND: Mapping[str, Mapping[str, float | str]] = MappingProxyType({})


def _kept(row: Row, moves: tuple[Moved, ...]) -> KeptLife:
    finding = kept_finding(row["finding"], words=row["words"], grade=row["grade"], part=row["part"], per=row["per"])
    put_off = None
    if row["due_on"]:
        since = date.fromisoformat(row["put_since"]) if row["put_since"] else date.min
        by = PutBy(row["put_by"], since, row["moved"])
        put_off = PutOff(who=row["who"], day=date.fromisoformat(row["due_on"]), part=row["waits_for"], by=by)
    return KeptLife(
        id=row["id"],
        sheet_id=row["sheet_id"] or "",
        position=row["position_number"],
        finding=finding,
        state=row["was"] or "open" if row["state"] == "withdrawn" else row["state"],
        put_off=put_off,
        why=row["why"],
        held_since=datetime.fromisoformat(row["held_since"]) if row["held_since"] else None,
        withdrawn=_withdrawn(row, moves),
        ground=json.loads(row["ground_json"]) if row["ground_json"] is not None else None,
        joined=bool(finding.per) and not row["position_number"] and (not row["per"] or finding.per != "circuit"),
    )


def _withdrawn(row: Row, moves: tuple[Moved, ...]) -> Withdrawn | None:
    if row["state"] != "withdrawn":
        return None
    at = datetime.fromisoformat(row["withdrawn_at"] or _LONG_AGO)
    return Withdrawn(
        at=at,
        seq=row["withdrawn_seq"] or 0,
        person=row["withdrawn_by"] or "",
        why=row["withdrawn_why"],
        found_by=row["found_by"] or "",
        moves=moves,
        free=bool(row["free"]),
    )


def list_standing(conn: Connection, motor_id: str) -> tuple[KeptLife, ...]:
    """Return the lives of a motor that have not ended, in the order in which they began, then what was dropped on a
    signed sheet though it stood: it comes up at the next call.
    """
    rows = conn.execute(_STANDING, {"id": motor_id, "complaint": COMPLAINT.id}).fetchall()
    kept = ((r, _kept(r, moves_of(conn, r["id"]) if r["state"] == "withdrawn" else ())) for r in rows)
    return tuple(k for r, k in kept if r["dropped_at"] is None or _comes_up(k, r))


def _comes_up(kept: KeptLife, row: Row) -> bool:
    """Tell whether what was dropped comes up again: it did not go with the set that it was on."""
    return kept.finding.known and not ("of-brush" in kept.finding.kinds and (row["set_at"] or "") > row["dropped_at"])


@dataclass(frozen=True, slots=True, kw_only=True)
class PutOffRow:
    """One life that waits for somebody, on its motor: what, its state, who by when, since when, for which part."""

    life_id: str
    motor_id: str
    tag: str
    name: str
    place: str
    what: str
    grade: Grade
    state: str
    who: str
    due_on: date | None
    since: date | None
    waits_for: str
    temporary: bool
    moved: int


def list_put_off(conn: Connection, most: int) -> list[PutOffRow]:
    """Return what was put off, waits for a part, was repaired for a while, or stayed open at a signature with nobody's
    name, of all motors in use, the earliest day first.
    """
    rows = conn.execute(
        """select m.tag, m.name, m.place, l.* from motor m
           cross join life l on l.motor_id = m.id and l.ended_act_id is null
           left join sheet s on s.id = l.sheet_id
           where m.retired_at is null and l.state in ('put off', 'open', 'done not proven')
           and l.grade <> 'watch' and (l.due_on is not null or l.finding = ? or s.signed_at is not null)
           order by l.due_on is null, l.due_on, m.tag limit ?""",
        (_TEMPORARY, most),
    )
    return [
        PutOffRow(
            life_id=r["id"],
            motor_id=r["motor_id"],
            tag=r["tag"],
            name=r["name"],
            place=r["place"],
            what=r["words"],
            grade=r["grade"],
            state=r["state"],
            who=r["who"],
            due_on=date.fromisoformat(r["due_on"]) if r["due_on"] else None,
            since=date.fromisoformat(r["put_since"]) if r["put_since"] else None,
            waits_for=r["waits_for"],
            temporary=r["finding"] == _TEMPORARY,
            moved=r["moved"],
        )
        for r in rows
    ]


def motors_standing(conn: Connection, scope: str, scope_id: str, rule_id: str = "") -> list[str]:
    """Return the motors in a scope, the site, a class, a type or a motor, on which something stands, by tag; with a
    rule those on which something stands that was found by it, or of which the ground was not kept.
    """
    where = {"class": "m.class = :id", "type": "m.type_id = :id", "motor": "m.id = :id"}.get(scope, "1")
    rows = conn.execute(
        f"""select m.id from motor m where {where} and exists
              (select 1 from life l where l.motor_id = m.id and l.ended_act_id is null and l.state <> 'withdrawn'
               and l.grade <> 'watch' and (:rule = '' or l.ground_json is null
                    or exists (select 1 from json_each(l.ground_json) g where g.key = :rule))) order by m.tag""",
        {"id": scope_id, "rule": rule_id},
    )
    return [str(r["id"]) for r in rows]


def begin_lives(
    conn: Connection,
    motor_id: str,
    sheet_id: str,
    lives: Iterable[Life],
    *,
    grounds: Mapping[str, Mapping[str, float | str]] = _NO_GROUND,
    why: str = "",
    free: bool = False,
) -> None:
    """Keep what was found on an open sheet: each finding once at its place, in the words that it has now, and whether
    it was withdrawn by the act at hand: work that is done later does not make it one again.

    `grounds` are what each was judged on, by its finding; `why` is said of what is withdrawn; it is `free` where what
    was wrong at this visit was put back.
    """
    for life in lives:
        if is_news(life, sheet_id):
            life_at = life.id_on(sheet_id)
            gone = life.state == "withdrawn"
            conn.execute(
                f"""insert into life (id, motor_id, sheet_id, position_number, per, finding, part, grade, words, state,
                                     who, why, withdrawn_act_id, withdrawn_why, free, ground_json, found_act_id)
                   values (:id, :motor_id, :sheet_id, :position, :per, :finding, :part, :grade, :words, :state, '', '',
                           {_ACT_AT_HAND}, :reason, :free, :ground, {_NEWEST_ACT})
                   on conflict (id) do update set grade = excluded.grade, words = excluded.words,
                       ground_json = case when excluded.state = 'withdrawn' then ground_json
                           else coalesce(excluded.ground_json, ground_json) end,
                       state = case when 'withdrawn' in (state, excluded.state) then excluded.state else state end,
                       withdrawn_act_id = excluded.withdrawn_act_id, withdrawn_why = excluded.withdrawn_why,
                       free = excluded.free""",
                {
                    "id": life_at,
                    "motor_id": motor_id,
                    "sheet_id": sheet_id,
                    "position": life.position,
                    "per": life.finding.per,
                    "finding": life.finding.id,
                    "part": life.finding.part.id,
                    "grade": life.finding.grade,
                    "words": words_to_keep(life.finding),
                    "state": "withdrawn" if gone else "open",
                    "gone": gone,
                    "move": life.moves[-1].id if life.moves else "",
                    "reason": why if gone else "",
                    "free": int(gone and free),
                    "ground": _as_json(grounds.get(life.finding.id)),
                },
            )
            _rest(conn, life_at, life)


def _rest(conn: Connection, life_at: str, life: Life) -> None:
    """Keep on which changes a life rests."""
    conn.executemany(
        "insert or ignore into rest (life_id, moved_id) select :life, id from moved where id = :moved",
        [{"life": life_at, "moved": m.id} for m in life.moves],
    )


def _as_json(ground: Mapping[str, float | str] | None) -> str | None:
    return json.dumps(dict(ground)) if ground is not None else None


def is_news(life: Life, sheet_id: str) -> bool:
    """Tell whether a finding of a sheet is new, in other words, withdrawn, softened, or found again after that."""
    kept, finding = life.kept, life.finding
    if kept is None:
        return True
    known = (kept.finding.words, kept.finding.grade, kept.withdrawn is not None)
    now = (finding.words, finding.grade, life.state == "withdrawn")
    return kept.sheet_id == sheet_id and (known != now or life.then is not None)


def keep_lives(conn: Connection, before: Iterable[KeptLife], after: Iterable[KeptLife], act_id: str) -> None:
    """Keep what became of lives beside a sheet: those that are left out have ended, proven."""
    now = {k.id: k for k in after}
    for kept in before:
        if kept.id not in now:
            conn.execute(
                "update life set state = 'proven', ended_act_id = :act where id = :id", {"id": kept.id, "act": act_id}
            )
        elif now[kept.id].state != kept.state:
            conn.execute("update life set state = :state where id = :id", {"id": kept.id, "state": now[kept.id].state})


def _was(life: Life) -> str:
    """Return the state that a withdrawn life had, should it come back."""
    if life.state != "withdrawn":
        return ""
    return life.kept.state if life.kept is not None else "open"


def sign_lives(conn: Connection, sheet_id: str, lives: Iterable[Life], act_id: str) -> None:
    """Keep what has become of every finding when a sheet is signed: what stands goes on as grave as it is now, the rest
    ends.
    """
    for life in lives:
        was = _was(life)
        put_off = life.put_off if "put off" in (life.state, was) else life.waits_for
        by = put_off.by if put_off is not None else PutBy()
        goes_on = life.stands or bool(life.state == "withdrawn" and life.moves)
        ended = {"sheet": None, "act": None} if goes_on else {"sheet": sheet_id, "act": act_id}
        _rest(conn, life.id_on(sheet_id), life)
        conn.execute(
            """update life set grade = :grade, words = :words, state = :state, who = :who, due_on = :due_on, why = :why,
                      put_by = :by, put_since = :since, moved = :moved, waits_for = :part, held_since = null,
                      was = :was, withdrawn_act_id = case :state when 'withdrawn' then
                          coalesce(withdrawn_act_id, :by_act) end,
                      ended_sheet_id = :sheet, ended_act_id = :act
               where id = :id""",
            {
                "id": life.id_on(sheet_id),
                "grade": life.finding.grade,
                "words": words_to_keep(life.finding),
                "state": life.state,
                "who": put_off.who if put_off is not None else "",
                "due_on": put_off.day.isoformat() if put_off is not None else None,
                "by": by.person,
                "since": by.since.isoformat() if by.person else None,
                "moved": by.moved,
                "part": put_off.part if put_off is not None else "",
                "why": life.why,
                "was": was,
                "by_act": act_id,
                **ended,
            },
        )
