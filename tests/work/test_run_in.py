"""A run-in on a sheet: its plan, its clock, its points against the plan, what shuts down, what it never proves."""

from datetime import timedelta

import pytest

from at_work import Work, at_work
from conftest import NOW, Shop
from norvash.core.judging.prove.points import points_of
from norvash.core.judging.run_in import logged, measured, plan_of, ran_min, steady
from norvash.core.planning.follow_up import follow_up_units
from norvash.core.running.log_typed import read_points
from norvash.core.running.ran import ON
from norvash.core.running.ran import ran_min as minutes_run
from norvash.core.sheet.measured import findings_of
from norvash.errors import Conflict, InputError
from norvash.work.reading.loading import load
from norvash.work.reading.standing import judge as judge_motor

UNIVERSAL = "construction=universal rated_v=230 rated_a=3.2 noload_rpm=12000 noload_a=1 run_in_share=0.4 run_in_min=45"


def at_run_in(shop: Shop, motor_class: str = "appliance", figures: str = UNIVERSAL) -> Work:
    """Return a motor with a new set, ready for power."""
    work = at_work(shop, motor_class, figures, "20.2 20.1")
    work.put("looked.springs=yes looked.holders=yes sound.commutator=yes sound.windings=yes sound.drive=yes")
    work.bench.fit("22", "22")
    work.bench.ready()
    return work


def points(work: Work, *typed: str) -> Work:
    """Enter points, each as an entry of its own behind those that are there."""
    for text in typed:
        place = len(logged(work.bench.page.sheet)) + 1
        work.bench.put("run-in-points", text, place)
    return work


def watched(work: Work) -> list[str]:
    """Return what the run-in has found, in words."""
    page = work.bench.page
    measured_now = measured(page.sheet, page.context.rules)
    return [f.words for _, f in findings_of(measured_now) if f.id.startswith("runin.")]


def test_the_plan_is_the_makers_and_what_is_over_it_is_watched_until_faces_are_looked_at(shop: Shop) -> None:
    work = at_run_in(shop)
    page = work.bench.page
    plan = plan_of(page.sheet, page.context.rules)
    assert (plan.most_v, plan.minutes, plan.minutes_basis) == (92, 45, "the maker's")
    assert (plan.most_a, plan.assumed) == (1, True)
    points(work, "10 min 92 V 0.9 A 4100 r/min sparks 1 30 °C", "20 min 115 V 0.9 A")
    assert watched(work) == ["run in over its plan: 115 V, 92 V at most, at 20 min"]
    work.bench.put("print", "0.8", 1)
    assert len(watched(work)) == 1
    work.put("run-in-looked=yes")
    assert watched(work) == []
    points(work, "30 min 93 V")
    assert watched(work) == ["run in over its plan: 93 V, 92 V at most, at 30 min"]


def test_limits_are_those_of_the_plan_when_a_point_was_read(shop: Shop) -> None:
    figures = "construction=permanent-magnet rated_v=170 rated_a=12 rated_rpm=1500"
    work = at_run_in(shop, "industrial", figures)
    work.bench.put("print", "40 %", 1)
    points(work, "85 V 5.2 A 700 r/min")
    work.bench.put("print", "75 %", 1)
    points(work, "85 V 5.2 A 700 r/min")
    assert [x.over for x in logged(work.bench.page.sheet)] == ["5.2 A, 4.8 A at most", ""]
    page = work.bench.page
    plan = plan_of(page.sheet, page.context.rules)
    assert (plan.most_v, plan.most_a, plan.release, plan.reached) == (85, 9, 0.8, False)


def test_its_clock_stands_while_it_is_put_aside(shop: Shop) -> None:
    work = at_run_in(shop)
    work.bench.put("run-in", "on", 1)
    shop.later(minutes=20)
    points(work, "90 V 0.9 A")
    work.bench.put("run-in", "aside", 2)
    shop.later(minutes=300)
    work.bench.put("run-in", "on", 3)
    shop.later(minutes=10)
    points(work, "90 V 0.9 A", "90 V 0.9 A")
    sheet = work.bench.page.sheet
    assert [round(x.minute) for x in logged(sheet)] == [21, 33, 34]
    assert ran_min(sheet, shop.now + timedelta(minutes=5)) == pytest.approx(39)
    assert steady(logged(sheet), work.bench.page.context.rules) is True
    with pytest.raises(InputError, match="has not come yet"):
        points(work, "300 min 90 V")
    points(work, "30 min 90 V 1 A")
    with pytest.raises(InputError, match="in the log already"):
        points(work, "30 min 91 V 1 A")


def test_begun_twice_it_has_run_since_the_first_time() -> None:
    at = NOW.replace(hour=8)
    turns = [(at, ON), (at + timedelta(minutes=30), ON), (at + timedelta(minutes=50), "aside")]
    assert minutes_run(turns, at + timedelta(hours=3)) == 50
    assert minutes_run(turns[:2], at + timedelta(minutes=40)) == 40


