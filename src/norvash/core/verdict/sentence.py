"""The verdict line and its reasons, in words."""

from dataclasses import dataclass
from datetime import date

from norvash.core.edges import over, under
from norvash.core.grades import GRADES, word_of
from norvash.core.motor.figure_fields import LENGTH_UNIT, NEW_MM
from norvash.core.planning.policies import last_check, overdue
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.life import Life
from norvash.core.sheet.part import BESIDE, BRUSHES, COMPLAINT, LOOK, PARTS, Part
from norvash.core.state.component import Condition
from norvash.core.state.findings import Findings, Reason
from norvash.core.state.motor_state import MotorState
from norvash.core.state.rising import risen
from norvash.core.text.words import length_words, listed
from norvash.core.verdict.components import counted
from norvash.core.verdict.forecast_words import far_off, forecast_reasons
from norvash.core.verdict.line_figure import LineFigure, said_on
from norvash.core.verdict.line_figures import line_figures
from norvash.core.verdict.reasons import limit_reason, reasons, shows
from norvash.core.verdict.set_grade import RUN_TO_FAILURE, follows_symptoms
from norvash.core.visit.proving import SAY_WHY, done_words, proof_asked


@dataclass(frozen=True, slots=True, kw_only=True)
class Verdict:
    """What to do and why, by when and how sure as figures, the reasons below them, and the word for the grade.

    `coming` are the figures of days to come too, each with the day from or until which it is said.
    """

    act: str
    why: str
    figures: tuple[LineFigure, ...]
    word: str
    reasons: tuple[Reason, ...]
    flags: tuple[str, ...]
    coming: tuple[LineFigure, ...] = ()

    @property
    def sentence(self) -> str:
        """Return what to do and why."""
        return f"{self.act} {self.why}".strip()


# What is to be done about a finding stands in the line where both are so short; the reasons below say it in any case.
_MOST_WORDS = 20
_MEND = {
    "fit": "Run on.",
    "watch": "Watch it.",
    "plan": "Plan the repair.",
    "change": "Mend it at this visit.",
    "stop": "Out of service: it must not run before this is mended.",
}
_ACTS = {
    "fit": "Run on.",
    "watch": "Watch this set.",
    "plan": "Plan the change.",
    "change": "Change the set at this visit.",
    "stop": "Out of service: this set must not run again.",
}


def verdict(found: Findings, state: MotorState, rules: MotorRules, today: date) -> Verdict:
    """Write the verdict from the findings; today decides what has risen and what lies beyond the calendar.

    What is not measured, incomplete or doubtful is a flag beside the grade: it asks first only where nothing graver
    than to watch it does.
    """
    unit, coming = LENGTH_UNIT.of(state.figures), line_figures(found, state, rules, today)
    rise, calm = risen(found.base, found.own_rises, today), found.grade in ("fit", "watch", None)
    if found.unmeasured and calm and rise is None:
        return _unmeasured(found, state, rules, today, coming)
    flags = _flags(found, state, rules, today)
    carbon = by_carbon(found)
    act = rise.act if rise is not None else _act(found, carbon=carbon)
    if rise is None and "look due" in flags and worst_part(found) is not LOOK:
        act = f"{act} The look is due."
    if found.doubts and calm:
        act = f"Settle the reading of brush {found.doubts[0].label} first."
    elif found.missing and calm:
        free = f"Free {listed(list(found.held))}, then measure" if found.held else "Measure"
        act = f"{free} {listed(list(found.missing))} to get a date."
    word = rise.word if rise is not None else _word(found, carbon=carbon)
    return Verdict(
        act=act,
        why=rise.why if rise is not None else _why(found, unit),
        figures=said_on(coming, today),
        coming=coming,
        word=word,
        reasons=(*_beyond_carbon(found, rules, today), *reasons(found, state, rules)),
        flags=flags,
    )


def _flags(found: Findings, state: MotorState, rules: MotorRules, today: date) -> tuple[str, ...]:
    """Return what stands beside the grade: the part that asks for hands, what is not known, what to mind."""
    rise, part = risen(found.base, found.own_rises, today), _by_part(found)
    if rise is not None:
        part = next((p.words.lower() for p in (*PARTS, *BESIDE) if p.id == rise.part and p is not BRUSHES), "")
    on = (
        (part, bool(part)),
        ("not measured", found.unmeasured),
        ("lengths taken from the part", found.taken),
        ("age unknown", found.unknown),
        ("use at least", state.gap is not None),
        ("doubtful", bool(found.doubts)),
        ("incomplete", bool(found.missing)),
        ("limit estimated", found.limit.estimated),
        ("not enough wear yet", bool(found.line and found.line.answer == "not enough wear yet")),
        (
            "abnormal wear",
            bool(found.ahead and found.ahead.visits > 1 and under(found.ahead.tail, rules["forecast.abnormal"])),
        ),
        ("look due", _look_due(found, state, today)),
        ("overdue", any(overdue(d, state, today) for d in found.dues)),
        ("uneven", bool(found.spread and found.spread.uneven)),
        (RUN_TO_FAILURE, follows_symptoms(rules)),
        ("overruled", bool(found.overruled or any(c.overruled for c in found.components))),
    )
    return tuple(name for name, is_on in on if is_on)


