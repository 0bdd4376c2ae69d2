"""The life of a finding: seen or measured, decided, done, proven; and what is kept of it from visit to visit."""

from collections.abc import Mapping
from dataclasses import dataclass, field
from datetime import date, datetime
from types import MappingProxyType
from typing import Literal

from norvash.core.grades import GRADES, Grade
from norvash.core.sheet.finding import Finding
from norvash.core.sheet.given import Given
from norvash.core.sheet.moved import Moved
from norvash.core.sheet.records import PutOff, Way
from norvash.core.sheet.sheet import Sheet

# What has become of a finding; it is always exactly one of these.
State = Literal["open", "put off", "done not proven", "proven", "dropped", "withdrawn"]
STANDING: tuple[State, ...] = ("open", "put off", "done not proven")
# Where a finding is: its position (0 for the whole motor) and its id.
At = tuple[int, str]
_NOWHERE: Mapping[At, Finding] = MappingProxyType({})
_NO_THEN: Mapping[At, "Then"] = MappingProxyType({})


@dataclass(frozen=True, slots=True)
class Then:
    """What an earlier ground finds graver than today's does at one place, as the motor was found and as it is now; None
    where it does not. `moves` are the changes since.
    """

    found: Finding | None
    now: Finding | None
    moves: tuple[Moved, ...]

    @property
    def finding(self) -> Finding:
        """Return what it finds, as the motor is now where it does."""
        found = self.now or self.found
        if found is None:
            raise LookupError("an earlier ground that finds nothing graver")
        return found

    @property
    def stands(self) -> bool:
        """Tell whether it stands as it was: no change that the shop decided for itself ends or softens a stop."""
        return self.finding.grade == "stop" and all(m.ours for m in self.moves)


@dataclass(frozen=True, slots=True, kw_only=True)
class Withdrawn:
    """When and by whose act, by its place in the order of writing, a finding was withdrawn, and why, and by whom it was
    found; `moves` are the changes that it rests on, `free` tells whether they were confirmed, or put back.
    """

    at: datetime
    seq: int = 0
    person: str = ""
    why: str = ""
    found_by: str = ""
    moves: tuple[Moved, ...] = ()
    free: bool = False


@dataclass(frozen=True, slots=True, kw_only=True)
class KeptLife:
    """A life as it is kept with the motor: where it began, what was found there, and what had become of it.

    The finding carries the words and the grade that it was found with. Until an entry later than `held_since` it was
    judged by an earlier version, whose grade stays where this one is milder. One that was `withdrawn` keeps the state
    that it had, should it come back. `ground` are the rules and figures that it was found by, with their values; None
    where that was not kept. One that is `joined` is from before its like was told apart by its spot: it speaks of all.
    """

    id: str
    sheet_id: str
    position: int
    finding: Finding
    state: State = "open"
    put_off: PutOff | None = None
    why: str = ""
    held_since: datetime | None = None
    withdrawn: Withdrawn | None = None
    ground: Mapping[str, float | str] | None = None
    joined: bool = False

    @property
    def at(self) -> At:
        """Return where it is."""
        return self.position, self.finding.id


@dataclass(frozen=True, slots=True, kw_only=True)
class Told:
    """What the record and the open sheet tell of a motor's findings; `sheet` is None while none is open.

    `found` and `now` are the findings of that sheet as the motor was found and as it is now, `answered` those by sight
    that a measurement has answered, `places` the names of the positions. `new` are the positions with a new brush since
    this sheet was opened, each with whether its first length is known; `measured` tells whether every brush was
    measured on it. `seen_again` is what is seen on brushes as they were left. What is
    `unjudged`, by field and place, proves nothing.
    """

    sheet: Sheet | None = None
    kept: tuple[KeptLife, ...] = ()
    found: Mapping[At, Finding] = field(default_factory=lambda: _NOWHERE)
    now: Mapping[At, Finding] = field(default_factory=lambda: _NOWHERE)
    answered: frozenset[str] = frozenset()
    places: Mapping[int, str] = field(default_factory=lambda: MappingProxyType({}))
    new: Mapping[int, bool] = field(default_factory=lambda: MappingProxyType({}))
    measured: bool = False
    measured_at: tuple[int, ...] = ()
    seen_again: frozenset[At] = frozenset()
    then: Mapping[At, Then] = field(default_factory=lambda: _NO_THEN)
    back: Mapping[At, Finding] = field(default_factory=lambda: _NOWHERE)
    unjudged: frozenset[tuple[str, int]] = frozenset()


