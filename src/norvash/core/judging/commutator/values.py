"""What was painted, measured and cut on the copper."""

from collections.abc import Iterator
from dataclasses import replace

from norvash.core.commutator.result_words import bar_test_words
from norvash.core.commutator.run_out import RunOut, run_out_grade
from norvash.core.commutator.run_out_limits import RULES_OF
from norvash.core.commutator.slots import slot_again_mm
from norvash.core.edges import over, under
from norvash.core.judging.commutator import one_number, whole_map
from norvash.core.judging.commutator.band import band_measured
from norvash.core.judging.commutator.copper_now import CopperNow, Trouble, copper_now, read_after_cut, total_after_cut
from norvash.core.judging.commutator.cut_found import cut_found
from norvash.core.judging.windings.measured import bar_to_shaft
from norvash.core.motor.figure_fields import SLOT_LEAST_MM, SLOT_WIDTH_MM, UNDERCUT_MM
from norvash.core.motor.figure_reading import track_d_mm
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.finding import Finding
from norvash.core.sheet.measured import Derived, Measured, by_rule, judged, standing_of, value_of
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.commutator.bar_map import BAR_MAP
from norvash.core.stages.commutator.bar_test import (
    BAR_SHAFT,
    BAR_SHAFT_BAR,
    BAR_TEST,
    BARTEST_OPEN,
    BARTEST_SHORT,
    BARTEST_SUSPECT,
)
from norvash.core.stages.commutator.cut import COPPER_UNDER, CUT_DONE, SURFACE_EMERGENCY, SURFACE_WITH
from norvash.core.stages.commutator.run_out import (
    BAR_STEP,
    RUN_OUT,
    RUN_OUT_TOTAL,
    RUNOUT_BARS,
    RUNOUT_FAR,
    RUNOUT_OVER,
    RUNOUT_SEATS,
    RUNOUT_SET_UP,
)
from norvash.core.stages.commutator.seen import COMMUTATOR_BURNT
from norvash.core.stages.commutator.seen import COMMUTATOR_TWO_BARS as TWO_BARS
from norvash.core.stages.commutator.size import EARLIER_STEP, GROOVE, PIT, SHOULDER_D, SLOT_DEPTH, SLOT_SHALLOW, TRACK_D
from norvash.core.stages.shared import RENEW_ARMATURE
from norvash.core.stages.windings.insulation import INSULATION_AGAIN, INSULATION_FALLEN
from norvash.core.stages.windings.seen import WINDINGS_EARTH

_OF_MAP = ("pattern.", "bars", "poles", "armature_slots", "winding", "commutator_pitch")
_OF_RUN_OUT = ("runout.", "commutator_d_mm", "rated_rpm", "permitted_rpm", "bars", "hangs_load")
_OF_TEST = ("bartest.", "bars", "armature_slots", "winding", "poles", "coil_turns")
_OF_COPPER = (
    *("cut.least-share", "cut.least-most", "cut.rough", "cut.clean", "cut.depth-most", "runout.least"),
    *("commutator_d_mm", "commutator_d_min_mm", "bars"),
)
_OF_SLOT = (
    *("slot.again", "slot.again-small", "slot.again-large", "slot.small", "slot_width_mm", "slot_least_mm"),
    *("undercut_mm", "commutator_d_mm"),
)
_OF_CUT = (*_OF_COPPER, *_OF_SLOT, "gap.", "holder_gap_mm", "face.radius")
_SIZES = (TRACK_D, SHOULDER_D, GROOVE, PIT, EARLIER_STEP, RUN_OUT, RUN_OUT_TOTAL, BAR_STEP, BAR_MAP)
_MOST_BARS = 6


def measured(sheet: Sheet, rules: MotorRules, _worn_mm: tuple[float, ...]) -> Iterator[Measured]:
    """Yield what was painted, measured and cut on the copper."""
    now = copper_now(sheet, rules)
    found = list(_all(sheet, now, rules))
    ended = any(f.id == COPPER_UNDER.id for m in found for f in m.findings)
    for m in found:
        yield (
            replace(m, findings=tuple(_no_cut(f) if "ends-in-cut" in f.kinds else f for f in m.findings))
            if ended
            else m
        )


def _no_cut(finding: Finding) -> Finding:
    """Return a finding that a cut would mend, where no copper is left to be cut."""
    return replace(finding, decision="no copper is left to be cut", tasks=(RENEW_ARMATURE,))


def _all(sheet: Sheet, now: CopperNow, rules: MotorRules) -> Iterator[Measured]:
    uncut = CUT_DONE.given(sheet) is None
    yield from _map(sheet, now, counts=uncut or whole_map.read_after_cut(sheet))
    yield from _run_out(sheet, now, rules, counts=uncut or read_after_cut(sheet))
    yield from _bar_test(now)
    yield from _to_shaft(sheet, rules)
    yield from _cut(sheet, now, rules)
    if uncut:
        yield from _slots(sheet, rules)
    yield from band_measured(sheet)
    if SURFACE_WITH.of(sheet) == "file":
        said = SURFACE_EMERGENCY.words
        yield value_of(SURFACE_WITH, said, "off", findings=(SURFACE_EMERGENCY,))


