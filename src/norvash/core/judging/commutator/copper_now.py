"""The commutator as a sheet holds it: map, run-out, bar test and cut, worked out from what was entered."""

from collections.abc import Callable, Mapping
from dataclasses import dataclass, field, replace
from typing import Literal, TypeVar

from norvash.core.brush.loading import bars_covered
from norvash.core.commutator.bar_testing import BarTested, Taken, judge_bar_test
from norvash.core.commutator.bars import BURNS, LEAST_BARS, MOST_BARS, check_painted, having, read_map
from norvash.core.commutator.cut import Plan
from norvash.core.commutator.run_out import RunOut, Turned, judge_run_out
from norvash.core.commutator.surface import Work, least_work
from norvash.core.edges import over, under
from norvash.core.judging.commutator.condemned import condemned
from norvash.core.judging.commutator.map_read import MapRead, Wound
from norvash.core.judging.commutator.map_says import read_bar_map
from norvash.core.judging.commutator.one_number import OneNumber, one_number
from norvash.core.judging.commutator.to_cut import plan_of
from norvash.core.judging.commutator.whole_map import is_whole, judged_map, unfinished
from norvash.core.motor.figure import Number
from norvash.core.motor.figure_fields import (
    ARMATURE_SLOTS,
    BARS,
    COIL_TURNS,
    COMMUTATOR_PITCH,
    POLES,
    RATED_RPM,
    THICKNESS_MM,
    WINDING,
)
from norvash.core.motor.figure_reading import track_d_mm
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.commutator.bar_map import BAR_MAP
from norvash.core.stages.commutator.bar_test import (
    BAR_TEST,
    BAR_TEST_FED,
    BAR_TEST_HOW,
    BAR_TEST_LIFTED,
    BAR_TEST_NOISE,
)
from norvash.core.stages.commutator.cut import CUT_DONE
from norvash.core.stages.commutator.run_out import RUN_OUT, RUN_OUT_ON, RUN_OUT_STEP, RUN_OUT_TOTAL
from norvash.core.stages.commutator.seen import (
    COMMUTATOR_BLACK,
    COMMUTATOR_BURNT,
    COMMUTATOR_MICA,
    COMMUTATOR_OPEN,
    COMMUTATOR_RAISED,
    COMMUTATOR_RISER,
    COMMUTATOR_ROUGH,
    COMMUTATOR_SHORT,
    COMMUTATOR_SLOTS,
    COMMUTATOR_TWO_BARS,
)
from norvash.core.stages.commutator.size import EARLIER_STEP, SHOULDER_D, TRACK_D
from norvash.core.stages.commutator.stage import STAGE
from norvash.core.stages.record import HOW_FAR_OPEN
from norvash.core.stages.windings.coils import GROWLER_TEST
from norvash.errors import InputError

_DEFAULT_NOISE = 0.01
_NEARLY = 0.75
T = TypeVar("T")
# What of the copper may not be worked out.
Trouble = Literal["bar-map", "run-out", "bar-test", "cut"]


@dataclass(frozen=True, slots=True, kw_only=True)
class CopperNow:
    """What a sheet says of the commutator; None where nothing was entered, `trouble` by field where it cannot be worked
    out. `could` is the cut that its size allows, `condemned` says what of the armature must be mended before any.
    """

    bars: int | None
    wound: Wound | None
    shown: Mapping[int, frozenset[str]]
    read: MapRead | None
    run_out: RunOut | None
    per_bar: bool
    tested: BarTested | None
    could: Plan | None
    work: tuple[Work, str, str] | None
    condemned: str = ""
    trouble: Mapping[Trouble, InputError] = field(default_factory=dict)
    known: OneNumber | None = None
    unfinished: str = ""

    @property
    def plan(self) -> Plan | None:
        """Return the cut that is planned: none while the armature is condemned."""
        return None if self.condemned else self.could

    @property
    def needs_bar_test(self) -> str:
        """Return why the bar test must come before any machining, empty where it was made or need not be."""
        proven = self.tested is not None and self.tested.even is self.tested.release
        return self.read.bar_test if self.read is not None and not proven else ""


def read_after_cut(sheet: Sheet) -> bool:
    """Tell whether the run-out was read again after the cut that is recorded."""
    done, read = CUT_DONE.given(sheet), RUN_OUT.given(sheet)
    return done is not None and read is not None and read.at > done.at


