"""Verdicts: what is said in each state of a set, with its reasons and their rules."""

from dataclasses import replace
from datetime import date, timedelta

import pytest
from hypothesis import given
from hypothesis import strategies as st

from norvash.core.brush.wear_measures import dust_g, line_rate_mm_per_kh, rubbed_km, seeming_left_h
from norvash.core.grades import GRADES
from norvash.core.rules.book import MotorRules
from norvash.core.rules.catalogue import RULES, rulebook_with, shipped
from norvash.core.stages.brushes.stage import BY_SIGHT as BY_ID
from norvash.core.stages.brushes.stage import PICTURES as GROUPS
from norvash.core.state.motor_state import MotorState, Overrule
from norvash.core.state.policy import Policy
from norvash.core.state.ruler import ruler_of
from norvash.core.use.rate import Rate
from norvash.core.verdict.judging import findings
from norvash.core.verdict.lead import lead_of
from norvash.core.verdict.proportion import remarks
from norvash.core.verdict.sentence import verdict
from norvash.errors import InputError
from states import FITTED, TODAY, a_round, foreseen, judge, ruled, standing, state, whole
from whole import assert_nothing_moved

# A set of which nothing is measured, and whose first look has not come.
YOUNG = state(weeks=20, own={**FITTED, "expected_life_units": 9000.0})
SAID = {
    "nothing measured": (YOUNG, None, "Measure this set.", "Nothing is measured yet", ""),
    "never measured": (
        state(),
        "change",
        "Measure it now, or change the set.",
        "h overdue, by the forecast",
        "not measured",
    ),
    "runs on": (
        state(a_round(20, 19, 19.4)),
        "fit",
        "Run on.",
        "had 19.0 mm on 25 May 2026 at 500 h, about 18.9 mm now",
        "",
    ),
    "watch": (state(a_round(20, 13, 13.4)), "watch", "Watch this set.", "36%", ""),
    "plan": (state(a_round(20, 11, 11.4)), "plan", "Plan the change.", "21%", ""),
    "change": (state(a_round(20, 9.2, 9.4)), "change", "Change the set at this visit.", "9%", ""),
    "at the limit": (state(a_round(20, 8, 9.4)), "stop", "Out of service", "at its limit now", ""),
    "one missing": (
        state(a_round(20, 19, None)),
        "fit",
        "Measure B to get a date.",
        "Brush A had 19.0 mm on 25 May 2026",
        "incomplete",
    ),
    "one missing but another gone": (
        state(a_round(20, 7.5, None)),
        "stop",
        "Out of service",
        "0.5 mm under its limit",
        "incomplete",
    ),
    "doubtful": (
        state(a_round(20, 19, 19.4, doubt="why?")),
        "fit",
        "Settle the reading of brush A first.",
        "",
        "doubtful",
    ),
    "not enough wear": (state(a_round(20, 21.95, 21.9)), "fit", "Run on.", "8 times in 10", "not enough wear yet"),
    "limit unknown": (
        state(a_round(20, 19, 19.4), own={"new_mm": 22.0}),
        "fit",
        "Run on.",
        "the limit is an estimate",
        "limit estimated",
    ),
    "uneven": (state(a_round(20, 17, 19.4)), "fit", "Run on.", "", "uneven"),
    "clock starts at the first round": (
        state(a_round(20, 16, 16.4), known=False, own={**FITTED, "expected_life_units": 9000.0}),
        "fit",
        "Run on.",
        "8 times in 10",
        "",
    ),
    "no use logged": (
        state(a_round(20, 16, 16.4), weeks=0),
        "fit",
        "Run on.",
        "tell Norvash which months this machine runs",
        "",
    ),
    "far beyond": (
        state(a_round(20, 21.95, 21.9), own={**FITTED, "expected_life_units": 90000.0}),
        "fit",
        "Run on.",
        "Carbon is not what will stop this motor",
        "",
    ),
    "lead taut": (
        state(a_round(20, 19, 19.4, seen=((2, "lead.taut"),))),
        "stop",
        "Out of service",
        "whatever the length says",
        "",
    ),
    "second wear line": (state(a_round(20, 15, 15, lines=2)), "plan", "Plan the change.", "", ""),
}


