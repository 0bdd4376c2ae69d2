"""Commutator, windings and drive on a sheet: what was measured speaks, a recorded cut changes what is in force,
and holds it until undone.
"""

from dataclasses import replace
from typing import Literal

import pytest

from bench_sheet import Bench
from conftest import Shop
from copper_motor import COPPER
from norvash.core.judging.commutator.slots_here import cut_minutes
from norvash.core.motor.figure_fields import HOLDER_GAP_MM, SUNK_MM
from norvash.core.motor.figure_reading import track_d_mm
from norvash.core.sheet.moved import Explained
from norvash.core.stages.catalogue import STAGE_BY_ID
from norvash.errors import Conflict, InputError
from norvash.store.record import entries, rounds
from norvash.store.record.records import kept
from norvash.work.motors.changing_figures import change_figures
from norvash.work.on_sheet.measuring import record
from norvash.work.on_sheet.sighting import Seeing
from norvash.work.on_sheet.signing import sign
from norvash.work.on_sheet.undoing import undo
from norvash.work.pages.insulation_record import insulation_record
from norvash.work.reading.copper_bench import copper_bench
from norvash.work.reading.loading import load
from norvash.work.reading.slots_here import slots_here

PARTED = {"parted-capacitors": "yes"}


class Visit(Bench):
    """One open sheet of a motor, gate waived, a month after the one before."""

    def __init__(self, shop: Shop, motor: str) -> None:
        super().__init__(shop.later(days=30), motor)
        self.put("waive.safe", "on the bench")

    @property
    def found(self) -> dict[str, str]:
        return {c.finding.id: c.finding.words for c in self.page.found.conditions}


@pytest.fixture
def visit(shop: Shop) -> Visit:
    return Visit(shop, shop.motor(motor_class="industrial", figures=COPPER))


