"""What can be found on a part of a motor: how grave it is, what is decided, which work and which sign it is."""

from collections.abc import Set as AbstractSet
from dataclasses import dataclass, field, replace
from typing import Literal

from norvash.core.grades import GRADES, Grade
from norvash.core.sheet.part import Part
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.task import Task

# What a fresh look says where it finds no more.
GONE = "gone"
Proof = Literal["", "value", "look", "any", "brush", "inside"]

# What a finding may be besides, each with what that means.
Kind = Literal[
    "never-runs",  # nothing gets power with it
    "bars-tests",  # it shocks or flies apart: no test of its own turns or feeds the motor either
    "before-power",  # it is proven before anything gets power: no run proves it
    "stops-carried",  # a stop where the motor hangs a load or carries people
    "stops-wheels",  # the same, also where it drives wheels
    "by-test",  # picked, but only a test shows it: that a look found nothing does not deny it
    "of-brush",  # it goes with the brush that it is on, and the first reading of a new one proves that
    "of-set",  # the new brush must not show it too
    "of-lengths",  # found by the lengths of the set, which show at a later visit that it is gone
    "holds-brush",  # the brush does not follow its wear: its reading proves nothing
    "ends-in-cut",  # it says nothing where no copper is left to be cut
    "one-of",  # its tasks are ways of which one is enough, chosen where it is decided
]


@dataclass(frozen=True, slots=True, kw_only=True)
class Finding:
    """One finding: words to pick it by, the grade to which it raises its part, and the decision.

    `tasks` are the work that it leads to, `proof` what alone shows that it is mended where that does not follow
    from what tells it: a value, a look, any of these, another brush, or a look while it is inside, no figure
    finding it; what `ends` it does too, seen after work. `shows` is the sign that it is, with its answer, `cause`
    what it is where no sign says so. `kinds` say what else holds of it. It is looked for on motors of its `classes`,
    on all where none is named. One that is not `known` was kept by another version: nothing here finds or proves it.
    One that is `mended_by` some of its tasks is done by those alone: the others go with them. `rests_on` are the rules
    and figures that could end or soften one that no measured value finds. Of one that lies on one of several numbered
    things, `per` is their kind, as of a field: side, bearing, circuit or setting; at no number it speaks of all of
    them.
    """

    id: str
    words: str
    grade: Grade
    decision: str
    part: Part = field(compare=False)
    tasks: tuple[Task, ...] = field(default=(), compare=False)
    kinds: AbstractSet[Kind] = field(default=frozenset(), compare=False)
    shows: tuple[str, str] | None = field(default=None, compare=False)
    classes: tuple[str, ...] = field(default=(), compare=False)
    proof: Proof = field(default="", compare=False)
    ends: str = field(default="", compare=False)
    cause: str = field(default="", compare=False)
    known: bool = field(default=True, compare=False)
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
        stops = ("stops-wheels" in self.kinds and (hangs or wheels)) or ("stops-carried" in self.kinds and hangs)
        return replace(self, grade="stop") if stops else self

    @property
    def run_to_prove(self) -> bool:
        """Tell whether a run may prove it once it is done: not what no run proves, and what must not be run at all."""
        return not ("before-power" in self.kinds or "never-runs" in self.kinds)

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
    kinds: AbstractSet[Kind] = frozenset(),
    shows: tuple[str, str] | None = None,
    classes: tuple[str, ...] = (),
    proof: Proof = "",
    ends: str = "",
    cause: str = "",
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
        kinds=kinds,
        shows=shows,
        classes=classes,
        proof=proof,
        ends=ends,
        cause=cause,
        per=per,
        rests_on=rests_on,
        mended_by=mended_by,
    )
