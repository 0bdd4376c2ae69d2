"""The story of a visit in the order of the work, as it is signed: as plain values that stay readable."""

from collections.abc import Iterable
from datetime import datetime

from norvash.core.grades import word_of
from norvash.core.judging.prove.run_words import ran_words
from norvash.core.judging.prove.stage import proof_lacks
from norvash.core.judging.rests_on import found_by
from norvash.core.judging.signing import SIGNED_AS, signed_as
from norvash.core.sheet.field import Painted
from norvash.core.sheet.fields_of_parts import Back, Off
from norvash.core.sheet.given import Given
from norvash.core.sheet.ground import said
from norvash.core.sheet.life import Life
from norvash.core.sheet.part import COMPLAINT, PARTS
from norvash.core.sheet.records import TaskDone
from norvash.core.stages.before.stage import STAGE as BEFORE
from norvash.core.stages.catalogue import ORDER, TASKS, field_of
from norvash.core.stages.decide import DECISIONS, ELSEWHERE, KEPT, KEPT_WHY, OUTCOME, SLIP, answer_words
from norvash.core.stages.sign import refused_given
from norvash.core.state.component import Component
from norvash.core.text.words import use_words
from norvash.core.visit.named import field_words, place_words
from norvash.core.visit.not_asked import not_asked
from norvash.core.visit.proving import handed_over, state_words
from norvash.core.visit.walk import look_words, looked_at, opened
from norvash.store.file.database import Connection
from norvash.store.record import entries, rounds
from norvash.work.reading.sheet_now import SheetNow
from norvash.work.told.axis import axis_told
from norvash.work.told.brushes_kept import brushes_kept
from norvash.work.told.complaint import causes_told, complaint_told
from norvash.work.told.copper import copper_told
from norvash.work.told.figures_changed import figures_changed_told
from norvash.work.told.offers import offers_told
from norvash.work.told.own_rules import own_rules_told
from norvash.work.told.run import run_told
from norvash.work.told.stacks import dropped_told, stacks_told
from norvash.work.told.waived import unmeasured_told, waived_told
from norvash.work.told.ways import ways_told

Plain = dict[str, object]


def visit_told(conn: Connection, page: SheetNow) -> Plain:
    """Return what happened at a visit: the complaint, what was found, the cause, what was decided, done and proven,
    what is put off, and when somebody looks next.
    """
    sheet, kind, outcome = page.sheet, signed_as(page.visit), OUTCOME.of(page.sheet)
    lives = [x for x in page.visit.lives if x.finding.part is not COMPLAINT]
    in_order = sorted(lives, key=lambda x: (ORDER.get(x.finding.id, len(ORDER)), x.position))
    return {
        "signed_as": kind,
        "signed_as_words": ", ".join(
            filter(None, (SIGNED_AS[kind], handed_over(page.visit.lives) if sheet.kind == "full" else ""))
        ),
        "stages": [{"id": x.stage.id, "state": x.state, "why": x.why} for x in page.rail],
        "counter": use_words(page.opened_at, page.context.unit),
        "complaint": complaint_told(page),
        "cause": causes_told(page),
        "parts": [{**_part(x), "looked": look_words(page.visit, x.part)} for x in page.found.components],
        "findings": [_life(x, page.context.sets[-1].nominal, len(page.context.positions)) for x in in_order],
        "axis": axis_told(page.visit) if sheet.kind == "full" else [],
        "commutator": copper_told(page),
        "kept": brushes_kept(page),
        "ways": ways_told(page),
        "offers": offers_told(page.visit),
        "stacks": stacks_told(page.visit),
        "dropped": dropped_told(page.visit, page.work),
        "done": [_task(w.task.done, w.done) for w in page.work if w.done is not None],
        "set": _set(page),
        "run": ran_words(sheet),
        "run_lacks": proof_lacks(page.visit) if ran_words(sheet) else "",
        "ran": run_told(page),
        "opened": opened(page.visit),
        "not_judged": page.unjudged,
        "own_rules": own_rules_told(page),
        "figures_changed": figures_changed_told(conn, page),
        "not_looked_at": [p.words for p in PARTS if not looked_at(page.visit, p)] if sheet.kind == "full" else [],
        "waived": waived_told(page),
        "refused": [{"words": g.typed, "person": g.person, "at": g.at.isoformat()} for g in refused_given(sheet)],
        "unmeasured": unmeasured_told(page),
        **_not_asked(page),
        "before": [{"words": m.words, "right": m.right} for m in page.at(BEFORE)],
        "slips": [_slip(x) for x in page.found.lives if _is_slip(x)],
        "corrected": _corrected(conn, page),
        "again": _again(conn, page),
        "outcome": ": ".join(
            filter(
                None, (dict(OUTCOME.choices).get(OUTCOME.of(sheet), ""), KEPT_WHY.of(sheet) if outcome == KEPT else "")
            )
        ),
    }


