"""Findings that follow from what was measured on commutator, windings, bearings and drive."""

from collections.abc import Iterator
from dataclasses import replace

from norvash.core.commutator.run_out import run_out_grade
from norvash.core.commutator.slots import slot_again_mm
from norvash.core.edges import over, under
from norvash.core.findings import Finding
from norvash.core.known import all_known
from norvash.core.part_findings import BY_ID, said
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.copper import CopperNow, copper_now, read_after_cut
from norvash.core.sheet.drive_voices import drive_voices
from norvash.core.sheet.given import Given
from norvash.core.sheet.insulated import bar_to_shaft, coils_now, index_now, insulation_now, slots_on_growler
from norvash.core.sheet.sheet import Sheet
from norvash.core.text.words import listed
from norvash.core.windings.insulation import Insulation

Voice = tuple[int, Finding]
# What ends in a cut says nothing more where no copper is left to be cut.
_ASK_FOR_A_CUT = ("commutator.rough", "runout.over", "runout.bars", "slot.shallow")


def part_voices(sheet: Sheet, rules: MotorRules) -> list[Voice]:
    """Return what the measurements of stages 6 to 8 say of the whole motor, each finding once with its figures in its
    words.
    """
    found: dict[str, Finding] = {}
    for finding in (f for teller in (_copper, _windings, drive_voices) for f in teller(sheet, rules)):
        before = found.get(finding.id)
        found[finding.id] = finding if before is None else replace(before, words=f"{before.words}; {finding.words}")
    return [(0, f) for f in found.values()]


def _copper(sheet: Sheet, rules: MotorRules) -> Iterator[Finding]:
    now = copper_now(sheet, rules)
    found = list(_all_copper(sheet, now, rules))
    ended = any(f.id == "copper.under" for f in found)
    yield from (f for f in found if not (ended and f.id in _ASK_FOR_A_CUT))


def _all_copper(sheet: Sheet, now: CopperNow, rules: MotorRules) -> Iterator[Finding]:
    if sheet.given("cut-done") is None:
        yield from _map(now)
    if sheet.given("cut-done") is None or read_after_cut(sheet):
        yield from _turned(sheet, now)
    yield from _bar_test(sheet, now, rules)
    yield from _cut(sheet, now, rules)
    if sheet.word("surface-with") == "file":
        yield BY_ID["surface.emergency"]


def _map(now: CopperNow) -> Iterator[Finding]:
    for saying in now.read.sayings if now.read else ():
        if saying.finding and not (saying.finding == "commutator.two-bars" and not now.needs_bar_test):
            yield said(saying.finding, saying.brief)


def _turned(sheet: Sheet, now: CopperNow) -> Iterator[Finding]:
    found = now.run_out
    if found is None or not found.over:
        return
    words = f"run-out {found.tir_mm:.3f} mm, {found.tir_limit_mm:g} mm allowed"
    if run_out_grade(found, carries=sheet.facts.may_carry) == "stop":
        yield said("runout.far", words)
    elif found.cause in ("set-up", "off centre"):
        yield said("runout.set-up" if found.cause == "set-up" else "runout.seats", words)
        if found.bars_out:
            yield said("runout.bars", found.words.split("; beside it ")[-1])
    else:
        yield said("runout.bars" if found.cause == "bars" else "runout.over", words)


def _bar_test(sheet: Sheet, now: CopperNow, rules: MotorRules) -> Iterator[Finding]:
    tested, shaft = now.tested, bar_to_shaft(sheet, rules)
    if tested is not None:
        for fault in tested.faults:
            if fault.kind == "feed":
                yield said("bartest.suspect", fault.words)
            else:
                yield said("bartest.open" if fault.kind in ("open", "riser") else "bartest.short", fault.words)
        odd = [*tested.unexplained, *tested.suspect]
        if odd:
            yield said("bartest.suspect", f"suspect at reading {', '.join(map(str, odd[:6]))}")
    if shaft is not None and not shaft.passes:
        bar = sheet.number_of("bar-shaft-bar")
        where = f"from bar{'' if bar is None else f' {bar:.0f}'} to the shaft"
        if shaft.grade == "stop":
            yield said("windings.earth", f"{shaft.measured:g} MΩ {where}")
        else:
            yield said("insulation.again", f"{where}: {shaft.again}")


def _cut(sheet: Sheet, now: CopperNow, rules: MotorRules) -> Iterator[Finding]:
    plan, done = now.plan, sheet.given("cut-done")
    if done is not None:
        yield from _left(done)
        yield from _after_cut(sheet, done, rules)
        return
    yield from _slots(sheet, rules)
    if plan is None:
        return
    about = ", the least an estimate" if plan.provisional else ""
    if under(plan.copper.diameter, plan.least):
        yield said(
            "copper.under", f"{plan.copper.diameter:.2f} mm in diameter, under its least of {plan.least:.2f} mm{about}"
        )
    elif (
        now.work is not None
        and now.work[0].id == "skim"
        and not (now.run_out and now.run_out.cause in ("set-up", "off centre"))
    ):
        depth = plan.chosen
        if depth.allowed:
            yield said(
                "copper.cut",
                f"cleans up with {depth.radial:.3f} mm radial, to {depth.diameter_after:.2f} mm; {depth.skims_left}"
                f" more such cuts left{about}",
            )
        else:
            yield said(
                "copper.refused",
                f"a cut would end {depth.under_by:.3f} mm under the least diameter; deepest allowed {plan.deepest:.3f}"
                f" mm radial{about}",
            )


