"""Play a visit in from its file: through the same jobs, at the file's own times, each act by its own person."""

import hashlib
import json
import uuid
from collections.abc import Iterable, Iterator
from contextlib import closing, contextmanager
from dataclasses import asdict, dataclass, field
from datetime import datetime
from pathlib import Path

from norvash.core.sheet.kept_value import KeptValue
from norvash.core.stages.catalogue import field_of, stage_of
from norvash.errors import InputError, NeedsAnswer, NorvashError
from norvash.exchange import visit_file as v
from norvash.exchange.json_text import read_at_most
from norvash.exchange.said.brushes import Doubt, Measure, See
from norvash.exchange.said.motor import Register
from norvash.exchange.said.sheet import Enter, Open
from norvash.exchange.said.told import At
from norvash.exchange.visit_read import MOST_BYTES, read_visit
from norvash.exchange.visit_told import Plain, stage_told
from norvash.store.file.database import Connection, connect
from norvash.store.file.ready import prepare
from norvash.store.file.trouble import unavailable
from norvash.store.record import motors, people
from norvash.store.record.measured import list_measured
from norvash.work.act.acting import Act, FromFile
from norvash.work.act.site import ANOTHER, clock, join, who_is


@dataclass(frozen=True, slots=True, kw_only=True)
class Refused:
    """An entry that a job refused: its number from 0, its stage, what it was, and the words."""

    entry: int
    stage: str
    what: str
    at: str
    problem: str
    remedy: str


@dataclass(slots=True, kw_only=True)
class Played:
    """What was played: the sheets, what was told after each stage, what was refused, how many entries were new, and
    where what was measured comes to something else than the file says.
    """

    sheets: list[str] = field(default_factory=list)
    told: list[Plain] = field(default_factory=list)
    refused: list[Refused] = field(default_factory=list)
    new: int = 0
    there: int = 0
    stopped: bool = False
    differs: list[str] = field(default_factory=list)


def stage_of_entry(entry: v.Entry) -> str:
    """Return the stage at which an entry is made, “opened” for the opening, “record” for what stands beside sheets."""
    if isinstance(entry, Enter):
        stage = stage_of(entry.field)
        return stage.id if stage is not None else ""
    return entry.at_stage


def what_of(entry: v.Entry) -> str:
    """Return what an entry is, in few words."""
    if isinstance(entry, Enter):
        return f"{entry.field}{f', place {entry.place}' if entry.place else ''}"
    return f"{entry.do} {entry.place}" if isinstance(entry, Measure | See | Doubt) else entry.do


def act_ids(visit: v.VisitFile) -> list[str]:
    """Return the id of every act: it follows from the motor and all that was done before it.

    The same file again has the same ids, and so has what a longer one begins with.
    """
    link = hashlib.sha256(f"{v.FORMAT} {visit.motor.model_dump_json(by_alias=True)}".encode()).hexdigest()
    made = []
    for entry in visit.entries:
        said = entry.model_dump(mode="json", by_alias=True)
        for name in entry.later:  # files of the time before them keep their ids
            if not said[name]:
                del said[name]
        link = hashlib.sha256(f"{link} {json.dumps(said, sort_keys=True)}".encode()).hexdigest()
        made.append(f"file-{link[:40]}")
    return made


def play(conn: Connection, visit: v.VisitFile, by: str, now: datetime, *, go_on: bool = False) -> Played:
    """Play a visit; what was played before is left as it is. A refusal by a job stops, unless it is to `go_on`.

    Raises: InputError for what no job is asked about: names that read alike, a motor that is not there, a record that
    has gone on since.
    """
    player = _Player(conn, visit, by, now)
    player.begin()
    return player.play(go_on=go_on)


