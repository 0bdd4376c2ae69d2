"""Smaller faults, each one row: what was typed, and what it must say."""

import re
from collections.abc import Callable

import pytest
from starlette.testclient import TestClient

from bench_sheet import Bench
from conftest import Shop
from full_sheet import filled
from norvash.core.motor.figure_fields import SUNK_MM
from norvash.core.rules.catalogue import RULES
from norvash.core.stages.catalogue import FINDINGS
from norvash.core.stages.gates import SAFE
from norvash.core.visit.gate_ticked import ticked
from norvash.errors import NorvashError
from norvash.work.pages.sums import answer
from norvash.work.reading.loading import load
from run_cases import figures_of, rows_of
from states import whole

COPPER = (
    "construction=shunt rated_v=220 commutator_d_mm=98 commutator_d_min_mm=92 bars=29 slot_width_mm=0.8"
    " undercut_mm=1.1 holder_gap_mm=2"
)


def work_of(bench: Bench) -> str:
    return "; ".join(f"{w.task.id}{' done' if w.done else ''}" for w in bench.page.work)


def lives_of(bench: Bench) -> str:
    return "; ".join(f"{x.finding.id} {x.state}: {x.finding.words}" for x in bench.page.visit.lives)


def before_of(bench: Bench) -> str:
    return " ".join(m.words for m in bench.page.measured)


def line_of(bench: Bench) -> str:
    return whole(bench.page.said)


def causes_of(bench: Bench) -> str:
    cause = bench.page.cause
    return " ".join(r.cause.id for r in cause.ranked) if cause is not None else "none"


def power_of(bench: Bench) -> str:
    return "; ".join(h.words for h in bench.page.holds if "power" in h.words)