def _not_asked(page: SheetNow) -> Plain:
    """Return what a file or a queue brought although it is not asked of the motor, nothing of a sheet without."""
    kept = [field_words(f) for f in not_asked(page.sheet, page.context.rules)]
    return {"not_asked": kept} if kept else {}


def _is_slip(life: Life) -> bool:
    """Tell whether something was withdrawn or softened by somebody's act; what a later reading of the same set did not
    find is no such thing.
    """
    gone = life.kept.withdrawn if life.kept is not None else None
    said = bool(life.moves) or (gone is not None and bool(gone.why))
    return life.graver is not None and (said or "of-lengths" not in life.finding.kinds)


def _part(part: Component) -> Plain:
    """Return what a part was judged to be; its word is empty where nothing was found."""
    return {
        "part": part.id,
        "words": part.words,
        "grade": part.grade,
        "word": part.word,
        "because": "length and use of the set" if part.by == "length" else part.by,
        "overruled_by": part.overruled.person if part.overruled is not None else "",
        "why": part.overruled.why if part.overruled is not None else "",
    }


def _life(life: Life, nominal: frozenset[int], brushes: int) -> Plain:
    decided = life.decided
    proof = list(_by(life.proof, seen="looked again")) or (
        [_new_carbon(life, nominal, brushes)] if "of-brush" in life.finding.kinds else []
    )
    put_off = life.put_off if life.state == "put off" else None
    return {
        "finding": life.finding.id,
        "place": life.place,
        "position": life.position,
        "words": life.finding.words,
        "found_by": found_by(life.kept) if life.kept is not None else "",
        "grade": life.finding.grade,
        "grade_words": word_of(life.finding.grade, carbon=life.finding.renews),
        "state": life.state,
        "state_words": state_words(life),
        "steps": life.steps,
        "decided": _decided(life),
        "decided_by": decided.person if decided is not None else "",
        "why": "" if _says_before(life) else life.why,
        "done_by": list(_by(life.done)),
        "proven_by": proof if life.state == "proven" else [],
        "waits_for": life.waits_for.words if life.waits_for is not None else "",
        "put_off_to": put_off.who if put_off is not None else "",
        "due_on": put_off.day.isoformat() if put_off is not None else "",
        "measured_again": life.measured_again,
    }


def _says_before(life: Life) -> bool:
    """Tell whether it is decided by what happened before this visit."""
    return life.decided is not None and life.decided.word in (ELSEWHERE, SLIP)


def _decided(life: Life) -> str:
    """Return what was decided, and by which way where that was chosen of several."""
    if life.decided is None:
        return ""
    said = DECISIONS.get(life.decided.word, life.decided.word)
    if _says_before(life):
        return f"{said}: {life.why}"
    way = TASKS.get(life.way)
    return f"{said}: {way.what[0].lower()}{way.what[1:]}" if way is not None else said


def _new_carbon(life: Life, nominal: frozenset[int], brushes: int) -> str:
    """Return what is known of the brushes that came in a worn one's place; a length from the part is not measured."""
    if life.position in nominal or (not life.position and nominal):
        which = "their lengths" if life.position or len(nominal) >= brushes else "some of their lengths"
        return f"new brushes are in, {which} taken from the part and not measured"
    return "the new brushes have lengths of their own"


