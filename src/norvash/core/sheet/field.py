"""What a bench sheet can hold: fields of every kind, each with what it asks for and how it is read from a sheet."""

from collections.abc import Callable, Mapping
from dataclasses import dataclass, field
from functools import cache
from typing import ClassVar, Literal

from norvash.core.diagnosis.sign import NOT_SO, Sign
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.finding import Finding
from norvash.core.sheet.given import Earlier, Given
from norvash.core.sheet.part import Part
from norvash.core.sheet.records import PaintedMap, Readings, Record
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.task import Task

Needs = Literal["", "dead", "safe", "permit", "power"]
Per = Literal["", "position", "tap", "number", "bearing", "side", "circuit"]
Mark = Literal["", "cut", "set", "protection"]
BEARINGS = ("drive end", "other end")
SIDES = ("left", "right")
YES = "yes"


def _always(_facts: Facts, _rules: MotorRules) -> bool:
    return True


def _no_reason(_facts: Facts, _rules: MotorRules) -> str:
    return ""


def _nothing_forbidden(_facts: Facts, _rules: MotorRules) -> Mapping[str, str]:
    return {}


@dataclass(frozen=True, slots=True, kw_only=True, eq=False)
class Field:
    """One thing that is entered: where, and the gate that it needs; what is “dead” needs only that no power is on.

    `per` says that there is one for each brush position, speed setting, bearing, side, circuit or number; `whole` that
    place 0 stands for the motor beside them. `judged` tells that what is said of the motor follows from it; `tells` are
    the findings that a value in it can be, and that a value in it proves; it `proves` others that no value is; `tested`
    names the one it is read with. After work of `touched_by`, or that what it tells leads to, its next value is one as
    left; of one `after_work` after any work. One of `work` is always as left, and `does` what it records; `ends` are
    tasks that only look and have their result in it. `why_not` says why it is not offered. `compared` says that it is
    held against the last sheet that has it, `marks` that it moves the figures in force: by a cut, by setting the
    holders after one, by saying how it protects against shock. One that is `placed` is shown where and when its stage
    says, not among the rest. One that is only a `record` says what was done or seen: nothing is judged by it.
    """

    kind: ClassVar[str] = ""

    id: str
    group: str
    label: str
    needs: Needs = ""
    per: Per = ""
    whole: bool = False
    hint: str = ""
    classes: tuple[str, ...] = ()
    offered: Callable[[Facts, MotorRules], bool] = _always
    judged: bool = False
    tells: tuple[Finding, ...] = ()
    proves: tuple[Finding, ...] = ()
    tested: str = ""
    touched_by: tuple[Task, ...] = ()
    hangs_on: tuple[Part, ...] = ()
    after_work: bool = False
    why_not: Callable[[Facts, MotorRules], str] = _no_reason
    does: tuple[Task, ...] = ()
    ends: tuple[Task, ...] = ()
    work: bool = False
    compared: bool = False
    marks: Mark = ""
    placed: bool = False
    record: bool = False

    @property
    def sighted(self) -> bool:
        """Tell whether it is kept in both sights: as found, and as left after work."""
        return bool(self.tells or self.tested) and not self.records_work

    @property
    def records_work(self) -> bool:
        """Tell whether it is only ever as left: it says what was done."""
        return self.work or bool(self.does)

    def given(self, sheet: Sheet, place: int = 0) -> Given | None:
        """Return what was entered, None where nothing was or it was emptied again."""
        found = sheet.entries.get((self.id, place))
        return found if found is not None and found.stands else None

    def places(self, sheet: Sheet) -> tuple[int, ...]:
        """Return the places at which it was entered, in order."""
        if self.id not in sheet.said:
            return ()
        return tuple(sorted(p for f, p in sheet.entries if f == self.id and self.given(sheet, p)))

    def earlier(self, sheet: Sheet, place: int = 0) -> Earlier | None:
        """Return what was entered in it on the last sheet before that has it, None where none does."""
        return sheet.earlier.get((self.id, place))

    def is_offered(self, facts: Facts, rules: MotorRules) -> bool:
        """Tell whether it is offered for a motor: by its class, and by what it means there."""
        return (not self.classes or facts.motor_class in self.classes) and self.offered(facts, rules)


@dataclass(frozen=True, slots=True, kw_only=True, eq=False)
class Quantity(Field):
    """A measured value in the SI unit of its dimension, between two bounds.

    `beside` is what is kept with it, where something is.
    """

    kind: ClassVar[str] = "quantity"

    dimension: str
    low: float = 0.0
    high: float = 1e6
    beside: Callable[[Facts, MotorRules], Record | None] | None = None

    def of(self, sheet: Sheet, place: int = 0) -> float | None:
        """Return the value on a sheet, None without one."""
        found = self.given(sheet, place)
        return found.number if found else None


_SECOND = "second."


def measured_twice(field_id: str) -> str:
    """Return the id of the field whose value a field holds once more, empty for another field."""
    return field_id.removeprefix(_SECOND) if field_id.startswith(_SECOND) else ""


