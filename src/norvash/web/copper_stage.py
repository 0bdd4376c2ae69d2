"""What the stage of the commutator shows, and the page that goes to the lathe."""

from typing import Any

from norvash.core.commutator.after_cut import Change, checks_of, where_to_cut
from norvash.core.commutator.bars import CONDITIONS, changed, having, read_map
from norvash.core.commutator.map_says import set_of
from norvash.core.commutator.run_out_limits import RULES_OF
from norvash.core.commutator.saying import bar_test_words, plan_words
from norvash.core.commutator.skim import Plan
from norvash.core.commutator.surface import ABRASIVES
from norvash.core.edges import over, under
from norvash.core.sheet.copper import CopperNow
from norvash.core.sheet.cutting import cut_changes, cut_words
from norvash.core.sheet.fields import BY_ID
from norvash.core.sheet.given import Earlier
from norvash.core.sheet.insulated import bar_to_shaft, slots_on_growler
from norvash.core.words import listed
from norvash.drawing.bar_map import Mapped, bar_map, condition_sample
from norvash.drawing.cut_section import cut_section
from norvash.drawing.run_out_rose import run_out_rose
from norvash.drawing.svg import Drawing
from norvash.errors import InputError, NorvashError
from norvash.web.sheet_view import Said, entry
from norvash.work.copper_bench import CopperBench
from norvash.work.sheet_page import SheetPage

_WIDE, _PHONE = 620.0, 346.0


def _own(shown: SheetPage, *ids: str) -> dict[str, Any]:
    return {i: entry(shown, BY_ID[i]) for i in ids}


def commutator(shown: SheetPage, bench: CopperBench | None) -> dict[str, Any]:
    """Return the map to paint, run-out, bar test, cut and surface work of a sheet."""
    if bench is None:
        raise LookupError("the stage of the commutator needs its bench")
    now, rules = bench.now, shown.context.rules
    done = shown.sheet.given("cut-done")
    return {
        **_map(shown, now, bench.earlier_map), "earlier_map": bench.earlier_map, "conditions": [(i, c, condition_sample(c.id), bool(having(now.shown, c.id))) for i, c in enumerate(CONDITIONS, start=1)],
        "own": _own(shown, "bar-map", "run-out", "run-out-on", "run-out-step", "bar-test", "bar-test-how", "bar-test-fed", "bar-test-lifted", "bar-test-noise", "bar-shaft", "bar-shaft-bar", "cut-done", "cut-tool", "lathe-speeds",
                    "rough-cut", "pit-left", "true-setup", "slot-minutes", "surface-with", "holder-set"),
        "now": now, "bench": bench, "rose": _rose(shown, now), "map_says": _map_says(now), "test_says": _test_says(now), "run_says": _run_says(now),
        "cut_says": _cut_says(shown, bench), "section": cut_section(now.plan, _WIDE) if now.plan else None,
        "legend": _legend(shown, bench),
        "section_phone": cut_section(now.plan, _PHONE) if now.plan else None,
        "changes": cut_changes_of(shown), "cut_made": cut_words(done.more) if done else "",
        "abrasives": ABRASIVES, "school_clean": rules.choice("school.cleaning"), "school_skim": rules.choice("school.skim"),
        "checks": checks_of(now.plan, rules, now.bars) if now.plan else None,
    }  # fmt: skip


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
    done, bars = shown.sheet.given("cut-done"), shown.context.figures.stated("bars")
    if done is None:
        return ()
    return cut_changes(done, int(bars) if bars else None, shown.found.limit.limit_mm, holders_set=shown.sheet.has("holder-set"))  # fmt: skip


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
        now.wound.bars, now.shown, now.wound.poles, now.wound.slots, set_of(best, now.wound.bars) if best else (), more, less,
        tested.deviations if tested else (), (*tested.high, *tested.low, *tested.suspect) if tested else (), tested.band if tested else 0.1,
        shown.sheet.signed_at is None, says, {n: at for n, at in slots_on_growler(shown.sheet).items() if at is not None}, _earthed(shown),
    )  # fmt: skip
    return {"map": bar_map(mapped, _WIDE), "map_phone": bar_map(mapped, _PHONE), "map_changed": words}


def _earthed(shown: SheetPage) -> int | None:
    """Return the bar that leaks to the shaft, None where none does or it is not named."""
    bar = shown.sheet.number_of("bar-shaft-bar")
    judged = bar_to_shaft(shown.sheet, shown.context.rules)
    return None if judged is None or bar is None or judged.grade != "stop" else int(bar)


def _bars(bars: tuple[int, ...]) -> str:
    return listed([f"bar {b}" for b in bars[:8]]) + (f" and {len(bars) - 8} more" if len(bars) > 8 else "")


def _rose(shown: SheetPage, now: CopperNow) -> Drawing | None:
    return run_out_rose(now.run_out, shown.context.figures.track_d_mm, now.per_bar, 340) if now.run_out else None


def _trouble(now: CopperNow, name: str) -> list[Said]:
    found: NorvashError | None = now.trouble.get(name)
    return [Said(f"{found.problem} {found.remedy}", False)] if found else []


def _map_says(now: CopperNow) -> list[Said]:
    if "bar-map" in now.trouble:
        return _trouble(now, "bar-map")
    return [
        Said(s.words, False if s.finding else None, s.rules)
        for s in (now.read.sayings if now.read else ())
        if s.finding != "commutator.two-bars" or now.needs_bar_test
    ]


