"""What a verdict takes from the rounds, one by one: which round counts, whose rate, which brush is the shortest, and
when.
"""

from dataclasses import replace
from datetime import date, timedelta

import pytest

from norvash.core.brush.limits import Limit
from norvash.core.brush.motor_limit import motor_limit
from norvash.core.forecast.set_forecast import Ahead
from norvash.core.grades import Graded
from norvash.core.motor.figures import Figures
from norvash.core.rules.catalogue import shipped
from norvash.core.sheet.part import PARTS
from norvash.core.stages.brushes.stage import BY_SIGHT as BY_ID
from norvash.core.stages.catalogue import FINDINGS
from norvash.core.state.component import finding_word
from norvash.core.state.findings import Days, Findings, OpenDoubt
from norvash.core.state.motor_state import MotorState, Overrule, Renewal
from norvash.core.verdict.components import components_of
from norvash.core.verdict.judging import findings
from states import FITTED, TODAY, a_round, foreseen, standing, state

EARLIER, WORN = a_round(10, 18, 19), a_round(20, 15, 16)


def judged(given: MotorState, today: date = TODAY) -> Findings:
    return findings(given, shipped(), today)


def ahead_of(given: MotorState) -> Ahead:
    assert given.ahead is not None
    return given.ahead


def test_a_limit_that_was_given_says_how_and_is_no_estimate() -> None:
    def limit(**own: float | str) -> Limit:
        return motor_limit(Figures({"new_mm": 22.0, **own}, {}, {}), shipped())

    angled = limit(limit_mm=10.0, thickness_mm=12.0, face_angle_deg=30.0)
    assert (angled.estimated, angled.governed_by, angled.terms) == (False, "maker", (("longest edge", 10.0),))
    assert angled.rule_ids == ()
    assert angled.remark == "given as 10 mm at the longest edge of a face angled by 30°"
    unmoved = limit(limit_mm=10.0, face_angle_deg=30.0)
    assert (unmoved.limit_mm, "nobody has stated the thickness" in unmoved.remark) == (10.0, True)
    assert limit(limit_mm=9.0, limit_source="site") == Limit(
        limit_mm=9.0, source="site rule", estimated=False, governed_by="site"
    )
    deep = limit(method="depth", depth_new_mm=4.0, depth_limit_mm=15.0)
    assert (deep.governed_by, deep.terms) == ("maker", (("depth limit", 15.0),))


def test_what_is_only_watched_lasts_until_the_next_measured_round() -> None:
    glazed = ((1, FINDINGS["face.glazed"]),)
    assert judged(state(replace(EARLIER, seen=glazed), WORN)).conditions == ()
    since = judged(state(EARLIER, replace(WORN, seen=glazed)))
    assert ([c.finding.id for c in since.conditions], since.grade) == (["face.glazed"], "watch")
    assert [c.finding.id for c in judged(state(replace(a_round(20), seen=glazed))).conditions] == ["face.glazed"]
    taut = standing(state(EARLIER, WORN), (1, "lead.taut"))
    assert judged(replace(taut, sets=state(EARLIER, WORN, a_round(30, 14, 15)).sets)).grade == "stop"


@pytest.mark.parametrize(
    ("lengths", "number"), [((16.0, 16.4), 1), ((16.4, 16.0), 2), ((8.0, 8.5), 1), ((None, 16.0), 2)]
)
def test_where_nothing_has_worn_yet_the_shortest_brush_governs(
    lengths: tuple[float | None, float], number: int
) -> None:
    found = judged(state(a_round(20, *lengths), known=False))
    assert found.line is None
    assert found.governing is not None
    assert found.governing.number == number


def test_the_round_at_which_the_clock_starts_gives_no_line() -> None:
    fitted, bedded = a_round(20, 15, 16, kind="fitting"), a_round(20, 15, 16, kind="bedded")
    assert [judged(state(r)).line is None for r in (fitted, bedded, WORN)] == [True, True, False]
    assert judged(state(EARLIER, WORN, known=False)).line is not None


def test_wear_is_counted_from_new_and_rates_from_the_start() -> None:
    old = judged(state(EARLIER, WORN, known=False)).brushes[0]
    assert (old.wear_mm, old.start.length_mm) == (7.0, 18.0)
    unknown = judged(state(a_round(20, None, 16))).brushes[0]
    assert (unknown.start.length_mm, unknown.in_round, unknown.last) == (22.0, False, None)
    left_out = judged(state(EARLIER, a_round(20, 15, None))).brushes[1]
    assert (left_out.in_round, left_out.wear_mm) == (False, 3.0)
    assert left_out.rate_mm_per_kh == pytest.approx(15)