@dataclass(frozen=True, slots=True, kw_only=True)
class Life:
    """What has become of one finding: its state, who decided what, what was done, and what proves it.

    `kept` is None until it is in the record. `worked` says what the work was, where that is known. `measured_again`
    tells that it was measured after the work and is over its limit still; `proof` are the entries that prove it. One
    `by_sight` is proven by a fresh look, any other by a figure. One `by_earlier` was judged by an earlier version, and
    keeps its grade until its place is measured again. `then` is what an earlier ground finds graver there; one that was
    withdrawn, or softened so, is `read_since` where its place was measured or looked at after that. `held_by` are the
    changes that the shop decided for itself and that end no stop. What `came` was not there when the sheet was opened.
    What is `right_again` was grave on an earlier sheet, and nobody has said what was done since.
    """

    kept: KeptLife | None
    place: str
    position: int
    finding: Finding
    state: State
    decided: Given | None = None
    put_off: PutOff | None = None
    why: str = ""
    done: tuple[Given, ...] = ()
    worked: tuple[str, ...] = ()
    proof: tuple[Given, ...] = ()
    measured_again: bool = False
    by_sight: bool = False
    by_earlier: bool = False
    then: Then | None = None
    held_by: tuple[Moved, ...] = ()
    read_since: bool = False
    came: bool = False
    right_again: bool = False

    @property
    def at(self) -> At:
        """Return where it is."""
        return self.position, self.finding.id

    @property
    def stands(self) -> bool:
        """Tell whether it still counts for its part."""
        return self.state in STANDING

    def id_on(self, sheet_id: str) -> str:
        """Return its id: that of its record, or of one that begins on a sheet, one for each finding and place."""
        return self.kept.id if self.kept is not None else f"{sheet_id}.{self.finding.id}.{self.position}"

    def kept_on(self, sheet_id: str, at: datetime) -> KeptLife | None:
        """Return it as the record has it once a sheet is signed, None where it has ended."""
        rests = self.state == "withdrawn" and bool(self.moves)
        if not (self.stands or rests):
            return None
        state = (self.kept.state if self.kept is not None else "open") if rests else self.state
        return KeptLife(
            id=self.id_on(sheet_id),
            sheet_id=self.kept.sheet_id if self.kept is not None else sheet_id,
            position=self.position,
            finding=self.finding,
            state=state,
            put_off=self.put_off if self.state == "put off" or rests else self.waits_for,
            why=self.why,
            withdrawn=Withdrawn(at=at, moves=self.moves) if rests else None,
        )

    @property
    def moves(self) -> tuple[Moved, ...]:
        """Return the changes of ground that it rests on, empty where none ended or softened it."""
        if self.then is not None:
            return self.then.moves
        gone = self.kept.withdrawn if self.kept is not None and self.state == "withdrawn" else None
        return gone.moves if gone is not None else ()

    @property
    def graver(self) -> Finding | None:
        """Return what it was before it was withdrawn or softened, None where it was neither."""
        if self.then is not None and self.state != "proven":
            return self.then.finding
        return self.finding if self.state == "withdrawn" else None

    @property
    def handed_over(self) -> bool:
        """Tell whether it lies outside the motor and was handed to the owner, with the words that were said."""
        return self.finding.part.outside and self.decided is not None and self.decided.word == "owner"

    @property
    def way(self) -> str:
        """Return the id of the task by which it is mended, where that was chosen of several."""
        record = self.decided.record if self.decided is not None else None
        return record.task if isinstance(record, Way) else ""

    @property
    def settled(self) -> bool:
        """Tell whether nothing more has to be decided of it."""
        return self.decided is not None or bool(self.done) or self.state not in ("open", "done not proven")

    @property
    def waits_for(self) -> PutOff | None:
        """Return the part that it waits for, out of service, with its day; None where it waits for none."""
        waits = self.state == "open" and self.put_off is not None and self.put_off.part
        return self.put_off if waits else None

    @property
    def left_so(self) -> bool:
        """Tell whether it is left as it is: put off, with the reason."""
        return self.state == "put off" and self.put_off is not None and bool(self.put_off.why or self.why)

    @property
    def due_on(self) -> date | None:
        """Return the day by which somebody sees to it, None unless it is put off to one."""
        return self.put_off.day if self.state == "put off" and self.put_off is not None else None

    @property
    def grade_due(self) -> Grade:
        """Return the grade from the day on to which it is put off: one graver than what still stands open."""
        return GRADES[min(GRADES.index(self.finding.grade) + 1, GRADES.index("stop"))]

    @property
    def steps(self) -> int:
        """Return how far it has come, of seen, decided, done, proven: 1 to 4."""
        return {"open": 2 if self.decided else 1, "put off": 2, "done not proven": 3}.get(self.state, 4)