@cache
def second_of(field: Quantity) -> Quantity:
    """Return the field that holds a value that was measured once more with no work between, and that is milder than
    what stands: it counts once a third agrees.
    """
    return Quantity(
        id=f"{_SECOND}{field.id}",
        group=field.group,
        label=f"{field.label}, measured once more",
        needs=field.needs,
        per=field.per,
        whole=field.whole,
        classes=field.classes,
        offered=field.offered,
        placed=True,
        record=True,
        dimension=field.dimension,
        low=field.low,
        high=field.high,
    )


@dataclass(frozen=True, slots=True, kw_only=True, eq=False)
class Words(Field):
    """An entry that is a word or a text."""

    def of(self, sheet: Sheet, place: int = 0) -> str:
        """Return the word on a sheet, empty without one."""
        found = self.given(sheet, place)
        return found.word if found else ""


@dataclass(frozen=True, slots=True, kw_only=True, eq=False)
class Text(Words):
    """Free words."""

    kind: ClassVar[str] = "text"


@dataclass(frozen=True, slots=True, kw_only=True, eq=False)
class Day(Words):
    """A day from today on."""

    kind: ClassVar[str] = "text"


@dataclass(frozen=True, slots=True, kw_only=True, eq=False)
class Pick(Words):
    """One of several answers; some are refused with a reason, some are a finding.

    `forbids` are those that are refused for a motor, each with the reason. What it finds is said `plainly`, in the
    words of the finding, or in its own. `why` asks for the reason of the pick.
    """

    kind: ClassVar[str] = "pick"

    choices: tuple[tuple[str, str], ...]
    refused: Mapping[str, str] = field(default_factory=dict)
    finds: Mapping[str, Finding] = field(default_factory=dict)
    forbids: Callable[[Facts, MotorRules], Mapping[str, str]] = _nothing_forbidden
    plainly: bool = False
    why: bool = False
    answers: frozenset[str] = field(init=False)

    def __post_init__(self) -> None:
        object.__setattr__(self, "answers", frozenset(answer for answer, _ in self.choices))

    def of(self, sheet: Sheet, place: int = 0) -> str:
        """Return the answer on a sheet, empty without one, or where only another version knows it."""
        found = sheet.entries.get((self.id, place))
        return found.word if found is not None and found.word in self.answers else ""


@dataclass(frozen=True, slots=True, kw_only=True, eq=False)
class Noticed(Pick):
    """A sign that is picked by hand."""

    sign: Sign

    @classmethod
    def asking(cls, sign: Sign, mind: str, *, judged: bool) -> "Noticed":
        """Return the field that asks for a sign, of the classes that can show it; `mind` is what to beware of."""
        not_so = ((NOT_SO, sign.not_so),) if sign.not_so else ()
        return cls(
            id=f"sign.{sign.id}",
            group="Noticed",
            label=sign.words,
            choices=(*((a.id, a.words) for a in sign.answers), *not_so),
            hint=mind,
            classes=sign.classes,
            judged=judged,
            sign=sign,
        )


@dataclass(frozen=True, slots=True, kw_only=True, eq=False)
class Tick(Field):
    """Something that is so once it is ticked."""

    kind: ClassVar[str] = "tick"

    def of(self, sheet: Sheet, place: int = 0) -> bool:
        """Tell whether it is ticked on a sheet; a look that found it gone is no tick."""
        found = self.given(sheet, place)
        return found is not None and found.word == YES


@dataclass(frozen=True, slots=True, kw_only=True, eq=False)
class Column(Field):
    """A column of readings in the SI unit of its dimension, each between two bounds."""

    kind: ClassVar[str] = "column"

    dimension: str
    low: float = 0.0
    high: float = 1e6

    def of(self, sheet: Sheet) -> tuple[float | None, ...]:
        """Return the readings on a sheet, None where a dash stands, empty without any."""
        found = self.given(sheet)
        return found.record.values if found is not None and isinstance(found.record, Readings) else ()


@dataclass(frozen=True, slots=True, kw_only=True, eq=False)
class Painted(Field):
    """A map of the commutator's bars."""

    kind: ClassVar[str] = "map"

    def of(self, sheet: Sheet) -> Mapping[int, frozenset[str]]:
        """Return the conditions of the bars on a sheet, empty without any."""
        found = self.given(sheet)
        return found.record.conditions if found is not None and isinstance(found.record, PaintedMap) else {}


@dataclass(frozen=True, slots=True, kw_only=True, eq=False)
class Decision(Words):
    """What is decided of one finding: done, put off with person and day, or dropped with the reason."""

    kind: ClassVar[str] = "decision"


@dataclass(frozen=True, slots=True, kw_only=True, eq=False)
class Done(Words):
    """A task of the work list that is done: by whom, in how many minutes, with which parts."""

    kind: ClassVar[str] = "decision"


@dataclass(frozen=True, slots=True, kw_only=True, eq=False)
class Repair(Words):
    """A temporary repair, and who makes it good by when."""

    kind: ClassVar[str] = "decision"


@dataclass(frozen=True, slots=True, kw_only=True, eq=False)
class Permit(Words):
    """A test with power on: why, who, barriers, for how long."""

    kind: ClassVar[str] = "decision"
