"""What the stage of the commutator shows, and the page that goes to the lathe."""

from collections.abc import Mapping
from dataclasses import dataclass, replace
from hashlib import blake2s

from norvash.core.commutator.after_cut import Change, checks_of
from norvash.core.commutator.bars import CONDITIONS, Condition, having
from norvash.core.commutator.cut import Plan
from norvash.core.commutator.surface import ABRASIVES
from norvash.core.judging.commutator.copper_now import CopperNow
from norvash.core.judging.commutator.cut_made import cut_changes
from norvash.core.judging.commutator.map_shown import map_changes, map_legend
from norvash.core.judging.commutator.says import cut_says
from norvash.core.judging.commutator.to_cut import lent_limits
from norvash.core.motor.figure_fields import BARS
from norvash.core.motor.figure_reading import track_d_mm
from norvash.core.rules.book import Choice
from norvash.core.sheet.field import Field
from norvash.core.sheet.given import Earlier, Given
from norvash.core.sheet.measured import Measured
from norvash.core.stages.commutator.bar_map import ALL_SEEN, BAR_MAP
from norvash.core.stages.commutator.bar_test import (
    BAR_SHAFT,
    BAR_SHAFT_BAR,
    BAR_SHAFT_C,
    BAR_TEST,
    BAR_TEST_FED,
    BAR_TEST_HOW,
    BAR_TEST_LIFTED,
    BAR_TEST_NOISE,
)
from norvash.core.stages.commutator.cut import (
    CUT_DONE,
    CUT_MINUTES,
    CUT_TOOL,
    LATHE_SPEEDS,
    PIT_LEFT,
    SLOT_MINUTES,
    SURFACE_WITH,
    TRUE_SETUP,
)
from norvash.core.stages.commutator.cut_limits import LIMITS
from norvash.core.stages.commutator.run_out import BAR_STEP, RUN_OUT, RUN_OUT_ON, RUN_OUT_STEP, RUN_OUT_TOTAL
from norvash.core.stages.rework import HOLDER_SET
from norvash.drawing.commutator.bar_map import Mapped, bar_map, bar_map_place, condition_sample
from norvash.drawing.commutator.cut_section import cut_section
from norvash.drawing.commutator.run_out_rose import run_out_rose
from norvash.drawing.svg import Drawing
from norvash.web.stages.shown.at import At
from norvash.web.stages.shown.fields import Entry, entry
from norvash.work.reading.copper_bench import CopperBench, copper_bench
from norvash.work.reading.sheet_now import SheetNow
from norvash.work.told.copper import mapped

_WIDE, _PHONE, _LATHE = 620.0, 346.0, 760.0


@dataclass(frozen=True, slots=True)
class MapToDraw:
    """The bar map before it is drawn: what it shows, a mark of that, and what has changed since the sheet before."""

    mapped: Mapped
    changed: str

    @property
    def mark(self) -> str:
        """Return what tells one map from another."""
        return blake2s(repr(self.mapped).encode(), digest_size=4).hexdigest()

    def drawn(self, *, narrow: bool) -> Drawing:
        """Return it drawn, for a page or for a phone."""
        return bar_map(self.mapped, _PHONE if narrow else _WIDE)

    def place(self, *, narrow: bool) -> Drawing:
        """Return the place that it is drawn in once the page stands: nothing moves when it comes."""
        return bar_map_place(self.mapped, _PHONE if narrow else _WIDE)


@dataclass(frozen=True, slots=True)
class PaletteMark:
    """One mark that can be painted: its number, the condition, a sample, and whether this map has it."""

    number: int
    condition: Condition
    sample: Drawing
    there: bool


@dataclass(frozen=True, slots=True, kw_only=True)
class Own:
    """The fields of the commutator by the parts of its page."""

    bar_map: Entry
    all_seen: Entry
    run_out: Entry
    run_out_on: Entry
    run_out_step: Entry
    run_out_total: Entry
    bar_step: Entry
    bar_test: Entry
    bar_test_with: tuple[Entry, ...]
    bar_test_lines: tuple[Entry, ...]
    surface_with: Entry
    cut_tool: Entry
    lathe_speeds: Entry
    limits: tuple[Entry, ...]
    lent: Mapping[str, str]
    pit_left: Entry
    true_setup: Entry
    cut_done: Entry
    slot_minutes: Entry
    cut_minutes: Entry
    holder_set: Entry

    @property
    def of_the_cut(self) -> tuple[Entry, ...]:
        """Return those of size and cut."""
        return (
            self.cut_tool,
            self.lathe_speeds,
            *self.limits,
            self.pit_left,
            self.true_setup,
            self.cut_done,
            self.slot_minutes,
            self.cut_minutes,
        )


@dataclass(frozen=True, slots=True, kw_only=True)
class Commutator:
    """The map to paint, run-out, bar test, cut and surface work of a sheet, with what each says."""

    now: CopperNow
    map: MapToDraw | None
    earlier_map: Earlier | None
    palette: list[PaletteMark]
    legend: str
    own: Own
    speeds: Given | None
    of_map: list[Measured]
    of_run_out: list[Measured]
    of_test: list[Measured]
    cut_says: list[Measured]
    rose: Drawing | None
    section: Drawing | None
    section_phone: Drawing | None
    changes: tuple[Change, ...]
    cut_made: str
    before_cut: frozenset[str]
    abrasives: tuple[tuple[str, str, str], ...]
    school_clean: Choice
    checks: tuple[tuple[str, ...], tuple[str, ...]] | None


