"""What is refused as it is entered, by what stands on the sheet beside it."""

from dataclasses import replace

from norvash.core.grades import GRADES
from norvash.core.judging.drive.ends import bearing_at
from norvash.core.judging.prove.refused import refuse_paint, refuse_run
from norvash.core.judging.refusing_parts import refuse_parts
from norvash.core.judging.refusing_permit import refuse_permit
from norvash.core.judging.run_in import limited
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.field import BEARINGS, Decision, Field
from norvash.core.sheet.finding import Finding
from norvash.core.sheet.gate import Gate
from norvash.core.sheet.life import STANDING, Told
from norvash.core.sheet.part import GUARDS, LIFTING
from norvash.core.sheet.putting_off import Asked, put_off_anew
from norvash.core.sheet.records import PutBy, PutOff, Record, SlotTime, Why
from norvash.core.sheet.records_of_parts import TakenFor
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.before.fields import NOLOAD_A, NOLOAD_RPM
from norvash.core.stages.catalogue import FINDINGS
from norvash.core.stages.commutator.cut import CUT_DONE, CUT_MINUTES
from norvash.core.stages.decide import ELSEWHERE, OUTCOME, OVERRULED, SLIP, STOPS, decided_finding, decision
from norvash.core.stages.drive.bearings import BEARING_GREASED
from norvash.core.stages.drive.together import TOGETHER
from norvash.core.stages.gates import GATES
from norvash.core.stages.prove.run_fields import RUN_WHERE
from norvash.core.stages.rework import TEMPORARY
from norvash.core.stages.running_in import RUNIN_POINTS
from norvash.core.stages.ways import TAKEN
from norvash.core.stages.windings.withstand import WITHSTAND_V, refuse_withstand
from norvash.core.visit.gate_ticked import ticked
from norvash.core.visit.improvised import refuse_mending
from norvash.core.visit.lives import lives
from norvash.core.visit.together import together_words
from norvash.core.visit.ways import ways_now
from norvash.core.visit.whole_look import looked_at_whole
from norvash.errors import InputError, JudgedAgainst

_AGAIN = {g.again: g for g in GATES.values()}


def refuse(field: Field, place: int, asked: Asked, *, sheet: Sheet, told: Told, rules: MotorRules) -> Record | None:
    """Refuse what must not be done to this motor; return what belongs to the entry, with what is known of it now.

    Raises: InputError that says what is right.
    """
    if isinstance(field, Decision) and asked.word:
        return _decision(field, place, asked, sheet=sheet, told=told, rules=rules)
    if field in OVERRULED.values() and asked.word:
        _overrule(field, asked.word, told)
    refuse_run(field, place, word=asked.word, number=asked.number, sheet=sheet, rules=rules)
    refuse_paint(field, asked.word, sheet, rules)
    if field is WITHSTAND_V and asked.number is not None:
        refuse_withstand(sheet, place, asked.number, rules)
    if field in (NOLOAD_RPM, NOLOAD_A) and asked.number is not None and sheet.facts.asked_where:
        _said_where(sheet)
    refuse_parts(field, place, asked, sheet=sheet, rules=rules)
    refuse_permit(field, place, asked, sheet=sheet, told=told, rules=rules)
    if field is BEARING_GREASED and asked.word == "grease":
        _grease(sheet, place)
    return _with_it(field, place, asked, sheet=sheet, told=told, rules=rules)


def _with_it(field: Field, place: int, asked: Asked, *, sheet: Sheet, told: Told, rules: MotorRules) -> Record | None:
    """Return what belongs to an entry, with what is known of it now."""
    if field is RUNIN_POINTS:
        return limited(place, asked, sheet=sheet, rules=rules)
    if field is TAKEN and asked.word:
        return _taken(asked, sheet, told, rules)
    if field is TEMPORARY and isinstance(asked.record, PutOff) and asked.record.mends:
        refuse_mending(asked.record.mends, lives(told))
    if field is TOGETHER and asked.word:
        return together_words(asked.word, sheet, lives(told), rules)
    if field in _AGAIN and asked.word:
        return _said_again(_AGAIN[field], sheet, rules)
    return _of_cut(field, asked.number, sheet, rules) or asked.record


def _of_cut(field: Field, number: float | None, sheet: Sheet, rules: MotorRules) -> Record | None:
    """Return what a cut leaves for good, or how long its slots were planned to take; None for every other field."""
    if number is None or field not in (CUT_DONE, CUT_MINUTES):
        return None
    if field is CUT_DONE:
        from norvash.core.judging.commutator.cut_made import cut_record

        return cut_record(sheet, number, rules)
    from norvash.core.judging.commutator.slots_here import cut_minutes

    planned = cut_minutes(sheet.as_found, rules)
    return None if planned is None else SlotTime(float(f"{planned:g}"))


def _said_again(gate: Gate, sheet: Sheet, rules: MotorRules) -> Why:
    """Return what is said again of a gate, each by its name; refuse that where not all of what is missing was said."""
    again = ticked(gate, sheet, rules).again
    if not again:
        raise InputError(
            f"“{gate.words}” has nothing that was said before and undone since.",
            "Tick what is missing by itself.",
            "value",
        )
    return Why("; ".join(again))


def _taken(asked: Asked, sheet: Sheet, told: Told, rules: MotorRules) -> Record | None:
    """Refuse to take a way that nobody has priced, or another than the one that is proposed without saying why; return
    what it was taken by.
    """
    now = ways_now(sheet, lives(told), rules)
    place = int(asked.word)
    if now is None or place not in now.places:
        raise InputError("This way is not on the sheet.", "Price it first, or choose one that is there.", "value")
    way, proposed = now.found.ways[now.places.index(place)], now.found.proposed
    record = asked.record if isinstance(asked.record, TakenFor) else TakenFor()
    if proposed is not None and way is not proposed and not record.why:
        raise InputError(
            f"“{proposed.name}” is proposed.", "Say why it is another one: it stays with the decision.", "why"
        )
    return replace(record, name=way.name, prices=now.prices)


