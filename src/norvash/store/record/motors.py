"""Motors, their types, positions and figures."""

import json
from collections import Counter
from collections.abc import Mapping, Sequence
from dataclasses import dataclass

from norvash.core.forecast.set_forecast import Ahead, ahead_from
from norvash.core.motor.positions import PositionPlan
from norvash.core.record.record import Motor
from norvash.core.text.alike import looks
from norvash.core.text.texts import compared
from norvash.errors import NotFound
from norvash.store.file.database import Connection, Row
from norvash.store.record.retired import retired_of

Value = float | str
_NO_MOTOR = ("There is no such motor.", "Pick one from the register, or find it by its tag.")


@dataclass(frozen=True, slots=True)
class MotorType:
    """A type: shared figures of several motors."""

    id: str
    name: str
    motor_class: str


def _value(row: Row) -> Value:
    return row["value_text"] if row["value_real"] is None else row["value_real"]  # type: ignore[no-any-return]


def _split(value: Value) -> dict[str, Value | None]:
    return {"real": None, "text": value} if isinstance(value, str) else {"real": float(value), "text": None}


def add_type(conn: Connection, made: MotorType, act_id: str) -> None:
    """Keep a new type."""
    conn.execute(
        "insert into motor_type (id, name, name_key, class, act_id) values (:id, :name, :key, :class, :act_id)",
        {"id": made.id, "name": made.name, "key": compared(made.name), "class": made.motor_class, "act_id": act_id},
    )


def fetch_type(conn: Connection, type_id: str) -> MotorType:
    """Return a type.

    Raises: NotFound.
    """
    row = conn.execute("select id, name, class from motor_type where id = :id", {"id": type_id}).fetchone()
    if row is None:
        raise NotFound("There is no such type.", "Pick one from the list of types.", "type_id")
    return MotorType(row["id"], row["name"], row["class"])


def find_type_named(conn: Connection, name: str) -> MotorType | None:
    """Return the type whose name compares equal to this one."""
    row = conn.execute(
        "select id, name, class from motor_type where name_key = :key order by rowid", {"key": compared(name)}
    ).fetchone()
    return MotorType(row["id"], row["name"], row["class"]) if row else None


def list_types(conn: Connection) -> list[tuple[MotorType, int]]:
    """Return all types by name, each with its number of motors."""
    rows = conn.execute("""select t.id, t.name, t.class, count(m.id) as motors from motor_type t
                           left join motor m on m.type_id = t.id group by t.id order by t.name collate nocase""")
    return [(MotorType(r["id"], r["name"], r["class"]), r["motors"]) for r in rows]


def type_figures(conn: Connection, type_id: str) -> dict[str, Value]:
    """Return the figures that a type states."""
    rows = conn.execute("select name, value_real, value_text from type_figure where type_id = :id", {"id": type_id})
    return {r["name"]: _value(r) for r in rows}


def change_type_figures(conn: Connection, type_id: str, figures: Mapping[str, Value]) -> None:
    """Replace the figures that a type states."""
    conn.execute("delete from type_figure where type_id = :id", {"id": type_id})
    conn.executemany(
        "insert into type_figure values (:id, :name, :real, :text)",
        [{"id": type_id, "name": n, **_split(v)} for n, v in figures.items()],
    )


def type_positions(conn: Connection, type_id: str) -> tuple[PositionPlan, ...]:
    """Return a type's positions in order."""
    rows = conn.execute("select * from type_position where type_id = :id order by number", {"id": type_id})
    return tuple(_plan(r) for r in rows)


def change_type_positions(conn: Connection, type_id: str, plans: Sequence[PositionPlan]) -> None:
    """Replace a type's positions; motors keep their own."""
    conn.execute("delete from type_position where type_id = :id", {"id": type_id})
    conn.executemany(
        "insert into type_position values (:id, :number, :label, :angle_deg, :arm, :polarity)",
        [{"id": type_id, **_columns(p)} for p in plans],
    )


def _plan(row: Row) -> PositionPlan:
    return PositionPlan(row["number"], row["label"], row["angle_deg"], row["arm"], row["polarity"])


def _columns(plan: PositionPlan) -> dict[str, Value | int]:
    return {
        "number": plan.number,
        "label": plan.label,
        "angle_deg": plan.angle_deg,
        "arm": plan.arm,
        "polarity": plan.polarity,
    }


def add_motor(conn: Connection, motor: Motor, act_id: str) -> None:
    """Keep a new motor."""
    conn.execute(
        """insert into motor (id, tag, name, place, class, type_id, act_id, tag_key, looks_key, place_key, sought_key)
           values (:id, :tag, :name, :place, :class, :type_id, :act_id, :tag_key, :looks_key, :place_key,
                   :sought_key)""",
        {
            **_keys(motor),
            "looks_key": looks(motor.tag),
            "id": motor.id,
            "tag": motor.tag,
            "name": motor.name,
            "place": motor.place,
            "class": motor.motor_class,
            "type_id": motor.type_id,
            "act_id": act_id,
        },
    )


def _keys(motor: Motor) -> dict[str, str]:
    """Return what a motor's tag and place are compared by, and what it is found by."""
    tag, name, place = compared(motor.tag), compared(motor.name), compared(motor.place)
    return {"tag_key": tag, "place_key": place, "sought_key": f"{tag}\n{name}\n{place}"}


def _motor(row: Row) -> Motor:
    return Motor(
        id=row["id"],
        tag=row["tag"],
        name=row["name"],
        place=row["place"],
        motor_class=row["class"],
        type_id=row["type_id"],
        version=row["version"],
        depths_again=bool(row["depths_again"]),
        retired=retired_of(row),
    )


