"""What each stage of a sheet shows beside its fields: lists, drawings and choices."""

from collections.abc import Callable
from dataclasses import dataclass
from typing import TYPE_CHECKING, Any

from norvash.core.doubts import ANSWERS
from norvash.core.figures import INSTRUMENTS, METHOD_HINTS, METHODS
from norvash.core.findings import GROUPS
from norvash.core.grades import WORDS
from norvash.core.part_findings import COMPONENTS, PARTS
from norvash.core.readings import on_the_gauge_mm
from norvash.core.ruler import ruler_of
from norvash.core.sheet.bringing import what_to_bring
from norvash.core.sheet.deciding import DECISIONS
from norvash.core.sheet.field import SheetField
from norvash.core.sheet.fields import BY_ID, field_of
from norvash.core.sheet.gates import COMPETENT, GATES, steps_of, unfit, usual_method
from norvash.core.sheet.gates import METHODS as ISOLATION
from norvash.core.sheet.geometry import geometry
from norvash.core.sheet.keeping import Stay, stays
from norvash.core.sheet.progress import measured_here
from norvash.core.sheet.sheet import gate
from norvash.core.sheet.voices import dust_expected_g
from norvash.core.work_list import AT_STAGE
from norvash.drawing.band_scale import Banded, band_scale
from norvash.drawing.carbon_ruler import carbon_ruler
from norvash.drawing.cause_bars import cause_bars
from norvash.drawing.speed_ladder import speed_ladder_drawn
from norvash.web.forms import whole
from norvash.web.motor_drawings import sheet_view
from norvash.web.sheet_view import entry, groups_of, named, signs_of, written
from norvash.work.brush_lines import BrushLines
from norvash.work.motor_page import MotorPage
from norvash.work.sheet_page import SheetPage

if TYPE_CHECKING:
    from norvash.core.sheet.insulated import InsulationTest
    from norvash.work.copper_bench import CopperBench

_MOST_CAUSES = 5
_DRAWN = 380.0


@dataclass(frozen=True, slots=True)
class _At:
    """Where somebody stands on a sheet: the position chosen, 0 for none, what was typed, the brushes where they matter."""

    shown: SheetPage
    position: int
    typed: dict[str, str]
    brushes: BrushLines | None
    bench: "CopperBench | None"
    tests: "tuple[InsulationTest, ...]"


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
        "groups": groups_of(shown, name, (position,) if position else ()), "signs": signs_of(shown, name),
        "remark": entry(shown, BY_ID[f"remark.{name}"]), "skip": entry(shown, BY_ID[f"skip.{name}"]) if f"skip.{name}" in BY_ID else None, "position": position,
        "back": stages[here - 1] if here else "", "on": stages[here + 1] if here + 1 < len(stages) else "",
        "schools": [rules.choice(s) for s in AT_STAGE.get(name, ())], "causes": _causes(shown), "competent": COMPETENT,
        **(_OF_STAGE[name](_At(shown, position, typed, brushes, bench, tests)) if name in _OF_STAGE else {}),
    }  # fmt: skip


def _causes(shown: SheetPage) -> Any:
    if shown.cause is None:
        return None
    ranked = [(r.cause.words, r.chance) for r in shown.cause.ranked[:_MOST_CAUSES]]
    return cause_bars(ranked, shown.context.rules["diagnosis.sure"], _DRAWN)


def _call(at: _At) -> dict[str, Any]:
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


def _safe(at: _At) -> dict[str, Any]:
    shown = at.shown
    return {
        **_gate("safe", shown),
        "method": named(shown, "safe", "Isolation")[0],
        "usual": usual_method(shown.context.facts),
    }


def _before(at: _At) -> dict[str, Any]:
    shown = at.shown
    rules, sheet = shown.context.rules, shown.sheet
    permits = [(n, sheet.given("permit.open", n), sheet.given("permit.close", n)) for n in sheet.places("permit.open")]
    ladder = shown.before.ladder
    drawn = (
        [speed_ladder_drawn(ladder.share, ladder.expected_share, ladder.bad_steps, rules["taps.step"], _DRAWN)]
        if ladder
        else []
    )
    battery, cranking = shown.before.battery, sheet.number_of("cranking-v")
    if battery is not None and cranking is not None:
        rated = shown.context.facts.rated_v or 12.0
        drawn.append(
            band_scale(
                "Battery, volts", [Banded("While cranking", "V", cranking, battery.least_v, rated * 1.25)], _DRAWN
            )
        )
    return {"permits": permits, "permit_field": BY_ID["permit.open"], "permit_most": rules["permit.minutes"], "drawn_here": drawn,
            "next_permit": len(permits) + 1, "close": [entry(shown, BY_ID["permit.close"], n) for n, _, closed in permits if closed is None]}  # fmt: skip


