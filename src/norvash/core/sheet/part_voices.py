"""Findings that follow from what was measured on commutator, windings, bearings and drive."""

from collections.abc import Iterator
from dataclasses import replace

from norvash.core.bearings.fitting import bush_lines, ring_lines, shim_mm, squeeze
from norvash.core.bearings.lasting import judge_vibration, renew_anyway
from norvash.core.findings import Finding
from norvash.core.part_findings import BY_ID
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.copper import CopperNow, copper_now
from norvash.core.sheet.field import BEARINGS
from norvash.core.sheet.given import Given
from norvash.core.sheet.insulated import coils_now, index_now, insulation_now, slots_on_growler
from norvash.core.sheet.part_fields import FIELDS
from norvash.core.sheet.sheet import Sheet
from norvash.core.words import listed

Voice = tuple[int, Finding]
_HEAVY = ("industrial", "traction")
# What ends in a cut says nothing more where no copper is left to be cut.
_ASK_FOR_A_CUT = ("commutator.rough", "runout.over", "runout.bars", "slot.shallow")


def part_voices(sheet: Sheet, rules: MotorRules) -> list[Voice]:
    """Return what the measurements of stages 6 to 8 say of the whole motor, each finding once with its figures in its words."""
    found: dict[str, Finding] = {}
    for finding in (f for teller in (_copper, _windings, _drive) for f in teller(sheet, rules)):
        before = found.get(finding.id)
        found[finding.id] = finding if before is None else replace(before, words=f"{before.words}; {finding.words}")
    return [(0, f) for f in found.values()]


def _said(finding_id: str, words: str) -> Finding:
    return replace(BY_ID[finding_id], words=words)


def _copper(sheet: Sheet, rules: MotorRules) -> Iterator[Finding]:
    now = copper_now(sheet, rules)
    found = list(_all_copper(sheet, now, rules))
    ended = any(f.id == "copper.under" for f in found)
    yield from (f for f in found if not (ended and f.id in _ASK_FOR_A_CUT))


def _all_copper(sheet: Sheet, now: CopperNow, rules: MotorRules) -> Iterator[Finding]:
    if sheet.given("cut-done") is None:
        yield from _map(now)
        yield from _turned(sheet, now)
    yield from _bar_test(sheet, now, rules)
    yield from _cut(sheet, now, rules)
    if sheet.word("surface-with") == "file":
        yield BY_ID["surface.emergency"]


def _map(now: CopperNow) -> Iterator[Finding]:
    for saying in now.read.sayings if now.read else ():
        if saying.finding and not (saying.finding == "commutator.two-bars" and now.tested is not None):
            yield _said(saying.finding, saying.brief)


def _turned(sheet: Sheet, now: CopperNow) -> Iterator[Finding]:
    found = now.run_out
    if found is None or not found.over:
        return
    words = f"run-out {found.tir_mm:.3f} mm, {found.tir_limit_mm:g} mm allowed"
    if found.cause == "set-up":
        yield _said("runout.set-up", words)
    elif found.far and sheet.facts.motor_class in _HEAVY:
        yield _said("runout.far", words)
    else:
        yield _said("runout.bars" if found.cause == "bars" else "runout.over", words)


def _bar_test(sheet: Sheet, now: CopperNow, rules: MotorRules) -> Iterator[Finding]:
    tested, shaft = now.tested, sheet.number_of("bar-shaft")
    if tested is not None:
        for fault in tested.faults:
            yield _said("bartest.open" if fault.kind in ("open", "riser") else "bartest.short", fault.words)
        odd = [*tested.unexplained, *tested.suspect]
        if odd:
            yield _said("bartest.suspect", f"suspect at reading {', '.join(map(str, odd[:6]))}")
    if shaft is not None and shaft < rules["insulation.bar"] - 1e-9:
        bar = sheet.number_of("bar-shaft-bar")
        yield _said("windings.earth", f"{shaft:g} MΩ from bar{'' if bar is None else f' {bar:.0f}'} to the shaft")


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
    if plan.copper.diameter < plan.least - 1e-9:
        yield _said(
            "copper.under", f"{plan.copper.diameter:.2f} mm in diameter, under its least of {plan.least:.2f} mm{about}"
        )
    elif now.work is not None and now.work[0].id == "skim" and not (now.run_out and now.run_out.cause == "set-up"):
        depth = plan.chosen
        if depth.allowed:
            yield _said(
                "copper.cut",
                f"cleans up with {depth.radial:.3f} mm radial, to {depth.diameter_after:.2f} mm; {depth.skims_left} more such cuts left{about}",
            )
        else:
            yield _said(
                "copper.refused",
                f"a cut would end {depth.under_by:.3f} mm under the least diameter; deepest allowed {plan.deepest:.3f} mm radial{about}",
            )


