"""How a motor ran after the last work on it, as it is told at the signature and as later runs are held against it."""

from norvash.core.judging.prove.first_run import agrees, first_run_words
from norvash.core.judging.prove.heat import rise_k
from norvash.core.judging.prove.points import Point
from norvash.core.judging.prove.run import judge_run
from norvash.core.judging.prove.since import read_since
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.before.fields import NOLOAD_RPM
from norvash.core.stages.prove.run_fields import COAST_S, NOISE, RUN_HOW
from norvash.core.visit.done import last_work
from norvash.work.reading.sheet_now import SheetNow

Plain = dict[str, object]


def run_told(page: SheetNow) -> Plain | None:
    """Return how it ran after the last work: its points, the figures that later runs are held against, and what was
    said of them; None where it was not run since.
    """
    sheet = read_since(page.sheet, last_work(page.sheet))
    run = judge_run(sheet, page.context.rules)
    if run.at is None:
        return None
    return {
        "how": RUN_HOW.of(sheet),
        "how_words": dict(RUN_HOW.choices).get(RUN_HOW.of(sheet), ""),
        "volts": run.at.volts,
        "amps": run.at.amps,
        "rpm": run.at.rpm,
        "sparks": run.at.sparks,
        "rise_k": rise_k(sheet),
        "coast_s": COAST_S.of(sheet),
        "noise": NOISE.of(sheet),
        "before_rpm": NOLOAD_RPM.of(sheet.as_found),
        "points": [_point(p) for p in run.points],
        "said": [{"words": s.words, "right": s.right} for s in run.said],
        **_first(sheet, run.at, page.context.rules),
    }


def _point(point: Point) -> Plain:
    """Return a point of a run; its minutes where somebody said them."""
    read: Plain = {"volts": point.volts, "amps": point.amps, "rpm": point.rpm, "sparks": point.sparks}
    return read | {k: v for k, v in (("minutes", point.minutes), ("rest_min", point.rest)) if v is not None}


def _first(sheet: Sheet, at: Point, rules: MotorRules) -> Plain:
    """Return that a run had no figure to compare with, in words, and whether it is none for later ones yet; nothing of
    another run.
    """
    words = first_run_words(sheet, rules)
    return {"no_figure": words, "first": not agrees(sheet, at, rules)} if words else {}