def has_any(conn: Connection) -> bool:
    """Tell whether there is any motor."""
    return conn.execute("select 1 from motor limit 1").fetchone() is not None


def fetch_motor(conn: Connection, motor_id: str) -> Motor:
    """Return a motor.

    Raises: NotFound.
    """
    row = conn.execute("select * from motor where id = :id", {"id": motor_id}).fetchone()
    if row is None:
        raise NotFound(*_NO_MOTOR)
    return _motor(row)


def fetch_whole(conn: Connection, motor_id: str) -> tuple[Motor, MotorType | None, Ahead | None]:
    """Return a motor with its type and its forecast, None where it has none.

    Raises: NotFound.
    """
    row = conn.execute(
        """select m.*, t.name as type_name, t.class as type_class, f.ahead_json from motor m
           left join motor_type t on t.id = m.type_id left join forecast f on f.motor_id = m.id where m.id = :id""",
        {"id": motor_id},
    ).fetchone()
    if row is None:
        raise NotFound(*_NO_MOTOR)
    kind = MotorType(row["type_id"], row["type_name"], row["type_class"]) if row["type_id"] else None
    return _motor(row), kind, ahead_from(json.loads(row["ahead_json"])) if row["ahead_json"] else None


def find_tagged(conn: Connection, tag: str) -> Motor | None:
    """Return the motor whose tag compares equal to this one."""
    row = conn.execute("select * from motor where tag_key = :key order by rowid", {"key": compared(tag)}).fetchone()
    return _motor(row) if row else None


def find_like(conn: Connection, tag: str) -> Motor | None:
    """Return a motor whose tag looks like this one."""
    row = conn.execute("select * from motor where looks_key = :key order by rowid", {"key": looks(tag)}).fetchone()
    return _motor(row) if row else None


def list_motors_of_type(conn: Connection, type_id: str) -> list[Motor]:
    """Return the motors of a type by tag."""
    return [_motor(r) for r in conn.execute("select * from motor where type_id = :id order by tag", {"id": type_id})]


def change_motor(conn: Connection, motor: Motor) -> None:
    """Change a motor's name and place, and count the change."""
    conn.execute(
        """update motor set name = :name, place = :place, place_key = :place_key, sought_key = :sought_key,
                  version = version + 1 where id = :id""",
        {**_keys(motor), "id": motor.id, "name": motor.name, "place": motor.place},
    )


def motor_figures(conn: Connection, motor_id: str) -> dict[str, Value]:
    """Return the figures that a motor states itself."""
    rows = conn.execute("select name, value_real, value_text from motor_figure where motor_id = :id", {"id": motor_id})
    return {r["name"]: _value(r) for r in rows}


def list_figures(conn: Connection, motor: Motor) -> tuple[dict[str, Value], dict[str, Value]]:
    """Return the figures that a motor states itself, and those that its type states."""
    found: tuple[dict[str, Value], dict[str, Value]] = {}, {}
    rows = conn.execute(
        """select 0 as of_type, name, value_real, value_text from motor_figure where motor_id = :id
           union all select 1, name, value_real, value_text from type_figure where type_id = :type_id""",
        {"id": motor.id, "type_id": motor.type_id},
    )
    for r in rows:
        found[r["of_type"]][r["name"]] = _value(r)
    return found


def change_motor_figures(conn: Connection, motor_id: str, figures: Mapping[str, Value]) -> None:
    """Replace the figures that a motor states itself."""
    conn.execute("delete from motor_figure where motor_id = :id", {"id": motor_id})
    conn.executemany(
        "insert into motor_figure values (:id, :name, :real, :text)",
        [{"id": motor_id, "name": n, **_split(v)} for n, v in figures.items()],
    )


def positions(conn: Connection, motor_id: str) -> tuple[PositionPlan, ...]:
    """Return a motor's positions in order."""
    return tuple(
        _plan(r) for r in conn.execute("select * from position where motor_id = :id order by number", {"id": motor_id})
    )


def change_positions(conn: Connection, motor_id: str, plans: Sequence[PositionPlan]) -> None:
    """Change label, angle, arm and polarity of a motor's positions; their numbers, and so their history, stay."""
    conn.executemany(
        """update position set label = :label, angle_deg = :angle_deg, arm = :arm, polarity = :polarity
           where motor_id = :id and number = :number""",
        [{"id": motor_id, **_columns(p)} for p in plans],
    )


def add_positions(conn: Connection, motor_id: str, plans: Sequence[PositionPlan]) -> None:
    """Keep the positions of a new motor; they stay its own through all sets."""
    conn.executemany(
        "insert into position values (:id, :number, :label, :angle_deg, :arm, :polarity)",
        [{"id": motor_id, **_columns(p)} for p in plans],
    )


def list_motor_ids(conn: Connection, most: int) -> list[str]:
    """Return motors in the order in which they were added."""
    return [r["id"] for r in conn.execute("select id from motor order by rowid limit :most", {"most": most})]


def names(conn: Connection) -> dict[str, str]:
    """Return motors by what their tag is compared by, and by that of their name where only one motor has it."""
    rows = [(r["id"], *r["sought_key"].split("\n")) for r in conn.execute("select id, sought_key from motor")]
    counts = Counter(name for _, _, name, _ in rows)
    by_name = {name: motor_id for motor_id, _, name, _ in rows if counts[name] == 1}
    return by_name | {tag: motor_id for motor_id, tag, _, _ in rows}