def _run_says(now: CopperNow) -> list[Said]:
    found = now.run_out
    if found is None:
        return _trouble(now, "run-out")
    slow = found.assumed or f"{found.speed_m_per_s:.1f} m/s at the surface"
    said = [Said(f"Total run-out {found.tir_mm:.3f} mm, {found.tir_limit_mm:g} mm allowed ({slow}): {found.words}", found.passes, (*RULES_OF[found.band], "runout.outlier")),
            Said(found.fit.words)]  # fmt: skip
    if found.step_mm is not None:
        said.append(Said(f"greatest step {found.step_mm:.4f} mm after bar {found.step_at}, {found.step_limit_mm:g} mm allowed", not over(found.step_mm, found.step_limit_mm), RULES_OF[found.band][1:]))  # fmt: skip
    else:
        said.append(Said("step from bar to bar not measured: that takes one reading for each bar"))
    said += [
        Said(f"bar {n} is {abs(mm):.3f} mm {'high' if mm > 0 else 'low'}", False, ("runout.outlier",))
        for n, mm in found.odd[:6]
    ]
    return said


def _test_says(now: CopperNow) -> list[Said]:
    if now.tested is None:
        return _trouble(now, "bar-test")
    how = "; each reading is held against the median of its place in the slot" if now.tested.by_slot else ""
    return [
        Said(
            f"{bar_test_words(now.tested).capitalize()}{how}",
            now.tested.release,
            (now.tested.pass_rule, "bartest.high", "bartest.low", "bartest.scatter"),
        )
    ]


def _cut_says(shown: SheetPage, bench: CopperBench) -> list[Said]:
    now, rules = bench.now, shown.context.rules
    if now.plan is None:
        return _trouble(now, "cut")
    made = [Said(plan_words(now.plan).capitalize(), now.plan.chosen.allowed, ("cut.clean",)), *_spread(shown)]
    if now.needs_bar_test:
        made.insert(0, Said(f"Bar test before any cut: {now.needs_bar_test}", False))
    if now.run_out is not None and now.run_out.cause == "set-up":
        made.insert(
            0,
            Said(
                "It runs off centre but is round: true it up on its bearing seats and measure again before this plan is used",
                False,
                ("cut.true",),
            ),
        )
    if now.plan.leaving is not None:
        full, less = now.plan.full, now.plan.leaving
        made.append(Said(f"leaving pits up to {now.plan.way.pit_left:g} mm saves {full.radial - less.radial:.3f} mm radial of copper; "
                         f"{less.skims_left} more such cuts against {full.skims_left} full ones"))  # fmt: skip
    made += _reach(shown, now.plan)
    setup = shown.sheet.word("true-setup")
    where, why = where_to_cut(now.plan, rules, true_setup=None if not setup else setup == "yes")
    school = rules.choice("school.skim")
    chosen = where if school.key == "figures" else school.key
    made.append(Said(f"{'On the own lathe' if chosen == 'own' else 'To a motor shop'}: {listed(list(why))}{'' if chosen == where else f' would speak for the other; the school here is “{school.words}”'}", None, ("school.skim",)))  # fmt: skip
    if bench.slots_min is not None and not now.plan.copper.flush:
        learnt = (
            f"this site takes {bench.factor:.2f} of the estimate, by {bench.sheets} signed {'sheet' if bench.sheets == 1 else 'sheets'}"
            if bench.sheets
            else "no sheet has taught a factor of this site yet"
        )
        made.append(Said(f"slots: about {bench.slots_min:.0f} min; {learnt}", None, ("slot.seconds",)))
    return made + [Said(w) for w in now.plan.warnings]


def _spread(shown: SheetPage) -> list[Said]:
    """Return how far the diameters along the track lie apart."""
    known = [x for x in shown.sheet.column("track-d") if x is not None]
    if len(known) < 2:
        return []
    return [Said(f"the track measures {min(known):.2f} to {max(known):.2f} mm, {max(known) - min(known):.2f} mm apart along it or across; the least is planned from")]  # fmt: skip


def _reach(shown: SheetPage, plan: Plan) -> list[Said]:
    """Return how far along the shaft a cut must reach so that no step is left: the brush, and the end float on both sides."""
    width, play, figures = (
        shown.context.figures.stated("width_mm"),
        shown.sheet.number_of("end-float"),
        shown.context.figures,
    )
    if width is None or plan.copper.track is None:
        return []
    slack = play if play is not None else figures.stated("end_float_high_mm")
    if slack is None:
        return [Said(f"the end float is not known: see that the cut reaches past the brush of {width:g} mm by it on both sides, or a step is left", None, ("cut.overrun",))]  # fmt: skip
    least, got = width + 2 * slack, plan.copper.track + plan.way.overrun
    words = f"the cut reaches {got:.1f} mm along the shaft; brush {width:g} mm and end float {slack:g} mm on both sides ask for {least:.1f} mm, or a step is left"
    return [Said(words, not under(got, least), ("cut.overrun",))]


def lathe_page(shown: SheetPage, bench: CopperBench) -> dict[str, Any]:
    """Return what goes to the lathe: section, passes, checks."""
    plan = bench.now.plan
    says = _cut_says(shown, bench)
    return {"plan": plan, "section": cut_section(plan, 760.0) if plan else None, "cut_says": says, "slots_min": bench.slots_min,
            "checks": checks_of(plan, shown.context.rules, bench.now.bars) if plan else ((), ())}  # fmt: skip
