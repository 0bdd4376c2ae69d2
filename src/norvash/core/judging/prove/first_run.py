"""A proof run without a figure: what it must show where neither plate nor type nor an earlier run gives one, and what
its values are worth later.
"""

from collections.abc import Iterator

from norvash.core.edges import over, under
from norvash.core.judging.before.drops import rated_of
from norvash.core.judging.prove.heat import steady
from norvash.core.judging.prove.points import Point, judged_at, points_of
from norvash.core.judging.prove.safe_volts import safe_by_runs
from norvash.core.judging.prove.since import read_since
from norvash.core.known import all_known
from norvash.core.motor.figure_fields import (
    DUTY_MIN,
    NOLOAD_A_MOST,
    NOLOAD_RPM_LEAST,
    RATED_A,
    RATED_RPM,
    USUAL_NOLOAD_A,
    USUAL_NOLOAD_RPM,
)
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.measured import Measured, by_rule, told
from norvash.core.sheet.sheet import Baseline, Gone, Sheet
from norvash.core.stages.prove.run_fields import COAST_S, NOISE, PINION_THROWS, RUN_HOW
from norvash.core.stages.prove.unstated import (
    ENGINE_STARTS,
    PLATE_ANEW,
    PLATE_NONE,
    READING,
    USUAL_FROM,
    runs_first,
    spells,
)
from norvash.core.stages.prove.volts import unloaded_most
from norvash.core.text.words import grouped, listed
from norvash.core.visit.done import last_work

_LIMIT_FOR_V = 12.0
PULL = "“at most” and “at least” without load: so far it proves the throw only"


def first_run_lacks(sheet: Sheet, points: tuple[Point, ...], rules: MotorRules) -> Iterator[str]:
    """Yield what a run lacks to prove a motor of which nobody gives current or speed.

    Source: rules run.first-*, run.volts
    """
    never = _never(sheet)
    if never:
        yield f"a figure to judge it by: {never}"
        return
    if not PLATE_NONE.of(sheet):
        yield (
            "a figure to judge it by: its plate's current or speed, or its usual one; where its plate gives none, say"
            " “plate read: none given” and run it as a first run"
        )
        return
    yield from _lacks_minutes(sheet, points, rules)
    yield from _lacks_known_volts(sheet, points, rules)
    if not NOISE.of(sheet):
        yield "its sound, in words"
    if COAST_S.of(sheet) is None:
        yield "how long it coasts, let go"


def _never(sheet: Sheet) -> str:
    """Return why a motor is never proven without a figure, empty where it may be."""
    facts, base = sheet.facts, sheet.baseline
    if facts.carries:
        return "it hangs a load or carries people, and is not proven without one"
    if facts.may_carry:
        return "nobody has said that it hangs no load and carries nobody, under Figures"
    if not runs_first(facts):
        return "its usual current or speed as it is run"
    if base is not None:
        return f"at its own baseline, sheet {base.sheet}, it was run otherwise: run it so"
    gone = [x for x in sheet.gone if not _said_anew(sheet, x)]
    if gone:
        words = listed([f"{x.words}, taken away by {x.person}" for x in gone])
        return f"{words}: put it back, or let somebody else say what its plate shows now"
    return ""


def _said_anew(sheet: Sheet, gone: Gone) -> bool:
    """Tell whether the plate was read anew by somebody else than took a figure away, where there is somebody."""
    anew = PLATE_ANEW.given(sheet)
    return anew is not None and (anew.person != gone.person or gone.alone)