def _look_due(found: Findings, state: MotorState, today: date) -> bool:
    look = found.look
    if look is None or found.grade not in ("fit", "watch", "plan"):
        return False
    just = look.brought and last_check(state).on == today  # who has just looked does not look again
    return look.due_by(state.ran_by(today), today) and not just


def _act(found: Findings, *, carbon: bool) -> str:
    """Return what to do by the worst part."""
    first = leading(found)
    life = life_of(found, first)
    if life is not None and life.state == "done not proven":
        asked = proof_asked(life)
        return f"{asked[0].upper()}{asked[1:]}."
    if life is not None and life.right_again:
        return f"{SAY_WHY} Until then it must not run." if found.grade == "stop" else SAY_WHY
    if first is not None and first.finding.part is COMPLAINT:
        return f"{first.finding.words[0].upper()}{first.finding.words[1:]}."
    if worst_part(found) is LOOK and found.overruled is None:
        return "Measure it now, or change the set."
    return (_ACTS if carbon else _MEND)[found.grade or "fit"]


def _word(found: Findings, *, carbon: bool) -> str:
    """Return the word for the grade: that of the part that gave it, or that what was done is not proven."""
    life = life_of(found, leading(found))
    if life is not None and life.state == "done not proven":
        return "Done, not proven"
    if life is not None and life.right_again:
        return "Right again"
    for c in found.components:
        if found.overruled is None and c.grade == found.grade and c.part is worst_part(found):
            return c.word or word_of(found.grade or "fit", carbon=carbon)
    return word_of(found.grade or "fit", carbon=carbon)


def worst_part(found: Findings) -> Part | None:
    """Return the part that asks for most; of several equally grave the set of brushes first, then in their order."""
    worst_one = max(counted(found.components), key=lambda c: c.rank, default=None)
    return worst_one.part if worst_one is not None and worst_one.rank else None


def _unmeasured(
    found: Findings, state: MotorState, rules: MotorRules, today: date, coming: tuple[LineFigure, ...]
) -> Verdict:
    """Return what is said of a set that nobody has measured; one of unknown age has no day."""
    unit = LENGTH_UNIT.of(state.figures)
    lengths = length_words(NEW_MM.need(state.figures), unit), length_words(found.limit.limit_mm, unit)
    new = Reason(f"New brushes are {lengths[0]} and may wear to {lengths[1]}.")
    flags = ("limit estimated",) if found.limit.estimated else ()
    act, why = "Measure this set.", f"Nothing is measured yet on {state.current.words}."
    if found.unknown:
        act, flags = "Measure it at the next opportunity.", ("age unknown", *flags)
        why = "Nobody has measured its brushes, nor is it known since when they run."
        new = Reason("They may be anywhere in their life, so there is no date.")
    return Verdict(
        act=act,
        why=why,
        figures=said_on(coming, today),
        coming=coming,
        word="Not measured",
        reasons=(new, limit_reason(found, rules, unit), *forecast_reasons(found, state, rules)),
        flags=flags,
    )


def _by_part(found: Findings) -> str:
    """Return the part that asks for hands where it is not the brushes, empty where it is them or nothing does."""
    part = worst_part(found) if found.grade not in ("fit", "watch", None) else None
    return "" if part is None or part is BRUSHES else part.words.lower()


def by_carbon(found: Findings) -> bool:
    """Tell whether the worst voice asks for new brushes: their length, their use, or a finding that ends the set."""
    first = leading(found)
    if first is not None:
        return first.finding.renews
    worst_one = max(counted(found.components), key=lambda c: c.rank, default=None)
    return worst_one is None or worst_one.rank == 0 or worst_one.part is BRUSHES


def leading(found: Findings) -> Condition | None:
    """Return the finding that raises the motor above what its carbon says, None where carbon speaks loudest."""
    first = next((c for c in found.conditions if not c.finding.part.outside), None)
    by_all = found.by_all.rank if found.by_all else 0
    graver = first is not None and first.finding.grade == found.base and GRADES.index(first.finding.grade) > by_all
    return first if graver else None