def total_after_cut(sheet: Sheet) -> bool:
    """Tell whether a run-out was typed as one number after the cut that is recorded."""
    done, read = CUT_DONE.given(sheet), RUN_OUT_TOTAL.given(sheet)
    return done is not None and read is not None and read.at > done.at


def brushes_lifted(sheet: Sheet) -> bool | None:
    """Tell whether the brushes were lifted for the bar test, None where nobody says.

    Of an armature that is out they are.
    """
    said = BAR_TEST_LIFTED.of(sheet)
    return said == "yes" if said else True if HOW_FAR_OPEN.of(sheet) == "stripped" else None


def _count(facts: Facts, figure: Number) -> int | None:
    value = figure.stated(facts.figures)
    return None if value is None else int(value)


def wound_of(facts: Facts) -> Wound | None:
    """Return what a map of this motor is read against, None where the bars are not stated or cannot be mapped."""
    bars, figures = _count(facts, BARS), facts.figures
    if bars is None or not LEAST_BARS <= bars <= MOST_BARS:
        return None
    diameter, t = track_d_mm(figures), THICKNESS_MM.stated(figures)
    covered = bars_covered(t, diameter, bars) if diameter and t else None
    arms = tuple(sorted({float(p.angle_deg) for p in facts.positions}))
    return Wound(
        bars=bars,
        poles=_count(facts, POLES),
        slots=_count(facts, ARMATURE_SLOTS),
        winding=WINDING.of(figures) or "unknown",
        pitch=_count(facts, COMMUTATOR_PITCH),
        arms_deg=arms,
        covered_bars=covered,
    )


def copper_now(sheet: Sheet, rules: MotorRules) -> CopperNow:
    """Return all that a sheet says of the commutator.

    Source: rules pattern.*, runout.*, bartest.*, cut.*
    """
    return sheet.by_rules("copper", rules, lambda: _put_together(sheet, rules))


def _put_together(sheet: Sheet, rules: MotorRules) -> CopperNow:
    facts, trouble = sheet.facts, dict[Trouble, InputError]()
    wound = wound_of(facts)
    shown = _tried("bar-map", lambda: _shown(sheet, wound), trouble) or {}
    judged = judged_map(shown, whole=is_whole(sheet))
    read = read_bar_map(judged, wound, rules) if wound is not None and judged else None
    per_bar = wound is not None and len(RUN_OUT.of(sheet)) == wound.bars

    def bar_test() -> BarTested | None:
        tests = BAR_TEST.of(sheet)
        if not tests:
            return None
        if wound is None:
            raise InputError("The number of bars is not known.", "Give it first: the stage asks for it.", "bars")
        noise = BAR_TEST_NOISE.of(sheet)
        fine = facts.motor_class == "industrial" and BAR_TEST_HOW.of(sheet) == "drop"
        fed = BAR_TEST_FED.of(sheet) or "unknown"
        taken = Taken(_DEFAULT_NOISE if noise is None else noise, fed, brushes_lifted(sheet), fine)
        return judge_bar_test(tests, replace(wound.armature, turns=_count(facts, COIL_TURNS)), taken, rules)

    known = one_number(sheet, diameter_now_mm(sheet), rules, after_cut=total_after_cut(sheet))
    turned = _tried("run-out", lambda: _turned(sheet, wound, rules), trouble)
    tested = _tried("bar-test", bar_test, trouble)
    loose = bool(having(judged, "loose"))
    planned, cut = (sheet, turned) if CUT_DONE.given(sheet) is None else _before_cut(sheet, wound, rules)
    plan = _tried("cut", lambda: plan_of(planned, cut, rules, loose=loose), trouble)
    seen = _signs(sheet, judged, turned, plan=plan, rules=rules)
    if known is not None and known.over:
        seen.add("tir-over")
    held = COMMUTATOR_TWO_BARS.seen(sheet) or (read is not None and bool(read.bar_test))
    cleared, uneven = tested is not None and tested.release, tested is not None and not tested.even
    if (held and not cleared) or uneven:
        seen.add("fault")
    looked = bool(judged) or STAGE.looked_at(sheet)
    work = least_work(seen, rules) if looked or turned is not None or known is not None else None
    made = CopperNow(
        bars=wound.bars if wound else _count(facts, BARS),
        wound=wound,
        shown=shown,
        read=read,
        run_out=turned,
        per_bar=per_bar,
        tested=tested,
        could=plan,
        work=work,
        trouble=trouble,
        unfinished=unfinished(sheet),
        known=known,
    )
    owed = made.needs_bar_test
    return replace(made, condemned=condemned(sheet, tested, rules, loose=loose, owed=owed))


