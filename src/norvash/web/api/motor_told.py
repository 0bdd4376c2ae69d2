"""A motor's verdict as JSON."""

from norvash.core.brush.straight_line import StraightLine
from norvash.core.motor.record import MotorState
from norvash.core.use.since import fitted_words, has_day
from norvash.core.verdict.values import Days, Findings, OldRate
from norvash.work.standing import Judged


def motor_told(made: Judged) -> dict[str, object]:
    """Return a motor's verdict with its reasons and the rules they rest on."""
    context, found, said = made.context, made.found, made.said
    return {
        "motor": {
            "id": context.motor.id,
            "tag": context.motor.tag,
            "name": context.motor.name,
            "class": context.motor.motor_class,
            "retired_on": context.motor.retired.at.date() if context.motor.retired is not None else None,
        },
        "stage": found.grade,
        "stage_before_rises": found.base,
        "rises": [{"on": r.on, "stage": r.grade, "part": r.part, "word": r.word, "why": r.why} for r in found.rises],
        "parts": [
            {"part": c.id, "stage": c.grade, "because": c.by, "overruled": c.overruled is not None}
            for c in found.components
        ],
        "findings": [
            {
                "finding": x.finding.id,
                "position": x.position,
                "place": x.place,
                "words": x.finding.words,
                "stage": x.finding.grade,
                "state": x.state,
                "put_off_to": x.put_off.who if x.put_off is not None and x.waits_for is None else None,
                "due_on": x.put_off.day if x.put_off is not None else None,
                "waits_for": x.waits_for.part if x.waits_for is not None else None,
            }
            for x in found.lives
        ],
        "word": said.word,
        "sentence": said.sentence,
        "figures": [f.as_plain() for f in said.figures],
        "flags": list(said.flags),
        "limit_mm": found.limit.limit_mm,
        "limit_source": found.limit.source,
        "limit_on": found.days.limit_on,
        "plan_on": found.plan_on,
        "early_on": found.days.early_on,
        "look_on": found.days.look_on,
        "set": _set(context.state),
        "straight_line": _line(found),
        "straight_line_at_old_rate": _by_old_rate(found),
        "forecast": found.ahead.as_plain() if found.ahead else None,
        "looks": [
            {"for": d.name, "at_units": d.at_units, "on": d.on, "why": d.why, "first": d is found.look, "asks": d.asks}
            for d in found.dues
        ],
        "reasons": [
            {
                "text": r.text,
                "rules": [{"id": f.rule_id, "value": f.value, "unit": f.unit, "basis": f.basis} for f in r.figures],
            }
            for r in said.reasons
        ],
        "brushes": [
            {
                "position": b.number,
                "label": b.label,
                "length_mm": b.last.length_mm if b.last and b.last.bare_mm is None else None,
                **({"depth_mm": b.last.bare_mm} if b.last and b.last.bare_mm is not None else {}),
                "now_mm": found.since_read.now_mm.get(b.number) if found.since_read is not None else None,
                "usable": b.usable,
                "left_mm": b.left_mm,
                "wear_mm": b.wear_mm,
            }
            for b in found.brushes
        ],
    }


def _line(found: Findings) -> dict[str, object] | None:
    line = found.line
    if line is None:
        return None
    return {
        "left_h": line.left_h,
        **_ends(line, found.line_days),
        "governing_position": line.governing_position,
        "answer": line.answer,
    }


def _ends(line: StraightLine | OldRate, days: Days) -> dict[str, object]:
    """Return what the counter shows at the ends of a straight line, each with its day."""
    return {
        "do_not_exceed_h": line.do_not_exceed_h,
        "do_not_exceed_on": days.limit_on,
        "plan_by_h": line.plan_by_h,
        "plan_by_on": days.plan_on,
        "look_again_h": line.look_again_h,
        "look_again_on": days.look_on,
    }


def _by_old_rate(found: Findings) -> dict[str, object] | None:
    old = found.old_rate
    if old is None:
        return None
    return {"set": old.of_set.number, "rate_mm_per_kh": old.rate_mm_per_kh, **_ends(old, found.old_days)}


def _set(state: MotorState) -> dict[str, object]:
    """Return the set in the motor: when it was fitted, as it was said, and what it has run."""
    current = state.current
    ran = (state.entries[-1].total_units if state.entries else current.fitted_units) - current.fitted_units
    return {
        "number": current.number,
        "fitted": fitted_words(current, state),
        "fitted_on": current.fitted_at.date() if has_day(current, state) else None,
        "ran_units": ran if current.fitted_known else None,
        "unit": state.unit,
    }
