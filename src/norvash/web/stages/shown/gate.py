"""A gate as its stage shows it."""

from dataclasses import dataclass

from norvash.core.sheet.gate import Gate, GateNow, Step
from norvash.core.sheet.held import Held
from norvash.core.stages.catalogue import STAGE_BY_ID
from norvash.core.stages.gates import COMPETENT, POWER, SAFE, usual_method, usual_run
from norvash.core.visit.gate_ticked import asked_at, is_undone, ticked
from norvash.core.visit.gating import HELD, gate_now, may_be_waived
from norvash.core.visit.walk import stages_of
from norvash.web.stages.shown.axis import part_of_field
from norvash.web.stages.shown.fields import Entry, entry
from norvash.work.reading.sheet_now import SheetNow


@dataclass(frozen=True, slots=True)
class StepShown:
    """A step with its tick; `anew` tells that it was ticked before what it has to be ticked after."""

    step: Step
    entry: Entry
    anew: bool


@dataclass(frozen=True, slots=True)
class HowShown:
    """What is said beside the steps, with the answers that this motor allows: the usual one first."""

    entry: Entry
    choices: list[tuple[str, str]]
    usual: str
    anew: bool


@dataclass(frozen=True, slots=True)
class HeldShown:
    """What holds a gate: in words, where on the sheet it is settled, and its waiver where somebody may waive it."""

    words: str
    at: str
    waive: Entry | None


@dataclass(frozen=True, slots=True, kw_only=True)
class GateShown:
    """A gate: how it stands, its steps with their ticks, what holds it with the stage where that is settled, what is
    said `again` together, the waiver of one that is waived as a `whole`, and who may do this.
    """

    now: GateNow
    steps: list[StepShown]
    held: list[HeldShown]
    how: HowShown | None
    again: Entry | None
    whole: bool
    waive: Entry
    competent: str = COMPETENT


def gate_shown(gate: Gate, shown: SheetNow) -> GateShown:
    """Return a gate as it stands on a sheet."""
    sheet, facts, rules = shown.sheet, shown.context.facts, shown.context.rules
    ticks = [(s, entry(shown, gate.step(s.id), 0, s.act)) for s in gate.steps(facts, rules)]
    keeps = HELD.get(gate.id)
    now, anew = gate_now(gate, shown.visit), _anew(gate, shown)
    still = {h.id for h in now.held}
    every = [(h, stage.id) for stage in stages_of(sheet) if keeps for h in shown.visit.held(stage, keeps)]
    held = [_held(h, at, shown) for h, at in every if h.id in still] if keeps else []
    return GateShown(
        now=now,
        steps=[StepShown(s, e, e.field.id in anew) for s, e in ticks],
        held=held or [HeldShown(h.words, "before", None) for h in now.held],
        how=_how(gate, shown),
        again=said_again(gate, shown),
        whole=gate.whole,
        waive=entry(shown, gate.waived),
    )


def _held(hold: Held, stage_id: str, shown: SheetNow) -> HeldShown:
    """Return what holds a gate, with its waiver where somebody may waive it."""
    waiver = hold.waiver if may_be_waived(hold, shown.visit) else None
    settled = next((f for f in hold.read if f in STAGE_BY_ID[stage_id].all_fields), None)
    at = stage_id if settled is None else f"{stage_id}{part_of_field(shown, settled)}#entry-{entry(shown, settled).key}"
    return HeldShown(hold.words, at, entry(shown, waiver) if waiver is not None else None)


def _how(gate: Gate, shown: SheetNow) -> HowShown | None:
    if gate.how is None:
        return None
    facts, rules = shown.context.facts, shown.context.rules
    usual = {SAFE.id: usual_method, POWER.id: usual_run}[gate.id](facts)
    forbidden, said = gate.how.forbids(facts, rules), entry(shown, gate.how)
    choices = [c for c in gate.how.choices if c[0] not in forbidden]
    return HowShown(said, sorted(choices, key=lambda c: c[0] != usual), usual, gate.how.id in _anew(gate, shown))


def said_again(gate: Gate, shown: SheetNow) -> Entry | None:
    """Return what says again, together, all that was said at a gate and undone since; None where that is not all."""
    again = ticked(gate, shown.sheet, shown.context.rules).again
    if not again or shown.row.signed_at is not None:
        return None
    return entry(shown, gate.again, max(gate.again.places(shown.sheet), default=0) + 1, f"Again: {'; '.join(again)}")


def _anew(gate: Gate, shown: SheetNow) -> frozenset[str]:
    """Return what was said at a gate and is asked anew, by field; on a signed sheet nothing is."""
    if shown.row.signed_at is not None:
        return frozenset()
    asked = asked_at(gate, shown.sheet, shown.context.rules)
    return frozenset(x.field.id for x in asked if is_undone(gate, x, shown.sheet))
