"""What each stage of a sheet shows beside its fields: lists, drawings and choices."""

from collections.abc import Callable
from typing import TYPE_CHECKING, Any

from norvash.core.sheet.bringing import what_to_bring
from norvash.core.sheet.gate import Gate
from norvash.core.sheet.gates import COMPETENT, METHOD, POWER, SAFE, SERVICE, unfit, usual_method
from norvash.core.sheet.gates import METHODS as ISOLATION
from norvash.core.sheet.stage import Stage
from norvash.core.sheet.stages.before.fields import CRANKING_V, PERMIT_CLOSE, PERMIT_OPEN
from norvash.core.sheet.stages.call_in import settled
from norvash.core.sheet.stages.rework import TEMPORARY
from norvash.core.sheet.stages.sign import ADDITION, NEXT_LOOK, PARTS_USED
from norvash.core.sheet.walk import runs_until, stages_of
from norvash.drawing.band_scale import Banded, band_scale
from norvash.drawing.cause_bars import cause_bars
from norvash.drawing.speed_ladder import speed_ladder_drawn
from norvash.web.brush_stage import brushes_stage
from norvash.web.decide_stage import decide
from norvash.web.forms import whole
from norvash.web.sheet_view import entry, groups_of, signs_of, written
from norvash.web.stage_at import DRAWN, At
from norvash.work.brush_lines import BrushLines
from norvash.work.motor_page import MotorPage
from norvash.work.sheet_page import SheetPage

if TYPE_CHECKING:
    from norvash.core.sheet.stages.windings.measured import InsulationTest
    from norvash.work.copper_bench import CopperBench

_MOST_CAUSES = 5


def opening(shown: MotorPage) -> dict[str, Any]:
    """Return what the form that opens a sheet shows: the acts that make a quick look safe."""
    facts, rules = shown.context.facts, shown.context.rules
    return {"steps": SAFE.steps(facts, rules), "isolation": ISOLATION[usual_method(facts)], "competent": COMPETENT}


def stage_shown(
    shown: SheetPage,
    stage: Stage,
    typed: dict[str, str],
    *,
    brushes: BrushLines | None,
    bench: "CopperBench | None",
    tests: "tuple[InsulationTest, ...]",
) -> dict[str, Any]:
    """Return what a stage shows."""
    at = whole(typed.get("position", "")) or 0
    positions = {p.number for p in shown.context.state.positions}
    position = at if at in positions else 0
    stages = stages_of(shown.sheet)
    here = stages.index(stage)
    rules = shown.context.rules
    return {
        "groups": groups_of(shown, stage, (position,) if position else ()),
        "signs": signs_of(shown, stage),
        "remark": entry(shown, stage.remark),
        "skip": entry(shown, stage.skip) if stage.skip is not None else None,
        "position": position,
        "back": stages[here - 1].id if here else "",
        "on": stages[here + 1].id if here + 1 < len(stages) else "",
        "schools": [rules.choice(s) for s in stage.schools],
        "causes": _causes(shown),
        "competent": COMPETENT,
        **(
            _OF_STAGE[stage.id](
                At(shown=shown, position=position, typed=typed, brushes=brushes, bench=bench, tests=tests)
            )
            if stage.id in _OF_STAGE
            else {}
        ),
    }


def _causes(shown: SheetPage) -> Any:
    if shown.cause is None:
        return None
    ranked = [(r.cause.words, r.chance) for r in shown.cause.ranked[:_MOST_CAUSES]]
    return cause_bars(ranked, shown.context.rules["diagnosis.sure"], DRAWN)


def _call(at: At) -> dict[str, Any]:
    shown = at.shown
    put_off = [(d, entry(shown, settled(d.id))) for d in shown.deferred]
    return {
        "bring": what_to_bring(shown.context.facts, shown.found, shown.cause, shown.context.rules),
        "put_off": put_off,
        "opened_at": shown.opened_at,
    }


def _gate(gate: Gate, shown: SheetPage) -> dict[str, Any]:
    facts, rules = shown.context.facts, shown.context.rules
    steps = [(s, entry(shown, gate.step(s.id), 0, s.act)) for s in gate.steps(facts, rules)]
    return {
        "gate": gate.now(shown.sheet, rules),
        "gate_name": gate.words,
        "steps": steps,
        "waive": entry(shown, gate.waived),
    }


def _safe(at: At) -> dict[str, Any]:
    shown = at.shown
    return {**_gate(SAFE, shown), "method": entry(shown, METHOD), "usual": usual_method(shown.context.facts)}


def _before(at: At) -> dict[str, Any]:
    shown = at.shown
    rules, sheet = shown.context.rules, shown.sheet
    permits = [(n, PERMIT_OPEN.given(sheet, n), PERMIT_CLOSE.given(sheet, n)) for n in PERMIT_OPEN.places(sheet)]
    ladder = shown.before.ladder
    drawn = (
        [speed_ladder_drawn(ladder.share, ladder.expected_share, ladder.bad_steps, rules["taps.step"], DRAWN)]
        if ladder
        else []
    )
    battery, cranking = shown.before.battery, CRANKING_V.of(sheet)
    if battery is not None and cranking is not None:
        rated = shown.context.facts.rated_v or 12.0
        drawn.append(
            band_scale(
                "Battery, volts",
                [Banded(words="While cranking", unit="V", value=cranking, low=battery.least_v, high=rated * 1.25)],
                DRAWN,
            )
        )
    return {
        "permits": permits,
        "until": {n: runs_until(sheet, n) for n, _, _ in permits},
        "permit_most": rules["permit.minutes"],
        "drawn_here": drawn,
        "next_permit": len(permits) + 1,
        "close": [entry(shown, PERMIT_CLOSE, n) for n, _, closed in permits if closed is None],
    }


def _rework(at: At) -> dict[str, Any]:
    shown = at.shown
    made = [(n, TEMPORARY.given(shown.sheet, n)) for n in TEMPORARY.places(shown.sheet)]
    return {"temporary": made, "next_temporary": max(TEMPORARY.places(shown.sheet), default=0) + 1}


def _prove(at: At) -> dict[str, Any]:
    shown = at.shown
    return {**_gate(POWER, shown), "unfit": unfit(shown.context.state.noted)}


def _sign(at: At) -> dict[str, Any]:
    shown, brushes = at.shown, at.brushes
    added = [ADDITION.given(shown.sheet, n) for n in ADDITION.places(shown.sheet)]
    return {
        **_gate(SERVICE, shown),
        "signed": shown.row.signed,
        "added": added,
        "written": written(shown),
        "b": brushes,
        "sooner": entry(shown, NEXT_LOOK),
        "parts": entry(shown, PARTS_USED),
    }


def _copper(at: At) -> dict[str, Any]:
    from norvash.web import copper_stage

    return copper_stage.commutator(at.shown, at.bench)


def _windings(at: At) -> dict[str, Any]:
    from norvash.web import part_stages

    return part_stages.windings(at.shown, at.tests)


def _drive(at: At) -> dict[str, Any]:
    from norvash.web import part_stages

    return part_stages.drive(at.shown)


_OF_STAGE: dict[str, Callable[[At], dict[str, Any]]] = {
    "call-in": _call,
    "safe": _safe,
    "before": _before,
    "brushes": brushes_stage,
    "commutator": _copper,
    "windings": _windings,
    "drive": _drive,
    "decide": decide,
    "rework": _rework,
    "prove": _prove,
    "sign": _sign,
}
