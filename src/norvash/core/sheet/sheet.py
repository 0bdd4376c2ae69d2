"""A bench sheet as it stands: what was entered, by whom, and what follows for gates and permits."""

from collections.abc import Mapping
from dataclasses import dataclass, field
from datetime import datetime, timedelta
from types import MappingProxyType
from typing import Literal

from norvash.core.rules.book import MotorRules
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.fields import STAGES, field_of
from norvash.core.sheet.gates import steps_of
from norvash.core.sheet.given import Earlier, Given, Kind

GateState = Literal["open", "passed", "waived"]
QUICK = ("safe", "brushes", "sign")
YES = "yes"


@dataclass(frozen=True, slots=True)
class Gate:
    """A gate's state, who settled it and when, what is still to be done, and the reason of a waiver."""

    state: GateState
    person: str = ""
    at: datetime | None = None
    why: str = ""
    to_do: tuple[str, ...] = ()


@dataclass(frozen=True, slots=True, kw_only=True)
class Sheet:
    """One visit to one motor; entries by field and place, place 0 where there is only one.

    `earlier` is of fields that are compared.
    """

    id: str
    number: int
    kind: Kind
    at: datetime
    person: str
    facts: Facts
    entries: Mapping[tuple[str, int], Given]
    signed_at: datetime | None = None
    earlier: Mapping[str, "Earlier"] = field(default_factory=lambda: MappingProxyType({}))

    def given(self, field_id: str, place: int = 0) -> Given | None:
        """Return an entry, None where nothing was entered or it was emptied again."""
        found = self.entries.get((field_id, place))
        return found if found is not None and (found.word or found.number is not None) else None

    def word(self, field_id: str, place: int = 0) -> str:
        """Return an entry's word, empty without one."""
        found = self.given(field_id, place)
        return found.word if found else ""

    def number_of(self, field_id: str, place: int = 0) -> float | None:
        """Return an entry's number in the SI unit of its field, None without one."""
        found = self.given(field_id, place)
        return found.number if found else None

    def column(self, field_id: str) -> tuple[float | None, ...]:
        """Return a column of readings in the SI unit of its field, empty without one."""
        word = self.word(field_id)
        return tuple(None if x == "-" else float(x) for x in word.split(";")) if word else ()

    def has(self, field_id: str, place: int = 0) -> bool:
        """Tell whether a tick is set."""
        return self.word(field_id, place) == YES

    def places(self, field_id: str) -> tuple[int, ...]:
        """Return the places at which a field was entered, in order."""
        return tuple(sorted(p for (f, p) in self.entries if f == field_id and self.given(f, p)))

    @property
    def upstream(self) -> bool:
        """Tell whether it was settled that the fault lies before the motor."""
        return self.word("upstream") == "upstream" or self.word("outcome") == "upstream"

    @property
    def stages(self) -> tuple[str, ...]:
        """Return the stages that this sheet walks."""
        return QUICK if self.kind == "quick" else tuple(STAGES)

    @property
    def open_permits(self) -> tuple[int, ...]:
        """Return the numbers of the tests with power on that are open."""
        return tuple(n for n in self.places("permit.open") if not self.has("permit.close", n))

    def runs_until(self, permit: int) -> datetime | None:
        """Return until when a test with power on is permitted, None where there is none with this number."""
        given = self.given("permit.open", permit)
        return given.at + timedelta(minutes=float(given.more.get("minutes", "0"))) if given else None

    def permitted(self, now: datetime) -> bool:
        """Tell whether a test with power on is open and within its time."""
        return any((until := self.runs_until(n)) is not None and now <= until for n in self.open_permits)

    @property
    def state(self) -> str:
        """Return how far the motor is open: assembled, opened or stripped."""
        said = self.word("state")
        if said:
            return said
        return "opened" if any(self.touched(s) for s in ("brushes", "commutator")) else "assembled"

    def touched(self, stage: str) -> bool:
        """Tell whether anything was entered at a stage."""
        return any(
            (found := field_of(f)) is not None
            and found.stage == stage
            and self.given(f, p)
            and not f.startswith("skip.")
            for f, p in self.entries
        )


def gate(sheet: Sheet, name: str, rules: MotorRules) -> Gate:
    """Return how a gate stands: every step ticked or all confirmed at once, waived with a reason, or open."""
    waived = sheet.given(f"waive.{name}")
    if waived is not None:
        return Gate("waived", waived.person, waived.at, waived.word)
    all_at_once = sheet.given(f"confirm.{name}")
    if all_at_once is not None:
        return Gate("passed", all_at_once.person, all_at_once.at)
    steps = steps_of(name, sheet.facts, rules)
    done = [sheet.given(f"step.{name}.{s.id}") for s in steps]
    to_do = tuple(s.act for s, d in zip(steps, done, strict=True) if d is None)
    if name == "safe" and not sheet.word("safe.method"):
        to_do = (*to_do, "how it is isolated")
    if to_do:
        return Gate("open", to_do=to_do)
    last = max((d for d in (*done, sheet.given("safe.method")) if d is not None), key=lambda d: d.at)
    return Gate("passed", last.person, last.at)
