"""The site's own figures in place of the rulebook's defaults."""

from dataclasses import dataclass
from datetime import datetime

from norvash.core.rules.book import Override
from norvash.store.file.database import Connection, Row


@dataclass(frozen=True, slots=True)
class OverrideRow:
    """One override, in force or ended."""

    id: str
    override: Override
    at: datetime
    ended: bool


_OVERRIDE = """select o.*, p.name as person, a.at from rule_override o join act a on a.id = o.act_id
               join person p on p.id = a.person_id"""


def _override(row: Row) -> Override:
    return Override(
        rule_id=row["rule_id"],
        scope=row["scope"],
        scope_id=row["scope_id"],
        value=row["value_in_rule_unit"],
        person=row["person"],
        day=row["at"][:10],
        why=row["why"],
        word=row["word"],
    )


def list_overrides(conn: Connection) -> tuple[Override, ...]:
    """Return the overrides in force."""
    return tuple(_override(r) for r in conn.execute(f"{_OVERRIDE} where o.ended_act_id is null"))


def list_history(conn: Connection, rule_id: str) -> list[OverrideRow]:
    """Return every override that a rule ever had, newest first."""
    rows = conn.execute(f"{_OVERRIDE} where o.rule_id = :id order by a.seq desc", {"id": rule_id})
    return [
        OverrideRow(r["id"], _override(r), datetime.fromisoformat(r["at"]), r["ended_act_id"] is not None) for r in rows
    ]


def end_override(conn: Connection, rule_id: str, scope: str, scope_id: str, act_id: str) -> int:
    """End the override in force, if any; return how many ended."""
    return conn.execute(
        """update rule_override set ended_act_id = :act_id
           where rule_id = :rule_id and scope = :scope and scope_id = :scope_id and ended_act_id is null""",
        {"rule_id": rule_id, "scope": scope, "scope_id": scope_id, "act_id": act_id},
    ).rowcount


def add_override(conn: Connection, override_id: str, override: Override, act_id: str) -> None:
    """Keep a new override."""
    conn.execute(
        """insert into rule_override (id, rule_id, scope, scope_id, value_in_rule_unit, why, word, act_id)
           values (:id, :rule_id, :scope, :scope_id, :value, :why, :word, :act_id)""",
        {
            "id": override_id,
            "rule_id": override.rule_id,
            "scope": override.scope,
            "scope_id": override.scope_id,
            "value": override.value,
            "why": override.why,
            "word": override.word,
            "act_id": act_id,
        },
    )


def rules_seq(conn: Connection) -> int:
    """Return a number that rises with every change of the rulebook."""
    row = conn.execute("select coalesce(max(seq), 0) from act where job = 'change a rule'").fetchone()
    return int(row[0])