def view(at: At) -> Commutator:
    """Return the map to paint, run-out, bar test, cut and surface work of a sheet."""
    shown, bench, rules = at.shown, copper_bench(at.conn, at.shown), at.shown.context.rules
    now, done = bench.now, CUT_DONE.given(shown.sheet)
    plan = now.plan
    return Commutator(
        now=now,
        map=map_of(shown, now, bench.earlier_map),
        earlier_map=bench.earlier_map,
        palette=[
            PaletteMark(i, c, condition_sample(c.id), bool(having(now.shown, c.id)))
            for i, c in enumerate(CONDITIONS, start=1)
        ],
        legend=map_legend(shown.sheet, now, bench.earlier_map, rules),
        own=_own(shown),
        speeds=bench.speeds,
        of_map=_of(shown, BAR_MAP),
        of_run_out=[*_of(shown, RUN_OUT), *_of(shown, RUN_OUT_TOTAL), *_of(shown, BAR_STEP)],
        of_test=_of(shown, BAR_TEST),
        cut_says=cut_says(shown.sheet, now, bench.slots, rules),
        rose=_rose(shown, now),
        section=cut_section(plan, _WIDE) if plan else None,
        section_phone=cut_section(plan, _PHONE) if plan else None,
        changes=cut_changes_of(shown),
        cut_made=done.cut.words if done is not None and done.cut is not None else "",
        before_cut=frozenset(f.id for f in (BAR_MAP, RUN_OUT) if _is_older(f.given(shown.sheet), done)),
        abrasives=ABRASIVES,
        school_clean=rules.choice("school.cleaning"),
        checks=checks_of(plan, rules, now.bars) if plan else None,
    )


def _is_older(given: Given | None, done: Given | None) -> bool:
    return given is not None and done is not None and given.at <= done.at


def _of(shown: SheetNow, field: Field) -> list[Measured]:
    return [m for m in shown.measured if m.of[-1][0] == field.id]


def _own(shown: SheetNow) -> Own:
    def at(field: Field) -> Entry:
        return entry(shown, field)

    return Own(
        bar_map=at(BAR_MAP),
        all_seen=at(ALL_SEEN),
        run_out=at(RUN_OUT),
        run_out_on=at(RUN_OUT_ON),
        run_out_step=at(RUN_OUT_STEP),
        run_out_total=at(RUN_OUT_TOTAL),
        bar_step=at(BAR_STEP),
        bar_test=at(BAR_TEST),
        bar_test_with=(at(BAR_TEST_HOW), at(BAR_TEST_FED), at(BAR_TEST_LIFTED)),
        bar_test_lines=(at(BAR_TEST_NOISE), at(BAR_SHAFT), at(BAR_SHAFT_C), at(BAR_SHAFT_BAR)),
        surface_with=at(SURFACE_WITH),
        cut_tool=at(CUT_TOOL),
        lathe_speeds=at(LATHE_SPEEDS),
        limits=tuple(at(f) for f in LIMITS),
        lent=lent_limits(shown.sheet, shown.context.rules),
        pit_left=at(PIT_LEFT),
        true_setup=at(TRUE_SETUP),
        cut_done=at(CUT_DONE),
        slot_minutes=at(SLOT_MINUTES),
        cut_minutes=at(CUT_MINUTES),
        holder_set=at(HOLDER_SET),
    )


def cut_changes_of(shown: SheetNow) -> tuple[Change, ...]:
    """Return what the cut that is recorded on a sheet changed, nothing without one."""
    done, bars = CUT_DONE.given(shown.sheet), BARS.stated(shown.context.figures)
    if done is None or done.cut is None:
        return ()
    return cut_changes(
        done.cut, int(bars) if bars else None, shown.found.limit.limit_mm, holders_set=HOLDER_SET.of(shown.sheet)
    )


def map_of(shown: SheetNow, now: CopperNow, earlier: Earlier | None) -> MapToDraw | None:
    """Return the map of a sheet's bars, none where they are not known."""
    bars, since = mapped(shown, now), map_changes(now, earlier)
    if bars is None:
        return None
    bars = replace(bars, more=since.more, less=since.less, paint=shown.sheet.signed_at is None)
    return MapToDraw(bars, since.words)


def _rose(shown: SheetNow, now: CopperNow) -> Drawing | None:
    return run_out_rose(now.run_out, track_d_mm(shown.context.figures), now.per_bar, 340) if now.run_out else None


@dataclass(frozen=True, slots=True)
class LathePage:
    """What goes to the lathe: the plan with its section, what it says, minutes for the slots, checks before and
    after.
    """

    plan: Plan | None
    section: Drawing | None
    says: list[Measured]
    slots_min: float | None
    checks: tuple[tuple[str, ...], tuple[str, ...]]


def lathe_page(shown: SheetNow, bench: CopperBench) -> LathePage:
    """Return what goes to the lathe: section, passes, checks."""
    plan, rules = bench.now.plan, shown.context.rules
    return LathePage(
        plan,
        cut_section(plan, _LATHE) if plan else None,
        cut_says(shown.sheet, bench.now, bench.slots, rules),
        bench.slot_min,
        checks_of(plan, rules, bench.now.bars) if plan else ((), ()),
    )
