"""The section of a motor with its names, wherever it is shown."""

from collections.abc import Collection, Mapping
from dataclasses import dataclass, replace
from typing import Any

from norvash.core.stages.axis import WALKED
from norvash.core.state.findings import Findings
from norvash.core.visit.on_axis import PartNow
from norvash.core.visit.visit import Visit
from norvash.drawing.cutaway.section import PartShown, Section, section
from norvash.work.reading.section_of import across, stated_of
from norvash.work.reading.sheet_now import SheetNow


@dataclass(frozen=True, slots=True, kw_only=True)
class Name:
    """A name beside the section: its part as it stands, its number on the axis, the classes of its place in the rows
    of names, and whether its part is of this stage, or open.
    """

    now: PartNow
    number: int
    row: str
    own: bool
    chosen: bool

    @property
    def look(self) -> str:
        """Return the classes of how it looks."""
        marks = f"{' own' if self.own else ''}{' carried' if self.now.carried else ''}"
        return f"axis-name is-{self.now.state}{marks}"

    @property
    def address(self) -> str:
        """Return where on its sheet somebody looks at it."""
        stage = self.now.part.stage
        return f"{stage}?position={self.number}" if stage in WALKED else stage

    @property
    def said(self) -> str:
        """Return what is said of it to ears: “bearing, drive end: feels rough; open. 4 of 6 looks answered”."""
        left = f". {self.now.answered} of {self.now.of} looks answered" if self.now.of and self.own else ""
        before = ", still open from last time" if self.now.carried else ""
        return f"{self.now.part.words}: {self.now.words}{before}{left}"


@dataclass(frozen=True, slots=True, kw_only=True)
class AxisDrawn:
    """The section of a motor and its names in the order of the axis."""

    section: Section
    names: tuple[Name, ...]

    @property
    def speaking(self) -> tuple[Name, ...]:
        """Return the names of the parts on which something was found."""
        return tuple(x for x in self.names if x.now.grade)


def axis_drawn(
    visit: Visit,
    found: Findings,
    parts: tuple[PartNow, ...],
    own: Collection[int] = (),
    chosen: int = 0,
    *,
    brief: bool = False,
) -> AxisDrawn:
    """Return the section of a motor as its parts stand at a visit; on a narrow page those are named that are its
    `own` or on which something was found, without any `own` all; where it is `brief` only those on which something
    was found are named at all.
    """
    every = not own and not brief
    narrow = {n for n, p in enumerate(parts, start=1) if every or n in own or n == chosen or p.grade}
    stated, to_scale = stated_of(visit.sheet, found)
    shown = tuple(_shown(n, p, own, chosen) for n, p in enumerate(parts, start=1))
    drawn = section(stated, shown, to_scale, tuple(p.id for p in shown if p.number in narrow), only=brief)
    numbers = {p.part.id: n for n, p in enumerate(parts, start=1)}
    named = ((numbers[i], i) for i in drawn.order)
    names = tuple(
        Name(
            now=parts[n - 1],
            number=n,
            row=_row(i, drawn) + ("" if n in narrow else " wide-only"),
            own=n in own,
            chosen=n == chosen,
        )
        for n, i in named
    )
    return AxisDrawn(section=drawn, names=names)


def _row(part: str, drawn: Section) -> str:
    """Return the classes of the place of a name: above or below, over its share of the width."""
    above = part in drawn.above
    return f"{'above' if above else 'below'} of-{len(drawn.above if above else drawn.below)}"


def _shown(number: int, now: PartNow, own: Collection[int], chosen: int) -> PartShown:
    return PartShown(
        id=now.part.id,
        number=number,
        name=now.part.words,
        state=now.state,
        grade=now.grade or "",
        said=now.words,
        own=number in own,
        chosen=number == chosen,
        carried=now.carried,
    )


@dataclass(frozen=True, slots=True, kw_only=True)
class PartSaid:
    """A part as it was told when its sheet was signed: what it is called, how it stood, what was found and left there,
    and what became of it.
    """

    id: str
    words: str
    state: str
    state_words: str
    grade: str
    found: tuple[str, ...]
    left: tuple[str, ...]
    became: tuple[str, ...]


@dataclass(frozen=True, slots=True, kw_only=True)
class AxisSigned:
    """The section of a motor as its sheet was signed, with each part and the place of its name, in axis order."""

    section: Section
    parts: tuple[tuple[str, PartSaid], ...]


def axis_signed(page: SheetNow) -> AxisSigned | None:
    """Return the section as a sheet was signed, None where that tells nothing of its parts; its brushes stand at the
    lengths that were read on it.
    """
    told = (page.told or {}).get("axis")
    if not isinstance(told, list) or not told:
        return None
    parts = tuple(_said(x) for x in told)
    shown = tuple(
        PartShown(
            id=x.id,
            number=n,
            name=x.words,
            state=x.state,
            grade=x.grade,
            said="; ".join((*x.found, *x.became)) or x.state_words,
        )
        for n, x in enumerate(parts, start=1)
    )
    stated, to_scale = stated_of(page.sheet, page.found)
    read = {
        n: m.length_mm
        for s in page.context.sets
        for r in s.rounds
        if r.sheet_id == page.row.id
        for n, m in r.readings.items()
    }
    one, other = across(page.sheet.facts.positions)
    drawn = section(
        replace(stated, lengths=(read.get(one), read.get(other))), shown, to_scale, tuple(x.id for x in parts)
    )
    by_id = {x.id: x for x in parts}
    return AxisSigned(section=drawn, parts=tuple((_row(i, drawn), by_id[i]) for i in drawn.order))


def _said(told: Mapping[str, Any]) -> PartSaid:
    return PartSaid(
        id=str(told["part"]),
        words=str(told["words"]),
        state=str(told["state"]),
        state_words=str(told["state_words"]),
        grade=str(told["grade"]),
        found=tuple(told["found"]),
        left=tuple(told["left"]),
        became=tuple(told["became"]),
    )
