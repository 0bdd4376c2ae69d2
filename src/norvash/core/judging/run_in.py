"""What stands of a run-in: its plan, its clock, its points against the plan, and what they find."""

from collections.abc import Iterator, Sequence
from dataclasses import dataclass, replace
from datetime import datetime
from math import inf

from norvash.core.brush.seating import Face
from norvash.core.edges import over, under
from norvash.core.judging.prove.points import Point
from norvash.core.judging.prove.speed import speed_told
from norvash.core.known import all_known
from norvash.core.motor.figure_fields import (
    EXPECTED_LIFE_UNITS,
    LIMIT_MM,
    NEW_MM,
    RATED_A,
    RATED_V,
    REVERSES,
    RUN_IN_MIN,
    RUN_IN_PRINT,
    RUN_IN_SHARE,
    SAFE_NOLOAD_V,
    THICKNESS_MM,
    UNIT_OF_USE,
    USUAL_NOLOAD_A,
)
from norvash.core.motor.figure_reading import track_d_mm
from norvash.core.motor.figures import Figures
from norvash.core.rules.book import MotorRules
from norvash.core.running.log_typed import LogPoint
from norvash.core.running.plan import RunIn, ToBed, run_in_plan
from norvash.core.running.ran import ran_min as minutes_run
from norvash.core.sheet.finding import Finding
from norvash.core.sheet.given import Given
from norvash.core.sheet.measured import Measured, by_rule, judged
from norvash.core.sheet.putting_off import Asked
from norvash.core.sheet.records import Record
from norvash.core.sheet.records_of_running import RunLog
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.prove.run_fields import BARE, RUN_WHERE, SPARKS
from norvash.core.stages.prove.run_findings import RUN_SPARKING
from norvash.core.stages.running_in import (
    ON,
    RUNIN_CLOCK,
    RUNIN_LOOKED,
    RUNIN_LOUD,
    RUNIN_NOISE,
    RUNIN_OVER,
    RUNIN_POINTS,
)
from norvash.core.stages.seating import least_print, shaped_radius_mm
from norvash.core.visit.done import last_work
from norvash.errors import InputError

_LAST, _SECONDS = 3, 60
# The figures by which it is planned how faces are run in, and how fast it may turn.
_OF_PLAN = (
    *(
        "rated_v",
        "rated_a",
        "rated_rpm",
        "permitted_rpm",
        "noload_a",
        "noload_rpm",
        "noload_rpm_least",
        "safe_noload_v",
    ),
    *("construction", "new_mm", "limit_mm", "expected_life_units", "unit_of_use", "thickness_mm", "run_in_min"),
    *("commutator_d_mm", "commutator_now_mm", "run_in_print", "run_in_share", "seating.", "field.", "excitation"),
)


@dataclass(frozen=True, slots=True)
class Logged:
    """A point of a log at its minute of the run [min], with the most volts [V] and amps [A] of the plan then, and
    whether it is `beyond` that.
    """

    minute: float
    point: LogPoint
    most_v: float | None
    most_a: float | None
    beyond: bool

    @property
    def over(self) -> str:
        """Return what of it is over the plan, empty where nothing."""
        if not self.beyond:
            return ""
        pairs = ((self.point.v, self.most_v, "V"), (self.point.a, self.most_a, "A"))
        said = [f"{x:g} {unit}, {most:.3g} {unit} at most" for x, most, unit in pairs if _more(x, most)]
        return " and ".join(said)


def _more(value: float | None, most: float | None) -> bool:
    return value is not None and most is not None and over(value, most)


def plan_of(sheet: Sheet, rules: MotorRules) -> RunIn:
    """Return the plan by which the faces of a motor are run in here. Source: rules runin.*"""
    facts, figures = sheet.facts, sheet.facts.figures
    bare = facts.stands == BARE or RUN_WHERE.of(sheet) == BARE
    known = ToBed(
        motor_class=facts.motor_class,
        construction=facts.construction or ("series" if facts.series else ""),
        rated_v=RATED_V.of(figures) or None,
        rated_a=RATED_A.of(figures) or None,
        noload_a=USUAL_NOLOAD_A.of(figures),
        least_print=least_print(sheet),
        stated_share=RUN_IN_SHARE.of(figures),
        stated_min=RUN_IN_MIN.of(figures),
        stated_print=RUN_IN_PRINT.of(figures),
        estimate_min=_estimate_min(sheet, rules),
        safe_v=SAFE_NOLOAD_V.of(figures),
        built_in=facts.idles and not bare,
        reverses=REVERSES.of(figures) == "yes",
        lowered=rules.choice("school.volts").key == "lowered",
    )
    return run_in_plan(known, rules)


