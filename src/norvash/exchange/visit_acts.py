"""One entry of a visit's file through the job that it stands for."""

from dataclasses import dataclass, replace
from functools import singledispatch

from norvash.core.names.changed import name_now
from norvash.core.rules.catalogue import SCHOOLS_BY_ID
from norvash.core.sheet.field import Field
from norvash.core.sheet.given import Given
from norvash.core.sheet.moved import Explained
from norvash.core.sheet.stages.catalogue import field_of
from norvash.core.sheet.visit.done import done_tasks, sight_of
from norvash.errors import Conflict, InputError, NotFound
from norvash.exchange import visit_file as v
from norvash.store import motors, rounds, sheets
from norvash.store.database import Connection
from norvash.work.acting import Act
from norvash.work.changing_figures import ASKED, change_figures, state_figures
from norvash.work.confirming import confirm, rests_on
from norvash.work.loading import load
from norvash.work.logging_use import log_use
from norvash.work.measuring import note, record
from norvash.work.new_set import Fitting, fit_new_set
from norvash.work.opening import make_whole, open_sheet
from norvash.work.registering import NewMotor, add_motor
from norvash.work.renewing import renew_brushes
from norvash.work.ruling import clear_rule, set_rule, set_school
from norvash.work.settling import settle_doubt
from norvash.work.sheets import enter
from norvash.work.sighting import Seeing
from norvash.work.signing import add_to_signed, sign
from norvash.work.standing import judge
from norvash.work.stating import SinceTyped


@dataclass(frozen=True, slots=True)
class At:
    """Where an entry is made: the motor as the file describes it, its id, and that of its sheet, empty without one."""

    conn: Connection
    motor: v.MotorTold
    motor_id: str
    sheet_id: str


@singledispatch
def done(entry: object, _act: Act, _at: At) -> str:
    """Do the job of an entry and return what came of it.

    Raises: what the job raises.
    """
    raise LookupError(type(entry))


@done.register
def _register(entry: v.Register, act: Act, at: At) -> str:
    given = NewMotor(
        tag=at.motor.tag,
        name=at.motor.name,
        place=at.motor.place,
        motor_class=at.motor.motor_class,
        type_id="",
        brushes=at.motor.brushes,
        new_length="",
        limit="",
        unit_of_use="",
        use_now=entry.counter,
        set_is_new=entry.set_is_new,
        figures=at.motor.figures,
        since=SinceTyped(day=entry.new_on, ran=entry.ran),
        answer=entry.answer,
    )
    return add_motor(at.conn, act, given)


@done.register
def _use(entry: v.Use, act: Act, at: At) -> str:
    return log_use(at.conn, act, at.motor_id, text=entry.value, mode=entry.mode, day=entry.day, answer=entry.answer)


@done.register
def _open(entry: v.Open, act: Act, at: At) -> str:
    left = sheets.open_sheet_of(at.conn, at.motor_id)
    if left is not None:
        raise Conflict(
            f"Sheet {left.number} of this motor is open, {left.person} has begun it.", "Sign that one first.", "do"
        )
    return open_sheet(
        at.conn,
        act,
        at.motor_id,
        kind=entry.kind,
        counter=entry.counter,
        round_kind=entry.round,
        answer=entry.answer,
        safe=entry.safe,
    )


@done.register
def _enter(entry: v.Enter, act: Act, at: At) -> str:
    field = field_of(entry.field)
    if field is None:
        raise NotFound(f"A sheet has no “{entry.field[:60]}”.", "Name one that is documented.", "field")
    seeing, there = _seeing(field, entry, at)
    return enter(
        at.conn,
        act,
        at.sheet_id,
        field_id=entry.field,
        place=entry.place,
        text=entry.value,
        replaces=there.id if there is not None else "",
        more=entry.with_it,
        seeing=seeing,
    )


def _seeing(field: Field, entry: v.Enter, at: At) -> tuple[Seeing, Given | None]:
    """Return what is said of the sight of an entry, where nothing is that which the sheet proposes, and what stands
    there.
    """
    context = load(at.conn, at.motor_id)
    sheet = context.open_sheet
    if entry.sight == "asked" or sheet is None:
        return Seeing(answer=entry.answer, why=entry.why), None
    proposed = sight_of(field, done_tasks(sheet), context.state.told.new, entry.place)
    sight = entry.sight or proposed
    there = context.written.get((entry.field, entry.place, sight))
    return Seeing(sight=sight, touched=proposed == "left", answer=entry.answer, why=entry.why), there