class _Player:
    """One visit on its way into the record."""

    def __init__(self, conn: Connection, visit: v.VisitFile, by: str, now: datetime) -> None:
        self.conn, self.visit, self.by, self.now = conn, visit, by, now
        self.ids = act_ids(visit)
        known = [people.result_of(conn, i) for i in self.ids]
        self.known = known
        # What stands before the last known one was played or refused then, and is not tried again.
        self.first = max((n for n, result in enumerate(known) if result is not None), default=-1) + 1
        self.motor_id, self.sheet_id = "", ""
        self.person_ids: dict[str, str] = {}

    def begin(self) -> None:
        """Check what must be so before anything is written, and make the people that are missing."""
        found = motors.find_tagged(self.conn, self.visit.motor.tag)
        if found is None and not isinstance(self.visit.entries[0], Register):
            raise InputError(
                f"There is no motor {self.visit.motor.tag}, and the file does not register it.",
                "Begin with an entry “register”, or play it where the motor is.",
                "motor.tag",
            )
        late = [e for e in self.visit.entries if e.at > self.now]
        if late:
            n = self.visit.entries.index(late[0])
            raise InputError(f"{late[0].at.isoformat()} lies in the future.", "Mend the time.", f"entries[{n}].at")
        if found is not None:
            self.motor_id = found.id
            self._not_before(found.id)
        everybody = (*self.visit.names, self.by)
        for name in everybody:  # all of them are asked about before one is made
            with self._asked_at(name):
                who_is(self.conn, name, self._answer(name))
        for name in everybody:
            with self._asked_at(name):
                self.person_ids[name] = join(self.conn, uuid.uuid4().hex, name, self.now, self._answer(name)).id

    def _not_before(self, motor_id: str) -> None:
        last = people.list_acts(self.conn, motor_id, 1)
        fresh = [e for n, e in enumerate(self.visit.entries) if n >= self.first and not isinstance(e, Register)]
        if last and fresh and fresh[0].at < last[0].at.replace(microsecond=0):
            n = self.visit.entries.index(fresh[0])
            raise InputError(
                f"The record of {self.visit.motor.tag} goes on to {last[0].at.isoformat(timespec='seconds')}: a visit"
                " before that cannot be played in.",
                "Play it into a database of its own, or enter it as notes of the past.",
                f"entries[{n}].at",
            )

    def _answer(self, name: str) -> str:
        return ANOTHER if name in self.visit.others else ""

    @contextmanager
    def _asked_at(self, name: str) -> Iterator[None]:
        """Say of what is asked about a name where it stands in the file, or that it is who plays it."""
        names = self.visit.names
        place = "by" if name not in names else f"people[{names.index(name)}]"
        try:
            yield
        except NeedsAnswer as error:
            raise InputError(
                error.problem, "Write the name as it stands here, or say that it is another.", place
            ) from None
        except NorvashError as error:
            raise error.at(place) from None

    def play(self, *, go_on: bool) -> Played:
        """Play every entry that is new, and tell after each stage what the sheet says."""
        made, count = Played(), 0
        for n, entry in enumerate(self.visit.entries):
            stage = stage_of_entry(entry)
            try:
                fresh = self._one(n, entry)
                made.new, made.there = made.new + fresh, made.there + (not fresh)
            except NorvashError as error:
                made.refused.append(_refused(n, stage, entry, error))
                made.stopped = not go_on
            count += 1
            if self.sheet_id and self.sheet_id not in made.sheets:
                made.sheets.append(self.sheet_id)
            following = self.visit.entries[n + 1] if n + 1 < len(self.visit.entries) else None
            ends = made.stopped or following is None or stage_of_entry(following) != stage
            if ends and self.sheet_id and n >= self.first:
                made.told.append(stage_told(self.conn, self.sheet_id, stage, count, entry.at.date()))
            count = 0 if ends else count
            if made.stopped:
                break
        if not made.told and self.sheet_id:
            last = self.visit.entries[-1]
            made.told.append(stage_told(self.conn, self.sheet_id, stage_of_entry(last), 0, last.at.date()))
        made.differs += self._differs() if self.visit.measured and self.sheet_id else ()
        return made

    def _differs(self) -> Iterator[str]:
        """Yield what was measured and is judged otherwise here than in the file, or is only in one of them."""
        then, here = _judged(self.visit.measured), _judged(list_measured(self.conn, self.sheet_id))
        called = {_at(m): m.what for m in list_measured(self.conn, self.sheet_id)}
        called |= {_at(m): m.what for m in self.visit.measured}
        for at in (at for at in {**then, **here} if then.get(at) != here.get(at)):
            was, now = (", ".join(x.get(at, ["not there"])) for x in (then, here))
            yield f"{called[at]}, as {at[-1]}: {was} in the file, {now} here"

    def _one(self, n: int, entry: v.Entry) -> bool:
        """Play one entry; return whether it was new."""
        if n < self.first:
            self._follow(entry, self.known[n])
            return False
        if isinstance(entry, Register) and self.motor_id:
            return False
        if isinstance(entry, Enter) and field_of(entry.field) is None:
            return False  # nothing asks for it any more
        act = Act(self.ids[n], self.person_ids[entry.by], entry.at, FromFile(self.person_ids[self.by], self.motor_id))
        here = At(self.conn, self.motor_id, self.sheet_id, describes=self.visit.motor)
        self._follow(entry, entry.done(act, here))
        return True

    def _follow(self, entry: v.Entry, result: str | None) -> None:
        """Go on with the motor that was registered, and the sheet that was opened."""
        if result is not None and isinstance(entry, Register):
            self.motor_id = result
        if result is not None and isinstance(entry, Open):
            self.sheet_id = result