def _lacks_minutes(sheet: Sheet, points: tuple[Point, ...], rules: MotorRules) -> Iterator[str]:
    """Yield that it did not run long enough; only what it ran at its volts counts."""
    runs, least = spells(sheet.facts, rules)
    top = max((p.volts for p in points if p.volts is not None), default=0.0)
    at_volts = [p for p in points if not top or (p.volts is not None and not under(p.volts, rules["run.volts"] * top))]
    long = [p for p in at_volts if p.minutes is not None and not under(p.minutes, least)]
    stated = DUTY_MIN.stated(sheet.facts.figures) is not None
    if runs == 1:
        if not (long or (not stated and steady(sheet, rules))):
            within = f", or its case within {rules['run.first-steady']:g} K of 5 min before"
            yield f"minutes that it ran: {least:g}{'' if stated else within}"
        return
    rest = rules["run.first-rest"]
    rested = [p for p in long[1:] if p.rest is not None and not under(p.rest, rest)]
    if not rested:
        yield f"minutes that it ran: {least:g}, rest {rest:g}, and {least:g} again, at two points"


def _lacks_known_volts(sheet: Sheet, points: tuple[Point, ...], rules: MotorRules) -> Iterator[str]:
    """Yield that its volts were not read, or that there is nothing to hold them against; of one that runs away without
    load those are its safe ones, and its speed, current and sparks are read at every step.
    """
    volts = max((p.volts for p in points if p.volts is not None), default=None)
    if volts is None:
        yield "volts at its terminals while it runs"
    elif sheet.facts.runs_away and RUN_HOW.of(sheet) != "load":
        yield from safe_lacks(sheet, points, rules)
    elif sheet.facts.rated_v is None:
        yield "the volts of its plate"


def safe_lacks(sheet: Sheet, points: tuple[Point, ...], rules: MotorRules) -> Iterator[str]:
    """Yield what a run at safe volts lacks of one that runs away without load: they are all that it may get; that volts
    and speed are read at all is asked of any such run.

    Source: rules run.start, run.most, run.volts
    """
    at = judged_at(points)
    if at is None or at.volts is None or at.rpm is None:
        return
    if any(p.volts is None or p.amps is None or p.rpm is None or p.sparks is None for p in points if p.measured):
        yield "volts, current, r/min and sparks at every step, as it runs away without load"
        return
    try:
        most = unloaded_most(sheet.facts, rules, speed_read=True, shown=safe_by_runs(sheet, rules))
    except LookupError:
        yield "the volts of its plate, or its safe voltage"
        return
    volts = max((p.volts for p in points if p.volts is not None), default=0.0)
    if most is not None and under(volts, rules["run.volts"] * most.volts):
        yield f"its safe volts: {most.words}, and it had {volts:g} V"


def own_readings(sheet: Sheet, at: Point, rules: MotorRules) -> dict[str, str]:
    """Return by its unit each figure of the run that somebody stated at this visit as it was read, and of which nobody
    says that it comes from elsewhere: a reading proves itself in nothing.

    Source: rule run.sign
    """
    if not sheet.stated_here or USUAL_FROM.of(sheet) not in ("", READING):
        return {}
    made = {}
    for figure, read, unit in (
        *((f, at.amps, "A") for f in (USUAL_NOLOAD_A, NOLOAD_A_MOST, RATED_A)),
        *((f, at.rpm, "r/min") for f in (USUAL_NOLOAD_RPM, NOLOAD_RPM_LEAST, RATED_RPM)),
    ):
        known = all_known(figure.of(sheet.facts.figures), read) if figure.name in sheet.stated_here else None
        if known is not None and not over(abs(known[0] - known[1]), rules["run.sign"] * known[1]):
            stated = known[0]
            made[unit] = f"{figure.label.lower()} {stated:g} {unit}"
    return made


def starter_lacks(sheet: Sheet, points: tuple[Point, ...], rules: MotorRules) -> Iterator[str]:
    """Yield what a run lacks of a starter of which nobody states what it is held against: on its engine its volts while
    it cranks, and that the engine starts; on the bench it proves the throw only.

    Source: rule battery.cranking
    """
    if RUN_HOW.of(sheet) != "load":
        yield PULL
        return
    volts = max((p.volts for p in points if p.volts is not None), default=None)
    least = rated_of(sheet.facts) * rules["battery.cranking"] / _LIMIT_FOR_V
    if volts is not None and under(volts, least):
        yield f"volts while it cranks: {volts:g} V, at least {least:.3g} V"
    if sheet.facts.starts_engine and not ENGINE_STARTS.of(sheet):
        yield "that the engine starts, where it is run on it"


