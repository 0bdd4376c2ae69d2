"""The proof run judged: every figure against plate, type, its own baseline and what must not be passed."""

from collections.abc import Collection, Iterator
from dataclasses import dataclass, replace
from types import MappingProxyType
from typing import Any

from norvash.core.edges import over, under
from norvash.core.grades import Grade
from norvash.core.judging.prove.first_run import (
    PULL,
    first_run_lacks,
    first_told,
    own_readings,
    safe_lacks,
    starter_lacks,
    throws_only,
)
from norvash.core.judging.prove.heat import heat_told, touched_told
from norvash.core.judging.prove.output import output_lacks, output_told
from norvash.core.judging.prove.points import Point, judged_at, points_of
from norvash.core.judging.prove.run_figures import baseline_told, comparable, figures_told, held_amps, held_rpm
from norvash.core.judging.prove.speed import current_told, speed_told, unjudged_lacks
from norvash.core.motor.figure_fields import RATED_A
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.finding import Finding
from norvash.core.sheet.measured import Measured, by_rule, told, unsure
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.prove.field import FIELD_I
from norvash.core.stages.prove.run_fields import RUN_HOW, SPARKS, first_look
from norvash.core.stages.prove.run_findings import (
    RUN_AMPS,
    RUN_HEAVY,
    RUN_OVERLOAD,
    RUN_OVERSPEED,
    RUN_SPARKING,
    RUN_SPARKS,
    RUN_SPEED,
    RUN_VOLTS,
)
from norvash.core.stages.prove.unstated import runs_first
from norvash.core.stages.prove.volts import fed_by_battery, over_plate, plate_most
from norvash.core.stages.windings.coils import COILS, FIELD_WHOLE
from norvash.core.text.words import listed

# What a stop says of a figure stands for what is less grave of it.
_LESS = MappingProxyType({RUN_OVERSPEED.id: RUN_SPEED.id, RUN_OVERLOAD.id: RUN_AMPS.id, RUN_HEAVY.id: RUN_AMPS.id})
# Any run: whether there is a figure for it at all shows before it is run.
_ANY = Point(place=0, volts=None, amps=1.0, rpm=1.0, sparks=None)


@dataclass(frozen=True, slots=True, kw_only=True)
class Run:
    """A run as it is judged: its points, the one that it is judged at, what is said of it, what it finds, and what it
    lacks to be a proof.
    """

    points: tuple[Point, ...]
    at: Point | None
    said: tuple[Measured, ...]
    found: tuple[Finding, ...]
    lacks: tuple[str, ...]


def judge_run(sheet: Sheet, rules: MotorRules) -> Run:
    """Judge a run by its figures.

    Source: rules run.*, amps.band, output.*
    """
    points = points_of(sheet)
    at = judged_at(points)
    said = tuple(x for _, of_one in told_of(sheet, points, at, rules) for x in of_one)
    return Run(
        points=points,
        at=at,
        said=said,
        found=_gravest(dict.fromkeys(f for m in said for f in m.findings)),
        lacks=tuple(_lacks(sheet, points, at, rules)),
    )


def proves_throw_only(sheet: Sheet, rules: MotorRules) -> bool:
    """Tell whether a run proves a starter's throw, and lacks nothing but what its pull is held against."""
    run = judge_run(sheet, rules)
    return run.lacks == (PULL,) and throws_only(sheet, run.points, rules)


def runs_at_speed(sheet: Sheet, rules: MotorRules) -> bool:
    """Tell whether a run was read at a speed that is known to be right."""
    run = judge_run(sheet, rules)
    if run.at is None or {RUN_SPEED.id, RUN_OVERSPEED.id} & {f.id for f in run.found}:
        return False
    held = held_rpm(sheet, run.at, rules)
    known = held is not None and (held.usual is not None or held.least is not None)
    return known and comparable(sheet, run.at, rules)


def _gravest(found: Collection[Finding]) -> tuple[Finding, ...]:
    """Return what a run finds, the same figure not said again where it is a stop."""
    less = {_LESS[x.id] for x in found if x.id in _LESS}
    return tuple(x for x in found if x.id not in less)


Told = tuple[Measured, ...]


