"""The verdict line and its reasons, in words."""

from dataclasses import dataclass
from datetime import date

from norvash.core.components import Condition, finding_word
from norvash.core.forecast_words import band_words, far_off, forecast_reasons, look_words, sure_words, unmeasured_words
from norvash.core.grades import GRADES, WORDS, Graded, word_of, worst
from norvash.core.part_findings import COMPONENTS, component_of
from norvash.core.policies import look_due, overdue
from norvash.core.rules.book import MotorRules
from norvash.core.state import MotorState
from norvash.core.verdict import Findings, Reason, past_limit
from norvash.core.when import RUN_TO_FAILURE, follows_symptoms
from norvash.core.words import UNIT_WORDS, day_words, length_words, listed, use_words
from norvash.core.work_list import tasks_for


@dataclass(frozen=True, slots=True)
class Verdict:
    """The sentence in its four parts, the reasons below it, and the word for the stage."""

    act: str
    why: str
    sure: str
    by_when: str
    word: str
    reasons: tuple[Reason, ...]
    flags: tuple[str, ...]

    @property
    def sentence(self) -> str:
        """Return the whole sentence."""
        return " ".join(part for part in (self.act, self.why, self.by_when, self.sure) if part)


_MEND = {
    "fit": "Run on.",
    "watch": "Watch it.",
    "plan": "Plan the repair.",
    "change": "Mend it at this visit.",
    "stop": "Take it out of service: it must not run before this is mended.",
}
_ACTS = {
    "fit": "Run on.",
    "watch": "Watch this set.",
    "plan": "Plan the change.",
    "change": "Change the set at this visit.",
    "stop": "Take it out of service: this set must not run again.",
}


def verdict(found: Findings, state: MotorState, rules: MotorRules, today: date) -> Verdict:
    """Write the verdict from the findings; today only decides what lies beyond the calendar."""
    unit = state.figures.word("length_unit")
    if found.round is None:
        return _unmeasured(found, state, rules, unit)
    graded = found.graded.grade if found.graded else None
    flags = tuple(
        name
        for name, on in (
            (_by_part(found), bool(_by_part(found))),
            ("doubtful", bool(found.doubts)),
            ("incomplete", bool(found.missing)),
            ("limit estimated", found.limit.estimated),
            ("not enough wear yet", bool(found.line and found.line.answer == "not enough wear yet")),
            ("past its date", past_limit(found.days.limit_on, state, today) and found.grade == "change" != graded),
            (
                "abnormal wear",
                bool(found.ahead and found.ahead.visits > 1 and found.ahead.tail < rules["forecast.abnormal"]),
            ),
            ("look due", look_due(found.look, state, today) and found.grade in ("fit", "watch", "plan")),
            ("overdue", any(overdue(d, state, today) for d in found.dues)),
            ("uneven", bool(found.spread and found.spread.uneven)),
            (RUN_TO_FAILURE, follows_symptoms(rules)),
            ("overruled", bool(found.overruled or any(c.overruled for c in found.components))),
        )
        if on
    )
    carbon = _by_carbon(found)
    act = (_ACTS if carbon else _MEND)[found.grade or "fit"]
    if "past its date" in flags:
        act = "Measure it or change it now: by its use it is past its limit."
    elif "look due" in flags:
        act = f"{act} The look is due."
    if found.doubts:
        act = f"Settle the reading of brush {found.doubts[0].label} first."
    elif found.missing and found.grade in ("fit", "watch"):
        act = f"Measure {listed(list(found.missing))} to complete the round."
    word = word_of(found.grade or "fit", carbon=carbon)
    return Verdict(act, _why(found, unit), "" if found.grade == "stop" else sure_words(found, state), _by_when(found, state, rules, today), word,
                   reasons(found, state, rules), flags)  # fmt: skip


def _unmeasured(found: Findings, state: MotorState, rules: MotorRules, unit: str) -> Verdict:
    new = length_words(state.figures.need("new_mm"), unit)
    why = f"Nothing is measured yet on set {state.current.number}; new brushes are {new} and may wear to {length_words(found.limit.limit_mm, unit)}."
    flags = ("limit estimated",) if found.limit.estimated else ()
    reasons = (_limit_reason(found, rules, unit), *forecast_reasons(found, state, rules))
    by_when = f"{unmeasured_words(found.ahead, state)} {look_words(found, state, rules)}" if found.ahead else ""
    return Verdict("Measure this set.", why, "", by_when, "Not measured", reasons, flags)


