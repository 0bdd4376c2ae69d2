"""Which stops keep a motor from being run, touched with power, or turned in a test of its own."""

from collections.abc import Iterable

from norvash.core.sheet.given import Given
from norvash.core.sheet.life import Life
from norvash.core.sheet.part import COMPLAINT, RUN, WINDINGS
from norvash.core.sheet.records import DRIVEN, PermitRecord
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.prove.run_fields import FIELDS, POINT, first_look
from norvash.core.visit.done import last_work
from norvash.core.visit.walk import how_far_open

_POINT = frozenset(f.id for f in POINT)
_OF_RUN = frozenset(f.id for f in FIELDS)


def holds_power(life: Life) -> bool:
    """Tell whether a finding keeps power off the motor: a stop that is open, or done and not proven where no run may
    prove it. What lies before it and was handed to the owner does not feed it here.
    """
    stops = life.stands and life.finding.grade == "stop" and not life.handed_over
    # What is complained of keeps no power off by itself: what is found for it does.
    return (
        stops
        and life.finding.part is not COMPLAINT
        and not (life.state == "done not proven" and life.finding.run_to_prove)
    )


def stop_on_turning(lives: Iterable[Life], sheet: Sheet) -> Life | None:
    """Return the stop for which a motor is not turned under power, None where there is none. One that is tried before
    it was opened is barred by what its run has shown, by its windings, and by what bars every test.
    """
    closed = how_far_open(sheet) == "assembled" and last_work(sheet) <= sheet.at
    return next((x for x in lives if holds_power(x) and (not closed or _bars_trying(x))), None)


def _bars_trying(life: Life) -> bool:
    finding = life.finding
    return "bars-tests" in finding.kinds or "never-runs" in finding.kinds or finding.part in (RUN, WINDINGS)


def stop_on_permit(lives: Iterable[Life], permit: PermitRecord, sheet: Sheet) -> Life | None:
    """Return the stop for which a test with power on is not opened: one that turns the motor by power is held like a
    run; one that turns it from outside, or feeds it standing still, only by what shocks or flies.
    """
    if permit.turns in ("load", "free"):
        return stop_on_turning(lives, sheet)
    if permit.turns == DRIVEN or permit.volts:
        return next((x for x in lives if holds_power(x) and "bars-tests" in x.finding.kinds), None)
    return None


def of_that_run(sheet: Sheet, field_id: str, place: int, *, again: bool) -> bool:
    """Tell whether a value belongs to the run, or the touch, that stands on a sheet since the last work, whatever the
    order of typing: one more of a point that was entered, the touch that it began with, or what was typed of it.
    `again` says that it was measured once more: that is another run.
    """
    worked = last_work(sheet)

    def since(given: Given) -> bool:
        return given.stands and given.at >= worked

    here = any(since(g) for (f, n, _), g in sheet.written.items() if (f, n) == (field_id, place))
    if here:
        return not again
    if field_id in _POINT:
        return any(since(g) for (f, n, _), g in sheet.written.items() if f in _POINT and n == place)
    ran = any(since(g) for (f, _, _), g in sheet.written.items() if f in _OF_RUN and f != first_look(sheet.facts).id)
    return ran or field_id not in _OF_RUN
