"""The reasons below a verdict, each with the figures that it rests on."""

from collections.abc import Sequence

from norvash.core.brush.limits import Limit
from norvash.core.edges import under
from norvash.core.grades import WORDS, Graded, worst
from norvash.core.known import all_known
from norvash.core.motor.figure_fields import LENGTH_UNIT
from norvash.core.planning.unread_use import HALF_OF_IT, gap_words
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.ground import said
from norvash.core.state.component import Condition, finding_word
from norvash.core.state.findings import BrushNow, Findings, Reason
from norvash.core.state.motor_state import MotorState
from norvash.core.text.words import (
    UNIT_WORDS,
    day_words,
    length_words,
    line_words,
    listed,
    rate_unit,
    rate_words,
    use_words,
)
from norvash.core.verdict.forecast_words import forecast_reasons
from norvash.core.verdict.when_words import on_counter

_MOST_NAMED = 8
_LEAST_SHOWN_MM = 0.05


def reasons(found: Findings, state: MotorState, rules: MotorRules) -> tuple[Reason, ...]:
    """Return the reasons of a verdict, the weightiest first, each with its rules."""
    unit = LENGTH_UNIT.of(state.figures)
    lines = [Reason(f"Brush {d.label}: {d.words}", (rules.figure(d.rule_id),)) for d in found.doubts]
    unread = gap_words(state)
    lines += [Reason(unread, (rules.figure(HALF_OF_IT),))] if unread else []
    lines += _overrule_reasons(found)
    lines += _finding_reasons(found.conditions)
    lines += [
        Reason(f"{x.place}, {x.finding.words}, stays: {said(m)}, and that ends no stop.")
        for x in found.lives
        for m in x.held_by
    ]
    if found.missing:
        lines.append(_missing_reason(found, state))
    by_length = worst([b.graded for b in found.brushes if b.graded])
    if by_length is not None:
        lines.append(_grade_reason(found, by_length, rules, unit))
    lines.append(limit_reason(found, rules, unit))
    lines.extend(forecast_reasons(found, state, rules))
    lines.extend(_line_reasons(found, state, rules))
    lines.extend(_spread_reasons(found, state, rules))
    return tuple(lines)


def _finding_reasons(conditions: Sequence[Condition]) -> list[Reason]:
    """Return what was found, the gravest of it named."""
    named, rest = conditions[:_MOST_NAMED], conditions[_MOST_NAMED:]
    made = [Reason(f"{c.place}, {c.finding.words}: {c.finding.decision}. ({finding_word(c.finding)}.)") for c in named]
    return [*made, *([Reason(f"And {len(rest)} more, none of them graver.")] if rest else [])]


def _overrule_reasons(found: Findings) -> list[Reason]:
    """Return what was decided over a verdict, beside what it was."""
    made = [
        Reason(
            f"{c.words}: {WORDS[c.before or 'fit']} was overruled by {c.overruled.person} to"
            f" {WORDS[c.overruled.grade]}: {c.overruled.why}."
        )
        for c in found.components
        if c.overruled
    ]
    fallen = [(c.words, c.fallen) for c in found.components if c.fallen is not None]
    fallen += [("The motor", found.fallen)] if found.fallen is not None else []
    made += [
        Reason(
            f"{words}: {over.person} had overruled it to {WORDS[over.grade]}; that counts no longer:"
            " what stops a motor is not softened."
        )
        for words, over in fallen
    ]
    whole = found.overruled
    if whole is not None:
        before = max(found.components, key=lambda c: c.rank)
        made.append(
            Reason(
                f"The motor: {WORDS[before.grade or 'fit']} was overruled by {whole.person} to {WORDS[whole.grade]}:"
                f" {whole.why}."
            )
        )
    return made


def _missing_reason(found: Findings, state: MotorState) -> Reason:
    open_ones = [m for m in found.missing if m not in found.held]
    text = f"Not measured in this round: {listed(open_ones)}. " if open_ones else ""
    if found.held:
        text += f"What {listed(list(found.held))} measured proves nothing: it does not follow its wear. "
    text += "A set lives as long as its worst brush, so there is no straight line."
    if found.complete_before is not None:
        earlier = found.complete_before
        at = use_words(state.counter_at(earlier.total_units), state.unit)
        text += f" The last complete round was on {day_words(earlier.at.date())} at {at}."
    return Reason(text)


def _grade_reason(found: Findings, graded: Graded, rules: MotorRules, unit: str) -> Reason:
    if graded.rule_id == "depth":
        return Reason(f"{WORDS[graded.grade]}: by its gauge; what that showed when new is not known, so no share is.")
    least = min((b for b in found.brushes if b.left_mm is not None), key=lambda b: b.left_mm or 0.0)
    share = max(least.usable or 0.0, 0.0)
    under_mm = -(least.left_mm or 0.0)
    if graded.rule_id == "wear line":
        seen = least.last.lines if least.last else 0
        return Reason(f"{WORDS[graded.grade]}: wear line {seen} shows at brush {least.label}.")
    figure = rules.figure(graded.rule_id)
    if shows(under_mm):
        words = f"brush {least.label} is {length_words(under_mm, unit)} under its limit"
        return Reason(f"{WORDS[graded.grade]}: {words}.", (figure,))
    side = "over" if graded.grade == "fit" else "at or under"
    now = _usable_now(least, found)
    read = f"was {share:.0%} when it was read" if now else f"is {share:.0%}"
    words = f"usable carbon of brush {least.label} {read}, {side} {figure.value:.0%}{now}"
    return Reason(f"{WORDS[graded.grade]}: {words}.", (figure,))


