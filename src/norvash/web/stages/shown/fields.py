"""The fields of a stage as they stand on a sheet, and which of them its template has drawn."""

from collections.abc import Iterable
from dataclasses import dataclass
from typing import NamedTuple

from norvash.core.sheet.field import BEARINGS, SIDES, Field, Noticed, Quantity, Tick, second_of
from norvash.core.sheet.given import Given, Sight
from norvash.core.sheet.measured import Measured
from norvash.core.sheet.stage import Stage
from norvash.core.stages.windings.insulation import circuits_of
from norvash.core.visit.done import asked_since, sight_of
from norvash.core.visit.named import said_words
from norvash.core.windings.circuits import CIRCUITS, PLACES
from norvash.work.reading.sheet_now import SheetNow

_LINES = {
    "position": "this brush and the next in a line: 8.1; 8.2",
    "bearing": "both ends in a line: 1; 2",
    "side": "both sides in a line: 1; 2",
    "tap": "this one and the next in a line: 60; 90",
}


@dataclass(frozen=True, slots=True, kw_only=True)
class Entry:
    """One field at one place with what was entered there, ready to be shown.

    `given` is what stands in the sight of which the next value speaks; once work has touched the place that is as left,
    and `found` what was found before it. What is `overtaken` was entered before the last work, and is asked anew;
    `measured` is what is said there, `second` what was measured once more since and does not count yet.
    """

    field: Field
    place: int
    label: str
    given: Given | None
    sight: Sight = "found"
    found: Given | None = None
    overtaken: bool = False
    measured: tuple[Measured, ...] = ()
    second: Given | None = None

    @property
    def key(self) -> str:
        """Return the name that its elements and its trouble carry."""
        return f"{self.field.id}.{self.place}".replace(":", "-")

    @property
    def word(self) -> str:
        """Return the picked word, empty without one."""
        return self.given.word if self.given and not self.overtaken else ""

    @property
    def both(self) -> bool:
        """Tell whether it stands in two sights: what was found beside what was left; of a run only where there was one
        before the work.
        """
        return self.sight == "left" and self.field.sighted and (self.found is not None or not self.field.after_work)

    @property
    def found_said(self) -> str:
        """Return what was found, in words; empty where nothing was."""
        if self.found is None or not self.found.typed:
            return ""
        return "found" if isinstance(self.field, Tick) else said_words(self.field, self.found)

    @property
    def said(self) -> str:
        """Return what was entered in words, empty without anything."""
        if self.given is None or not self.given.typed:
            return self.found_said
        return self.label if isinstance(self.field, Tick) else said_words(self.field, self.given)

    @property
    def second_said(self) -> str:
        """Return what was measured once more, in words."""
        return said_words(self.field, self.second) if self.second is not None else ""

    @property
    def typed(self) -> str:
        """Return what was typed, nothing where it is asked anew."""
        return self.given.typed if self.given and not self.overtaken else ""

    @property
    def before(self) -> str:
        """Return in words what was entered before the last work, empty where nothing was or it still counts."""
        return said_words(self.field, self.given) if self.overtaken and self.given and self.given.typed else ""


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

    @property
    def apart(self) -> bool:
        """Tell whether it stays folded until something is entered: of parts that are only measured now and then."""
        return all(e.field.per == "circuit" and e.place for e in self.entries)

    def holds(self, place: str) -> bool:
        """Tell whether a field at a place, as trouble names it, is among them."""
        return any(f"{e.field.id}.{e.place}" == place for e in self.entries)


def entry(shown: SheetNow, field: Field, place: int = 0, label: str = "") -> Entry:
    """Return a field as it stands on a sheet."""
    written, words = shown.sheet.written, label or field.label
    sight = sight_of(field, shown.done, shown.found.new, place)
    left, found = written.get((field.id, place, "left")), written.get((field.id, place, "found"))
    if field.sighted and left is not None:
        sight = "left"
    given = left if sight == "left" else found
    asked_again = field.after_work and shown.row.signed_at is None
    old = asked_again and given is not None and given.at < asked_since(field, shown.sheet)
    before = found if field.sighted and sight == "left" else None
    return Entry(
        field=field,
        place=place,
        label=words,
        given=given,
        sight=sight,
        found=before,
        overtaken=old,
        measured=shown.said_at.get((field.id, place), ()),
        second=_second(shown, field, place, given),
    )


def _second(shown: SheetNow, field: Field, place: int, given: Given | None) -> Given | None:
    """Return what was measured once more since a value was entered, None where nothing was."""
    if given is None or not isinstance(field, Quantity) or not field.sighted:
        return None
    second = second_of(field).given(shown.sheet, place)
    return second if second is not None and second.at > given.at else None


