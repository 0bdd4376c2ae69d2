"""What tells whether a motor is still as it was read."""

from typing import NamedTuple

from norvash.store.file.database import Connection


class Stamp(NamedTuple):
    """Numbers of which one rises with each write about the motor, about the whole house, with what its type was taught,
    and whenever the motor is judged anew.

    `rules_seq` rises with every change of the rulebook, which is also one about the house.
    """

    motor_seq: int
    house_seq: int
    taught: int
    rules_seq: int
    judged: int


def stamp_of(conn: Connection, motor_id: str) -> Stamp:
    """Return the stamp of a motor as it stands now."""
    row = conn.execute(
        """select (select coalesce(max(seq), 0) from act where motor_id = :id),
                  (select coalesce(max(seq), 0) from act where motor_id is null),
                  (select coalesce(max(t.taught), 0)
                   from motor m join motor_type t on t.id = m.type_id where m.id = :id),
                  (select coalesce(max(seq), 0) from act where job = 'change a rule'),
                  (select coalesce(max(version), 0) from standing where motor_id = :id)""",
        {"id": motor_id},
    ).fetchone()
    return Stamp(*row)


def seq_of_type(conn: Connection, type_id: str) -> int:
    """Return a number that rises with every write about the house or about a motor of a type."""
    row = conn.execute(
        """select max((select coalesce(max(seq), 0) from act where motor_id is null),
                      (select coalesce(max(a.seq), 0)
                       from act a join motor m on m.id = a.motor_id where m.type_id = :id))""",
        {"id": type_id},
    ).fetchone()
    return int(row[0])