def _wears_mm_per_h(figures: Figures) -> float | None:
    """Return the steady wear that a set's expected life stands for [mm/h], None where nobody states it in hours."""
    stated = all_known(NEW_MM.stated(figures), LIMIT_MM.stated(figures), EXPECTED_LIFE_UNITS.stated(figures))
    if stated is None or UNIT_OF_USE.of(figures) not in ("", "hours", None):
        return None
    new_mm, limit_mm, life_h = stated
    return max(new_mm - limit_mm, 0.0) / life_h or None


def _estimate_min(sheet: Sheet, rules: MotorRules) -> float | None:
    """Return how long faces need until they touch wide enough, from what they touch now [min]; None where diameter,
    thickness or wear are not known. Source: rules seating.rate, seating.ready
    """
    figures = sheet.facts.figures
    diameter, t, wears = track_d_mm(figures), THICKNESS_MM.stated(figures), _wears_mm_per_h(figures)
    if not wears or diameter is None or not under(t or diameter, diameter):
        return None
    face = Face(diameter, t or 0.0, shaped_radius_mm(sheet) or inf)
    if face.over_shaped() or not face.depth_mm():
        return None
    release = RUN_IN_PRINT.of(figures) or rules["seating.ready"]
    left_mm = max(face.worn_for_mm(release) - face.worn_for_mm(min(least_print(sheet) or 0.0, 1.0)), 0.0)
    return _SECONDS * left_mm / (rules["seating.rate"] * wears) or None


def turns_of(sheet: Sheet) -> list[Given]:
    """Return when a run-in was begun, put aside, gone on with, ended: in the order of time."""
    given = (RUNIN_CLOCK.given(sheet, p) for p in RUNIN_CLOCK.places(sheet))
    return sorted((g for g in given if g is not None and g.word), key=lambda g: (g.at, g.seq))


def ran_min(sheet: Sheet, at: datetime) -> float | None:
    """Return how long a run-in has run by a time [min], without what it was put aside; None where it never began."""
    return minutes_run(((g.at, g.word) for g in turns_of(sheet)), at)


def runs_now(sheet: Sheet) -> bool:
    """Tell whether its clock runs."""
    turns = turns_of(sheet)
    return bool(turns) and turns[-1].word == ON


def _logs(sheet: Sheet, since: datetime | None = None) -> list[tuple[datetime, RunLog]]:
    """Return the logs of a run-in with the time at which each was entered, those after a time."""
    given = (RUNIN_POINTS.given(sheet, p) for p in RUNIN_POINTS.places(sheet))
    every = [(g.at, g.record) for g in given if g is not None and isinstance(g.record, RunLog)]
    return [(at, log) for at, log in every if since is None or at > since]


