"""What was measured before and at the proof run: earth, field, brake, and the run figure by figure."""

from collections.abc import Iterator
from dataclasses import replace

from norvash.core.edges import over, under
from norvash.core.judging.prove.field_proof import field_judged
from norvash.core.judging.prove.run import judge_run, told_of
from norvash.core.judging.prove.since import run_now
from norvash.core.known import all_known
from norvash.core.motor.figure_fields import CORD_MM, CORD_MM2, CORD_OHM
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.field import Field
from norvash.core.sheet.finding import Finding
from norvash.core.sheet.given import Given
from norvash.core.sheet.measured import Measured, Standing, by_rule, judged, standing_of, value_of
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.before.outside import BRAKE_SLIPS
from norvash.core.stages.prove.earth import EARTH_OHM, EARTH_OPEN, PLUG, PLUG_TWO_CORES
from norvash.core.stages.prove.field import FIELD_I, FIELD_WEAK
from norvash.core.stages.prove.run_fields import FIELDS, ON_STOP, POINT, RUN_A, RUN_C, RUN_RPM, RUN_V, SPARKS, TOUCHED_C
from norvash.core.stages.prove.run_findings import RUN_ON_STOP
from norvash.core.stages.prove.standstill import BRAKE_HELD

_OF_FIELD = (
    *("field.least", "field.coefficient", "field_a", "field_v", "field_ohm", "excitation", "rated_v"),
    "construction",
)
_OF_RUN = (
    *("run.", "speed.", "noload.", "amps.band", "supply.high", "magnet.", "output."),
    *("rated_rpm", "permitted_rpm", "rated_a", "rated_v", "rated_w", "construction", "noload_rpm", "noload_rpm_least"),
    *("noload_a", "noload_a_most", "safe_noload_v", "excitation", "it_turns", "armature_ohm", "grade_family"),
)
_OF_HEAT = (
    *("run.hotter", "case.", "run.first-steady", "winding_rise_k", "rise_most_k", "insulation_class", "short_duty"),
    "duty_min",
)
_OF_CORD = ("cord_mm", "cord_mm2", "cord_ohm", "copper.resistivity")
# At which figure of a run each of its subjects is said.
_AT: dict[str, Field] = {
    "volts": RUN_V,
    "amps": RUN_A,
    "rpm": RUN_RPM,
    "sparks": SPARKS,
    "heat": RUN_C,
    "touched": TOUCHED_C,
}


def measured(sheet: Sheet, rules: MotorRules, _worn_mm: tuple[float, ...]) -> Iterator[Measured]:
    """Yield what was measured before and at the proof run."""
    yield from _earth(sheet, rules)
    yield from _field(sheet, rules)
    yield from _brake(sheet, rules)
    yield from _on_stop(sheet)
    if any(f.places(sheet) for f in FIELDS):
        yield from _run(run_now(sheet), rules)


def _earth(sheet: Sheet, rules: MotorRules) -> Iterator[Measured]:
    """Yield the protective earth, and the plug at which it may end; of a machine that has none by design a two-core
    cord is right, whatever its plug. Source: rules earth.ohm, copper.resistivity
    """
    plug, by_design = PLUG.of(sheet), sheet.facts.protection in ("double insulated", "extra-low voltage")
    if plug:
        off = (PLUG_TWO_CORES,) if plug == "odd" and not by_design else ()
        words = PLUG_TWO_CORES.words if off else dict(PLUG.choices)[plug]
        yield value_of(PLUG, words, standing_of(not off), findings=off, rests_on=("protection",))
    earth, cord = EARTH_OHM.of(sheet), cord_ohm(sheet.facts, rules)
    most = rules["earth.ohm"] + (cord or 0.0)
    if earth is not None:
        of_cord = f", {cord:.2g} Ω of it its cord" if cord is not None else ""
        words, high = f"protective earth {earth:g} Ω, allowed {most:.3g}{of_cord}", over(earth, most)
        yield judged(
            EARTH_OHM,
            words,
            value=earth,
            unit="Ω",
            low=0.0,
            high=most,
            basis=by_rule(rules, "earth.ohm"),
            off=EARTH_OPEN.worded(words) if high else None,
            rests_on=(*("earth.ohm", "protection"), *(_OF_CORD if cord is not None else ())),
        )