def _trouble(sheet: Sheet, now: CopperNow, name: Trouble) -> Iterator[Measured]:
    """Yield why something that was entered cannot be worked out."""
    error = now.trouble.get(name)
    if error is not None and any(field == name for field, _ in sheet.entries):
        words = f"{error.problem} {error.remedy}"
        yield Measured(id=name, of=((name, 0),), words=words, standing="not judged")


def _map(sheet: Sheet, now: CopperNow, *, counts: bool) -> Iterator[Measured]:
    """Yield what the bar map says, of one that is still painted only what stops the motor by itself."""
    yield from _trouble(sheet, now, "bar-map")
    if BAR_MAP.given(sheet) is None:
        return
    if now.unfinished:
        words = f"{now.unfinished}: go on, or say that it is whole"
        yield value_of(BAR_MAP, words, "not whole")
    for saying in now.read.sayings if now.read else ():
        if saying.finding is TWO_BARS and not now.needs_bar_test:
            continue
        found = (saying.finding.worded(saying.brief),) if saying.finding and counts else ()
        standing = standing_of(False if found else None)
        yield value_of(BAR_MAP, saying.words, standing, findings=found, rests_on=(*saying.rules, *_OF_MAP))
    if whole_map.still_burnt(sheet):
        words = "bars are burnt still, after the cut"
        yield value_of(BAR_MAP, words, "off", findings=(COMMUTATOR_BURNT,))


def _run_out(sheet: Sheet, now: CopperNow, rules: MotorRules, *, counts: bool) -> Iterator[Measured]:
    """Yield how true the copper runs, and which bars stand out. Source: rules runout.*"""
    run = now.run_out
    uncut = CUT_DONE.given(sheet) is None
    yield from one_number.told(sheet, now.known, rules, counts=uncut or total_after_cut(sheet))
    if run is None:
        yield from _trouble(sheet, now, "run-out")
        return
    found = tuple(_turned(sheet, run)) if counts else ()
    slow = run.assumed or f"{run.speed_m_per_s:.1f} m/s at the surface"
    rests = (*RULES_OF[run.band], "runout.outlier", *_OF_RUN_OUT)
    total = f"Total run-out {run.tir_mm:.3f} mm, {run.tir_limit_mm:g} mm allowed ({slow}): {run.words}"
    far = over(run.tir_mm, run.tir_limit_mm)
    standing = standing_of(not far) if counts and not run.coarse else "not judged"
    yield value_of(
        RUN_OUT,
        total,
        "off" if far and found else standing,
        value=run.tir_mm,
        unit="mm",
        low=0.0,
        high=run.tir_limit_mm,
        basis=by_rule(rules, *RULES_OF[run.band][:1]),
        derived=() if run.speed_m_per_s is None else (Derived("at the surface", run.speed_m_per_s, "m/s"),),
        findings=found if far else (),
        rests_on=rests,
    )
    yield Measured(id="run-out-fit", of=((RUN_OUT.id, 0),), words=run.fit.words, standing="recorded")
    if run.step_mm is None:
        words = "step from bar to bar not measured: that takes one reading for each bar"
        yield Measured(id="run-out-bars", of=((RUN_OUT.id, 0),), words=words, standing="not judged")
        return
    stepped = over(run.step_mm, run.step_limit_mm)
    yield Measured(
        id="run-out-bars",
        of=((RUN_OUT.id, 0),),
        words=f"greatest step {run.step_mm:.4f} mm after bar {run.step_at}, {run.step_limit_mm:g} mm allowed",
        standing=standing_of(not stepped if found or not stepped else None),
        value=run.step_mm,
        unit="mm",
        low=0.0,
        high=run.step_limit_mm,
        basis=by_rule(rules, *RULES_OF[run.band][1:]),
        findings=found if stepped else (),
        rests_on=rests,
    )
    odd = [f"bar {n} is {abs(mm):.3f} mm {'high' if mm > 0 else 'low'}" for n, mm in run.odd_mm[:_MOST_BARS]]
    if odd:
        off = found if not (far or stepped) else ()
        standing = standing_of(False if off else None)
        of = ((RUN_OUT.id, 0),)
        yield Measured(id="odd-bars", of=of, words="; ".join(odd), standing=standing, findings=off, rests_on=rests)


def _turned(sheet: Sheet, run: RunOut) -> Iterator[Finding]:
    if not run.over:
        return
    words = f"run-out {run.tir_mm:.3f} mm, {run.tir_limit_mm:g} mm allowed"
    if run_out_grade(run, carries=sheet.facts.may_carry) == "stop":
        yield RUNOUT_FAR.worded(words)
    elif run.cause in ("set-up", "off centre"):
        yield (RUNOUT_SET_UP if run.cause == "set-up" else RUNOUT_SEATS).worded(words)
        if run.bars_out:
            yield RUNOUT_BARS.worded(run.words.split("; beside it ")[-1])
    else:
        yield (RUNOUT_BARS if run.cause == "bars" else RUNOUT_OVER).worded(words)