def told_of(sheet: Sheet, points: tuple[Point, ...], at: Point | None, rules: MotorRules) -> Iterator[tuple[str, Told]]:
    """Yield what a run tells by its subjects: volts, amps, rpm, sparks, heat, and that of what is touched."""
    if sheet.facts.motor_class == "generator":
        yield "volts", tuple(output_told(sheet, [(p.rpm, p.volts) for p in points], rules))
    elif at is not None:
        yield "volts", tuple(_volts(sheet, at, rules))
        yield "amps", tuple(_heavy(sheet, points, rules))
        yield "amps", tuple(figures_told(sheet, at, rules))
        yield "amps", tuple(first_told(sheet, at, rules))
    free = RUN_HOW.of(sheet) != "load"
    yield "rpm", tuple(speed_told(sheet.facts, points, rules, free=free))
    if free:
        yield "amps", tuple(current_told(sheet.facts, points, rules))
    yield "sparks", tuple(_sparks(points, rules))
    yield "heat", tuple(heat_told(sheet, points, rules))
    yield "touched", tuple(touched_told(sheet, rules))
    if sheet.baseline is not None and at is not None and RUN_HOW.of(sheet) == sheet.baseline.how:
        yield "rpm", tuple(baseline_told(sheet, at, sheet.baseline, rules))


def _lacks(sheet: Sheet, points: tuple[Point, ...], at: Point | None, rules: MotorRules) -> Iterator[str]:
    """Yield what a run lacks to prove anything."""
    facts, look = sheet.facts, first_look(sheet.facts)
    if look.given(sheet) is None:
        yield f"{look.label[0].lower()}{look.label[1:]}: which way round, whether it rubs"
    if facts.motor_class == "generator":
        lacks = output_lacks(sheet, [(p.rpm, p.volts) for p in points], rules)
        yield from [lacks] if lacks else []
        return
    if at is None or (at.amps is None and at.rpm is None):
        yield "current or r/min"
        yield from _lacks_figures(sheet, (*points, _ANY), _ANY, rules)
    else:
        yield from _lacks_figures(sheet, points, at, rules)
    yield from _lacks_volts(sheet, at, rules)
    if all(p.sparks is None for p in points):
        yield "sparks at the brushes"


def _speed_and_current(sheet: Sheet, points: tuple[Point, ...], rules: MotorRules) -> Iterator[Measured]:
    free = RUN_HOW.of(sheet) != "load"
    yield from speed_told(sheet.facts, points, rules, free=free)
    if free:
        yield from current_told(sheet.facts, points, rules)


def _lacks_figures(sheet: Sheet, points: tuple[Point, ...], at: Point, rules: MotorRules) -> Iterator[str]:
    """Yield the figure without which neither current nor speed of a run could be judged."""
    base = sheet.baseline
    if base is not None and base.how == RUN_HOW.of(sheet):
        return
    if RUN_HOW.of(sheet) != "load":
        read = any(f.given(sheet, n) is not None for f in (FIELD_I, FIELD_WHOLE, COILS) for n in f.places(sheet))
        yield from unjudged_lacks(sheet.facts, points, rules, field_read=read)
    held = (held_amps(sheet, at, rules), held_rpm(sheet, at, rules))
    own = own_readings(sheet, at, rules)
    if any(h.known and h.unit not in own for h in held if h is not None):
        return
    if own:
        yield f"{listed([*own.values()])}, stated at this visit as it was read: say where that comes from"
    else:
        yield from _lacks_any(sheet, points, rules)


def _lacks_any(sheet: Sheet, points: tuple[Point, ...], rules: MotorRules) -> Iterator[str]:
    """Yield what a run lacks of a motor of which neither current nor speed is known as it is run."""
    loaded = RUN_HOW.of(sheet) == "load"
    if sheet.facts.motor_class == "starter":
        yield from starter_lacks(sheet, points, rules) if runs_first(sheet.facts) else ()
    elif any(m.right is not None for m in _speed_and_current(sheet, points, rules)):
        return
    elif runs_first(sheet.facts):
        yield from first_run_lacks(sheet, points, rules)
    elif sheet.facts.runs_away and not loaded:
        yield from safe_lacks(sheet, points, rules)
    else:
        yield "a figure to judge it by: " + (
            "its plate's current or speed" if loaded else "its usual current or speed without load"
        )