def logged(sheet: Sheet, *, since: datetime | None = None, beyond: bool = False, about: int = 0) -> tuple[Logged, ...]:
    """Return the points of a run-in in the order of its minutes, of those after a time, or only what is `beyond` the
    plan; of a long log `about` so many, with the last ones and all that is beyond. What says no minute stands where its
    clock stood when it was entered, without a clock behind the first.
    """
    every = _logs(sheet)
    first = min((at for at, _ in every), default=sheet.at)
    step = max(sum(len(log.points) for _, log in every) // about, 1) if about else 1
    made = []
    for at, log in _logs(sheet, since):
        ran = ran_min(sheet, at)
        clock = (at - first).total_seconds() / _SECONDS if ran is None else ran
        most = log.most or ((None, None),) * len(log.points)
        far, count = frozenset(log.beyond), len(log.points)
        some = far if beyond else {*range(0, count, step), *far, *range(max(count - _LAST, 0), count)}
        for n in sorted(some):
            point = log.points[n]
            minute = clock if point.minute is None else point.minute
            made.append(Logged(minute, point, most[n][0], most[n][1], n in far))
    return tuple(sorted(made, key=lambda x: x.minute))


def counted(sheet: Sheet) -> tuple[int, int]:
    """Return how many points were read, and how many of them are over the plan."""
    logs = [log for _, log in _logs(sheet)]
    return sum(len(x.points) for x in logs), sum(len(x.beyond) for x in logs)


def steady(points: Sequence[Logged], rules: MotorRules) -> bool | None:
    """Tell whether the amps of the last three points lie close together; None before there are three.

    Source: rule runin.steady
    """
    amps = [x.point.a for x in points if x.point.a is not None][-_LAST:]
    if len(amps) < _LAST or not min(amps):
        return None
    return not over(max(amps) / min(amps) - 1, rules["runin.steady"])


def measured(sheet: Sheet, rules: MotorRules) -> Iterator[Measured]:
    """Yield what a run-in shows: over its plan, noisy for too long; what shuts down a motor does so here too, until it
    was worked on. Source: rules runin.noisy, run.shut-down, speed.*
    """
    looked = RUNIN_LOOKED.given(sheet)
    since = looked.at if looked is not None else None
    heard, loud = RUNIN_LOUD.given(sheet), RUNIN_LOUD.of(sheet)
    if heard is not None and loud is not None and heard.at > (since or sheet.at):
        minutes = plan_of(sheet, rules).minutes
        most = rules["runin.noisy"] * minutes
        late = f"noise or sparks after {loud:g} min, twice its run-in of {minutes:.0f} min"
        yield judged(
            RUNIN_LOUD,
            f"noise or sparks after {loud:g} min, its run-in takes {minutes:.0f} min",
            value=loud,
            unit="min",
            low=0.0,
            high=most,
            basis=by_rule(rules, "runin.noisy"),
            off=None if under(loud, most) else RUNIN_NOISE.worded(late),
            rests_on=("runin.", *_OF_PLAN),
        )
    places = RUNIN_POINTS.places(sheet)
    if places:
        yield from _points(sheet, rules, since, places[-1])


def _points(sheet: Sheet, rules: MotorRules, since: datetime | None, place: int) -> Iterator[Measured]:
    """Yield what the points of a run-in say: over their plan or not, and what shuts a motor down."""
    beyond, (read, _) = logged(sheet, since=since, beyond=True), counted(sheet)
    words = f"{read} points, all within the plan" if read > 1 else "within the plan"
    if beyond:
        more = f"; {len(beyond)} points in all" if len(beyond) > 1 else ""
        words = f"run in over its plan: {beyond[0].over}, at {beyond[0].minute:.0f} min{more}"
    yield judged(RUNIN_POINTS, words, place, off=RUNIN_OVER.worded(words) if beyond else None)
    for found in _shut_down(sheet, rules):
        yield judged(RUNIN_POINTS, found.words, place, off=found, rests_on=("run.shut-down", "speed.", *_OF_PLAN))


def _shut_down(sheet: Sheet, rules: MotorRules) -> Iterator[Finding]:
    """Yield overspeed and sparks that shut a motor down, of the points since the last work."""
    logs = [log for _, log in _logs(sheet, last_work(sheet))]
    worst = max((x.worst_sparks for x in logs), default=0)
    if not under(worst, rules["run.shut-down"]):
        yield RUN_SPARKING.worded(f"sparks {dict(SPARKS.choices)[str(worst)]}, while it was run in")
    fast = max((x.fastest_rpm for x in logs if x.fastest_rpm is not None), default=None)
    run = () if fast is None else (Point(place=0, volts=None, amps=None, rpm=fast, sparks=None),)
    told = (f for m in speed_told(sheet.facts, run, rules, free=True) for f in m.findings)
    yield from (f for f in told if f.grade == "stop")


def limited(place: int, asked: Asked, *, sheet: Sheet, rules: MotorRules) -> Record | None:
    """Return a log with the limits of the plan as it is now at each of its points.

    Raises: InputError for a minute that has not come yet, or that stands in another entry already.
    """
    log = asked.record
    if not isinstance(log, RunLog):
        return log
    plan = plan_of(sheet, rules)
    ran = None if asked.by.at is None else ran_min(sheet, asked.by.at)
    others = {x.minute for p in RUNIN_POINTS.places(sheet) if p != place for x in _stated(sheet, p)}
    most = []
    for point in log.points:
        if point.minute is not None and ran is not None and over(point.minute, ran + 1):
            raise InputError(
                f"Minute {point.minute:g} has not come yet: it has run for {ran:.0f} min.", "Say its minute.", "value"
            )
        if point.minute in others:
            raise InputError(
                f"Minute {point.minute:g} is in the log already.", "Correct that point, or say another minute.", "value"
            )
        step = plan.at(ran or 0.0 if point.minute is None else point.minute)
        most.append((step.most_v, step.most_a) if step is not None else (None, None))
    return replace(log, most=tuple(most))


def _stated(sheet: Sheet, place: int) -> Iterator[LogPoint]:
    """Yield the points of an entry that say their minute."""
    given = RUNIN_POINTS.given(sheet, place)
    if given is not None and isinstance(given.record, RunLog):
        yield from (p for p in given.record.points if p.minute is not None)


def bedded_h(sheet: Sheet) -> float:
    """Return how long faces were run in on a sheet, as far as its clock has stood still since [h]."""
    turns = turns_of(sheet)
    return (ran_min(sheet, turns[-1].at) or 0.0) / _SECONDS if turns else 0.0