SPEAKS: dict[str, tuple[dict[str, str], str, str]] = {
    "pitch marking needs four spots and 29 bars are too few": (
        {"bar-map": "burnt 3, 10, 17, 25"},
        "commutator.two-bars",
        "",
    ),
    "facing edges": ({"bar-map": "burnt-leading 3; burnt-trailing 4"}, "commutator.two-bars", "local burn"),
    "an oval track": (
        {"run-out": "0; 0.07; 0.1; 0.07; 0; 0.07; 0.1; 0.07"},
        "runout.over",
        "0.100 mm, 0.08 mm allowed",
    ),
    "a run-out known as one number": ({"run-out-total": "0.1"}, "runout.over", "0.100 mm, 0.08 mm allowed"),
    "far over, known as one number": ({"run-out-total": "0.2"}, "runout.far", "0.200 mm"),
    "a step known as one number": ({"bar-step": "0.05"}, "runout.bars", "0.0500 mm"),
    "far over on a machine that carries": (
        {"run-out": "0; 0.17; 0.2; 0.17; 0; 0.17; 0.2; 0.17"},
        "runout.far",
        "0.200 mm",
    ),
    "off centre between centres": (
        {"run-out": "0.1; 0.0854; 0.05; 0.0146; 0; 0.0146; 0.05; 0.0854", "run-out-on": "centres"},
        "runout.set-up",
        "0.100 mm",
    ),
    "off centre on its own seats": (
        {"run-out": "0.1; 0.0854; 0.05; 0.0146; 0; 0.0146; 0.05; 0.0854", "run-out-on": "seats"},
        "runout.seats",
        "0.100 mm",
    ),
    "far off centre, whatever it turned on": (
        {"run-out": "0.3; 0.256; 0.15; 0.044; 0; 0.044; 0.15; 0.256", "run-out-on": "bearings"},
        "runout.far",
        "0.300 mm",
    ),
    "open coil": (
        {"bar-test": "; ".join("12" if i in (6, 21) else "1" for i in range(1, 30))},
        "bartest.open",
        "from bar 7 to bar 21",
    ),
    "short": (
        {"bar-test": "; ".join("0.6" if i in (6, 21) else "1" for i in range(1, 30))},
        "bartest.short",
        "from bar 7 to bar 21",
    ),
    "suspect": (
        {"bar-test": "; ".join("1.2" if i == 6 else "1" for i in range(1, 30))},
        "bartest.suspect",
        "reading 6",
    ),
    "suspect by voltage drop": (
        {"bar-test": "; ".join("1.07" if i == 6 else "1" for i in range(1, 30)), "bar-test-how": "drop"},
        "bartest.suspect",
        "reading 6",
    ),
    "a bar to the shaft": ({"bar-shaft": "200 kohm", "bar-shaft-bar": "12"}, "windings.earth", "from bar 12"),
    "a groove that cleans up": (
        {"bar-map": "grooved 1-29", "track-d": "97.2", "groove": "0.2"},
        "copper.cut",
        "0.220 mm radial",
    ),
    "a groove deeper by its diameters than by its gauge": (
        {"bar-map": "grooved 1-29", "shoulder-d": "97.6", "track-d": "97.0", "groove": "0.2"},
        "copper.cut",
        "to 96.96 mm",
    ),
    "a groove too deep": (
        {"bar-map": "grooved 1-29", "track-d": "93.9", "groove": "0.4"},
        "copper.refused",
        "deepest allowed",
    ),
    "too little copper": ({"track-d": "93.7"}, "copper.under", "under its least of 93.90 mm"),
    "shallow slots": ({"slot-depth": "0.3"}, "slot.shallow", "0.30 mm"),
    "a file was used": ({"surface-with": "file"}, "surface.emergency", ""),
    "insulation at 40 degrees": (
        {"insulation-mohm": "4", "insulation-c": "20", **PARTED},
        "insulation.low",
        "1 MΩ at 40 °C",
    ),
    "insulation that is middling": (
        {"insulation-mohm": "12", "insulation-c": "20", **PARTED},
        "insulation.middling",
        "3 MΩ at 40 °C",
    ),
    "insulation in the cold": (
        {"insulation-mohm": "90", "insulation-c": "5", **PARTED},
        "insulation.again",
        "test again warm",
    ),
    "polarization": (
        {"insulation-mohm": "100", "insulation-10": "120", "insulation-c": "40", **PARTED},
        "polarization.low",
        "1.20",
    ),
    "polarization that falls": (
        {"insulation-mohm": "100", "insulation-10": "90", "insulation-c": "40", **PARTED},
        "polarization.hold",
        "0.90",
    ),
    "growler": (
        {"growler": "fail", "growler-slots": "slot 4 and 11-12"},
        "windings.growler",
        "slots 4, 11 and 12 answer",
    ),
    "chain": ({"heat-chain": "open"}, "chain.dead", "temperature chain open"),
    "end float": ({"end-float": "0.6"}, "float.out", "put in 0.40 mm"),
    "vibration": ({"vibration": "5.2"}, "vibration.high", "5.2 mm/s"),
    "O-ring": ({"ring-section": "2", "ring-groove": "1.9"}, "ring.squeeze", "5%"),
    "belt": ({"belt": "cracked"}, "drive.belt", "belt cracked"),
    "a washer": ({"seen.drive.washer": "yes"}, "drive.washer", "wave spring"),
    "clutch": ({"clutch": "jams"}, "drive.jammed", "jams both ways"),
}


@pytest.mark.parametrize(("given", "finding", "words"), SPEAKS.values(), ids=SPEAKS.keys())
def test_what_is_measured_speaks_for_the_motor(given: dict[str, str], finding: str, words: str, visit: Visit) -> None:
    for field, text in given.items():
        visit.put(field, text)
    assert words in visit.found[finding]


BEARING = {
    "feel": ({"b-feel": "notchy"}, "bearing.rough"),
    "play": ({"b-play": "clear"}, "bearing.loose"),
    "grease": ({"b-grease": "washed"}, "bearing.grease"),
    "noise": ({"b-noise": "rumble"}, "bearing.noisy"),
    "rust": ({"b-seat": "corroded"}, "bearing.corroded"),
    "age": ({"b-years": "12"}, "bearing.aged"),
    "hours": ({"b-hours": "6000", "b-life": "10000"}, "bearing.aged"),
    "bush": ({"journal": "12", "bush": "12.2"}, "bush.worn"),
    "kit": ({"kit-shaft": "20.1", "kit-bore": "20"}, "kit.mismatch"),
    "a dry bush": ({"bush-state": "dry"}, "bush.dry"),
    "a dry bearing": ({"b-feel": "dry"}, "bearing.dry"),
}