def _by_part(found: Findings) -> str:
    """Return the part that asks for hands where it is not the brushes, empty where it is them or nothing does."""
    first = _leading(found)
    name = (
        component_of(first.finding.id) if first is not None and found.grade not in ("fit", "watch", None) else "brushes"
    )
    return "" if name == "brushes" else COMPONENTS[name].lower()


def _by_carbon(found: Findings) -> bool:
    """Tell whether the worst voice asks for new brushes: their length, their date, or a finding that ends the set."""
    first = _leading(found)
    if first is not None:
        return any(t.id == "fit-set" for t in tasks_for(first.finding.id))
    worst_one = max(found.components, key=lambda c: c.rank, default=None)
    return worst_one is None or worst_one.rank == 0 or worst_one.id == "brushes"


def _leading(found: Findings) -> Condition | None:
    """Return the finding that raises the motor above what its carbon says, None where carbon speaks loudest."""
    first = next(iter(found.conditions), None)
    by_length = max((b.graded.rank for b in found.brushes if b.graded), default=0)
    graver = first is not None and first.finding.grade == found.grade and GRADES.index(first.finding.grade) > by_length
    return first if graver else None


def _why(found: Findings, unit: str) -> str:
    if found.overruled is not None:
        return f"So decided by {found.overruled.person}: {found.overruled.why}."
    first = _leading(found)
    if first is not None:
        return f"{first.place}: {first.finding.words}; {first.finding.decision}."
    brush = found.governing
    if brush is None or brush.left_mm is None or brush.last is None:
        return ""
    if brush.left_mm <= 0:
        return f"Brush {brush.label} is at its limit now: {length_words(brush.last.length_mm, unit)}, limit {length_words(found.limit.limit_mm, unit)}."
    shortest = min((b for b in found.brushes if b.left_mm is not None), key=lambda b: b.left_mm or 0.0)
    left = length_words(shortest.left_mm or 0.0, unit)
    words = f"Brush {shortest.label} has {left} to its limit, {max(shortest.usable or 0, 0):.0%} of its usable carbon"
    return f"{words}." if shortest is brush else f"{words}; {brush.label} wears faster and sets the date."


def _by_when(found: Findings, state: MotorState, rules: MotorRules, today: date) -> str:
    if found.ahead is None:
        return "Its forecast is being worked out."
    if found.grade == "stop":
        return ""
    if far_off(found, today, rules):
        return "Carbon is not what will stop this motor: look at springs, leads, bearings and insulation."
    if found.grade == "change":
        return band_words(found, state)
    return f"{band_words(found, state)} {look_words(found, state, rules)}"


def reasons(found: Findings, state: MotorState, rules: MotorRules) -> tuple[Reason, ...]:
    """Return the reasons of a verdict, the weightiest first, each with its rules."""
    unit = state.figures.word("length_unit")
    lines = [Reason(f"Brush {d.label}: {d.words}", (rules.figure(d.rule_id),)) for d in found.doubts]
    lines += _overrule_reasons(found)
    lines += [
        Reason(f"{c.place}, {c.finding.words}: {c.finding.decision}. ({finding_word(c.finding)}.)")
        for c in found.conditions
    ]
    if found.missing:
        lines.append(_missing_reason(found, state))
    by_length = worst([b.graded for b in found.brushes if b.graded])
    if by_length is not None:
        lines.append(_grade_reason(found, by_length, rules))
    lines.append(_limit_reason(found, rules, unit))
    lines.extend(forecast_reasons(found, state, rules))
    lines.extend(_line_reasons(found, state, rules))
    lines.extend(_spread_reasons(found, state, rules))
    return tuple(lines)


def _overrule_reasons(found: Findings) -> list[Reason]:
    """Return what was decided over a verdict, beside what it was."""
    made = [
        Reason(f"{c.words}: {WORDS[c.before or 'fit']} was overruled by {c.overruled.person} to {WORDS[c.overruled.grade]}: {c.overruled.why}.")
        for c in found.components if c.overruled
    ]  # fmt: skip
    whole = found.overruled
    if whole is not None:
        before = max(found.components, key=lambda c: c.rank)
        made.append(
            Reason(
                f"The motor: {WORDS[before.grade or 'fit']} was overruled by {whole.person} to {WORDS[whole.grade]}: {whole.why}."
            )
        )
    return made