def _lacks_volts(sheet: Sheet, at: Point | None, rules: MotorRules) -> Iterator[str]:
    volts, rpm = (at.volts, at.rpm) if at is not None else (None, None)
    free = sheet.facts.runs_away and RUN_HOW.of(sheet) != "load"
    if free and (volts is None or rpm is None):
        yield "volts and r/min, as it runs away without load"
    elif sheet.facts.motor_class == "starter" and volts is None:
        yield "volts at the post while it runs"
    elif _short_of_volts(sheet, volts, rules):
        yield "volts of its plate: it was run at less"


def _short_of_volts(sheet: Sheet, volts: float | None, rules: MotorRules) -> bool:
    """Tell whether a motor that may have the volts of its plate was run at less."""
    rated, free = sheet.facts.rated_v, RUN_HOW.of(sheet) != "load" and sheet.facts.runs_away
    return bool(volts and rated and not free and under(volts / rated, rules["run.volts"]))


def _volts(sheet: Sheet, at: Point, rules: MotorRules) -> Iterator[Measured]:
    rated = sheet.facts.rated_v
    if at.volts is None:
        yield told("Volts not read: taken as those of its plate.")
    elif rated is None:
        yield unsure(f"{at.volts:g} V; the plate's voltage is not known.", value=at.volts, unit="V")
    else:
        yield _beside_plate(sheet, at.volts, rated, rules)


def _beside_plate(sheet: Sheet, volts: float, rated: float, rules: MotorRules) -> Measured:
    """Return the volts of a run beside those of its plate; without load one that runs away gets less. Units: [V]"""
    rule, share = plate_most(sheet.facts, rules)
    least, high = rules["run.volts"], over_plate(volts, sheet.facts, rules)
    of: dict[str, Any] = {
        "value": volts,
        "unit": "V",
        "low": least * rated,
        "high": share * rated,
        "basis": f"plate; {by_rule(rules, 'run.volts', rule)}",
        "rests_on": (rule, "run.volts", "run.volts-stop"),
    }
    if high:
        off = replace(RUN_VOLTS.worded(high), grade=_over_plate_grade(volts / rated, sheet, rules))
        return told(f"{high}: set the supply.", off=off, **of)
    words = f"{volts:g} V, of the plate's {rated:g} V"
    if _short_of_volts(sheet, volts, rules):
        return unsure(f"{words}: run it at those.", **of)
    return told(f"{words}.", right=not under(volts / rated, least), **of)


def _over_plate_grade(share: float, sheet: Sheet, rules: MotorRules) -> Grade:
    """Return how grave it is that it was run over its plate's volts. Units: share [1]."""
    if over(share, rules["run.volts-stop"]):
        return "stop"
    return "plan" if fed_by_battery(sheet.facts) and under(share, rules["run.volts-battery-change"]) else "change"


def _heavy(sheet: Sheet, points: tuple[Point, ...], rules: MotorRules) -> Iterator[Measured]:
    """Yield a steady current far over that of its plate; what cranks draws it in bursts. Source: rules run.amps-*"""
    rated = RATED_A.of(sheet.facts.figures)
    amps = max((p.amps for p in points if p.amps is not None), default=None)
    if rated is None or amps is None or RUN_HOW.of(sheet) != "load":  # without load over its plate's is a stop already
        return
    if under(amps / rated, rules["run.amps-change"]):
        return
    words = f"{amps:g} A, {amps / rated:.1f} times the {rated:g} A of its plate"
    off = replace(RUN_HEAVY.worded(words), grade="change" if under(amps / rated, rules["run.amps-stop"]) else "stop")
    most, basis = rules["run.amps-change"] * rated, f"plate; {by_rule(rules, 'run.amps-change')}"
    yield told(f"{words}.", off=off, value=amps, unit="A", high=most, basis=basis)


def _sparks(points: tuple[Point, ...], rules: MotorRules) -> Iterator[Measured]:
    worst = max((p.sparks for p in points if p.sparks is not None), default=None)
    if worst is None:
        return
    most, words = rules["run.sparks"], dict(SPARKS.choices)[str(worst)]
    off = None
    if not under(worst, rules["run.shut-down"]):
        off = RUN_SPARKING.worded(f"sparks {words}")
    elif over(worst, most):
        off = RUN_SPARKS.worded(f"sparks {words}")
    yield told(
        f"Sparks {words}; up to {most:g} is right.",
        right=True,
        off=off,
        value=worst,
        low=0.0,
        high=most,
        basis=by_rule(rules, "run.sparks"),
        rests_on=("run.sparks", "run.shut-down"),
    )
