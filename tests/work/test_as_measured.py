"""Measured is kept as measured: a depth stays a depth, and what length it is follows from what is stated."""

from importlib.resources import files

import pytest

from at_work import Work, at_work
from bench_sheet import Bench
from conftest import Shop, readings_on
from norvash.errors import InputError
from norvash.store.record import motors
from norvash.work.motors.changing_figures import change_figures
from norvash.work.on_sheet.measuring import note, record
from norvash.work.reading.brush_lines import brush_lines
from norvash.work.reading.standing import refresh

GAUGE = {"method": "depth", "depth_limit_mm": "12.6"}


@pytest.fixture
def bench(shop: Shop) -> Bench:
    """Return a drill whose gauge has a limit of 12.60, read at 11.83 and 11.50, on its sheet."""
    motor = shop.motor(motor_class="tool", new_length="", limit="", set_is_new=True, figures=GAUGE)
    bench = Work(shop, Bench(shop, motor)).safe().bench
    bench.measure("11.83", "11.5")
    return bench


def state(bench: Bench, **figures: str) -> None:
    conn, motor = bench.shop.conn, bench.motor
    own = {n: f"{v:g}" if isinstance(v, float) else v for n, v in motors.motor_figures(conn, motor).items()}
    version = motors.fetch_motor(conn, motor).version
    change_figures(conn, bench.shop.later(minutes=1).act(), motor, {**own, **figures}, version)


def test_a_depth_of_which_nothing_tells_the_length_has_no_share_and_no_wear_since_new(bench: Bench, shop: Shop) -> None:
    page = shop.page(bench.motor)
    first = page.found.brushes[0]
    assert [first.usable, first.left_mm] == [None, pytest.approx(0.77)]
    assert page.found.doubts == ()
    line = brush_lines(shop.conn, bench.page).lines[0]
    assert (line.reading and line.reading.bare_mm, line.usable, line.since_mm, line.before) == (11.83, None, None, None)
    told = bench.page.context.sets[-1].rounds[-1].readings[1]
    assert told.bare_mm == 11.83
    # The next round tells the wear between the two, and nothing else.
    later = Bench(shop.later(days=20), bench.motor) if shop.sign(bench.id) else bench
    Work(shop, later).safe().bench.measure("12.03", "11.7")
    line = brush_lines(shop.conn, later.page).lines[0]
    assert [line.usable, line.since_mm] == [None, pytest.approx(0.2)]


@pytest.mark.parametrize(
    ("figures", "length", "share"),
    [({"depth_new_mm": "9"}, 15.17, 0.77 / 3.6), ({"depth_constant_mm": "25"}, 13.17, 0.77 / 5.6)],
)
def test_a_figure_stated_later_changes_what_is_derived_and_nothing_that_was_measured(
    bench: Bench, shop: Shop, figures: dict[str, str], length: float, share: float
) -> None:
    typed = {n: (g.typed, g.bare_mm) for n, g in readings_on(shop.conn, bench.id).items()}
    state(bench, **figures)
    first = shop.page(bench.motor).found.brushes[0]
    assert first.last is not None
    assert [first.last.length_mm, first.usable] == pytest.approx([length, share])
    assert first.left_mm == pytest.approx(0.77)  # by its gauge as ever
    assert shop.page(bench.motor).found.grade != "stop"
    line = brush_lines(shop.conn, bench.page).lines[0]
    assert line.reading is not None
    assert [line.reading.length_mm, line.usable] == pytest.approx([length, share])
    assert {n: (g.typed, g.bare_mm) for n, g in readings_on(shop.conn, bench.id).items()} == typed