@pytest.mark.parametrize(("given", "finding"), BEARING.values(), ids=BEARING.keys())
def test_each_bearing_speaks_with_its_end(given: dict[str, str], finding: str, visit: Visit) -> None:
    for place in (1, 2):
        for field, text in given.items():
            visit.put(field, text, place)
    found = {c.place for c in visit.page.found.conditions if c.finding.id == finding}
    assert found == {"Bearings and drive, drive end", "Bearings and drive, other end"}


def test_weak_magnets_run_free_too_fast_with_too_much_current(visit: Visit) -> None:
    visit.put("permit.open", "free run", 1, who="Ines", barriers="rope", minutes="30")
    visit.put("noload-rpm", "1800")
    assert "magnets.weak" not in visit.found
    visit.put("noload-a", "1.6")
    assert "1800 r/min" in visit.found["magnets.weak"]


def test_a_fall_of_insulation_is_seen_against_the_last_sheet(visit: Visit, shop: Shop) -> None:
    visit.put("parted-capacitors", "yes")
    visit.put("insulation-mohm", "62")
    visit.put("insulation-c", "40")
    visit.put("bar-map", "dark 4")
    sign(shop.conn, shop.later(minutes=1).act(), visit.id, "only to have it signed")
    again = Visit(shop, visit.motor)
    again.put("parted-capacitors", "yes")
    again.put("insulation-mohm", "34")
    again.put("insulation-c", "30")
    assert "27% of last time" in again.found["insulation.fallen"]
    tests = insulation_record(shop.conn, again.page)
    assert [(t.sheet, t.megohm, t.r40_megohm and round(t.r40_megohm)) for t in tests] == [(1, 62, 62), (2, 34, 17)]
    earlier = copper_bench(shop.conn, again.page).earlier_map
    assert earlier is not None
    assert (earlier.sheet, earlier.given.word) == (1, "dark 4")


def test_a_cut_changes_limit_depth_readings_and_gap_until_the_holders_are_set(visit: Visit, shop: Shop) -> None:
    visit.put("shoulder-d", "96.4")
    visit.put("groove", "0.18")
    visit.put("pit", "0.11")
    visit.put("slot-depth", "0.84")
    before = visit.page.found.limit.limit_mm
    visit.put("cut-done", "95.95")
    visit.put("cut-done", "95.93")
    done = entries.list_entries(shop.conn, visit.id)["cut-done", 0, "left"]
    assert {k: float(v) for k, v in kept(done.record).items()} == pytest.approx(
        {"radial": 0.235, "sunk": 0.055, "before": 96.04, "after": 95.93, "least": 93.9, "gap": 2.25, "slot": 0.84}
    )
    assert visit.page.found.limit.limit_mm == pytest.approx(before + 0.055)
    assert "until the holders are set" in visit.page.found.limit.remark
    figures = load(shop.conn, visit.motor).figures
    assert track_d_mm(figures) == 95.93
    assert HOLDER_GAP_MM.of(figures) == pytest.approx(2.305)
    first = record(shop.conn, shop.later(minutes=1).act(), visit.id, position=1, text="33.4")
    assert rounds.fetch_reading(shop.conn, first)[0].length_mm == pytest.approx(10.055)
    # Gap and faces are right as the cut left them: nothing is asked for there.
    assert {"gap.cut", "face.cut", "slot.shallow"} & set(visit.found) == {"slot.shallow"}
    assert {"set-holders", "contour", "undercut"} & {w.task.id for w in visit.page.work} == {"undercut"}
    visit.put("holder-set", "yes")
    assert visit.page.found.limit.limit_mm == pytest.approx(before)
    second = record(shop.conn, shop.later(minutes=1).act(), visit.id, position=2, text="33.4")
    assert rounds.fetch_reading(shop.conn, second)[0].length_mm == pytest.approx(10.0)
    for _ in range(4):
        undo(shop.conn, shop.later(minutes=1).act(), visit.id)
    undo(shop.conn, shop.later(minutes=1).act(), visit.id)
    assert track_d_mm(load(shop.conn, visit.motor).figures) == 98
    assert visit.page.found.limit.limit_mm == pytest.approx(before)


