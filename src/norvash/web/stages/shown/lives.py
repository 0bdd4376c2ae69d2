"""The life of a finding as pages show it: how far it has come, what can be decided, what would prove it."""

from dataclasses import dataclass, replace
from functools import cached_property

from norvash.core.sheet.field import Field
from norvash.core.sheet.life import Life
from norvash.core.sheet.part import COMPLAINT
from norvash.core.sheet.task import Task
from norvash.core.stages.catalogue import STAGES, TOLD_BY, stage_of
from norvash.core.stages.decide import ELSEWHERE, SLIP, decision
from norvash.core.stages.decide import STAGE as DECIDE
from norvash.core.stages.rework import gone
from norvash.core.visit.instead import instead, ways_of
from norvash.core.visit.proving import HANDED_OVER, LEFT_SO, RIGHT_AGAIN, STATE_WORDS, proof_asked, said_by
from norvash.web.stages.shown.fields import Entry, entry
from norvash.work.reading.sheet_now import SheetNow


@dataclass(frozen=True)
class LifeShown:
    """A life on a sheet: its state in words, what may be decided of it, and how it is proven."""

    shown: SheetNow
    life: Life

    @cached_property
    def decide(self) -> Entry:
        """Return the entry that decides it."""
        return self._said_of(decision(self.life.finding.id))

    @cached_property
    def key(self) -> str:
        """Return the name that its elements carry."""
        return f"{self.decide.field.id}-{self.life.position}".replace(".", "-")

    @property
    def choices(self) -> tuple[str, ...]:
        """Return what may be decided: nothing of grade stop is put off or left so; what lies outside the motor is
        handed to its owner; only what another version knows is dropped. Of what is right again first why.
        """
        if self.life.right_again or self.decide.word in (ELSEWHERE, SLIP):
            return (ELSEWHERE, SLIP, "now", "waits")
        stops, outside = self.life.finding.grade == "stop", self.life.finding.part.outside
        own = ("now", "waits") if stops else ("now", "deferred", "left", "waits")
        if outside:
            return (*own, "owner")
        return own if self.life.finding.known else (*own, "dropped")

    @property
    def days(self) -> float | None:
        """Return for how many days a change is put off at most while it is in use, None for what is less grave."""
        return self.shown.context.rules["putoff.days"] if self.life.finding.grade == "change" else None

    @property
    def way(self) -> str:
        """Return by which way it is mended, in words, empty where there is one or none is chosen."""
        return next(
            (f": {t.what[0].lower()}{t.what[1:]}" for t in ways_of(self.life.finding) if t.id == self.life.way), ""
        )

    @property
    def instead(self) -> tuple[Task, ...]:
        """Return the work that may be chosen in place of the usual one."""
        return instead(self.life.finding)

    @cached_property
    def look(self) -> Entry:
        """Return the tick that says that it is gone."""
        return self._said_of(gone(self.life.finding.id), "looked again: gone")

    def _said_of(self, field: Field, label: str = "") -> Entry:
        """Return an entry at its place; what was said of every one that is numbered stands there until it is said of
        this one.
        """
        own = entry(self.shown, field, self.life.position, label)
        of_all = entry(self.shown, field, 0, label) if own.given is None and self.life.finding.per else own
        return replace(own, given=of_all.given)

    @cached_property
    def state(self) -> str:
        """Return its state in words, with what proves it or would."""
        return _state(self.life)

    @property
    def closed(self) -> bool:
        """Tell whether nothing is left to do about it."""
        return self.life.state in ("proven", "dropped")

    @property
    def proof(self) -> str:
        """Return what would prove it."""
        return proof_asked(self.life)

    @property
    def by(self) -> str:
        """Return who has done the work."""
        return said_by(self.life)

    @property
    def stage(self) -> str:
        """Return the stage where its figure is measured again, empty for one that is proven by sight."""
        finding = self.life.finding
        if not finding.known:
            return next((s.id for s in STAGES if finding.part in s.parts), DECIDE.id)
        if self.life.by_sight:
            return ""
        if "of-brush" in finding.kinds:
            return "brushes"
        told = next((f for f in TOLD_BY.get(finding.id, ()) if f.id != finding.look), None)
        stage = stage_of(told.id) if told is not None else None
        return stage.id if stage is not None else ""


def _state(life: Life) -> str:
    if life.by_earlier:
        return f"{STATE_WORDS[life.state]}; judged by an earlier version, until it is measured again"
    return f"out of service, waiting for {life.waits_for.part}" if life.waits_for is not None else _state_now(life)


def _state_now(life: Life) -> str:
    if life.state == "proven" and life.proof and life.proof[-1].number is not None:
        return f"proven: {life.proof[-1].typed}"
    if life.right_again:
        return f"{RIGHT_AGAIN}: mended since, or a slip then?"
    if life.state == "open" and life.measured_again:
        last = life.proof[-1].typed if life.proof and life.proof[-1].number is not None else ""
        return f"measured again{f': {last}' if last else ''}, still so"
    if life.state == "open" and life.decided is not None:
        return HANDED_OVER if life.handed_over else "to do"
    if life.state == "done not proven":
        return f"done; {proof_asked(life)}"
    return LEFT_SO if life.left_so else STATE_WORDS[life.state]


def lives_shown(shown: SheetNow) -> list[LifeShown]:
    """Return the findings of this visit, but for the complaint, which ends by an answer."""
    return [LifeShown(shown, x) for x in shown.visit.lives if x.finding.part is not COMPLAINT]
