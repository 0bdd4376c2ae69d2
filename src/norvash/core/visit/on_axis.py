"""How the parts of a motor stand on its axis: what was looked at, what was found there, and what became of it."""

from collections.abc import Mapping
from dataclasses import dataclass
from typing import Literal

from norvash.core.grades import GRADES, Grade
from norvash.core.motor.figure_fields import BEARING_AT
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.field import Field, Pick
from norvash.core.sheet.finding import Finding
from norvash.core.sheet.life import STANDING, Life
from norvash.core.sheet.part import COMMUTATOR, HOLDERS, SPRINGS
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.axis import BEARING, WALKED, AxisPart, at_field, at_finding, axis_of, looked, on
from norvash.core.stages.catalogue import STAGE_BY_ID
from norvash.core.stages.drive.bearings import BUSH_STATE
from norvash.core.visit.together import said_together
from norvash.core.visit.visit import Visit
from norvash.core.visit.walk import looked_at

State = Literal["unseen", "some", "sound", "found", "done", "proven"]
STATE_WORDS: Mapping[State, str] = {
    "unseen": "not looked at",
    "some": "looked at in part",
    "sound": "nothing found",
    "found": "found",
    "done": "done, not proven",
    "proven": "proven",
}


@dataclass(frozen=True, slots=True, kw_only=True)
class PartNow:
    """How a part stands: its state, of what was found the grade, the lives on it, the gravest first, what is too
    slight to have one, and how many of its looks are answered; `carried` tells that something of an earlier visit is
    still open on it.
    """

    part: AxisPart
    state: State
    grade: Grade | None
    lives: tuple[Life, ...]
    lesser: tuple[Finding, ...]
    answered: int
    of: int
    carried: bool

    @property
    def to_look_at(self) -> bool:
        """Tell whether somebody is still to look at it, or at more of it."""
        return self.state in ("unseen", "some")

    @property
    def words(self) -> str:
        """Return in words how it stands: “bearing, drive end: change now, feels rough; open”."""
        if self.lesser and not any(x.stands for x in self.lives):
            return "; ".join(f.words for f in self.lesser)
        if not self.lives:
            some = f", {self.answered} of {self.of} looks" if self.state == "some" and self.of else ""
            return f"{STATE_WORDS[self.state]}{some}"
        first = self.lives[0]
        more = f" and {len(self.lives) - 1} more" if len(self.lives) > 1 else ""
        return f"{first.finding.words}{more}; {STATE_WORDS[self.state] if self.state != 'found' else first.state}"


def parts_now(visit: Visit) -> tuple[PartNow, ...]:
    """Return how every part of a motor stands at a visit, in the order of the axis."""
    known: tuple[PartNow, ...] | None = visit.worked_out.get("parts")
    if known is None:
        known = visit.worked_out["parts"] = _put_together(visit)
    return known


def _put_together(visit: Visit) -> tuple[PartNow, ...]:
    named = named_parts(visit.sheet)
    parts = tuple(named.values())
    standing = [x for x in visit.lives if x.state not in ("withdrawn", "dropped")]
    lesser = [c for c in visit.found.conditions if not c.finding.grave and c.finding.grade != "fit"]
    every = [*((x.position, x.finding) for x in standing), *((c.position, c.finding) for c in lesser)]
    lies = {(n, f.id): _places(f, n, visit.sheet, named) for n, f in every}
    return tuple(
        _part_now(
            p,
            tuple(x for x in standing if p.id in lies[x.position, x.finding.id]),
            tuple(c.finding for c in lesser if p.id in lies[c.position, c.finding.id]),
            visit,
        )
        for p in parts
    )


def left_to_look_at(stage: str, visit: Visit) -> str:
    """Return in words how many parts of a stage nobody has looked at in full: “1 of 7 parts to look at”, or nothing."""
    own = [p for p in parts_now(visit) if p.part.stage == stage]
    left = sum(p.to_look_at for p in own)
    return f"{left} of {len(own)} parts to look at" if left else ""


def named_parts(sheet: Sheet) -> Mapping[str, AxisPart]:
    """Return the parts of the motor of a sheet by their ids, in the order of the axis."""
    known: Mapping[str, AxisPart] | None = sheet.worked_out.get("axis")
    if known is None:
        known = sheet.worked_out["axis"] = {p.id: p for p in axis_of(sheet.facts)}
    return known


def _places(finding: Finding, number: int, sheet: Sheet, parts: Mapping[str, AxisPart]) -> tuple[str, ...]:
    """Return on which parts something was found; what only a bearing can be lies on that at which it was read."""
    if finding.per == BEARING and number:
        return (f"{BEARING}-{number}",)
    at = at_finding(finding)
    if at != BEARING:
        return (on(at, parts),)
    told = {n for f, n in _answers(sheet) if f.per == BEARING and finding.id in _tells(f, n, sheet)}
    return tuple(f"{BEARING}-{n}" for n in sorted(told or (1, 2)))


def _tells(field: Field, place: int, sheet: Sheet) -> tuple[str, ...]:
    """Return which findings an entry at a place tells, of a pick those of its answer."""
    if isinstance(field, Pick) and field.finds:
        found = (field.finds.get(a) for a in (field.of(sheet, place), field.of(sheet.as_found, place)))
        return tuple(f.id for f in found if f is not None)
    return tuple(f.id for f in field.tells)