class StageFields:
    """The fields that a stage offers for a motor, of a signed sheet those with an entry.

    Those for each position stand at the given places only. Its template draws them where they belong; what it has not
    drawn is left, so that no field can be missing from its page.
    """

    def __init__(self, shown: SheetNow, stage: Stage, places: Iterable[int]) -> None:
        facts, rules, self._drawn = shown.context.facts, shown.context.rules, set[tuple[str, int]]()
        self._line_said = False
        self._said = {e: m for e, m in shown.said_at.items() if stage.has(e[0])}
        again = [f for f in stage.again if f.is_offered(facts, rules)]
        offered = [f for f in (*stage.offered(facts, rules), *again) if not f.placed]
        signs = [f for f in (*again, *stage.picked) if isinstance(f, Noticed) and f.is_offered(facts, rules)]
        self.signs = _standing(shown, [entry(shown, f) for f in signs])
        self.groups = _grouped(shown, [f for f in offered if not isinstance(f, Noticed)], tuple(places))

    def group(self, words: str) -> list[Entry]:
        """Return the entries of one group, none where it is not offered."""
        return next((g.entries for g in self.groups if g.words == words), [])

    def drew(self, field_id: str, place: int) -> None:
        """Note that a field was drawn."""
        self._drawn.add((field_id, place))

    def saying(self, e: Entry) -> tuple[Measured, ...]:
        """Return what is said at an entry, and note that it stands there."""
        return self._said.pop((e.field.id, e.place), ())

    def line_said(self, e: Entry) -> str:
        """Return how a line of values is typed, where a value stands for one of several places; said once a page."""
        said = _LINES.get(e.field.per, "") if isinstance(e.field, Quantity) and not e.typed else ""
        if not said or self._line_said:
            return ""
        self._line_said = True
        return said

    def unsaid(self) -> list[Measured]:
        """Return what was measured at this stage and stands at no entry that was drawn so far; it does then."""
        left = [m for said in self._said.values() for m in said]
        self._said.clear()
        return left

    def left(self) -> list[Group]:
        """Return what no template has drawn yet."""
        left = [Group(g.words, [e for e in g.entries if (e.field.id, e.place) not in self._drawn]) for g in self.groups]
        return [g for g in left if g.entries]


def _standing(shown: SheetNow, entries: list[Entry]) -> list[Entry]:
    return [e for e in entries if e.given or e.found or not shown.sheet.signed_at]


def _grouped(shown: SheetNow, fields: Iterable[Field], places: tuple[int, ...]) -> list[Group]:
    made: dict[str, list[Entry]] = {}
    for field in fields:
        at = [entry(shown, field, place, _label(shown, field, place)) for place in _places(shown, field, places)]
        for found in _standing(shown, at):
            made.setdefault(_group_of(field, found.place), []).append(found)
    groups = [Group(words, entries) for words, entries in made.items()]
    return [Group(g.words, sorted(g.entries, key=lambda e: e.place)) if g.apart else g for g in groups]


def _places(shown: SheetNow, field: Field, places: Iterable[int]) -> Iterable[int]:
    if field.per == "tap":
        return range(1, len(shown.context.facts.taps) + 1)
    if field.per == "bearing":
        return range(1, len(BEARINGS) + 1)
    if field.per == "side":
        standing = any((field.id, 0, sight) in shown.sheet.written for sight in ("found", "left"))
        return range(0 if standing else 1, len(SIDES) + 1)
    if field.per == "circuit":
        return circuits_of(shown.context.facts)
    return places if field.per == "position" else (0,) if field.per == "" else ()


def _label(shown: SheetNow, field: Field, place: int) -> str:
    if field.per == "tap":
        return f"{field.label} {place}, expected {shown.context.facts.taps[place - 1]:.0%}"
    if field.per == "side" and place:
        return f"{SIDES[place - 1].capitalize()} {field.label[0].lower()}{field.label[1:]}"
    if field.per == "circuit" and place:
        return f"{CIRCUITS[PLACES[place]].capitalize()}: {field.label[0].lower()}{field.label[1:]}"
    return field.label


def _group_of(field: Field, place: int) -> str:
    """Return under which heading a field stands: the other end, or a part of the circuit, under one of its own."""
    if field.per == "bearing":
        return f"{field.group}, {BEARINGS[place - 1]}"
    return f"{field.group}, part by part" if field.per == "circuit" and place else field.group
