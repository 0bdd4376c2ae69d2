"""What has become of every finding of a motor: one function, whatever was entered in whatever order."""

from collections.abc import Mapping
from dataclasses import dataclass, replace
from functools import cached_property
from types import MappingProxyType

from norvash.core.grades import GRADES
from norvash.core.sheet.finding import Finding
from norvash.core.sheet.life import At, KeptLife, Life, State, Then, Told
from norvash.core.sheet.numbered import place_of
from norvash.core.sheet.part import COMPLAINT
from norvash.core.stages.catalogue import FIELD_BY_ID, ONLY_PROVED, ORDER, TOLD_BY
from norvash.core.stages.decide import SLIP
from norvash.core.stages.rework import gone
from norvash.core.visit.done import work_done
from norvash.core.visit.improvised import improvised_for
from norvash.core.visit.signed_over import DECLARED, as_opened
from norvash.core.visit.unread import holds_unread
from norvash.core.visit.visit_read import VisitRead
from norvash.core.visit.walk import upstream
from norvash.core.visit.whole_look import looked_at_whole

_NOT_ALONE = ("change", "stop")
_NEVER: Mapping[At, Then] = MappingProxyType({})
_NOTHING: Mapping[At, Finding] = MappingProxyType({})


def lives(
    told: Told,
    set_found: Mapping[At, Finding] = _NOTHING,
    set_now: Mapping[At, Finding] = _NOTHING,
    set_then: Mapping[At, Then] = _NEVER,
) -> tuple[Life, ...]:
    """Return the life of every finding that was ever plan or graver and has not ended at an earlier visit, the gravest
    first, of equally grave ones in the order of the work.

    `set_found` and `set_now` are what its lengths say of the set, as it was found and as it is now, `set_then` what
    earlier grounds find graver in it.
    """
    back = {**told.back, **set_now}
    if told.sheet is None:
        made = [_as_kept(k, place_of(k.finding, k.position, told.places), back) for k in told.kept]
    else:
        then = {**told.then, **set_then}
        kept_up = {at: t.finding for at, t in then.items() if t.stands}
        found = {**told.found, **set_found, **{at: f for at, f in kept_up.items() if then[at].found}}
        now = {**told.now, **set_now, **{at: f for at, f in kept_up.items() if then[at].now}}
        visit = _Visit(sheet=told.sheet, told=told, found=found, now=now, then=then, back=back)
        made = [visit.life(at) for at in visit.every]
    return tuple(
        sorted(made, key=lambda x: (-GRADES.index(x.finding.grade), ORDER.get(x.finding.id, len(ORDER)), x.position))
    )


def _as_kept(kept: KeptLife, place: str, back: Mapping[At, Finding]) -> Life:
    """Return a life beside every sheet: what was withdrawn is back where today's figures find it again."""
    state: State = "open" if kept.finding.grade == "stop" and kept.state == "put off" else kept.state
    return Life(
        kept=kept,
        place=place,
        position=kept.position,
        finding=kept.finding,
        state="withdrawn" if kept.withdrawn is not None and kept.at not in back else state,
        put_off=kept.put_off,
        why=kept.why,
    )


