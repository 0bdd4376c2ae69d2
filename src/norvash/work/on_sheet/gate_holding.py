"""Refuse what needs a gate that is open, or a test with power on."""

from dataclasses import replace
from datetime import datetime

from norvash.core.sheet.field import Field
from norvash.core.sheet.gate import GateNow
from norvash.core.sheet.part import RUN
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.catalogue import field_of
from norvash.core.stages.commutator.bar_test import WAIVE_BAR_TEST
from norvash.core.stages.gates import GATES, POWER, SAFE, unfit
from norvash.core.stages.prove.field import WAIVE_FIELD
from norvash.core.stages.windings.insulation import WAIVE_INSULATION
from norvash.core.text.words import listed
from norvash.core.visit.gate_ticked import ticked
from norvash.core.visit.gating import gate_now
from norvash.core.visit.lives import lives
from norvash.core.visit.stops import holds_power, of_that_run, stop_on_turning
from norvash.core.visit.walk import open_permits, permitted
from norvash.errors import Conflict, StopHolds
from norvash.work.reading.context import Context
from norvash.work.reading.standing import judge

_MOST_MISSING = 3


def hold_entry(
    sheet: Sheet,
    field: Field,
    place: int,
    context: Context,
    now: datetime,
    *,
    taken_back: bool = False,
    again: bool = False,
) -> None:
    """Refuse an entry that its gate holds; what is taken back is held by none, but a waiver that something rests on.
    `again` says that it was measured once more, by another run.

    Raises: Conflict.
    """
    if taken_back:
        hold_waiver(sheet, field.id)
    elif field.needs == "permit":
        _hold_permit(sheet, now, context)
        if any(f.part is RUN for f in field.tells):
            _hold_turning(sheet, field, place, context, again=again)
    elif field.needs:
        one_more = field.needs == "power" and of_that_run(sheet, field.id, place, again=again)
        hold_at_gate(sheet, field.needs, context, now, of_run=one_more)


def _hold_permit(sheet: Sheet, now: datetime, context: Context) -> None:
    if not open_permits(sheet):
        stopped = any(holds_power(x) for x in lives(context.state.told))
        raise (StopHolds if stopped else Conflict)(
            "This is measured with power on.", "Open a test with power on first: why, who, barriers, how long.", "value"
        )
    if not permitted(sheet, now):
        raise Conflict(
            "The test with power on has run over its time.",
            "Close it, make sure of power and people, and open it again.",
            "value",
        )


def hold_at_gate(sheet: Sheet, needs: str, context: Context, now: datetime, *, of_run: bool = False) -> None:
    """Refuse what needs a gate that is open; what needs the motor dead waits while a test with power on is open. What
    is left to be read `of_run` is not held by what that run has shown.

    Raises: Conflict.
    """
    numbers = open_permits(sheet) if needs != "power" else ()
    if numbers:
        raise Conflict(
            f"The test with power on no. {numbers[0]} is open.",
            "Close it, and make safe again; what you typed is kept in its field.",
            "value",
        )
    if needs == "dead":
        return
    gate, visit = GATES[needs], context.visit(sheet, judge(context, now.date()).found)
    now_is = ticked(gate, sheet, context.rules) if gate is SAFE else gate_now(gate, visit)
    now_is = _but_for_the_run(now_is) if of_run else now_is
    if now_is.is_open:
        stops = {f"{x.finding.id}.{x.position}" for x in lives(context.state.told) if holds_power(x)}
        refused = StopHolds if not now_is.to_do and all(h.id in stops for h in now_is.held) else Conflict
        more = " and more" * (len(now_is.missing) > _MOST_MISSING)
        raise refused(
            f"The gate “{gate.words}” is not passed yet: {listed(list(now_is.missing[:_MOST_MISSING]))}{more}.",
            "Settle it first; what you typed is kept in its field.",
            "value",
        )
    if needs == "power":
        _hold_unfit(context)


def _but_for_the_run(now: GateNow) -> GateNow:
    """Return how a gate stands without what the run itself has shown: what is left to be read of it is entered."""
    held = tuple(h for h in now.held if not h.of_run)
    return replace(now, held=held, state=now.state if held or now.to_do else "passed")


def hold_waiver(sheet: Sheet, field_id: str) -> None:
    """Refuse to take back a waiver once something was entered that rests on it: what was done under it stays said.

    Raises: Conflict.
    """
    of_hold = (WAIVE_INSULATION, WAIVE_FIELD, WAIVE_BAR_TEST)
    gate = next((g for g in GATES.values() if g.waived.id == field_id), None)
    field = gate.waived if gate is not None else next((f for f in of_hold if f.id == field_id), None)
    waiver, gate = field.given(sheet) if field is not None else None, gate or POWER
    if waiver is None:
        return
    for (entered_id, _, _), given in sheet.written.items():
        entered = field_of(entered_id)
        if given.at > waiver.at and entered is not None and entered.needs == gate.id:
            raise Conflict(
                "Something was entered since that rests on this waiver.",
                "It stays on the sheet, and the sheet is signed with it.",
                "value",
            )


def _hold_turning(sheet: Sheet, field: Field, place: int, context: Context, *, again: bool) -> None:
    """Refuse to turn a motor under power, before it is opened too, while something stops it.

    Raises: Conflict.
    """
    same = of_that_run(sheet, field.id, place, again=again)
    standing = (x for x in lives(context.state.told) if not (same and x.finding.part is RUN))
    life = stop_on_turning(standing, sheet)
    if life is not None:
        stop = life.finding
        raise StopHolds(f"Power waits: {stop.words}.", f"{stop.decision[0].upper()}{stop.decision[1:]}.", "value")


def _hold_unfit(context: Context) -> None:
    """Refuse to run what burns in seconds or flies: a shorted or open armature, a loose bar, a lifted binding."""
    standing = ((x.position, x.finding) for x in lives(context.state.told) if x.stands)
    found = unfit(standing)
    if found is not None:
        raise StopHolds(f"Power waits: {found.words}.", f"{found.decision[0].upper()}{found.decision[1:]}.", "value")