def test_a_length_after_the_new_curve_is_one_as_left(visit: Visit, shop: Shop) -> None:
    visit.put("shoulder-d", "96.4")
    visit.put("groove", "0.18")
    record(shop.conn, shop.later(minutes=1).act(), visit.id, position=1, text="33.4")
    visit.put("cut-done", "94")
    visit.put("task.contour", "yes")
    act, seeing = shop.later(minutes=1).act(), Seeing(sight="left")
    shaped = record(shop.conn, act, visit.id, position=1, text="33.6", seeing=seeing)
    reading = rounds.fetch_reading(shop.conn, shaped)[0]
    assert (reading.sight, reading.said) == ("left", "33.6 mm")
    there = {
        (g.sight, g.said) for r in rounds.rounds_of(shop.conn, visit.id) for g in rounds.list_sighted(shop.conn, r.id)
    }
    assert there == {("found", "33.4 mm"), ("left", "33.6 mm")}


def test_a_cut_is_cleaned_before_power_and_finished_before_it_is_signed(visit: Visit) -> None:
    def held(keeps: Literal["power", "sign"]) -> list[str]:
        every = visit.page.visit.held(STAGE_BY_ID["commutator"], keeps)
        return [h.words for h in every if "fter the cut" in h.words]

    visit.put("shoulder-d", "96.4")
    visit.put("groove", "0.18")
    assert (held("power"), held("sign")) == ([], [])
    visit.put("cut-slots", "yes")  # before the cut it says nothing of it
    visit.put("cut-done", "95.93")
    assert held("power") == [
        "after the cut: every slot brushed clean of copper",
        "after the cut: blown out or vacuumed",
    ]
    assert len(held("sign")) == 2
    for tick in ("cut-slots", "cut-vacuumed", "cut-chamfer", "cut-again"):
        visit.put(tick, "")
        visit.put(tick, "yes")
    assert (held("power"), held("sign")) == ([], [])
    visit.put("cut-chamfer", "")
    assert held("sign") == ["After the cut: edges chamfered on both sides"]
    visit.put("outcome", "out")
    assert held("sign") == []


def test_run_out_read_again_after_a_cut_is_held_to_what_a_cut_must_reach(visit: Visit) -> None:
    oval = "0; 0.03; 0.04; 0.03; 0; 0.03; 0.04; 0.03"
    visit.put("run-out", oval)
    visit.put("run-out-step", "1 µm")
    assert not {"runout.over", "runout.far"} & set(visit.found), "good enough for a commutator that runs"
    visit.put("track-d", "96.4")
    visit.put("cut-done", "96.1")
    assert not {"runout.over", "runout.far"} & set(visit.found), "what was read before the cut says nothing of the cut"
    visit.put("run-out", oval)
    assert "0.040 mm, 0.025 mm allowed" in visit.found["runout.over"]


def test_a_shorted_armature_is_not_run_before_it_is_proven(visit: Visit) -> None:
    visit.put("growler", "fail")
    with pytest.raises(Conflict, match="growler"):
        visit.put("run-a", "2.1")
    visit.put("decide.windings.growler", "now")
    visit.put("task.armature", "yes", minutes="90")
    visit.ready()
    with pytest.raises(Conflict, match=r"growler.*done and not proven"):
        visit.put("run-a", "2.1")
    visit.put("growler", "pass")
    assert visit.life("windings.growler").state == "proven"
    visit.put("run-a", "2.1")


def test_holders_count_as_set_by_their_own_tick_and_not_by_a_signature_that_leaves_them_open(shop: Shop) -> None:
    visit = Visit(shop, shop.motor(motor_class="industrial", figures=COPPER | {"holder_gap_mm": "3.2"}))
    visit.put("track-d", "96.4")
    visit.put("groove", "0.1")
    visit.put("cut-done", "96.1")
    day = f"{shop.now.date():%Y-%m-%d}"
    visit.put("decide.gap.cut", "deferred", who="Ines", day=day)
    sign(shop.conn, shop.later(minutes=1).act(), visit.id, "only to have it signed")
    assert SUNK_MM.of(load(shop.conn, visit.motor).figures) == pytest.approx(0.15)
    again = Visit(shop, visit.motor)
    put_off = next(x.kept for x in again.page.found.lives if x.finding.id == "gap.cut")
    again.put(f"settle.{put_off.id if put_off else ''}", "yes")
    sign(shop.conn, shop.later(minutes=1).act(), again.id, "only to have it signed")
    assert "Done, not proven: Brush A, holders not set" in str(again.page.row.signed["open"]).replace(
        "Holders", "Brush A"
    )
    assert SUNK_MM.of(load(shop.conn, visit.motor).figures) == pytest.approx(0.15)
    Visit(shop, visit.motor).put("holder-set", "yes")
    assert SUNK_MM.of(load(shop.conn, visit.motor).figures) is None
    assert track_d_mm(load(shop.conn, visit.motor).figures) == 96.1


