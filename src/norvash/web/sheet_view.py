"""What a stage of a sheet shows: its fields in groups with what was entered, and its drawings."""

from collections.abc import Iterable
from dataclasses import dataclass
from typing import NamedTuple

from norvash.core.part_findings import BY_ID as FINDINGS
from norvash.core.sheet.deciding import DECISIONS
from norvash.core.sheet.field import BEARINGS, SheetField
from norvash.core.sheet.fields import BY_ID, STAGES, field_of
from norvash.core.sheet.gates import GATES, steps_of
from norvash.core.sheet.given import Given
from norvash.core.sheet.offering import fields_of, is_offered
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
# Fields of a later stage that are measured at an earlier one too.
_ASKED_AGAIN = {"windings": ("earth-ohm",)}
# Signs of the call that are tried or seen once more at a later stage.
_SEEN_AGAIN = {"before": ("sign.tapped", "sign.sparks")}


@dataclass(frozen=True, slots=True)
class Entry:
    """One field at one place with what was entered there, ready to be shown."""

    field: SheetField
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


def entry(shown: SheetPage, field: SheetField, place: int = 0, label: str = "") -> Entry:
    """Return a field as it stands on a sheet."""
    return Entry(field, place, label or field.label, shown.sheet.entries.get((field.id, place)))


def groups_of(shown: SheetPage, stage: str, places: Iterable[int] = ()) -> list[Group]:
    """Return the fields of a stage by group, of a signed sheet those with an entry.

    Those for each position at the given places only.
    """
    made: dict[str, list[Entry]] = {}
    facts, rules = shown.context.facts, shown.context.rules
    again = [BY_ID[f] for f in _ASKED_AGAIN.get(stage, ()) if is_offered(BY_ID[f], facts, rules)]
    for field in (*fields_of(stage, facts, rules), *again):
        if field.group in _OWN_PLACE or field.id.startswith("sign."):
            continue
        for place in _places(shown, field, places):
            group = f"{field.group}, {BEARINGS[place - 1]}" if field.per == "bearing" else field.group
            found = entry(shown, field, place, _label(shown, field, place))
            if found.given or not shown.sheet.signed_at:
                made.setdefault(group, []).append(found)
    return [Group(words, entries) for words, entries in made.items()]


def _places(shown: SheetPage, field: SheetField, places: Iterable[int]) -> Iterable[int]:
    if field.per == "tap":
        return range(1, len(shown.context.facts.taps) + 1)
    if field.per == "bearing":
        return range(1, len(BEARINGS) + 1)
    return places if field.per == "position" else (0,) if field.per == "" else ()


def _label(shown: SheetPage, field: SheetField, place: int) -> str:
    if field.per == "tap":
        return f"{field.label} {place}, expected {shown.context.facts.taps[place - 1]:.0%}"
    return field.label


def signs_of(shown: SheetPage, stage: str) -> list[Entry]:
    """Return the signs that can be noticed at a stage of this motor, of a signed sheet those that were."""
    fields = fields_of(stage, shown.context.facts, shown.context.rules)
    again = [BY_ID[f] for f in _SEEN_AGAIN.get(stage, ())]
    found = [entry(shown, f) for f in (*again, *fields) if f.id.startswith("sign.")]
    return [e for e in found if e.given or not shown.sheet.signed_at]


def named(shown: SheetPage, stage: str, group: str) -> list[Entry]:
    """Return the fields of one group of a stage."""
    return [entry(shown, f) for f in fields_of(stage, shown.context.facts, shown.context.rules) if f.group == group]


@dataclass(frozen=True, slots=True)
class Written:
    """One line of what stands on a sheet: what, as entered, by whom and when."""

    what: str
    said: str
    given: Given


def written(shown: SheetPage) -> list[tuple[str, list[Written]]]:
    """Return all that was entered on a sheet by stage, in the order in which it was entered."""
    made: dict[str, list[Written]] = {}
    for (field_id, place), given in sorted(shown.sheet.entries.items(), key=lambda e: e[1].at):
        field = field_of(field_id)
        if field is None or not given.typed or field_id == "addition":
            continue
        where = _where(shown, field, place)
        label = _acts(shown).get(field_id, FINDINGS[field.label].words if field.label in FINDINGS else field.label)
        made.setdefault(field.stage, []).append(Written(f"{label}{where}", _said(field, given), given))
    return [(STAGES[s], made[s]) for s in STAGES if s in made]


def _where(shown: SheetPage, field: SheetField, place: int) -> str:
    if field.per == "bearing":
        return f", {BEARINGS[place - 1]}"
    if field.per == "position" and place:
        return f" {shown.context.state.positions[place - 1].label}"
    return f" {place}" if place else ""


def _acts(shown: SheetPage) -> dict[str, str]:
    """Return the words of the steps of all gates."""
    facts, rules = shown.context.facts, shown.context.rules
    return {f"step.{g}.{s.id}": s.act for g in GATES for s in steps_of(g, facts, rules)}


def _said(field: SheetField, given: Given) -> str:
    if field.id == "cut-done":
        from norvash.core.sheet.cutting import cut_words

        return cut_words(given.more)
    if field.kind in ("map", "column"):
        return given.word.replace(";", "; ") if field.kind == "map" else f"{len(given.word.split(';'))} readings"
    words = dict(field.choices).get(given.word, DECISIONS.get(given.word, given.typed))
    if field.kind == "quantity" and given.typed[-1].isdigit():
        words += f" {next(iter(UNITS[field.dimension]))}"
    if words == field.label:
        words = "so"
    if field.kind == "tick":
        words = "done"
    return ", ".join([words, *(str(v) for v in given.more.values() if v)])