def _brushes(at: _At) -> dict[str, Any]:
    shown, position, typed, brushes = at.shown, at.position, at.typed, at.brushes
    if brushes is None:
        raise LookupError("the stage of the brushes needs its lines")
    figures = shown.context.figures
    method = typed.get("method") if typed.get("method") in METHODS else figures.word("method")
    instrument = typed.get("instrument") if typed.get("instrument") in INSTRUMENTS else figures.word("instrument")
    gauges = {
        x.plan.number: on_the_gauge_mm(x.before.length_mm, figures, method or "") for x in brushes.lines if x.before
    }
    ruler = carbon_ruler(
        ruler_of(shown.found, shown.context.state), _DRAWN, max(36.0, 11.0 * len(brushes.lines)), dimensions=True
    )
    worn = tuple(b.wear_mm for b in shown.found.brushes if b.wear_mm is not None)
    chosen = position or brushes.at
    line = next((x for x in brushes.lines if x.plan.number == position), None)
    return {"b": brushes, "method": method, "instrument": instrument, "methods": METHODS, "instruments": INSTRUMENTS,
            "hint": METHOD_HINTS.get(method or "", ""), "gauges": gauges, "ruler": ruler, "view": sheet_view(shown, brushes, chosen, 330),
            "changes": _cut_changes(shown), "answers": ANSWERS, "line": line, "pictures": GROUPS if line is not None else (), "geometry": geometry(shown.sheet, shown.found, shown.context.rules),
            "dust_expected": dust_expected_g(shown.context.facts, worn, shown.context.rules) if shown.context.state.current.fitted_known else None}  # fmt: skip


def _decide(at: _At) -> dict[str, Any]:
    shown = at.shown
    standing = {(m.field_id, m.position) for m in shown.matters}
    decided = [
        (f, p, g)
        for (f, p), g in shown.sheet.entries.items()
        if f.startswith("decide.") and g.word and (f, p) not in standing
    ]
    overrules = {c: entry(shown, BY_ID[f"overrule.{c}"]) for c in (*COMPONENTS, "motor")}
    return {"decisions": DECISIONS, "decided": decided, "overrules": overrules, "words": WORDS, "outcome": named(shown, "decide", "Outcome")[0],
            "looked": _looked(shown), "stays": _stays(shown), "out": [e for e in named(shown, "decide", "Causes found and mended") if e.word or _likely(shown, e)]}  # fmt: skip


def _stays(shown: SheetPage) -> tuple[Stay, ...]:
    """Return which brushes may stay, where a set is to be renewed or the school is to keep good originals."""
    rules = shown.context.rules
    asked = any(w.task.id == "fit-set" for w in shown.work) or rules.choice("school.old-or-new").key == "keep"
    return stays(shown.found, shown.context.state, rules) if asked else ()


def _looked(shown: SheetPage) -> set[str]:
    """Return the components that somebody has looked at on this sheet."""
    return {
        c
        for c in COMPONENTS
        if shown.sheet.touched(c if c in PARTS else "brushes")
        or (c not in PARTS and measured_here(shown.sheet, shown.found))
    }


def _likely(shown: SheetPage, ruled: Any) -> bool:
    first = {r.cause.id for r in shown.cause.ranked[:3]} if shown.cause else set()
    return ruled.field.id.removeprefix("ruled-out.") in first


def _rework(at: _At) -> dict[str, Any]:
    shown = at.shown
    made = [(n, shown.sheet.given("temporary", n)) for n in shown.sheet.places("temporary")]
    return {"temporary": made, "next_temporary": max(shown.sheet.places("temporary"), default=0) + 1}


def _prove(at: _At) -> dict[str, Any]:
    shown = at.shown
    return {**_gate("power", shown), "unfit": unfit(shown.context.state.noted)}


def _sign(at: _At) -> dict[str, Any]:
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


def _copper(at: _At) -> dict[str, Any]:
    from norvash.web import copper_stage

    return copper_stage.commutator(at.shown, at.bench)


def _windings(at: _At) -> dict[str, Any]:
    from norvash.web import part_stages

    return part_stages.windings(at.shown, at.tests)


def _drive(at: _At) -> dict[str, Any]:
    from norvash.web import part_stages

    return part_stages.drive(at.shown)


def _cut_changes(shown: SheetPage) -> Any:
    """Return what a cut on this sheet changed, nothing without one."""
    if shown.sheet.given("cut-done") is None:
        return ()
    from norvash.web.copper_stage import cut_changes_of

    return cut_changes_of(shown)


_OF_STAGE: dict[str, Callable[[_At], dict[str, Any]]] = {
    "call-in": _call, "safe": _safe, "before": _before, "brushes": _brushes, "commutator": _copper, "windings": _windings, "drive": _drive, "decide": _decide, "rework": _rework, "prove": _prove, "sign": _sign,
}  # fmt: skip
