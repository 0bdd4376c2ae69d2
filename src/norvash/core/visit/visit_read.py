"""What stands on an open sheet at the place of a finding: what was read, decided, done, and what can prove it."""

from collections.abc import Iterable, Mapping
from dataclasses import dataclass, replace
from functools import cached_property

from norvash.core.motor.figure_fields import LENGTH_UNIT
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.field import Field, Quantity, second_of
from norvash.core.sheet.finding import Finding
from norvash.core.sheet.given import Given, Sight
from norvash.core.sheet.life import At, KeptLife, Life, Told
from norvash.core.sheet.part import COMPLAINT, REPAIRS
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.task import Task
from norvash.core.stages.call_in import settled
from norvash.core.stages.catalogue import SEEN, SOUND_OF, TOLD_BY
from norvash.core.stages.decide import ELSEWHERE, SLIP, decision
from norvash.core.stages.rework import TEMPORARY, gone
from norvash.core.stages.shared import FIT_SET, PLAN_CUT
from norvash.core.text.quantities import UNITS
from norvash.core.visit.done import DONE, done_by, done_tasks, last_work, work_beside
from norvash.core.visit.improvised import improvised_for
from norvash.core.visit.instead import done_instead
from norvash.core.visit.whole_look import renewed_whole


def with_unit(field: Field, given: Given, facts: Facts) -> Given:
    """Return a value with the unit that it was meant in, where none was typed."""
    if not isinstance(field, Quantity) or not given.typed[-1:].isdigit():
        return given
    unit = LENGTH_UNIT.of(facts.figures) if field.dimension == "length" else next(iter(UNITS[field.dimension]))
    return replace(given, typed=f"{given.typed} {unit}".strip())