def test_a_cut_needs_the_bar_test_and_a_diameter_and_makes_sense(visit: Visit) -> None:
    with pytest.raises(InputError, match="not measured"):
        visit.put("cut-done", "95")
    visit.put("track-d", "96.4\n96.3")
    visit.put("bar-map", "burnt 9, 23")
    visit.put("bar-test", "; ".join("1" for _ in range(29)))
    visit.put("bar-test-lifted", "yes")
    with pytest.raises(InputError, match="is not possible"):
        visit.put("cut-done", "96.5")
    visit.put("cut-done", "93.8")
    assert "copper.under" in visit.found


def test_what_cannot_be_is_refused_with_the_reason(visit: Visit) -> None:
    for field, text, says in (
        ("surface-with", "emery", "conducts"),
        ("bar-map", "burnt 30", "no bar 30"),
        ("run-out", "0.02 mm\n30 µm", "mixes units"),
        ("bar-test", "1\n2\nx", "Reading 3"),
        ("track-d", "9000", "reading 1 cannot be right"),
    ):
        with pytest.raises(InputError, match=says):
            visit.put(field, text)


def test_a_map_of_another_number_of_bars_is_said_and_breaks_nothing(visit: Visit, shop: Shop) -> None:
    visit.put("bar-map", "burnt 28")
    change_figures(
        shop.conn,
        replace(shop.later(minutes=1).act(), explained=Explained("read", "counted")),
        visit.motor,
        {**COPPER, "new_mm": "22", "bars": "25"},
        1,
    )
    bench = copper_bench(shop.conn, visit.page)
    assert "no bar 28" in bench.now.trouble["bar-map"].problem
    assert bench.now.shown == {}


@pytest.mark.parametrize(("count", "says"), [(28, "1 missing"), (30, "1 too many"), (29, ""), (12, "")])
def test_a_column_of_nearly_one_reading_a_bar_is_asked_about(count: int, says: str, visit: Visit, shop: Shop) -> None:
    visit.put("run-out", "\n".join(f"0.0{i % 3}" for i in range(count)))
    found = copper_bench(shop.conn, visit.page).now
    assert (found.run_out is None) == bool(says)
    assert says in (found.trouble["run-out"].problem if says else "")
    assert found.per_bar == (count == 29)


def test_slots_teach_the_site_its_own_pace(visit: Visit, shop: Shop) -> None:
    assert copper_bench(shop.conn, visit.page).slots.factor == 1.0
    visit.put("slot-minutes", "58")
    visit.put("lathe-speeds", "185\n355")
    sign(shop.conn, shop.later(minutes=1).act(), visit.id, "only to have it signed")
    again = Visit(shop, visit.motor)
    bench = copper_bench(shop.conn, again.page)
    assert bench.slots.factor == pytest.approx(4 / 3)
    assert bench.slots.sheets == 1
    assert bench.speeds is not None
    assert bench.speeds.word == "185;355"
    assert bench.slot_min == pytest.approx(29 * 4 / 3)


def test_a_cut_teaches_the_site_its_own_pace(visit: Visit, shop: Shop) -> None:
    wide = {**COPPER, "new_mm": "22", "track_mm": "46"}
    change_figures(shop.conn, shop.later(minutes=1).act(), visit.motor, wide, 1)
    for field, text in (("shoulder-d", "96.4"), ("groove", "0.18"), ("lathe-speeds", "185; 355")):
        visit.put(field, text)
    rules = load(shop.conn, visit.motor).rules
    planned = cut_minutes(visit.page.sheet, rules)
    assert planned is not None
    visit.put("cut-done", "95.93")
    visit.put("cut-minutes", f"{1.5 * planned:g} min")
    assert copper_bench(shop.conn, visit.page).slots.cut_factor == 1.0
    sign(shop.conn, shop.later(minutes=1).act(), visit.id, "only to have it signed")
    assert slots_here(shop.conn, rules).cut_factor == pytest.approx(1 + 0.5 / 3, abs=0.01)