def _bar_test(now: CopperNow) -> Iterator[Measured]:
    """Yield what the bar test says, with the bars that are off, or the one that is nearest to it. Source: rules
    bartest.*
    """
    tested = now.tested
    if tested is None:
        return
    found = [
        (
            BARTEST_SUSPECT if f.kind == "feed" else BARTEST_OPEN if f.kind in ("open", "riser") else BARTEST_SHORT
        ).worded(f.words)
        for f in tested.faults
    ]
    odd = [*tested.unexplained, *tested.suspect]
    if odd:
        found.append(BARTEST_SUSPECT.worded(f"suspect at reading {', '.join(map(str, odd[:_MOST_BARS]))}"))
    far = [(abs(x), n, x) for n, x in enumerate(tested.deviations, start=1) if x is not None]
    off = [(n, x) for _, n, x in sorted(far, reverse=True) if n in (*tested.high, *tested.low, *tested.suspect)]
    nearest = max(far, default=(0.0, 0, 0.0))
    bars = ", ".join(f"{n}: {x:+.1%}" for n, x in off[:_MOST_BARS])
    told = f"off at {bars}" if off else f"nearest to it {nearest[1]}: {nearest[2]:+.1%}" if far else ""
    how = "; each reading is compared with the median of its place in the slot" if tested.by_slot else ""
    yield value_of(
        BAR_TEST,
        "; ".join(filter(None, (f"{bar_test_words(tested).capitalize()}{how}", told))),
        "off" if found else "right" if tested.release else "not judged",
        value=100 * nearest[0] if far else None,
        unit="%",
        low=0.0,
        high=100 * tested.band,
        basis="the median",
        findings=tuple(found),
        rests_on=(tested.pass_rule, "bartest.high", "bartest.low", "bartest.scatter", *_OF_TEST),
    )


def _to_shaft(sheet: Sheet, rules: MotorRules) -> Iterator[Measured]:
    """Yield what the lowest insulation from a bar to the shaft says. Source: rules insulation.*"""
    shaft = bar_to_shaft(sheet, rules)
    if shaft is None:
        return
    bar = BAR_SHAFT_BAR.of(sheet)
    where = f"from bar{'' if bar is None else f' {bar:.0f}'} to the shaft"
    found: tuple[Finding, ...] = ()
    if not shaft.passes and shaft.grade == "stop":
        found = (WINDINGS_EARTH.worded(f"{shaft.measured_megohm:g} MΩ {where}"),)
    elif not shaft.passes:
        found = (INSULATION_AGAIN.worded(f"{where}: {shaft.again}"),)
    elif shaft.fallen:
        found = (INSULATION_FALLEN.worded(f"{where} fallen to {shaft.share or 0:.0%} of last time"),)
    yield value_of(
        BAR_SHAFT,
        f"{where}: {shaft.words}",
        standing_of(not found),
        value=shaft.judged_megohm,
        unit="MΩ",
        low=shaft.least_megohm,
        findings=found,
        rests_on=("insulation.half", "insulation.", "rated_v", "protection", "fed_by", "construction"),
    )


def _cut(sheet: Sheet, now: CopperNow, rules: MotorRules) -> Iterator[Measured]:
    """Yield what the size of the copper asks for, or what a cut has left."""
    done = CUT_DONE.given(sheet) is not None
    of = tuple((f.id, 0) for f in ((CUT_DONE,) if done else _SIZES) if f.given(sheet) is not None)
    for f in cut_found(sheet, now, rules):
        yield Measured(
            id="copper",
            of=of,
            words=f"{f.words[0].upper()}{f.words[1:]}",
            standing="off",
            findings=(f,),
            rests_on=_OF_CUT,
        )


def _slots(sheet: Sheet, rules: MotorRules) -> Iterator[Measured]:
    """Yield the depth of the slots against the least. Source: rules slot.*"""
    figures, depth = sheet.facts.figures, SLOT_DEPTH.of(sheet)
    if depth is None or UNDERCUT_MM.stated(figures) == 0:
        return
    stated = SLOT_LEAST_MM.stated(figures)
    least = stated or slot_again_mm(track_d_mm(figures), SLOT_WIDTH_MM.stated(figures), rules)
    words, shallow = f"slots {depth:.2f} mm deep, {least:.2f} mm at least", under(depth, least)
    yield judged(
        SLOT_DEPTH,
        words,
        value=depth,
        unit="mm",
        low=least,
        basis="maker" if stated else by_rule(rules, "slot.again"),
        off=SLOT_SHALLOW.worded(words) if shallow else None,
        rests_on=_OF_SLOT,
    )
