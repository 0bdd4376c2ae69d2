"""What proving shows: the gate before power, the run with its points and what is said of them, and the complaint."""

from dataclasses import dataclass

from norvash.core.judging.prove.first_run import own_readings
from norvash.core.judging.prove.points import points_of
from norvash.core.judging.prove.run import Run, judge_run
from norvash.core.judging.prove.run_figures import comparable, held_amps, held_rpm
from norvash.core.judging.prove.safe_volts import safe_by_runs
from norvash.core.judging.prove.since import run_now
from norvash.core.judging.prove.stage import proof_lacks
from norvash.core.judging.signs_shown import may_have_been
from norvash.core.sheet.measured import Measured, follows
from norvash.core.sheet.sheet import Baseline
from norvash.core.stages.before.fields import NOLOAD_RPM
from norvash.core.stages.call_in import COMPLAINT, complained
from norvash.core.stages.gates import POWER
from norvash.core.stages.prove.complaint import ALSO_WAS, CAUSE_WAS, COMPLAINT_NOW, causes_named
from norvash.core.stages.prove.run_fields import ON_STOP, POINT, RAN, REST, RUN_HOW
from norvash.core.stages.prove.unstated import PLATE_ANEW, PLATE_NONE, USUAL_FROM
from norvash.core.stages.prove.volts import run_free_words
from norvash.core.text.words import grouped
from norvash.core.visit.walk import opened
from norvash.drawing.scales.band_scale import Banded, band_scale
from norvash.drawing.svg import Drawing
from norvash.web.stages.before import where_it_runs
from norvash.web.stages.shown.at import DRAWN, At
from norvash.web.stages.shown.fields import Entry, entry
from norvash.web.stages.shown.gate import GateShown, gate_shown
from norvash.web.stages.shown.polarity import Polarity, polarity_wrong_shown
from norvash.web.stages.shown.proof_beside import ProofBeside, proof_beside
from norvash.work.reading.sheet_now import SheetNow


@dataclass(frozen=True, slots=True, kw_only=True)
class Prove:
    """The gate before power; the points of the run, each a row of entries, and what else is said of it; what is judged
    of it, its drawing, and why it proves nothing yet.

    `speeds` are those before and after the repair, `allowed` how much it may get without load, `polarity` how its boxes
    must be wired where they are not. Of a motor that somebody complains of: the complaint, its answer, and the causes
    that it may have been: those that were mended; `also` names more than one. `beside` is what stands beside the run,
    `wants` what a run is to show before there is one, `none_given` what is said of a plate that gives no figure.
    """

    gate: GateShown
    points: list[list[Entry]]
    heads: list[Entry]
    rest: list[Entry]
    ran: Entry
    said: tuple[Measured, ...]
    drawn: Drawing | None
    lacks: str
    wants: tuple[str, ...]
    none_given: list[Entry]
    speeds: str
    allowed: str
    where: Entry | None
    polarity: Polarity | None
    baseline: Baseline | None
    complaint: str
    answer: Entry | None
    cause: Entry | None
    causes: tuple[tuple[str, str], ...]
    also: list[Entry]
    beside: ProofBeside


def view(at: At) -> Prove:
    """Return what proving shows."""
    shown = at.shown
    sheet, facts, rules = shown.sheet, shown.context.facts, shown.context.rules
    first = _causes(shown)
    asked = complained(sheet) or any(x.finding.id == "complaint.dead" for x in shown.visit.lives)
    run = judge_run(run_now(sheet), rules)
    points, is_open = _points(shown), shown.row.signed_at is None
    return Prove(
        gate=gate_shown(POWER, shown),
        points=points,
        heads=points[0] if points else [],
        rest=[entry(shown, f) for f in REST if f not in (RAN, ON_STOP) and f.is_offered(facts, rules)],
        ran=entry(shown, RAN),
        said=_said(shown),
        drawn=_drawn(shown, run),
        lacks=proof_lacks(shown.visit) if is_open and run.points and opened(shown.visit) else "",
        wants=run.lacks if is_open and not run.points and opened(shown.visit) else (),
        none_given=_none_given(shown),
        speeds=_speeds(shown, run),
        allowed=run_free_words(facts, rules, shown=safe_by_runs(sheet, rules)) if facts.runs_away else "",
        where=where_it_runs(shown),
        polarity=polarity_wrong_shown(shown),
        baseline=sheet.baseline,
        complaint=COMPLAINT.of(sheet),
        answer=entry(shown, COMPLAINT_NOW) if asked else None,
        cause=entry(shown, CAUSE_WAS) if asked and COMPLAINT_NOW.of(sheet) == "this" else None,
        causes=first if asked else (),
        also=_also(shown) if asked else [],
        beside=proof_beside(shown, run),
    )