def throws_only(sheet: Sheet, points: tuple[Point, ...], rules: MotorRules) -> bool:
    """Tell whether a starter was thrown often enough on the bench, with its rests, where nobody states what its pull is
    held against.

    Source: rules run.throws, run.throw-rest
    """
    if sheet.facts.motor_class != "starter" or not runs_first(sheet.facts) or sheet.baseline is not None:
        return False
    thrown = [p for p in points if p.measured]
    rested = [p for p in thrown[1:] if p.rest is not None and not under(p.rest, rules["run.throw-rest"])]
    most = rules["run.throws"]
    return PINION_THROWS.of(sheet) and not under(len(thrown), most) and not under(len(rested), most - 1)


def beside_first(sheet: Sheet, at: Point, rules: MotorRules) -> tuple[float, Baseline] | None:
    """Return how far a run is from the first one without a figure [1], with that one; None where there is none, or
    where the two are not compared: run in another way, or at other volts.
    """
    first = sheet.first_run
    if first is None or first.how != RUN_HOW.of(sheet):
        return None
    if at.volts is None or not first.volts or over(abs(at.volts / first.volts - 1), rules["run.sign"]):
        return None
    pairs = [(now, then) for now, then in ((at.amps, first.amps), (at.rpm, first.rpm)) if now is not None and then]
    return (max((now / then - 1 for now, then in pairs), key=abs), first) if pairs else None


def agrees(sheet: Sheet, at: Point, rules: MotorRules) -> bool:
    """Tell whether a run agrees with the first one: then it is a figure for later ones.

    Source: rule run.first-agrees
    """
    off = beside_first(sheet, at, rules)
    return off is not None and not over(abs(off[0]), rules["run.first-agrees"])


def first_told(sheet: Sheet, at: Point, rules: MotorRules) -> Iterator[Measured]:
    """Yield how a run lies beside the first one. Source: rule run.first-agrees"""
    off = beside_first(sheet, at, rules)
    if off is None:
        return
    share, first = off
    fits = agrees(sheet, at, rules)
    words = f"{_read(at)}; {abs(share):.1%} {'over' if share > 0 else 'under'} the first run, sheet {first.sheet}: " + (
        "it agrees, and is a figure for later runs" if fits else "it does not agree, and is a first run again"
    )
    yield told(f"{words}.", basis=by_rule(rules, "run.first-agrees"), rests_on=("run.first-agrees",))


def first_run_words(sheet: Sheet, rules: MotorRules) -> str:
    """Return what is said of a motor by a run without a figure since the last work, empty for another."""
    sheet = read_since(sheet, last_work(sheet))
    points, said = points_of(sheet), PLATE_NONE.given(sheet)
    at = judged_at(points)
    known = sheet.baseline is not None or not runs_first(sheet.facts)
    if at is None or said is None or known:
        return ""
    ran = [f"{p.minutes:g} min" for p in points if p.minutes is not None]
    run = ", ".join(filter(None, (_read(at), f"for {' and '.join(ran)}" if ran else "")))
    worth = "a first run, no figure for another certificate until a later run agrees"
    off = beside_first(sheet, at, rules)
    if off is not None and agrees(sheet, at, rules):
        worth = f"it agrees with the first run, sheet {off[1].sheet}, and is a figure for later runs"
    return f"no figure to compare with (plate read, none given: {said.person}): {run}; {worth}"


def _read(at: Point) -> str:
    figures = (
        f"{at.amps:g} A" if at.amps is not None else "",
        f"{grouped(at.rpm)} r/min" if at.rpm is not None else "",
        f"at {at.volts:g} V" if at.volts is not None else "",
    )
    return " ".join(filter(None, (", ".join(filter(None, figures[:2])), figures[2])))
