"""What a stage of a sheet shows: its fields in groups with what was entered, and its drawings."""

from collections.abc import Iterable
from dataclasses import dataclass
from typing import NamedTuple

from norvash.core.sheet.field import BEARINGS, Field, Noticed, Pick, Quantity
from norvash.core.sheet.gates import GATES
from norvash.core.sheet.given import Given
from norvash.core.sheet.matters import DECISIONS
from norvash.core.sheet.stage import Stage
from norvash.core.sheet.stages.catalogue import FINDINGS, STAGES, field_of, stage_of
from norvash.core.sheet.stages.commutator.cut import CUT_DONE
from norvash.core.text.quantities import UNITS
from norvash.work.sheet_page import SheetPage

_OWN_PLACE = (
    "Skipped",
    "Remarks",
    "Waived",
    "Confirmed",
    "Overruled",
    "Causes found and mended",
    "Test with power on",
    "Temporary repairs",
    "Added after signing",
    "Isolation",
)


@dataclass(frozen=True, slots=True)
class Entry:
    """One field at one place with what was entered there, ready to be shown."""

    field: Field
    place: int
    label: str
    given: Given | None

    @property
    def key(self) -> str:
        """Return the name that its elements and its trouble carry."""
        return f"{self.field.id}.{self.place}".replace(":", "-")

    @property
    def word(self) -> str:
        """Return the picked word, empty without one."""
        return self.given.word if self.given else ""

    @property
    def said(self) -> str:
        """Return what was entered in words, empty without anything."""
        if self.given is None or not self.given.typed:
            return ""
        return self.label if self.field.kind == "tick" else _said(self.field, self.given)

    @property
    def typed(self) -> str:
        """Return what was typed."""
        return self.given.typed if self.given else ""


@dataclass(frozen=True, slots=True)
class Said:
    """One thing that was worked out: words, whether it is right (None says nothing), and its rules."""

    words: str
    right: bool | None = None
    rules: tuple[str, ...] = ()


class Group(NamedTuple):
    """Fields of a stage that stand together, under a heading."""

    words: str
    entries: list[Entry]

    def of_kind(self, *kinds: str) -> list[Entry]:
        """Return the entries of some kinds."""
        return [e for e in self.entries if e.field.kind in kinds]

    @property
    def said(self) -> str:
        """Return what was entered, in words."""
        return ", ".join(e.said for e in self.entries if e.said)

    def holds(self, place: str) -> bool:
        """Tell whether a field at a place, as trouble names it, is among them."""
        return any(f"{e.field.id}.{e.place}" == place for e in self.entries)


def entry(shown: SheetPage, field: Field, place: int = 0, label: str = "") -> Entry:
    """Return a field as it stands on a sheet."""
    return Entry(field, place, label or field.label, shown.sheet.entries.get((field.id, place)))


def groups_of(shown: SheetPage, stage: Stage, places: Iterable[int] = ()) -> list[Group]:
    """Return the fields of a stage by group, of a signed sheet those with an entry.

    Those for each position at the given places only.
    """
    made: dict[str, list[Entry]] = {}
    facts, rules = shown.context.facts, shown.context.rules
    again = [f for f in stage.again if f.is_offered(facts, rules)]
    for field in (*stage.offered(facts, rules), *again):
        if field.group in _OWN_PLACE or isinstance(field, Noticed):
            continue
        for place in _places(shown, field, places):
            group = f"{field.group}, {BEARINGS[place - 1]}" if field.per == "bearing" else field.group
            found = entry(shown, field, place, _label(shown, field, place))
            if found.given or not shown.sheet.signed_at:
                made.setdefault(group, []).append(found)
    return [Group(words, entries) for words, entries in made.items()]


def _places(shown: SheetPage, field: Field, places: Iterable[int]) -> Iterable[int]:
    if field.per == "tap":
        return range(1, len(shown.context.facts.taps) + 1)
    if field.per == "bearing":
        return range(1, len(BEARINGS) + 1)
    return places if field.per == "position" else (0,) if field.per == "" else ()


def _label(shown: SheetPage, field: Field, place: int) -> str:
    if field.per == "tap":
        return f"{field.label} {place}, expected {shown.context.facts.taps[place - 1]:.0%}"
    return field.label


def signs_of(shown: SheetPage, stage: Stage) -> list[Entry]:
    """Return the signs that can be noticed at a stage of this motor, of a signed sheet those that were."""
    fields = stage.offered(shown.context.facts, shown.context.rules)
    found = [entry(shown, f) for f in (*stage.again, *fields) if isinstance(f, Noticed)]
    return [e for e in found if e.given or not shown.sheet.signed_at]


def named(shown: SheetPage, stage: Stage, group: str) -> list[Entry]:
    """Return the fields of one group of a stage."""
    return [entry(shown, f) for f in stage.offered(shown.context.facts, shown.context.rules) if f.group == group]


@dataclass(frozen=True, slots=True)
class Written:
    """One line of what stands on a sheet: what, as entered, by whom and when."""

    what: str
    said: str
    given: Given


def written(shown: SheetPage) -> list[tuple[str, list[Written]]]:
    """Return all that was entered on a sheet by stage, in the order in which it was entered."""
    made: dict[Stage | None, list[Written]] = {}
    for (field_id, place), given in sorted(shown.sheet.entries.items(), key=lambda e: e[1].at):
        field = field_of(field_id)
        if field is None or not given.typed:
            continue
        where = _where(shown, field, place)
        label = _acts(shown).get(field_id, FINDINGS[field.label].words if field.label in FINDINGS else field.label)
        made.setdefault(stage_of(field_id), []).append(Written(f"{label}{where}", _said(field, given), given))
    return [(s.words, made[s]) for s in STAGES if s in made]


def _where(shown: SheetPage, field: Field, place: int) -> str:
    if field.per == "bearing":
        return f", {BEARINGS[place - 1]}"
    if field.per == "position" and place:
        return f" {shown.context.state.positions[place - 1].label}"
    return f" {place}" if place else ""


def _acts(shown: SheetPage) -> dict[str, str]:
    """Return the words of the steps of all gates."""
    facts, rules = shown.context.facts, shown.context.rules
    return {g.step(s.id).id: s.act for g in GATES.values() for s in g.steps(facts, rules)}


def _said(field: Field, given: Given) -> str:
    if field is CUT_DONE:
        from norvash.core.sheet.stages.commutator.cut_made import cut_words

        return cut_words(given.more)
    if field.kind in ("map", "column"):
        return given.word.replace(";", "; ") if field.kind == "map" else f"{len(given.word.split(';'))} readings"
    choices = dict(field.choices) if isinstance(field, Pick) else DECISIONS
    words = choices.get(given.word, given.typed)
    if isinstance(field, Quantity) and given.typed[-1].isdigit():
        words += f" {next(iter(UNITS[field.dimension]))}"
    if words == field.label:
        words = "so"
    if field.kind == "tick":
        words = "done"
    return ", ".join([words, *(str(v) for v in given.more.values() if v)])