@dataclass(frozen=True, kw_only=True)
class _Visit(VisitRead):
    """An open sheet, with what is found in both sights, the carbon of the set with it, and what earlier grounds and the
    newest values of all sheets say.
    """

    found: Mapping[At, Finding]
    now: Mapping[At, Finding]
    then: Mapping[At, Then]
    back: Mapping[At, Finding]

    @cached_property
    def every(self) -> tuple[At, ...]:
        """Return every place of a life: kept already, or plan or graver in one of the sights, today or before."""
        grave = (at for sight in (self.found, self.now) for at, f in sight.items() if f.grave)
        return tuple(dict.fromkeys((*self.kept, *grave, *self.then)))

    def life(self, at: At) -> Life:
        """Return what has become of the finding at one place."""
        kept = self.kept.get(at)
        then = self.then.get(at)
        found = self.found.get(at) or self.now.get(at) or (then.finding if then is not None and kept is None else None)
        held = self._held(kept, found)
        finding = kept.finding if held and kept is not None else self._said(kept, found)
        decided = self.decided(finding, at[0])
        made = Life(
            kept=kept,
            place=place_of(finding, at[0], self.told.places),
            position=at[0],
            finding=finding,
            state="open",
            decided=decided,
            put_off=decided.put_off if decided is not None else kept.put_off if kept is not None else None,
            why=decided.why if decided is not None else kept.why if kept is not None else "",
            done=self.done(kept, finding, at[0], decided),
            worked=(
                *work_done(self.tasks, finding),
                *(f"for a while: {g.word}" for g in improvised_for(finding, at[0], self.sheet)),
            ),
            by_sight=self.by_sight(finding, at[0]),
            proof=tuple(self.proof(finding, at)),
            by_earlier=held,
            then=then if then is not None and not then.stands else None,
            held_by=then.moves if then is not None and then.stands else (),
            came=at not in self.found and not self.carried(kept),
        )
        return self._ended(replace(made, read_since=self.read_since(made)))

    def _said(self, kept: KeptLife | None, found: Finding | None) -> Finding:
        """Return a finding in the words that it was found with; a life of this sheet follows what is entered on it, and
        one of an earlier visit what is graver now.
        """
        said = [found] if found is not None else []
        if kept is not None and (found is None or self.carried(kept)):
            said.insert(0, as_opened(kept.finding) if self._is_called(kept) else kept.finding)
        return max(said, key=lambda f: GRADES.index(f.grade))

    def _is_called(self, kept: KeptLife) -> bool:
        """Tell whether a later sheet is open than that on which something began."""
        return self.carried(kept) and self.told.sheet is not None and self.told.sheet.signed_at is None

    def _held(self, kept: KeptLife | None, found: Finding | None) -> bool:
        """Tell whether a finding of an open sheet keeps the grade that an earlier version gave it: this one is milder,
        and its place was not measured since.
        """
        if kept is None or kept.held_since is None or kept.withdrawn is not None:
            return False
        milder = found is None or GRADES.index(found.grade) < GRADES.index(kept.finding.grade)
        told = (f for f in TOLD_BY.get(kept.finding.id, ()) if f.id != kept.finding.look)
        read = [g for f in told for g in self.read_at(f, kept.finding, kept.position, ("found", "left"))]
        return milder and bool(read) and all(g.at <= kept.held_since for g in read)

    def _ended(self, life: Life) -> Life:
        """Return a life with its state."""
        done = max((g.at for g in life.done), default=self.sheet.at)
        since = "of-set" in life.finding.kinds or any(g.at >= done for g in life.proof)
        again = self._still(life) and bool(life.done) and since and not self.waits(life)
        state = self._state(life, again=again) if life.finding.known else self._state_of_unknown(life)
        # What a set states that came at this visit was never measured before.
        new = life.came and "of-set" in life.finding.kinds
        again = again and state == "open" and not new
        return replace(life, state=state, measured_again=again, right_again=self._right_again(life) and not again)

    def _state(self, life: Life, *, again: bool) -> State:
        graver = life.then.finding if life.then is not None else life.finding
        stop = "stop" in (graver.grade, life.finding.grade)
        # What has to be decided is not dropped any more: on an open sheet of before it stands as open.
        dropped = life.decided is not None and life.decided.word == "dropped" and not stop and not life.finding.grave
        if dropped or (life.finding.part is COMPLAINT and upstream(self.sheet)):
            return "dropped"
        stands = life.at in self.found or life.at in self.now or life.by_earlier
        gone = life.kept is not None and life.kept.withdrawn is not None and not stands
        over_then = (
            life.then is not None and life.then.now is not None
        )  # proven is inside the limit it was found on too
        if not self.waits(life) and not (gone and not self.carried(life.kept)):
            if self._proven(life) and not over_then:
                return "proven"
            if not stands and self._withdrawn(life):
                return "withdrawn"
        if gone and life.at not in self.back:
            return "withdrawn"
        if self._is_put_off(life):
            return "put off"
        return "done not proven" if not again and (life.done or self._was_done(life)) else "open"

    def _withdrawn(self, life: Life) -> bool:
        """Tell whether something that is found no more was withdrawn: it is of this visit, or only today's figures find
        nothing there, which somebody changed since. What its own figure finds elsewhere after work is not.
        """
        if life.done and self._other_grave(life, elsewhere=True):
            return False
        if life.decided is not None and life.decided.word == SLIP:
            return bool(life.proof)
        return life.then is not None or (not self.carried(life.kept) and not holds_unread(self.sheet))

    def _state_of_unknown(self, life: Life) -> State:
        """Return the state of a finding that only another version knows: nothing of this one finds or proves it.

        It ends by a drop after a whole look at its part, one of stop only with the part renewed.
        """
        looked = looked_at_whole(self.sheet, life.finding.part, measured=self.told.measured)
        dropped = life.decided is not None and life.decided.word == "dropped" and life.finding.grade != "stop"
        if dropped and looked:
            return "dropped"
        renewed = self.new_at(life) if life.position and not life.finding.per else bool(life.done) and looked
        if renewed:
            return "proven"
        if life.kept is not None and life.kept.withdrawn is not None:
            return "withdrawn"
        if self._is_put_off(life):
            return "put off"
        return "done not proven" if life.done or self._was_done(life) else "open"

    def _was_done(self, life: Life) -> bool:
        """Tell whether it was done at an earlier visit and is still not proven."""
        kept = life.kept if self.carried(life.kept) else None
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

    def _proven(self, life: Life) -> bool:
        """Tell whether something proves it: a measurement that answered it, a new brush, a fresh look, a new value."""
        if life.finding.id in self.told.answered or self.ended_by_sight(life):
            return True
        if "of-brush" in life.finding.kinds and not life.finding.proof and self.new_at(life):
            return life.at not in self.now or "of-set" not in life.finding.kinds
        lengths = "of-lengths" in life.finding.kinds and self.carried(life.kept) and self.told.measured
        if lengths and life.at not in self.now and life.at not in self.found:
            return True
        slip = life.decided is not None and life.decided.word == SLIP
        if slip or self._right_again(life) or not (life.done or self.carried(life.kept)):
            return False
        looked = self.said_of(gone(life.finding.id), life.finding, life.position)
        seen = looked is not None and life.by_sight and self.look_holds(life, looked)
        if seen and not (life.finding.proof == "inside" and self._still(life)):
            return True
        values = any(g is not looked for g in life.proof) and life.finding.proof not in ("look", "inside")
        return values and not self._still(life) and not self._other_grave(life)

    def _right_again(self, life: Life) -> bool:
        """Tell whether something to be changed or worse is found no more at a later visit, and nobody has worked on it
        or says what happened since: no value is right again by itself.
        """
        kept, finding = life.kept, life.finding
        if kept is None or not self.carried(kept) or kept.withdrawn is not None:
            return False
        asks = kept.finding.grade in _NOT_ALONE and finding.part is not COMPLAINT and "of-lengths" not in finding.kinds
        if not asks or finding.id in DECLARED or all(t.looks for t in finding.tasks):
            return False
        told = life.done or self._was_done(life) or (life.decided is not None and life.decided.word == SLIP)
        return not told and bool(life.proof) and life.then is None and not self._still(life)

    def _still(self, life: Life) -> bool:
        """Tell whether it is found as the motor is now; what no value can be, once its work is done, only where it was
        seen there again.
        """
        seen_before = life.finding.id in ONLY_PROVED and bool(life.done) and life.at not in self.told.seen_again
        return life.at in self.now and not seen_before

    def _other_grave(self, life: Life, *, elsewhere: bool = False) -> bool:
        """Tell whether the same figure tells something else that is grave now, there or `elsewhere` at a place of its
        own: then it is not inside its limit.
        """
        fields = {f.id for f in TOLD_BY.get(life.finding.id, ())}
        others = {t.id for i in fields for t in FIELD_BY_ID[i].tells if FIELD_BY_ID[i].id != t.look}
        # What has no place at a brush, like insulation, speaks of each of them.
        whole = all(FIELD_BY_ID[i].per != "position" for i in fields)
        at_hand = {life.position, 0} if whole else {life.position}
        grave = [(at[0], f.per) for at, f in self.now.items() if at[1] in others and f.grave]
        kind = life.finding.per
        # What is numbered by another kind of thing speaks of each; one of its own kind of itself.
        there = (n for n, per in grave if n in at_hand or (per != kind if per else life.position == 0))
        return any(n != life.position or not elsewhere for n in there)
