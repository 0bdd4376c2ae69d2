"""Sums about the commutator: bar map, run-out, bar test."""

from dataclasses import dataclass

from norvash.core.commutator.armature import WINDINGS
from norvash.core.commutator.bars import check_bars
from norvash.core.commutator.run_out import RunOut, Turned, judge_run_out, run_out_grade
from norvash.core.commutator.run_out_limits import RULES_OF
from norvash.core.commutator.tools import TURNED
from norvash.core.grades import word_of
from norvash.core.judging.commutator.map_read import MapRead, Wound
from norvash.core.judging.commutator.map_says import read_bar_map
from norvash.core.motor.classes import HEAVY
from norvash.core.rules.book import MotorRules
from norvash.core.sums.brush.loading import ask_class, for_class
from norvash.core.sums.registry import Sum, ask, gives
from norvash.errors import InputError

WINDING_CHOICES = tuple((w, w) for w in WINDINGS)


@dataclass(frozen=True, slots=True, kw_only=True)
class MapIn:
    """A commutator with the bars that are marked; bars count from 1 in the direction of turning."""

    bars: int = ask("Bars", "count", low=5, high=400)
    marked_bars: list[int] = ask("Dark or burnt bars", "count", low=1, high=400, hint="like 3; 19; 34; 50")
    burnt_bars: list[int] | None = ask("Of these, burnt", "count", default=None, low=1, high=400)
    pole_pairs: int | None = ask("Pole pairs", "count", default=None, low=1, high=50)
    poles: int | None = ask("or poles", "count", default=None, low=2, high=100)
    slots: int | None = ask("Slots of the armature", "count", default=None, low=2, high=400)
    winding: str = ask("Winding", "word", default="unknown", choices=WINDING_CHOICES)
    commutator_pitch: int | None = ask(
        "Commutator pitch", "count", default=None, low=1, high=400, hint="bars from one end of a coil to the other"
    )
    bars_covered: float | None = ask("Bars that a brush covers", "count", default=None, low=0.1, high=50)


@dataclass(frozen=True, slots=True, kw_only=True)
class MapOut:
    """The pattern found with its chance, and what it asks for."""

    pattern: str = gives("pattern")
    proven: bool = gives("proven by chance")
    period_bars: float | None = gives("spacing in bars")
    repeats: int | None = gives("times a turn")
    hits: int | None = gives("spots that fit")
    offset_bar: int | None = gives("first bar of it")
    chance: float | None = gives("chance of it at this place")
    corrected_chance: float | None = gives("chance, every spacing counted")
    spots: tuple[int, ...] = gives("spots, middle bars")
    sayings: tuple[str, ...]
    bar_test_needed: bool = gives("bar test before any machining")
    advice: str
    rules: tuple[str, ...]


def map_of(given: MapIn) -> tuple[dict[int, frozenset[str]], Wound]:
    """Return the map and what it is read against.

    Raises: InputError for bars that there are not, or that stand twice.
    """
    bars = check_bars(given.bars)
    shown: dict[int, frozenset[str]] = {}
    for name, listed_bars, condition in (
        ("marked_bars", given.marked_bars, "dark"),
        ("burnt_bars", given.burnt_bars or [], "burnt"),
    ):
        if len(set(listed_bars)) < len(listed_bars):
            raise InputError("A bar stands twice in the list.", "Give each once.", name)
        for bar in listed_bars:
            if bar > bars:
                raise InputError(f"There is no bar {bar}.", f"Bars count from 1 to {bars}.", name)
            shown[bar] = frozenset({condition})
    return shown, Wound(
        bars=bars,
        poles=_poles(given),
        slots=given.slots,
        winding=given.winding,
        pitch=given.commutator_pitch,
        arms_deg=(),
        covered_bars=given.bars_covered,
    )


def _poles(given: MapIn) -> int | None:
    """Return the poles, from poles or pole pairs; a wave winding has four or more.

    Raises: InputError where the two do not agree.
    """
    if given.poles is not None and given.poles % 2:
        raise InputError("Poles come in pairs.", "Give an even number.", "poles")
    poles = 2 * given.pole_pairs if given.pole_pairs is not None else given.poles
    if given.poles is not None and poles != given.poles:
        raise InputError(
            f"{given.pole_pairs} pole pairs are not {given.poles} poles.", "Give the one or the other.", "pole_pairs"
        )
    if given.winding == "wave" and poles is not None and poles < 4:
        raise InputError(
            "A wave winding has two pole pairs or more.", "Count the poles: two of them are a pair.", "pole_pairs"
        )
    return poles


def read_given_map(given: MapIn, rules: MotorRules) -> MapRead:
    """Return the given map as read.

    Raises: InputError that names the field which cannot be so.
    """
    shown, wound = map_of(given)
    return read_bar_map(shown, wound, rules)


def bar_map(given: MapIn, rules: MotorRules) -> MapOut:
    """Return the pattern of the marked bars with its reason.

    Raises: InputError that names the field which cannot be so.
    """
    read = read_given_map(given, rules)
    best = read.searched.proven
    return MapOut(
        pattern=read.pattern,
        proven=best is not None,
        period_bars=best.period_bars if best else None,
        repeats=best.repeats if best else None,
        hits=best.hits if best else None,
        offset_bar=best.offset if best else None,
        chance=best.chance if best else None,
        corrected_chance=best.corrected if best else None,
        spots=read.spots,
        sayings=tuple(s.words for s in read.sayings),
        bar_test_needed=bool(read.bar_test),
        advice=read.sayings[0].words if read.sayings else "nothing is marked",
        rules=("pattern.known", "pattern.free", "pattern.share", "pattern.least"),
    )