def _usable_now(brush: BrushNow, found: Findings) -> str:
    """Return about what share of a brush may still be used by now, empty where it is what it was when it was read."""
    share = found.usable_by_now(brush)
    if found.since_read is None or share is None or share == brush.usable:
        return ""
    return f"; {found.since_read.about} {max(share, 0.0):.0%} {found.since_read.now_at}"


def shows(under_mm: float) -> bool:
    """Tell whether what a brush is under its limit is as much as a reading can carry.

    Units: under_mm [mm]
    """
    return not under(under_mm, _LEAST_SHOWN_MM)


def limit_words(limit: Limit, unit: str) -> str:
    """Return a limit as a length, or as the depth that a gauge shows at it where no length is known."""
    if limit.gauge_mm is not None:
        return f"Limit {length_words(limit.gauge_mm, unit)} on the depth gauge"
    return f"Limit {length_words(limit.limit_mm, unit)}"


def limit_reason(found: Findings, rules: MotorRules, unit: str) -> Reason:
    """Return where the limit comes from."""
    limit = found.limit
    text = f"{limit_words(limit, unit)}: {limit.source}"
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
    uses = None if line is None else all_known(line.do_not_exceed_h, line.plan_by_h, line.look_again_h)
    if line is None or uses is None:
        return _no_line(found, state, rules)
    if line.answer == "at the limit":
        return []
    days = found.line_days
    on = (days.limit_on, days.plan_on, days.look_on)
    said = [f"{line_words(x, state.unit)}{f' ({day_words(d)})' if d else ''}" for x, d in zip(uses, on, strict=True)]
    most, plan_by, look_by = said
    figures = (rules.figure("line.plan"), rules.figure("line.look"))
    lead = on_counter("Straight line", state)
    made = [Reason(f"{lead}: do not exceed {most}, plan by {plan_by}, look again by {look_by}.", figures)]
    if line.faster_note:
        made.append(
            Reason(
                "Wear is speeding up: the last interval is faster than the life so far; look for the cause.",
                (rules.figure("line.faster"),),
            )
        )
    if state.rate and found.line_days.limit_on:
        ids = ("use.window",) if state.rate.declared is None else ("use.window", "use.declared-weight")
        bases = tuple(rules.figure(i) for i in ids)
        if state.rate.by_calendar:
            return [*made, Reason("Dates by the calendar: its use is counted in years.")]
        per_week = f"{state.rate.per_week:.1f} {UNIT_WORDS[state.unit]}"
        made.append(Reason(f"Dates from {per_week} a week ({state.rate.words}).", bases))
    return made


def _no_line(found: Findings, state: MotorState, rules: MotorRules) -> list[Reason]:
    """Return that a set has no straight line of its own yet, and the one at the rate of the set before it."""
    early = found.line is not None and found.line.answer == "not enough wear yet"
    words = "No straight line: the wear is under what the instrument can tell."
    made = [Reason(words, (rules.figure("line.least-wear"),))] if early else []
    old = found.old_rate
    if old is None:
        return made
    on = found.old_days
    ends = zip(
        (old.do_not_exceed_h, old.plan_by_h, old.look_again_h), (on.limit_on, on.plan_on, on.look_on), strict=True
    )
    most, plan_by, look_by = (
        f"{line_words(x, state.unit)}{f' ({day_words(d)})' if d is not None else ''}" for x, d in ends
    )
    rate = f"{rate_words(old.rate_mm_per_kh, state.unit, old.worn_mm, old.sd_mm)} {rate_unit(state.unit)}"
    lead = on_counter(f"Straight line at the rate of {old.of_set.words}, {rate}, for this one has none yet", state)
    figures = (rules.figure("line.plan"), rules.figure("line.look"))
    return [*made, Reason(f"{lead}: do not exceed {most}, plan by {plan_by}, look again by {look_by}.", figures)]


def _spread_reasons(found: Findings, state: MotorState, rules: MotorRules) -> list[Reason]:
    spread, made = found.spread, []
    if spread is None:
        return []
    if spread.uneven and spread.spread is not None:
        label = state.positions[spread.most_worn_position - 1].label
        rule = rules.figure("spread.pair" if len(state.positions) == 2 else "spread.set")
        made.append(
            Reason(
                f"Uneven: the wear differs by {spread.spread:.0%} of its mean, {label} most. "
                "Look at holder, spring and lead there before renewing.",
                (rule,),
            )
        )
    if spread.polarity_note and spread.polarity_ratio is not None:
        made.append(
            Reason(
                f"One polarity wears {spread.polarity_ratio:.1f} times as fast as the other.",
                (rules.figure("spread.polarity"),),
            )
        )
    return made
