"""Doubtful readings: asked about, answered, taken back."""

from collections.abc import Iterator
from dataclasses import dataclass, replace

from norvash.core.brush.doubts import ANSWERS, Doubt, doubt_of
from norvash.core.brush.gauged import is_floating
from norvash.core.brush.motor_limit import motor_limit
from norvash.core.brush.readings import Reading
from norvash.core.brush.renewal import Carbon
from norvash.core.brush.straight_line import Point
from norvash.core.motor.figure_fields import EXPECTED_LIFE_UNITS, NEW_MM
from norvash.core.motor.positions import PositionPlan
from norvash.core.record.brushes import DoubtAnswered, ReadingStands
from norvash.core.state.round import Measured, Round
from norvash.core.state.set_clock import start_of
from norvash.core.state.swapped import could_be_of, swapped_answer, swapped_with
from norvash.errors import Conflict, InputError
from norvash.store.file.database import Connection
from norvash.store.record import rounds
from norvash.store.record.rounds import ReadingRow
from norvash.work.act.acting import Act, Change
from norvash.work.on_sheet.sighting import reason_of
from norvash.work.reading.context import Context
from norvash.work.reading.loading import load
from norvash.work.reading.saying import Saying, say
from norvash.work.reading.standing import foresee, judge


def doubt_about(context: Context, row: Round, plan: PositionPlan, reading: Reading) -> Doubt | None:
    """Return the doubt about a reading, against this set's start, its last round and its partners."""
    state, current = context.state, context.state.current
    this = next((r for r in current.rounds if r.id == row.id), None)
    if this is None:  # of a set that has gone meanwhile
        return None
    previous = _previous(current.rounds, this, plan.number)
    if is_floating(state.figures) and previous is None:  # nothing tells what it showed when the brush was new
        return None
    start = start_of(state, current, plan.number, context.rules)
    if start.run_h >= row.total_units and not current.fitted_known:
        start = Point(NEW_MM.need(state.figures), row.total_units, start.sd_mm)
    new_mm, limit = NEW_MM.need(state.figures), motor_limit(state.figures, context.rules)
    rate = (
        state.ahead.rate_mm_per_unit
        if state.ahead
        else (new_mm - limit.limit_mm) / EXPECTED_LIFE_UNITS.need(state.figures)
    )
    return doubt_of(
        reading,
        start,
        previous,
        run_h=row.total_units,
        partners=_partners(context, this, plan.number),
        rules=context.rules,
        carbon=Carbon(new_mm, limit.limit_mm, rate),
        fresh=this.kind == "fitting" or not current.fitted_known or plan.number in state.told.new,
    )


def take_back_answer(conn: Connection, act: Act, reading_id: str) -> str:
    """Open a doubt again that was answered with “it is right”; return the motor's id.

    Raises: Conflict when there is no such answer to take back.
    """

    def prepare(now: Act) -> Saying:
        found = _found(conn, reading_id)
        if found is None or not found.reading.doubt_answer:
            raise Conflict("This answer stands no more.", "Look at the round as it is now.")
        again = replace(found.now, doubt=found.reading.doubt, swapped=0) if found.now is not None else None
        motor_id, reading = found.context.motor.id, found.reading
        change = Change(motor_id, {"typed": reading.typed, "answer": reading.doubt_answer}, {"answer": ""}, motor_id)
        said = [found.answered("", again), *_swapped_back(conn, found)]
        judged = foresee(conn, [found.context.after(*said)], now.at.date())[0]
        return Saying(context=found.context, said=tuple(said), change=change, judged=judged)

    return say(conn, act, "take back an answer", typed={"reading": reading_id}, prepare=prepare)


@dataclass(frozen=True, slots=True)
class _Found:
    """A reading with its motor; `now` is how the record has it, None of a brush that was renewed since."""

    context: Context
    reading: ReadingRow
    round_id: str
    now: Measured | None

    def answered(self, answer: str, then: Measured | None) -> DoubtAnswered:
        """Return an answer to its doubt, with what stands there then."""
        reading = self.reading
        stands = ReadingStands(
            round_id=self.round_id, position=reading.position_number, measured=then, sight=reading.sight
        )
        return DoubtAnswered(id=reading.id, answer=answer, then=stands)


def _found(conn: Connection, reading_id: str) -> _Found | None:
    """Return a reading, None where it counts no longer."""
    reading, round_id = rounds.fetch_reading(conn, reading_id)
    context = load(conn, rounds.fetch_round(conn, round_id).motor_id)
    counting = rounds.list_readings(conn, round_id).get(reading.position_number)
    if counting is None or counting.id != reading_id:
        return None
    of_round = next(r for s in context.sets for r in s.rounds if r.id == round_id)
    return _Found(context, reading, round_id, of_round.readings.get(reading.position_number))