def cord_ohm(facts: Facts, rules: MotorRules) -> float | None:
    """Return the resistance of the earth wire of its cord [Ω], None where neither that nor its length and section are
    stated. Source: rule copper.resistivity
    """
    stated = CORD_OHM.stated(facts.figures)
    known = all_known(CORD_MM.stated(facts.figures), CORD_MM2.stated(facts.figures))
    if stated is not None or known is None:
        return stated
    return rules["copper.resistivity"] * known[0] / 1000 / known[1]


def _field(sheet: Sheet, rules: MotorRules) -> Iterator[Measured]:
    """Yield the field's current against what it should be. Source: rule field.least"""
    judged = field_judged(sheet, rules)
    if judged is None:
        return
    weak = judged.answer == "weak"
    standing: Standing = "not judged" if judged.answer == "not judged" else standing_of(not weak)
    off = (FIELD_WEAK.worded(f"{judged.words}: no power under {rules['field.least']:.0%}"),) if weak else ()
    yield value_of(
        FIELD_I,
        f"{judged.words}.",
        standing,
        value=FIELD_I.of(sheet),
        unit="A",
        basis=by_rule(rules, "field.least"),
        findings=off,
        rests_on=_OF_FIELD,
    )


def _brake(sheet: Sheet, rules: MotorRules) -> Iterator[Measured]:
    """Yield what a brake held of its load. Source: rule brake.held"""
    held, least = BRAKE_HELD.of(sheet), rules["brake.held"]
    if held is None:
        return
    words, slips = f"its brake held {held:g} times its load, {least:g} is asked for", under(held, least)
    yield judged(
        BRAKE_HELD,
        words,
        value=held,
        low=least,
        basis=by_rule(rules, "brake.held"),
        off=BRAKE_SLIPS.worded(words) if slips else None,
        rests_on=("brake.held",),
    )


def taken_on_stop(sheet: Sheet) -> list[Given]:
    """Return what was taken while a stop stood, in order."""
    return [given for place in ON_STOP.places(sheet) if (given := ON_STOP.given(sheet, place)) is not None]


def _on_stop(sheet: Sheet) -> Iterator[Measured]:
    """Yield what was taken while a stop stood, as it was sent."""
    taken = taken_on_stop(sheet)
    if taken:
        more = f", and {len(taken) - 1} more" if len(taken) > 1 else ""
        off = RUN_ON_STOP.worded(f"taken while a stop stood: {taken[0].typed}{more}")
        places = tuple((ON_STOP.id, place) for place in ON_STOP.places(sheet))
        yield Measured(id=ON_STOP.id, of=places, words=off.words, standing="off", findings=(off,))


def _run(sheet: Sheet, rules: MotorRules) -> Iterator[Measured]:
    """Yield the run subject by subject, each with what it finds; a figure that is a stop is not said again for what is
    less grave of it. Source: rules run.*, speed.*, noload.*, amps.band, output.*
    """
    run = judge_run(sheet, rules)
    counts = list(run.found)
    for about, told in told_of(sheet, run.points, run.at, rules):
        for m in told:
            subject = _BY_UNIT.get(m.unit, about)
            of = _anchor(sheet, subject)
            if of is not None:
                yield _subject(subject, of, m, counts)


def _anchor(sheet: Sheet, subject: str) -> tuple[str, int] | None:
    """Return the entry at which a subject of a run is said: the last of its figure, else any that was read."""
    return next(((f.id, n) for f in (_AT[subject], *POINT, RUN_C) for n in reversed(f.places(sheet))), None)


# A figure is said as what it is, whatever it is held against: a speed beside the current of a plate, a current beside
# the speed of a baseline.
_BY_UNIT = {"A": "amps", "r/min": "rpm"}


def _subject(subject: str, of: tuple[str, int], m: Measured, counts: list[Finding]) -> Measured:
    rests = _OF_HEAT if subject == "heat" else _OF_RUN
    found = tuple(f for f in m.findings if f in counts)
    standing: Standing = "recorded" if m.findings and not found else m.standing
    rests_on = (*m.rests_on, *(rests if subject != "touched" else ()))
    return replace(m, id=f"run {subject}", of=(of,), standing=standing, findings=found, rests_on=rests_on)