def _left(done: Given) -> Iterator[Finding]:
    """Return what a cut left of the copper."""
    after, least, radial = (float(done.more.get(name, "nan")) for name in ("after", "least", "radial"))
    if after < least - 1e-9:
        yield _said("copper.under", f"{after:.2f} mm after the cut, under its least of {least:.2f} mm")
    elif after - least < 2 * radial - 1e-9:
        yield _said(
            "copper.last", f"{(after - least) / 2:.3f} mm radial left above the least diameter, less than the last cut"
        )


def _after_cut(sheet: Sheet, done: Given, rules: MotorRules) -> Iterator[Finding]:
    """Return what a cut leaves to be done, until it is ticked: holders, faces, slots."""
    sunk, slot = float(done.more.get("sunk", "0")), done.more.get("slot")
    if not sheet.has("holder-set") and sunk > 0:
        gap = done.more.get("gap")
        wider = "" if gap is None else f", gap {float(gap):.2f} to {float(gap) + sunk:.2f} mm"
        yield _said("gap.cut", f"holders not set since the cut: the brush sinks by {sunk:.3f} mm{wider}")
    before, after = float(done.more.get("before", "0")), float(done.more.get("after", "0"))
    yield _said("face.cut", f"faces shaped to {before / 2:.2f} mm, the radius is {after / 2:.2f} mm now")
    if slot is not None and not sheet.has("cut-chamfer"):
        depth = float(slot) - float(done.more.get("radial", "0"))
        width = sheet.facts.figures.stated("slot_width_mm") or 0.0
        if (
            depth < max(rules["slot.depth-least"], rules["slot.again"] * width) - 1e-9
            and sheet.facts.figures.stated("undercut_mm") != 0
        ):
            yield _said("slot.shallow", f"slots {depth:.2f} mm deep after the cut")


def _slots(sheet: Sheet, rules: MotorRules) -> Iterator[Finding]:
    depth, width = sheet.number_of("slot-depth"), sheet.facts.figures.stated("slot_width_mm")
    if depth is None or sheet.facts.figures.stated("undercut_mm") == 0:
        return
    least = max(rules["slot.depth-least"], rules["slot.again"] * (width or 0.0))
    if depth < least - 1e-9:
        yield _said("slot.shallow", f"slots {depth:.2f} mm deep, {least:.2f} mm at least")


def _windings(sheet: Sheet, rules: MotorRules) -> Iterator[Finding]:
    insulation, index, coils = insulation_now(sheet, rules), index_now(sheet, rules), coils_now(sheet, rules)
    if insulation is not None and not insulation.passes:
        yield _said("insulation.low", f"insulation {insulation.words.split(';')[0]}")
    elif insulation is not None and insulation.fallen:
        yield _said("insulation.fallen", f"insulation fallen to {insulation.share or 0:.0%} of last time")
    if index is not None and index.stage != "fit":
        yield _said(
            "polarization.low" if index.stage == "plan" else "polarization.watch", f"polarization index {index.words}"
        )
    if coils is not None and coils.off:
        yield _said("windings.short", f"field coil {', '.join(map(str, coils.off))} differs, spread {coils.spread:.0%}")
    if sheet.word("growler") == "fail":
        slots = [str(n) for n in slots_on_growler(sheet)]
        which = f"slot{'s' if len(slots) > 1 else ''} {listed(slots)}" if slots else "a slot that is not named"
        yield _said("windings.growler", f"{which} answer{'' if len(slots) > 1 else 's'} on the growler")
    for chain, words in (("wear-chain", "wear-indicator chain"), ("heat-chain", "temperature chain")):
        if sheet.word(chain) in ("open", "closed"):
            yield _said("chain.dead", f"{words} {sheet.word(chain)}, should not be")
    yield from _magnets(sheet, rules)


def _magnets(sheet: Sheet, rules: MotorRules) -> Iterator[Finding]:
    """Return weak magnets: no-load speed well over the type's, and current too. Source: rules magnet.speed, amps.band"""
    rpm, amps, figures = sheet.number_of("noload-rpm"), sheet.number_of("noload-a"), sheet.facts.figures
    usual_rpm, usual_a = figures.number("noload_rpm"), figures.number("noload_a")
    if not sheet.facts.magnets or rpm is None or amps is None or usual_rpm is None or usual_a is None:
        return
    if rpm > (1 + rules["magnet.speed"]) * usual_rpm and amps > (1 + rules["amps.band"]) * usual_a:
        yield _said(
            "magnets.weak",
            f"{rpm:.0f} r/min and {amps:g} A without load, {usual_rpm:.0f} and {usual_a:g} usual: weak magnets",
        )


