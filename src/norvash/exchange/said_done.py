"""Whatever is said, through the job that it stands for."""

from dataclasses import dataclass, replace
from functools import singledispatch

from norvash.core.names.changed import name_now
from norvash.core.rules.catalogue import SCHOOLS_BY_ID
from norvash.core.sheet.moved import Explained
from norvash.core.sheet.stages.catalogue import field_of
from norvash.core.sheet.visit.done import done_tasks, sight_of
from norvash.errors import Conflict, InputError, NotFound
from norvash.exchange import said
from norvash.exchange import visit_file as v
from norvash.exchange.said import Seen
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
    """Of which motor something is said, on which sheet, empty without one, and what was seen there.

    A file says nothing of that, and has the motor as it `describes` it: it replaces what stands there.
    """

    conn: Connection
    motor_id: str
    sheet_id: str
    seen: Seen | None = None
    describes: v.MotorTold | None = None

    @property
    def motor(self) -> v.MotorTold:
        """Return the motor as its file describes it."""
        if self.describes is None:
            raise LookupError("only a file describes its motor")
        return self.describes


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
def _use(entry: said.Use, act: Act, at: At) -> str:
    return log_use(at.conn, act, at.motor_id, text=entry.value, mode=entry.mode, day=entry.day, answer=entry.answer)


@done.register
def _open(entry: said.Open, act: Act, at: At) -> str:
    left = sheets.open_sheet_of(at.conn, at.motor_id) if at.seen is None else None
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
def _enter(entry: said.Enter, act: Act, at: At) -> str:
    seen, sight = (at.seen, entry.sight) if at.seen is not None else _proposed(entry, at)
    return enter(
        at.conn,
        act,
        at.sheet_id,
        field_id=entry.field,
        place=entry.place,
        text=entry.value,
        replaces=seen.replaces,
        more=entry.with_it,
        seeing=_seeing(entry, seen, sight),
    )


def _seeing(entry: said.Enter | said.Measure, seen: Seen, sight: str) -> Seeing:
    return Seeing(sight=sight, touched=seen.touched, program=seen.program, answer=entry.answer, why=entry.why)


def _proposed(entry: said.Enter, at: At) -> tuple[Seen, str]:
    """Return what a file would have seen, and the sight that the sheet proposes where it names none."""
    field, context = field_of(entry.field), load(at.conn, at.motor_id)
    sheet = context.open_sheet
    if field is None:
        raise NotFound(f"A sheet has no “{entry.field[:60]}”.", "Name one that is documented.", "field")
    if entry.sight == "asked" or sheet is None:
        return Seen(), ""
    proposed = sight_of(field, done_tasks(sheet), context.state.told.new, entry.place)
    sight = entry.sight or proposed
    there = next((g for at, g in context.written.items() if at == (entry.field, entry.place, sight)), None)
    return Seen(there.id if there is not None else "", proposed == "left"), sight


@done.register
def _measure(entry: said.Measure, act: Act, at: At) -> str:
    seen, sight = (at.seen, entry.sight) if at.seen is not None else _there(entry, at)
    return record(
        at.conn,
        act,
        at.sheet_id,
        position=entry.place,
        text=entry.value,
        method=entry.method,
        instrument=entry.instrument,
        replaces=seen.replaces,
        seeing=_seeing(entry, seen, sight),
    )


def _there(entry: said.Measure, at: At) -> tuple[Seen, str]:
    """Return which reading a file would have seen, and its sight."""
    sight = "" if entry.sight == "asked" else entry.sight
    there = [
        g
        for r in rounds.rounds_of(at.conn, at.sheet_id)
        for g in rounds.list_sighted(at.conn, r.id)
        if g.position_number == entry.place and g.sight == (sight or "found")
    ]
    return Seen(there[-1].id if there else ""), sight


@done.register
def _see(entry: said.See, act: Act, at: At) -> str:
    return note(
        at.conn, act, at.sheet_id, entry.place, entry.value, gone=entry.gone, answer=entry.answer, why=entry.why
    )


@done.register
def _doubt(entry: said.Doubt, act: Act, at: At) -> str:
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
def _confirm(entry: said.Confirm, act: Act, at: At) -> str:
    judged = judge(load(at.conn, at.motor_id), act.at.date())
    there = next((r.change for r in rests_on(at.conn, judged) if r.change.name == entry.name), None)
    if there is None:
        raise NotFound(f"Nothing of this motor rests on a change of “{entry.name}”.", "Name one that it does.", "name")
    return confirm(at.conn, act, at.motor_id, there.id, entry.source)


@done.register
def _fit(entry: said.Fit, act: Act, at: At) -> str:
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
def _renew(entry: said.Renew, act: Act, at: At) -> str:
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
    by_label = at.seen is None
    labels = {p.label: p.number for p in load(at.conn, at.motor_id).positions} if by_label else {}
    made = {}
    for place, text in typed.items():
        number = labels.get(place) or (int(place) if place.isdecimal() else None)
        if number is None:
            raise InputError(f"There is no position “{place}”.", "Name one by its label or number.", "lengths")
        made[number] = text
    return made


@done.register
def _whole(_entry: said.Whole, act: Act, at: At) -> str:
    return make_whole(at.conn, act, at.sheet_id)


@done.register
def _sign(entry: said.Sign, act: Act, at: At) -> str:
    return sign(at.conn, act, at.sheet_id, entry.why, service=entry.service)


@done.register
def _add(entry: said.Add, act: Act, at: At) -> str:
    return add_to_signed(at.conn, act, at.sheet_id, entry.value)
