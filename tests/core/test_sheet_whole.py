"""All that follows from many small sheets, to the letter: judgements, findings, gates, rail, what is open, what
is said.
"""

from collections.abc import Iterator
from dataclasses import replace
from itertools import product

from norvash.core.judging.before.battery import battery_of
from norvash.core.judging.before.measured import ladder_of, signs_before
from norvash.core.judging.brushes.geometry import geometry
from norvash.core.judging.brushes.keeping import stays
from norvash.core.judging.catalogue import visit_of
from norvash.core.judging.commutator.copper_now import copper_now
from norvash.core.judging.commutator.cut_made import cut_changes, cut_record
from norvash.core.judging.measuring import measured_at
from norvash.core.judging.noted import noted
from norvash.core.judging.signing import holds, signed_as
from norvash.core.judging.signs_shown import complained, diagnosis_of, signs_shown
from norvash.core.judging.windings.measured import (
    coils_now,
    heats_now,
    index_now,
    insulation_now,
    insulation_tests,
    slots_on_growler,
)
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.given import Earlier, Given
from norvash.core.sheet.records import CutRecord
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.before.stage import STAGE as BEFORE_OPENING
from norvash.core.stages.gates import GATES
from norvash.core.state.motor_state import MotorState
from norvash.core.verdict.judging import findings
from norvash.core.verdict.sentence import verdict
from norvash.core.verdict.sheet_line import sheet_says
from norvash.core.visit.bringing import what_to_bring
from norvash.core.visit.gating import gate_now
from norvash.core.visit.progress import progress
from norvash.core.visit.walk import how_far_open, open_permits, upstream
from norvash.errors import InputError, NorvashError
from norvash.store.record.records import kept as as_kept
from sheet_cases import COPPER, LINES, PARTS, STATES, VISITS
from small_sheets import BEFORE, NOON, SPRUNG, VOICES, about_before, cut, facts, sheet
from states import TODAY
from whole import assert_no_word_moved, kept


def ohms(value: float | None) -> Given:
    """An entry of a number."""
    return Given(id="i", typed="", word="", number=value, person="Ines", at=NOON)


def judged(made: Sheet, rules: MotorRules) -> Iterator[str]:
    """Yield what the measurements on a sheet come to, a line each."""
    before = measured_at(BEFORE_OPENING, made, rules)
    yield from (f"before: {m.words} {m.right} {' '.join(m.rules)}" for m in before)
    yield f"signs: {sorted(signs_before(before).items())}"
    yield from (f"voice: {n} {f.id}, {f.grade}: {f.words}" for n, f in noted(made, rules, (4.0, 4.2)))
    copper = copper_now(made, rules)
    for name, value in (
        ("ladder", ladder_of(made, rules)),
        ("battery", battery(made, rules)),
        ("wound", copper.wound),
        ("map", copper.read),
        ("run-out", copper.run_out),
        ("bar test", copper.tested),
        ("plan", copper.plan),
        ("work", copper.work),
        ("trouble", {k: v.problem for k, v in copper.trouble.items()} or None),
        ("insulation", insulation_now(made, rules)),
        ("index", index_now(made, rules)),
        ("coils", coils_now(made, rules)),
        ("heat", heats_now(made, rules) or None),
        ("growler", slots_on_growler(made) or None),
    ):
        if value is not None:
            yield f"{name}: {kept(value)}"


def battery(made: Sheet, rules: MotorRules) -> object:
    try:
        return battery_of(made, rules)
    except InputError:
        return None


def follows(made: Sheet, shown: MotorState, rules: MotorRules) -> Iterator[str]:
    """Yield what follows from a sheet and its motor for the visit, a line each."""
    found = findings(shown, rules, TODAY)
    before = signs_before(measured_at(BEFORE_OPENING, made, rules))
    signs = signs_shown(made, before, found, rules)
    cause = diagnosis_of(made, signs, rules) if complained(signs, before) else None
    visit = visit_of(made, found, rules)
    said = sheet_says(visit, verdict(found, shown, rules, TODAY), cause, TODAY)
    yield f"signs: {sorted(signs.items())}"
    if cause is not None:
        yield (
            f"causes: {[(r.cause.id, round(r.chance, 4)) for r in cause.ranked[:4]]};"
            f" {[(c.check.id, round(c.drop_bits, 3)) for c in cause.checks[:4]]}"
        )
    yield f"says: {said.word}: {said.sentence} {[f'{f.value} {f.words}' for f in said.figures]}"
    yield from (f"reason: {r.text} {' '.join(f.rule_id for f in r.figures)}" for r in said.reasons)
    yield from (
        f"gate {g}: {x.state} {x.person} {x.at} {x.why} {'; '.join(x.missing)}"
        for g, gate in GATES.items()
        for x in [gate_now(gate, visit)]
    )
    yield "rail: " + "; ".join(f"{s.number} {s.stage.id} {s.stage.words} {s.state} {s.why}" for s in progress(visit))
    yield from (f"open: {h.stage.id}: {h.words}" for h in holds(visit))
    yield f"signed as: {signed_as(visit)}"
    yield from (
        f"life: {x.place} {x.position}: {x.finding.words}; {x.finding.decision} {x.state} {x.steps} {x.settled}"
        for x in found.lives
    )
    yield f"state: {how_far_open(made)} {upstream(made)} {open_permits(made)}"
    yield from (
        f"line: {g.words} {g.value:.5g} {g.unit}, {g.basis}, {g.right} {' '.join(g.rules)}"
        for g in geometry(made, found, rules)
    )
    yield from (f"bring: {i.kind} {i.what}, {i.why}" for i in what_to_bring(made.facts, found, cause, rules))
    yield from (f"stays: {s.label} {s.may} {s.why}" for s in stays(found, shown, rules))