@pytest.mark.parametrize(("given_state", "grade", "act", "words", "flag"), SAID.values(), ids=SAID.keys())
def test_what_is_said(given_state: MotorState, grade: str | None, act: str, words: str, flag: str) -> None:
    found, said = judge(given_state)
    assert found.grade == grade
    assert said.act.startswith(act)
    assert words in whole(said)
    assert not flag or flag in said.flags
    assert said.reasons
    assert all(f.rule_id in RULES for r in said.reasons for f in r.figures)


LEADS = {
    "nothing measured": ("Measure", "no length yet", False),
    "runs on": ("11.0 mm", "to the limit of brush A", True),
    "at the limit": ("0.0 mm", "brush A at its limit", True),
    "one missing": ("Measure", "brush B, for a date", False),
    "one missing but another gone": ("−0.5 mm", "brush A past its limit", True),
    "doubtful": ("Settle", "the reading of brush A", False),
    "limit unknown": ("11.7 mm", "to the limit of brush A, estimated", True),
}


@pytest.mark.parametrize("name", LEADS)
def test_a_list_leads_with_what_decides(name: str) -> None:
    lead = lead_of(judge(SAID[name][0])[0], "mm")
    assert (f"{lead.value} {lead.unit}".strip(), lead.words, lead.carbon) == LEADS[name]


def test_the_straight_line_and_its_dates_stand_beside_the_forecast() -> None:
    found, said = judge(state(a_round(20, 15, 16)))
    assert found.line is not None
    assert found.line.do_not_exceed_h == 900
    straight = found.line_days
    assert (straight.look_on, straight.plan_on, straight.limit_on) == (
        date(2026, 8, 3),
        date(2026, 9, 14),
        date(2026, 10, 12),
    )
    assert any("do not exceed 900 h" in r.text for r in said.reasons)
    ahead = found.ahead
    assert ahead is not None
    assert ahead.p10_on is not None
    assert ahead.p90_on is not None
    assert ahead.p10_on <= date(2026, 10, 12) < ahead.p90_on
    assert ahead.look_units < ahead.p10_units < 800 < ahead.p90_units
    assert found.look is not None
    assert (found.look.name, found.days.look_on) == (
        "forecast",
        ahead.p10_on - timedelta(days=14),
    )  # not after its plan
    assert [d.name for d in found.dues] == ["forecast", "calendar limit"]
    assert [f.words for f in said.figures] == ["limit about", "plan and look by", "how sure"]


def test_past_its_date_or_its_look_a_motor_says_so() -> None:
    worn = foreseen(state(a_round(20, 15, 16)))
    ahead = worn.ahead
    assert ahead is not None
    assert ahead.look_on is not None
    assert ahead.p50_on is not None
    assert ahead.p10_on is not None
    unlogged = replace(worn, entries=worn.entries[:21])  # nothing is written as the days go by
    look, plan, now = ahead.look_on, ahead.p10_on - timedelta(days=14), ahead.p10_on - timedelta(days=7)
    days = (look - timedelta(days=1), look, look + timedelta(days=1))
    looked = replace(unlogged, ahead=replace(ahead, p10_on=None))
    said = {day: (f := findings(looked, shipped(), day), verdict(f, looked, shipped(), day)) for day in days}
    assert [(f.grade, f.base, v.flags, v.word) for f, v in said.values()] == [
        ("fit", "fit", (), "Run on"),
        ("fit", "fit", ("look due",), "Run on"),
        ("plan", "fit", ("the look", "look due"), "Look overdue"),
    ]
    assert "is overdue" in said[days[2]][1].sentence
    measured = replace(unlogged, ahead=replace(ahead, look_on=None))
    graded = {d: findings(measured, shipped(), d).grade for d in (plan - timedelta(days=1), plan, now)}
    assert list(graded.values()) == ["fit", "plan", "change"]
    exempt = MotorRules(rulebook_with([ruled("school.when", word="symptoms")]), "tool")
    assert findings(measured, exempt, now).grade == "fit"


