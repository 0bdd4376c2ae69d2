"""Fields that hold a price, a part that is offered, one that came off or went back, a task that was added."""

from dataclasses import dataclass
from typing import ClassVar

from norvash.core.sheet.field import Words
from norvash.core.stacks.kinds import Where


@dataclass(frozen=True, slots=True, kw_only=True, eq=False)
class Costed(Words):
    """A way to go on, by its name, with what it costs."""

    kind: ClassVar[str] = "decision"


@dataclass(frozen=True, slots=True, kw_only=True, eq=False)
class Taken(Words):
    """Which of the ways is taken, by its place, with the reason where one was given."""

    kind: ClassVar[str] = "decision"


@dataclass(frozen=True, slots=True, kw_only=True, eq=False)
class Offered(Words):
    """A part that is offered, by its kind, with its sizes and names and those of the old one."""

    kind: ClassVar[str] = "decision"


@dataclass(frozen=True, slots=True, kw_only=True, eq=False)
class Added(Words):
    """A task that somebody adds to the work list, with its minutes and the parts that it touches."""

    kind: ClassVar[str] = "decision"


@dataclass(frozen=True, slots=True, kw_only=True, eq=False)
class Off(Words):
    """A part that came off: of which stack, inside the motor or on the machine."""

    kind: ClassVar[str] = "decision"

    stack: str
    where: Where


@dataclass(frozen=True, slots=True, kw_only=True, eq=False)
class Back(Words):
    """A part that went back: as it came off, or how it differs, or what became of it instead."""

    kind: ClassVar[str] = "decision"

    stack: str
    where: Where


@dataclass(frozen=True, slots=True, kw_only=True, eq=False)
class Log(Words):
    """Points of a run, as they were read one after the other."""

    kind: ClassVar[str] = "text"
