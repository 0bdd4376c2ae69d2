"""Looks that found nothing, said together with one press: which may be, and which were."""

from collections.abc import Iterable, Iterator, Mapping, Sequence
from dataclasses import dataclass

from norvash.core.rules.book import MotorRules
from norvash.core.sheet.field import Field, Pick, Tick
from norvash.core.sheet.finding import Finding
from norvash.core.sheet.life import Life
from norvash.core.sheet.records import Why
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.axis import BEARING, AxisPart, at_field, at_finding, axis_of, looked, on
from norvash.core.stages.drive.bearings import BUSH_STATE
from norvash.core.stages.drive.stage import STAGE as DRIVE
from norvash.core.stages.drive.together import TOGETHER
from norvash.core.visit.done import done_tasks, touched
from norvash.errors import InputError


@dataclass(frozen=True, slots=True, kw_only=True)
class Look:
    """One look of a part, which is named: its field and place, and in words what it found."""

    field: Field
    place: int
    part: str
    words: str

    @property
    def key(self) -> str:
        """Return how it is named among those that are said together."""
        return f"{self.field.id}@{self.place}"


def said_together(sheet: Sheet) -> frozenset[str]:
    """Return the looks of a sheet that were said together, by their keys."""
    known: frozenset[str] | None = sheet.worked_out.get("together")
    if known is None:
        given = (TOGETHER.given(sheet, n) for n in TOGETHER.places(sheet))
        known = frozenset(key for g in given if g is not None for key in g.word.split())
        sheet.worked_out["together"] = known
    return known


def may_be_said(sheet: Sheet, lives: Sequence[Life], rules: MotorRules) -> tuple[Look, ...]:
    """Return the looks that are not answered and may be said to have found nothing together: never one that can find
    what stops this motor, what was off the last time or is still open, nor one that proves work.
    """
    parts = {p.id: p for p in axis_of(sheet.facts) if p.stage == DRIVE.id}
    known, said = {(x.finding.id, x.position) for x in lives}, said_together(sheet)
    made, work = [*_picks(sheet, parts, rules), *_parts(parts)], done_tasks(sheet)
    worked = {look.part for look, _ in made if touched(look.field, work, {}, look.place)}
    return tuple(
        look
        for look, finds in made
        if look.key not in said
        and look.field.given(sheet, look.place) is None
        and not _was_off(look, sheet)
        and look.part not in worked
        and not any(_may_stop(f, sheet) or known & {(f.id, 0), (f.id, look.place)} for f in finds)
    )


def by_part(looks: Iterable[Look]) -> list[str]:
    """Return looks in words, those of one part together."""
    made: dict[str, list[str]] = {}
    for look in looks:
        made.setdefault(look.part, []).append(look.words)
    return [f"{part}: {', '.join(words)}" for part, words in made.items()]


def _picks(sheet: Sheet, parts: Mapping[str, AxisPart], rules: MotorRules) -> Iterator[tuple[Look, Iterable[Finding]]]:
    """Yield the looks that are picked, each with what it can find; only what has one answer that finds nothing."""
    picks = (f for f in DRIVE.fields if isinstance(f, Pick) and f.finds and not f.refused)
    for field in (f for f in picks if f.is_offered(sheet.facts, rules)):
        sound = next((words for key, words in field.choices if key not in field.finds), "")
        for place in (1, 2) if field.per == BEARING else (0,):
            part = parts.get(on(at_field(field, place), parts))
            if part is not None and sound and field is not BUSH_STATE:  # what a plain bush shows is picked by itself
                words = f"{field.label[0].lower()}{field.label[1:]} {sound}"
                yield Look(field=field, place=place, part=part.words, words=words), field.finds.values()


def _parts(parts: Mapping[str, AxisPart]) -> Iterator[tuple[Look, Iterable[Finding]]]:
    """Yield the parts that are looked at as a whole, each with what can be found there."""
    for part in parts.values():
        tick = looked(part)
        if isinstance(tick, Tick):
            finds = [f for f, at in _AT if on(at, parts) == part.id or (part.bearing and at == BEARING)]
            yield Look(field=tick, place=part.bearing, part=part.words, words="nothing found"), finds


# Where on the axis everything lies that a look at this stage, or a figure, can find.
_AT = tuple((f, at_finding(f)) for f in (*DRIVE.looked, *DRIVE.findings))


def _was_off(look: Look, sheet: Sheet) -> bool:
    """Tell whether a look found something the last time."""
    before = look.field.earlier(sheet, look.place)
    return before is not None and isinstance(look.field, Pick) and before.given.word in look.field.finds


def _may_stop(finding: Finding, sheet: Sheet) -> bool:
    """Tell whether something would stop this motor."""
    return finding.carried(hangs=sheet.facts.hangs, wheels=sheet.facts.drives_wheels).grade == "stop"


def together_words(keys: str, sheet: Sheet, lives: Sequence[Life], rules: MotorRules) -> Why:
    """Return in words what is said together.

    Raises: InputError for a look that is not there, is answered, or is said by itself.
    """
    may = {look.key: look for look in may_be_said(sheet, lives, rules)}
    wrong = [key for key in keys.split() if key not in may]
    if wrong or not keys.split():
        raise InputError(
            "Not all of that may be said together any more.",
            "Say it by itself: it is answered, was off the last time, is open, can stop it, or proves work.",
            "value",
        )
    return Why("; ".join(by_part([may[key] for key in keys.split()])))