_At = tuple[str, str, int, str]


def _at(value: v.MeasuredTold | KeptValue) -> _At:
    """Return by what a value is known: its stage, its name and spot, its sight."""
    return value.stage, value.id, value.spot, value.sight


def _judged(values: Iterable[v.MeasuredTold | KeptValue]) -> dict[_At, list[str]]:
    """Return as what values were judged, by what they are known."""
    made: dict[_At, list[str]] = {}
    for m in values:
        grade = f" ({m.grade})" if m.grade else ""
        made.setdefault(_at(m), []).append(f"{m.standing}{grade}")
    return made


def _refused(n: int, stage: str, entry: v.Entry, error: NorvashError) -> Refused:
    return Refused(
        entry=n, stage=stage, what=what_of(entry), at=error.field or "", problem=error.problem, remedy=error.remedy
    )


def play_file(file: Path, db: Path, by: str, *, go_on: bool = False) -> Played:
    """Play a file into a database; a new one is made.

    Raises: what `play` raises, and NorvashError for a file or a database that cannot be used.
    """
    visit = read_visit(read_at_most(file, MOST_BYTES))
    found = prepare(db)
    if found.faults:
        raise NorvashError(f"{db} is damaged.", f"Check it: norvash check --db {db}.")
    if found.read_only:
        raise unavailable("read-only")
    with closing(connect(db)) as conn:
        return play(conn, visit, by, clock(people.fetch_site(conn), datetime.now()), go_on=go_on)


def played_text(played: Played, *, as_json: bool) -> str:
    """Return what was played, for people or for machines."""
    if as_json:
        return json.dumps(asdict(played), indent=1, ensure_ascii=False, default=str)
    return "\n".join(words_of(played))


def words_of(played: Played) -> Iterator[str]:
    """Yield what was played, as lines for people."""
    for told in played.told:
        yield from _stage_words(told)
    for r in played.refused:
        yield f"refused: entry {r.entry}, {r.stage}, {r.what}{f' [{r.at}]' if r.at else ''}: {r.problem} {r.remedy}"
    yield from (f"differs: {words}" for words in played.differs)
    yield f"{played.new} played, {played.there} there already, {len(played.refused)} refused."


def _stage_words(told: Plain) -> Iterator[str]:
    yield f"== {told['words']} ({told['entries']})"
    yield f"line    {told['line']}"
    for name, key in (
        ("because", "because"),
        ("says", "says"),
        ("parts", "parts"),
        ("work", "work"),
        ("gates", "gates"),
        ("found", "findings"),
        ("offers", "offers"),
        ("stacks", "stacks"),
        ("ways", "ways"),
        ("open", "open"),
    ):
        lines = told.get(key, [])
        for i, one in enumerate(lines if isinstance(lines, list) else []):
            yield f"{name if not i else '':8}{one if isinstance(one, str) else one['words']}"
    yield ""
