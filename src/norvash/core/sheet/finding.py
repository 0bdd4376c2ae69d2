"""What can be found on a part of a motor: how grave it is, what is decided, which work and which sign it is."""

from dataclasses import dataclass, field, replace
from typing import Literal

from norvash.core.grades import GRADES, Grade
from norvash.core.sheet.part import Part
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.task import Task

# What a fresh look says where it finds no more.
GONE = "gone"
Proof = Literal["", "value", "look", "any", "brush", "inside"]


@dataclass(frozen=True, slots=True, kw_only=True)
class Finding:
    """One finding: words to pick it by, the grade to which it raises its part, and the decision.

    `tasks` are the work that it leads to, `proof` what alone shows that it is mended where that does not follow
    from what tells it: a value, a look, any of these, another brush, or a look while it is inside, no figure
    finding it; what `ends` it does too, seen after work. `shows` is the sign that it is, with its answer, `cause`
    what it is where no sign says so. With one that `never_runs` nothing gets power; one that `ends_in_cut` says
    nothing where no copper is left to be cut. One `of_brush` goes with the brush that it is on, and the first
    reading of a new one proves that; of one `of_set` the new one must not show it too. One `of_lengths` is found by
    the lengths of the set, which show at a later visit that it is gone. With one that `holds_brush` the brush does
    not follow its wear: its reading proves nothing. One `by_test` is picked, but only a test shows it: that a look
    found nothing does not deny it. One `before_power` is proven before anything gets power: no run proves it. One
    that `stops_carried` is a stop where the motor hangs a load or carries people, one that `stops_wheels` also where it
    drives wheels. It is looked for on motors of its `classes`, on all where none is named. With one that `bars_tests`
    it shocks or flies apart: no test of its own turns or feeds the motor either. One that is not `known` was kept
    by another version: nothing here finds or proves it. Of one with `one_of` its tasks are ways of which one is
    enough, chosen where it is decided. One that is `mended_by` some of its tasks is done by those alone: the others go
    with them. `rests_on` are the rules and figures that could end or soften one that no measured value finds. Of one
    that lies on one of several numbered things, `per` is their kind, as of a field: side, bearing, circuit or setting;
    at no number it speaks of all of them.
    """

    id: str
    words: str
    grade: Grade
    decision: str
    part: Part = field(compare=False)
    tasks: tuple[Task, ...] = field(default=(), compare=False)
    shows: tuple[str, str] | None = field(default=None, compare=False)
    never_runs: bool = field(default=False, compare=False)
    ends_in_cut: bool = field(default=False, compare=False)
    of_brush: bool = field(default=False, compare=False)
    of_set: bool = field(default=False, compare=False)
    of_lengths: bool = field(default=False, compare=False)
    holds_brush: bool = field(default=False, compare=False)
    by_test: bool = field(default=False, compare=False)
    before_power: bool = field(default=False, compare=False)
    stops_carried: bool = field(default=False, compare=False)
    bars_tests: bool = field(default=False, compare=False)
    stops_wheels: bool = field(default=False, compare=False)
    classes: tuple[str, ...] = field(default=(), compare=False)
    proof: Proof = field(default="", compare=False)
    ends: str = field(default="", compare=False)
    cause: str = field(default="", compare=False)
    known: bool = field(default=True, compare=False)
    one_of: bool = field(default=False, compare=False)
    per: str = field(default="", compare=False)
    rests_on: tuple[str, ...] = field(default=(), compare=False)
    mended_by: tuple[Task, ...] = field(default=(), compare=False)

    @property
    def renews(self) -> bool:
        """Tell whether the set of brushes goes with it."""
        return any(task.renews for task in self.tasks)

    def worded(self, words: str) -> "Finding":
        """Return the finding with its figures in its words."""
        return replace(self, words=words)

    def carried(self, *, hangs: bool, wheels: bool) -> "Finding":
        """Return the finding as it is on a motor that hangs a load or carries people, or that drives wheels."""
        stops = (hangs and (self.stops_carried or self.stops_wheels)) or (wheels and self.stops_wheels)
        return replace(self, grade="stop") if stops else self

    @property
    def run_to_prove(self) -> bool:
        """Tell whether a run may prove it once it is done: not what no run proves, and what must not be run at all."""
        return not (self.before_power or self.never_runs)

    @property
    def grave(self) -> bool:
        """Tell whether it has to be decided: from planning upwards."""
        return GRADES.index(self.grade) >= GRADES.index("plan")

    @property
    def look(self) -> str:
        """Return the id of the field in which it is picked by sight."""
        return f"seen.{self.id}"

    def seen(self, sheet: Sheet) -> bool:
        """Tell whether it was picked by sight on a sheet."""
        given = sheet.entries.get((self.look, 0))
        return given is not None and given.stands and given.word != GONE


# A finding where it is: its position, 0 for the whole motor.
Noted = tuple[int, Finding]


def finding(
    finding_id: str,
    words: str,
    grade: Grade,
    decision: str,
    part: Part,
    *tasks: Task,
    shows: tuple[str, str] | None = None,
    never_runs: bool = False,
    ends_in_cut: bool = False,
    of_brush: bool = False,
    of_set: bool = False,
    of_lengths: bool = False,
    holds_brush: bool = False,
    by_test: bool = False,
    before_power: bool = False,
    stops_carried: bool = False,
    bars_tests: bool = False,
    stops_wheels: bool = False,
    classes: tuple[str, ...] = (),
    proof: Proof = "",
    ends: str = "",
    cause: str = "",
    one_of: bool = False,
    per: str = "",
    rests_on: tuple[str, ...] = (),
    mended_by: tuple[Task, ...] = (),
) -> Finding:
    """Return a finding with the work that it leads to."""
    return Finding(
        id=finding_id,
        words=words,
        grade=grade,
        decision=decision,
        part=part,
        tasks=tasks,
        shows=shows,
        never_runs=never_runs,
        ends_in_cut=ends_in_cut,
        of_brush=of_brush,
        of_set=of_set,
        of_lengths=of_lengths,
        holds_brush=holds_brush,
        by_test=by_test,
        before_power=before_power,
        stops_carried=stops_carried,
        bars_tests=bars_tests,
        stops_wheels=stops_wheels,
        classes=classes,
        proof=proof,
        ends=ends,
        cause=cause,
        one_of=one_of,
        per=per,
        rests_on=rests_on,
        mended_by=mended_by,
    )