@dataclass(frozen=True, slots=True, kw_only=True)
class RunOutIn:
    """Readings of a dial indicator at equal angles, in the direction of turning."""

    readings_mm: list[float | None] = ask("Readings", "length", low=-5, high=5, hint="a column; µm if you write it")
    per_bar: bool = ask("One reading for each bar", "yes", default=False)
    commutator_d_mm: float | None = ask(
        "Diameter", "length", default=None, above_low=True, high=5000, also=("diameter_mm",)
    )
    speed_rpm: float | None = ask("Speed", "speed", default=None, above_low=True, high=1e5)
    turned_on: str = ask("It turned", "word", default="", choices=tuple(TURNED.items()))
    step_mm: float | None = ask("Finest step of the indicator", "length", default=None, above_low=True, high=1)
    after_cut: bool = ask("Measured after a cut", "yes", default=False)
    motor_class: str | None = ask_class()
    carries: bool = ask("It hangs a load or carries people", "yes", default=False)


@dataclass(frozen=True, slots=True, kw_only=True)
class RunOutOut:
    """The circle that fits, what is left of the readings, and the limits."""

    tir_mm: float = gives("total run-out")
    tir_limit_mm: float = gives("total run-out allowed")
    eccentricity_mm: float = gives("off centre by")
    high_point_deg: float | None = gives("high point at")
    ovality_mm: float = gives("oval by")
    largest_remainder_mm: float = gives("most left after the fit")
    largest_remainder_reading: int = gives("at reading")
    surface_speed_m_per_s: float | None = gives("surface speed")
    bar_step: str = gives("step from bar to bar")
    step_mm: float | None = gives("greatest step")
    step_limit_mm: float = gives("step allowed")
    odd_bars: tuple[int, ...] = gives("bars that stand out")
    over_limit: bool = gives("over its limit")
    passes: bool = gives("passes")
    stage: str
    stage_words: str = gives("stage")
    cause: str
    advice: str
    rules: tuple[str, ...]


def judged_run_out(given: RunOutIn, rules: MotorRules) -> RunOut:
    """Return the given readings, judged.

    Raises: InputError that names the field which cannot be so.
    """
    if given.speed_rpm is not None and given.commutator_d_mm is None:
        raise InputError(
            "A speed says nothing without the diameter.",
            "Give the diameter too, or leave the speed out.",
            "commutator_d_mm",
        )
    turned = Turned(given.commutator_d_mm, given.speed_rpm, given.turned_on, given.step_mm, given.after_cut)
    return judge_run_out(given.readings_mm, given.per_bar, turned, for_class(rules, given.motor_class))


def run_out(given: RunOutIn, rules: MotorRules) -> RunOutOut:
    """Return run-out with its circle, its odd bars and its limit.

    Raises: InputError that names the field which cannot be so.
    """
    found = judged_run_out(given, rules)
    reading, left = found.largest
    step = "not measured" if found.step_mm is None else f"{found.step_mm:.4f} mm from bar {found.step_at} to the next"
    grade = run_out_grade(found, carries=given.carries or given.motor_class in HEAVY)
    limit = f"{found.tir_mm:.3f} mm, {found.tir_limit_mm:g} mm allowed"
    never = "; not to be run: it carries people or loads" if grade == "stop" else ""
    assumed = f"; {found.assumed}" if found.assumed else ""
    return RunOutOut(
        tir_mm=found.tir_mm,
        tir_limit_mm=found.tir_limit_mm,
        eccentricity_mm=found.fit.eccentricity_mm,
        high_point_deg=found.fit.high_point_deg if found.fit.leans else None,
        ovality_mm=found.fit.ovality_mm,
        largest_remainder_mm=abs(left),
        largest_remainder_reading=reading,
        surface_speed_m_per_s=found.speed_m_per_s,
        bar_step=step,
        step_mm=found.step_mm,
        step_limit_mm=found.step_limit_mm,
        odd_bars=tuple(n for n, _ in found.odd_mm),
        over_limit=found.over,
        passes=found.passes,
        stage=grade,
        stage_words=word_of(grade, carbon=False),
        cause=found.cause,
        advice=f"{limit}: {found.words}{never}{assumed}",
        rules=(*RULES_OF[found.band], "runout.speed", "runout.outlier", "runout.stop"),
    )


SUMS = (
    Sum(
        name="bar-map",
        title="Bar map",
        words="Whether marked bars repeat, with the exact chance that they do so by accident, and what that means.",
        inputs=MapIn,
        compute=bar_map,
        example={"bars": 87, "poles": 4, "slots": 29, "winding": "wave", "marked_bars": [5, 27, 49, 70]},
    ),
    Sum(
        name="run-out",
        title="Run-out",
        words="The circle that fits dial readings: off centre, oval, high bars, and whether the set-up is to blame.",
        inputs=RunOutIn,
        compute=run_out,
        example={
            "readings_mm": [0.024, 0.037, 0.047, 0.053, 0.059, 0.065, 0.066, 0.066, 0.04, 0.021, 0.01, 0.012],
            "diameter_mm": 132,
            "speed_rpm": 1480,
        },
    ),
)
