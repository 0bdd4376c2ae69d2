"""What the stage of the commutator shows, and the page that goes to the lathe."""

from typing import Any

from norvash.core.commutator.after_cut import Change, checks_of
from norvash.core.commutator.bars import CONDITIONS, changed, having, read_map
from norvash.core.commutator.map_says import set_of
from norvash.core.commutator.surface import ABRASIVES
from norvash.core.sheet.given import Earlier
from norvash.core.sheet.stages.catalogue import FIELD_BY_ID
from norvash.core.sheet.stages.commutator.bar_test import BAR_SHAFT_BAR
from norvash.core.sheet.stages.commutator.copper_now import CopperNow
from norvash.core.sheet.stages.commutator.cut import CUT_DONE
from norvash.core.sheet.stages.commutator.cut_made import cut_changes, cut_words
from norvash.core.sheet.stages.rework import HOLDER_SET
from norvash.core.sheet.stages.windings.measured import bar_to_shaft, slots_on_growler
from norvash.core.text.words import listed
from norvash.drawing.bar_map import Mapped, bar_map, condition_sample
from norvash.drawing.cut_section import cut_section
from norvash.drawing.run_out_rose import run_out_rose
from norvash.drawing.svg import Drawing
from norvash.errors import InputError
from norvash.web.copper_says import cut_says, map_says, run_says, test_says
from norvash.web.sheet_view import entry
from norvash.work.copper_bench import CopperBench
from norvash.work.sheet_page import SheetPage

_WIDE, _PHONE = 620.0, 346.0


def _own(shown: SheetPage, *ids: str) -> dict[str, Any]:
    return {i: entry(shown, FIELD_BY_ID[i]) for i in ids}


def commutator(shown: SheetPage, bench: CopperBench | None) -> dict[str, Any]:
    """Return the map to paint, run-out, bar test, cut and surface work of a sheet."""
    if bench is None:
        raise LookupError("the stage of the commutator needs its bench")
    now, rules = bench.now, shown.context.rules
    done = CUT_DONE.given(shown.sheet)
    return {
        **_map(shown, now, bench.earlier_map),
        "earlier_map": bench.earlier_map,
        "conditions": [
            (i, c, condition_sample(c.id), bool(having(now.shown, c.id))) for i, c in enumerate(CONDITIONS, start=1)
        ],
        "own": _own(
            shown,
            "bar-map",
            "run-out",
            "run-out-on",
            "run-out-step",
            "bar-test",
            "bar-test-how",
            "bar-test-fed",
            "bar-test-lifted",
            "bar-test-noise",
            "bar-shaft",
            "bar-shaft-bar",
            "cut-done",
            "cut-tool",
            "lathe-speeds",
            "rough-cut",
            "pit-left",
            "true-setup",
            "slot-minutes",
            "surface-with",
            "holder-set",
        ),
        "now": now,
        "bench": bench,
        "rose": _rose(shown, now),
        "map_says": map_says(now),
        "test_says": test_says(now),
        "run_says": run_says(now),
        "cut_says": cut_says(shown, bench),
        "section": cut_section(now.plan, _WIDE) if now.plan else None,
        "legend": _legend(shown, bench),
        "section_phone": cut_section(now.plan, _PHONE) if now.plan else None,
        "changes": cut_changes_of(shown),
        "cut_made": cut_words(done.more) if done else "",
        "abrasives": ABRASIVES,
        "school_clean": rules.choice("school.cleaning"),
        "school_skim": rules.choice("school.skim"),
        "checks": checks_of(now.plan, rules, now.bars) if now.plan else None,
    }


def _legend(shown: SheetPage, bench: CopperBench) -> str:
    """Return what the marks round the bars mean, as far as there are some."""
    read = bench.now.read
    parts = (
        ["triangles: where the proven spacing falls"] if read is not None and read.searched.proven is not None else []
    )
    parts += ["+ and –: more or less than last time"] if bench.earlier_map is not None else []
    parts += ["strokes over the slots: how far a reading is off the median"] if bench.now.tested is not None else []
    parts += ["brackets: slots that answer on the growler"] if slots_on_growler(shown.sheet) else []
    parts += ["earth sign: the bar that leaks to the shaft"] if _earthed(shown) is not None else []
    return "; ".join(parts)


def cut_changes_of(shown: SheetPage) -> tuple[Change, ...]:
    """Return what the cut that is recorded on a sheet changed, nothing without one."""
    done, bars = CUT_DONE.given(shown.sheet), shown.context.figures.stated("bars")
    if done is None:
        return ()
    return cut_changes(
        done, int(bars) if bars else None, shown.found.limit.limit_mm, holders_set=HOLDER_SET.of(shown.sheet)
    )


def _map(shown: SheetPage, now: CopperNow, earlier: Earlier | None) -> dict[str, Any]:
    if now.wound is None:
        return {"map": None, "map_phone": None, "map_changed": ""}
    more: tuple[int, ...] = ()
    less: tuple[int, ...] = ()
    words = ""
    if earlier is not None:
        try:
            before = read_map(earlier.given.word, now.wound.bars)
        except InputError:
            before = {}
        if now.shown:
            more, less = (tuple(x) for x in changed(before, now.shown))
            parts = [f"more at {_bars(more)}"] * bool(more) + [f"less at {_bars(less)}"] * bool(less)
            words = f"Since sheet {earlier.sheet}: {' and '.join(parts) or 'nothing has changed'}."
    best = now.read.searched.proven if now.read else None
    tested = now.tested
    says = tuple(s.words for s in now.read.sayings) if now.read else ()
    mapped = Mapped(
        bars=now.wound.bars,
        shown=now.shown,
        poles=now.wound.poles,
        slots=now.wound.slots,
        spacing=set_of(best, now.wound.bars) if best else (),
        more=more,
        less=less,
        deviations=tested.deviations if tested else (),
        marked=(*tested.high, *tested.low, *tested.suspect) if tested else (),
        band=tested.band if tested else 0.1,
        paint=shown.sheet.signed_at is None,
        says=says,
        answering={n: at for n, at in slots_on_growler(shown.sheet).items() if at is not None},
        earthed=_earthed(shown),
    )
    return {"map": bar_map(mapped, _WIDE), "map_phone": bar_map(mapped, _PHONE), "map_changed": words}


def _earthed(shown: SheetPage) -> int | None:
    """Return the bar that leaks to the shaft, None where none does or it is not named."""
    bar = BAR_SHAFT_BAR.of(shown.sheet)
    judged = bar_to_shaft(shown.sheet, shown.context.rules)
    return None if judged is None or bar is None or judged.grade != "stop" else int(bar)


def _bars(bars: tuple[int, ...]) -> str:
    return listed([f"bar {b}" for b in bars[:8]]) + (f" and {len(bars) - 8} more" if len(bars) > 8 else "")


def _rose(shown: SheetPage, now: CopperNow) -> Drawing | None:
    return run_out_rose(now.run_out, shown.context.figures.track_d_mm, now.per_bar, 340) if now.run_out else None


def lathe_page(shown: SheetPage, bench: CopperBench) -> dict[str, Any]:
    """Return what goes to the lathe: section, passes, checks."""
    plan = bench.now.plan
    says = cut_says(shown, bench)
    return {
        "plan": plan,
        "section": cut_section(plan, 760.0) if plan else None,
        "cut_says": says,
        "slots_min": bench.slots_min,
        "checks": checks_of(plan, shown.context.rules, bench.now.bars) if plan else ((), ()),
    }