WORDS: dict[str, tuple[MotorState, tuple[str, ...]]] = {
    "nothing measured": (
        YOUNG,
        ("half of such sets last: from the expected life only", "narrows this about four times"),
    ),
    "by rule": (
        state(a_round(20, 15, 16, sd=0.4)),
        ("The first brush is at its limit 8 times in 10 between", "a caliper would narrow this range"),
    ),
    "an idle spell": (
        replace(
            state(a_round(20, 15, 16)),
            entries=tuple(
                replace(e, total_units=min(e.total_units, 500), counter_units=min(e.counter_units, 600))
                for e in state().entries
            ),
        ),
        ("tell Norvash which months this machine runs",),
    ),
    "wear out of line": (
        state(a_round(10, 19, 19), a_round(20, 16, 16), a_round(24, 10, 10)),
        ("abnormal wear", "Find the cause"),
    ),
    "nearly there": (
        state(a_round(10, 16, 16, sd=0.6), a_round(20, 9.6, 9.6, sd=0.6)),
        ("Change the set", "shorter than is worth while"),
    ),
    "whole runs": (
        state(a_round(20, 15, 16), own={**FITTED, "run_length_units": 3.0}),
        ("In whole runs of 3 h: ", "would end at"),
    ),
    "where it is wet": (
        state(a_round(20, 21, 21), own={**FITTED, "conditions": "wet"}),
        ("12 months since the last complete look",),
    ),
}


@pytest.mark.parametrize(("given_state", "words"), WORDS.values(), ids=WORDS)
def test_the_forecast_in_words(given_state: MotorState, words: tuple[str, ...]) -> None:
    _, said = judge(given_state)
    assert [w for w in words if w not in whole(said)] == []


def whole_answers(rules: MotorRules) -> list[object]:
    """Return what is said of each state above, of what was overruled, and of a set without use or with a part
    that is worse.
    """
    burnt = standing(state(a_round(10, 18, 19), a_round(20, 15, 16)), (0, "windings.burnt"))
    over = replace(burnt, overrules=(Overrule("windings", "watch", "Ines", "seen by the winder", TODAY),))
    angled = state(a_round(20, 15, 16), own={**FITTED, "thickness_mm": 12.0, "face_angle_deg": 30.0, "sunk_mm": 0.3})
    unlimited = state(own={"new_mm": 22.0})
    four = state(a_round(10, 18, 20, 18, 20), a_round(20, 12, 17, 12, 17), brushes=4)
    declared = replace(
        state(a_round(20, 15, 16)), rate=Rate(per_week=20.0, weeks=12.0, logged_units=20.0, declared=25.0, season=None)
    )
    still = replace(
        declared,
        entries=tuple(e for w, e in enumerate(declared.entries) if w < 20)
        + tuple(replace(declared.entries[19], at=declared.entries[w].at) for w in (22, 26, 31, 40)),
    )
    slowly = replace(
        declared,
        entries=tuple(replace(e, total_units=min(e.total_units, 380 + e.total_units / 90)) for e in declared.entries),
    )
    twice = replace(
        burnt,
        overrules=(
            Overrule("windings", "watch", "Ines", "seen by the winder", TODAY),
            Overrule("brushes", "stop", "Ines", "chipped", TODAY),
        ),
    )
    odd = replace(state(a_round(10, 18, 19), a_round(12, 17.9, 18.9), a_round(20, 12, 16)), rate=None)
    unlogged = replace(state(a_round(20, 15, 16)), entries=(), rate=None)
    by_policy = replace(
        state(a_round(20, 15, 16)), policies=(Policy("p", "interval", "card", {"every": 5.0}),), rate=None
    )
    inches = state(a_round(20, 15, 16), own={**FITTED, "length_unit": "in"})
    states = [
        *(s for s, *_ in SAID.values()),
        *(s for s, _ in WORDS.values()),
        burnt,
        over,
        angled,
        unlimited,
        four,
        declared,
        still,
        slowly,
        twice,
        inches,
        odd,
        unlogged,
        by_policy,
    ]
    judged = [judge(s, rules) for s in states]
    said = [whole(v) for _, v in judged]
    return [*said, *(ruler_of(found, s).as_plain() for (found, _), s in zip(judged, states, strict=True))]