# Class and figures, what was typed (of a brush as “see”), what is asked of the sheet, what it must say and must not.
ROWS: dict[str, tuple[str, str, str, Callable[[Bench], str], str, str]] = {
    "1 the bar test is made": (
        "industrial",
        COPPER,
        "bar-map=burnt_9,_23 bar-test=BARS bar-test-lifted=yes",
        work_of,
        "bar-test done",
        "",
    ),
    "2 the cut is made": (
        "industrial",
        COPPER,
        "track-d=96.4 groove=0.1 bar-map=grooved_1-29 bar-test=BARS bar-test-lifted=yes cut-done=96.0",
        work_of,
        "skim done",
        "",
    ),
    "3 “done” before the work": (
        "tool",
        "tool",
        "see@1=terminal.poor decide.terminal.poor@1=done",
        lives_of,
        "terminal.poor done not proven",
        "",
    ),
    "4 the list is not emptied by it": (
        "tool",
        "tool",
        "see@1=terminal.poor decide.terminal.poor@1=done",
        work_of,
        "terminal",
        "",
    ),
    "5 found and mended": (
        "tool",
        "tool",
        "sign.start=dead sign.tapped=yes ruled-out.stuck=yes",
        line_of,
        "Found and mended: brush stuck in its holder. Run it",
        "Likely cause",
    ),
    "6 no field coils by magnets": (
        "appliance",
        "magnet",
        "sign.start=dead sign.onset=sudden",
        causes_of,
        "worn",
        "field",
    ),
    "7 no magnets by field coils": (
        "appliance",
        "tool",
        "sign.start=dead sign.onset=sudden",
        causes_of,
        "field",
        "magnet",
    ),
    "8 too big to dress": (
        "tool",
        "tool",
        "box-t@1=6.40 brush-t@1=6.55",
        lives_of,
        "clearance.wrong open: brush too big for its box",
        "tight",
    ),
    "9 to be dressed": ("tool", "tool", "box-t@1=6.40 brush-t@1=6.40", lives_of, "clearance.tight open", "wrong"),
    "10 a ladder that does not rise": (
        "appliance",
        "tool speed_taps=0.5;0.75;1",
        "PERMIT supply-v=230 tap-v@1=172 tap-v@2=115 tap-v@3=229 CLOSE",
        lives_of,
        "taps.miswired open",
        "",
    ),
    "11 and no power with it": (
        "appliance",
        "tool speed_taps=0.5;0.75;1",
        "PERMIT supply-v=230 tap-v@1=172 tap-v@2=115 tap-v@3=229 CLOSE run-how=free",
        power_of,
        "do not rise",
        "",
    ),
    "12 settings without their shares": (
        "appliance",
        "tool",
        "PERMIT supply-v=230 taps-v=110;170;229 CLOSE",
        before_of,
        "the settings rise as they should",
        "",
    ),
    "13 nor do these rise": (
        "appliance",
        "tool",
        "PERMIT supply-v=230 taps-v=172;115;229 CLOSE",
        lives_of,
        "taps.miswired open",
        "",
    ),
    "14 nothing measured yet": ("tool", "tool", "", line_of, "from the expected life", "0 rounds"),
    "15 holders that nobody has set": (
        "industrial",
        COPPER.replace("gap_mm=2", "gap_mm=3.2"),
        "track-d=96.4 groove=0.1 cut-done=96.0 decide.gap.cut=done",
        lives_of,
        "gap.cut done not proven",
        "",
    ),
    "16 speeds with blanks": (
        "industrial",
        COPPER,
        "lathe-speeds=250_400_540",
        lambda b: str(b.page.sheet.entries["lathe-speeds", 0].record),
        "(250.0, 400.0, 540.0)",
        "",
    ),
    "17 speeds with strokes": (
        "industrial",
        COPPER,
        "lathe-speeds=250/400/540",
        lambda b: str(b.page.sheet.entries["lathe-speeds", 0].record),
        "(250.0, 400.0, 540.0)",
        "",
    ),
    "18 an open terminal": (
        "tool",
        "tool",
        "terminal-ohm@1=open terminal-ohm@2=0.02",
        before_of,
        "Left terminal open, allowed",
        "20 m",
    ),
    "19 over the meter": ("tool", "tool", "terminal-ohm@2=OL", before_of, "Right terminal open", ""),
    "20 more than the meter shows": (
        "tool",
        "tool",
        "insulation-mohm=>_20_M insulation-c=20",
        lives_of,
        "",
        "insulation",
    ),
    "21 an open coil": ("industrial", "shunt", "coils=12.1;12.0;OL;12.2", lives_of, "windings.open-coil open", ""),
    "22 supply and motor apart": (
        "tool",
        "tool",
        "PERMIT source-v=231 supply-v=180 CLOSE",
        before_of,
        "231 V before switch and cord, 51 V lost on the way, 22.1%: too much",
        "",
    ),
    "23 left and right apart": (
        "tool",
        "tool",
        "terminal-ohm@1=0.01 terminal-ohm@2=3",
        lives_of,
        "terminal.measured open: 3 Ω",
        "left",
    ),
    "24 slots after a cut": (
        "industrial",
        COPPER,
        "track-d=96.4 groove=0.1 slot-depth=1.15 cut-done=96.0",
        lives_of,
        "slots 0.85 mm deep after the cut, 1.10 mm is their target",
        "",
    ),
    "25 a gap is not cleared by a tick": (
        "tool",
        "tool",
        "gap@1=0.2 decide.gap.narrow@1=now task.gap=yes",
        lives_of,
        "gap.narrow done not proven",
        "gap.narrow proven",
    ),
    "34 out of service is said before a cause": (
        "tool",
        "tool",
        "sign.weak=yes sign.sparks=ring insulation-mohm=0.4",
        line_of,
        "Out of service: it must not run before this is mended. Windings and magnets: insulation 0.4",
        "first to think of",
    ),
    "26 two points of a run": (
        "tool",
        "tool",
        "READY run-v=120 run-v@1=230",
        lambda b: str(sorted(p for f, p in b.page.sheet.entries if f == "run-v")),
        "[0, 1]",
        "",
    ),
    "27 what is missing stands first": (
        "tool",
        "tool",
        "step.safe.bit=",
        lambda b: str(ticked(SAFE, b.page.sheet, b.page.context.rules).missing),
        "Blade, bit or disc taken off",
        "proved dead",
    ),
}
REFUSED: dict[str, tuple[str, str, str, str]] = {
    "28 emery": ("industrial", COPPER, "surface-with=emery", "emery leaves hard dust that conducts"),
    "29 grease in a sealed bearing": (
        "tool",
        "tool",
        "b-number@1=6202-2RS b-greased@1=grease",
        "A sealed bearing is renewed, never greased",
    ),
    "30 silicone": ("tool", "tool", "b-greased@2=silicone", "destroys the film under the brushes"),
    "31 over the range of nobody knows": ("tool", "tool", "insulation-mohm=OL", "> 200 MΩ"),
    "32 volts at the motor need a permit": ("starter", "starter", "supply-v=11", "measured with power on"),
    "33 and so do cranking volts": ("starter", "starter", "cranking-v=9.8", "measured with power on"),
}