def test_a_brush_that_was_left_out_of_a_round_does_not_hide_the_others() -> None:
    line = judged(state(EARLIER, a_round(20, None, 15))).line
    assert line is not None
    assert [b is not None for b in line.brushes] == [False, True]
    assert judged(state(EARLIER, a_round(15, None, 17), WORN)).line is not None
    complete = judged(state(EARLIER, WORN))
    assert (complete.missing, complete.complete_before) == ((), None)
    half = judged(state(EARLIER, a_round(20, 15, None)))
    assert (half.missing, half.complete_before) == (("B",), EARLIER)


def test_the_line_runs_on_the_counter_whatever_it_stood_at() -> None:
    given = state(a_round(2, 21.8, 21.8, kind="bedded"), a_round(5, 21.2, 21.2), WORN)
    level = replace(given, entries=tuple(replace(e, counter_units=e.total_units) for e in given.entries))
    above, below = judged(given).line, judged(level).line
    assert above is not None
    assert below is not None
    for name in ("do_not_exceed_h", "plan_by_h", "look_again_h"):
        assert getattr(above, name) == getattr(below, name) + 100
    renewed = replace(given, sets=(replace(given.sets[0], renewed=(Renewal(1, 400, 15.0, 0.04),)),))
    assert judged(renewed).line is not None


def test_the_length_at_the_next_look_by_the_rate_of_the_brush_or_of_the_forecast() -> None:
    worn = foreseen(state(EARLIER, WORN))
    assert judged(replace(worn, ahead=replace(ahead_of(worn), look_units=300.0))).brushes[0].next_mm == 15
    at_limit = judged(state(EARLIER, a_round(20, 8, 9)))
    assert at_limit.line is not None
    assert at_limit.line.look_again_h == 500
    assert at_limit.brushes[0].next_mm == 8
    young = foreseen(state(a_round(20, 22, 22), own={**FITTED, "expected_life_units": 90000.0}))
    ahead, brush = ahead_of(young), judged(young).brushes[0]
    assert 0 < ahead.rate_mm_per_unit < 0.001
    assert brush.rate_mm_per_kh == pytest.approx(1000 * ahead.rate_mm_per_unit)
    assert brush.next_mm == pytest.approx(22 - ahead.rate_mm_per_unit * (ahead.look_units - 400))


def test_days_are_counted_from_the_last_entry_of_the_log() -> None:
    plain = state(EARLIER, WORN)
    days = judged(plain).line_days
    assert days.limit_on is not None
    late = (*plain.entries[:-1], replace(plain.entries[-1], at=plain.entries[-1].at + timedelta(days=28)))
    assert judged(replace(plain, entries=late)).line_days.limit_on == days.limit_on + timedelta(days=28)
    assert judged(replace(plain, rate=None)).line_days == Days()
    assert judged(replace(plain, entries=())).line_days == Days()


def test_the_next_interval_is_not_worth_while_under_its_share_of_a_life() -> None:
    once = foreseen(state(WORN))
    assert ahead_of(once).visits == 1
    for seen, short in ((50.0, False), (50.5, True)):
        given = replace(ahead_of(once), look_units=100.0, seen_units=seen, life_units=1000.0)
        assert judged(replace(once, ahead=given)).too_short is short
    assert not judged(replace(once, ahead=replace(ahead_of(once), visits=0, life_units=1e9))).too_short


def test_a_verdict_keeps_what_the_lengths_said_and_who_decided_otherwise() -> None:
    worn = foreseen(state(EARLIER, a_round(20, 13, 16)))
    found = judged(worn)
    assert (found.graded, found.grade, found.overruled) == (Graded("watch", "stage.watch"), "watch", None)
    whole = Overrule("motor", "plan", "Ines", "a bad smell", TODAY)
    over = judged(replace(worn, overrules=(whole,)))
    assert (over.graded, over.grade, over.overruled) == (Graded("watch", "stage.watch"), "plan", whole)


def test_an_open_doubt_names_its_brush_its_reason_and_its_reading() -> None:
    doubted = a_round(20, 15, 16, doubt="why?")
    readings = {n: replace(m, id=f"reading-{n}", doubt=m.doubt if n == 2 else "") for n, m in doubted.readings.items()}
    assert judged(state(EARLIER, replace(doubted, readings=readings))).doubts == (
        OpenDoubt(number=2, label="B", words="why?", rule_id="doubt.noise", reading_id="reading-2", swaps=((1, "A"),)),
    )


def test_carbon_is_changed_and_everything_else_is_mended() -> None:
    words = {f: finding_word(BY_ID[f]) for f in ("lead.heat", "spring.far-off", "brush.oily", "brush.sticky")}
    assert words == {
        "lead.heat": "Change now",
        "spring.far-off": "Mend now",
        "brush.oily": "Plan the change",
        "brush.sticky": "Plan the repair",
    }
    silent = components_of(None, (), ())
    assert [(c.id, c.word) for c in silent] == [(c, "") for c in [p.id for p in PARTS]]
    assert {c.word for c in components_of(Graded("change", "stage.change"), (), ())} == {"", "Change now"}
