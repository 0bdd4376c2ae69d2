"""What a finding rests on is named: no rule and no figure ends or softens one without standing in its kept ground."""

from collections.abc import Iterator, Mapping
from dataclasses import replace
from typing import Any

import pytest

from norvash.core.grades import GRADES
from norvash.core.judging.measuring import measured_on
from norvash.core.judging.noted import noted
from norvash.core.judging.rests_on import by_figure, found_by, grounds_of
from norvash.core.motor.figure_fields import BY_NAME
from norvash.core.motor.figures import Figures, Known
from norvash.core.rules.book import MotorRules, Override, Rulebook
from norvash.core.rules.catalogue import RULES, SCHOOLS_BY_ID
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.finding import Finding
from norvash.core.sheet.life import At, KeptLife
from norvash.core.sheet.measured import NAMES
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.catalogue import FINDINGS, field_of
from norvash.errors import NorvashError
from sheet_cases import PARTS, VISITS
from small_sheets import BEFORE, SPRUNG, VOICES, about_before, sheet

CASES: dict[str, tuple[Facts, dict[str, Any]]] = {
    **{f"before: {n}": (about_before(entries), entries) for n, (entries, *_) in BEFORE.items()},
    **{f"voice: {n}": (SPRUNG, entries) for n, (entries, _) in VOICES.items()},
    **{f"part: {n}": made for n, made in PARTS.items()},
    **{f"visit: {n}": made for n, made in VISITS.items()},
}


def book(*overrides: Override) -> Rulebook:
    return Rulebook(RULES, overrides, SCHOOLS_BY_ID)


def judged(made: Sheet, rules: MotorRules) -> Mapping[At, Finding]:
    try:
        return {(n, f.id): f for n, f in noted(made, rules, (4.0, 4.2))}
    except NorvashError:  # on such figures nothing can be judged, which ends nothing either
        return {at: replace(f, grade="stop") for at, f in ((a, f) for a, f in FOUND.items())}


FOUND: dict[At, Finding] = {}


def others(rule_id: str, value: float) -> Iterator[float]:
    rule = RULES[rule_id]
    yield from (x for x in {rule.low, rule.high, 0.1 * value, 0.5 * value, 2 * value, 10 * value} if x != value)


def figures_moved(figures: Figures) -> Iterator[tuple[str, Figures]]:
    for name, known in figures.known.items():
        number = isinstance(known.value, float)
        values = [float(known.value) * x for x in (0.1, 0.5, 0.8, 1.25, 2, 10)] if number else []
        words = [] if number else [c for c, *_ in getattr(BY_NAME[name], "choices", ()) if c != known.value]
        for value in (None, *values, *words):
            made = Figures({}, {}, {})
            made.known = {n: k for n, k in figures.known.items() if n != name or value is not None}
            if value is not None:
                made.known[name] = Known(value, known.basis)
            yield name, made


@pytest.mark.parametrize("case", CASES)
def test_what_ends_or_softens_a_finding_stands_in_its_ground(case: str) -> None:
    about, entries = CASES[case]
    made = sheet(about, **entries)
    rules = MotorRules(book(), about.motor_class)
    FOUND.clear()
    FOUND.update(judged(made, rules))
    grounds = grounds_of(FOUND.values(), made, rules)
    moved = [
        (n, judged(replace(made, facts=replace(about, figures=f)), rules)) for n, f in figures_moved(about.figures)
    ]
    for rule_id in sorted(rules.asked):
        for value in others(rule_id, rules[rule_id]):
            if RULES[rule_id].low <= value <= RULES[rule_id].high:
                one = Override(rule_id=rule_id, scope="site", scope_id="", value=value, person="", day="", why="")
                moved.append((rule_id, judged(made, MotorRules(book(one), about.motor_class))))
    missing = {
        (finding.id, name)
        for at, finding in FOUND.items()
        for name, now in moved
        if finding.grave
        and (at not in now or GRADES.index(now[at].grade) < GRADES.index(finding.grade))
        and name not in grounds[finding.id]
    }
    assert missing == set()


def _family(name: str) -> bool:
    return name.endswith(".") and any(i.startswith(name) for i in RULES)


def test_every_name_is_a_rule_a_family_of_rules_or_a_figure() -> None:
    for found in FINDINGS.values():
        for name in found.rests_on:
            assert name in RULES or name in BY_NAME or _family(name), name


def test_it_is_said_what_a_finding_was_found_by() -> None:
    low = FINDINGS["insulation.low"]
    kept = KeptLife(id="x", sheet_id="y", position=0, finding=low, ground={"rated_v": 600.0, "insulation.double": 2.0})
    assert "voltage" in found_by(kept)
    assert "600 V" in found_by(kept)
    assert "2 MΩ" in found_by(kept)
    assert found_by(replace(kept, ground=None)) == "its ground was not kept then"
    assert found_by(replace(kept, finding=FINDINGS["lead.taut"], ground={})) == ""
    assert by_figure(FINDINGS["bearing.spun"]) is ("stops-carried" in FINDINGS["bearing.spun"].kinds)


@pytest.mark.parametrize("case", CASES)
def test_what_a_value_rests_on_is_a_rule_or_a_figure_and_off_means_found(case: str) -> None:
    about, entries = CASES[case]
    made = sheet(about, **entries)
    for m in measured_on(made, MotorRules(book(), about.motor_class), (4.0, 4.2)):
        assert [n for n in m.rests_on if n not in RULES and n not in BY_NAME and not _family(n)] == []
        assert m.id in NAMES or field_of(m.id) is not None, m.id
        assert (m.standing == "off") == bool(m.findings), m.words
        assert made.entries.keys() >= set(m.of), m
