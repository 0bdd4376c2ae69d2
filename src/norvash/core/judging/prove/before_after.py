"""The figures of a motor as they were found and as they are left, each with its band and its own baseline."""

from collections.abc import Iterator

from norvash.core.judging.prove.heat import rise_k
from norvash.core.judging.prove.output import Points
from norvash.core.judging.prove.points import points_of
from norvash.core.judging.prove.run import Run
from norvash.core.judging.prove.run_figures import RunFigure, held_amps, held_rpm
from norvash.core.motor.figure_fields import RATED_RPM, RATED_V
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.measured import Measured, follows
from norvash.core.sheet.records_of_running import RunLog
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.before.fields import NOLOAD_A, NOLOAD_RPM, OUTPUT_FOUND
from norvash.core.stages.prove.earth import EARTH_OHM
from norvash.core.stages.windings.insulation import INSULATION_MOHM
from norvash.core.text.words import grouped


def output_found(sheet: Sheet) -> Points:
    """Return the volts of a generator as they were found, each with its speed: [r/min], [V]."""
    given = OUTPUT_FOUND.given(sheet)
    record = given.record if given is not None else None
    return [(p.rpm, p.v) for p in record.points] if isinstance(record, RunLog) else []


def before_after(sheet: Sheet, run: Run, rules: MotorRules) -> tuple[Measured, ...]:
    """Return the figures of the class side by side; one that was never read is left out. Source: rules run.*,
    amps.band, output.*
    """
    rows = [*_output(sheet, run, rules), *_ran(sheet, run, rules), *_safe(sheet)]
    return tuple(r for r in rows if r.found is not None or r.value is not None)


def _output(sheet: Sheet, run: Run, rules: MotorRules) -> Iterator[Measured]:
    """Yield the volts of a generator at the speed nearest to its plate's."""
    if sheet.facts.motor_class != "generator":
        return
    plate_v, plate_rpm = RATED_V.of(sheet.facts.figures), RATED_RPM.of(sheet.facts.figures)
    left = [(p.rpm, p.volts) for p in run.points if p.rpm is not None and p.volts is not None]
    at = plate_rpm or max((n for n, _ in left), default=0.0)
    best = min(left, key=lambda x: abs(x[0] - at), default=(at, None))
    found = _near(output_found(sheet), best[0])
    share = plate_v / plate_rpm * best[0] if plate_v and plate_rpm else None
    low, high = (None, None) if share is None else (rules["output.low"] * share, rules["output.high"] * share)
    yield follows(
        words=f"At {grouped(best[0])} r/min",
        unit="V",
        found=found,
        value=best[1],
        low=low,
        high=high,
        notch=share,
        basis="plate" if share is not None else "plate speed not known",
    )


def _near(points: Points, rpm: float) -> float | None:
    """Return the volts that were read nearest to a speed, None where none lies within a tenth of it."""
    read = [(n, v) for n, v in points if n is not None and v is not None]
    near = min(read, key=lambda x: abs(x[0] - rpm), default=None)
    return near[1] if near is not None and abs(near[0] - rpm) <= rpm / 10 else None


def _ran(sheet: Sheet, run: Run, rules: MotorRules) -> Iterator[Measured]:
    at, found, base = run.at, sheet.as_found, sheet.baseline
    if at is None:
        return
    if sheet.facts.motor_class != "generator":
        amps, rpm = held_amps(sheet, at, rules), held_rpm(sheet, at, rules)
        yield _held("Current", "A", NOLOAD_A.of(found), amps, base.amps if base is not None else None)
        yield _held("Speed", "r/min", NOLOAD_RPM.of(found), rpm, base.rpm if base is not None else None)
    then = points_of(found) if found is not sheet else ()
    before = max((p.sparks for p in then if p.sparks is not None), default=None)
    worst = max((p.sparks for p in run.points if p.sparks is not None), default=None)
    yield follows(
        words="Sparks", unit="0 to 4", found=before, value=worst, low=0, high=rules["run.sparks"], basis="at most"
    )
    yield follows(
        words="Hotter than the air",
        unit="K",
        found=None,
        value=rise_k(sheet),
        notch=base.rise_k if base is not None else None,
        basis="its own baseline" if base is not None and base.rise_k is not None else "",
    )


def _held(words: str, unit: str, found: float | None, held: RunFigure | None, base: float | None) -> Measured:
    if held is None:
        return follows(words=words, unit=unit, found=found, value=None)
    low, high = held.band if held.band is not None else (held.least, held.most)
    basis = "its own baseline" if base is not None else held.basis if held.usual else ""
    notch = held.usual if base is None else base
    return follows(
        words=words,
        unit=unit,
        found=found,
        value=held.value,
        low=0.0 if held.may_be_low else low,
        high=held.most if held.most is not None else high,
        notch=notch,
        basis=basis,
    )


def _safe(sheet: Sheet) -> Iterator[Measured]:
    found = sheet.as_found
    for words, unit, field in (("Insulation", "MΩ", INSULATION_MOHM), ("Protective earth", "Ω", EARTH_OHM)):
        left = field.of(sheet)
        before = field.of(found) if found is not sheet else None
        yield follows(words=words, unit=unit, found=before if before != left else None, value=left)
