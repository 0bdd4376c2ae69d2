"""The section on a stage that is walked by parts: its drawing, its names as buttons, and the part that is open."""

from collections.abc import Iterator
from dataclasses import dataclass
from typing import TypedDict

from norvash.core.sheet.field import Field, Tick
from norvash.core.sheet.given import Given
from norvash.core.stages.axis import BEARING, at_field, at_finding, looked, on
from norvash.core.stages.catalogue import STAGE_BY_ID
from norvash.core.stages.drive.together import TOGETHER
from norvash.core.visit.on_axis import PartNow, named_parts, parts_now
from norvash.core.visit.together import Look, by_part, may_be_said
from norvash.web.drawn.axis import AxisDrawn, Name, axis_drawn
from norvash.web.stages.shown.at import At
from norvash.web.stages.shown.fields import Entry, Group, entry
from norvash.web.stages.shown.lives import LifeShown, lives_shown
from norvash.work.reading.sheet_now import SheetNow


class Together(TypedDict):
    """What may be said together at a stage, the entry that says it, and what was said so."""

    together: tuple[Look, ...]
    together_words: list[str]
    together_next: Entry | None
    together_said: tuple[Given, ...]


@dataclass(frozen=True, slots=True, kw_only=True)
class AxisShown:
    """The section of a motor at a stage: its names in the order of the axis, the part that is open with its entries,
    what it is asked to look for, its tick and its findings; `elsewhere` are the entries of all parts, `left` is how
    many parts of the stage are not looked at. `together` are the looks that may be said to have found nothing with one
    press, and those that were.
    """

    drawn: AxisDrawn
    open: Name
    groups: tuple[Group, ...]
    seen: tuple[Entry, ...]
    tick: Entry | None
    lives: tuple[LifeShown, ...]
    stage_words: str
    left: int
    of: int
    elsewhere: tuple[Entry, ...]
    together: tuple[Look, ...]
    together_words: list[str]
    together_next: Entry | None
    together_said: tuple[Given, ...]


def axis_shown(at: At) -> AxisShown:
    """Return the section of a sheet at a stage, with the part that was chosen open, else the first that is still to be
    looked at.
    """
    page = at.shown
    parts = parts_now(page.visit)
    numbered = dict(enumerate(parts, start=1))
    own = [n for n, p in numbered.items() if p.part.stage == at.stage.id]
    drawn = axis_drawn(page.visit, page.found, parts, own, _chosen(at, numbered, own))
    opened = next(x for x in drawn.names if x.chosen)
    here = opened.own
    return AxisShown(
        drawn=drawn,
        open=opened,
        groups=_groups(at, opened.now) if here else (),
        seen=_seen(at, opened.now) if here else (),
        tick=_tick(at, opened.now) if here else None,
        lives=tuple(x for x in lives_shown(page) if any(x.life is y for y in opened.now.lives)),
        stage_words=STAGE_BY_ID[opened.now.part.stage].words,
        left=sum(numbered[n].to_look_at for n in own),
        of=len(own),
        elsewhere=tuple(_elsewhere(at)),
        **_together(at),
    )


def _together(at: At) -> Together:
    """Return what may be said together at a stage, and what was."""
    page, places = at.shown, TOGETHER.places(at.shown.sheet)
    here = at.stage.has(TOGETHER.id)
    open_now = here and page.row.signed_at is None
    may = may_be_said(page.sheet, page.visit.lives, page.context.rules) if open_now else ()
    said = (TOGETHER.given(page.sheet, n) for n in places) if here else ()
    return Together(
        together=may if len(may) > 1 else (),
        together_words=by_part(may),
        together_next=entry(page, TOGETHER, max(places, default=0) + 1) if here else None,
        together_said=tuple(g for g in said if g is not None),
    )


def _chosen(at: At, numbered: dict[int, PartNow], own: list[int]) -> int:
    """Return the number of the part that is open: that of a refused entry, the one that was chosen, else the first that
    is still to be looked at, else the gravest.
    """
    refused = _refused(at, numbered)
    if refused or at.position in numbered:
        return refused or at.position
    graver = [n for n in own if numbered[n].state == "found"]
    return next((n for n in own if numbered[n].to_look_at), (graver or own)[0])


def part_of_field(shown: SheetNow, field: Field) -> str:
    """Return how an address opens the part at which a field stands, empty where its stage is not walked by parts."""
    parts = parts_now(shown.visit)
    named = {p.part.id: p.part for p in parts}
    part = on(at_field(field, 0), named)
    return next((f"?position={n}" for n, p in enumerate(parts, start=1) if part and p.part.id == part), "")


def _refused(at: At, numbered: dict[int, PartNow]) -> int:
    field_id, place = at.typed.get("field", ""), int(at.typed.get("place") or 0)
    field = next((f for f in at.stage.all_fields if f.id == field_id), None)
    if field is None or "value" not in at.typed:
        return 0
    named = {p.part.id: p.part for p in numbered.values()}
    part = next((at_finding(t) for t in field.tells if field.id == t.look), "") or at_field(field, place)
    return next((n for n, p in numbered.items() if p.part.id == on(part, named)), 0) if at.position == 0 else 0


def _groups(at: At, now: PartNow) -> tuple[Group, ...]:
    """Return the fields of a part in their groups: its looks first, then what is measured at it."""
    named = named_parts(at.shown.sheet)
    made = []
    for group in at.fields.groups:
        mine = [e for e in group.entries if not e.field.id.startswith(("seen.", "sound.", "looked."))]
        mine = [e for e in mine if on(at_field(e.field, e.place), named) == now.part.id]
        if mine:
            made.append(Group(group.words, mine))
    bush = bool(now.part.bearing) and at.shown.sheet.facts.motor_class == "starter"
    return tuple(sorted(made, key=lambda g: (g.apart, bush and "bush" not in g.words)))


def _elsewhere(at: At) -> Iterator[Entry]:
    """Yield the entries that stand with their own part, and are not named beside it once more."""
    for group in at.fields.groups:
        for e in group.entries:
            on_part = at_field(e.field, e.place) or e.field.id.startswith("seen.")
            if on_part or (e.field.id.startswith("sound.") and not e.word):
                yield e


def _seen(at: At, now: PartNow) -> tuple[Entry, ...]:
    """Return what is picked by sight at a part; of a bearing only what stands already, for each is asked by itself."""
    named = named_parts(at.shown.sheet)
    ticks = (f for f in at.stage.all_fields if isinstance(f, Tick) and f.id.startswith("seen."))
    made = []
    for field in ticks:
        lies = at_finding(field.tells[0])
        shown = entry(at.shown, field)
        at_bearing = lies == BEARING
        if at_bearing and not (now.part.bearing and (shown.word or shown.found)):
            continue
        if at_bearing or on(lies, named) == now.part.id:
            made.append(shown)
    return tuple(made)


def _tick(at: At, now: PartNow) -> Entry | None:
    tick = looked(now.part)
    return entry(at.shown, tick, now.part.bearing) if tick is not None else None
