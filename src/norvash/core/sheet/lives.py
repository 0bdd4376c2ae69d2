"""What has become of every finding of a motor: one function, whatever was entered in whatever order."""

from collections.abc import Iterable, Mapping
from dataclasses import dataclass, replace
from functools import cached_property

from norvash.core.sheet.done import DONE, done_by, done_tasks, last_work, work_done
from norvash.core.sheet.field import Field
from norvash.core.sheet.finding import Finding
from norvash.core.sheet.given import Given, Sight
from norvash.core.sheet.life import At, KeptLife, Life, State, Told
from norvash.core.sheet.part import COMPLAINT
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.stages.brushes.carbon import FACE_CUT, SET_WORN, worn_set
from norvash.core.sheet.stages.call_in import settled
from norvash.core.sheet.stages.catalogue import FIELD_BY_ID, FINDINGS, SEEN, TOLD_BY
from norvash.core.sheet.stages.decide import decision
from norvash.core.sheet.stages.rework import REPAIR, TEMPORARY, gone
from norvash.core.sheet.stages.shared import FIT_SET
from norvash.core.sheet.task import Task
from norvash.core.sheet.unread import holds_unread
from norvash.core.sheet.walk import upstream
from norvash.core.sheet.whole_look import looked_at_whole, renewed_whole
from norvash.core.verdict.grades import GRADES, Grade

# Of equally grave ones the parts speak in the order of the stages.
_ORDER = {finding_id: i for i, finding_id in enumerate(FINDINGS)}


def lives(told: Told, worn_found: Grade | None = None, worn_now: Grade | None = None) -> tuple[Life, ...]:
    """Return the life of every finding that was ever plan or graver and has not ended at an earlier visit, the gravest
    first.

    Units: the grades of the set by its carbon, as it was found and as it is now.
    """
    if told.sheet is None:
        made = [_as_kept(k, _place(k.finding, k.position, told)) for k in told.kept]
    else:
        visit = _Visit(told.sheet, told, {**told.found, **_worn(worn_found)}, {**told.now, **_worn(worn_now)})
        made = [visit.life(at) for at in visit.every]
    return tuple(
        sorted(made, key=lambda x: (-GRADES.index(x.finding.grade), _ORDER.get(x.finding.id, len(_ORDER)), x.position))
    )


def _worn(grade: Grade | None) -> Mapping[At, Finding]:
    return {} if grade is None else {(0, SET_WORN.id): worn_set(grade)}


def _place(finding: Finding, position: int, told: Told) -> str:
    """Return where a finding is, in words."""
    if finding.id == SET_WORN.id:
        return "The set"
    return told.places.get(position) or finding.part.words


def _as_kept(kept: KeptLife, place: str) -> Life:
    return Life(
        kept=kept,
        place=place,
        position=kept.position,
        finding=kept.finding,
        state="open" if kept.finding.grade == "stop" and kept.state == "put off" else kept.state,
        put_off=kept.put_off,
        why=kept.why,
    )


