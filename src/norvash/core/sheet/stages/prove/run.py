"""The proof run judged: every figure against plate, type, its own baseline and what must not be passed."""

from collections.abc import Iterator
from dataclasses import dataclass

from norvash.core.edges import over, under
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.finding import Finding
from norvash.core.sheet.said import Said
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.stages.prove.output import output_lacks, output_told
from norvash.core.sheet.stages.prove.run_fields import POINT, RUN_A, RUN_HOW, RUN_RPM, RUN_V, SPARKS, first_look
from norvash.core.sheet.stages.prove.run_figures import Point, baseline_told, figures_told, heat_told
from norvash.core.sheet.stages.prove.run_findings import RUN_OVERSPEED, RUN_SPARKING, RUN_SPARKS
from norvash.core.sheet.stages.prove.volts import fastest
from norvash.core.text.words import grouped


@dataclass(frozen=True, slots=True, kw_only=True)
class Run:
    """A run as it is judged: its points, the one that it is judged at, what is said of it, what it finds, and what it
    lacks to be a proof.
    """

    points: tuple[Point, ...]
    at: Point | None
    said: tuple[Said, ...]
    found: tuple[Finding, ...]
    lacks: tuple[str, ...]


def points_of(sheet: Sheet) -> tuple[Point, ...]:
    """Return the points of a run in their order."""
    made = []
    for place in sorted({p for f in POINT for p in f.places(sheet)}):
        volts, amps, rpm = (f.of(sheet, place) for f in (RUN_V, RUN_A, RUN_RPM))
        sparks = SPARKS.of(sheet, place)
        seen = int(sparks) if sparks else None
        point = Point(place=place, volts=volts, amps=amps, rpm=rpm, sparks=seen)
        made += [point] if point.measured or seen is not None else []
    return tuple(made)


def judged_at(points: tuple[Point, ...]) -> Point | None:
    """Return the point that a run is judged at: that with the most volts, of several the last."""
    return max((p for p in points if p.measured), key=lambda p: (p.volts or 0.0, p.place), default=None)


def judge_run(sheet: Sheet, rules: MotorRules) -> Run:
    """Judge a run by its figures.

    Source: rules run.*, amps.band, output.*
    """
    points = points_of(sheet)
    at = judged_at(points)
    told = list(_told(sheet, points, at, rules))
    return Run(
        points=points,
        at=at,
        said=tuple(x for x in told if isinstance(x, Said)),
        found=tuple(x for x in told if isinstance(x, Finding)),
        lacks=tuple(_lacks(sheet, points, at, rules)),
    )


def _told(sheet: Sheet, points: tuple[Point, ...], at: Point | None, rules: MotorRules) -> Iterator[Said | Finding]:
    if sheet.facts.motor_class == "generator":
        yield from output_told(sheet, [(p.rpm, p.volts) for p in points], rules)
    elif at is not None:
        yield _volts(sheet, at, rules)
        yield from figures_told(sheet, at, rules)
    yield from _speed_allowed(sheet, points)
    yield from _sparks(points, rules)
    yield from heat_told(sheet)
    if sheet.baseline is not None and at is not None and RUN_HOW.of(sheet) == sheet.baseline.how:
        yield from baseline_told(sheet, at, sheet.baseline, rules)


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
    yield from _lacks_volts(sheet, at, rules)
    if all(p.sparks is None for p in points):
        yield "sparks at the brushes"


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


def _volts(sheet: Sheet, at: Point, rules: MotorRules) -> Said:
    rated = sheet.facts.rated_v
    if at.volts is None:
        return Said("Volts not read: taken as those of its plate.")
    if rated is None:
        return Said(f"{at.volts:g} V; the plate's voltage is not known.")
    if over(at.volts / rated, rules["supply.high"]):
        return Said(f"{at.volts:g} V, over the plate's {rated:g} V: set the supply.", False, ("supply.high",))
    short = _short_of_volts(sheet, at.volts, rules)
    words = f"{at.volts:g} V, of the plate's {rated:g} V"
    return Said(f"{words}: run it at those." if short else f"{words}.", False if short else None, ("run.volts",))


def _speed_allowed(sheet: Sheet, points: tuple[Point, ...]) -> Iterator[Said | Finding]:
    most, fast = fastest(sheet.facts), max((p.rpm for p in points if p.rpm is not None), default=None)
    if most is None or fast is None or RUN_HOW.of(sheet) == "load":
        return
    words = f"{grouped(fast)} r/min, {most[1]}"
    yield Said(f"{words}.", not over(fast, most[0]))
    if over(fast, most[0]):
        yield RUN_OVERSPEED.saying(f"faster than it may turn: {words}")


def _sparks(points: tuple[Point, ...], rules: MotorRules) -> Iterator[Said | Finding]:
    worst = max((p.sparks for p in points if p.sparks is not None), default=None)
    if worst is None:
        return
    most, words = rules["run.sparks"], dict(SPARKS.choices)[str(worst)]
    yield Said(f"Sparks {words}; up to {most:g} is right.", not over(worst, most), ("run.sparks", "run.shut-down"))
    if not under(worst, rules["run.shut-down"]):
        yield RUN_SPARKING.saying(f"sparks {words}")
    elif over(worst, most):
        yield RUN_SPARKS.saying(f"sparks {words}")