def _by(said: Iterable[Given], seen: str = "") -> Iterable[str]:
    """Yield who entered something, and what: a value, or of what has none what was `seen`."""
    for given in said:
        value = given.typed if given.number is not None else seen
        yield ", ".join(filter(None, (value, f"{given.person} {given.at:%H:%M}")))


def _task(words: str, done: Given) -> Plain:
    record = done.record if isinstance(done.record, TaskDone) else None
    return {
        "words": words,
        "person": done.person,
        "minutes": record.minutes if record is not None else None,
        "parts": record.parts if record is not None else "",
    }


def _set(page: SheetNow) -> Plain | None:
    """Return the set that was fitted on this sheet, None without one."""
    current = page.context.sets[-1]
    if current.sheet_id != page.row.id:
        return None
    labels = {p.number: p.label for p in page.context.positions}
    old = next(s for s in reversed(page.context.sets) if s.sheet_id != page.row.id)
    read = {n: m.length_mm for r in current.rounds if r.sheet_id == page.row.id for n, m in r.readings.items()}
    last = {n: m.length_mm for r in old.rounds for n, m in r.readings.items()}
    return {
        "number": current.number,
        "part": current.part,
        "variant": current.variant,
        "why": old.end_reason,
        "ran": page.context.state.ran_words(old),
        "lengths_mm": {labels[n]: read.get(n) for n in labels},
        "nominal": [labels[n] for n in sorted(current.nominal) if n in labels],
        "old_lengths_mm": {labels[n]: last.get(n) for n in labels},
    }


def _corrected(conn: Connection, page: SheetNow) -> list[Plain]:
    """Return the values that were entered by a slip of the pen, with what stands there since."""
    labels = {p.number: p.label for p in page.context.positions}
    made = [
        _correction(labels.get(g.position_number, ""), g.typed, instead, by, g.at, g.person)
        for g, instead, by in rounds.list_corrected(conn, page.row.id)
        if g.person == by
    ]
    for field_id, place, stood, since in entries.list_slips(conn, page.row.id):
        field = field_of(field_id)
        words = f"{field_words(field)}{place_words(field, place, labels)}" if field is not None else field_id
        made.append(_correction(words, stood.typed, since.typed, since.person, since.at, stood.person))
    return made


def _again(conn: Connection, page: SheetNow) -> list[Plain]:
    """Return the values that were measured or looked at again in the same sight: the first ones are not lost."""
    labels = {p.number: p.label for p in page.context.positions}
    made = [
        _correction(f"Brush {labels.get(g.position_number, '')}", g.typed, instead, by, g.at, g.person)
        for g, instead, by in rounds.list_corrected(conn, page.row.id)
        if g.person != by
    ]
    for field_id, place, stood, since in entries.list_replaced(conn, page.row.id):
        field = field_of(field_id)
        told = isinstance(field, Off | Back) or (field is not None and field.sighted)
        if field is not None and told and not isinstance(field, Painted):
            words = f"{field_words(field)}{place_words(field, place, labels)}"
            before, now = (answer_words(field, g.word, g.typed) for g in (stood, since))
            made.append(_correction(words, before, now, since.person, since.at, stood.person))
    return made


def _correction(*said: str | datetime) -> Plain:
    """Return what was replaced: what it is, what stood there, what stands there since, by whom, when, whose it was."""
    what, typed, instead, person, at, first = (x.isoformat() if isinstance(x, datetime) else x for x in said)
    return {"what": what, "typed": typed, "instead": instead, "person": person, "at": at, "first": first}


def _slip(life: Life) -> Plain:
    """Return what was withdrawn or softened: by whom and why, and the changes of what it is judged on."""
    gone = life.kept.withdrawn if life.kept is not None else None
    return {
        "place": life.place,
        "words": (life.graver or life.finding).words,
        "by": gone.person if gone is not None else "",
        "found_by": gone.found_by if gone is not None else "",
        "why": gone.why if gone is not None else "",
        "changes": [said(m) for m in life.moves],
        "softened": life.state != "withdrawn",
    }
