"""A visit: a sheet with what was found on its motor, and how each of its stages judges."""

from collections.abc import Callable, Iterable, Mapping
from dataclasses import dataclass, field
from functools import cached_property
from types import MappingProxyType
from typing import Any, Literal

from norvash.core.rules.book import MotorRules
from norvash.core.sheet.finding import Finding
from norvash.core.sheet.held import Held, held
from norvash.core.sheet.life import Life
from norvash.core.sheet.measured import Measured
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.stage import Stage
from norvash.core.state.findings import Findings
from norvash.core.visit.ways import WaysNow, ways_now

# What was measured and said at a stage: of a sheet, by the rules, with what every brush has worn since new [mm].
Measure = Callable[[Sheet, MotorRules, tuple[float, ...]], Iterable[Measured]]


@dataclass(frozen=True)
class Visit:
    """A sheet with what was found on its motor and the rules that hold for it.

    `judging` is how its stages judge, by their ids, `asked_readings` are the brushes of which it is not said whether
    the old one or the new one was read.
    """

    sheet: Sheet
    found: Findings
    rules: MotorRules
    judging: "Mapping[str, Judging]"
    asked_readings: tuple[str, ...] = ()

    @cached_property
    def lives(self) -> tuple[Life, ...]:
        """Return the findings that are in play at this visit: all but those that were withdrawn."""
        return tuple(x for x in self.found.lives if x.state != "withdrawn")

    @cached_property
    def ways(self) -> WaysNow | None:
        """Return the ways to go on side by side, None where nobody has priced any."""
        return ways_now(self.sheet, self.lives, self.rules)

    @cached_property
    def worked_out(self) -> dict[str, Any]:
        """Return what was worked out from this visit already, by the name of what works it out: it never changes."""
        return {}

    def held(self, stage: Stage, keeps: "Keeps") -> tuple[Held, ...]:
        """Return what at a stage keeps a gate, or the signature, shut; what is said in words only is never waived."""
        holds = self.judging[stage.id].holds
        every = holds[keeps](self) if keeps in holds else ()
        return tuple(h if isinstance(h, Held) else held(h) for h in every)

    @property
    def read_here(self) -> bool:
        """Tell whether any brush was measured on this sheet."""
        return self.found.round is not None and self.found.round.sheet_id == self.sheet.id

    @property
    def measured(self) -> bool:
        """Tell whether the set was measured on this sheet, or has been renewed since it was; the lengths of a new one
        may be taken from the part.
        """
        last = self.found.round
        if self.found.taken and self.found.new:
            return True
        return last is not None and (last.sheet_id == self.sheet.id or last.at >= self.sheet.at)


# What keeps a gate, or the signature, shut: each in words, as they stand after a colon.
Holds = Callable[[Visit], Iterable[str | Held]]
Keeps = Literal["power", "service", "sign"]
_OPEN: Mapping[Keeps, Holds] = MappingProxyType({})


def _nothing_measured(_sheet: Sheet, _rules: MotorRules, _worn_mm: tuple[float, ...]) -> Iterable[Measured]:
    return ()


def _none_answered(_sheet: Sheet, _rules: MotorRules) -> Iterable[Finding]:
    return ()


def _no_words(_visit: Visit) -> str:
    return ""


@dataclass(frozen=True, kw_only=True)
class Judging:
    """How a stage judges: `measure` returns what was measured and said at it, `answered` the findings by sight that a
    measurement has answered, `holds` what keeps a gate or the signature shut by what stands at it.

    It is done by `is_done`, or once it was touched, and only begun while `left_of` says what of it is still to be done;
    `left` says what it still waits for.
    """

    stage: Stage
    measure: Measure = _nothing_measured
    answered: Callable[[Sheet, MotorRules], Iterable[Finding]] = _none_answered
    holds: Mapping[Keeps, Holds] = field(default_factory=lambda: _OPEN)
    is_done: Callable[[Visit], bool] | None = None
    left: Callable[[Visit], str] = _no_words
    left_of: Callable[[Visit], str] = _no_words