_PICKED = {
    ("b-feel", "dry"): "bearing.dry", ("b-feel", "rough"): "bearing.rough", ("b-feel", "notchy"): "bearing.rough", ("b-feel", "locked"): "bearing.locked",
    ("b-noise", "hiss"): "bearing.noisy", ("b-noise", "rumble"): "bearing.noisy", ("b-noise", "click"): "bearing.noisy", ("b-play", "clear"): "bearing.loose",
    ("b-seal", "hard"): "bearing.seal", ("b-seal", "torn"): "bearing.seal", ("b-grease", "dark"): "bearing.grease", ("b-grease", "none"): "bearing.grease",
    ("b-grease", "washed"): "bearing.grease", ("b-seat", "spun"): "bearing.loose", ("b-seat", "corroded"): "bearing.corroded", ("bush-state", "dry"): "bearing.dry",
}  # fmt: skip
_DRIVEN = {
    ("teeth", "worn"): "drive.worn", ("teeth", "chipped"): "drive.worn", ("clutch", "slips"): "drive.worn", ("clutch", "jams"): "drive.jammed",
    ("belt", "cracked"): "drive.worn", ("belt", "off"): "drive.worn", ("cushions", "hard"): "drive.worn", ("plunger", "sticks"): "solenoid.bad",
}  # fmt: skip


def _drive(sheet: Sheet, rules: MotorRules) -> Iterator[Finding]:
    for place, end in enumerate(BEARINGS, start=1):
        for (name, word), finding in _PICKED.items():
            if sheet.word(name, place) == word:
                yield _said(finding, f"{end}: {_answer(name, word)}")
        yield from _measured_bearing(sheet, place, end, rules)
    for (name, word), finding in _DRIVEN.items():
        if sheet.word(name) == word:
            yield _said(finding, _answer(name, word))
    yield from _shaft(sheet, rules)


def _answer(name: str, word: str) -> str:
    asked = next(f for f in FIELDS if f.id == name)
    return f"{asked.label.lower()} {dict(asked.choices)[word]}"


def _measured_bearing(sheet: Sheet, place: int, end: str, rules: MotorRules) -> Iterator[Finding]:
    def at(name: str) -> float | None:
        return sheet.number_of(name, place)

    why = renew_anyway(at("b-hours"), at("b-life"), at("b-years"), rules)
    if why:
        yield _said("bearing.aged", f"{end}: {why}")
    for line in bush_lines(at("journal"), at("bush"), sheet.facts.figures.stated("air_gap_mm"), rules):
        if not line.fits:
            yield _said("bush.worn", f"{end}: {line.words.lower()}, {line.clearance_mm:.3f} mm, {line.says}")
    for line in ring_lines(at("kit-shaft"), at("kit-bore"), at("kit-housing"), at("kit-outside"), rules):
        if not line.fits:
            yield _said("kit.mismatch", f"{end}: {line.words.lower()}, {line.clearance_mm:+.3f} mm, {line.says}")


def _shaft(sheet: Sheet, rules: MotorRules) -> Iterator[Finding]:
    figures, play, shake = sheet.facts.figures, sheet.number_of("end-float"), sheet.number_of("vibration")
    low, high = figures.stated("end_float_low_mm") or 0.0, figures.stated("end_float_high_mm")
    if play is not None and high is not None and shim_mm(play, low, high):
        shim = shim_mm(play, low, high)
        yield _said(
            "float.out",
            f"end float {play:.2f} mm, {low:g} to {high:g} mm allowed: {'add' if shim > 0 else 'take out'} {abs(shim):.2f} mm of shim",
        )
    if shake is not None:
        stage, words = judge_vibration(shake, rules)
        if stage != "fit":
            yield _said(
                "vibration.high" if stage == "plan" else "vibration.watch", f"vibration {shake:g} mm/s, {words}"
            )
    section, groove = sheet.number_of("ring-section"), sheet.number_of("ring-groove")
    if (
        section is not None
        and groove is not None
        and not rules["ring.squeeze-low"] <= squeeze(section, groove) <= rules["ring.squeeze-high"]
    ):
        yield _said("ring.squeeze", f"O-ring squeezed by {squeeze(section, groove):.0%}")
    drop = sheet.number_of("solenoid-v")
    if drop is not None and drop > rules["drop.joint"] + 1e-9:
        yield _said("solenoid.bad", f"solenoid contact drops {drop:g} V, {rules['drop.joint']:g} V allowed")