def _previous(all_rounds: tuple[Round, ...], this: Round, position: int) -> Point | None:
    earlier = [
        r for r in all_rounds if r.id != this.id and position in r.readings and r.total_units <= this.total_units
    ]
    if not earlier:
        return None
    found = earlier[-1].readings[position]
    return Point(found.length_mm, earlier[-1].total_units, found.sd_mm)


def _partners(context: Context, this: Round, position: int) -> list[Point]:
    """Return the wear of the other brushes of this round, as points."""
    partners = []
    for number, measured in this.readings.items():
        if number == position or measured.doubt:
            continue
        start = start_of(context.state, context.state.current, number, context.rules)
        worn = start.length_mm - measured.length_mm
        if start.run_h >= this.total_units:
            worn = NEW_MM.need(context.figures) - measured.length_mm
        partners.append(Point(worn, this.total_units, measured.sd_mm))
    return partners


def settle_doubt(conn: Connection, act: Act, reading_id: str, answer: str, why: str = "") -> str:
    """Keep what the person says about a doubted reading; a mistyped one is withdrawn, and set aside where its round is
    signed: what was signed of it stays.

    Return the round's id. Raises: Conflict for a reading that counts no longer; InputError at “why” where it ends what
    was to be changed or stopped, or is of a signed round, and no reason is given.
    """
    swapped = swapped_with(answer)
    if answer not in dict(ANSWERS) and not swapped:
        raise InputError("This answer is not known.", "Choose one of the answers.", "answer")

    gone, said = answer == "mistyped", {"why": why} if why.strip() else {}

    def prepare(now: Act) -> Saying:
        found = _found(conn, reading_id)
        if found is None:
            raise Conflict(
                "This reading counts no longer: it was replaced or withdrawn.", "Look at the round as it is now."
            )
        context, today = found.context, now.at.date()
        then = None if gone or found.now is None else replace(found.now, doubt="", swapped=swapped)
        entries = [found.answered(answer, then), *(_swapped(conn, found, swapped) if swapped else ())]
        judged = foresee(conn, [context.after(*entries)], today)[0]
        if gone:
            reason_of(judge(context, today).found.lives, judged.found.lives, "That it was mistyped", why)
            if rounds.fetch_round(conn, found.round_id).finished and not why.strip():
                raise InputError(
                    "This reading was signed: it is set aside, and what was signed stays.",
                    "Say why it is wrong.",
                    "why",
                )
        before = {"typed": found.reading.typed, "doubt": found.reading.doubt, "reading": reading_id}
        change = Change(found.round_id, before, {"answer": answer, **said}, context.motor.id)
        return Saying(context=context, said=tuple(entries), change=change, judged=judged, why=why)

    typed = {"reading": reading_id, "answer": answer, **said}
    return say(conn, act, "settle a doubt", typed=typed, prepare=prepare)


def _swapped(conn: Connection, found: _Found, there: int) -> Iterator[DoubtAnswered]:
    """Yield the answer to the doubt about the brush that came to the other position, where that is doubted too.

    Raises: InputError at “answer” where the brush there was shorter than this one is, or is not measured.
    """
    now, context, here = found.now, found.context, found.reading.position_number
    labels = {p.number: p.label for p in context.positions}
    if now is None or there not in could_be_of(context.state.current, here, now, context.rules):
        raise InputError(
            f"{now.length_mm if now else 0:.2f} mm cannot be the brush that was at {labels.get(there, there)}.",
            "A brush that changed places is not longer than it was: measure it again, or say what else was done.",
            "answer",
        )
    other = _beside(conn, found, there)
    if other is not None and other.now is not None and other.now.doubt:
        yield other.answered(swapped_answer(here), replace(other.now, doubt="", swapped=here))


def _swapped_back(conn: Connection, found: _Found) -> Iterator[DoubtAnswered]:
    """Yield that the doubt about the other brush is open again too, where both were said to have changed places."""
    there = swapped_with(found.reading.doubt_answer)
    other = _beside(conn, found, there) if there else None
    if other is not None and other.now is not None and other.now.swapped == found.reading.position_number:
        yield other.answered("", replace(other.now, doubt=other.reading.doubt, swapped=0))


def _beside(conn: Connection, found: _Found, position: int) -> _Found | None:
    """Return the reading of another brush in the same round, None where there is none."""
    other = rounds.list_readings(conn, found.round_id).get(position)
    return _found(conn, other.id) if other is not None else None