def lines(rules: MotorRules) -> list[str]:
    """Return the lines of brush geometry of motors with this and that known."""
    told: list[str] = []
    for name, (about, entries) in LINES.items():
        found = findings(STATES["good"], rules, TODAY)
        told += [
            f"== line: {name}",
            *(
                f"{g.words} {g.value:.5g} {g.unit}, {g.basis}, {g.right} {' '.join(g.rules)}"
                for g in geometry(sheet(about, **entries), found, rules)
            ),
        ]
    return told


def cuts(rules: MotorRules) -> list[str]:
    """Return what recorded cuts change, and what is recorded of cuts to diameters that can be and cannot."""
    told: list[str] = []
    for done in (
        cut(117.5).cut,
        cut(117.5, sunk="0").cut,
        CutRecord(radial_mm=0.25, sunk_radial_mm=0.2, before_diameter_mm=118.0, after_diameter_mm=117.5),
    ):
        assert done is not None
        for bars, limit_mm, holders_set in product((24, None), (14.0, None), (True, False)):
            told.append(
                f"cut {bars} {limit_mm} {holders_set}:"
                f" {kept(cut_changes(done, bars, limit_mm, holders_set=holders_set))} {done.words}"
            )
    for name, after_mm in product(
        ("grooved", "grooved, no copper left", "stepped", "least not known", "oval"),
        (119.5, 118.1, 117.5, 112.5, 60.0, 20.0),
    ):
        try:
            told.append(
                f"cut of {name} to {after_mm}:"
                f" {sorted(as_kept(cut_record(sheet(PARTS[name][0], **PARTS[name][1]), after_mm, rules)).items())}"
            )
        except NorvashError as refused:
            told.append(f"cut of {name} to {after_mm}: {refused.problem} {refused.remedy}")
    return told


def insulations(rules: MotorRules) -> list[str]:
    """Return insulation against the last test, and what is on record of the tests before."""
    told: list[str] = []
    for last in (Earlier(3, ohms(90.0)), Earlier(3, ohms(4.0)), None):
        for warm in (Earlier(3, ohms(20.0)), Earlier(2, ohms(20.0)), None):
            read = (("insulation-mohm", last), ("insulation-c", warm))
            before = {(name, 0): value for name, value in read if value is not None}
            again = replace(sheet(COPPER, insulation_mohm=3.0, insulation_c=30.0), earlier=before)
            told.append(
                f"insulation before: {last and last.given.number} {warm and warm.sheet}:"
                f" {kept(insulation_now(again, rules))}"
            )
    before_it = [
        ("insulation-mohm", 2, ohms(5.0)),
        ("insulation-c", 2, ohms(25.0)),
        ("insulation-mohm", 1, ohms(50.0)),
        ("insulation-c", 3, ohms(25.0)),
        ("insulation-mohm", 4, ohms(7.0)),
        ("insulation-mohm", 5, ohms(9.0)),
        ("insulation-c", 5, ohms(None)),
    ]
    told.append(
        f"tests: {kept(insulation_tests(before_it, 4, rules))} {kept(insulation_tests(before_it, 9, rules)[-1])}"
    )
    return told


def test_no_word_moves_in_what_follows_from_a_sheet(rules: MotorRules) -> None:
    small = {
        **{f"before: {name}": (about_before(entries), entries) for name, (entries, *_) in BEFORE.items()},
        **{f"voice: {name}": (SPRUNG, entries) for name, (entries, _) in VOICES.items()},
        **{f"part: {name}": made for name, made in PARTS.items()},
    }
    told: list[str] = []
    for name, (about, entries) in small.items():
        told += [f"== {name}", *judged(sheet(about, **entries), rules)]
    for name, (about, entries) in VISITS.items():
        told += [f"== {name}", *follows(sheet(about, **entries), STATES["not measured"], rules)]
    for name, shown in STATES.items():
        for kind in ("full", "quick"):
            made = sheet(
                facts(brushes=len(shown.positions)), kind, confirm__safe="yes", sign__weak="yes", outcome="service"
            )
            told += [f"== {name}, {kind}", *follows(made, shown, rules)]
    for name in ("one missing", "doubtful", "good", "worn, one glazed"):
        shown = STATES[name]
        made = replace(
            sheet(facts(brushes=len(shown.positions)), confirm__safe="yes", decide__set__worn="done"), id="r20"
        )
        told += [f"== {name}, measured here", *follows(made, shown, rules)]
    told += [*lines(rules), *cuts(rules), *insulations(rules)]
    assert_no_word_moved("sheets.txt", "\n".join(told) + "\n")