def _none_given(shown: SheetNow) -> list[Entry]:
    """Return what is said of a plate that gives no figure, where its run lacks one; that it was read anew by somebody
    else only where there was one once; of a figure that was stated at this visit as it was read, where it comes from.
    """
    sheet, rules = shown.sheet, shown.context.rules
    if sheet.baseline is not None and not PLATE_NONE.of(sheet):
        return []
    if not PLATE_NONE.is_offered(sheet.facts, rules):
        run = judge_run(run_now(sheet), rules)
        typed = USUAL_FROM.of(sheet) or (run.at is not None and own_readings(sheet, run.at, rules))
        return [entry(shown, USUAL_FROM)] if typed else []
    asked = (PLATE_NONE, PLATE_ANEW) if sheet.gone or PLATE_ANEW.of(sheet) else (PLATE_NONE,)
    return [entry(shown, f) for f in asked]


def _said(shown: SheetNow) -> tuple[Measured, ...]:
    """Return what was said of the run of a signed sheet; of an open one it stands with what was read."""
    if shown.row.signed_at is None:
        return ()
    ran = shown.told.get("ran") if shown.told is not None else None
    if not isinstance(ran, dict):
        return ()
    return tuple(follows(said["words"], said["right"]) for said in ran["said"])


def _points(shown: SheetNow) -> list[list[Entry]]:
    """Return the points of a run as rows of entries; on an open sheet with an empty one after them."""
    facts, rules = shown.context.facts, shown.context.rules
    fields = [f for f in POINT if f.is_offered(facts, rules)]
    read = points_of(shown.sheet)
    places = [p.place for p in read] or ([] if shown.sheet.signed_at else [0])
    more = [places[-1] + 1] if read and not shown.sheet.signed_at else []
    return [[entry(shown, f, place) for f in fields] for place in (*places, *more)]


def _speeds(shown: SheetNow, run: Run) -> str:
    """Return the speeds before and after the repair, side by side; empty where one of them was not read."""
    before, at = NOLOAD_RPM.of(shown.sheet.as_found), run.at
    after = at.rpm if at is not None and RUN_HOW.of(shown.sheet) != "load" else None
    if not before or after is None:
        return ""
    change = round(100 * (after / before - 1))
    more = f"{abs(change)} % {'faster' if change > 0 else 'slower'}" if change else "as before"
    return f"{grouped(before)} r/min before the repair, {grouped(after)} after it: {more}."


def _drawn(shown: SheetNow, run: Run) -> Drawing | None:
    """Return current and speed of the run on their bands, None where no band is known."""
    sheet, rules, at = shown.sheet, shown.context.rules, run.at
    if at is None or sheet.facts.motor_class == "generator" or not comparable(sheet, at, rules):
        return None
    base = sheet.baseline if sheet.baseline is not None and sheet.baseline.how == RUN_HOW.of(sheet) else None
    rows = []
    for words, held, then in (
        ("Current", held_amps(sheet, at, rules), base.amps if base is not None else None),
        ("Speed", held_rpm(sheet, at, rules), base.rpm if base is not None else None),
    ):
        if held is not None and held.band is not None:
            (low, high), beside = held.band, "its own baseline" if then else ""
            figure = Banded(
                words=words, unit=held.unit, value=held.value, low=low, high=high, also=then, also_words=beside
            )
            rows.append(figure)
    return band_scale("The run on its bands", rows, DRAWN) if rows else None


def _also(shown: SheetNow) -> list[Entry]:
    """Return what else may be named as the cause, once one is: what was mended beside it, and what is named."""
    named, mended = causes_named(shown.sheet), may_have_been(shown.sheet, shown.visit.lives)
    if not named:
        return []
    return [entry(shown, ALSO_WAS[c]) for c in dict.fromkeys((*named, *mended)) if c != named[0]]


def _causes(shown: SheetNow) -> tuple[tuple[str, str], ...]:
    """Return the causes to choose from: what was mended at this visit."""
    words = dict(CAUSE_WAS.choices)
    chosen = [CAUSE_WAS.of(shown.sheet)] if CAUSE_WAS.of(shown.sheet) else []
    first = dict.fromkeys((*chosen, *may_have_been(shown.sheet, shown.visit.lives)))
    return tuple((c, words[c]) for c in first if c in words)
