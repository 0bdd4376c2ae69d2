"""What was measured before opening, as findings."""

from collections.abc import Iterator
from dataclasses import replace

from norvash.core.edges import over
from norvash.core.known import all_known
from norvash.core.motor.figure_fields import USUAL_NOLOAD_A, USUAL_NOLOAD_RPM
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.finding import Finding, Noted
from norvash.core.sheet.judging.before.judged import is_open, judge_before, terminals_of
from norvash.core.sheet.judging.prove.points import Point
from norvash.core.sheet.judging.prove.run_figures import slower_told
from norvash.core.sheet.judging.prove.speed import current_told, speed_told
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.stages.before.fields import NOLOAD_A, NOLOAD_RPM
from norvash.core.sheet.stages.brushes.springs import TERMINAL_MEASURED
from norvash.core.sheet.stages.windings.coils import MAGNETS_WEAK
from norvash.core.text.words import listed


def findings(sheet: Sheet, rules: MotorRules) -> Iterator[Noted]:
    """Return what lies before the motor and is not right, and what the terminals and a run without load say."""
    before = (j.finding for j in judge_before(sheet, rules).judged if j.finding is not None)
    yield from ((0, f) for f in before if f.part.outside)
    bad = [(words.lower(), t) for words, t in terminals_of(sheet, rules) if t.right is False]
    if bad:
        names = listed(list(dict.fromkeys(words for words, _ in bad)))
        broken = any(t.unit == "Ω" and is_open(t.value) for _, t in bad)
        said = TERMINAL_MEASURED.saying(f"{names}: {'open' if broken else 'too much drop or resistance'}")
        yield 0, replace(said, grade="change") if broken else said
    yield from ((0, f) for f in (*_magnets(sheet, rules), *_unloaded(sheet, rules)))


def _unloaded(sheet: Sheet, rules: MotorRules) -> Iterator[Finding]:
    """Return what a run without load before opening says of speed and current, by the same rules as a proof run."""
    rpm, amps = NOLOAD_RPM.of(sheet), NOLOAD_A.of(sheet)
    point = Point(place=0, volts=None, amps=amps, rpm=rpm, sparks=None)
    told = (
        *speed_told(sheet.facts, (point,), rules, free=True),
        *current_told(sheet.facts, (point,), rules),
        *slower_told(sheet.facts, rpm, rules),
    )
    yield from (f for f in told if isinstance(f, Finding))


def _magnets(sheet: Sheet, rules: MotorRules) -> Iterator[Finding]:
    """Return weak magnets: no-load speed well over the type's, and current too.

    Source: rules magnet.speed, amps.band
    """
    figures = sheet.facts.figures
    measured = all_known(NOLOAD_RPM.of(sheet), NOLOAD_A.of(sheet))
    usual = all_known(USUAL_NOLOAD_RPM.of(figures), USUAL_NOLOAD_A.of(figures))
    if not sheet.facts.magnets or measured is None or usual is None:
        return
    (rpm, amps), (usual_rpm, usual_a) = measured, usual
    if over(rpm, (1 + rules["magnet.speed"]) * usual_rpm) and over(amps, (1 + rules["amps.band"]) * usual_a):
        yield MAGNETS_WEAK.saying(
            f"{rpm:.0f} r/min and {amps:g} A without load, {usual_rpm:.0f} and {usual_a:g} usual: weak magnets"
        )