def test_nothing_moves_in_what_is_said(rules: MotorRules) -> None:
    assert_nothing_moved("said.json", whole_answers(rules))


def test_remarks_put_wear_into_proportion() -> None:
    own: dict[str, float | str] = {
        **FITTED,
        "thickness_mm": 6.4,
        "width_mm": 12.5,
        "commutator_d_mm": 30.0,
        "rated_rpm": 9000.0,
    }
    worn = state(a_round(20, 15, 16), own=own)
    said = remarks(findings(worn, shipped(), TODAY), worn, shipped())
    # 17.5 mm per 1000 h; 30 mm at 9000 r/min rubs 50 894 km in 1000 h; 80 mm² of 7 + 6 mm weigh 1.8 g.
    assert "68% of its length, which looks like 857 h more, but 50% of its usable carbon, which is 400 h" in said[0]
    assert "0.344 mm per 1000 km" in said[1]
    assert "1.8 g" in said[2]
    assert remarks(findings(state(), shipped(), TODAY), state(), shipped()) == ()


def test_two_wear_lines_give_a_rate_and_the_next_line() -> None:
    lined: dict[str, float | str] = {
        "new_mm": 22.0,
        "wear_line_1_mm": 18.0,
        "wear_line_2_mm": 14.0,
        "wear_line_3_mm": 10.0,
        "method": "wear line",
    }
    seen = state(a_round(10, 16, 20, lines=1), a_round(20, 12, 20, lines=2), own=lined)
    said = " ".join(remarks(findings(seen, shipped(), TODAY), seen, shipped()))
    # 4 mm between 300 h and 500 h on the counter: 20 mm per 1000 h, the next 4 mm take 200 h.
    assert "line 1 at 300 h and line 2 at 500 h: 20.00 mm per 1000; line 3 at about 700 h" in said


WEAR = {
    "distance": (rubbed_km(30, 9000, 1000), 50893.8),
    "no hours": (rubbed_km(30, 9000, 0), 0),
    "carbon dust": (dust_g(100, [10, 10], "resin-bonded", shipped()), 3.4),
    "metal dust": (dust_g(100, [10, 10], "high-metal", shipped()), 8.0),
    "a longer brush makes no dust": (dust_g(100, [10, -1], "", shipped()), 1.7),
    "two wear lines": (line_rate_mm_per_kh(4, 100, 600), 8.0),
    "by length alone": (seeming_left_h(15, 17.5), 857.142857),
}


@pytest.mark.parametrize(("found", "wanted"), WEAR.values(), ids=WEAR.keys())
def test_wear_beside_hours(found: float, wanted: float) -> None:
    assert found == pytest.approx(wanted, rel=1e-5)
    with pytest.raises(InputError):
        line_rate_mm_per_kh(4, 600, 600)


def test_after_bedding_in_the_clock_starts_again() -> None:
    found, _ = judge(state(a_round(2, 21.2, 21.3, kind="bedded"), a_round(22, 19.2, 19.5)))
    assert found.line is not None
    assert found.line.brushes[0] is not None
    assert found.line.brushes[0].life_rate_mm_per_kh == pytest.approx(5)


