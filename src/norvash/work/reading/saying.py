"""What a job says of one motor: entries for its record, the motor judged with them, and what the act keeps."""

from collections.abc import Callable, Mapping
from dataclasses import dataclass

from norvash.core.record.said import Said
from norvash.store.file.database import Connection
from norvash.store.record.append import append
from norvash.store.record.forecasts import Made, save_made
from norvash.work.act.acting import Act, Change, in_order, prepared
from norvash.work.reading.context import Prepared
from norvash.work.reading.ground import Settled, keep_moves
from norvash.work.reading.standing import Judged, keep, keep_found

_NOTHING_MOVED = Settled()


@dataclass(frozen=True, kw_only=True)
class Saying(Prepared):
    """What a job says of a motor as it was read: its entries, what the act tells of them, and the motor judged with
    them, None where nothing follows.

    What they change of the ground is `settled`; `why` is said of what they withdraw. `first` is kept of what a sheet
    has found before they are, and `made` is the forecast that a closed round leaves.
    """

    said: tuple[Said, ...]
    change: Change
    judged: Judged | None = None
    settled: Settled = _NOTHING_MOVED
    why: str = ""
    first: Judged | None = None
    made: Made | None = None


def say(conn: Connection, act: Act, job: str, *, typed: Mapping[str, object], prepare: Callable[[Act], Saying]) -> str:
    """Do a job that says something of one motor, and return what came of it.

    `prepare` reads, checks, applies and judges before the lock is taken; it is given the act at its time in the order
    of writing.
    Raises: what `prepare` and `once` raise; then nothing is kept.
    """

    def body(act: Act, made: Saying) -> Change:
        if made.first is not None:
            keep_found(conn, made.first.context, made.first.found.lives)
        append(conn, made.context.record, *made.said, act_id=act.id, at=act.at)
        keep_moves(conn, act, made.settled)
        if made.judged is not None:
            keep(conn, made.judged, why=made.why or made.settled.why, free=made.settled.free)
        if made.made is not None:
            save_made(conn, made.made)
        return made.change

    return prepared(conn, act, job, typed=typed, prepare=lambda: prepare(in_order(conn, act)), body=body)