def _why(found: Findings, unit: str) -> str:
    if found.overruled is not None:
        return f"Decided by {found.overruled.person}."
    first = leading(found)
    if first is not None:
        if first.finding.part is COMPLAINT and first.finding.decision:
            return f"{first.finding.decision[0].upper()}{first.finding.decision[1:]}."
        what, step = f"{first.place}: {first.finding.words}", _next_step(found, first)
        return f"{what}; {step}." if len(f"{what} {step}".split()) <= _MOST_WORDS else f"{what}."
    late = next((c for c in found.components if c.part is LOOK), None)
    if late is not None and worst_part(found) is LOOK:
        unmeasured = " Nothing is measured yet on it." if found.round is None else ""
        return f"{late.by[0].upper()}{late.by[1:]}.{unmeasured}"
    due = found.change
    if due is not None and found.due_graded is not None and found.grade == found.due_graded.grade:
        how = "overdue" if found.due_graded.grade == "change" and due.overdue_units is not None else "due"
        return f"The change for the {due.name} is {how}: {due.why}."
    return _why_carbon(found, unit)


def _why_carbon(found: Findings, unit: str) -> str:
    """Return how much carbon the set has, by its worst brush."""
    brush = found.governing
    if found.taken:
        return "New brushes are in, their lengths taken from the part."
    if brush is None or brush.left_mm is None or brush.last is None:
        return ""
    if not over(brush.left_mm, 0):
        limit_mm = found.limit.limit_mm
        where = f"{length_words(-brush.left_mm, unit)} under its limit" if shows(-brush.left_mm) else "at its limit now"
        shown, of = length_words(brush.last.length_mm, unit), length_words(limit_mm, unit)
        bare_mm, gauge_mm = brush.last.bare_mm, found.limit.gauge_mm
        if bare_mm is not None and gauge_mm is not None:
            shown, of = f"{length_words(bare_mm, unit)} deep", length_words(gauge_mm, unit)
        on = f" {found.since_read.on}" if found.since_read is not None else ""
        return f"{_named(brush.label, found)} is {where}: {shown}{on}, limit {of}."
    shortest = min((b for b in found.brushes if b.left_mm is not None), key=lambda b: b.left_mm or 0.0)
    sets = "" if shortest is brush else f"; {brush.label} wears faster and sets the date"
    if found.since_read is not None and shortest.number in found.since_read.now_mm and shortest.last is not None:
        read, of_mm = found.since_read, shortest.last.length_mm
        every = (of_mm, read.now_mm[shortest.number], found.limit.limit_mm)
        had, now, limit = (length_words(mm, unit) for mm in every)
        by_now = f"{read.about} {now}" if over(every[1], 0) else "and may be used up"
        return f"{_named(shortest.label, found)} had {had} {read.on}, {by_now} {read.now_at}, limit {limit}{sets}."
    left = length_words(shortest.left_mm or 0.0, unit)
    share = "" if shortest.usable is None else f", {max(shortest.usable, 0):.0%} of its usable carbon"
    words = f"{_named(shortest.label, found)} has {left} to its limit{share}"
    return f"{words}{sets}."


def _named(label: str, found: Findings) -> str:
    """Return what a brush is called: of notes that told the shortest alone nobody knows which one it was."""
    unknown = found.round is not None and found.round.noted and found.round.stands_alone
    return "The shortest brush" if unknown else f"Brush {label}"


def life_of(found: Findings, first: Condition | None) -> Life | None:
    """Return the life of the finding that leads, None where none does."""
    at = (first.position, first.finding.id) if first is not None else None
    return next((x for x in found.lives if x.stands and x.at == at), None)


def _next_step(found: Findings, first: Condition) -> str:
    """Return what is to be done about a finding as far as it has come."""
    life = life_of(found, first)
    if life is not None and life.state == "done not proven":
        return f"{done_words(life)}, not yet proven"
    if life is not None and life.right_again:
        return "right again at this visit"
    if life is not None and life.measured_again:
        return f"measured again after the work; {first.finding.decision}"
    return first.finding.decision


def _beyond_carbon(found: Findings, rules: MotorRules, today: date) -> tuple[Reason, ...]:
    """Return what to look at where the limit of the carbon is too far off to matter."""
    if found.grade in ("stop", "change") or found.round is None or found.missing:
        return ()
    if found.ahead is None or not far_off(found, today, rules):
        return ()
    words = "Carbon is not what will stop this motor: look at springs, leads, bearings and insulation."
    return (Reason(words, (rules.figure("line.horizon"),)),)
