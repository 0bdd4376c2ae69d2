"""A motor's verdict as JSON."""

from norvash.core.brush.straight_line import StraightLine
from norvash.core.grades import Grade
from norvash.core.judging.brushes.lengths import lengths
from norvash.core.judging.measuring import measured_on
from norvash.core.sheet.life import Life
from norvash.core.state.findings import BrushNow, Days, Findings, OldRate, Reason
from norvash.core.state.marks import Mark
from norvash.core.state.motor_state import MotorState
from norvash.core.state.policy import Due
from norvash.core.state.since import fitted_words, has_day
from norvash.work.reading.standing import Judged


def motor_told(made: Judged) -> dict[str, object]:
    """Return a motor's verdict with its reasons and the rules they rest on."""
    context, found, said = made.context, made.found, made.said
    sheet = context.open_sheet
    on_sheet = measured_on(sheet, context.rules, context.worn_mm) if sheet is not None else ()
    return {
        "motor": {
            "id": context.motor.id,
            "tag": context.motor.tag,
            "name": context.motor.name,
            "class": context.motor.motor_class,
            "retired_on": context.motor.retired.at.date() if context.motor.retired is not None else None,
        },
        **_grade(found.machine),
        **_grade(found.machine_base, "_before_rises"),
        **_grade(found.grade, "_of_motor"),
        "rises": [{"on": r.on, **_grade(r.grade), "part": r.part, "word": r.word, "why": r.why} for r in found.rises],
        "parts": [
            {"part": c.id, **_grade(c.grade), "because": c.by, "overruled": c.overruled is not None}
            for c in found.components
        ],
        "findings": [_finding(x) for x in found.lives],
        "word": said.word,
        "sentence": said.sentence,
        "figures": [f.as_plain() for f in said.figures],
        "flags": list(said.flags),
        "limit_mm": found.limit.limit_mm,
        "limit_source": found.limit.source,
        "limit_on": found.days.limit_on,
        "plan_on": found.days.plan_on,
        "early_on": found.days.early_on,
        "look_on": found.days.look_on,
        "set": _set(context.state),
        "straight_line": _line(found),
        "straight_line_at_old_rate": _by_old_rate(found),
        "forecast": found.ahead.as_plain() if found.ahead else None,
        "looks": [_look(d, found) for d in found.dues],
        "when": [_mark(m, found) for m in found.when.all()],
        "reasons": [_reason(r) for r in said.reasons],
        "brushes": [_brush(b, found) for b in found.brushes],
        "measured": [m.as_plain() for m in (*on_sheet, *lengths(found, context.figures, context.rules))],
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
        "ran_at_least": state.ran_at_least(state.current),
        "unit": state.unit,
    }


def _grade(grade: Grade | None, of: str = "") -> dict[str, Grade | None]:
    """Return a grade under its name, and under the one that it had before."""
    return {f"grade{of}": grade, f"stage{of}": grade}


def _finding(life: Life) -> dict[str, object]:
    """Return a finding with its state, and what it is put off to or waits for."""
    put_off, waits_for = life.put_off, life.waits_for
    return {
        "finding": life.finding.id,
        "position": life.position,
        "place": life.place,
        "words": life.finding.words,
        **_grade(life.finding.grade),
        "state": life.state,
        "put_off_to": put_off.who if put_off is not None and waits_for is None else None,
        "due_on": put_off.day if put_off is not None else None,
        "waits_for": waits_for.part if waits_for is not None else None,
    }


def _look(due: Due, found: Findings) -> dict[str, object]:
    return {
        "for": due.name,
        "at_units": due.at_units,
        "on": due.on,
        "why": due.why,
        "first": found.look is not None and due is found.look.due,
        "asks": due.asks,
    }


def _mark(mark: Mark, found: Findings) -> dict[str, object]:
    """Return a look, a plan or a limit with who names it, and whether it is the one that holds."""
    return {
        "kind": mark.kind,
        "by": mark.name,
        "at_units": mark.at_units,
        "on": mark.on,
        "holds": any(mark is m for m in (found.when.look, found.when.plan, found.when.limit)),
        "why": mark.why,
        "not_counted": mark.aside,
    }


def _reason(reason: Reason) -> dict[str, object]:
    """Return a reason with the rules that it rests on."""
    rules = [{"id": f.rule_id, "value": f.value, "unit": f.unit, "basis": f.basis} for f in reason.figures]
    return {"text": reason.text, "rules": rules}


def _brush(brush: BrushNow, found: Findings) -> dict[str, object]:
    """Return a brush as it was last read: a length, or the depth of a gauge that nobody zeroed."""
    last, since = brush.last, found.since_read
    bare_mm = last.bare_mm if last is not None else None
    return {
        "position": brush.number,
        "label": brush.label,
        "length_mm": last.length_mm if last is not None and bare_mm is None else None,
        **({"depth_mm": bare_mm} if bare_mm is not None else {}),
        "now_mm": since.now_mm.get(brush.number) if since is not None else None,
        "usable": brush.usable,
        "left_mm": brush.left_mm,
        "wear_mm": brush.wear_mm,
    }