def test_what_an_earlier_version_laid_on_an_invented_brush_is_a_depth_again(bench: Bench, shop: Shop) -> None:
    shop.conn.execute("update reading set bare_mm = null")
    steps = files("norvash.store.schema").joinpath("0014_as_measured.sql").read_text()
    shop.conn.executescript(steps[steps.index("update reading") :])
    assert [g.bare_mm for g in readings_on(shop.conn, bench.id).values()] == [11.83, 11.5]
    other = shop.motor(
        tag="X-02", motor_class="tool", figures={**GAUGE, "depth_new_mm": "9"}, new_length="18", limit=""
    )
    shop.measure(other, "100", "10", "10.1")
    shop.conn.executescript(steps[steps.index("update reading") :])
    assert shop.conn.execute("select count(*) from reading where bare_mm is not null").fetchone()[0] == 2
    # What came of the invented brush is struck, and the motor says so; the other keeps what it had.
    steps = files("norvash.store.schema").joinpath("0016_struck.sql").read_text()
    shop.conn.executescript(steps[steps.index("update motor") :])
    left = shop.conn.execute("select motor_id from forecast").fetchall()
    assert [m[0] for m in left] == [other]
    assert [motors.fetch_motor(shop.conn, m).depths_again for m in (bench.motor, other)] == [True, False]
    refresh(shop.conn, bench.motor, shop.now.date())
    assert shop.page(bench.motor).found.ahead is not None


def test_a_seized_brush_keeps_its_reading_and_the_others_stay_measured(shop: Shop) -> None:
    bench = Work(shop, Bench(shop, shop.motor(figures={}, new_length="22", limit="9", set_is_new=True))).safe().bench
    bench.measure("14.1", "14.2")
    note(shop.conn, shop.later(minutes=1).act(), bench.id, 2, "brush.seized")
    holds = [h.words for h in bench.page.holds]
    assert "What was measured of B proves nothing: free it and measure it again" in holds
    assert not any(h.startswith("Not measured") for h in holds)
    first, second = brush_lines(shop.conn, bench.page).lines
    assert (first.usable is None, second.reading and second.reading.typed, second.word) == (
        False,
        "14.2",
        "its reading proves nothing",
    )


@pytest.mark.parametrize("length", ["11.5", "10.6"])
def test_what_was_said_of_the_found_set_stays_when_another_is_in(shop: Shop, length: str) -> None:
    """The second is to be changed by its days, the limit of which a new set moves."""
    motor = shop.motor(set_is_new=True, new_length="22", limit="9", figures={})
    for days, counter, lengths in ((0, "100", ("22", "22")), (60, "300", ("16", "16.2"))):
        shop.later(days=days).measure(motor, counter, *lengths)
    shop.later(days=30).log(motor, "460")
    bench = Work(shop, Bench(shop, motor)).safe().bench
    bench.measure(length, length)
    said = bench.life("set.worn").finding
    shop.later(minutes=1).new_set(motor, "", "22", "22")
    assert (bench.life("set.worn").finding, bench.life("set.worn").state) == (said, "proven")


def test_a_cut_moves_no_share_of_what_was_found(shop: Shop) -> None:
    work = at_work(shop, "industrial", "commutator_d_mm=120 commutator_d_min_mm=110 bars=24", "13.1 20")
    lines = brush_lines(shop.conn, work.bench.page).lines
    work.put("shoulder-d=119.8 groove=0.2 cut-done=119.2")
    after = brush_lines(shop.conn, work.bench.page).lines
    assert [(x.usable, x.left_mm) for x in after] == [(x.usable, x.left_mm) for x in lines]
    assert work.bench.page.found.limit.limit_mm > (lines[0].reading or pytest.fail("no reading")).length_mm - (
        lines[0].left_mm or 0
    )


# By way of measuring: what is stated, what is typed, the length; what is stated instead later, and the length then.
CORRECTED = {
    "depth, by the sum": ("depth", {"depth_constant_mm": "30"}, "14", 16.0, {"depth_constant_mm": "31"}, 17.0),
    "depth, by a new brush": ("depth", {"depth_new_mm": "8"}, "14", 16.0, {"depth_new_mm": "7"}, 15.0),
    "protrusion": ("protrusion", {"protrusion_constant_mm": "4"}, "12", 16.0, {"protrusion_constant_mm": "5"}, 17.0),
    "share": ("compare", {}, "75", 16.5, {"new_mm": "24"}, 18.0),
    "length": ("length", {}, "16", 16.0, {"new_mm": "24"}, 16.0),
}


