"""What a finding was judged on: the rules and figures that could end or soften it, kept with it when it is found."""

from collections.abc import Callable, Iterable, Iterator, Mapping
from dataclasses import replace

from norvash.core.judging.measuring import measured_on
from norvash.core.judging.noted import noted
from norvash.core.motor.figure import Number
from norvash.core.motor.figure_fields import BY_NAME, HANGS_LOAD
from norvash.core.motor.figures import Figures
from norvash.core.rules.book import MotorRules, Rulebook
from norvash.core.rules.catalogue import RULES
from norvash.core.sheet.field import Pick, Tick
from norvash.core.sheet.finding import Finding
from norvash.core.sheet.life import KeptLife
from norvash.core.sheet.measured import Measured
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.brushes.carbon import SET_WORN
from norvash.core.stages.catalogue import TOLD_BY
from norvash.core.text.quantities import UNITS
from norvash.core.text.words import figure_said

Ground = Mapping[str, float | str]


def by_figure(finding: Finding) -> bool:
    """Tell whether a finding rests on a rule or a figure: it is not only seen."""
    told = any(not isinstance(f, Pick | Tick) for f in TOLD_BY.get(finding.id, ()))
    return told or "stops-carried" in finding.kinds or bool(finding.rests_on)


def grounds_of(
    wanted: Iterable[Finding], sheet: Sheet, rules: MotorRules, worn_mm: tuple[float, ...] = ()
) -> dict[str, Ground]:
    """Return by its id what each of these findings of a sheet was judged on: rules by their ids, figures by their
    names, each with its value; of the rules those that were asked for. Units: worn_mm [mm] of every brush since new.
    """
    book = rules.book
    traced = replace(rules, book=Rulebook(book.rules, book.overrides.values(), book.schools))
    for _ in noted(sheet, traced, worn_mm):
        pass
    resting: dict[str, dict[str, None]] = {}
    for m in (*measured_on(sheet, rules, worn_mm), *measured_on(sheet.as_found, rules, worn_mm)):
        for f in m.findings:
            resting.setdefault(f.id, {}).update(dict.fromkeys(m.rests_on))
    return {f.id: dict(_ground(f, resting.get(f.id, ()), sheet.facts.figures, traced)) for f in wanted}


def stands_on(m: Measured, sheet: Sheet, rules: MotorRules) -> Ground:
    """Return the rules and figures that a value names as what it rests on, each with its value."""
    return dict(_valued(m.rests_on, sheet.facts.figures, rules))


def under(measured: Iterable[Measured], *, lengths: bool = True) -> Callable[[str], bool]:
    """Return what tells whether something that was measured, or the `lengths` of a set, rests on a rule."""
    names = frozenset(n for m in measured for n in m.rests_on) | frozenset(SET_WORN.rests_on if lengths else ())
    families = tuple(n for n in names if n.endswith("."))
    return lambda rule_id: rule_id in names or rule_id.startswith(families)


def _valued(names: Iterable[str], figures: Figures, rules: MotorRules) -> Iterator[tuple[str, float | str]]:
    for name in names:
        if name in RULES:
            yield name, rules[name]
        elif name in figures.known:
            yield name, figures.known[name].value


def _ground(
    finding: Finding, measured: Iterable[str], figures: Figures, traced: MotorRules
) -> Iterator[tuple[str, float | str]]:
    asked = sorted(traced.asked)
    for name in (*(measured or finding.rests_on), *((HANGS_LOAD.name,) if "stops-carried" in finding.kinds else ())):
        yield from _valued([i for i in asked if i.startswith(name)] if name.endswith(".") else [name], figures, traced)


def found_by(kept: KeptLife) -> str:
    """Return in words what a finding was judged on when it was found; empty for one that was only seen."""
    if not by_figure(kept.finding):
        return ""
    if kept.ground is None:
        return "its ground was not kept then"
    figures_first = sorted(kept.ground.items(), key=lambda stated: stated[0] in RULES)
    return f"found by {'; '.join(_said(n, v) for n, v in figures_first)}" if kept.ground else ""


def _said(name: str, value: float | str) -> str:
    if name in RULES and not isinstance(value, str):
        return f"{RULES[name].words} {figure_said(value, RULES[name].unit)}"
    figure = BY_NAME.get(name)
    label = figure.label.lower() if figure is not None else name
    if isinstance(value, str):
        return f"{label} {value}"
    unit = next(iter(UNITS.get(figure.dimension, ())), "") if isinstance(figure, Number) else ""
    return f"{label} {value:g} {unit}".strip()