@dataclass(frozen=True)
class _Visit:
    """An open sheet, with what is found in both sights, the carbon of the set with it."""

    sheet: Sheet
    told: Told
    found: Mapping[At, Finding]
    now: Mapping[At, Finding]

    @cached_property
    def kept(self) -> Mapping[At, KeptLife]:
        """Return what is kept already, by place; what came first stands for a place."""
        return {k.at: k for k in reversed(self.told.kept)}

    @cached_property
    def every(self) -> tuple[At, ...]:
        """Return every place of a life: kept already, or plan or graver in one of the sights."""
        grave = (at for sight in (self.found, self.now) for at, f in sight.items() if f.grave)
        return tuple(dict.fromkeys((*self.kept, *grave)))

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

    def life(self, at: At) -> Life:
        """Return what has become of the finding at one place."""
        kept = self.kept.get(at)
        found = self.found.get(at) or self.now.get(at)
        held = self._held(kept, found)
        finding = kept.finding if held and kept is not None else self._said(kept, found)
        decided = self._decided(finding, at[0])
        made = Life(
            kept=kept,
            place=_place(finding, at[0], self.told),
            position=at[0],
            finding=finding,
            state="open",
            decided=decided,
            put_off=decided.put_off if decided is not None else kept.put_off if kept is not None else None,
            why=decided.why if decided is not None else kept.why if kept is not None else "",
            done=self._done(kept, finding, decided),
            worked=work_done(self.tasks, finding),
            by_sight=self._by_sight(finding, at[0]),
            proof=tuple(self._proof(finding, at)),
            by_earlier=held,
        )
        return self._ended(made)

    def _said(self, kept: KeptLife | None, found: Finding | None) -> Finding:
        """Return a finding in the words that it was found with; a life of this sheet follows what is entered on it, and
        one of an earlier visit what is graver now.
        """
        said = [found] if found is not None else []
        if kept is not None and (found is None or self._carried(kept)):
            said.insert(0, kept.finding)
        return max(said, key=lambda f: GRADES.index(f.grade))

    def _held(self, kept: KeptLife | None, found: Finding | None) -> bool:
        """Tell whether a finding of an open sheet keeps the grade that an earlier version gave it: this one is milder,
        and its place was not measured since.
        """
        if kept is None or kept.held_since is None or kept.state == "withdrawn":
            return False
        milder = found is None or GRADES.index(found.grade) < GRADES.index(kept.finding.grade)
        told = (f for f in TOLD_BY.get(kept.finding.id, ()) if f.id != kept.finding.look)
        read = [g for f in told for g in self._read(f, kept.position, ("found", "left"))]
        return milder and bool(read) and all(g.at <= kept.held_since for g in read)

    def _carried(self, kept: KeptLife | None) -> bool:
        return kept is not None and kept.sheet_id != self.sheet.id

    def _decided(self, finding: Finding, position: int) -> Given | None:
        """Return what was decided: a temporary repair says itself who makes it good by when."""
        decided = decision(finding.id).given(self.sheet, position)
        return decided or (TEMPORARY.given(self.sheet, position) if finding.id == REPAIR.id else None)

    def _done(self, kept: KeptLife | None, finding: Finding, decided: Given | None) -> tuple[Given, ...]:
        if not finding.known:
            return renewed_whole(finding.part, self.tasks)
        done = done_by(finding, self.tasks)
        if finding.of_brush and not done:
            done = self.tasks.get(FIT_SET, ())
        also = [decided] if decided is not None and decided.word == DONE else []
        mended = settled(kept.id).given(self.sheet) if kept is not None else None
        return tuple(dict.fromkeys((*done, *also, *([mended] if mended is not None else []))))

    def _proof(self, finding: Finding, at: At) -> Iterable[Given]:
        """Return what was entered that can prove a finding mended: a fresh look, or a new value at the same place.

        What a motor brings from an earlier visit is also proven by what is found at this one.
        """
        if not finding.known:
            return
        looked = gone(finding.id).given(self.sheet, at[0])
        if looked is not None:
            yield looked
        sights: tuple[Sight, ...] = ("left", "found") if self._carried(self.kept.get(at)) else ("left",)
        for field in TOLD_BY.get(finding.id, ()):
            if field.id != finding.look:
                yield from self._read(field, at[0], sights)

    def _read(self, field: Field, position: int, sights: tuple[Sight, ...]) -> Iterable[Given]:
        """Return what stands in a field at the place of a finding; of the whole set, once every position is read."""
        if field.per != "position" or position:
            for place, sight, given in self.read.get(field.id, ()):
                if sight in sights and (field.per != "position" or place == position):
                    yield given
            return
        for sight in sights:
            read = [self.sheet.given(field.id, p.number, sight) for p in self.sheet.facts.positions]
            if all(read):
                yield from (g for g in read if g is not None)

    def _by_sight(self, finding: Finding, position: int) -> bool:
        """Tell whether it is proven by a fresh look: one that no figure can be, or that no figure was at this visit."""
        told = [f for f in TOLD_BY.get(finding.id, ()) if f.id != finding.look]
        if not finding.known:
            return False
        if finding.id not in SEEN and (told or finding.of_brush):
            return finding.id == FACE_CUT.id
        read = (g for f in told for g in self._read(f, position, ("found",)))
        return finding.part is not COMPLAINT and not any(True for _ in read)

    def _ended(self, life: Life) -> Life:
        """Return a life with its state."""
        done = max((g.at for g in life.done), default=self.sheet.at)
        since = life.finding.id == SET_WORN.id or any(g.at >= done for g in life.proof)
        again = life.at in self.now and bool(life.done) and since and not self._waits(life)
        state = self._state(life, again=again) if life.finding.known else self._state_of_unknown(life)
        return replace(life, state=state, measured_again=again and state == "open")

    def _state(self, life: Life, *, again: bool) -> State:
        dropped = life.decided is not None and life.decided.word == "dropped" and life.finding.grade != "stop"
        if dropped or (life.finding.part is COMPLAINT and upstream(self.sheet)):
            return "dropped"
        stands = life.at in self.found or life.at in self.now or life.by_earlier
        if life.kept is not None and life.kept.state == "withdrawn" and not stands:
            return "withdrawn"
        if not self._waits(life):
            if self._proven(life):
                return "proven"
            if not stands and not self._carried(life.kept) and not holds_unread(self.sheet):
                return "withdrawn"
        if self._is_put_off(life):
            return "put off"
        return "done not proven" if not again and (life.done or self._was_done(life)) else "open"

    def _state_of_unknown(self, life: Life) -> State:
        """Return the state of a finding that only another version knows: nothing of this one finds or proves it.

        It ends by a drop after a whole look at its part, one of stop only with the part renewed.
        """
        looked = looked_at_whole(self.sheet, life.finding.part, measured=self.told.measured)
        dropped = life.decided is not None and life.decided.word == "dropped" and life.finding.grade != "stop"
        if dropped and looked:
            return "dropped"
        renewed = self._new_at(life) if life.position else bool(life.done) and looked
        if renewed:
            return "proven"
        if life.kept is not None and life.kept.state == "withdrawn":
            return "withdrawn"
        if self._is_put_off(life):
            return "put off"
        return "done not proven" if life.done or self._was_done(life) else "open"

    def _waits(self, life: Life) -> bool:
        """Tell whether a figure that is read anew after any work is still that from before the work on a finding: then
        nothing is proven, and nothing taken back, whatever else was read since.
        """
        since = max((g.at for g in life.done), default=last_work(self.sheet))
        read = (self.read.get(f.id, ()) for f in TOLD_BY.get(life.finding.id, ()) if f.after_work)
        return any(given and max(g.at for _, _, g in given) < since for given in read)

    def _was_done(self, life: Life) -> bool:
        """Tell whether it was done at an earlier visit and is still not proven."""
        kept = life.kept if self._carried(life.kept) else None
        return kept is not None and kept.state == "done not proven" and life.at not in self.found

    def _is_put_off(self, life: Life) -> bool:
        """Tell whether it is put off, at this visit and not worked on since, or before and not touched; no stop is."""
        decided = life.decided
        if life.finding.grade == "stop" or (decided is not None and decided.word == "waits"):
            return False
        if decided is not None:
            later = [g for g in life.done if g.at > decided.at]
            return decided.put_off is not None and not later
        return life.kept is not None and life.kept.state == "put off" and not life.done

    def _new_at(self, life: Life) -> bool:
        """Tell whether the brush that a finding is on has gone, and the first length of the new one is known; of the
        whole set all of them.
        """
        every = [p.number for p in self.sheet.facts.positions] if life.position == 0 else [life.position]
        return all(self.told.new.get(p, False) for p in every)

    def _proven(self, life: Life) -> bool:
        """Tell whether something proves it: a measurement that answered it, a new brush, a fresh look, a new value."""
        if life.finding.id in self.told.answered:
            return True
        if life.finding.of_brush and self._new_at(life):
            return life.at not in self.now or life.finding.id != SET_WORN.id
        if life.finding.id == SET_WORN.id and self._carried(life.kept) and self.told.measured:
            return life.at not in self.now and life.at not in self.found
        if not life.done and not self._carried(life.kept):
            return False
        looked = gone(life.finding.id).given(self.sheet, life.position)
        if life.by_sight and looked is not None and not self._seen_since(life, looked):
            return True
        values = any(g is not looked for g in life.proof)
        return values and life.at not in self.now and not self._other_grave(life)

    def _seen_since(self, life: Life, looked: Given) -> bool:
        """Tell whether it was seen again after the look that found it gone."""
        seen = self.sheet.entries.get((life.finding.look, 0))
        return seen is not None and seen.stands and seen.at > looked.at

    def _other_grave(self, life: Life) -> bool:
        """Tell whether the same figure tells something else that is grave now: then it is not inside its limit."""
        fields = {f.id for f in TOLD_BY.get(life.finding.id, ())}
        others = {t.id for i in fields for t in FIELD_BY_ID[i].tells if FIELD_BY_ID[i].id != t.look}
        return any(at[0] == life.position and at[1] in others and f.grave for at, f in self.now.items())