def test_measured_starting_lengths_replace_the_nominal() -> None:
    found, _ = judge(state(a_round(0, 22.4, 21.9, kind="fitting"), a_round(20, 19.4, 19.4)))
    assert [b.wear_mm for b in found.brushes] == [pytest.approx(3.0), pytest.approx(2.5)]


@pytest.mark.parametrize(
    ("own", "words"),
    [
        (
            {"length_unit": "in"},
            ("had 0.591 in on 25 May 2026 at 500 h, about 0.577 in now, limit 0.315 in", " h limit about: "),
        ),
        ({"length_unit": "thou"}, ("had 591 thou on", " h limit about: ")),
        ({"unit_of_use": "starts"}, ("at 500 starts, about 14.7 mm now", " starts limit about: ")),
    ],
)
def test_the_sentence_is_in_the_persons_units(own: dict[str, float | str], words: tuple[str, str]) -> None:
    _, said = judge(state(a_round(20, 15, 16), own={**FITTED, **own}))
    assert all(w in whole(said) for w in words)


def test_one_brush_may_be_shortest_and_another_set_the_date() -> None:
    found, said = judge(state(a_round(10, 16.0, 20.5), a_round(20, 15.0, 15.5)))
    assert found.governing is not None
    assert found.governing.label == "B"
    assert "Brush A had 15.0 mm on 25 May 2026 at 500 h, about 14.7 mm now, limit 8.0 mm; B wears faster" in said.why
    assert any("speeding up" in r.text for r in said.reasons)


def test_an_incomplete_round_names_the_last_complete_one() -> None:
    _, said = judge(state(a_round(10, 20, 20.2), a_round(20, 19, None)))
    assert any("last complete round was on 16 March 2026" in r.text for r in said.reasons)


@pytest.mark.parametrize("finding", [f for _, group in GROUPS for f in group], ids=lambda f: f.id)
def test_condition_raises_a_grade_and_never_lowers_it(finding: object) -> None:
    known = BY_ID[finding.id]  # type: ignore[attr-defined]
    fresh, worn = (
        state(a_round(20, 19, 19.4, seen=((1, known.id),))),
        state(a_round(20, 9.2, 9.4, seen=((1, known.id),))),
    )
    assert findings(fresh, shipped(), TODAY).grade == known.grade
    found, said = judge(worn)
    assert GRADES.index(found.grade or "fit") == max(GRADES.index(known.grade), GRADES.index("change"))
    assert any(known.decision in r.text for r in said.reasons)


SEVERITY = {
    "fit": "brush.free face.satin",
    "watch": "brush.chip-small face.glazed face.threads face.partly insulator.dirty",
    "plan": (
        "brush.sticky brush.oily face.burnt face.copper face.taper lead.strands-10 terminal.poor indicator.dead"
        " spring.off face.one-side holder.arms"
    ),
    "change": (
        "brush.seized brush.chip-large lead.strands-25 lead.heat spring.heat spring.far-off spring.travel"
        " holder.damaged holder.cracked brush.off-track spring.seat"
    ),
    "stop": "brush.latched lead.taut lead.loose lead.touches spring.broken insulator.cracked holder.loose",
}


def test_the_table_of_findings() -> None:
    assert {f.id: f.grade for f in BY_ID.values()} == {i: grade for grade, ids in SEVERITY.items() for i in ids.split()}


@given(st.floats(8.5, 21), st.floats(0.05, 4))
def test_shorter_brushes_never_get_a_better_grade_or_a_later_date(mm: float, less: float) -> None:
    long, short = judge(state(a_round(20, mm, 21)))[0], judge(state(a_round(20, max(mm - less, 0.5), 21)))[0]
    assert GRADES.index(short.grade or "fit") >= GRADES.index(long.grade or "fit")
    if long.days.limit_on and short.days.limit_on:
        assert short.days.limit_on <= long.days.limit_on
