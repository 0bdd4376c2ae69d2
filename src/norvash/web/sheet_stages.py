"""What each stage of a sheet shows beside its fields: lists, drawings and choices."""

from collections.abc import Callable
from typing import TYPE_CHECKING, Any

from norvash.core.sheet.bringing import what_to_bring
from norvash.core.sheet.field import SheetField
from norvash.core.sheet.fields import BY_ID, field_of
from norvash.core.sheet.gates import COMPETENT, GATES, steps_of, unfit, usual_method
from norvash.core.sheet.gates import METHODS as ISOLATION
from norvash.core.sheet.sheet import gate
from norvash.core.sheet.work_list import AT_STAGE
from norvash.drawing.band_scale import Banded, band_scale
from norvash.drawing.cause_bars import cause_bars
from norvash.drawing.speed_ladder import speed_ladder_drawn
from norvash.web.brush_stage import brushes_stage
from norvash.web.decide_stage import decide
from norvash.web.forms import whole
from norvash.web.sheet_view import entry, groups_of, named, signs_of, written
from norvash.web.stage_at import DRAWN, At
from norvash.work.brush_lines import BrushLines
from norvash.work.motor_page import MotorPage
from norvash.work.sheet_page import SheetPage

if TYPE_CHECKING:
    from norvash.core.sheet.insulated import InsulationTest
    from norvash.work.copper_bench import CopperBench

_MOST_CAUSES = 5


def opening(shown: MotorPage) -> dict[str, Any]:
    """Return what the form that opens a sheet shows: the acts that make a quick look safe."""
    facts, rules = shown.context.facts, shown.context.rules
    return {
        "steps": steps_of("safe", facts, rules),
        "isolation": ISOLATION[usual_method(facts)],
        "competent": COMPETENT,
    }


def stage(
    shown: SheetPage,
    name: str,
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
    stages = shown.sheet.stages
    here = stages.index(name)
    rules = shown.context.rules
    return {
        "groups": groups_of(shown, name, (position,) if position else ()),
        "signs": signs_of(shown, name),
        "remark": entry(shown, BY_ID[f"remark.{name}"]),
        "skip": entry(shown, BY_ID[f"skip.{name}"]) if f"skip.{name}" in BY_ID else None,
        "position": position,
        "back": stages[here - 1] if here else "",
        "on": stages[here + 1] if here + 1 < len(stages) else "",
        "schools": [rules.choice(s) for s in AT_STAGE.get(name, ())],
        "causes": _causes(shown),
        "competent": COMPETENT,
        **(
            _OF_STAGE[name](At(shown=shown, position=position, typed=typed, brushes=brushes, bench=bench, tests=tests))
            if name in _OF_STAGE
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
    settled = [(d, entry(shown, _named(f"settle.{d.id}"))) for d in shown.deferred]
    return {
        "bring": what_to_bring(shown.context.facts, shown.found, shown.cause, shown.context.rules),
        "put_off": settled,
        "opened_at": shown.opened_at,
    }


def _named(field_id: str) -> SheetField:
    field = field_of(field_id)
    if field is None:
        raise LookupError(field_id)
    return field


def _gate(name: str, shown: SheetPage) -> dict[str, Any]:
    facts, rules = shown.context.facts, shown.context.rules
    steps = [(s, entry(shown, _named(f"step.{name}.{s.id}"), 0, s.act)) for s in steps_of(name, facts, rules)]
    return {
        "gate": gate(shown.sheet, name, rules),
        "gate_name": GATES[name],
        "steps": steps,
        "waive": entry(shown, BY_ID[f"waive.{name}"]),
    }


def _safe(at: At) -> dict[str, Any]:
    shown = at.shown
    return {
        **_gate("safe", shown),
        "method": named(shown, "safe", "Isolation")[0],
        "usual": usual_method(shown.context.facts),
    }


def _before(at: At) -> dict[str, Any]:
    shown = at.shown
    rules, sheet = shown.context.rules, shown.sheet
    permits = [(n, sheet.given("permit.open", n), sheet.given("permit.close", n)) for n in sheet.places("permit.open")]
    ladder = shown.before.ladder
    drawn = (
        [speed_ladder_drawn(ladder.share, ladder.expected_share, ladder.bad_steps, rules["taps.step"], DRAWN)]
        if ladder
        else []
    )
    battery, cranking = shown.before.battery, sheet.number_of("cranking-v")
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
        "permit_field": BY_ID["permit.open"],
        "permit_most": rules["permit.minutes"],
        "drawn_here": drawn,
        "next_permit": len(permits) + 1,
        "close": [entry(shown, BY_ID["permit.close"], n) for n, _, closed in permits if closed is None],
    }


def _rework(at: At) -> dict[str, Any]:
    shown = at.shown
    made = [(n, shown.sheet.given("temporary", n)) for n in shown.sheet.places("temporary")]
    return {"temporary": made, "next_temporary": max(shown.sheet.places("temporary"), default=0) + 1}


def _prove(at: At) -> dict[str, Any]:
    shown = at.shown
    return {**_gate("power", shown), "unfit": unfit(shown.context.state.noted)}


def _sign(at: At) -> dict[str, Any]:
    shown, brushes = at.shown, at.brushes
    added = [shown.sheet.given("addition", n) for n in shown.sheet.places("addition")]
    return {
        **_gate("service", shown),
        "signed": shown.row.signed,
        "added": added,
        "written": written(shown),
        "b": brushes,
        "sooner": entry(shown, BY_ID["next-look"]),
        "parts": entry(shown, BY_ID["parts"]),
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