def test_noise_is_normal_for_twice_its_minutes(shop: Shop) -> None:
    work = at_run_in(shop).put("run-in-loud=89")
    assert watched(work) == []
    work.bench.put("run-in-loud", "1.5 h", answer="mistyped")
    assert watched(work) == ["noise or sparks after 90 min, twice its run-in of 45 min"]
    work.put("run-in-looked=yes")
    assert watched(work) == []


@pytest.mark.parametrize(
    ("point", "found"), [("4000 r/min sparks 3", "run.sparking"), ("14500 r/min sparks 1", "run.overspeed")]
)
def test_what_shuts_a_motor_down_does_so_while_it_is_run_in_and_proves_nothing(
    shop: Shop, point: str, found: str
) -> None:
    work = points(at_run_in(shop), f"90 V 0.9 A {point}")
    assert work.found == {found: "open"}
    assert points_of(work.bench.page.sheet) == ()
    with pytest.raises(Conflict, match="Before power"):
        points(work, "80 V")


def test_nothing_is_run_in_before_the_gate(shop: Shop) -> None:
    work = at_work(shop, "appliance", UNIVERSAL, "20.2 20.1")
    for field, text in (("run-in", "on"), ("run-in-points", "90 V")):
        with pytest.raises(Conflict, match="power"):
            work.bench.put(field, text, 1)


@pytest.mark.parametrize(
    ("text", "words"),
    [
        ("", None),
        ("110 V 120 V", "gives V twice"),
        ("1e9 V", "cannot be right"),
        ("sparks 5", "cannot be right"),
        ("110 V 12 kPa", "cannot be read"),
        ("blue", "cannot be read"),
        ("12 min", "Nothing was read"),
        ("40 min 90 V; 20 min 91 V", "comes after minute 40"),
        ("40 min 90 V; 40 min 91 V", "stands there twice"),
        ("1 2 3 4 5 6", "has no place"),
        ("-4 V", "cannot be right"),
        (";".join(["90 V"] * 401), "too many"),
        ("NaN V", "cannot be read"),
    ],
)
def test_a_log_that_cannot_be_is_told(text: str, words: str | None) -> None:
    with pytest.raises(InputError, match=words):
        read_points(text)


def test_a_point_is_read_as_people_and_meters_write_it() -> None:
    words = "52 min 110 V 12.7 A 574 r/min sparks 1 45 °C"
    for text in (words, "110 12,7 574 1 45 52 min", "45°C, 52min, 574rpm, 110V, 12.7A, sparks 1"):
        assert read_points(text)[0].words == words
    log = read_points("1 min 90 V\n2 min 91 V")
    assert read_points("; ".join(p.words for p in log)) == log


def test_the_first_look_after_a_new_set_is_proposed_and_booked(shop: Shop) -> None:
    work = at_run_in(shop, figures=f"{UNIVERSAL} expected_life_units=100")
    state, rules = work.bench.page.context.state, work.bench.page.context.rules
    at = follow_up_units(state, rules)
    assert at is not None
    assert at == pytest.approx(state.entries[-1].total_units + 5)
    work.bench.put("next-look-at", f"{at + state.offset_units:g}")
    assert work.bench.page.look.at == pytest.approx(at)


def test_a_stated_print_releases_the_load_and_a_starter_is_only_watched(shop: Shop) -> None:
    work = at_run_in(shop, figures=f"{UNIVERSAL} run_in_print=0.6").put("print@1=65_% print@2=55_%")
    assert [at for at in work.bench.states if at[1] == "face.unbedded"] == [(2, "face.unbedded")]


def test_a_starter_with_a_narrow_print_goes_back_watched(shop: Shop) -> None:
    work = at_run_in(shop, "starter", "rated_v=12 noload_a_most=65").put("print@1=40_%")
    assert (1, "face.unbedded") not in work.bench.states
    assert any(c.finding.id == "face.unbedded" for c in work.bench.page.found.conditions)


def test_what_a_set_ran_to_bed_is_no_wear(shop: Shop) -> None:
    """The clock of wear starts once the faces are run in; the hours stay on the counter."""
    work = at_run_in(shop)
    work.put("run-in@1=on")
    shop.later(minutes=120)
    work.put("run-in@2=over")
    work.bench.sign("as it is")
    shop.later(days=40)
    ran = work.bench.page.context.entries[-1].total_units
    shop.measure(work.bench.motor, f"{ran + 100:g}", "20", "20.1")
    judged = judge_motor(load(shop.conn, work.bench.motor), shop.now.date())
    fitted = judged.context.state.current
    bedded = 121 / 60  # an entry takes a minute too
    assert fitted.bedded_h == pytest.approx(bedded)
    assert judged.found.brushes[0].start.run_h == pytest.approx(fitted.fitted_units + bedded)
    assert judged.found.line is not None
    assert judged.found.line.brushes[0].life_rate_mm_per_kh == pytest.approx(2 / (100 - bedded) * 1000)  # type: ignore[union-attr]