def _left(done: Given) -> Iterator[Finding]:
    """Return what a cut left of the copper."""
    after, least, radial = (float(done.more.get(name, "nan")) for name in ("after", "least", "radial"))
    if under(after, least):
        yield said("copper.under", f"{after:.2f} mm after the cut, under its least of {least:.2f} mm")
    elif under(after - least, 2 * radial):
        yield said(
            "copper.last", f"{(after - least) / 2:.3f} mm radial left above the least diameter, less than the last cut"
        )


def _after_cut(sheet: Sheet, done: Given, rules: MotorRules) -> Iterator[Finding]:
    """Return what a cut leaves to be done, until it is ticked: holders, faces, slots."""
    sunk, slot = float(done.more.get("sunk", "0")), done.more.get("slot")
    if not sheet.has("holder-set") and sunk > 0:
        gap = done.more.get("gap")
        wider = "" if gap is None else f", gap {float(gap):.2f} to {float(gap) + sunk:.2f} mm"
        yield said("gap.cut", f"holders not set since the cut: the brush sinks by {sunk:.3f} mm{wider}")
    before, after = float(done.more.get("before", "0")), float(done.more.get("after", "0"))
    yield said("face.cut", f"faces shaped to {before / 2:.2f} mm, the radius is {after / 2:.2f} mm now")
    if slot is not None and not sheet.has("cut-chamfer"):
        depth = max(float(slot) - float(done.more.get("radial", "0")), 0.0)
        least = slot_again_mm(after, sheet.facts.figures.stated("slot_width_mm"), rules)
        if under(depth, least) and sheet.facts.figures.stated("undercut_mm") != 0:
            yield said("slot.shallow", f"slots {depth:.2f} mm deep after the cut")


def _slots(sheet: Sheet, rules: MotorRules) -> Iterator[Finding]:
    depth, width = sheet.number_of("slot-depth"), sheet.facts.figures.stated("slot_width_mm")
    if depth is None or sheet.facts.figures.stated("undercut_mm") == 0:
        return
    least = slot_again_mm(sheet.facts.figures.track_d_mm, width, rules)
    if under(depth, least):
        yield said("slot.shallow", f"slots {depth:.2f} mm deep, {least:.2f} mm at least")


def _windings(sheet: Sheet, rules: MotorRules) -> Iterator[Finding]:
    insulation, index, coils = insulation_now(sheet, rules), index_now(sheet, rules), coils_now(sheet, rules)
    if insulation is not None:
        yield from _insulation(insulation)
    if index is not None and index.grade != "fit":
        grave: dict[str, str] = {"watch": "polarization.watch", "plan": "polarization.low", "stop": "polarization.hold"}
        yield said(grave[index.grade], f"polarization index {index.words}")
    if coils is not None and coils.off:
        yield said("windings.short", f"field coils: {coils.words}")
    if sheet.word("growler") == "fail":
        slots = [str(n) for n in slots_on_growler(sheet)]
        which = f"slot{'s' if len(slots) > 1 else ''} {listed(slots)}" if slots else "a slot that is not named"
        yield said("windings.growler", f"{which} answer{'' if len(slots) > 1 else 's'} on the growler")
    for chain, words in (("wear-chain", "wear-indicator chain"), ("heat-chain", "temperature chain")):
        if sheet.word(chain) in ("open", "closed"):
            yield said("chain.dead", f"{words} {sheet.word(chain)}, should not be")
    yield from _magnets(sheet, rules)


def _insulation(found: Insulation) -> Iterator[Finding]:
    """Return what insulation to earth asks for: what must stop, what proves nothing yet, what is to be watched."""
    first = found.words.split(";")[0]
    if found.again:
        yield said("insulation.again", f"insulation {found.measured:.3g} MΩ, {found.again}")
    elif found.grade == "stop":
        yield said("insulation.low", f"insulation {first}")
    elif found.fallen:
        words = f"insulation fallen to {found.share or 0:.0%} of last time, {first}"
        yield replace(said("insulation.fallen", words), grade=found.grade)
    elif found.grade == "watch":
        yield said("insulation.middling", f"insulation {first}")


def _magnets(sheet: Sheet, rules: MotorRules) -> Iterator[Finding]:
    """Return weak magnets: no-load speed well over the type's, and current too.

    Source: rules magnet.speed, amps.band
    """
    figures = sheet.facts.figures
    measured = all_known(sheet.number_of("noload-rpm"), sheet.number_of("noload-a"))
    usual = all_known(figures.number("noload_rpm"), figures.number("noload_a"))
    if not sheet.facts.magnets or measured is None or usual is None:
        return
    (rpm, amps), (usual_rpm, usual_a) = measured, usual
    if over(rpm, (1 + rules["magnet.speed"]) * usual_rpm) and over(amps, (1 + rules["amps.band"]) * usual_a):
        yield said(
            "magnets.weak",
            f"{rpm:.0f} r/min and {amps:g} A without load, {usual_rpm:.0f} and {usual_a:g} usual: weak magnets",
        )