def _missing_reason(found: Findings, state: MotorState) -> Reason:
    text = f"Not measured in this round: {listed(list(found.missing))}. A set lives as long as its worst brush, so there is no straight line."
    if found.complete_before is not None:
        earlier = found.complete_before
        at = use_words(earlier.total_units + state.offset_units, state.unit)
        text += f" The last complete round was on {day_words(earlier.at.date())} at {at}."
    return Reason(text)


def _grade_reason(found: Findings, graded: Graded, rules: MotorRules) -> Reason:
    least = min((b for b in found.brushes if b.usable is not None), key=lambda b: b.usable or 0.0)
    share = max(least.usable or 0.0, 0.0)
    if graded.rule_id == "wear line":
        seen = least.last.lines if least.last else 0
        return Reason(f"{WORDS[graded.grade]}: wear line {seen} shows at brush {least.label}.")
    figure = rules.figure(graded.rule_id)
    side = "over" if graded.grade == "fit" else "at or under"
    return Reason(
        f"{WORDS[graded.grade]}: usable carbon of brush {least.label} is {share:.0%}, {side} {figure.value:.0%}.",
        (figure,),
    )


def _limit_reason(found: Findings, rules: MotorRules, unit: str) -> Reason:
    limit = found.limit
    text = f"Limit {length_words(limit.limit_mm, unit)}: {limit.source}"
    if limit.source == "worked out from the parts":
        text += f", governed by the {limit.governed_by}"
    if limit.governed_by == "estimate" == limit.source:
        text += ", because nothing better is known. Ask the maker for the figure."
    elif limit.estimated:
        text += f"; {limit.remark}, so the estimate holds as the least. Ask the maker for the figure."
    elif limit.remark:
        text += f", {limit.remark}"
    return Reason(text.rstrip(".") + ".", tuple(rules.figure(i) for i in limit.rule_ids))


def _line_reasons(found: Findings, state: MotorState, rules: MotorRules) -> list[Reason]:
    line = found.line
    if line is None or line.do_not_exceed_h is None or line.plan_by_h is None or line.look_again_h is None:
        if line and line.answer == "not enough wear yet":
            return [
                Reason(
                    "No straight line: the wear is under what the instrument can tell.",
                    (rules.figure("line.least-wear"),),
                )
            ]
        return []
    if line.answer == "at the limit":
        return []
    figures = (rules.figure("line.plan"), rules.figure("line.look"))
    text = (f"Straight line: do not exceed {use_words(line.do_not_exceed_h, state.unit)}, plan by "
            f"{use_words(line.plan_by_h, state.unit)}, look again by {use_words(line.look_again_h, state.unit)}.")  # fmt: skip
    made = [Reason(text, figures)]
    if line.faster_note:
        made.append(Reason("Wear is speeding up: the last interval is faster than the life so far; look for the cause.",
                           (rules.figure("line.faster"),)))  # fmt: skip
    if state.rate and found.line_days.limit_on:
        ids = ("use.window",) if state.rate.declared is None else ("use.window", "use.declared-weight")
        bases = tuple(rules.figure(i) for i in ids)
        per_week = f"{state.rate.per_week:.1f} {UNIT_WORDS[state.unit]}"
        made.append(Reason(f"Dates from {per_week} a week ({state.rate.words}).",
                           bases))  # fmt: skip
    return made


def _spread_reasons(found: Findings, state: MotorState, rules: MotorRules) -> list[Reason]:
    spread, made = found.spread, []
    if spread is None:
        return []
    if spread.uneven and spread.spread is not None:
        label = state.positions[spread.most_worn_position - 1].label
        rule = rules.figure("spread.pair" if len(state.positions) == 2 else "spread.set")
        made.append(Reason(f"Uneven: the wear differs by {spread.spread:.0%} of its mean, {label} most. "
                           "Look at holder, spring and lead there before renewing.", (rule,)))  # fmt: skip
    if spread.polarity_note and spread.polarity_ratio is not None:
        made.append(Reason(f"One polarity wears {spread.polarity_ratio:.1f} times as fast as the other.",
                           (rules.figure("spread.polarity"),)))  # fmt: skip
    return made