def _said_where(sheet: Sheet) -> None:
    if not RUN_WHERE.of(sheet):
        raise InputError(
            "Nobody has said where it runs.",
            "Say first: in its machine, or bare. Bare it runs away without load.",
            "value",
        )


def _overrule(field: Field, word: str, told: Told) -> None:
    """Refuse to soften what takes a part out of service."""
    part = next(p for p, f in OVERRULED.items() if f is field)
    kept = (k.finding for k in told.kept if k.state in STANDING)
    stop = next((f for f in (*told.now.values(), *kept) if f.part.id == part and f.grade == "stop"), None)
    if stop is not None and word != "stop":
        raise JudgedAgainst(
            f"“{stop.words}” takes it out of service: that is not overruled to something milder.",
            "Mend and prove it; a part may be judged graver, never a stop milder.",
            "value",
        )


def _decision(
    field: Decision, place: int, asked: Asked, *, sheet: Sheet, told: Told, rules: MotorRules
) -> Record | None:
    """Refuse to decide what is not known here, to put off or drop what stops a motor, and to drop what nobody has
    looked at.
    """
    finding_id = decided_finding(field)
    every = place == 0 and finding_id in FINDINGS and bool(FINDINGS[finding_id].per)  # without a place it speaks of all
    lives = [k for k in told.kept if k.finding.id == finding_id and (every or k.position == place)]
    now = [f for (n, i), f in told.now.items() if i == finding_id and (every or n == place)]
    life = max(lives, key=lambda k: GRADES.index(k.finding.grade), default=None)
    kept = life.finding if life is not None else None
    finding = max(now, key=lambda f: GRADES.index(f.grade), default=kept or FINDINGS.get(finding_id))
    if finding is None:
        raise InputError("This decision is not known.", "Decide what is found on the sheet.", "value")
    stops = finding.grade == "stop" or (kept is not None and kept.grade == "stop")
    if asked.word in ("deferred", "left"):
        grave = max((f.grade for f in (finding, kept) if f is not None), key=GRADES.index)
        before = decision(finding_id).given(sheet, place)
        then = before.put_off if before is not None else life.put_off if life is not None else None
        in_use = OUTCOME.of(sheet) not in STOPS
        return put_off_anew(finding.words, grave, asked, then, in_use=in_use, rules=rules)
    if asked.word == "waits" and isinstance(asked.record, PutOff):
        return replace(asked.record, by=PutBy(asked.by.person, asked.by.today))
    if asked.word == "owner":
        _refuse_handing_over(finding, sheet)
    if asked.word in (ELSEWHERE, SLIP):
        _refuse_before(finding, carried=any(k.sheet_id != sheet.id for k in lives), stands=bool(now))
    if asked.word == "dropped":
        _refuse_drop(finding, sheet, told, stops=stops)
    return asked.record


def _refuse_handing_over(finding: Finding, sheet: Sheet) -> None:
    if not finding.part.outside:
        raise InputError(
            f"“{finding.words}” is in the motor: that is not handed over.",
            "Only what lies before or beside the motor is; decide it otherwise.",
            "value",
        )
    if finding.part is LIFTING or (finding.part is GUARDS and sheet.facts.may_carry):
        raise JudgedAgainst(
            f"“{finding.words}”: of what carries that is never handed over.",
            "Mend it and prove it, or take the machine out of service, or send it away.",
            "value",
        )


def _refuse_before(finding: Finding, *, carried: bool, stands: bool) -> None:
    """Refuse to say what happened before this visit of what began at it, or is found at it too."""
    if not carried:
        raise InputError(
            f"“{finding.words}” was first found at this visit.",
            "Mend it and prove it; a slip of the pen is corrected where it was entered.",
            "value",
        )
    if stands:
        raise InputError(f"“{finding.words}” is found at this visit too.", "Decide what is done about it.", "value")


def _refuse_drop(finding: Finding, sheet: Sheet, told: Told, *, stops: bool) -> None:
    """Refuse to drop what stands; what only another version knows ends so once its whole part was looked at."""
    if stops:
        raise JudgedAgainst(
            f"“{finding.words}” takes it out of service: that is not dropped.",
            "Do it, or let it wait for its part out of service.",
            "value",
        )
    if finding.part.outside:
        raise JudgedAgainst(
            f"“{finding.words}” is not right before the motor: that is not dropped.",
            "Mend it and prove it, or hand it to the owner; a slip of the pen is corrected where it was entered.",
            "value",
        )
    if finding.known and finding.grave:
        raise JudgedAgainst(
            f"“{finding.words}” is not dropped: it stands.",
            "Mend and prove it, take it back by a fresh look if it was a slip, or leave it so: name, reason and day.",
            "value",
        )
    if not finding.known and not looked_at_whole(sheet, finding.part, measured=told.measured):
        raise InputError(
            f"“{finding.words}” is not dropped before somebody has looked at all of it.",
            f"Look at the whole part first: {finding.part.words}.",
            "value",
        )


def _grease(sheet: Sheet, place: int) -> None:
    try:
        found = bearing_at(sheet, place)
    except InputError:
        found = None
    if found is not None and not found.greased:
        sealed = "perhaps sealed" if found.perhaps and not found.sealed else found.seal
        raise JudgedAgainst(
            f"Not greased: {BEARINGS[place - 1]}, {found.designation}, {sealed}.",
            "A sealed bearing is renewed, never greased.",
            "value",
        )
