"""A stage of a bench sheet: what is entered at it, what can be found, what it asks for and when it is done."""

from collections.abc import Callable
from dataclasses import dataclass
from functools import cached_property

from norvash.core.diagnosis.checks import CHECKS
from norvash.core.diagnosis.sign import Sign
from norvash.core.motor.figure import Number, Word
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.field import Field, Noticed, Quantity, Text, Tick, measured_twice, second_of
from norvash.core.sheet.fields_made import text, tick
from norvash.core.sheet.finding import Finding
from norvash.core.sheet.gate import Gate
from norvash.core.sheet.part import Part
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.task import Task


@dataclass(frozen=True, kw_only=True, eq=False)
class Stage:
    """One stage: its id in the record and in addresses, its name in the code, its title.

    `fields` are entered at it, `again` are those of other stages that are asked or tried once more at it, `named` finds
    fields that are only named as they come. `signs` belong to it: of a stage with the motor closed they are picked, of
    one `inside` they follow from its findings; where it `hears` they are complaints, and graded. `looked` are the
    findings that are picked by sight, `findings` all others; `parts` are those that it looks at, the set of brushes
    too where it `measures`; `looks` are the ticks that say of one of several parts that somebody looked at it.

    One that is inside or `proves` the motor is not walked where the fault lies before it; an entry at one that `opens`
    says that the motor was opened. The one that `closes` the sheet is still written on once it is signed. `asks` are
    the figures of the motor that it works with: where nobody states one, it asks for it; `asks_some` those of some
    motors only. How it judges is said beside it.
    """

    id: str
    name: str
    words: str
    fields: tuple[Field, ...] = ()
    again: tuple[Field, ...] = ()
    signs: tuple[Sign, ...] = ()
    looked: tuple[Finding, ...] = ()
    findings: tuple[Finding, ...] = ()
    parts: tuple[Part, ...] = ()
    looks: tuple[tuple[Part, Tick], ...] = ()
    measures: bool = False
    gate: Gate | None = None
    schools: tuple[str, ...] = ()
    asks: tuple[Number | Word, ...] = ()
    asks_some: tuple[tuple[Callable[[Facts], bool], tuple[Number | Word, ...]], ...] = ()
    inside: bool = False
    opens: bool = False
    proves: bool = False
    quick: bool = False
    closes: bool = False
    hears: bool = False
    skipped: bool = True
    named: Callable[[str], Field | None] | None = None

    def has(self, field_id: str) -> bool:
        """Tell whether a field is one of its own."""
        return field_id in self._ids

    @cached_property
    def _ids(self) -> frozenset[str]:
        return frozenset(f.id for f in self.all_fields)

    @property
    def tasks(self) -> tuple[Task, ...]:
        """Return the tasks that its findings lead to."""
        return tuple(dict.fromkeys(t for f in (*self.looked, *self.findings) for t in f.tasks))

    @cached_property
    def clears(self) -> tuple[str, ...]:
        """Return the signs that “looked at, nothing found” denies: those of what is picked by sight at it, but for
        those that a test may show although nothing was seen.
        """
        seen = dict.fromkeys(f.shows[0] for f in self.looked if f.shows)
        by_test = {f.shows[0] for f in self.looked if f.shows and "by-test" in f.kinds}
        return tuple(sign for sign in seen if sign not in by_test)

    @cached_property
    def remark(self) -> Text:
        """Return its remark."""
        return text(f"remark.{self.id}", "Remarks", "Remark", needs="safe" if self.inside else "", placed=True)

    @cached_property
    def skip(self) -> Text | None:
        """Return the field that skips it with a reason, None where it cannot be skipped."""
        return (
            text(f"skip.{self.id}", "Skipped", f"{self.words}: skipped because", placed=True) if self.skipped else None
        )

    @cached_property
    def sound(self) -> Tick | None:
        """Return the tick that says that it was looked at and nothing found, None where nothing is picked by sight."""
        if not self.looked:
            return None
        return tick(f"sound.{self.id}", "Seen", "looked at, nothing found", needs="safe", judged=True)

    @cached_property
    def noticed(self) -> tuple[Noticed, ...]:
        """Return its signs as fields; where one is looked for it says what to mind."""
        mind = {sign_id: check.danger for check in CHECKS for sign_id in check.signs}
        return tuple(Noticed.asking(s, mind.get(s.id, ""), judged=self.hears) for s in self.signs)

    @property
    def picked(self) -> tuple[Noticed, ...]:
        """Return the signs that are picked at it: of a stage inside none, they follow from what is found there."""
        return () if self.inside else self.noticed

    @cached_property
    def all_fields(self) -> tuple[Field, ...]:
        """Return every field of it, in the order in which they are asked for."""
        seen = tuple(
            tick(f.look, "Seen", f.words, needs="safe", judged=True, tells=(f,), classes=f.classes) for f in self.looked
        )
        gate = (self.gate.waived, self.gate.confirmed, self.gate.again) if self.gate else ()
        own = (self.sound, *gate)
        last = (self.remark, self.skip)
        return (*seen, *(f for f in own if f), *self.fields, *self.picked, *(f for f in last if f))

    def looked_at(self, sheet: Sheet) -> bool:
        """Tell whether somebody has looked: something was seen at it, or nothing found."""
        nothing = self.sound is not None and self.sound.of(sheet)
        return nothing or any(f.seen(sheet) for f in self.looked)

    def named_field(self, field_id: str) -> Field | None:
        """Return a field of it that is only named as it comes, None where it has no such field."""
        if twice := measured_twice(field_id):
            field = next((f for f in self.all_fields if f.id == twice), None)
            return second_of(field) if isinstance(field, Quantity) and field.sighted else None
        step = self.gate.named(field_id) if self.gate is not None else None
        return step or (self.named(field_id) if self.named is not None else None)

    @property
    def may_ask(self) -> tuple[Number | Word, ...]:
        """Return the figures that it asks for of any motor."""
        return (*self.asks, *(f for _, figures in self.asks_some for f in figures))

    def asks_of(self, facts: Facts) -> tuple[Number | Word, ...]:
        """Return the figures that it asks for of a motor."""
        some = (f for asked, figures in self.asks_some if asked(facts) for f in figures)
        return tuple(f for f in (*self.asks, *some) if not f.classes or facts.motor_class in f.classes)

    def offered(self, facts: Facts, rules: MotorRules) -> tuple[Field, ...]:
        """Return its fields that are offered for a motor."""
        return tuple(f for f in self.all_fields if f.is_offered(facts, rules))
