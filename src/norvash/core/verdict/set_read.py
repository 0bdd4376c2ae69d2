"""What the readings of the fitted set say: each brush, what is missing, the line through them, and what governs."""

from dataclasses import dataclass

from norvash.core.brush.limits import Limit
from norvash.core.brush.motor_limit import motor_limit
from norvash.core.brush.straight_line import StraightLine
from norvash.core.grades import Graded, worst
from norvash.core.planning.policies import nobody_knows
from norvash.core.rules.book import MotorRules
from norvash.core.state.findings import BrushNow, OldRate
from norvash.core.state.motor_state import BrushSet, MotorState
from norvash.core.state.round import Round
from norvash.core.verdict.brush_now import brush_now
from norvash.core.verdict.old_rate import line_by_old_rate
from norvash.core.verdict.set_line import at_look, line_of, only_start


@dataclass(frozen=True, slots=True, kw_only=True)
class SetRead:
    """The fitted set as it was last read: `latest` round, the last `complete_before` it, and all rounds `since` it.

    `missing` are the positions that the latest round does not have, `held` those of them whose brush would not move;
    of a round of the `shortest_only` nobody knows which brush it was of. `by_length` is the grade of the lengths, `old`
    the line at the rate of the set before, where the set's own says nothing yet.
    """

    limit: Limit
    brushes: tuple[BrushNow, ...]
    latest: Round | None
    complete_before: Round | None
    since: tuple[Round, ...]
    missing: tuple[str, ...]
    held: tuple[str, ...]
    shortest_only: bool
    by_length: Graded | None
    line: StraightLine | None
    old: OldRate | None

    @property
    def is_whole(self) -> bool:
        """Tell whether it was read, and no brush of it is missing."""
        return self.latest is not None and not self.missing

    @property
    def governing(self) -> BrushNow | None:
        """Return the brush that sets the line, else the one with the least left; None where nothing is known."""
        if self.line and self.line.governing_position:
            return self.brushes[self.line.governing_position - 1]
        return min((b for b in self.brushes if b.left_mm is not None), key=lambda b: b.left_mm or 0.0, default=None)


def set_read(state: MotorState, rules: MotorRules) -> SetRead:
    """Return what the readings of the fitted set say by themselves, whatever the day.

    Raises: InputError when the motor's figures contradict each other.
    """
    limit, current = motor_limit(state.figures, rules), state.current
    measured = [r for r in current.rounds if r.readings]
    latest = measured[-1] if measured else None
    brushes = tuple(brush_now(state, current, i, limit, rules) for i in range(len(state.positions)))
    shortest_only = latest is not None and current.stands_for(latest)
    missing = () if shortest_only else _missing(state, current, brushes, measured)
    line = (
        line_of(state, current, latest, limit=limit, rules=rules, brushes=brushes)
        if latest and not shortest_only and not only_start(state, measured)
        else None
    )
    none_yet = (line is None or line.answer == "not enough wear yet") and not (missing or nobody_knows(state))
    return SetRead(
        limit=limit,
        brushes=tuple(at_look(b, line, state, latest) for b in brushes) if line and not missing else brushes,
        latest=latest,
        complete_before=next((r for r in reversed(current.complete(state.positions)) if r is not latest), None),
        since=current.rounds[current.rounds.index(latest) :] if latest else current.rounds,
        missing=tuple(b.label for b in missing),
        held=tuple(b.label for b in missing if latest is not None and b.number in latest.held),
        shortest_only=shortest_only,
        by_length=worst([b.graded for b in brushes if b.graded]),
        line=line,
        old=line_by_old_rate(state, limit, rules) if none_yet else None,
    )


def _missing(
    state: MotorState, current: BrushSet, brushes: tuple[BrushNow, ...], measured: list[Round]
) -> tuple[BrushNow, ...]:
    """Return the brushes that the last round does not have; at its first round a brush by its part is as well known as
    it was when it came.
    """
    if not measured:
        return ()
    known = {n for n, told in state.told.new.items() if told} | (current.nominal if len(measured) == 1 else set())
    return tuple(b for b in brushes if not b.in_round and b.number not in known)
