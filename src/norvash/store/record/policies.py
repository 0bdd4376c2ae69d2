"""Policies of types and motors, and the days on which the house is dark."""

import json
from collections.abc import Mapping
from datetime import date

from norvash.core.state.policy import Policy
from norvash.core.use.season import Window
from norvash.errors import NotFound
from norvash.store.file.database import Connection, Row

_NO_POLICY = ("This policy does not hold any more.", "Look at the policies as they are now.")


def list_policies(conn: Connection, motor_id: str, type_id: str | None) -> tuple[Policy, ...]:
    """Return the policies that hold for a motor: its type's and its own."""
    rows = conn.execute(
        """select id, scope, kind, name, value_json from policy where struck_act_id is null
           and ((scope = 'motor' and scope_id = :motor_id) or (scope = 'type' and scope_id = :type_id))
           order by rowid""",
        {"motor_id": motor_id, "type_id": type_id},
    )
    return tuple(_policy(r) for r in rows)


def _policy(row: Row) -> Policy:
    return Policy(row["id"], row["kind"], row["name"], json.loads(row["value_json"]), row["scope"] == "type")


def add_policy(
    conn: Connection,
    policy_id: str,
    scope: str,
    *,
    scope_id: str,
    kind: str,
    name: str,
    figures: Mapping[str, object],
    act_id: str,
) -> None:
    """Keep a new policy."""
    conn.execute(
        """insert into policy (id, scope, scope_id, kind, name, value_json, act_id)
           values (:id, :scope, :scope_id, :kind, :name, :value, :act_id)""",
        {
            "id": policy_id,
            "scope": scope,
            "scope_id": scope_id,
            "kind": kind,
            "name": name,
            "value": json.dumps(figures),
            "act_id": act_id,
        },
    )


def fetch_policy(conn: Connection, policy_id: str) -> tuple[str, str, Policy]:
    """Return a policy that holds, with its scope and the motor or type.

    Raises: NotFound for one that does not hold.
    """
    row = conn.execute(
        "select id, scope, scope_id, kind, name, value_json from policy where id = :id and struck_act_id is null",
        {"id": policy_id},
    ).fetchone()
    if row is None:
        raise NotFound(*_NO_POLICY)
    return row["scope"], row["scope_id"], _policy(row)


def scope_of(conn: Connection, policy_id: str) -> str:
    """Return whether a policy is or was of a motor or of a type; empty for one that never was."""
    row = conn.execute("select scope from policy where id = :id", {"id": policy_id}).fetchone()
    return str(row["scope"]) if row is not None else ""


def strike_policy(conn: Connection, policy_id: str, act_id: str) -> None:
    """End a policy.

    Raises: NotFound for one that does not hold.
    """
    ended = conn.execute(
        "update policy set struck_act_id = :act_id where id = :id and struck_act_id is null",
        {"act_id": act_id, "id": policy_id},
    )
    if not ended.rowcount:
        raise NotFound(*_NO_POLICY)


def list_windows(conn: Connection) -> tuple[Window, ...]:
    """Return the dark windows of the house, in order of their first day."""
    rows = conn.execute("select * from shutdown where struck_act_id is null order by first_on, rowid")
    return tuple(
        Window(
            id=r["id"],
            name=r["name"],
            first_on=date.fromisoformat(r["first_on"]),
            last_on=date.fromisoformat(r["last_on"]),
            yearly=bool(r["yearly"]),
            place=r["place"],
        )
        for r in rows
    )


def add_window(conn: Connection, window: Window, act_id: str) -> None:
    """Keep a new dark window."""
    conn.execute(
        """insert into shutdown (id, name, first_on, last_on, yearly, place, act_id)
           values (:id, :name, :first_on, :last_on, :yearly, :place, :act_id)""",
        {
            "id": window.id,
            "name": window.name,
            "first_on": window.first_on.isoformat(),
            "last_on": window.last_on.isoformat(),
            "yearly": int(window.yearly),
            "place": window.place,
            "act_id": act_id,
        },
    )


def strike_window(conn: Connection, window_id: str, act_id: str) -> str:
    """Take a dark window back; return its name.

    Raises: NotFound for one that does not hold.
    """
    row = conn.execute(
        "select name from shutdown where id = :id and struck_act_id is null", {"id": window_id}
    ).fetchone()
    if row is None:
        raise NotFound("This window does not hold any more.", "Look at the windows as they are now.")
    conn.execute("update shutdown set struck_act_id = :act_id where id = :id", {"act_id": act_id, "id": window_id})
    return str(row["name"])


def mark_all_stale(conn: Connection, scope: str = "", scope_id: str = "") -> None:
    """Ask for motors to be judged anew: all of them, or those of a type."""
    if scope == "type":
        conn.execute(
            "update standing set rules_seq = -1 where motor_id in (select id from motor where type_id = :id)",
            {"id": scope_id},
        )
    else:
        conn.execute("update standing set rules_seq = -1")