def _turned(sheet: Sheet, wound: Wound | None, rules: MotorRules) -> RunOut | None:
    """Return how true it runs, None while nothing was read. Raises: InputError."""
    readings = RUN_OUT.of(sheet)
    _count_readings(len(readings), wound)
    if not readings:
        return None
    per_bar, rpm = wound is not None and len(readings) == wound.bars, RATED_RPM.of(sheet.facts.figures)
    turned = Turned(
        diameter_now_mm(sheet), rpm, RUN_OUT_ON.of(sheet), RUN_OUT_STEP.of(sheet), after_cut=read_after_cut(sheet)
    )
    return judge_run_out(readings, per_bar, turned, rules)


def _before_cut(sheet: Sheet, wound: Wound | None, rules: MotorRules) -> tuple[Sheet, RunOut | None]:
    """Return what a cut that is made was planned by: what is measured after it plans no other."""
    found = sheet.as_found
    return found, _tried("run-out", lambda: _turned(found, wound, rules), {})


def _shown(sheet: Sheet, wound: Wound | None) -> Mapping[int, frozenset[str]]:
    """Return the painted map.

    Raises: InputError for one that was painted while the motor had another number of bars.
    """
    if wound is None:
        return {}
    given, painted = BAR_MAP.given(sheet), BAR_MAP.of(sheet)
    if given is not None and given.record is None:
        return read_map(given.word, wound.bars)  # it cannot be read: this says why
    check_painted(painted, wound.bars)
    return painted


def _tried(name: Trouble, made: Callable[[], T | None], trouble: dict[Trouble, InputError]) -> T | None:
    try:
        return made()
    except InputError as error:
        trouble[name] = error
        return None


def _count_readings(count: int, wound: Wound | None) -> None:
    """Refuse a column that is nearly one reading for each bar: some are missing or doubled, and all angles would be
    wrong.
    """
    if wound is not None and count != wound.bars and count > _NEARLY * wound.bars:
        off = wound.bars - count
        raise InputError(
            f"{count} readings for {wound.bars} bars: {abs(off)}"
            f" {'missing.' if off > 0 else 'too many, is one doubled?'}",
            "Give one for each bar, a dash where one is missing, or fewer at equal angles.",
            "run-out",
        )


def diameter_now_mm(sheet: Sheet) -> float | None:
    """Return the diameter of the track as it was measured at this visit, else as it is stated [mm]."""
    known = [x for x in TRACK_D.of(sheet) if x is not None]
    return min(known) if known else SHOULDER_D.of(sheet) or track_d_mm(sheet.facts.figures)


def _signs(
    sheet: Sheet, shown: Mapping[int, frozenset[str]], turned: RunOut | None, *, plan: Plan | None, rules: MotorRules
) -> set[str]:
    """Return what the surface shows in the words of the table of works."""
    table = {
        "loose": bool(having(shown, "loose")) or COMMUTATOR_RAISED.seen(sheet),
        "mica": bool(having(shown, "high-mica")) or COMMUTATOR_MICA.seen(sheet),
        "fault": (
            any(f.seen(sheet) for f in (COMMUTATOR_OPEN, COMMUTATOR_SHORT, COMMUTATOR_RISER))
            or GROWLER_TEST.of(sheet) == "fail"
        ),
        "raised": bool(having(shown, "raised")),
        "groove": bool(having(shown, "grooved")) or bool(plan and plan.copper.groove_radial_mm > 0),
        "pitted": bool(having(shown, "pitted")) or bool(plan and plan.copper.pit_radial_mm > 0),
        "flat": bool(having(shown, "flat")),
        "step": bool(EARLIER_STEP.of(sheet)),
        "drag": bool(having(shown, "drag")),
        "tir-over": turned is not None and turned.over and turned.cause not in ("set-up", "off centre"),
        "black": COMMUTATOR_BLACK.seen(sheet) or bool(having(shown, *BURNS)),
        "burnt-all": (
            COMMUTATOR_BURNT.seen(sheet)
            or over(len(having(shown, *BURNS)), rules["surface.many"] * max(shown, default=0))
        ),
        "under-least": plan is not None and under(plan.copper.diameter_mm, plan.least_diameter_mm),
        "rough": COMMUTATOR_ROUGH.seen(sheet),
        "dirt": bool(having(shown, "dirty-slot")) or COMMUTATOR_SLOTS.seen(sheet),
    }
    return {name for name, there in table.items() if there}