def _answers(sheet: Sheet) -> tuple[tuple[Field, int], ...]:
    """Return every field with an entry of the stages that are walked by parts, with its place."""
    known: tuple[tuple[Field, int], ...] | None = sheet.worked_out.get("walked")
    if known is None:
        every = (f for stage in WALKED for f in STAGE_BY_ID[stage].all_fields)
        known = sheet.worked_out["walked"] = tuple((f, n) for f in every for n in f.places(sheet))
    return known


def _part_now(part: AxisPart, lives: tuple[Life, ...], lesser: tuple[Finding, ...], visit: Visit) -> PartNow:
    looks = _looks_at(part, visit)
    answered = sum(_is_answered(f, n, visit.sheet) for f, n in looks)
    stands = [x.finding for x in lives if x.stands]
    worst = max((f.grade for f in (*stands, *lesser)), key=GRADES.index, default=None)
    slight = bool(lesser) and not stands
    state: State = "found" if slight else _state(part, lives, visit, answered=answered, of=len(looks))
    return PartNow(
        part=part,
        state=state,
        grade=worst or max((x.finding.grade for x in lives), key=GRADES.index, default=None),
        lives=lives,
        lesser=lesser,
        answered=answered,
        of=len(looks),
        carried=any(x.kept is not None and not x.came and x.kept.sheet_id != visit.sheet.id for x in lives),
    )


def _looks_at(part: AxisPart, visit: Visit) -> tuple[tuple[Field, int], ...]:
    """Return the looks of a part, as fields with their places: what is picked there."""
    known: Mapping[str, list[tuple[Field, int]]] | None = visit.worked_out.get("looks")
    if known is None:
        known = visit.worked_out["looks"] = _looks(visit.sheet, visit.rules)
    looks = tuple(known.get(part.id, ()))
    return _of_its_kind(looks, visit.sheet) if part.bearing else looks


def _of_its_kind(looks: tuple[tuple[Field, int], ...], sheet: Sheet) -> tuple[tuple[Field, int], ...]:
    """Return the looks of a bearing as it is, plain or rolling: as it was answered, else as it is stated or usual."""
    plain = tuple(x for x in looks if x[0] is BUSH_STATE)
    rolling = tuple(x for x in looks if x[0] is not BUSH_STATE)
    if any(_is_answered(f, n, sheet) for f, n in rolling):
        return rolling
    stated = any(BEARING_AT[n - 1].stated(sheet.facts.figures) for _, n in looks)
    usual = sheet.facts.motor_class == "starter" and not stated
    return plain if usual or any(_is_answered(f, n, sheet) for f, n in plain) else rolling


def _is_answered(field: Field, place: int, sheet: Sheet) -> bool:
    """Tell whether a look was answered, by itself or together with others."""
    return field.given(sheet, place) is not None or f"{field.id}@{place}" in said_together(sheet)


def _looks(sheet: Sheet, rules: MotorRules) -> dict[str, list[tuple[Field, int]]]:
    named, made = named_parts(sheet), dict[str, list[tuple[Field, int]]]()
    for stage in WALKED:
        for field in STAGE_BY_ID[stage].fields:
            if isinstance(field, Pick) and not field.refused and field.is_offered(sheet.facts, rules):
                for n in (1, 2) if field.per == BEARING else (0,) if not field.per else ():
                    at = named.get(on(at_field(field, n), named))
                    if at is not None and at.stage == stage:
                        made.setdefault(at.id, []).append((field, n))
    return made


def _state(part: AxisPart, lives: tuple[Life, ...], visit: Visit, *, answered: int, of: int) -> State:
    if any(x.state in STANDING and x.state != "done not proven" for x in lives):
        return "found"
    if any(x.state == "done not proven" for x in lives):
        return "done"
    if lives:
        return "proven"
    if _sound(part, visit) or (of and answered == of):
        return "sound"
    return "some" if answered or _read(part, visit) else "unseen"


def _sound(part: AxisPart, visit: Visit) -> bool:
    """Tell whether somebody says that they looked at all of a part and found nothing."""
    tick, whole = looked(part), STAGE_BY_ID[part.stage].sound
    if tick is not None and f"{tick.id}@{part.bearing}" in said_together(visit.sheet):
        return True
    if tick is not None:
        return tick.of(visit.sheet, part.bearing) or (whole is not None and whole.of(visit.sheet))
    if part.id == "gear":
        return visit.measured and all(looked_at(visit, p) for p in (SPRINGS, HOLDERS))
    return whole is not None and whole.of(visit.sheet)


def _read(part: AxisPart, visit: Visit) -> bool:
    """Tell whether anything was read at a part, though not all of it was looked at."""
    if part.id == "gear":
        return visit.measured or any(looked_at(visit, p) for p in (SPRINGS, HOLDERS))
    if part.id == "commutator":
        return looked_at(visit, COMMUTATOR)
    named = named_parts(visit.sheet)
    return any(on(at_field(f, n), named) == part.id for f, n in _answers(visit.sheet))