@dataclass(frozen=True)
class VisitRead:
    """An open sheet with what its motor brings to it."""

    sheet: Sheet
    told: Told

    @cached_property
    def kept(self) -> Mapping[At, KeptLife]:
        """Return what is kept already, by place; what came first stands for a place."""
        return {k.at: k for k in reversed(self.told.kept)}

    @cached_property
    def tasks(self) -> Mapping[Task, tuple[Given, ...]]:
        """Return the tasks that are done."""
        return done_tasks(self.sheet)

    @cached_property
    def read(self) -> Mapping[str, list[tuple[int, Sight, Given]]]:
        """Return what stands in each field, by place and sight."""
        made: dict[str, list[tuple[int, Sight, Given]]] = {}
        for (name, place, sight), given in self.sheet.written.items():
            if given.stands:
                made.setdefault(name, []).append((place, sight, given))
        return made

    def carried(self, kept: KeptLife | None) -> bool:
        """Tell whether the motor brought it from an earlier visit."""
        return kept is not None and kept.sheet_id != self.sheet.id

    def decided(self, finding: Finding, position: int) -> Given | None:
        """Return what was decided: a temporary repair says itself who makes it good by when."""
        decided = self.said_of(decision(finding.id), finding, position)
        return decided or (TEMPORARY.given(self.sheet, position) if finding.part is REPAIRS else None)

    def said_of(self, field: Field, finding: Finding, position: int) -> Given | None:
        """Return what was said of a finding at its place; what names no place speaks of every one that is numbered."""
        said = field.given(self.sheet, position)
        return field.given(self.sheet) if said is None and finding.per else said

    def done(self, kept: KeptLife | None, finding: Finding, position: int, decided: Given | None) -> tuple[Given, ...]:
        """Return who did its work, and when."""
        if not finding.known:
            return renewed_whole(finding.part, self.tasks)
        done = (*done_by(finding, self.tasks), *improvised_for(finding, position, self.sheet))
        done = (*done, *(g for t in done_instead(finding, decided) for g in self.tasks.get(t, ())))
        if "of-brush" in finding.kinds and (finding.proof or not done):
            done = (*done, *self.tasks.get(FIT_SET, ()))
        done = done or self._beside(finding)
        also = [decided] if decided is not None and decided.word in (DONE, ELSEWHERE) else []
        mended = settled(kept.id).given(self.sheet) if kept is not None else None
        return tuple(dict.fromkeys((*done, *also, *([mended] if mended is not None else []))))

    def _beside(self, finding: Finding) -> tuple[Given, ...]:
        """Return the work on its part, or on what that lies on, where its figure was read anew after it."""
        fields = (f for f in TOLD_BY.get(finding.id, ()) if f.id != finding.look and f.id in self.read)
        read = (f for f in fields if f.sighted and any(sight == "left" for _, sight, _ in self.read[f.id]))
        return tuple(g for f in read if not f.after_work for g in work_beside(f, self.tasks))

    def proof(self, finding: Finding, at: At) -> Iterable[Given]:
        """Return what was entered that can prove a finding mended: a fresh look, or a new value at the same place.

        What a motor brings from an earlier visit is also proven by what is found at this one.
        """
        if not finding.known:
            return
        looked = self.said_of(gone(finding.id), finding, at[0])
        if looked is not None:
            yield looked
        sights: tuple[Sight, ...] = ("left", "found") if self.carried(self.kept.get(at)) else ("left",)
        for field in TOLD_BY.get(finding.id, ()):
            if field.id != finding.look:
                told = self.read_at(field, finding, at[0], sights, judged=True)
                yield from (with_unit(field, g, self.sheet.facts) for g in told)

    def read_at(
        self, field: Field, finding: Finding, position: int, sights: tuple[Sight, ...], *, judged: bool = False
    ) -> Iterable[Given]:
        """Return what stands in a field at the place of a finding, without what is not judged where only `judged`
        counts; of the whole set, once every position is read.
        """
        if field.per != "position" or position:
            apart = field.per == "position" or (position > 0 and field.per == finding.per)
            for place, sight, given in self.read.get(field.id, ()):
                if judged and (field.id, place) in self.told.unjudged:
                    continue
                if sight in sights and (not apart or place == position):
                    yield given
            return
        for sight in sights:
            read = [self.sheet.given(field.id, p.number, sight) for p in self.sheet.facts.positions]
            if all(read):
                yield from (g for g in read if g is not None)

    def by_sight(self, finding: Finding, position: int) -> bool:
        """Tell whether it is proven by a fresh look: one that no figure can be, or that no figure was at this visit."""
        told = [f for f in TOLD_BY.get(finding.id, ()) if f.id != finding.look]
        if not finding.known:
            return False
        if finding.proof:
            return finding.proof in ("look", "any", "inside")
        if finding.id not in SEEN and (told or "of-brush" in finding.kinds):
            return False
        read = (g for f in told for g in self.read_at(f, finding, position, ("found",)))
        return finding.part is not COMPLAINT and not any(True for _ in read)

    def read_since(self, life: Life) -> bool:
        """Tell whether the place of what was withdrawn or softened was measured or looked at again after that; where
        somebody here changed what it is judged on, what a file brings frees nothing.
        """
        before = life.kept.withdrawn if life.kept is not None else None
        moves = (*(before.moves if before is not None else ()), *(life.then.moves if life.then is not None else ()))
        here = any(not m.from_file for m in moves)
        since = [*([before.seq] if before is not None else []), *(m.seq for m in moves)]
        if life.decided is not None and life.decided.word == SLIP:
            since.append(0)  # whatever was read at this visit was read after it
        if not moves and self._measured_twice(life):
            return True
        if not since:
            return False
        if "of-lengths" in life.finding.kinds:
            return any(seq > max(since) for seq in self.told.measured_at)
        read = [
            g
            for f in TOLD_BY.get(life.finding.id, ())
            for g in self.read_at(f, life.finding, life.position, ("found", "left"))
        ]
        sound = SOUND_OF.get(life.finding.id)
        looks = [
            self.said_of(gone(life.finding.id), life.finding, life.position),
            sound.given(self.sheet) if sound else None,
        ]
        return any(g is not None and g.seq > max(since) and not (here and g.from_file) for g in (*read, *looks))

    def _measured_twice(self, life: Life) -> bool:
        """Tell whether the place of a finding was measured once more, which stands beside what was found."""
        told = (f for f in TOLD_BY.get(life.finding.id, ()) if isinstance(f, Quantity) and f.sighted)
        return any(True for f in told for _ in self.read_at(second_of(f), life.finding, life.position, ("found",)))

    def waits(self, life: Life) -> bool:
        """Tell whether a figure that is read anew after any work is still that from before the work on a finding: then
        nothing is proven, and nothing taken back, whatever else was read since.
        """
        since = max((g.at for g in life.done if g.word != ELSEWHERE), default=last_work(self.sheet))
        read = (self.read.get(f.id, ()) for f in TOLD_BY.get(life.finding.id, ()) if f.after_work)
        return any(given and max(g.at for _, _, g in given) < since for given in read)

    def new_at(self, life: Life) -> bool:
        """Tell whether the brush that a finding is on has gone, and the first length of the new one is known; of the
        whole set all of them.
        """
        every = [p.number for p in self.sheet.facts.positions] if life.position == 0 else [life.position]
        return all(self.told.new.get(p, False) for p in every)

    def look_holds(self, life: Life, looked: Given) -> bool:
        """Tell whether a fresh look still says that it is gone: it was not seen there again, and neither its
        first work nor, of brushes, a cut or another set came since.
        """
        seen = self.sheet.entries.get((life.finding.look, 0))
        again = seen is not None and seen.stands and seen.at > looked.at
        first = [t for t in life.finding.tasks if not t.looks][: None if "one-of" in life.finding.kinds else 1]
        first += [PLAN_CUT, FIT_SET] if "of-brush" in life.finding.kinds and life.finding.proof else []
        worked = (g.at for task in first for g in self.tasks.get(task, ()))
        return not again and life.at not in self.told.seen_again and looked.at >= max(worked, default=looked.at)

    def ended_by_sight(self, life: Life) -> bool:
        """Tell whether what ends it was seen there after the work on it, and it was not."""
        seen = self.told.seen_again
        return (life.position, life.finding.ends) in seen and life.at not in seen and bool(life.done)