@pytest.mark.parametrize(("method", "stated", "typed", "length", "later", "then"), CORRECTED.values(), ids=CORRECTED)
def test_a_reference_that_is_corrected_moves_what_follows_from_it_and_no_reading(
    *, shop: Shop, method: str, stated: dict[str, str], typed: str, length: float, later: dict[str, str], then: float
) -> None:
    motor = shop.motor(figures={"method": method, **stated}, new_length="22", limit="9", set_is_new=True)
    bench = Work(shop, Bench(shop, motor)).safe().bench
    bench.measure(typed, typed)

    def lengths() -> list[float]:
        now = shop.page(motor).found.brushes[0].last
        line = brush_lines(shop.conn, bench.page).lines[0].reading
        assert now is not None
        assert line is not None
        return [now.length_mm, line.length_mm]

    assert lengths() == pytest.approx([length, length])
    raw = [(g.typed, g.length_mm, g.reference_mm) for g in readings_on(shop.conn, bench.id).values()]
    state(bench, **later)
    assert lengths() == pytest.approx([then, then])
    assert [(g.typed, g.length_mm, g.reference_mm) for g in readings_on(shop.conn, bench.id).values()] == raw
    # There and back again, and after the signature and a new set it rests.
    state(bench, **{n: stated.get(n, "22") for n in later})
    assert lengths() == pytest.approx([length, length])


def test_a_cut_and_a_corrected_reference_do_not_mix(shop: Shop) -> None:
    """A depth is counted from what stood then with the cut in it; the correction alone moves it afterwards."""
    more = "commutator_d_mm=120 commutator_d_min_mm=110 bars=24 method=depth depth_constant_mm=30"
    work = at_work(shop, "industrial", more, "14 14")
    work.put("shoulder-d=119.8 groove=0.2 cut-done=119.2")
    before = brush_lines(shop.conn, work.bench.page).lines[0].reading
    state(work.bench, depth_constant_mm="31")
    after = brush_lines(shop.conn, work.bench.page).lines[0].reading
    assert before is not None
    assert after is not None
    assert (before.length_mm, after.length_mm) == pytest.approx((16.0, 17.0))


def test_a_share_of_a_brush_that_nobody_measured_is_not_taken_for_a_length(shop: Shop) -> None:
    motor = shop.motor(motor_class="tool", figures={"method": "compare"}, new_length="", limit="", set_is_new=True)
    bench = Work(shop, Bench(shop, motor)).safe().bench
    with pytest.raises(InputError, match="counted from the new length"):
        bench.measure("60")


def test_a_new_depth_alone_tells_the_share_and_no_length_of_a_brush_that_nobody_measured(shop: Shop) -> None:
    gauge = {**GAUGE, "depth_new_mm": "9"}
    motor = shop.motor(motor_class="tool", figures=gauge, new_length="", limit="", set_is_new=True)
    bench = Work(shop, Bench(shop, motor)).safe().bench
    bench.measure("11.83", "11.5")
    page = shop.page(motor)
    assert page.found.brushes[0].usable == pytest.approx(0.77 / 3.6)
    assert page.found.limit.gauge_mm == 12.6
    assert page.found.brushes[0].last is not None
    assert page.found.brushes[0].last.bare_mm == 11.83


@pytest.mark.parametrize(
    ("figures", "method", "typed"),
    [(GAUGE, "length", "14"), ({"depth_limit_mm": "12.6"}, "depth", "11.8"), (GAUGE, "compare", "60")],
)
def test_a_second_scale_of_which_nothing_tells_the_first_is_refused_with_the_way(
    shop: Shop, figures: dict[str, str], method: str, typed: str
) -> None:
    motor = shop.motor(figures=figures, new_length="", limit="", set_is_new=True)
    bench = Work(shop, Bench(shop, motor)).safe().bench
    with pytest.raises(InputError, match="second scale") as told:
        record(shop.conn, shop.act(), bench.id, position=1, text=typed, method=method)
    assert "read one brush both ways" in told.value.remedy


@pytest.mark.parametrize(("constant", "typed"), [("11", "11.8"), ("11", "11")])
def test_a_reference_below_the_reading_is_said_at_the_reading(shop: Shop, constant: str, typed: str) -> None:
    figures = {"method": "depth", "depth_constant_mm": constant}
    motor = shop.motor(figures=figures, new_length="22", limit="9", set_is_new=True)
    bench = Work(shop, Bench(shop, motor)).safe().bench
    with pytest.raises(InputError, match="would make the brush") as told:
        bench.measure(typed)
    assert (told.value.field, "check the constants" in told.value.remedy) == ("value", True)