def typed(shop: Shop, motor_class: str, figures: str, rows: str) -> Bench:
    bench = Bench(shop, shop.motor(motor_class=motor_class, figures=figures_of(figures)))
    context = load(shop.conn, bench.motor)
    for step in SAFE.steps(context.facts, context.rules):
        bench.put(SAFE.step(step.id).id, "yes")
    bench.put("safe.method", "unplugged")
    for field, text, place in rows_of(
        rows.replace("PERMIT", "permit.open@1=volts").replace("CLOSE", "permit.close@1=yes")
    ):
        if field == "see":
            bench.see(place, text)
        elif field == "READY":
            bench.ready()
        elif field == "permit.open":
            bench.put(field, text, place, who="Ines", barriers="rope", minutes="20")
        else:
            bench.put(field, "\n".join(["1"] * 29) if text == "BARS" else text, place)
    return bench


@pytest.mark.parametrize("row", ROWS.values(), ids=ROWS)
def test_what_was_typed_says_what_it_must(
    shop: Shop, row: tuple[str, str, str, Callable[[Bench], str], str, str]
) -> None:
    motor_class, figures, rows, asked, must, never = row
    said = asked(typed(shop, motor_class, figures, rows))
    assert must in said
    assert not never or never not in said


@pytest.mark.parametrize(("motor_class", "figures", "rows", "says"), REFUSED.values(), ids=REFUSED)
def test_what_was_offered_is_refused_with_the_reason(
    shop: Shop, motor_class: str, figures: str, rows: str, says: str
) -> None:
    before, _, last = rows.rpartition(" ")
    bench = typed(shop, motor_class, figures, before)
    ((field, text, place),) = rows_of(last)
    with pytest.raises(NorvashError) as refused:
        bench.put(field, text, place)
    assert says in f"{refused.value.problem} {refused.value.remedy}"


def test_a_cut_that_is_signed_with_its_holders_open_keeps_them_unset(shop: Shop) -> None:
    gap = "track-d=96.4 groove=0.1 cut-done=96.0 decide.gap.cut=done"
    bench = typed(shop, "industrial", COPPER.replace("gap_mm=2", "gap_mm=3.2"), gap)
    bench.sign("holders wait for the gauge")
    assert SUNK_MM.of(load(shop.conn, bench.motor).figures) == pytest.approx(0.2)


def test_no_code_stands_on_a_page(client: TestClient, shop: Shop) -> None:
    """Ids of findings are for the record; rules are named beside their figure, as a link."""
    sheet = filled(shop, "industrial")
    codes = re.compile("|".join(rf"(?<![\w./=-]){re.escape(i)}(?![\w.-])" for i in FINDINGS if i not in RULES))
    for stage in (
        "call-in",
        "safe",
        "before",
        "brushes",
        "commutator",
        "windings",
        "drive",
        "decide",
        "rework",
        "prove",
        "sign",
    ):
        page = client.get(f"/sheets/{sheet}/{stage}?position=1").text
        text = re.sub(r"<(script|style).*?</\1>|<[^>]*>", " ", page, flags=re.DOTALL)
        assert codes.findall(text) == [], stage


@pytest.mark.parametrize(
    ("brush_mm", "finding", "says"), [(6.55, "clearance.wrong", "wrong part"), (6.4, "clearance.tight", "dress")]
)
def test_the_sum_and_the_sheet_say_the_same_of_a_fit(shop: Shop, brush_mm: float, finding: str, says: str) -> None:
    bench = typed(shop, "tool", "tool", f"box-t@1=6.4 brush-t@1={brush_mm}")
    assert [x.finding.id for x in bench.page.visit.lives] == [finding]
    assert says in bench.life(finding, 1).finding.decision
    given = {"thickness_mm": brush_mm, "width_mm": 12.5, "box_thickness_mm": 6.4, "box_width_mm": 12.6}
    assert says in str(answer("holder-fit", given, bench.page.context.rules)["advice"])