@done.register
def _measure(entry: v.Measure, act: Act, at: At) -> str:
    sight = "" if entry.sight == "asked" else entry.sight
    there = [
        g
        for r in rounds.rounds_of(at.conn, at.sheet_id)
        for g in rounds.list_sighted(at.conn, r.id)
        if g.position_number == entry.place and g.sight == (sight or "found")
    ]
    return record(
        at.conn,
        act,
        at.sheet_id,
        position=entry.place,
        text=entry.value,
        method=entry.method,
        instrument=entry.instrument,
        replaces=there[-1].id if there else "",
        seeing=Seeing(sight=sight, answer=entry.answer, why=entry.why),
    )


@done.register
def _see(entry: v.See, act: Act, at: At) -> str:
    said = {"answer": entry.answer, "why": entry.why}
    return note(at.conn, act, at.sheet_id, entry.place, entry.value, gone=entry.gone, **said)


@done.register
def _doubt(entry: v.Doubt, act: Act, at: At) -> str:
    for a_round in reversed(rounds.rounds_of(at.conn, at.sheet_id)):
        reading = rounds.list_readings(at.conn, a_round.id).get(entry.place)
        if reading is not None:
            return settle_doubt(at.conn, act, reading.id, entry.answer, entry.why)
    raise NotFound("There is no reading at this place.", "Measure it first.", "place")


@done.register
def _figure(entry: v.Figure, act: Act, at: At) -> str:
    own, name = load(at.conn, at.motor_id).stated.own_words, name_now("figure", entry.name)
    act = replace(act, explained=Explained(entry.answer, entry.source))
    if at.sheet_id and name in ASKED and sheets.fetch_sheet(at.conn, at.sheet_id).signed_at is None:
        return state_figures(at.conn, act, at.sheet_id, {name: entry.value}, {name: own.get(name, "")})
    version = motors.fetch_motor(at.conn, at.motor_id).version
    return change_figures(at.conn, act, at.motor_id, {**own, name: entry.value}, version)


@done.register
def _rule(entry: v.Rule, act: Act, at: At) -> str:
    act, conn = replace(act, explained=Explained(entry.answer, entry.source)), at.conn
    if not entry.value:
        return clear_rule(conn, act, entry.name, "motor", at.motor.tag)
    of = {"scope": "motor", "scope_id": at.motor.tag, "why": entry.why}
    if entry.name in SCHOOLS_BY_ID:
        return set_school(conn, act, entry.name, key=entry.value, **of)
    return set_rule(conn, act, entry.name, text=entry.value, **of)


@done.register
def _confirm(entry: v.Confirm, act: Act, at: At) -> str:
    judged = judge(load(at.conn, at.motor_id), act.at.date())
    there = next((r.change for r in rests_on(at.conn, judged) if r.change.name == entry.name), None)
    if there is None:
        raise NotFound(f"Nothing of this motor rests on a change of “{entry.name}”.", "Name one that it does.", "name")
    return confirm(at.conn, act, at.motor_id, there.id, entry.source)


@done.register
def _fit(entry: v.Fit, act: Act, at: At) -> str:
    return fit_new_set(
        at.conn,
        act,
        at.motor_id,
        counter=entry.counter,
        reason=entry.reason,
        lengths=_lengths(entry.lengths, at),
        answer=entry.answer,
        stated=Fitting(part=entry.part, variant=entry.variant, also=entry.also),
    )


@done.register
def _renew(entry: v.Renew, act: Act, at: At) -> str:
    return renew_brushes(
        at.conn,
        act,
        at.motor_id,
        counter=entry.counter,
        reason=entry.reason,
        lengths=_lengths(entry.lengths, at),
        answer=entry.answer,
    )


def _lengths(typed: dict[str, str], at: At) -> dict[int, str]:
    """Return lengths by the number of their position; in a file they stand by label or by number."""
    labels = {p.label: p.number for p in load(at.conn, at.motor_id).positions}
    made = {}
    for place, text in typed.items():
        number = labels.get(place) or (int(place) if place.isdecimal() else None)
        if number is None:
            raise InputError(f"There is no position “{place}”.", "Name one by its label or number.", "lengths")
        made[number] = text
    return made


@done.register
def _whole(_entry: v.Whole, act: Act, at: At) -> str:
    return make_whole(at.conn, act, at.sheet_id)


@done.register
def _sign(entry: v.Sign, act: Act, at: At) -> str:
    return sign(at.conn, act, at.sheet_id, entry.why, service=entry.service)


@done.register
def _add(entry: v.Add, act: Act, at: At) -> str:
    return add_to_signed(at.conn, act, at.sheet_id, entry.value)
