"""Notes of the past as they are typed: a round, a reading of use, a set that is gone."""

from collections.abc import Mapping
from dataclasses import dataclass, field


@dataclass(frozen=True, slots=True, kw_only=True)
class NotedRound:
    """A round from notes: its day, what the counter showed or what had run since the set was new, lengths by position.

    `line` is where it stands in its form or table; of a round of the `shortest` only one brush was measured.
    """

    line: int
    day: str
    counter: str = ""
    ran: str = ""
    readings: Mapping[int, str] = field(default_factory=dict)
    method: str = ""
    instrument: str = ""
    by: str = ""
    shortest: bool = False


@dataclass(frozen=True, slots=True, kw_only=True)
class NotedUse:
    """What a counter showed on a day."""

    line: int
    day: str
    counter: str


@dataclass(frozen=True, slots=True, kw_only=True)
class NotedSet:
    """A set that is gone: when it came out and went in, the counter then, its lengths at the end or how long it lasted.

    `lasted` is somebody's word: “190 h”, “at least 190 h”, “2 years”; `gone` the share of carbon that was gone then.
    """

    line: int
    ended: str
    fitted: str = ""
    ended_counter: str = ""
    fitted_counter: str = ""
    lasted: str = ""
    gone: str = ""
    lengths: Mapping[int, str] = field(default_factory=dict)
    why: str = ""


Note = NotedRound | NotedUse | NotedSet
