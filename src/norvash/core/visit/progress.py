"""How far a sheet is: each stage done, begun, skipped, waiting or held, and why; on a signed one, what was not done."""

from collections.abc import Iterable, Mapping
from dataclasses import dataclass
from types import MappingProxyType
from typing import Literal

from norvash.core.sheet.stage import Stage
from norvash.core.stages.catalogue import STAGE_BY_ID, STAGES
from norvash.core.stages.gates import SAFE
from norvash.core.visit.gate_ticked import ticked
from norvash.core.visit.visit import Visit
from norvash.core.visit.walk import stages_of, touched, upstream

State = Literal["done", "begun", "skipped", "waiting", "held", "not done"]
# What a stage was when its sheet was signed, and is from then on.
_STAYS: Mapping[str, State] = MappingProxyType({"done": "done", "begun": "begun", "skipped": "skipped"})


@dataclass(frozen=True, slots=True)
class StageNow:
    """One stage on the rail: its state and the reason in a few words."""

    stage: Stage
    number: int
    state: State
    why: str


def progress(visit: Visit) -> tuple[StageNow, ...]:
    """Return the state of every stage that the sheet walks."""
    known: tuple[StageNow, ...] | None = visit.worked_out.get("rail")
    if known is None:
        known = visit.worked_out["rail"] = _progress(visit)
    return known


def _progress(visit: Visit) -> tuple[StageNow, ...]:
    safe = not ticked(SAFE, visit.sheet, visit.rules).is_open
    made = []
    for stage in stages_of(visit.sheet):
        state, why = _state(stage, visit, safe=safe)
        made.append(StageNow(stage, STAGES.index(stage) + 1, state, why))
    return tuple(made)


def as_signed(told: Iterable[Mapping[str, str]]) -> tuple[StageNow, ...]:
    """Return the stages as they stood when their sheet was signed: what waited then was not done."""
    made = []
    for kept in told:
        stage = STAGE_BY_ID[kept["id"]]
        state: State = _STAYS.get(kept["state"], "not done")
        if stage.closes:
            state = "done"
        made.append(
            StageNow(stage, STAGES.index(stage) + 1, state, kept["why"] if state in ("skipped", "begun") else "")
        )
    return tuple(made)


def _state(stage: Stage, visit: Visit, *, safe: bool) -> tuple[State, str]:
    sheet, judging = visit.sheet, visit.judging[stage.id]
    skipped = stage.skip.of(sheet) if stage.skip is not None else ""
    if judging.is_done(visit) if judging.is_done is not None else touched(sheet, stage):
        left = judging.left_of(visit)
        return ("begun", left) if left else ("done", "")
    if skipped:
        return "skipped", skipped
    if (stage.inside or stage.proves) and upstream(sheet):
        return "skipped", "not opened"
    if sheet.signed_at is not None:
        return "not done", ""
    if stage.inside and not safe:
        return "held", "make safe comes first"
    return "waiting", judging.left(visit)
